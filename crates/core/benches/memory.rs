//! The memory of a run of 1,000 cooks: its most at one time is printed under *max alloc*.

use divan::{AllocProfiler, Bencher, black_box};
use ergastic_core::cuts::Cut;
use ergastic_core::forecast::{ForecastRequest, forecast};
use ergastic_core::ways::Method;

#[global_allocator]
static ALLOCATOR: AllocProfiler = AllocProfiler::system();

fn main() {
    divan::main();
}

#[divan::bench(name = "memory: 12 h in the pit, 1000 members", sample_count = 10)]
fn pit(bencher: Bencher) {
    let request = ForecastRequest {
        cut: Some(Cut::Brisket),
        method: Some(Method::Smoke),
        members: Some(1000),
        ..Default::default()
    };
    bencher.bench(|| forecast(black_box(&request)).unwrap());
}
