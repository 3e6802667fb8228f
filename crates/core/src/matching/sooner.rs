//! Short of time: what would still make the bell, what that loses, and the minutes it wins.

use ergastic_words::{Message, RoughMinutes, matching as say};

use super::answer::{Choice, Verdict};
use super::block::MeatToMatch;
use super::hurry::{Hurry, SMALL_MM};
use super::suits;
use super::variants::Variant;
use crate::bench::Sear;
use crate::cuts::EatenAs;
use crate::cuts::Shape;
use crate::forecast::{ForecastRequest, ResolvedDish};
use crate::ways::Method;
use ergastic_physics::body::DENSITY;
use ergastic_physics::units::round_to;

/// What takes so many times longer than there is time for is not hurried into it.
const HOPELESS: f64 = 2.0;

const HURRIES: [Hurry; 3] = [
    Hurry { unbrowned: true, smaller: false },
    Hurry { unbrowned: false, smaller: true },
    Hurry { unbrowned: true, smaller: true },
];

/// Whether somebody is short of time: nothing that is free is sure to be there.
pub fn short_of_time(choices: &[&Choice]) -> bool {
    let possible = |choice: &&&Choice| choice.verdict != Verdict::Unsuitable;
    choices.iter().any(|choice| possible(&choice)) && !choices.iter().any(|choice| choice.verdict == Verdict::Fits)
}

/// What could be done sooner of one that is not there in time.
pub fn hurried(block: &MeatToMatch, lies: &ResolvedDish, variant: &Variant, slow: &Choice) -> Vec<Variant> {
    let p50 = slow.ready_min.p50.unwrap_or(f64::INFINITY);
    let there_min = crate::clock::minutes_between(block.now, block.serve_at);
    let hopeless = slow.lead_min + p50 + slow.finishing_min > HOPELESS * there_min;
    if slow.verdict == Verdict::Unsuitable || variant.two_stage || variant.loads > 1 || hopeless {
        return Vec::new();
    }
    let browned = slow.plan.prepare.sear != Sear::None;
    let in_pot = slow.sauce_l > 0.0;
    // A braise in bites is a stew, which stands there already.
    let bites = bites(&variant.forecast, lies).filter(|_| in_pot && slow.method != Method::Braise);
    HURRIES
        .into_iter()
        .filter(|hurry| !hurry.unbrowned || browned && in_pot)
        .filter_map(|hurry| {
            let forecast = if hurry.smaller { bites.clone()? } else { variant.forecast.clone() };
            Some(Variant {
                id: format!("{}.{}", variant.id, hurry.key()),
                name: hurry.name(if hurry.smaller { variant.uncut.clone() } else { variant.name.clone() }),
                shape: if hurry.smaller { Shape::Cubed } else { variant.shape },
                forecast,
                hurry: Some(hurry),
                ..variant.clone()
            })
        })
        .collect()
}

/// The meat in bites; none where it makes no sense.
fn bites(forecast: &ForecastRequest, lies: &ResolvedDish) -> Option<ForecastRequest> {
    let main = lies.main();
    let sliced = matches!(main.eaten_as, EatenAs::Slice | EatenAs::Probe);
    let small_already = forecast.size_mm.is_some_and(|[thick, ..]| thick <= SMALL_MM * 1.2);
    if lies.parts.len() > 1 || sliced || small_already || !suits::cubes(main.bone_pct) {
        return None;
    }
    let bite_kg = (SMALL_MM / 1000.0).powi(3) * DENSITY;
    let pieces = Some((main.mass_kg / bite_kg).round() as u32);
    let mass_kg = Some(main.mass_kg);
    Some(ForecastRequest { size_mm: Some([SMALL_MM; 3]), thickness_mm: None, pieces, mass_kg, ..forecast.clone() })
}

/// What it loses, and the minutes it wins against the same unhurried.
pub fn trade(hurry: Hurry, slow: &Choice, quick: &Choice) -> Message {
    let total = |choice: &Choice| Some(choice.lead_min + choice.ready_min.p50? + choice.finishing_min);
    let wins = total(slow).zip(total(quick)).map_or(0.0, |(slow, quick)| slow - quick);
    let wins = RoughMinutes(round_to(f64::max(0.0, wins), 5.0));
    match (hurry.unbrowned, hurry.smaller) {
        (true, false) => say::hurry_unbrowned_trade(wins),
        (false, true) => say::hurry_small_trade(wins),
        _ => say::hurry_both_trade(wins),
    }
}
