//! A dish that is being cooked: its tasks are those of its cook, and the others are laid around them.

use crate::kitchen::ThingKind;
use jiff::Timestamp;
use uuid::Uuid;

use crate::sheet::{Ready, Settled, TakenSpan, Task, set_c};

/// A task of a dish that is being cooked.
#[derive(Debug, Clone, PartialEq)]
pub struct CookedTask {
    /// The task.
    pub task: Task,
    /// It is done or passed.
    pub done: bool,
    /// Who has it in hand.
    pub hands: Option<String>,
    /// The same in words; empty where nobody has.
    pub taken: String,
}

/// A dish that is being cooked, as its cook stands.
#[derive(Debug, Clone, PartialEq)]
pub struct UnderWay {
    /// Its cook.
    pub id: Uuid,
    /// Its tasks.
    pub tasks: Vec<CookedTask>,
    /// When it is tender.
    pub ready: Ready,
    /// When it goes too far if the heat simply stays on.
    pub overcooked: Ready,
    /// Plates on the table.
    pub served_at: Timestamp,
}

impl UnderWay {
    /// Hands and things that it still takes.
    pub(super) fn takes<'a>(&'a self, worked: &'a Settled) -> impl Iterator<Item = TakenSpan> + 'a {
        let open = self.tasks.iter().filter(|cooked| !cooked.done && cooked.task.end > cooked.task.start);
        open.filter_map(|CookedTask { task, .. }| {
            let thing = if task.hands_on { ThingKind::Hands } else { ThingKind::of_lane(task.lane)? };
            Some(TakenSpan::new(thing, set_c(worked, task), task.start, task.end))
        })
    }
}
