//! What is done at a bath.

use ergastic_words::{Temperature, sheet as say};

use super::super::steps::Instruction;
use super::Bath;
use crate::kitchen::Lane;

impl Bath {
    pub(super) fn warmed(&self) -> Instruction {
        (Lane::Bath, say::warm_bath(Temperature(self.bath_c)), say::warm_bath_why())
    }

    pub(super) fn bag_in(&self) -> Instruction {
        (Lane::Bath, say::bath_in(), say::bath_in_why())
    }

    pub(super) fn by_itself(&self) -> Instruction {
        (Lane::Bath, say::in_the_bath(Temperature(self.bath_c)), say::in_the_bath_why())
    }
}
