//! The plan as it really went: what was changed by hand, as stages of the forecast.

use jiff::Timestamp;
use uuid::Uuid;

use super::event::Happened;
use super::standing::Standing;
use crate::clock::minutes_between;
use crate::error::Error;
use crate::forecast::{ByHand, Heat, ResolvedDish, StageRequest, StageSpan, Until, Wrap};
use crate::heat::pot::Lid;
use crate::kitchen::Kitchen;
use crate::plan::Plan;
use crate::sheet::{Settled, TaskId};
use crate::ways::Method;
use ergastic_physics::HORIZON_S;
use ergastic_physics::body::BodyShape;
use ergastic_physics::units::MINUTE_S;

/// A stage that has not been left yet, although it should have been, goes on for so long, min.
const NOT_YET_MIN: f64 = 2.0;

/// Something done to the heat at a time.
struct HeatTurn {
    id: Uuid,
    at_min: f64,
    what: HeatDone,
}

enum HeatDone {
    Changed { method: Option<Method>, heat: Option<Box<Heat>>, lid: Option<Lid>, halved: bool },
    Off,
    On,
}

/// A stage with the time it began.
struct RanStage {
    stage: StageRequest,
    from_min: f64,
    /// What it began with, if that was done by hand.
    by: Option<Uuid>,
}

/// How a plan's dish went, where anything was changed in it by hand.
pub(super) struct Went {
    /// The plan with its stages as they were.
    pub plan: Plan,
    /// The heat has been off since, min from the meat meeting the heat.
    pub off_since_min: Option<f64>,
    /// Changes that could not be, and changed nothing.
    pub passed_over: Vec<Uuid>,
}

/// The stage that an error is about.
fn unfit_stage(error: &Error) -> Option<usize> {
    let (_, rest) = error.field.split_once("stages[")?;
    rest.split_once(']')?.0.parse().ok()
}

/// What was done to the heat, in time order; an opening is a heat that is off and on again.
fn turns(standing: &Standing, on_the_heat: Timestamp) -> Vec<HeatTurn> {
    let mut turns = Vec::new();
    for event in standing.all() {
        let at_min = minutes_between(on_the_heat, event.at).clamp(0.0, HORIZON_S / MINUTE_S);
        let mut turn = |at_min: f64, what| turns.push(HeatTurn { id: event.id, at_min, what });
        match event.happened {
            Happened::Changed { method, heat, lid, halved } => {
                turn(at_min, HeatDone::Changed { method: *method, heat: heat.clone(), lid: *lid, halved: *halved })
            }
            Happened::HeatOff {} => turn(at_min, HeatDone::Off),
            Happened::HeatOn {} => turn(at_min, HeatDone::On),
            Happened::Opened { min } => {
                turn(at_min, HeatDone::Off);
                turn(at_min + min, HeatDone::On);
            }
            Happened::TaskDone { task } if task.parse() == Ok(TaskId::Wrap) => {
                turn(at_min, HeatDone::Changed { method: None, heat: None, lid: None, halved: false });
            }
            _ => {}
        }
    }
    turns.sort_by(|a, b| a.at_min.total_cmp(&b.at_min));
    turns
}

/// The heat of a stage, as the resolver reads it: its own, or that of the stage before where the way goes on.
fn heat_of(ran: &[RanStage], at: usize) -> (Method, Heat) {
    let (mut method, mut heat) = (Method::Braise, Heat::default());
    for RanStage { stage, .. } in &ran[..=at] {
        let now = stage.method.unwrap_or(method);
        heat = match &stage.heat {
            Some(given) => given.clone(),
            None if now == method => heat,
            None => Heat::default(),
        };
        method = now;
    }
    (method, heat)
}

/// So much less far the heat has to go in pieces cut across in two: by the time it takes to the middle of either body.
fn halved(case: &ResolvedDish) -> f64 {
    let [thin, wide, long] = case.main().sides_m;
    let mut half = [thin, wide, long / 2.0];
    half.sort_by(f64::total_cmp);
    let reach = |sides: [f64; 3]| {
        let shape = BodyShape::from_sides(sides);
        shape.half_thickness_m / (shape.exponent + 1.0).sqrt()
    };
    (reach(half) / reach([thin, wide, long])).clamp(0.3, 1.0)
}

/// The plan's own stages with the time each began: as it was left by hand, or as its median run has it.
fn as_planned(
    plan: &Plan,
    standing: &Standing,
    spans: &[StageSpan],
    on_the_heat: Timestamp,
    now_min: f64,
) -> Vec<RanStage> {
    let forecast = &plan.forecast;
    let stages = forecast.stages.clone().unwrap_or_else(|| {
        vec![StageRequest { method: forecast.method, heat: forecast.heat.clone(), ..StageRequest::default() }]
    });
    let many = stages.len();
    let mut from_min = 0.0;
    let mut ran: Vec<RanStage> = Vec::with_capacity(many);
    for (number, mut stage) in (1..).zip(stages) {
        let left = standing.done(TaskId::Move(number)).map(|at| minutes_between(on_the_heat, at));
        let planned = spans.get(number as usize - 1).and_then(|span| span.to_min);
        let began = from_min;
        if (number as usize) < many {
            let by_clock = stage.until.as_ref().is_some_and(|until| until.min.is_some());
            let to_min = match (left, planned) {
                (Some(left), _) => left.max(began),
                // Nobody has moved it on yet.
                (None, Some(planned)) if by_clock && planned < now_min => now_min + NOT_YET_MIN,
                (None, planned) => planned.unwrap_or(f64::INFINITY),
            };
            if left.is_some() || by_clock {
                stage.until = Some(Until { min: Some(to_min - began), ..Until::default() });
            }
            from_min = to_min;
        }
        ran.push(RanStage { stage, from_min: began, by: None });
    }
    ran
}

impl Went {
    /// How a plan went, with what was changed in it; none where it goes as planned. `spans` are the stages of its median run.
    pub fn of(plan: &Plan, kitchen: &Kitchen, standing: &Standing, before: &Settled, now: Timestamp) -> Option<Self> {
        let (case, spans) = (&before.case, &before.forecast.stages[..]);
        let on_the_heat = standing.on_the_heat()?;
        let now_min = minutes_between(on_the_heat, now);
        let turns = turns(standing, on_the_heat);
        let moved = (1..case.stages.len() as u32).any(|number| standing.done(TaskId::Move(number)).is_some())
            || spans.iter().rev().skip(1).any(|span| span.to_min.is_some_and(|to| to < now_min));
        if turns.is_empty() && !(moved && case.stages.len() > 1) {
            return None;
        }
        let mut ran = as_planned(plan, standing, spans, on_the_heat, now_min);
        let mut off_since_min = None;
        for turn in turns {
            match turn.what {
                HeatDone::Off if off_since_min.is_some() => continue,
                HeatDone::On if off_since_min.is_none() => continue,
                HeatDone::Off => off_since_min = Some(turn.at_min),
                _ => {}
            }
            let off_min = off_since_min.map_or(0.0, |since| turn.at_min - since);
            if matches!(turn.what, HeatDone::On) {
                off_since_min = None;
            }
            change(&mut ran, &turn, off_min, case);
        }
        // A heat that is off is on again from now, as far as anyone can say.
        if let Some(since) = off_since_min {
            let at_min = now_min.max(since);
            change(&mut ran, &HeatTurn { id: Uuid::nil(), at_min, what: HeatDone::On }, at_min - since, case);
        }
        let mut passed_over = Vec::new();
        loop {
            let mut went = plan.clone();
            (went.forecast.method, went.forecast.heat) = (None, None);
            went.forecast.stages = Some(ran.iter().map(|ran| ran.stage.clone()).collect());
            // What can't be changed so changes nothing: another change may have been taken back before it.
            let unfit =
                went.resolve(kitchen).err().and_then(|error| unfit_stage(&error)).and_then(|at| ran.get_mut(at));
            let Some(RanStage { stage, by: Some(by), .. }) = unfit.filter(|ran| !ran.stage.is_as_before()) else {
                return Some(Self { plan: went, off_since_min, passed_over });
            };
            passed_over.push(*by);
            (stage.method, stage.heat, stage.lid) = (None, None, None);
        }
    }
}

/// Cuts the stage that is running in two, the second as it is after the turn.
fn change(ran: &mut Vec<RanStage>, turn: &HeatTurn, off_min: f64, case: &ResolvedDish) {
    let at = ran.iter().rposition(|ran| ran.from_min <= turn.at_min).unwrap_or(0);
    let (method, before) = heat_of(ran, at);
    let lasted = (turn.at_min - ran[at].from_min).max(0.0);
    let end = ran[at].stage.until.clone();
    let rest = end.map(|until| Until { min: until.min.map(|min| (min - lasted).max(1.0)), ..until });
    let off_now = ran[at].stage.by_hand.off;
    let mut next = StageRequest {
        until: rest,
        by_hand: ByHand { changed: true, off: off_now, thinner: None },
        ..StageRequest::default()
    };
    let mut takes_over = false;
    match &turn.what {
        HeatDone::Off => next.by_hand.off = true,
        HeatDone::On => {
            next.by_hand.off = false;
            let way = before.way(method).unwrap_or_else(|_| method.usual());
            next.heat = Some(way.lit_again(before.clone(), off_min));
        }
        HeatDone::Changed { method: to, heat, lid, halved: cut } => {
            takes_over = to.is_some_and(|to| to != method);
            next.method = *to;
            next.lid = *lid;
            next.heat = match (heat, takes_over) {
                (change, true) => Some(change.as_deref().cloned().unwrap_or_default()),
                (Some(change), false) => Some(method.usual().warm(change.over(&before))),
                // The wrap that was planned goes on when it is put on.
                (None, false) => {
                    let put_on = before.wrap.as_ref().filter(|_| lid.is_none() && !cut);
                    let put_on = put_on.map(|wrap| Wrap { at_core_c: Some(0.0), ..wrap.clone() });
                    let wrap = put_on.or_else(|| before.wrap.clone());
                    (method == Method::Smoke).then(|| Heat { wrap, ..method.usual().warm(before.clone()) })
                }
            };
            next.by_hand.thinner = cut.then(|| halved(case));
        }
    }
    if takes_over {
        next.until = None;
        ran.truncate(at + 1);
    }
    ran[at].stage.until = Some(Until { min: Some(lasted), ..Until::default() });
    ran.insert(at + 1, RanStage { stage: next, from_min: turn.at_min, by: Some(turn.id) });
}
