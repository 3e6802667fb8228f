//! What a cook chooses on the way from the pot to the sauce.

use ergastic_words::{Said, Units, finish as say};
use serde::{Deserialize, Serialize};
use serde_with::skip_serializing_none;
use utoipa::ToSchema;

use crate::heat::hob::HobKind;
use crate::heat::pot::Vessel;

/// How the fat comes off.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Default, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Skim {
    /// Ladled off flat.
    #[default]
    Ladle,
    /// Poured from below by a spouted jug.
    Spout,
    /// Drained from below out of a bag.
    Bag,
    /// Chilled and lifted off.
    Chill,
    /// Not at all.
    None,
}

/// How the liquid tastes once skimmed.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Default, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Taste {
    /// It wants more taste.
    Weak,
    /// As it should be.
    #[default]
    Right,
    /// Too salty.
    Salty,
    /// Too bitter.
    Bitter,
    /// Too sharp.
    Sour,
    /// Too rich.
    Rich,
}

/// What the liquid becomes.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Default, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Target {
    /// Thin and clear.
    Broth,
    /// Coats a spoon.
    #[default]
    Coat,
    /// Thick enough for mash.
    Gravy,
    /// Sticks and shines.
    Glaze,
}

/// What thickens it.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Default, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Thickener {
    /// Cornflour.
    #[default]
    Cornflour,
    /// Arrowroot.
    Arrowroot,
    /// Potato.
    Potato,
    /// Flour.
    Flour,
    /// Flour worked into butter.
    ButterPaste,
    /// Not at all.
    None,
}

/// The liquid in the pot, and what is wanted of it.
#[skip_serializing_none]
#[derive(Debug, Clone, Default, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields, default)]
pub struct SauceRequest {
    /// Liquid without its fat, L.
    #[schema(minimum = 0.02, maximum = 60)]
    pub liquid_l: Option<f64>,
    /// Fat on it, L.
    #[schema(minimum = 0, maximum = 20)]
    pub fat_l: Option<f64>,
    /// Measured depth of the fat, mm; overrides `fat_l`.
    #[schema(minimum = 0, maximum = 100)]
    pub fat_mm: Option<f64>,
    /// Salt in the liquid, g.
    #[schema(minimum = 0, maximum = 2000)]
    pub salt_g: Option<f64>,
    /// Gelatin in the liquid, g.
    #[schema(minimum = 0, maximum = 2000)]
    pub gelatin_g: Option<f64>,
    /// The pot.
    pub vessel: Option<Vessel>,
    /// The burner, W.
    #[schema(minimum = 200, maximum = 20000)]
    pub hob_w: Option<f64>,
    /// What heats it; between a flame and induction where not given.
    pub hob_kind: Option<HobKind>,
    /// How the fat comes off.
    pub skim: Skim,
    /// How it tastes.
    pub taste: Taste,
    /// What it becomes.
    pub target: Target,
    /// What thickens it.
    pub thickener: Thickener,
    /// Share of it that is thickened tonight, 0–1.
    #[schema(minimum = 0, maximum = 1)]
    pub share: Option<f64>,
    /// What the answer's sentences are said in; the kitchen's own where not given.
    pub units: Option<Units>,
    /// The cooked meat, kg: what is eaten with it, and cooled with what is left.
    #[schema(minimum = 0, maximum = 60)]
    pub meat_kg: Option<f64>,
    /// Salt in that meat, g: with it the plate is judged and not the sauce alone.
    #[schema(minimum = 0, maximum = 2000)]
    pub meat_salt_g: Option<f64>,
    /// Flour that came in on the meat, g.
    #[schema(minimum = 0, maximum = 2000)]
    pub dredged_flour_g: Option<f64>,
}

/// Less fat than this is a film, mm.
pub(crate) const FILM_MM: f64 = 1.0;

impl Skim {
    /// Share of the fat it takes, of a cap so deep, and the minutes it needs: a thin one is a few passes of the ladle. Working
    /// values.
    pub(super) fn takes(self, fat_mm: f64) -> (f64, f64) {
        let at_the_pot = (1.5 * (fat_mm - 0.5)).clamp(1.0, 10.0).ceil();
        match self {
            Self::Ladle => (0.80, at_the_pot),
            Self::Spout | Self::Bag => (0.93, f64::min(at_the_pot, 8.0)),
            Self::Chill => (0.98, 480.0),
            Self::None => (0.0, 0.0),
        }
    }

    /// What to do, and why; nothing where the fat stays in.
    pub(super) fn step(self, fat_mm: f64) -> Option<(Said, Said)> {
        Some(match self {
            Self::Ladle if fat_mm < FILM_MM => (say::skim_film(), say::skim_film_why()),
            Self::Ladle => (say::skim_ladle(), say::skim_ladle_why()),
            Self::Spout => (say::skim_spout(), say::skim_spout_why()),
            Self::Bag => (say::skim_bag(), say::skim_bag_why()),
            Self::Chill => (say::skim_chill(), say::skim_chill_why()),
            Self::None => return None,
        })
    }
}

impl Thickener {
    /// Grams a litre to coat and for gravy. Working values, from practice.
    pub(super) fn grams_per_litre(self) -> Option<(f64, f64)> {
        match self {
            Self::Cornflour => Some((20.0, 40.0)),
            Self::Arrowroot | Self::Potato => Some((17.0, 32.0)),
            Self::Flour | Self::ButterPaste => Some((40.0, 70.0)),
            Self::None => None,
        }
    }

    /// Minutes it has to cook once it is in.
    pub(super) fn cook_min(self) -> f64 {
        match self {
            Self::Cornflour => 4.0,
            Self::Arrowroot | Self::Potato => 2.0,
            Self::Flour | Self::ButterPaste => 12.0,
            Self::None => 0.0,
        }
    }

    /// Grams in a level teaspoon. Practice.
    pub(super) fn teaspoon_g(self) -> f64 {
        match self {
            // A level tablespoon is 8 g.
            Self::Cornflour | Self::Arrowroot | Self::Flour | Self::ButterPaste | Self::None => 8.0 / 3.0,
            Self::Potato => 3.2,
        }
    }

    /// Its name in JSON.
    pub fn key(self) -> &'static str {
        match self {
            Self::Cornflour => "cornflour",
            Self::Arrowroot => "arrowroot",
            Self::Potato => "potato",
            Self::Flour => "flour",
            Self::ButterPaste => "butter_paste",
            Self::None => "none",
        }
    }
}
