//! What a cook has chosen for the bench: the document that a plan keeps beside its meat and way.

mod allergens;
mod ingredient;
mod larder;
mod later;
mod shelf;

use serde::{Deserialize, Serialize};
use serde_with::skip_serializing_none;
use strum::IntoStaticStr;
use utoipa::ToSchema;

use ergastic_words::{Message, errors, prepare as say};

use crate::error::{Error, Result, Unit, WhatIsWrong, in_range};
use crate::heat::hob::HobKind;
use crate::heat::pot::Material;

pub use allergens::{Allergen, Carrier, Food, carried, label};
pub use ingredient::Ingredient;
pub use larder::{Larder, LarderFacts, Shelf};
pub use later::{Addition, Later};
pub use shelf::{OnTheShelf, on_the_shelf};

/// How hard the meat is browned. It makes flavour and colour; it does not seal juices in.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Default, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Sear {
    /// Deep brown on every broad side.
    #[default]
    Hard,
    /// Golden.
    Light,
    /// Straight into the pot.
    None,
}

/// How much is trimmed off.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Default, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Trim {
    /// As the butcher gave it.
    None,
    /// Heavy fat and silver skin off.
    #[default]
    Usual,
    /// All fat and sinew that shows.
    Close,
}

/// Crystals of salt, which fill a spoon differently.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Default, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Crystal {
    /// Table salt: 6 g a level teaspoon.
    #[default]
    Fine,
    /// Dense coarse salt: 4.8 g.
    Coarse,
    /// Flakes: 2.8 g.
    Flake,
}

/// How dry the meat goes into the pan.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Default, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Surface {
    /// Patted dry.
    #[default]
    Patted,
    /// As it comes from the pack, the rinse or the marinade.
    Wet,
}

/// A burner.
#[skip_serializing_none]
#[derive(Debug, Clone, Copy, PartialEq, Default, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields, default)]
pub struct BurnerAsked {
    /// Its power, W; the kitchen's where not given.
    #[schema(minimum = 200, maximum = 20000)]
    pub watts: Option<f64>,
    /// What heats it; the kitchen's where not given.
    pub kind: Option<HobKind>,
}

/// A frying pan.
#[skip_serializing_none]
#[derive(Debug, Clone, Copy, PartialEq, Default, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields, default)]
pub struct Pan {
    /// Across its floor, cm; the kitchen's where not given.
    #[schema(minimum = 12, maximum = 80)]
    pub diameter_cm: Option<f64>,
    /// Its mass, kg; from its size and what it is made of where not given.
    #[schema(minimum = 0.2, maximum = 30)]
    pub mass_kg: Option<f64>,
    /// What it is made of.
    pub material: Option<Material>,
}

/// What the meat is seared in.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Default, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum SearIn {
    /// The frying pan.
    #[default]
    Pan,
    /// Two pans at once.
    TwoPans,
    /// The pot on one burner, its iron lid upturned on another.
    PotAndLid,
    /// The pot that it cooks in; a pressure pot's own small insert.
    Pot,
    /// An iron lid upturned over the fire.
    Lid,
}

/// What it is browned in.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum SearFat {
    /// Its own, rendered from a fat cap.
    Own,
    /// A film of oil.
    Oil,
    /// Bacon rendered first; its salt counts.
    Bacon,
}

/// What becomes of the wine, cider or beer that deglazes.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Default, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Wine {
    /// Boiled down by half in the pan first.
    #[default]
    Halved,
    /// Poured in as it is.
    Whole,
}

impl Wine {
    /// Share of it that stands in the pot. Practice.
    pub(crate) fn stays(self) -> f64 {
        match self {
            Self::Halved => 0.5,
            Self::Whole => 1.0,
        }
    }
}

/// Wood in the pit, by how much it says.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Default, Serialize, Deserialize, ToSchema, IntoStaticStr)]
#[serde(rename_all = "snake_case")]
#[strum(serialize_all = "snake_case")]
pub enum Wood {
    /// Alder.
    Alder,
    /// Apple.
    Apple,
    /// Oak.
    #[default]
    Oak,
    /// Beech.
    Beech,
    /// Hickory.
    Hickory,
}

impl Wood {
    /// Its name in JSON.
    pub fn key(self) -> &'static str {
        self.into()
    }

    /// What it is like.
    pub fn words(self) -> Message {
        say::wood(self.key())
    }
}

/// Brine that it lies in until both are of one strength.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct Brine {
    /// Water, L.
    #[schema(minimum = 0.2, maximum = 60)]
    pub water_l: f64,
    /// Hours in it.
    #[schema(minimum = 0.5, maximum = 240)]
    pub hours: f64,
}

/// Fresh water that draws salt out of corned meat.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct Soak {
    /// How often the water is changed, the first filling counted.
    #[schema(minimum = 1, maximum = 12)]
    pub changes: u32,
    /// Water each time, L.
    #[schema(minimum = 0.2, maximum = 60)]
    pub water_l: f64,
    /// Hours in each.
    #[schema(minimum = 0.1, maximum = 48)]
    pub hours_each: f64,
}

/// What a marinade is made of.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum MarinadeOf {
    /// Red or white wine.
    Wine,
    /// Vinegar or lemon.
    Acid,
    /// Spices and oil.
    Spice,
    /// Soy, sugar and the like.
    Soy,
}

/// A marinade.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct Marinade {
    /// What it is made of.
    #[serde(rename = "of")]
    pub of: MarinadeOf,
    /// Hours in the cold.
    #[schema(minimum = 0.25, maximum = 168)]
    pub hours: f64,
    /// How much, mL.
    #[schema(minimum = 10, maximum = 20000)]
    pub ml: f64,
    /// Kept for the pot, its bowl rinsed out into it, and boiled.
    pub kept: bool,
}

/// How far the liquid comes up the meat.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Level {
    /// Nothing poured: its own juice and the vegetables'.
    Own,
    /// A third up.
    Third,
    /// Three quarters up.
    ThreeQuarters,
    /// Just covered.
    Covered,
    /// Half as deep again.
    Soup,
}

impl Level {
    /// Share of the meat's height.
    pub fn share(self) -> f64 {
        match self {
            Self::Own => 0.0,
            Self::Third => 1.0 / 3.0,
            Self::ThreeQuarters => 0.75,
            Self::Covered => 1.0,
            Self::Soup => 1.5,
        }
    }
}

/// What is done before the heat, and what goes in with the meat.
#[skip_serializing_none]
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields, default)]
pub struct Prepare {
    /// How much is trimmed off.
    pub trim: Trim,
    /// Sinew and silver skin go into the pot for body.
    pub sinew_in_pot: bool,
    /// Strings tied round it; they are counted out again.
    #[schema(minimum = 0, maximum = 60)]
    pub strings: u32,
    /// Cross-hatched, studded or pounded.
    pub pierced: bool,
    /// Salted this long ahead, h; 0 salts at the pan.
    #[schema(minimum = 0, maximum = 168)]
    pub salt_h: f64,
    /// Salt, % of the trimmed raw mass.
    #[schema(minimum = 0, maximum = 5)]
    pub salt_pct: f64,
    /// What the salt is like.
    pub crystal: Crystal,
    /// A brine in place of dry salt.
    pub brine: Option<Brine>,
    /// A soak that draws salt out.
    pub soak: Option<Soak>,
    /// A marinade.
    pub marinade: Option<Marinade>,
    /// Rinsed before it is used.
    pub rinse: bool,
    /// The clear route: soaked, blanched from cold, meat and pot rinsed, fresh water.
    pub clear: bool,
    /// Stands out of the cold this long, min.
    #[schema(minimum = 0, maximum = 240)]
    pub temper_min: f64,
    /// Cooled and left in its liquid overnight after the pan; braised the next day.
    pub day_before: bool,
    /// How dry it goes into the pan.
    pub surface: Surface,
    /// How hard it is browned.
    pub sear: Sear,
    /// What in.
    pub sear_in: SearIn,
    /// The pan, where it is not the kitchen's.
    pub pan: Option<Pan>,
    /// The burner, where it is not the kitchen's.
    pub hob: Option<BurnerAsked>,
    /// Pieces in a batch, where the cook lays them otherwise.
    #[schema(minimum = 1, maximum = 500)]
    pub per_batch: Option<u32>,
    /// What it is browned in; from the cut's own fat where not given.
    pub fat: Option<SearFat>,
    /// Dredged in flour.
    pub flour: bool,
    /// A sugary coat: it scorches.
    pub sugared: bool,
    /// How far the liquid comes up the meat; the plan's litres win.
    pub level: Option<Level>,
    /// What makes up the liquid beside the ingredients.
    pub base: Larder,
    /// What becomes of the wine that deglazes.
    pub wine: Wine,
    /// What goes in with the meat.
    #[schema(min_items = 0, max_items = 40)]
    pub ingredients: Vec<Ingredient>,
    /// Wood for the pit.
    pub wood: Wood,
    /// Hours over the heat; until tender where not given.
    #[schema(minimum = 0.1, maximum = 72)]
    pub hours: Option<f64>,
    /// What goes in later.
    #[schema(min_items = 0, max_items = 40)]
    pub later: Vec<Later>,
    /// A pressure pot is closed again on what goes in later, or finished open; roots are closed in where not given.
    pub later_closed: Option<bool>,
}

impl Marinade {
    /// What has to be bought for it, by its usual strength: the rest is water, herbs and spice.
    pub fn made_of(&self) -> Ingredient {
        let (what, share) = match self.of {
            MarinadeOf::Wine => (Larder::RedWine, 1.0),
            MarinadeOf::Acid => (Larder::Vinegar, 0.4),
            MarinadeOf::Spice => (Larder::Oil, 0.8),
            MarinadeOf::Soy => (Larder::SoySauce, 0.4),
        };
        Ingredient::usual(what, Some(self.ml * share), None)
    }
}

impl Prepare {
    /// Whether bacon is rendered for its fat that is not among the ingredients.
    pub fn renders_bacon(&self) -> bool {
        self.sear != Sear::None
            && self.fat == Some(SearFat::Bacon)
            && !self.ingredients.iter().any(|thing| thing.what == Larder::Bacon)
    }

    /// Everything that goes into the pot with the meat: the ingredients, and the marinade where it is kept.
    pub fn things(&self) -> Vec<Ingredient> {
        let kept = self.marinade.filter(|marinade| marinade.kept).map(|marinade| marinade.made_of());
        self.ingredients.iter().copied().chain(kept).collect()
    }
}

impl Default for Prepare {
    fn default() -> Self {
        Self {
            trim: Trim::Usual,
            sinew_in_pot: false,
            strings: 0,
            pierced: false,
            salt_h: 12.0,
            salt_pct: 1.25,
            crystal: Crystal::Fine,
            brine: None,
            soak: None,
            marinade: None,
            rinse: false,
            clear: false,
            temper_min: 0.0,
            day_before: false,
            surface: Surface::Patted,
            sear: Sear::Hard,
            sear_in: SearIn::Pan,
            pan: None,
            hob: None,
            per_batch: None,
            fat: None,
            flour: false,
            sugared: false,
            level: None,
            base: Larder::UnsaltedStock,
            wine: Wine::Halved,
            ingredients: Vec::new(),
            wood: Wood::Oak,
            hours: None,
            later: Vec::new(),
            later_closed: None,
        }
    }
}

/// A level teaspoon of fine salt, g. Practice.
pub(crate) const SALT_TEASPOON_G: f64 = 6.0;

/// Things in one pot: more is a list, not a dish.
const MAX_THINGS: usize = 40;

impl Prepare {
    /// What is left of it where the meat goes in frozen: knife, salt and water don't go into it, and it spits in hot fat.
    #[must_use]
    pub fn of_frozen(self) -> Self {
        Self {
            trim: Trim::None,
            strings: 0,
            pierced: false,
            salt_h: 0.0,
            brine: None,
            soak: None,
            marinade: None,
            rinse: false,
            clear: false,
            temper_min: 0.0,
            sear: Sear::None,
            flour: false,
            ..self
        }
    }

    /// Checks every figure.
    ///
    /// # Errors
    /// Names the field, what was given and what is allowed.
    pub fn check(&self) -> Result<()> {
        in_range("salt_h", self.salt_h, 0.0, 168.0, Unit::Hours)?;
        in_range("salt_pct", self.salt_pct, 0.0, 5.0, Unit::Percent)?;
        in_range("temper_min", self.temper_min, 0.0, 240.0, Unit::Minutes)?;
        in_range("strings", f64::from(self.strings), 0.0, 60.0, Unit::None)?;
        if let Some(Brine { water_l, hours }) = self.brine {
            in_range("brine.water_l", water_l, 0.2, 60.0, Unit::Litres)?;
            in_range("brine.hours", hours, 0.5, 240.0, Unit::Hours)?;
        }
        if let Some(Soak { changes, water_l, hours_each }) = self.soak {
            in_range("soak.changes", f64::from(changes), 1.0, 12.0, Unit::None)?;
            in_range("soak.water_l", water_l, 0.2, 60.0, Unit::Litres)?;
            in_range("soak.hours_each", hours_each, 0.1, 48.0, Unit::Hours)?;
        }
        if let Some(Marinade { hours, ml, .. }) = self.marinade {
            in_range("marinade.hours", hours, 0.25, 168.0, Unit::Hours)?;
            in_range("marinade.ml", ml, 10.0, 20_000.0, Unit::Millilitres)?;
        }
        if let Some(Pan { diameter_cm, mass_kg, .. }) = self.pan {
            in_range("pan.diameter_cm", diameter_cm.unwrap_or(28.0), 12.0, 80.0, Unit::Centimetres)?;
            in_range("pan.mass_kg", mass_kg.unwrap_or(2.0), 0.2, 30.0, Unit::Kilograms)?;
        }
        if let Some(watts) = self.hob.and_then(|hob| hob.watts) {
            in_range("hob.watts", watts, 200.0, 20_000.0, Unit::Watts)?;
        }
        if let Some(per_batch) = self.per_batch {
            in_range("per_batch", f64::from(per_batch), 1.0, 500.0, Unit::None)?;
        }
        if let Some(hours) = self.hours {
            in_range("hours", hours, 0.1, 72.0, Unit::Hours)?;
        }
        for (name, length) in [("ingredients", self.ingredients.len()), ("later", self.later.len())] {
            if length > MAX_THINGS {
                return Err(Error::new(WhatIsWrong::OutOfRange, name, length, errors::at_most(MAX_THINGS as u32)));
            }
        }
        for (i, thing) in self.ingredients.iter().enumerate() {
            thing.check(&format!("ingredients[{i}]"))?;
        }
        for (i, thing) in self.later.iter().enumerate() {
            in_range(&format!("later[{i}].g"), thing.g, 1.0, 30_000.0, Unit::Grams)?;
        }
        if !self.base.facts().liquid {
            return Err(Error::new(WhatIsWrong::Unsuitable, "base", self.base.key(), errors::must_be_poured()));
        }
        Ok(())
    }
}
