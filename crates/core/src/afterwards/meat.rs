//! The meat between the pot and the plate: kept warm, cut with its grain in mind, and how much of it a head.

use ergastic_words::{Guide, Join, Length, Mass, Message, Minutes, RoughMinutes, Voice, afterwards as say};
use serde::{Deserialize, Serialize};
use serde_with::skip_serializing_none;
use utoipa::ToSchema;

use crate::cuts::EatenAs;
use crate::finish::{fibre_length_mm, slicing};
use crate::ways::CookedIn;
use ergastic_physics::tender::rate;

/// Cooked meat on a plate, kg a head. Practice.
const PLATE_KG: [f64; 2] = [0.15, 0.18];
/// Sliced so thick, mm: what is soft to the probe thicker than what is sliced firm. Practice.
const SLICE_MM: f64 = 6.0;
const PROBED_MM: f64 = 8.0;
/// From here on fibres chew, and are strings, mm. Working values.
const SOME_CHEW_MM: f64 = 9.0;
const STRINGS_MM: f64 = 15.0;
/// A boiling shorter than this does nothing to it, min; an open pot boils at, °C.
const NO_BOILING_MIN: f64 = 3.0;
const BOIL_C: f64 = 99.0;
/// The angles the answer tells of, °: a knife is laid no nearer along the grain.
const ANGLES: [f64; 9] = [10.0, 20.0, 30.0, 40.0, 50.0, 60.0, 70.0, 80.0, 90.0];

/// The meat that came out of the pot.
#[derive(Debug, Clone, Copy)]
pub(crate) struct LiftedMeat {
    /// Cooked and edible, kg.
    pub kg: f64,
    /// By the scales, or reckoned.
    pub weighed: bool,
    pub people: u32,
    pub eaten_as: EatenAs,
    /// Sides of a piece as it is cooked, mm.
    pub sides_mm: [f64; 3],
    /// Fat in it, as a share.
    pub fat: f64,
    pub toughness: f64,
    /// How tender it is, and where it has gone too far, on the scale of slice to spoon.
    pub tenderness: f64,
    pub overcooked: f64,
    /// There is liquid to lay it in.
    pub wet: bool,
    pub cooked_in: CookedIn,
}

/// How long the fibres are at an angle of the knife to the grain.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct AtAngle {
    /// Knife to grain, °: 90 is straight across.
    pub angle_deg: f64,
    /// Fibres that are eaten, mm.
    pub fibre_mm: f64,
    /// How that eats.
    pub words: String,
}

/// How it is sliced.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Slicing {
    /// A slice, mm.
    pub thickness_mm: f64,
    /// In a sentence.
    pub words: String,
    /// Angle by angle.
    #[schema(min_items = 9, max_items = 9)]
    pub angles: Vec<AtAngle>,
}

/// The meat on its way to the plate.
#[skip_serializing_none]
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct OnThePlate {
    /// Cooked and edible, kg.
    pub kg: f64,
    /// By the scales, or reckoned.
    pub weighed: bool,
    /// Each has, kg.
    pub a_head_kg: f64,
    /// What a plate takes, kg: from, to.
    #[schema(min_items = 2, max_items = 2)]
    pub plate_kg: [f64; 2],
    /// Both in a sentence, and how that is.
    pub portions: String,
    /// How it waits.
    pub keep_warm: String,
    /// What it would take, left in while the liquid boils down; nothing where it does not.
    pub left_in: Option<String>,
    /// Where it is sliced: how.
    pub slicing: Option<Slicing>,
}

fn at_angle(thickness_mm: f64, angle_deg: f64, voice: Voice) -> AtAngle {
    let fibre_mm = fibre_length_mm(thickness_mm, angle_deg);
    let said = match fibre_mm {
        mm if mm < SOME_CHEW_MM => say::fibre_short(Length(mm)),
        mm if mm < STRINGS_MM => say::fibre_some(Length(mm)),
        mm => say::fibre_long(Length(mm)),
    };
    AtAngle { angle_deg, fibre_mm, words: voice.render(said) }
}

impl LiftedMeat {
    fn slicing(&self, voice: Voice) -> Option<Slicing> {
        let thickness_mm = match self.eaten_as {
            EatenAs::Slice => SLICE_MM,
            EatenAs::Probe => PROBED_MM,
            EatenAs::Fork | EatenAs::Pull | EatenAs::Spoon => return None,
        };
        Some(Slicing {
            thickness_mm,
            words: voice.render(Message::list([slicing(thickness_mm), say::grain_how()], Join::Space)),
            angles: ANGLES.map(|angle| at_angle(thickness_mm, angle, voice)).into(),
        })
    }

    /// Left in for so many minutes at the boil.
    fn left_in(&self, min: f64) -> Option<Message> {
        if min < NO_BOILING_MIN {
            return None;
        }
        let an_hour = rate(BOIL_C) / self.toughness;
        let after_h = (self.overcooked - self.tenderness) / an_hour - min / 60.0;
        Some(match after_h {
            hours if hours <= 0.0 => say::left_in_overcooked(Minutes(min)),
            hours => say::left_in(Minutes(min), RoughMinutes(hours * 60.0)),
        })
    }

    /// On its way to the plate, with so many minutes in which its liquid boils down.
    pub(super) fn on_the_plate(&self, boils_min: f64, voice: Voice) -> OnThePlate {
        let [least, most] = PLATE_KG;
        let a_head_kg = self.kg / f64::from(self.people);
        let (kilos, grams) = (Mass(self.kg), Mass(a_head_kg));
        let figures = match self.weighed {
            true => say::portions_weighed(kilos, self.people, grams),
            false => say::portions(kilos, self.people, grams),
        };
        // A tenth either way is a plate still.
        let judged = match a_head_kg {
            kg if kg > 1.1 * most => say::portions_much(Mass(least), Mass(most)),
            kg if kg < 0.9 * least => say::portions_little(Mass(least), Mass(most)),
            _ => say::portions_right(),
        };
        let waits = match self.wet {
            true => say::keep_warm(Guide(voice.food_code().hot_hold_c())),
            false => say::keep_warm_dry(),
        };
        OnThePlate {
            kg: self.kg,
            weighed: self.weighed,
            a_head_kg,
            plate_kg: PLATE_KG,
            portions: voice.render(Message::list([figures, judged], Join::Space)),
            keep_warm: voice.render(waits),
            left_in: self.left_in(boils_min).map(|said| voice.render(said)),
            slicing: self.slicing(voice),
        }
    }

    /// What of it is over once everyone has had a plate, kg.
    pub(super) fn over_kg(&self) -> f64 {
        f64::max(0.0, self.kg - f64::from(self.people) * PLATE_KG[1])
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn the_knife_across_the_grain_makes_it_short() {
        let across = at_angle(6.0, 90.0, Voice::default());
        let along = at_angle(6.0, 10.0, Voice::default());
        assert!(across.fibre_mm < 6.1 && along.fibre_mm > 30.0);
        assert!(across.words.contains("fall apart") && along.words.contains("strings"), "{along:?}");
    }
}
