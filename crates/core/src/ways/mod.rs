//! The catalogue of ways: a folder each, which holds all of it.
//!
//! What a way is asked for stands in [`asked`]; what is known of it whatever it is set to in its `FACTS`; what follows from
//! how it is set in its [`Way`]; what there is to offer of it in its `Offered`. The rest of the core asks: nothing outside
//! looks at which way it is. A new way is a folder, a line in the two lists below, its fields, and its words.

/// Hands the one list of ways on to a macro: each with the folder it stands in.
macro_rules! each_way {
    ($then:ident!) => {
        $then! {
            /// In the oven.
            Oven: oven::Oven,
            /// On the hob at a simmer.
            Hob: hob::Hob,
            /// Coals under and over.
            Coals: coals::OverCoals,
            /// Under pressure.
            Pressure: pressure::Pressure,
            /// A slow cooker.
            SlowCooker: slow_cooker::SlowCooker,
            /// In the pit.
            Pit: pit::InThePit,
            /// Under fat.
            Fat: fat::UnderFat,
            /// In a steam oven.
            SteamOven: steam_oven::InSteam,
            /// Bagged in a bath.
            Bath: bath::Bath,
            /// Kept warm.
            KeepWarm: keep_warm::KeepWarm,
            /// Cooled.
            Chill: chill::Chill,
            /// Warmed through again.
            Reheat: reheat::Reheat,
        }
    };
}

/// Hands the one list of methods on to a macro: each with its name in JSON, its usual way and all
/// the ways it can be gone; those that are compared, in the order in which a cook thinks of them, and then the others.
macro_rules! each_method {
    ($then:ident!) => {
        $then! {
            compared {
                /// Part covered, lid on.
                Braise: "braise" Oven of [Oven, Hob, Coals],
                /// Small pieces, covered.
                Stew: "stew" Hob of [Oven, Hob, Coals],
                /// In a pressure pot.
                Pressure: "pressure" Pressure of [Pressure],
                /// In a slow cooker.
                SlowCooker: "slow_cooker" SlowCooker of [SlowCooker],
                /// In a pit.
                Smoke: "smoke" Pit of [Pit],
                /// Under fat.
                Confit: "confit" Fat of [Fat],
                /// In a steam oven.
                SteamOven: "steam_oven" SteamOven of [SteamOven],
                /// Bagged in a bath.
                WaterBath: "water_bath" Bath of [Bath],
            }
            others {
                /// Kept warm.
                KeepWarm: "keep_warm" KeepWarm of [KeepWarm],
                /// Cooled.
                Chill: "chill" Chill of [Chill],
                /// Warmed through again.
                Reheat: "reheat" Reheat of [Reheat],
            }
        }
    };
}

mod asked;
mod catalogue;
pub mod chains;
mod cooked_in;
mod facts;
mod fields;
mod fill;
mod fuel;
mod goes_in;
mod id;
mod method;
mod moved;
pub mod preset;
mod rule;
mod site;
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
pub mod steam_oven;

pub use asked::{Bounds, Heat, Mopping, Steam, Wrap};
pub use catalogue::{Set, presets, usual};
pub use cooked_in::CookedIn;
pub use ergastic_physics::medium::Cooling;
pub use facts::{BRAISED, Buys, COLD_IN_A_DISH, Facts, HOT, LOOK_EVERY_MIN, LevelFacts, StandsIn, Tending, Unknown};
pub use fields::{Fields, LaneChoice, MethodChoice, fields};
pub(crate) use fill::Fill;
pub use fill::Filled;
pub use fuel::Burned;
pub use goes_in::{BesideTheMeat, ComesFrom, ThingIn};
pub use id::WayId;
pub use method::{
    AFTER_SMOKE_BATH_C, HeatSource, MOVE_MIN, Method, NIGHT_MIN, Release, Settings, Start, USUAL_BATH_C, USUAL_FAT_C,
    USUAL_KEEP_WARM_C, USUAL_OVEN_C, USUAL_PIT_C, USUAL_REHEAT_C, USUAL_WRAP_C,
};
pub(crate) use moved::{hold, lift, moved, rest};
pub use rule::HowItHeats;
pub(crate) use site::Site;
pub use stages::{ByHand, StageRequest, Until};
pub(crate) use steps::{NOTHING_L, WARM_C};
pub use suits::{against, slices};
pub use thumb::{MeatFigures, ThumbRule};
pub use way::{Dialled, HeatChange, Setting, Way};
