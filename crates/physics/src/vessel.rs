//! The pot: a lump of water, iron and meat on a hob or in an oven, and the steam that leaves it.

use crate::steam::{LATENT_HEAT, Saturation, vapour};

/// Specific heat of water, J/(kg K).
pub const WATER_SPECIFIC_HEAT: f64 = 4186.0;
/// Convective coefficient above a still liquid, W/(m² K). Working value.
const AIR_COEFFICIENT: f64 = 10.0;
/// Volumetric heat of air, J/(m³ K): turns a heat coefficient into a vapour one (Lewis).
const AIR_VOLUMETRIC_HEAT: f64 = 1006.0;
/// Simmering liquid to meat, W/(m² K). Working value.
pub const LIQUID_COEFFICIENT: f64 = 300.0;
/// Fat and solids cover about half of the surface. Working value.
const FREE_SURFACE: f64 = 0.5;
/// Vapour already in the kitchen's or oven's air, kg/m³. Working value.
const AIR_VAPOUR: f64 = 0.015;
/// A simmer counts as reached this close under the boil, K: the first bubbles that stay.
pub const SIMMER_REACHED_K: f64 = 4.5;
/// Time constant of warming the liquid on the hob to its simmer, s. Working value: 60 °C to the first
/// bubbles in a quarter of an hour.
pub const RISE_S: f64 = 420.0;

/// What a pot is made of.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Wall {
    /// Outside coefficient in still oven air, W/(m² K): dark surfaces take radiation. Fitted to water loss.
    pub oven_coefficient: f64,
    /// Specific heat, J/(kg K). Published.
    pub specific_heat: f64,
    /// Mass per area, kg/m²: usual wall thickness × density. Working value.
    pub kg_per_m2: f64,
}

impl Wall {
    /// Cast or enamelled iron.
    pub const IRON: Self = Self { oven_coefficient: 14.0, specific_heat: 460.0, kg_per_m2: 25.0 };
    /// Stainless steel.
    pub const STEEL: Self = Self { oven_coefficient: 10.0, specific_heat: 500.0, kg_per_m2: 16.0 };
    /// Aluminium.
    pub const ALUMINIUM: Self = Self { oven_coefficient: 10.0, specific_heat: 900.0, kg_per_m2: 11.0 };
    /// Ceramic.
    pub const CERAMIC: Self = Self { oven_coefficient: 13.0, specific_heat: 850.0, kg_per_m2: 20.0 };
    /// Glass.
    pub const GLASS: Self = Self { oven_coefficient: 13.0, specific_heat: 830.0, kg_per_m2: 14.0 };
}

/// What covers a pot.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Cover {
    /// Share of the vapour that gets past it. Working values.
    pub vapour_share: f64,
    /// From what lies over the liquid to meat, W/(m² K): where no air gets in, steam condenses on it. Working values.
    pub steam_coefficient: f64,
    /// What the bubbles bring up that it lets go, against a loose lid: a tight one gives back some, no lid lets more go. Working values.
    pub bubbles_pass: f64,
    /// Nothing at all.
    pub open: bool,
}

impl Cover {
    /// A tight lid.
    pub const TIGHT: Self = Self { vapour_share: 0.02, steam_coefficient: 250.0, bubbles_pass: 0.6, open: false };
    /// Foil.
    pub const FOIL: Self = Self { vapour_share: 0.03, steam_coefficient: 150.0, bubbles_pass: 0.6, open: false };
    /// A loose lid.
    pub const LOOSE: Self = Self { vapour_share: 0.12, steam_coefficient: 80.0, bubbles_pass: 1.0, open: false };
    /// A lid ajar.
    pub const AJAR: Self = Self { vapour_share: 0.30, steam_coefficient: 40.0, bubbles_pass: 1.2, open: false };
    /// None.
    pub const NONE: Self = Self { vapour_share: 1.0, steam_coefficient: 18.0, bubbles_pass: 1.5, open: true };
}

/// How the hob is set, against the local boil.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Simmer {
    /// Kelvin below the local boil. Working values; gentle chosen by the fit (`./dev fit`): at 4.5 every stew on the hob comes
    /// out a sixth slower against the same stew in the oven than cooks find it.
    pub below_boil_k: f64,
    /// Steam that the bubbles carry off under a loose lid from a 26 cm pot, g/h. Fitted to 40, 100–150 and 250 g/h.
    bubbling_g_h: f64,
}

impl Simmer {
    /// A bubble now and then.
    pub const LAZY: Self = Self { below_boil_k: 10.0, bubbling_g_h: 10.0 };
    /// Bubbles in one or two places.
    pub const GENTLE: Self = Self { below_boil_k: 3.0, bubbling_g_h: 70.0 };
    /// Small bubbles all over.
    pub const BRISK: Self = Self { below_boil_k: 1.5, bubbling_g_h: 185.0 };
    /// Rolling.
    pub const BOIL: Self = Self { below_boil_k: 0.0, bubbling_g_h: 600.0 };

    /// Steam that the bubbles carry off under a loose lid, kg/s per m² of surface.
    fn bubbling(self) -> f64 {
        self.bubbling_g_h / 1000.0 / 3600.0 / (std::f64::consts::PI * 0.13 * 0.13)
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
        Self::round(0.26, 0.13, Wall::IRON, cover)
    }

    /// Across a round floor as large as this one, m.
    pub fn across_m(&self) -> f64 {
        (self.floor_m2 * 4.0 / std::f64::consts::PI).sqrt()
    }

    /// Heat capacity of the empty pot, J/K.
    pub fn heat_capacity(&self) -> f64 {
        let covers = if self.cover.open { self.floor_m2 } else { 0.0 };
        (self.outside_m2 - covers) * self.wall.kg_per_m2 * self.wall.specific_heat
    }

    /// What the pot holds to the brim, m³.
    pub fn volume_m3(&self) -> f64 {
        self.floor_m2 * self.height_m
    }

    /// Vapour lost from a still surface at a temperature, kg/s. `vapour` is saturated vapour's density, and `lid_factor`
    /// scales the cover's share.
    #[inline(always)]
    pub fn diffusion(&self, vapour: &Saturation, celsius: f64, lid_factor: f64, fan: bool) -> f64 {
        let coefficient = AIR_COEFFICIENT + if fan && self.cover.open { 6.0 } else { 0.0 };
        let share = f64::min(1.0, self.cover.vapour_share * lid_factor);
        let excess = f64::max(0.0, vapour.at(celsius) - AIR_VAPOUR);
        coefficient / AIR_VOLUMETRIC_HEAT * self.floor_m2 * share * FREE_SURFACE * excess
    }

    /// Vapour lost on the hob, kg/s: what diffuses, and what the bubbles carry.
    #[inline(always)]
    pub fn hob_loss(&self, simmer: Simmer, celsius: f64, lid_factor: f64) -> f64 {
        self.diffusion(vapour(), celsius, lid_factor, false)
            + simmer.bubbling() * self.floor_m2 * self.cover.bubbles_pass * lid_factor.sqrt()
    }

    /// W/K from oven air to the pot.
    pub fn oven_conductance(&self, fan: bool) -> f64 {
        (self.wall.oven_coefficient + if fan { 6.0 } else { 0.0 }) * self.outside_m2
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
pub struct Balance {
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

impl Balance {
    /// Where the pot's temperature tends over a step in surroundings that heat it, before the meat's share is known, °C.
    ///
    /// Linearised implicit Euler on `C dT/dt = G (T_oven − T) − λ m(T) − g (T − T_meat)`, held at the boil.
    #[inline(always)]
    pub fn predict(&self) -> f64 {
        // Vapour density grows by about 3.6 % a kelvin near the boil.
        let slope = self.conductance + 0.036 * self.evaporation + self.meat_conductance;
        let surplus = self.conductance * (self.oven_c - self.celsius)
            - self.evaporation
            - self.meat_conductance * (self.celsius - self.meat_c);
        f64::min(self.boil_c, self.celsius + self.step_s * surplus / (self.heat_capacity + self.step_s * slope))
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    fn settle(pot: &Vessel, oven_c: f64) -> (f64, f64) {
        let mut celsius = 90.0;
        let mut steam = 0.0;
        for minute in 0..600 {
            let now = Balance {
                step_s: 60.0,
                celsius,
                oven_c,
                boil_c: 100.0,
                heat_capacity: pot.heat_capacity() + 1.5 * WATER_SPECIFIC_HEAT,
                conductance: pot.oven_conductance(false),
                meat_conductance: 0.0,
                meat_c: 90.0,
                evaporation: pot.diffusion(vapour(), celsius, 1.0, false) * LATENT_HEAT,
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
        let pot = Vessel::usual(Cover::TIGHT);
        for (oven_c, grams) in [(120.0, 80.0), (150.0, 230.0), (175.0, 360.0)] {
            let (celsius, lost) = settle(&pot, oven_c);
            assert!(celsius > 99.5, "{oven_c}: {celsius}");
            assert!((lost / grams - 1.0).abs() < 0.25, "{oven_c} °C: {lost} g/h against {grams}");
        }
    }

    #[test]
    fn an_open_pot_stays_below_and_a_cool_oven_is_a_slow_braise() {
        let open = Vessel::usual(Cover::NONE);
        let (celsius, _) = settle(&open, 150.0);
        assert!((70.0..85.0).contains(&celsius), "{celsius}");
        let (celsius, _) = settle(&Vessel::usual(Cover::TIGHT), 100.0);
        assert!((88.0..99.0).contains(&celsius), "{celsius}");
    }

    #[test]
    fn the_hob_loses_what_cooks_measure() {
        let pot = Vessel::usual(Cover::LOOSE);
        for (simmer, low, high) in
            [(Simmer::LAZY, 30.0, 60.0), (Simmer::GENTLE, 100.0, 150.0), (Simmer::BRISK, 220.0, 290.0)]
        {
            let grams = pot.hob_loss(simmer, 100.0 - simmer.below_boil_k, 1.0) * 3.6e6;
            assert!((low..high).contains(&grams), "{simmer:?}: {grams} g/h");
        }
    }
}
