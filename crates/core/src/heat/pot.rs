//! The pot: a lump of water, iron and meat on a hob or in an oven, and the steam that leaves it.

use ergastic_words::{Said, errors, ways};
use serde::{Deserialize, Serialize};
use serde_with::skip_serializing_none;
use utoipa::ToSchema;

use super::steam::{LATENT_HEAT, Saturation, vapour};
use crate::error::{Result, Unit, in_range};

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

/// What the pot is made of.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Default, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Material {
    /// Cast or enamelled iron.
    #[default]
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

/// How the pot is covered.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Lid {
    /// Tight.
    Tight,
    /// Foil.
    Foil,
    /// Loose.
    Loose,
    /// Ajar.
    Ajar,
    /// Not at all.
    None,
}

/// How the hob is set, in words relative to the local boil.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Simmer {
    /// A bubble now and then.
    Lazy,
    /// Bubbles in one or two places.
    Gentle,
    /// Small bubbles all over.
    Brisk,
    /// Rolling.
    Boil,
}

impl Material {
    /// Outside coefficient in still oven air, W/(m² K): dark surfaces take radiation. Fitted to water loss.
    pub fn oven_coefficient(self) -> f64 {
        match self {
            Self::Iron => 14.0,
            Self::Steel | Self::Aluminium => 10.0,
            Self::Ceramic | Self::Glass => 13.0,
        }
    }

    /// Specific heat, J/(kg K). Published.
    pub fn specific_heat(self) -> f64 {
        match self {
            Self::Iron => 460.0,
            Self::Steel => 500.0,
            Self::Aluminium => 900.0,
            Self::Ceramic => 850.0,
            Self::Glass => 830.0,
        }
    }

    /// Wall mass per area, kg/m²: usual wall thickness × density. Working value.
    fn wall_kg_per_m2(self) -> f64 {
        match self {
            Self::Iron => 25.0,
            Self::Steel => 16.0,
            Self::Aluminium => 11.0,
            Self::Ceramic => 20.0,
            Self::Glass => 14.0,
        }
    }
}

impl Material {
    /// Its name in JSON.
    pub fn key(self) -> &'static str {
        match self {
            Self::Iron => "iron",
            Self::Steel => "steel",
            Self::Aluminium => "aluminium",
            Self::Ceramic => "ceramic",
            Self::Glass => "glass",
        }
    }
}

impl Lid {
    /// Share of the vapour that gets past it. Working values.
    pub fn vapour_share(self) -> f64 {
        match self {
            Self::Tight => 0.02,
            Self::Foil => 0.03,
            Self::Loose => 0.12,
            Self::Ajar => 0.30,
            Self::None => 1.0,
        }
    }

    /// From what lies over the liquid to meat, W/(m² K): where no air gets in, steam condenses on it. Working values.
    pub fn steam_coefficient(self) -> f64 {
        match self {
            Self::Tight => 250.0,
            Self::Foil => 150.0,
            Self::Loose => 80.0,
            Self::Ajar => 40.0,
            Self::None => 18.0,
        }
    }

    /// Its name in JSON.
    pub fn key(self) -> &'static str {
        match self {
            Self::Tight => "tight",
            Self::Foil => "foil",
            Self::Loose => "loose",
            Self::Ajar => "ajar",
            Self::None => "none",
        }
    }

    /// How it is said to a cook.
    pub fn words(self) -> Said {
        ways::lid(self.key())
    }
}

impl Simmer {
    /// Kelvin below the local boil. Working values; gentle chosen by the fit (`./dev fit`): at 4.5 every stew on the hob comes
    /// out a sixth slower against the same stew in the oven than cooks find it.
    pub fn below_boil(self) -> f64 {
        match self {
            Self::Lazy => 10.0,
            Self::Gentle => 3.0,
            Self::Brisk => 1.5,
            Self::Boil => 0.0,
        }
    }

    /// Steam that the bubbles carry off under a loose lid, kg/s per m² of surface. Fitted to
    /// 40, 100–150 and 250 g/h from a 26 cm pot.
    fn bubbling(self) -> f64 {
        let grams_an_hour = match self {
            Self::Lazy => 10.0,
            Self::Gentle => 70.0,
            Self::Brisk => 185.0,
            Self::Boil => 600.0,
        };
        grams_an_hour / 1000.0 / 3600.0 / (std::f64::consts::PI * 0.13 * 0.13)
    }

    /// Its name in JSON.
    pub fn key(self) -> &'static str {
        match self {
            Self::Lazy => "lazy",
            Self::Gentle => "gentle",
            Self::Brisk => "brisk",
            Self::Boil => "boil",
        }
    }

    /// What it looks like.
    pub fn looks(self) -> Said {
        ways::bubbles(self.key())
    }
}

/// A pot or tin, round or rectangular, as the cook describes it.
#[skip_serializing_none]
#[derive(Debug, Clone, Default, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields, default)]
pub struct Vessel {
    /// Inner diameter of a round vessel, cm.
    #[schema(minimum = 8, maximum = 120)]
    pub diameter_cm: Option<f64>,
    /// Inner width of a rectangular vessel, cm.
    #[schema(minimum = 8, maximum = 120)]
    pub width_cm: Option<f64>,
    /// Inner length of a rectangular vessel, cm.
    #[schema(minimum = 8, maximum = 120)]
    pub length_cm: Option<f64>,
    /// Inner height, cm.
    #[schema(minimum = 2, maximum = 80)]
    pub height_cm: Option<f64>,
    /// What it is made of.
    pub material: Option<Material>,
    /// How it is covered.
    pub lid: Option<Lid>,
}

/// A vessel with its areas worked out.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Pot {
    /// Floor, and surface of the liquid, m².
    pub floor_m2: f64,
    /// Everything the oven's air touches: floor, wall and lid, m².
    pub outside_m2: f64,
    /// Inner height, m.
    pub height_m: f64,
    /// Material.
    pub material: Material,
    /// Cover.
    pub lid: Lid,
}

impl Vessel {
    /// Works out the areas; 26 × 13 cm iron where nothing is said.
    ///
    /// # Errors
    /// Names the side that is out of range, or missing beside its fellow.
    pub fn resolve(&self, default_lid: Lid) -> Result<Pot> {
        let height_m = in_range("height_cm", self.height_cm.unwrap_or(13.0), 2.0, 80.0, Unit::Centimetres)? / 100.0;
        let (floor_m2, perimeter_m) = match (self.width_cm, self.length_cm) {
            (None, None) => {
                let diameter =
                    in_range("diameter_cm", self.diameter_cm.unwrap_or(26.0), 8.0, 120.0, Unit::Centimetres)? / 100.0;
                (std::f64::consts::PI * diameter * diameter / 4.0, std::f64::consts::PI * diameter)
            }
            (width, length) => {
                let need = |name: &str, side: Option<f64>| match side {
                    Some(side) => Ok(in_range(name, side, 8.0, 120.0, Unit::Centimetres)? / 100.0),
                    None => Err(crate::Error::missing(name, errors::both_sides())),
                };
                let (width, length) = (need("width_cm", width)?, need("length_cm", length)?);
                (width * length, 2.0 * (width + length))
            }
        };
        Ok(Pot {
            floor_m2,
            outside_m2: 2.0 * floor_m2 + perimeter_m * height_m,
            height_m,
            material: self.material.unwrap_or_default(),
            lid: self.lid.unwrap_or(default_lid),
        })
    }
}

impl Vessel {
    /// Whether its sides are given.
    pub fn is_sized(&self) -> bool {
        [self.diameter_cm, self.width_cm, self.length_cm, self.height_cm].into_iter().any(|side| side.is_some())
    }

    /// Its cover alone; none where none is given.
    pub fn only_lid(&self) -> Option<Self> {
        self.lid.map(|lid| Self { lid: Some(lid), ..Self::default() })
    }

    /// Whether it may stand on a flame or a plate: glass, ceramic, tins and oven dishes may not.
    pub fn stands_on_a_hob(&self) -> bool {
        let round = self.width_cm.is_none() && self.length_cm.is_none();
        round && !matches!(self.material, Some(Material::Ceramic | Material::Glass))
    }

    /// How wide it is: the diameter, or that of a circle of the same floor, m.
    pub fn across_m(&self) -> f64 {
        match (self.width_cm, self.length_cm) {
            (Some(width), Some(length)) => (width * length * 4.0 / std::f64::consts::PI).sqrt() / 100.0,
            _ => self.diameter_cm.unwrap_or(26.0) / 100.0,
        }
    }
}

impl Pot {
    /// Across a round floor as large as this one, m.
    pub fn across_m(&self) -> f64 {
        (self.floor_m2 * 4.0 / std::f64::consts::PI).sqrt()
    }

    /// Heat capacity of the empty pot, J/K.
    pub fn heat_capacity(&self) -> f64 {
        let covers = if self.lid == Lid::None { self.floor_m2 } else { 0.0 };
        (self.outside_m2 - covers) * self.material.wall_kg_per_m2() * self.material.specific_heat()
    }

    /// What the pot holds to the brim, m³.
    pub fn volume_m3(&self) -> f64 {
        self.floor_m2 * self.height_m
    }

    /// Vapour lost from a still surface at a temperature, kg/s. `vapour` is saturated vapour's density, and `lid_factor`
    /// scales the cover's share.
    #[inline(always)]
    pub fn diffusion(&self, vapour: &Saturation, celsius: f64, lid_factor: f64, fan: bool) -> f64 {
        let coefficient = AIR_COEFFICIENT + if fan && self.lid == Lid::None { 6.0 } else { 0.0 };
        let share = f64::min(1.0, self.lid.vapour_share() * lid_factor);
        let excess = f64::max(0.0, vapour.at(celsius) - AIR_VAPOUR);
        coefficient / AIR_VOLUMETRIC_HEAT * self.floor_m2 * share * FREE_SURFACE * excess
    }

    /// Vapour lost on the hob, kg/s: what diffuses, and what the bubbles carry.
    #[inline(always)]
    pub fn hob_loss(&self, simmer: Simmer, celsius: f64, lid_factor: f64) -> f64 {
        // A tight lid gives back some of what the bubbles bring up; no lid lets them go.
        let passes = match self.lid {
            Lid::Tight | Lid::Foil => 0.6,
            Lid::Loose => 1.0,
            Lid::Ajar => 1.2,
            Lid::None => 1.5,
        };
        self.diffusion(vapour(), celsius, lid_factor, false)
            + simmer.bubbling() * self.floor_m2 * passes * lid_factor.sqrt()
    }

    /// W/K from oven air to the pot.
    pub fn oven_conductance(&self, fan: bool) -> f64 {
        (self.material.oven_coefficient() + if fan { 6.0 } else { 0.0 }) * self.outside_m2
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

    fn settle(pot: &Pot, oven_c: f64) -> (f64, f64) {
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
        let pot = Vessel::default().resolve(Lid::Tight).unwrap();
        for (oven_c, grams) in [(120.0, 80.0), (150.0, 230.0), (175.0, 360.0)] {
            let (celsius, lost) = settle(&pot, oven_c);
            assert!(celsius > 99.5, "{oven_c}: {celsius}");
            assert!((lost / grams - 1.0).abs() < 0.25, "{oven_c} °C: {lost} g/h against {grams}");
        }
    }

    #[test]
    fn an_open_pot_stays_below_and_a_cool_oven_is_a_slow_braise() {
        let open = Vessel { lid: Some(Lid::None), ..Vessel::default() }.resolve(Lid::Tight).unwrap();
        let (celsius, _) = settle(&open, 150.0);
        assert!((70.0..85.0).contains(&celsius), "{celsius}");
        let (celsius, _) = settle(&Vessel::default().resolve(Lid::Tight).unwrap(), 100.0);
        assert!((88.0..99.0).contains(&celsius), "{celsius}");
    }

    #[test]
    fn the_hob_loses_what_cooks_measure() {
        let pot = Vessel::default().resolve(Lid::Loose).unwrap();
        for (simmer, low, high) in
            [(Simmer::Lazy, 30.0, 60.0), (Simmer::Gentle, 100.0, 150.0), (Simmer::Brisk, 220.0, 290.0)]
        {
            let grams = pot.hob_loss(simmer, 100.0 - simmer.below_boil(), 1.0) * 3.6e6;
            assert!((low..high).contains(&grams), "{simmer:?}: {grams} g/h");
        }
    }

    #[test]
    fn a_vessel_with_one_side_names_the_other() {
        let error = Vessel { width_cm: Some(20.0), ..Vessel::default() }.resolve(Lid::Tight).unwrap_err();
        assert_eq!(error.field, "length_cm");
    }
}
