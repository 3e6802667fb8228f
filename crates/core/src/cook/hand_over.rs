//! The state of the kitchen in ten lines, for whoever takes the next shift; and one dish in a line, to be read from afar.

use ergastic_words::{Instant, Message, Temperature, Voice, Volume, cook as say};
use jiff::Timestamp;
use jiff::tz::TimeZone;
use serde::{Deserialize, Serialize};
use serde_with::skip_serializing_none;
use utoipa::ToSchema;
use uuid::Uuid;

use super::alarms::Alarm;
use super::event::Happened;
use super::probes::ProbeNow;
use super::status::Status;
use super::view::{Band, CookView};

/// As many lines as a hand-over has.
const LINES: usize = 10;

/// What comes next.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct NextUp {
    /// What.
    pub what: String,
    /// When.
    pub at: Timestamp,
}

/// One dish that is being cooked, as it is read from afar.
#[skip_serializing_none]
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct OnTheHeat {
    /// Its cook.
    pub id: Uuid,
    /// What it is called.
    pub name: String,
    /// How many eat.
    pub people: u32,
    /// How far it has come.
    pub status: Status,
    /// What there is to do now.
    pub act: String,
    /// It goes on by itself: nothing for the hands.
    pub waits: bool,
    /// Who has it in hand, or what comes next while it goes on by itself, in words; empty where nobody has.
    pub taken: String,
    /// When that begins.
    pub from: Option<Timestamp>,
    /// What its clock counts to.
    pub until: Option<Timestamp>,
    /// What comes next for the hands.
    pub next: Option<NextUp>,
    /// What comes after that.
    pub later: Option<NextUp>,
    /// When the meat met the heat, or is to.
    pub heat_on_at: Timestamp,
    /// When it is tender.
    pub band: Band,
    /// Found tender.
    pub tender_at: Option<Timestamp>,
    /// When plates are wanted.
    pub serve_at: Timestamp,
    /// Minutes after that.
    pub late_min: f64,
    /// What rings, and will.
    pub alarms: Vec<Alarm>,
    /// Its probes, without their traces.
    pub probes: Vec<ProbeNow>,
    /// Its dinner is long over, and nobody has told of it since then.
    pub left_open_since: Option<Timestamp>,
    /// That some of what happened can't be read, and it goes on without it.
    pub unread: Option<String>,
    /// Its lines for the hand-over.
    pub lines: Vec<String>,
}

/// That so many things that happened can't be read; none where all can.
pub fn unread_in(things: usize, voice: Voice) -> Option<String> {
    (things > 0).then(|| voice.render(say::unread(things as u32)))
}

impl OnTheHeat {
    /// One cook as it stands.
    pub fn of(
        id: Uuid,
        name: &str,
        people: u32,
        view: &CookView,
        now: Timestamp,
        zone: &TimeZone,
        voice: Voice,
    ) -> Self {
        let open = |wanted| view.tasks.iter().map(|task| &task.task).find(|task| Some(task.id) == wanted);
        let up = |task: &crate::sheet::Task| NextUp { what: task.what.clone(), at: task.start };
        let next = open(view.next_task);
        let later = next.and_then(|next| {
            let open =
                |task: &&super::task::CookTask| task.state == super::task::TaskState::Open && !task.task.kind.waits();
            view.tasks
                .iter()
                .filter(open)
                .map(|task| &task.task)
                .find(|task| task.start >= next.start && task.id != next.id && Some(task.id) != view.now_task)
        });
        let probes = view.probes.iter().map(|probe| ProbeNow { points: Vec::new(), ..probe.clone() }).collect();
        Self {
            id,
            name: name.to_owned(),
            people,
            status: view.status,
            act: view.now.as_ref().map_or_else(|| view.words.clone(), |now| now.act.clone()),
            taken: in_hand(view),
            waits: view.now.as_ref().is_none_or(|now| now.waits),
            from: view.now.as_ref().map(|now| now.from),
            until: view.now.as_ref().map(|now| now.until),
            next: next.map(up),
            later: later.map(up),
            heat_on_at: view.heat_on_at.unwrap_or(view.planned_heat_on_at),
            band: view.band.clone(),
            tender_at: view.tender_at,
            serve_at: view.serve_at,
            late_min: if view.left_open_since.is_some() { 0.0 } else { view.late_min },
            alarms: view.alarms.clone(),
            probes,
            left_open_since: view.left_open_since,
            unread: None,
            lines: lines(name, people, view, now, zone, voice),
        }
    }

    /// The same where so many things that happened can't be read: it says so, also to who takes the next shift.
    #[must_use]
    pub fn going_on_without(mut self, things: usize, voice: Voice) -> Self {
        self.unread = unread_in(things, voice);
        if let Some(said) = &self.unread {
            self.lines[0] = format!("{} {said}", self.lines[0]);
        }
        self
    }
}

fn in_hand(view: &CookView) -> String {
    let now = view.now.as_ref().filter(|now| !now.waits).map(|now| now.task).or(view.next_task);
    let task = view.tasks.iter().find(|task| Some(task.task.id) == now);
    task.map(|task| task.taken_words.clone()).unwrap_or_default()
}

/// A dish in up to three lines: what it is and what is going on; what comes next and when it is tender; how it stood last.
fn lines(name: &str, people: u32, view: &CookView, now: Timestamp, zone: &TimeZone, voice: Voice) -> Vec<String> {
    let at = |at: Timestamp| Instant { at, zone: zone.clone(), read_at: Some(now) };
    let name = Message::text(name.to_owned());
    let act = view.now.as_ref().map_or_else(|| view.words.clone(), |now| now.act.clone());
    let mut lines = vec![voice.render(say::over_dish(name, people, at(view.serve_at), Message::text(act)))];
    let next = view.next_task.and_then(|id| view.tasks.iter().find(|task| task.task.id == id));
    let ready = view.band.ready.p10.zip(view.band.ready.p90).filter(|_| view.status == Status::UnderWay);
    let said = match (next, ready, view.tender_at) {
        (Some(next), Some((quick, slow)), _) => Some(say::over_next_and_band(
            at(next.task.start),
            Message::text(next.task.what.clone()),
            at(quick),
            at(slow),
        )),
        (Some(next), None, Some(tender)) => {
            Some(say::over_next_tender(at(next.task.start), Message::text(next.task.what.clone()), at(tender)))
        }
        (Some(next), None, None) => Some(say::over_next(at(next.task.start), Message::text(next.task.what.clone()))),
        _ => None,
    };
    lines.extend(said.map(|said| voice.render(said)));
    let found = |line: &&super::log::LogLine| {
        let own =
            matches!(line.event.happened, Happened::Heard { .. } | Happened::Later { .. } | Happened::ProbePut { .. });
        !line.undone && !own
    };
    let last = view.log.iter().rev().find(found);
    let probe = view.probes.iter().find(|probe| probe.celsius.is_some());
    let stands = match probe {
        Some(probe) => say::over_probe(
            Message::text(probe.probe.clone()),
            Temperature(probe.celsius.unwrap_or_default()),
            Message::text(probe.words.clone()),
        ),
        None if view.pot.liquid_l > 0.05 => say::over_pot(Volume(view.pot.liquid_l)),
        None => Message::nothing(),
    };
    let line = match last {
        Some(last) => say::over_last(at(last.at), Message::text(last.words.clone()), stands),
        None => stands,
    };
    let line = voice.render(line);
    lines.extend(Some(line.trim_end().to_owned()).filter(|line| !line.is_empty()));
    lines
}

/// The dish with the nearest bell first; those left open after all that are followed.
pub fn in_their_order(dish: &OnTheHeat) -> (bool, Timestamp) {
    (dish.left_open_since.is_some(), dish.serve_at)
}

/// Ten lines at the most for all that is being cooked: the dish with the nearest bell first, each with as many of its lines as
/// there is room for.
pub fn hand_over(dishes: &[OnTheHeat], now: Timestamp, zone: &TimeZone, voice: Voice) -> Vec<String> {
    let ringing =
        dishes.iter().flat_map(|dish| &dish.alarms).filter(|alarm| !alarm.heard && alarm.rings_at <= now).count();
    let head =
        say::over_head(Instant { at: now, zone: zone.clone(), read_at: None }, dishes.len() as u32, ringing as u32);
    let mut lines = vec![voice.render(head)];
    let mut dishes: Vec<&OnTheHeat> = dishes.iter().collect();
    dishes.sort_by_key(|dish| in_their_order(dish));
    let each = ((LINES - 1) / dishes.len().max(1)).clamp(1, 3);
    lines.extend(dishes.iter().flat_map(|dish| dish.lines.iter().take(each).cloned()).take(LINES - 1));
    lines
}
