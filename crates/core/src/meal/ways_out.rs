//! When a meal can't be kept: what would help, each really worked out.

use ergastic_words::{Message, RoughMinutes, meal as say};

use super::answer::{WayChange, WayOut};
use super::solve::{FEW_TRIES, MealDish, PlacedMeal, place};
use super::table::{MealInput, Terms};
use crate::clock::{minutes_between, plus_minutes};
use crate::error::{Result, unless_refused};
use crate::plan::Borrowed;
use crate::sheet::{Met, TO_DECIDE_MIN, changes_that_help, later_serving};

/// Sleep that is borrowed, min.
const BORROWED_SLEEP_MIN: u32 = 60;
/// What helps by less is not told, min.
const HELPS_FROM_MIN: f64 = 10.0;
/// So many are told, beside a later bell.
const MAX_TOLD: usize = 4;

/// What would help, the best first; nothing where nothing is amiss.
pub(super) fn ways_out(table: &MealInput, courses: &[&MealDish], placed: &PlacedMeal) -> Result<Vec<WayOut>> {
    let amiss = placed.placing.late > 0 || !placed.placing.broken.is_empty();
    if !amiss {
        return Ok(Vec::new());
    }
    let voice = table.voice();
    let mut found = Vec::new();
    let mut told = |text: Message, trade: Message, tried: PlacedMeal, change: WayChange| {
        let sooner = minutes_between(tried.served_at(), placed.served_at());
        let fewer = placed.placing.broken.len() as i64 - tried.placing.broken.len() as i64;
        if sooner < HELPS_FROM_MIN && (fewer <= 0 || sooner < 0.0) {
            return;
        }
        found.push((
            tried.placing.cost,
            WayOut {
                text: voice.render(text),
                trade: voice.render(trade),
                served_at: tried.served_at(),
                on_time: tried.placing.late <= 0 && tried.placing.broken.is_empty(),
                change,
            },
        ));
    };
    for (i, course) in courses.iter().enumerate().filter(|(i, _)| table.cook_of(*i).is_none()) {
        for (text, trade, plan) in changes_that_help(&course.plan, &table.kitchen) {
            let Some(changed) = unless_refused(MealDish::of(&plan, table))? else { continue };
            let mut with: Vec<&MealDish> = courses.to_vec();
            with[i] = &changed;
            let tried = place(table, &with, FEW_TRIES)?;
            let text =
                if courses.len() > 1 { say::for_dish(Message::text(course.plan.name.clone()), text) } else { text };
            told(text, trade, tried, WayChange::Dish { number: i as u32 + 1, plan: Box::new(plan) });
        }
    }
    for (text, trade, other, change) in lent(table) {
        told(text, trade, place(&other, courses, FEW_TRIES)?, change);
    }
    found.sort_by(|a, b| a.0.total_cmp(&b.0));
    let mut ways: Vec<WayOut> = found.into_iter().map(|(_, way)| way).take(MAX_TOLD).collect();
    if placed.placing.late > 0 {
        let serve_at = later_serving(placed.served_at(), |serve_at| {
            let later = MealInput { serve_at, now: plus_minutes(table.now, TO_DECIDE_MIN), ..table.clone() };
            Ok(match place(&later, courses, 0)?.placing {
                placing if placing.late > 0 => Met::Late,
                placing => Met::kept(placing.broken.is_empty()),
            })
        })?;
        ways.push(WayOut {
            text: voice.render(ergastic_words::sheet::later_serving()),
            trade: voice.render(ergastic_words::sheet::later_serving_trade()),
            served_at: serve_at,
            on_time: false,
            change: WayChange::ServeAt { serve_at },
        });
    }
    Ok(ways)
}

/// The table with something more of the kitchen, or of the night: what, what it costs, and the change.
fn lent(table: &MealInput) -> Vec<(Message, Message, MealInput, WayChange)> {
    let borrowed = [
        (Borrowed::Hands, say::more_hands(), say::more_hands_trade()),
        (Borrowed::Pan, say::second_pan(), say::second_pan_trade()),
        (Borrowed::Burner, say::more_burners(), say::more_burners_trade()),
        (Borrowed::Oven, say::more_ovens(), say::more_ovens_trade()),
    ];
    let with = |(thing, text, trade)| {
        let borrowed = [&table.terms.borrowed[..], &[thing]].concat();
        let terms = Terms { borrowed, ..table.terms };
        (text, trade, MealInput { terms, ..table.clone() }, WayChange::Borrow { thing })
    };
    let mut found: Vec<_> = borrowed.into_iter().map(with).collect();
    if !table.asleep.is_empty() {
        let less_sleep_min = table.terms.less_sleep_min + BORROWED_SLEEP_MIN;
        let terms = Terms { less_sleep_min, ..table.terms.clone() };
        let text = say::less_sleep(RoughMinutes(f64::from(BORROWED_SLEEP_MIN)));
        let change = WayChange::Sleep { minutes: BORROWED_SLEEP_MIN };
        found.push((text, say::less_sleep_trade(), MealInput { terms, ..table.clone() }, change));
    }
    found
}
