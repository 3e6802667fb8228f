//! Meals against the clock: waits give before anything is late, plates come late only where they must, nothing is set before now, and
//! what is found is held against an exact solver.

use ergastic_cancel::Cancel;
use std::io::Read;

use ergastic_core::meal::{MealSheet, SheetRequest, meal_sheet_anywhere};
use ergastic_schedule::{Broken, Job, Problem, Slot, broken, solve};
use jiff::Timestamp;
use rand::{RngExt, SeedableRng};
use rand_chacha::ChaCha8Rng;
use rayon::prelude::*;
use serde::Deserialize;
use serde_json::{Value, json};

/// As often as for a meal of so many jobs.
fn tries(problem: &Problem) -> usize {
    6000.min(32_000_000 / problem.jobs.len().pow(2))
}

/// Promises that no cook can keep, whatever they cost: waits that are longer or shorter than they should be are none.
fn impossible(problem: &Problem, placing: &ergastic_schedule::Placing) -> Vec<Broken> {
    let mut found = broken(problem, &placing.jobs, placing.late);
    found.retain(|broken| {
        let wait = matches!(
            broken,
            Broken::WaitsTooLong { .. }
                | Broken::CutShort { .. }
                | Broken::EarlyForServing { .. }
                | Broken::LeftAlone { .. }
        );
        !wait
    });
    found
}

/// A meal as it was placed, and what an exact solver (CP-SAT, some seconds each) came to: `tests/placing/exact.py` makes them.
#[derive(Deserialize)]
struct Known {
    name: String,
    best: f64,
    proven: bool,
    problem: Problem,
}

fn known() -> Vec<Known> {
    let packed: &[u8] = include_bytes!("placing/meals.jsonl.gz");
    let mut text = String::new();
    flate2::read::GzDecoder::new(packed).read_to_string(&mut text).unwrap();
    text.lines().map(|line| serde_json::from_str(line).unwrap()).collect()
}

#[test]
fn meals_are_placed_as_an_exact_solver_places_them() {
    let gaps: Vec<(String, bool, f64)> = known()
        .par_iter()
        .map(|known| {
            let found = solve(&known.problem, tries(&known.problem), &Cancel::default()).unwrap();
            let broken = impossible(&known.problem, &found);
            assert!(broken.is_empty(), "{}: {broken:?}", known.name);
            assert!(found.bound <= found.cost + 1e-6 && found.late_bound <= found.late, "{}", known.name);
            if known.proven {
                assert!(found.cost >= known.best - 0.05, "{}: {} under {}", known.name, found.cost, known.best);
                assert!(found.bound <= known.best + 0.05, "{}: no bound at all", known.name);
            }
            (known.name.clone(), known.proven, ((found.cost - known.best) / known.best.max(1.0)).max(0.0))
        })
        .collect();
    for (kind, mean_at_most, worst_at_most) in [("pair", 0.02, 0.10), ("two", 0.02, 0.14), ("late", 0.02, 0.10)] {
        let of_kind: Vec<f64> = gaps.iter().filter(|(name, ..)| name.starts_with(kind)).map(|(.., gap)| *gap).collect();
        let mean = of_kind.iter().sum::<f64>() / of_kind.len() as f64;
        let worst = of_kind.iter().copied().fold(0.0, f64::max);
        let optimal = of_kind.iter().filter(|gap| **gap < 0.001).count();
        println!(
            "{kind}: {} meals, {optimal} as the best known, mean {:.2} %, worst {:.1} %",
            of_kind.len(),
            mean * 100.0,
            worst * 100.0
        );
        assert!(mean <= mean_at_most && worst <= worst_at_most, "{kind}: mean {mean}, worst {worst}");
    }
}

/// Ways that are cooked and eaten within a day.
fn ways() -> Vec<Value> {
    vec![
        json!({"cut": "shin", "method": "braise"}),
        json!({"cut": "short_rib", "method": "braise"}),
        json!({"cut": "chuck", "method": "braise", "heat": {"source": "oven", "set_c": 150}}),
        json!({"cut": "chuck", "method": "stew"}),
        json!({"cut": "oxtail", "method": "pressure"}),
        json!({"cut": "cheek", "method": "braise", "heat": {"source": "oven", "set_c": 140}}),
        json!({"cut": "brisket_flat", "method": "braise"}),
        json!({"cut": "blade", "method": "stew", "heat": {"source": "hob", "simmer": "gentle"}}),
        json!({"cut": "skirt", "method": "stew"}),
        json!({"cut": "topside", "method": "braise"}),
        json!({"cut": "chuck", "method": "slow_cooker", "heat": {"setting": "high"}}),
    ]
}

/// Two or three dishes on the morning of their day, their benches as they come or without salt ahead.
fn morning(seed: u64, salted: bool) -> MealSheet {
    let mut random = ChaCha8Rng::seed_from_u64(seed);
    let ways = ways();
    let dishes: Vec<Value> = (0..2 + seed % 2)
        .map(|_| {
            let mut forecast = ways[random.random_range(0..ways.len())].clone();
            forecast["mass_kg"] = json!(f64::from(random.random_range(8..=30)) / 10.0);
            forecast["members"] = json!(16);
            let prepare = if salted { json!({}) } else { json!({"salt_h": 0}) };
            json!({"people": random.random_range(4..=8), "forecast": forecast, "prepare": prepare})
        })
        .collect();
    let request = json!({"zone": "Europe/Helsinki", "serve_at": "2027-02-06T18:30", "now": "2027-02-06T08:00",
        "dishes": dishes, "problem": true});
    let request: SheetRequest = serde_json::from_value(request).unwrap();
    meal_sheet_anywhere(&request, Timestamp::UNIX_EPOCH).unwrap()
}

/// What a minute of every wait of a dish costs, all at once and each at its dearest.
fn a_minute_of_every_wait(problem: &Problem, group: usize) -> f64 {
    let of_job = |job: &Job| match &job.place {
        Slot::ServeAt { price, beyond, .. } => price.max(*beyond),
        Slot::Near { price, .. } => *price,
        Slot::Before(gaps) => gaps.iter().map(|gap| gap.under.max(gap.over).max(gap.beyond)).sum(),
    };
    let minutes: f64 = problem.jobs.iter().filter(|job| job.group == Some(group)).map(of_job).sum();
    let watched = problem.bookings.iter().filter(|booking| problem.jobs[booking.to.job].group == Some(group));
    minutes + watched.filter_map(|booking| booking.watched).sum::<f64>()
}

#[test]
fn salting_ahead_costs_no_meal_its_hour_and_nothing_is_set_before_now() {
    (0..200_u64).into_par_iter().for_each(|seed| {
        let sheet = morning(seed, true);
        let answer = sheet.problem.as_ref().unwrap();
        let kept = broken(&answer.problem, &answer.placed, answer.late);
        let hard = |broken: &&Broken| {
            matches!(
                broken,
                Broken::Past { .. } | Broken::TooFew { .. } | Broken::OutOfOrder { .. } | Broken::NobodyThere { .. }
            )
        };
        for group in 0..sheet.plans.len() {
            let minute = a_minute_of_every_wait(&answer.problem, group);
            assert!(minute < 0.5 * answer.problem.late_price.unwrap(), "{seed}: {minute} a minute");
        }
        assert_eq!(kept.iter().find(hard), None, "{seed}: {:?}", sheet.conflicts);
        assert!(sheet.tasks.iter().all(|task| task.start >= sheet.now), "{seed}");
        if sheet.late_min > 0.0 {
            let unsalted = morning(seed, false);
            assert!(
                sheet.late_min <= unsalted.late_min + 10.0,
                "{seed}: {} late, {} without salt",
                sheet.late_min,
                unsalted.late_min
            );
            let why = &sheet.conflicts.last().unwrap().text;
            assert!(why.contains("sooner") || why.contains("more to do"), "{why}");
        }
    });
}

#[test]
fn the_shin_and_the_short_rib_are_on_time() {
    let request = json!({"zone": "Europe/Helsinki", "serve_at": "2027-02-06T18:30", "now": "2027-02-06T08:00", "dishes": [
        {"name": "Shin", "forecast": {"cut": "shin", "mass_kg": 1.3, "method": "braise"}},
        {"name": "Short rib", "forecast": {"cut": "short_rib", "mass_kg": 2.3, "method": "braise"}}]});
    let sheet = meal_sheet_anywhere(&serde_json::from_value(request).unwrap(), Timestamp::UNIX_EPOCH).unwrap();
    assert_eq!((sheet.late_min, &sheet.conflicts[..]), (0.0, &[][..]));
}

#[test]
fn plates_that_are_pinned_after_the_bell_are_late() {
    let request = json!({"zone": "Europe/Helsinki", "serve_at": "2027-02-06T18:30", "now": "2027-02-06T08:00",
        "dishes": [{"forecast": {"cut": "chuck", "mass_kg": 1.3, "method": "braise", "members": 16}}],
        "pins": [{"task": "1-serve", "at": "2027-02-06T20:30"}]});
    let sheet = meal_sheet_anywhere(&serde_json::from_value(request).unwrap(), Timestamp::UNIX_EPOCH).unwrap();
    assert!((120.0..=140.0).contains(&sheet.late_min), "{}", sheet.late_min);
    assert!(sheet.conflicts.iter().any(|conflict| conflict.tasks.contains(&"1-serve".into())), "{:?}", sheet.conflicts);
}

#[test]
fn a_serving_time_in_the_hour_that_comes_twice_says_which_it_took() {
    let request = json!({"zone": "Europe/Helsinki", "serve_at": "2027-10-31T03:30", "now": "2027-10-30T08:00",
        "dishes": [{"forecast": {"cut": "chuck", "mass_kg": 1.3, "method": "braise", "members": 16}}]});
    let sheet = meal_sheet_anywhere(&serde_json::from_value(request).unwrap(), Timestamp::UNIX_EPOCH).unwrap();
    let told = sheet.assumed.iter().find(|assumed| assumed.field == "serve_at").unwrap();
    assert!(told.why.contains("twice") && told.why.contains("first"), "{told:?}");
    assert_eq!(sheet.serve_at.to_string(), "2027-10-31T00:30:00Z");
}
