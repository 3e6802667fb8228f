//! What a cook may do now: on the button stands what the tap does.

use ergastic_words::{Said, Voice, cook as say};
use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::event::Happened;
use super::pot::{NO_SPOONFUL_L, PotNow};
use super::status::Status;
use super::task::{CookTask, TaskState};
use crate::finish::Seasoned;
use crate::sheet::{TaskId, TaskKind};
use crate::tender::Check;
use crate::ways::Lane;

/// Where an action leads.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Leads {
    /// To the finishing.
    Finish,
    /// To the closing of the cook.
    Close,
}

/// Something that may be done.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Action {
    /// A stable name.
    pub id: String,
    /// What the tap does.
    pub words: String,
    /// What happens by it, to be appended to the cook.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub happened: Option<Happened>,
    /// Where it leads, in place of that.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub leads: Option<Leads>,
}

/// The task in hand.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Now {
    /// Which.
    #[schema(value_type = String)]
    pub task: TaskId,
    /// It goes on by itself: nothing for the hands.
    pub waits: bool,
    /// When it begins.
    pub from: Timestamp,
    /// What its clock counts to once it has begun.
    pub until: Timestamp,
    /// What may be done, the likeliest first.
    pub actions: Vec<Action>,
}

/// What may be logged.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Asks {
    /// What a fork finds.
    pub fork: Vec<Action>,
    /// How the liquid's salt tastes; empty where there is none to taste.
    pub taste: Vec<Action>,
    /// Whether a reading, a dip or something poured in tells anything yet.
    pub measures: bool,
}

fn does(id: &str, words: Said, happened: Happened, voice: Voice) -> Action {
    Action { id: id.into(), words: voice.say(words), happened: Some(happened), leads: None }
}

fn leads(id: &str, words: Said, leads: Leads, voice: Voice) -> Action {
    Action { id: id.into(), words: voice.say(words), happened: None, leads: Some(leads) }
}

fn done(task: TaskId, words: Said, voice: Voice) -> Action {
    let task = task.to_string();
    does(&task.clone(), words, Happened::TaskDone { task }, voice)
}

/// The task in hand with what may be done about it.
pub(super) fn now(
    tasks: &[CookTask],
    id: TaskId,
    next: Option<TaskId>,
    status: Status,
    met_heat: bool,
    voice: Voice,
) -> Option<Now> {
    let found = |wanted: TaskId| tasks.iter().map(|found| &found.task).find(|task| task.id == wanted);
    let task = found(id)?;
    let waits = matches!(task.kind, TaskKind::Braise | TaskKind::Hold | TaskKind::Rest);
    let until = next.and_then(found).filter(|_| waits).map_or(task.end, |next| next.start);
    let mut actions = match task.kind {
        TaskKind::Simmer if !met_heat => vec![does("met_heat", say::start_the_clock(), Happened::MetHeat {}, voice)],
        // A look is answered by what it finds.
        TaskKind::Check | TaskKind::Braise | TaskKind::Hold | TaskKind::Rest => Vec::new(),
        TaskKind::Skim | TaskKind::Sauce => {
            vec![leads("finish", say::work_out_the_sauce(), Leads::Finish, voice), done(id, say::done(), voice)]
        }
        TaskKind::Serve => vec![leads("close", say::served(), Leads::Close, voice)],
        TaskKind::Simmer if task.lane == Lane::Hob => vec![done(id, say::it_simmers(), voice)],
        _ => vec![done(id, say::done(), voice)],
    };
    let lifted = tasks.iter().any(|found| found.task.kind == TaskKind::Lift && found.state == TaskState::Done);
    if status == Status::Tender && !lifted && task.kind != TaskKind::Lift {
        actions.push(done(TaskId::Lift, say::lift_it_now(), voice));
    }
    Some(Now { task: id, waits, from: task.start, until, actions })
}

impl Asks {
    pub(super) fn of(status: Status, met_heat: bool, pot: &PotNow, voice: Voice) -> Self {
        let open = met_heat && status != Status::Closed;
        let fork = |found: Check| does(found.key(), say::found(found.key()), Happened::Check { found }, voice);
        let taste = |salt: Seasoned| does(salt.key(), say::salt(salt.key()), Happened::Tasted { salt }, voice);
        let spoonful = open && pot.liquid_l > NO_SPOONFUL_L;
        Self {
            fork: if open { Check::ALL.map(fork).into() } else { Vec::new() },
            taste: if spoonful { Seasoned::ALL.map(taste).into() } else { Vec::new() },
            measures: open,
        }
    }
}
