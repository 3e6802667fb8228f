//! From the meat meeting the heat to the hold: stages, moves between them and looks on the way.

use ergastic_words::{Join, Minutes, Said, sheet as say};
use jiff::Timestamp;

use super::layer::{Draft, Layer};
use crate::clock::{minutes_between, plus_minutes};
use crate::forecast::PressureMinutes;
use crate::heat::pot::Lid;
use crate::plan::Plan;
use crate::safety;
use crate::sheet::durations::LOOK_MIN;
use crate::sheet::tasks::{Task, TaskId, TaskKind, Window};
use crate::sheet::worked::Worked;
use crate::ways::{LOOK_EVERY_MIN, Lane, MOVE_MIN, Medium, tasks};

/// The most looks a sheet plans for.
const MOST_CHECKS: usize = 7;
/// Laying the meat where it cooks and closing it takes both hands no longer, min.
const LAID_IN_MIN: f64 = 5.0;
/// Putting something in, min.
const ADD_MIN: f64 = 3.0;

pub(super) fn over_the_heat(layer: &mut Layer, plan: &Plan, worked: &Worked, met_heat: Timestamp, lift_at: Timestamp) {
    let (case, durations) = (&worked.case, &worked.durations);
    let (lane, what, why) = tasks::meets_the_heat(&case.first().medium, case.pot().lid, &worked.facts(plan));
    let on_the_hob = matches!(lane, Lane::Hob | Lane::Fire);
    let task = layer.add(Draft {
        id: TaskId::Simmer,
        kind: TaskKind::Simmer,
        lane,
        what,
        why,
        start: met_heat,
        minutes: durations.come_up_min,
        // Coming to a simmer wants an eye on it, not both hands.
        hands_on: durations.come_up_min <= LAID_IN_MIN,
    });
    task.after = vec![TaskId::Deglaze];
    if !on_the_hob && durations.preheat_min.is_some() {
        task.after.push(TaskId::Preheat);
    }
    if matches!(case.first().medium, Medium::Pressure { .. }) {
        task.cautions.push(safety::pressure_lid(case.voice));
    }
    let after_preheat = on_the_hob && durations.preheat_min.is_some();
    let (lane, tender_at) = stages(layer, worked, met_heat, lift_at, after_preheat);
    looks(layer, worked, met_heat, lift_at);
    additions(layer, worked, plus_minutes(met_heat, durations.come_up_min), lift_at);
    if minutes_between(tender_at, lift_at) >= 5.0 {
        let (what, why) = tasks::hold(&case.last().medium);
        let task = layer.add(Draft {
            id: TaskId::Hold,
            kind: TaskKind::Hold,
            lane,
            what,
            why,
            start: tender_at,
            minutes: 0.0,
            hands_on: false,
        });
        task.end = lift_at;
        task.after = vec![TaskId::Braise];
        task.cautions.push(safety::hot_hold(case.voice));
    }
}

/// Each stage and the moves between them: where the last takes place, and when half of such pieces are tender.
fn stages(
    layer: &mut Layer,
    worked: &Worked,
    met_heat: Timestamp,
    lift_at: Timestamp,
    after_preheat: bool,
) -> (Lane, Timestamp) {
    let case = &worked.case;
    let mut from = plus_minutes(met_heat, worked.durations.come_up_min);
    // A pressure pot is opened when it has let go, not when half of such pieces would be tender.
    let shut = matches!(case.last().medium, Medium::Pressure { .. }) || case.own_time_s().is_some();
    let half_min = if shut { None } else { worked.ready_min(0.5) };
    let half = half_min.map_or(lift_at, |minutes| plus_minutes(met_heat, minutes));
    let tender_at = half.max(from).min(lift_at);
    let (mut before, mut lane) = (TaskId::Simmer, Lane::Hob);
    for (i, stage) in case.stages.iter().enumerate() {
        let number = i as u32;
        let last = i + 1 == case.stages.len();
        let (stage_lane, what, why) = tasks::over_the_heat(
            &stage.medium,
            stage.pot.lid,
            worked.forecast.pressure.as_ref().map(PressureMinutes::is_set),
        );
        let why = match (&worked.forecast.pressure, &stage.medium) {
            (Some(minutes), Medium::Pressure { .. }) => {
                Said::list([Said::text(minutes.text.clone()), why], Join::Space)
            }
            _ => why,
        };
        lane = stage_lane;
        if i > 0 {
            let id = TaskId::Move(number);
            let (what, why) = tasks::moved(&case.stages[i - 1].medium, &stage.medium);
            let task = layer.add(Draft {
                id,
                kind: TaskKind::Move,
                lane: Lane::Hands,
                what,
                why,
                start: from,
                minutes: MOVE_MIN,
                hands_on: true,
            });
            task.after = vec![before];
            before = id;
            from = plus_minutes(from, MOVE_MIN);
        }
        let id = if last { TaskId::Braise } else { TaskId::Stage(number + 1) };
        let draft = Draft { id, kind: TaskKind::Braise, lane, what, why, start: from, minutes: 0.0, hands_on: false };
        let task = layer.add(draft);
        task.after = vec![before];
        if i == 0 && after_preheat {
            task.after.push(TaskId::Preheat);
        }
        let ended =
            worked.forecast.stages.get(i).and_then(|span| span.to_min).map(|minutes| plus_minutes(met_heat, minutes));
        task.end = if last { tender_at.max(from) } else { ended.unwrap_or(from).max(from).min(tender_at.max(from)) };
        from = task.end;
        before = id;
    }
    let ready = |p| worked.ready_min(p).map(|minutes| plus_minutes(met_heat, minutes));
    layer.tasks.last_mut().expect("a case has a stage").window =
        ready(0.1).zip(ready(0.9)).map(|(from, to)| Window { from, to });
    (lane, from)
}

/// What goes in before the end, each as long before the lifting as it needs, or a little sooner where the hands are busy.
fn additions(layer: &mut Layer, worked: &Worked, from: Timestamp, lift_at: Timestamp) {
    for (number, (what, done_min)) in worked.durations.additions.iter().enumerate() {
        let free = |at: Timestamp, layer: &Layer| {
            let end = plus_minutes(at, ADD_MIN);
            end <= lift_at && !layer.tasks.iter().any(|task| task.hands_on && task.start < end && at < task.end)
        };
        let wanted = plus_minutes(lift_at, -f64::max(done_min.ceil(), ADD_MIN));
        let at = (0..=24).map(|step| plus_minutes(wanted, -5.0 * f64::from(step))).find(|at| free(*at, layer));
        let Some(at) = at.filter(|at| *at >= from) else { continue };
        let task = layer.add(Draft {
            id: TaskId::Add(number as u32 + 1),
            kind: TaskKind::Add,
            lane: Lane::Hands,
            what: say::add(what.name_and_cut()),
            why: say::add_why(Minutes(done_min.ceil()), what.sign()),
            start: at,
            minutes: ADD_MIN,
            hands_on: true,
        });
        task.after = vec![TaskId::Simmer];
        minding_the_lid(task, worked);
    }
}

/// Where a lid is lifted, its steam scalds.
fn minding_the_lid(task: &mut Task, worked: &Worked) {
    let last = worked.case.last();
    if last.medium.is_pot() && last.pot.lid != Lid::None {
        task.cautions.push(safety::lid_steam(worked.case.voice));
    }
}

/// When the looks are, in minutes from the meat meeting the heat.
fn look_times(worked: &Worked, look_until: f64) -> Vec<f64> {
    let case = &worked.case;
    let p50_min = worked.ready_min(0.5).unwrap_or(0.0);
    // In a chain the last heat is the one that is watched.
    let last_from = worked.forecast.stages.last().and_then(|span| span.from_min).filter(|_| case.stages.len() > 1);
    let first = match last_from {
        Some(from) => (f64::max(from + 0.67 * (p50_min - from), from + MOVE_MIN + 5.0) / 5.0).ceil() * 5.0,
        None => (p50_min * 2.0 / 3.0 / 5.0).round() * 5.0,
    };
    if last_from.is_some() && first > look_until {
        return Vec::new();
    }
    let latest = worked.ready_min(0.9).unwrap_or(first);
    let last = f64::min(latest, look_until);
    let most = if case.first().medium.is_pot() { MOST_CHECKS } else { worked.durations.looks.max(3) };
    let every = f64::max(LOOK_EVERY_MIN, ((last - first) / (most as f64 - 1.0) / 15.0).ceil() * 15.0);
    let times = (0..most).map(|i| first + i as f64 * every);
    let goes_on = |at: &f64| (*at == first || *at <= look_until) && *at < latest + every;
    times.take_while(goes_on).collect()
}

/// Looks from two thirds of the way on: as many as the way allows, none where a lid can't be opened.
fn looks(layer: &mut Layer, worked: &Worked, met_heat: Timestamp, lift_at: Timestamp) {
    let case = &worked.case;
    let Some((first, again)) = tasks::look(&case.last().medium) else { return };
    let look_until = minutes_between(met_heat, lift_at) - 10.0;
    for (i, at_min) in look_times(worked, look_until).into_iter().enumerate() {
        let start = plus_minutes(met_heat, at_min);
        let sign = case.main().eaten_as.sign();
        let task = layer.add(Draft {
            id: TaskId::Check(i as u32 + 1),
            kind: TaskKind::Check,
            lane: Lane::Hands,
            what: if i == 0 { first.clone() } else { again.clone() },
            why: if i == 0 { say::first_look_why(sign) } else { say::look_why(sign) },
            start,
            minutes: LOOK_MIN,
            hands_on: true,
        });
        task.after = vec![TaskId::Simmer];
        task.window = Some(Window { from: plus_minutes(start, -10.0), to: plus_minutes(start, 15.0) });
        minding_the_lid(task, worked);
    }
}
