//! The pot: a lump of water, iron and meat on a hob or in an oven, and the steam that leaves it.

use crate::parameters::{CoverFigures, Parameters};
use crate::steam::{LATENT_HEAT, Saturation, vapour};
use crate::units::MINUTE_S;

/// Specific heat of water, J/(kg K).
pub const WATER_SPECIFIC_HEAT: f64 = 4186.0;
/// Volumetric heat of air, J/(m³ K): turns a heat coefficient into a vapour one (Lewis).
const AIR_VOLUMETRIC_HEAT: f64 = 1006.0;
/// What a pot is made of.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum Wall {
    /// Cast or enamelled iron.
    Iron,
    /// Stainless steel.
    Steel,
    /// Aluminium.
    Aluminium,
    /// Ceramic.
    Ceramic,
    /// Glass.
    Glass,
}

impl Wall {
    /// Specific heat, J/(kg K).
    pub fn specific_heat(self, p: &Parameters) -> f64 {
        p.wall[self as usize].specific_heat
    }
}

/// What covers a pot.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum Cover {
    /// A tight lid.
    Tight,
    /// Foil.
    Foil,
    /// A loose lid.
    Loose,
    /// A lid ajar.
    Ajar,
    /// None.
    None,
}

impl Cover {
    /// What it does.
    #[inline(always)]
    pub(crate) fn figures(self, p: &Parameters) -> &CoverFigures {
        &p.cover[self as usize]
    }

    /// Nothing at all.
    pub fn is_open(self) -> bool {
        self == Self::None
    }
}

/// How the hob is set, against the local boil.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum SimmerLevel {
    /// A bubble now and then.
    Lazy,
    /// Bubbles in one or two places.
    Gentle,
    /// Small bubbles all over.
    Brisk,
    /// Rolling.
    Boil,
}

impl SimmerLevel {
    /// Kelvin below the local boil.
    pub fn below_boil_k(self, p: &Parameters) -> f64 {
        p.simmer[self as usize].below_boil_k
    }

    /// Steam that the bubbles carry off under a loose lid, kg/s per m² of surface.
    fn bubbling(self, p: &Parameters) -> f64 {
        p.simmer[self as usize].bubbling_g_h / 1000.0 / 3600.0 / (std::f64::consts::PI * 0.13 * 0.13)
    }
}

/// A vessel with its areas worked out.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Vessel {
    /// Floor, and surface of the liquid, m².
    pub floor_m2: f64,
    /// Everything the oven's air touches: floor, wall and lid, m².
    pub outside_m2: f64,
    /// Inner height, m.
    pub height_m: f64,
    /// What it is made of.
    pub wall: Wall,
    /// What covers it.
    pub cover: Cover,
}

impl Vessel {
    /// A round one, from its inner diameter and height in m.
    pub fn round(diameter_m: f64, height_m: f64, wall: Wall, cover: Cover) -> Self {
        let floor_m2 = std::f64::consts::PI * diameter_m * diameter_m / 4.0;
        let perimeter_m = std::f64::consts::PI * diameter_m;
        Self { floor_m2, outside_m2: 2.0 * floor_m2 + perimeter_m * height_m, height_m, wall, cover }
    }

    /// The usual one: 26 × 13 cm of iron.
    pub fn usual(cover: Cover) -> Self {
        Self::round(0.26, 0.13, Wall::Iron, cover)
    }

    /// Across a round floor as large as this one, m.
    pub fn across_m(&self) -> f64 {
        (self.floor_m2 * 4.0 / std::f64::consts::PI).sqrt()
    }

    /// Heat capacity of the empty pot, J/K.
    pub fn heat_capacity(&self, p: &Parameters) -> f64 {
        let covers = if self.cover.is_open() { self.floor_m2 } else { 0.0 };
        let wall = &p.wall[self.wall as usize];
        (self.outside_m2 - covers) * wall.kg_per_m2 * wall.specific_heat
    }

    /// What the pot holds to the brim, m³.
    pub fn volume_m3(&self) -> f64 {
        self.floor_m2 * self.height_m
    }

    /// Vapour lost from a still surface at a temperature, kg/s. `vapour` is saturated vapour's density, and `lid_factor`
    /// scales the cover's share.
    #[inline(always)]
    pub fn diffusion(&self, p: &Parameters, vapour: &Saturation, celsius: f64, lid_factor: f64, fan: bool) -> f64 {
        let blown = if fan && self.cover.is_open() { p.pot.fan_over_liquid } else { 0.0 };
        let coefficient = p.pot.air_coefficient + blown;
        let share = f64::min(1.0, self.cover.figures(p).vapour_share * lid_factor);
        let excess = f64::max(0.0, vapour.at(celsius) - p.pot.air_vapour);
        coefficient / AIR_VOLUMETRIC_HEAT * self.floor_m2 * share * p.pot.free_surface * excess
    }

    /// Vapour lost on the hob, kg/s: what diffuses, and what the bubbles carry.
    #[inline(always)]
    pub fn hob_loss(&self, p: &Parameters, simmer: SimmerLevel, celsius: f64, lid_factor: f64) -> f64 {
        self.diffusion(p, vapour(), celsius, lid_factor, false)
            + simmer.bubbling(p) * self.floor_m2 * self.cover.figures(p).bubbles_pass * lid_factor.sqrt()
    }

    /// W/K from oven air to the pot.
    pub fn oven_conductance(&self, p: &Parameters, fan: bool) -> f64 {
        let blown = if fan { p.pot.fan_outside } else { 0.0 };
        (p.wall[self.wall as usize].oven_coefficient + blown) * self.outside_m2
    }
}

/// Closes a pot's balance of a step once the meat's heat is known: `(temperature °C, steam kg)`.
///
/// `income` is what comes in at a mean temperature, less what the meat took, J. Whatever is left over after warming the
/// pot leaves as steam, so energy is conserved exactly.
#[inline(always)]
pub fn close(income: impl Fn(f64) -> f64, heat_capacity: f64, now_c: f64, predicted_c: f64) -> (f64, f64) {
    let income = income(0.5 * (now_c + predicted_c));
    let left = income - heat_capacity * (predicted_c - now_c);
    let short_c = now_c + income / heat_capacity;
    (if left >= 0.0 { predicted_c } else { short_c }, f64::max(left, 0.0) / LATENT_HEAT)
}

/// What a step of the pot's balance needs to know.
#[derive(Debug, Clone, Copy)]
pub struct PotBalance {
    /// Length of the step, s.
    pub step_s: f64,
    /// Pot at its start, °C.
    pub celsius: f64,
    /// Oven air, °C.
    pub oven_c: f64,
    /// Local boil, °C.
    pub boil_c: f64,
    /// Pot and liquid, J/K.
    pub heat_capacity: f64,
    /// Oven to pot, W/K.
    pub conductance: f64,
    /// Liquid to meat, W/K.
    pub meat_conductance: f64,
    /// Surface of the meat, °C.
    pub meat_c: f64,
    /// Heat that evaporation draws, W.
    pub evaporation: f64,
}

impl PotBalance {
    /// Where the pot's temperature tends over a step in surroundings that heat it, before the meat's share is known, °C.
    ///
    /// Linearised implicit Euler by minutes on `C dT/dt = G (T_oven − T) − λ m(T) − g (T − T_meat)`, held at the boil.
    #[inline(always)]
    pub fn predict(&self) -> f64 {
        // Vapour density grows by about 3.6 % a kelvin near the boil.
        let slope = self.conductance + 0.036 * self.evaporation + self.meat_conductance;
        let surplus = self.conductance * (self.oven_c - self.celsius)
            - self.evaporation
            - self.meat_conductance * (self.celsius - self.meat_c);
        // What a minute leaves of the way to where it tends; a long step is five.
        let minute = self.heat_capacity / (self.heat_capacity + f64::min(self.step_s, MINUTE_S) * slope);
        let squared = minute * minute;
        let left = if self.step_s > MINUTE_S { squared * squared * minute } else { minute };
        f64::min(self.boil_c, self.celsius + surplus / slope * (1.0 - left))
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    fn settle(pot: &Vessel, oven_c: f64) -> (f64, f64) {
        let mut celsius = 90.0;
        let mut steam = 0.0;
        for minute in 0..600 {
            let now = PotBalance {
                step_s: 60.0,
                celsius,
                oven_c,
                boil_c: 100.0,
                heat_capacity: pot.heat_capacity(&Parameters::USUAL) + 1.5 * WATER_SPECIFIC_HEAT,
                conductance: pot.oven_conductance(&Parameters::USUAL, false),
                meat_conductance: 0.0,
                meat_c: 90.0,
                evaporation: pot.diffusion(&Parameters::USUAL, vapour(), celsius, 1.0, false) * LATENT_HEAT,
            };
            let income = |mean_c: f64| 60.0 * now.conductance * (oven_c - mean_c);
            let (next, lost) = close(income, now.heat_capacity, celsius, now.predict());
            celsius = next;
            if minute >= 540 {
                steam += lost;
            }
        }
        (celsius, steam * 1000.0)
    }

    #[test]
    fn a_lidded_iron_pot_boils_from_120_and_the_dial_decides_the_water() {
        let pot = Vessel::usual(Cover::Tight);
        for (oven_c, grams) in [(120.0, 80.0), (150.0, 230.0), (175.0, 360.0)] {
            let (celsius, lost) = settle(&pot, oven_c);
            assert!(celsius > 99.5, "{oven_c}: {celsius}");
            assert!((lost / grams - 1.0).abs() < 0.25, "{oven_c} °C: {lost} g/h against {grams}");
        }
    }

    #[test]
    fn an_open_pot_stays_below_and_a_cool_oven_is_a_slow_braise() {
        let open = Vessel::usual(Cover::None);
        let (celsius, _) = settle(&open, 150.0);
        assert!((70.0..85.0).contains(&celsius), "{celsius}");
        let (celsius, _) = settle(&Vessel::usual(Cover::Tight), 100.0);
        assert!((88.0..99.0).contains(&celsius), "{celsius}");
    }

    #[test]
    fn the_hob_loses_what_cooks_measure() {
        let pot = Vessel::usual(Cover::Loose);
        for (simmer, low, high) in
            [(SimmerLevel::Lazy, 30.0, 60.0), (SimmerLevel::Gentle, 100.0, 150.0), (SimmerLevel::Brisk, 220.0, 290.0)]
        {
            let grams =
                pot.hob_loss(&Parameters::USUAL, simmer, 100.0 - simmer.below_boil_k(&Parameters::USUAL), 1.0) * 3.6e6;
            assert!((low..high).contains(&grams), "{simmer:?}: {grams} g/h");
        }
    }
}
