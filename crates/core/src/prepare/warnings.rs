//! What to mind at this bench, said only where it binds.

use ergastic_words::{
    Join, Message, Minutes, Percent, RoughMinutes, Strength, Temperature, Voice, Volume, prepare as say,
};

use super::laid::BenchFigures;
use super::later::{beans_need_boiling, waits};
use super::pot::PotAnswer;
use crate::bench::{Larder, MarinadeOf, Surface};
use crate::cuts::Cut;
use crate::finish::{SALTY_G_PER_KG, Seasoned};
use crate::safety::{self, Caution, PIERCED_SAFE_C};
use crate::ways::{CookedIn, Method};
use ergastic_physics::pressure::FULLEST;

/// Liquid below this share of the first is nearly dry.
const NEARLY_DRY: f64 = 0.15;
/// Past this a marinade turns the surface mealy, h. Practice.
const MEALY_H: f64 = 48.0;
/// Past this it does no more, h. Practice.
const NO_MORE_H: f64 = 24.0;
/// The same for a sharp one.
const SHARP_NO_MORE_H: f64 = 12.0;
/// Less than this is nothing, L.
const NOTHING_LEFT_L: f64 = 0.01;

/// Salt in corned meat, g a kilo. Practice.
const CORNED_G_PER_KG: [f64; 2] = [25.0, 30.0];

/// Warnings as they are found.
struct WarningsFound {
    all: Vec<Caution>,
    voice: Voice,
}

impl WarningsFound {
    fn add(&mut self, id: &str, said: Message) {
        self.all.push(Caution::new(id, said, self.voice));
    }

    fn add_if(&mut self, binds: bool, id: &str, said: fn() -> Message) {
        if binds {
            self.add(id, said());
        }
    }

    fn has(&self, id: &str) -> bool {
        self.all.iter().any(|caution| caution.id == id)
    }
}

impl BenchFigures<'_> {
    pub fn warnings(&self) -> Vec<Caution> {
        let mut found = WarningsFound { all: self.forecast.cautions.clone(), voice: self.case.voice };
        self.salting(&mut found);
        self.searing(&mut found);
        if let Some(pot) = self.pot {
            self.how_full(pot, &mut found);
            self.pouring(pot, &mut found);
        }
        self.rest(&mut found);
        found.all
    }

    fn salting(&self, found: &mut WarningsFound) {
        let Self { case, bench, salt, .. } = *self;
        let corned = case.parts.iter().any(|part| part.facts.cut == Cut::CornedBrisket);
        let has = |what: Larder| bench.ingredients.iter().any(|thing| thing.what == what);
        if corned && bench.soak.is_none() {
            let [low, high] = CORNED_G_PER_KG.map(Strength);
            found.add("corned_salt", say::corned_salt(low, high));
        }
        let on_the_cure = salt.g > 0.5 || has(Larder::SaltedRub) || has(Larder::StockCube) || has(Larder::Stock);
        found.add_if(corned && on_the_cure, "salted_again", say::salted_on_the_cure);
        let twice = !corned && has(Larder::SaltedRub) && salt.g > 0.5;
        found.add_if(twice, "salted_again", say::salted_twice);
        match (self.seasoning, self.pot) {
            (Some(seasoning), _) if seasoning.verdict == Seasoned::Salty => {
                let (sauce, plate) = (Strength(seasoning.sauce_g_per_kg), Strength(seasoning.plate_g_per_kg));
                found.add("salty", say::salty(sauce, plate, Strength(SALTY_G_PER_KG)));
            }
            (Some(seasoning), Some(pot)) => {
                found.add_if(seasoning.stop_at_l > 0.5 * pot.left_l, "salt_stop", say::salt_stop);
            }
            _ => {}
        }
    }

    fn searing(&self, found: &mut WarningsFound) {
        let Self { bench, sear, .. } = *self;
        if sear.stews {
            let low = Temperature(sear.pan_low_c.unwrap_or(0.0));
            let first =
                if sear.per_batch > sear.most { say::stews_fewer(low, sear.most) } else { say::stews_smaller(low) };
            let wait = sear.wait_to_brown_min.map_or_else(say::stews_never, |min| say::stews_browns(RoughMinutes(min)));
            found.add("stews", Message::list([first, wait], Join::Space));
        }
        found.add_if(sear.happens() && bench.sugared, "scorches", say::scorches);
        let drips = sear.happens() && bench.marinade.is_some() && bench.surface == Surface::Wet;
        found.add_if(drips, "drain", say::drain);
    }

    /// Whether meat and liquid have room, and enough of it is thin.
    fn how_full(&self, pot: &PotAnswer, found: &mut WarningsFound) {
        let pressure = pot.pressure_mm.is_some();
        if !pot.fits && !found.has("pressure_full") {
            let (full, holds) = (Percent(pot.full), Volume(pot.holds_l));
            let said = if pressure {
                say::too_small_under_pressure(full, holds, Percent(FULLEST))
            } else {
                say::too_small(full, holds)
            };
            found.add("too_small", said);
        }
        let thick = [Larder::TomatoPaste, Larder::TomatoPassata, Larder::Flour, Larder::Cream, Larder::CoconutMilk];
        let thickened = self.bench.flour || self.bench.ingredients.iter().any(|thing| thick.contains(&thing.what));
        let sugar_g = self.balance.map_or(0.0, |balance| balance.sugar_g);
        let sweet = sugar_g > 80.0 * f64::max(pot.liquid_l, 0.1);
        found.add_if(pressure && (thickened || sweet), "scorch_under_pressure", say::scorch_under_pressure);
        let catches = sugar_g > 60.0 * f64::max(pot.liquid_l, 0.1) && !pressure;
        found.add_if(catches, "sugar_catches", say::sugar_catches);
    }

    /// Whether the liquid lasts, and is what was meant.
    fn pouring(&self, pot: &PotAnswer, found: &mut WarningsFound) {
        let pressure = pot.pressure_mm.is_some();
        if pot.left_l < NEARLY_DRY * pot.liquid_l && pot.liquid_l > 0.0 && !found.has("boils_dry") {
            let dry = pot.left_l < NOTHING_LEFT_L;
            found.add("boils_dry", if dry { say::all_dry() } else { say::nearly_dry(Volume(pot.left_l)) });
        }
        found.add_if(pot.liquid_l < 0.05 && !pressure, "own_juice", say::own_juice);
        let acid = self.balance.map_or(0.0, |balance| balance.acid_g) / 1000.0 / f64::max(pot.liquid_l, 0.1);
        found.all.extend(safety::acid_in_aluminium(acid, self.case.pot().material, found.voice));
        let given: f64 = pot.poured.iter().map(|thing| thing.stays_l).sum();
        if given > pot.liquid_l + 0.02 {
            found.add("over_level", say::over_level(Volume(given)));
        }
        let slow = self.case.stages.iter().any(|stage| stage.method == Method::SlowCooker);
        if beans_need_boiling(self.bench) {
            found.all.push(safety::dried_beans(slow, found.voice));
        }
    }

    fn rest(&self, found: &mut WarningsFound) {
        let Self { case, bench, forecast, later, .. } = *self;
        let voice = found.voice;
        if let Some(marinade) = bench.marinade {
            if marinade.hours > MEALY_H {
                found.add("mealy", say::mealy(Minutes(MEALY_H * 60.0)));
            } else {
                let sharp = marinade.of == MarinadeOf::Acid && marinade.hours > SHARP_NO_MORE_H;
                found.add_if(marinade.hours > NO_MORE_H || sharp, "no_more", say::no_more);
            }
        }
        if bench.rinse {
            found.all.push(safety::raw_meat(voice));
        }
        if bench.day_before {
            found.all.push(safety::part_cooked(voice));
        }
        let hottest = forecast.curve.iter().map(|point| point.core_c).fold(f64::MIN, f64::max);
        if bench.pierced && (hottest < PIERCED_SAFE_C || found.has("slow_warming")) && !found.has("pierced") {
            found.all.push(safety::pierced(hottest, voice));
        }
        if let Some(said) = waits(forecast, later) {
            found.add("later_waits", said);
        }
        let bagged = case.stages.iter().any(|stage| stage.medium.facts().lies_in == CookedIn::Bag);
        found.add_if(bench.day_before && bagged, "bag_cold", say::bag_cold);
    }
}
