//! Softening on one scale: the hours at 95 °C that do as much.

use crate::parameters::Parameters;
use crate::smooth::Smooth;
use crate::units::kelvin;

/// Gas constant, J/(mol K). CODATA 2018.
pub const GAS_CONSTANT: f64 = 8.314_462_618;
/// The temperature at which an hour is a tender-hour, K.
pub const REFERENCE_K: f64 = 368.15;
/// Below this nothing softens within a cook's patience, °C. Working value.
pub const SOFTENS_FROM_C: f64 = 60.0;

/// Rate of softening against 95 °C at a temperature in °C; nothing below 60 °C.
///
/// ```
/// use ergastic_physics::tender::rate;
/// assert!((rate(95.0) - 1.0).abs() < 1e-9);
/// assert!(rate(85.0) < 0.5 && rate(55.0) == 0.0);
/// ```
pub fn rate(celsius: f64) -> f64 {
    rate_at(Parameters::USUAL.tender.activation_energy, celsius)
}

/// The same for another activation energy, J/mol.
fn rate_at(activation_energy: f64, celsius: f64) -> f64 {
    if celsius < SOFTENS_FROM_C {
        return 0.0;
    }
    (-activation_energy / GAS_CONSTANT * (1.0 / kelvin(celsius) - 1.0 / REFERENCE_K)).exp()
}

/// [`rate`] as a polynomial.
pub type Softening = Smooth<7>;

/// [`rate`] between 60 and 130 °C for an activation energy, J/mol: quick enough for every shell of every simulated cook.
pub fn softening_of(activation_energy: f64) -> Softening {
    Smooth::fit(SOFTENS_FROM_C, 130.0, |celsius| rate_at(activation_energy, celsius))
}

/// What one piece has to reach: tender-hours for "enough" and for "too far".
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Goal {
    /// Mean tender-hours at which it is ready, for a cut of the median resistance.
    pub enough: f64,
    /// Share of that which the middle has to have.
    pub middle_share: f64,
    /// Mean tender-hours at which it has gone too far.
    pub overcooked: f64,
    /// Toughness of cut, age and feed: divides a dose to read it on the scale from slice to spoon.
    pub toughness: f64,
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn the_rate_is_arrhenius_and_its_polynomial_agrees() {
        // The law written out, apart from the polynomial.
        for celsius in [63.0, 75.0, 85.0, 90.0, 95.0, 100.0, 115.0, 120.5] {
            let expected = f64::exp(-80_700.0 / 8.314_462_618 * (1.0 / (celsius + 273.15) - 1.0 / 368.15));
            let ratio = rate(celsius) / expected;
            assert!((ratio - 1.0).abs() < 1e-9, "{celsius} °C: {} against {expected}", rate(celsius));
            assert!(
                (softening_of(Parameters::USUAL.tender.activation_energy).at(celsius) / rate(celsius) - 1.0).abs()
                    < 1e-6,
                "{celsius} °C"
            );
        }
        assert_eq!(rate(59.9), 0.0);
    }
}
