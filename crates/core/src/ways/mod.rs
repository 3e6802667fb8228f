//! The catalogue of ways: a folder each, which holds all of it.
//!
//! What a way is asked for stands in [`asked`]; what is known of it whatever it is set to in its `FACTS`; what follows from
//! how it is set in its [`Way`]; what there is to offer of it in its `Offered`. The rest of the core asks: nothing outside
//! looks at which way it is. A new way is a folder, a line in the list of [`catalogue`], its name, its fields, its method, and
//! its words.

mod asked;
mod catalogue;
pub mod chains;
mod cooked_in;
mod facts;
mod fields;
mod fill;
mod fuel;
mod id;
mod method;
mod moved;
mod place;
pub mod preset;
mod rule;
mod stages;
pub mod steps;
mod suits;
#[cfg(test)]
mod testing;
#[cfg(test)]
mod tests;
mod thumb;
mod way;

pub mod bath;
pub mod chill;
pub mod coals;
pub mod fat;
pub mod hob;
pub mod keep_warm;
pub mod oven;
pub mod pit;
pub mod pressure;
pub mod reheat;
pub mod slow_cooker;

pub use asked::{Bounds, Heat, Mopping, Wrap};
pub use catalogue::{Set, presets, usual};
pub use cooked_in::CookedIn;
pub use ergastic_physics::medium::Cooling;
pub use facts::{BRAISED, Buys, COLD_IN_A_DISH, Facts, HOT, LOOK_EVERY_MIN, Level, StandsIn, Tending, Unknown};
pub use fields::{Fields, MethodChoice, fields};
pub(crate) use fill::Fill;
pub use fill::Filled;
pub use fuel::Burned;
pub use id::WayId;
pub use method::{
    AFTER_SMOKE_BATH_C, HeatSource, MOVE_MIN, Method, NIGHT_MIN, Release, Settings, Start, USUAL_BATH_C, USUAL_FAT_C,
    USUAL_KEEP_WARM_C, USUAL_OVEN_C, USUAL_PIT_C, USUAL_REHEAT_C, USUAL_WRAP_C,
};
pub(crate) use moved::{hold, lift, moved, rest};
pub(crate) use place::Place;
pub use rule::HowItHeats;
pub use stages::{ByHand, StageRequest, Until};
pub use suits::{against, slices};
pub use thumb::{Meat as MeatByThumb, Rule};
pub use way::{Change, Dialled, Setting, Way};
