//! The whole of it: a request in, a meal's sheet out.

use crate::kitchen::ThingKind;
use ergastic_words::{Message, RoughMinutes, Share, meal as say, sheet as told};
use jiff::Timestamp;

use super::answer::{ClockChange, DishHours, MealConflict, MealSheet, MealTask, PlacingProblem};
use super::clocks::{changes, second_time};
use super::lateness::lateness;
use super::request::{Pin, SheetRequest};
use super::sharing::{Shared, shared};
use super::solve::{FEW_TRIES, MealDish, PlacedMeal, TRIES, begins, courses, laid, place};
use super::table::MealInput;
use super::under_way::UnderWay;
use super::ways_out::ways_out;
use super::wrapping::wrapped_when_up;
use crate::clock::minutes_between;
use crate::error::{Result, unless_refused};
use crate::kitchen::Kitchen;
use crate::plan::{Borrowed, Plan};
use crate::sheet::{Conflict, Steps, TakenAs, Task, TaskId, ThingTaken, Window, broken_promises, set_c, short, taken};

/// What a degree costs by which a dish gives way, in minutes of guests. Working value.
const A_DEGREE: f64 = 0.5;

/// Works a meal back from its bell in a kitchen.
///
/// # Errors
/// Names the field that can't be used.
pub fn meal_sheet(request: &SheetRequest, kitchen: &Kitchen, now: Timestamp) -> Result<MealSheet> {
    worked_back(&MealInput::lay(request, kitchen, now)?)
}

/// The same in a kitchen that nobody has described.
///
/// # Errors
/// Names the field that can't be used.
pub fn meal_sheet_anywhere(request: &SheetRequest, now: Timestamp) -> Result<MealSheet> {
    worked_back(&MealInput::lay_anywhere(request, now)?)
}

/// A meal's dishes as they are planned, and of each how its cook stands, if it is being cooked.
#[derive(Debug, Clone, Default)]
pub struct Dishes {
    /// Their plans; of what is being cooked, those of the cooks.
    pub plans: Vec<Plan>,
    /// How the cook of each stands.
    pub under_way: Vec<Option<UnderWay>>,
}

impl Dishes {
    fn table(&self, kitchen: &Kitchen, now: Timestamp) -> Result<MealInput> {
        Ok(MealInput { under_way: self.under_way.clone(), ..MealInput::of_plans(&self.plans, kitchen, now)? })
    }
}

/// Works the dishes of one meal back from their bell; `before` are other meals, in the order in which they have their choice of hands
/// and things.
///
/// # Errors
/// Names the field that can't be used.
pub fn meal_of_dishes(dishes: &Dishes, before: &[Dishes], kitchen: &Kitchen, now: Timestamp) -> Result<MealSheet> {
    worked_back(&among(dishes, before, kitchen, now)?)
}

/// The same of dishes none of which is being cooked yet.
///
/// # Errors
/// Names the field that can't be used.
pub fn meal_of_plans(plans: &[Plan], kitchen: &Kitchen, now: Timestamp) -> Result<MealSheet> {
    let dishes = Dishes { plans: plans.to_vec(), under_way: Vec::new() };
    meal_of_dishes(&dishes, &[], kitchen, now)
}

/// The same with one task put at an hour or given its length, without looking for ways out: what follows a finger.
///
/// # Errors
/// Names the field that can't be used.
pub fn meal_tried(
    dishes: &Dishes,
    before: &[Dishes],
    kitchen: &Kitchen,
    now: Timestamp,
    pin: &Pin,
) -> Result<MealSheet> {
    let mut table = among(dishes, before, kitchen, now)?;
    table.put(pin)?;
    table.only_tried = true;
    worked_back(&table)
}

/// Dishes on a table of their own, beside what other meals take.
fn among(dishes: &Dishes, before: &[Dishes], kitchen: &Kitchen, now: Timestamp) -> Result<MealInput> {
    let mut table = dishes.table(kitchen, now)?;
    let mut taken = Vec::new();
    for other in before {
        // Another meal that can't be cooked hinders this one in nothing.
        let Ok(theirs) = other.table(kitchen, now) else { continue };
        let theirs = MealInput { taken: std::mem::take(&mut taken), ..theirs };
        taken = match unless_refused(courses(&theirs))? {
            Some(own) => place(&theirs, &own.iter().collect::<Vec<_>>(), FEW_TRIES)?.takes,
            None => theirs.taken,
        };
    }
    table.taken = taken;
    Ok(table)
}

fn worked_back(table: &MealInput) -> Result<MealSheet> {
    let own = courses(table)?;
    let as_asked: Vec<&MealDish> = own.iter().collect();
    let tries = if table.only_tried { FEW_TRIES } else { TRIES };
    let mut placed = place(table, &as_asked, tries)?;
    let mut chosen = as_asked;
    let mut gave_way = Vec::new();
    let given = shared(table, &own)?;
    if let Some(Shared { changed, gave_way: gave }) = &given {
        let with: Vec<&MealDish> = (0..own.len())
            .map(|i| changed.iter().find(|(at, _)| *at == i).map_or(&own[i], |(_, course)| course))
            .collect();
        let tried = place(table, &with, tries)?;
        let degrees: f64 = gave.iter().map(|gave| (gave.to_c - gave.from_c).abs()).sum();
        if tried.placing.cost + A_DEGREE * degrees < placed.placing.cost {
            (placed, chosen, gave_way) = (tried, with, gave.clone());
        }
    }
    let waits = wrapped_when_up(table, &chosen, &placed)?;
    if let Some((i, later, told)) = &waits {
        chosen[*i] = later;
        placed = place(table, &chosen, tries)?;
        gave_way.push(told.clone());
    }
    let tasks = |(i, course): (usize, &&MealDish)| match table.cook_of(i) {
        Some(cook) => cook.tasks.iter().map(|cooked| cooked.task.clone()).collect(),
        None => placed.tasks(course, i),
    };
    let dishes: Vec<Vec<Task>> = chosen.iter().enumerate().map(tasks).collect();
    answer(table, &chosen, &placed, &dishes, gave_way)
}

/// The tasks of all dishes in the order of their hours, with whose they are.
fn in_order(
    table: &MealInput,
    courses: &[&MealDish],
    dishes: &[Vec<Task>],
    clock_changes: &[ClockChange],
) -> Vec<MealTask> {
    let mut tasks: Vec<MealTask> = Vec::new();
    for (i, (course, list)) in courses.iter().zip(dishes).enumerate() {
        let id = |task: TaskId| format!("{}-{task}", i + 1);
        let cook = table.cook_of(i);
        let cooked = |task: TaskId| cook.and_then(|cook| cook.tasks.iter().find(|cooked| cooked.task.id == task));
        let pin = |task: TaskId| course.plan.pins.iter().find(|pin| pin.task == task.to_string());
        tasks.extend(list.iter().map(|task| MealTask {
            id: id(task.id),
            dish: task.dish.clone(),
            number: i as u32 + 1,
            step: task.id,
            what: task.what.clone(),
            why: task.why.clone(),
            kind: task.kind,
            lane: task.lane,
            set_c: set_c(&course.worked, task),
            start: task.start,
            end: task.end,
            hands_on: task.hands_on,
            whose: cooked(task.id).and_then(|cooked| cooked.hands.clone()),
            cook: cook.filter(|_| cooked(task.id).is_some_and(|cooked| !cooked.done)).map(|cook| cook.id),
            taken: cooked(task.id).map(|cooked| cooked.taken.clone()).unwrap_or_default(),
            after: task.after.iter().map(|before| id(*before)).collect(),
            window: task.window,
            pinned: pin(task.id).is_some_and(|pin| pin.at.is_some()),
            own_min: pin(task.id).and_then(|pin| pin.min),
            moves: cook.is_none() && course.steps.all().any(|step| step.id == task.id),
            done: cooked(task.id).is_some_and(|cooked| cooked.done),
            second_time: second_time(clock_changes, task.start),
            cautions: task.cautions.clone(),
            ledger: task.ledger.clone(),
        }));
    }
    tasks.sort_by_key(|task| (task.start, task.kind, task.number, task.step));
    whose(&mut tasks, table);
    tasks
}

fn answer(
    table: &MealInput,
    courses: &[&MealDish],
    placed: &PlacedMeal,
    dishes: &[Vec<Task>],
    gave_way: Vec<super::answer::GaveWay>,
) -> Result<MealSheet> {
    let voice = table.voice();
    let cooked = (0..courses.len()).filter_map(|i| Some(table.cook_of(i)?.served_at));
    let served_at = cooked.fold(placed.served_at(), Timestamp::max);
    let start_at = dishes.iter().flatten().map(|task| task.start).min().unwrap_or(served_at);
    let clock_changes = changes(&table.zone, start_at.min(table.now), served_at, voice);
    let tasks = in_order(table, courses, dishes, &clock_changes);
    let bands: Vec<_> = courses
        .iter()
        .zip(dishes)
        .enumerate()
        .map(|(i, (course, list))| match table.cook_of(i) {
            Some(cook) => (cook.ready.clone(), cook.overcooked.clone()),
            None => band(course, list, served_at),
        })
        .collect();
    let hours =
        courses.iter().zip(dishes).enumerate().map(|(i, (course, list))| hours(table, i, course, list, served_at));
    let late_min = minutes_between(table.serve_at, served_at).max(0.0).ceil();
    let shut = placed.frame.shut.iter().filter(|away| away.end > start_at && away.begin < served_at);
    let things = courses.iter().zip(dishes).flat_map(|(course, list)| taken(&course.plan, &table.kitchen, list));
    let why = match (late_min > 0.0, courses.len()) {
        (true, _) => say::why_late(RoughMinutes(late_min)),
        (false, 1) => say::why_one(Share(table.certainty[0])),
        (false, many) => say::why(many as u32, Share(table.certainty.iter().copied().fold(1.0, f64::min))),
    };
    Ok(MealSheet {
        dishes: hours.collect(),
        ready: bands.iter().map(|(ready, _)| ready.clone()).collect(),
        overcooked: bands.into_iter().map(|(_, overcooked)| overcooked).collect(),
        late_min,
        conflicts: conflicts(table, courses, placed, dishes, late_min)?,
        ways_out: if table.only_tried { Vec::new() } else { ways_out(table, courses, placed)? },
        gave_way,
        clock_changes,
        things: things.collect(),
        start_at,
        served_at,
        serve_at: table.serve_at,
        now: table.now,
        zone: table.kitchen.zone.clone(),
        shut: shut.map(|away| Window { from: away.begin, to: away.end }).collect(),
        why: voice.render(why),
        assumed: table.assumed.clone(),
        problem: table.as_problem.then(|| as_problem(table, courses, placed)),
        plans: courses.iter().map(|course| course.plan.clone()).collect(),
        tasks,
    })
}

/// The placing as a problem with what was found for it.
fn as_problem(table: &MealInput, courses: &[&MealDish], placed: &PlacedMeal) -> PlacingProblem {
    let PlacedMeal { problem, placing, .. } = placed;
    let laid = (1..).zip(laid(table, courses)).filter_map(|(number, steps)| Some((number, steps?)));
    let blocks =
        laid.flat_map(|(number, steps): (usize, &Steps)| steps.blocks.iter().map(move |block| (number, block)));
    let mut tasks: Vec<Vec<String>> = blocks
        .map(|(number, block)| block.steps.iter().map(|step| format!("{number}-{}", step.id)).collect())
        .collect();
    tasks.resize(problem.jobs.len(), Vec::new());
    PlacingProblem {
        problem: problem.clone(),
        tasks,
        things: ThingKind::ALL.iter().map(|thing| thing.key().to_owned()).collect(),
        placed: placing.jobs.clone(),
        late: placing.late,
        cost: placing.cost,
        bound: placing.bound,
        late_bound: placing.late_bound,
        forced: placing.forced,
        forced_price: placing.forced_price,
    }
}

/// Who does what, where there are several pairs of hands: each goes on with the dish they were at, if they are free. Who has a
/// task in hand keeps it.
fn whose(tasks: &mut [MealTask], table: &MealInput) {
    let mut hands: Vec<_> =
        table.kitchen.hands.iter().filter(|hands| !hands.lent).map(|hands| hands.name.clone()).collect();
    let helpers = table.terms.borrowed.iter().filter(|borrowed| **borrowed == Borrowed::Hands);
    hands.extend(helpers.map(|_| table.voice().render(say::helper())));
    if hands.len() < 2 {
        return;
    }
    let mut free = vec![(Timestamp::MIN, 0); hands.len()];
    for task in tasks.iter_mut().filter(|task| task.hands_on) {
        if let Some(whose) = &task.whose {
            if let Some(who) = hands.iter().position(|hands| hands == whose) {
                free[who] = (task.end, task.number);
            }
            continue;
        }
        let able = |at: &usize| free[*at].0 <= task.start;
        let same = (0..hands.len()).filter(able).find(|at| free[*at].1 == task.number);
        let Some(who) = same.or_else(|| (0..hands.len()).find(able)) else { continue };
        free[who] = (task.end, task.number);
        task.whose = Some(hands[who].clone());
    }
}

/// When a dish is tender, and when it goes too far.
fn band(course: &MealDish, list: &[Task], served_at: Timestamp) -> (crate::sheet::Ready, crate::sheet::Ready) {
    let met = begins(list, TaskId::Simmer).unwrap_or(served_at);
    let lift = begins(list, course.steps.lifted()).unwrap_or(served_at);
    course.worked.bands(&course.plan.name, met, lift)
}

fn hours(table: &MealInput, i: usize, course: &MealDish, list: &[Task], served_at: Timestamp) -> DishHours {
    let finishing_min = course.worked.durations.finishing_min();
    let certainty = table.certainty[i];
    let why = told::why(Share(certainty), RoughMinutes(course.ready_min), RoughMinutes(finishing_min));
    let mut cautions = vec![crate::safety::cooling(course.worked.case.voice)];
    cautions.extend(course.worked.durations.cautions.clone());
    DishHours {
        dish: course.plan.name.clone(),
        number: i as u32 + 1,
        start_at: list.iter().map(|task| task.start).min().unwrap_or(served_at),
        heat_on_at: begins(list, TaskId::Simmer).unwrap_or(served_at),
        lift_at: begins(list, course.steps.lifted()).unwrap_or(served_at),
        served_at,
        certainty,
        why: course.worked.case.voice.render(why),
        cautions,
    }
}

/// Dishes that want one pot at the same hour: there are too few, or both name it.
fn one_pot_for_two(table: &MealInput, courses: &[&MealDish], dishes: &[Vec<Task>]) -> Vec<MealConflict> {
    let mut pots: Vec<(usize, ThingTaken)> = Vec::new();
    for (i, (course, list)) in courses.iter().zip(dishes).enumerate() {
        // Of pressure pots and slow cookers the placing knows how many there are.
        let counted = |pot: &ThingTaken| table.kitchen.pots.iter().any(|own| own.id == pot.thing);
        let pot = taken(&course.plan, &table.kitchen, list).into_iter().find(|thing| thing.taken_as == TakenAs::Pot);
        pots.extend(pot.filter(counted).map(|pot| (i, pot)));
    }
    let mut found = Vec::new();
    for (at, (second, pot)) in pots.iter().enumerate() {
        let both =
            |(_, other): &&(usize, ThingTaken)| other.thing == pot.thing && other.from < pot.to && pot.from < other.to;
        let Some((first, _)) = pots[..at].iter().find(both) else { continue };
        let name = |dish: usize| Message::text(courses[dish].plan.name.clone());
        let said = say::one_pot_for_two(Message::text(pot.name.clone()), name(*first), name(*second));
        let tasks = [*first, *second].map(|dish| format!("{}-{}", dish + 1, TaskId::Braise));
        found.push(MealConflict { tasks: tasks.into(), text: table.voice().render(said) });
    }
    found
}

/// What can't be kept, in words: promises of the placing, things that are lent out, a time of the cook's own that is too short, the bell.
fn conflicts(
    table: &MealInput,
    courses: &[&MealDish],
    placed: &PlacedMeal,
    dishes: &[Vec<Task>],
    late_min: f64,
) -> Result<Vec<MealConflict>> {
    let voice = table.voice();
    let nothing = Steps::default();
    let steps = laid(table, courses).map(|steps| steps.unwrap_or(&nothing));
    let asked: Vec<_> = steps.zip(courses).map(|(steps, course)| (steps, course.plan.name.as_str())).collect();
    let mut found: Vec<MealConflict> =
        broken_promises(&asked, &placed.placing, voice, &placed.firsts, &placed.frame.fixed)
            .into_iter()
            .map(|(ids, text)| MealConflict {
                tasks: ids.into_iter().map(|(dish, id)| format!("{}-{id}", dish + 1)).collect(),
                text,
            })
            .collect();
    for (i, (course, list)) in courses.iter().zip(dishes).enumerate() {
        let mut add = |conflict: Conflict| {
            let tasks = conflict.tasks.iter().map(|id| format!("{}-{id}", i + 1)).collect();
            let named = say::of_dish(Message::text(course.plan.name.clone()), Message::text(conflict.text.clone()));
            let text = if courses.len() > 1 { voice.render(named) } else { conflict.text };
            found.push(MealConflict { tasks, text });
        };
        short(&course.plan, &table.kitchen, list, voice).into_iter().for_each(&mut add);
        if table.cook_of(i).is_some() {
            continue;
        }
        if let Some(own) = course.worked.forecast.own_time.as_ref().filter(|own| own.chance < table.certainty[i]) {
            add(Conflict { tasks: vec![TaskId::Braise], text: own.text.clone() });
        }
    }
    found.extend(one_pot_for_two(table, courses, dishes));
    if late_min > 0.0 {
        let serves = (1..=courses.len()).map(|number| format!("{number}-{}", TaskId::Serve));
        found.push(MealConflict {
            tasks: serves.collect(),
            text: voice.render(lateness(courses, placed, late_min, &table.kitchen.how.cancel)?),
        });
    }
    Ok(found)
}
