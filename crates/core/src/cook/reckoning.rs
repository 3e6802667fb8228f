//! A plan and what happened, reckoned up to now.

use ergastic_words::errors;
use jiff::Timestamp;
use uuid::Uuid;

use super::probes::{Expected, ProbeNow, Trace, probes};
use super::standing::Standing;
use super::went::Went;
use crate::clock::{minutes_between, plus_minutes};
use crate::error::{Error, Result, WhatIsWrong};
use crate::kitchen::Kitchen;
use crate::plan::Plan;
use crate::sheet::{Settled, TaskId, lay_back, needed_min};
use ergastic_physics::HORIZON_S;
use ergastic_physics::units::MINUTE_S;

/// So long after its bell, the heat and the last that was told of it an open cook counts as left open, min: it is not followed
/// any further. Working value.
const LEFT_OPEN_MIN: f64 = 720.0;
/// Moments at which the cooks are looked at, over the whole of the cook; at least so far apart, and up to so long after the bell, min.
const MOMENTS: f64 = 28.0;
const APART_MIN: f64 = 5.0;
const AFTER_THE_BELL_MIN: f64 = 90.0;

/// What is reckoned with.
#[derive(Clone, Copy)]
pub(super) struct AtWork<'a> {
    /// With the bell as it is wanted now.
    pub plan: &'a Plan,
    pub kitchen: &'a Kitchen,
    pub opened_at: Timestamp,
    pub standing: &'a Standing<'a>,
    pub traces: &'a [Trace],
    pub now: Timestamp,
}

/// A plan and what happened, reckoned up to now.
pub(super) struct Reckoning {
    /// As it was planned.
    pub before: Settled,
    /// As it went.
    pub so_far: SoFar,
    /// When the meat meets the heat as planned.
    pub planned_heat_on_at: Timestamp,
}

/// A plan of whose forecast only the median run is wanted.
fn median(plan: &Plan) -> Plan {
    let mut plan = plan.clone();
    plan.forecast.members = Some(1);
    plan
}

/// What can't be changed as it was is the event's fault, and not the plan's.
fn of_the_event(error: Error) -> Error {
    let Some((_, field)) = error.field.split_once("stages[").and_then(|(_, rest)| rest.split_once("].")) else {
        return error;
    };
    Error { field: format!("happened.{field}"), ..error }
}

/// The moments at which the cooks are looked at, s after the meat met the heat.
fn moments(facts: &AtWork) -> Vec<f64> {
    let Some(on_the_heat) = facts.standing.on_the_heat().filter(|_| facts.standing.closed().is_none()) else {
        return Vec::new();
    };
    let over_min = minutes_between(on_the_heat, facts.plan.serve_at.max(facts.now)).clamp(0.0, HORIZON_S / MINUTE_S);
    let over_min = over_min + AFTER_THE_BELL_MIN;
    let every_min = f64::max(APART_MIN, (over_min / MOMENTS / 5.0).ceil() * 5.0);
    (1..).map(|i| f64::from(i) * every_min).take_while(|min| *min <= over_min).map(|min| min * 60.0).collect()
}

/// What has become of a plan.
pub(super) struct SoFar {
    /// As it went, where something was found, changed or poured in.
    pub worked: Option<Settled>,
    /// Findings it rests on; what a probe reads is one.
    pub findings: usize,
    /// The probes, and what they say.
    pub probes: Vec<ProbeNow>,
    /// The heat is off since then.
    pub heat_off_since: Option<Timestamp>,
    /// Changes that could not be, and changed nothing.
    pub passed_over: Vec<Uuid>,
}

impl<'a> AtWork<'a> {
    /// Of a cook, its plan with the bell as it is wanted now. One that was left open stands as it stood when it was left: it asks for
    /// no more work, of the machine or of anybody, for standing a week on a screen.
    pub fn of(
        plan: &'a Plan,
        kitchen: &'a Kitchen,
        opened_at: Timestamp,
        standing: &'a Standing<'a>,
        traces: &'a [Trace],
        now: Timestamp,
    ) -> Self {
        let mut facts = Self { plan, kitchen, opened_at, standing, traces, now };
        facts.now = now.min(facts.followed_until());
        facts
    }

    /// The last that was told of it.
    fn told_last(&self) -> Timestamp {
        self.standing.all().map(|event| event.at).max().unwrap_or(self.opened_at)
    }

    fn followed_until(&self) -> Timestamp {
        plus_minutes(self.plan.serve_at.max(self.told_last()).max(self.opened_at), LEFT_OPEN_MIN)
    }

    /// Since when nothing was told of it, where it is left open.
    pub fn left_open_since(&self, now: Timestamp) -> Option<Timestamp> {
        let left = self.standing.closed().is_none() && now >= self.followed_until();
        left.then(|| self.told_last())
    }

    /// How long the meat has been over the heat, s.
    fn look_s(&self) -> Option<f64> {
        let on_the_heat = self.standing.on_the_heat()?;
        Some(minutes_between(on_the_heat, self.until()).max(0.0) * 60.0)
    }

    /// Up to when it is followed: what is over no longer changes with the clock.
    fn until(&self) -> Timestamp {
        let standing = self.standing;
        standing.done(TaskId::Lift).or(standing.closed().map(|(at, _)| at)).unwrap_or(self.now)
    }

    /// The plan as it was made.
    pub fn as_planned(&self, ahead_s: &[f64]) -> Result<Settled> {
        if let Some(late) = self.standing.poured_too_late() {
            return Err(Error::new(WhatIsWrong::OutOfRange, "at", late, errors::too_late_to_pour()));
        }
        Settled::ahead(self.plan, self.kitchen, &[], self.look_s(), ahead_s)
    }

    /// The plan as it went so far, from how it was made.
    pub fn so_far(&self, before: &Settled, ahead_s: &[f64]) -> Result<SoFar> {
        let AtWork { plan, kitchen, standing, traces, now, .. } = *self;
        let added = standing.added();
        let turned = Went::of(plan, kitchen, standing, before, self.until());
        let off_since_min = turned.as_ref().and_then(|went| went.off_since_min);
        let passed_over = turned.as_ref().map(|went| went.passed_over.clone()).unwrap_or_default();
        let as_planned = turned.is_none() && added.is_empty();
        let mut went = turned.map_or_else(|| plan.clone(), |went| went.plan);
        // What was poured in cools the pot: the forecast goes on from the plan as it really went.
        went.forecast.added = Some(plan.forecast.added.iter().flatten().cloned().chain(added).collect());
        let curve = match as_planned {
            true => before.forecast.curve.clone(),
            false => Settled::new(&median(&went), kitchen, &[], None).map_err(of_the_event)?.forecast.curve,
        };
        let expected = Expected { curve: &curve, on_the_heat: standing.on_the_heat() };
        let (probes, read) = probes(standing, traces, &expected, now, kitchen.voice());
        let typed = standing.evidence();
        let findings = typed.len() + usize::from(!read.is_empty());
        let evidence: Vec<_> = typed.into_iter().chain(read).collect();
        let known = before.update.ahead.len() == ahead_s.len();
        let worked = match as_planned && evidence.is_empty() && known {
            true => None,
            false => Some(Settled::ahead(&went, kitchen, &evidence, self.look_s(), ahead_s).map_err(of_the_event)?),
        };
        let heat_off_since = off_since_min.zip(standing.on_the_heat()).map(|(min, from)| plus_minutes(from, min));
        Ok(SoFar { worked, findings, probes, heat_off_since, passed_over })
    }
}

impl Reckoning {
    pub fn of(facts: &AtWork) -> Result<Self> {
        let AtWork { plan, kitchen, opened_at, .. } = *facts;
        let ahead_s = moments(facts);
        // Where something was found the moments are those of the cook as it went: nobody asks for those of the plan.
        let found = !facts.standing.evidence().is_empty() || !facts.traces.is_empty();
        let before = facts.as_planned(if found { &[] } else { &ahead_s })?;
        let so_far = facts.so_far(&before, &ahead_s)?;
        let ready_min = needed_min(&before, plan, kitchen)?;
        let planned_heat_on_at = lay_back(plan, &before, kitchen, ready_min, opened_at)?.heat_on_at;
        Ok(Self { before, so_far, planned_heat_on_at })
    }

    /// As it went.
    pub fn worked(&self) -> &Settled {
        self.so_far.worked.as_ref().unwrap_or(&self.before)
    }
}

/// When it is lifted: as it was, or as it will be.
pub(super) fn lift_at(
    standing: &Standing,
    worked: &Settled,
    tender_at: Option<Timestamp>,
    from: Timestamp,
    wanted: Timestamp,
    now: Timestamp,
) -> Timestamp {
    match (standing.done(TaskId::Lift), tender_at) {
        (Some(lifted), _) => lifted,
        (None, Some(tender)) => wanted.max(tender),
        (None, None) => {
            let half = worked.ready_min(0.5).map_or(wanted, |m| plus_minutes(from, m));
            let under_way = standing.on_the_heat().is_some() && standing.closed().is_none();
            wanted.max(half).max(if under_way { now } else { half })
        }
    }
}

/// So far off its sheet a dish still keeps the sheet's hours, min.
pub(super) const KEEPS_MIN: f64 = 10.0;

/// The hours of a dish whose cook was started from its meal's sheet.
pub(super) struct OnItsSheet {
    pub on_the_heat: Timestamp,
    pub lift: Timestamp,
    /// Plates on the table.
    pub serve: Timestamp,
}

impl OnItsSheet {
    /// Those it still keeps; none where it was started from no sheet, or is too far behind or ahead of it.
    pub fn of(plan: &Plan, lifted: TaskId, on_the_heat: Option<Timestamp>, now: Timestamp) -> Option<Self> {
        let laid = |id: TaskId| plan.laid.iter().find(|laid| laid.task == id.to_string());
        let serve = laid(TaskId::Serve)?;
        let sheet = Self {
            on_the_heat: laid(TaskId::Simmer)?.at?,
            lift: laid(lifted)?.at?,
            serve: plus_minutes(serve.at?, serve.min.unwrap_or_default()),
        };
        let off = minutes_between(sheet.on_the_heat, on_the_heat.unwrap_or(now.max(sheet.on_the_heat)));
        (off.abs() <= KEEPS_MIN).then_some(sheet)
    }
}
