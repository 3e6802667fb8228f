//! What is done at a hob.

use ergastic_words::sheet as say;

use super::super::steps::Instruction;
use super::Hob;
use crate::heat::pot::{Lid, Simmer};
use crate::kitchen::Lane;

impl Hob {
    pub(super) fn by_itself(&self, lid: Lid) -> Instruction {
        let why = match self.simmer {
            Simmer::Boil => say::on_the_hob_rolling_why(),
            Simmer::Lazy | Simmer::Gentle | Simmer::Brisk => say::on_the_hob_why(),
        };
        (Lane::Hob, say::on_the_hob(self.simmer.looks(), lid.words()), why)
    }
}
