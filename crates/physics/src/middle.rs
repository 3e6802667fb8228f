//! How long one piece takes to be warm, or cold, through to its middle.

use crate::body::{Shape, Surroundings};
use crate::conduction::Bodies;

/// A step, and followed no longer, s.
const STEP_S: f64 = 20.0;
const MAX_S: f64 = 12.0 * 3600.0;

/// Seconds until the middle of a piece comes from one temperature to another in surroundings of a third, °C, which its surface
/// meets with `coefficient` W/(m² K); 12 h where it never does.
pub fn middle_s(shape: Shape, [from_c, to_c]: [f64; 2], around_c: f64, coefficient: f64) -> f64 {
    let mut body = Bodies::<1>::new(shape.exponent, [shape.half_thickness_m], from_c, STEP_S);
    let around = Surroundings::dry([around_c], [around_c], [coefficient]);
    let on_the_way = |celsius: f64| if to_c > from_c { celsius < to_c } else { celsius > to_c };
    let mut seconds = 0.0;
    while on_the_way(body.celsius[0][0]) && seconds < MAX_S {
        body.step(&around);
        seconds += STEP_S;
    }
    seconds
}
