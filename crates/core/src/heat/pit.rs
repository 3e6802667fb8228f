//! What meat in the pit is wrapped in.

use ergastic_physics::pit::Wrap;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// What meat is wrapped in.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum WrapMaterial {
    /// Unwaxed paper: some steam passes.
    Paper,
    /// Foil: hardly any does.
    Foil,
}

impl WrapMaterial {
    /// What it is to steam.
    pub fn wrap(self) -> Wrap {
        match self {
            Self::Paper => Wrap::Paper,
            Self::Foil => Wrap::Foil,
        }
    }

    /// Its name in JSON.
    pub fn key(self) -> &'static str {
        match self {
            Self::Paper => "paper",
            Self::Foil => "foil",
        }
    }
}
