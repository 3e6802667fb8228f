//! How long one piece takes to be warm, or cold, through to its middle.

use crate::body::{BodyShape, Surroundings};
use crate::conduction::Bodies;
use crate::parameters::Meat;

/// A step, and followed no longer, s.
const STEP_S: f64 = 20.0;
const MAX_S: f64 = 12.0 * 3600.0;

/// Seconds until the middle of a piece comes from one temperature to another in surroundings of a third, °C, which its surface
/// meets with `coefficient` W/(m² K); 12 h where it never does.
///
/// ```
/// use ergastic_physics::body::BodyShape;
/// use ergastic_physics::middle_s;
/// let minutes = |thick_m: f64| middle_s(BodyShape::from_sides([thick_m, 0.2, 0.3]), [5.0, 75.0], 95.0, 300.0) / 60.0;
/// // Half as thick takes not half as long, but about a quarter.
/// assert!(minutes(0.08) > 3.0 * minutes(0.04));
/// ```
pub fn middle_s(shape: BodyShape, [from_c, to_c]: [f64; 2], around_c: f64, coefficient: f64) -> f64 {
    let mut body = Bodies::<1>::new(shape.exponent, [shape.half_thickness_m], from_c, STEP_S, &Meat::USUAL);
    let around = Surroundings::dry([around_c], [around_c], [coefficient]);
    let on_the_way = |celsius: f64| if to_c > from_c { celsius < to_c } else { celsius > to_c };
    let mut seconds = 0.0;
    while on_the_way(body.celsius[0][0]) && seconds < MAX_S {
        body.step(&around);
        seconds += STEP_S;
    }
    seconds
}

#[cfg(test)]
mod tests {
    use proptest::prelude::*;

    use super::*;

    proptest! {
        #[test]
        fn the_thicker_the_longer_and_the_hotter_the_sooner(half_m in 0.01..0.05, exponent in 0.0..2.0) {
            let shape = |half_thickness_m| BodyShape { half_thickness_m, exponent };
            let warm = |half_m, around_c| middle_s(shape(half_m), [5.0, 60.0], around_c, 200.0);
            prop_assert!(warm(half_m, 80.0) < warm(1.2 * half_m, 80.0));
            prop_assert!(warm(half_m, 95.0) < warm(half_m, 80.0));
            prop_assert!(middle_s(shape(half_m), [80.0, 10.0], 2.0, 50.0) > middle_s(shape(half_m), [80.0, 30.0], 2.0, 50.0));
        }
    }

    #[test]
    fn what_never_gets_there_is_followed_no_longer_than_half_a_day() {
        let piece = BodyShape { half_thickness_m: 0.03, exponent: 0.5 };
        assert_eq!(middle_s(piece, [5.0, 90.0], 80.0, 200.0), MAX_S);
        assert_eq!(middle_s(piece, [70.0, 60.0], 80.0, 200.0), MAX_S);
        assert_eq!(middle_s(piece, [60.0, 60.0], 80.0, 200.0), 0.0);
    }
}
