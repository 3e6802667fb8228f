//! Coals under and over an iron pot: how hot a count of them is, and how it burns down.

use crate::parameters::CoalFigures;

/// The share that lies over the pot at a simmer.
pub const OVER_AT_A_SIMMER: f64 = 1.0 / 3.0;
/// When fresh coals go on if nothing is said, min: lit by 25, added at 35 to 40. Practice.
pub const FRESH_EVERY_MIN: f64 = 35.0;
/// The pot is turned a quarter and its lid back this often, min. Practice.
pub const TURN_EVERY_MIN: f64 = 15.0;
/// A fire of counted briquettes.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct CoalFire {
    /// In a ring under the pot.
    pub under: u32,
    /// On its lid.
    pub over: u32,
    /// Across the pot, m.
    pub diameter_m: f64,
    /// Its height, m.
    pub height_m: f64,
    /// Fresh coals this often, s.
    pub fresh_every_s: f64,
    /// So much more of them the wind takes, as a share.
    pub wind_takes: f64,
    /// The air outside, °C.
    pub air_c: f64,
}

/// Briquettes that a pot needs by the rule, which is written in Fahrenheit and inches, to stand as in an oven of a temperature in °C, in still air of 15 °C or more.
///
/// ```
/// use ergastic_physics::coals::briquettes_for;
/// use ergastic_physics::parameters::Parameters;
/// // Twelve inches across and 350 °F: twice the inches.
/// assert_eq!(briquettes_for(&Parameters::USUAL.coals, 0.3048, 0.10, 176.67).round(), 24.0);
/// ```
pub fn briquettes_for(p: &CoalFigures, diameter_m: f64, height_m: f64, oven_c: f64) -> f64 {
    let fahrenheit = oven_c * 1.8 + 32.0;
    let deep = if height_m > p.deep_m { p.deep_more } else { 0.0 };
    p.per_inch * diameter_m / 0.0254 + (fahrenheit - 350.0) / p.fahrenheit_each + deep
}

impl CoalFire {
    /// The oven these coals are like at their best, °C: [`briquettes_for`] turned round.
    pub fn full_c(&self, p: &CoalFigures) -> f64 {
        // The rule is for a third over; coals moved beneath heat the liquid more, coals moved over less.
        let usual = 1.0 - OVER_AT_A_SIMMER + OVER_AT_A_SIMMER * p.over_worth;
        let worth = (f64::from(self.under) + p.over_worth * f64::from(self.over)) / usual;
        let cold = f64::max(0.0, p.cold_below_c - self.air_c) / 5.0;
        let count = worth / (1.0 + self.wind_takes) - cold;
        let fahrenheit =
            350.0 + p.fahrenheit_each * (count - briquettes_for(p, self.diameter_m, self.height_m, 176.67));
        f64::max(self.air_c, (fahrenheit - 32.0) / 1.8)
    }

    /// Share of the full output since the fire was laid, s, with fresh coals at their times.
    pub fn output(&self, p: &CoalFigures, since_s: f64) -> f64 {
        let age = since_s % self.fresh_every_s;
        (-f64::max(0.0, age - p.plateau_s) / p.burn_down_s).exp()
    }

    /// The oven they are like at a time, °C.
    pub fn oven_c(&self, p: &CoalFigures, since_s: f64) -> f64 {
        self.air_c + (self.full_c(p) - self.air_c) * self.output(p, since_s)
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    fn coals(under: u32, over: u32) -> CoalFire {
        CoalFire { under, over, diameter_m: 0.26, height_m: 0.12, fresh_every_s: 1e9, wind_takes: 0.0, air_c: 20.0 }
    }

    #[test]
    fn a_count_and_its_temperature_are_each_others_inverse() {
        let count = briquettes_for(&CoalFigures::USUAL, 0.26, 0.12, 177.0);
        assert!((count - 20.5).abs() < 0.1, "about two an inch: {count}");
        let laid = coals((count * 2.0 / 3.0).round() as u32, (count / 3.0).round() as u32);
        assert!((laid.full_c(&CoalFigures::USUAL) - 177.0).abs() < 6.0, "{}", laid.full_c(&CoalFigures::USUAL));
    }

    #[test]
    fn wind_and_cold_take_heat_and_coals_burn_down() {
        let calm = coals(12, 8);
        let windy = CoalFire { wind_takes: 0.2, ..calm };
        let cold = CoalFire { air_c: -15.0, ..calm };
        assert!(
            windy.full_c(&CoalFigures::USUAL) < calm.full_c(&CoalFigures::USUAL) - 15.0
                && cold.full_c(&CoalFigures::USUAL) < calm.full_c(&CoalFigures::USUAL) - 30.0
        );
        assert!(coals(16, 4).full_c(&CoalFigures::USUAL) > coals(4, 16).full_c(&CoalFigures::USUAL));
        assert_eq!(calm.output(&CoalFigures::USUAL, 1700.0), 1.0);
        assert!((calm.output(&CoalFigures::USUAL, 2700.0) - 0.54).abs() < 0.01);
        let fed = CoalFire { fresh_every_s: FRESH_EVERY_MIN * 60.0, ..calm };
        assert!(fed.oven_c(&CoalFigures::USUAL, 9000.0) > calm.oven_c(&CoalFigures::USUAL, 9000.0) + 100.0);
    }
}
