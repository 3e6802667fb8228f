//! On the heat, from one to the next, and off it: what is said of every way alike.

use ergastic_words::{Guide, Join, Message, Voice, sheet as say};

use super::bath::Bath;
use super::catalogue::Set;
use super::chill::Chill;
use super::pit::InThePit;
use crate::cuts::EatenAs;
use crate::safety::cooled_first;
use ergastic_physics::medium::Cooling;

/// What is held hot softens only a little between these, °C.
const HOLD_C: [f64; 2] = [63.0, 75.0];

/// From one heat to the next: what is done, and why.
pub(crate) fn moved(from: &Set, to: &Set, voice: Voice) -> (Message, Message) {
    if to.get::<Chill>().is_some() {
        return (say::to_the_cold(), cooled_first(voice));
    }
    match from.get::<Chill>() {
        // Only on liquid does fat set to be lifted off.
        Some(Chill { cooling: Cooling::InLiquid }) => (say::from_the_cold(), say::from_the_cold_why()),
        Some(_) => (say::from_the_cold_no_fat(), say::from_the_cold_no_fat_why()),
        None if from.get::<InThePit>().is_some() && to.get::<Bath>().is_some() => {
            (say::pit_to_bath(), say::pit_to_bath_why())
        }
        None if from.same_kind(to) => (say::change_over(to.way().name()), say::change_over_why()),
        None => (say::move_it(to.way().name()), say::move_it_why()),
    }
}

/// Waiting hot to be served, and why it may.
pub(crate) fn hold(set: &Set) -> (Message, Message) {
    let [low, high] = HOLD_C.map(Guide);
    (set.way().hold(), say::hold_why(low, high))
}

/// Out of the heat, with what comes out beside the meat.
pub(crate) fn lift(set: &Set, open_already: bool, out: &[Message]) -> (Message, Message) {
    let (what, why) = set.way().lift(open_already);
    if out.is_empty() {
        return (what, why);
    }
    (what, say::lift_out_why(Message::list(out.iter().cloned(), Join::Commas)))
}

/// Why it rests.
pub(crate) fn rest(set: &Set, eaten_as: EatenAs) -> Message {
    match (set.facts().rest_why, eaten_as) {
        (Some(why), _) => why(),
        (None, EatenAs::Slice | EatenAs::Probe) => say::rest_slicing_why(),
        (None, _) => say::rest_why(),
    }
}
