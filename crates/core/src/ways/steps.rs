//! What the steps of a dish are chosen by, and what several ways say alike.

use ergastic_words::{Join, Message, Volume, sheet as say};

use crate::bench::{Larder, Wine, Wood};
use crate::kitchen::Lane;

/// Liquid that is not so warm goes in cold, °C.
const WARM_C: f64 = 40.0;
/// Less than this is not poured, L.
const NOTHING_L: f64 = 0.005;

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
    /// What softens in the fat before the liquid.
    pub aromatics: &'a [Larder],
    /// What the pan is deglazed with, if something is.
    pub deglazes: Option<Larder>,
    /// Boiled down first, or not.
    pub wine: Wine,
    /// What makes up the liquid beside it.
    pub base: Larder,
    /// Wood for the pit.
    pub wood: Wood,
}

impl DishFacts<'_> {
    /// Whether liquid is poured in.
    pub fn poured(&self) -> bool {
        self.liquid_l > NOTHING_L
    }

    /// What is poured in.
    pub fn liquid(&self) -> Volume {
        Volume(self.liquid_l)
    }
}

/// A lane with what to do there and why.
pub type Instruction = (Lane, Message, Message);

/// Aromatics, what deglazes, the liquid: as much of it as there is.
pub fn into_the_pot(dish: &DishFacts) -> (Message, Message) {
    let seared = dish.seared;
    let aromatics: Vec<_> = dish.aromatics.iter().map(|what| what.name()).collect();
    let soften = (!aromatics.is_empty()).then(|| {
        let things = Message::list(aromatics, Join::And);
        if seared { say::soften_in_that_fat(things) } else { say::soften(things) }
    });
    let scrape = match (dish.deglazes, dish.wine, seared) {
        (Some(what), Wine::Halved, true) => Some(say::deglaze_seared(what.name())),
        (Some(what), Wine::Halved, false) => Some(say::deglaze(what.name())),
        (Some(what), Wine::Whole, true) => Some(say::deglaze_whole_seared(what.name())),
        (Some(what), Wine::Whole, false) => Some(say::deglaze_whole(what.name())),
        (None, _, true) => Some(say::scrape(dish.base.name())),
        (None, _, false) => None,
    };
    let (poured, cold) = (dish.poured(), dish.liquid_start_c < WARM_C);
    let all: Vec<_> = soften.into_iter().chain(scrape).collect();
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
    match (dish.poured(), dish.seared) {
        (false, _) => (lane, say::pot_in_dry(), say::pot_in_dry_why()),
        (true, true) => (lane, say::pot_in_juices(dish.liquid()), say::pot_in_why()),
        (true, false) => (lane, say::pot_in(dish.liquid()), say::pot_in_why()),
    }
}
