//! One variant, computed.

use ergastic_words::{Message, RoughMinutes, finish, matching as say};
use jiff::Timestamp;

use super::answer::{Choice, Quantiles, Verdict};
use super::block::MeatToMatch;
use super::burns::{fuel, washing_up};
use super::drawn::Needs;
use super::hours::{Work, earliest_free, latest_free, overlap_min};
use super::hurry::Hurry;
use super::suits;
use super::variants::Variant;
use crate::bench::Sear;
use crate::clock::{minutes_between, plus_minutes};
use crate::error::Result;
use crate::forecast::{ForecastRequest, ResolvedDish, chance};
use crate::kitchen::ThingKind;
use crate::plan::Plan;
use crate::sheet::{Settled, lead_min, steps};
use crate::ways::{Heat, MOVE_MIN, Set, WayId};

/// From this chance on a way is tight rather than too late.
pub(super) const TIGHT: f64 = 0.5;
/// A flame or fire left alone for less than this is no clash, min.
const LEFT_ALONE_MIN: f64 = 20.0;

/// A dish from the cold is warm again so long before it is lifted, at the latest, min.
const WARM_AHEAD_MIN: f64 = 45.0;

/// How the liquid feels by its gelatin, %.
fn body(percent: f64) -> &'static str {
    match percent {
        p if p >= 8.0 => "coats",
        p if p >= 3.0 => "full",
        p if p >= 1.0 => "some",
        _ => "thin",
    }
}

/// Computes a variant.
///
/// # Errors
/// Names the field that can't be used.
pub fn choose(block: &MeatToMatch, variant: Variant) -> Result<Choice> {
    let choice = computed(block, variant)?;
    let needs = Needs {
        lead_min: choice.lead_min,
        finishing_min: choice.finishing_min,
        ready: choice.ready_min,
        overcooked: choice.overcooked_min,
    };
    let soonest = needs.drawn(plus_minutes(choice.heat_on_at, -choice.lead_min), choice.lift_at);
    let latest = needs.at_latest(choice.start_by, block.now, choice.lift_at);
    let slack_min = latest.as_ref().map_or(0.0, |latest| minutes_between(block.now, latest.begins));
    Ok(Choice { soonest: Some(soonest), latest, slack_min, ..choice })
}

fn computed(block: &MeatToMatch, variant: Variant) -> Result<Choice> {
    let choice = compute(block, variant.clone())?;
    // What waits in the cold is warmed for the bell, not hours before it.
    let early_min = choice.hold_min - WARM_AHEAD_MIN;
    let Some(chilled) = variant.chilled_for(early_min).filter(|_| early_min > 0.0) else { return Ok(choice) };
    let later = compute(block, chilled)?;
    Ok(Choice { start_by: choice.start_by, ..later })
}

/// When a way starts, is ready and has to be lifted, in this kitchen and from now.
struct WayTimes {
    lead_min: f64,
    finishing_min: f64,
    lift_at: Timestamp,
    heat_on_at: Timestamp,
    /// From the first moment it can meet the heat to the lifting, min.
    there_min: f64,
    ready: Quantiles,
    /// To be ready for the certainty asked, min.
    needed_min: Option<f64>,
    start_by: Option<Timestamp>,
    /// At the latest start: the chance that the heat left on till the lifting is just right, and how long half of such
    /// pieces wait, min.
    chance_left_on: f64,
    hold_min: f64,
}

impl WayTimes {
    fn of(block: &MeatToMatch, worked: &Settled, lead_min: f64) -> Self {
        let finishing_min = worked.durations.finishing_min();
        let hands = hands(worked, lead_min);
        let lift_at = plus_minutes(block.serve_at, -finishing_min);
        let heat_on_at = plus_minutes(earliest_free(block.now, &hands, &block.busy), lead_min);
        let needed_min = worked.lift_min(block.certainty);
        let start_by = needed_min.map(|needed| {
            let latest = plus_minutes(lift_at, -(needed + lead_min));
            latest_free(latest, &hands, &block.busy)
        });
        let ensemble = worked.ensemble();
        let (chance_left_on, hold_min) = start_by.map_or((0.0, 0.0), |start_by| {
            let over_min = minutes_between(plus_minutes(start_by, lead_min), lift_at);
            let over_s = over_min * 60.0;
            let just_right = |i| ensemble.ready_s[i] <= over_s && over_s <= ensemble.overcooked_s[i];
            let wait_min = over_min - worked.ready_min(0.5).unwrap_or(over_min);
            (chance(&ensemble.weights, just_right), wait_min.max(0.0))
        });
        Self {
            lead_min,
            finishing_min,
            lift_at,
            heat_on_at,
            there_min: minutes_between(heat_on_at, lift_at),
            ready: Quantiles { p10: worked.ready_min(0.1), p50: worked.ready_min(0.5), p90: worked.ready_min(0.9) },
            needed_min,
            start_by,
            chance_left_on,
            hold_min,
        }
    }
}

/// The liquid that is left: how much, its gelatin, and how it feels.
struct SauceLeft {
    litres: f64,
    gelatin_pct: f64,
    body: &'static str,
}

impl SauceLeft {
    fn of(worked: &Settled, loads: f64) -> Self {
        let durations = &worked.durations;
        let liquid_l = if durations.has_sauce() { durations.liquid_left_l } else { 0.0 };
        let gelatin_pct = if liquid_l > 0.0 { durations.gelatin_g / (liquid_l * 10.0) } else { 0.0 };
        let body = match worked.case.last().medium.facts().no_sauce {
            Some(instead) => instead,
            None if liquid_l == 0.0 => "none",
            None => body(gelatin_pct),
        };
        Self { litres: liquid_l * loads, gelatin_pct, body }
    }
}

/// Whether it goes, and one sentence why.
fn verdict(
    block: &MeatToMatch,
    worked: &Settled,
    variant: &Variant,
    times: &WayTimes,
    chance_ready: f64,
) -> (Verdict, String) {
    let (case, forecast) = (&worked.case, &worked.forecast);
    let against = (case.parts.iter())
        .find_map(|part| suits::against(part.facts, case.first().method, part.eaten_as, variant.shape))
        .or_else(|| missing(block, case_kit(variant.kit, case)))
        .or_else(|| (variant.loads > 1).then(|| say::loads(variant.loads)));
    if let Some(reason) = against {
        return (Verdict::Unsuitable, case.voice.render(reason));
    }
    let verdict = match chance_ready {
        chance if chance >= block.certainty => return (Verdict::Fits, forecast.why.clone()),
        chance if chance >= TIGHT => Verdict::Tight,
        _ => Verdict::TooLate,
    };
    let late = late_why(times.ready, times.there_min);
    (verdict, late.map_or_else(|| forecast.why.clone(), |said| case.voice.render(said)))
}

/// The variant as a plan of this block.
fn planned(block: &MeatToMatch, variant: &Variant) -> Plan {
    let mut plan = block.plan(variant.forecast.clone());
    if variant.hurry.is_some_and(|hurry| hurry.unbrowned) {
        plan.prepare.sear = Sear::None;
    }
    plan
}

/// Whether it comes out of the pit with a bark on it.
fn has_bark(case: &ResolvedDish) -> bool {
    case.stages.iter().any(|stage| stage.medium.id() == WayId::Pit) && !case.last().medium.is_pot()
}

/// The heat that it begins with.
fn first_heat(forecast: &ForecastRequest) -> Heat {
    let first = forecast.stages.as_ref().and_then(|stages| stages.first()?.heat.as_ref());
    first.or(forecast.heat.as_ref()).cloned().unwrap_or_default()
}

fn compute(block: &MeatToMatch, variant: Variant) -> Result<Choice> {
    let mut plan = planned(block, &variant);
    let worked = Settled::new(&plan, block.kitchen, &[], None).map_err(|error| error.out_of("forecast"))?;
    let (case, durations, forecast) = (&worked.case, &worked.durations, &worked.forecast);
    let (voice, people, loads) = (case.voice, f64::from(block.people), f64::from(variant.loads));
    let asked = steps(&plan, &worked, worked.lift_min(block.certainty).or(forecast.ready_min.p50).unwrap_or(0.0));
    let times = WayTimes::of(block, &worked, lead_min(&asked, &worked)?);
    let sauce = SauceLeft::of(&worked, loads);
    let chance_ready = worked.chance_within(times.there_min);
    let (verdict, why) = verdict(block, &worked, &variant, &times, chance_ready);
    let clashes = clashes(block, &worked.case.first().medium, &times);
    let (yield_kg, cost) = (durations.yield_kg * loads, block.cost(case).map(|cost| cost * loads));
    let (portions, sear) = (yield_kg / block.portion_kg, plan.prepare.sear);
    plan.forecast.members = None;
    plan.forecast.eaten_as.get_or_insert(case.main().eaten_as);
    let stages = plan.forecast.stages.clone();
    Ok(Choice {
        id: variant.id,
        name: voice.render(variant.name),
        method: case.first().method,
        heat: first_heat(&plan.forecast),
        stages,
        shape: variant.shape,
        verdict,
        chance_ready,
        chance_left_on: times.chance_left_on,
        start_by: times.start_by,
        heat_on_at: times.heat_on_at,
        lift_at: times.lift_at,
        ready_min: times.ready,
        overcooked_min: forecast.overcooked_min,
        ready_at_min: (1..20).map(|i| worked.ready_min(f64::from(i) * 0.05)).collect(),
        at_pressure_min: forecast.at_pressure_min,
        pressure: forecast.pressure.clone(),
        lead_min: times.lead_min,
        hands_on_min: asked.hands_on_min() * (1.0 + 0.6 * (loads - 1.0)),
        finishing_min: times.finishing_min,
        hold_min: times.hold_min,
        yield_kg,
        portions,
        grams_a_head: yield_kg * 1000.0 / people,
        cost_per_portion: cost.map(|cost| cost / portions.max(0.1)),
        cost_a_head: cost.map(|cost| cost / people),
        sauce_l: sauce.litres,
        body_pct: sauce.gelatin_pct,
        sauce_body: voice.render(finish::body(sauce.body)),
        bark: has_bark(case),
        fuel: fuel(case, &forecast.stages, forecast.ready_min.p50.unwrap_or(0.0), sear),
        washing_up: washing_up(case, sear),
        clashes: clashes.into_iter().map(|clash| voice.render(clash)).collect(),
        soonest: None,
        latest: None,
        slack_min: 0.0,
        why,
        gives_up: variant.hurry.map_or(0, Hurry::gives_up),
        trade: String::new(),
        cautions: forecast.cautions.clone(),
        plan,
    })
}

/// Hands-on work from the start of a way: bench and pan, and each move from one heat to the next.
fn hands(worked: &Settled, lead_min: f64) -> Vec<Work> {
    let spans = &worked.forecast.stages;
    let moves = spans.iter().take(spans.len().saturating_sub(1)).filter_map(|span| span.to_min);
    let first = Work { from_min: 0.0, takes_min: lead_min + worked.durations.come_up_min };
    std::iter::once(first)
        .chain(moves.map(|at_min| Work { from_min: lead_min + at_min, takes_min: MOVE_MIN }))
        .collect()
}

/// Everything a chain needs stands in its stages; the first piece of kit stands in the variant.
fn case_kit(first: ThingKind, case: &ResolvedDish) -> Vec<ThingKind> {
    std::iter::once(first).chain(case.stages.iter().skip(1).filter_map(|stage| stage.medium.facts().kit)).collect()
}

/// What is not free.
fn missing(block: &MeatToMatch, kit: Vec<ThingKind>) -> Option<Message> {
    kit.into_iter().find(|kit| !block.has(*kit)).map(|kit| say::not_free(kit.name()))
}

/// Why it is late, in this bell's own minutes; none where it never is tender at all.
fn late_why(ready: Quantiles, there_are_min: f64) -> Option<Message> {
    let half = RoughMinutes(ready.p50?);
    if there_are_min <= 0.0 {
        return Some(say::no_time_left());
    }
    let there = RoughMinutes(there_are_min);
    Some(match ready.p90 {
        Some(most) => say::too_late(half, RoughMinutes(most), there),
        None => say::too_late_some_never(half, there),
    })
}

/// What a way would ask of hands that sleep or are away.
fn clashes(block: &MeatToMatch, first: &Set, times: &WayTimes) -> Vec<Message> {
    let (Some(start_by), Some(needed_min)) = (times.start_by, times.needed_min) else { return Vec::new() };
    let mut clashes = Vec::new();
    let met = plus_minutes(start_by, times.lead_min);
    let over = plus_minutes(met, needed_min).min(times.lift_at);
    if let Some(wants) = first.facts().wants(block.kitchen.pit_holds_itself()) {
        let alone_min = overlap_min(met, over, &block.busy);
        if alone_min > LEFT_ALONE_MIN {
            let asleep_min = overlap_min(met, over, &block.asleep);
            let said = if asleep_min >= alone_min - 1.0 { say::wants_asleep } else { say::wants_away };
            clashes.push(said(wants, RoughMinutes(alone_min)));
        }
    }
    if overlap_min(times.lift_at, block.serve_at, &block.busy) > 0.0 {
        clashes.push(say::finishing_away());
    }
    clashes
}
