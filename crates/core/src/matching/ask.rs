//! The one question whose answer would narrow the band most.

use ergastic_words::matching as say;

use super::answer::Ask;
use super::block::MeatToMatch;
use crate::cuts::Cut;
use crate::error::Result;
use crate::forecast::{ResolvedDish, Weighted, correlation, quantile, update};
use crate::plan::Plan;
use crate::tender::Age;
use ergastic_physics::{HORIZON_S, median_tender_s};

/// An older animal on the block where nobody said: one in seven. Working value, by what butchers sell.
const MATURE_SHARE: f64 = 0.15;
/// Less than this is not worth a question, min.
const WORTH_MIN: f64 = 6.0;

fn width(values: &[f64], weights: &[f64]) -> Option<f64> {
    Some((quantile(values, weights, 0.9)? - quantile(values, weights, 0.1)?) / 60.0)
}

/// What to ask of the block, from the plan that is best so far.
///
/// # Errors
/// Nobody waits for it any more.
pub fn ask(block: &MeatToMatch, best: &Plan) -> Result<Option<Ask>> {
    let mut request = best.request(block.kitchen);
    request.members = block.meat.members;
    let Ok(case) = request.resolve() else { return Ok(None) };
    let known = update(&case, &[], None)?;
    let Weighted { ready_s, weights, .. } = &known.ensemble;
    let Some(now_min) = width(ready_s, weights) else { return Ok(None) };
    // Of the doubt, a fact explains the square of its correlation with the logarithm of the time; knowing it better takes
    // that share of the variance away.
    let slow: Vec<f64> = ready_s.iter().map(|s| s.min(HORIZON_S).ln()).collect();
    let narrows = |fact: Vec<f64>, usual: f64, known: f64| {
        let explained = correlation(&fact, &slow).powi(2) * (1.0 - (known / usual).powi(2));
        now_min * (1.0 - (1.0 - explained).max(0.0).sqrt())
    };
    let pieces = || known.drawn.pieces[0].iter();
    let mut asks = Vec::new();
    let one = case.parts.len() == 1;
    let main = case.main();
    if one && !main.measured && main.facts.cut != Cut::StewingMix {
        let (usual, measured) = (main.thickness_sigma(), main.facts.thickness_sigma);
        asks.push(Ask {
            field: "thickness_mm".into(),
            question: case.voice.render(say::ask_thickness()),
            how: case.voice.render(say::ask_thickness_how()),
            narrows_min: narrows(pieces().map(|piece| piece.thickness).collect(), usual, measured),
        });
    }
    if one && main.facts.cut == Cut::StewingMix {
        let (mixed, single) = (main.facts.toughness_ln_sigma, Cut::Chuck.facts().toughness_ln_sigma);
        asks.push(Ask {
            field: "cut".into(),
            question: case.voice.render(say::ask_muscle()),
            how: case.voice.render(say::ask_muscle_how()),
            narrows_min: narrows(pieces().map(|piece| piece.toughness.ln()).collect(), mixed, single),
        });
    }
    if block.meat.age.is_none() {
        asks.extend(age(&case, best, block, ready_s, weights, now_min)?);
    }
    let worth = asks.into_iter().filter(|ask| ask.narrows_min >= WORTH_MIN);
    Ok(worth.max_by(|a, b| a.narrows_min.total_cmp(&b.narrows_min)))
}

/// Young beef or an older animal: the band over both, against the band of either.
fn age(
    case: &ResolvedDish,
    best: &Plan,
    block: &MeatToMatch,
    ready_s: &[f64],
    weights: &[f64],
    young_min: f64,
) -> Result<Option<Ask>> {
    let mut mature = best.request(block.kitchen);
    mature.age = Some(Age::Mature);
    mature.members = Some(1);
    let young = median_tender_s(&case.physics(), &case.how)?;
    let Ok(mature) = mature.resolve() else { return Ok(None) };
    let slower = median_tender_s(&mature.physics(), &case.how)? / young;
    let both: Vec<f64> = ready_s.iter().copied().chain(ready_s.iter().map(|s| s * slower)).collect();
    let shares = [1.0 - MATURE_SHARE, MATURE_SHARE];
    let weighed: Vec<f64> = shares.iter().flat_map(|share| weights.iter().map(move |weight| weight * share)).collect();
    let either = young_min * (shares[0] + shares[1] * slower);
    Ok(width(&both, &weighed).map(|both_min| Ask {
        field: "age".into(),
        question: case.voice.render(say::ask_age()),
        how: case.voice.render(say::ask_age_how(Age::Mature.factor(&case.how.model.p))),
        narrows_min: both_min - either,
    }))
}
