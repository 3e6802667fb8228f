//! What a task on a sheet is.

use std::fmt;
use std::str::FromStr;

use jiff::Timestamp;
use serde::{Deserialize, Deserializer, Serialize, Serializer};
use utoipa::ToSchema;

use crate::kitchen::Lane;
use crate::ledger::LedgerLine;
use crate::safety::Caution;

/// What kind of task it is, in the order of the work.
#[derive(Debug, Clone, Copy, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum TaskKind {
    /// Trimmed, pierced or tied.
    Trim,
    /// Salting.
    Salt,
    /// In water that draws salt or what clouds a broth.
    Soak,
    /// In a marinade.
    Marinate,
    /// Boiled up once and rinsed.
    Blanch,
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
    /// Cooled, and left in the cold.
    Cool,
    /// The meat meets the heat.
    Simmer,
    /// It goes on by itself.
    Braise,
    /// The fire is seen to.
    Tend,
    /// It is wrapped.
    Wrap,
    /// A coat of mop.
    Mop,
    /// Liquid is poured in.
    TopUp,
    /// A look.
    Check,
    /// Something goes in.
    Add,
    /// Something comes out.
    Remove,
    /// From one heat to the next.
    Move,
    /// Pressure falls.
    Release,
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
    /// What is served beside it.
    Side,
    /// It is cut up.
    Slice,
    /// To the plates.
    Serve,
}

impl TaskKind {
    /// Beside the line of work: that it is done says nothing of what comes before it in the order.
    pub(crate) fn is_beside(self) -> bool {
        matches!(
            self,
            Self::Check
                | Self::Add
                | Self::Remove
                | Self::Move
                | Self::Rest
                | Self::Preheat
                | Self::Tend
                | Self::Wrap
                | Self::Mop
                | Self::TopUp
                | Self::Side
        )
    }

    /// It is done for meat that is not tender yet.
    pub(crate) fn ends_when_tender(self) -> bool {
        matches!(self, Self::Check | Self::TopUp | Self::Tend | Self::Wrap | Self::Mop)
    }

    /// It goes on by itself.
    pub(crate) fn waits(self) -> bool {
        matches!(self, Self::Braise | Self::Hold | Self::Rest | Self::Release)
    }
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
    /// Trimmed.
    Trim,
    /// Studded, hatched or pounded.
    Pierce,
    /// Tied.
    Tie,
    /// Salting, or into the brine.
    Salt,
    /// Out of the brine.
    BrineOut,
    /// Out of the last water.
    SoakOut,
    /// Into the marinade.
    Marinate,
    /// Turned in it.
    MarinateTurn,
    /// Out of it.
    MarinateOut,
    /// Rinsed.
    Rinse,
    /// For a clear broth: into cold water.
    ClearSoak,
    /// Into fresh water.
    ClearWater,
    /// Boiled up once.
    Blanch,
    /// Meat and pot rinsed.
    BlanchRinse,
    /// Out of the cold.
    TakeOut,
    /// A fire is lit, a bath filled, fat melted.
    Light,
    /// What has to get hot.
    Preheat,
    /// Turned in flour.
    Flour,
    /// The pan.
    HeatPan,
    /// Aromatics, deglazing, bagging or rubbing.
    Deglaze,
    /// Cooled in its liquid the day before.
    Cool,
    /// Into the cold for the night.
    IntoCold,
    /// The night there.
    Night,
    /// Out of the cold, its fat lifted off.
    FromCold,
    /// The meat meets the heat.
    Simmer,
    /// The last stage, which ends tender.
    Braise,
    /// Wrapped at the stall.
    Wrap,
    /// The pressure falls.
    Release,
    /// Waiting hot.
    Hold,
    /// Out of the heat.
    Lift,
    /// Skimming.
    Skim,
    /// Dumplings steam on what was skimmed.
    Dumplings,
    /// The sauce.
    Sauce,
    /// The rest.
    Rest,
    /// Cut up.
    Slice,
    /// To the plates.
    Serve,
    /// A soak's water, from 1.
    Soak(u32),
    /// A batch, from 1.
    Sear(u32),
    /// What a later stage needs hot, by its number.
    Warm(u32),
    /// A stage before the last, from 1.
    Stage(u32),
    /// From one stage to the next, from 1.
    Move(u32),
    /// The fire seen to, from 1.
    Tend(u32),
    /// A coat of mop, from 1.
    Mop(u32),
    /// Liquid poured in, from 1.
    TopUp(u32),
    /// A look, from 1.
    Check(u32),
    /// Something put in, from 1.
    Add(u32),
    /// Something taken out, from 1.
    Remove(u32),
    /// What is served beside it is put on, from 1.
    Side(u32),
    /// It cooks.
    SideCook(u32),
    /// It is taken off.
    SideOff(u32),
}

/// The tasks of which a dish has one.
const ALONE: [(TaskId, &str); 36] = [
    (TaskId::Trim, "trim"),
    (TaskId::Pierce, "pierce"),
    (TaskId::Tie, "tie"),
    (TaskId::Salt, "salt"),
    (TaskId::BrineOut, "brine_out"),
    (TaskId::SoakOut, "soak_out"),
    (TaskId::Marinate, "marinate"),
    (TaskId::MarinateTurn, "marinate_turn"),
    (TaskId::MarinateOut, "marinate_out"),
    (TaskId::Rinse, "rinse"),
    (TaskId::ClearSoak, "clear_soak"),
    (TaskId::ClearWater, "clear_water"),
    (TaskId::Blanch, "blanch"),
    (TaskId::BlanchRinse, "blanch_rinse"),
    (TaskId::TakeOut, "take_out"),
    (TaskId::Light, "light"),
    (TaskId::Preheat, "preheat"),
    (TaskId::Flour, "flour"),
    (TaskId::HeatPan, "heat_pan"),
    (TaskId::Deglaze, "deglaze"),
    (TaskId::Cool, "cool"),
    (TaskId::IntoCold, "into_cold"),
    (TaskId::Night, "night"),
    (TaskId::FromCold, "from_cold"),
    (TaskId::Simmer, "simmer"),
    (TaskId::Braise, "braise"),
    (TaskId::Wrap, "wrap"),
    (TaskId::Release, "release"),
    (TaskId::Hold, "hold"),
    (TaskId::Lift, "lift"),
    (TaskId::Skim, "skim"),
    (TaskId::Dumplings, "dumplings"),
    (TaskId::Sauce, "sauce"),
    (TaskId::Rest, "rest"),
    (TaskId::Slice, "slice"),
    (TaskId::Serve, "serve"),
];

/// A task of that number among its like.
type NumberedTask = fn(u32) -> TaskId;

/// Those of which it may have several.
const NUMBERED: [(NumberedTask, &str); 14] = [
    (TaskId::Soak, "soak"),
    (TaskId::Sear, "sear"),
    (TaskId::Warm, "warm"),
    (TaskId::Stage, "stage"),
    (TaskId::Move, "move"),
    (TaskId::Tend, "tend"),
    (TaskId::Mop, "mop"),
    (TaskId::TopUp, "top_up"),
    (TaskId::Check, "check"),
    (TaskId::Add, "add"),
    (TaskId::Remove, "remove"),
    (TaskId::Side, "side"),
    (TaskId::SideCook, "side_cook"),
    (TaskId::SideOff, "side_off"),
];

impl fmt::Display for TaskId {
    fn fmt(&self, formatter: &mut fmt::Formatter) -> fmt::Result {
        if let Some((_, name)) = ALONE.iter().find(|(id, _)| id == self) {
            return formatter.write_str(name);
        }
        let number = self.number();
        let name = NUMBERED.iter().find(|(make, _)| make(number) == *self).map_or("", |(_, name)| name);
        write!(formatter, "{name}_{number}")
    }
}

impl TaskId {
    /// Its number among its like; 0 where it has none.
    pub fn number(self) -> u32 {
        match self {
            Self::Soak(number)
            | Self::Sear(number)
            | Self::Warm(number)
            | Self::Stage(number)
            | Self::Move(number)
            | Self::Tend(number)
            | Self::Mop(number)
            | Self::TopUp(number)
            | Self::Check(number)
            | Self::Add(number)
            | Self::Remove(number)
            | Self::Side(number)
            | Self::SideCook(number)
            | Self::SideOff(number) => number,
            _ => 0,
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
        if let Some((id, _)) = ALONE.iter().find(|(_, name)| *name == text) {
            return Ok(*id);
        }
        let (name, number) = text.rsplit_once('_').ok_or(NoTask)?;
        let number = number.parse().map_err(|_| NoTask)?;
        NUMBERED.iter().find(|(_, known)| *known == name).map(|(make, _)| make(number)).ok_or(NoTask)
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
    /// Liquid that is poured in with it, L.
    #[serde(default)]
    pub pours_l: f64,
    /// What it moves.
    #[serde(default)]
    pub ledger: Vec<LedgerLine>,
}

/// Tasks that can't be kept as they are, in words.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Conflict {
    /// The tasks it concerns.
    #[schema(value_type = Vec<String>)]
    pub tasks: Vec<TaskId>,
    /// What is wrong and what would help.
    pub text: String,
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
