//! Why a meal is late: a dish that needs longer than there is, or dishes that wait for the same thing.

use ergastic_words::{Join, Message, RoughMinutes, meal as say};

use super::solve::{FEW_TRIES, MealDish, PlacedMeal};
use crate::clock::minutes_between;
use crate::error::Result;
use crate::kitchen::ThingKind;
use ergastic_physics::Cancel;
use ergastic_schedule::{Minute, solve};

/// A dish is the reason where by itself it is within this of the meal, min.
const AS_LATE: Minute = 8;
/// One thing more has to bring so much, min.
const BRINGS: Minute = 5;

/// By how much plates are late, and what it is that can't be done in time.
///
/// # Errors
/// Nobody waits for it any more.
pub(super) fn lateness(courses: &[&MealDish], placed: &PlacedMeal, late_min: f64, cancel: &Cancel) -> Result<Message> {
    let late = say::late(RoughMinutes(late_min));
    Ok(Message::list([late, reason(courses, placed, cancel)?], Join::Sentences))
}

fn reason(courses: &[&MealDish], placed: &PlacedMeal, cancel: &Cancel) -> Result<Message> {
    let (placing, problem) = (&placed.placing, &placed.problem);
    let slowest = placing.late_alone.iter().max_by_key(|(_, late)| *late);
    if let Some((dish, alone)) = slowest.filter(|(_, alone)| placing.late - alone <= AS_LATE)
        && let Some(now) = placed.frame.now
    {
        let needs = minutes_between(now, placed.frame.serve_at) + f64::from(*alone);
        return Ok(say::late_alone(Message::text(courses[*dish].plan.name.clone()), RoughMinutes(needs)));
    }
    let mut one_more = None;
    for thing in ThingKind::ALL {
        let kind = thing as usize;
        let mut groups: Vec<usize> = (problem.jobs.iter())
            .filter(|job| job.takes.iter().any(|take| take.kind == kind))
            .filter_map(|job| job.group)
            .chain(
                problem.bookings.iter().filter(|b| b.kind == Some(kind)).filter_map(|b| problem.jobs[b.from.job].group),
            )
            .collect();
        groups.sort_unstable();
        groups.dedup();
        if groups.len() < 2 {
            continue;
        }
        let mut with = problem.clone();
        with.kinds[kind].count += 1;
        let sooner = placing.late - solve(&with, FEW_TRIES, cancel)?.late;
        if sooner >= BRINGS && one_more.is_none_or(|(most, _)| sooner >= most) {
            one_more = Some((sooner, thing));
        }
    }
    Ok(match one_more {
        Some((sooner, thing)) => say::late_for_want_of(thing.word(), RoughMinutes(f64::from(sooner))),
        None => say::late_in_all(),
    })
}
