//! A meal placed: every dish's tasks on one pair of hands or several, and on the things there are.

use jiff::Timestamp;
use rayon::prelude::*;

use super::table::{MealInput, unknown_task};
use crate::clock::{Stretch, merged, plus_minutes};
use crate::error::{Error, Result};
use crate::plan::Plan;
use crate::sheet::{
    PlacingFrame, Settled, Steps, Stock, TABLE_WAITS, TakenSpan, Task, TaskId, needed_min, problem, steps, taken_spans,
    tasks, whole,
};
use ergastic_schedule::{Placing, Problem, solve};

/// So often some jobs are placed otherwise: for a meal, and for a way out of it; of a large meal less often, by the square of its jobs.
pub(super) const TRIES: usize = 6000;
pub(super) const FEW_TRIES: usize = 300;
const TRIES_BY_JOBS: usize = 32_000_000;

/// One dish with what it asks for.
pub(super) struct MealDish {
    pub plan: Plan,
    pub worked: Settled,
    pub steps: Steps,
    /// Minutes over the heat that are kept for it.
    pub ready_min: f64,
}

impl MealDish {
    /// Works a plan of a table out.
    ///
    /// # Errors
    /// Names the plan's field that can't be used.
    pub fn of(plan: &Plan, table: &MealInput) -> Result<Self> {
        let worked = Settled::new(plan, &table.kitchen, &[], None)?;
        let ready_min = needed_min(&worked, plan, &table.kitchen)?;
        let mut steps = steps(plan, &worked, ready_min);
        let said = plan.pins.iter().any(|pin| pin.min.is_some() && pin.task == TaskId::Serve.to_string());
        if !said {
            steps.takes_min(TaskId::Serve, whole(plating_min(worked.durations.plate_min, table.plans.len())));
        }
        Ok(Self { plan: plan.clone(), steps, worked, ready_min })
    }
}

/// What another dish on the same plates adds to plating them, of what one takes alone. Working value: they are laid out once.
const NEXT_DISH: f64 = 0.3;

/// Minutes of plating one of several dishes that come on the same plates.
fn plating_min(alone_min: f64, dishes: usize) -> f64 {
    let dishes = dishes as f64;
    (alone_min * (1.0 + NEXT_DISH * (dishes - 1.0)) / dishes).max(1.0)
}

/// Every dish of a table; those that can't be used name their field.
///
/// # Errors
/// Of the first dish that can't be, or of a pin that means no task.
pub(super) fn courses(table: &MealInput) -> Result<Vec<MealDish>> {
    let work = |(i, plan): (usize, &Plan)| {
        MealDish::of(plan, table).map_err(|error: Error| error.within(&format!("dishes[{i}]")))
    };
    let courses: Vec<MealDish> = table.plans.par_iter().enumerate().map(work).collect::<Result<_>>()?;
    for (i, (dish, task)) in table.asked_pins.iter().enumerate() {
        if !courses[*dish].steps.all().any(|step| step.id == *task) {
            return Err(unknown_task(&format!("pins[{i}].task"), &format!("{}-{task}", dish + 1)));
        }
    }
    Ok(courses)
}

/// A meal with its hours.
pub(super) struct PlacedMeal {
    pub problem: Problem,
    pub placing: Placing,
    pub frame: PlacingFrame,
    /// The first job of each dish.
    pub firsts: Vec<usize>,
    /// All that it takes, and what was taken before it.
    pub takes: Vec<TakenSpan>,
}

fn shorter(stretches: &[Stretch], by_min: f64) -> Vec<Stretch> {
    let shorter = stretches
        .iter()
        .map(|night| Stretch { begin: plus_minutes(night.begin, by_min), end: plus_minutes(night.end, -by_min) });
    shorter.filter(|night| night.begin < night.end).collect()
}

/// The hours that a cook has given to tasks of a dish. What is no longer a task of it was pinned in vain.
fn pins(plan: &Plan) -> impl Iterator<Item = (TaskId, Timestamp)> {
    plan.pins.iter().filter_map(|pin| Some((pin.task.parse().ok()?, pin.at?)))
}

/// The steps of each course that is to be laid; none of what is being cooked.
pub(super) fn laid<'a>(
    table: &'a MealInput,
    courses: &'a [&'a MealDish],
) -> impl Iterator<Item = Option<&'a Steps>> + 'a {
    courses.iter().enumerate().map(|(dish, course)| table.cook_of(dish).is_none().then_some(&course.steps))
}

/// Places the courses of a table.
///
/// # Errors
/// Nobody waits for it any more.
pub(super) fn place(table: &MealInput, courses: &[&MealDish], tries: usize) -> Result<PlacedMeal> {
    let mut stock = Stock::of(&table.kitchen);
    for borrowed in &table.terms.borrowed {
        stock.add((*borrowed).into());
    }
    let mut fixed = Vec::new();
    for (dish, course) in courses.iter().enumerate().filter(|(dish, _)| table.cook_of(*dish).is_none()) {
        fixed.extend(pins(&course.plan).map(|(task, at)| (dish, task, at)));
    }
    let shut = merged([shorter(&table.asleep, f64::from(table.terms.less_sleep_min)), table.away.clone()].concat());
    let nights = courses.first().map(|course| crate::sheet::nights(&course.worked, table.serve_at)).unwrap_or_default();
    let frame = PlacingFrame {
        serve_at: table.serve_at,
        now: Some(table.now),
        stock,
        shut,
        nights,
        late_price: Some(TABLE_WAITS),
        fixed,
        taken: table.taken.clone(),
    };
    // What is being cooked is not laid anew: it only takes what it takes.
    let nothing = Steps::default();
    let asked: Vec<&Steps> = laid(table, courses).map(|steps| steps.unwrap_or(&nothing)).collect();
    let under_way = courses.iter().enumerate().filter_map(|(dish, course)| Some((table.cook_of(dish)?, course)));
    let taken: Vec<TakenSpan> = under_way.flat_map(|(cook, course)| cook.takes(&course.worked)).collect();
    let frame = PlacingFrame { taken: [frame.taken, taken].concat(), ..frame };
    let asked_for = problem(&asked, &frame);
    let placing =
        solve(&asked_for, tries.min(TRIES_BY_JOBS / asked_for.jobs.len().pow(2).max(1)), &table.kitchen.how.cancel)?;
    let mut firsts = Vec::new();
    let mut first = 0;
    for steps in &asked {
        firsts.push(first);
        first += steps.blocks.len();
    }
    Ok(PlacedMeal { takes: taken_spans(&asked_for, &placing, &frame), problem: asked_for, placing, frame, firsts })
}

impl PlacedMeal {
    /// A dish's tasks, where it was laid.
    pub fn tasks(&self, course: &MealDish, dish: usize) -> Vec<Task> {
        let named = (course.plan.name.as_str(), dish);
        tasks(&course.steps, named, self.firsts[dish], &self.placing, &self.frame, &course.worked)
    }

    pub fn served_at(&self) -> Timestamp {
        plus_minutes(self.frame.serve_at, f64::from(self.placing.late))
    }
}

/// When a task of a list begins.
pub(super) fn begins(tasks: &[Task], id: TaskId) -> Option<Timestamp> {
    tasks.iter().find(|task| task.id == id).map(|task| task.start)
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn plates_are_laid_out_once_for_all_that_comes_on_them() {
        let alone = plating_min(10.0, 1);
        assert_eq!(alone, 10.0);
        let all = |dishes: usize| plating_min(10.0, dishes) * dishes as f64;
        assert!((all(2) - 13.0).abs() < 1e-9 && (all(3) - 16.0).abs() < 1e-9);
        assert_eq!(plating_min(1.0, 8), 1.0, "no dish takes less than a minute");
    }
}
