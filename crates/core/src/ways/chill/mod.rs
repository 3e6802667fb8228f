//! Cooled: in ice water and the fridge, or where it stands with the heat off.

mod steps;
#[cfg(test)]
mod tests;

use ergastic_physics::medium::{Cooling, Medium};
use ergastic_physics::places::FRIDGE_C;
use ergastic_words::{Guide, Message, Minutes, Voice, matching, sheet, ways as say};

use super::asked::Heat;
use super::facts::{Facts, POT, StandsIn};
use super::fill::Fill;
use super::fuel::Burned;
use super::rule::HowItHeats;
use super::site::Site;
use super::steps::{DishFacts, Instruction};
use super::way::{Offered, Way};
use crate::error::Result;
use crate::heat::pot::Lid;

/// Cooled.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Chill {
    /// How.
    pub cooling: Cooling,
}

fn key(cooling: Cooling) -> &'static str {
    match cooling {
        Cooling::InLiquid => "in_liquid",
        Cooling::InBag => "in_bag",
        Cooling::OnTray => "on_tray",
        Cooling::InAir => "in_air",
    }
}

impl Offered for Chill {
    const FACTS: Facts = Facts {
        stands_in: StandsIn::Nothing,
        is_pot: false,
        opens: false,
        look: None,
        cooks: false,
        washes: &[matching::wash_shallow_tray],
        ..POT
    };

    fn set(_asked: &Heat, place: &Site, _fill: &mut Fill) -> Result<Self> {
        Ok(Self { cooling: place.cooled.unwrap_or(Cooling::OnTray) })
    }
}

impl Way for Chill {
    fn facts(&self) -> Facts {
        let washes = if self.cooling == Cooling::InBag { &[] } else { Self::FACTS.washes };
        Facts { washes, ..Self::FACTS }
    }

    fn medium(&self) -> Medium {
        Medium::Chill { cooling: self.cooling }
    }

    fn asked(&self, given: Heat) -> Heat {
        given
    }

    /// A bag stays a bag, a tray a tray.
    fn cooled(&self) -> Cooling {
        match self.cooling {
            Cooling::InBag | Cooling::OnTray => self.cooling,
            Cooling::InLiquid | Cooling::InAir => Cooling::InLiquid,
        }
    }

    fn softens(&self) -> bool {
        false
    }

    fn name(&self) -> Message {
        say::chill(key(self.cooling))
    }

    fn sentence(&self, _boil_c: f64, _settled_c: Option<f64>) -> Message {
        say::in_the_cold()
    }

    fn how_it_heats(&self, _lid: Lid, _boil_c: f64) -> HowItHeats {
        let numbers = say::chill_rule_numbers(Guide(FRIDGE_C));
        HowItHeats { rule: say::chill_rule(), numbers, sure: say::chill_rule_sure() }
    }

    fn meets_the_heat(&self, _lid: Lid, _dish: &DishFacts) -> Instruction {
        self.set_in_the_cold()
    }

    fn goes_on(&self, _lid: Lid, _set: Option<Minutes>, voice: Voice) -> Instruction {
        self.by_itself(voice)
    }

    fn leave_it(&self, _lid: Lid) -> Message {
        if self.cooling == Cooling::InAir { sheet::heat_is_off() } else { sheet::leave_cold() }
    }

    fn burns(&self, _hours: f64) -> Burned {
        Burned::kwh(0.1)
    }
}
