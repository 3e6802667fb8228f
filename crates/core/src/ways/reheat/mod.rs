//! Warmed through again: what was cooked before and chilled.

#[cfg(test)]
mod tests;

use ergastic_physics::case::End;
use ergastic_physics::medium::Medium;
use ergastic_words::{Message, Minutes, Temperature, Voice, forecast, sheet, ways as say};

use super::asked::{Heat, bounds};
use super::facts::{Facts, POT};
use super::fill::Fill;
use super::fuel::Burned;
use super::method::USUAL_REHEAT_C;
use super::rule::{HowItHeats, as_a_pot};
use super::site::Site;
use super::steps::{DishFacts, Instruction, over_a_flame};
use super::way::{Offered, Way, measured};
use crate::error::{Result, Unit, in_range};
use crate::heat::pot::Lid;
use crate::kitchen::{Lane, ThingKind};

/// Warmed through again.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Reheat {
    /// To, °C.
    pub to_c: f64,
}

impl Offered for Reheat {
    const FACTS: Facts =
        Facts { thing: Some(ThingKind::Burner), lid: Lid::Loose, look: None, cooks: false, washes: &[], ..POT };

    fn set(asked: &Heat, place: &Site, fill: &mut Fill) -> Result<Self> {
        let to_c = fill.or("heat.to_c", asked.to_c, USUAL_REHEAT_C, forecast::reheating_figure, measured);
        // Well under the boil of the place.
        let most = f64::min(bounds::to_c.high, place.boil_c - 5.0);
        Ok(Self { to_c: in_range(bounds::to_c.field, to_c, bounds::to_c.low, most, Unit::Celsius)? })
    }
}

impl Way for Reheat {
    fn facts(&self) -> Facts {
        Self::FACTS
    }

    fn medium(&self) -> Medium {
        Medium::Reheat
    }

    fn asked(&self, given: Heat) -> Heat {
        given
    }

    fn ends(&self) -> Option<End> {
        Some(End::Warm(self.to_c))
    }

    fn name(&self) -> Message {
        say::reheat(Temperature(self.to_c))
    }

    fn sentence(&self, _boil_c: f64, _settled_c: Option<f64>) -> Message {
        say::warmed_through(Temperature(self.to_c))
    }

    fn how_it_heats(&self, _lid: Lid, _boil_c: f64) -> HowItHeats {
        let numbers = say::reheat_rule_numbers(Temperature(self.to_c));
        HowItHeats { rule: say::reheat_rule(), numbers, sure: as_a_pot() }
    }

    fn meets_the_heat(&self, _lid: Lid, dish: &DishFacts) -> Instruction {
        over_a_flame(Lane::Hob, dish)
    }

    fn goes_on(&self, _lid: Lid, _set: Option<Minutes>, _voice: Voice) -> Instruction {
        (Lane::Hob, sheet::reheated(Temperature(self.to_c)), sheet::reheated_why())
    }

    fn leave_it(&self, _lid: Lid) -> Message {
        sheet::leave_reheat(Temperature(self.to_c))
    }

    fn burns(&self, hours: f64) -> Burned {
        Burned::kwh(0.35 + 0.3 * hours)
    }
}
