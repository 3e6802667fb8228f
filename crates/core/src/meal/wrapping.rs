//! A wrap that would fall when nobody is up: put on later, at a warmer middle, where that spares more than it costs.

use crate::error::{Result, unless_refused};
use crate::ways::pit::InThePit;
use ergastic_words::{Message, RoughMinutes, Temperature, Voice, meal as say};

use super::answer::GaveWay;
use super::solve::{FEW_TRIES, MealDish, PlacedMeal, begins, place};
use super::table::MealInput;
use crate::clock::minutes_between;
use crate::sheet::TaskId;

/// Middles at which it is wrapped instead, °C: from soon after the usual to the end of the stall.
const LATER_C: [f64; 6] = [73.0, 76.0, 79.0, 82.0, 86.0, 90.0];

/// A later wrap has to spare so much, in minutes of guests. Working value.
const BETTER: f64 = 0.1;

/// At which middle a dish is wrapped, if it is, °C.
fn wrapped_at_c(course: &MealDish) -> Option<f64> {
    match course.worked.case.stages.as_slice() {
        [only] => only.medium.get::<InThePit>()?.wrap.map(|(_, at_c)| at_c),
        _ => None,
    }
}

/// So much longer than it has to a dish waits hot before it is asked whether a later wrap spares it, min.
const WAITS_MIN: f64 = 240.0;

/// Whether something is broken, or a wrapped dish was begun long before it must be so that its wrap falls by day.
fn is_worth_asking(table: &MealInput, courses: &[&MealDish], placed: &PlacedMeal) -> bool {
    let waits = |(i, course): (usize, &&MealDish)| {
        if table.cook_of(i).is_some() {
            return false;
        }
        let tasks = placed.tasks(course, i);
        let met = begins(&tasks, TaskId::Simmer).zip(begins(&tasks, course.steps.lifted()));
        let over_min = met.map_or(0.0, |(from, to)| minutes_between(from, to));
        wrapped_at_c(course).is_some() && over_min > course.ready_min + WAITS_MIN
    };
    !placed.placing.broken.is_empty() || courses.iter().enumerate().any(waits)
}

/// The dish whose later wrap makes the meal better, wrapped at the coolest middle that does: its number from 0, how it is cooked then,
/// and that in words.
pub(super) fn wrapped_when_up(
    table: &MealInput,
    courses: &[&MealDish],
    placed: &PlacedMeal,
) -> Result<Option<(usize, MealDish, GaveWay)>> {
    if !is_worth_asking(table, courses, placed) {
        return Ok(None);
    }
    for (i, course) in courses.iter().enumerate() {
        let Some(from_c) = wrapped_at_c(course).filter(|_| table.cook_of(i).is_none()) else { continue };
        for to_c in LATER_C.into_iter().filter(|to_c| *to_c > from_c) {
            let mut plan = course.plan.clone();
            let Some(wrap) = plan.forecast.heat.as_mut().and_then(|heat| heat.wrap.as_mut()) else { continue };
            wrap.at_core_c = Some(to_c);
            let Some(later) = unless_refused(MealDish::of(&plan, table))? else { continue };
            let mut with = courses.to_vec();
            with[i] = &later;
            let PlacedMeal { placing: tried, .. } = place(table, &with, FEW_TRIES)?;
            let stands = &placed.placing;
            if tried.cost < stands.cost - BETTER
                && tried.broken.len() <= stands.broken.len()
                && tried.late <= stands.late
            {
                let told = told(i, course, &later, (from_c, to_c), table.voice());
                return Ok(Some((i, later, told)));
            }
        }
    }
    Ok(None)
}

fn told(i: usize, before: &MealDish, after: &MealDish, (from_c, to_c): (f64, f64), voice: Voice) -> GaveWay {
    let longer_min = after.ready_min - before.ready_min;
    let dish = Message::text(before.plan.name.clone());
    let said = say::wrapped_when_up(dish, Temperature(from_c), Temperature(to_c), RoughMinutes(longer_min.max(0.0)));
    GaveWay { dish: before.plan.name.clone(), number: i as u32 + 1, from_c, to_c, longer_min, text: voice.render(said) }
}
