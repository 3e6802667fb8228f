//! One dish worked back from its bell.

use ergastic_words::{RoughMinutes, Share, errors, sheet as say};
use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::laid::{Laid, lay_back};
use super::remedies::{Remedy, remedies};
use super::tasks::{Conflict, Task, TaskId};
use super::things::{ThingTaken, short, taken};
use super::worked::{Ready, Settled};
use crate::clock::{minutes_between, plus_minutes};
use crate::error::{Error, Result, WhatIsWrong};
use crate::forecast::{Forecast, complete};
use crate::kitchen::Kitchen;
use crate::plan::Plan;
use crate::safety::Caution;

/// The whole sheet.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Sheet {
    /// Everything to do, in time order.
    pub tasks: Vec<Task>,
    /// When each dish is tender.
    pub ready: Vec<Ready>,
    /// When each goes too far if the heat simply stays on.
    pub overcooked: Vec<Ready>,
    /// Minutes the plates come after the bell, at the certainty asked for; 0 when it is met.
    pub late_min: f64,
    /// The things of the kitchen that it takes, and from when to when.
    pub things: Vec<ThingTaken>,
    /// What can't be kept.
    pub conflicts: Vec<Conflict>,
    /// The first thing to do.
    pub start_at: Timestamp,
    /// The meat meets the heat.
    pub heat_on_at: Timestamp,
    /// The meat is lifted and the finishing begins.
    pub lift_at: Timestamp,
    /// Plates on the table: the bell, or later by `late_min`.
    pub served_at: Timestamp,
    /// The bell asked for.
    pub serve_at: Timestamp,
    /// The chance it was made for.
    pub certainty: f64,
    /// Minutes from lifting to plates.
    pub finishing_min: f64,
    /// What would meet the bell, when this does not.
    pub remedies: Vec<Remedy>,
    /// Cautions for the whole cook.
    pub cautions: Vec<Caution>,
    /// One plain sentence.
    pub why: String,
}

/// Works a plan back from its bell.
///
/// The bell less the finishing is no earlier than the ready-time at the plan's certainty; meat
/// that is tender sooner goes to a hold. When `now` is too late for that, the sheet starts at
/// once, says how late it will be, and what would meet the bell.
///
/// # Errors
/// Names the plan's field that can't be used.
pub fn work_back(plan: &Plan, kitchen: &Kitchen, now: Timestamp) -> Result<Sheet> {
    lay_out(plan, kitchen, &Settled::new(plan, kitchen, &[], None)?, now)
}

/// The same with the forecast under it, the inside of the piece in it: the ensemble is run once for both.
///
/// # Errors
/// Names the plan's field that can't be used.
pub fn work_back_and_forecast(plan: &Plan, kitchen: &Kitchen, now: Timestamp) -> Result<(Sheet, Forecast)> {
    let mut shown = plan.clone();
    shown.forecast.inside = Some(true);
    let worked = Settled::new(&shown, kitchen, &[], None)?;
    let sheet = lay_out(plan, kitchen, &worked, now)?;
    let forecast = complete(&shown.request(kitchen), &worked.case, worked.forecast)?;
    Ok((sheet, forecast))
}

/// Minutes over the heat at the certainty asked for.
///
/// # Errors
/// Where it never grows tender.
pub(crate) fn needed_min(worked: &Settled, plan: &Plan, kitchen: &Kitchen) -> Result<f64> {
    worked
        .lift_min(plan.certainty(kitchen))
        .ok_or_else(|| Error::said(WhatIsWrong::Unsuitable, "forecast", errors::this_heat(), errors::never_tender()))
}

fn lay_out(plan: &Plan, kitchen: &Kitchen, worked: &Settled, now: Timestamp) -> Result<Sheet> {
    let certainty = plan.certainty(kitchen);
    let durations = &worked.durations;
    let finishing = durations.finishing_min();
    let ready_min = needed_min(worked, plan, kitchen)?;
    let Laid { tasks, heat_on_at, lift_at, served_at, mut conflicts } =
        lay_back(plan, worked, kitchen, ready_min, now)?;
    let wanted_lift = plus_minutes(plan.serve_at, -finishing);
    let late_min = minutes_between(plan.serve_at, served_at).max(0.0).ceil();
    let (ready, overcooked) = worked.bands(&plan.name, heat_on_at, lift_at);
    conflicts.extend(short(plan, kitchen, &tasks, worked.case.voice));
    let remedies = if late_min > 0.0 {
        conflicts.push(Conflict {
            tasks: vec![TaskId::Braise, TaskId::Serve],
            text: worked.case.voice.render(say::too_late(
                Share(worked.chance_within(minutes_between(heat_on_at, wanted_lift))),
                Share(certainty),
                RoughMinutes(late_min),
            )),
        });
        remedies(plan, kitchen, now)?
    } else {
        Vec::new()
    };
    if let Some(own) = worked.forecast.own_time.as_ref().filter(|own| own.chance < certainty) {
        conflicts.push(Conflict { tasks: vec![TaskId::Braise], text: own.text.clone() });
    }
    let voice = worked.case.voice;
    let why = voice.render(say::why(Share(certainty), RoughMinutes(ready_min), RoughMinutes(finishing)));
    let mut cautions = vec![crate::safety::cooling(voice)];
    cautions.extend(durations.cautions.clone());
    Ok(Sheet {
        things: taken(plan, kitchen, &tasks),
        start_at: tasks.iter().map(|task| task.start).min().unwrap_or(heat_on_at),
        tasks,
        ready: vec![ready],
        overcooked: vec![overcooked],
        late_min,
        conflicts,
        heat_on_at,
        lift_at,
        served_at,
        serve_at: plan.serve_at,
        certainty,
        finishing_min: finishing,
        remedies,
        cautions,
        why,
    })
}
