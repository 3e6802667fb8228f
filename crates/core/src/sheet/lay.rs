//! The tasks of one dish, laid around the moment the meat meets the heat and the moment it is lifted.

use jiff::Timestamp;
use jiff::tz::TimeZone;

use super::Worked;
use super::tasks::{Lane, Task, TaskKind, Window};
use crate::clock::{minutes_between, plus_minutes};
use crate::forecast::Medium;
use crate::plan::Plan;
use crate::safety;
use crate::tender::EatenAs;

/// Minutes between looks at the meat.
const CHECK_EVERY_MIN: f64 = 30.0;
/// The most looks a sheet plans for.
const MOST_CHECKS: usize = 7;

/// Collects tasks; each follows the one before unless told otherwise.
struct Layer<'a> {
    dish: &'a str,
    tasks: Vec<Task>,
}

impl Layer<'_> {
    #[allow(clippy::too_many_arguments)] // the fields of a task
    fn add(
        &mut self,
        id: &str,
        kind: TaskKind,
        lane: Lane,
        what: String,
        why: String,
        start: Timestamp,
        minutes: f64,
        hands_on: bool,
    ) -> &mut Task {
        let after = self.tasks.last().map(|task| task.id.clone()).into_iter().collect();
        self.tasks.push(Task {
            id: id.to_owned(),
            dish: self.dish.to_owned(),
            what,
            why,
            kind,
            lane,
            start,
            end: plus_minutes(start, minutes),
            hands_on,
            after,
            window: None,
            cautions: Vec::new(),
        });
        self.tasks.last_mut().expect("just pushed")
    }
}

/// Lays the tasks of a plan whose meat meets the heat at `met_heat` and is lifted at `lift_at`.
///
/// With `not_before`, salting and taking out are squeezed to what time is left after it.
pub fn lay(
    plan: &Plan,
    worked: &Worked,
    met_heat: Timestamp,
    lift_at: Timestamp,
    not_before: Option<Timestamp>,
) -> Vec<Task> {
    let mut layer = Layer { dish: &plan.name, tasks: Vec::new() };
    before_the_heat(&mut layer, worked, met_heat, not_before);
    over_the_heat(&mut layer, worked, met_heat, lift_at);
    finishing(&mut layer, plan, worked, lift_at);
    let mut tasks = layer.tasks;
    tasks.sort_by_key(|task| (task.start, task.kind));
    tasks
}

fn before_the_heat(layer: &mut Layer, worked: &Worked, met_heat: Timestamp, not_before: Option<Timestamp>) {
    let (case, durations) = (&worked.case, &worked.durations);
    let pan_at = plus_minutes(met_heat, -durations.lead_min());
    let floor = not_before.unwrap_or(Timestamp::MIN);
    let take_out_at = plus_minutes(pan_at, -durations.take_out_ahead_min).max(floor);
    let salt_at = before_bed(plus_minutes(pan_at, -durations.salt_ahead_min), &worked.zone).max(floor).min(take_out_at);
    let ahead_h = minutes_between(salt_at, pan_at) / 60.0;

    if durations.salt_g > 0.0 && case.main().facts.cut != crate::cuts::Cut::CornedBrisket {
        let minutes = 10.0_f64.min(minutes_between(salt_at, take_out_at).max(0.0));
        let why = if ahead_h >= 3.0 {
            "salt this far ahead seasons more than the surface, and the surface dries for the pan"
        } else {
            "late salt stays near the surface: it seasons the sauce more than the middle"
        };
        let squeezed = minutes < 10.0;
        let minutes = if squeezed { 0.0 } else { minutes };
        let what = format!(
            "Salt the meat: {:.0} g, about {:.1} level teaspoons of fine salt",
            durations.salt_g, durations.salt_tsp
        );
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
    if let Some(preheat) = durations.preheat_min
        && let Medium::Oven { set_c, .. } = case.first().medium
    {
        let into_oven = plus_minutes(met_heat, durations.come_up_min);
        let task = layer.add(
            "preheat",
            TaskKind::Preheat,
            Lane::Oven,
            format!("Light the oven: {set_c:.0} °C"),
            "it is hot when the pot goes in".into(),
            plus_minutes(into_oven, -preheat).max(floor),
            0.0,
            false,
        );
        task.end = into_oven;
        task.after.clear();
    }
    let mut at = pan_at;
    let mut before = "take_out".to_owned();
    if let Some(sear) = durations.sear {
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
                sear.batch_min,
                true,
            );
            task.after = vec![before];
            if batch == 1 {
                task.cautions.push(safety::hot_fat());
            }
            before = id;
            at = plus_minutes(at, sear.batch_min);
        }
    }
    let what = if durations.sear.is_some() {
        "Soften the aromatics in that fat, deglaze, scrape up the brown"
    } else {
        "Soften the aromatics, pour in the liquid"
    };
    let task = layer.add(
        "deglaze",
        TaskKind::Deglaze,
        Lane::Hob,
        what.into(),
        "garlic last; wine down by half; then the hot liquid".into(),
        at,
        durations.deglaze_min,
        true,
    );
    task.after = vec![before];
    task.cautions.push(safety::wine_flames());
}

/// Nobody gets up at night to salt meat: a time between 22 and 7 o'clock moves to nine the evening before.
fn before_bed(at: Timestamp, zone: &TimeZone) -> Timestamp {
    let local = at.to_zoned_datetime(zone.clone());
    let evening = match local.hour() {
        22.. => local.date(),
        ..7 => local.date().yesterday().unwrap_or(local.date()),
        _ => return at,
    };
    zone.to_ambiguous_timestamp(evening.at(21, 0, 0, 0)).compatible().unwrap_or(at)
}

fn over_the_heat(layer: &mut Layer, worked: &Worked, met_heat: Timestamp, lift_at: Timestamp) {
    let (case, durations) = (&worked.case, &worked.durations);
    let task = layer.add(
        "simmer",
        TaskKind::Simmer,
        Lane::Hob,
        format!("Meat in with its resting juices and {:.1} L of hot liquid; bring it to a simmer", case.liquid_l),
        "the clock starts here; skim the first foam".into(),
        met_heat,
        durations.come_up_min,
        true,
    );
    task.after = vec!["deglaze".into()];
    let minutes = |p| worked.ready_min(p);
    let p50_min = minutes(0.5).unwrap_or(0.0);
    let ready_from = minutes(0.1).map(|m| plus_minutes(met_heat, m));
    let ready_to = minutes(0.9).map(|m| plus_minutes(met_heat, m));
    let braise_from = plus_minutes(met_heat, durations.come_up_min);
    let tender_at = plus_minutes(met_heat, p50_min).max(braise_from).min(lift_at);
    let lid = case.pot().lid.words();
    let (lane, what, why) = match &case.first().medium {
        Medium::Oven { set_c, .. } => (
            Lane::Oven,
            format!("Into the oven at {set_c:.0} °C, {lid}"),
            "even heat from all sides; the dial decides how much water leaves".to_owned(),
        ),
        Medium::Hob { simmer } => (
            Lane::Hob,
            format!("On the hob, {lid}: {}", simmer.looks()),
            "simmer, don't boil: a boil breaks it up".to_owned(),
        ),
        medium => (
            Lane::Hob,
            format!("{}, {lid}", medium.words()),
            "turn the pot a quarter and the lid back every 15 min; fresh coals before the old ones fade".to_owned(),
        ),
    };
    let task = layer.add("braise", TaskKind::Braise, lane, what, why, braise_from, 0.0, false);
    task.end = tender_at;
    if durations.preheat_min.is_some() {
        task.after.push("preheat".into());
    }
    task.window = ready_from.zip(ready_to).map(|(from, to)| Window { from, to });

    let sign = case.main().eaten_as.sign();
    let look_until = minutes_between(met_heat, lift_at) - 10.0;
    let first = (p50_min * 2.0 / 3.0 / 5.0).round() * 5.0;
    let last = f64::min(minutes(0.9).unwrap_or(first), look_until);
    let every = f64::max(CHECK_EVERY_MIN, ((last - first) / (MOST_CHECKS as f64 - 1.0) / 15.0).ceil() * 15.0);
    let mut at_min = first;
    for number in 1..=MOST_CHECKS {
        if number > 1 && at_min > look_until || at_min >= minutes(0.9).unwrap_or(first) + every {
            break;
        }
        let start = plus_minutes(met_heat, at_min);
        let what = if number == 1 {
            "First look: fork it, and see to the liquid"
        } else {
            "Look again: fork it, and see to the liquid"
        };
        let why = if number == 1 {
            format!("two thirds of the way: you want {sign}; expect it firm still")
        } else {
            format!("you want {sign}; each look lets heat out, so be quick")
        };
        let task =
            layer.add(&format!("check_{number}"), TaskKind::Check, Lane::Hands, what.into(), why, start, 5.0, true);
        task.after = vec!["simmer".into()];
        task.window = Some(Window { from: plus_minutes(start, -10.0), to: plus_minutes(start, 15.0) });
        task.cautions.push(safety::lid_steam());
        at_min += every;
    }
    if minutes_between(tender_at, lift_at) >= 5.0 {
        let task = layer.add(
            "hold",
            TaskKind::Hold,
            lane,
            "Tender early? Lid on, heat off or lowest, keep it hot".into(),
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

fn finishing(layer: &mut Layer, plan: &Plan, worked: &Worked, lift_at: Timestamp) {
    let (case, durations) = (&worked.case, &worked.durations);
    let held = layer.tasks.iter().any(|task| task.id == "hold");
    let task = layer.add(
        "lift",
        TaskKind::Lift,
        Lane::Hands,
        "Lift the meat out onto a warm tray, covered".into(),
        "bones, bay and strings out; keep what runs from it".into(),
        lift_at,
        durations.lift_min,
        true,
    );
    task.after = vec![if held { "hold" } else { "braise" }.into()];
    let skim_at = plus_minutes(lift_at, durations.lift_min);
    let fat_mm = durations.fat_l / case.pot().floor_m2;
    layer.add(
        "skim",
        TaskKind::Skim,
        Lane::Hob,
        format!("Let it settle and skim: about {:.0} mL of fat, {fat_mm:.0} mm deep", durations.fat_l * 1000.0),
        "half off the flame the fat gathers on the still side; before anything thickens".into(),
        skim_at,
        durations.skim_min,
        true,
    );
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
    let slice_at = plus_minutes(skim_at, f64::max(durations.skim_min + durations.sauce_min, 15.0));
    let rest = layer.add(
        "rest",
        TaskKind::Rest,
        Lane::Board,
        "The meat rests, covered".into(),
        "15 to 20 minutes: it slices cleaner and keeps more of its juice".into(),
        skim_at,
        0.0,
        false,
    );
    rest.end = slice_at;
    rest.after = vec!["lift".into()];
    let what = match case.main().eaten_as {
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
    task.after = vec!["sauce".into(), "rest".into()];
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
