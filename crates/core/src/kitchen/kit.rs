//! What there can be to cook on or in.

use ergastic_words::{Message, matching as say};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

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
    pub fn name(self) -> Message {
        say::kit(self.key())
    }
}
