//! Water and steam at saturation, and the air's pressure at an altitude.

use std::sync::LazyLock;

use crate::parameters::SteamFigures;
use crate::pit::psychrometric;
use crate::smooth::Smooth;
use crate::units::kelvin;

/// Latent heat of evaporation near the boil, J/kg. IAPWS-95 at 100 °C.
pub const LATENT_HEAT: f64 = 2.257e6;
/// Specific gas constant of water vapour, J/(kg K).
const VAPOUR_GAS_CONSTANT: f64 = 461.5;

/// Pressure of the standard atmosphere at an altitude in metres, Pa (ICAO 1993).
///
/// ```
/// use ergastic_physics::steam::atmospheric_pressure;
/// assert_eq!(atmospheric_pressure(0.0).round(), 101_325.0);
/// assert!(atmospheric_pressure(1500.0) < 85_000.0);
/// ```
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
///
/// ```
/// use ergastic_physics::steam::saturation_temperature;
/// // A pressure pot at 70 kPa over the air.
/// assert!((saturation_temperature(101_325.0 + 70_000.0) - 115.4).abs() < 0.3);
/// ```
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
///
/// ```
/// use ergastic_physics::steam::boiling_point;
/// assert!((boiling_point(0.0) - 100.0).abs() < 0.1);
/// assert!((boiling_point(1500.0) - 95.0).abs() < 0.3);
/// ```
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

impl SteamFigures {
    /// Air to meat with what the walls radiate, W/(m² K).
    #[inline(always)]
    pub(crate) fn at_the_surface(&self) -> f64 {
        self.air + self.radiation
    }
}

/// A steam oven as it is set.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct SteamOven {
    /// Set point, °C.
    pub set_c: f64,
    /// How full its steam is: its vapour over that of saturated air, 0 to 1.
    pub fullness: f64,
    /// The air's pressure, Pa.
    pub pressure_pa: f64,
}

impl SteamOven {
    /// Vapour pressure where it is so warm, Pa.
    #[inline(always)]
    pub fn vapour_pa(&self, p: &SteamFigures, celsius: f64) -> f64 {
        f64::min(self.fullness * saturation().with_slope(celsius).0, p.most_vapour * self.pressure_pa)
    }

    /// Share of air in it at its set point, 0 to 1.
    pub fn air_share(&self, p: &SteamFigures) -> f64 {
        1.0 - self.vapour_pa(p, self.set_c) / self.pressure_pa
    }

    /// Heat that condensing brings, or evaporation draws, for each Pa between the air's vapour and that at the surface, W/(m² Pa).
    ///
    /// Lewis' analogy with Stefan's flow through the air that stays behind at the surface: `S h_c / γ` with `S = p / logmean(p − p_s,
    /// p − p_v)` (Bird, Stewart and Lightfoot, 2002).
    #[inline(always)]
    pub fn condensing(&self, p: &SteamFigures, vapour_pa: f64, surface_pa: f64) -> f64 {
        let (far, near) = (f64::max(self.pressure_pa - vapour_pa, 1.0), f64::max(self.pressure_pa - surface_pa, 1.0));
        // The logarithmic mean, which is the plain one where both are alike.
        let mean = if (far / near - 1.0).abs() < 1e-3 { 0.5 * (far + near) } else { (far - near) / (far / near).ln() };
        let stream = f64::min(self.pressure_pa / mean, p.most_stream);
        stream * p.air / psychrometric(self.pressure_pa)
    }

    /// Where what stays wet in it stands, °C: at its dew point and below it heat comes by condensing alone, above it evaporation balances
    /// the air's heat.
    pub fn wet_bulb_c(&self, p: &SteamFigures) -> f64 {
        let vapour_pa = self.vapour_pa(p, self.set_c);
        let (mut low, mut high) = (0.0, self.set_c);
        for _ in 0..60 {
            let middle = 0.5 * (low + high);
            let surface_pa = saturation_pressure(middle);
            let gains = p.at_the_surface() * (self.set_c - middle)
                + self.condensing(p, vapour_pa, surface_pa) * (vapour_pa - surface_pa);
            if gains > 0.0 { low = middle } else { high = middle }
        }
        low
    }
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

    const SEA_PA: f64 = 101_325.0;

    fn oven(set_c: f64, fullness: f64) -> SteamOven {
        SteamOven { set_c, fullness, pressure_pa: SEA_PA }
    }

    /// What a surface at 60 °C gets in full steam, W/(m² K).
    fn coefficient(set_c: f64) -> f64 {
        let oven = oven(set_c, 1.0);
        let (vapour_pa, surface_pa) = (oven.vapour_pa(&SteamFigures::USUAL, set_c), saturation_pressure(60.0));
        SteamFigures::USUAL.at_the_surface()
            + oven.condensing(&SteamFigures::USUAL, vapour_pa, surface_pa) * (vapour_pa - surface_pa) / (set_c - 60.0)
    }

    #[test]
    fn steam_with_air_in_it_gives_what_was_measured_on_cold_walls() {
        // Uchida, Oyama and Togo (1965): 379 (m_v / m_a)^0.707, within a third; more air, less heat.
        for set_c in [85.0, 90.0, 95.0] {
            let air = oven(set_c, 1.0).air_share(&SteamFigures::USUAL);
            let measured = 379.0 * ((1.0 - air) * 18.0 / (air * 29.0)).powf(0.707);
            let ratio = coefficient(set_c) / measured;
            assert!((0.67..1.5).contains(&ratio), "{set_c} °C: {} against {measured}", coefficient(set_c));
        }
        assert!(coefficient(85.0) < coefficient(90.0) && coefficient(90.0) < coefficient(95.0));
    }

    #[test]
    fn full_steam_holds_a_wet_surface_at_its_own_heat_and_half_steam_well_below() {
        assert!(
            (oven(95.0, 1.0).air_share(&SteamFigures::USUAL) - 0.17).abs() < 0.01
                && (oven(95.0, 0.5).air_share(&SteamFigures::USUAL) - 0.58).abs() < 0.01
        );
        assert!((oven(95.0, 1.0).wet_bulb_c(&SteamFigures::USUAL) - 95.0).abs() < 0.1);
        let half = oven(95.0, 0.5);
        let dew_c = saturation_temperature(half.vapour_pa(&SteamFigures::USUAL, 95.0));
        assert!(
            (dew_c - 77.0).abs() < 1.0 && (dew_c..dew_c + 2.0).contains(&half.wet_bulb_c(&SteamFigures::USUAL)),
            "{dew_c}, {}",
            half.wet_bulb_c(&SteamFigures::USUAL)
        );
    }

    #[test]
    fn no_steam_is_fuller_than_the_air_lets_it_be() {
        for set_c in [60.0, 85.0, 100.0] {
            for fullness in [0.5, 1.0] {
                let oven = SteamOven { set_c, fullness, pressure_pa: 80_000.0 };
                assert!(oven.vapour_pa(&SteamFigures::USUAL, set_c) <= 0.98 * 80_000.0);
                let e = oven.condensing(
                    &SteamFigures::USUAL,
                    oven.vapour_pa(&SteamFigures::USUAL, set_c),
                    saturation_pressure(set_c),
                );
                assert!(e.is_finite() && e > 0.0, "{set_c}, {fullness}: {e}");
            }
        }
    }
}
