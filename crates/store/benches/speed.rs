//! Speed to hold in the store, on a file with the same safety as in service.

use divan::Bencher;
use divan::counter::ItemsCount;
use ergastic_store::{Reading, Store};
use jiff::{SignedDuration, Timestamp};
use uuid::Uuid;

fn main() {
    divan::main();
}

/// Readings of one probe that a drawing is taken from: eleven days of one a second.
const MANY: i64 = 1_000_000;

#[divan::bench(name = "1500 points out of a million readings (target 50 ms)", sample_count = 20)]
fn thinned(bencher: Bencher) {
    let runtime = tokio::runtime::Runtime::new().unwrap();
    let folder = std::env::temp_dir().join(format!("ergastic-bench-{}", Uuid::new_v4()));
    std::fs::create_dir_all(&folder).unwrap();
    let store = runtime.block_on(Store::open(&folder.join("kitchen.sqlite"))).unwrap();
    let at = |second: i64| Timestamp::UNIX_EPOCH + SignedDuration::from_secs(second);
    for from in (0..MANY).step_by(50_000) {
        let some: Vec<Reading> = (from..from + 50_000)
            .map(|second| Reading { id: Uuid::from_u128(second as u128), at: at(second), celsius: 60.0 })
            .collect();
        runtime.block_on(store.store_readings("stove", &some)).unwrap();
    }
    bencher.bench(|| runtime.block_on(store.thinned("stove", at(0), at(MANY), MANY as f64 / 1500.0)).unwrap());
    runtime.block_on(store.close());
    std::fs::remove_dir_all(folder).unwrap();
}

/// Ten probes' minutes in one request.
const BATCH: usize = 100;

#[divan::bench(name = "readings stored, in batches of 100 (target 20,000 a second)", sample_count = 40)]
fn readings(bencher: Bencher) {
    let runtime = tokio::runtime::Runtime::new().unwrap();
    let folder = std::env::temp_dir().join(format!("ergastic-bench-{}", Uuid::new_v4()));
    std::fs::create_dir_all(&folder).unwrap();
    let store = runtime.block_on(Store::open(&folder.join("kitchen.sqlite"))).unwrap();
    let batch = || -> Vec<Reading> {
        (0..BATCH)
            .map(|i| Reading {
                id: Uuid::new_v4(),
                at: Timestamp::UNIX_EPOCH + SignedDuration::from_secs(i as i64),
                celsius: 60.0,
            })
            .collect()
    };
    bencher
        .counter(ItemsCount::new(BATCH))
        .with_inputs(batch)
        .bench_values(|readings| runtime.block_on(store.store_readings("stove", &readings)).unwrap());
    runtime.block_on(store.close());
    std::fs::remove_dir_all(folder).unwrap();
}
