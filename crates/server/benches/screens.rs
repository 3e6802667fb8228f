//! Twenty screens on one live cook, over TLS as they come in: how soon all of them have read what was tapped on one, and what the
//! server weighs by then. With `SOAK_MIN=10` it goes on for so many minutes at a thousand times the clock, a week of dinners, one
//! a day, and says whether the server grew.

use std::io::{BufRead, BufReader, Write};
use std::path::PathBuf;
use std::process::{Child, Command, Stdio};
use std::sync::Arc;
use std::sync::atomic::{AtomicU64, Ordering};
use std::time::{Duration, Instant};

use anyhow::{Context, ensure};
use axum::body::{Body, to_bytes};
use hyper::Request;
use hyper::client::conn::http1::SendRequest;
use hyper_util::rt::TokioIo;
use rustls::pki_types::pem::PemObject;
use rustls::pki_types::{CertificateDer, ServerName};
use serde_json::{Value, json};
use tokio::net::TcpStream;
use tokio::sync::watch;
use tokio_rustls::TlsConnector;
use tokio_stream::StreamExt;
use uuid::Uuid;

const SCREENS: usize = 20;
const TAPS: usize = 40;
const PASSPHRASE: &str = "seven ladles of cold smoke";
const TARGET_MS: u128 = 300;
const TARGET_MB: f64 = 60.0;
/// A page of a kitchen whose clock runs fast reads anew so often.
const READS: Duration = Duration::from_millis(2500);

/// A served kitchen; it ends, and its folder goes, when this is dropped.
struct Served {
    child: Child,
    hub: Option<Child>,
    folder: PathBuf,
    port: u16,
}

impl Served {
    fn start(speed: u32) -> anyhow::Result<Self> {
        let folder = std::env::temp_dir().join(format!("ergastic-screens-{}", Uuid::new_v4()));
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
    fn hear_probes(&mut self) {
        let scene = concat!(env!("CARGO_MANIFEST_DIR"), "/../../demo/hub.json");
        let hub = PathBuf::from(env!("CARGO_BIN_EXE_ergastic")).with_file_name("ergastic-standins");
        let to = format!("127.0.0.1:{}", self.port);
        self.hub = Command::new(hub).args(["--to", &to, "--scene", scene]).spawn().ok();
    }

    fn megabytes(&self) -> f64 {
        let status = std::fs::read_to_string(format!("/proc/{}/status", self.child.id())).unwrap_or_default();
        let line = status.lines().find_map(|line| line.strip_prefix("VmRSS:")).unwrap_or("0");
        line.trim().trim_end_matches(" kB").parse::<f64>().unwrap_or(0.0) / 1024.0
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
struct Line {
    send: SendRequest<Body>,
    cookie: String,
}

async fn line(port: u16, tls: &TlsConnector, cookie: &str) -> anyhow::Result<Line> {
    let stream = TcpStream::connect(("127.0.0.1", port)).await?;
    stream.set_nodelay(true)?;
    let stream = tls.connect(ServerName::try_from("localhost")?, stream).await?;
    let (send, connection) = hyper::client::conn::http1::handshake(TokioIo::new(stream)).await?;
    tokio::spawn(connection);
    Ok(Line { send, cookie: cookie.to_owned() })
}

impl Line {
    async fn ask(&mut self, method: &str, path: &str, body: Value) -> anyhow::Result<hyper::Response<Body>> {
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
    async fn read(&mut self, method: &str, path: &str, body: Value) -> anyhow::Result<()> {
        to_bytes(self.ask(method, path, body).await?.into_body(), 1 << 26).await?;
        Ok(())
    }

    /// What a page reads when something has changed; packed as it comes.
    async fn look(&mut self, path: &str) -> anyhow::Result<()> {
        self.read("GET", path, Value::Null).await
    }

    /// An answer as the JSON it is.
    async fn json(&mut self, path: &str) -> anyhow::Result<Value> {
        let request = Request::get(path).header("host", "localhost").header("cookie", &self.cookie);
        self.send.ready().await?;
        let answer = self.send.send_request(request.body(Body::empty())?).await?.map(Body::new);
        Ok(serde_json::from_slice(&to_bytes(answer.into_body(), 1 << 26).await?)?)
    }
}

/// A screen that listens, and reads what has changed as a page does.
async fn screen(
    port: u16,
    tls: TlsConnector,
    cook: watch::Receiver<String>,
    number: usize,
    read: watch::Sender<u64>,
    heard: Arc<AtomicU64>,
) -> anyhow::Result<()> {
    let mut first = line(port, &tls, "").await?;
    let asked = json!({"name": format!("Screen {number}"), "passphrase": PASSPHRASE});
    let answer = first.ask("POST", "/api/screen", asked).await?;
    let cookie = answer.headers()["set-cookie"].to_str()?.split(';').next().context("a cookie")?.to_owned();
    let mut own = line(port, &tls, &cookie).await?;
    let mut stream =
        line(port, &tls, &cookie).await?.ask("GET", "/api/events", Value::Null).await?.into_body().into_data_stream();
    let mut reads = tokio::time::interval(READS);
    loop {
        tokio::select! {
            piece = stream.next() => {
                let piece = piece.context("the stream ended")??;
                if !String::from_utf8_lossy(&piece).contains("\"cook\"") {
                    continue;
                }
                own.look("/api/now").await?;
                let cook = cook.borrow().clone();
                own.look(&cook).await?;
                heard.fetch_add(1, Ordering::Relaxed);
                read.send_modify(|times| *times += 1);
            }
            _ = reads.tick() => {
                own.look("/api/now").await?;
            }
        }
    }
}

fn tap(at: jiff::Timestamp, happened: Value) -> Value {
    json!([{"id": Uuid::new_v4(), "at": at, "happened": happened}])
}

fn stirred() -> Value {
    json!({"kind": "note", "text": "Stirred"})
}

/// Puts a dish on the heat, with a probe of the hub in it, for a bell five hours on.
async fn begin(own: &mut Line, plan: &Value) -> anyhow::Result<String> {
    let cook = format!("/api/cooks/{}", Uuid::new_v4());
    own.read("PUT", &cook, json!({"plan_id": plan})).await?;
    let now = clock(own).await?;
    let bell = now + jiff::SignedDuration::from_hours(5);
    for happened in [
        json!({"kind": "bell_moved", "bell": bell}),
        json!({"kind": "met_heat"}),
        json!({"kind": "probe_put", "probe": "Galley probe", "into": "meat"}),
    ] {
        own.read("POST", &format!("{cook}/events"), tap(now, happened)).await?;
    }
    Ok(cook)
}

/// What the kitchen's clock shows.
async fn clock(own: &mut Line) -> anyhow::Result<jiff::Timestamp> {
    Ok(own.json("/api/now").await?["now"].as_str().context("a clock")?.parse()?)
}

#[tokio::main]
async fn main() -> anyhow::Result<()> {
    let minutes: Option<f64> = std::env::var("SOAK_MIN").ok().and_then(|minutes| minutes.parse().ok());
    let mut served = Served::start(if minutes.is_some() { 1000 } else { 1 })?;
    served.hear_probes();
    let file = std::fs::read_to_string(served.folder.join("authority.json"))?;
    let kept: Value = serde_json::from_str(&file)?;
    let mut roots = rustls::RootCertStore::empty();
    roots.add(CertificateDer::from_pem_slice(kept["certificate"].as_str().context("pem")?.as_bytes())?)?;
    let provider = Arc::new(rustls::crypto::ring::default_provider());
    let config = rustls::ClientConfig::builder_with_provider(provider)
        .with_safe_default_protocol_versions()?
        .with_root_certificates(roots)
        .with_no_client_auth();
    let tls = TlsConnector::from(Arc::new(config));

    let mut own = line(served.port, &tls, "").await?;
    let asked = json!({"name": "Office", "passphrase": PASSPHRASE});
    let answer = own.ask("POST", "/api/screen", asked).await?;
    let cookie = answer.headers()["set-cookie"].to_str()?.split(';').next().context("a cookie")?.to_owned();
    drop(answer);
    let mut own = line(served.port, &tls, &cookie).await?;
    let cooks = own.json("/api/cooks").await?;
    let live =
        cooks.as_array().into_iter().flatten().find(|cook| cook["status"] == "under_way").context("a live cook")?;
    let plan = live["plan_id"].clone();
    let (tell, cook) = watch::channel(format!("/api/cooks/{}", live["id"].as_str().context("its id")?));

    let (read, _) = watch::channel(0);
    let heard = Arc::new(AtomicU64::new(0));
    let mut screens = tokio::task::JoinSet::new();
    for number in 0..SCREENS {
        screens.spawn(screen(served.port, tls.clone(), cook.clone(), number, read.clone(), heard.clone()));
    }
    tokio::time::sleep(Duration::from_secs(6)).await;

    let mut took = Vec::new();
    // By a clock a thousand times as fast a tap waits for forecasts made anew every second: there only the weight is looked at.
    let taps = if minutes.is_some() { 0 } else { TAPS };
    for _ in 0..taps {
        tokio::time::sleep(Duration::from_millis(700)).await;
        if let Some(ended) = screens.try_join_next() {
            ended??;
        }
        let mut seen = read.subscribe();
        let wanted = *seen.borrow_and_update() + SCREENS as u64;
        let began = Instant::now();
        let events = format!("{}/events", *cook.borrow());
        let answer = own.ask("POST", &events, tap(jiff::Timestamp::now(), stirred())).await?;
        tokio::time::timeout(Duration::from_secs(10), seen.wait_for(|times| *times >= wanted)).await??;
        took.push(began.elapsed().as_millis());
        to_bytes(answer.into_body(), 1 << 26).await?;
    }
    took.sort_unstable();
    if !took.is_empty() {
        let (median, longest) = (took[took.len() / 2], took[took.len() - 1]);
        println!(
            "an event on all {SCREENS} screens: median {median} ms, longest {longest} ms of {TAPS} (target {TARGET_MS} ms)"
        );
    }
    println!("the server by then: {:.0} MB (target {TARGET_MB:.0} MB)", served.megabytes());

    let Some(minutes) = minutes else { return Ok(()) };
    let (began, mut weighed) = (Instant::now(), Vec::new());
    let mut until = clock(&mut own).await?;
    while began.elapsed().as_secs_f64() < minutes * 60.0 {
        tokio::time::sleep(Duration::from_secs(5)).await;
        if let Some(ended) = screens.try_join_next() {
            ended??;
        }
        let now = clock(&mut own).await?;
        let events = format!("{}/events", *cook.borrow());
        if now < until {
            own.read("POST", &events, tap(now, stirred())).await?;
        } else {
            // A day is over, and its dinner.
            until = now + jiff::SignedDuration::from_hours(24);
            own.read("POST", &events, tap(now, json!({"kind": "closed"}))).await?;
            tell.send_replace(begin(&mut own, &plan).await?);
        }
        weighed.push(served.megabytes());
    }
    let middle = |part: &[f64]| {
        let mut part = part.to_vec();
        part.sort_by(f64::total_cmp);
        part[part.len() / 2]
    };
    let quarter = weighed.len() / 4;
    let (early, late) = (middle(&weighed[quarter..2 * quarter]), middle(&weighed[3 * quarter..]));
    println!(
        "{minutes} min at a thousand times the clock, {} events heard: {early:.1} MB in the second quarter, {late:.1} MB in the last, {:.1} MB at the most",
        heard.load(Ordering::Relaxed),
        weighed.iter().copied().fold(0.0, f64::max)
    );
    Ok(())
}
