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
