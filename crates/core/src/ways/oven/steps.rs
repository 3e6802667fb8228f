//! What is done at an oven.

use ergastic_words::{Dial, sheet as say};

use super::super::method::Start;
use super::super::steps::{DishFacts, Instruction, over_a_flame};
use super::Oven;
use crate::heat::pot::Lid;
use crate::kitchen::Lane;

impl Oven {
    pub(super) fn lit(&self) -> Instruction {
        (Lane::Oven, say::light_oven(Dial(self.set_c)), say::light_oven_why())
    }

    /// What stands in the oven from the first is brought to no simmer on a hob.
    pub(super) fn meat_in(&self, lid: Lid, dish: &DishFacts) -> Instruction {
        match self.start {
            Start::Hob => over_a_flame(Lane::Hob, dish),
            Start::Oven | Start::ColdOven => {
                let lid = lid.words();
                let what = match dish.with_meat() {
                    Some(with) => say::dish_in(with, lid),
                    None => say::dish_in_dry(lid),
                };
                (Lane::Oven, what, say::dish_in_why())
            }
        }
    }

    pub(super) fn by_itself(&self, lid: Lid) -> Instruction {
        (Lane::Oven, say::in_the_oven(Dial(self.set_c), lid.words()), say::in_the_oven_why())
    }
}
