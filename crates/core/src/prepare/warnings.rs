//! What to mind at this bench, said only where it binds.

use super::bench::{MarinadeOf, Prepare, Surface};
use super::larder::Larder;
use super::later::{LaterAnswer, beans_need_boiling, waits};
use super::pot::{PRESSURE_FULL, PRESSURE_LEAST_L, PotAnswer};
use super::salt::SaltAnswer;
use super::sear::SearPlan;
use crate::cuts::Cut;
use crate::forecast::{Case, Forecast, Medium, Method};
use crate::safety::{self, Caution};

/// Liquid below this share of the first is nearly dry.
const NEARLY_DRY: f64 = 0.15;
/// Past this a marinade turns the surface mealy, h. Practice.
const MEALY_H: f64 = 48.0;
/// Past this it does no more, h. Practice.
const NO_MORE_H: f64 = 24.0;
/// A pierced piece is at risk while the middle stays below this, °C. Published guidance.
const PIERCED_SAFE_C: f64 = 75.0;

/// What the warnings are told from.
pub(super) struct Minded<'a> {
    pub case: &'a Case,
    pub bench: &'a Prepare,
    pub forecast: &'a Forecast,
    pub sear: &'a SearPlan,
    pub salt: &'a SaltAnswer,
    pub pot: Option<&'a PotAnswer>,
    pub later: &'a [LaterAnswer],
    pub sugar_g: f64,
}

impl Minded<'_> {
    pub fn warnings(&self) -> Vec<Caution> {
        let mut found = self.forecast.cautions.clone();
        self.salting(&mut found);
        self.searing(&mut found);
        self.pouring(&mut found);
        self.rest(&mut found);
        found
    }

    fn salting(&self, found: &mut Vec<Caution>) {
        let Self { case, bench, salt, .. } = *self;
        let corned = case.parts.iter().any(|part| part.facts.cut == Cut::CornedBrisket);
        let has = |what: Larder| bench.ingredients.iter().any(|thing| thing.what == what);
        if corned && bench.soak.is_none() {
            found.push(Caution::new(
                "corned_salt",
                "Corned meat is salted through already, 25 to 30 g a kilo: no more salt, and soak it or pour the first \
                 water off if the broth is wanted.",
            ));
        }
        if corned && (salt.g > 0.5 || has(Larder::SaltedRub) || has(Larder::StockCube) || has(Larder::Stock)) {
            found.push(Caution::new("salted_again", "It is salted again on top of its cure: leave that salt out."));
        }
        if !corned && has(Larder::SaltedRub) && salt.g > 0.5 {
            found.push(Caution::new(
                "salted_again",
                "The rub carries salt as well: with the meat's own salting it is salted twice. Take a rub without, or no \
                 salt beforehand.",
            ));
        }
        if salt.too_salty() {
            let strength = salt.liquid_g_per_kg.unwrap_or(0.0);
            found.push(Caution::new(
                "salty",
                format!(
                    "The liquid comes to {strength:.0} g of salt a kilo before it is reduced: too salty for a sauce (10 to \
                     13). Less salt on the meat, unsalted stock, or less of what is salted."
                ),
            ));
        } else if salt.too_salty_halved() {
            found.push(Caution::new(
                "salt_stop",
                "Reduced by half it would be too salty: stop at the salt mark on the dipstick, or thicken instead.",
            ));
        }
    }

    fn searing(&self, found: &mut Vec<Caution>) {
        let Self { bench, sear, .. } = *self;
        if sear.stews {
            let wait = match sear.wait_to_brown_min {
                Some(minutes) => format!(
                    "left alone it boils itself dry and browns after some {minutes:.0} min, grey and firmer for it"
                ),
                None => "this burner never gets it brown".into(),
            };
            found.push(Caution::new(
                "stews",
                format!(
                    "This batch will stew: the pan falls to {:.0} °C. Lay {} at a time, or {wait}.",
                    sear.pan_low_c.unwrap_or(0.0),
                    if sear.per_batch > sear.most { sear.most.to_string() } else { "smaller pieces".into() }
                ),
            ));
        }
        if sear.happens() && bench.sugared {
            found.push(Caution::new(
                "scorches",
                "A sugary coat turns from brown to black within a minute: gentler, and stay at it.",
            ));
        }
        if sear.happens() && bench.marinade.is_some() && bench.surface == Surface::Wet {
            found.push(Caution::new(
                "drain",
                "Drain it, pick the bits off and pat it dry first: they burn, and the wet stews.",
            ));
        }
    }

    fn pouring(&self, found: &mut Vec<Caution>) {
        let Self { case, bench, pot, .. } = *self;
        let Some(pot) = pot else { return };
        let pressure = pot.pressure_mm.is_some();
        let already = |found: &[Caution], id: &str| found.iter().any(|caution| caution.id == id);
        if !pot.fits {
            let words = if pressure {
                format!("a pressure pot takes {:.0} % at most", PRESSURE_FULL * 100.0)
            } else {
                "it needs two fingers under the rim for what bubbles".into()
            };
            if !already(found, "pressure_full") {
                found.push(Caution::new(
                    "too_small",
                    format!(
                        "This vessel is too small: {:.0} % of its {:.1} L, and {words}. Take a larger one, two, or less liquid.",
                        pot.full * 100.0,
                        pot.holds_l
                    ),
                ));
            }
        }
        if pressure && pot.liquid_l < PRESSURE_LEAST_L && !already(found, "pressure_dry") {
            found.push(safety::pressure_dry(pot.liquid_l));
        }
        let thick = [Larder::TomatoPaste, Larder::TomatoPassata, Larder::Flour, Larder::Cream, Larder::CoconutMilk];
        let thickened = bench.flour || bench.ingredients.iter().any(|thing| thick.contains(&thing.what));
        if pressure && (thickened || self.sugar_g > 80.0 * f64::max(pot.liquid_l, 0.1)) {
            found.push(Caution::new(
                "scorch_under_pressure",
                "Thick or sugary liquid scorches under pressure and the pot does not come up: thin liquid now, thicken and sweeten after.",
            ));
        }
        if pot.left_l < NEARLY_DRY * pot.liquid_l && pot.liquid_l > 0.0 && !already(found, "boils_dry") {
            found.push(Caution::new(
                "boils_dry",
                format!("Without topping up only {:.0} mL are left at the end, and it catches.", pot.left_l * 1000.0),
            ));
        }
        if pot.liquid_l < 0.05 && !pressure {
            found.push(Caution::new(
                "own_juice",
                "With nothing poured the bottom can catch until juice runs: lowest heat, lid tight, look after ten minutes.",
            ));
        }
        let given: f64 = pot.poured.iter().map(|thing| thing.stays_l).sum();
        if given > pot.liquid_l + 0.02 {
            found.push(Caution::new(
                "over_level",
                format!("The ingredients alone come to {given:.2} L, more than this level takes."),
            ));
        }
        if self.sugar_g > 60.0 * f64::max(pot.liquid_l, 0.1) && !pressure {
            found.push(Caution::new(
                "sugar_catches",
                "So much sugar catches on the bottom: stir each time the lid is off.",
            ));
        }
        let slow = case.stages.iter().any(|stage| stage.method == Method::SlowCooker);
        if beans_need_boiling(bench) {
            found.push(safety::dried_beans(slow));
        }
    }

    fn rest(&self, found: &mut Vec<Caution>) {
        let Self { case, bench, forecast, later, .. } = *self;
        if let Some(marinade) = bench.marinade {
            if marinade.hours > MEALY_H {
                found.push(Caution::new(
                    "mealy",
                    format!("Past {MEALY_H:.0} h a marinade turns the surface mealy: shorter."),
                ));
            } else if marinade.hours > NO_MORE_H || (marinade.of == MarinadeOf::Acid && marinade.hours > 12.0) {
                found.push(Caution::new("no_more", "It has done what it can after a day, sharp ones after half of one: longer only softens the surface."));
            }
        }
        if bench.rinse {
            found.push(safety::raw_meat());
        }
        if bench.day_before {
            found.push(safety::part_cooked());
        }
        let hottest = forecast.curve.iter().map(|point| point.core_c).fold(f64::MIN, f64::max);
        let slow = found.iter().any(|caution| caution.id == "slow_warming");
        if bench.pierced && (hottest < PIERCED_SAFE_C || slow) {
            found.push(safety::pierced(hottest));
        }
        if let Some(words) = waits(forecast, later) {
            found.push(Caution::new("later_waits", words));
        }
        if bench.day_before && case.stages.iter().any(|stage| matches!(stage.medium, Medium::Bath { .. })) {
            found.push(Caution::new("bag_cold", "Bag it only when it is cold: a warm bag stays warm for hours."));
        }
    }
}
