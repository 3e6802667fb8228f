//! The table of ways: every row complete, and nothing in it that contradicts another column.

use ergastic_core::forecast::{Case, ForecastRequest};
use ergastic_core::heat::pot::Lid;
use ergastic_core::kitchen::Kit;
use ergastic_core::ways::{Medium, Method};
use ergastic_words::{Units, Voice};
use serde_json::{Value, json};

/// One of each medium, as a request brings it about.
fn requests() -> Vec<(Method, Value)> {
    vec![
        (Method::Braise, json!({"method": "braise", "heat": {"source": "hob"}})),
        (Method::Braise, json!({"method": "braise", "heat": {"source": "oven", "set_c": 150}})),
        (Method::Braise, json!({"method": "braise", "heat": {"source": "coals"}})),
        (Method::Stew, json!({"method": "stew", "heat": {"source": "oven", "set_c": 160}})),
        (Method::Pressure, json!({"method": "pressure"})),
        (Method::SlowCooker, json!({"method": "slow_cooker"})),
        (Method::Smoke, json!({"method": "smoke", "heat": {"pit_c": 110}})),
        (Method::Confit, json!({"method": "confit"})),
        (Method::WaterBath, json!({"method": "water_bath"})),
        (Method::KeepWarm, json!({"method": "keep_warm"})),
        (Method::Chill, json!({"stages": [{"method": "braise", "until": {"min": 60}}, {"method": "chill"}]})),
        (Method::Reheat, json!({"stages": [{"method": "braise", "until": {"min": 60}}, {"method": "reheat"}]})),
    ]
}

fn case(mut request: Value) -> Case {
    request["cut"] = json!("chuck");
    request["mass_kg"] = json!(1.6);
    let request: ForecastRequest = serde_json::from_value(request).unwrap();
    request.resolve().unwrap()
}

/// Each with the last of its media.
fn media() -> Vec<(Method, Medium)> {
    requests().into_iter().map(|(method, request)| (method, case(request).stages.last().unwrap().medium)).collect()
}

#[test]
fn every_way_is_called_something_in_either_kitchen() {
    for (method, medium) in media() {
        for units in [Units::Metric, Units::Us] {
            let voice = Voice::new(units);
            let said = [
                voice.render(medium.words()),
                voice.render(medium.sentence(100.0, Some(98.0))),
                voice.render(medium.for_so_long(90.0)),
            ];
            assert!(said.iter().all(|text| text.len() > 5 && !text.contains('…')), "{method:?}: {said:?}");
            let foreign = if units == Units::Us { "°C" } else { "°F" };
            assert!(said.iter().all(|text| !text.contains(foreign)), "{method:?}: {said:?}");
        }
    }
}

#[test]
fn every_way_says_how_it_heats_and_what_its_dial_decides() {
    let voice = Voice::default();
    for (method, medium) in media() {
        let heats = medium.how_it_heats(Lid::Loose, 99.0);
        for said in [heats.rule, heats.numbers, heats.sure] {
            assert!(voice.render(said).len() > 5, "{method:?}");
        }
        let has_a_dial = !matches!(method, Method::KeepWarm | Method::Chill | Method::Reheat);
        assert_eq!(medium.what_the_dial_decides(Lid::Loose).is_some(), has_a_dial, "{method:?}");
    }
}

#[test]
fn an_open_pot_is_not_told_about_its_lid() {
    let voice = Voice::default();
    for (method, medium) in media() {
        if let Some(said) = medium.what_the_dial_decides(Lid::None).map(|said| voice.render(said)) {
            assert!(!said.to_lowercase().contains("lid"), "{method:?}: {said}");
        }
    }
}

#[test]
fn what_is_asked_of_the_kitchen_is_something_it_can_have() {
    let kit: Vec<_> = media().into_iter().map(|(method, medium)| (method, medium.way().kit)).collect();
    for (method, kit) in &kit {
        // What warms and cools is done with what stands there anyway.
        assert_eq!(kit.is_none(), matches!(method, Method::KeepWarm | Method::Chill | Method::Reheat), "{method:?}");
    }
    for wanted in Kit::ALL {
        assert!(kit.iter().any(|(_, kit)| *kit == Some(wanted)), "{wanted:?} is good for nothing");
    }
}

#[test]
fn a_fire_is_lit_before_it_is_hot_and_what_is_lit_is_seen_to() {
    for (method, medium) in media() {
        let way = medium.way();
        if way.fire_min > 0.0 {
            assert!(way.preheat_min.is_some_and(|min| min >= way.fire_min), "{method:?}");
        }
        if let Some(tending) = way.tending_by_hand.or(way.tending) {
            assert!(tending.takes_min < tending.every_min, "{method:?} would be nothing but tending");
            assert!(medium.burns(1.0).solid_kg > 0.0, "{method:?} has nothing to see to");
        }
    }
}

#[test]
fn looks_and_tending_grow_with_the_hours_and_a_pit_by_hand_takes_more() {
    for (method, medium) in media() {
        let way = medium.way();
        let (short, long) = (way.looks(60.0), way.looks(600.0));
        assert!((1..=6).contains(&short) && short <= long && long <= 6, "{method:?}: {short}, {long}");
        let minutes = |holds| way.tending_now(holds).map_or(0.0, |tending| tending.takes_min / tending.every_min);
        assert!(minutes(true) <= minutes(false), "{method:?}");
    }
}

#[test]
fn longer_and_hotter_burns_more_and_nothing_burns_less_than_nothing() {
    for (method, medium) in media() {
        let (one, eight) = (medium.burns(1.0), medium.burns(8.0));
        assert!(one.kwh >= 0.0 && one.solid_kg >= 0.0 && one.kwh + one.solid_kg > 0.0, "{method:?}: {one:?}");
        assert!(eight.kwh >= one.kwh && eight.solid_kg >= one.solid_kg, "{method:?}: {one:?} {eight:?}");
    }
    let oven = |set_c: f64| {
        case(json!({"method": "braise", "heat": {"source": "oven", "set_c": set_c}})).first().medium.burns(3.0).kwh
    };
    assert!(oven(170.0) > oven(110.0));
}

#[test]
fn what_makes_a_sauce_is_a_pot_or_a_bag_of_juice() {
    for (method, medium) in media() {
        let sauce = medium.way().makes_sauce;
        assert_eq!(sauce, !matches!(method, Method::Smoke | Method::Confit), "{method:?}");
        assert!(!medium.is_pot() || sauce, "{method:?} leaves its liquid behind");
    }
}

#[test]
fn nothing_is_put_into_what_must_stay_shut() {
    for (method, medium) in media() {
        let shut = matches!(method, Method::Pressure | Method::WaterBath | Method::Confit | Method::Smoke);
        assert_eq!(medium.way().opens, !shut && (medium.is_pot() || method != Method::Chill), "{method:?}");
    }
}
