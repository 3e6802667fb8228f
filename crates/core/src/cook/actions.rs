//! What a cook may do now: on the button stands what the tap does.

use ergastic_words::{Message, Voice, Volume, cook as say, sheet};
use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::event::Happened;
use super::kinds::By;
use super::pot::PotNow;
use super::status::Status;
use super::task::{CookTask, TaskState};
use crate::finish::{MIN_SAUCE_L, Seasoned};
use crate::forecast::ResolvedStage;
use crate::heat::pot::Lid;
use crate::kitchen::Lane;
use crate::sheet::{Settled, Task, TaskId, TaskKind};
use crate::tender::Check;
use crate::ways::{Dialled, Set};

/// Where a pot that is done is held, °C.
pub(super) const POT_HOLDS_C: f64 = 70.0;

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
    /// What there is to do, as one says it across the kitchen.
    pub act: String,
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
    /// Ways to test the meat: a fork, turning it, sliding a probe in, wiggling the bone, eating a piece.
    pub ways: Vec<CheckWay>,
    /// What its heat is set to, and may be.
    pub dial: Option<HeatDial>,
    /// How it may be covered, the lid that is on apart.
    pub lids: Vec<Action>,
    /// How the liquid's salt tastes; empty where there is none to taste.
    pub taste: Vec<Action>,
    /// Whether a reading tells anything yet.
    pub measures: bool,
    /// Whether there is liquid that can be poured in, dipped and skimmed.
    pub liquid: bool,
}

/// A way to test the meat.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct CheckWay {
    /// What with.
    pub by: By,
    /// What it is called.
    pub words: String,
    /// What it finds, from firm to soft; each in what is felt.
    pub finds: Vec<Action>,
}

/// What the heat is set to, and may be; logged as a change of that field of the heat.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct HeatDial {
    /// The field of the heat.
    pub field: String,
    /// What it is called.
    pub words: String,
    /// What it is set to, °C.
    pub celsius: f64,
    /// The least it may be set to.
    pub least_c: f64,
    /// The most.
    pub most_c: f64,
}

impl HeatDial {
    fn of(set: &Set, voice: Voice) -> Option<Self> {
        let Dialled { bounds, celsius, .. } = set.way().dial()?;
        let field = bounds.field.trim_start_matches("heat.");
        let words = voice.render(say::dial(field));
        Some(Self { field: field.into(), words, celsius, least_c: bounds.low, most_c: bounds.high })
    }
}

fn lids(stage: &ResolvedStage, voice: Voice) -> Vec<Action> {
    let covers = stage.medium.is_pot() && !stage.medium.facts().locked;
    let others = [Lid::Tight, Lid::Loose, Lid::Ajar, Lid::None].into_iter();
    let others = others.filter(|lid| covers && *lid != stage.pot.lid);
    let change = |lid: Lid| {
        let happened = Happened::Changed { method: None, heat: None, lid: Some(lid), halved: false };
        does(lid.key(), lid.words(), happened, voice)
    };
    others.map(change).collect()
}

fn does(id: &str, words: Message, happened: Happened, voice: Voice) -> Action {
    Action { id: id.into(), words: voice.render(words), happened: Some(happened), leads: None }
}

fn leads(id: &str, words: Message, leads: Leads, voice: Voice) -> Action {
    Action { id: id.into(), words: voice.render(words), happened: None, leads: Some(leads) }
}

fn done(task: TaskId, words: Message, voice: Voice) -> Action {
    let task = task.to_string();
    does(&task.clone(), words, Happened::TaskDone { task }, voice)
}

/// The stage that is running at a time after the meat met the heat.
pub(super) fn running(worked: &Settled, min: f64) -> &ResolvedStage {
    let spans = &worked.forecast.stages;
    let at = spans.iter().position(|span| span.to_min.is_none_or(|to| to > min));
    at.and_then(|at| worked.case.stages.get(at)).unwrap_or_else(|| worked.case.last())
}

/// Liquid that a task asks for, poured in: it is in the pot from then on.
fn poured(task: &Task, voice: Voice) -> Action {
    let litres = (task.pours_l * 100.0).round().max(1.0) / 100.0;
    let happened = Happened::LiquidAdded { litres, celsius: None, task: Some(task.id.to_string()) };
    does("poured", say::poured_in(Volume(litres)), happened, voice)
}

/// What there is to do, as one says it across the kitchen: while it goes on by itself, to leave it as it should be left.
fn act(task: &Task, worked: &Settled, since_heat_min: f64) -> String {
    let (case, stage) = (&worked.case, running(worked, since_heat_min));
    let said = match task.kind {
        TaskKind::Braise => stage.medium.way().leave_it(stage.pot.lid),
        TaskKind::Hold => sheet::leave_hold(),
        TaskKind::Rest => sheet::leave_rest(),
        TaskKind::Release => sheet::leave_release(),
        _ => return task.what.clone(),
    };
    case.voice.render(said)
}

/// The task in hand with what may be done about it.
pub(super) fn now(
    tasks: &[CookTask],
    (id, next): (TaskId, Option<TaskId>),
    status: Status,
    worked: &Settled,
    since_heat_min: Option<f64>,
) -> Option<Now> {
    let (voice, on_the_heat) = (worked.case.voice, since_heat_min.is_some());
    let found = |wanted: TaskId| tasks.iter().map(|found| &found.task).find(|task| task.id == wanted);
    let task = found(id)?;
    let waits = task.kind.waits();
    let until = next.and_then(found).filter(|_| waits).map_or(task.end, |next| next.start);
    let mut actions = match task.kind {
        TaskKind::Simmer if !on_the_heat => {
            vec![does("on_the_heat", say::start_the_clock(), Happened::OnTheHeat {}, voice)]
        }
        // A look is answered by what it finds.
        TaskKind::Braise | TaskKind::Hold | TaskKind::Rest | TaskKind::Release => Vec::new(),
        TaskKind::Check if task.pours_l > 0.0 => vec![poured(task, voice)],
        TaskKind::Check => Vec::new(),
        TaskKind::TopUp => vec![poured(task, voice)],
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
    let act = act(task, worked, since_heat_min.unwrap_or_default());
    Some(Now { task: id, act, waits, from: task.start, until, actions })
}

impl Asks {
    /// What is asked while such a pot is open to be looked at; nothing before it is on the heat or once it is closed.
    pub(super) fn of(open: bool, pot: &PotNow, stage: &ResolvedStage, worked: &Settled) -> Self {
        let (bones, voice) = (worked.case.main().bone_pct > 0.0, worked.case.voice);
        let mut usual = By::ALL;
        // On a grate nobody forks: a probe is slid in.
        if !stage.medium.facts().forked {
            usual.sort_by_key(|by| *by != By::Probe);
        }
        let ways = usual.into_iter().filter(|by| *by != By::Bone || bones);
        let ways = ways.map(|by| CheckWay {
            by,
            words: voice.render(say::check_by(by.key())),
            finds: Check::ALL
                .map(|found| {
                    let felt = say::felt(by.key(), found.key());
                    does(found.key(), felt, Happened::Check { found, by: Some(by) }, voice)
                })
                .into(),
        });
        let taste = |salt: Seasoned| does(salt.key(), say::salt(salt.key()), Happened::Tasted { salt }, voice);
        let in_liquid = open && stage.medium.is_pot();
        let spoonful = in_liquid && pot.liquid_l > MIN_SAUCE_L;
        Self {
            ways: if open { ways.collect() } else { Vec::new() },
            dial: HeatDial::of(&stage.medium, voice).filter(|_| open),
            lids: if open { lids(stage, voice) } else { Vec::new() },
            taste: if spoonful { Seasoned::ALL.map(taste).into() } else { Vec::new() },
            measures: open,
            liquid: in_liquid && !stage.medium.facts().locked,
        }
    }
}
