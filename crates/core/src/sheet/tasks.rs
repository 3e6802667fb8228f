//! What a task on a sheet is.

use std::fmt;
use std::str::FromStr;

use jiff::Timestamp;
use serde::{Deserialize, Deserializer, Serialize, Serializer};
use utoipa::ToSchema;

use crate::safety::Caution;
use crate::ways::Lane;

/// What kind of task it is, in the order of the work.
#[derive(Debug, Clone, Copy, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum TaskKind {
    /// Salting.
    Salt,
    /// Out of the fridge.
    TakeOut,
    /// Something gets hot.
    Preheat,
    /// The pan gets hot.
    HeatPan,
    /// A batch is browned.
    Sear,
    /// The last step before the heat.
    Deglaze,
    /// The meat meets the heat.
    Simmer,
    /// It goes on by itself.
    Braise,
    /// A look.
    Check,
    /// Something goes in.
    Add,
    /// From one heat to the next.
    Move,
    /// It waits hot.
    Hold,
    /// Out of the heat.
    Lift,
    /// It rests.
    Rest,
    /// The fat comes off.
    Skim,
    /// The sauce.
    Sauce,
    /// It is cut up.
    Slice,
    /// To the plates.
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

/// A task's name in its sheet; other tasks refer to it by this.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Hash, PartialOrd, Ord)]
pub enum TaskId {
    /// Salting.
    Salt,
    /// Out of the cold.
    TakeOut,
    /// What has to get hot.
    Preheat,
    /// The pan.
    HeatPan,
    /// A batch, from 1.
    Sear(u32),
    /// Aromatics, deglazing, bagging or rubbing.
    Deglaze,
    /// The meat meets the heat.
    Simmer,
    /// A stage before the last, from 1.
    Stage(u32),
    /// From one stage to the next, from 1.
    Move(u32),
    /// The last stage, which ends tender.
    Braise,
    /// A look, from 1.
    Check(u32),
    /// Something put in, from 1.
    Add(u32),
    /// Waiting hot.
    Hold,
    /// Out of the heat.
    Lift,
    /// Skimming.
    Skim,
    /// The sauce.
    Sauce,
    /// The rest.
    Rest,
    /// Cut up.
    Slice,
    /// To the plates.
    Serve,
}

impl fmt::Display for TaskId {
    fn fmt(&self, formatter: &mut fmt::Formatter) -> fmt::Result {
        let (name, number) = match self {
            Self::Salt => ("salt", None),
            Self::TakeOut => ("take_out", None),
            Self::Preheat => ("preheat", None),
            Self::HeatPan => ("heat_pan", None),
            Self::Sear(batch) => ("sear", Some(batch)),
            Self::Deglaze => ("deglaze", None),
            Self::Simmer => ("simmer", None),
            Self::Stage(number) => ("stage", Some(number)),
            Self::Move(number) => ("move", Some(number)),
            Self::Braise => ("braise", None),
            Self::Check(number) => ("check", Some(number)),
            Self::Add(number) => ("add", Some(number)),
            Self::Hold => ("hold", None),
            Self::Lift => ("lift", None),
            Self::Skim => ("skim", None),
            Self::Sauce => ("sauce", None),
            Self::Rest => ("rest", None),
            Self::Slice => ("slice", None),
            Self::Serve => ("serve", None),
        };
        match number {
            None => formatter.write_str(name),
            Some(number) => write!(formatter, "{name}_{number}"),
        }
    }
}

/// Not the name of a task.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct NoTask;

impl fmt::Display for NoTask {
    fn fmt(&self, formatter: &mut fmt::Formatter) -> fmt::Result {
        formatter.write_str("a task's id")
    }
}

impl FromStr for TaskId {
    type Err = NoTask;

    fn from_str(text: &str) -> Result<Self, NoTask> {
        let numbered = text.rsplit_once('_').and_then(|(name, number)| Some((name, number.parse().ok()?)));
        Ok(match (text, numbered) {
            ("salt", _) => Self::Salt,
            ("take_out", _) => Self::TakeOut,
            ("preheat", _) => Self::Preheat,
            ("heat_pan", _) => Self::HeatPan,
            ("deglaze", _) => Self::Deglaze,
            ("simmer", _) => Self::Simmer,
            ("braise", _) => Self::Braise,
            ("hold", _) => Self::Hold,
            ("lift", _) => Self::Lift,
            ("skim", _) => Self::Skim,
            ("sauce", _) => Self::Sauce,
            ("rest", _) => Self::Rest,
            ("slice", _) => Self::Slice,
            ("serve", _) => Self::Serve,
            (_, Some(("sear", number))) => Self::Sear(number),
            (_, Some(("stage", number))) => Self::Stage(number),
            (_, Some(("move", number))) => Self::Move(number),
            (_, Some(("check", number))) => Self::Check(number),
            (_, Some(("add", number))) => Self::Add(number),
            _ => return Err(NoTask),
        })
    }
}

impl Serialize for TaskId {
    fn serialize<S: Serializer>(&self, serializer: S) -> Result<S::Ok, S::Error> {
        serializer.collect_str(self)
    }
}

impl<'de> Deserialize<'de> for TaskId {
    fn deserialize<D: Deserializer<'de>>(deserializer: D) -> Result<Self, D::Error> {
        String::deserialize(deserializer)?.parse().map_err(serde::de::Error::custom)
    }
}

/// One task.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Task {
    /// Unique in its sheet.
    #[schema(value_type = String)]
    pub id: TaskId,
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
    #[schema(value_type = Vec<String>)]
    pub after: Vec<TaskId>,
    /// When it may happen, where that is wider than from–to.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub window: Option<Window>,
    /// Cautions at this step.
    pub cautions: Vec<Caution>,
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn a_task_is_known_by_its_name_and_number() {
        for id in [TaskId::TakeOut, TaskId::HeatPan, TaskId::Sear(2), TaskId::Check(7), TaskId::Lift, TaskId::Add(11)] {
            assert_eq!(id.to_string().parse(), Ok(id));
        }
        assert_eq!(("check_".parse::<TaskId>(), "lunch".parse::<TaskId>()), (Err(NoTask), Err(NoTask)));
    }
}
