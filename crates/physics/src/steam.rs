//! Water and steam at saturation, and the air's pressure at an altitude.

use std::sync::LazyLock;

use crate::smooth::Smooth;
use crate::units::kelvin;

/// Latent heat of evaporation near the boil, J/kg. IAPWS-95 at 100 °C.
pub const LATENT_HEAT: f64 = 2.257e6;
/// Specific gas constant of water vapour, J/(kg K).
const VAPOUR_GAS_CONSTANT: f64 = 461.5;

/// Pressure of the standard atmosphere at an altitude in metres, Pa (ICAO 1993).
pub fn atmospheric_pressure(altitude_m: f64) -> f64 {
    101_325.0 * (1.0 - 2.255_77e-5 * altitude_m).powf(5.255_88)
}

/// Saturation pressure of water at a temperature in °C, Pa.
///
/// Wagner and Pruss (1993), IAPWS; 0–373 °C.
pub fn saturation_pressure(temperature_c: f64) -> f64 {
    const CRITICAL_K: f64 = 647.096;
    const CRITICAL_PA: f64 = 22.064e6;
    let t = kelvin(temperature_c);
    let x = 1.0 - t / CRITICAL_K;
    let sum = -7.859_517_83 * x + 1.844_082_59 * x.powf(1.5) - 11.786_649_7 * x.powi(3) + 22.680_741_1 * x.powf(3.5)
        - 15.961_871_9 * x.powi(4)
        + 1.801_225_02 * x.powf(7.5);
    CRITICAL_PA * (CRITICAL_K / t * sum).exp()
}

/// The temperature at which water boils under an absolute pressure in Pa, °C.
///
/// The inverse of [`saturation_pressure`], by Newton on its logarithm; good to 1e-6 K.
pub fn saturation_temperature(pressure_pa: f64) -> f64 {
    let mut t = 100.0;
    for _ in 0..20 {
        let slope = (saturation_pressure(t + 0.01).ln() - saturation_pressure(t - 0.01).ln()) / 0.02;
        let step = (pressure_pa.ln() - saturation_pressure(t).ln()) / slope;
        t += step;
        if step.abs() < 1e-9 {
            break;
        }
    }
    t
}

/// The local boil at an altitude in metres, °C.
pub fn boiling_point(altitude_m: f64) -> f64 {
    saturation_temperature(atmospheric_pressure(altitude_m))
}

/// Density of saturated vapour, kg/m³, as an ideal gas; held at its ends beyond 0–140 °C.
pub fn vapour() -> &'static Saturation {
    static DENSITY: LazyLock<Saturation> =
        LazyLock::new(|| Smooth::fit(0.0, 140.0, |t| saturation_pressure(t) / (VAPOUR_GAS_CONSTANT * kelvin(t))));
    &DENSITY
}

/// A saturation curve, to parts in a million.
pub type Saturation = Smooth<8>;

/// [`saturation_pressure`] and its slope, Pa and Pa/K, quick; held at its ends beyond 0–140 °C.
pub fn saturation() -> &'static Saturation {
    static PRESSURE: LazyLock<Saturation> = LazyLock::new(|| Smooth::fit(0.0, 140.0, saturation_pressure));
    &PRESSURE
}

#[cfg(test)]
mod tests {
    use super::*;

    fn rows(text: &str) -> impl Iterator<Item = Vec<f64>> + '_ {
        text.lines().skip(1).map(|line| line.split(',').map(|field| field.parse().unwrap()).collect())
    }

    #[test]
    fn saturation_agrees_with_the_steam_table() {
        for row in rows(include_str!("../tests/oracle/steam_saturation.csv")) {
            let ratio = saturation_pressure(row[0]) / row[1];
            assert!((ratio - 1.0).abs() < 5e-4, "{} °C: {}", row[0], saturation_pressure(row[0]));
        }
    }

    #[test]
    fn the_boil_agrees_with_the_table_at_every_altitude_and_gauge() {
        for row in rows(include_str!("../tests/oracle/boiling_point.csv")) {
            let t = saturation_temperature(atmospheric_pressure(row[0]) + row[1] * 1000.0);
            assert!((t - row[2]).abs() < 0.05, "{} m, {} kPa: {t} against {}", row[0], row[1], row[2]);
        }
    }
}
