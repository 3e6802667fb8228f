//! What a way burns and what it leaves to wash, roughly. Working values: ovens, hobs and pits differ by half.

use ergastic_words::{Join, Mass, Message, matching as say};

use super::answer::{Fuel, WashingUp};
use crate::bench::Sear;
use crate::forecast::{ResolvedDish, StageSpan};

/// Browning in a pan, kWh.
const SEAR_KWH: f64 = 0.3;
/// What the whole cook burns; `spans` are the stages of its median run.
pub fn fuel(case: &ResolvedDish, spans: &[StageSpan], cook_min: f64, sear: Sear) -> Fuel {
    let (mut kwh, mut solid_kg) = (0.0, 0.0);
    for (stage, span) in case.stages.iter().zip(spans) {
        let minutes = span.to_min.unwrap_or(cook_min).min(cook_min) - span.from_min.unwrap_or(cook_min);
        let burned = stage.medium.way().burns(f64::max(0.0, minutes) / 60.0);
        kwh += burned.kwh;
        solid_kg += burned.solid_kg;
    }
    if sear != Sear::None && case.first().medium.is_pot() {
        kwh += SEAR_KWH;
    }
    let words = [
        (solid_kg > 0.0).then(|| say::burns_solid(Mass((solid_kg * 2.0).round().max(1.0) / 2.0))),
        (kwh > 0.0).then(|| say::burns_wall((kwh * 5.0).round().max(1.0) / 5.0)),
    ];
    Fuel { kwh, solid_kg, words: case.voice.render(Message::list(words.into_iter().flatten(), Join::And)) }
}

/// What is left to wash.
pub fn washing_up(case: &ResolvedDish, sear: Sear) -> WashingUp {
    let mut things: Vec<Message> = Vec::new();
    let mut add = |thing: Message| {
        if !things.contains(&thing) {
            things.push(thing);
        }
    };
    case.stages.iter().flat_map(|stage| stage.medium.facts().washes).for_each(|thing| add(thing()));
    // A pressure pot is seared in itself.
    let first = &case.first().medium;
    if first.is_pot() && !first.facts().locked && sear != Sear::None {
        add(say::wash_pan());
    }
    WashingUp { things: things.len() as u32, words: case.voice.render(Message::list(things, Join::Commas)) }
}
