//! A meal with everything filled in: its plans, its kitchen, its hours.

use ergastic_words::{Said, Voice, errors, meal as say};
use jiff::Timestamp;
use jiff::tz::TimeZone;

use super::request::{Counts, SheetRequest};
use crate::clock::{Stretch, check_instant, instant, merged, minutes_between, plus_minutes, spans, zone};
use crate::error::{Error, Kind, Result, Unit, in_range};
use crate::forecast::Assumed;
use crate::kitchen::Kitchen;
use crate::plan::Plan;
use crate::sheet::{TakenSpan, TaskId};

/// Simulated cooks a dish, where nothing is said.
const MEMBERS: u32 = 400;
/// A meal is laid over so many days before its bell at the most, min.
const FURTHEST_MIN: f64 = 8.0 * 1440.0;
/// A bell may lie so far off, days.
const BELL_DAYS: [f64; 2] = [-1.0, 60.0];

/// Everything a meal is worked out from.
#[derive(Debug, Clone)]
pub(super) struct Table {
    pub kitchen: Kitchen,
    pub zone: TimeZone,
    pub bell: Timestamp,
    pub now: Timestamp,
    /// When nobody is up and there.
    pub shut: Vec<Stretch>,
    /// When nobody is up.
    pub asleep: Vec<Stretch>,
    pub plans: Vec<Plan>,
    /// The chance each is made for.
    pub certainty: Vec<f64>,
    /// Task by its id, and when it starts.
    pub pins: Vec<(String, Timestamp)>,
    pub assumed: Vec<Assumed>,
    /// What other meals take already.
    pub taken: Vec<TakenSpan>,
}

impl Table {
    /// Fills a request in.
    ///
    /// # Errors
    /// Names the field that can't be used.
    pub fn lay(request: &SheetRequest, kitchen: &Kitchen, now: Timestamp) -> Result<Self> {
        request.check()?;
        let mut kitchen = kitchen.clone();
        if let Some(units) = request.units {
            kitchen.units = units;
        }
        let voice = kitchen.voice();
        let mut assumed = Vec::new();
        let mut assume = |field: &'static str, value: Said, why: Said| {
            assumed.push(Assumed {
                field: field.into(),
                name: voice.say(say::assumed_name(field)),
                value: voice.say(value),
                why: voice.say(why),
            });
        };
        if let Some(named) = &request.zone {
            zone("zone", named)?;
            kitchen.zone.clone_from(named);
        } else {
            assume("zone", Said::text(kitchen.zone.clone()), say::assumed_kitchen());
        }
        let in_zone = zone("zone", &kitchen.zone)?;
        let now = match &request.now {
            Some(text) => instant("now", text, &in_zone)?,
            None => {
                assume("now", Said::text(now.to_string()), say::assumed_clock());
                now
            }
        };
        let bell = instant("bell", &request.bell, &in_zone)?;
        check_instant("now", now)?;
        check_instant("bell", bell)?;
        in_range("bell", minutes_between(now, bell) / 1440.0, BELL_DAYS[0], BELL_DAYS[1], Unit::DaysFromNow)?;
        match &request.kitchen {
            Some(counts) => kitchen = counts.onto(&kitchen).map_err(|error| error.within("kitchen"))?,
            None => assume("kitchen", say::assumed_its_things(), say::assumed_kitchen()),
        }
        let asked = match (request.certainty, &request.regret) {
            (Some(certainty), _) => in_range("certainty", certainty, 0.5, 0.99, Unit::None)?,
            (None, Some(regret)) => regret.certainty().map_err(|error| error.within("regret"))?,
            (None, None) => {
                let certainty = kitchen.certainty;
                assume("certainty", Said::text(certainty.to_string()), say::assumed_kitchen());
                certainty
            }
        };
        kitchen.certainty = asked;
        if let Some(asleep) = &request.asleep {
            kitchen.asleep.clone_from(asleep);
        } else if kitchen.asleep.is_empty() {
            assume("asleep", say::assumed_nobody_sleeps(), say::assumed_nothing_said());
        }
        let (from, to) = (plus_minutes(bell.min(now), -FURTHEST_MIN), plus_minutes(bell.max(now), 4.0 * 1440.0));
        let asleep = spans("asleep", &kitchen.asleep, from, to, &in_zone)?;
        let mut shut = spans("away", request.away.as_deref().unwrap_or_default(), from, to, &in_zone)?;
        shut.extend(&asleep);
        let mut plans = Vec::new();
        for (i, dish) in request.dishes.iter().enumerate() {
            let here = format!("dishes[{i}]");
            let mut plan = dish.plan(i + 1, bell, voice).map_err(|error| error.within(&here))?;
            plan.forecast.members.get_or_insert(MEMBERS);
            plans.push(plan);
        }
        let pins = request.pins.iter().flatten().enumerate().map(|(i, pin)| {
            let at = instant("at", &pin.at, &in_zone).and_then(|at| check_instant("at", at).map(|()| at));
            at.map(|at| (pin.task.clone(), at)).map_err(|error| error.within(&format!("pins[{i}]")))
        });
        let pins = pins.collect::<Result<_>>()?;
        let certainty = plans.iter().map(|plan| plan.certainty(&kitchen)).collect();
        Ok(Self {
            zone: in_zone,
            bell,
            now,
            shut: merged(shut),
            asleep,
            certainty,
            pins,
            plans,
            kitchen,
            assumed,
            taken: Vec::new(),
        })
    }

    /// Of dishes that are planned, which have one bell.
    ///
    /// # Errors
    /// Names the field that can't be used.
    pub fn of_plans(plans: &[Plan], kitchen: &Kitchen, now: Timestamp) -> Result<Self> {
        let bell =
            plans.first().map(|plan| plan.bell).ok_or_else(|| Error::missing("dishes", errors::at_least_one_dish()))?;
        let in_zone = zone("zone", &kitchen.zone)?;
        let (from, to) = (plus_minutes(bell.min(now), -FURTHEST_MIN), plus_minutes(bell.max(now), 4.0 * 1440.0));
        let asleep = spans("asleep", &kitchen.asleep, from, to, &in_zone)?;
        let of = |(i, plan): (usize, &Plan)| {
            let number = i + 1;
            // What is no longer a task of the dish was pinned in vain.
            let pins = plan.pins.iter().filter(|pin| pin.task.parse::<TaskId>().is_ok());
            pins.map(move |pin| (format!("{number}-{}", pin.task), pin.at)).collect::<Vec<_>>()
        };
        Ok(Self {
            zone: in_zone,
            bell,
            now,
            shut: asleep.clone(),
            asleep,
            certainty: plans.iter().map(|plan| plan.certainty(kitchen)).collect(),
            pins: plans.iter().enumerate().flat_map(of).collect(),
            plans: plans.iter().map(|plan| Plan { bell, ..plan.clone() }).collect(),
            kitchen: kitchen.clone(),
            assumed: Vec::new(),
            taken: Vec::new(),
        })
    }

    /// The same for a kitchen that nobody has described.
    ///
    /// # Errors
    /// As [`Table::lay`].
    pub fn lay_anywhere(request: &SheetRequest, now: Timestamp) -> Result<Self> {
        let counts = request.kitchen.as_ref().map(Counts::or_usual);
        let usual = Counts::default().or_usual().onto(&Kitchen::default())?;
        let request = SheetRequest { kitchen: counts, ..request.clone() };
        Self::lay(&request, &usual, now)
    }

    pub fn voice(&self) -> Voice {
        self.kitchen.voice()
    }

    /// Which dish and task a pin means.
    ///
    /// # Errors
    /// Names the pin.
    pub fn pinned(&self, i: usize) -> Result<(usize, TaskId)> {
        let (id, _) = &self.pins[i];
        let unknown =
            || Error::said(Kind::Unknown, format!("pins[{i}].task"), Said::text(id.clone()), errors::a_task());
        let (number, task) = id.split_once('-').ok_or_else(unknown)?;
        let number: usize = number.parse().map_err(|_| unknown())?;
        let task = task.parse().map_err(|_| unknown())?;
        if number == 0 || number > self.plans.len() {
            return Err(unknown());
        }
        Ok((number - 1, task))
    }
}
