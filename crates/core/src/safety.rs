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

/// No bath is run below this, °C. Published guidance.
pub const BATH_LEAST_C: f64 = 54.4;

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

/// It has been pierced, pounded or studded and stays cool.
pub fn pierced(hottest_core_c: f64) -> Caution {
    Caution::new(
        "pierced",
        format!(
            "The middle only comes to {hottest_core_c:.0} °C: pierced, pounded, studded or injected meat carries what was on \
             its surface inside. Leave it whole, or go past 75 °C."
        ),
    )
}

/// A bath or a hold too cool to soften anything.
pub fn not_softening(medium_c: f64) -> Caution {
    Caution::new(
        "held_not_softened",
        format!("At {medium_c:.0} °C it is held, not softened: below 60 °C nothing softens within a cook's patience."),
    )
}

/// A hold below the usual figure.
pub fn cool_hold(at_c: f64) -> Caution {
    Caution::new(
        "cool_hold",
        format!(
            "Kept at {at_c:.0} °C: hot food is held at 63 °C or above (57 or 60 °C under some codes; your local one comes \
             first)."
        ),
    )
}

/// Cooked in part, then chilled.
pub fn part_cooked() -> Caution {
    Caution::new(
        "part_cooked_chilled",
        "It is chilled before it is done: cool it shallow and fast, from 57 to 21 °C within 2 h and to 5 °C within 4 h \
         more, and bring it to the boil the next day.",
    )
}

/// Anything under fat.
pub fn under_fat() -> Caution {
    Caution::new(
        "under_fat",
        "Meat or garlic under fat keeps 4 days at most, at 4 °C or below: without air, botulism can grow at room \
         temperature. A seal of fat does not preserve it.",
    )
}

/// A lid under pressure.
pub fn pressure_lid() -> Caution {
    Caution::new(
        "pressure_lid",
        "Never force a pressure lid: open it when the pin has dropped, away from your face, and keep hands off the vent.",
    )
}

/// A pressure pot with too much in it.
pub fn pressure_full(share: f64) -> Caution {
    Caution::new(
        "pressure_full",
        format!(
            "It is {:.0} % full: a pressure pot takes two thirds at most, half if it foams, or the vent clogs.",
            share * 100.0
        ),
    )
}

/// A pressure pot with too little in it.
pub fn pressure_dry(litres: f64) -> Caution {
    Caution::new(
        "pressure_dry",
        format!(
            "With {:.0} mL it does not come up to pressure and scorches: pour in at least 250 mL of thin liquid, or what its \
             maker asks.",
            litres * 1000.0
        ),
    )
}

/// Burning charcoal.
pub fn coals_outdoors() -> Caution {
    Caution::new(
        "coals_outdoors",
        "Coals only outdoors: their fumes (carbon monoxide) kill in a closed room, also as they die down.",
    )
}

/// Frozen meat in a slow cooker.
pub fn thaw_first() -> Caution {
    Caution::new("thaw_first", "Thaw it in the cold first: from frozen, a slow cooker leaves it lukewarm for hours.")
}

/// Frozen meat in general.
pub fn frozen_start() -> Caution {
    Caution::new(
        "frozen_start",
        "From frozen: no searing in hot fat (it spits), and check the middle with a thermometer at the end.",
    )
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

/// A marinade that raw meat lay in.
pub fn marinade() -> Caution {
    Caution::new(
        "marinade",
        "Raw meat lay in it: into the pot only while it will still boil, never over the finished dish.",
    )
}

/// Chilli on the hands.
pub fn chilli() -> Caution {
    Caution::new("chilli", "Chilli burns skin and eyes for hours: gloves, and no fumes over a hot pan.")
}

/// Dried beans.
pub fn dried_beans(slow_cooker: bool) -> Caution {
    let text = if slow_cooker {
        "Dried beans must boil hard for 10 min before they go into a slow cooker: raw they are poisonous, and it never boils them."
    } else {
        "Dried beans, soaked, must boil hard for 10 min: raw they are poisonous."
    };
    Caution::new("dried_beans", text)
}
