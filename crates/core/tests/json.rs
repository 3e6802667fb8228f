//! What a cook sends is read to the letter, and what does not fit is named; what a kitchen kept is read as far as it is known.

use ergastic_core::Error;
use ergastic_core::cook::{Event, Happened};
use ergastic_core::error::WhatIsWrong;
use ergastic_core::forecast::ForecastRequest;
use ergastic_core::json::{read, read_address, read_kept, read_list, read_object};
use ergastic_core::plan::Plan;
use serde::Deserialize;
use serde_json::{Value, json};

fn fault(text: &str) -> Error {
    read_object::<ForecastRequest>(text.as_bytes()).unwrap_err()
}

fn told(text: &str) -> String {
    fault(text).to_string()
}

#[test]
fn a_value_that_does_not_fit_is_named_with_its_field_what_was_given_and_what_is_allowed() {
    assert_eq!(told(r#"{"mass_kg": "much"}"#), "mass_kg: \"much\" can't be used; it must be a number");
    assert_eq!(told(r#"{"pieces": 1.5}"#), "pieces: 1.5 can't be used; it must be a whole number, 0 or more");
    assert_eq!(told(r#"{"heat": {"fan": 3}}"#), "heat.fan: 3 can't be used; it must be true or false");
    assert_eq!(told(r#"{"size_mm": [1, 2]}"#), "size_mm: a list can't be used; it must be a list of 3");
    assert_eq!(
        told(r#"{"age": "old"}"#),
        "age: \"old\" can't be used; it must be one of young or mature",
        "names are listed as they are"
    );
    assert_eq!(fault(r#"{"parts": [{"mass_kg": 1}, {"mass_kg": true}]}"#).field, "parts[1].mass_kg");
    assert!(told("[26]").contains("it must be one JSON object"));
    assert!(told("{\"mass_kg\": ").contains("line 1, column"));
    assert!(told("{} {}").contains("line 1, column 4"));
}

#[test]
fn a_field_is_known_given_once_and_there_where_it_must_be() {
    let unknown = fault(r#"{"heat": {"moon": 1}}"#);
    assert_eq!((unknown.field.as_str(), unknown.kind), ("heat.moon", WhatIsWrong::Unknown));
    assert!(unknown.to_string().contains("pit_c"), "it says which there are: {unknown}");
    let twice = fault(r#"{"mass_kg": 1, "mass_kg": 2}"#);
    assert_eq!((twice.field.as_str(), twice.kind), ("mass_kg", WhatIsWrong::Clash));
    let missing = fault(r#"{"added": [{"at_min": 3}]}"#);
    assert_eq!((missing.field.as_str(), missing.kind), ("added[0].liquid_l", WhatIsWrong::Missing));
}

#[test]
fn an_object_is_not_read_from_a_list_by_position() {
    assert_eq!(fault(r#"{"vessel": [26, 13]}"#).field, "vessel");
    let outcome = r#"{"kind": "closed", "outcome": ["fork", 1.2]}"#;
    assert_eq!(read::<Happened>(outcome.as_bytes()).unwrap_err().field, "outcome");
}

#[test]
fn an_object_of_one_of_several_kinds_is_read_wherever_its_kind_stands_and_its_fields_are_named() {
    let event = |happened: &str| {
        let id = "00000000-0000-4000-8000-000000000001";
        read::<Vec<Event>>(
            format!(r#"[{{"id": "{id}", "at": "2027-02-06T09:00:00Z", "happened": {happened}}}]"#).as_bytes(),
        )
    };
    let core = Happened::CoreReading { celsius: 71.5 };
    assert_eq!(event(r#"{"kind": "core_reading", "celsius": 71.5}"#).unwrap()[0].happened, core);
    assert_eq!(event(r#"{"celsius": 71.5, "kind": "core_reading"}"#).unwrap()[0].happened, core);
    let plain: Happened = serde_json::from_str(r#"{"celsius": 71.5, "kind": "core_reading"}"#).unwrap();
    assert_eq!(plain, core, "so does any other reader of JSON");
    let fault = |happened: &str| event(happened).unwrap_err().to_string();
    assert_eq!(
        fault(r#"{"kind": "core_reading", "celsius": "hot"}"#),
        "[0].happened.celsius: \"hot\" can't be used; it must be a number"
    );
    assert!(
        fault(r#"{"kind": "sang"}"#).starts_with("[0].happened: \"sang\" can't be used; it must be one of on_the_heat")
    );
    assert!(fault(r#"{"celsius": 3}"#).starts_with("[0].happened.kind is missing"));
    assert!(fault(r#"{"kind": "on_the_heat", "moon": 3}"#).starts_with("[0].happened.moon: this field can't be used"));
}

#[test]
fn instants_and_ids_are_asked_for_in_words() {
    let event = |id: &str, at: &str| {
        let text = format!(r#"{{"id": "{id}", "at": "{at}", "happened": {{"kind": "on_the_heat"}}}}"#);
        read::<Event>(text.as_bytes()).unwrap_err().to_string()
    };
    let at = event("00000000-0000-4000-8000-000000000001", "yesterday");
    assert!(at.starts_with("at: \"yesterday\" can't be used; it must be a time such as 20"), "{at}");
    let id = event("one", "2027-02-06T09:00:00Z");
    assert!(id.starts_with("id: \"one\" can't be used; it must be an id such as"), "{id}");
}

#[test]
fn a_list_that_is_too_long_and_a_text_of_too_many_values_are_refused_before_they_are_read_to_their_end() {
    // What comes after the last that is allowed is never looked at: it is not even JSON.
    let endless = format!("[{}nonsense", "true,".repeat(4));
    assert_eq!(read_list::<bool>(endless.as_bytes(), 3).unwrap_err().kind, WhatIsWrong::OutOfRange);
    assert_eq!(read_list::<bool>(b"[true, false, true]", 3).unwrap().len(), 3);
    assert_eq!(read_list::<bool>(b"[true, 1]", 3).unwrap_err().field, "[1]");
    let many = format!("{{\"mass_kg\": [{}nonsense", "0,".repeat(300_000));
    assert_eq!(fault(&many).kind, WhatIsWrong::OutOfRange);
}

#[test]
fn figures_are_read_from_an_address() {
    #[derive(Debug, PartialEq, Deserialize)]
    struct Page {
        from: u32,
        name: Option<String>,
    }
    let pair = |name: &str, text: &str| (name.to_owned(), text.to_owned());
    let page: Page = read_address([pair("from", "12"), pair("name", "7")]).unwrap();
    assert_eq!(page, Page { from: 12, name: Some("7".into()) });
    let fault = read_address::<Page>([pair("from", "-1")]).unwrap_err();
    assert_eq!(fault.to_string(), "from: \"-1\" can't be used; it must be a whole number, 0 or more");
}

#[test]
fn what_was_kept_is_read_without_the_fields_that_are_no_longer_known() {
    let plan = |more: Value| {
        let mut plan = json!({
            "name": "Lake-ice shin", "serve_at": "2027-02-06T16:30:00Z",
            "forecast": {"cut": "shin", "stages": [{"method": "smoke"}, {"method": "braise"}]},
        });
        plan.as_object_mut().unwrap().extend(more.as_object().unwrap().clone());
        plan
    };
    let plain: Plan = read_kept(plan(json!({}))).unwrap();
    let strange = json!({
        "garnish": ["parsley"],
        "forecast": {"cut": "shin", "moon": 3, "stages": [{"method": "smoke"}, {"method": "braise", "moon": {"full": true}}]},
    });
    assert_eq!(read_kept::<Plan>(plan(strange)).unwrap(), plain);
    assert_eq!(read_kept::<Plan>(plan(json!({"people": "six"}))).unwrap_err().field, "people");
    let closed = json!({"kind": "closed", "moon": 1, "outcome": {"ate_as": "fork", "stars": 5}});
    assert!(matches!(read_kept(closed).unwrap(), Happened::Closed { .. }));
}

#[test]
fn a_byte_order_mark_is_gone_past() {
    assert_eq!(read_object::<ForecastRequest>("\u{feff}{}".as_bytes()).unwrap(), ForecastRequest::default());
}
