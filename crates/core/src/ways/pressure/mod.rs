//! In a pressure pot: steam above the boil under a locked lid.

mod steps;
#[cfg(test)]
mod tests;

use ergastic_physics::case::End;
use ergastic_physics::medium::Medium;
use ergastic_physics::pressure::POWER_W;
use ergastic_physics::steam::saturation_temperature;
use ergastic_physics::units::{MINUTE_S, round_to};
use ergastic_words::{Message, Minutes, Temperature, Units, Voice, errors, forecast, matching, sheet, ways as say};

use super::asked::{Heat, bounds};
use super::facts::{Facts, LevelFacts, Looks, POT, StandsIn, round};
use super::fill::Fill;
use super::fuel::Burned;
use super::method::{Method, Release, Settings};
use super::preset::Preset;
use super::rule::{HowItHeats, as_a_pot};
use super::site::Site;
use super::steps::{DishFacts, Instruction};
use super::thumb::{MeatFigures, ThumbRule};
use super::way::{Offered, Setting, Way};
use crate::cuts::Shape::{Cubed, Halved, Whole};
use crate::error::{Error, Result, WhatIsWrong};
use crate::heat::pot::{Lid, Material, Simmer};
use crate::kitchen::ThingKind;

/// What the switch is set to, kPa above the air. Electric pots; practice.
const HIGH_KPA: f64 = 70.0;
const LOW_KPA: f64 = 35.0;

/// Under pressure.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Pressure {
    /// Gauge, kPa.
    pub gauge_kpa: f64,
    /// Saturation temperature under it, °C.
    pub target_c: f64,
    /// Time at pressure, s; none is solved for.
    pub hold_s: Option<f64>,
    /// Let go at once.
    pub quick: bool,
    /// Heat in, W.
    pub power_w: f64,
}

impl Offered for Pressure {
    const FACTS: Facts = Facts {
        kit: Some(ThingKind::PressurePot),
        thing: Some(ThingKind::PressurePot),
        stands_in: StandsIn::PressurePot,
        vessel: || round(22.0, 16.0, Material::Steel),
        opens: false,
        locked: true,
        level: LevelFacts { share: 0.33, min_l: 0.4, max_l_per_kg: 1.2, why: forecast::level_pressure },
        looks: Looks::Once,
        look: None,
        washes: &[matching::wash_pressure_pot],
        ..POT
    };

    fn set(asked: &Heat, place: &Site, fill: &mut Fill) -> Result<Self> {
        if let (Some(_), Some(gauge)) = (asked.level, asked.gauge_kpa) {
            return Err(Error::new(WhatIsWrong::Clash, "heat.gauge_kpa", gauge, errors::level_or_gauge()));
        }
        let gauge_kpa = match (asked.gauge_kpa, asked.level) {
            (Some(gauge), _) => bounds::gauge_kpa.check(gauge)?,
            (None, level) => {
                let word = |setting: Settings| forecast::setting(setting.key());
                match fill.or("heat.level", level, Settings::High, forecast::usual_pressure, word) {
                    Settings::High => HIGH_KPA,
                    Settings::Low => LOW_KPA,
                }
            }
        };
        let held = |minutes| bounds::at_pressure_min.check(minutes).map(|minutes| minutes * MINUTE_S);
        let hold_s = asked.at_pressure_min.map(held).transpose()?;
        let word = |release: Release| forecast::release(release.key());
        let release = fill.or("heat.release", asked.release, Release::Natural, forecast::gentler_release, word);
        Ok(Self {
            gauge_kpa,
            target_c: saturation_temperature(place.pressure_pa + gauge_kpa * 1000.0),
            hold_s,
            quick: release == Release::Quick,
            power_w: bounds::power_w.check(asked.power_w.unwrap_or(POWER_W))?,
        })
    }

    fn settings(asked: &Heat, _units: Units) -> Vec<Setting> {
        [Settings::Low, Settings::High]
            .map(|level| Setting {
                words: forecast::setting(level.key()),
                looks: None,
                heat: Heat { level: Some(level), gauge_kpa: None, at_pressure_min: None, ..asked.clone() },
                celsius: None,
            })
            .into()
    }

    fn presets(_units: Units) -> Vec<Preset> {
        let heat = Heat { level: Some(Settings::High), ..Heat::default() };
        let high = Preset::new(Method::Pressure, "high", heat, matching::pressure_high(), &[Whole, Halved, Cubed]);
        vec![high.beside("pressure").usual()]
    }
}

impl Way for Pressure {
    fn facts(&self) -> Facts {
        Self::FACTS
    }

    fn medium(&self) -> Medium {
        let Self { target_c, hold_s, quick, power_w, .. } = *self;
        Medium::Pressure { target_c, hold_s, quick, power_w }
    }

    fn asked(&self, given: Heat) -> Heat {
        let level = given.level.or(given.gauge_kpa.is_none().then_some(Settings::High));
        let release = Some(if self.quick { Release::Quick } else { Release::Natural });
        Heat { level, release, ..given }
    }

    fn ends(&self) -> Option<End> {
        Some(End::Opened)
    }

    fn name(&self) -> Message {
        say::pressure(Temperature(self.target_c))
    }

    fn for_so_long(&self, time: Minutes) -> Message {
        say::so_long_at(time, self.name())
    }

    fn sentence(&self, boil_c: f64, _settled_c: Option<f64>) -> Message {
        say::under_pressure(Temperature(self.target_c), Temperature(boil_c))
    }

    fn how_it_heats(&self, _lid: Lid, boil_c: f64) -> HowItHeats {
        let (gauge, target, boil) = (round_to(self.gauge_kpa, 1.0), Temperature(self.target_c), Temperature(boil_c));
        HowItHeats {
            rule: say::pressure_rule(),
            numbers: say::pressure_rule_numbers(gauge, target, boil),
            sure: as_a_pot(),
        }
    }

    fn what_the_dial_decides(&self, _lid: Lid) -> Option<Message> {
        Some(say::dial_pressure())
    }

    fn by_thumb(&self, meat: &MeatFigures) -> Result<Vec<ThumbRule>> {
        let of_the_hob = (meat.another_way)(Method::Braise, Heat::hob(Simmer::Gentle))?.map(|hob_min| {
            ThumbRule::new(forecast::thumb_pressure(), hob_min / 2.5, forecast::thumb_pressure_because())
        });
        let usual = match meat.small {
            true => ThumbRule::new(forecast::thumb_pressure_pieces(), 30.0, forecast::blind_to_size()),
            false => ThumbRule::new(forecast::thumb_pressure_joint(), 60.0, forecast::blind_to_size()),
        };
        Ok(of_the_hob.into_iter().chain([usual]).collect())
    }

    fn meets_the_heat(&self, _lid: Lid, dish: &DishFacts) -> Instruction {
        self.meat_in(dish)
    }

    fn goes_on(&self, _lid: Lid, set: Option<Minutes>, _voice: Voice) -> Instruction {
        self.by_itself(set)
    }

    fn leave_it(&self, _lid: Lid) -> Message {
        sheet::leave_pressure()
    }

    fn hold(&self) -> Message {
        sheet::hold_pressure()
    }

    fn lift(&self, open_already: bool) -> (Message, Message) {
        match open_already {
            true => (sheet::lift_pot(), sheet::lift_why()),
            false => (sheet::lift_pressure(), sheet::lift_pressure_why()),
        }
    }

    fn burns(&self, hours: f64) -> Burned {
        Burned::kwh(0.35 + 0.15 * hours)
    }
}
