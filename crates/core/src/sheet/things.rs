//! Which things of the kitchen a sheet takes, and from when to when.

use ergastic_words::Voice;
use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::tasks::{Conflict, Task, TaskKind};
use crate::kitchen::Kitchen;
use crate::kitchen::Used;
use crate::plan::Plan;

/// What a thing is taken for.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum TakenAs {
    /// The dish stands in it.
    Pot,
    /// It heats the dish; of a chain, its first stage.
    Heat,
    /// It is seared in it.
    Pan,
    /// The pan stands on it, then the pot until it simmers.
    Burner,
}

/// A thing with a name, taken by a dish from one moment to another.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct ThingTaken {
    /// The thing.
    pub thing: String,
    /// What it is called.
    pub name: String,
    /// What it is taken for.
    pub taken_as: TakenAs,
    /// From.
    pub from: Timestamp,
    /// To.
    pub to: Timestamp,
    /// It is lent out.
    pub lent: bool,
}

/// The first start and the last end of tasks of some kinds.
fn span(tasks: &[Task], kinds: &[TaskKind]) -> Option<(Timestamp, Timestamp)> {
    let of = || tasks.iter().filter(|task| kinds.contains(&task.kind));
    Some((of().map(|task| task.start).min()?, of().map(|task| task.end).max()?))
}

/// Every thing the dish takes, from its tasks.
pub(crate) fn taken(plan: &Plan, kitchen: &Kitchen, tasks: &[Task]) -> Vec<ThingTaken> {
    let pan = span(tasks, &[TaskKind::HeatPan, TaskKind::Sear]);
    let burner = span(tasks, &[TaskKind::HeatPan, TaskKind::Sear, TaskKind::Simmer]);
    let pot = span(tasks, &[TaskKind::Deglaze, TaskKind::Simmer, TaskKind::Braise, TaskKind::Skim, TaskKind::Sauce]);
    let heat = tasks.iter().find(|task| task.kind == TaskKind::Braise).and_then(|braise| {
        // From the first warmth to the end of the hold, where it waits in the same.
        let there: Vec<_> = tasks.iter().filter(|task| task.lane == braise.lane).cloned().collect();
        let (from, to) = span(&there, &[TaskKind::Preheat, TaskKind::Braise, TaskKind::Hold])?;
        let moved = tasks.iter().filter(|task| task.kind == TaskKind::Move).map(|task| task.start).min();
        Some((from, moved.unwrap_or(to)))
    });
    let found = [
        (TakenAs::Pot, plan.pot_in(kitchen), pot),
        (TakenAs::Heat, plan.heated_by(kitchen), heat),
        (TakenAs::Pan, plan.pan_in(kitchen), pan),
        (TakenAs::Burner, plan.pan_in(kitchen).and_then(|_| plan.burner_in(kitchen)), burner),
    ];
    found
        .into_iter()
        .filter_map(|(taken_as, used, span)| {
            let (Used { id, name, lent }, (from, to)) = (used?, span?);
            Some(ThingTaken { thing: id.to_owned(), name: name.to_owned(), taken_as, from, to, lent })
        })
        .collect()
}

/// What can't be kept because of the things: those that are lent out, and two pans where there is one.
pub(crate) fn short(plan: &Plan, kitchen: &Kitchen, tasks: &[Task], voice: Voice) -> Vec<Conflict> {
    let of = |kinds: &[TaskKind]| -> Vec<_> {
        tasks.iter().filter(|task| kinds.contains(&task.kind)).map(|task| task.id).collect()
    };
    let browned = of(&[TaskKind::Sear]);
    plan.short_of(kitchen, !browned.is_empty())
        .into_iter()
        .map(|(id, said)| {
            let tasks = if id == "two_pans" { browned.clone() } else { of(&[TaskKind::Braise]) };
            Conflict { tasks, text: voice.render(said) }
        })
        .collect()
}
