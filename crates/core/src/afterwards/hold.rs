//! Keeping it hot: where, how warm, and for how long until it has gone too far or is no longer safe.

use ergastic_words::{Guide, Mass, Minutes, RoughMinutes, Voice, afterwards as say};
use serde::{Deserialize, Serialize};
use serde_with::skip_serializing_none;
use strum::IntoStaticStr;
use utoipa::ToSchema;

use super::meat::LiftedMeat;
use crate::ways::USUAL_KEEP_WARM_C;
use ergastic_physics::parameters::Parameters;
use ergastic_physics::places::ROOM_C;
use ergastic_physics::tender::rate;
use ergastic_physics::vessel::WATER_SPECIFIC_HEAT;

/// Where it is held.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema, IntoStaticStr)]
#[serde(rename_all = "snake_case")]
#[strum(serialize_all = "snake_case")]
pub enum HoldIn {
    /// In the oven, covered, in its liquid.
    Oven,
    /// In its pot on the smallest flame, a plate under it.
    Flame,
    /// In a pot that keeps warm by itself.
    KeepWarm,
    /// Wrapped, in an insulated box.
    Box,
    /// Bagged, in a water bath.
    Bath,
}

/// One way of holding it.
#[skip_serializing_none]
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Hold {
    /// Where.
    pub hold_in: HoldIn,
    /// Its name.
    pub name: String,
    /// How warm it is there, °C; in a box at first.
    pub at_c: f64,
    /// Hours until the meat has gone too far there; nothing where a day does it no harm.
    pub overcooked_h: Option<f64>,
    /// Hours until it is cooler than hot food is held; nothing where it stays warm.
    pub safe_h: Option<f64>,
    /// How it is done.
    pub how: String,
    /// How long it is good for.
    pub lasts: String,
}

/// Followed no further, h: by then it is another day.
const MAX_H: f64 = 24.0;
/// Steps in which it is followed, h.
const STEP_H: f64 = 0.05;
/// Shorter than this it is not held there, h.
const NOT_WORTH_H: f64 = 0.5;
/// How warm it goes into a box, °C, and the hours in which a box loses two thirds of its warmth: so many, and so many more for each
/// kilo in it. Working values.
const INTO_THE_BOX_C: f64 = 90.0;
const BOX_H: (f64, f64) = (5.0, 1.6);
/// What is brought out at a time, kg, in a dish of so many m² above and below, as warm as this, °C. Practice.
const DISH_KG: f64 = 1.5;
const DISH_M2: f64 = 0.12;
const DISH_C: f64 = 75.0;

impl HoldIn {
    /// All of them, the usual first.
    pub const ALL: [Self; 5] = [Self::Oven, Self::Flame, Self::KeepWarm, Self::Box, Self::Bath];

    /// Its name in JSON.
    pub fn key(self) -> &'static str {
        self.into()
    }

    /// How warm it is there after so many hours with so many kilos in it, °C. Working values, from practice.
    fn at_c(self, hours: f64, kilos: f64) -> f64 {
        match self {
            Self::Oven => 75.0,
            Self::Flame => 80.0,
            Self::KeepWarm => USUAL_KEEP_WARM_C,
            Self::Bath => 65.0,
            Self::Box => {
                let (least_h, a_kilo_h) = BOX_H;
                ROOM_C + (INTO_THE_BOX_C - ROOM_C) * (-hours / (least_h + a_kilo_h * kilos)).exp()
            }
        }
    }

    /// Holding such meat there with so much liquid, L.
    fn hold(self, meat: &LiftedMeat, liquid_l: f64, voice: Voice) -> Hold {
        let hot_c = voice.food_code().hot_hold_c();
        let kilos = meat.kg + liquid_l;
        let (mut dose, mut overcooked_h, mut safe_h) = (meat.tenderness, None, None);
        let mut hours = 0.0;
        while hours < MAX_H && (overcooked_h.is_none() || safe_h.is_none()) {
            let at_c = self.at_c(hours, kilos);
            if at_c < hot_c && safe_h.is_none() {
                safe_h = Some(hours);
            }
            if dose >= meat.overcooked && overcooked_h.is_none() {
                overcooked_h = Some(hours);
            }
            dose += STEP_H * rate(at_c) / meat.toughness;
            hours += STEP_H;
        }
        let at_c = self.at_c(0.0, kilos);
        let lasts = match (overcooked_h, safe_h) {
            (Some(far), _) if far < NOT_WORTH_H => say::hold_not(RoughMinutes(NOT_WORTH_H * 60.0)),
            (Some(far), safe) if safe.is_none_or(|safe| far <= safe) => say::hold_overcooked(RoughMinutes(far * 60.0)),
            (_, Some(safe)) => say::hold_cools(RoughMinutes(safe * 60.0), Guide(hot_c)),
            _ => say::hold_a_day(),
        };
        Hold {
            hold_in: self,
            name: voice.render(say::hold_name(self.key())),
            at_c,
            overcooked_h,
            safe_h,
            how: voice.render(say::hold_how(self.key(), Guide(at_c))),
            lasts: voice.render(lasts),
        }
    }
}

/// Every way of holding such meat with its liquid, L; without any it is not laid in a pot or on a flame.
pub(super) fn holds(meat: &LiftedMeat, liquid_l: f64, voice: Voice) -> Vec<Hold> {
    let goes = |way: &HoldIn| meat.wet || !matches!(way, HoldIn::Flame | HoldIn::KeepWarm);
    HoldIn::ALL.into_iter().filter(goes).map(|way| way.hold(meat, liquid_l, voice)).collect()
}

/// How so much meat, kg, is held for guests who come and go.
pub(super) fn party(meat_kg: f64, voice: Voice) -> String {
    let hot_c = voice.food_code().hot_hold_c();
    let dish_kg = f64::min(DISH_KG, meat_kg);
    let time_s = dish_kg * WATER_SPECIFIC_HEAT / (Parameters::USUAL.after.room_air * DISH_M2);
    let min = time_s / 60.0 * ((DISH_C - ROOM_C) / (hot_c - ROOM_C)).ln();
    let within = Minutes(f64::max(1.0, if min < 10.0 { min.floor() } else { (min / 5.0).floor() * 5.0 }));
    voice.render(match meat_kg > DISH_KG {
        true => say::party(Mass(DISH_KG), Guide(hot_c), within),
        // Nobody brings out more than there is.
        false => say::party_little(Guide(hot_c), within),
    })
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn nobody_brings_out_more_than_there_is() {
        let said = |kg: f64| party(kg, Voice::default());
        assert!(said(4.0).contains("1.5 kg at a time"), "{}", said(4.0));
        assert!(!said(0.24).contains("kg") && said(0.24).contains("min"), "{}", said(0.24));
    }
}
