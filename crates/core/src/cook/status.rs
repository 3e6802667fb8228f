//! How far a cook has come.

use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::standing::Standing;

/// How far a cook has come.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Status {
    /// The meat has not met the heat.
    Before,
    /// Over the heat.
    UnderWay,
    /// Tender, held or being finished.
    Tender,
    /// Over.
    Closed,
}

impl Status {
    /// How far it has come, tender since then.
    pub(super) fn of(standing: &Standing, tender_at: Option<Timestamp>) -> Self {
        match (standing.closed(), standing.on_the_heat(), tender_at) {
            (Some(_), _, _) => Self::Closed,
            (None, None, _) => Self::Before,
            (None, Some(_), None) => Self::UnderWay,
            (None, Some(_), Some(_)) => Self::Tender,
        }
    }
}
