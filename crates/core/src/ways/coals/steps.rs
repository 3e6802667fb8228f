//! What is done at a fire of coals.

use ergastic_physics::coals::TURN_EVERY_MIN;
use ergastic_words::{Minutes, sheet as say};

use super::super::steps::Instruction;
use super::super::way::Way;
use super::OverCoals;
use crate::heat::pot::Lid;
use crate::kitchen::Lane;

impl OverCoals {
    pub(super) fn lit(&self) -> Instruction {
        (Lane::Hob, say::light_coals(self.coals.under + self.coals.over), say::light_coals_why())
    }

    pub(super) fn by_itself(&self, lid: Lid) -> Instruction {
        (Lane::Fire, say::over_coals(self.name(), lid.words()), say::over_coals_why(Minutes(TURN_EVERY_MIN)))
    }
}
