//! Working round the hours when nobody is up or there.

use jiff::Timestamp;

use crate::clock::{Span, minutes_between, plus_minutes};

/// A stretch of hands-on work: minutes from the start, and how long it takes.
pub type Hands = (f64, f64);

/// Where one of the works falls into a span when it all starts at `at`.
fn hindered(at: Timestamp, hands: &[Hands], busy: &[Span]) -> Option<(Span, Hands)> {
    busy.iter().find_map(|span| {
        let work = hands.iter().find(|(from, length)| {
            let begin = plus_minutes(at, *from);
            begin < span.1 && plus_minutes(begin, *length) > span.0
        })?;
        Some((*span, *work))
    })
}

/// The first start from `from` on that keeps all hands-on work out of the spans; `from` if there is none.
pub fn earliest_free(from: Timestamp, hands: &[Hands], busy: &[Span]) -> Timestamp {
    let mut at = from;
    for _ in 0..=2 * busy.len() {
        match hindered(at, hands, busy) {
            None => return at,
            Some((span, (offset, _))) => at = plus_minutes(span.1, -offset),
        }
    }
    from
}

/// The last start up to `until` that keeps all hands-on work out of the spans; `until` if there is none.
pub fn latest_free(until: Timestamp, hands: &[Hands], busy: &[Span]) -> Timestamp {
    let mut at = until;
    for _ in 0..=2 * busy.len() {
        match hindered(at, hands, busy) {
            None => return at,
            Some((span, (offset, length))) => at = plus_minutes(span.0, -(offset + length)),
        }
    }
    until
}

/// Minutes of a stretch of time that lie in the spans.
pub fn overlap_min(from: Timestamp, to: Timestamp, busy: &[Span]) -> f64 {
    busy.iter().map(|(begin, end)| minutes_between(from.max(*begin), to.min(*end)).max(0.0)).sum()
}

#[cfg(test)]
mod tests {
    use super::*;

    fn at(text: &str) -> Timestamp {
        format!("2027-02-{text}:00Z").parse().unwrap()
    }

    #[test]
    fn a_start_moves_out_of_the_night_to_where_hands_are_free() {
        let nights = [(at("05T21:00"), at("06T04:30")), (at("06T09:00"), at("06T10:00"))];
        let hour = [(0.0, 60.0)];
        assert_eq!(earliest_free(at("05T22:00"), &hour, &nights), at("06T04:30"));
        assert_eq!(earliest_free(at("06T08:30"), &hour, &nights), at("06T10:00"), "it would run into the hour away");
        assert_eq!(earliest_free(at("06T08:30"), &[(0.0, 30.0)], &nights), at("06T08:30"));
        assert_eq!(latest_free(at("06T02:00"), &hour, &nights), at("05T20:00"));
        assert_eq!(latest_free(at("06T09:30"), &hour, &nights), at("06T08:00"));
        assert_eq!(latest_free(at("06T10:00"), &hour, &nights), at("06T10:00"));
        // What is chilled three hours after it began is chilled before bed.
        assert_eq!(latest_free(at("05T20:00"), &[(0.0, 60.0), (180.0, 10.0)], &nights), at("05T17:50"));
        assert_eq!(overlap_min(at("05T20:00"), at("06T09:30"), &nights), 450.0 + 30.0);
    }
}
