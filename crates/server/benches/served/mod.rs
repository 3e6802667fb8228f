//! A served kitchen and its devices, over TLS as they come in from beyond.

use std::io::{BufRead, BufReader, Write};
use std::path::PathBuf;
use std::process::{Child, Command, Stdio};
use std::sync::Arc;

use anyhow::{Context, ensure};
use axum::body::{Body, to_bytes};
use hyper::Request;
use hyper::client::conn::http1::SendRequest;
use hyper_util::rt::TokioIo;
use rustls::pki_types::pem::PemObject;
use rustls::pki_types::{CertificateDer, ServerName};
use serde_json::{Value, json};
use tokio::net::TcpStream;
use tokio_rustls::TlsConnector;
use uuid::Uuid;

pub const PASSPHRASE: &str = "seven ladles of cold smoke";

/// A served kitchen; it ends, and its folder goes, when this is dropped.
pub struct Served {
    child: Child,
    hub: Option<Child>,
    folder: PathBuf,
    pub port: u16,
}

impl Served {
    pub fn start(speed: u32) -> anyhow::Result<Self> {
        let folder = std::env::temp_dir().join(format!("ergastic-devices-{}", Uuid::new_v4()));
        let data = folder.display().to_string();
        let binary = env!("CARGO_BIN_EXE_ergastic");
        let mut told = Command::new(binary).args(["passphrase", "--data", &data]).stdin(Stdio::piped()).spawn()?;
        told.stdin.take().context("stdin")?.write_all(PASSPHRASE.as_bytes())?;
        ensure!(told.wait()?.success(), "no passphrase");
        let speed = speed.to_string();
        let arguments = ["serve", "--demo", "--host", "0.0.0.0", "--port", "0", "--data", &data, "--speed", &speed];
        let mut child = Command::new(binary).args(arguments).stdout(Stdio::piped()).spawn()?;
        let mut line = String::new();
        BufReader::new(child.stdout.take().context("stdout")?).read_line(&mut line)?;
        let port = line.trim().rsplit(':').next().context("the port")?.parse()?;
        Ok(Self { child, hub: None, folder, port })
    }

    /// The simulated hub, where it is built beside this.
    #[allow(dead_code)]
    pub fn hear_probes(&mut self) {
        let scene = concat!(env!("CARGO_MANIFEST_DIR"), "/../../demo/hub.json");
        let hub = PathBuf::from(env!("CARGO_BIN_EXE_ergastic")).with_file_name("ergastic-standins");
        let to = format!("127.0.0.1:{}", self.port);
        self.hub = Command::new(hub).args(["--to", &to, "--scene", scene]).spawn().ok();
    }

    pub fn megabytes(&self) -> f64 {
        let status = std::fs::read_to_string(format!("/proc/{}/status", self.child.id())).unwrap_or_default();
        let line = status.lines().find_map(|line| line.strip_prefix("VmRSS:")).unwrap_or("0");
        line.trim().trim_end_matches(" kB").parse::<f64>().unwrap_or(0.0) / 1024.0
    }

    /// What devices trust.
    pub fn tls(&self) -> anyhow::Result<TlsConnector> {
        let file = std::fs::read_to_string(self.folder.join("authority.json"))?;
        let kept: Value = serde_json::from_str(&file)?;
        let mut roots = rustls::RootCertStore::empty();
        roots.add(CertificateDer::from_pem_slice(kept["certificate"].as_str().context("pem")?.as_bytes())?)?;
        let provider = Arc::new(rustls::crypto::ring::default_provider());
        let config = rustls::ClientConfig::builder_with_provider(provider)
            .with_safe_default_protocol_versions()?
            .with_root_certificates(roots)
            .with_no_client_auth();
        Ok(TlsConnector::from(Arc::new(config)))
    }
}

impl Drop for Served {
    fn drop(&mut self) {
        for child in [Some(&mut self.child), self.hub.as_mut()].into_iter().flatten() {
            let _ = child.kill();
            let _ = child.wait();
        }
        let _ = std::fs::remove_dir_all(&self.folder);
    }
}

/// One connection of a screen.
pub struct Line {
    send: SendRequest<Body>,
    cookie: String,
}

pub async fn line(port: u16, tls: &TlsConnector, cookie: &str) -> anyhow::Result<Line> {
    let stream = TcpStream::connect(("127.0.0.1", port)).await?;
    stream.set_nodelay(true)?;
    let stream = tls.connect(ServerName::try_from("localhost")?, stream).await?;
    let (send, connection) = hyper::client::conn::http1::handshake(TokioIo::new(stream)).await?;
    tokio::spawn(connection);
    Ok(Line { send, cookie: cookie.to_owned() })
}

impl Line {
    /// Another connection of the same device.
    pub async fn beside(&self, port: u16, tls: &TlsConnector) -> anyhow::Result<Self> {
        line(port, tls, &self.cookie).await
    }

    pub async fn ask(&mut self, method: &str, path: &str, body: Value) -> anyhow::Result<hyper::Response<Body>> {
        let request = Request::builder()
            .method(method)
            .uri(path)
            .header("host", "localhost")
            .header("accept-encoding", "gzip, br")
            .header("cookie", &self.cookie)
            .body(if body.is_null() { Body::empty() } else { Body::from(body.to_string()) })?;
        self.send.ready().await?;
        let answer = self.send.send_request(request).await?.map(Body::new);
        ensure!(answer.status().is_success(), "{method} {path}: {}", answer.status());
        Ok(answer)
    }

    /// Asks and reads the answer to its end: what is not read of an answer holds up its line.
    pub async fn read(&mut self, method: &str, path: &str, body: Value) -> anyhow::Result<()> {
        to_bytes(self.ask(method, path, body).await?.into_body(), 1 << 26).await?;
        Ok(())
    }

    /// What a page reads when something has changed; packed as it comes.
    pub async fn look(&mut self, path: &str) -> anyhow::Result<()> {
        self.read("GET", path, Value::Null).await
    }

    /// An answer as the JSON it is.
    pub async fn json(&mut self, path: &str) -> anyhow::Result<Value> {
        let request = Request::get(path).header("host", "localhost").header("cookie", &self.cookie);
        self.send.ready().await?;
        let answer = self.send.send_request(request.body(Body::empty())?).await?.map(Body::new);
        Ok(serde_json::from_slice(&to_bytes(answer.into_body(), 1 << 26).await?)?)
    }
}

/// A device that has signed in.
pub async fn device(port: u16, tls: &TlsConnector, name: &str) -> anyhow::Result<Line> {
    let mut first = line(port, tls, "").await?;
    let asked = json!({"name": name, "passphrase": PASSPHRASE});
    let answer = first.ask("POST", "/api/device", asked).await?;
    let cookie = answer.headers()["set-cookie"].to_str()?.split(';').next().context("a cookie")?.to_owned();
    line(port, tls, &cookie).await
}

/// The cook that is under way in the demo kitchen.
pub async fn live_cook(own: &mut Line) -> anyhow::Result<Value> {
    let cooks = own.json("/api/cooks").await?;
    let mut cooks = cooks.as_array().into_iter().flatten();
    Ok(cooks.find(|cook| cook["status"] == "under_way").context("a live cook")?.clone())
}

pub fn tap(at: jiff::Timestamp, happened: Value) -> Value {
    json!([{"id": Uuid::new_v4(), "at": at, "happened": happened}])
}

pub fn stirred() -> Value {
    json!({"kind": "note", "text": "Stirred"})
}
