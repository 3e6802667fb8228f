//! What nobody waits for any more: given up at any moment, no question has another answer than its own or none.

use ergastic_core::clock::plus_minutes;
use ergastic_core::cook::{Event, Happened, gone_wrong, view, what_if};
use ergastic_core::error::{Result, WhatIsWrong};
use ergastic_core::forecast::{ForecastRequest, forecast};
use ergastic_core::kitchen::Kitchen;
use ergastic_core::matching::{match_ways, overview};
use ergastic_core::meal::meal_sheet;
use ergastic_core::plan::Plan;
use ergastic_core::prepare::{prepare_request, why};
use ergastic_core::sheet::work_back;
use ergastic_core::{Cancel, How};
use jiff::Timestamp;
use serde::Serialize;
use serde::de::DeserializeOwned;
use serde_json::{Value, json};
use uuid::Uuid;

fn read<T: DeserializeOwned>(value: Value) -> T {
    serde_json::from_value(value).unwrap()
}

fn now() -> Timestamp {
    "2027-02-05T08:00:00Z".parse().unwrap()
}

/// Asks again and again, given up a little later each time, until the answer is there: it is the whole one, and before it was none.
fn whole_or_none<T: Serialize>(ask: impl Fn(&Kitchen) -> Result<T>) {
    let text = |answer: &T| serde_json::to_string(answer).unwrap();
    let whole = text(&ask(&Kitchen::default()).unwrap());
    let (mut checks, mut none) = (0, 0);
    loop {
        let how = How { cancel: Cancel::after(checks), ..How::default() };
        match ask(&Kitchen { how, ..Kitchen::default() }) {
            Ok(answer) => {
                assert!(text(&answer) == whole, "given up after {checks} checks it is another answer");
                break;
            }
            Err(error) => assert_eq!(error.kind, WhatIsWrong::Cancelled, "after {checks} checks: {error}"),
        }
        none += 1;
        checks = checks * 8 / 5 + 1;
    }
    assert!(none > 0, "it never looks whether anybody waits");
}

#[test]
fn a_forecast_with_all_that_explains_it() {
    let asked: ForecastRequest = read(json!({
        "cut": "shin", "method": "braise", "heat": {"source": "hob", "simmer": "boil"}, "members": 64, "explain": true, "deadline_min": 240,
    }));
    whole_or_none(|kitchen| forecast(&ForecastRequest { how: kitchen.how.clone(), ..asked.clone() }));
    whole_or_none(|kitchen| why(&asked, kitchen));
}

#[test]
fn every_way_for_a_cut_and_every_cut_every_way() {
    let asked = json!({
        "cut": "brisket", "mass_kg": 2.5, "now": "2027-02-05T09:00", "serve_at": "2027-02-05T14:00", "recipe": "3 h at 150 °C",
    });
    whole_or_none(|kitchen| match_ways(&read(asked.clone()), kitchen, now()));
    let bought = json!({"method": "braise", "people": 6, "now": "2027-02-05T09:00", "serve_at": "2027-02-05T19:00"});
    whole_or_none(|kitchen| match_ways(&read(bought.clone()), kitchen, now()));
    whole_or_none(overview);
}

#[test]
fn a_dish_at_the_bench() {
    let asked = json!({"cut": "chuck", "mass_kg": 1.6, "method": "pressure"});
    whole_or_none(|kitchen| prepare_request(&read(asked.clone()), kitchen));
}

#[test]
fn a_meal_that_is_late_with_its_ways_out() {
    let dish = |name: &str, set_c: f64| {
        json!({
            "name": name, "people": 6,
            "forecast": {"cut": "shin", "mass_kg": 2.0, "method": "braise", "heat": {"source": "oven", "set_c": set_c}, "members": 48},
        })
    };
    let asked = json!({
        "zone": "Europe/Helsinki", "serve_at": "2027-02-05T12:00", "now": "2027-02-05T10:00",
        "dishes": [dish("Lake-ice shin", 150.0), dish("Shore pot", 170.0)],
    });
    whole_or_none(|kitchen| meal_sheet(&read(asked.clone()), kitchen, now()));
    let plan: Plan = read(json!({
        "name": "Lake-ice shin", "serve_at": "2027-02-05T10:00:00Z", "forecast": {"cut": "shin", "method": "braise", "members": 48},
    }));
    whole_or_none(|kitchen| work_back(&plan, kitchen, now()));
}

#[test]
fn a_cook_at_work_with_what_could_be_done_and_what_goes_wrong() {
    let plan: Plan = read(json!({
        "name": "Lake-ice shin", "serve_at": "2027-02-05T15:00:00Z", "forecast": {"cut": "shin", "method": "braise", "members": 48},
    }));
    let events = [Event {
        id: Uuid::from_u128(1),
        at: plus_minutes(now(), 60.0),
        happened: Happened::OnTheHeat {},
        device: None,
    }];
    let later = plus_minutes(now(), 150.0);
    whole_or_none(|kitchen| view(&plan, kitchen, now(), &events, &[], later));
    whole_or_none(|kitchen| what_if(&plan, kitchen, now(), &events, &[], later));
    whole_or_none(|kitchen| gone_wrong(&plan, kitchen, now(), &events, &[], later));
}
