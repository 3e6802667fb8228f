//! The open interface of probes: all that a small device needs to speak. On the kitchen's own machine over a plain connection, from
//! elsewhere over TLS that trusts the kitchen's own authority, with a key.

use std::path::Path;
use std::time::Duration;

use anyhow::{Context, ensure};
use jiff::Timestamp;
use serde_json::{Value, json};
use ureq::http::Response;
use ureq::tls::{Certificate, RootCerts, TlsConfig};
use ureq::{Agent, Body, RequestBuilder};
use uuid::Uuid;

/// An answer that is not there by then is not waited for.
const ANSWER: Duration = Duration::from_secs(30);
/// Readings in one request.
const AT_ONCE: usize = 5000;

/// A reading that is to be sent.
#[derive(Debug, Clone, Copy)]
pub struct SimulatedReading {
    /// When.
    pub at: Timestamp,
    /// °C.
    pub celsius: f64,
}

/// What the kitchen's clock shows and how fast it runs, where an answer tells it.
pub type ClockReading = Option<(Timestamp, f64)>;

/// Where readings go.
pub struct KitchenAddress {
    agent: Agent,
    /// Scheme, host and port.
    base: String,
    /// What is shown as `Authorization`, from beyond its own machine.
    key: Option<String>,
}

fn told(answer: &Response<Body>) -> ClockReading {
    let (ms, speed) = answer.headers().get("kitchen-clock")?.to_str().ok()?.split_once(' ')?;
    Some((Timestamp::from_millisecond(ms.parse().ok()?).ok()?, speed.parse().ok()?))
}

/// A name as it stands in an address.
fn escaped(name: &str) -> String {
    let plain = |byte: u8| byte.is_ascii_alphanumeric() || b"-._~".contains(&byte);
    name.bytes().map(|byte| if plain(byte) { char::from(byte).to_string() } else { format!("%{byte:02X}") }).collect()
}

impl KitchenAddress {
    /// The kitchen at a host and port; with its authority's certificate in a file, over TLS.
    ///
    /// # Errors
    /// When the file holds no certificate.
    pub fn at(to: &str, key: Option<String>, authority: Option<&Path>) -> anyhow::Result<Self> {
        let config = Agent::config_builder().timeout_global(Some(ANSWER)).proxy(None).http_status_as_error(false);
        let Some(authority) = authority else {
            return Ok(Self { agent: config.build().into(), base: format!("http://{to}"), key });
        };
        let holds_none = || format!("{} holds no certificate", authority.display());
        let certificate = Certificate::from_pem(&std::fs::read(authority)?).with_context(holds_none)?;
        let tls = TlsConfig::builder().root_certs(RootCerts::new_with_certs(&[certificate])).build();
        Ok(Self { agent: config.tls_config(tls).build().into(), base: format!("https://{to}"), key })
    }

    /// Whether anybody answers.
    pub fn is_there(&self) -> bool {
        self.agent.get(format!("{}/api/health", self.base)).call().is_ok()
    }

    fn readings_of(&self, probe: &str) -> String {
        format!("{}/api/probes/{}/readings", self.base, escaped(probe))
    }

    /// With the key, where there is one.
    fn keyed<B>(&self, request: RequestBuilder<B>) -> RequestBuilder<B> {
        match &self.key {
            Some(key) => request.header("authorization", format!("Bearer {key}")),
            None => request,
        }
    }

    /// The body of what was answered well, and the kitchen's clock.
    fn read(&self, mut answer: Response<Body>) -> anyhow::Result<(String, ClockReading)> {
        let (status, clock) = (answer.status(), told(&answer));
        let body = answer.body_mut().read_to_string()?;
        ensure!(status.is_success(), "Ergastic answered {status}: {body}");
        Ok((body, clock))
    }

    /// Sends readings, each with an id made of probe and time: sent again they change nothing.
    ///
    /// # Errors
    /// When nobody answers, or they are refused.
    pub fn send(&self, probe: &str, readings: &[SimulatedReading]) -> anyhow::Result<ClockReading> {
        let mut last = None;
        for some in readings.chunks(AT_ONCE) {
            let row = |SimulatedReading { at, celsius }: &SimulatedReading| {
                let id = Uuid::new_v5(&Uuid::NAMESPACE_OID, format!("{probe} {at}").as_bytes());
                json!({"id": id, "at": at, "celsius": celsius})
            };
            let rows = Value::Array(some.iter().map(row).collect());
            let request =
                self.keyed(self.agent.post(self.readings_of(probe))).header("content-type", "application/json");
            let answer = request.send(rows.to_string()).with_context(|| format!("{} does not answer", self.base))?;
            last = self.read(answer)?.1;
        }
        Ok(last)
    }

    /// When a probe's readings begin, where it has sent any since an instant: a hub that was restarted goes on from there.
    ///
    /// # Errors
    /// When nobody answers.
    pub fn first_reading(&self, probe: &str, since: Timestamp) -> anyhow::Result<(Option<Timestamp>, ClockReading)> {
        let request = self.keyed(self.agent.get(self.readings_of(probe))).header("accept", "text/csv");
        let answer = request.query("from", since.to_string()).call()?;
        let (body, told) = self.read(answer)?;
        // The first row after the heads of the columns.
        Ok((body.lines().nth(1).and_then(|row| row.split_once(',')?.0.parse().ok()), told))
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn a_name_may_hold_anything() {
        assert_eq!(escaped("stove-1"), "stove-1");
        assert_eq!(escaped("öven 2/3"), "%C3%B6ven%202%2F3");
    }

    #[test]
    fn nobody_there_is_said_and_no_certificate_too() {
        let kitchen = KitchenAddress::at("127.0.0.1:9", None, None).unwrap();
        assert!(!kitchen.is_there());
        let reading = SimulatedReading { at: Timestamp::UNIX_EPOCH, celsius: 60.0 };
        assert!(kitchen.send("stove", &[reading]).unwrap_err().to_string().contains("does not answer"));
        let no_certificate = Path::new(env!("CARGO_MANIFEST_DIR")).join("Cargo.toml");
        let error = KitchenAddress::at("127.0.0.1:9", None, Some(&no_certificate)).err().unwrap();
        assert!(error.to_string().contains("holds no certificate"), "{error}");
    }
}
