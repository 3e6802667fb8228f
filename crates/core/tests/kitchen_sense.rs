//! What a cook would laugh at, held away: the same refusal everywhere, no joint drowned, no sauce for an army, other cuts at the size at hand.

use ergastic_core::cuts::{Cut, EatenAs};
use ergastic_core::finish::{SauceRequest, Target, Taste, Thickener, sauce};
use ergastic_core::forecast::{Forecast, ForecastRequest, forecast};
use ergastic_core::kitchen::Kitchen;
use ergastic_core::matching::{MatchRequest, Matched, Verdict, match_ways};
use ergastic_core::plan::Plan;
use ergastic_core::prepare::{PrepareRequest, Prepared, prepare_request};
use ergastic_core::sheet::{Sheet, TaskKind, work_back};
use ergastic_core::ways::Method;
use jiff::Timestamp;
use serde_json::{Value, json};

fn predicted(request: Value) -> Forecast {
    forecast(&serde_json::from_value::<ForecastRequest>(request).unwrap()).unwrap()
}

fn matched(request: Value) -> Matched {
    let request: MatchRequest = serde_json::from_value(request).unwrap();
    match_ways(&request, &Kitchen::default(), Timestamp::UNIX_EPOCH).unwrap()
}

fn prepared(request: Value) -> Prepared {
    let request: PrepareRequest = serde_json::from_value(request).unwrap();
    prepare_request(&request, &Kitchen::default()).unwrap()
}

fn sheet(forecast: Value, people: u32) -> Sheet {
    let plan: Plan = serde_json::from_value(json!({
        "name": "Lodge supper", "people": people, "serve_at": "2027-02-06T18:30:00Z", "forecast": forecast,
    }))
    .unwrap();
    work_back(&plan, &Kitchen::default(), "2027-02-05T08:00:00Z".parse().unwrap()).unwrap()
}

fn said(forecast: &Forecast, id: &str) -> Option<String> {
    forecast.cautions.iter().find(|caution| caution.id == id).map(|caution| caution.text.clone())
}

#[test]
fn what_match_refuses_forecast_bench_and_sheet_say_in_the_same_words_and_still_compute() {
    for (cut, method, eaten_as) in [
        (Cut::Oxtail, Method::Braise, EatenAs::Slice),
        (Cut::Tendon, Method::Smoke, EatenAs::Spoon),
        (Cut::Sirloin, Method::Smoke, EatenAs::Fork),
        (Cut::Tendon, Method::Pressure, EatenAs::Pull),
    ] {
        let meat = json!({"cut": cut, "mass_kg": 1.2, "eaten_as": eaten_as});
        let ways = matched({
            let mut request = meat.clone();
            request["now"] = json!("2027-02-05T09:00");
            request["serve_at"] = json!("2027-02-06T19:00");
            request
        });
        let way = ways.ways.iter().find(|way| way.best.method == method).unwrap();
        assert_eq!(way.best.verdict, Verdict::Unsuitable, "{cut:?} {method:?}");
        let mut request = meat.clone();
        request["method"] = json!(method);
        let forecast = predicted(request.clone());
        assert_eq!(said(&forecast, "unsuited"), Some(way.best.why.clone()), "{cut:?} {method:?}");
        assert!(forecast.ready_min.p50.is_some() || !forecast.notes.is_empty());
        let bench = prepared(request.clone());
        assert!(bench.warnings.iter().any(|warning| warning.id == "unsuited"), "{cut:?} {method:?}");
        assert!(sheet(request, 4).cautions.iter().any(|caution| caution.id == "unsuited"), "{cut:?} {method:?}");
    }
    assert_eq!(said(&predicted(json!({"cut": "chuck", "method": "braise"})), "unsuited"), None);
}

#[test]
fn small_pieces_in_a_bare_pit_are_warned_of_and_a_joint_or_a_wrap_is_not() {
    let pit = |size_mm: [f64; 3], pieces: u32, wrap: Value| {
        predicted(json!({"cut": "chuck", "mass_kg": 1.5, "size_mm": size_mm, "pieces": pieces, "method": "smoke",
            "heat": {"pit_c": 110, "wrap": wrap}, "members": 32}))
    };
    assert!(said(&pit([40.0; 3], 22, Value::Null), "small_in_pit").is_some());
    assert!(said(&pit([70.0, 120.0, 160.0], 1, Value::Null), "small_in_pit").is_none());
    assert!(said(&pit([40.0; 3], 22, json!({"in": "foil", "at_core_c": 0})), "small_in_pit").is_none());
}

#[test]
fn a_little_meat_in_a_wide_pot_is_not_drowned() {
    let litres = |kg: f64, across_cm: f64| {
        let request = json!({"cut": "chuck", "mass_kg": kg, "method": "braise", "vessel": {"diameter_cm": across_cm, "height_cm": 14}});
        let request: ForecastRequest = serde_json::from_value(request).unwrap();
        request.resolve().unwrap().liquid_l
    };
    assert!((litres(0.5, 30.0) - 0.6).abs() < 0.03, "{}", litres(0.5, 30.0));
    assert!(litres(0.5, 14.0) <= litres(0.5, 30.0));
    assert!(litres(2.5, 26.0) > litres(0.5, 26.0), "{}", litres(2.5, 26.0));
}

#[test]
fn a_pot_that_is_topped_up_at_the_looks_is_not_judged_as_if_it_had_boiled_dry() {
    let small =
        prepared(json!({"cut": "chuck", "mass_kg": 0.5, "method": "braise", "heat": {"source": "oven", "set_c": 160},
        "vessel": {"diameter_cm": 30, "height_cm": 14}, "salt_pct": 1.2}));
    let pot = small.pot.unwrap();
    assert!(!pot.top_ups.is_empty() && pot.left_l < 0.3, "{pot:?}");
    let seasoning = small.seasoning.unwrap();
    assert!(seasoning.plate_g_per_kg < 14.0, "{seasoning:?}");
}

#[test]
fn only_tonights_share_of_much_liquid_is_thickened_and_all_of_a_little() {
    let thickened = |liquid_l: f64, people: u32| {
        let sheet = sheet(json!({"cut": "chuck", "mass_kg": 1.4, "method": "braise", "liquid_l": liquid_l}), people);
        sheet.tasks.into_iter().find(|task| task.kind == TaskKind::Sauce).unwrap().what
    };
    assert!(thickened(2.5, 4).contains("Thicken the 400 mL left, tonight's share"), "{}", thickened(2.5, 4));
    assert!(thickened(0.9, 8).contains("Thicken it with"), "{}", thickened(0.9, 8));
}

#[test]
fn a_glaze_that_may_not_be_boiled_down_clings_by_starch_and_none_is_forced_on_anyone() {
    let glaze = |taste, thickener| {
        sauce(&SauceRequest {
            liquid_l: Some(0.6),
            salt_g: Some(2.0),
            gelatin_g: Some(12.0),
            target: Target::Glaze,
            taste,
            thickener,
            ..SauceRequest::default()
        })
        .unwrap()
    };
    let bitter = glaze(Taste::Bitter, Thickener::Arrowroot);
    assert!(bitter.reduce_min == 0.0 && bitter.thickener_g > 10.0, "{bitter:?}");
    assert_eq!(glaze(Taste::Bitter, Thickener::None).thickener_g, 0.0);
    let right = glaze(Taste::Right, Thickener::Arrowroot);
    assert!(right.reduce_min > 5.0 && right.thickener_g == 0.0, "{right:?}");
}

#[test]
fn other_cuts_are_compared_at_the_size_at_hand() {
    let instead = |size_mm: [f64; 3], pieces: u32| {
        let found =
            matched(json!({"cut": "chuck", "mass_kg": 1.4, "size_mm": size_mm, "pieces": pieces, "eaten_as": "fork",
            "kit": ["oven", "hob"], "now": "2027-02-05T09:00", "serve_at": "2027-02-05T19:00"}));
        found.substitutes.into_iter().find(|other| other.cut == Cut::Blade).unwrap()
    };
    let (bites, joint) = (instead([30.0; 3], 50), instead([80.0, 110.0, 150.0], 1));
    assert!(bites.ready_min.unwrap() + 40.0 < joint.ready_min.unwrap(), "{bites:?} {joint:?}");
    // Two muscles so alike take as long as each other, cut alike.
    assert!(bites.why.starts_with("as long") && joint.why.starts_with("as long"), "{} / {}", bites.why, joint.why);
}
