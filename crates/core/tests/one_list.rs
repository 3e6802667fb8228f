//! One list of a dish's tasks: what is chosen at the bench stands in it, and bench, sheet, meal and *Match* read the same.

use ergastic_core::clock::{minutes_between, plus_minutes};
use ergastic_core::cook::{Event, Happened, view};
use ergastic_core::kitchen::Kitchen;
use ergastic_core::matching::{MatchRequest, match_ways};
use ergastic_core::meal::meal_of_plans;
use ergastic_core::plan::Plan;
use ergastic_core::sheet::{BenchStep, TaskId, TaskKind, work_back};
use jiff::Timestamp;
use proptest::prelude::*;
use serde_json::{Value, json};

fn serve_at() -> Timestamp {
    "2027-02-06T16:30:00Z".parse().unwrap()
}

fn plan(forecast: Value, prepare: Value) -> Plan {
    let mut forecast = forecast;
    forecast["members"] = json!(24);
    serde_json::from_value(json!({
        "name": "Lake-ice shin", "people": 6, "serve_at": serve_at(), "forecast": forecast, "prepare": prepare,
        "sides": [{"what": "barley", "min": 35}],
    }))
    .unwrap()
}

fn bench(forecast: Value, prepare: Value) -> Vec<BenchStep> {
    plan(forecast, prepare).on_the_bench(&Kitchen::default()).unwrap().steps
}

fn way() -> impl Strategy<Value = Value> {
    prop_oneof![
        Just(json!({"cut": "shin", "mass_kg": 2.0, "method": "braise", "heat": {"source": "oven", "set_c": 150}})),
        Just(json!({"cut": "cheek", "mass_kg": 1.5, "method": "braise", "heat": {"source": "hob"}})),
        Just(json!({"cut": "oxtail", "mass_kg": 1.8, "method": "stew", "heat": {"source": "hob"}})),
        Just(json!({"cut": "chuck", "mass_kg": 1.6, "pieces": 12, "size_mm": [45, 50, 60], "method": "pressure"})),
        Just(
            json!({"cut": "brisket", "mass_kg": 4.0, "method": "smoke", "heat": {"pit_c": 120, "wrap": {"in": "paper"}}})
        ),
        Just(json!({"cut": "short_rib", "mass_kg": 2.0, "method": "water_bath"})),
    ]
}

/// Choices of the bench, each on or off: what it is in the document, and the tasks it asks for.
const CHOICES: [(&str, &str, &[&str]); 12] = [
    ("trim", r#""usual""#, &["trim"]),
    ("strings", "4", &["tie"]),
    ("pierced", "true", &["pierce"]),
    ("salt_h", "12", &["salt"]),
    ("brine", r#"{"water_l": 3.0, "hours": 10.0}"#, &["salt", "brine_out"]),
    ("soak", r#"{"changes": 2, "hours_each": 2.0, "water_l": 4.0}"#, &["soak_1", "soak_2", "soak_out"]),
    ("marinade", r#"{"of": "wine", "ml": 600, "hours": 12, "kept": false}"#, &["marinate", "marinate_out"]),
    ("rinse", "true", &["rinse"]),
    ("clear", "true", &["clear_soak", "clear_water", "blanch", "blanch_rinse"]),
    ("flour", "true", &["flour"]),
    ("day_before", "true", &["cool", "into_cold", "night", "from_cold"]),
    ("later", r#"[{"what": "potato", "g": 800}]"#, &["add_1"]),
];

proptest! {
    #![proptest_config(ProptestConfig { cases: 96, failure_persistence: None, ..ProptestConfig::default() })]

    #[test]
    fn each_choice_of_a_random_bench_is_found_in_the_tasks(forecast in way(), on in any::<[bool; 12]>(), sear in prop::sample::select(vec!["hard", "none"]), frozen in prop::bool::weighted(0.25)) {
        let mut forecast = forecast;
        if frozen {
            forecast["start_c"] = json!(-18);
        }
        let mut document = json!({"sear": sear});
        for (name, value, _) in CHOICES.iter().zip(on).filter(|(_, on)| *on).map(|(choice, _)| choice) {
            document[*name] = serde_json::from_str(value).unwrap();
        }
        let dish = plan(forecast.clone(), document.clone());
        let kitchen = Kitchen::default();
        let now = plus_minutes(serve_at(), -5.0 * 1440.0);
        let Ok(sheet) = work_back(&dish, &kitchen, now) else { return Ok(()) };
        let there = |id: &str| sheet.tasks.iter().any(|task| task.id.to_string() == id);
        let pot = matches!(forecast["method"].as_str(), Some("braise" | "stew" | "pressure"));
        // What has no place in this dish: flour where nothing is browned, a cold night outside a pot, what goes in where nothing is poured.
        let browned = there("heat_pan");
        let raw = ["trim", "tie", "pierce", "brine_out", "soak_1", "marinate", "rinse", "clear_soak", "blanch", "heat_pan", "flour"];
        for done in raw.iter().filter(|_| frozen) {
            prop_assert!(!there(done), "{done} can't be done to frozen meat: {forecast} {document}");
        }
        for ((name, _, tasks), on) in CHOICES.iter().zip(on) {
            let holds = match *name {
                "salt_h" | "day_before" | "later" if frozen && !pot => false,
                "strings" | "pierced" | "brine" | "soak" | "marinade" | "rinse" | "clear" | "trim" if frozen => false,
                "flour" => browned,
                "day_before" | "later" => pot,
                // A joint that is trimmed already has nothing to come off.
                "trim" => dish.on_the_bench(&kitchen).unwrap().bench.prepared.trimmed.trimmed_kg
                    < dish.on_the_bench(&kitchen).unwrap().bench.prepared.trimmed.raw_kg - 0.01,
                _ => true,
            };
            if on && holds {
                for task in *tasks {
                    prop_assert!(there(task), "{name} is chosen and {task} is no task of {forecast} {document}");
                }
            }
        }
        prop_assert!(browned == (sear == "hard" && pot && !frozen && !there("blanch")), "{forecast} {document}");
        prop_assert!(there("side_1") && there("side_off_1") && there("lift") && there("slice") && there("serve"));
        // The bench is the same list up to the heat: the same names, the same sentences, the same minutes.
        for step in dish.on_the_bench(&kitchen).unwrap().steps {
            let task = sheet.tasks.iter().find(|task| task.id == step.id);
            prop_assert!(task.is_some(), "{} stands on the bench and not on the sheet", step.id);
            let task = task.unwrap();
            // Where the meat waits meanwhile is for the hours to say: by itself the bench waits for nobody.
            let alike = task.what.starts_with(&step.what) || step.what.starts_with(&task.what) || step.id == TaskId::TakeOut;
            prop_assert!(alike, "{} and {}", task.what, step.what);
            prop_assert_eq!((&task.why, task.kind), (&step.why, step.kind));
            let takes = minutes_between(task.start, task.end);
            prop_assert!(!task.hands_on || (takes - step.min).abs() < 1.0, "{}: {takes} and {} min", step.id, step.min);
        }
        // And the meal of one is the dish alone.
        let meal = meal_of_plans(std::slice::from_ref(&dish), &kitchen, now).unwrap();
        let (mut alone, mut together): (Vec<_>, Vec<_>) =
            (sheet.tasks.iter().map(|task| task.id).collect(), meal.tasks.iter().map(|task| task.step).collect());
        alone.sort_unstable();
        together.sort_unstable();
        prop_assert_eq!(alone, together);
    }
}

#[test]
fn the_clear_route_is_told_step_by_step() {
    let clear = bench(
        json!({"cut": "short_rib", "mass_kg": 2.4, "method": "braise"}),
        json!({"sear": "none", "clear": true, "base": "water"}),
    );
    let ids: Vec<String> = clear.iter().map(|step| step.id.to_string()).collect();
    let at = |id: &str| ids.iter().position(|found| found == id).unwrap_or_else(|| panic!("{id} in {ids:?}"));
    assert!(at("clear_soak") < at("clear_water") && at("blanch") < at("blanch_rinse"));
    assert!(at("blanch_rinse") < at("simmer") && at("simmer") == ids.len() - 1, "{ids:?}");
}

#[test]
fn a_kept_marinade_is_minded_and_wine_boiled_down_takes_its_minutes() {
    let ribs = || json!({"cut": "short_rib", "mass_kg": 2.4, "method": "braise"});
    let kept = bench(ribs(), json!({"marinade": {"of": "wine", "hours": 12, "ml": 400, "kept": true}}));
    let minded = |step: &BenchStep| step.cautions.iter().any(|caution| caution.id == "marinade");
    assert!(kept.iter().any(|step| step.kind == TaskKind::Marinate && minded(step)), "{kept:?}");
    let deglazing = |how: &str| {
        let wine = json!({"ingredients": [{"what": "red_wine", "ml": 300}], "base": "red_wine", "wine": how});
        bench(ribs(), wine).into_iter().find(|step| step.kind == TaskKind::Deglaze).unwrap()
    };
    assert!(deglazing("halved").min > deglazing("whole").min + 5.0);
    assert!(deglazing("halved").what.contains("wine"));
}

#[test]
fn the_pit_is_lit_with_its_own_wood() {
    let pit = bench(
        json!({"cut": "brisket", "mass_kg": 5.5, "method": "smoke", "heat": {"pit_c": 110}}),
        json!({"wood": "alder"}),
    );
    assert!(pit.iter().any(|step| step.what.contains("alder")), "{pit:?}");
}

#[test]
fn the_hands_on_minutes_of_match_are_those_of_its_sheet() {
    let request: MatchRequest = serde_json::from_value(json!({
        "cut": "chuck", "mass_kg": 1.6, "people": 6, "now": "2027-02-05T09:00", "serve_at": "2027-02-06T18:30", "zone": "Europe/Helsinki",
        "kit": ["oven", "hob"],
    }))
    .unwrap();
    let kitchen = Kitchen::default();
    let now = "2027-02-05T07:00:00Z".parse().unwrap();
    let found = match_ways(&request, &kitchen, now).unwrap();
    let braise = found.ways.iter().find(|way| way.best.hands_on_min > 0.0).unwrap();
    let dish = Plan { serve_at: serve_at(), ..braise.best.plan.clone() };
    let sheet = work_back(&dish, &kitchen, plus_minutes(serve_at(), -2.0 * 1440.0)).unwrap();
    let hands: f64 =
        sheet.tasks.iter().filter(|task| task.hands_on).map(|task| minutes_between(task.start, task.end)).sum();
    assert!((hands - braise.best.hands_on_min).abs() <= 0.15 * hands, "{hands} {}", braise.best.hands_on_min);
}

#[test]
fn a_cook_started_from_a_meal_keeps_the_hours_of_its_sheet_for_as_long_as_they_can_be() {
    let kitchen = Kitchen::default();
    let now = plus_minutes(serve_at(), -30.0 * 60.0);
    let shin = plan(json!({"cut": "shin", "mass_kg": 2.0, "method": "braise"}), json!({"salt_h": 12}));
    let heel =
        Plan { sides: Vec::new(), ..plan(json!({"cut": "heel", "mass_kg": 1.4, "method": "pressure"}), json!({})) };
    let sheet = meal_of_plans(&[shin, heel], &kitchen, now).unwrap();
    let hour = |number: u32, id: &str| {
        let task = sheet.tasks.iter().find(|task| task.number == number && task.step.to_string() == id);
        task.unwrap_or_else(|| panic!("{number}-{id}")).start
    };
    for number in [1, 2] {
        let dish = sheet.dish(number).unwrap();
        let cook = view(&dish, &kitchen, now, &[], &[], now).unwrap();
        for id in ["trim", "salt", "take_out", "sear_1", "simmer", "lift", "slice", "serve"] {
            let task = cook.tasks.iter().find(|task| task.task.id.to_string() == id).unwrap();
            assert_eq!(task.task.start, hour(number, id), "{number}-{id}");
        }
        assert!(cook.late_min == 0.0 && cook.served_at > hour(number, "serve"));
        // An hour late into the pot the rest follows what is so.
        let met = plus_minutes(hour(number, "simmer"), 90.0);
        let event = Event { id: uuid::Uuid::from_u128(1), at: met, happened: Happened::OnTheHeat {}, device: None };
        let late = view(&dish, &kitchen, now, &[event], &[], met).unwrap();
        assert!(late.lift_at > hour(number, "lift") || late.band.ready.chance < cook.band.ready.chance);
    }
    assert!(sheet.dish(0).is_none() && sheet.dish(3).is_none());
}
