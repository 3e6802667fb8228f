//! What every way answers.

use std::any::Any;
use std::fmt::Debug;

use ergastic_physics::case::End;
use ergastic_physics::medium::{Cooling, Medium as Physics};
use ergastic_words::{Dial, Message, Minutes, Temperature, Units, Voice, cook, errors, sheet, ways as words};

use super::asked::{Bounds, Heat};
use super::facts::Facts;
use super::fill::Fill;
use super::fuel::Burned;
use super::preset::Preset;
use super::rule::HowItHeats;
use super::site::Site;
use super::steps::{DishFacts, Instruction, into_the_pot};
use super::thumb::{self, MeatFigures, ThumbRule};
use crate::cuts::{Cut, EatenAs};
use crate::error::Result;
use crate::heat::pot::Lid;
use crate::safety::Caution;

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
pub struct HeatChange {
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
    ///
    /// # Errors
    /// Nobody waits for them any more.
    fn by_thumb(&self, meat: &MeatFigures) -> Result<Vec<ThumbRule>> {
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
    fn preheat(&self, _dish: &DishFacts) -> Option<Instruction> {
        None
    }
    /// The last step at the bench before the meat meets the heat.
    fn put_in(&self, dish: &DishFacts) -> (Message, Message) {
        into_the_pot(dish)
    }
    /// The moment from which the clock counts.
    fn meets_the_heat(&self, lid: Lid, dish: &DishFacts) -> Instruction;
    /// What goes on by itself; `set` is what a pressure pot is set to.
    fn goes_on(&self, lid: Lid, set: Option<Minutes>, voice: Voice) -> Instruction;
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
    fn could(&self) -> Vec<(&'static str, HeatChange)> {
        Vec::new()
    }
    /// Planned hotter, to be sooner.
    fn hotter(&self, _units: Units) -> Option<HeatChange> {
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
    fn set(asked: &Heat, place: &Site, fill: &mut Fill) -> Result<Self>;
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
    /// The same with the heat off, where it does not simply cool where it stands.
    fn went_out(&self) -> Option<Self> {
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

/// A dial turned by a step, inside its range, °C; none where it stands at its end.
pub(super) fn turned(now_c: f64, up: bool, step_k: f64, [low, high]: [f64; 2]) -> Option<f64> {
    let by_k = if up { step_k } else { -step_k };
    let to_c = (now_c + by_k).clamp(low, high);
    ((to_c - now_c).abs() >= 4.0 && (to_c - now_c).signum() == by_k.signum()).then_some(to_c)
}

/// °C as they stand on a dial, and as they are measured.
pub(super) fn at_dial(celsius: f64) -> Message {
    Message::quantity(Dial(celsius))
}

pub(super) fn measured(celsius: f64) -> Message {
    Message::quantity(Temperature(celsius))
}
