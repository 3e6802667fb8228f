//! How the meat is cut up for a way.

use serde::{Deserialize, Serialize};
use strum::IntoStaticStr;
use utoipa::ToSchema;

/// How the meat is cut up for a way.
#[derive(Debug, Clone, Copy, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize, ToSchema, IntoStaticStr)]
#[serde(rename_all = "snake_case")]
#[strum(serialize_all = "snake_case")]
pub enum Shape {
    /// As it comes.
    Whole,
    /// Each piece cut across its longest side.
    Halved,
    /// In 4 cm cubes.
    Cubed,
}

impl Shape {
    /// Its name in JSON.
    pub fn key(self) -> &'static str {
        self.into()
    }
}
