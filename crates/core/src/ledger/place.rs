//! Where something can be.

use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// Where something of a dish is.
#[derive(Debug, Clone, Copy, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Place {
    /// Not in the kitchen yet; tap water too.
    Shop,
    /// In the fridge.
    Fridge,
    /// On the board.
    Board,
    /// In a bowl: a marinade, a brine, a soak.
    Bowl,
    /// In the pan.
    Pan,
    /// In what it cooks in: pot, tin, slow cooker, pressure pot, bag, pit, fat.
    Vessel,
    /// On a tray.
    Tray,
    /// In a jar, kept.
    Jar,
    /// On a plate.
    Plate,
    /// Thrown away.
    Bin,
    /// Gone off as steam or smoke.
    Air,
}

impl Place {
    /// Whether what is there is done with: eaten, kept or gone.
    pub fn is_an_end(self) -> bool {
        matches!(self, Self::Jar | Self::Plate | Self::Bin | Self::Air)
    }
}
