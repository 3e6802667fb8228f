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

#[cfg(test)]
mod tests {
    use proptest::prelude::*;

    use super::*;

    proptest! {
        #[test]
        fn a_whole_step_is_at_most_one_step_off_and_stays_where_it_is(second in -2_000_000_000i64..4_000_000_000, step in prop::sample::select(vec![5i64, 15, 60])) {
            let instant = Timestamp::from_second(second).unwrap();
            let (floor, ceil) = (floor_minutes(instant, step), ceil_minutes(instant, step));
            prop_assert!(floor <= instant && instant <= ceil);
            prop_assert!(ceil.as_second() - floor.as_second() <= step * 60);
            prop_assert_eq!((floor.as_second() % (step * 60), ceil.as_second() % (step * 60)), (0, 0));
            prop_assert_eq!((floor_minutes(floor, step), ceil_minutes(ceil, step)), (floor, ceil));
        }
    }
}
