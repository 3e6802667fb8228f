//! What a cook chooses on the way from the pot to the sauce.

use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use crate::heat::pot::Vessel;

/// How the fat comes off.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Default, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
#[allow(missing_docs)]
pub enum Skim {
    #[default]
    Ladle,
    Spout,
    Bag,
    Chill,
    None,
}

/// How the liquid tastes once skimmed.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Default, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
#[allow(missing_docs)]
pub enum Taste {
    Weak,
    #[default]
    Right,
    Salty,
    Bitter,
    Sour,
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
#[allow(missing_docs)]
pub enum Thickener {
    #[default]
    Cornflour,
    Arrowroot,
    Potato,
    Flour,
    ButterPaste,
    None,
}

/// The liquid in the pot, and what is wanted of it.
#[derive(Debug, Clone, Default, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields, default)]
pub struct SauceRequest {
    /// Liquid without its fat, L.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 0.02, maximum = 60)]
    pub liquid_l: Option<f64>,
    /// Fat on it, L.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 0, maximum = 20)]
    pub fat_l: Option<f64>,
    /// Measured depth of the fat, mm; overrides `fat_l`.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 0, maximum = 100)]
    pub fat_mm: Option<f64>,
    /// Salt in the liquid, g.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 0, maximum = 2000)]
    pub salt_g: Option<f64>,
    /// Gelatin in the liquid, g.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 0, maximum = 2000)]
    pub gelatin_g: Option<f64>,
    /// The pot.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub vessel: Option<Vessel>,
    /// The burner, W.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 200, maximum = 20000)]
    pub hob_w: Option<f64>,
    /// How the fat comes off.
    pub skim: Skim,
    /// How it tastes.
    pub taste: Taste,
    /// What it becomes.
    pub target: Target,
    /// What thickens it.
    pub thickener: Thickener,
    /// Share of it that is thickened tonight, 0–1.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 0, maximum = 1)]
    pub share: Option<f64>,
    /// Meat that is cooled with it, kg.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 0, maximum = 60)]
    pub meat_kg: Option<f64>,
}

impl Skim {
    /// Share of the fat it takes, and the minutes it needs.
    pub(super) fn takes(self) -> (f64, f64) {
        match self {
            Self::Ladle => (0.80, 10.0),
            Self::Spout => (0.93, 8.0),
            Self::Bag => (0.93, 8.0),
            Self::Chill => (0.98, 480.0),
            Self::None => (0.0, 0.0),
        }
    }

    pub(super) fn words(self) -> (&'static str, &'static str) {
        match self {
            Self::Ladle => (
                "Let it settle half off the flame, then ladle the fat off flat",
                "the fat gathers on the still side; skim before anything thickens, starch holds fat",
            ),
            Self::Spout => {
                ("Pour into a spouted jug, wait, and pour the juice from below", "stop when the fat reaches the spout")
            }
            Self::Bag => (
                "Pour into a bag, let it settle, and drain it from a snipped corner",
                "pinch it shut when the fat comes down",
            ),
            Self::Chill => (
                "Cool it fast, chill it, and lift the set fat off",
                "the cleanest way, and the meat is often better next day",
            ),
            Self::None => ("Leave the fat in", "it will carry flavour and feel heavy"),
        }
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

    pub(super) fn words(self) -> (&'static str, f64, &'static str) {
        match self {
            Self::Cornflour => (
                "cornflour slurry",
                4.0,
                "stir the slurry again, pour off the heat, bring it back to the boil to see; a raging boil sets it in strings",
            ),
            Self::Arrowroot => {
                ("arrowroot slurry", 2.0, "off the heat, then just to the simmer; long boiling thins it")
            }
            Self::Potato => {
                ("potato starch slurry", 2.0, "off the heat, then just to the simmer; long boiling thins it")
            }
            Self::Flour => ("flour slurry", 12.0, "cook it 10 to 15 minutes or it tastes raw"),
            Self::ButterPaste => ("butter paste", 12.0, "piece by piece, whisking; cook it 10 to 15 minutes"),
            Self::None => ("nothing", 0.0, ""),
        }
    }
}
