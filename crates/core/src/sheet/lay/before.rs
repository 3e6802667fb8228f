//! Salt, pan and aromatics; whatever has to get hot beforehand.

use ergastic_words::sheet as say;
use jiff::Timestamp;

use super::layer::{Draft, Layer};
use super::words;
use crate::bench::Larder;
use crate::clock::{minutes_between, plus_minutes, spans};
use crate::plan::Plan;
use crate::safety;
use crate::sheet::tasks::{TaskId, TaskKind};
use crate::sheet::worked::Worked;
use crate::ways::{Lane, Medium, tasks};

/// From so long ahead on salt seasons more than the surface, h.
const SEASONS_FROM_H: f64 = 3.0;

pub(super) fn before_the_heat(
    layer: &mut Layer,
    plan: &Plan,
    worked: &Worked,
    met_heat: Timestamp,
    not_before: Option<Timestamp>,
) {
    let durations = &worked.durations;
    let pan_at = plus_minutes(met_heat, -durations.lead_min());
    let floor = not_before.unwrap_or(Timestamp::MIN);
    let take_out_at = plus_minutes(pan_at, -durations.take_out_ahead_min).max(floor);
    if durations.salt_g > 0.5 {
        salt(layer, plan, worked, pan_at, take_out_at, floor);
    }
    let seared = durations.sear.is_some();
    let minutes = durations.take_out_min.min(minutes_between(take_out_at, pan_at).max(0.0));
    let task = layer.add(Draft {
        id: TaskId::TakeOut,
        kind: TaskKind::TakeOut,
        lane: Lane::Board,
        what: if seared { say::take_out_pat() } else { say::take_out() },
        why: if seared { say::take_out_pat_why() } else { say::take_out_why() },
        start: take_out_at,
        minutes,
        hands_on: minutes > 0.0,
    });
    task.cautions.push(safety::raw_meat(worked.case.voice));
    preheat(layer, plan, worked, met_heat, floor);
    let (before, at) = sear(layer, worked, pan_at);
    let (what, why) = tasks::into_it(&worked.case.first().medium, &worked.facts(plan));
    let in_pot = worked.case.first().medium.is_pot();
    let task = layer.add(Draft {
        id: TaskId::Deglaze,
        kind: TaskKind::Deglaze,
        lane: if in_pot { Lane::Hob } else { Lane::Board },
        what,
        why,
        start: at,
        minutes: durations.deglaze_min,
        hands_on: true,
    });
    task.after = vec![before];
    if in_pot && durations.deglazes.is_some_and(Larder::flares) {
        task.cautions.push(safety::wine_flames(worked.case.voice));
    }
}

fn salt(layer: &mut Layer, plan: &Plan, worked: &Worked, pan_at: Timestamp, take_out_at: Timestamp, floor: Timestamp) {
    let durations = &worked.durations;
    let salt_at = before_bed(plus_minutes(pan_at, -durations.salt_ahead_min), worked).max(floor).min(take_out_at);
    let ahead_h = minutes_between(salt_at, pan_at) / 60.0;
    let squeezed = minutes_between(salt_at, take_out_at) < durations.salting_min;
    layer.add(Draft {
        id: TaskId::Salt,
        kind: TaskKind::Salt,
        lane: Lane::Board,
        what: durations.salting.clone(),
        why: match (plan.prepare.brine, durations.sear.is_some()) {
            (Some(_), _) => say::brine_why(),
            (None, _) if ahead_h < SEASONS_FROM_H => say::salt_late_why(),
            (None, true) => say::salt_ahead_why(),
            (None, false) => say::salt_ahead_unseared_why(),
        },
        // No time of its own is left: it is done while the pan gets hot.
        start: if squeezed { take_out_at } else { salt_at },
        minutes: if squeezed { 0.0 } else { durations.salting_min },
        hands_on: !squeezed,
    });
}

/// Oven, pit, coals or bath get hot.
fn preheat(layer: &mut Layer, plan: &Plan, worked: &Worked, met_heat: Timestamp, floor: Timestamp) {
    let (durations, medium) = (&worked.durations, &worked.case.first().medium);
    let Some((minutes, (lane, what, why))) = durations.preheat_min.zip(tasks::preheat(medium, &worked.facts(plan)))
    else {
        return;
    };
    let wanted_at = plus_minutes(met_heat, durations.preheat_slack_min);
    let start = plus_minutes(wanted_at, -minutes).max(floor);
    let draft =
        Draft { id: TaskId::Preheat, kind: TaskKind::Preheat, lane, what, why, start, minutes: 0.0, hands_on: false };
    let task = layer.add(draft);
    task.end = wanted_at;
    task.after.clear();
    if matches!(medium, Medium::Coals(_)) {
        task.cautions.push(safety::coals_outdoors(worked.case.voice));
    }
}

/// The pan and its batches: what comes last of them, and when it is done.
fn sear(layer: &mut Layer, worked: &Worked, pan_at: Timestamp) -> (TaskId, Timestamp) {
    let (case, durations) = (&worked.case, &worked.durations);
    let Some(sear) = &durations.sear else { return (TaskId::TakeOut, pan_at) };
    let task = layer.add(Draft {
        id: TaskId::HeatPan,
        kind: TaskKind::HeatPan,
        lane: Lane::Hob,
        what: say::heat_pan(words::fat(sear.fat)),
        why: say::heat_pan_why(),
        start: pan_at,
        minutes: durations.heat_pan_min,
        hands_on: false,
    });
    task.after = vec![TaskId::TakeOut];
    let mut at = plus_minutes(pan_at, durations.heat_pan_min);
    let mut before = TaskId::HeatPan;
    for batch in 1..=sear.batches {
        let first = (batch - 1) * sear.per_batch + 1;
        let last = (batch * sear.per_batch).min(case.pieces);
        let task = layer.add(Draft {
            id: TaskId::Sear(batch),
            kind: TaskKind::Sear,
            lane: Lane::Hob,
            what: match (case.pieces, sear.batches) {
                (1, _) => say::sear_one(),
                (pieces, 1) => say::sear_all(pieces),
                (_, batches) if first == last => say::sear_batch_one(batch, batches, first),
                (_, batches) if first + 1 == last => say::sear_batch_two(batch, batches, first, last),
                (_, batches) => say::sear_batch(batch, batches, first, last),
            },
            why: say::sear_batch_why(),
            start: at,
            minutes: sear.batch_task_min(),
            hands_on: true,
        });
        task.after = vec![before];
        if batch == 1 {
            task.cautions.push(safety::hot_fat(case.voice));
        }
        before = TaskId::Sear(batch);
        at = plus_minutes(at, sear.batch_task_min());
    }
    (before, at)
}

/// Nobody gets up at night to salt meat: it is done an hour before bed.
fn before_bed(at: Timestamp, worked: &Worked) -> Timestamp {
    let (from, to) = (plus_minutes(at, -1440.0), plus_minutes(at, 1440.0));
    // Hours that can't be read hinder nobody: a kitchen is saved with good ones.
    let nights = spans("asleep", &worked.asleep, from, to, &worked.zone).unwrap_or_default();
    let in_bed =
        nights.iter().find(|night| night.begin < plus_minutes(at, worked.durations.salting_min) && at < night.end);
    in_bed.map_or(at, |night| plus_minutes(night.begin, -60.0))
}
