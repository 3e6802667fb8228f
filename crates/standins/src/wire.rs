//! The open interface of probes: all that a small device needs to speak. On the kitchen's own machine over a plain connection, from
//! elsewhere over TLS that trusts the kitchen's own authority, with a key.

use std::io::{ErrorKind, Read, Write};
use std::net::TcpStream;
use std::path::Path;
use std::sync::Arc;
use std::time::Duration;

use anyhow::{Context, ensure};
use jiff::Timestamp;
use rustls::pki_types::pem::PemObject;
use rustls::pki_types::{CertificateDer, ServerName};
use rustls::{ClientConfig, ClientConnection, RootCertStore, StreamOwned};
use serde_json::{Value, json};
use uuid::Uuid;

/// An answer that is not there by then is not waited for.
const ANSWER: Duration = Duration::from_secs(30);
/// Readings in one request.
const AT_ONCE: usize = 5000;

/// A reading that is to be sent.
#[derive(Debug, Clone, Copy)]
pub struct Reading {
    /// When.
    pub at: Timestamp,
    /// °C.
    pub celsius: f64,
}

/// Where readings go.
pub struct Kitchen {
    /// As host:port.
    pub to: String,
    /// What is sent as `Authorization`, from beyond its own machine.
    pub key: Option<String>,
    /// How TLS is spoken, where it is.
    pub tls: Option<Arc<ClientConfig>>,
}

/// A connection of either kind.
trait Line: Read + Write {}
impl<T: Read + Write> Line for T {}

/// TLS that trusts the kitchen's authority, from its certificate's file.
///
/// # Errors
/// When the file holds none.
pub fn trusting(authority: &Path) -> anyhow::Result<Arc<ClientConfig>> {
    let told = || format!("{} holds no certificate", authority.display());
    let mut roots = RootCertStore::empty();
    roots.add(CertificateDer::from_pem_file(authority).with_context(told)?)?;
    let provider = Arc::new(rustls::crypto::ring::default_provider());
    let config = ClientConfig::builder_with_provider(provider).with_safe_default_protocol_versions()?;
    Ok(Arc::new(config.with_root_certificates(roots).with_no_client_auth()))
}

/// What the kitchen's clock shows and how fast it runs, where an answer tells it.
pub type Told = Option<(Timestamp, f64)>;

fn told(head: &str) -> Told {
    let line = head.lines().find_map(|line| {
        let (name, value) = line.split_once(':')?;
        name.eq_ignore_ascii_case("kitchen-clock").then_some(value.trim())
    })?;
    let (ms, speed) = line.split_once(' ')?;
    Some((Timestamp::from_millisecond(ms.parse().ok()?).ok()?, speed.parse().ok()?))
}

/// A name as it stands in an address.
fn escaped(name: &str) -> String {
    let plain = |byte: u8| byte.is_ascii_alphanumeric() || b"-._~".contains(&byte);
    name.bytes().map(|byte| if plain(byte) { char::from(byte).to_string() } else { format!("%{byte:02X}") }).collect()
}

impl Kitchen {
    /// Whether anybody answers.
    pub fn is_there(&self) -> bool {
        TcpStream::connect(&self.to).is_ok()
    }

    fn line(&self) -> anyhow::Result<Box<dyn Line>> {
        let connection = TcpStream::connect(&self.to).with_context(|| format!("{} does not answer", self.to))?;
        connection.set_read_timeout(Some(ANSWER))?;
        let Some(tls) = &self.tls else { return Ok(Box::new(connection)) };
        let host = self.to.rsplit_once(':').map_or(self.to.as_str(), |(host, _)| host);
        let name = ServerName::try_from(host.trim_matches(['[', ']']).to_owned())?;
        Ok(Box::new(StreamOwned::new(ClientConnection::new(tls.clone(), name)?, connection)))
    }

    /// The line of a request's head that shows the key.
    fn shown_key(&self) -> String {
        self.key.as_ref().map_or_else(String::new, |key| format!("Authorization: Bearer {key}\r\n"))
    }

    fn ask(&self, request: &str) -> anyhow::Result<(String, Told)> {
        let mut connection = self.line()?;
        connection.write_all(request.as_bytes())?;
        let mut answer = Vec::new();
        match connection.read_to_end(&mut answer) {
            // A line over TLS that is closed without a word: the answer says itself how long it is.
            Err(error) if error.kind() == ErrorKind::UnexpectedEof => {}
            read => {
                read?;
            }
        }
        let answer = String::from_utf8_lossy(&answer);
        let (head, body) = answer.split_once("\r\n\r\n").unwrap_or((answer.as_ref(), ""));
        let status = head.lines().next().unwrap_or_default();
        ensure!(status.contains(" 200 "), "Ergastic answered {status}: {body}");
        Ok((body.to_owned(), told(head)))
    }

    /// Sends readings, each with an id made of probe and time: sent again they change nothing.
    pub fn send(&self, probe: &str, readings: &[Reading]) -> anyhow::Result<Told> {
        let mut last = None;
        for some in readings.chunks(AT_ONCE) {
            let rows: Vec<Value> = some
                .iter()
                .map(|Reading { at, celsius }| {
                    let id = Uuid::new_v5(&Uuid::NAMESPACE_OID, format!("{probe} {at}").as_bytes());
                    json!({"id": id, "at": at, "celsius": celsius})
                })
                .collect();
            let (to, body) = (&self.to, Value::Array(rows).to_string());
            let request = format!(
                "POST /api/probes/{}/readings HTTP/1.1\r\nHost: {to}\r\nContent-Type: application/json\r\n\
                 Content-Length: {}\r\n{}Connection: close\r\n\r\n{body}",
                escaped(probe),
                body.len(),
                self.shown_key()
            );
            last = self.ask(&request)?.1;
        }
        Ok(last)
    }

    /// When a probe's readings begin, where it has sent any since an instant: a hub that was restarted goes on from there.
    pub fn first_reading(&self, probe: &str, since: Timestamp) -> anyhow::Result<(Option<Timestamp>, Told)> {
        let to = &self.to;
        let request = format!(
            "GET /api/probes/{}/readings?from={since} HTTP/1.1\r\nHost: {to}\r\nAccept: text/csv\r\n{}Connection: close\r\n\r\n",
            escaped(probe),
            self.shown_key()
        );
        let (body, told) = self.ask(&request)?;
        // The body may come in pieces, each with its length before it: the first row is the first line with a comma and a digit.
        let first = body.lines().filter_map(|line| line.split_once(',')).find_map(|(at, _)| at.parse().ok());
        Ok((first, told))
    }
}
