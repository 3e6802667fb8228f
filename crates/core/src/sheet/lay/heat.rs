//! From the meat meeting the heat to the hold: stages, moves between them and looks on the way.

use jiff::Timestamp;

use super::{Layer, words};
use crate::clock::{minutes_between, plus_minutes};
use crate::forecast::Medium;
use crate::safety;
use crate::sheet::Worked;
use crate::sheet::tasks::{Lane, TaskKind, Window};

/// Minutes between looks at the meat.
const CHECK_EVERY_MIN: f64 = 30.0;
/// The most looks a sheet plans for.
const MOST_CHECKS: usize = 7;
/// Putting something in, min.
const ADD_MIN: f64 = 3.0;
/// From one heat to the next, min.
const MOVE_MIN: f64 = 10.0;

pub(super) fn over_the_heat(layer: &mut Layer, worked: &Worked, met_heat: Timestamp, lift_at: Timestamp) {
    let (case, durations) = (&worked.case, &worked.durations);
    let (mut lane, what, why) = words::meets_the_heat(case);
    let on_the_hob = lane == Lane::Hob;
    let task = layer.add("simmer", TaskKind::Simmer, lane, what, why.into(), met_heat, durations.come_up_min, true);
    task.after = vec!["deglaze".into()];
    if !on_the_hob && durations.preheat_min.is_some() {
        task.after.push("preheat".into());
    }
    if matches!(case.first().medium, Medium::Pressure { .. }) {
        task.cautions.push(safety::pressure_lid());
    }
    let minutes = |p| worked.ready_min(p);
    let p50_min = minutes(0.5).unwrap_or(0.0);
    let ready_from = minutes(0.1).map(|m| plus_minutes(met_heat, m));
    let ready_to = minutes(0.9).map(|m| plus_minutes(met_heat, m));
    let braise_from = plus_minutes(met_heat, durations.come_up_min);
    let tender_at = plus_minutes(met_heat, p50_min).max(braise_from).min(lift_at);
    let mut from = braise_from;
    let mut before = "simmer".to_owned();
    let spans = &worked.forecast.stages;
    for (i, stage) in case.stages.iter().enumerate() {
        let last = i + 1 == case.stages.len();
        let (stage_lane, what, why) = words::over_the_heat(stage);
        lane = stage_lane;
        if i > 0 {
            let id = format!("move_{i}");
            let moving = words::moved(&case.stages[i - 1], stage);
            let task = layer.add(&id, TaskKind::Move, Lane::Hands, moving.0, moving.1.into(), from, MOVE_MIN, true);
            task.after = vec![before];
            before = id;
            from = plus_minutes(from, MOVE_MIN);
        }
        let id = if last { "braise".to_owned() } else { format!("stage_{}", i + 1) };
        let task = layer.add(&id, TaskKind::Braise, lane, what, why.into(), from, 0.0, false);
        task.after = vec![before];
        if i == 0 && durations.preheat_min.is_some() && on_the_hob {
            task.after.push("preheat".into());
        }
        let ended = spans.get(i).and_then(|span| span.to_min).map(|minutes| plus_minutes(met_heat, minutes));
        task.end = if last { tender_at.max(from) } else { ended.unwrap_or(from).max(from).min(tender_at.max(from)) };
        from = task.end;
        before = id;
    }
    let tender_at = from;
    layer.tasks.last_mut().expect("a case has a stage").window =
        ready_from.zip(ready_to).map(|(from, to)| Window { from, to });

    looks(layer, worked, met_heat, lift_at);
    additions(layer, worked, braise_from, lift_at);
    if minutes_between(tender_at, lift_at) >= 5.0 {
        let task = layer.add(
            "hold",
            TaskKind::Hold,
            lane,
            words::hold(case).into(),
            "this is the time kept for a slow piece; at 63 to 75 °C it softens only a little more".into(),
            tender_at,
            0.0,
            false,
        );
        task.end = lift_at;
        task.after = vec!["braise".into()];
        task.cautions.push(safety::hot_hold());
    }
}

/// What goes in before the end, each as long before the lifting as it needs, or a little sooner where the hands are busy.
fn additions(layer: &mut Layer, worked: &Worked, from: Timestamp, lift_at: Timestamp) {
    for (number, (name, sign, done_min)) in worked.durations.additions.iter().enumerate() {
        let free = |at: Timestamp, layer: &Layer| {
            let end = plus_minutes(at, ADD_MIN);
            end <= lift_at && !layer.tasks.iter().any(|task| task.hands_on && task.start < end && at < task.end)
        };
        let wanted = plus_minutes(lift_at, -f64::max(done_min.ceil(), ADD_MIN));
        let at = (0..=24).map(|step| plus_minutes(wanted, -5.0 * f64::from(step))).find(|at| free(*at, layer));
        let Some(at) = at.filter(|at| *at >= from) else { continue };
        let task = layer.add(
            &format!("add_{}", number + 1),
            TaskKind::Add,
            Lane::Hands,
            format!("Put the {name} in"),
            format!("if the meat forks nearly done; else wait with it. Done after {:.0} min: {sign}", done_min),
            at,
            ADD_MIN,
            true,
        );
        task.after = vec!["simmer".into()];
        task.cautions.push(safety::lid_steam());
    }
}

/// Looks from two thirds of the way on: as many as the way allows, none where a lid can't be opened.
fn looks(layer: &mut Layer, worked: &Worked, met_heat: Timestamp, lift_at: Timestamp) {
    let case = &worked.case;
    let minutes = |p| worked.ready_min(p);
    let p50_min = minutes(0.5).unwrap_or(0.0);
    let sign = case.main().eaten_as.sign();
    let look_until = minutes_between(met_heat, lift_at) - 10.0;
    let Some((first_what, again_what)) = words::look(case) else { return };
    // In a chain the last heat is the one that is watched.
    let last_from = worked.forecast.stages.last().and_then(|span| span.from_min).filter(|_| case.stages.len() > 1);
    let first = match last_from {
        Some(from) => (f64::max(from + 0.67 * (p50_min - from), from + MOVE_MIN + 5.0) / 5.0).ceil() * 5.0,
        None => (p50_min * 2.0 / 3.0 / 5.0).round() * 5.0,
    };
    if last_from.is_some() && first > look_until {
        return;
    }
    let last = f64::min(minutes(0.9).unwrap_or(first), look_until);
    let most = if case.first().medium.is_pot() { MOST_CHECKS } else { worked.durations.looks.max(3) };
    let every = f64::max(CHECK_EVERY_MIN, ((last - first) / (most as f64 - 1.0) / 15.0).ceil() * 15.0);
    let mut at_min = first;
    for number in 1..=most {
        if number > 1 && at_min > look_until || at_min >= minutes(0.9).unwrap_or(first) + every {
            break;
        }
        let start = plus_minutes(met_heat, at_min);
        let what = if number == 1 { first_what } else { again_what };
        let why = if number == 1 {
            format!("two thirds of the way: you want {sign}; expect it firm still")
        } else {
            format!("you want {sign}; each look lets heat out, so be quick")
        };
        let id = format!("check_{number}");
        let task = layer.add(&id, TaskKind::Check, Lane::Hands, what.into(), why, start, 5.0, true);
        task.after = vec!["simmer".into()];
        task.window = Some(Window { from: plus_minutes(start, -10.0), to: plus_minutes(start, 15.0) });
        if case.stages.last().is_some_and(|stage| stage.medium.is_pot()) {
            task.cautions.push(safety::lid_steam());
        }
        at_min += every;
    }
}
