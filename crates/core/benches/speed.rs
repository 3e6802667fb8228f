//! Speed to hold. Each name carries its target; the figures stand in docs/model.md.

use divan::{Bencher, black_box};
use ergastic_core::cuts::Cut;
use ergastic_core::forecast::{ForecastRequest, Method, forecast};

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
