//! What a way burns and what it leaves to wash, roughly. Working values: ovens, hobs and pits differ by half.

use ergastic_words::{Join, Mass, Said, matching as say};

use super::answer::{Fuel, WashingUp};
use crate::bench::Sear;
use crate::forecast::{Case, Medium, StageSpan};
use crate::heat::pot::Simmer;

/// Browning in a pan, kWh.
const SEAR_KWH: f64 = 0.3;
/// Charcoal or wood that lights a pit, kg.
const LIGHTS_PIT_KG: f64 = 1.0;
/// Mass of a briquette, kg.
const BRIQUETTE_KG: f64 = 0.025;

/// Energy of a medium over some hours: from the wall or as gas, kWh; charcoal or wood, kg.
fn burns(medium: &Medium, hours: f64) -> (f64, f64) {
    match medium {
        Medium::Oven { set_c, .. } | Medium::Fat { fat_c: set_c } => {
            (0.35 * set_c / 150.0 + 0.5 * (set_c - 20.0) / 130.0 * hours, 0.0)
        }
        Medium::Hob { simmer } => {
            let kilowatts = match simmer {
                Simmer::Lazy => 0.2,
                Simmer::Gentle => 0.3,
                Simmer::Brisk => 0.6,
                Simmer::Boil => 1.0,
            };
            (0.35 + kilowatts * hours, 0.0)
        }
        Medium::Reheat { .. } => (0.35 + 0.3 * hours, 0.0),
        Medium::Pressure { .. } => (0.35 + 0.15 * hours, 0.0),
        Medium::SlowCooker { .. } => (0.05 + 0.12 * hours, 0.0),
        Medium::KeepWarm { .. } => (0.05 * hours, 0.0),
        Medium::Bath { .. } => (0.8 + 0.12 * hours, 0.0),
        Medium::Chill { .. } => (0.1, 0.0),
        Medium::Coals(coals) => {
            let lots = (hours * 3600.0 / coals.fresh_every_s).ceil().max(1.0);
            (0.0, f64::from(coals.under + coals.over) * BRIQUETTE_KG * lots)
        }
        Medium::Pit { pit, .. } => (0.0, LIGHTS_PIT_KG + 0.4 * hours * (pit.set_c - 20.0) / 90.0),
    }
}

/// What the whole cook burns; `spans` are the stages of its median run.
pub fn fuel(case: &Case, spans: &[StageSpan], cook_min: f64, sear: Sear) -> Fuel {
    let (mut kwh, mut solid_kg) = (0.0, 0.0);
    for (stage, span) in case.stages.iter().zip(spans) {
        let minutes = span.to_min.unwrap_or(cook_min).min(cook_min) - span.from_min.unwrap_or(cook_min);
        let (wall, solid) = burns(&stage.medium, f64::max(0.0, minutes) / 60.0);
        kwh += wall;
        solid_kg += solid;
    }
    if sear != Sear::None && case.first().medium.is_pot() {
        kwh += SEAR_KWH;
    }
    let words = [
        (solid_kg > 0.0).then(|| say::burns_solid(Mass((solid_kg * 2.0).round().max(1.0) / 2.0))),
        (kwh > 0.0).then(|| say::burns_wall((kwh * 5.0).round().max(1.0) / 5.0)),
    ];
    Fuel { kwh, solid_kg, words: case.voice.say(Said::list(words.into_iter().flatten(), Join::And)) }
}

/// What is left to wash.
pub fn washing_up(case: &Case, sear: Sear) -> WashingUp {
    let has = |is: fn(&Medium) -> bool| case.stages.iter().any(|stage| is(&stage.medium));
    let mut things = Vec::new();
    if has(|medium| matches!(medium, Medium::Pit { .. })) {
        things.extend([say::wash_grate(), say::wash_tray()]);
    }
    if has(|medium| matches!(medium, Medium::Pressure { .. })) {
        // It is seared in the same vessel.
        things.push(say::wash_pressure_pot());
    } else if case.first().medium.is_pot() && sear != Sear::None {
        things.push(say::wash_pan());
    }
    if has(|medium| matches!(medium, Medium::SlowCooker { .. } | Medium::KeepWarm { .. })) {
        things.push(say::wash_crock());
    } else if has(|medium| matches!(medium, Medium::Hob { .. } | Medium::Oven { .. } | Medium::Coals(_))) {
        things.push(say::wash_pot());
    }
    if has(|medium| matches!(medium, Medium::Fat { .. })) {
        things.extend([say::wash_fat_pot(), say::wash_sieve()]);
    }
    let bagged = has(|medium| matches!(medium, Medium::Bath { .. }));
    if bagged {
        things.push(say::wash_juice_pan());
    }
    if has(|medium| matches!(medium, Medium::Chill { .. })) && !bagged {
        things.push(say::wash_shallow_tray());
    }
    WashingUp { things: things.len() as u32, words: case.voice.say(Said::list(things, Join::Commas)) }
}
