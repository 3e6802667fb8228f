//! The kitchen: what stands in it and how its cook likes figures shown.

use std::collections::BTreeMap;

use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use crate::clock::Hours;
use crate::cuts::Cut;
use ergastic_words::{Said, Voice, errors, matching as say};

use crate::error::{Error, Result, Unit, in_range};
use crate::heat::hob::HobKind;
use crate::heat::pot::{Lid, Material, Vessel};

pub use ergastic_words::Units;

/// Something to cook on or in.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Hash, PartialOrd, Ord, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Kit {
    /// Oven.
    Oven,
    /// Hob.
    Hob,
    /// Pressure pot.
    PressurePot,
    /// Slow cooker.
    SlowCooker,
    /// Pit.
    Pit,
    /// Water bath.
    WaterBath,
    /// Coals.
    Coals,
}

impl Kit {
    /// All of it.
    pub const ALL: [Self; 7] =
        [Self::Oven, Self::Hob, Self::PressurePot, Self::SlowCooker, Self::Pit, Self::WaterBath, Self::Coals];

    /// Its name in JSON.
    pub fn key(self) -> &'static str {
        match self {
            Self::Oven => "oven",
            Self::Hob => "hob",
            Self::PressurePot => "pressure_pot",
            Self::SlowCooker => "slow_cooker",
            Self::Pit => "pit",
            Self::WaterBath => "water_bath",
            Self::Coals => "coals",
        }
    }

    /// Its name in a sentence.
    pub fn name(self) -> Said {
        say::kit(self.key())
    }
}

/// One kitchen.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields, default)]
pub struct Kitchen {
    /// Its name.
    #[schema(min_length = 1, max_length = 80)]
    pub name: String,
    /// IANA time zone.
    #[schema(min_length = 1, max_length = 80)]
    pub zone: String,
    /// Above the sea, m.
    #[schema(minimum = -430, maximum = 6000)]
    pub altitude_m: f64,
    /// How quantities are shown.
    pub units: Units,
    /// The chance of being ready that a plan is made for, 0.5–0.99.
    #[schema(minimum = 0.5, maximum = 0.99)]
    pub certainty: f64,
    /// The pot a plan starts from.
    pub pot: Vessel,
    /// The frying pan, cm across.
    #[schema(minimum = 12, maximum = 80)]
    pub pan_cm: f64,
    /// What it is made of.
    pub pan_material: Material,
    /// The strongest burner, W.
    #[schema(minimum = 200, maximum = 20000)]
    pub hob_w: f64,
    /// What heats it.
    pub hob_kind: HobKind,
    /// The element of the pressure pot, W.
    #[schema(minimum = 200, maximum = 5000)]
    pub insert_w: f64,
    /// What there is to cook on and in.
    #[schema(min_items = 1, max_items = 64)]
    pub kit: Vec<Kit>,
    /// Whether the pit holds its heat without anyone.
    pub pit_holds_itself: bool,
    /// Hours of the day when nobody is up.
    #[schema(min_items = 0, max_items = 24)]
    pub asleep: Vec<Hours>,
    /// What the butcher asks for a cut, a kilo.
    pub prices: BTreeMap<Cut, f64>,
}

impl Default for Kitchen {
    fn default() -> Self {
        Self {
            name: "My kitchen".into(),
            zone: "UTC".into(),
            altitude_m: 0.0,
            units: Units::Metric,
            certainty: 0.9,
            pot: Vessel { diameter_cm: Some(26.0), height_cm: Some(13.0), ..Vessel::default() },
            pan_cm: 28.0,
            pan_material: Material::Iron,
            hob_w: 1800.0,
            hob_kind: HobKind::Gas,
            insert_w: 1000.0,
            kit: Kit::ALL.to_vec(),
            pit_holds_itself: true,
            asleep: Vec::new(),
            prices: BTreeMap::new(),
        }
    }
}

impl Kitchen {
    /// Whether a pan or a pot can stand over a flame.
    pub(crate) fn has_flame(&self) -> bool {
        [Kit::Hob, Kit::Coals, Kit::Pit].into_iter().any(|kit| self.kit.contains(&kit))
    }

    /// The voice that this kitchen's cook reads.
    pub fn voice(&self) -> Voice {
        Voice::new(self.units)
    }

    /// Checks every field.
    ///
    /// # Errors
    /// Names the field that can't be used.
    pub fn check(&self) -> Result<()> {
        crate::text::check_name("name", &self.name, 80)?;
        crate::clock::zone("zone", &self.zone)?;
        in_range("altitude_m", self.altitude_m, -430.0, 6000.0, Unit::Metres)?;
        in_range("certainty", self.certainty, 0.5, 0.99, Unit::None)?;
        in_range("pan_cm", self.pan_cm, 12.0, 80.0, Unit::Centimetres)?;
        in_range("insert_w", self.insert_w, 200.0, 5000.0, Unit::Watts)?;
        in_range("hob_w", self.hob_w, 200.0, 20_000.0, Unit::Watts)?;
        crate::clock::check_hours("asleep", &self.asleep)?;
        for (cut, price) in &self.prices {
            in_range(&format!("prices.{}", cut.key()), *price, 0.0, 10_000.0, Unit::AKilo)?;
        }
        if self.kit.is_empty() {
            return Err(Error::missing("kit", errors::something_to_cook_on()));
        }
        self.pot.resolve(Lid::Tight).map_err(|error| error.within("pot"))?;
        Ok(())
    }
}
