//! What holds however odd a request or a history: nothing lost in silence, nothing endless, nothing below its surroundings.

use ergastic_core::clock::plus_minutes;
use ergastic_core::cook::{CookSummary, Event, Happened, Status, view};
use ergastic_core::forecast::{Forecast, ForecastRequest, forecast};
use ergastic_core::kitchen::Kitchen;
use ergastic_core::plan::Plan;
use ergastic_core::text::{check_name, check_text};
use jiff::Timestamp;
use serde_json::{Value, json};
use uuid::Uuid;

fn request(value: Value) -> ForecastRequest {
    serde_json::from_value(value).unwrap()
}

fn run(value: Value) -> Forecast {
    forecast(&request(value)).unwrap()
}

fn plan(forecast: Value) -> Plan {
    let plan = json!({"name": "Lake-ice shin", "serve_at": "2027-02-06T16:30:00Z", "forecast": forecast});
    serde_json::from_value(plan).unwrap()
}

fn opened() -> Timestamp {
    "2027-02-06T08:00:00Z".parse().unwrap()
}

fn event(id: u128, minute: f64, happened: Happened) -> Event {
    Event { id: Uuid::from_u128(id), at: plus_minutes(opened(), minute), happened, device: None }
}

#[test]
fn what_is_asked_for_at_once_has_a_most() {
    let part = json!({"cut": "shin", "mass_kg": 0.3});
    let stage = json!({"method": "braise", "until": {"min": 60}});
    let wide = json!({"parts": vec![part; 8], "stages": vec![stage; 12], "members": 2000});
    let refused = forecast(&request(wide)).unwrap_err();
    assert!(
        refused.field == "members" && refused.to_string().contains("2000 cooks of 8 parts in 12 stages"),
        "{refused}"
    );
}

#[test]
fn liquid_poured_where_no_pot_is_waits_for_it_or_is_refused_or_said_to_be_lost() {
    let smoked_then = |then: Value, at_min: f64| {
        run(json!({
            "cut": "plate_rib", "mass_kg": 2.0, "members": 1, "liquid_l": 0.5,
            "stages": [{"method": "smoke", "heat": {"pit_c": 120}, "until": {"min": 120}}, then],
            "added": [{"at_min": at_min, "liquid_l": 0.4, "celsius": 90}]
        }))
    };
    let braise = || json!({"method": "braise", "heat": {"source": "oven", "set_c": 150}});
    let at =
        |forecast: &Forecast, minute: f64| forecast.curve.iter().find(|point| point.min >= minute).unwrap().liquid_l;
    let (early, never) = (smoked_then(braise(), 30.0), smoked_then(braise(), 4000.0));
    assert!((at(&early, 125.0) - at(&never, 125.0) - 0.4).abs() < 0.02, "what was poured in the smoke is in the pot");
    let no_pot =
        json!({"cut": "plate_rib", "method": "smoke", "added": [{"at_min": 30, "liquid_l": 0.4, "celsius": 90}]});
    assert_eq!(forecast(&request(no_pot)).unwrap_err().field, "added");
    let pot_first = run(json!({
        "cut": "plate_rib", "mass_kg": 2.0, "members": 1,
        "stages": [{"method": "braise", "until": {"min": 60}}, {"method": "smoke", "heat": {"pit_c": 120}}],
        "added": [{"at_min": 90, "liquid_l": 0.4, "celsius": 90}]
    }));
    assert!(
        pot_first.notes.iter().any(|note| note.contains("400 mL") && note.contains("not counted")),
        "{:?}",
        pot_first.notes
    );
}

#[test]
fn what_was_cooked_under_fat_cools_from_the_fats_own_warmth() {
    let chilled = run(json!({
        "cut": "cheek", "mass_kg": 1.2, "members": 1, "liquid_start_c": 20,
        "stages": [{"method": "confit", "heat": {"fat_c": 90}, "until": {"min": 300}}, {"method": "chill", "until": {"core_c": 5}}]
    }));
    let before = chilled.curve.iter().rfind(|point| point.min <= 300.0).unwrap();
    let after = chilled.curve.iter().find(|point| point.min > 300.0).unwrap();
    assert!(before.medium_c > 85.0 && after.medium_c > 75.0, "{} then {}", before.medium_c, after.medium_c);
    assert!(after.medium_c < before.medium_c);
}

#[test]
fn a_pit_nobody_sees_to_is_never_colder_than_the_yard() {
    for pit_c in [65.0, 110.0] {
        let forgotten = run(json!({
            "cut": "brisket", "mass_kg": 5.0, "members": 1, "start_c": 5,
            "heat": {"pit_c": pit_c, "tend_every_min": 4320}, "method": "smoke"
        }));
        let coldest = forgotten.curve.iter().map(|point| point.medium_c).fold(f64::INFINITY, f64::min);
        assert!(coldest >= 14.9, "{coldest} °C");
        // A pit whose fire is out takes no heat from meat that is as cold as the yard.
        assert!(forgotten.curve.iter().all(|point| point.core_c >= 4.9));
    }
}

#[test]
fn a_history_that_cant_be_is_refused_and_the_same_without_it_is_not() {
    let plan = plan(json!({"cut": "shin", "mass_kg": 2.0, "method": "braise", "members": 32}));
    let fold =
        |events: &[Event]| view(&plan, &Kitchen::default(), opened(), events, &[], plus_minutes(opened(), 300.0));
    let met = event(1, 60.0, Happened::OnTheHeat {});
    let late = event(2, 60.0 + 73.0 * 60.0, Happened::LiquidAdded { litres: 0.3, celsius: None, task: None });
    let refused = fold(&[met.clone(), late]).unwrap_err();
    assert!(refused.field == "at" && refused.to_string().contains("three days"), "{refused}");
    let many = (0..101)
        .map(|i| event(10 + i, 61.0 + i as f64, Happened::LiquidAdded { litres: 0.01, celsius: None, task: None }));
    let many: Vec<_> = std::iter::once(met.clone()).chain(many).collect();
    assert!(fold(&many).unwrap_err().field.contains("added"), "a pour too many is not left out in silence");
    assert!(fold(&[met]).is_ok());
    // Never tender: such a cook can't be opened.
    let cold = serde_json::from_value::<Plan>(json!({"name": "Cold", "serve_at": "2027-02-06T16:30:00Z", "forecast": {"cut": "shin", "method": "water_bath", "heat": {"bath_c": 55}, "members": 16}})).unwrap();
    assert!(view(&cold, &Kitchen::default(), opened(), &[], &[], opened()).is_err());
}

#[test]
fn a_list_shows_the_facts_of_a_cook_before_any_forecast_is_run() {
    let plan = plan(json!({"cut": "shin", "mass_kg": 2.0, "method": "braise", "members": 32}));
    let events =
        [event(1, 60.0, Happened::OnTheHeat {}), event(2, 240.0, Happened::Closed { outcome: Default::default() })];
    let id = Uuid::from_u128(9);
    let facts = |events: &[Event]| CookSummary::facts(id, id, &plan, opened(), events);
    let status = |events: &[Event]| facts(events).status;
    assert_eq!(
        (status(&[]), status(&events[..1]), status(&events)),
        (Status::Before, Status::UnderWay, Status::Closed)
    );
    let seen = view(&plan, &Kitchen::default(), opened(), &events[..1], &[], plus_minutes(opened(), 100.0)).unwrap();
    let line = facts(&events[..1]).with(&seen).line();
    assert_eq!((line.tender_from, line.tender_until), (seen.band.ready.p10, seen.band.ready.p90));
    assert_eq!((line.name.as_str(), line.broken), ("Lake-ice shin", None));
    let broken = CookSummary::broken(id, id, "Cold", opened(), "why".into()).line();
    assert_eq!((broken.status, broken.broken.as_deref()), (Status::Closed, Some("why")));
}

#[test]
fn nothing_hides_in_a_name() {
    for name in [
        "Nul\0",
        "Over\u{202e}ride",
        "Zero\u{200b}width",
        "Two\nlines",
        "\u{feff}mark",
        "iso\u{2066}late",
        "soft\u{ad}ly",
    ] {
        assert!(check_name("name", name, 80).unwrap_err().to_string().contains("U+"), "{name:?}");
    }
    for name in ["Lake-ice shin", "Härkä à l’ancienne", "牛すね肉", "🍲 of the day", "عرق"] {
        assert!(check_name("name", name, 80).is_ok(), "{name:?}");
    }
    assert!(check_text("text", "First this.\nThen that.", 80).is_ok());
    assert!(check_text("text", "\u{202e}", 80).is_err() && check_text("text", "a\0", 80).is_err());
}
