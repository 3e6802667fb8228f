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

/// How fast cooked food is cooled under a code.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct CoolingRule {
    /// It counts from here, °C.
    pub warm_c: f64,
    /// To be reached first, °C.
    pub cool_c: f64,
    /// Within so many minutes.
    pub cool_within_min: f64,
    /// To be reached in the end, °C.
    pub cold_c: f64,
    /// Within so many minutes more; nothing where the code leaves that to the fridge.
    pub cold_within_min: Option<f64>,
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

    /// How fast cooked food is cooled. Published guidance: two steps in North America, Australia and New Zealand; into the
    /// fridge within two hours in England, within 90 minutes in Scotland.
    pub fn cooling(self) -> CoolingRule {
        let two_steps = |warm_c: f64, cool_c: f64| CoolingRule {
            warm_c,
            cool_c,
            cool_within_min: 120.0,
            cold_c: self.cold_c(),
            cold_within_min: Some(240.0),
        };
        let then_the_fridge = |cool_within_min: f64| CoolingRule {
            warm_c: 63.0,
            cool_c: 21.0,
            cool_within_min,
            cold_c: self.cold_c(),
            cold_within_min: None,
        };
        match self {
            Self::Usual | Self::UnitedStates => two_steps(57.0, 21.0),
            Self::Canada => two_steps(60.0, 20.0),
            Self::Australia => two_steps(60.0, 21.0),
            Self::England => then_the_fridge(120.0),
            Self::Scotland => then_the_fridge(90.0),
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
