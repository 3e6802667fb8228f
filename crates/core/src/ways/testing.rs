//! A usual pot at the sea, for the tests of each way.

use ergastic_words::{Message, Voice};

use super::asked::Heat;
use super::catalogue::Set;
use super::fill::Fill;
use super::goes_in::BesideTheMeat;
use super::id::WayId;
use super::site::Site;
use super::steps::DishFacts;
use crate::bench::Wood;
use crate::error::Result;
use crate::heat::pot::{Lid, PotMeasures};

/// A way as it is asked for, in a usual pot where water boils at so many °C.
pub(super) fn set_at(way: WayId, asked: &Heat, boil_c: f64) -> Result<Set> {
    let pot = PotMeasures::default().resolve(Lid::Tight).unwrap();
    let place = Site {
        pot: &pot,
        stands_on_a_hob: true,
        across_m: 0.26,
        pressure_pa: ergastic_physics::steam::saturation_pressure(boil_c),
        boil_c,
        cooled: None,
    };
    way.set(asked, &place, &mut Fill::default())
}

/// The same at the sea.
pub(super) fn set(way: WayId, asked: Heat) -> Set {
    set_at(way, &asked, 100.0).unwrap()
}

/// As it is read.
pub(super) fn said(message: Message) -> String {
    Voice::default().render(message)
}

static NOTHING: BesideTheMeat = BesideTheMeat {
    fat: Vec::new(),
    softened: Vec::new(),
    stirred_in: Vec::new(),
    poured_first: None,
    halved: false,
    with_meat: Vec::new(),
};

/// A salted dish with half a litre of stock.
pub(super) fn dish() -> DishFacts<'static> {
    DishFacts {
        salted: true,
        seared: true,
        bones: false,
        liquid_l: 0.5,
        liquid_start_c: 60.0,
        goes_in: &NOTHING,
        wood: Wood::default(),
    }
}
