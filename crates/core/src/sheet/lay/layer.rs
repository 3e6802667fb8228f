//! Tasks as they are laid one after the other.

use ergastic_words::{Said, Voice};
use jiff::Timestamp;

use crate::clock::plus_minutes;
use crate::sheet::tasks::{Task, TaskId, TaskKind};
use crate::ways::Lane;

/// Collects tasks; each follows the one before unless told otherwise.
pub(super) struct Layer<'a> {
    pub dish: &'a str,
    pub voice: Voice,
    pub tasks: Vec<Task>,
}

/// A task before it has its dish and its place in the row.
pub(super) struct Draft {
    pub id: TaskId,
    pub kind: TaskKind,
    pub lane: Lane,
    pub what: Said,
    pub why: Said,
    pub start: Timestamp,
    pub minutes: f64,
    pub hands_on: bool,
}

impl Layer<'_> {
    pub fn add(&mut self, draft: Draft) -> &mut Task {
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
