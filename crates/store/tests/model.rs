//! Readings and events held against the plainest thing that keeps them: a map. Whatever order they come in, however often, and
//! whether a file that brings some is finished or given up, the store holds what the map holds.

use std::collections::BTreeMap;

use ergastic_core::cook::{Event, Happened};
use ergastic_core::plan::Plan;
use ergastic_store::{Error, Reading, Store, Summary};
use jiff::{SignedDuration, Timestamp};
use proptest::prelude::*;
use uuid::Uuid;

fn start() -> Timestamp {
    "2027-02-05T08:00:00Z".parse().unwrap()
}

fn reading((id, minute): (u8, i8)) -> Reading {
    let at = start() + SignedDuration::from_mins(i64::from(minute));
    Reading { id: Uuid::from_u128(u128::from(id)), at, celsius: f64::from(id) }
}

/// What is done with a batch of readings of one of two probes.
#[derive(Debug, Clone)]
enum Done {
    /// A probe sends them.
    Sent(bool, Vec<(u8, i8)>),
    /// A file brings them.
    Brought(bool, Vec<(u8, i8)>),
    /// A file brings them and is given up.
    GivenUp(bool, Vec<(u8, i8)>),
    /// A file brings them, the probe sends others before it is finished.
    Meanwhile(bool, Vec<(u8, i8)>, Vec<(u8, i8)>),
}

fn batch() -> impl Strategy<Value = Vec<(u8, i8)>> {
    prop::collection::vec((0u8..24, -20i8..20), 0..12)
}

fn done() -> impl Strategy<Value = Done> {
    prop_oneof![
        (any::<bool>(), batch()).prop_map(|(probe, some)| Done::Sent(probe, some)),
        (any::<bool>(), batch()).prop_map(|(probe, some)| Done::Brought(probe, some)),
        (any::<bool>(), batch()).prop_map(|(probe, some)| Done::GivenUp(probe, some)),
        (any::<bool>(), batch(), batch()).prop_map(|(probe, some, more)| Done::Meanwhile(probe, some, more)),
    ]
}

fn name(probe: bool) -> &'static str {
    if probe { "stove" } else { "smoker" }
}

type Kept = BTreeMap<(bool, Uuid), Reading>;

fn keep(kept: &mut Kept, probe: bool, some: &[(u8, i8)]) {
    let mut some: Vec<_> = some.iter().copied().map(reading).collect();
    // Of two with one id in a batch the first by its id counts, which a stable order makes the first that was sent.
    some.sort_by_key(|reading| reading.id);
    for reading in some {
        kept.entry((probe, reading.id)).or_insert(reading);
    }
}

async fn all(store: &Store, probe: bool) -> Vec<Reading> {
    let mut some = store.readings(name(probe), Timestamp::MIN, Timestamp::MAX);
    let mut all = Vec::new();
    while let Some(batch) = some.recv().await {
        all.extend(batch.unwrap());
    }
    all
}

async fn run(history: Vec<Done>) -> Result<(), TestCaseError> {
    let store = Store::temporary().await.unwrap();
    let mut kept = Kept::new();
    let made = |some: &[(u8, i8)]| some.iter().copied().map(reading).collect::<Vec<_>>();
    for done in history {
        match done {
            Done::Sent(probe, some) => {
                store.store_readings(name(probe), &made(&some)).await.unwrap();
                keep(&mut kept, probe, &some);
            }
            Done::Brought(probe, some) => {
                let mut import = store.begin_import().await.unwrap();
                import.stage_readings(name(probe), made(&some)).await.unwrap();
                import.finish().await.unwrap();
                keep(&mut kept, probe, &some);
            }
            Done::GivenUp(probe, some) => {
                let mut import = store.begin_import().await.unwrap();
                import.stage_readings(name(probe), made(&some)).await.unwrap();
                import.give_up().await.unwrap();
            }
            Done::Meanwhile(probe, some, more) => {
                let mut import = store.begin_import().await.unwrap();
                import.stage_readings(name(probe), made(&some)).await.unwrap();
                store.store_readings(name(probe), &made(&more)).await.unwrap();
                // What the probe says itself comes before what the file says of it.
                keep(&mut kept, probe, &more);
                import.finish().await.unwrap();
                keep(&mut kept, probe, &some);
            }
        }
    }
    for probe in [false, true] {
        let mut expected: Vec<_> =
            kept.iter().filter(|((of, _), _)| *of == probe).map(|(_, reading)| *reading).collect();
        expected.sort_by_key(|reading| (reading.at, reading.id));
        prop_assert_eq!(all(&store, probe).await, expected);
    }
    Ok(())
}

proptest! {
    #![proptest_config(ProptestConfig { cases: 24, ..ProptestConfig::default() })]

    #[test]
    fn the_store_keeps_what_a_map_keeps(history in prop::collection::vec(done(), 1..10)) {
        tokio::runtime::Runtime::new().unwrap().block_on(run(history))?;
    }

    #[test]
    fn events_are_appended_once_in_the_order_they_came(batches in prop::collection::vec(prop::collection::vec(0u8..16, 0..6), 1..8)) {
        tokio::runtime::Runtime::new().unwrap().block_on(async {
            let store = Store::temporary().await.unwrap();
            let cook = Uuid::from_u128(7);
            let plan: Plan = serde_json::from_value(serde_json::json!({"name": "One", "serve_at": "2027-02-06T16:30:00Z", "forecast": {"cut": "shin", "method": "braise"}})).unwrap();
            let summary = Summary { line: "{}".into(), document: "{}".into(), closed: false, day: start(), reckoned: true };
            store.open_cook(cook, Uuid::from_u128(1), &plan, start(), &summary).await.unwrap();
            let mut expected: Vec<u8> = Vec::new();
            let mut seq = 0;
            for batch in batches {
                let events: Vec<_> = batch
                    .iter()
                    .map(|id| Event { id: Uuid::from_u128(100 + u128::from(*id)), at: start(), happened: Happened::Note { text: id.to_string() }, device: None })
                    .collect();
                // Who folded an older cook is told so, and has kept nothing.
                if seq > 0 {
                    prop_assert!(matches!(store.append(cook, seq - 1, &events, &summary).await, Err(Error::Moved)));
                }
                store.append(cook, seq, &events, &summary).await.unwrap();
                for id in batch {
                    if !expected.contains(&id) {
                        expected.push(id);
                    }
                }
                let stored = store.cook(cook).await.unwrap();
                seq = stored.seq;
                let kept: Vec<_> = stored.events.iter().map(|event| event.id.as_u128() as u8 - 100).collect();
                prop_assert_eq!(&kept, &expected);
            }
            Ok(())
        })?;
    }
}
