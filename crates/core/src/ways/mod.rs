//! The catalogue of ways: a folder each, which holds all of it.
//!
//! What a way is asked for stands in [`asked`]; what is known of it whatever it is set to in its `FACTS`; what follows from
//! how it is set in its [`Way`]; what there is to offer of it in its [`Offered`]. The rest of the core asks: nothing outside
//! looks at which way it is. A new way is a folder, a line in the list below, its fields, its method, and its words.

mod asked;
pub mod chains;
mod cooked_in;
mod facts;
mod fill;
mod fuel;
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

use std::any::Any;
use std::fmt::Debug;

use ergastic_physics::case::End;
use ergastic_physics::medium::Medium as Physics;
use ergastic_words::{Dial, Message, Minutes, Temperature, Units, Voice, cook, errors, sheet, ways as words};

use crate::cuts::{Cut, EatenAs};
use crate::error::Result;
use crate::heat::pot::{Lid, Simmer};
use crate::safety::Caution;
use preset::Preset;
use steps::{DishFacts, Step};

pub(crate) use asked::bounds;
pub use asked::{Bounds, Heat, Mopping, Wrap};
pub use cooked_in::CookedIn;
pub use ergastic_physics::medium::Cooling;
pub use facts::{BRAISED, Buys, COLD_IN_A_DISH, Facts, HOT, LOOK_EVERY_MIN, Level, StandsIn, Tending, Unknown};
pub(crate) use fill::Fill;
pub use fill::Filled;
pub use fuel::Burned;
pub use method::{
    AFTER_SMOKE_BATH_C, HeatSource, Method, Release, Settings, Start, USUAL_BATH_C, USUAL_FAT_C, USUAL_KEEP_WARM_C,
    USUAL_OVEN_C, USUAL_PIT_C, USUAL_REHEAT_C, USUAL_WRAP_C,
};
pub(crate) use moved::moved;
pub(crate) use place::Place;
pub use rule::HowItHeats;
pub use stages::{ByHand, StageRequest, Until};
pub use suits::{against, slices};
pub use thumb::{Meat as MeatByThumb, Rule};

/// From one heat to the next, min. Working value.
pub const MOVE_MIN: f64 = 10.0;
/// A night in the cold: long enough that fat sets and lifts off whole, min. Practice.
pub const NIGHT_MIN: f64 = 600.0;

/// What stands at its dial.
#[derive(Debug, Clone)]
pub struct Dialled {
    /// What it may be set to.
    pub bounds: Bounds,
    /// What it is set to, °C.
    pub celsius: f64,
    /// As it is read there.
    pub words: Message,
}

/// One setting of a dial.
#[derive(Debug, Clone)]
pub struct Setting {
    /// As it stands on the dial.
    pub words: Message,
    /// What it looks like or does; none where that follows from the run.
    pub looks: Option<&'static str>,
    /// The heat.
    pub heat: Heat,
    /// Where it stands among the others, °C, on a dial that has degrees.
    pub celsius: Option<f64>,
}

/// A change of the heat, with what it is called and what it costs beside what is computed.
#[derive(Debug, Clone)]
pub struct Change {
    /// What is done.
    pub words: Message,
    /// What it costs.
    pub trade: Message,
    /// The heat, or what is changed of it.
    pub heat: Heat,
}

/// A way as it is set, with nothing left open: a combination that can't be has no place in it. What is not told otherwise is
/// as in any pot that stands somewhere hot.
pub trait Way: Any + Debug {
    /// What is known of it however it is set.
    fn facts(&self) -> Facts;
    /// What it is to the physics.
    fn medium(&self) -> Physics;
    /// The heat with what was left out as it is set.
    fn asked(&self, given: Heat) -> Heat;
    /// What stands at its dial; none where it has none that counts in degrees.
    fn dial(&self) -> Option<Dialled> {
        None
    }
    /// When it ends by itself.
    fn ends(&self) -> Option<End> {
        None
    }
    /// How what was cooked so is cooled.
    fn cooled(&self) -> Cooling {
        Cooling::InLiquid
    }
    /// The same with the heat off: it cools where it stands.
    fn went_out(&self) -> Set {
        Set::Chill(chill::Chill { cooling: Cooling::InAir })
    }

    /// What surrounds the meat, in a few words.
    fn name(&self) -> Message;
    /// So many minutes of it.
    fn for_so_long(&self, time: Minutes) -> Message {
        words::so_long_in(time, self.name())
    }
    /// How it cooks, as a sentence with what the liquid settles at.
    fn sentence(&self, boil_c: f64, settled_c: Option<f64>) -> Message;
    /// How it heats, under such a lid, where water boils at so many °C.
    fn how_it_heats(&self, lid: Lid, boil_c: f64) -> HowItHeats;
    /// What is decided by setting its dial, under such a lid; nothing where there is none to set.
    fn what_the_dial_decides(&self, _lid: Lid) -> Option<Message> {
        None
    }
    /// The rules cooks go by.
    fn by_thumb(&self, meat: &MeatByThumb) -> Vec<Rule> {
        thumb::in_the_pot(meat)
    }
    /// Whether meat becomes tender in it at all.
    fn softens(&self) -> bool {
        true
    }
    /// What binds while it goes on, for its setting alone.
    fn cautions(&self, _voice: Voice) -> Vec<Caution> {
        Vec::new()
    }

    /// What has to get hot before the meat comes to it.
    fn preheat(&self, _dish: &DishFacts) -> Option<Step> {
        None
    }
    /// The last step at the bench before the meat meets the heat.
    fn into_it(&self, dish: &DishFacts) -> (Message, Message) {
        steps::into_the_pot(dish)
    }
    /// The moment from which the clock counts.
    fn meets_the_heat(&self, lid: Lid, dish: &DishFacts) -> Step;
    /// What goes on by itself; `set` is what a pressure pot is set to.
    fn goes_on(&self, lid: Lid, set: Option<Minutes>, voice: Voice) -> Step;
    /// What there is to do meanwhile: to leave it, as it should be left.
    fn leave_it(&self, lid: Lid) -> Message;
    /// Waiting hot to be served.
    fn hold(&self) -> Message {
        sheet::hold_pot()
    }
    /// Out of the heat, and why, from a pot that was opened before or not.
    fn lift(&self, _open_already: bool) -> (Message, Message) {
        (sheet::lift_pot(), sheet::lift_why())
    }

    /// Done early: how it is held, at so many °C.
    fn done_early(&self, held: Temperature) -> Message {
        cook::early_pot(held)
    }
    /// Its dial a step up or down; none where it stands at its end.
    fn turned(&self, _up: bool) -> Option<(Message, Heat)> {
        None
    }
    /// Its own dial turned down to hold what is done: to how many °C.
    fn held(&self) -> Option<(f64, Heat)> {
        None
    }
    /// What else could be done to it now, each with an id.
    fn could(&self) -> Vec<(&'static str, Change)> {
        Vec::new()
    }
    /// Planned hotter, to be sooner.
    fn hotter(&self, _units: Units) -> Option<Change> {
        None
    }
    /// What it burns in some hours. Working values: ovens, hobs and pits differ by half.
    fn burns(&self, hours: f64) -> Burned;
}

/// What there is of a way before it is set.
pub(crate) trait Offered: Way + Sized {
    /// What is known of it.
    const FACTS: Facts;
    /// As it is asked for, in a place.
    ///
    /// # Errors
    /// Names the field that is out of range.
    fn set(asked: &Heat, place: &Place, fill: &mut Fill) -> Result<Self>;
    /// The settings of its dial around a heat.
    fn settings(_asked: &Heat, _units: Units) -> Vec<Setting> {
        Vec::new()
    }
    /// What is worth offering of it.
    fn presets(_units: Units) -> Vec<Preset> {
        Vec::new()
    }
    /// What is said of a field of it that is given for another.
    fn only() -> Message {
        errors::a_value()
    }
    /// Why a cut does not go this way, if it does not.
    fn against(_cut: Cut, _eaten_as: EatenAs) -> Option<Message> {
        None
    }
    /// The heat of one that is hot already.
    fn warm(asked: Heat) -> Heat {
        asked
    }
    /// The heat as it comes back after it was off for some minutes.
    fn lit_again(asked: Heat, _off_min: f64) -> Heat {
        asked
    }
}

/// The one list of ways.
macro_rules! ways {
    ($($(#[$doc:meta])* $name:ident),+ $(,)?; $($room:ident::$way:ident),+ $(,)?) => {
        /// A way, whatever it is set to.
        #[derive(Debug, Clone, Copy, PartialEq, Eq)]
        pub enum WayId {
            $($(#[$doc])* $name,)+
        }

        /// A way as it is set.
        #[derive(Debug, Clone, Copy, PartialEq)]
        pub enum Set {
            $($(#[$doc])* $name($room::$way),)+
        }

        impl Set {
            /// The way, to be asked.
            pub fn way(&self) -> &dyn Way {
                match self {
                    $(Self::$name(way) => way,)+
                }
            }

            /// Which it is.
            pub fn id(&self) -> WayId {
                match self {
                    $(Self::$name(_) => WayId::$name,)+
                }
            }
        }

        impl WayId {
            /// All of them.
            pub const ALL: &[Self] = &[$(Self::$name),+];

            /// What is known of it.
            pub fn facts(self) -> Facts {
                match self {
                    $(Self::$name => $room::$way::FACTS,)+
                }
            }

            /// As it is asked for, in a place.
            ///
            /// # Errors
            /// Names the field that is out of range.
            pub(crate) fn set(self, asked: &Heat, place: &Place, fill: &mut Fill) -> Result<Set> {
                match self {
                    $(Self::$name => $room::$way::set(asked, place, fill).map(Set::$name),)+
                }
            }

            /// The settings of its dial around a heat.
            pub(crate) fn settings(self, asked: &Heat, units: Units) -> Vec<Setting> {
                match self {
                    $(Self::$name => $room::$way::settings(asked, units),)+
                }
            }

            /// What is worth offering of it.
            pub fn presets(self, units: Units) -> Vec<Preset> {
                match self {
                    $(Self::$name => $room::$way::presets(units),)+
                }
            }

            /// What is said of a field of it that is given for another.
            fn only(self) -> Message {
                match self {
                    $(Self::$name => $room::$way::only(),)+
                }
            }

            /// Why a cut does not go this way, if it does not.
            pub fn against(self, cut: Cut, eaten_as: EatenAs) -> Option<Message> {
                match self {
                    $(Self::$name => $room::$way::against(cut, eaten_as),)+
                }
            }

            /// The heat of one that is hot already.
            pub(crate) fn warm(self, asked: Heat) -> Heat {
                match self {
                    $(Self::$name => $room::$way::warm(asked),)+
                }
            }

            /// The heat as it comes back after it was off for some minutes.
            pub(crate) fn lit_again(self, asked: Heat, off_min: f64) -> Heat {
                match self {
                    $(Self::$name => $room::$way::lit_again(asked, off_min),)+
                }
            }
        }
    };
}

ways! {
    /// In the oven.
    Oven,
    /// On the hob at a simmer.
    Hob,
    /// Coals under and over.
    Coals,
    /// Under pressure.
    Pressure,
    /// A slow cooker.
    SlowCooker,
    /// In the pit.
    Pit,
    /// Under fat.
    Fat,
    /// Bagged in a bath.
    Bath,
    /// Kept warm.
    KeepWarm,
    /// Cooled.
    Chill,
    /// Warmed through again.
    Reheat,
    ;
    oven::Oven, hob::Hob, coals::OverCoals, pressure::Pressure, slow_cooker::SlowCooker, pit::InThePit, fat::UnderFat,
    bath::Bath, keep_warm::KeepWarm, chill::Chill, reheat::Reheat,
}

impl Set {
    /// What is known of it.
    pub fn facts(&self) -> Facts {
        self.way().facts()
    }

    /// The very way, for what only it has.
    pub fn get<W: Way>(&self) -> Option<&W> {
        let way: &dyn Any = self.way();
        way.downcast_ref()
    }

    /// Whether the clock of the heat source goes on from one stage into the next.
    pub fn same_kind(&self, other: &Self) -> bool {
        self.id() == other.id()
    }

    /// Whether the meat lies in a pot of water, stock or wine.
    pub fn is_pot(&self) -> bool {
        self.facts().is_pot
    }

    /// Whether it is a rolling boil.
    pub fn rolls(&self) -> bool {
        self.get::<hob::Hob>().is_some_and(|hob| hob.simmer == Simmer::Boil)
    }

    /// The simmer of a pot over a flame.
    pub fn simmer(&self) -> Option<Simmer> {
        let over_coals = self.get::<coals::OverCoals>().map(|_| Simmer::Gentle);
        self.get::<hob::Hob>().map(|hob| hob.simmer).or(over_coals)
    }
}

/// All presets: of the methods in the order in which they are compared, each from the gentlest.
pub fn presets(units: Units) -> Vec<Preset> {
    let mut all: Vec<Preset> = WayId::ALL.iter().flat_map(|way| way.presets(units)).collect();
    all.sort_by_key(|preset| Method::COMPARED.iter().position(|method| *method == preset.method));
    all
}

/// The usual heat of a method.
pub fn usual(method: Method, units: Units) -> Heat {
    let usual = presets(units).into_iter().find(|preset| preset.usual && preset.method == method);
    usual.map(|preset| preset.heat).unwrap_or_default()
}

/// A dial turned by a step, inside its range, °C; none where it stands at its end.
fn turned(now_c: f64, up: bool, step_k: f64, [low, high]: [f64; 2]) -> Option<f64> {
    let by_k = if up { step_k } else { -step_k };
    let to_c = (now_c + by_k).clamp(low, high);
    ((to_c - now_c).abs() >= 4.0 && (to_c - now_c).signum() == by_k.signum()).then_some(to_c)
}

/// °C as they stand on a dial, and as they are measured.
fn at_dial(celsius: f64) -> Message {
    Message::quantity(Dial(celsius))
}

fn measured(celsius: f64) -> Message {
    Message::quantity(Temperature(celsius))
}
