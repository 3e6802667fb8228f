//! Which of what happened stands, and at what time: what was taken back does not, and an undo is itself something that can be taken
//! back.

use std::collections::HashMap;

use jiff::Timestamp;
use uuid::Uuid;

use super::event::{Event, Happened};
use super::kinds::Outcome;
use super::task::InHand;
use crate::clock::plus_minutes;
use crate::finish::Seasoned;
use crate::forecast::{Added, Evidence};
use crate::sheet::TaskId;
use crate::tender::Check;
use ergastic_physics::HORIZON_S;

/// An event that stands, at the time that stands.
pub(super) struct Stands<'a> {
    pub(super) id: Uuid,
    pub(super) at: Timestamp,
    pub(super) happened: &'a Happened,
}

/// The events that stand: those not taken back, an undo itself being one that can be, each at its corrected time.
pub struct Standing<'a> {
    events: Vec<Stands<'a>>,
    /// What was taken back, and by which event.
    undone: HashMap<Uuid, Uuid>,
    times: HashMap<Uuid, Timestamp>,
}

impl<'a> Standing<'a> {
    /// Folds the undos, last first.
    pub fn of(events: &'a [Event]) -> Self {
        let (mut undone, mut times) = (HashMap::new(), HashMap::new());
        for event in events.iter().rev() {
            if let Happened::Undone { event: target } = event.happened
                && !undone.contains_key(&event.id)
            {
                undone.entry(target).or_insert(event.id);
            }
        }
        // The last correction holds, unless it was taken back.
        for event in events.iter().filter(|event| !undone.contains_key(&event.id)) {
            if let Happened::Retimed { event: target, at } = event.happened {
                times.insert(target, at);
            }
        }
        let stand = events.iter().filter(|event| !undone.contains_key(&event.id));
        let at = |event: &Event| times.get(&event.id).copied().unwrap_or(event.at);
        let events = stand.map(|event| Stands { id: event.id, at: at(event), happened: &event.happened }).collect();
        Self { events, undone, times }
    }

    /// The event that an event was taken back by, if it was.
    pub fn undone_by(&self, id: Uuid) -> Option<Uuid> {
        self.undone.get(&id).copied()
    }

    /// When an event really was, where that was corrected.
    pub fn corrected(&self, id: Uuid) -> Option<Timestamp> {
        self.times.get(&id).copied()
    }

    /// When the meat met the heat, by the first such event.
    pub fn on_the_heat(&self) -> Option<Timestamp> {
        self.events.iter().find(|event| *event.happened == Happened::OnTheHeat {}).map(|event| event.at)
    }

    /// All that stands, in the order it was logged.
    pub(super) fn all(&self) -> impl DoubleEndedIterator<Item = &Stands<'a>> {
        self.events.iter()
    }

    /// Since when the heat is off; nothing while it is on.
    pub fn heat_off_at(&self) -> Option<Timestamp> {
        let turned = self.events.iter().rev().find_map(|event| match event.happened {
            Happened::HeatOff {} => Some(Some(event.at)),
            Happened::HeatOn {} => Some(None),
            _ => None,
        });
        turned.flatten()
    }

    /// When a task was done.
    pub fn done(&self, task: TaskId) -> Option<Timestamp> {
        let is_it = |done: &str| done.parse() == Ok(task);
        let done = |happened: &Happened| match happened {
            Happened::TaskDone { task } => is_it(task),
            Happened::LiquidAdded { task: Some(task), .. } => is_it(task),
            _ => false,
        };
        self.events.iter().find(|event| done(event.happened)).map(|event| event.at)
    }

    /// Who has a task in hand, the first who said so first.
    pub fn taken(&self, task: TaskId) -> Vec<InHand> {
        let mut taken: Vec<InHand> = Vec::new();
        for event in &self.events {
            if let Happened::TaskTaken { task: of, hands } = event.happened
                && of.parse() == Ok(task)
                && !taken.iter().any(|one| one.hands == *hands)
            {
                taken.push(InHand { hands: hands.clone(), event: event.id });
            }
        }
        taken
    }

    /// When plates are wanted, where that was changed.
    pub fn serve_at(&self) -> Option<Timestamp> {
        self.events.iter().rev().find_map(|event| match event.happened {
            Happened::ServeAtMoved { serve_at } => Some(*serve_at),
            _ => None,
        })
    }

    /// Tenderness checks, in the order they were logged.
    pub fn checks(&self) -> impl Iterator<Item = (Timestamp, Check)> + '_ {
        self.events.iter().filter_map(|event| match *event.happened {
            Happened::Check { found, .. } => Some((event.at, found)),
            _ => None,
        })
    }

    /// How it ended, if it did.
    pub fn closed(&self) -> Option<(Timestamp, &'a Outcome)> {
        self.events.iter().find_map(|event| match event.happened {
            Happened::Closed { outcome } => Some((event.at, outcome)),
            _ => None,
        })
    }

    /// What was poured in while the meat was in the pot; before that it is part of the plan's own liquid.
    pub fn added(&self) -> Vec<Added> {
        /// From the kettle, °C.
        const HOT_C: f64 = 90.0;
        let Some(on_the_heat) = self.on_the_heat() else { return Vec::new() };
        let poured = self.events.iter().filter_map(|event| match *event.happened {
            Happened::LiquidAdded { litres, celsius, .. } => Some(Added {
                at_min: event.at.duration_since(on_the_heat).as_secs_f64().max(0.0) / 60.0,
                liquid_l: litres,
                celsius: celsius.unwrap_or(HOT_C),
            }),
            _ => None,
        });
        poured.collect()
    }

    /// The cooked meat on the scales, kg: as it was weighed last.
    pub fn meat_weighed_kg(&self) -> Option<f64> {
        self.all().rev().find_map(|event| match event.happened {
            Happened::MeatWeighed { kg } => Some(*kg),
            _ => None,
        })
    }

    /// Tastes of the liquid before anything was done to it on the way to the sauce, in minutes from the meat meeting the heat.
    pub fn tastes(&self) -> impl Iterator<Item = (f64, Seasoned)> + '_ {
        let on_the_heat = self.on_the_heat();
        let cooking = self.events.iter().take_while(|event| !matches!(event.happened, Happened::SauceDone { .. }));
        cooking.filter_map(move |event| match *event.happened {
            Happened::Tasted { salt } => Some((event.at.duration_since(on_the_heat?).as_secs_f64() / 60.0, salt)),
            _ => None,
        })
    }

    /// When liquid was poured in so long after the meat met the heat that no forecast follows it, the first time.
    pub fn poured_too_late(&self) -> Option<Timestamp> {
        let last = self.on_the_heat().map(|on_the_heat| plus_minutes(on_the_heat, HORIZON_S / 60.0))?;
        let poured = |event: &&Stands| matches!(event.happened, Happened::LiquidAdded { .. });
        self.events.iter().filter(poured).map(|event| event.at).find(|at| *at > last)
    }

    /// Readings, checks, dips and weighings as evidence, counted from the meat meeting the heat and before it was lifted.
    pub fn evidence(&self) -> Vec<Evidence> {
        let Some(on_the_heat) = self.on_the_heat() else { return Vec::new() };
        let lifted = self.done(TaskId::Lift).unwrap_or(Timestamp::MAX);
        self.events
            .iter()
            .filter(|event| event.at >= on_the_heat && event.at <= lifted)
            .filter_map(|event| {
                let at_s = event.at.duration_since(on_the_heat).as_secs_f64();
                match *event.happened {
                    Happened::CoreReading { celsius } => Some(Evidence::Reading { at_s, celsius }),
                    Happened::Check { found, .. } => Some(Evidence::Check { at_s, found }),
                    Happened::Dipped { litres } => Some(Evidence::Dip { at_s, liquid_l: litres }),
                    Happened::Weighed { lost_kg } => Some(Evidence::Weighing { at_s, lost_kg }),
                    _ => None,
                }
            })
            .collect()
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    fn at(minute: i64) -> Timestamp {
        let opened: Timestamp = "2027-02-06T09:00:00Z".parse().unwrap();
        opened + jiff::SignedDuration::from_mins(minute)
    }

    fn id(number: u128) -> Uuid {
        Uuid::from_u128(number)
    }

    /// Events with the numbers 1, 2 … in the order they are given.
    fn events(happened: Vec<(i64, Happened)>) -> Vec<Event> {
        (1..)
            .zip(happened)
            .map(|(number, (minute, happened))| Event { id: id(number), at: at(minute), happened, device: None })
            .collect()
    }

    fn check(found: Check) -> Happened {
        Happened::Check { found, by: None }
    }

    #[test]
    fn what_is_taken_back_does_not_stand_until_that_is_taken_back() {
        let mut all =
            vec![(0, Happened::OnTheHeat {}), (60, check(Check::Slice)), (61, Happened::Undone { event: id(2) })];
        let logged = events(all.clone());
        let standing = Standing::of(&logged);
        assert_eq!((standing.checks().count(), standing.undone_by(id(2))), (0, Some(id(3))));
        all.push((62, Happened::Undone { event: id(3) }));
        let logged = events(all);
        let standing = Standing::of(&logged);
        assert_eq!(standing.checks().collect::<Vec<_>>(), [(at(60), Check::Slice)]);
        assert_eq!(standing.undone_by(id(2)), None);
    }

    #[test]
    fn a_corrected_time_holds_and_the_last_correction_over_the_first() {
        let logged = events(vec![
            (20, Happened::OnTheHeat {}),
            (30, Happened::Retimed { event: id(1), at: at(5) }),
            (31, Happened::Retimed { event: id(1), at: at(10) }),
        ]);
        let standing = Standing::of(&logged);
        assert_eq!((standing.on_the_heat(), standing.corrected(id(1))), (Some(at(10)), Some(at(10))));
        assert_eq!(standing.corrected(id(2)), None);
    }

    #[test]
    fn the_heat_is_as_it_was_turned_last() {
        let off = vec![(0, Happened::OnTheHeat {}), (30, Happened::HeatOff {})];
        let logged = events(off.clone());
        assert_eq!(Standing::of(&logged).heat_off_at(), Some(at(30)));
        let logged = events(off.into_iter().chain([(40, Happened::HeatOn {})]).collect());
        assert_eq!(Standing::of(&logged).heat_off_at(), None);
    }

    #[test]
    fn a_task_is_done_when_it_was_first_said_and_taken_by_each_who_says_so_once() {
        let taken = |hands: &str| Happened::TaskTaken { task: "salt".into(), hands: hands.into() };
        let done = || Happened::TaskDone { task: "salt".into() };
        let logged = events(vec![(1, taken("Aune")), (2, taken("Tor")), (3, taken("Aune")), (5, done()), (8, done())]);
        let standing = Standing::of(&logged);
        assert_eq!(standing.done(TaskId::Salt), Some(at(5)));
        assert_eq!(standing.done(TaskId::Trim), None);
        let hands: Vec<String> = standing.taken(TaskId::Salt).into_iter().map(|one| one.hands).collect();
        assert_eq!(hands, ["Aune", "Tor"]);
    }

    #[test]
    fn plates_are_wanted_when_that_was_moved_to_last() {
        let moved = |minute| Happened::ServeAtMoved { serve_at: at(minute) };
        let logged = events(vec![(1, moved(300)), (2, moved(360)), (3, Happened::Undone { event: id(2) })]);
        assert_eq!(Standing::of(&logged).serve_at(), Some(at(300)));
        assert_eq!(Standing::of(&[]).serve_at(), None);
    }

    #[test]
    fn how_far_it_has_come_follows_from_what_stands() {
        use crate::cook::status::Status;
        let status = |happened: Vec<(i64, Happened)>, tender: bool| {
            let logged = events(happened);
            Status::of(&Standing::of(&logged), tender.then(|| at(100)))
        };
        assert_eq!(status(vec![], false), Status::Before);
        assert_eq!(status(vec![(0, Happened::OnTheHeat {})], false), Status::UnderWay);
        assert_eq!(status(vec![(0, Happened::OnTheHeat {})], true), Status::Tender);
        let closed = vec![(0, Happened::OnTheHeat {}), (200, Happened::Closed { outcome: Outcome::default() })];
        assert_eq!(status(closed.clone(), true), Status::Closed);
        let reopened = closed.into_iter().chain([(201, Happened::Undone { event: id(2) })]).collect();
        assert_eq!(status(reopened, true), Status::Tender);
    }
}
