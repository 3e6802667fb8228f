//! Working round the hours when nobody is up or there.

use jiff::Timestamp;

use crate::clock::{Stretch, minutes_between, plus_minutes};

/// A piece of hands-on work of something that starts some time.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Work {
    /// From the start, min.
    pub from_min: f64,
    /// How long it takes, min.
    pub takes_min: f64,
}

/// Where one of the works falls into a stretch when it all starts at `at`.
fn hindered(at: Timestamp, works: &[Work], busy: &[Stretch]) -> Option<(Stretch, Work)> {
    busy.iter().find_map(|stretch| {
        let work = works.iter().find(|work| {
            let begin = plus_minutes(at, work.from_min);
            begin < stretch.end && plus_minutes(begin, work.takes_min) > stretch.begin
        })?;
        Some((*stretch, *work))
    })
}

/// The first start from `from` on that keeps all hands-on work out of the stretches.
pub fn earliest_free(from: Timestamp, works: &[Work], busy: &[Stretch]) -> Timestamp {
    let mut at = from;
    // Each round leaves a work behind a stretch for good, so this ends.
    while let Some((stretch, work)) = hindered(at, works, busy) {
        at = plus_minutes(stretch.end, -work.from_min);
    }
    at
}

/// The last start up to `until` that keeps all hands-on work out of the stretches.
pub fn latest_free(until: Timestamp, works: &[Work], busy: &[Stretch]) -> Timestamp {
    let mut at = until;
    while let Some((stretch, work)) = hindered(at, works, busy) {
        // One after the other, as it is looked at: moments are whole seconds, and two roundings are not one.
        at = plus_minutes(plus_minutes(stretch.begin, -work.takes_min), -work.from_min);
    }
    at
}

/// Minutes of the time between two moments that lie in the stretches.
pub fn overlap_min(from: Timestamp, to: Timestamp, busy: &[Stretch]) -> f64 {
    busy.iter().map(|stretch| minutes_between(from.max(stretch.begin), to.min(stretch.end)).max(0.0)).sum()
}

#[cfg(test)]
mod tests {
    use super::*;
    use proptest::prelude::*;

    fn at(text: &str) -> Timestamp {
        format!("2027-02-{text}:00Z").parse().unwrap()
    }

    fn stretch(begin: &str, end: &str) -> Stretch {
        Stretch { begin: at(begin), end: at(end) }
    }

    fn work(from_min: f64, takes_min: f64) -> Work {
        Work { from_min, takes_min }
    }

    #[test]
    fn a_start_moves_out_of_the_night_to_where_hands_are_free() {
        let nights = [stretch("05T21:00", "06T04:30"), stretch("06T09:00", "06T10:00")];
        let hour = [work(0.0, 60.0)];
        assert_eq!(earliest_free(at("05T22:00"), &hour, &nights), at("06T04:30"));
        assert_eq!(earliest_free(at("06T08:30"), &hour, &nights), at("06T10:00"), "it would run into the hour away");
        assert_eq!(earliest_free(at("06T08:30"), &[work(0.0, 30.0)], &nights), at("06T08:30"));
        assert_eq!(latest_free(at("06T02:00"), &hour, &nights), at("05T20:00"));
        assert_eq!(latest_free(at("06T09:30"), &hour, &nights), at("06T08:00"));
        assert_eq!(latest_free(at("06T10:00"), &hour, &nights), at("06T10:00"));
        // What is chilled three hours after it began is chilled before bed.
        assert_eq!(latest_free(at("05T20:00"), &[work(0.0, 60.0), work(180.0, 10.0)], &nights), at("05T17:50"));
        assert_eq!(overlap_min(at("05T20:00"), at("06T09:30"), &nights), 450.0 + 30.0);
    }

    const DAY: &str = "05T00:00";

    fn minute(minute: i32) -> Timestamp {
        plus_minutes(at(DAY), f64::from(minute))
    }

    /// From which minute, for how many.
    type FromFor = (i32, i32);

    /// Up to four stretches within three days, and up to four works within two.
    fn day() -> impl Strategy<Value = (Vec<FromFor>, Vec<FromFor>)> {
        let busy = prop::collection::vec((0..4320i32, 1..700i32), 0..5);
        let works = prop::collection::vec((0..2880i32, 1..240i32), 1..5);
        (busy, works)
    }

    /// Whether no minute of any work lies in a minute of any stretch: looked at one by one.
    fn free(start: i32, works: &[FromFor], busy: &[FromFor]) -> bool {
        let is_busy = |minute: i32| busy.iter().any(|(begin, length)| (*begin..begin + length).contains(&minute));
        works.iter().all(|(from, takes)| (start + from..start + from + takes).all(|minute| !is_busy(minute)))
    }

    proptest! {
        #![proptest_config(ProptestConfig { cases: 200, failure_persistence: None, ..ProptestConfig::default() })]

        #[test]
        fn the_first_and_the_last_free_start_are_those_of_a_search_by_the_minute(
            (busy, works) in day(), from in 0..4320i32,
        ) {
            let stretches: Vec<_> =
                busy.iter().map(|(begin, length)| Stretch { begin: minute(*begin), end: minute(begin + length) }).collect();
            let asked: Vec<_> = works.iter().map(|(from, takes)| work(f64::from(*from), f64::from(*takes))).collect();
            let first = (from..).find(|start| free(*start, &works, &busy)).unwrap();
            prop_assert_eq!(earliest_free(minute(from), &asked, &stretches), minute(first));
            let last = (-10_000..=from).rev().find(|start| free(*start, &works, &busy)).unwrap();
            prop_assert_eq!(latest_free(minute(from), &asked, &stretches), minute(last));
            let merged = crate::clock::merged(stretches);
            let counted = (from..from + 600)
                .filter(|minute| busy.iter().any(|(begin, length)| (*begin..begin + length).contains(minute)))
                .count();
            prop_assert_eq!(overlap_min(minute(from), minute(from + 600), &merged), counted as f64);
        }
    }
}
