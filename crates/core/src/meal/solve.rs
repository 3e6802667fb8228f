//! A meal placed: every dish's tasks on one pair of hands or several, and on the things there are.

use jiff::Timestamp;
use rayon::prelude::*;

use super::table::Table;
use crate::clock::{Stretch, plus_minutes};
use crate::error::{Error, Result};
use crate::plan::Plan;
use crate::schedule::{Placing, solve};
use crate::sheet::{
    Frame, Steps, Stock, TABLE_WAITS, TakenSpan, Task, TaskId, Worked, needed_min, problem, steps, taken_spans, tasks,
};

/// Orders of placing that are tried for a meal, and for a way out of it.
pub(super) const TRIES: usize = 400;
pub(super) const FEW_TRIES: usize = 60;

/// One dish with what it asks for.
pub(super) struct Course {
    pub plan: Plan,
    pub worked: Worked,
    pub steps: Steps,
    /// Minutes over the heat that are kept for it.
    pub ready_min: f64,
}

impl Course {
    /// Works a plan of a table out.
    ///
    /// # Errors
    /// Names the plan's field that can't be used.
    pub fn of(plan: &Plan, table: &Table) -> Result<Self> {
        let worked = Worked::new(plan, &table.kitchen, &[], None)?;
        let ready_min = needed_min(&worked, plan, &table.kitchen)?;
        Ok(Self { plan: plan.clone(), steps: steps(plan, &worked, ready_min), worked, ready_min })
    }
}

/// Every dish of a table; those that can't be used name their field.
///
/// # Errors
/// Of the first dish that can't be.
pub(super) fn courses(table: &Table) -> Result<Vec<Course>> {
    let stop = crate::stop::laid_over();
    let work = |(i, plan): (usize, &Plan)| {
        crate::stop::under(&stop, || Course::of(plan, table))
            .map_err(|error: Error| error.within(&format!("dishes[{i}]")))
    };
    table.plans.par_iter().enumerate().map(work).collect()
}

/// A meal with its hours.
pub(super) struct Placed {
    pub placing: Placing,
    pub frame: Frame,
    /// The first job of each dish.
    pub firsts: Vec<usize>,
    /// All that it takes, and what was taken before it.
    pub takes: Vec<TakenSpan>,
}

/// What is different from the table in a way out.
#[derive(Debug, Clone, Copy, Default)]
pub(super) struct Otherwise {
    /// One more of a thing.
    pub more: Option<crate::sheet::Thing>,
    /// Minutes of sleep given up at either end.
    pub up_min: f64,
}

fn shorter(stretches: &[Stretch], by_min: f64) -> Vec<Stretch> {
    let shorter = stretches
        .iter()
        .map(|night| Stretch { begin: plus_minutes(night.begin, by_min), end: plus_minutes(night.end, -by_min) });
    shorter.filter(|night| night.begin < night.end).collect()
}

/// Places the courses of a table.
///
/// # Errors
/// Names a pin that means no task.
pub(super) fn place(table: &Table, courses: &[&Course], otherwise: Otherwise, tries: usize) -> Result<Placed> {
    let mut stock = Stock::of(&table.kitchen);
    if let Some(thing) = otherwise.more {
        stock.add(thing);
    }
    let mut fixed = Vec::new();
    for i in 0..table.pins.len() {
        let (dish, task) = table.pinned(i)?;
        fixed.push((dish, task, table.pins[i].1));
    }
    let shut = if otherwise.up_min > 0.0 { shorter(&table.shut, otherwise.up_min) } else { table.shut.clone() };
    let nights = courses.first().map(|course| crate::sheet::nights(&course.worked, table.bell)).unwrap_or_default();
    let frame = Frame {
        bell: table.bell,
        now: Some(table.now),
        stock,
        shut,
        nights,
        late_price: Some(TABLE_WAITS),
        fixed,
        taken: table.taken.clone(),
    };
    let asked: Vec<&Steps> = courses.iter().map(|course| &course.steps).collect();
    let asked_for = problem(&asked, &frame);
    let placing = solve(&asked_for, tries);
    let mut firsts = Vec::new();
    let mut first = 0;
    for course in courses {
        firsts.push(first);
        first += course.steps.blocks.len();
    }
    Ok(Placed { takes: taken_spans(&asked_for, &placing, &frame), placing, frame, firsts })
}

impl Placed {
    /// A dish's tasks.
    pub fn tasks(&self, course: &Course, dish: usize) -> Vec<Task> {
        let named = (course.plan.name.as_str(), dish);
        tasks(&course.steps, named, self.firsts[dish], &self.placing, &self.frame, course.worked.case.voice)
    }

    pub fn serve_at(&self) -> Timestamp {
        plus_minutes(self.frame.bell, f64::from(self.placing.late))
    }
}

/// When a task of a list begins.
pub(super) fn begins(tasks: &[Task], id: TaskId) -> Option<Timestamp> {
    tasks.iter().find(|task| task.id == id).map(|task| task.start)
}
