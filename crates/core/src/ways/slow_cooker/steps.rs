//! What is done at a crock, on a switch or kept warm.

use ergastic_words::{Message, Minutes, sheet as say};

use super::super::facts::CROCK_LOOK_MIN;
use super::super::steps::{DishFacts, Instruction};
use crate::heat::pot::Lid;
use crate::kitchen::Lane;

pub(crate) fn meat_in(lid: Lid, dish: &DishFacts) -> Instruction {
    let lid = lid.words();
    let what = match dish.with_meat() {
        Some(with) => say::crock_in(with, lid),
        None => say::crock_in_dry(lid),
    };
    (Lane::Crock, what, say::crock_in_why())
}

pub(crate) fn by_itself(name: Message) -> Instruction {
    (Lane::Crock, say::in_the_crock(name), say::in_the_crock_why(Minutes(CROCK_LOOK_MIN)))
}
