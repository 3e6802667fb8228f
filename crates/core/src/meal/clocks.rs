//! The night the clocks change: when, by how much, and which hour comes twice.

use ergastic_words::{Instant, Voice, meal as say};
use jiff::Timestamp;
use jiff::tz::TimeZone;

use super::answer::ClockChange;

/// Every change of the clocks from one instant to another.
pub(super) fn changes(zone: &TimeZone, from: Timestamp, to: Timestamp, voice: Voice) -> Vec<ClockChange> {
    let before = zone.following(from).take_while(|change| change.timestamp() <= to);
    before
        .filter_map(|change| {
            let at = change.timestamp();
            let just_before = at.checked_sub(jiff::SignedDuration::from_secs(1)).ok()?;
            let seconds = zone.to_offset(at).seconds() - zone.to_offset(just_before).seconds();
            if seconds == 0 {
                return None;
            }
            // The clock as it would read without the change, and as it reads after it.
            let offset = TimeZone::fixed(zone.to_offset(just_before));
            let (was, is) = (
                Instant { at, zone: offset.clone(), read_at: None },
                Instant { at, zone: zone.clone(), read_at: None },
            );
            let text = match seconds > 0 {
                true => say::clocks_forward(was, is),
                false => say::clocks_back(was, is),
            };
            Some(ClockChange { at, forward_min: f64::from(seconds) / 60.0, text: voice.render(text) })
        })
        .collect()
}

/// Whether an instant lies in an hour that the clock shows for the second time.
pub(super) fn second_time(changes: &[ClockChange], at: Timestamp) -> bool {
    changes.iter().any(|change| {
        let since = crate::clock::minutes_between(change.at, at);
        change.forward_min < 0.0 && (0.0..-change.forward_min).contains(&since)
    })
}

#[cfg(test)]
mod tests {
    use super::*;

    fn at(text: &str) -> Timestamp {
        text.parse().unwrap()
    }

    fn between(from: &str, to: &str) -> Vec<ClockChange> {
        let helsinki = TimeZone::get("Europe/Helsinki").unwrap();
        changes(&helsinki, at(from), at(to), Voice::default())
    }

    #[test]
    fn a_night_on_which_the_clocks_change_is_told_and_no_other() {
        assert!(between("2027-02-05T08:00:00Z", "2027-02-06T18:00:00Z").is_empty());
        let spring = between("2027-03-27T08:00:00Z", "2027-03-28T18:00:00Z");
        assert_eq!(spring.iter().map(|change| change.forward_min).collect::<Vec<_>>(), [60.0]);
        let autumn = between("2027-10-30T08:00:00Z", "2027-10-31T18:00:00Z");
        assert_eq!((autumn.len(), autumn[0].forward_min, autumn[0].at), (1, -60.0, at("2027-10-31T01:00:00Z")));
        assert_ne!(spring[0].text, autumn[0].text);
    }

    #[test]
    fn the_hour_that_comes_twice_is_the_one_after_the_change_back() {
        let autumn = between("2027-10-30T08:00:00Z", "2027-10-31T18:00:00Z");
        let second = |text: &str| second_time(&autumn, at(text));
        assert!(!second("2027-10-31T00:30:00Z") && second("2027-10-31T01:30:00Z") && !second("2027-10-31T02:00:00Z"));
        let spring = between("2027-03-27T08:00:00Z", "2027-03-28T18:00:00Z");
        assert!(!second_time(&spring, at("2027-03-28T01:30:00Z")));
    }
}
