//! In the oven: a pot or dish that stands in hot air.

mod steps;
#[cfg(test)]
mod tests;

use ergastic_physics::medium::Medium;
use ergastic_physics::parameters::Parameters;
use ergastic_words::{
    Dial, Difference, Message, Minutes, Temperature, Units, Voice, cook, errors, forecast, matching, sheet, ways as say,
};

use super::asked::{Heat, bounds};
use super::facts::{Facts, POT, StandsIn, Unknown};
use super::fill::Fill;
use super::fuel::Burned;
use super::method::{HeatSource, Method, Start, USUAL_OVEN_C};
use super::preset::{Preset, on_the_dial, settings};
use super::rule::{HowItHeats, settles};
use super::site::Site;
use super::steps::{DishFacts, Instruction};
use super::way::{Dialled, HeatChange, Offered, Setting, Way, at_dial, turned};
use crate::cuts::Shape::{Cubed, Halved, Whole};
use crate::error::Result;
use crate::heat::pot::Lid;
use crate::kitchen::ThingKind;

/// A hot, a slow and an overnight oven, on the dial of a European and of an American one.
const HOT: [f64; 2] = [170.0, 350.0];
const SLOW: [f64; 2] = [100.0, 225.0];
const OVERNIGHT: [f64; 2] = [90.0, 200.0];
/// One under this may be set hotter to be sooner, °C.
const HOTTER_UNDER_C: f64 = 155.0;
/// Turned by so much in the midst of a cook, K, within these, °C.
const STEP_K: f64 = 20.0;
const TURNED_C: [f64; 2] = [90.0, 180.0];

/// In the oven.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Oven {
    /// Set point, °C.
    pub set_c: f64,
    /// Fan on.
    pub fan: bool,
    /// First heat.
    pub start: Start,
}

fn looks(celsius: f64) -> &'static str {
    match celsius {
        c if c < 115.0 => "slow_oven",
        c if c < 140.0 => "simmering_oven",
        c if c < 165.0 => "steady_oven",
        _ => "boiling_oven",
    }
}

impl Offered for Oven {
    const FACTS: Facts = Facts {
        kit: Some(ThingKind::Oven),
        thing: Some(ThingKind::Oven),
        source: Some(HeatSource::Oven),
        stands_in: StandsIn::Pot,
        comes_up: true,
        hot_later: true,
        preheat_min: Some(25.0),
        unknown: Unknown::Oven,
        ..POT
    };

    fn set(asked: &Heat, place: &Site, fill: &mut Fill) -> Result<Self> {
        let set_c = fill.or("heat.set_c", asked.set_c, USUAL_OVEN_C, forecast::middling_oven, at_dial);
        Ok(Self {
            set_c: bounds::set_c.check(set_c)?,
            fan: asked.fan.unwrap_or(false),
            start: asked.start.unwrap_or(if place.stands_on_a_hob { Start::Hob } else { Start::Oven }),
        })
    }

    fn settings(asked: &Heat, units: Units) -> Vec<Setting> {
        settings(units, [100.0, 120.0, 150.0, 175.0, 200.0], [200.0, 250.0, 300.0, 350.0, 400.0])
            .map(|c| Setting {
                words: at_dial(c),
                looks: Some(looks(c)),
                heat: Heat { set_c: Some(c), ..asked.clone() },
                celsius: Some(c),
            })
            .collect()
    }

    fn presets(units: Units) -> Vec<Preset> {
        let at = |[celsius, fahrenheit]: [f64; 2]| on_the_dial(units, celsius, fahrenheit);
        let (usual, hot, slow, night) = (at([USUAL_OVEN_C, 300.0]), at(HOT), at(SLOW), at(OVERNIGHT));
        let braise = |key, c, name, shapes| Preset::new(Method::Braise, key, Heat::oven(c), name, shapes);
        let stew = matching::stew_oven(Dial(usual));
        vec![
            braise("oven_150", usual, matching::braise_oven(Dial(usual)), &[Whole, Halved]).beside("oven").usual(),
            braise("oven_170", hot, matching::braise_oven(Dial(hot)), &[Whole]),
            braise("oven_100", slow, matching::braise_slow_oven(Dial(slow)), &[Whole]).beside("slow_oven"),
            braise("oven_90", night, matching::braise_overnight(Dial(night)), &[Whole]),
            Preset::new(Method::Stew, "oven_150", Heat::oven(usual), stew, &[Cubed]),
        ]
    }

    fn only() -> Message {
        errors::only_an_oven()
    }

    /// It stands in its oven: nobody brings it to a simmer on the hob first.
    fn lit_again(asked: Heat, _off_min: f64) -> Heat {
        Heat { start: Some(Start::Oven), ..asked }
    }
}

impl Way for Oven {
    fn facts(&self) -> Facts {
        Self::FACTS
    }

    fn medium(&self) -> Medium {
        Medium::Oven { set_c: self.set_c, fan: self.fan, start: self.start.first_heat() }
    }

    fn asked(&self, given: Heat) -> Heat {
        Heat { source: Some(HeatSource::Oven), set_c: Some(self.set_c), ..given }
    }

    fn dial(&self) -> Option<Dialled> {
        Some(Dialled { bounds: bounds::set_c, celsius: self.set_c, words: at_dial(self.set_c) })
    }

    fn name(&self) -> Message {
        match self.start {
            Start::ColdOven => say::cold_oven(Dial(self.set_c)),
            Start::Hob | Start::Oven => say::oven(Dial(self.set_c)),
        }
    }

    fn sentence(&self, boil_c: f64, settled_c: Option<f64>) -> Message {
        let (settled_c, boils) = settles(boil_c, settled_c);
        say::in_the_oven(self.name(), Temperature(settled_c), boils)
    }

    fn how_it_heats(&self, lid: Lid, boil_c: f64) -> HowItHeats {
        HowItHeats {
            rule: say::oven_rule(),
            numbers: say::oven_rule_numbers(Dial(self.set_c), lid.words(), Temperature(boil_c)),
            sure: say::oven_rule_sure(Difference(Parameters::USUAL.spread.oven_k)),
        }
    }

    fn what_the_dial_decides(&self, lid: Lid) -> Option<Message> {
        Some(if lid == Lid::None { say::dial_open_oven() } else { say::dial_oven() })
    }

    fn preheat(&self, _dish: &DishFacts) -> Option<Instruction> {
        Some(self.lit())
    }

    fn meets_the_heat(&self, lid: Lid, dish: &DishFacts) -> Instruction {
        self.meat_in(lid, dish)
    }

    fn goes_on(&self, lid: Lid, _set: Option<Minutes>, _voice: Voice) -> Instruction {
        self.by_itself(lid)
    }

    fn leave_it(&self, lid: Lid) -> Message {
        sheet::leave_oven(Dial(self.set_c), lid.words())
    }

    fn turned(&self, up: bool) -> Option<(Message, Heat)> {
        let set_c = turned(self.set_c, up, STEP_K, TURNED_C)?;
        Some((cook::turn_oven(Dial(set_c)), Heat { set_c: Some(set_c), ..Heat::default() }))
    }

    fn hotter(&self, units: Units) -> Option<HeatChange> {
        let [celsius, fahrenheit] = HOT;
        let hot_c = on_the_dial(units, celsius, fahrenheit);
        (self.set_c < HOTTER_UNDER_C).then(|| HeatChange {
            words: sheet::hotter_oven(Dial(hot_c)),
            trade: sheet::hotter_oven_trade(),
            heat: Heat::oven(hot_c),
        })
    }

    fn burns(&self, hours: f64) -> Burned {
        Burned::oven(self.set_c, hours)
    }
}
