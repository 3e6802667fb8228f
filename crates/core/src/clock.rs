//! Instants and local times. Instants are stored; local times are read and shown in the kitchen's zone.

use jiff::civil::{DateTime, Time};
use jiff::tz::{AmbiguousOffset, TimeZone};
use jiff::{SignedDuration, Timestamp};

use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use ergastic_words::errors as say;

use crate::error::{Error, Result, WhatIsWrong};

/// A time zone by its IANA name.
///
/// # Errors
/// Names the field when there is no such zone.
pub fn zone(field: &str, name: &str) -> Result<TimeZone> {
    TimeZone::get(name).map_err(|_| Error::said(WhatIsWrong::Unknown, field, say::zone_given(name), say::zone()))
}

/// An instant from RFC 3339 text with an offset, or from a local time read in `zone`.
///
/// In the hour that a clock change skips or repeats, the earlier offset is taken.
///
/// # Errors
/// Names the field when the text is neither.
pub fn instant(field: &str, text: &str, zone: &TimeZone) -> Result<Timestamp> {
    if let Ok(instant) = text.parse::<Timestamp>() {
        return Ok(instant);
    }
    let local = text.parse::<DateTime>().ok();
    local
        .and_then(|local| zone.to_ambiguous_timestamp(local).compatible().ok())
        .ok_or_else(|| Error::new(WhatIsWrong::Unknown, field, format!("{text:?}"), say::instant()))
}

/// Whether a local time comes twice in a zone, in the night the clocks go back: [`instant`] takes the first of the two.
pub fn comes_twice(text: &str, zone: &TimeZone) -> bool {
    let local = text.parse::<Timestamp>().is_err().then(|| text.parse::<DateTime>().ok()).flatten();
    local.is_some_and(|local| matches!(zone.to_ambiguous_timestamp(local).offset(), AmbiguousOffset::Fold { .. }))
}

/// That an instant lies in the years 2000 to 2100: a clock that was never set says 1970.
///
/// # Errors
/// Names the field.
pub fn check_instant(field: &str, instant: Timestamp) -> Result<()> {
    const FROM_S: i64 = 946_684_800;
    const UNTIL_S: i64 = 4_133_980_800;
    if (FROM_S..UNTIL_S).contains(&instant.as_second()) {
        return Ok(());
    }
    Err(Error::new(WhatIsWrong::OutOfRange, field, instant, say::not_our_time()))
}

/// `instant` moved by minutes, which may be negative; held at the ends of representable time.
pub fn plus_minutes(instant: Timestamp, minutes: f64) -> Timestamp {
    let seconds = (minutes * 60.0).round().clamp(-1e10, 1e10) as i64;
    instant.saturating_add(SignedDuration::from_secs(seconds)).unwrap_or(instant)
}

/// Minutes from `from` to `to`.
pub fn minutes_between(from: Timestamp, to: Timestamp) -> f64 {
    to.duration_since(from).as_secs_f64() / 60.0
}

/// From a time of day to another, `["23:00", "06:30"]`; across midnight where the second is earlier. Either may be a
/// whole local time or an instant instead.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct Hours(pub String, pub String);

/// A stretch of time.
#[derive(Debug, Clone, Copy, PartialEq, Eq, PartialOrd, Ord)]
pub struct Stretch {
    /// Its first moment.
    pub begin: Timestamp,
    /// Its last.
    pub end: Timestamp,
}

/// Checks hours of the day.
///
/// # Errors
/// Names the field of the first that can't be read.
pub fn check_hours(field: &str, hours: &[Hours]) -> Result<()> {
    spans(field, hours, Timestamp::UNIX_EPOCH, Timestamp::UNIX_EPOCH, &TimeZone::UTC).map(drop)
}

/// Every span that hours of the day, or whole times, make between two instants, in time order and merged.
///
/// # Errors
/// Names the field of the first that can't be read.
pub fn spans(field: &str, hours: &[Hours], from: Timestamp, to: Timestamp, zone: &TimeZone) -> Result<Vec<Stretch>> {
    /// A bell lies 60 days off at most; a long way starts days before now, and the night after the bell counts too.
    const MAX_DAYS: usize = 70;
    const MAX_SPANS: usize = 24;
    if hours.len() > MAX_SPANS {
        return Err(Error::new(WhatIsWrong::OutOfRange, field, hours.len(), say::at_most(MAX_SPANS as u32)));
    }
    let mut found = Vec::new();
    for (i, Hours(begin, end)) in hours.iter().enumerate() {
        let field = format!("{field}[{i}]");
        // A whole local time reads as a time of day too.
        let time = |text: &str| if text.contains('T') { None } else { text.parse::<Time>().ok() };
        let of_the_day = time(begin).zip(time(end));
        let Some((begin, end)) = of_the_day else {
            let span = Stretch { begin: instant(&field, begin, zone)?, end: instant(&field, end, zone)? };
            if span.begin >= span.end {
                return Err(Error::said(WhatIsWrong::Clash, field, say::from_to(begin, end), say::end_after_begin()));
            }
            found.push(span);
            continue;
        };
        let first = from
            .to_zoned_datetime(zone.clone())
            .date()
            .yesterday()
            .map_err(|_| Error::new(WhatIsWrong::OutOfRange, &field, begin, say::not_our_time()))?;
        for date in first.series(jiff::Span::new().days(1)).take(MAX_DAYS) {
            let ends_on = if end > begin { Some(date) } else { date.tomorrow().ok() };
            let at =
                |date: jiff::civil::Date, time| zone.to_ambiguous_timestamp(date.to_datetime(time)).compatible().ok();
            match at(date, begin).zip(ends_on.and_then(|date| at(date, end))) {
                Some((begin, _)) if begin > to => break,
                Some((begin, end)) if end > from => found.push(Stretch { begin, end }),
                _ => {}
            }
        }
    }
    Ok(merged(found))
}

/// Whether an instant lies within hours of the day; hours that can't be read hold nothing.
pub fn within(hours: &[Hours], at: Timestamp, zone: &TimeZone) -> bool {
    spans("", hours, at, at + SignedDuration::from_secs(1), zone).is_ok_and(|found| !found.is_empty())
}

/// Spans in time order, those that touch made one: no hour is counted twice.
pub fn merged(mut found: Vec<Stretch>) -> Vec<Stretch> {
    found.sort();
    let mut merged: Vec<Stretch> = Vec::new();
    for span in found {
        match merged.last_mut() {
            Some(last) if span.begin <= last.end => last.end = last.end.max(span.end),
            _ => merged.push(span),
        }
    }
    merged
}

#[cfg(test)]
mod tests {
    use super::*;
    use proptest::prelude::*;

    #[test]
    fn local_times_are_read_in_the_zone_and_offsets_win() {
        let helsinki = zone("zone", "Europe/Helsinki").unwrap();
        let local = instant("serve_at", "2027-02-05T19:00", &helsinki).unwrap();
        assert_eq!(local, "2027-02-05T17:00:00Z".parse().unwrap());
        assert_eq!(instant("serve_at", "2027-02-05T19:00:00+02:00", &helsinki).unwrap(), local);
        assert_eq!(instant("serve_at", "soon", &helsinki).unwrap_err().field, "serve_at");
    }

    #[test]
    fn a_clock_that_was_never_set_is_refused() {
        let named = |text: &str| check_instant("at", text.parse().unwrap()).err().map(|error| error.field);
        assert_eq!(named("1970-01-01T00:00:05Z").as_deref(), Some("at"));
        assert_eq!(named("2101-01-01T00:00:00Z").as_deref(), Some("at"));
        assert_eq!(named("2000-01-01T00:00:00Z"), None);
        assert_eq!(named("2100-12-31T23:59:59Z"), None);
    }

    #[test]
    fn no_hour_counts_twice() {
        let at = |text: &str| -> Timestamp { format!("2027-02-05T{text}:00Z").parse().unwrap() };
        let span = |begin: &str, end: &str| Stretch { begin: at(begin), end: at(end) };
        let busy = merged(vec![span("12:00", "14:00"), span("08:00", "10:00"), span("09:00", "12:00")]);
        assert_eq!(busy, [span("08:00", "14:00")]);
    }

    #[test]
    fn nights_reach_as_far_as_a_bell_may_lie() {
        let from: Timestamp = "2027-01-01T12:00:00Z".parse().unwrap();
        let (early, serve_at) = (plus_minutes(from, -4.0 * 1440.0), plus_minutes(from, 61.0 * 1440.0));
        let nights =
            spans("asleep", &[Hours("23:00".into(), "06:30".into())], early, serve_at, &TimeZone::UTC).unwrap();
        assert!(nights.last().unwrap().end > plus_minutes(serve_at, -1440.0), "{:?}", nights.last());
        assert_eq!(nights.len(), 65);
    }

    #[test]
    fn an_overnight_cook_keeps_its_length_when_the_clocks_change() {
        let helsinki = zone("zone", "Europe/Helsinki").unwrap();
        let evening = instant("now", "2027-03-27T22:00", &helsinki).unwrap();
        let morning = instant("now", "2027-03-28T08:00", &helsinki).unwrap();
        assert_eq!(minutes_between(evening, morning), 9.0 * 60.0);
        assert_eq!(plus_minutes(evening, 540.0), morning);
    }

    #[test]
    fn hours_of_the_day_become_spans_across_midnight_and_the_change_of_clocks() {
        let helsinki = zone("zone", "Europe/Helsinki").unwrap();
        let at = |text| instant("now", text, &helsinki).unwrap();
        let hours = |a: &str, b: &str| Hours(a.into(), b.into());
        let nights = [hours("23:00", "06:30"), hours("2027-03-28T05:00", "2027-03-28T09:00")];
        let found = spans("asleep", &nights, at("2027-03-27T12:00"), at("2027-03-29T12:00"), &helsinki).unwrap();
        assert_eq!(found.len(), 2, "the span that touches the night is one with it: {found:?}");
        assert_eq!(found[0], Stretch { begin: at("2027-03-27T23:00"), end: at("2027-03-28T09:00") });
        assert_eq!(minutes_between(found[0].begin, found[0].end), 9.0 * 60.0, "that night has an hour less");
        let named = |hours: Hours| check_hours("away", &[hours]).unwrap_err().field;
        assert_eq!(named(hours("late", "06:00")), "away[0]");
        assert_eq!(named(hours("2027-03-28T09:00", "2027-03-28T05:00")), "away[0]");
    }

    proptest! {
        #![proptest_config(ProptestConfig { cases: 100, failure_persistence: None, ..ProptestConfig::default() })]

        #[test]
        fn hours_of_the_day_hold_the_minutes_whose_clock_says_so(
            begin in 0..1440i32, length in 1..1440i32, day in prop::sample::select(vec!["2027-02-05", "2027-03-27", "2027-10-30"]),
        ) {
            // The hour that is skipped or comes twice is left out: what an hour of the day means there is open.
            let unclear = |minute: i32| (120..300).contains(&minute);
            let end = (begin + length) % 1440;
            prop_assume!(!unclear(begin) && !unclear(end));
            let helsinki = zone("zone", "Europe/Helsinki").unwrap();
            let clock = |minute: i32| format!("{:02}:{:02}", minute / 60, minute % 60);
            let from = instant("now", &format!("{day}T12:00"), &helsinki).unwrap();
            let to = plus_minutes(from, 2.0 * 1440.0);
            let found = spans("away", &[Hours(clock(begin), clock(end))], from, to, &helsinki).unwrap();
            for minute in 0..2 * 1440 {
                let at = plus_minutes(from, f64::from(minute));
                let local = at.to_zoned_datetime(helsinki.clone()).time();
                let local = i32::from(local.hour()) * 60 + i32::from(local.minute());
                let said = if begin < end { (begin..end).contains(&local) } else { local >= begin || local < end };
                let held = found.iter().any(|stretch| stretch.begin <= at && at < stretch.end);
                prop_assert_eq!(held, said, "at {} in {:?}", at, found);
            }
        }
    }
}
