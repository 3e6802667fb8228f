//! Over and under coals: a lidded pot in a ring of counted briquettes.

mod steps;
#[cfg(test)]
mod tests;

use ergastic_physics::coals as fire;
use ergastic_physics::medium::Medium;
use ergastic_physics::parameters::Parameters;
use ergastic_physics::units::MINUTE_S;
use ergastic_words::{
    Dial, Difference, Message, Minutes, RoughMinutes, Temperature, Units, Voice, errors, forecast, matching, prepare,
    sheet, ways as say,
};

use super::asked::{Heat, bounds};
use super::facts::{Facts, POT, StandsIn, Tending, Unknown, Watched};
use super::fill::Fill;
use super::fuel::Burned;
use super::method::{HeatSource, Method};
use super::preset::Preset;
use super::rule::{HowItHeats, settles};
use super::site::Site;
use super::steps::{DishFacts, Instruction, over_a_flame};
use super::way::{Offered, Setting, Way};
use crate::cuts::Shape::Whole;
use crate::error::{Error, Result, WhatIsWrong};
use crate::heat::coals::Coals;
use crate::heat::pot::Lid;
use crate::kitchen::{Lane, ThingKind};

/// Mass of a briquette, kg.
const BRIQUETTE_KG: f64 = 0.025;
/// Coals by the pot's width are counted for an oven of so many °C.
const LIKE_C: f64 = 165.0;
/// The air about them where nothing is said, °C.
const USUAL_AIR_C: f64 = 15.0;

/// Coals under and over.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct OverCoals {
    /// The fire, and the wind about it.
    pub coals: Coals,
}

/// So many more coals under the pot, or fewer.
fn laid(asked: &Heat, more: i32) -> Setting {
    let (under, over) = (asked.under.unwrap_or(12), asked.over.unwrap_or(6));
    let under = under.saturating_add_signed(more).max(1);
    let looks = match more {
        0 => "as_laid",
        more if more < 0 => "cooler",
        _ => "hotter",
    };
    let heat = Heat { under: Some(under), over: Some(over), ..asked.clone() };
    Setting { words: prepare::coals_laid(under, over), looks: Some(looks), heat, celsius: None }
}

impl Offered for OverCoals {
    const FACTS: Facts = Facts {
        kit: Some(ThingKind::Coals),
        thing: Some(ThingKind::Coals),
        source: Some(HeatSource::Coals),
        stands_in: StandsIn::Pot,
        comes_up: true,
        preheat_min: Some(25.0),
        fire_min: 15.0,
        getting_hot: Some([sheet::coals_grey, sheet::coals_grey_why]),
        watched: Some(Watched { unless_it_holds_itself: false, wants: matching::wants_coals }),
        tending: Some(Tending { every_min: 15.0, takes_min: 3.0 }),
        fire: true,
        unknown: Unknown::Oven,
        ..POT
    };

    fn set(asked: &Heat, place: &Site, fill: &mut Fill) -> Result<Self> {
        let count = fire::briquettes_for(&Parameters::USUAL.coals, place.across_m, place.pot.height_m, LIKE_C);
        let over = (count * fire::OVER_AT_A_SIMMER).round() as u32;
        let under = count.round() as u32 - over;
        let why = forecast::by_the_pots_width;
        let under = fill.or("heat.under", asked.under, under, why, errors::count);
        let over = fill.or("heat.over", asked.over, over, why, errors::count);
        bounds::under.check(f64::from(under))?;
        bounds::over.check(f64::from(over))?;
        if under + over == 0 {
            return Err(Error::new(WhatIsWrong::OutOfRange, "heat.under", 0, errors::some_coals()));
        }
        let word = |min| Message::quantity(RoughMinutes(min));
        let usual = fire::FRESH_EVERY_MIN;
        let fresh = fill.or("heat.fresh_every_min", asked.fresh_every_min, usual, forecast::lit_early, word);
        let fire = fire::CoalFire {
            under,
            over,
            diameter_m: place.across_m,
            height_m: place.pot.height_m,
            fresh_every_s: bounds::fresh_every_min.check(fresh)? * MINUTE_S,
            wind_takes: 0.0,
            air_c: bounds::air_c.check(asked.air_c.unwrap_or(USUAL_AIR_C))?,
        };
        Ok(Self { coals: Coals::new(fire, asked.wind.unwrap_or_default()) })
    }

    fn settings(asked: &Heat, _units: Units) -> Vec<Setting> {
        [-4, -2, 0, 2, 4].map(|more| laid(asked, more)).into()
    }

    fn presets(_units: Units) -> Vec<Preset> {
        let heat = Heat { source: Some(HeatSource::Coals), ..Heat::default() };
        vec![Preset::new(Method::Braise, "coals", heat, matching::braise_coals(), &[Whole]).beside("coals")]
    }

    fn only() -> Message {
        errors::only_coals()
    }
}

impl Way for OverCoals {
    fn facts(&self) -> Facts {
        Self::FACTS
    }

    fn medium(&self) -> Medium {
        Medium::Coals(*self.coals)
    }

    fn asked(&self, given: Heat) -> Heat {
        Heat {
            source: Some(HeatSource::Coals),
            under: Some(self.coals.under),
            over: Some(self.coals.over),
            wind: Some(self.coals.wind),
            air_c: Some(self.coals.air_c),
            ..given
        }
    }

    fn name(&self) -> Message {
        say::coals(self.coals.under, self.coals.over)
    }

    fn for_so_long(&self, time: Minutes) -> Message {
        say::so_long_over_coals(time, self.coals.under, self.coals.over)
    }

    fn sentence(&self, boil_c: f64, settled_c: Option<f64>) -> Message {
        let (settled_c, boils) = settles(boil_c, settled_c);
        say::over_coals(self.name(), Temperature(settled_c), boils)
    }

    fn how_it_heats(&self, _lid: Lid, _boil_c: f64) -> HowItHeats {
        let fresh = Minutes(self.coals.fresh_every_s / MINUTE_S);
        HowItHeats {
            rule: say::coals_rule(),
            numbers: say::coals_rule_numbers(self.name(), Dial(self.coals.full_c(&Parameters::USUAL.coals)), fresh),
            sure: say::oven_rule_sure(Difference(Parameters::USUAL.spread.oven_k)),
        }
    }

    fn what_the_dial_decides(&self, lid: Lid) -> Option<Message> {
        Some(if lid == Lid::None { say::dial_open_oven() } else { say::dial_coals() })
    }

    fn preheat(&self, _dish: &DishFacts) -> Option<Instruction> {
        Some(self.lit())
    }

    fn meets_the_heat(&self, _lid: Lid, dish: &DishFacts) -> Instruction {
        over_a_flame(Lane::Fire, dish)
    }

    fn goes_on(&self, lid: Lid, _set: Option<Minutes>, _voice: Voice) -> Instruction {
        self.by_itself(lid)
    }

    fn leave_it(&self, lid: Lid) -> Message {
        sheet::leave_coals(lid.words())
    }

    fn burns(&self, hours: f64) -> Burned {
        let lots = (hours * 3600.0 / self.coals.fresh_every_s).ceil().max(1.0);
        Burned::solid_kg(f64::from(self.coals.under + self.coals.over) * BRIQUETTE_KG * lots)
    }
}
