//! From lifting the meat to plates on the table.

use ergastic_words::{Join, Length, Mass, Minutes, Said, Volume, sheet as say};
use jiff::Timestamp;

use super::layer::{Draft, Layer};
use super::words;
use super::words::BackInto;
use crate::bench::Level;
use crate::clock::plus_minutes;
use crate::finish::Target;
use crate::plan::Plan;
use crate::safety;
use crate::sheet::tasks::{TaskId, TaskKind};
use crate::sheet::worked::Worked;
use crate::ways::{Lane, tasks};

/// A sauce that takes no longer keeps the hands at the pot, min.
const STIRRED_MIN: f64 = 15.0;

pub(super) fn finishing(layer: &mut Layer, plan: &Plan, worked: &Worked, lift_at: Timestamp) {
    let (case, durations) = (&worked.case, &worked.durations);
    let held = layer.tasks.iter().any(|task| task.id == TaskId::Hold);
    let (what, why) = tasks::lift(&case.last().medium, durations.opened.is_some(), &durations.take_out);
    let lift_at = opened(layer, worked, lift_at, if held { TaskId::Hold } else { TaskId::Braise });
    let before = layer.tasks.last().map(|task| task.id).filter(|_| durations.opened.is_some());
    let task = layer.add(Draft {
        id: TaskId::Lift,
        kind: TaskKind::Lift,
        lane: Lane::Hands,
        what,
        why,
        start: lift_at,
        minutes: durations.lift_min,
        hands_on: true,
    });
    task.after = vec![before.unwrap_or(if held { TaskId::Hold } else { TaskId::Braise })];
    let skim_at = plus_minutes(lift_at, durations.lift_min);
    if durations.has_sauce() {
        sauce(layer, worked, skim_at);
    }
    let slice_at = plus_minutes(skim_at, f64::max(durations.skim_min + durations.sauce_min, durations.rest_min));
    rest_and_slice(layer, plan, worked, skim_at, slice_at);
    layer.add(Draft {
        id: TaskId::Serve,
        kind: TaskKind::Serve,
        lane: Lane::Hands,
        what: say::serve(plan.people, Mass(durations.yield_kg / f64::from(plan.people))),
        why: say::serve_why(),
        start: plus_minutes(slice_at, durations.slice_min),
        minutes: durations.plate_min,
        hands_on: true,
    });
}

/// A pressure pot in two goes: what would have been mush, and when the meat is lifted after it.
fn opened(layer: &mut Layer, worked: &Worked, opened_at: Timestamp, after: TaskId) -> Timestamp {
    let Some(opened) = &worked.durations.opened else { return opened_at };
    let (mut at, mut before) = (opened_at, after);
    let stages = worked.case.stages.len() as u32;
    for (number, (things, closed, hands_min, alone_min)) in (1..).zip(opened.goes()) {
        let names = Said::list(things.iter().map(|what| what.name_and_cut()), Join::And);
        let id = TaskId::Add(number);
        let task = layer.add(Draft {
            id,
            kind: TaskKind::Add,
            lane: Lane::Hands,
            what: if number == 1 { say::open_and_add(names) } else { say::add(names) },
            why: say::open_and_add_why(),
            start: at,
            minutes: hands_min,
            hands_on: true,
        });
        task.after = vec![before];
        task.cautions.push(safety::pressure_lid(worked.case.voice));
        at = plus_minutes(at, hands_min);
        let signs = Said::list(things.iter().map(|what| what.sign()), Join::Semicolons);
        let (what, why) = match closed {
            true => (say::closed_again(Minutes(opened.pressed_min())), say::closed_again_why()),
            false => (say::simmer_open(Minutes(alone_min)), say::simmer_open_why(signs)),
        };
        before = TaskId::Stage(stages + number);
        let lane = Lane::PressurePot;
        let draft = Draft {
            id: before,
            kind: TaskKind::Braise,
            lane,
            what,
            why,
            start: at,
            minutes: alone_min,
            hands_on: false,
        };
        layer.add(draft).after = vec![id];
        at = plus_minutes(at, alone_min);
    }
    at
}

/// Resting, then the knife or the forks.
fn rest_and_slice(layer: &mut Layer, plan: &Plan, worked: &Worked, rest_at: Timestamp, slice_at: Timestamp) {
    let (case, durations) = (&worked.case, &worked.durations);
    let rests = durations.rest_min > 0.0;
    if rests {
        let rest = layer.add(Draft {
            id: TaskId::Rest,
            kind: TaskKind::Rest,
            lane: Lane::Board,
            what: say::rest(),
            why: tasks::rest(&case.last().medium, case.main().eaten_as),
            start: rest_at,
            minutes: 0.0,
            hands_on: false,
        });
        rest.end = slice_at;
        rest.after = vec![TaskId::Lift];
    }
    let into = match (durations.has_sauce(), plan.target) {
        (false, _) => BackInto::Nothing,
        (true, Target::Broth) => BackInto::Broth,
        (true, _) if plan.prepare.level == Some(Level::Soup) => BackInto::Broth,
        (true, _) => BackInto::Sauce,
    };
    let (what, why) = words::cut_up(case.main().eaten_as, into);
    let task = layer.add(Draft {
        id: TaskId::Slice,
        kind: TaskKind::Slice,
        lane: Lane::Board,
        what,
        why,
        start: slice_at,
        minutes: durations.slice_min,
        hands_on: true,
    });
    task.after = vec![if rests { TaskId::Rest } else { TaskId::Lift }];
    if durations.has_sauce() {
        task.after.push(TaskId::Sauce);
    }
}

/// Skimming, and what the liquid becomes.
fn sauce(layer: &mut Layer, worked: &Worked, skim_at: Timestamp) {
    let durations = &worked.durations;
    let fat_mm = durations.fat_l / worked.case.pot().floor_m2;
    if durations.skim_min > 0.0 {
        let task = layer.add(Draft {
            id: TaskId::Skim,
            kind: TaskKind::Skim,
            lane: Lane::Hob,
            what: say::skim(Volume(durations.fat_l), Length(fat_mm)),
            why: say::skim_why(),
            start: skim_at,
            minutes: durations.skim_min,
            hands_on: true,
        });
        task.after = vec![TaskId::Lift];
    }
    let task = layer.add(Draft {
        id: TaskId::Sauce,
        kind: TaskKind::Sauce,
        lane: Lane::Hob,
        what: durations.sauce_making.clone(),
        why: say::sauce_why(),
        start: plus_minutes(skim_at, durations.skim_min),
        minutes: durations.sauce_min,
        // A long reduction is stirred now and then.
        hands_on: durations.sauce_min <= STIRRED_MIN,
    });
    task.after = vec![if durations.skim_min > 0.0 { TaskId::Skim } else { TaskId::Lift }];
}
