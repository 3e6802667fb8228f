//! A dish whose meat has left the pot.

use ergastic_core::afterwards::Afterwards;
use ergastic_core::clock::plus_minutes;
use ergastic_core::cook::{Event, Happened, plated};
use ergastic_core::kitchen::{FoodCode, Kitchen};
use ergastic_core::plan::Plan;
use jiff::Timestamp;
use serde_json::{Value, json};
use uuid::Uuid;

pub fn opened() -> Timestamp {
    "2027-02-06T08:00:00Z".parse().unwrap()
}

pub fn plan(forecast: Value, more: Value) -> Plan {
    let mut plan =
        json!({"name": "Ice-road chuck", "people": 6, "serve_at": "2027-02-06T17:00:00Z", "forecast": forecast});
    plan.as_object_mut().unwrap().extend(more.as_object().unwrap().clone());
    serde_json::from_value(plan).unwrap()
}

pub fn under(food_code: FoodCode) -> Kitchen {
    Kitchen { food_code, ..Kitchen::default() }
}

/// What happened, each at its minute from the opening.
pub fn events(happened: impl IntoIterator<Item = (f64, Happened)>) -> Vec<Event> {
    (happened.into_iter().enumerate())
        .map(|(i, (minute, happened))| Event {
            id: Uuid::from_u128(i as u128 + 1),
            at: plus_minutes(opened(), minute),
            happened,
            device: None,
        })
        .collect()
}

pub fn after(plan: &Plan, kitchen: &Kitchen, events: &[Event], minute: f64) -> Afterwards {
    plated(plan, kitchen, opened(), events, &[], plus_minutes(opened(), minute)).unwrap()
}
