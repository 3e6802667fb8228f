//! The figures on which food codes differ: what a kitchen's voice names where it holds, warms again and keeps.

use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// Whose published figures are named. A local code comes before all of them.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Default, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum FoodCode {
    /// None chosen: 63 °C hot, warmed again to 75 °C, 5 °C cold.
    #[default]
    Usual,
    /// The United States' model food code: 57, 74, 5 °C.
    UnitedStates,
    /// Canada: 60, 74, 4 °C.
    Canada,
    /// England, Wales, Northern Ireland: 63, 75, 8 °C.
    England,
    /// Scotland: 63, 82, 8 °C.
    Scotland,
    /// Australia and New Zealand: 60, 75, 5 °C.
    Australia,
}

impl FoodCode {
    /// All of them.
    pub const ALL: [Self; 6] =
        [Self::Usual, Self::UnitedStates, Self::Canada, Self::England, Self::Scotland, Self::Australia];

    /// Its name in JSON.
    pub fn key(self) -> &'static str {
        match self {
            Self::Usual => "usual",
            Self::UnitedStates => "united_states",
            Self::Canada => "canada",
            Self::England => "england",
            Self::Scotland => "scotland",
            Self::Australia => "australia",
        }
    }

    /// Hot food is held at this or above, °C. Published guidance.
    pub fn hot_hold_c(self) -> f64 {
        match self {
            Self::UnitedStates => 57.0,
            Self::Canada | Self::Australia => 60.0,
            Self::Usual | Self::England | Self::Scotland => 63.0,
        }
    }

    /// The two that other codes hold it at, °C.
    pub fn hot_hold_elsewhere_c(self) -> [f64; 2] {
        match self.hot_hold_c() {
            c if c < 58.0 => [60.0, 63.0],
            c if c < 61.0 => [57.0, 63.0],
            _ => [57.0, 60.0],
        }
    }

    /// What was cooled is warmed again until its middle is so warm, °C. Published guidance.
    pub fn reheat_c(self) -> f64 {
        match self {
            Self::UnitedStates | Self::Canada => 74.0,
            Self::Usual | Self::England | Self::Australia => 75.0,
            Self::Scotland => 82.0,
        }
    }

    /// Cold food is kept at this or below, °C. Published guidance.
    pub fn cold_c(self) -> f64 {
        match self {
            Self::Canada => 4.0,
            Self::Usual | Self::UnitedStates | Self::Australia => 5.0,
            Self::England | Self::Scotland => 8.0,
        }
    }
}
