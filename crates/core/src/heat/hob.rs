//! What heats a burner, and how much of its power reaches a pan.

use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// What heats the hob.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Default, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum HobKind {
    /// A flame.
    #[default]
    Gas,
    /// Ceramic.
    Ceramic,
    /// Induction.
    Induction,
}

impl HobKind {
    /// Share of the burner's power that reaches the pan. Published ranges, middled.
    pub fn share(self) -> f64 {
        match self {
            Self::Gas => 0.40,
            Self::Ceramic => 0.65,
            Self::Induction => 0.85,
        }
    }
}
