//! Where things are done.

use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// Where a task takes place.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Lane {
    /// In the cook's hands.
    Hands,
    /// On the hob.
    Hob,
    /// Over coals or an open fire.
    Fire,
    /// In the oven.
    Oven,
    /// In the pressure pot.
    PressurePot,
    /// In the slow cooker.
    Crock,
    /// In the pit.
    Pit,
    /// In the bath.
    Bath,
    /// In the fridge.
    Cold,
    /// At the board.
    Board,
}
