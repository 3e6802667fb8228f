//! From one heat to the next.

use ergastic_words::{Message, Voice, sheet as say};

use super::bath::Bath;
use super::chill::Chill;
use super::pit::InThePit;
use super::{Cooling, Set};
use crate::safety::cooled_first;

/// What is done, and why.
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
