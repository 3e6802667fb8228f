//! Under fat: a pot of it in a slow oven.

mod steps;
#[cfg(test)]
mod tests;

use ergastic_physics::medium::Medium;
use ergastic_words::{Message, Minutes, Temperature, Units, Voice, cook, forecast, matching, sheet, ways as say};

use super::asked::{Heat, bounds};
use super::cooked_in::CookedIn;
use super::facts::{Buys, Facts, Looks, POT, StandsIn};
use super::fill::Fill;
use super::fuel::Burned;
use super::method::{Method, USUAL_FAT_C};
use super::preset::{Preset, on_the_dial, settings};
use super::rule::{HowItHeats, as_a_pot};
use super::site::Site;
use super::steps::{DishFacts, Instruction};
use super::thumb::{MeatFigures, ThumbRule};
use super::way::{Dialled, Offered, Setting, Way, measured, turned};
use crate::cuts::Shape::{Halved, Whole};
use crate::error::Result;
use crate::heat::pot::Lid;
use crate::kitchen::ThingKind;
use crate::safety::{Caution, not_softening, under_fat};
use ergastic_physics::tender::SOFTENS_FROM_C;

/// Turned by so much in the midst of a cook, K, within these, °C.
const STEP_K: f64 = 5.0;
const TURNED_C: [f64; 2] = [80.0, 98.0];

/// Under fat.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct UnderFat {
    /// At, °C.
    pub fat_c: f64,
}

impl Offered for UnderFat {
    const FACTS: Facts = Facts {
        kit: Some(ThingKind::Oven),
        thing: Some(ThingKind::Oven),
        stands_in: StandsIn::Pot,
        is_pot: false,
        lies_in: CookedIn::Fat,
        slow: true,
        opens: false,
        preheat_min: Some(25.0),
        fire_min: 15.0,
        getting_hot: Some([sheet::fat_melts, sheet::fat_melts_why]),
        into_it_min: Some(10.0),
        looks: Looks::Twice,
        look: Some([sheet::look_fork, sheet::look_fork_again]),
        makes_sauce: false,
        no_sauce: Some("under_fat"),
        buys: Buys::Fat,
        washes: &[matching::wash_fat_pot, matching::wash_sieve],
        ..POT
    };

    fn set(asked: &Heat, _place: &Site, fill: &mut Fill) -> Result<Self> {
        let fat_c = fill.or("heat.fat_c", asked.fat_c, USUAL_FAT_C, forecast::fat_trembles, measured);
        Ok(Self { fat_c: bounds::fat_c.check(fat_c)? })
    }

    fn settings(asked: &Heat, units: Units) -> Vec<Setting> {
        settings(units, [82.0, 88.0, 93.0, 98.0], [180.0, 190.0, 200.0, 210.0])
            .map(|c| Setting {
                words: measured(c),
                looks: Some("still_fat"),
                heat: Heat { fat_c: Some(c), ..asked.clone() },
                celsius: Some(c),
            })
            .collect()
    }

    fn presets(units: Units) -> Vec<Preset> {
        let fat_c = on_the_dial(units, USUAL_FAT_C, 195.0);
        let heat = Heat { fat_c: Some(fat_c), ..Heat::default() };
        let name = matching::fat(Temperature(fat_c));
        vec![Preset::new(Method::Confit, "fat_90", heat, name, &[Whole, Halved]).beside("fat").usual()]
    }
}

impl Way for UnderFat {
    fn facts(&self) -> Facts {
        Self::FACTS
    }

    fn medium(&self) -> Medium {
        Medium::Fat { fat_c: self.fat_c }
    }

    fn asked(&self, given: Heat) -> Heat {
        Heat { fat_c: Some(self.fat_c), ..given }
    }

    fn dial(&self) -> Option<Dialled> {
        Some(Dialled { bounds: bounds::fat_c, celsius: self.fat_c, words: measured(self.fat_c) })
    }

    fn name(&self) -> Message {
        say::fat(Temperature(self.fat_c))
    }

    fn for_so_long(&self, time: Minutes) -> Message {
        say::so_long_under(time, self.name())
    }

    fn sentence(&self, _boil_c: f64, _settled_c: Option<f64>) -> Message {
        say::under_the_fat(Temperature(self.fat_c))
    }

    fn how_it_heats(&self, _lid: Lid, _boil_c: f64) -> HowItHeats {
        let numbers = say::fat_rule_numbers(Temperature(self.fat_c));
        HowItHeats { rule: say::fat_rule(), numbers, sure: as_a_pot() }
    }

    fn what_the_dial_decides(&self, _lid: Lid) -> Option<Message> {
        Some(say::dial_fat())
    }

    fn by_thumb(&self, _meat: &MeatFigures) -> Result<Vec<ThumbRule>> {
        Ok(vec![ThumbRule::new(forecast::thumb_fat(), 300.0, forecast::thumb_fat_because())])
    }

    fn softens(&self) -> bool {
        self.fat_c >= SOFTENS_FROM_C
    }

    fn cautions(&self, voice: Voice) -> Vec<Caution> {
        let cool = (!self.softens()).then(|| not_softening(self.fat_c, voice));
        cool.into_iter().chain([under_fat(voice)]).collect()
    }

    fn preheat(&self, _dish: &DishFacts) -> Option<Instruction> {
        Some(self.warmed())
    }

    fn put_in(&self, dish: &DishFacts) -> (Message, Message) {
        let laid = if dish.salted { sheet::into_fat_wipe() } else { sheet::into_fat() };
        (dish.and_what_goes_in(laid), sheet::into_fat_why())
    }

    fn meets_the_heat(&self, _lid: Lid, _dish: &DishFacts) -> Instruction {
        self.meat_in()
    }

    fn goes_on(&self, _lid: Lid, _set: Option<Minutes>, _voice: Voice) -> Instruction {
        self.by_itself()
    }

    fn leave_it(&self, _lid: Lid) -> Message {
        sheet::leave_fat(Temperature(self.fat_c))
    }

    fn lift(&self, _open_already: bool) -> (Message, Message) {
        (sheet::lift_fat(), sheet::lift_fat_why())
    }

    fn turned(&self, up: bool) -> Option<(Message, Heat)> {
        let fat_c = turned(self.fat_c, up, STEP_K, TURNED_C)?;
        Some((cook::turn_fat(Temperature(fat_c)), Heat { fat_c: Some(fat_c), ..Heat::default() }))
    }

    fn burns(&self, hours: f64) -> Burned {
        Burned::oven(self.fat_c, hours)
    }
}
