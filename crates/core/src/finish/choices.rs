//! What a cook chooses on the way from the pot to the sauce.

use ergastic_words::{Message, finish as say};
use serde::{Deserialize, Serialize};
use strum::IntoStaticStr;
use utoipa::ToSchema;

/// How the fat comes off.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Default, Serialize, Deserialize, ToSchema, IntoStaticStr)]
#[serde(rename_all = "snake_case")]
#[strum(serialize_all = "snake_case")]
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
#[derive(Debug, Clone, Copy, PartialEq, Eq, Default, Serialize, Deserialize, ToSchema, IntoStaticStr)]
#[serde(rename_all = "snake_case")]
#[strum(serialize_all = "snake_case")]
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
    /// As it should be, but it runs.
    Thin,
    /// Too sweet.
    Sweet,
    /// Dull: nothing stands out.
    Flat,
}

impl Taste {
    /// All of them, as a cook comes to them.
    pub const ALL: [Self; 9] = [
        Self::Right,
        Self::Weak,
        Self::Thin,
        Self::Flat,
        Self::Salty,
        Self::Sour,
        Self::Sweet,
        Self::Bitter,
        Self::Rich,
    ];

    /// Its name in JSON.
    pub fn key(self) -> &'static str {
        self.into()
    }

    /// Whether boiling it down makes it only worse.
    pub(super) fn forbids_reducing(self) -> bool {
        matches!(self, Self::Salty | Self::Bitter | Self::Sour | Self::Sweet | Self::Rich)
    }
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

/// So many things thicken.
pub(super) const THICKENERS: usize = 8;

/// What thickens it.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Default, Serialize, Deserialize, ToSchema, IntoStaticStr)]
#[serde(rename_all = "snake_case")]
#[strum(serialize_all = "snake_case")]
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
    /// Gelatin alone.
    Gelatin,
    /// Vegetables that cooked in it, puréed.
    Puree,
    /// Crumbs of stale bread.
    Bread,
    /// Not at all.
    None,
}

/// Sauce for each of those who eat, L. Working value.
pub(crate) const SAUCE_A_HEAD_L: f64 = 0.1;
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

    /// All of them, the handiest first.
    pub const ALL: [Self; 5] = [Self::Ladle, Self::Spout, Self::Bag, Self::Chill, Self::None];

    /// Its name in JSON.
    pub fn key(self) -> &'static str {
        self.into()
    }

    /// What to do, and why; nothing where the fat stays in.
    pub(super) fn step(self, fat_mm: f64) -> Option<(Message, Message)> {
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
    /// All that thicken, the quickest first.
    pub const ALL: [Self; THICKENERS] = [
        Self::Cornflour,
        Self::Arrowroot,
        Self::Potato,
        Self::Flour,
        Self::ButterPaste,
        Self::Gelatin,
        Self::Puree,
        Self::Bread,
    ];

    /// Grams a litre to coat and for gravy. Working values, from practice.
    pub(super) fn grams_per_litre(self) -> Option<(f64, f64)> {
        match self {
            Self::Cornflour => Some((20.0, 40.0)),
            Self::Arrowroot | Self::Potato => Some((17.0, 32.0)),
            Self::Flour | Self::ButterPaste => Some((40.0, 70.0)),
            Self::Puree => Some((250.0, 450.0)),
            Self::Bread => Some((45.0, 80.0)),
            Self::Gelatin | Self::None => None,
        }
    }

    /// What it is stirred into, g for so many g of it: as much cold water by volume for a slurry, soft butter for a paste, water for
    /// gelatin to swell in. Practice.
    pub(super) fn with_g(self, grams: f64) -> f64 {
        match self {
            Self::Cornflour | Self::Arrowroot | Self::Potato | Self::Flour => 1.9 * grams,
            Self::ButterPaste => grams,
            Self::Gelatin => 5.0 * grams,
            Self::Puree | Self::Bread | Self::None => 0.0,
        }
    }

    /// Minutes it has to cook once it is in.
    pub(super) fn cook_min(self) -> f64 {
        match self {
            Self::Cornflour => 4.0,
            Self::Arrowroot | Self::Potato => 2.0,
            Self::Flour | Self::ButterPaste => 12.0,
            Self::Gelatin => 1.0,
            Self::Puree => 2.0,
            Self::Bread => 8.0,
            Self::None => 0.0,
        }
    }

    /// Grams in a level teaspoon. Practice.
    pub(crate) fn teaspoon_g(self) -> f64 {
        match self {
            // A level tablespoon is 8 g.
            Self::Cornflour | Self::Arrowroot | Self::Flour | Self::ButterPaste | Self::None => 8.0 / 3.0,
            Self::Potato => 3.2,
            Self::Gelatin => 3.0,
            Self::Puree => 5.0,
            Self::Bread => 2.5,
        }
    }

    /// Its name in JSON.
    pub fn key(self) -> &'static str {
        self.into()
    }
}
