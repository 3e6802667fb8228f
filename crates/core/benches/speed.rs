//! Speed to hold. Each name carries its target; the figures stand in docs/model.md.

use divan::{Bencher, black_box};
use ergastic_core::cuts::Cut;
use ergastic_core::forecast::{Evidence, ForecastRequest, Method, forecast, update};
use ergastic_core::kitchen::Kitchen;
use ergastic_core::matching::{MatchRequest, match_ways};
use ergastic_core::tender::Check;
use jiff::Timestamp;

fn main() {
    divan::main();
}

fn chuck(members: u32) -> ForecastRequest {
    ForecastRequest {
        cut: Some(Cut::Chuck),
        mass_kg: Some(1.4),
        method: Some(Method::Braise),
        members: Some(members),
        ..Default::default()
    }
}

#[divan::bench(name = "braise, 1000 members (target 30 ms)")]
fn braise_ensemble(bencher: Bencher) {
    bencher.bench(|| forecast(black_box(&chuck(1000))).unwrap());
}

#[divan::bench(name = "braise, one run (target 0.3 ms)")]
fn braise_one(bencher: Bencher) {
    bencher.bench(|| forecast(black_box(&chuck(1))).unwrap());
}

#[divan::bench(name = "live update, 1000 members, 20 findings (target 80 ms)")]
fn live_update(bencher: Bencher) {
    let case = chuck(1000).resolve().unwrap();
    let findings: Vec<_> = (1..=20)
        .map(|i| match i % 4 {
            0 => Evidence::Check { at_s: f64::from(i) * 600.0, found: Check::Firm },
            _ => Evidence::Reading { at_s: f64::from(i) * 600.0, celsius: f64::min(90.0, f64::from(i) * 9.0) },
        })
        .collect();
    bencher.bench(|| update(black_box(&case), black_box(&findings), Some(9000.0)));
}

#[divan::bench(name = "match, every way so far (target 150 ms)")]
fn matching(bencher: Bencher) {
    let request = MatchRequest { cut: Some(Cut::Shin), ..Default::default() };
    bencher.bench(|| match_ways(black_box(&request), &Kitchen::default(), Timestamp::UNIX_EPOCH).unwrap());
}
