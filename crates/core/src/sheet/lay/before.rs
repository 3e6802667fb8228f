//! Salt, pan and aromatics; whatever has to get hot beforehand.

use jiff::Timestamp;

use super::{Layer, words};
use crate::clock::{minutes_between, plus_minutes, spans};
use crate::forecast::Medium;
use crate::safety;
use crate::sheet::Worked;
use crate::sheet::tasks::{Lane, TaskKind};

/// Salting, min.
const SALTING_MIN: f64 = 10.0;

pub(super) fn before_the_heat(layer: &mut Layer, worked: &Worked, met_heat: Timestamp, not_before: Option<Timestamp>) {
    let (case, durations) = (&worked.case, &worked.durations);
    let pan_at = plus_minutes(met_heat, -durations.lead_min());
    let floor = not_before.unwrap_or(Timestamp::MIN);
    let take_out_at = plus_minutes(pan_at, -durations.take_out_ahead_min).max(floor);
    let salt_at = before_bed(plus_minutes(pan_at, -durations.salt_ahead_min), worked).max(floor).min(take_out_at);
    let ahead_h = minutes_between(salt_at, pan_at) / 60.0;

    if durations.salt_g > 0.5 {
        let minutes = SALTING_MIN.min(minutes_between(salt_at, take_out_at).max(0.0));
        let why = if ahead_h >= 3.0 {
            "salt this far ahead seasons more than the surface, and the surface dries for the pan"
        } else {
            "late salt stays near the surface: it seasons the sauce more than the middle"
        };
        let squeezed = minutes < SALTING_MIN;
        let minutes = if squeezed { 0.0 } else { minutes };
        let what = durations.salt_words.clone();
        if squeezed {
            // No time of its own is left: it is done while the pan gets hot.
            layer.add("salt", TaskKind::Salt, Lane::Board, what, why.into(), take_out_at, minutes, false);
        } else {
            layer.add("salt", TaskKind::Salt, Lane::Board, what, why.into(), salt_at, minutes, true);
        }
    }
    let take_out_min = 10.0_f64.min(minutes_between(take_out_at, pan_at).max(0.0));
    let task = layer.add(
        "take_out",
        TaskKind::TakeOut,
        Lane::Board,
        "Take the meat out and pat it dry".into(),
        "a dry surface browns, a wet one steams; how long it stands out changes the cooking time little".into(),
        take_out_at,
        take_out_min,
        take_out_min > 0.0,
    );
    task.cautions.push(safety::raw_meat());
    if let Some((preheat, (lane, what, why))) = durations.preheat_min.zip(words::preheat(&case.first().medium)) {
        let wanted_at = plus_minutes(met_heat, durations.preheat_slack_min);
        let task = layer.add(
            "preheat",
            TaskKind::Preheat,
            lane,
            what,
            why.into(),
            plus_minutes(wanted_at, -preheat).max(floor),
            0.0,
            false,
        );
        task.end = wanted_at;
        task.after.clear();
        if matches!(case.first().medium, Medium::Coals(_)) {
            task.cautions.push(safety::coals_outdoors());
        }
    }
    let mut at = pan_at;
    let mut before = "take_out".to_owned();
    if let Some(sear) = &durations.sear {
        let task = layer.add(
            "heat_pan",
            TaskKind::HeatPan,
            Lane::Hob,
            "Get the pan fully hot, then a film of fat".into(),
            "the fat ripples and a drop of water dances; no sizzle: take the meat out and wait".into(),
            at,
            durations.heat_pan_min,
            true,
        );
        task.after = vec![before];
        before = "heat_pan".into();
        at = plus_minutes(at, durations.heat_pan_min);
        for batch in 1..=sear.batches {
            let id = format!("sear_{batch}");
            let first = (batch - 1) * sear.per_batch + 1;
            let last = (batch * sear.per_batch).min(case.pieces);
            let what = match (case.pieces, sear.batches) {
                (1, _) => "Sear it brown on every broad side".to_owned(),
                (_, 1) => format!("Sear all {} pieces brown", case.pieces),
                _ if first == last => format!("Sear batch {batch} of {}: piece {first}", sear.batches),
                _ => format!("Sear batch {batch} of {}: pieces {first} to {last}", sear.batches),
            };
            let task = layer.add(
                &id,
                TaskKind::Sear,
                Lane::Hob,
                what,
                "brown is flavour and colour; crowded meat steams grey, so leave room".into(),
                at,
                sear.batch_task_min(),
                true,
            );
            task.after = vec![before];
            if batch == 1 {
                task.cautions.push(safety::hot_fat());
            }
            before = id;
            at = plus_minutes(at, sear.batch_task_min());
        }
    }
    let (what, why) = words::into_it(&case.first().medium, durations.sear.is_some());
    let lane = if case.first().medium.is_pot() { Lane::Hob } else { Lane::Board };
    let task = layer.add("deglaze", TaskKind::Deglaze, lane, what.into(), why.into(), at, durations.deglaze_min, true);
    task.after = vec![before];
    if case.first().medium.is_pot() {
        task.cautions.push(safety::wine_flames());
    }
}

/// Nobody gets up at night to salt meat: it is done an hour before bed.
fn before_bed(at: Timestamp, worked: &Worked) -> Timestamp {
    let (from, to) = (plus_minutes(at, -1440.0), plus_minutes(at, 1440.0));
    // Hours that can't be read hinder nobody: a kitchen is saved with good ones.
    let nights = spans("asleep", &worked.asleep, from, to, &worked.zone).unwrap_or_default();
    let in_bed = nights.iter().find(|night| night.0 < plus_minutes(at, SALTING_MIN) && at < night.1);
    in_bed.map_or(at, |night| plus_minutes(night.0, -60.0))
}
