//! Warming it again in its liquid, and cooling a piece through: conduction into what it was cut to.

use ergastic_words::{Guide, Length, Voice, afterwards as say};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::meat::LiftedMeat;
use crate::cuts::EatenAs;
use ergastic_physics::body::BodyShape;
use ergastic_physics::middle_s;
use ergastic_physics::parameters::{Parameters, Surface};
use ergastic_physics::places::{FRIDGE_AT_WORK_C, FROM_THE_FRIDGE_C, ICE_WATER_C};
use ergastic_physics::vessel::WATER_SPECIFIC_HEAT;

/// As what it is warmed.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum WarmedAs {
    /// Slices of a finger's breadth.
    Slices,
    /// Chunks, or what was pulled.
    Chunks,
    /// The piece as it was cooked.
    Whole,
}

/// One way of warming it.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Rewarm {
    /// As what.
    pub warmed_as: WarmedAs,
    /// Its name.
    pub name: String,
    /// How thick that is, mm.
    pub thick_mm: f64,
    /// Minutes from the cold pot until the middle is warm enough.
    pub min: f64,
    /// How it is done.
    pub how: String,
}

/// Gently under the simmer, °C. Working value.
const LIQUID_C: f64 = 92.0;
/// An oven for something small on a tray, °C. Practice.
pub(super) const OVEN_C: f64 = 180.0;
/// How hot a bag or a jar goes into ice water, °C. Working value.
const OUT_OF_THE_BAG_C: f64 = 85.0;
/// What brings the heat to meat and takes it off again.
const MEETS: Surface = Parameters::USUAL.surface;
/// Slices and chunks, mm. Practice.
const SLICE_MM: [f64; 3] = [10.0, 80.0, 120.0];
const CHUNK_MM: [f64; 3] = [35.0, 35.0, 40.0];

impl WarmedAs {
    const ALL: [Self; 3] = [Self::Slices, Self::Chunks, Self::Whole];

    fn key(self) -> &'static str {
        match self {
            Self::Slices => "slices",
            Self::Chunks => "chunks",
            Self::Whole => "whole",
        }
    }
}

/// Minutes until the middle of a piece with such sides, mm, comes from one temperature to another in surroundings of a third, °C.
fn middle_min(sides_mm: [f64; 3], [from_c, to_c]: [f64; 2], around_c: f64, coefficient: f64) -> f64 {
    let shape = BodyShape::from_sides(sides_mm.map(|mm| mm / 1000.0));
    middle_s(shape, [from_c, to_c], around_c, coefficient) / 60.0
}

/// Minutes in a hot oven from the fridge until the middle is so warm, °C.
pub(super) fn in_the_oven_min(sides_mm: [f64; 3], to_c: f64) -> f64 {
    middle_min(sides_mm, [FROM_THE_FRIDGE_C, to_c], OVEN_C, Parameters::USUAL.after.oven_air)
}

/// Minutes in the fridge from so warm until the middle is firm, °C: a little over what the fridge has.
pub(super) fn in_the_fridge_min(sides_mm: [f64; 3], from_c: f64) -> f64 {
    middle_min(sides_mm, [from_c, FRIDGE_AT_WORK_C + 3.0], FRIDGE_AT_WORK_C, MEETS.fridge)
}

/// Minutes under ice water, in its bag or its fat, until the middle is so cold, °C.
pub(super) fn in_ice_water_min(sides_mm: [f64; 3], to_c: f64) -> f64 {
    middle_min(sides_mm, [OUT_OF_THE_BAG_C, to_c], ICE_WATER_C, MEETS.bath)
}

/// To the next five minutes.
pub(super) fn fives(min: f64) -> f64 {
    (min / 5.0).ceil() * 5.0
}

/// Every way of warming such meat in so much liquid, L, over a burner that heats with so many W.
pub(super) fn reheats(meat: &LiftedMeat, liquid_l: f64, heats_w: f64, voice: Voice) -> Vec<Rewarm> {
    let to_c = voice.food_code().reheat_c();
    let boils_min = liquid_l * WATER_SPECIFIC_HEAT * (LIQUID_C - FROM_THE_FRIDGE_C) / heats_w / 60.0;
    let shown = |warmed_as: WarmedAs| {
        let sides = match warmed_as {
            WarmedAs::Slices => SLICE_MM,
            WarmedAs::Chunks => CHUNK_MM,
            WarmedAs::Whole => meat.sides_mm,
        };
        let thick_mm = sides.into_iter().fold(f64::INFINITY, f64::min);
        let warms_min = middle_min(sides, [FROM_THE_FRIDGE_C, to_c], LIQUID_C, MEETS.liquid);
        Rewarm {
            warmed_as,
            name: voice.render(say::reheat_name(warmed_as.key())),
            thick_mm,
            min: fives(boils_min + warms_min),
            how: voice.render(say::reheat_how(warmed_as.key(), Length(thick_mm), Guide(to_c))),
        }
    };
    let goes = |way: &WarmedAs| match way {
        // What falls apart is not sliced.
        WarmedAs::Slices => !matches!(meat.eaten_as, EatenAs::Pull | EatenAs::Spoon),
        WarmedAs::Chunks => true,
        // What is no thicker than a chunk is one.
        WarmedAs::Whole => meat.sides_mm[0] > 1.2 * CHUNK_MM[0],
    };
    WarmedAs::ALL.into_iter().filter(goes).map(shown).collect()
}

#[cfg(test)]
mod tests {
    use super::*;
    use proptest::prelude::*;

    proptest! {
        #[test]
        fn thicker_and_hotter_takes_longer(thick in 8.0..90.0f64, more in 1.1..2.0f64, to_c in 74.0..82.0f64) {
            let sides = |mm: f64| [mm, 2.0 * mm, 3.0 * mm];
            let warm = |mm: f64, to_c: f64| middle_min(sides(mm), [5.0, to_c], LIQUID_C, MEETS.liquid);
            prop_assert!(warm(thick * more, to_c) > warm(thick, to_c));
            prop_assert!(warm(thick, to_c) >= warm(thick, to_c - 4.0));
            prop_assert!(in_the_fridge_min(sides(thick * more), 30.0) > in_the_fridge_min(sides(thick), 30.0));
        }
    }
}
