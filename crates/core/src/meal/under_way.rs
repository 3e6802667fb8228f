//! A dish that is being cooked: its tasks are those of its cook, and the others are laid around them.

use jiff::Timestamp;

use crate::sheet::{Ready, TakenSpan, Task, Thing, Worked, set_c};

/// A dish that is being cooked, as its cook stands.
#[derive(Debug, Clone, PartialEq)]
pub struct UnderWay {
    /// Its tasks, and whether each is done or passed.
    pub tasks: Vec<(Task, bool)>,
    /// When it is tender.
    pub ready: Ready,
    /// When it goes too far if the heat simply stays on.
    pub too_far: Ready,
    /// Plates on the table.
    pub serve_at: Timestamp,
}

impl UnderWay {
    /// Hands and things that it still takes.
    pub(super) fn takes<'a>(&'a self, worked: &'a Worked) -> impl Iterator<Item = TakenSpan> + 'a {
        let open = self.tasks.iter().filter(|(task, done)| !done && task.end > task.start);
        open.filter_map(|(task, _)| {
            let thing = if task.hands_on { Thing::Hands } else { Thing::of_lane(task.lane)? };
            Some(TakenSpan::new(thing, set_c(worked, task), task.start, task.end))
        })
    }
}
