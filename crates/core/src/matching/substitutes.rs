//! Which cut behaves like the one that is missing, and what changes.

use ergastic_words::{Join, Message, Percent, RoughMinutes, matching as say};
use rayon::prelude::*;

use super::answer::Substitute;
use super::block::MeatToMatch;
use super::served::enough_kg;
use super::suits;
use crate::cuts::{Cut, CutFacts, DryRisk, EatenAs, Shape};
use crate::error::Result;
use crate::forecast::{Forecast, ForecastRequest, ResolvedPart, describe};
use crate::plan::Plan;
use ergastic_physics::units::round_to;

/// Under so little gelatin there is no sauce whose body could be told apart, g.
const MIN_BODY_G: f64 = 1.0;
/// So many are offered.
const OFFERED: usize = 4;

/// How differently two cuts behave over hours of heat: what makes them tough, moist and rich, each against how much it
/// matters to a cook. Working weights.
fn apart(a: &CutFacts, b: &CutFacts) -> f64 {
    let ratio = |a: f64, b: f64| (a / b).ln().abs();
    let risk = |facts: &CutFacts| -> f64 {
        match facts.dry_risk {
            DryRisk::Low => 0.0,
            DryRisk::Mid => 1.0,
            DryRisk::High => 2.0,
        }
    };
    2.5 * ratio(a.toughness, b.toughness)
        + ratio(a.collagen_pct, b.collagen_pct)
        + (a.fat_pct - b.fat_pct).abs() / 15.0
        + (a.bone_pct - b.bone_pct).abs() / 25.0
        + 0.4 * (risk(a) - risk(b)).abs()
        + 0.3 * ratio(a.piece_kg, b.piece_kg)
}

/// One run of a cut the way a plan goes, at every median, in pieces of the size at hand: a muscle is cut to it, what is on the
/// bone is as it comes.
fn median(
    block: &MeatToMatch,
    plan: &Plan,
    ours: &ResolvedPart,
    cut: Cut,
    eaten_as: EatenAs,
) -> Result<Option<Forecast>> {
    let boneless = suits::cubes(cut.facts().bone_pct) && suits::cubes(ours.bone_pct);
    let cut_to_it = cut == ours.facts.cut || boneless;
    let request = ForecastRequest {
        cut: Some(cut),
        eaten_as: Some(eaten_as),
        members: Some(1),
        bone_pct: None,
        thickness_mm: None,
        size_mm: cut_to_it.then(|| ours.sides_m.map(|side| side * 1000.0)),
        pieces: cut_to_it.then_some(ours.pieces),
        ..plan.request(block.kitchen)
    };
    let Ok(case) = request.resolve() else { return Ok(None) };
    describe(&case, None).map(Some)
}

/// What to take for this job in place of a tender cut: the same plates from cuts that hours of heat do good.
pub fn for_a_tender_cut(block: &MeatToMatch) -> Vec<Substitute> {
    let voice = block.kitchen.voice();
    let offer = |cut: Cut| {
        let mass_kg = enough_kg(cut.facts(), block.people, block.portion_kg);
        Substitute {
            cut,
            name: voice.render(cut.label()),
            why: voice.render(say::instead_of_tender(cut.key())),
            mass_kg: round_to(mass_kg, 0.1),
            ready_min: None,
        }
    };
    [Cut::Chuck, Cut::Shin, Cut::ShortRib].map(offer).into()
}

/// How the sauce's body changes from so much gelatin to so much, g, where there is a sauce.
fn body(from_g: f64, to_g: f64) -> Option<Message> {
    match to_g / from_g {
        _ if from_g < MIN_BODY_G => None,
        less if less < 0.8 => Some(say::less_body(Percent(less))),
        more if more > 1.25 => Some(say::more_body(round_to(more, 0.1))),
        _ => None,
    }
}

/// What changes.
fn changes(from: &Forecast, to: &Forecast, a: &CutFacts, b: &CutFacts) -> Message {
    let mut said = Vec::new();
    if let (Some(from), Some(to)) = (from.ready_min.p50, to.ready_min.p50) {
        said.push(match to - from {
            off if off.abs() < 10.0 => say::as_long(),
            off if off > 0.0 => say::longer(RoughMinutes(off)),
            off => say::sooner(RoughMinutes(-off)),
        });
    }
    said.extend(body(from.gelatin_g.unwrap_or(0.0), to.gelatin_g.unwrap_or(0.0)));
    if (b.fat_pct - a.fat_pct).abs() >= 6.0 {
        said.push(if b.fat_pct > a.fat_pct { say::more_fat() } else { say::leaner() });
    }
    if b.dry_risk == DryRisk::High && a.dry_risk != DryRisk::High {
        said.push(say::dries_soon());
    }
    if (b.bone_pct - a.bone_pct).abs() >= 10.0 {
        said.push(if b.bone_pct > a.bone_pct { say::more_bone() } else { say::no_bone() });
    }
    if suits::slices(a.cut) && !suits::slices(b.cut) {
        said.push(say::no_slices());
    }
    Message::list(said, Join::Semicolons)
}

/// The cuts nearest to `cut` for a plan and how it is eaten, nearest first.
///
/// # Errors
/// Nobody waits for it any more.
pub fn substitutes(block: &MeatToMatch, plan: &Plan, cut: Cut, eaten_as: EatenAs) -> Result<Vec<Substitute>> {
    let voice = block.kitchen.voice();
    let facts = cut.facts();
    let method = plan.forecast.method.unwrap_or(crate::ways::Method::Braise);
    let mut near: Vec<&CutFacts> = (Cut::all().iter())
        .filter(|other| other.cut != cut && other.suitable && other.cut != Cut::CornedBrisket)
        .filter(|other| suits::against(other, method, eaten_as, Shape::Whole).is_none())
        .collect();
    near.sort_by(|a, b| apart(facts, a).total_cmp(&apart(facts, b)));
    let Ok(lies) = plan.request(block.kitchen).resolve() else { return Ok(Vec::new()) };
    let main = lies.main();
    let Some(ours) = median(block, plan, main, cut, eaten_as)? else { return Ok(Vec::new()) };
    let one = |other: &CutFacts| {
        let Some(theirs) = median(block, plan, main, other.cut, eaten_as)? else { return Ok(None) };
        let share = |forecast: &Forecast| forecast.yield_kg.map(|kg| kg / forecast.mass_kg);
        Ok(share(&ours).zip(share(&theirs)).map(|(our_share, their_share)| Substitute {
            cut: other.cut,
            name: voice.render(other.cut.label()),
            why: voice.render(changes(&ours, &theirs, facts, other)),
            mass_kg: ours.mass_kg * our_share / their_share,
            ready_min: theirs.ready_min.p50,
        }))
    };
    let found: Vec<Option<Substitute>> = near.into_par_iter().take(OFFERED).map(one).collect::<Result<_>>()?;
    Ok(found.into_iter().flatten().collect())
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn sinewy_cuts_stand_for_sinewy_cuts() {
        let near = |cut: Cut| {
            let others = Cut::all().iter().filter(|other| other.cut != cut && other.suitable);
            others.min_by(|a, b| apart(cut.facts(), a).total_cmp(&apart(cut.facts(), b))).unwrap().cut
        };
        assert_eq!(near(Cut::Shin), Cut::Heel);
        assert_eq!(near(Cut::Chuck), Cut::Blade);
        assert!(matches!(near(Cut::Topside), Cut::Round | Cut::Silverside | Cut::EyeRound));
        assert_eq!(apart(Cut::Shin.facts(), Cut::Shin.facts()), 0.0);
    }

    #[test]
    fn body_is_compared_where_there_is_a_sauce() {
        assert_eq!(body(40.0, 20.0), Some(say::less_body(Percent(0.5))));
        assert_eq!(body(40.0, 41.0), None);
        assert_eq!(body(0.0, 0.0), None, "a pit leaves none");
    }
}
