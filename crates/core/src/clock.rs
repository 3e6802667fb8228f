//! Instants and local times. Instants are stored; local times are read and shown in the kitchen's zone.

use jiff::civil::DateTime;
use jiff::tz::TimeZone;
use jiff::{SignedDuration, Timestamp};

use crate::error::{Error, Result};

/// A time zone by its IANA name.
///
/// # Errors
/// Names the field when there is no such zone.
pub fn zone(field: &str, name: &str) -> Result<TimeZone> {
    TimeZone::get(name)
        .map_err(|_| Error::new(field, format!("{name:?}"), "it must be an IANA zone such as \"Europe/Helsinki\""))
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
    text.parse::<DateTime>().ok().and_then(|local| zone.to_ambiguous_timestamp(local).compatible().ok()).ok_or_else(
        || {
            Error::new(
                field,
                format!("{text:?}"),
                "it must be a time such as 2027-02-05T19:00 or 2027-02-05T19:00:00+02:00",
            )
        },
    )
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

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn local_times_are_read_in_the_zone_and_offsets_win() {
        let helsinki = zone("zone", "Europe/Helsinki").unwrap();
        let local = instant("bell", "2027-02-05T19:00", &helsinki).unwrap();
        assert_eq!(local, "2027-02-05T17:00:00Z".parse().unwrap());
        assert_eq!(instant("bell", "2027-02-05T19:00:00+02:00", &helsinki).unwrap(), local);
        assert_eq!(instant("bell", "soon", &helsinki).unwrap_err().field, "bell");
    }

    #[test]
    fn an_overnight_cook_keeps_its_length_when_the_clocks_change() {
        let helsinki = zone("zone", "Europe/Helsinki").unwrap();
        let evening = instant("now", "2027-03-27T22:00", &helsinki).unwrap();
        let morning = instant("now", "2027-03-28T08:00", &helsinki).unwrap();
        assert_eq!(minutes_between(evening, morning), 9.0 * 60.0);
        assert_eq!(plus_minutes(evening, 540.0), morning);
    }
}
