//! What is done in the cold.

use ergastic_physics::medium::Cooling;
use ergastic_words::{Voice, sheet as say};

use super::super::steps::Instruction;
use super::Chill;
use crate::kitchen::Lane;
use crate::safety::cooled_by;

impl Chill {
    pub(super) fn set_in_the_cold(&self) -> Instruction {
        (Lane::Cold, say::cold_in(), say::cold_in_why())
    }

    pub(super) fn by_itself(&self, voice: Voice) -> Instruction {
        let what = match self.cooling {
            Cooling::InAir => return (Lane::Board, say::heat_is_off(), say::heat_is_off_why()),
            Cooling::OnTray => say::chilled_on_a_tray(),
            Cooling::InLiquid | Cooling::InBag => say::chilled(),
        };
        (Lane::Cold, what, say::chilled_why(cooled_by(voice)))
    }
}
