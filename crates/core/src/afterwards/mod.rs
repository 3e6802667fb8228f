//! After the sauce: the meat on its way to the plate, what balances it, and everything that does not go on a plate tonight.

mod beside;
mod cold;
mod day_after;
mod hold;
mod in_time;
mod left_over;
mod meat;
mod reheat;

use ergastic_words::{Guide, RoughMinutes, Temperature, Voice, afterwards as say};
use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use serde_with::skip_serializing_none;
use utoipa::ToSchema;

use crate::clock::minutes_between;
use crate::error::Result;
use crate::finish::{Cooled, Move, SauceRequest, ToCool, cooling, remains, sauce, stood_min};
use crate::heat::pot::{Lid, PotMeasures};
use crate::plan::Plan;
use crate::safety::{Caution, DANGER_C, cooling as cool_fast, hot_hold};
use crate::ways::CookedIn;
use day_after::{PutAway, day_after as on_the_day_after};
use left_over::Of;

pub use beside::{Beside, Wants};
pub use cold::{ColdPortion, MadeUp};
pub use day_after::{DayAfter, DayAfterStep};
pub use hold::{Hold, HoldIn};
pub use in_time::{InTime, Quicker};
pub use left_over::{Left, LeftOver};
pub(crate) use meat::LiftedMeat;
pub use meat::{AtAngle, OnThePlate, Slicing};
pub use reheat::{Rewarm, WarmedAs};

/// Everything after the sauce.
#[skip_serializing_none]
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Afterwards {
    /// The sauce against the bell, where there is one to make.
    pub in_time: Option<InTime>,
    /// The meat on its way to the plate.
    pub meat: OnThePlate,
    /// What balances it.
    pub beside: Vec<Beside>,
    /// Every way of keeping it hot.
    pub hold: Vec<Hold>,
    /// For guests who come and go.
    pub party: String,
    /// What is said of holding and cooling where it can hurt.
    pub cautions: Vec<Caution>,
    /// How long it has stood off the heat, and in danger, where the heat is off.
    pub stood: Option<String>,
    /// How long what is left over takes to cool, each way; empty where nothing is.
    pub cool_left: Vec<Cooled>,
    /// How long all of it does.
    pub cool_all: Vec<Cooled>,
    /// Every way of warming it again.
    pub reheat: Vec<Rewarm>,
    /// Kept whole for the day after.
    pub day_after: DayAfter,
    /// What it can be made up to, cold.
    pub cold: Vec<ColdPortion>,
    /// What is left over.
    pub left_over: Vec<LeftOver>,
}

/// A dish whose meat has left the pot.
pub(crate) struct LiftedDish<'a> {
    /// The cook's own id.
    pub id: &'a str,
    pub plan: &'a Plan,
    pub meat: LiftedMeat,
    pub sauce: &'a SauceRequest,
    /// Minutes until the sauce has to be poured, and now.
    pub left_min: f64,
    /// Whether the meat is out.
    pub lifted: bool,
    /// Since when it is off the heat, where it is; and how warm the room is where it stands, °C.
    pub off_at: Option<Timestamp>,
    pub room_c: f64,
    pub now: Timestamp,
    pub voice: Voice,
}

impl LiftedDish<'_> {
    /// How long it has stood, if it is off the heat.
    fn stood(&self, food: &ToCool) -> Option<String> {
        let off_min = minutes_between(self.off_at?, self.now);
        let danger_min = stood_min(food, off_min, self.voice);
        let [cold, hot] = [self.voice.food_code().cold_c(), DANGER_C[1]].map(Guide);
        let said = match danger_min {
            min if min < 1.0 => say::stood_hot(RoughMinutes(off_min), hot),
            min => say::stood(RoughMinutes(off_min), RoughMinutes(min), hot, cold, Temperature(food.room_c)),
        };
        (off_min >= 1.0).then(|| self.voice.render(said))
    }
}

/// Of a burner's power that reaches a covered pot. Working value.
const HEATS: f64 = 0.5;

/// What is said of holding and keeping it.
fn cautions(cooked_in: CookedIn, voice: Voice) -> Vec<Caution> {
    [hot_hold(voice), cool_fast(voice)].into_iter().chain(cooked_in.caution(voice)).collect()
}

/// Works out everything after the sauce.
///
/// # Errors
/// Names the field that can't be used.
pub(crate) fn afterwards(dish: &LiftedDish) -> Result<Afterwards> {
    let LiftedDish { id, plan, meat, sauce: request, left_min, lifted, room_c, now, voice, .. } = dish;
    let (meat, now, voice) = (meat, *now, *voice);
    let pot = request.vessel.clone().unwrap_or_else(PotMeasures::default).resolve(Lid::None)?;
    let made = meat.wet.then(|| sauce(request)).transpose()?;
    let left = meat.wet.then(|| remains(request)).transpose()?;
    let liquid_l = left.as_ref().map_or(0.0, |left| left.sauce.litres + left.aside.litres);
    let heats_w = HEATS * request.hob_w.unwrap_or(1800.0);
    let reheat = reheat::reheats(meat, liquid_l, heats_w, voice);
    let to_cool = |liquid_l: f64, meat_kg: f64| ToCool { pot: &pot, liquid_l, meat_kg, room_c: *room_c };
    let cool_all = cooling(&to_cool(liquid_l, meat.kg), voice);
    let now_stands =
        made.as_ref().map(|made| made.path.iter().rfind(|leg| leg.done).map_or(made.from, |leg| leg.after));
    let skims = |next: &&Move| !matches!(next, Move::Skim { .. });
    let sauce_min = made
        .as_ref()
        .map_or(0.0, |made| made.path.iter().filter(|leg| !leg.done && skims(&&leg.what)).map(|leg| leg.min).sum());
    let away = PutAway {
        cooled: &cool_all,
        fat_l: now_stands.map_or(0.0, |stand| stand.fat_l),
        fat_mm: now_stands.map_or(0.0, |stand| stand.fat_mm),
        sauce_min,
        reheats: &reheat,
    };
    let of = Of { id, dish: &plan.name, now, voice };
    let left_over = of.left_over(meat, left.as_ref(), request.target);
    let left_l: f64 = left_over.iter().filter_map(|one| one.litres).sum();
    let left_kg = meat.over_kg();
    let cool_left = if left_l + left_kg > 0.1 { cooling(&to_cool(left_l, left_kg), voice) } else { Vec::new() };
    Ok(Afterwards {
        in_time: made
            .as_ref()
            .filter(|made| made.left_min > 0.0)
            .map(|made| in_time::in_time(request, made, *left_min, *lifted, voice))
            .transpose()?,
        beside: beside::beside(plan, meat, meat.wet.then_some(*request), voice),
        hold: hold::holds(meat, liquid_l, voice),
        party: hold::party(meat.kg, voice),
        cautions: cautions(meat.cooked_in, voice),
        day_after: on_the_day_after(meat, &away, voice),
        cold: cold::cold_portions(meat, left.as_ref().map(|left| left.sauce.with(left.aside)), voice),
        meat: meat.on_the_plate(made.as_ref().map_or(0.0, |made| made.reduce_min), voice),
        stood: dish.stood(&to_cool(liquid_l, meat.kg)),
        cool_left,
        cool_all,
        reheat,
        left_over,
    })
}
