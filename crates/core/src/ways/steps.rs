//! What the steps of a dish are chosen by, and what several ways say alike.

use ergastic_words::{Join, Message, sheet as say};

use super::goes_in::{BesideTheMeat, ThingIn, said};
use crate::bench::Wood;
use crate::kitchen::Lane;

/// Liquid that is not so warm goes in cold, °C.
pub const WARM_C: f64 = 40.0;
/// Less than this is not poured, L.
pub const NOTHING_L: f64 = 0.005;

/// What a dish has that its steps are chosen by.
#[derive(Debug, Clone)]
pub struct DishFacts<'a> {
    /// Salt was put on the meat.
    pub salted: bool,
    /// It went through a pan.
    pub seared: bool,
    /// There is bone in it.
    pub bones: bool,
    /// Liquid poured in, L.
    pub liquid_l: f64,
    /// How warm it goes in, °C.
    pub liquid_start_c: f64,
    /// What goes in beside the meat.
    pub goes_in: &'a BesideTheMeat,
    /// Wood for the pit.
    pub wood: Wood,
}

impl DishFacts<'_> {
    /// Whether liquid is poured in.
    pub fn poured(&self) -> bool {
        self.liquid_l > NOTHING_L
    }

    /// What is put in beside the meat, if anything is.
    pub fn beside(&self) -> Option<Message> {
        let with = &self.goes_in.with_meat;
        (!with.is_empty()).then(|| Message::list(said(with), Join::And))
    }

    /// A step, and what is put in with the meat there.
    pub fn and_what_goes_in(&self, step: Message) -> Message {
        let beside = self.beside().map(say::put_in_with_it);
        Message::list(std::iter::once(step).chain(beside), Join::Sentences)
    }

    /// What the meat goes in with; none where it goes in alone.
    pub fn with_meat(&self) -> Option<Message> {
        let juices = self.seared.then(say::its_resting_juices);
        let mut with: Vec<Message> = juices.into_iter().chain(said(&self.goes_in.with_meat)).collect();
        if with.is_empty() && self.poured() {
            with.push(say::the_liquid_in_the_pot());
        }
        (!with.is_empty()).then(|| Message::list(with, Join::And))
    }
}

/// A lane with what to do there and why.
pub type Instruction = (Lane, Message, Message);

/// Aromatics, what deglazes, the liquid: as much of it as there is.
pub fn into_the_pot(dish: &DishFacts) -> (Message, Message) {
    let BesideTheMeat { fat, softened, stirred_in, poured_first, halved, .. } = dish.goes_in;
    let seared = dish.seared;
    let list = |things: &[ThingIn]| (!things.is_empty()).then(|| Message::list(said(things), Join::And));
    let melted = list(fat).map(say::fat_into_the_pan);
    let soften = list(softened).map(|things| match seared || melted.is_some() {
        true => say::soften_in_that_fat(things),
        false => say::soften(things),
    });
    let stir_in = list(stirred_in).map(say::stir_in_and_cook);
    let scrape = match (poured_first.as_ref().map(|thing| thing.said.clone()), halved, seared) {
        (Some(what), true, true) => Some(say::deglaze_seared(what)),
        (Some(what), true, false) => Some(say::deglaze(what)),
        (Some(what), false, true) => Some(say::deglaze_whole_seared(what)),
        (Some(what), false, false) => Some(say::deglaze_whole(what)),
        (None, _, true) => Some(say::scrape()),
        (None, _, false) => None,
    };
    let (poured, cold) = (dish.poured(), dish.liquid_start_c < WARM_C);
    let all: Vec<_> = melted.into_iter().chain(soften).chain(stir_in).chain(scrape).collect();
    let what = match (all.is_empty(), poured) {
        (false, _) => Message::list(all, Join::Sentences),
        (true, true) if cold => say::measure_the_liquid(),
        (true, true) => say::heat_the_liquid(),
        (true, false) => say::pot_ready(),
    };
    let why = match poured {
        true if cold => say::into_it_why_cold(),
        true => say::into_it_why(),
        false => say::into_it_why_dry(),
    };
    (what, why)
}

/// Meat and liquid into a pot over a flame.
pub(super) fn over_a_flame(lane: Lane, dish: &DishFacts) -> Instruction {
    match (dish.with_meat(), dish.poured()) {
        (Some(with), true) => (lane, say::pot_in(with), say::pot_in_why()),
        (Some(with), false) => (lane, say::pot_in_dry_with(with), say::pot_in_dry_why()),
        (None, _) => (lane, say::pot_in_dry(), say::pot_in_dry_why()),
    }
}
