//! A plan and what happened, folded into what is so now.

use super::actions::{self};
use super::alarms::{Alarm, Costs, alarms};
use super::event::Event;
use super::finishing::Finishing;
use super::learning::{course, lift_out, look, moved_by};
use super::log::{self};
use super::pot::PotNow;
use super::probes::Trace;
use super::reckoning::{AtWork, KEEPS_MIN, OnItsSheet, Reckoning, lift_at};
use super::standing::Standing;
use super::status::Status;
use super::task::CookTask;
use super::view::{Band, CookView, Prediction, moved_words, now_and_next, prediction, states, tender_at, words};
use crate::clock::{minutes_between, plus_minutes};
use crate::error::Result;
use crate::kitchen::Kitchen;
use crate::learn::learned;
use crate::plan::Plan;
use crate::sheet::{Ready, Settled, Task, TaskId, lay, steps};
use ergastic_words::{Instant, cook as say};
use jiff::Timestamp;

/// Folds a plan and what happened into what is so at `now`.
///
/// # Errors
/// Names the plan's field that can't be used, or an event that can't be so: who keeps events folds them first, and keeps none
/// that can't be folded.
pub fn view(
    plan: &Plan,
    kitchen: &Kitchen,
    opened_at: Timestamp,
    events: &[Event],
    traces: &[Trace],
    now: Timestamp,
) -> Result<CookView> {
    let standing = Standing::of(events);
    let plan = &Plan { serve_at: standing.serve_at().unwrap_or(plan.serve_at), ..plan.clone() };
    let facts = AtWork::of(plan, kitchen, opened_at, &standing, traces, now);
    let left_open = facts.left_open_since(now);
    let (read_at, now) = (now, facts.now);
    let reckoning = Reckoning::of(&facts)?;
    let hours = HoursNow::of(plan, &standing, &reckoning, now);
    let tasks = states(
        hours.tasks(plan, &standing, &reckoning, opened_at)?,
        &standing,
        hours.tender_at,
        standing.closed().map_or(now, |(at, _)| at),
        kitchen.voice(),
    );
    let folded = Folded { plan, standing: &standing, reckoning: &reckoning, hours, left_open, now, read_at };
    Ok(folded.view(kitchen, events, tasks))
}

/// The hours of a cook as they stand: as it was laid where it keeps that, else as it goes.
struct HoursNow {
    /// Laid on its meal's sheet, which it keeps.
    keeps: bool,
    planned: Timestamp,
    from: Timestamp,
    tender_at: Option<Timestamp>,
    wanted: Timestamp,
    lift_at: Timestamp,
    served_at: Timestamp,
}

impl HoursNow {
    fn of(plan: &Plan, standing: &Standing, reckoning: &Reckoning, now: Timestamp) -> Self {
        let worked = reckoning.worked();
        let (on_the_heat, closed) = (standing.on_the_heat(), standing.closed());
        let lifted = steps(plan, worked, 0.0).lifted();
        let sheet = OnItsSheet::of(plan, lifted, on_the_heat, closed.map_or(now, |(at, _)| at));
        let planned = sheet.as_ref().map_or(reckoning.planned_heat_on_at, |sheet| sheet.on_the_heat);
        let from = on_the_heat.unwrap_or(if closed.is_some() { planned } else { planned.max(now) });
        let tender_at = on_the_heat.and_then(|_| tender_at(standing, worked.case.main().eaten_as));
        let finishing_min = worked.durations.finishing_min();
        let wanted = sheet.as_ref().map_or(plus_minutes(plan.serve_at, -finishing_min), |sheet| sheet.lift);
        let lift_at = lift_at(standing, worked, tender_at, from, wanted, now);
        // Lifted as it was laid, it is finished as it was laid.
        let sheet = sheet.filter(|sheet| minutes_between(sheet.lift, lift_at) <= KEEPS_MIN);
        let served_at = sheet.as_ref().map_or(plus_minutes(lift_at, finishing_min), |sheet| sheet.serve);
        Self { keeps: sheet.is_some(), planned, from, tender_at, wanted, lift_at, served_at }
    }

    fn tasks(
        &self,
        plan: &Plan,
        standing: &Standing,
        reckoning: &Reckoning,
        opened_at: Timestamp,
    ) -> Result<Vec<Task>> {
        let hours = if self.keeps { &plan.laid[..] } else { &plan.pins[..] };
        let not_before = if standing.on_the_heat().is_none() { Some(opened_at) } else { None };
        lay(plan, reckoning.worked(), self.from, self.lift_at, not_before, hours)
    }
}

/// A cook folded, before it is told.
struct Folded<'a> {
    plan: &'a Plan,
    standing: &'a Standing<'a>,
    reckoning: &'a Reckoning,
    hours: HoursNow,
    left_open: Option<Timestamp>,
    now: Timestamp,
    read_at: Timestamp,
}

impl Folded<'_> {
    fn status(&self) -> Status {
        Status::of(self.standing, self.hours.tender_at)
    }

    /// Since when the meat is over the heat, while it is.
    fn cooking(&self) -> Option<Timestamp> {
        self.standing.on_the_heat().filter(|_| matches!(self.status(), Status::UnderWay))
    }

    fn since_heat_min(&self) -> Option<f64> {
        self.standing.on_the_heat().map(|from| minutes_between(from, self.now))
    }

    fn band(&self, worked: &Settled, until: Timestamp) -> Band {
        let (ready, overcooked) = worked.bands(&self.plan.name, self.hours.from, until);
        Band { ready, overcooked }
    }

    /// Nothing is asked of who has closed it, or left it open.
    fn rests(&self) -> bool {
        self.standing.closed().is_some() || self.left_open.is_some()
    }

    fn rings(&self, tasks: &[CookTask]) -> Vec<Alarm> {
        if self.rests() {
            return Vec::new();
        }
        let worked = self.reckoning.worked();
        let costs = Costs {
            worked,
            on_the_heat: self.cooking(),
            serve_at: self.plan.serve_at,
            served_at: self.hours.served_at,
        };
        // Once the meat is lifted its probe is out, and nothing is wrong with that.
        let lifted = self.standing.done(TaskId::Lift).is_some();
        let watched = if lifted { &[][..] } else { &self.reckoning.so_far.probes[..] };
        alarms(tasks, watched, self.standing, &costs, self.now, worked.case.voice)
    }

    fn words(&self, ready: &Ready, prediction: &Prediction) -> String {
        let worked = self.reckoning.worked();
        match self.left_open {
            Some(since) => {
                let (zone, read_at) = (worked.zone.clone(), Some(self.read_at));
                worked.case.voice.render(say::left_open(Instant { at: since, zone, read_at }))
            }
            None => words(self.status(), worked, ready, self.plan.serve_at, self.hours.served_at, prediction),
        }
    }

    fn before_latest(&self) -> Option<Ready> {
        let before = self.reckoning.worked().update.before_latest_s.filter(|_| self.cooking().is_some());
        before.map(|ready_s| {
            let [p10, p50, p90] = ready_s.map(|s| s.map(|s| plus_minutes(self.hours.from, s / 60.0)));
            Ready { dish: self.plan.name.clone(), p10, p50, p90, chance: 0.0 }
        })
    }

    fn asks(&self, pot: &PotNow) -> actions::Asks {
        let worked = self.reckoning.worked();
        let stage = actions::running(worked, self.since_heat_min().unwrap_or_default());
        let open = self.standing.on_the_heat().is_some() && self.status() != Status::Closed;
        actions::Asks::of(open, pot, stage, worked)
    }

    fn view(&self, kitchen: &Kitchen, events: &[Event], tasks: Vec<CookTask>) -> CookView {
        let (plan, standing, hours, now) = (self.plan, self.standing, &self.hours, self.now);
        let (worked, so_far, cooking) = (self.reckoning.worked(), &self.reckoning.so_far, self.cooking());
        let (voice, goal, update) = (worked.case.voice, worked.case.main().goal, &worked.update);
        let finishing = Finishing::of(standing);
        let pot = PotNow::of(worked, standing, &finishing);
        let lines = log::lines(events, standing, &tasks, &worked.zone, voice);
        let (now_task, next_task) = if self.rests() { (None, None) } else { now_and_next(&tasks, now) };
        let in_hand = |id| actions::now(&tasks, (id, next_task), self.status(), worked, self.since_heat_min());
        let band = self.band(worked, hours.lift_at);
        let predicted = self.band(&self.reckoning.before, hours.wanted.max(hours.from));
        let prediction = prediction(&self.reckoning.before, standing.on_the_heat(), hours.tender_at);
        CookView {
            status: self.status(),
            heat_on_at: standing.on_the_heat(),
            planned_heat_on_at: hours.planned,
            now_task,
            next_task,
            words: self.words(&band.ready, &prediction),
            left_open_since: self.left_open,
            before_latest: self.before_latest(),
            moved: cooking.map(|_| moved_by(worked, voice)).unwrap_or_default(),
            moved_words: voice.render(moved_words(&predicted.ready, &band.ready, cooking.is_some())),
            band,
            predicted,
            course: standing.on_the_heat().map(|from| course(worked, from)).unwrap_or_default(),
            look: cooking.and_then(|from| look(worked, from, now, voice)),
            lift_out: lift_out(worked, hours.from, now, voice),
            probes: so_far.probes.clone(),
            heat_off_since: so_far.heat_off_since,
            passed_over: so_far.passed_over.clone(),
            alarms: self.rings(&tasks),
            serve_at: plan.serve_at,
            tender_at: hours.tender_at,
            lift_at: hours.lift_at,
            served_at: hours.served_at,
            late_min: minutes_between(plan.serve_at, hours.served_at).max(0.0).ceil(),
            tenderness: update.tenderness,
            goal: [goal.enough / goal.toughness, goal.overcooked / goal.toughness],
            findings: so_far.findings,
            effective: update.effective,
            surprising: update.surprising,
            pot,
            undo: log::last(&lines, false),
            redo: log::last(&lines, true),
            log: lines,
            now: now_task.and_then(in_hand),
            asks: self.asks(&pot),
            sauce: pot.sauce(plan, kitchen, worked, &finishing),
            take_out: finishing.out_of_the_pot(plan, worked),
            outcome: standing.closed().map(|(_, outcome)| outcome.clone()),
            prediction,
            learned: standing.closed().map(|_| learned(&worked.case, update)).unwrap_or_default(),
            tasks,
        }
    }
}
