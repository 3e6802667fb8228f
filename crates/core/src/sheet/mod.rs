//! The cook sheet: one dish worked back from the bell.

mod durations;
mod lay;
mod remedies;
mod tasks;

use ergastic_words::{Share, Span, errors, sheet as say};
use jiff::Timestamp;
use jiff::tz::TimeZone;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use crate::clock::{Hours, minutes_between, plus_minutes, zone};
use crate::error::{Error, Kind, Result};
use crate::forecast::{
    Case, Evidence, Forecast, Medium, Update, Weighted, chance, complete, describe, quantile, update,
};
use crate::kitchen::Kitchen;
use crate::plan::Plan;
use crate::safety::Caution;

pub use durations::Durations;
pub use lay::lay;
pub use remedies::Remedy;
pub use tasks::{Lane, Task, TaskId, TaskKind, Window};

/// When a dish is tender, as instants.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Ready {
    /// The dish.
    pub dish: String,
    /// One cook in ten is tender by then.
    pub p10: Option<Timestamp>,
    /// Half are.
    pub p50: Option<Timestamp>,
    /// Nine in ten are.
    pub p90: Option<Timestamp>,
    /// P(tender when it has to be lifted for the bell).
    pub chance: f64,
}

/// Tasks that can't be kept as they are, in words.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Conflict {
    /// The tasks it concerns.
    #[schema(value_type = Vec<String>)]
    pub tasks: Vec<TaskId>,
    /// What is wrong and what would help.
    pub text: String,
}

/// The whole sheet.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Sheet {
    /// Everything to do, in time order.
    pub tasks: Vec<Task>,
    /// When each dish is tender.
    pub ready: Vec<Ready>,
    /// When each goes too far if the heat simply stays on.
    pub too_far: Vec<Ready>,
    /// Minutes the plates come after the bell, at the certainty asked for; 0 when it is met.
    pub late_min: f64,
    /// What can't be kept.
    pub conflicts: Vec<Conflict>,
    /// The first thing to do.
    pub start_at: Timestamp,
    /// The meat meets the heat.
    pub met_heat_at: Timestamp,
    /// The meat is lifted and the finishing begins.
    pub lift_at: Timestamp,
    /// Plates on the table: the bell, or later by `late_min`.
    pub serve_at: Timestamp,
    /// The bell asked for.
    pub bell: Timestamp,
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

/// The night of a kitchen that has not said when it sleeps.
fn usual_night() -> Hours {
    Hours("22:00".into(), "07:00".into())
}

/// A plan with everything worked out that its sheet needs.
pub struct Worked {
    /// The meat in its pot.
    pub case: Case,
    /// The ensemble, reweighted by what was found.
    pub update: Update,
    /// What it says of the dish.
    pub forecast: Forecast,
    /// The lengths of the tasks.
    pub durations: Durations,
    /// The kitchen's zone.
    pub zone: TimeZone,
    /// Its nights: some tasks keep away from them.
    pub asleep: Vec<Hours>,
}

impl Worked {
    /// Forecasts a plan, with what a cook has found so far (times from the meat meeting the heat), and a look at
    /// how tender it is at a time.
    ///
    /// # Errors
    /// Names the plan's field that can't be used.
    pub fn new(plan: &Plan, kitchen: &Kitchen, evidence: &[Evidence], look_s: Option<f64>) -> Result<Self> {
        let case = plan.resolve(kitchen)?;
        let update = update(&case, evidence, look_s);
        let forecast = describe(&case, Some(update.ensemble.clone()));
        let durations = Durations::of(plan, kitchen, &case, &forecast);
        let asleep = if kitchen.asleep.is_empty() { vec![usual_night()] } else { kitchen.asleep.clone() };
        Ok(Self { case, update, forecast, durations, zone: zone("zone", &kitchen.zone)?, asleep })
    }

    /// The ensemble.
    pub fn ensemble(&self) -> &Weighted {
        &self.update.ensemble
    }

    /// Minutes from being tender to being warm again, where it is chilled and reheated after it is done.
    fn warming_min(&self) -> f64 {
        let is = |at: usize, wanted: fn(&Medium) -> bool| self.case.stages.get(at).is_some_and(|s| wanted(&s.medium));
        let last = self.case.stages.len() - 1;
        let chill = (1..=last).find(|at| is(*at, |medium| matches!(medium, Medium::Chill { .. })));
        let Some(chill) = chill.filter(|_| is(last, |medium| matches!(medium, Medium::Reheat { .. }))) else {
            return 0.0;
        };
        let ended = |at: usize| self.forecast.stages.get(at).and_then(|span| span.to_min);
        // Done before it went into the cold, and not only by what came after.
        let done_first = self.forecast.ready_min.p50.zip(ended(chill)).is_some_and(|(tender, cold)| tender < cold);
        match (ended(chill - 1), ended(last)) {
            (Some(off_min), Some(warm_min)) if done_first => warm_min - off_min,
            _ => 0.0,
        }
    }

    /// Minutes from the meat meeting the heat by which a share of cooks can be lifted, tender and warm.
    pub fn ready_min(&self, p: f64) -> Option<f64> {
        quantile(&self.ensemble().ready_s, &self.ensemble().weights, p).map(|s| s / 60.0 + self.warming_min())
    }

    /// P(tender within some minutes of meeting the heat).
    pub fn chance_within(&self, minutes: f64) -> f64 {
        let tender_s = (minutes - self.warming_min()) * 60.0;
        chance(&self.ensemble().weights, |i| self.ensemble().ready_s[i] <= tender_s)
    }

    /// When the dish is tender if the meat met the heat at `from`, and when it goes too far.
    pub fn bands(&self, dish: &str, from: Timestamp, lift_at: Timestamp) -> (Ready, Ready) {
        let ensemble = self.ensemble();
        let warming_min = self.warming_min();
        let band = |values: &[f64], chance| {
            let at = |p| quantile(values, &ensemble.weights, p).map(|s| plus_minutes(from, s / 60.0 + warming_min));
            Ready { dish: dish.to_owned(), p10: at(0.1), p50: at(0.5), p90: at(0.9), chance }
        };
        let held_s = (minutes_between(from, lift_at) - warming_min) * 60.0;
        let ready = chance(&ensemble.weights, |i| ensemble.ready_s[i] <= held_s);
        let gone = chance(&ensemble.weights, |i| ensemble.too_far_s[i] <= held_s);
        (band(&ensemble.ready_s, ready), band(&ensemble.too_far_s, gone))
    }
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
    lay_out(plan, kitchen, &Worked::new(plan, kitchen, &[], None)?, now)
}

/// The same with the forecast under it, the inside of the piece in it: the ensemble is run once for both.
///
/// # Errors
/// Names the plan's field that can't be used.
pub fn work_back_and_forecast(plan: &Plan, kitchen: &Kitchen, now: Timestamp) -> Result<(Sheet, Forecast)> {
    let mut shown = plan.clone();
    shown.forecast.inside = Some(true);
    let worked = Worked::new(&shown, kitchen, &[], None)?;
    let sheet = lay_out(plan, kitchen, &worked, now)?;
    let forecast = complete(&shown.request(kitchen), &worked.case, worked.forecast);
    Ok((sheet, forecast))
}

fn lay_out(plan: &Plan, kitchen: &Kitchen, worked: &Worked, now: Timestamp) -> Result<Sheet> {
    let certainty = plan.certainty(kitchen);
    let durations = &worked.durations;
    let finishing = durations.finishing_min();
    let Timing { ready_min, met_heat_at, lift_at } = timing(worked, plan, kitchen, now)?;
    let wanted_lift = plus_minutes(plan.bell, -finishing);
    let serve_at = plus_minutes(lift_at, finishing);
    let late_min = minutes_between(plan.bell, serve_at).max(0.0).ceil();
    let (ready, too_far) = worked.bands(&plan.name, met_heat_at, lift_at);
    let tasks = lay(plan, worked, met_heat_at, lift_at, Some(now));
    let mut conflicts = Vec::new();
    let remedies = if late_min > 0.0 {
        conflicts.push(Conflict {
            tasks: vec![TaskId::Braise, TaskId::Serve],
            text: worked.case.voice.say(say::too_late(
                Share(worked.chance_within(minutes_between(met_heat_at, wanted_lift))),
                Share(certainty),
                Span(late_min),
            )),
        });
        remedies::remedies(plan, kitchen, now)
    } else {
        Vec::new()
    };
    let voice = worked.case.voice;
    let why = voice.say(say::why(Share(certainty), Span(ready_min), Span(finishing)));
    let mut cautions = vec![crate::safety::cooling(voice)];
    cautions.extend(durations.cautions.clone());
    Ok(Sheet {
        start_at: tasks.iter().map(|task| task.start).min().unwrap_or(met_heat_at),
        tasks,
        ready: vec![ready],
        too_far: vec![too_far],
        late_min,
        conflicts,
        met_heat_at,
        lift_at,
        serve_at,
        bell: plan.bell,
        certainty,
        finishing_min: finishing,
        remedies,
        cautions,
        why,
    })
}

/// The two moments a sheet is laid around.
pub(crate) struct Timing {
    /// Minutes over the heat at the certainty asked for.
    pub ready_min: f64,
    /// The meat meets the heat.
    pub met_heat_at: Timestamp,
    /// The meat is lifted.
    pub lift_at: Timestamp,
}

/// Works the two moments back from the bell, or on from `now` when that is too late.
pub(crate) fn timing(worked: &Worked, plan: &Plan, kitchen: &Kitchen, now: Timestamp) -> Result<Timing> {
    let ready_min = worked
        .ready_min(plan.certainty(kitchen))
        .ok_or_else(|| Error::said(Kind::Unsuitable, "forecast", errors::this_heat(), errors::never_tender()))?;
    let wanted_lift = plus_minutes(plan.bell, -worked.durations.finishing_min());
    let ideal = floor_minutes(plus_minutes(wanted_lift, -ready_min), 5);
    let earliest = ceil_minutes(plus_minutes(now, worked.durations.soonest_min()), 5);
    let met_heat_at = ideal.max(earliest);
    Ok(Timing { ready_min, met_heat_at, lift_at: wanted_lift.max(plus_minutes(met_heat_at, ready_min)) })
}

fn floor_minutes(instant: Timestamp, step: i64) -> Timestamp {
    let seconds = instant.as_second().div_euclid(step * 60) * step * 60;
    Timestamp::from_second(seconds).unwrap_or(instant)
}

fn ceil_minutes(instant: Timestamp, step: i64) -> Timestamp {
    let floor = floor_minutes(instant, step);
    if floor == instant { floor } else { plus_minutes(floor, step as f64) }
}
