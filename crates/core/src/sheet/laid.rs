//! One dish placed by itself: from its bell back, or around what a cook has done.

use jiff::Timestamp;

use super::broken::broken_promises;
use super::hours::{PlacingFrame, TABLE_WAITS, problem, tasks};
use super::steps::{Steps, steps};
use super::tasks::{Conflict, Task, TaskId};
use super::worked::Settled;
use crate::clock::{Stretch, minutes_between, plus_minutes, spans};
use crate::error::Result;
use crate::kitchen::Kitchen;
use crate::plan::{Plan, PlanPin};
use ergastic_schedule::{Broken, Placed, Placing, Slot, solve};

/// A timetable goes so many days back from serving at the most, min.
pub(crate) const FURTHEST_MIN: f64 = 8.0 * 1440.0;

/// The last hour before bed is nobody's for the board, min.
const BEFORE_BED_MIN: f64 = 60.0;

/// One dish with its hours.
pub(crate) struct Laid {
    pub tasks: Vec<Task>,
    /// The meat meets the heat.
    pub heat_on_at: Timestamp,
    /// The meat is lifted.
    pub lift_at: Timestamp,
    /// Plates on the table.
    pub served_at: Timestamp,
    /// What can't be kept.
    pub conflicts: Vec<Conflict>,
}

/// Nights that are kept away from by choice. Hours that can't be read hinder nobody: a kitchen is saved with good ones.
pub(crate) fn nights(worked: &Settled, around: Timestamp) -> Vec<Stretch> {
    let (from, to) = (plus_minutes(around, -FURTHEST_MIN), plus_minutes(around, 1440.0));
    let nights = spans("asleep", &worked.asleep, from, to, &worked.zone).unwrap_or_default();
    nights.into_iter().map(|night| Stretch { begin: plus_minutes(night.begin, -BEFORE_BED_MIN), ..night }).collect()
}

/// Places a dish for its bell, which is late where that can't be.
///
/// # Errors
/// Names the hours that can't be read.
pub(crate) fn lay_back(
    plan: &Plan,
    worked: &Settled,
    kitchen: &Kitchen,
    ready_min: f64,
    now: Timestamp,
) -> Result<Laid> {
    let asked = steps(plan, worked, ready_min);
    let (from, to) = (plus_minutes(plan.serve_at, -FURTHEST_MIN), plus_minutes(plan.serve_at.max(now), 4.0 * 1440.0));
    let frame = PlacingFrame {
        serve_at: plan.serve_at,
        now: Some(now),
        stock: worked.stock,
        shut: spans("asleep", &kitchen.asleep, from, to, &worked.zone)?,
        nights: nights(worked, plan.serve_at),
        late_price: Some(TABLE_WAITS),
        fixed: Vec::new(),
        taken: Vec::new(),
    };
    let placing = solve(&problem(&[&asked], &frame), 0, &worked.case.how.cancel)?;
    let tasks = tasks(&asked, (&plan.name, 0), 0, &placing, &frame, worked);
    let start = |id| tasks.iter().find(|task| task.id == id).map(|task| task.start);
    let served_at = plus_minutes(plan.serve_at, f64::from(placing.late));
    let broken = broken_promises(&[(&asked, &plan.name)], &placing, worked.case.voice, &[0], &[]);
    let conflicts =
        broken.into_iter().map(|(ids, text)| Conflict { tasks: ids.into_iter().map(|(_, id)| id).collect(), text });
    let conflicts = conflicts.collect();
    Ok(Laid {
        heat_on_at: start(TaskId::Simmer).unwrap_or(served_at),
        lift_at: start(asked.lifted()).unwrap_or(served_at),
        served_at,
        conflicts,
        tasks,
    })
}

/// Places a dish around the two moments that are known of it: the meat meets the heat, and is lifted. Nothing before `not_before`
/// where that can be helped. What has `hours` of its own keeps them, unless something would come out of its order.
///
/// # Errors
/// Nobody waits for it any more.
pub(crate) fn lay(
    plan: &Plan,
    worked: &Settled,
    on_the_heat: Timestamp,
    lift_at: Timestamp,
    not_before: Option<Timestamp>,
    hours: &[PlanPin],
) -> Result<Vec<Task>> {
    let asked = steps(plan, worked, minutes_between(on_the_heat, lift_at).max(0.0));
    let known = [(0, TaskId::Simmer, on_the_heat), (0, asked.lifted(), lift_at)];
    let mut frame = PlacingFrame {
        serve_at: plus_minutes(lift_at, worked.durations.finishing_min()),
        now: not_before,
        stock: worked.stock,
        shut: Vec::new(),
        nights: nights(worked, lift_at),
        late_price: None,
        fixed: known.to_vec(),
        taken: Vec::new(),
    };
    // A block has one beginning: what is known of it is surer than what was laid.
    let free = asked.blocks.iter().filter(|block| !known.iter().any(|(_, id, _)| block.step(*id).is_some()));
    let own = free.flat_map(|block| {
        block.steps.iter().find_map(|step| {
            let hour = hours.iter().find(|hour| hour.task == step.id.to_string())?;
            Some((0, step.id, hour.at?))
        })
    });
    frame.fixed.extend(own);
    let kept = solve(&problem(&[&asked], &frame), 0, &worked.case.how.cancel)?;
    let in_order = !kept.broken.iter().any(|broken| matches!(broken, Broken::OutOfOrder { .. } | Broken::Past { .. }));
    let placing = if in_order || frame.fixed.len() == known.len() {
        kept
    } else {
        frame.fixed.truncate(known.len());
        solve(&problem(&[&asked], &frame), 0, &worked.case.how.cancel)?
    };
    Ok(tasks(&asked, (&plan.name, 0), 0, &placing, &frame, worked))
}

/// How long a wait of the cook's own is where nothing hinders.
#[derive(Clone, Copy, PartialEq, Eq)]
enum Waits {
    /// As short as it may be.
    Least,
    /// As the cook wishes.
    AsWished,
}

/// Where nothing hinders: as soon as can be, whatever the hour.
fn at_once(asked: &Steps, worked: &Settled, waits: Waits) -> Result<(PlacingFrame, Placing)> {
    let frame = PlacingFrame {
        serve_at: Timestamp::UNIX_EPOCH,
        now: Some(Timestamp::UNIX_EPOCH),
        stock: worked.stock,
        shut: Vec::new(),
        nights: Vec::new(),
        late_price: Some(TABLE_WAITS),
        fixed: Vec::new(),
        taken: Vec::new(),
    };
    let mut problem = problem(&[asked], &frame);
    for job in &mut problem.jobs {
        job.grid = None;
        if let (Waits::AsWished, Slot::Before(gaps)) = (waits, &mut job.place) {
            gaps.iter_mut().for_each(|gap| gap.least = gap.least.max(gap.ideal));
        }
    }
    let placing = solve(&problem, 0, &worked.case.how.cancel)?;
    Ok((frame, placing))
}

/// A dish's tasks in their order, where nothing hinders; their hours mean nothing.
pub(crate) fn unhindered(asked: &Steps, plan: &Plan, worked: &Settled) -> Result<Vec<Task>> {
    let (frame, placing) = at_once(asked, worked, Waits::AsWished)?;
    Ok(tasks(asked, (&plan.name, 0), 0, &placing, &frame, worked))
}

/// Minutes from the first thing that has to be done to the meat meeting the heat, where nothing hinders.
pub(crate) fn lead_min(asked: &Steps, worked: &Settled) -> Result<f64> {
    let (_, placing) = at_once(asked, worked, Waits::Least)?;
    let met = asked.blocks.iter().zip(&placing.jobs).find_map(|(block, placed)| {
        let Placed::At(at) = placed else { return None };
        block.step(TaskId::Simmer).map(|step| at + step.at)
    });
    Ok(f64::from(met.unwrap_or(0).max(0)))
}
