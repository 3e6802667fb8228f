//! What can hurt someone, said only where it binds. Figures are published guidance; local food codes come first.

use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// A caution that binds in this plan.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct Caution {
    /// A stable name.
    pub id: String,
    /// One or two short sentences.
    pub text: String,
}

impl Caution {
    /// A caution with its name and words.
    pub fn new(id: &str, text: impl Into<String>) -> Self {
        Self { id: id.to_owned(), text: text.into() }
    }
}

/// The middle of the piece should pass this within [`WARM_WITHIN_H`], °C. Published guidance for slow cooking.
pub const WARM_PAST_C: f64 = 54.0;
/// Hours within which the middle should be warm. Published guidance.
pub const WARM_WITHIN_H: f64 = 6.0;

/// The middle stays cool too long.
pub fn slow_warming(hours_to_warm: Option<f64>) -> Option<Caution> {
    let too_slow = hours_to_warm.is_none_or(|hours| hours > WARM_WITHIN_H);
    too_slow.then(|| {
        Caution::new(
            "slow_warming",
            format!(
                "The middle takes more than {WARM_WITHIN_H:.0} h to pass {WARM_PAST_C:.0} °C, long enough for bacteria to grow. \
                 Cut it smaller or start hotter; don't pierce, stud or pound it."
            ),
        )
    })
}

/// The liquid runs out before the end.
pub fn boils_dry(hours: f64) -> Caution {
    Caution::new(
        "boils_dry",
        format!(
            "Without topping up, the pot is dry after about {hours:.1} h and the bottom burns. Top it up with hot liquid."
        ),
    )
}

/// Raw meat on the board.
pub fn raw_meat() -> Caution {
    Caution::new("raw_meat", "Raw juices spread. Don't rinse the meat; wash hands, board and tongs after it.")
}

/// Lifting the lid.
pub fn lid_steam() -> Caution {
    Caution::new("lid_steam", "Lift the lid away from your face: the steam scalds.")
}

/// Wet meat in hot fat.
pub fn hot_fat() -> Caution {
    Caution::new("hot_fat", "Wet meat spits in hot fat. Pat it dry and lay it in away from you.")
}

/// Wine into a hot pan.
pub fn wine_flames() -> Caution {
    Caution::new("wine_flames", "Wine can flare in a hot pan: take it off the flame to pour, with the hood off high.")
}

/// Keeping it hot.
pub fn hot_hold() -> Caution {
    Caution::new("hot_hold", "Hold at 63 °C or above (57 or 60 °C under some codes; your local one comes first).")
}

/// Leftovers.
pub fn cooling() -> Caution {
    Caution::new(
        "cooling",
        "Cool leftovers from 57 to 21 °C within 2 h and to 5 °C within 4 h more: shallow trays, not the whole pot.",
    )
}
