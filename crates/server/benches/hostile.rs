//! A hundred devices that ask as fast as they are answered, on each lane to compute on, while a dish is on the heat: how soon its taps
//! are taken and its page is shown all the same.

#[allow(dead_code)]
mod served;

use std::sync::Arc;
use std::sync::atomic::{AtomicBool, AtomicU64, Ordering};
use std::time::{Duration, Instant};

use anyhow::Context;
use serde_json::{Value, json};
use served::{Line, Served, device, live_cook, stirred, tap};
use tokio::task::JoinSet;

const CLIENTS: u64 = 100;
const TAPS: usize = 60;
const TARGET_MS: u128 = 300;

/// What the clients of a lane ask, each something of its own.
type Question = fn(&str, u64) -> (&'static str, String, Value);

fn of_the_bench(_: &str, number: u64) -> (&'static str, String, Value) {
    let body = json!({"cut": "brisket", "mass_kg": 4, "method": "smoke", "members": 4000, "seed": number});
    ("POST", "/api/forecast".into(), body)
}

fn of_the_cook(cook: &str, number: u64) -> (&'static str, String, Value) {
    let question = ["what-if", "gone-wrong", "why", "afterwards"][number as usize % 4];
    ("GET", format!("{cook}/{question}"), Value::Null)
}

fn told(what: &str, mut took: Vec<u128>) {
    took.sort_unstable();
    let at = |share: usize| took[(took.len() - 1) * share / 100];
    println!("  {what}: median {} ms, p95 {} ms, longest {} ms (p95 target {TARGET_MS} ms)", at(50), at(95), at(100));
}

/// Asks until told to end; refusals for want of a turn count as answers.
async fn hostile(
    mut own: Line,
    cook: String,
    number: u64,
    question: Question,
    ends: Arc<AtomicBool>,
    asked: Arc<AtomicU64>,
) {
    let mut turn = number;
    while !ends.load(Ordering::Relaxed) {
        let (method, path, body) = question(&cook, turn);
        let _ = own.read(method, &path, body).await;
        asked.fetch_add(1, Ordering::Relaxed);
        turn += CLIENTS + 1;
    }
}

#[tokio::main]
async fn main() -> anyhow::Result<()> {
    let served = Served::start(1)?;
    let tls = served.tls()?;
    let mut own = device(served.port, &tls, "Stove").await?;
    let cook = format!("/api/cooks/{}", live_cook(&mut own).await?["id"].as_str().context("its id")?);
    for (lane, question) in [("the bench's lane", of_the_bench as Question), ("the cook's lane", of_the_cook)] {
        let (ends, asked) = (Arc::new(AtomicBool::new(false)), Arc::new(AtomicU64::new(0)));
        let mut clients = JoinSet::new();
        for number in 0..CLIENTS {
            let client = device(served.port, &tls, &format!("Client {number}")).await?;
            clients.spawn(hostile(client, cook.clone(), number, question, ends.clone(), asked.clone()));
        }
        tokio::time::sleep(Duration::from_secs(2)).await;
        // A connection that said nothing while all the others came in was ended.
        own = own.beside(served.port, &tls).await?;
        let (mut taken, mut shown) = (Vec::new(), Vec::new());
        for _ in 0..TAPS {
            tokio::time::sleep(Duration::from_millis(200)).await;
            let began = Instant::now();
            own.read("POST", &format!("{cook}/events"), tap(jiff::Timestamp::now(), stirred())).await?;
            taken.push(began.elapsed().as_millis());
            let began = Instant::now();
            own.look(&cook).await?;
            shown.push(began.elapsed().as_millis());
        }
        ends.store(true, Ordering::Relaxed);
        println!(
            "{CLIENTS} clients on {lane}, {} answers meanwhile, {:.0} MB",
            asked.load(Ordering::Relaxed),
            served.megabytes()
        );
        told("a tap at the stove", taken);
        told("the page of the dish", shown);
        clients.abort_all();
    }
    Ok(())
}
