//! What a task on a sheet is.

use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use crate::safety::Caution;

/// Where a task takes place.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
#[allow(missing_docs)]
pub enum Lane {
    Hands,
    Hob,
    Oven,
    PressurePot,
    Crock,
    Pit,
    Bath,
    Cold,
    Board,
}

/// What kind of task it is, in the order of the work.
#[derive(Debug, Clone, Copy, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
#[allow(missing_docs)]
pub enum TaskKind {
    Salt,
    TakeOut,
    Preheat,
    HeatPan,
    Sear,
    Deglaze,
    Simmer,
    Braise,
    Check,
    Add,
    Move,
    Hold,
    Lift,
    Rest,
    Skim,
    Sauce,
    Slice,
    Serve,
}

/// When something may happen.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Window {
    /// At the earliest.
    pub from: Timestamp,
    /// At the latest.
    pub to: Timestamp,
}

/// One task.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Task {
    /// Unique in its sheet.
    pub id: String,
    /// The dish.
    pub dish: String,
    /// What to do.
    pub what: String,
    /// Why, and what to look for.
    pub why: String,
    /// Its kind.
    pub kind: TaskKind,
    /// Where.
    pub lane: Lane,
    /// From.
    pub start: Timestamp,
    /// To.
    pub end: Timestamp,
    /// The whole span needs a pair of hands.
    pub hands_on: bool,
    /// Tasks that come before.
    pub after: Vec<String>,
    /// When it may happen, where that is wider than from–to.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub window: Option<Window>,
    /// Cautions at this step.
    pub cautions: Vec<Caution>,
}
