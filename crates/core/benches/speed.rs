//! Speed by the clock, beside what is held in yardsticks (`ratios.rs`). Each name carries its target; the figures stand in docs/model.md.

#[allow(dead_code)]
mod cooks;

use cooks::chuck;
use divan::{Bencher, black_box};
use ergastic_core::clock::plus_minutes;
use ergastic_core::cook::{Event, Happened, ProbeIn, Trace, view, what_if};
use ergastic_core::cuts::Cut;
use ergastic_core::forecast::{Evidence, ForecastRequest, forecast, update_ahead};
use ergastic_core::kitchen::Kitchen;
use ergastic_core::matching::{MatchRequest, match_ways, overview};
use ergastic_core::plan::Plan;
use ergastic_core::tender::Check;
use ergastic_core::ways::Method;
use jiff::Timestamp;
use serde_json::json;

fn main() {
    divan::main();
}

#[divan::bench(name = "braise, one run (target 0.25 ms)")]
fn braise_one(bencher: Bencher) {
    bencher.bench(|| forecast(black_box(&chuck(1))).unwrap());
}

#[divan::bench(name = "pressure, time solved for, 1000 members")]
fn pressure_ensemble(bencher: Bencher) {
    let request = ForecastRequest { method: Some(Method::Pressure), ..chuck(1000) };
    bencher.bench(|| forecast(black_box(&request)).unwrap());
}

#[divan::bench(name = "the same with the look that tells most sought among 28 (target 80 ms)")]
fn live_update_ahead(bencher: Bencher) {
    let case = chuck(1000).resolve().unwrap();
    let findings: Vec<_> = (1..=20)
        .map(|i| Evidence::Reading { at_s: f64::from(i) * 600.0, celsius: f64::min(90.0, f64::from(i) * 9.0) })
        .collect();
    let ahead: Vec<f64> = (1..=28).map(|i| f64::from(i) * 600.0).collect();
    bencher.bench(|| update_ahead(black_box(&case), black_box(&findings), Some(9000.0), &ahead).unwrap());
}

/// A chuck that has been in its pot for two hours, with a probe that read every 20 s and two looks.
struct AtWork {
    plan: Plan,
    events: Vec<Event>,
    traces: Vec<Trace>,
    opened: Timestamp,
}

impl AtWork {
    fn new() -> Self {
        let opened = "2027-02-06T08:00:00Z".parse().unwrap();
        let plan = json!({"name": "Ice-road chuck", "serve_at": "2027-02-06T13:00:00Z",
            "forecast": {"cut": "chuck", "mass_kg": 1.8, "method": "braise", "members": 1000}});
        let event = |i: u128, min: f64, happened: Happened| Event {
            id: uuid::Uuid::from_u128(i),
            at: plus_minutes(opened, min),
            happened,
            device: None,
        };
        let check = |i, min| event(i, min, Happened::Check { found: Check::Firm, by: None });
        let put = Happened::ProbePut { probe: "galley".into(), into: ProbeIn::Meat };
        let events = vec![event(1, 0.0, Happened::OnTheHeat {}), event(2, 0.0, put), check(3, 90.0), check(4, 110.0)];
        let read = |i: i32| (plus_minutes(opened, f64::from(i) / 3.0), 95.0 - 90.0 * (-f64::from(i) / 140.0).exp());
        let traces = vec![Trace { probe: "galley".into(), readings: (0..360).map(read).collect() }];
        Self { plan: serde_json::from_value(plan).unwrap(), events, traces, opened }
    }

    fn now(&self) -> Timestamp {
        plus_minutes(self.opened, 121.0)
    }
}

#[divan::bench(name = "a cook at work, 1000 members, a probe and two looks (target 300 ms)")]
fn at_work(bencher: Bencher) {
    let (cook, kitchen) = (AtWork::new(), Kitchen::default());
    bencher
        .bench(|| view(black_box(&cook.plan), &kitchen, cook.opened, &cook.events, &cook.traces, cook.now()).unwrap());
}

#[divan::bench(name = "what if now, every choice (target 500 ms)")]
fn what_if_now(bencher: Bencher) {
    let (cook, kitchen) = (AtWork::new(), Kitchen::default());
    bencher.bench(|| {
        what_if(black_box(&cook.plan), &kitchen, cook.opened, &cook.events, &cook.traces, cook.now()).unwrap()
    });
}

#[divan::bench(name = "match while dragging, 16 members, only the ways (target 50 ms)")]
fn matching_dragged(bencher: Bencher) {
    let request = MatchRequest { cut: Some(Cut::Shin), members: Some(16), only_ways: Some(true), ..Default::default() };
    bencher.bench(|| match_ways(black_box(&request), &Kitchen::default(), Timestamp::UNIX_EPOCH).unwrap());
}

#[divan::bench(name = "what to buy for a way")]
fn buying(bencher: Bencher) {
    let request = MatchRequest { method: Some(Method::Braise), ..Default::default() };
    bencher.bench(|| match_ways(black_box(&request), &Kitchen::default(), Timestamp::UNIX_EPOCH).unwrap());
}

#[divan::bench(name = "every cut against every way")]
fn all_cuts(bencher: Bencher) {
    bencher.bench(|| overview(black_box(&Kitchen::default())).unwrap());
}
