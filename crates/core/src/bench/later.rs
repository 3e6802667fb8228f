//! What goes in later: each with its own time to be done and to be mush.

use ergastic_words::{Length, Message, larder as say};
use serde::{Deserialize, Serialize};
use strum::IntoStaticStr;
use utoipa::ToSchema;

/// Something that goes in before the end.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema, IntoStaticStr)]
#[serde(rename_all = "snake_case")]
#[strum(serialize_all = "snake_case")]
pub enum Addition {
    /// Potato.
    Potato,
    /// Carrot.
    Carrot,
    /// Swede.
    Swede,
    /// Cabbage.
    Cabbage,
    /// Leek.
    Leek,
    /// Pearl onion.
    PearlOnion,
    /// Mushroom.
    Mushroom,
    /// Peas.
    Peas,
    /// Cooked beans.
    CookedBeans,
    /// Soaked beans.
    SoakedBeans,
    /// Dumplings.
    Dumplings,
    /// Prunes.
    Prunes,
    /// Soft herbs.
    SoftHerbs,
}

/// Something added later.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct Later {
    /// What.
    pub what: Addition,
    /// How much, g.
    #[schema(minimum = 1, maximum = 30000)]
    pub g: f64,
}

/// What the computation needs to know of it. Minutes at a simmer of 97 °C. Practice.
pub(crate) struct AdditionTimes {
    pub done_min: f64,
    pub mush_min: f64,
    /// Whether heat softens it like a root, slower the cooler it is.
    pub softens: bool,
    /// The pieces it is cut into, mm; none where it stays whole.
    side_mm: Option<f64>,
}

const fn times(done_min: f64, mush_min: f64, softens: bool, side_mm: Option<f64>) -> AdditionTimes {
    AdditionTimes { done_min, mush_min, softens, side_mm }
}

impl Addition {
    /// All of them, what a cook reaches for first before the rest.
    pub const ALL: [Self; 13] = [
        Self::Potato,
        Self::Carrot,
        Self::Swede,
        Self::Cabbage,
        Self::Leek,
        Self::PearlOnion,
        Self::Mushroom,
        Self::Peas,
        Self::CookedBeans,
        Self::SoakedBeans,
        Self::Dumplings,
        Self::Prunes,
        Self::SoftHerbs,
    ];

    /// Whether it goes over the plates as it is.
    pub(crate) fn is_fresh(self) -> bool {
        self.times().done_min <= 0.0
    }

    /// How long it takes.
    pub(crate) fn times(self) -> AdditionTimes {
        match self {
            Self::Potato => times(20.0, 45.0, true, Some(40.0)),
            Self::Carrot => times(11.0, 35.0, true, Some(20.0)),
            Self::Swede => times(20.0, 45.0, true, Some(30.0)),
            // In wedges and rings.
            Self::Cabbage => times(6.0, 20.0, true, Some(0.0)),
            Self::Leek => times(8.0, 25.0, true, Some(0.0)),
            Self::PearlOnion => times(25.0, 60.0, true, None),
            Self::Mushroom => times(10.0, 60.0, false, None),
            Self::Peas => times(3.0, 12.0, true, None),
            Self::CookedBeans => times(10.0, 45.0, false, None),
            Self::SoakedBeans => times(75.0, 150.0, true, None),
            Self::Dumplings => times(20.0, 40.0, false, None),
            Self::Prunes => times(20.0, 60.0, false, None),
            Self::SoftHerbs => times(0.0, 10.0, false, None),
        }
    }

    /// Its name in JSON.
    pub fn key(self) -> &'static str {
        self.into()
    }

    /// Its name in a sentence.
    pub fn name(self) -> Message {
        say::addition(self.key())
    }

    /// Its name with how it is cut.
    pub fn name_and_cut(self) -> Message {
        match self.times().side_mm {
            None => self.name(),
            Some(mm) => say::name_and_cut(self.name(), say::cut_up(self.key(), Length(mm))),
        }
    }

    /// The sign that it is done.
    pub fn sign(self) -> Message {
        say::addition_sign(self.key())
    }
}
