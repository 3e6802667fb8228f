//! What is done at a pit.

use ergastic_words::{Dial, Guide, Temperature, prepare, sheet as say};

use super::super::steps::{DishFacts, Instruction};
use super::InThePit;
use crate::kitchen::Lane;

/// A pit stalls between these, °C. Practice.
const STALL_C: [f64; 2] = [65.0, 75.0];

impl InThePit {
    pub(super) fn lit(&self, dish: &DishFacts) -> Instruction {
        let wood = prepare::a_split(dish.wood.key());
        (Lane::Pit, say::light_pit(Dial(self.pit.set_c), wood), say::light_pit_why())
    }

    pub(super) fn meat_in(&self) -> Instruction {
        (Lane::Pit, say::pit_in(), say::pit_in_why())
    }

    pub(super) fn by_itself(&self) -> Instruction {
        let dial = Dial(self.pit.set_c);
        let [low, high] = STALL_C.map(Guide);
        if let Some(material) = self.in_its_wrap() {
            let what = say::in_the_pit_wrapped_at_once(dial, material.key());
            return (Lane::Pit, what, say::in_the_pit_wrapped_why());
        }
        let what = match self.wrap {
            None => say::in_the_pit(dial),
            Some((material, at_c)) => say::in_the_pit_wrapped(dial, material.key(), Temperature(at_c)),
        };
        (Lane::Pit, what, say::in_the_pit_why(low, high))
    }
}
