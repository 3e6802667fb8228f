//! In the pit: smoke and hot air over a wet surface, bare or wrapped.

mod steps;
#[cfg(test)]
mod tests;

use ergastic_physics::medium::{Cooling, Medium};
use ergastic_physics::parameters::Parameters;
use ergastic_physics::pit::{Mop, Pit, psychrometric};
use ergastic_physics::units::MINUTE_S;
use ergastic_words::{
    Dial, Difference, Message, Minutes, Temperature, Units, Voice, cook, forecast, matching, sheet, ways as say,
};

use super::asked::{Bounds, Heat, Mopping, Wrap, bounds};
use super::facts::{Buys, Facts, Looks, PIT_LOOK_MIN, POT, StandsIn, Tending, Unknown, Watched};
use super::fill::Fill;
use super::fuel::Burned;
use super::method::{Method, USUAL_PIT_C, USUAL_WRAP_C};
use super::preset::{Preset, on_the_dial, settings};
use super::rule::HowItHeats;
use super::site::Site;
use super::steps::{DishFacts, Instruction};
use super::thumb::{MeatFigures, ThumbRule};
use super::way::{Dialled, HeatChange, Offered, Setting, Way, at_dial, measured, turned};
use crate::cuts::Shape::Whole;
use crate::cuts::{Cut, EatenAs};
use crate::error::{Error, Result, Unit, in_range};
use crate::heat::pit::WrapMaterial;
use crate::heat::pot::Lid;
use crate::kitchen::ThingKind;

/// Charcoal or wood that lights a pit, kg.
const LIGHTS_KG: f64 = 1.0;
/// A hot pit, on either dial.
const HOT: [f64; 2] = [135.0, 275.0];
/// Turned by so much in the midst of a cook, K, within these, °C.
const STEP_K: f64 = 15.0;
const TURNED_C: [f64; 2] = [95.0, 150.0];
/// What is done is held at, °C.
const HOLDS_C: f64 = 70.0;

/// In the pit.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct InThePit {
    /// How it is run.
    pub pit: Pit,
    /// Wrapped in this when the middle is so warm, °C.
    pub wrap: Option<(WrapMaterial, f64)>,
}

/// A slow pit, on the dial at hand, °C.
pub(super) fn slow_c(units: Units) -> f64 {
    on_the_dial(units, USUAL_PIT_C, 225.0)
}

/// Meat bare in a pit.
pub(super) fn bare(pit_c: f64) -> Heat {
    Heat { pit_c: Some(pit_c), ..Heat::default() }
}

fn in_paper(pit_c: f64) -> Heat {
    Heat { wrap: Some(Wrap { material: WrapMaterial::Paper, at_core_c: Some(USUAL_WRAP_C) }), ..bare(pit_c) }
}

fn looks(celsius: f64) -> &'static str {
    if celsius < 115.0 { "long_stall" } else { "short_stall" }
}

fn mopped(mop: &Mopping) -> Result<Mop> {
    let every_min = in_range("heat.mop.every_min", mop.every_min, 5.0, 4320.0, Unit::Minutes)?;
    let from_min = in_range("heat.mop.from_min", mop.from_min.unwrap_or(every_min), 0.0, 4320.0, Unit::Minutes)?;
    Ok(Mop { from_s: from_min * MINUTE_S, every_s: every_min * MINUTE_S })
}

fn wrapped(wrap: &Wrap, fill: &mut Fill) -> Result<(WrapMaterial, f64)> {
    let at_c = fill.or("heat.wrap.at_core_c", wrap.at_core_c, USUAL_WRAP_C, forecast::when_bark_is_set, measured);
    Ok((wrap.material, in_range("heat.wrap.at_core_c", at_c, 0.0, 100.0, Unit::Celsius)?))
}

/// How many times as fast simmering liquid gives its heat as a pit's air does.
fn liquid_against_air() -> f64 {
    let surface = &Parameters::USUAL.surface;
    (surface.liquid / surface.pit).round()
}

impl Offered for InThePit {
    const FACTS: Facts = Facts {
        kit: Some(ThingKind::Pit),
        thing: Some(ThingKind::Pit),
        stands_in: StandsIn::Nothing,
        is_pot: false,
        slow: true,
        opens: false,
        preheat_min: Some(45.0),
        fire_min: 15.0,
        getting_hot: Some([sheet::pit_settles, sheet::pit_settles_why]),
        into_it_min: Some(5.0),
        look: Some([sheet::look_probe, sheet::look_probe_again]),
        looks: Looks::ByTheHour,
        look_costs_min: PIT_LOOK_MIN,
        forked: false,
        watched: Some(Watched { unless_it_holds_itself: true, wants: matching::wants_fire }),
        tending: Some(Tending { every_min: 180.0, takes_min: 5.0 }),
        tending_by_hand: Some(Tending { every_min: 45.0, takes_min: 5.0 }),
        fire: true,
        unknown: Unknown::Pit,
        held_wrapped: true,
        rest_min: 30.0,
        rest_why: Some(sheet::rest_pit_why),
        makes_sauce: false,
        no_sauce: Some("drips"),
        buys: Buys::Wood,
        washes: &[matching::wash_grate, matching::wash_tray],
        ..POT
    };

    fn set(asked: &Heat, place: &Site, fill: &mut Fill) -> Result<Self> {
        let set_c = fill.or("heat.pit_c", asked.pit_c, USUAL_PIT_C, forecast::usual_pit, at_dial);
        let seconds = |given: Option<f64>, bounds: Bounds| {
            given.map(|minutes| bounds.check(minutes)).transpose().map(|minutes| minutes.map(|min| min * MINUTE_S))
        };
        let pit = Pit {
            set_c: bounds::pit_c.check(set_c)?,
            mop: asked.mop.as_ref().map(mopped).transpose()?,
            start_c: bounds::pit_start_c.check(asked.pit_start_c.unwrap_or(set_c))?,
            open_every_s: seconds(asked.open_every_min, bounds::open_every_min)?,
            tend_every_s: seconds(asked.tend_every_min, bounds::tend_every_min)?,
            psychrometric: psychrometric(place.pressure_pa),
        };
        let wrap = asked.wrap.as_ref().map(|wrap| wrapped(wrap, fill)).transpose()?;
        Ok::<_, Error>(Self { pit, wrap })
    }

    fn settings(asked: &Heat, units: Units) -> Vec<Setting> {
        settings(units, [107.0, 120.0, 135.0, 150.0], [225.0, 250.0, 275.0, 300.0])
            .map(|c| Setting {
                words: at_dial(c),
                looks: Some(looks(c)),
                heat: Heat { pit_c: Some(c), ..asked.clone() },
                celsius: Some(c),
            })
            .collect()
    }

    fn presets(units: Units) -> Vec<Preset> {
        let smoke = |key, heat, name| Preset::new(Method::Smoke, key, heat, name, &[Whole]);
        let [celsius, fahrenheit] = HOT;
        let (slow, hot) = (slow_c(units), on_the_dial(units, celsius, fahrenheit));
        vec![
            smoke("pit_110_paper", in_paper(slow), matching::pit_paper(Dial(slow))).beside("wrapped").usual(),
            smoke("pit_110_bare", bare(slow), matching::pit_bare(Dial(slow))).beside("pit"),
            smoke("pit_135_paper", in_paper(hot), matching::pit_paper(Dial(hot))),
            smoke("pit_135_bare", bare(hot), matching::pit_bare(Dial(hot))),
        ]
    }

    fn against(cut: Cut, _eaten_as: EatenAs) -> Option<Message> {
        match cut {
            Cut::Tendon => Some(matching::tendon_in_the_pit()),
            Cut::StewingMix | Cut::Sirloin => Some(matching::dries_in_the_pit(cut.name())),
            _ => None,
        }
    }

    /// Its air falls to that outside.
    fn went_out(&self) -> Option<Self> {
        let pit = Pit { start_c: self.pit.set_c, ..self.pit.gone_out() };
        Some(Self { pit, wrap: self.wrap })
    }

    fn warm(asked: Heat) -> Heat {
        Heat { pit_start_c: None, ..asked }
    }

    fn lit_again(asked: Heat, off_min: f64) -> Heat {
        let set_c = asked.pit_c.unwrap_or(USUAL_PIT_C);
        Heat { pit_start_c: Some(Pit::cooled_c(&Parameters::USUAL, set_c, off_min).round()), ..asked }
    }
}

impl InThePit {
    /// Whether it is wrapped from the first.
    fn in_its_wrap(&self) -> Option<WrapMaterial> {
        self.wrap.filter(|(_, at_c)| *at_c <= 0.0).map(|(material, _)| material)
    }
}

impl Way for InThePit {
    fn facts(&self) -> Facts {
        Self::FACTS
    }

    fn medium(&self) -> Medium {
        Medium::Pit { pit: self.pit, wrap: self.wrap.map(|(material, at_core_c)| (material.wrap(), at_core_c)) }
    }

    fn asked(&self, given: Heat) -> Heat {
        Heat { pit_c: Some(self.pit.set_c), ..given }
    }

    fn dial(&self) -> Option<Dialled> {
        Some(Dialled { bounds: bounds::pit_c, celsius: self.pit.set_c, words: at_dial(self.pit.set_c) })
    }

    fn cooled(&self) -> Cooling {
        Cooling::OnTray
    }

    fn name(&self) -> Message {
        let dial = Dial(self.pit.set_c);
        match (self.in_its_wrap(), self.wrap) {
            (Some(material), _) => say::pit_wrapped_at_once(dial, material.key()),
            (None, Some((material, at_c))) => say::pit_wrapped(dial, material.key(), Temperature(at_c)),
            (None, None) => say::pit(dial),
        }
    }

    fn sentence(&self, _boil_c: f64, _settled_c: Option<f64>) -> Message {
        say::in_the_pit(self.name())
    }

    fn how_it_heats(&self, _lid: Lid, _boil_c: f64) -> HowItHeats {
        HowItHeats {
            rule: say::pit_rule(),
            numbers: say::pit_rule_numbers(Dial(self.pit.set_c), liquid_against_air()),
            sure: say::pit_rule_sure(Difference(Parameters::USUAL.spread.pit_k)),
        }
    }

    fn what_the_dial_decides(&self, _lid: Lid) -> Option<Message> {
        Some(say::dial_pit())
    }

    fn by_thumb(&self, meat: &MeatFigures) -> Result<Vec<ThumbRule>> {
        let (rule, hours_a_pound) = match self.pit.set_c < 120.0 {
            true => (forecast::thumb_slow_pit(), 1.5),
            false => (forecast::thumb_hot_pit(), 1.0),
        };
        Ok(vec![
            ThumbRule::new(rule, 60.0 * hours_a_pound * meat.pounds, forecast::thumb_slow_pit_because()),
            ThumbRule::new(forecast::thumb_night_before(), 720.0, forecast::thumb_night_before_because()),
        ])
    }

    fn preheat(&self, dish: &DishFacts) -> Option<Instruction> {
        Some(self.lit(dish))
    }

    fn put_in(&self, dish: &DishFacts) -> (Message, Message) {
        (
            dish.beside().map_or_else(sheet::rub, sheet::rub_with),
            if dish.salted { sheet::rub_why() } else { sheet::rub_unsalted_why() },
        )
    }

    fn meets_the_heat(&self, _lid: Lid, _dish: &DishFacts) -> Instruction {
        self.meat_in()
    }

    fn goes_on(&self, _lid: Lid, _set: Option<Minutes>, _voice: Voice) -> Instruction {
        self.by_itself()
    }

    fn leave_it(&self, _lid: Lid) -> Message {
        let dial = Dial(self.pit.set_c);
        self.in_its_wrap()
            .map_or_else(|| sheet::leave_pit(dial), |material| sheet::leave_pit_wrapped(dial, material.key()))
    }

    fn hold(&self) -> Message {
        if self.wrap.is_some() { sheet::hold_pit_wrapped() } else { sheet::hold_pit() }
    }

    fn lift(&self, _open_already: bool) -> (Message, Message) {
        (if self.wrap.is_some() { sheet::lift_pit_wrapped() } else { sheet::lift_pit() }, sheet::lift_why())
    }

    fn done_early(&self, _held: Temperature) -> Message {
        cook::early_pit()
    }

    fn turned(&self, up: bool) -> Option<(Message, Heat)> {
        let pit_c = turned(self.pit.set_c, up, STEP_K, TURNED_C)?;
        Some((cook::turn_pit(Dial(pit_c)), bare(pit_c)))
    }

    fn held(&self) -> Option<(f64, Heat)> {
        Some((HOLDS_C, bare(HOLDS_C)))
    }

    /// Wrapped now, in paper or foil, where it is bare.
    fn could(&self) -> Vec<(&'static str, HeatChange)> {
        if self.in_its_wrap().is_some() {
            return Vec::new();
        }
        let now = |id, material: WrapMaterial| {
            let heat = Heat { wrap: Some(Wrap { material, at_core_c: Some(0.0) }), ..Heat::default() };
            (
                id,
                HeatChange { words: cook::wrap_now(material.key()), trade: cook::wrap_now_trade(material.key()), heat },
            )
        };
        vec![now("wrap_paper", WrapMaterial::Paper), now("wrap_foil", WrapMaterial::Foil)]
    }

    fn burns(&self, hours: f64) -> Burned {
        Burned::solid_kg(LIGHTS_KG + 0.4 * hours * (self.pit.set_c - 20.0) / 90.0)
    }
}
