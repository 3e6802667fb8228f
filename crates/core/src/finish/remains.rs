//! What the way to the sauce leaves: the sauce itself, what was kept thin, and the fat.

use super::cooking_liquid::CookingLiquid;
use super::request::SauceRequest;
use super::sauce::ends;
use crate::error::Result;

/// So much of a liquid, with its salt and gelatin.
#[derive(Debug, Clone, Copy, PartialEq)]
pub(crate) struct ShareOfLiquid {
    pub litres: f64,
    pub salt_g_per_kg: f64,
    pub gelatin_pct: f64,
}

/// What is there at the end of the way.
#[derive(Debug, Clone, Copy, PartialEq)]
pub(crate) struct Remains {
    pub sauce: ShareOfLiquid,
    /// Kept thin.
    pub aside: ShareOfLiquid,
    /// Fat that was taken off, L.
    pub skimmed_l: f64,
}

impl ShareOfLiquid {
    fn of(cooking_liquid: &CookingLiquid) -> Self {
        if cooking_liquid.liquid_l <= 1e-6 {
            return Self { litres: 0.0, salt_g_per_kg: 0.0, gelatin_pct: 0.0 };
        }
        Self {
            litres: cooking_liquid.liquid_l,
            salt_g_per_kg: cooking_liquid.salt_g_per_kg(),
            gelatin_pct: cooking_liquid.gelatin_pct(),
        }
    }

    /// Both poured together.
    pub(crate) fn with(self, other: Self) -> Self {
        let litres = self.litres + other.litres;
        let even = |mine: f64, theirs: f64| match litres {
            litres if litres > 1e-6 => (mine * self.litres + theirs * other.litres) / litres,
            _ => 0.0,
        };
        Self {
            litres,
            salt_g_per_kg: even(self.salt_g_per_kg, other.salt_g_per_kg),
            gelatin_pct: even(self.gelatin_pct, other.gelatin_pct),
        }
    }
}

/// What the way of a request leaves.
///
/// # Errors
/// Names the field that can't be used.
pub(crate) fn remains(request: &SauceRequest) -> Result<Remains> {
    let walk = ends(request)?;
    Ok(Remains {
        sauce: ShareOfLiquid::of(&walk.pot),
        aside: ShareOfLiquid::of(&walk.aside),
        skimmed_l: walk.skimmed_l,
    })
}
