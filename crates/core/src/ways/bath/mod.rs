//! Bagged in a bath: water held at one temperature around a sealed bag.

mod steps;
#[cfg(test)]
mod tests;

use ergastic_physics::medium::{Cooling, Medium};
use ergastic_words::{
    Guide, Message, Minutes, Temperature, Units, Voice, cook, forecast, matching, sheet, ways as say,
};

use super::asked::{Heat, bounds};
use super::cooked_in::CookedIn;
use super::facts::{Facts, Looks, POT, StandsIn};
use super::fill::Fill;
use super::fuel::Burned;
use super::method::{Method, USUAL_BATH_C};
use super::preset::{Preset, on_the_dial, settings};
use super::rule::HowItHeats;
use super::site::Site;
use super::steps::{DishFacts, Instruction};
use super::thumb::{MeatFigures, ThumbRule};
use super::way::{Dialled, Offered, Setting, Way, measured};
use crate::cuts::Shape::Whole;
use crate::error::{Result, Unit, in_range};
use crate::heat::pot::Lid;
use crate::kitchen::ThingKind;
use crate::safety::{Caution, cooked_bag, not_softening};
use ergastic_physics::tender::SOFTENS_FROM_C;

/// A bath that only holds, °C.
const HOLDS_C: f64 = 65.0;
/// A cooler bath for slices, on either dial.
const COOL: [f64; 2] = [75.0, 167.0];

/// Bagged in a bath.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Bath {
    /// At, °C.
    pub bath_c: f64,
}

fn looks(celsius: f64) -> &'static str {
    if celsius < 72.0 { "cool_bath" } else { "warm_bath" }
}

fn at(bath_c: f64) -> Heat {
    Heat { bath_c: Some(bath_c), ..Heat::default() }
}

impl Offered for Bath {
    const FACTS: Facts = Facts {
        kit: Some(ThingKind::Bath),
        thing: Some(ThingKind::Bath),
        stands_in: StandsIn::Nothing,
        is_pot: false,
        lies_in: CookedIn::Bag,
        slow: true,
        opens: false,
        preheat_min: Some(30.0),
        fire_min: 5.0,
        getting_hot: Some([sheet::bath_warms, sheet::bath_warms_why]),
        into_it_min: Some(10.0),
        looks: Looks::Once,
        look: Some([sheet::look_bag, sheet::look_bag_again]),
        held_wrapped: true,
        washes: &[matching::wash_juice_pan],
        ..POT
    };

    fn set(asked: &Heat, place: &Site, fill: &mut Fill) -> Result<Self> {
        let bath_c = fill.or("heat.bath_c", asked.bath_c, USUAL_BATH_C, forecast::tender_within_a_night, measured);
        // Under the boil of the place: a bath does not bubble.
        let most = f64::min(bounds::bath_c.high, (place.boil_c - 1.0).floor());
        Ok(Self { bath_c: in_range(bounds::bath_c.field, bath_c, bounds::bath_c.low, most, Unit::Celsius)? })
    }

    fn settings(asked: &Heat, units: Units) -> Vec<Setting> {
        settings(units, [68.0, 75.0, 82.0, 88.0], [155.0, 167.0, 180.0, 190.0])
            .map(|c| Setting {
                words: measured(c),
                looks: Some(looks(c)),
                heat: Heat { bath_c: Some(c), ..asked.clone() },
                celsius: Some(c),
            })
            .collect()
    }

    fn presets(units: Units) -> Vec<Preset> {
        let bath = |key, c| Preset::new(Method::WaterBath, key, at(c), matching::bath(Temperature(c)), &[Whole]);
        let [celsius, fahrenheit] = COOL;
        vec![
            bath("bath_82", on_the_dial(units, USUAL_BATH_C, 180.0)).beside("bath").usual(),
            bath("bath_75", on_the_dial(units, celsius, fahrenheit)),
        ]
    }
}

impl Way for Bath {
    fn facts(&self) -> Facts {
        Self::FACTS
    }

    fn medium(&self) -> Medium {
        Medium::Bath { bath_c: self.bath_c }
    }

    fn asked(&self, given: Heat) -> Heat {
        Heat { bath_c: Some(self.bath_c), ..given }
    }

    fn dial(&self) -> Option<Dialled> {
        Some(Dialled { bounds: bounds::bath_c, celsius: self.bath_c, words: measured(self.bath_c) })
    }

    fn cooled(&self) -> Cooling {
        Cooling::InBag
    }

    fn name(&self) -> Message {
        say::bath(Temperature(self.bath_c))
    }

    fn sentence(&self, _boil_c: f64, _settled_c: Option<f64>) -> Message {
        say::in_the_bath(Temperature(self.bath_c))
    }

    fn how_it_heats(&self, _lid: Lid, _boil_c: f64) -> HowItHeats {
        let numbers = say::bath_rule_numbers(Temperature(self.bath_c));
        HowItHeats { rule: say::bath_rule(), numbers, sure: say::bath_rule_sure() }
    }

    fn what_the_dial_decides(&self, _lid: Lid) -> Option<Message> {
        Some(say::dial_bath())
    }

    fn by_thumb(&self, _meat: &MeatFigures) -> Result<Vec<ThumbRule>> {
        let (rule, minutes) = match self.bath_c >= 78.0 {
            true => (forecast::thumb_bath_night(Guide(80.0)), 720.0),
            false => (forecast::thumb_bath_day(Guide(75.0)), 2160.0),
        };
        Ok(vec![ThumbRule::new(rule, minutes, forecast::thumb_bath_because())])
    }

    fn softens(&self) -> bool {
        self.bath_c >= SOFTENS_FROM_C
    }

    fn cautions(&self, voice: Voice) -> Vec<Caution> {
        let cool = (!self.softens()).then(|| not_softening(self.bath_c, voice));
        cool.into_iter().chain([cooked_bag(voice)]).collect()
    }

    fn preheat(&self, _dish: &DishFacts) -> Option<Instruction> {
        Some(self.warmed())
    }

    fn put_in(&self, dish: &DishFacts) -> (Message, Message) {
        (dish.and_what_goes_in(sheet::bag()), if dish.bones { sheet::bag_bones_why() } else { sheet::bag_why() })
    }

    fn meets_the_heat(&self, _lid: Lid, _dish: &DishFacts) -> Instruction {
        self.bag_in()
    }

    fn goes_on(&self, _lid: Lid, _set: Option<Minutes>, _voice: Voice) -> Instruction {
        self.by_itself()
    }

    fn leave_it(&self, _lid: Lid) -> Message {
        sheet::leave_bath(Temperature(self.bath_c))
    }

    fn hold(&self) -> Message {
        sheet::hold_bath(Guide(HOLDS_C))
    }

    fn lift(&self, _open_already: bool) -> (Message, Message) {
        (sheet::lift_bath(), sheet::lift_bath_why())
    }

    fn done_early(&self, _held: Temperature) -> Message {
        cook::early_bath()
    }

    fn held(&self) -> Option<(f64, Heat)> {
        (self.bath_c > HOLDS_C).then(|| (HOLDS_C, at(HOLDS_C)))
    }

    fn burns(&self, hours: f64) -> Burned {
        Burned::kwh(0.8 + 0.12 * hours)
    }
}
