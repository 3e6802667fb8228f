//! What a cook sees: now, next and later, the band, and what was predicted.

use ergastic_words::{Join, Message, RoughMinutes, Share, Voice, cook as say, log as told};
use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use uuid::Uuid;

use super::actions::{Asks, Now};
use super::alarms::Alarm;
use super::finishing::{OutOfThePot, done_on_the_way};
use super::kinds::Outcome;
use super::learning::{CoursePoint, LiftOut, LookAt, MovedBy};
use super::log::{LogLine, TakeBack};
use super::pot::PotNow;
use super::probes::ProbeNow;
use super::standing::Standing;
use super::status::Status;
use super::task::{CookTask, TaskState};
use crate::clock::{minutes_between, plus_minutes};
use crate::cuts::EatenAs;
use crate::finish::SauceRequest;
use crate::learn::Learned;
use crate::sheet::{Ready, Settled, Task, TaskId, TaskKind};

/// A logged check this long before a planned look counts as that look, min.
const CHECK_COUNTS_MIN: f64 = 15.0;

/// So close to the middle of the band a cook is right at it, min.
const RIGHT_WITHIN_MIN: f64 = 7.5;

/// Ready and too far, as instants.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Band {
    /// Tender.
    pub ready: Ready,
    /// Gone too far.
    pub overcooked: Ready,
}

/// What was foretold against what came.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Prediction {
    /// Minutes foretold at the start: P10, P50, P90.
    #[schema(min_items = 3, max_items = 3)]
    pub predicted_min: [Option<f64>; 3],
    /// Minutes it took, if it became tender.
    pub took_min: Option<f64>,
    /// Share of simulated cooks that were quicker.
    pub quicker: Option<f64>,
    /// In words.
    pub words: String,
}

/// A cook as it stands.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct CookView {
    /// How far it has come.
    pub status: Status,
    /// Its dinner is long over, and nobody has told of it since then: it is not followed any further, until somebody does.
    pub left_open_since: Option<Timestamp>,
    /// The clock's start.
    pub heat_on_at: Option<Timestamp>,
    /// When the sheet has the meat meet the heat.
    pub planned_heat_on_at: Timestamp,
    /// Every task with its state, in time order.
    pub tasks: Vec<CookTask>,
    /// What to do now.
    #[schema(value_type = Option<String>)]
    pub now_task: Option<TaskId>,
    /// What comes next for the hands.
    #[schema(value_type = Option<String>)]
    pub next_task: Option<TaskId>,
    /// The band after everything found so far.
    pub band: Band,
    /// The band before any of it.
    pub predicted: Band,
    /// When it was tender by all but the latest finding.
    pub before_latest: Option<Ready>,
    /// What each kind of finding did to the band, the one that moved it most first.
    pub moved: Vec<MovedBy>,
    /// How the band stands against what was planned, in a sentence.
    pub moved_words: String,
    /// The middle and what is about it over the whole cook, as reckoned now.
    pub course: Vec<CoursePoint>,
    /// The look that narrows the band most.
    pub look: Option<LookAt>,
    /// The order of lifting out of a mixed pot.
    pub lift_out: Vec<LiftOut>,
    /// The probes of this cook.
    pub probes: Vec<ProbeNow>,
    /// The heat has been off since then; the band is as if it came back now.
    pub heat_off_since: Option<Timestamp>,
    /// Changes that could not be, and changed nothing: whoever keeps events keeps none of these.
    #[serde(skip)]
    pub passed_over: Vec<Uuid>,
    /// What rings, and will.
    pub alarms: Vec<Alarm>,
    /// When plates are wanted, as it is now.
    pub serve_at: Timestamp,
    /// Tender, by the first check that said so or the lifting.
    pub tender_at: Option<Timestamp>,
    /// Planned lifting.
    pub lift_at: Timestamp,
    /// Plates on the table.
    pub served_at: Timestamp,
    /// Minutes after the bell.
    pub late_min: f64,
    /// How tender it is now, on the scale of slice to spoon (resistance taken out): P10, P50, P90.
    #[schema(min_items = 3, max_items = 3)]
    pub tenderness: Option<[f64; 3]>,
    /// What is enough, and what is too far, on the same scale.
    #[schema(min_items = 2, max_items = 2)]
    pub goal: [f64; 2],
    /// Findings the band rests on.
    pub findings: usize,
    /// Simulated cooks that still carry weight.
    pub effective: f64,
    /// A finding that almost no simulated cook foretold.
    pub surprising: bool,
    /// One sentence on where it stands and what would tell most.
    pub words: String,
    /// Liquid, fat, salt and gelatin expected when tender: L, L, g, g.
    pub pot: PotNow,
    /// The task in hand: what it counts to, and what may be done about it.
    pub now: Option<Now>,
    /// What may be logged now.
    pub asks: Asks,
    /// What happened, latest last.
    pub log: Vec<LogLine>,
    /// What would be taken back next.
    pub undo: Option<TakeBack>,
    /// What was taken back last, and would be put back next.
    pub redo: Option<TakeBack>,
    /// What the sauce is worked out from, with what was done to it and what is to be.
    pub sauce: SauceRequest,
    /// What has to come out of the pot, and what is out already.
    pub take_out: Vec<OutOfThePot>,
    /// How it ended.
    pub outcome: Option<Outcome>,
    /// What was foretold against what came, once it is tender.
    pub prediction: Prediction,
    /// What a closed cook has taught of this kitchen.
    #[serde(default)]
    pub learned: Learned,
}

/// The first check that was soft enough, or the lifting.
pub(super) fn tender_at(standing: &Standing, eaten_as: EatenAs) -> Option<Timestamp> {
    let checked = standing.checks().filter(|(_, found)| found.is_enough_for(eaten_as)).map(|(at, _)| at).min();
    checked.or_else(|| standing.done(TaskId::Lift))
}

/// Marks what is done, and what the work has gone past. Once it is found tender nobody looks, feeds or pours any more.
pub(super) fn states(
    tasks: Vec<Task>,
    standing: &Standing,
    tender_at: Option<Timestamp>,
    now: Timestamp,
    voice: Voice,
) -> Vec<CookTask> {
    let on_the_heat = standing.on_the_heat();
    let done_at = |task: &Task| match task.kind {
        TaskKind::Check => standing.done(task.id).or_else(|| {
            standing.checks().map(|(at, _)| at).find(|at| task.start <= plus_minutes(*at, CHECK_COUNTS_MIN))
        }),
        _ => standing.done(task.id).or_else(|| done_on_the_way(standing, task.kind)),
    };
    // The furthest kind of work done; looks and rests are beside the line of work.
    let furthest = tasks
        .iter()
        .filter(|task| !task.kind.is_beside() && done_at(task).is_some())
        .map(|task| task.kind)
        .chain(on_the_heat.map(|_| TaskKind::Simmer))
        .max();
    // Of looks, tending and mopping the latest that is due holds: what was missed before it is not made up for.
    let due = |kind: TaskKind| {
        let due = tasks.iter().filter(|task| task.kind == kind && task.start <= now).map(|task| task.start);
        due.max().filter(|_| matches!(kind, TaskKind::Check | TaskKind::Tend | TaskKind::Mop))
    };
    let [look, tend, mop] = [TaskKind::Check, TaskKind::Tend, TaskKind::Mop].map(due);
    let missed = |task: &Task| {
        let latest = match task.kind {
            TaskKind::Check => look,
            TaskKind::Tend => tend,
            TaskKind::Mop => mop,
            _ => None,
        };
        latest.is_some_and(|latest| task.start < latest)
    };
    tasks
        .iter()
        .map(|task| {
            let done_at = done_at(task);
            // Once the meat is in, the liquid comes to its simmer whether or not someone says so.
            let simmers = task.kind == TaskKind::Simmer && on_the_heat.is_some() && now >= task.end;
            let waited = task.kind.ends_when_tender() || task.id == TaskId::Braise;
            let over = tender_at.is_some() && waited;
            let passed = simmers || over || missed(task) || furthest.is_some_and(|furthest| task.kind < furthest);
            let state = match (done_at, passed) {
                (Some(_), _) => TaskState::Done,
                (None, true) => TaskState::Passed,
                (None, false) => TaskState::Open,
            };
            let taken = if state == TaskState::Open { standing.taken(task.id) } else { Vec::new() };
            let hands = taken.iter().map(|taken| Message::text(taken.hands.clone()));
            let said = say::taken_by(Message::list(hands, Join::And), taken.len() as u32);
            let taken_words = if taken.is_empty() { String::new() } else { voice.render(said) };
            CookTask { task: task.clone(), state, done_at, taken, taken_words }
        })
        .collect()
}

/// The task in hand and the next one for the hands.
pub(super) fn now_and_next(tasks: &[CookTask], now: Timestamp) -> (Option<TaskId>, Option<TaskId>) {
    let open = || tasks.iter().filter(|task| task.state == TaskState::Open);
    let waits = |task: &&CookTask| task.task.kind.waits();
    let hands = || open().filter(|task| !waits(task));
    let due = hands().find(|task| task.task.start <= now);
    // Nothing is due: what goes on by itself is in hand, else the first thing to come.
    let running = || open().find(|task| waits(task) && now < task.task.end);
    let before_heat = || hands().next().filter(|task| task.task.kind <= TaskKind::Simmer);
    let in_hand = due.or_else(before_heat).or_else(running).or_else(|| hands().next());
    let next = hands().find(|task| in_hand.is_none_or(|in_hand| in_hand.task.id != task.task.id));
    let id = |task: &CookTask| task.task.id;
    (in_hand.map(id), next.map(id))
}

pub(super) fn prediction(before: &Settled, on_the_heat: Option<Timestamp>, tender_at: Option<Timestamp>) -> Prediction {
    let predicted_min = [before.ready_min(0.1), before.ready_min(0.5), before.ready_min(0.9)];
    let took_min = on_the_heat.zip(tender_at).map(|(from, to)| minutes_between(from, to));
    let quicker = took_min.map(|took| before.chance_within(took));
    let said = match (took_min, predicted_min) {
        (Some(took), [Some(p10), Some(p50), Some(p90)]) => {
            let (after, apart) = (RoughMinutes(took), RoughMinutes((took - p50).abs()));
            match took {
                took if (took - p50).abs() < RIGHT_WITHIN_MIN => told::right_at_the_middle(after),
                took if took < p10 => told::right_at_the_middle_sooner_than_the_band(after, apart),
                took if took > p90 => told::right_at_the_middle_later_than_the_band(after, apart),
                took if took < p50 => told::right_at_the_middle_before_the_middle(after, apart),
                _ => told::right_at_the_middle_after_the_middle(after, apart),
            }
        }
        (None, [_, Some(p50), _]) => told::half_by(RoughMinutes(p50)),
        _ => told::nothing_predicted(),
    };
    let words = before.case.voice.render(said);
    Prediction { predicted_min, took_min, quicker, words }
}

/// How the band stands against what was planned.
pub(super) fn moved_words(planned: &Ready, now: &Ready, cooking: bool) -> Message {
    let Some((was, is)) = planned.p50.zip(now.p50).filter(|_| cooking) else { return Message::nothing() };
    match minutes_between(was, is) {
        min if min.abs() < 5.0 => say::as_planned(),
        min if min < 0.0 => say::sooner_than_planned(RoughMinutes(-min)),
        min => say::later_than_planned(RoughMinutes(min)),
    }
}

pub(super) fn words(
    status: Status,
    worked: &Settled,
    ready: &Ready,
    serve_at: Timestamp,
    served_at: Timestamp,
    prediction: &Prediction,
) -> String {
    let voice = worked.case.voice;
    match status {
        Status::Closed => prediction.words.clone(),
        Status::Tender => voice.render(say::tender()),
        Status::Before => voice.render(say::before()),
        Status::UnderWay if worked.update.surprising => voice.render(say::surprising()),
        Status::UnderWay => {
            let late = minutes_between(serve_at, served_at);
            // Nobody is surer than 99 in 100, nor less sure than 1.
            let chance = Share(ready.chance.clamp(0.01, 0.99));
            voice.render(match ready.chance {
                _ if late > 5.0 => say::late(RoughMinutes(late)),
                sure if sure >= 0.965 => say::sure(chance),
                _ => say::likely(chance),
            })
        }
    }
}
