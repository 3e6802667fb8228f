//! Kept warm: a crock or pot that only holds its heat.

#[cfg(test)]
mod tests;

use ergastic_physics::medium::Medium;
use ergastic_words::{Message, Minutes, Temperature, Voice, forecast, matching, sheet, ways as say};

use super::asked::{Heat, bounds};
use super::facts::{CROCK_LOOK_MIN, Facts, POT};
use super::fill::Fill;
use super::fuel::Burned;
use super::method::USUAL_KEEP_WARM_C;
use super::rule::{HowItHeats, as_a_pot};
use super::site::Site;
use super::slow_cooker::steps;
use super::steps::{DishFacts, Instruction};
use super::way::{Dialled, Offered, Way, measured};
use crate::error::Result;
use crate::heat::pot::Lid;
use crate::kitchen::ThingKind;
use crate::safety::{Caution, cool_hold, not_softening};
use ergastic_physics::tender::SOFTENS_FROM_C;

/// Kept warm.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct KeepWarm {
    /// At, °C.
    pub at_c: f64,
}

impl Offered for KeepWarm {
    const FACTS: Facts = Facts {
        thing: Some(ThingKind::SlowCooker),
        warms_slowly: true,
        look: Some([sheet::look_fork, sheet::look_fork_again]),
        look_costs_min: CROCK_LOOK_MIN,
        washes: &[matching::wash_crock],
        ..POT
    };

    fn set(asked: &Heat, _place: &Site, fill: &mut Fill) -> Result<Self> {
        let at_c = fill.or("heat.at_c", asked.at_c, USUAL_KEEP_WARM_C, forecast::where_pots_hold, measured);
        Ok(Self { at_c: bounds::at_c.check(at_c)? })
    }
}

impl Way for KeepWarm {
    fn facts(&self) -> Facts {
        Self::FACTS
    }

    fn medium(&self) -> Medium {
        Medium::KeepWarm { at_c: self.at_c }
    }

    fn asked(&self, given: Heat) -> Heat {
        given
    }

    fn dial(&self) -> Option<Dialled> {
        Some(Dialled { bounds: bounds::at_c, celsius: self.at_c, words: measured(self.at_c) })
    }

    fn name(&self) -> Message {
        say::keep_warm(Temperature(self.at_c))
    }

    fn sentence(&self, _boil_c: f64, _settled_c: Option<f64>) -> Message {
        say::kept_warm(Temperature(self.at_c))
    }

    fn how_it_heats(&self, _lid: Lid, _boil_c: f64) -> HowItHeats {
        let numbers = say::keep_warm_rule_numbers(Temperature(self.at_c));
        HowItHeats { rule: say::keep_warm_rule(), numbers, sure: as_a_pot() }
    }

    fn softens(&self) -> bool {
        self.at_c >= SOFTENS_FROM_C
    }

    fn cautions(&self, voice: Voice) -> Vec<Caution> {
        match self.at_c {
            cool if !self.softens() => vec![not_softening(cool, voice)],
            cool if cool < voice.food_code().hot_hold_c() => vec![cool_hold(cool, voice)],
            _ => Vec::new(),
        }
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

    fn burns(&self, hours: f64) -> Burned {
        Burned::kwh(0.05 * hours)
    }
}
