//! What meat in the pit is wrapped in.

use ergastic_physics::pit::Wrapping;
use serde::{Deserialize, Serialize};
use strum::IntoStaticStr;
use utoipa::ToSchema;

/// What meat is wrapped in.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema, IntoStaticStr)]
#[serde(rename_all = "snake_case")]
#[strum(serialize_all = "snake_case")]
pub enum WrapMaterial {
    /// Unwaxed paper: some steam passes.
    Paper,
    /// Foil: hardly any does.
    Foil,
}

impl WrapMaterial {
    /// What it is to steam.
    pub fn wrap(self) -> Wrapping {
        match self {
            Self::Paper => Wrapping::Paper,
            Self::Foil => Wrapping::Foil,
        }
    }

    /// Its name in JSON.
    pub fn key(self) -> &'static str {
        self.into()
    }
}
