//! On the hob: a pot over a flame that is kept at a simmer.

mod steps;
#[cfg(test)]
mod tests;

use ergastic_physics::medium::Medium;
use ergastic_words::{
    Message, Minutes, Temperature, Units, Voice, cook, errors, forecast, matching, sheet, ways as say,
};

use super::asked::Heat;
use super::facts::{Facts, POT, StandsIn, Watched};
use super::fill::Fill;
use super::fuel::Burned;
use super::method::{HeatSource, Method};
use super::preset::Preset;
use super::rule::{HowItHeats, as_a_pot};
use super::site::Site;
use super::steps::{DishFacts, Instruction, over_a_flame};
use super::way::{HeatChange, Offered, Setting, Way};
use crate::cuts::Shape::{Cubed, Halved, Whole};
use crate::error::Result;
use crate::heat::pot::{Lid, Simmer};
use crate::kitchen::{Lane, ThingKind};

/// On the hob at a simmer.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Hob {
    /// The cook's word for it.
    pub simmer: Simmer,
}

impl Offered for Hob {
    const FACTS: Facts = Facts {
        kit: Some(ThingKind::Burner),
        thing: Some(ThingKind::Burner),
        source: Some(HeatSource::Hob),
        stands_in: StandsIn::Pot,
        lid: Lid::Loose,
        comes_up: true,
        watched: Some(Watched { unless_it_holds_itself: false, wants: matching::wants_flame }),
        ..POT
    };

    fn set(asked: &Heat, _place: &Site, fill: &mut Fill) -> Result<Self> {
        let word = |simmer: Simmer| forecast::simmer(simmer.key());
        Ok(Self { simmer: fill.or("heat.simmer", asked.simmer, Simmer::Gentle, forecast::simmer_dont_boil, word) })
    }

    fn settings(asked: &Heat, _units: Units) -> Vec<Setting> {
        [Simmer::Lazy, Simmer::Gentle, Simmer::Brisk, Simmer::Boil]
            .map(|simmer| Setting {
                words: forecast::simmer(simmer.key()),
                looks: None,
                heat: Heat { simmer: Some(simmer), ..asked.clone() },
                celsius: None,
            })
            .into()
    }

    fn presets(_units: Units) -> Vec<Preset> {
        let gentle = || Heat::hob(Simmer::Gentle);
        vec![
            Preset::new(Method::Braise, "hob", gentle(), matching::braise_hob(), &[Whole, Halved]).beside("hob"),
            Preset::new(Method::Stew, "simmer", gentle(), matching::stew_hob(), &[Cubed]).beside("stew").usual(),
        ]
    }

    fn only() -> Message {
        errors::only_a_hob()
    }
}

impl Way for Hob {
    fn facts(&self) -> Facts {
        Self::FACTS
    }

    fn medium(&self) -> Medium {
        Medium::Hob { simmer: self.simmer.held() }
    }

    fn asked(&self, given: Heat) -> Heat {
        Heat { source: Some(HeatSource::Hob), simmer: Some(self.simmer), ..given }
    }

    fn name(&self) -> Message {
        say::hob(self.simmer.key())
    }

    fn for_so_long(&self, time: Minutes) -> Message {
        say::so_long_at(time, self.name())
    }

    fn sentence(&self, _boil_c: f64, _settled_c: Option<f64>) -> Message {
        match self.simmer {
            Simmer::Boil => say::at_a_rolling_boil(),
            Simmer::Lazy | Simmer::Gentle | Simmer::Brisk => say::on_the_hob(self.name(), self.simmer.looks()),
        }
    }

    fn how_it_heats(&self, _lid: Lid, boil_c: f64) -> HowItHeats {
        let liquid = Temperature(boil_c - self.simmer.below_boil());
        let numbers = say::hob_rule_numbers(self.simmer.looks(), liquid, Temperature(boil_c));
        HowItHeats { rule: say::hob_rule(), numbers, sure: as_a_pot() }
    }

    fn what_the_dial_decides(&self, _lid: Lid) -> Option<Message> {
        Some(say::dial_hob())
    }

    fn meets_the_heat(&self, _lid: Lid, dish: &DishFacts) -> Instruction {
        over_a_flame(Lane::Hob, dish)
    }

    fn goes_on(&self, lid: Lid, _set: Option<Minutes>, _voice: Voice) -> Instruction {
        self.by_itself(lid)
    }

    fn leave_it(&self, lid: Lid) -> Message {
        sheet::leave_hob(lid.words(), self.simmer.looks())
    }

    fn turned(&self, up: bool) -> Option<(Message, Heat)> {
        let simmer = match (self.simmer, up) {
            (Simmer::Lazy, true) | (Simmer::Brisk | Simmer::Boil, false) => Simmer::Gentle,
            (Simmer::Gentle, true) => Simmer::Brisk,
            (Simmer::Gentle, false) => Simmer::Lazy,
            (Simmer::Lazy, false) | (Simmer::Brisk | Simmer::Boil, true) => return None,
        };
        let heat = Heat { simmer: Some(simmer), ..Heat::default() };
        Some((cook::turn_hob(simmer.key(), simmer.looks()), heat))
    }

    fn hotter(&self, _units: Units) -> Option<HeatChange> {
        let heat = Heat::hob(Simmer::Brisk);
        matches!(self.simmer, Simmer::Lazy | Simmer::Gentle).then(|| HeatChange {
            words: sheet::brisker_simmer(),
            trade: sheet::brisker_simmer_trade(),
            heat,
        })
    }

    fn burns(&self, hours: f64) -> Burned {
        let kilowatts = match self.simmer {
            Simmer::Lazy => 0.2,
            Simmer::Gentle => 0.3,
            Simmer::Brisk => 0.6,
            Simmer::Boil => 1.0,
        };
        Burned::kwh(0.35 + kilowatts * hours)
    }
}
