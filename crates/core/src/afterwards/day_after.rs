//! The dish kept for the day after: cooled, lifted clear of its fat, and warmed again.

use ergastic_words::{Guide, Length, Mass, Minutes, Said, Span, Voice, afterwards as say};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::meat::Meat;
use super::reheat::{Reheat, WarmedAs, fives};
use crate::cuts::EatenAs;
use crate::finish::{CoolIn, Cooled};
use crate::juices::FAT_KG_PER_L;
use crate::safety::COOLING_C;

/// Fat thinner than this does not lift as a plate, mm.
const NO_PLATE_MM: f64 = 1.0;
/// Lifting it off, and slicing a kilo of cold meat, min. Working values.
const LIFT_MIN: f64 = 5.0;
const SLICE_MIN_PER_KG: f64 = 4.0;

/// One step of it.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct DayAfterStep {
    /// What is done.
    pub words: String,
    /// Why, and what to look for.
    pub why: String,
    /// Minutes of it on the day; nothing of the night before.
    pub min: f64,
}

/// The dish on the day after.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct DayAfter {
    /// In order.
    pub steps: Vec<DayAfterStep>,
    /// Minutes before the plates that it is begun.
    pub begin_min: f64,
    /// The same in a sentence.
    pub words: String,
}

/// What stands in the pot when it is put away.
pub(super) struct PutAway<'a> {
    /// How all of it cools.
    pub cooled: &'a [Cooled],
    /// Fat on it, L, and how deep, mm.
    pub fat_l: f64,
    pub fat_mm: f64,
    /// Minutes of the sauce.
    pub sauce_min: f64,
    pub reheats: &'a [Reheat],
}

pub(super) fn day_after(meat: &Meat, away: &PutAway, voice: Voice) -> DayAfter {
    let code = voice.food_code();
    let [warm, cool, cold] = COOLING_C.map(Guide);
    let mut steps = Vec::new();
    let mut add = |words: Said, why: Said, min: f64| {
        steps.push(DayAfterStep { words: voice.say(words), why: voice.say(why), min });
        min
    };
    let tray = away.cooled.iter().find(|way| way.cool_in == CoolIn::Trays);
    let ice = away.cooled.iter().find(|way| way.cool_in == CoolIn::IceBath && way.in_time && meat.wet);
    // Ice water where it is quick enough: one pot to wash, and the meat stays in its liquid.
    let (key, cools) = if ice.is_some() { ("ice_bath", ice) } else { ("trays", tray) };
    let to_cold_min = cools.map_or(0.0, |way| way.to_5_min);
    let mut day_min = add(say::day_cool(key, Span(to_cold_min)), say::day_cool_why(warm, cool, cold), 0.0);
    day_min += add(say::day_chill(Guide(code.cold_c())), say::day_chill_why(), 0.0);
    if meat.wet && away.fat_mm >= NO_PLATE_MM {
        let plate = say::day_lift_fat(Mass(away.fat_l * FAT_KG_PER_L), Length(away.fat_mm));
        day_min += add(plate, say::day_lift_fat_why(), LIFT_MIN);
    }
    let slices = matches!(meat.eaten_as, EatenAs::Slice | EatenAs::Probe);
    if slices {
        day_min += add(say::day_slice(), say::day_slice_why(), (SLICE_MIN_PER_KG * meat.kg).clamp(5.0, 30.0).ceil());
    }
    if meat.wet && away.sauce_min >= 1.0 {
        let minutes = fives(away.sauce_min);
        day_min += add(say::day_sauce(Minutes(minutes)), say::day_sauce_why(), minutes);
    }
    let wanted = if slices { WarmedAs::Slices } else { WarmedAs::Chunks };
    let warms_min = away.reheats.iter().find(|way| way.warmed_as == wanted).map_or(20.0, |way| way.min);
    day_min += add(say::day_warm(Guide(code.reheat_c()), Minutes(warms_min)), say::day_warm_why(), warms_min);
    let day_min = fives(day_min);
    DayAfter { steps, begin_min: day_min, words: voice.say(say::day_ahead(Span(day_min))) }
}
