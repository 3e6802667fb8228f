//! A task of a cook with what has become of it.

use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use uuid::Uuid;

use crate::sheet::Task;

/// What has become of a task.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum TaskState {
    /// Still to be done.
    Open,
    /// Done.
    Done,
    /// The work went past it.
    Passed,
}

/// Somebody has a task in hand.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct InHand {
    /// Who.
    pub hands: String,
    /// The event that says so: taking it back lets the task go.
    pub event: Uuid,
}

/// A task with its state.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct CookTask {
    /// The task.
    pub task: Task,
    /// What has become of it.
    pub state: TaskState,
    /// When it was done.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub done_at: Option<Timestamp>,
    /// Who has it in hand while it is open.
    pub taken: Vec<InHand>,
    /// The same in words; empty where nobody has.
    pub taken_words: String,
}
