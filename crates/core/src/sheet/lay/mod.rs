//! The tasks of one dish, laid around the moment the meat meets the heat and the moment it is lifted.

mod before;
mod finishing;
mod heat;
mod layer;
mod words;

use jiff::Timestamp;

use super::tasks::Task;
use super::worked::Worked;
use crate::clock::minutes_between;
use crate::plan::Plan;
use crate::ways::Lane;
use before::before_the_heat;
use finishing::finishing;
use heat::over_the_heat;
use layer::Layer;

/// Minutes of a pair of hands in some tasks.
pub fn hands_on_min(tasks: &[Task]) -> f64 {
    tasks.iter().filter(|task| task.hands_on).map(|task| minutes_between(task.start, task.end)).sum()
}

/// Lays the tasks of a plan whose meat meets the heat at `met_heat` and is lifted at `lift_at`.
///
/// With `not_before`, salting and taking out are squeezed to what time is left after it.
pub fn lay(
    plan: &Plan,
    worked: &Worked,
    met_heat: Timestamp,
    lift_at: Timestamp,
    not_before: Option<Timestamp>,
) -> Vec<Task> {
    let mut layer = Layer { dish: &plan.name, voice: worked.case.voice, tasks: Vec::new() };
    before_the_heat(&mut layer, plan, worked, met_heat, not_before);
    over_the_heat(&mut layer, plan, worked, met_heat, lift_at);
    finishing(&mut layer, plan, worked, lift_at);
    let mut tasks = layer.tasks;
    for task in tasks.iter_mut().filter(|task| task.lane == Lane::Hob) {
        task.lane = worked.flame;
    }
    tasks.sort_by_key(|task| (task.start, task.kind));
    tasks
}
