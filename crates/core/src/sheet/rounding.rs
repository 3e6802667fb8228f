//! Times that a cook can keep: on whole fives and quarters.

use jiff::Timestamp;

use crate::clock::plus_minutes;

/// The last whole step of minutes before an instant.
pub fn floor_minutes(instant: Timestamp, step: i64) -> Timestamp {
    let seconds = instant.as_second().div_euclid(step * 60) * step * 60;
    Timestamp::from_second(seconds).unwrap_or(instant)
}

/// The first whole step of minutes from an instant on.
pub fn ceil_minutes(instant: Timestamp, step: i64) -> Timestamp {
    let floor = floor_minutes(instant, step);
    if floor == instant { floor } else { plus_minutes(floor, step as f64) }
}
