//! From lifting the meat to plates on the table.

use jiff::Timestamp;

use super::{Layer, words};
use crate::clock::plus_minutes;
use crate::plan::Plan;
use crate::sheet::Worked;
use crate::sheet::tasks::{Lane, TaskKind};
use crate::tender::EatenAs;

pub(super) fn finishing(layer: &mut Layer, plan: &Plan, worked: &Worked, lift_at: Timestamp) {
    let (case, durations) = (&worked.case, &worked.durations);
    let held = layer.tasks.iter().any(|task| task.id == "hold");
    let task = layer.add(
        "lift",
        TaskKind::Lift,
        Lane::Hands,
        words::lift(case).0.into(),
        match durations.take_out.as_slice() {
            [] => words::lift(case).1.into(),
            out => format!("out come with it: {}; keep what runs from the meat", out.join(", ")),
        },
        lift_at,
        durations.lift_min,
        true,
    );
    task.after = vec![if held { "hold" } else { "braise" }.into()];
    let skim_at = plus_minutes(lift_at, durations.lift_min);
    if durations.has_sauce() {
        let fat_mm = durations.fat_l / case.pot().floor_m2;
        let task = layer.add(
            "skim",
            TaskKind::Skim,
            Lane::Hob,
            format!("Let it settle and skim: about {:.0} mL of fat, {fat_mm:.0} mm deep", durations.fat_l * 1000.0),
            "half off the flame the fat gathers on the still side; before anything thickens".into(),
            skim_at,
            durations.skim_min,
            true,
        );
        task.after = vec!["lift".into()];
        let sauce_at = plus_minutes(skim_at, durations.skim_min);
        layer.add(
            "sauce",
            TaskKind::Sauce,
            Lane::Hob,
            durations.sauce_words.clone(),
            "weak: reduce; right but thin: thicken; salty, bitter or sour: don't reduce".into(),
            sauce_at,
            durations.sauce_min,
            true,
        );
    }
    let slice_at = plus_minutes(skim_at, f64::max(durations.skim_min + durations.sauce_min, durations.rest_min));
    let rest = layer.add(
        "rest",
        TaskKind::Rest,
        Lane::Board,
        "The meat rests, covered".into(),
        words::rest(case).into(),
        skim_at,
        0.0,
        false,
    );
    rest.end = slice_at;
    rest.after = vec!["lift".into()];
    let what = match case.main().eaten_as {
        EatenAs::Slice | EatenAs::Probe if !durations.has_sauce() => "Slice across the grain",
        EatenAs::Pull if !durations.has_sauce() => "Pull it with two forks, in chunks",
        EatenAs::Fork | EatenAs::Spoon if !durations.has_sauce() => "Portion it",
        EatenAs::Slice | EatenAs::Probe => "Slice across the grain, back into the sauce",
        EatenAs::Pull => "Pull it with two forks, in chunks, into the sauce",
        EatenAs::Fork => "Portion it and turn it in the sauce",
        EatenAs::Spoon => "Break it up and turn it in the sauce",
    };
    let task = layer.add(
        "slice",
        TaskKind::Slice,
        Lane::Board,
        what.into(),
        "return what ran off the board".into(),
        slice_at,
        durations.slice_min,
        true,
    );
    task.after = vec!["rest".into()];
    if durations.has_sauce() {
        task.after.push("sauce".into());
    }
    let plate_at = plus_minutes(slice_at, durations.slice_min);
    let grams = durations.yield_kg * 1000.0 / f64::from(plan.people);
    layer.add(
        "serve",
        TaskKind::Serve,
        Lane::Hands,
        format!("Plate for {}: about {:.0} g of meat each", plan.people, (grams / 5.0).round() * 5.0),
        "something sharp and fresh beside it".into(),
        plate_at,
        durations.plate_min,
        true,
    );
}
