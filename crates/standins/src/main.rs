//! A simulated hub of thermometers in simulated cooks: it speaks the open interface of probes as a real one would, and nothing else.
//!
//! `ergastic-standins --to 127.0.0.1:4870 --scene demo/hub.json` sends what the probes of the scene have read up to now, and goes
//! on. Its clock is the kitchen's, which every answer tells; `--speed` is for a kitchen whose answers tell none.

mod faults;
mod scene;
mod wire;

use std::path::PathBuf;
use std::time::{Duration, Instant};

use anyhow::{Context, ensure};
use clap::Parser;
use jiff::{SignedDuration, Timestamp};

use crate::scene::{Scene, Simulated, SimulatedProbe};
use crate::wire::{KitchenAddress, SimulatedReading};

/// What came before now is sent as a reading in so many s.
const PAST_EVERY_S: f64 = 60.0;
/// A kitchen that is not there yet is asked again after this.
const AGAIN: Duration = Duration::from_millis(500);
/// It is looked so often whether a probe has something to say.
const TICK: Duration = Duration::from_millis(200);
/// Of readings that went before, those of the last so many days tell when the cook began.
const REMEMBERED_DAYS: i64 = 4;

#[derive(Parser)]
#[command(version, about = "A simulated hub of thermometers for Ergastic")]
struct Arguments {
    /// Where Ergastic answers, as host:port.
    #[arg(long, default_value = "127.0.0.1:4870")]
    to: String,
    /// The key that the kitchen has made for this hub; needed from beyond its own machine.
    #[arg(long)]
    key: Option<String>,
    /// The certificate of the kitchen's authority (PEM): speaks TLS, and trusts it alone.
    #[arg(long)]
    authority: Option<PathBuf>,
    /// The cooks and the probes in them, as JSON.
    #[arg(long)]
    scene: PathBuf,
    /// Simulated seconds a real second, where the kitchen does not tell its time.
    #[arg(long, default_value_t = 1.0)]
    speed: f64,
    /// Only send what came before now.
    #[arg(long)]
    once: bool,
}

/// The hub's clock: as the kitchen last told it, or its own.
struct HubClock {
    shown: Timestamp,
    since: Instant,
    speed: f64,
}

impl HubClock {
    fn now(&self) -> Timestamp {
        let passed = SignedDuration::from_secs_f64(self.since.elapsed().as_secs_f64() * self.speed);
        self.shown.saturating_add(passed).unwrap_or(self.shown)
    }

    fn told(&mut self, told: Option<(Timestamp, f64)>) {
        if let Some((shown, speed)) = told {
            *self = Self { shown, since: Instant::now(), speed };
        }
    }
}

/// A probe in its cook, and up to when it has been read.
struct Sending<'a> {
    cook: &'a Simulated,
    probe: &'a SimulatedProbe,
    began: Timestamp,
    sent_s: f64,
}

impl Sending<'_> {
    /// What it has read since, up to an instant, one reading in so many s.
    fn due(&mut self, now: Timestamp, every_s: f64) -> Vec<SimulatedReading> {
        let now_s = now.duration_since(self.began).as_secs_f64();
        let mut due = Vec::new();
        while self.sent_s + every_s <= now_s {
            self.sent_s += every_s;
            let at = self.began + SignedDuration::from_millis((self.sent_s * 1000.0) as i64);
            due.extend(self.cook.reads(self.probe, self.sent_s / 60.0).map(|celsius| SimulatedReading { at, celsius }));
        }
        due
    }
}

fn main() -> anyhow::Result<()> {
    let arguments = Arguments::parse();
    ensure!(
        (0.01..=1e6).contains(&arguments.speed),
        "speed: {} can't be used; it must be 0.01 to 1000000",
        arguments.speed
    );
    let text = std::fs::read_to_string(&arguments.scene)
        .with_context(|| format!("{} can't be read", arguments.scene.display()))?;
    let scene: Scene = serde_json::from_str(&text).with_context(|| format!("{}", arguments.scene.display()))?;
    let cooks = scene.simulate()?;
    let kitchen = KitchenAddress::at(&arguments.to, arguments.key.clone(), arguments.authority.as_deref())?;
    let mut clock = HubClock { shown: Timestamp::now(), since: Instant::now(), speed: arguments.speed };
    while !kitchen.is_there() {
        ensure!(!arguments.once, "{} does not answer", arguments.to);
        std::thread::sleep(AGAIN);
    }
    let mut sending = Vec::new();
    for cook in &cooks {
        for probe in &cook.scene.probes {
            let (first, told) =
                kitchen.first_reading(&probe.name, clock.now() - SignedDuration::from_hours(24 * REMEMBERED_DAYS))?;
            clock.told(told);
            let ago = SignedDuration::from_secs((cook.scene.began_min_ago * 60.0) as i64);
            let began = first.unwrap_or(clock.now() - ago);
            sending.push(Sending { cook, probe, began, sent_s: -PAST_EVERY_S });
        }
    }
    let mut every_s = PAST_EVERY_S;
    loop {
        for sending in &mut sending {
            let due = sending.due(clock.now(), f64::max(every_s, sending.probe.every_s));
            if due.is_empty() {
                continue;
            }
            // A kitchen that is restarted misses nothing: what it did not get is sent again.
            match kitchen.send(&sending.probe.name, &due) {
                Ok(told) => clock.told(told),
                Err(error) if arguments.once => return Err(error),
                Err(error) => {
                    eprintln!("ergastic-standins: {error:#}; trying again");
                    let first = due.first().map_or(clock.now(), |reading| reading.at);
                    sending.sent_s =
                        first.duration_since(sending.began).as_secs_f64() - f64::max(every_s, sending.probe.every_s);
                    std::thread::sleep(AGAIN);
                }
            }
        }
        if arguments.once {
            return Ok(());
        }
        every_s = 0.0;
        std::thread::sleep(TICK);
    }
}
