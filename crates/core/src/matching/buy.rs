//! The other way round: a way and a table, and what to buy for it.

use ergastic_words::{Join, Message, Percent, Voice, errors, matching as say};
use rayon::prelude::*;

use super::answer::{Buy, Choice, Verdict};
use super::block::MeatToMatch;
use super::choice::choose;
use super::served::raw_kg_a_head;
use super::suits;
use super::variants::variants;
use crate::cuts::{Cut, CutFacts, DryRisk, EatenAs, Shape};
use crate::error::{Error, Result, WhatIsWrong, unless_refused};
use crate::forecast::ForecastRequest;
use crate::ways::Method;
use ergastic_physics::units::round_to;

/// Simulated cooks a cut.
const MEMBERS: u32 = 16;
/// Meat is bought in steps of this, kg.
const STEP_KG: f64 = 0.1;

/// Every cut that goes this way and feeds the table, the ones that fit first, then the cheapest or least.
///
/// # Errors
/// Names the method if nothing is bought for it.
pub fn buy(block: &MeatToMatch, method: Method, eaten_as: Option<EatenAs>) -> Result<Vec<Buy>> {
    if matches!(method, Method::KeepWarm | Method::Chill | Method::Reheat) {
        return Err(Error::new(
            WhatIsWrong::Unsuitable,
            "method",
            method.key(),
            errors::name_a_cooking_way(Message::list(
                Method::COMPARED.map(|method| Message::text(method.key())),
                Join::Or,
            )),
        ));
    }
    let cuts: Vec<&CutFacts> = Cut::all().iter().filter(|facts| facts.suitable).collect();
    let found: Vec<Option<Buy>> = (cuts.into_par_iter())
        .map(|facts| {
            let usual = facts.eaten_as;
            // A cut with no slices to give stays out of a dish of slices; without a word each is eaten as usual.
            let eaten_as = eaten_as.unwrap_or(usual);
            if suits::against(facts, method, eaten_as, Shape::Whole).is_some() && method != Method::Stew
                || suits::against(facts, method, eaten_as, Shape::Cubed).is_some() && method == Method::Stew
            {
                return Ok(None);
            }
            one(block, facts, method, eaten_as)
        })
        .collect::<Result<_>>()?;
    let mut found: Vec<Buy> = found.into_iter().flatten().collect();
    let stringy =
        |buy: &Buy| buy.cut.facts().dry_risk == DryRisk::High && matches!(buy.eaten_as, EatenAs::Pull | EatenAs::Spoon);
    // Nobody's dinner is tendon alone, and what is in a mix nobody knows.
    let a_dish = |buy: &Buy| matches!(buy.cut, Cut::Tendon | Cut::StewingMix);
    let cost = |buy: &Buy| buy.cost.unwrap_or(f64::INFINITY);
    found.sort_by(|a, b| {
        (a.verdict.cmp(&b.verdict))
            .then(stringy(a).cmp(&stringy(b)))
            .then(a_dish(a).cmp(&a_dish(b)))
            .then(cost(a).total_cmp(&cost(b)))
            .then(at_home(b, method).cmp(&at_home(a, method)))
            .then(a.mass_kg.total_cmp(&b.mass_kg))
            .then(a.cut.cmp(&b.cut))
    });
    Ok(found)
}

/// Whether a cut is at home in a way: in the pit what is smoked everywhere, else whatever stays moist over hours.
fn at_home(buy: &Buy, method: Method) -> [bool; 2] {
    [method == Method::Smoke && buy.cut.is_for_the_pit(), buy.cut.facts().dry_risk == DryRisk::Low]
}

fn one(block: &MeatToMatch, facts: &CutFacts, method: Method, eaten_as: EatenAs) -> Result<Option<Buy>> {
    let wanted_kg = f64::from(block.people) * block.portion_kg;
    let raw = |mass_kg: f64| {
        let meat = ForecastRequest {
            cut: Some(facts.cut),
            mass_kg: Some(mass_kg),
            eaten_as: Some(eaten_as),
            members: Some(MEMBERS),
            parts: None,
            ..block.meat.clone()
        };
        let block = block.with(meat);
        let in_a_bag = ForecastRequest { method: Some(Method::WaterBath), ..block.meat.clone() };
        let Ok(lies) = in_a_bag.resolve() else { return Ok(None) };
        let variant = variants(&block, &lies).into_iter().find(|variant| variant.forecast.method == Some(method));
        let Some(variant) = variant else { return Ok(None) };
        Ok::<_, Error>(unless_refused(choose(&block, variant))?.map(|choice| (choice, lies.pieces)))
    };
    // What a kilo of it leaves on the plate says how much to buy; bone and trim are paid for.
    let yields = 1.0 - (facts.bone_pct + facts.trim_pct) / 100.0;
    let guessed_kg = (wanted_kg / (0.6 * yields)).clamp(0.2, 40.0);
    let Some((guess, _)) = raw(guessed_kg)? else { return Ok(None) };
    let share = guess.yield_kg / guessed_kg;
    let all_kg = f64::from(block.people) * raw_kg_a_head(facts, block.portion_kg, share);
    let mass_kg = round_to((all_kg / STEP_KG).ceil() * STEP_KG, STEP_KG).clamp(0.2, 40.0);
    let Some((choice, pieces)) = raw(mass_kg)? else { return Ok(None) };
    let cost = block.cost_of(facts.cut, mass_kg).map(|cost| round_to(cost, 0.01));
    let why = why(facts, eaten_as, &choice, mass_kg, block.kitchen.voice());
    Ok(Some(Buy {
        cut: facts.cut,
        name: block.kitchen.voice().render(facts.cut.label()),
        mass_kg,
        pieces,
        cost,
        cost_a_head: cost.map(|cost| cost / f64::from(block.people)),
        eaten_as,
        ready_min: choice.ready_min,
        chance_ready: choice.chance_ready,
        verdict: choice.verdict,
        start_by: choice.start_by,
        latest: choice.latest,
        soonest: choice.soonest,
        yield_kg: choice.yield_kg,
        why,
    }))
}

/// Why this much, and what is special about it.
fn why(facts: &CutFacts, eaten_as: EatenAs, choice: &Choice, mass_kg: f64, voice: Voice) -> String {
    let eaten = Percent(choice.yield_kg / mass_kg);
    let share = match facts.bone_pct {
        bone if bone >= 1.0 => say::buy_share_with_bone(eaten, Percent(bone / 100.0)),
        _ => say::buy_share(eaten),
    };
    let about = match choice.verdict {
        Verdict::Unsuitable => Message::text(choice.why.clone()),
        _ if choice.sauce_l > 0.0 => say::buy_liquid(Message::text(choice.sauce_body.clone())),
        _ => say::buy_no_liquid(Message::text(choice.sauce_body.clone())),
    };
    let warned = match (facts.cut, facts.dry_risk) {
        (Cut::StewingMix, _) => Some(say::buy_mixed()),
        (Cut::CornedBrisket, _) => Some(say::buy_corned()),
        (_, DryRisk::High) if matches!(eaten_as, EatenAs::Pull | EatenAs::Spoon) => Some(say::buy_stringy()),
        (_, DryRisk::High) => Some(say::buy_lean()),
        _ => None,
    };
    voice.render(Message::list([share, about].into_iter().chain(warned), Join::Space))
}
