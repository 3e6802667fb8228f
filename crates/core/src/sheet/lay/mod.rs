//! The tasks of one dish, laid around the moment the meat meets the heat and the moment it is lifted.

mod before;
mod finishing;
mod heat;
mod words;

use ergastic_words::{Said, Voice};
use jiff::Timestamp;

use super::Worked;
use super::tasks::{Lane, Task, TaskId, TaskKind};
use crate::clock::plus_minutes;
use crate::plan::Plan;
use before::before_the_heat;
use finishing::finishing;
use heat::over_the_heat;

/// Collects tasks; each follows the one before unless told otherwise.
struct Layer<'a> {
    dish: &'a str,
    voice: Voice,
    tasks: Vec<Task>,
}

/// A task before it has its dish and its place in the row.
struct Draft {
    id: TaskId,
    kind: TaskKind,
    lane: Lane,
    what: Said,
    why: Said,
    start: Timestamp,
    minutes: f64,
    hands_on: bool,
}

impl Layer<'_> {
    fn add(&mut self, draft: Draft) -> &mut Task {
        let after = self.tasks.last().map(|task| task.id).into_iter().collect();
        self.tasks.push(Task {
            id: draft.id,
            dish: self.dish.to_owned(),
            what: self.voice.say(draft.what),
            why: self.voice.say(draft.why),
            kind: draft.kind,
            lane: draft.lane,
            start: draft.start,
            end: plus_minutes(draft.start, draft.minutes),
            hands_on: draft.hands_on,
            after,
            window: None,
            cautions: Vec::new(),
        });
        self.tasks.last_mut().expect("just pushed")
    }
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
    over_the_heat(&mut layer, worked, met_heat, lift_at);
    finishing(&mut layer, plan, worked, lift_at);
    let mut tasks = layer.tasks;
    tasks.sort_by_key(|task| (task.start, task.kind));
    tasks
}
