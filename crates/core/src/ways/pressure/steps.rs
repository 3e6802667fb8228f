//! What is done at a pressure pot.

use ergastic_words::{Minutes, sheet as say};

use super::super::steps::{DishFacts, Instruction};
use super::Pressure;
use crate::kitchen::Lane;

impl Pressure {
    pub(super) fn meat_in(&self, dish: &DishFacts) -> Instruction {
        let what = dish.with_meat().map_or_else(say::pressure_in_dry, say::pressure_in);
        (Lane::PressurePot, what, say::pressure_in_why())
    }

    pub(super) fn by_itself(&self, set: Option<Minutes>) -> Instruction {
        let held = self.hold_s.filter(|s| s.is_finite()).map(|s| Minutes(s / 60.0)).or(set);
        let what = match (held, self.quick) {
            (Some(held), false) => say::under_pressure_held(held),
            (Some(held), true) => say::under_pressure_held_quick(held),
            (None, false) => say::under_pressure(),
            (None, true) => say::under_pressure_quick(),
        };
        (Lane::PressurePot, what, say::under_pressure_why())
    }
}
