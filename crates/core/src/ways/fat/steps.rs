//! What is done under fat.

use ergastic_words::{Temperature, sheet as say};

use super::super::steps::Instruction;
use super::UnderFat;
use crate::kitchen::Lane;

impl UnderFat {
    pub(super) fn warmed(&self) -> Instruction {
        (Lane::Oven, say::warm_fat(Temperature(self.fat_c)), say::warm_fat_why())
    }

    pub(super) fn meat_in(&self) -> Instruction {
        (Lane::Oven, say::fat_in(), say::fat_in_why())
    }

    pub(super) fn by_itself(&self) -> Instruction {
        (Lane::Oven, say::under_fat(Temperature(self.fat_c)), say::under_fat_why())
    }
}
