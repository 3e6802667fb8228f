//! The ways of cooking, in one table: what each needs, how long its parts take, what it burns and washes up, what it is
//! called and what is done in it.
//!
//! A new way is a medium ([`Medium`], and how it moves in `ergastic_physics`), a row here, its steps in [`tasks`], and
//! its words in the Fluent files `ways` and `sheet`.

mod cooked_in;
mod fuel;
mod lane;
mod medium;
mod names;
mod rules;
mod settings;
mod suits;
pub mod tasks;

use ergastic_words::{Message, matching as say};

use crate::kitchen::Kit;

pub(crate) use cooked_in::CookedIn;
pub use ergastic_physics::medium::Cooling;
pub use fuel::Burned;
pub use lane::Lane;
pub use medium::Medium;
pub use rules::HowItHeats;
pub use settings::{
    AFTER_SMOKE_BATH_C, HeatSource, Method, Release, Settings, Start, USUAL_BATH_C, USUAL_FAT_C, USUAL_KEEP_WARM_C,
    USUAL_OVEN_C, USUAL_PIT_C, USUAL_REHEAT_C, USUAL_WRAP_C,
};
pub use suits::{against, slices};

/// From one heat to the next, min. Working value.
pub const MOVE_MIN: f64 = 10.0;
/// Looks at the meat are this far apart at the least, min. Practice.
pub const LOOK_EVERY_MIN: f64 = 30.0;
/// A night in the cold: long enough that fat sets and lifts off whole, min. Practice.
pub const NIGHT_MIN: f64 = 600.0;

/// How often one looks at the meat on the way.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum Looks {
    /// A closed lid or a sealed bag is opened once.
    Once,
    /// Twice.
    Twice,
    /// Every half hour of its last third.
    ByTheHour,
}

/// Seeing to coals or a fire. Working values, from practice.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Tending {
    /// So often, min.
    pub every_min: f64,
    /// For so long, min.
    pub takes_min: f64,
}

/// What is known of a way beside how it heats. Minutes are working values, from practice.
#[derive(Debug, Clone, Copy)]
pub struct Way {
    /// What has to be free for it; none where anything hot does.
    pub kit: Option<Kit>,
    /// Nothing happens fast in it.
    pub slow: bool,
    /// Things can be put in while it cooks.
    pub opens: bool,
    /// The liquid comes to a simmer on the hob first.
    pub comes_up: bool,
    /// It has to be hot only once the liquid simmers.
    pub hot_later: bool,
    /// It has to get hot beforehand, min.
    pub preheat_min: Option<f64>,
    /// Lighting a fire, filling a bath, melting and straining fat, min.
    pub fire_min: f64,
    /// The last step at the bench, min; none where that is aromatics and deglazing.
    pub into_it_min: Option<f64>,
    /// Looks at the meat.
    pub looks: Looks,
    /// What its fire asks for.
    pub tending: Option<Tending>,
    /// The same where the pit does not hold itself.
    pub tending_by_hand: Option<Tending>,
    /// The meat rests so long, min.
    pub rest_min: f64,
    /// Whether what is under the meat becomes a sauce.
    pub makes_sauce: bool,
    /// What is left to wash.
    pub washes: &'static [fn() -> Message],
}

/// A pot that stands somewhere hot.
const POT: Way = Way {
    kit: None,
    slow: false,
    opens: true,
    comes_up: false,
    hot_later: false,
    preheat_min: None,
    fire_min: 0.0,
    into_it_min: None,
    looks: Looks::ByTheHour,
    tending: None,
    tending_by_hand: None,
    rest_min: 15.0,
    makes_sauce: true,
    washes: &[say::wash_pot],
};

const TURNING_COALS: Tending = Tending { every_min: 15.0, takes_min: 3.0 };
const TENDING_A_PIT: Tending = Tending { every_min: 180.0, takes_min: 5.0 };
const FEEDING_A_FIRE: Tending = Tending { every_min: 45.0, takes_min: 5.0 };

const HOB: Way = Way { kit: Some(Kit::Hob), comes_up: true, ..POT };
const OVEN: Way = Way { kit: Some(Kit::Oven), comes_up: true, hot_later: true, preheat_min: Some(25.0), ..POT };
const COALS: Way = Way {
    kit: Some(Kit::Coals),
    comes_up: true,
    preheat_min: Some(25.0),
    fire_min: 15.0,
    tending: Some(TURNING_COALS),
    ..POT
};
const PRESSURE_POT: Way =
    Way { kit: Some(Kit::PressurePot), opens: false, looks: Looks::Once, washes: &[say::wash_pressure_pot], ..POT };
const CROCK: Way =
    Way { kit: Some(Kit::SlowCooker), slow: true, looks: Looks::Twice, washes: &[say::wash_crock], ..POT };
const WARM: Way = Way { washes: &[say::wash_crock], ..POT };
const WARMED_AGAIN: Way = Way { washes: &[], ..POT };
const BATH: Way = Way {
    kit: Some(Kit::WaterBath),
    slow: true,
    opens: false,
    preheat_min: Some(30.0),
    fire_min: 5.0,
    into_it_min: Some(10.0),
    looks: Looks::Once,
    washes: &[say::wash_juice_pan],
    ..POT
};
const FAT: Way = Way {
    kit: Some(Kit::Oven),
    slow: true,
    opens: false,
    preheat_min: Some(25.0),
    fire_min: 15.0,
    into_it_min: Some(10.0),
    looks: Looks::Twice,
    makes_sauce: false,
    washes: &[say::wash_fat_pot, say::wash_sieve],
    ..POT
};
const PIT: Way = Way {
    kit: Some(Kit::Pit),
    slow: true,
    opens: false,
    preheat_min: Some(45.0),
    fire_min: 15.0,
    into_it_min: Some(5.0),
    tending: Some(TENDING_A_PIT),
    tending_by_hand: Some(FEEDING_A_FIRE),
    rest_min: 30.0,
    makes_sauce: false,
    washes: &[say::wash_grate, say::wash_tray],
    ..POT
};
const CHILLED_IN_BAG: Way = Way { opens: false, washes: &[], ..POT };
const CHILLED: Way = Way { opens: false, washes: &[say::wash_shallow_tray], ..POT };

impl Medium {
    /// Its row of the table.
    pub fn way(&self) -> Way {
        match self {
            Self::Hob { .. } => HOB,
            Self::Oven { .. } => OVEN,
            Self::Coals(_) => COALS,
            Self::Pressure { .. } => PRESSURE_POT,
            Self::SlowCooker { .. } => CROCK,
            Self::KeepWarm { .. } => WARM,
            Self::Reheat { .. } => WARMED_AGAIN,
            Self::Bath { .. } => BATH,
            Self::Fat { .. } => FAT,
            Self::Pit { .. } => PIT,
            Self::Chill { cooling: Cooling::InBag } => CHILLED_IN_BAG,
            Self::Chill { .. } => CHILLED,
        }
    }
}

impl Way {
    /// Looks at the meat in a cook of so many minutes.
    pub fn looks(&self, cook_min: f64) -> usize {
        match self.looks {
            Looks::Once => 1,
            Looks::Twice => 2,
            Looks::ByTheHour => ((cook_min / 3.0 / LOOK_EVERY_MIN).ceil() as usize).clamp(2, 6),
        }
    }

    /// What its fire asks for, in a kitchen whose pit holds itself or does not.
    pub fn tending_now(&self, pit_holds_itself: bool) -> Option<Tending> {
        self.tending_by_hand.filter(|_| !pit_holds_itself).or(self.tending)
    }
}
