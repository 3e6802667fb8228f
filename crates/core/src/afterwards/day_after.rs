//! The dish kept for the day after: cooled, lifted clear of its fat, and warmed again.

use ergastic_words::{Guide, Length, Mass, Message, Minutes, RoughMinutes, Voice, afterwards as say};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::meat::LiftedMeat;
use super::reheat::{Rewarm, WarmedAs, fives, in_ice_water_min, in_the_oven_min};
use crate::cuts::EatenAs;
use crate::finish::{CoolIn, Cooled};
use crate::safety::{COOKED_BAG_C, UNDER_FAT_C, cooled_by, keeps_days};
use crate::ways::CookedIn;
use ergastic_physics::juices::FAT_KG_PER_L;

/// Fat thinner than this does not lift as a plate, mm.
const NO_PLATE_MM: f64 = 1.0;
/// Lifting it off, and slicing a kilo of cold meat, min. Working values.
const LIFT_MIN: f64 = 5.0;
const SLICE_MIN_PER_KG: f64 = 4.0;
/// Browning what was under fat, min. Working value.
const CRISP_MIN: f64 = 8.0;

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
    pub reheats: &'a [Rewarm],
}

/// The steps as they are told.
struct DaySteps {
    steps: Vec<DayAfterStep>,
    day_min: f64,
    voice: Voice,
}

impl DaySteps {
    fn add(&mut self, words: Message, why: Message, min: f64) {
        self.steps.push(DayAfterStep { words: self.voice.render(words), why: self.voice.render(why), min });
        self.day_min += min;
    }

    /// From a pot, or bare: in its liquid overnight.
    fn out_of_a_pot(&mut self, meat: &LiftedMeat, away: &PutAway) {
        let code = self.voice.food_code();
        let tray = away.cooled.iter().find(|way| way.cool_in == CoolIn::Trays);
        let ice = away.cooled.iter().find(|way| way.cool_in == CoolIn::IceBath && way.in_time && meat.wet);
        // Ice water where it is quick enough: one pot to wash, and the meat stays in its liquid.
        let (key, cools) = if ice.is_some() { ("ice_bath", ice) } else { ("trays", tray) };
        let to_cold_min = cools.map_or(0.0, |way| way.to_cold_min);
        self.add(say::day_cool(key, RoughMinutes(to_cold_min)), say::day_cool_why(cooled_by(self.voice)), 0.0);
        self.add(say::day_chill(Guide(code.cold_c())), say::day_chill_why(), 0.0);
        if meat.wet && away.fat_mm >= NO_PLATE_MM {
            let plate = say::day_lift_fat(Mass(away.fat_l * FAT_KG_PER_L), Length(away.fat_mm));
            self.add(plate, say::day_lift_fat_why(), LIFT_MIN);
        }
        let slices = slices(meat);
        if slices {
            let min = (SLICE_MIN_PER_KG * meat.kg).clamp(5.0, 30.0).ceil();
            self.add(say::day_slice(), say::day_slice_why(), min);
        }
        if meat.wet && away.sauce_min >= 1.0 {
            let minutes = fives(away.sauce_min);
            self.add(say::day_sauce(Minutes(minutes)), say::day_sauce_why(), minutes);
        }
        self.warm(meat, away);
    }

    fn warm(&mut self, meat: &LiftedMeat, away: &PutAway) {
        let wanted = if slices(meat) { WarmedAs::Slices } else { WarmedAs::Chunks };
        let warms_min = away.reheats.iter().find(|way| way.warmed_as == wanted).map_or(20.0, |way| way.min);
        let to = Guide(self.voice.food_code().reheat_c());
        self.add(say::day_warm(to, Minutes(warms_min)), say::day_warm_why(), warms_min);
    }

    /// From a bag: unopened under ice water, and unopened until it is eaten.
    fn out_of_a_bag(&mut self, meat: &LiftedMeat, away: &PutAway) {
        let code = self.voice.food_code();
        let cools = RoughMinutes(fives(in_ice_water_min(meat.sides_mm, code.cold_c())));
        self.add(say::day_cool_bag(cools), say::day_cool_bag_why(cooled_by(self.voice)), 0.0);
        let days = keeps_days(code)[1];
        let chill = say::day_chill_bag(days, Guide(code.cold_c()));
        self.add(chill, say::day_chill_bag_why(Guide(COOKED_BAG_C)), 0.0);
        self.warm(meat, away);
    }

    /// From its fat: under it, cold, and crisped.
    fn out_of_fat(&mut self, meat: &LiftedMeat) {
        let code = self.voice.food_code();
        self.add(say::day_pour_fat(), say::day_pour_fat_why(), 0.0);
        let cools = RoughMinutes(fives(in_ice_water_min(meat.sides_mm, code.cold_c())));
        self.add(say::day_cool_fat(cools), say::day_cool_bag_why(cooled_by(self.voice)), 0.0);
        let days = keeps_days(code)[1];
        self.add(say::day_chill_fat(days, Guide(UNDER_FAT_C)), say::day_chill_fat_why(), 0.0);
        let crisps = fives(in_the_oven_min(meat.sides_mm, code.reheat_c()) + CRISP_MIN);
        self.add(say::day_crisp(Minutes(crisps), Guide(code.reheat_c())), say::day_crisp_why(), crisps);
    }
}

fn slices(meat: &LiftedMeat) -> bool {
    matches!(meat.eaten_as, EatenAs::Slice | EatenAs::Probe)
}

pub(super) fn day_after(meat: &LiftedMeat, away: &PutAway, voice: Voice) -> DayAfter {
    let mut told = DaySteps { steps: Vec::new(), day_min: 0.0, voice };
    match meat.cooked_in {
        CookedIn::Pot => told.out_of_a_pot(meat, away),
        CookedIn::Bag => told.out_of_a_bag(meat, away),
        CookedIn::Fat => told.out_of_fat(meat),
    }
    let day_min = fives(told.day_min);
    DayAfter { steps: told.steps, begin_min: day_min, words: voice.render(say::day_ahead(RoughMinutes(day_min))) }
}
