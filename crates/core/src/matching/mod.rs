//! Which way for this cut, and which cut for this way: every variant of every way, side by side.

mod answer;
mod ask;
mod block;
mod burns;
mod buy;
mod choice;
mod drawn;
mod hours;
mod hurry;
mod overview;
mod rank;
mod recipe;
mod request;
mod served;
mod sooner;
mod substitutes;
mod suits;
mod twice;
mod variants;

use std::collections::BTreeMap;

use ergastic_words::{Mass, Message, errors, forecast as forecast_words, matching as say, meal as meal_words};
use jiff::Timestamp;
use rayon::prelude::*;

use crate::cuts::Cut;
use crate::error::{Error, Result, Unit, WhatIsWrong, in_range};
use crate::forecast::{Assumed, ResolvedDish};
use crate::kitchen::Kitchen;
use crate::plan::Plan;
use crate::ways::Method;
use block::MeatToMatch;
use choice::TIGHT;
use variants::Variant;

pub use crate::cuts::Shape;
pub use answer::{
    Ask, Buy, Choice, Fuel, Matched, MatchedWay, OnTheBlock, Substitute, Twice, Verdict, VerdictFrom, WashingUp,
};
pub use drawn::{DrawnHours, Instants};
pub use overview::{Cell, OverviewRow, overview};
pub use recipe::{Checked, Equivalent, Landing, OWN, RecipeRead, Understood, read_recipe};
pub use request::{MatchRequest, Sort};
pub use served::Served;

/// Less is not worth giving anything up for, min.
const WORTH_HURRYING_MIN: f64 = 5.0;
/// A bell this far off leaves an evening for a day-before way, h.
const DAY_BEFORE_H: f64 = 18.0;

/// Computes every way for what is on the block, or what to buy for a way.
///
/// # Errors
/// Names the field that can't be used. A tender cut is answered with `suitable: false`, not with an error.
pub fn match_ways(request: &MatchRequest, kitchen: &Kitchen, clock: Timestamp) -> Result<Matched> {
    let kitchen = &kitchen_of(request, kitchen)?;
    let voice = kitchen.voice();
    let mut block = MeatToMatch::new(request, kitchen, clock)?;
    let mut answer = Matched::empty(request, &block);
    if request.cut.is_none() && request.parts.is_none() {
        let Some(method) = request.method else {
            return Err(Error::missing("cut", errors::name_a_cut_or_way()));
        };
        answer.buy = buy::buy(&block, method, request.eaten_as)?;
        answer.why = voice.render(answer.buy.first().map_or_else(say::no_cut_goes, |first| {
            say::buy_first(block.people, Mass(first.mass_kg), first.cut.name())
        }));
        return Ok(answer);
    }
    let mut named = request.cut.into_iter().chain(request.parts.iter().flatten().filter_map(|part| part.cut));
    if let Some(why) = named.find_map(Cut::refusal) {
        let substitutes = substitutes::for_a_tender_cut(&block);
        return Ok(Matched { suitable: false, why: voice.render(why), substitutes, ..answer });
    }
    let lies = block.lies()?;
    answer.mass_kg = lies.mass_kg;
    answer.assumed = assumed(request, &block, &lies);
    answer.notes = lies.notes.iter().map(|note| voice.render(note)).collect();
    for warning in lies.parts.iter().flat_map(|part| suits::warnings(part.facts, part.eaten_as, voice)) {
        if !answer.warnings.iter().any(|old| old.id == warning.id) {
            answer.warnings.push(warning);
        }
    }
    let (ways, two_stage) = ways(&block, &lies, answer.sort)?;
    let Some(best) = ways.first() else {
        let given = Message::quantity(Mass(lies.mass_kg));
        return Err(Error::said(WhatIsWrong::DoesNotFit, "mass_kg", given, errors::no_vessel_takes_it()));
    };
    answer.why.clone_from(&best.best.why);
    let main = lies.main();
    answer.on_the_block = Some(OnTheBlock {
        mass_kg: lies.mass_kg,
        thickness_mm: (main.sides_m[0] * 1000.0).round(),
        measured: main.measured,
        pieces: lies.pieces,
        bone_pct: main.bone_pct,
        eaten_as: best.best.plan.forecast.eaten_as.unwrap_or(main.eaten_as),
    });
    if request.only_ways != Some(true) {
        beside(&mut answer, request.cut, &block, &lies, &best.best.plan)?;
    }
    if let Some(text) = &request.recipe {
        answer.recipe = Some(recipe::check(&block, &lies, text)?);
    }
    (answer.ways, answer.two_stage) = (ways, two_stage);
    Ok(answer)
}

/// The kitchen as the request has it.
fn kitchen_of(request: &MatchRequest, kitchen: &Kitchen) -> Result<Kitchen> {
    let mut kitchen = match &request.kitchen {
        Some(counts) => counts.onto(kitchen).map_err(|error| error.within("kitchen"))?,
        None => kitchen.clone(),
    };
    if let Some(altitude_m) = request.altitude_m {
        kitchen.altitude_m = in_range("altitude_m", altitude_m, -430.0, 5000.0, Unit::Metres)?;
    }
    let kitchen = request.kit.as_ref().map_or_else(|| kitchen.clone(), |kit| kitchen.with_only(kit));
    Ok(Kitchen { units: request.units.unwrap_or(kitchen.units), ..kitchen })
}

/// What nobody said of the block.
fn assumed(request: &MatchRequest, block: &MeatToMatch, lies: &ResolvedDish) -> Vec<Assumed> {
    let voice = block.kitchen.voice();
    let mut assumed = Assumed::of(lies, |filled| OF_THE_MEAT.contains(&filled.name));
    if let Some(text) = request.serve_at.as_ref().filter(|_| block.bell_comes_twice) {
        assumed.push(Assumed {
            field: "serve_at".into(),
            name: voice.render(meal_words::assumed_name("serve_at")),
            value: text.clone(),
            why: voice.render(meal_words::assumed_first_of_two()),
        });
    }
    if let Some(people) = block.enough_for {
        let value = voice.render(Message::quantity(Mass(lies.mass_kg)));
        assumed.push(Assumed {
            field: "mass_kg".into(),
            name: voice.render(forecast_words::filled("mass_kg")),
            value,
            why: voice.render(say::enough_for(people)),
        });
    }
    assumed
}

impl Matched {
    /// Nothing matched yet.
    fn empty(request: &MatchRequest, block: &MeatToMatch) -> Self {
        let sort = request.sort.unwrap_or_default();
        Self {
            suitable: true,
            why: String::new(),
            ways: Vec::new(),
            two_stage: Vec::new(),
            sort,
            sort_rule: block.kitchen.voice().render(sort.rule()),
            ask: None,
            warnings: Vec::new(),
            substitutes: Vec::new(),
            buy: Vec::new(),
            recipe: None,
            twice: None,
            people: block.people,
            served: request.served.unwrap_or_default(),
            kit: block.kit.clone(),
            price_per_kg: request.price_per_kg.or_else(|| block.prices.get(&request.cut?).copied()),
            verdict_from: VerdictFrom { fits: block.certainty, tight: TIGHT },
            on_the_block: None,
            serve_at: block.serve_at,
            now: block.now,
            certainty: block.certainty,
            portion_g: block.portion_kg * 1000.0,
            mass_kg: 0.0,
            assumed: Vec::new(),
            notes: Vec::new(),
        }
    }
}

/// The question, the substitutes and the second dinner: they go by the best way.
fn beside(answer: &mut Matched, cut: Option<Cut>, block: &MeatToMatch, lies: &ResolvedDish, plan: &Plan) -> Result<()> {
    let instead = || match (cut, lies.parts.len()) {
        (Some(cut), 1) => substitutes::substitutes(block, plan, cut, lies.main().eaten_as),
        _ => Ok(Vec::new()),
    };
    let (asked, (instead, dinners)) =
        rayon::join(|| ask::ask(block, plan), || rayon::join(instead, || twice::twice(block, lies)));
    (answer.ask, answer.substitutes, answer.twice) = (asked?, instead?, dinners?);
    Ok(())
}

/// What is assumed of the meat, not of a vessel that only stood for any.
const OF_THE_MEAT: [&str; 6] = ["mass_kg", "pieces", "size_mm", "start_c", "age", "eaten_as"];

/// Every way with its variants, and the ways in two goes that help.
fn ways(
    block: &MeatToMatch,
    lies: &crate::forecast::ResolvedDish,
    sort: Sort,
) -> Result<(Vec<MatchedWay>, Vec<Choice>)> {
    let voice = block.kitchen.voice();
    let variants = variants::variants(block, lies);
    let mut computed = compute(block, variants)?;
    computed.append(&mut in_a_hurry(block, lies, &computed)?);
    let mut by_method: BTreeMap<&'static str, Vec<Choice>> = BTreeMap::new();
    let mut chains = Vec::new();
    for (variant, choice) in computed {
        if variant.two_stage {
            chains.push(choice);
        } else {
            by_method.entry(choice.method.key()).or_default().push(choice);
        }
    }
    let mut ways: Vec<MatchedWay> = (by_method.into_values())
        .filter_map(|mut choices| {
            choices.sort_by(|a, b| rank::order(a, b, sort));
            let mut choices = choices.into_iter();
            let best = choices.next()?;
            // What is hurried has said already what it loses.
            let trade = |other: Choice| match other.trade.is_empty() {
                true => Choice { trade: rank::trade(&best, &other, voice), ..other },
                false => other,
            };
            let variants = choices.map(trade).collect();
            Some(MatchedWay { best, variants })
        })
        .collect();
    ways.sort_by(|a, b| rank::order(&a.best, &b.best, sort));
    chains.retain(|chain| helps(block, chain, &ways));
    chains.sort_by(|a, b| rank::order(a, b, sort));
    if let Some(way) = ways.first() {
        chains =
            chains.into_iter().map(|chain| Choice { trade: rank::trade(&way.best, &chain, voice), ..chain }).collect();
    }
    Ok((ways, chains))
}

/// Each variant with what comes of it; one that no number of loads makes fit its vessel is none.
fn compute(block: &MeatToMatch, variants: Vec<Variant>) -> Result<Vec<(Variant, Choice)>> {
    let choose = |variant: Variant| match choice::choose(block, variant.clone()) {
        Ok(choice) => Some(Ok((variant, choice))),
        Err(error) if error.kind == WhatIsWrong::DoesNotFit => None,
        Err(error) => Some(Err(error)),
    };
    variants.into_par_iter().filter_map(choose).collect()
}

/// Where nothing is sure to be there in time: the soonest of each way, hurried.
fn in_a_hurry(
    block: &MeatToMatch,
    lies: &ResolvedDish,
    computed: &[(Variant, Choice)],
) -> Result<Vec<(Variant, Choice)>> {
    let choices: Vec<&Choice> = computed.iter().map(|(_, choice)| choice).collect();
    if !sooner::short_of_time(&choices) {
        return Ok(Vec::new());
    }
    let mut soonest: BTreeMap<&'static str, &(Variant, Choice)> = BTreeMap::new();
    for pair in computed.iter().filter(|(variant, choice)| !variant.two_stage && choice.verdict != Verdict::Unsuitable)
    {
        let first = soonest.entry(pair.1.method.key()).or_insert(pair);
        if rank::total_min(&pair.1) < rank::total_min(&first.1) {
            *first = pair;
        }
    }
    let hurried: Vec<(Variant, &Choice)> = (soonest.into_values())
        .flat_map(|(variant, slow)| {
            sooner::hurried(block, lies, variant, slow).into_iter().map(move |quick| (quick, slow))
        })
        .collect();
    let slow: BTreeMap<String, &Choice> = hurried.iter().map(|(quick, slow)| (quick.id.clone(), *slow)).collect();
    let quick = compute(block, hurried.into_iter().map(|(quick, _)| quick).collect())?;
    let voice = block.kitchen.voice();
    Ok((quick.into_iter())
        .filter_map(|(variant, choice)| {
            let slow = slow.get(&variant.id)?;
            let sooner = rank::total_min(&choice) < rank::total_min(slow) - WORTH_HURRYING_MIN;
            let trade = voice.render(sooner::trade(variant.hurry?, slow, &choice));
            sooner.then_some((variant, Choice { trade, ..choice }))
        })
        .collect())
}

/// Whether a way in two goes is worth offering: it can still be done, and does something that one go does not.
fn helps(block: &MeatToMatch, chain: &Choice, ways: &[MatchedWay]) -> bool {
    if chain.verdict == Verdict::Unsuitable || chain.start_by.is_none_or(|start_by| start_by < block.now) {
        return false;
    }
    if chain.id == "two.day_before" {
        // With a night between, only warming is left on the day.
        return crate::clock::minutes_between(block.now, block.serve_at) >= DAY_BEFORE_H * 60.0;
    }
    // Smoke and then moisture: where the pit alone is slower or leaves less.
    let pit = ways.iter().find(|way| way.best.method == Method::Smoke);
    pit.is_none_or(|pit| {
        let slower = pit.best.ready_min.p90 > chain.ready_min.p90;
        let night = !pit.best.clashes.is_empty() && chain.clashes.is_empty();
        slower || night || pit.best.verdict > chain.verdict || chain.yield_kg > pit.best.yield_kg * 1.01
    })
}
