//! The pot as a cook describes it: what it is made of, how it is covered, how wide it is.

use ergastic_physics::parameters::Parameters;
use ergastic_physics::vessel::{Cover, SimmerLevel, Vessel, Wall};
use ergastic_words::{Message, errors, ways};
use serde::{Deserialize, Serialize};
use serde_with::skip_serializing_none;
use strum::IntoStaticStr;
use utoipa::ToSchema;

use crate::error::{Result, Unit, in_range};

/// What the pot is made of.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Default, Serialize, Deserialize, ToSchema, IntoStaticStr)]
#[serde(rename_all = "snake_case")]
#[strum(serialize_all = "snake_case")]
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
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema, IntoStaticStr)]
#[serde(rename_all = "snake_case")]
#[strum(serialize_all = "snake_case")]
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
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema, IntoStaticStr)]
#[serde(rename_all = "snake_case")]
#[strum(serialize_all = "snake_case")]
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
    /// What it is to heat.
    pub fn wall(self) -> Wall {
        match self {
            Self::Iron => Wall::Iron,
            Self::Steel => Wall::Steel,
            Self::Aluminium => Wall::Aluminium,
            Self::Ceramic => Wall::Ceramic,
            Self::Glass => Wall::Glass,
        }
    }

    /// Its name in JSON.
    pub fn key(self) -> &'static str {
        self.into()
    }
}

impl Lid {
    /// What it is to steam.
    pub fn cover(self) -> Cover {
        match self {
            Self::Tight => Cover::Tight,
            Self::Foil => Cover::Foil,
            Self::Loose => Cover::Loose,
            Self::Ajar => Cover::Ajar,
            Self::None => Cover::None,
        }
    }

    /// Its name in JSON.
    pub fn key(self) -> &'static str {
        self.into()
    }

    /// How it is said to a cook.
    pub fn words(self) -> Message {
        ways::lid(self.key())
    }
}

impl Simmer {
    /// What it is to the liquid.
    pub fn held(self) -> SimmerLevel {
        match self {
            Self::Lazy => SimmerLevel::Lazy,
            Self::Gentle => SimmerLevel::Gentle,
            Self::Brisk => SimmerLevel::Brisk,
            Self::Boil => SimmerLevel::Boil,
        }
    }

    /// Kelvin below the local boil.
    pub fn below_boil(self) -> f64 {
        self.held().below_boil_k(&Parameters::USUAL)
    }

    /// Its name in JSON.
    pub fn key(self) -> &'static str {
        self.into()
    }

    /// What it looks like.
    pub fn looks(self) -> Message {
        ways::bubbles(self.key())
    }
}

/// Across a vessel, or each side of a square one, cm.
pub const SIDE_CM: [f64; 2] = [8.0, 120.0];
/// High inside, cm.
pub const HEIGHT_CM: [f64; 2] = [2.0, 80.0];

/// A pot or tin, round or rectangular, as the cook describes it.
#[skip_serializing_none]
#[derive(Debug, Clone, Default, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields, default)]
pub struct PotMeasures {
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

/// A measure in m, where it can be one.
fn within(name: &str, cm: f64, [low, high]: [f64; 2]) -> Result<f64> {
    Ok(in_range(name, cm, low, high, Unit::Centimetres)? / 100.0)
}

impl PotMeasures {
    /// Works out the areas; 26 × 13 cm iron where nothing is said.
    ///
    /// # Errors
    /// Names the side that is out of range, or missing beside its fellow.
    pub fn resolve(&self, default_lid: Lid) -> Result<Pot> {
        let height_m = within("height_cm", self.height_cm.unwrap_or(13.0), HEIGHT_CM)?;
        let (floor_m2, perimeter_m) = match (self.width_cm, self.length_cm) {
            (None, None) => {
                let diameter = within("diameter_cm", self.diameter_cm.unwrap_or(26.0), SIDE_CM)?;
                (std::f64::consts::PI * diameter * diameter / 4.0, std::f64::consts::PI * diameter)
            }
            (width, length) => {
                let need = |name: &str, side: Option<f64>| match side {
                    Some(side) => within(name, side, SIDE_CM),
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

impl PotMeasures {
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

impl Pot {
    /// What it is to heat and steam.
    pub fn lump(&self) -> Vessel {
        Vessel {
            floor_m2: self.floor_m2,
            outside_m2: self.outside_m2,
            height_m: self.height_m,
            wall: self.material.wall(),
            cover: self.lid.cover(),
        }
    }

    /// Across a round floor as large as this one, m.
    pub fn across_m(&self) -> f64 {
        self.lump().across_m()
    }

    /// What the pot holds to the brim, m³.
    pub fn volume_m3(&self) -> f64 {
        self.lump().volume_m3()
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn a_vessel_with_one_side_names_the_other() {
        let error = PotMeasures { width_cm: Some(20.0), ..PotMeasures::default() }.resolve(Lid::Tight).unwrap_err();
        assert_eq!(error.field, "length_cm");
    }

    #[test]
    fn the_usual_pot_is_the_one_the_model_was_fitted_on() {
        assert_eq!(PotMeasures::default().resolve(Lid::Loose).unwrap().lump(), Vessel::usual(Cover::Loose));
    }
}
