//! In a slow cooker: a crock that warms over hours and holds below the boil.

pub(super) mod steps;
#[cfg(test)]
mod tests;

use ergastic_physics::medium::Medium;
use ergastic_physics::parameters::Parameters;
use ergastic_words::{
    Difference, Message, Minutes, Temperature, Units, Voice, cook, forecast, matching, sheet, ways as say,
};

use super::asked::Heat;
use super::facts::{COLD, CROCK_LOOK_MIN, Facts, LevelFacts, Looks, POT, StandsIn, round};
use super::fill::Fill;
use super::fuel::Burned;
use super::method::{Method, Settings};
use super::preset::Preset;
use super::rule::{HowItHeats, as_a_pot};
use super::site::Site;
use super::steps::{DishFacts, Instruction};
use super::thumb::{MeatFigures, ThumbRule};
use super::way::{Offered, Setting, Way};
use crate::cuts::Shape::{self, Cubed, Halved, Whole};
use crate::error::Result;
use crate::heat::pot::{Lid, Material};
use crate::kitchen::ThingKind;

/// A slow cooker.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct SlowCooker {
    /// Its switch.
    pub setting: Settings,
}

/// How much hotter the one switch ends than the other, K.
fn apart_k() -> f64 {
    Settings::High.cooker().end_c(&Parameters::USUAL) - Settings::Low.cooker().end_c(&Parameters::USUAL)
}

impl Offered for SlowCooker {
    const FACTS: Facts = Facts {
        kit: Some(ThingKind::SlowCooker),
        thing: Some(ThingKind::SlowCooker),
        stands_in: StandsIn::SlowCooker,
        vessel: || round(24.0, 13.0, Material::Ceramic),
        slow: true,
        warms_slowly: true,
        lid: Lid::Loose,
        level: LevelFacts { share: 0.5, min_l: 0.3, max_l_per_kg: 1.2, why: forecast::level_crock },
        goes_in: COLD,
        looks: Looks::Twice,
        look: Some([sheet::look_fork, sheet::look_fork_again]),
        look_costs_min: CROCK_LOOK_MIN,
        washes: &[matching::wash_crock],
        ..POT
    };

    fn set(asked: &Heat, _place: &Site, fill: &mut Fill) -> Result<Self> {
        let word = |setting: Settings| forecast::setting(setting.key());
        Ok(Self { setting: fill.or("heat.setting", asked.setting, Settings::Low, forecast::gentler_switch, word) })
    }

    fn settings(asked: &Heat, _units: Units) -> Vec<Setting> {
        [Settings::Low, Settings::High]
            .map(|to| Setting {
                words: forecast::setting(to.key()),
                looks: Some("bubble"),
                heat: Heat { setting: Some(to), ..asked.clone() },
                celsius: None,
            })
            .into()
    }

    fn presets(_units: Units) -> Vec<Preset> {
        let at = |key, setting, name, shapes: &'static [Shape]| {
            Preset::new(Method::SlowCooker, key, Heat { setting: Some(setting), ..Heat::default() }, name, shapes)
        };
        vec![
            at("low", Settings::Low, matching::slow_cooker_low(), &[Whole, Cubed]).beside("crock").usual(),
            at("high", Settings::High, matching::slow_cooker_high(), &[Whole, Halved]),
        ]
    }
}

impl Way for SlowCooker {
    fn facts(&self) -> Facts {
        Self::FACTS
    }

    fn medium(&self) -> Medium {
        Medium::SlowCooker(self.setting.cooker())
    }

    fn asked(&self, given: Heat) -> Heat {
        Heat { setting: Some(self.setting), ..given }
    }

    fn name(&self) -> Message {
        say::slow_cooker(self.setting.key())
    }

    fn sentence(&self, boil_c: f64, settled_c: Option<f64>) -> Message {
        say::in_the_crock(self.name(), Temperature(settled_c.unwrap_or(boil_c)))
    }

    fn how_it_heats(&self, _lid: Lid, _boil_c: f64) -> HowItHeats {
        let [low, high] =
            [Settings::Low, Settings::High].map(|setting| Temperature(setting.cooker().end_c(&Parameters::USUAL)));
        HowItHeats {
            rule: say::slow_cooker_rule(),
            numbers: say::slow_cooker_rule_numbers(low, high),
            sure: as_a_pot(),
        }
    }

    fn what_the_dial_decides(&self, _lid: Lid) -> Option<Message> {
        Some(say::dial_slow_cooker(Difference(apart_k())))
    }

    fn by_thumb(&self, meat: &MeatFigures) -> Result<Vec<ThumbRule>> {
        let (rule, minutes, other) = match self.setting {
            Settings::Low => (forecast::thumb_low(), 480.0, Settings::High),
            Settings::High => (forecast::thumb_high(), 240.0, Settings::Low),
        };
        let heat = Heat { setting: Some(other), ..Heat::default() };
        let against_the_other = (meat.another_way)(Method::SlowCooker, heat)?.map(|other_min| {
            let (rule, minutes) = match self.setting {
                Settings::Low => (forecast::thumb_low_is_twice(), 2.0 * other_min),
                Settings::High => (forecast::thumb_high_is_half(), 0.5 * other_min),
            };
            ThumbRule::new(rule, minutes, forecast::thumb_low_is_twice_because(Difference(apart_k())))
        });
        Ok([ThumbRule::new(rule, minutes, forecast::thumb_crock_because())]
            .into_iter()
            .chain(against_the_other)
            .collect())
    }

    fn meets_the_heat(&self, lid: Lid, dish: &DishFacts) -> Instruction {
        steps::meat_in(lid, dish)
    }

    fn goes_on(&self, _lid: Lid, _set: Option<Minutes>, _voice: Voice) -> Instruction {
        steps::by_itself(self.name())
    }

    fn leave_it(&self, lid: Lid) -> Message {
        sheet::leave_crock(lid.words())
    }

    fn hold(&self) -> Message {
        sheet::hold_crock()
    }

    fn turned(&self, up: bool) -> Option<(Message, Heat)> {
        let to = if up { Settings::High } else { Settings::Low };
        let heat = Heat { setting: Some(to), ..Heat::default() };
        (to != self.setting).then(|| (cook::turn_crock(to.key()), heat))
    }

    fn burns(&self, hours: f64) -> Burned {
        Burned::kwh(0.05 + 0.12 * hours)
    }
}
