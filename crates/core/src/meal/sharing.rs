//! One oven at one temperature: dishes whose settings are near share it, and one gives way.

use crate::error::{Result, unless_refused};
use crate::ways::oven::Oven;
use ergastic_words::{Dial, RoughMinutes, Voice, meal as say};

use super::answer::GaveWay;
use super::solve::MealDish;
use super::table::MealInput;
use crate::forecast::Heat;
use crate::kitchen::ThingKind;
use crate::plan::Plan;
use crate::ways::{HeatSource, Method};

/// A dish gives way by so much at the most, K. Working value: beyond it, it is another cook.
const MAX_K: f64 = 30.0;

/// Where a dish stands in the oven at one setting the whole time: that setting, °C.
fn oven_c(course: &MealDish) -> Option<f64> {
    match course.worked.case.stages.as_slice() {
        [only] => only.medium.get::<Oven>().map(|oven| oven.set_c),
        _ => None,
    }
}

/// The plan at another oven's setting.
fn set_to(plan: &Plan, celsius: f64) -> Plan {
    let mut plan = plan.clone();
    plan.forecast.method.get_or_insert(Method::Braise);
    let heat = plan.forecast.heat.get_or_insert_with(Heat::default);
    heat.source = Some(HeatSource::Oven);
    heat.set_c = Some(celsius);
    plan
}

/// Dishes that share an oven.
pub(super) struct Shared {
    /// Those that are cooked otherwise for it, by their number from 0.
    pub changed: Vec<(usize, MealDish)>,
    /// What that is, in words.
    pub gave_way: Vec<GaveWay>,
}

/// The courses with their oven brought to one setting, where that can be and there are not ovens enough; which of them gave way.
/// The setting is that of the dish with most meat, so that the least is changed.
pub(super) fn shared(table: &MealInput, courses: &[MealDish]) -> Result<Option<Shared>> {
    let ovens = table.kitchen.ovens.iter().filter(|oven| !oven.lent).count();
    if ovens == 0 || !table.kitchen.has(ThingKind::Oven) {
        return Ok(None);
    }
    let set: Vec<(usize, f64)> =
        courses.iter().enumerate().filter_map(|(i, course)| Some((i, oven_c(course)?))).collect();
    let mut distinct: Vec<i64> = set.iter().map(|(_, celsius)| (celsius * 10.0) as i64).collect();
    distinct.sort_unstable();
    distinct.dedup();
    if distinct.len() <= ovens {
        return Ok(None);
    }
    let kg = |i: usize| courses[i].worked.case.mass_kg;
    // What is in the oven already leads.
    let cooks = |i: usize| table.cook_of(i).is_some();
    let heavier = |a: usize, b: usize| cooks(a).cmp(&cooks(b)).then(kg(a).total_cmp(&kg(b)));
    let leads = set.iter().copied().max_by(|a, b| heavier(a.0, b.0));
    let Some((leader, lead_c)) = leads else { return Ok(None) };
    let voice = table.voice();
    let (mut changed, mut gave_way) = (Vec::new(), Vec::new());
    for (i, celsius) in set {
        if i == leader
            || table.cook_of(i).is_some()
            || (celsius - lead_c).abs() < 0.5
            || (celsius - lead_c).abs() > MAX_K
        {
            continue;
        }
        let given_way = MealDish::of(&set_to(&courses[i].plan, lead_c), table);
        let Some(course) = unless_refused(given_way)? else { continue };
        gave_way.push(told(i, &courses[i], &course, (celsius, lead_c), voice));
        changed.push((i, course));
    }
    Ok((!changed.is_empty()).then_some(Shared { changed, gave_way }))
}

fn told(i: usize, before: &MealDish, after: &MealDish, (from_c, to_c): (f64, f64), voice: Voice) -> GaveWay {
    let longer_min = after.ready_min - before.ready_min;
    let dish = ergastic_words::Message::text(before.plan.name.clone());
    let (from, to, by) = (Dial(from_c), Dial(to_c), RoughMinutes(longer_min.abs()));
    let said =
        if longer_min >= 0.0 { say::gave_way_longer(dish, from, to, by) } else { say::gave_way(dish, from, to, by) };
    GaveWay { dish: before.plan.name.clone(), number: i as u32 + 1, from_c, to_c, longer_min, text: voice.render(said) }
}
