//! Twenty screens on one live cook, over TLS as they come in: how soon all of them have read what was tapped on one, and what the
//! server weighs by then. With `SOAK_MIN=10` it goes on for so many minutes at a thousand times the clock, a week of dinners, one
//! a day, and says whether the server grew.

mod served;

use std::sync::Arc;
use std::sync::atomic::{AtomicU64, Ordering};
use std::time::{Duration, Instant};

use anyhow::Context;
use axum::body::to_bytes;
use serde_json::{Value, json};
use served::{Line, Served, device as signed_in, live_cook, stirred, tap};
use tokio::sync::watch;
use tokio_rustls::TlsConnector;
use tokio_stream::StreamExt;
use uuid::Uuid;

const SCREENS: usize = 20;
const TAPS: usize = 40;
const TARGET_MS: u128 = 300;
const TARGET_MB: f64 = 60.0;
/// A page of a kitchen whose clock runs fast reads anew so often.
const READS: Duration = Duration::from_millis(2500);

/// A screen that listens, and reads what has changed as a page does.
async fn device(
    port: u16,
    tls: TlsConnector,
    cook: watch::Receiver<String>,
    number: usize,
    read: watch::Sender<u64>,
    heard: Arc<AtomicU64>,
) -> anyhow::Result<()> {
    let mut own = signed_in(port, &tls, &format!("Screen {number}")).await?;
    let mut stream =
        own.beside(port, &tls).await?.ask("GET", "/api/events", Value::Null).await?.into_body().into_data_stream();
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

/// Puts a dish on the heat, with a probe of the hub in it, for a bell five hours on.
async fn begin(own: &mut Line, plan: &Value) -> anyhow::Result<String> {
    let cook = format!("/api/cooks/{}", Uuid::new_v4());
    own.read("PUT", &cook, json!({"plan_id": plan})).await?;
    let now = clock(own).await?;
    let serve_at = now + jiff::SignedDuration::from_hours(5);
    for happened in [
        json!({"kind": "serve_at_moved", "serve_at": serve_at}),
        json!({"kind": "on_the_heat"}),
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
    let tls = served.tls()?;
    let mut own = signed_in(served.port, &tls, "Office").await?;
    let live = live_cook(&mut own).await?;
    let plan = live["plan_id"].clone();
    let (tell, cook) = watch::channel(format!("/api/cooks/{}", live["id"].as_str().context("its id")?));

    let (read, _) = watch::channel(0);
    let heard = Arc::new(AtomicU64::new(0));
    let mut devices = tokio::task::JoinSet::new();
    for number in 0..SCREENS {
        devices.spawn(device(served.port, tls.clone(), cook.clone(), number, read.clone(), heard.clone()));
    }
    tokio::time::sleep(Duration::from_secs(6)).await;

    let mut took = Vec::new();
    // By a clock a thousand times as fast a tap waits for forecasts made anew every second: there only the weight is looked at.
    let taps = if minutes.is_some() { 0 } else { TAPS };
    for _ in 0..taps {
        tokio::time::sleep(Duration::from_millis(700)).await;
        if let Some(ended) = devices.try_join_next() {
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
        if let Some(ended) = devices.try_join_next() {
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
