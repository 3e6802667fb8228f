//! A dish followed through its timetable: whatever is chosen, everything is somewhere, from the shop to the plate.

use std::collections::BTreeMap;

use ergastic_core::forecast::forecast;
use ergastic_core::kitchen::{Kitchen, ThingKind};
use ergastic_core::ledger::Place;
use ergastic_core::plan::Plan;
use ergastic_core::sheet::{Sheet, Task, TaskId, work_back};
use proptest::prelude::*;
use serde_json::{Value, json};

const LARDER: [(&str, bool); 18] = [
    ("red_wine", true),
    ("dark_beer", true),
    ("soy_sauce", true),
    ("tinned_tomato", true),
    ("cider", true),
    ("tomato_paste", false),
    ("bacon", false),
    ("onion", false),
    ("celery", false),
    ("garlic", false),
    ("ginger", false),
    ("bay_leaf", false),
    ("whole_spice", false),
    ("honey", false),
    ("butter", false),
    ("olives", false),
    ("seaweed", false),
    ("unsalted_rub", false),
];
const LATER: [&str; 6] = ["potato", "swede", "peas", "dumplings", "prunes", "soft_herbs"];

fn way(at: usize) -> Value {
    let chain = |first: Value, then: Value| json!({"stages": [first, then]});
    match at {
        0 => json!({"method": "braise"}),
        1 => json!({"method": "stew", "heat": {"source": "hob", "simmer": "gentle"}}),
        2 => json!({"method": "smoke", "heat": {"pit_c": 120, "wrap": {"in": "paper", "at_core_c": 70}}}),
        3 => json!({"method": "confit"}),
        4 => json!({"method": "water_bath", "heat": {"bath_c": 80}}),
        5 => json!({"method": "slow_cooker", "heat": {"setting": "low"}}),
        6 => json!({"method": "pressure", "heat": {"level": "high"}}),
        7 => json!({"method": "steam_oven", "heat": {"steam_c": 95, "steam": "full"}}),
        8 => chain(
            json!({"method": "smoke", "heat": {"pit_c": 110}, "until": {"min": 180}}),
            json!({"method": "water_bath", "heat": {"bath_c": 82}}),
        ),
        _ => chain(
            json!({"method": "braise", "heat": {"source": "oven", "set_c": 150}, "lid": "tight", "until": {"min": 150}}),
            json!({"lid": "none", "until": {"min": 30}}),
        ),
    }
}

prop_compose! {
    fn any_bench()(
        [sinew_in_pot, clear, flour, rinse, day_before, kept, halved] in any::<[bool; 7]>(),
        [salt_at, soured, trim, seared, level] in [0usize..5, 0..5, 0..3, 0..3, 0..6],
        things in prop::collection::vec((0..LARDER.len(), 1u32..20), 0..7),
        later in prop::collection::vec((0..LATER.len(), 1u32..8), 0..3),
    ) -> Value {
        let mut bench = json!({
            "trim": (["none", "usual", "close"][trim]), "sinew_in_pot": sinew_in_pot, "clear": clear, "flour": flour,
            "rinse": rinse, "day_before": day_before, "wine": if halved { "halved" } else { "whole" },
            "salt_h": ([0.0, 0.5, 3.0, 12.0, 24.0][salt_at]), "sear": (["hard", "light", "none"][seared]),
        });
        if level < 5 {
            bench["level"] = ["own", "third", "three_quarters", "covered", "soup"][level].into();
        }
        match soured {
            0 => bench["marinade"] = json!({"of": "wine", "hours": 6, "ml": 500, "kept": kept}),
            1 => bench["marinade"] = json!({"of": "soy", "hours": 4, "ml": 200, "kept": kept}),
            2 => bench["brine"] = json!({"water_l": 3.0, "hours": 12}),
            3 => bench["soak"] = json!({"changes": 2, "water_l": 3.0, "hours_each": 1}),
            _ => {}
        }
        let amounts: BTreeMap<usize, u32> = things.into_iter().collect();
        bench["ingredients"] = amounts.into_iter().map(|(at, tens)| {
            let (what, poured) = LARDER[at];
            let unit = if poured { "ml" } else { "g" };
            json!({"what": what, unit: tens * 10})
        }).collect();
        let amounts: BTreeMap<usize, u32> = later.into_iter().collect();
        bench["later"] =
            amounts.into_iter().map(|(at, tens)| json!({"what": (LATER[at]), "g": tens * 50})).collect();
        bench
    }
}

fn plan(way_at: usize, cut: &str, kg: f64, prepare: &Value) -> Plan {
    let mut forecast = way(way_at);
    for (field, value) in [("cut", json!(cut)), ("mass_kg", json!(kg)), ("members", json!(1))] {
        forecast[field] = value;
    }
    if way_at == 0 || way_at == 1 {
        forecast["vessel"] = json!({"diameter_cm": 34, "height_cm": 24});
    }
    serde_json::from_value(json!({
        "name": "Any", "people": 6, "serve_at": "2027-02-06T16:30:00Z", "forecast": forecast, "prepare": prepare,
    }))
    .unwrap()
}

fn kitchen() -> Kitchen {
    Kitchen::default().with_only(&ThingKind::ALL)
}

/// What the pot is too small for can't be followed.
fn sheet(way_at: usize, cut: &str, kg: f64, prepare: &Value) -> Option<Sheet> {
    work_back(&plan(way_at, cut, kg, prepare), &kitchen(), "2027-02-03T08:00:00Z".parse().unwrap()).ok()
}

fn in_order(sheet: &Sheet) -> Vec<&Task> {
    let mut tasks: Vec<&Task> = sheet.tasks.iter().collect();
    tasks.sort_by_key(|task| (task.start, task.end));
    tasks
}

type Held = BTreeMap<(String, String), f64>;

fn key(what: &str, place: Place) -> (String, String) {
    (what.to_owned(), format!("{place:?}"))
}

/// Reads the lines and nothing else: what lies where at the end.
fn folded(sheet: &Sheet) -> Result<Held, String> {
    let mut held = Held::new();
    let take = |held: &mut Held, task: &Task, what: &str, from: Place, g: f64| {
        let there = held.entry(key(what, from)).or_default();
        *there -= g;
        if *there < -0.03 * g - 1.0 {
            return Err(format!("{}: {g} g of {what} is not at {from:?}", task.id));
        }
        Ok(())
    };
    for task in in_order(sheet) {
        let mut lines = task.ledger.iter();
        while let Some(line) = lines.next() {
            if line.from == line.to {
                let other = lines.next().ok_or("what leaves becomes something")?;
                if (other.g, other.from, other.to) != (line.g, line.from, line.to) {
                    return Err(format!("{}: {line:?} becomes {other:?}", task.id));
                }
                take(&mut held, task, &line.what, line.from, line.g)?;
                *held.entry(key(&other.what, other.to)).or_default() += other.g;
                continue;
            }
            if line.from != Place::Shop {
                take(&mut held, task, &line.what, line.from, line.g)?;
            }
            *held.entry(key(&line.what, line.to)).or_default() += line.g;
        }
    }
    Ok(held)
}

fn bought(sheet: &Sheet, what: &str) -> Vec<f64> {
    let lines = sheet.tasks.iter().flat_map(|task| &task.ledger);
    lines.filter(|line| line.from == Place::Shop && line.what == what).map(|line| line.g).collect()
}

proptest! {
    #![proptest_config(ProptestConfig { failure_persistence: None, ..ProptestConfig::with_cases(800) })]

    #[test]
    fn everything_is_somewhere_from_the_shop_to_the_plate(
        way_at in 0usize..10, cut in prop::sample::select(vec!["chuck", "shin_bone_in", "cheek", "brisket", "oxtail"]),
        kg in 0.8..3.0f64, prepare in any_bench(),
    ) {
        let Some(sheet) = sheet(way_at, cut, kg, &prepare) else { return Ok(()) };
        let held = folded(&sheet).map_err(TestCaseError::fail)?;
        let ends = ["Jar", "Plate", "Bin", "Air"];
        let lying: Vec<_> = held.iter().filter(|((_, place), g)| **g > 2.0 && !ends.contains(&place.as_str())).collect();
        prop_assert!(lying.is_empty(), "{:?} left lying: {}", lying, prepare);
        let meat: f64 = bought(&sheet, "meat").iter().sum();
        prop_assert!((meat - kg * 1000.0).abs() < 1.0 && bought(&sheet, "meat").len() == 1, "{} g of meat", meat);
        // Into a pit, a bag or fat nothing goes later.
        let opens = matches!(way_at, 0 | 1 | 5 | 6 | 9);
        let later = prepare["later"].as_array().unwrap().iter().filter(|thing| opens || thing["what"] == "soft_herbs");
        for thing in prepare["ingredients"].as_array().unwrap().iter().chain(later) {
            let what = thing["what"].as_str().unwrap();
            // The marinade brings some of these as well.
            if prepare["marinade"] != Value::Null && (what == "red_wine" || what == "soy_sauce") { continue; }
            let come = bought(&sheet, what);
            prop_assert_eq!(come.len(), 1, "{} comes once: {:?}", what, come);
            if let Some(g) = thing["g"].as_f64() {
                prop_assert!((come[0] - g).abs() < 0.2, "{} g of {} and {}", g, what, come[0]);
            }
        }
    }

    #[test]
    fn the_work_goes_in_the_order_that_cooks_keep(
        way_at in 0usize..10, kg in 0.8..3.0f64, prepare in any_bench(),
    ) {
        let Some(sheet) = sheet(way_at, "chuck", kg, &prepare) else { return Ok(()) };
        let tasks = in_order(&sheet);
        let at = |id: TaskId| tasks.iter().position(|task| task.id == id);
        let before = |first: TaskId, then: TaskId| at(first).zip(at(then)).is_none_or(|(first, then)| first < then);
        for (first, then) in [
            (TaskId::Rinse, TaskId::Salt), (TaskId::SoakOut, TaskId::Sear(1)),
            (TaskId::TakeOut, TaskId::Sear(1)), (TaskId::Skim, TaskId::Sauce), (TaskId::Lift, TaskId::Skim),
            (TaskId::Flour, TaskId::Sear(1)), (TaskId::Salt, TaskId::Simmer),
        ] {
            prop_assert!(before(first, then), "{} before {}: {}", first, then, prepare);
        }
        // Who brines it has chosen to.
        prop_assert!(prepare["brine"] != Value::Null || before(TaskId::Blanch, TaskId::Salt), "{}", prepare);
        if prepare["clear"] == json!(true) {
            prop_assert!(at(TaskId::HeatPan).is_none(), "nothing is browned for a clear broth");
        }
        // What is said of the fridge is what happens.
        for task in &tasks {
            let out_of = task.ledger.iter().any(|line| line.what == "meat" && matches!(line.from, Place::Fridge | Place::Shop));
            if task.id == TaskId::TakeOut {
                prop_assert_eq!(task.what.contains("fridge"), out_of, "{}", task.what);
            }
            let back = task.ledger.iter().any(|line| line.what == "meat" && line.to == Place::Fridge);
            let board = matches!(task.id, TaskId::Trim | TaskId::Salt | TaskId::Rinse | TaskId::BrineOut | TaskId::SoakOut);
            if board {
                prop_assert_eq!(task.what.contains("ack into the fridge"), back, "{}", task.what);
            }
            if matches!(task.id, TaskId::Sear(_)) {
                prop_assert!(task.ledger.iter().all(|line| line.from != Place::Fridge), "cold meat into the pan: {}", prepare);
            }
        }
    }
}

proptest! {
    #![proptest_config(ProptestConfig { failure_persistence: None, ..ProptestConfig::with_cases(2000) })]

    #[test]
    fn a_plan_is_answered_by_all_or_refused_by_all(
        way_at in 0usize..10, cut in prop::sample::select(vec!["chuck", "shin_bone_in", "cheek", "brisket", "tendon", "sirloin"]),
        kg in 0.3..6.0f64, prepare in any_bench(),
    ) {
        let (plan, kitchen) = (plan(way_at, cut, kg, &prepare), kitchen());
        let now = "2027-02-03T08:00:00Z".parse().unwrap();
        let forecast = forecast(&plan.request(&kitchen));
        // What no cook ever finds tender has no hour to be lifted at: that alone the sheet refuses.
        let never = forecast.as_ref().is_ok_and(|forecast| forecast.ready_min.p10.is_none() && forecast.own_time.is_none());
        let forecast = forecast.map(drop);
        let sheet = work_back(&plan, &kitchen, now).map(drop);
        let bench = plan.on_the_bench(&kitchen).map(drop);
        prop_assert!((forecast.is_ok() && !never) == sheet.is_ok() && forecast.is_ok() == bench.is_ok(),
            "forecast {:?}, sheet {:?}, bench {:?}: {} kg of {} {} with {}", forecast, sheet, bench, kg, cut, way_at, prepare);
    }
}

#[test]
fn a_braise_of_the_lodge_is_followed_line_by_line() {
    let prepare = json!({"salt_h": 12, "level": "three_quarters", "flour": true,
        "ingredients": [{"what": "red_wine", "ml": 500}, {"what": "onion", "g": 300}, {"what": "bay_leaf", "g": 2}],
        "later": [{"what": "potato", "g": 800}, {"what": "soft_herbs", "g": 20}]});
    let sheet = sheet(0, "shin_bone_in", 2.4, &prepare).unwrap();
    let mut told = String::new();
    for task in in_order(&sheet).into_iter().filter(|task| !task.ledger.is_empty()) {
        told += &format!("{}\n", task.what);
        for line in &task.ledger {
            told += &format!("    {:.0} g of {}: {:?} → {:?}\n", line.g, line.what, line.from, line.to);
        }
    }
    insta::assert_snapshot!(told);
}
