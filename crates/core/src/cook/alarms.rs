//! What rings: what has to be done after a wait, a probe that is strange, a pot that will be dry. Each with what a tap does, and
//! what it costs to put it off.
//!
//! An alarm is made of the tasks and of what happened alone, so that every screen rings for the same, a screen that was away
//! rings when it is back, and an answer on one silences all.

use ergastic_words::{Difference, Message, RoughMinutes, Voice, Volume, cook as say};
use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::actions::Action;
use super::event::Happened;
use super::probes::ProbeNow;
use super::standing::Standing;
use super::task::{CookTask, TaskState};
use crate::clock::{minutes_between, plus_minutes};
use crate::sheet::{Settled, Task, TaskKind};

/// Work that follows other work of the same hands within this does not ring, min: who is at it sees it on the screen.
const AT_IT_MIN: f64 = 4.0;
/// An alarm is put off by one of these, min.
const LATER_MIN: [f64; 3] = [5.0, 10.0, 20.0];
/// A pot that will be dry within this rings, min.
const DRY_WITHIN_MIN: f64 = 20.0;

/// By how much the moment at which a trouble began may be seen otherwise later, min.
const SLACK_MIN: f64 = 5.0;

/// How it sounds.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Sound {
    /// Something has to be done.
    Work,
    /// A look is due.
    Look,
    /// Something is wrong.
    Trouble,
}

/// Something that rings until it is answered.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Alarm {
    /// A stable name.
    pub id: String,
    /// How it sounds.
    pub sound: Sound,
    /// When it is due.
    pub at: Timestamp,
    /// When it rings: then, or later, where it was put off.
    pub rings_at: Timestamp,
    /// What there is to do.
    pub words: String,
    /// Why.
    pub why: String,
    /// Somebody has heard it.
    pub heard: bool,
    /// "I am at it."
    pub hear: Action,
    /// Putting it off, each with what that costs.
    pub later: Vec<Action>,
}

/// What an alarm is about, before it is known whether somebody has heard it.
struct Ringing<'a> {
    id: String,
    sound: Sound,
    at: Timestamp,
    words: String,
    why: String,
    task: Option<&'a Task>,
    /// Only what was said of it since then is about this time that it happens. The moment at which something began is seen a little
    /// sooner or later as readings are thinned: it names no alarm.
    since: Option<Timestamp>,
}

/// A trouble that began then: answers from a little before count for it.
fn since(began: Timestamp) -> Option<Timestamp> {
    Some(plus_minutes(began, -SLACK_MIN))
}

/// What bears on what it costs to put something off.
pub(super) struct Costs<'a> {
    pub worked: &'a Settled,
    pub on_the_heat: Option<Timestamp>,
    pub serve_at: Timestamp,
    pub served_at: Timestamp,
}

impl Costs<'_> {
    /// What it costs to do a task so many minutes later.
    fn of(&self, task: &Task, min: f64, now: Timestamp) -> Message {
        let late = |min: f64| {
            let spare = minutes_between(self.served_at, self.serve_at);
            match min - spare.max(0.0) {
                over if over > 0.0 => say::later_plates(RoughMinutes(over.ceil())),
                _ => say::later_in_hand(RoughMinutes((spare - min).max(0.0).floor())),
            }
        };
        let then = plus_minutes(now, min);
        match task.kind {
            TaskKind::TopUp => match self.liquid_at(then) {
                Some(left) => say::later_liquid(Volume(left)),
                None => say::later_nothing(),
            },
            TaskKind::Check => match task.window {
                Some(window) if window.to >= then => say::later_nothing(),
                _ => say::later_blind(RoughMinutes(min)),
            },
            TaskKind::Tend => say::later_fire(),
            TaskKind::Wrap => say::later_wrap(),
            TaskKind::Mop => say::later_nothing(),
            TaskKind::Add => match task.window {
                Some(window) if window.to >= then => say::later_nothing(),
                _ => late(min),
            },
            _ => late(min),
        }
    }

    /// What stands in the pot at an instant, L.
    fn liquid_at(&self, at: Timestamp) -> Option<f64> {
        let min = minutes_between(self.on_the_heat?, at);
        let point = self.worked.forecast.curve.iter().rev().find(|point| point.min <= min)?;
        Some(point.liquid_l)
    }

    /// When the pot will be dry, if it will soon.
    fn dry_at(&self, now: Timestamp) -> Option<Timestamp> {
        let on_the_heat = self.on_the_heat?;
        let case = &self.worked.case;
        let least_l = DRY_MM * case.pot().floor_m2;
        let min = minutes_between(on_the_heat, now);
        let pot = |stage: usize| case.stages.get(stage).is_some_and(|stage| stage.medium.is_pot());
        let dry = self.worked.forecast.curve.iter().find(|point| {
            point.min > 30.0 && point.min <= min + DRY_WITHIN_MIN && pot(point.stage) && point.liquid_l < least_l
        })?;
        Some(plus_minutes(on_the_heat, dry.min))
    }
}

/// Less than this over the floor is dry, mm.
const DRY_MM: f64 = 3.0;

fn action(id: String, words: Message, happened: Happened, voice: Voice) -> Action {
    Action { id, words: voice.render(words), happened: Some(happened), leads: None }
}

/// Tasks that ring: those of the hands that come after a wait.
fn of_tasks(tasks: &[CookTask]) -> Vec<Ringing<'_>> {
    let mut hands: Vec<&CookTask> = tasks.iter().filter(|task| !task.task.kind.waits()).collect();
    hands.sort_by_key(|task| task.task.start);
    let mut busy_until: Option<Timestamp> = None;
    let mut ringing = Vec::new();
    for CookTask { task, state, done_at, .. } in hands {
        let waited = busy_until.is_none_or(|until| minutes_between(until, task.start) >= AT_IT_MIN);
        busy_until = busy_until.max(Some(done_at.unwrap_or(task.end)));
        if *state != TaskState::Open || !waited {
            continue;
        }
        ringing.push(Ringing {
            id: format!("task:{}", task.id),
            sound: if task.kind == TaskKind::Check { Sound::Look } else { Sound::Work },
            at: task.start,
            words: task.what.clone(),
            why: task.why.clone(),
            task: Some(task),
            since: None,
        });
    }
    ringing
}

/// All that rings or will, the soonest first.
pub(super) fn alarms(
    tasks: &[CookTask],
    probes: &[ProbeNow],
    standing: &Standing,
    costs: &Costs,
    now: Timestamp,
    voice: Voice,
) -> Vec<Alarm> {
    let mut ringing = of_tasks(tasks);
    ringing.extend(probes.iter().filter(|probe| probe.rings()).map(|probe| Ringing {
        id: format!("probe:{}:{}", probe.probe, probe.trust.key()),
        sound: Sound::Trouble,
        at: probe.trust_since,
        words: voice.render(say::probe_alarm(Message::text(probe.probe.clone()), probe.trust.key())),
        why: probe.words.clone(),
        task: None,
        since: since(probe.trust_since),
    }));
    ringing.extend(probes.iter().filter_map(|probe| {
        let (off_k, began) = probe.off_k.zip(probe.off_since)?;
        let name = Message::text(probe.probe.clone());
        let (words, why) = match off_k < 0.0 {
            true => (say::too_cool(name, Difference(-off_k)), say::too_cool_why()),
            false => (say::too_hot(name, Difference(off_k)), say::too_hot_why()),
        };
        Some(Ringing {
            id: format!("heat:{}", probe.probe),
            sound: Sound::Trouble,
            at: began,
            words: voice.render(words),
            why: voice.render(why),
            task: None,
            since: since(began),
        })
    }));
    ringing.extend(costs.dry_at(now).map(|at| Ringing {
        id: "dry".into(),
        sound: Sound::Trouble,
        at: now.min(at),
        words: voice.render(say::dry_alarm(RoughMinutes(minutes_between(now, at).max(0.0)))),
        why: voice.render(say::dry_alarm_why()),
        task: None,
        since: since(plus_minutes(at, -DRY_WITHIN_MIN)),
    }));
    let mut alarms: Vec<Alarm> =
        ringing.into_iter().map(|ringing| answered(ringing, standing, costs, now, voice)).collect();
    alarms.sort_by_key(|alarm| alarm.rings_at);
    alarms
}

fn answered(ringing: Ringing, standing: &Standing, costs: &Costs, now: Timestamp, voice: Voice) -> Alarm {
    let Ringing { id, sound, at, words, why, task, since } = ringing;
    // The last that was said of it holds.
    let counts = |at: Timestamp| since.is_none_or(|since| at >= since);
    let in_hand = |of: &str| task.is_some_and(|task| of.parse() == Ok(task.id));
    let last = standing.all().rev().filter(|event| counts(event.at)).find_map(|event| match event.happened {
        Happened::Heard { alarm } if *alarm == id => Some(None),
        // Who has it in hand has heard it.
        Happened::TaskTaken { task, .. } if in_hand(task) => Some(None),
        Happened::Later { alarm, min } if *alarm == id => Some(Some(plus_minutes(event.at, *min))),
        _ => None,
    });
    let later = LATER_MIN.map(|min| {
        let cost = task.map_or_else(say::later_nothing, |task| costs.of(task, min, now));
        let happened = Happened::Later { alarm: id.clone(), min };
        action(format!("later_{min}"), say::later(RoughMinutes(min), cost), happened, voice)
    });
    Alarm {
        rings_at: last.flatten().map_or(at, |later| later.max(at)),
        heard: last == Some(None),
        hear: action("heard".into(), say::heard(), Happened::Heard { alarm: id.clone() }, voice),
        later: later.into(),
        id,
        sound,
        at,
        words,
        why,
    }
}

#[cfg(test)]
mod tests {
    use serde_json::json;

    use super::*;

    fn at(minute: i64) -> Timestamp {
        let opened: Timestamp = "2027-02-06T09:00:00Z".parse().unwrap();
        opened + jiff::SignedDuration::from_mins(minute)
    }

    fn task(id: &str, kind: &str, from: i64, to: i64, state: TaskState) -> CookTask {
        let task: Task = serde_json::from_value(json!({
            "id": id, "dish": "Lake-ice shin", "what": id, "why": "", "kind": kind, "lane": "hands", "start": at(from), "end": at(to),
            "hands_on": true, "after": [], "cautions": [], "pours_l": 0.0,
        }))
        .unwrap();
        let done_at = (state == TaskState::Done).then(|| at(to));
        CookTask { task, state, done_at, taken: Vec::new(), taken_words: String::new() }
    }

    fn ids(tasks: &[CookTask]) -> Vec<String> {
        of_tasks(tasks).into_iter().map(|one| one.id).collect()
    }

    #[test]
    fn what_comes_after_a_wait_rings_and_what_follows_at_once_does_not() {
        let tasks = [
            task("trim", "trim", 0, 8, TaskState::Open),
            task("salt", "salt", 9, 12, TaskState::Open),
            task("check_1", "check", 120, 122, TaskState::Open),
        ];
        assert_eq!(ids(&tasks), ["task:trim", "task:check_1"]);
        let sounds: Vec<Sound> = of_tasks(&tasks).into_iter().map(|one| one.sound).collect();
        assert_eq!(sounds, [Sound::Work, Sound::Look]);
    }

    #[test]
    fn what_is_done_or_passed_is_silent_and_work_that_was_done_late_keeps_the_hands() {
        let late = CookTask { done_at: Some(at(117)), ..task("trim", "trim", 0, 8, TaskState::Done) };
        let tasks = [
            late,
            task("check_1", "check", 120, 122, TaskState::Open),
            task("lift", "lift", 240, 242, TaskState::Passed),
        ];
        assert!(ids(&tasks).is_empty(), "{:?}", ids(&tasks));
        let early = [task("trim", "trim", 0, 8, TaskState::Done), task("check_1", "check", 120, 122, TaskState::Open)];
        assert_eq!(ids(&early), ["task:check_1"]);
    }

    #[test]
    fn an_answer_a_little_before_a_trouble_counts_for_it() {
        assert_eq!(since(at(60)), Some(at(55)));
    }
}
