//! A time the cook has fixed is obeyed and answered with its odds; a pressure pot says its minutes.

use ergastic_core::clock::minutes_between;
use ergastic_core::kitchen::Kitchen;
use ergastic_core::plan::Plan;
use ergastic_core::sheet::{Settled, TaskKind, work_back};

/// A plan of chuck for four, eaten pulled, with a way of one's own.
fn chuck_for(forecast: serde_json::Value, serve_at: &str) -> Plan {
    serde_json::from_value(serde_json::json!({
        "name": "Chuck", "people": 4, "serve_at": serve_at, "target": "gravy", "thickener": "cornflour", "certainty": 0.9,
        "forecast": forecast, "prepare": {"salt_h": 0.0, "sear": "none"},
    }))
    .unwrap()
}

#[test]
fn a_time_of_the_cooks_own_is_obeyed_and_answered_with_its_odds() {
    let kitchen = Kitchen::default();
    let now = "2027-02-06T12:00:00Z".parse().unwrap();
    let halves = |minutes: f64| {
        let heat = serde_json::json!({"level": "high", "at_pressure_min": minutes});
        let meat = serde_json::json!({"cut": "chuck", "mass_kg": 1.1, "pieces": 2, "size_mm": [60, 90, 100],
            "method": "pressure", "eaten_as": "pull", "heat": heat, "liquid_l": 0.6});
        work_back(&chuck_for(meat, "2027-02-06T18:30:00Z"), &kitchen, now).unwrap()
    };
    let mut chance = -1.0;
    for (minutes, said) in [(40.0, "40 min"), (60.0, "1 h"), (80.0, "1 h 20"), (110.0, "1 h 50")] {
        let sheet = halves(minutes);
        assert!(sheet.ready[0].chance > chance, "{minutes} min: {} after {chance}", sheet.ready[0].chance);
        chance = sheet.ready[0].chance;
        let over = sheet.tasks.iter().find(|task| task.kind == TaskKind::Braise).unwrap();
        assert!(over.what.starts_with(said), "{}", over.what);
        let odds: Vec<&str> = sheet.conflicts.iter().map(|conflict| conflict.text.as_str()).collect();
        assert_eq!(odds.is_empty(), chance >= 0.9, "{minutes} min: {odds:?}");
        assert!(
            odds.iter().all(|text| text.contains("ready to pull") && text.contains("makes it 9 in 10")),
            "{odds:?}"
        );
    }
    assert!(chance > 0.9);
    // The lid off for the last half hour, and over when the cook says.
    let chain = serde_json::json!({"cut": "chuck", "mass_kg": 1.4, "eaten_as": "fork", "stages": [
        {"method": "braise", "heat": {"source": "oven", "set_c": 150}, "lid": "tight", "until": {"min": 120}},
        {"lid": "none", "until": {"min": 30}}]});
    let sheet = work_back(&chuck_for(chain, "2027-02-06T18:30:00Z"), &kitchen, now).unwrap();
    let over_min = (sheet.lift_at.as_second() - sheet.heat_on_at.as_second()) as f64 / 60.0;
    assert!((150.0..156.0).contains(&over_min) && sheet.ready[0].chance < 0.5, "{over_min}");
    assert!(sheet.conflicts[0].text.contains("2½ h in all"), "{:?}", sheet.conflicts);
}

#[test]
fn a_pressure_pot_says_what_to_set_and_what_comes_before_and_after() {
    let meat = serde_json::json!({"cut": "chuck", "mass_kg": 1.2, "pieces": 18, "size_mm": [40, 40, 40],
        "method": "pressure", "eaten_as": "pull", "heat": {"level": "high"}, "liquid_l": 0.6});
    let set = |certainty: f64| {
        let plan = Plan { certainty: Some(certainty), ..chuck_for(meat.clone(), "2027-02-06T18:30:00Z") };
        let worked = Settled::new(&plan, &Kitchen::default(), &[], None).unwrap();
        let half = worked.forecast.at_pressure_min.unwrap().p50.unwrap();
        (worked.forecast.pressure.unwrap(), half)
    };
    let (sure, half) = set(0.9);
    let (even, _) = set(0.5);
    assert!(
        sure.set_min > half + 5.0 && even.set_min < sure.set_min && even.set_min >= half,
        "{sure:?} {even:?} {half}"
    );
    assert!((10.0..20.0).contains(&sure.come_up_min) && (8.0..30.0).contains(&sure.release_min), "{sure:?}");
    assert!(sure.text.contains(&format!("Set it to {}", sure.set_min)) || sure.set_min >= 60.0, "{}", sure.text);
    assert!(sure.keep_warm_min > 1.0 && sure.keep_warm_min < 6.0);
}

#[test]
fn hands_work_as_long_as_hands_do() {
    let hands = |meat: serde_json::Value, people: u32| {
        let mut plan = chuck_for(meat, "2027-02-06T20:00:00Z");
        plan.people = people;
        plan.prepare = serde_json::from_value(serde_json::json!({"salt_h": 0.0, "sear": "hard"})).unwrap();
        let sheet = work_back(&plan, &Kitchen::default(), "2027-02-06T10:00:00Z".parse().unwrap()).unwrap();
        let hands_on = sheet.tasks.iter().filter(|task| task.hands_on);
        hands_on.map(|task| minutes_between(task.start, task.end)).sum::<f64>()
    };
    let for_two =
        hands(serde_json::json!({"cut": "chuck", "mass_kg": 0.5, "size_mm": [40, 40, 40], "method": "stew"}), 2);
    assert!((25.0..=45.0).contains(&for_two), "{for_two} min for two");
    let weeknight =
        hands(serde_json::json!({"cut": "chuck", "mass_kg": 0.8, "size_mm": [40, 40, 40], "method": "pressure"}), 4);
    assert!((20.0..=50.0).contains(&weeknight), "{weeknight} min under pressure");
}

#[test]
fn a_dish_that_no_flame_may_touch_starts_in_the_oven() {
    let dish = |vessel: serde_json::Value| {
        let meat = serde_json::json!({"cut": "chuck", "mass_kg": 1.2, "method": "braise", "heat": {"source": "oven", "set_c": 160},
            "vessel": vessel, "liquid_l": 0.8});
        let now = "2027-02-06T10:00:00Z".parse().unwrap();
        work_back(&chuck_for(meat, "2027-02-06T20:00:00Z"), &Kitchen::default(), now).unwrap()
    };
    let over_min = |sheet: &ergastic_core::sheet::Sheet| sheet.lift_at.as_second() - sheet.heat_on_at.as_second();
    let iron = dish(serde_json::json!({"diameter_cm": 26, "height_cm": 13, "material": "iron", "lid": "tight"}));
    let simmers = |sheet: &ergastic_core::sheet::Sheet| {
        sheet.tasks.iter().find(|task| task.kind == TaskKind::Simmer).unwrap().what.clone()
    };
    assert!(simmers(&iron).contains("simmer"), "{}", simmers(&iron));
    for vessel in [
        serde_json::json!({"diameter_cm": 26, "height_cm": 13, "material": "glass", "lid": "tight"}),
        serde_json::json!({"width_cm": 22, "length_cm": 30, "height_cm": 10, "lid": "foil"}),
    ] {
        let cold = dish(vessel);
        assert!(simmers(&cold).contains("into the oven") && !simmers(&cold).contains("simmer"), "{}", simmers(&cold));
        assert!(over_min(&cold) > over_min(&iron) + 10 * 60, "cold glass warms slowly");
    }
}

#[test]
fn a_pressure_pot_in_two_goes_puts_in_what_would_be_mush_and_closes_again() {
    let kitchen = Kitchen::default();
    let now = "2027-02-06T12:00:00Z".parse().unwrap();
    let meat = serde_json::json!({"cut": "chuck", "mass_kg": 1.2, "pieces": 18, "size_mm": [40, 40, 40],
        "method": "pressure", "eaten_as": "fork", "heat": {"level": "high"}, "liquid_l": 0.6});
    let with = |later: serde_json::Value, closed: Option<bool>| {
        let mut plan = chuck_for(meat.clone(), "2027-02-06T18:30:00Z");
        plan.prepare.later = serde_json::from_value(later).unwrap();
        plan.prepare.later_closed = closed;
        work_back(&plan, &kitchen, now).unwrap()
    };
    let plain = with(serde_json::json!([]), None);
    let potatoes = serde_json::json!([{"what": "potato", "g": 800}, {"what": "peas", "g": 200}]);
    let (closed, open) = (with(potatoes.clone(), None), with(potatoes, Some(false)));
    for sheet in [&closed, &open] {
        // In only after the pot is opened, and before the meat is lifted; plates still at the bell.
        let at = |kind| sheet.tasks.iter().find(|task| task.kind == kind).unwrap();
        let (braise, add, lift) = (at(TaskKind::Braise), at(TaskKind::Add), at(TaskKind::Lift));
        assert!(braise.end <= add.start && add.end <= lift.start, "{:?}", sheet.tasks);
        assert!(add.what.contains("otatoes") && sheet.late_min == 0.0, "{}", add.what);
        assert!(sheet.heat_on_at < plain.heat_on_at);
    }
    let again =
        |sheet: &ergastic_core::sheet::Sheet| sheet.tasks.iter().any(|task| task.what.contains("Close it again"));
    assert!(again(&closed) && !again(&open));
}

mod any_time {
    use super::*;
    use ergastic_core::error::Error;
    use ergastic_core::forecast::{ForecastRequest, forecast};
    use proptest::prelude::*;
    use serde_json::{Value, json};

    fn any_heat() -> impl Strategy<Value = Value> {
        let heat = |method: &str, heat: Value| json!({"method": method, "heat": heat});
        prop_oneof![
            (20..40).prop_map(move |c| heat("braise", json!({"source": "oven", "set_c": 5 * c}))),
            Just(heat("stew", json!({"source": "hob", "simmer": "gentle"}))),
            (20..30).prop_map(move |c| heat("smoke", json!({"pit_c": 5 * c}))),
            (28..36).prop_map(move |c| heat("water_bath", json!({"bath_c": f64::from(c) * 2.5}))),
            (16..19).prop_map(move |c| heat("confit", json!({"fat_c": 5 * c}))),
            Just(heat("slow_cooker", json!({"setting": "low"}))),
        ]
    }

    /// One to three heats, each for a time of the cook's own: from too short to far too long.
    fn any_plan() -> impl Strategy<Value = Value> {
        const CUTS: [&str; 9] =
            ["chuck", "brisket", "shin", "short_rib", "cheek", "oxtail", "topside", "skirt", "sirloin"];
        let stages = prop::collection::vec((any_heat(), 1..200), 1..=3);
        (prop::sample::select(&CUTS[..]), 8..50, stages).prop_map(|(cut, hectograms, stages)| {
            let timed = |(mut heat, tens): (Value, i32)| {
                heat["until"] = json!({"min": 10 * tens});
                heat
            };
            let stages: Vec<Value> = stages.into_iter().map(timed).collect();
            json!({"cut": cut, "mass_kg": f64::from(hectograms) / 10.0, "members": 24, "stages": stages})
        })
    }

    proptest! {
        #![proptest_config(ProptestConfig::with_cases(200))]
        #[test]
        fn what_the_forecast_answers_is_planned_and_what_it_refuses_is_not(plan in any_plan()) {
            let kitchen = Kitchen { pots: Vec::new(), ..Kitchen::default() };
            let request: ForecastRequest = serde_json::from_value(plan.clone()).unwrap();
            let over_min: i64 = plan["stages"].as_array().unwrap().iter().map(|stage| stage["until"]["min"].as_i64().unwrap()).sum();
            let said = forecast(&request);
            let sheet = work_back(&chuck_for(plan, "2027-02-12T18:30:00Z"), &kitchen, "2027-02-06T12:00:00Z".parse().unwrap());
            match (said, sheet) {
                (Ok(_), Ok(sheet)) => {
                    let over = minutes_between(sheet.heat_on_at, sheet.lift_at);
                    prop_assert!((over - over_min as f64).abs() < 40.0, "{} min in place of {}", over, over_min);
                }
                (Err(_), Err(_)) => {}
                (Ok(_), Err(Error { field, allowed, .. })) => prop_assert!(false, "refused: {} {:?}", field, allowed),
                (Err(error), Ok(_)) => prop_assert!(false, "planned, though {}", error),
            }
        }
    }
}
