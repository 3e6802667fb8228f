//! A meal's sheet.

use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use serde_with::skip_serializing_none;
use utoipa::ToSchema;
use uuid::Uuid;

use crate::clock::minutes_between;
use crate::forecast::Assumed;
use crate::kitchen::Lane;
use crate::ledger::LedgerLine;
use crate::plan::{Borrowed, Plan, PlanPin};
use crate::safety::Caution;
use crate::sheet::{Ready, TaskId, TaskKind, ThingTaken, Window};
use ergastic_schedule::{Minute, Placed, Problem};

/// One task of a meal.
#[skip_serializing_none]
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct MealTask {
    /// Unique in the meal: the dish's number and the task's own name.
    pub id: String,
    /// The dish.
    pub dish: String,
    /// Its number, from 1.
    pub number: u32,
    /// The task's name in its dish.
    #[schema(value_type = String)]
    pub step: TaskId,
    /// What to do.
    pub what: String,
    /// Why, and what to look for.
    pub why: String,
    /// Its kind.
    pub kind: TaskKind,
    /// Where.
    pub lane: Lane,
    /// What the appliance is set to, °C.
    pub set_c: Option<f64>,
    /// From.
    pub start: Timestamp,
    /// To.
    pub end: Timestamp,
    /// The whole span needs a pair of hands.
    pub hands_on: bool,
    /// Whose, where there is more than one pair.
    pub whose: Option<String>,
    /// The cook under way that it belongs to, while it is still to be done: it can be taken in hand.
    pub cook: Option<Uuid>,
    /// Who has it in hand, in words; empty where nobody has.
    pub taken: String,
    /// Tasks that come before.
    pub after: Vec<String>,
    /// When it may happen, where that is wider than from–to.
    pub window: Option<Window>,
    /// It can be put at an hour, and given its length; what goes on by itself follows from the rest.
    pub moves: bool,
    /// The cook has put it there.
    pub pinned: bool,
    /// The cook has said how long it takes, min.
    pub own_min: Option<f64>,
    /// It is done, or the work has gone past it.
    pub done: bool,
    /// It starts in the hour that the clock shows for the second time that night.
    pub second_time: bool,
    /// Cautions at this step.
    pub cautions: Vec<Caution>,
    /// What it moves.
    pub ledger: Vec<LedgerLine>,
}

/// How one dish goes.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct DishHours {
    /// The dish.
    pub dish: String,
    /// Its number, from 1.
    pub number: u32,
    /// The first thing to do for it.
    pub start_at: Timestamp,
    /// The meat meets the heat.
    pub heat_on_at: Timestamp,
    /// It is lifted, and its finishing begins.
    pub lift_at: Timestamp,
    /// Plates.
    pub served_at: Timestamp,
    /// The chance it was made for.
    pub certainty: f64,
    /// One plain sentence.
    pub why: String,
    /// Cautions for the whole cook.
    pub cautions: Vec<Caution>,
}

/// Tasks that can't be kept as they are, in words.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct MealConflict {
    /// The tasks it concerns.
    pub tasks: Vec<String>,
    /// What is wrong.
    pub text: String,
}

/// A dish that is cooked otherwise than asked, so that all of it can be kept: an oven is shared, a wrap waits until somebody is up.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct GaveWay {
    /// The dish.
    pub dish: String,
    /// Its number, from 1.
    pub number: u32,
    /// As it was set, or wrapped at, °C.
    pub from_c: f64,
    /// As it is now, °C.
    pub to_c: f64,
    /// Minutes that it takes longer; sooner where negative.
    pub longer_min: f64,
    /// In words.
    pub text: String,
}

/// The clocks change while it cooks.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct ClockChange {
    /// When.
    pub at: Timestamp,
    /// Minutes that they are put forward; back where negative.
    pub forward_min: f64,
    /// In words.
    pub text: String,
}

/// What a way out changes.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(tag = "what", rename_all = "snake_case", deny_unknown_fields)]
pub enum WayChange {
    /// A dish, by its number from 1: its plan with the change made.
    Dish {
        /// Which.
        number: u32,
        /// The changed plan.
        plan: Box<Plan>,
    },
    /// The bell.
    ServeAt {
        /// Plates on the table.
        serve_at: Timestamp,
    },
    /// One thing more to work with.
    Borrow {
        /// Which kind.
        thing: Borrowed,
    },
    /// Up so much longer, and so much sooner.
    Sleep {
        /// Minutes of sleep given up at either end, beside those that are already.
        minutes: u32,
    },
}

/// Something that could be changed, and where that leads.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct WayOut {
    /// What to change.
    pub text: String,
    /// What it costs.
    pub trade: String,
    /// Plates on the table then.
    pub served_at: Timestamp,
    /// Whether that meets the bell with nothing broken.
    pub on_time: bool,
    /// The change.
    pub change: WayChange,
}

/// What was to be placed, where it came to lie, and what that costs: docs/model.md says how it is read.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct PlacingProblem {
    /// Jobs, waits, things, hours nobody is there, and prices.
    #[serde(flatten)]
    pub problem: Problem,
    /// Of each job, the tasks that are done in it.
    pub tasks: Vec<Vec<String>>,
    /// What each kind of thing is called.
    pub things: Vec<String>,
    /// Where each job lies.
    pub placed: Vec<Placed>,
    /// Minutes that plates come after the bell.
    pub late: Minute,
    /// What the placing costs.
    pub cost: f64,
    /// No placing costs less.
    pub bound: f64,
    /// No placing has its plates sooner, minutes after the bell.
    pub late_bound: Minute,
    /// Jobs that found no place where they belong; each of them adds `forced_price` to the cost.
    pub forced: u32,
    /// What each of those costs.
    pub forced_price: f64,
}

/// The whole meal, worked back from its bell.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct MealSheet {
    /// Everything to do, in time order.
    pub tasks: Vec<MealTask>,
    /// How each dish goes.
    pub dishes: Vec<DishHours>,
    /// When each dish is tender.
    pub ready: Vec<Ready>,
    /// When each goes too far if the heat simply stays on.
    pub overcooked: Vec<Ready>,
    /// Minutes the plates come after the bell; 0 when it is met.
    pub late_min: f64,
    /// What can't be kept.
    pub conflicts: Vec<MealConflict>,
    /// What would help, when something can't.
    pub ways_out: Vec<WayOut>,
    /// Which dish gave way.
    pub gave_way: Vec<GaveWay>,
    /// The clocks change on the way.
    pub clock_changes: Vec<ClockChange>,
    /// The things of the kitchen that each dish takes, and from when to when.
    pub things: Vec<ThingTaken>,
    /// The first thing to do.
    pub start_at: Timestamp,
    /// Plates on the table: the bell, or later.
    pub served_at: Timestamp,
    /// The bell asked for.
    pub serve_at: Timestamp,
    /// As of.
    pub now: Timestamp,
    /// The zone that local times are read in.
    pub zone: String,
    /// When nobody is up and there, from the first thing to do to the plates.
    pub shut: Vec<Window>,
    /// One plain sentence.
    pub why: String,
    /// What was filled in.
    pub assumed: Vec<Assumed>,
    /// The placing of the work as a problem for any solver, where it was asked for.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub problem: Option<PlacingProblem>,
    /// Each dish as it is cooked, with what gave way.
    #[serde(skip)]
    pub plans: Vec<Plan>,
}

impl MealSheet {
    /// A dish as its cook is started from this sheet: what gave way, and the hours of its tasks; the number counts from 1.
    pub fn dish(&self, number: u32) -> Option<Plan> {
        let plan = self.plans.get((number as usize).checked_sub(1)?)?;
        let own = self.tasks.iter().filter(|task| task.number == number && task.moves);
        let laid = own.map(|task| {
            let min = minutes_between(task.start, task.end);
            PlanPin { task: task.step.to_string(), at: Some(task.start), min: (min >= 1.0).then_some(min) }
        });
        Some(Plan { laid: laid.collect(), ..plan.clone() })
    }
}
