//! A meal with everything filled in: its plans, its kitchen, its hours.

use ergastic_words::{Message, Voice, errors, meal as say};
use jiff::Timestamp;
use jiff::tz::TimeZone;

use super::request::{Counts, MAX_DISHES, Pin, SheetRequest};
use super::under_way::UnderWay;
use crate::clock::{Stretch, check_instant, comes_twice, instant, minutes_between, plus_minutes, spans, zone};
use crate::error::{Error, Result, Unit, WhatIsWrong, in_range};
use crate::forecast::Assumed;
use crate::kitchen::Kitchen;
use crate::plan::{Borrowed, MAX_MIN, Plan, PlanPin};
use crate::prepare::own_vessels;
use crate::sheet::{FURTHEST_MIN, TakenSpan, TaskId};

/// A bell may lie so far off, days.
const BELL_DAYS: [f64; 2] = [-1.0, 60.0];

/// What is otherwise than usual for one meal.
#[derive(Debug, Clone, Default)]
pub(super) struct Terms {
    /// One more of each.
    pub borrowed: Vec<Borrowed>,
    /// Minutes of sleep given up at either end of a night.
    pub less_sleep_min: u32,
}

/// Everything a meal is worked out from.
#[derive(Debug, Clone)]
pub(super) struct MealInput {
    pub kitchen: Kitchen,
    pub zone: TimeZone,
    pub serve_at: Timestamp,
    pub now: Timestamp,
    /// When nobody is up, as usual.
    pub asleep: Vec<Stretch>,
    /// When nobody is there.
    pub away: Vec<Stretch>,
    /// What is otherwise than usual for this meal.
    pub terms: Terms,
    pub plans: Vec<Plan>,
    /// The chance each is made for.
    pub certainty: Vec<f64>,
    /// Pins that were asked for by their ids, which have to mean something.
    pub asked_pins: Vec<(usize, TaskId)>,
    pub assumed: Vec<Assumed>,
    /// What other meals take already.
    pub taken: Vec<TakenSpan>,
    /// Of each dish, how its cook stands, if it is being cooked.
    pub under_way: Vec<Option<UnderWay>>,
    /// Something is tried: quickly, and without ways out.
    pub only_tried: bool,
    /// The placing is answered as a problem too.
    pub as_problem: bool,
}

/// What nobody said, and what was taken for it.
struct Assume {
    voice: Voice,
    found: Vec<Assumed>,
}

impl Assume {
    fn with(&mut self, field: &'static str, value: Message, why: Message) {
        let name = self.voice.render(say::assumed_name(field));
        let (value, why) = (self.voice.render(value), self.voice.render(why));
        self.found.push(Assumed { field: field.into(), name, value, why });
    }
}

/// The kitchen's things, certainty and nights as the request has them.
fn fill_kitchen(request: &SheetRequest, kitchen: &mut Kitchen, assumed: &mut Assume) -> Result<()> {
    match &request.kitchen {
        Some(counts) => {
            // Where the pots are not counted nobody has said that they are too few.
            let enough = kitchen.pots.len().max(request.dishes.len()) as u32;
            let counts = Counts { pots: counts.pots.or(Some(enough)), ..counts.clone() };
            *kitchen = counts.onto(kitchen).map_err(|error| error.within("kitchen"))?;
        }
        None => assumed.with("kitchen", say::assumed_its_things(), say::assumed_kitchen()),
    }
    let asked = match (request.certainty, &request.regret) {
        (Some(certainty), _) => in_range("certainty", certainty, 0.5, 0.99, Unit::None)?,
        (None, Some(regret)) => regret.certainty().map_err(|error| error.within("regret"))?,
        (None, None) => {
            let certainty = kitchen.certainty;
            assumed.with("certainty", Message::text(certainty.to_string()), say::assumed_kitchen());
            certainty
        }
    };
    kitchen.certainty = asked;
    if let Some(asleep) = &request.asleep {
        kitchen.asleep.clone_from(asleep);
    } else if kitchen.asleep.is_empty() {
        assumed.with("asleep", say::assumed_nobody_sleeps(), say::assumed_nothing_said());
    }
    Ok(())
}

/// Each dish as a plan, in a vessel of its own.
fn plans(request: &SheetRequest, kitchen: &Kitchen, serve_at: Timestamp) -> Result<Vec<Plan>> {
    let voice = kitchen.voice();
    let mut plans = Vec::new();
    for (i, dish) in request.dishes.iter().enumerate() {
        let here = format!("dishes[{i}]");
        let plan = dish.plan(i + 1, serve_at, voice).map_err(|error| error.within(&here))?;
        plans.push(plan);
    }
    own_vessels(&mut plans, kitchen);
    Ok(plans)
}

impl MealInput {
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
        let mut assumed = Assume { voice, found: Vec::new() };
        if let Some(named) = &request.zone {
            zone("zone", named)?;
            kitchen.zone.clone_from(named);
        } else {
            assumed.with("zone", Message::text(kitchen.zone.clone()), say::assumed_kitchen());
        }
        let in_zone = zone("zone", &kitchen.zone)?;
        let now = match &request.now {
            Some(text) => instant("now", text, &in_zone)?,
            None => {
                assumed.with("now", Message::text(now.to_string()), say::assumed_clock());
                now
            }
        };
        let serve_at = instant("serve_at", &request.serve_at, &in_zone)?;
        check_instant("now", now)?;
        check_instant("serve_at", serve_at)?;
        if comes_twice(&request.serve_at, &in_zone) {
            assumed.with("serve_at", Message::text(request.serve_at.clone()), say::assumed_first_of_two());
        }
        in_range("serve_at", minutes_between(now, serve_at) / 1440.0, BELL_DAYS[0], BELL_DAYS[1], Unit::DaysFromNow)?;
        fill_kitchen(request, &mut kitchen, &mut assumed)?;
        let (from, to) =
            (plus_minutes(serve_at.min(now), -FURTHEST_MIN), plus_minutes(serve_at.max(now), 4.0 * 1440.0));
        let asleep = spans("asleep", &kitchen.asleep, from, to, &in_zone)?;
        let away = spans("away", request.away.as_deref().unwrap_or_default(), from, to, &in_zone)?;
        let plans = plans(request, &kitchen, serve_at)?;
        let certainty = plans.iter().map(|plan| plan.certainty(&kitchen)).collect();
        let mut table = Self {
            zone: in_zone,
            serve_at,
            now,
            asleep,
            away,
            terms: Terms::default(),
            certainty,
            asked_pins: Vec::new(),
            plans,
            kitchen,
            assumed: assumed.found,
            taken: Vec::new(),
            under_way: Vec::new(),
            only_tried: false,
            as_problem: request.problem == Some(true),
        };
        for (i, pin) in request.pins.iter().flatten().enumerate() {
            table.put(pin).map_err(|error| error.within(&format!("pins[{i}]")))?;
        }
        Ok(table)
    }

    /// Of dishes that are planned, which have one bell.
    ///
    /// # Errors
    /// Names the field that can't be used.
    pub fn of_plans(plans: &[Plan], kitchen: &Kitchen, now: Timestamp) -> Result<Self> {
        let serve_at = plans
            .first()
            .map(|plan| plan.serve_at)
            .ok_or_else(|| Error::missing("dishes", errors::at_least_one_dish()))?;
        let in_zone = zone("zone", &kitchen.zone)?;
        let (from, to) =
            (plus_minutes(serve_at.min(now), -FURTHEST_MIN), plus_minutes(serve_at.max(now), 4.0 * 1440.0));
        let asleep = spans("asleep", &kitchen.asleep, from, to, &in_zone)?;
        let mut own: Vec<Plan> = plans.iter().map(|plan| Plan { serve_at, ..plan.clone() }).collect();
        own_vessels(&mut own, kitchen);
        Ok(Self {
            zone: in_zone,
            serve_at,
            now,
            asleep,
            away: Vec::new(),
            terms: plans
                .iter()
                .find_map(|plan| plan.meal.as_ref())
                .map(|meal| Terms { borrowed: meal.borrowed.clone(), less_sleep_min: meal.less_sleep_min })
                .unwrap_or_default(),
            certainty: plans.iter().map(|plan| plan.certainty(kitchen)).collect(),
            asked_pins: Vec::new(),
            plans: own,
            kitchen: kitchen.clone(),
            assumed: Vec::new(),
            taken: Vec::new(),
            under_way: Vec::new(),
            only_tried: false,
            as_problem: false,
        })
    }

    /// The same for a kitchen that nobody has described.
    ///
    /// # Errors
    /// As [`MealInput::lay`].
    pub fn lay_anywhere(request: &SheetRequest, now: Timestamp) -> Result<Self> {
        let counts = request.kitchen.as_ref().map(Counts::or_usual);
        let pots = Some(request.dishes.len().clamp(Kitchen::default().pots.len(), MAX_DISHES) as u32);
        let usual = Counts { pots, ..Counts::default() }.or_usual().onto(&Kitchen::default())?;
        let request = SheetRequest { kitchen: counts, ..request.clone() };
        Self::lay(&request, &usual, now)
    }

    /// Puts a task at an hour, or gives it its length; what it had of its own stays beside it.
    ///
    /// # Errors
    /// Names the field that can't be used.
    pub fn put(&mut self, pin: &Pin) -> Result<()> {
        let (dish, task, mut pin) = meant(pin, self.plans.len(), &self.zone)?;
        let pins = &mut self.plans[dish].pins;
        if let Some(before) = pins.iter().find(|before| before.task == pin.task) {
            pin = PlanPin { at: pin.at.or(before.at), min: pin.min.or(before.min), ..pin };
        }
        pins.retain(|before| before.task != pin.task);
        pins.push(pin);
        self.asked_pins.push((dish, task));
        Ok(())
    }

    /// How the cook of a dish stands, if it is being cooked.
    pub fn cook_of(&self, dish: usize) -> Option<&UnderWay> {
        self.under_way.get(dish)?.as_ref()
    }

    pub fn voice(&self) -> Voice {
        self.kitchen.voice()
    }
}

/// Which dish of so many and which task a pin means, and what it says of it.
///
/// # Errors
/// Names the field.
fn meant(pin: &Pin, dishes: usize, zone: &TimeZone) -> Result<(usize, TaskId, PlanPin)> {
    let (dish, task) = pin
        .task
        .split_once('-')
        .and_then(|(number, task)| Some((number.parse::<usize>().ok()?.checked_sub(1)?, task.parse().ok()?)))
        .filter(|(dish, _)| *dish < dishes)
        .ok_or_else(|| unknown_task("task", &pin.task))?;
    let at = pin.at.as_ref().map(|at| instant("at", at, zone)).transpose()?;
    at.map_or(Ok(()), |at| check_instant("at", at))?;
    if let Some(min) = pin.min {
        in_range("min", min, 1.0, MAX_MIN, Unit::Minutes)?;
    }
    Ok((dish, task, PlanPin { task: task.to_string(), at, min: pin.min }))
}

/// A task that is not on the sheet.
pub(super) fn unknown_task(field: &str, id: &str) -> Error {
    Error::said(WhatIsWrong::Unknown, field.to_owned(), Message::text(id.to_owned()), errors::a_task())
}
