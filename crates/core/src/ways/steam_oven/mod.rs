//! In a steam oven: steam about a pan that stands open in it, or about the cover of one.

#[cfg(test)]
mod tests;

use ergastic_physics::medium::Medium;
use ergastic_physics::parameters::Parameters;
use ergastic_physics::steam::SteamOven;
use ergastic_words::{Guide, Message, Minutes, Percent, Temperature, Units, Voice, ways as say};

use super::asked::{Heat, Steam, bounds};
use super::facts::{Facts, GoesIn, LevelFacts, POT, StandsIn};
use super::fill::Fill;
use super::fuel::Burned;
use super::method::Method;
use super::preset::{Preset, on_the_dial, settings};
use super::rule::{HowItHeats, as_a_pot};
use super::site::Site;
use super::steps::{DishFacts, Instruction};
use super::way::{Dialled, HeatChange, Offered, Setting, Way, measured, turned};
use crate::cuts::Shape::{Cubed, Halved, Whole};
use crate::error::Result;
use crate::heat::pot::Lid;
use crate::kitchen::{Lane, ThingKind};
use ergastic_physics::places::ROOM_C;

/// What it is usually set to, and overnight, on either dial.
const USUAL: [f64; 2] = [95.0, 200.0];
const OVERNIGHT: [f64; 2] = [85.0, 185.0];
/// What is done is held at, °C.
const HOLDS_C: f64 = 65.0;
/// Turned by so much in the midst of a cook, K, within these, °C.
const STEP_K: f64 = 5.0;
const TURNED_C: [f64; 2] = [80.0, 100.0];

/// In a steam oven.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct InSteam {
    /// How it is set, and where.
    pub oven: SteamOven,
    /// How full its steam is.
    pub steam: Steam,
}

fn at(steam_c: f64, steam: Steam) -> Heat {
    Heat { steam_c: Some(steam_c), steam: Some(steam), ..Heat::default() }
}

impl InSteam {
    fn at(&self) -> Temperature {
        Temperature(self.oven.set_c)
    }

    /// Where wet meat stands in it: under a cover its liquid comes to the oven's own heat, but never past the boil.
    fn meat_at(&self, lid: Lid, boil_c: f64) -> Temperature {
        let stands_c = if lid == Lid::None { self.oven.wet_bulb_c(&Parameters::USUAL.steam) } else { self.oven.set_c };
        Temperature(f64::min(stands_c, boil_c))
    }
}

impl Offered for InSteam {
    const FACTS: Facts = Facts {
        kit: Some(ThingKind::SteamOven),
        thing: Some(ThingKind::SteamOven),
        stands_in: StandsIn::Pot,
        lid: Lid::None,
        preheat_min: Some(15.0),
        level: LevelFacts { share: 0.15, min_l: 0.2, max_l_per_kg: 0.3, why: say::steam_brings_water },
        goes_in: GoesIn { celsius: ROOM_C, why: say::steam_cold_liquid },
        ..POT
    };

    fn set(asked: &Heat, place: &Site, fill: &mut Fill) -> Result<Self> {
        let [usual_c, _] = USUAL;
        let set_c = fill.or("heat.steam_c", asked.steam_c, usual_c, say::steam_usual, measured);
        let word = |steam: Steam| say::steam(steam.key());
        let steam = fill.or("heat.steam", asked.steam, Steam::Full, say::steam_usual, word);
        let set_c = bounds::steam_c.check(set_c)?;
        Ok(Self { oven: SteamOven { set_c, fullness: steam.fullness(), pressure_pa: place.pressure_pa }, steam })
    }

    fn settings(asked: &Heat, units: Units) -> Vec<Setting> {
        settings(units, [85.0, 90.0, 95.0, 100.0], [185.0, 190.0, 200.0, 210.0])
            .map(|c| Setting {
                words: measured(c),
                looks: None,
                heat: Heat { steam_c: Some(c), ..asked.clone() },
                celsius: Some(c),
            })
            .collect()
    }

    fn presets(units: Units) -> Vec<Preset> {
        let on = |[celsius, fahrenheit]: [f64; 2]| on_the_dial(units, celsius, fahrenheit);
        let (usual, night) = (on(USUAL), on(OVERNIGHT));
        let preset = |key, c, steam, name, shapes| Preset::new(Method::SteamOven, key, at(c, steam), name, shapes);
        let full = say::steam_oven_full(Temperature(usual));
        let slow = say::steam_oven_overnight(Temperature(night));
        let half = say::steam_oven_half(Temperature(usual));
        vec![
            preset("steam_95", usual, Steam::Full, full, &[Whole, Halved, Cubed]).beside("steam_oven").usual(),
            preset("steam_85", night, Steam::Full, slow, &[Whole]),
            preset("half_steam_95", usual, Steam::Half, half, &[Whole]),
        ]
    }
}

impl Way for InSteam {
    fn facts(&self) -> Facts {
        Self::FACTS
    }

    fn medium(&self) -> Medium {
        Medium::Steam(self.oven)
    }

    fn asked(&self, given: Heat) -> Heat {
        Heat { steam_c: Some(self.oven.set_c), steam: Some(self.steam), ..given }
    }

    fn dial(&self) -> Option<Dialled> {
        Some(Dialled { bounds: bounds::steam_c, celsius: self.oven.set_c, words: measured(self.oven.set_c) })
    }

    fn name(&self) -> Message {
        say::in_so_much_steam(self.steam.key(), self.at())
    }

    fn sentence(&self, _boil_c: f64, _settled_c: Option<f64>) -> Message {
        say::it_cooks_in_steam(self.name())
    }

    fn how_it_heats(&self, lid: Lid, boil_c: f64) -> HowItHeats {
        let air = Percent(self.oven.air_share(&Parameters::USUAL.steam));
        let numbers = say::steam_rule_numbers(self.name(), air, self.meat_at(lid, boil_c));
        HowItHeats { rule: say::steam_rule(), numbers, sure: as_a_pot() }
    }

    fn what_the_dial_decides(&self, lid: Lid) -> Option<Message> {
        Some(if lid == Lid::None { say::dial_steam() } else { say::dial_steam_covered() })
    }

    fn preheat(&self, _dish: &DishFacts) -> Option<Instruction> {
        Some((Lane::SteamOven, say::steam_heats(self.at()), say::steam_heats_why()))
    }

    fn meets_the_heat(&self, lid: Lid, dish: &DishFacts) -> Instruction {
        let what = match dish.with_meat() {
            Some(with) => say::steam_meat_in(with, lid.words()),
            None => say::steam_meat_in_dry(lid.words()),
        };
        (Lane::SteamOven, what, say::steam_meat_in_why())
    }

    fn goes_on(&self, lid: Lid, _set: Option<Minutes>, _voice: Voice) -> Instruction {
        (Lane::SteamOven, say::steam_goes_on(self.name(), lid.words()), say::steam_goes_on_why())
    }

    fn leave_it(&self, lid: Lid) -> Message {
        say::leave_in_steam(self.name(), lid.words())
    }

    fn hold(&self) -> Message {
        say::hold_in_steam(Guide(HOLDS_C))
    }

    fn lift(&self, _open_already: bool) -> (Message, Message) {
        (say::lift_from_steam(), say::lift_from_steam_why())
    }

    fn done_early(&self, held: Temperature) -> Message {
        say::early_in_steam(held)
    }

    fn turned(&self, up: bool) -> Option<(Message, Heat)> {
        let steam_c = turned(self.oven.set_c, up, STEP_K, TURNED_C)?;
        Some((say::turn_steam(Temperature(steam_c)), Heat { steam_c: Some(steam_c), ..Heat::default() }))
    }

    fn held(&self) -> Option<(f64, Heat)> {
        let hold = Heat { steam_c: Some(HOLDS_C), ..Heat::default() };
        (self.oven.set_c > HOLDS_C).then_some((HOLDS_C, hold))
    }

    fn could(&self) -> Vec<(&'static str, HeatChange)> {
        let (to, words, trade) = match self.steam {
            Steam::Full => (Steam::Half, say::steam_to_half(), say::steam_to_half_trade()),
            Steam::Half => (Steam::Full, say::steam_to_full(), say::steam_to_full_trade()),
        };
        let heat = Heat { steam: Some(to), ..Heat::default() };
        vec![("steam", HeatChange { words, trade, heat })]
    }

    fn burns(&self, hours: f64) -> Burned {
        Burned::kwh(0.3 + 0.7 * hours)
    }
}
