//! Coals in the wind.

use std::ops::Deref;

use ergastic_physics::coals::CoalFire;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// How the wind stands about the pot.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Default, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Wind {
    /// Sheltered.
    #[default]
    Calm,
    /// Leaves move: a tenth more coals.
    Breezy,
    /// Branches move: a fifth more.
    Windy,
}

impl Wind {
    /// So much more coals it takes, as a share. Practice.
    pub fn takes(self) -> f64 {
        match self {
            Self::Calm => 0.0,
            Self::Breezy => 0.10,
            Self::Windy => 0.20,
        }
    }
}

/// A fire of counted briquettes, and how the wind stands about it.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Coals {
    fire: CoalFire,
    /// How the wind stands.
    pub wind: Wind,
}

impl Coals {
    /// A fire in such a wind.
    pub fn new(fire: CoalFire, wind: Wind) -> Self {
        Self { fire: CoalFire { wind_takes: wind.takes(), ..fire }, wind }
    }
}

impl Deref for Coals {
    type Target = CoalFire;
    fn deref(&self) -> &CoalFire {
        &self.fire
    }
}
