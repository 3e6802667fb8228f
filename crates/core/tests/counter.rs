//! What *Match* offers beside the best way: other cuts, loads, settings of the dial at hand, fuel, and what it all costs.

use ergastic_core::clock::minutes_between;
use ergastic_core::heat::pot::PotMeasures;
use ergastic_core::kitchen::Kitchen;
use ergastic_core::matching::{Choice, MatchRequest, Matched, match_ways};
use ergastic_core::ways::Method;
use jiff::Timestamp;
use serde_json::{Value, json};

fn asked(changed: Value) -> Matched {
    asked_in(&Kitchen::default(), changed)
}

fn asked_in(kitchen: &Kitchen, changed: Value) -> Matched {
    let mut request = json!({
        "cut": "chuck", "mass_kg": 2.0, "people": 6, "now": "2027-02-06T08:00", "serve_at": "2027-02-06T18:30",
        "price_per_kg": 12.0, "members": 64,
    });
    for (field, value) in changed.as_object().unwrap() {
        request[field] = value.clone();
    }
    let request: MatchRequest = serde_json::from_value(request).unwrap();
    match_ways(&request, kitchen, Timestamp::UNIX_EPOCH).unwrap()
}

fn choices(matched: &Matched) -> Vec<&Choice> {
    let ways = matched.ways.iter().flat_map(|way| std::iter::once(&way.best).chain(&way.variants));
    ways.chain(&matched.two_stage).collect()
}

/// Every figure before a unit in a text.
fn figures(text: &str, unit: &str) -> Vec<f64> {
    let words: Vec<&str> = text.split([' ', ',', ';', '(', ')']).collect();
    words.windows(2).filter(|pair| pair[1].starts_with(unit)).filter_map(|pair| pair[0].parse().ok()).collect()
}

#[test]
fn an_american_oven_is_set_in_steps_of_its_own_dial() {
    let us = asked(json!({"units": "us"}));
    let ovens: Vec<&str> = choices(&us).iter().map(|choice| choice.name.as_str()).collect();
    let (steam, oven): (Vec<_>, Vec<_>) =
        ovens.iter().filter(|name| name.contains("oven")).partition(|name| name.starts_with("Steam oven"));
    for (dials, step) in [(oven, 25.0), (steam, 5.0)] {
        let dials: Vec<f64> = dials.into_iter().flat_map(|name| figures(name, "°F")).collect();
        assert!(dials.len() >= 3 && dials.iter().all(|dial| dial % step == 0.0), "{ovens:?}");
    }
    assert!(ovens.iter().all(|name| !name.contains("°C")), "{ovens:?}");
}

#[test]
fn what_is_planned_is_what_stands_in_the_name() {
    for (units, unit) in [("metric", "°C"), ("us", "°F")] {
        for choice in choices(&asked(json!({"units": units}))) {
            let Some(set_c) = choice.heat.set_c.filter(|_| choice.name.contains("oven")) else { continue };
            let set = if unit == "°F" { set_c * 1.8 + 32.0 } else { set_c };
            let named = figures(&choice.name, unit);
            assert!(named.iter().any(|dial| (dial - set).abs() < 0.51), "{} is set to {set}", choice.name);
        }
    }
}

#[test]
fn units_change_no_time_worth_naming() {
    let ready = |units: &str| {
        let matched = asked(json!({"units": units}));
        let hob = choices(&matched).into_iter().find(|choice| choice.id.starts_with("braise.hob")).cloned();
        hob.unwrap().ready_min
    };
    assert_eq!(ready("metric"), ready("us"));
}

#[test]
fn another_cut_feeds_as_many_and_is_not_the_same_one() {
    let matched = asked(json!({}));
    assert!(!matched.substitutes.is_empty());
    for other in &matched.substitutes {
        assert_ne!(other.cut.key(), "chuck");
        assert!(other.mass_kg > 0.8 && other.mass_kg < 6.0 && !other.why.is_empty(), "{other:?}");
    }
    // Bone and fat have to be bought with the meat.
    let mass = |cut: &str| matched.substitutes.iter().find(|other| other.cut.key() == cut).map(|other| other.mass_kg);
    assert!(mass("neck").unwrap() > 1.05 * mass("blade").unwrap(), "{:?}", matched.substitutes);
}

#[test]
fn money_is_counted_once_and_shared_by_those_who_eat() {
    for choice in choices(&asked(json!({}))) {
        let a_head = choice.cost_a_head.unwrap();
        assert!((a_head * 6.0 - 24.0).abs() < 0.01, "{}: {a_head}", choice.name);
        let portion = choice.cost_per_portion.unwrap();
        assert!((portion * choice.portions - 24.0).abs() < 0.01, "{}: {portion}", choice.name);
    }
    assert!(choices(&asked(json!({"price_per_kg": null}))).iter().all(|choice| choice.cost_a_head.is_none()));
}

fn in_pot(pot: PotMeasures) -> Kitchen {
    let mut kitchen = Kitchen::default();
    kitchen.pots[0].measures = pot;
    kitchen
}

#[test]
fn what_does_not_go_into_its_pot_goes_in_several() {
    let hands = |across_cm: f64, high_cm: f64| {
        let pot = serde_json::from_value(json!({"diameter_cm": across_cm, "height_cm": high_cm})).unwrap();
        let matched = asked_in(&in_pot(pot), json!({"mass_kg": 6.0}));
        let stewed = choices(&matched).into_iter().find(|choice| choice.id.starts_with("stew")).cloned();
        stewed.unwrap().hands_on_min
    };
    let (several, one) = (hands(20.0, 10.0), hands(40.0, 25.0));
    assert!(several > one, "{several} min at work, {one} in a pot that takes it all");
}

#[test]
fn each_way_says_what_it_burns_and_leaves_to_wash() {
    let matched = asked(json!({}));
    for choice in choices(&matched) {
        assert!(choice.fuel.words.contains(|c: char| c.is_numeric()), "{}: {:?}", choice.name, choice.fuel);
        assert!(!choice.washing_up.words.is_empty(), "{}", choice.name);
    }
    let pit = choices(&matched).into_iter().find(|choice| choice.method == Method::Smoke).unwrap();
    assert!(pit.bark && pit.sauce_l < 0.05, "{pit:?}");
}

#[test]
fn the_latest_start_leaves_the_certainty_that_was_asked_for() {
    let latest = |certainty: f64| {
        let matched = asked(json!({"certainty": certainty}));
        // The same variant each time: which of them is the best changes with the certainty.
        let ids: Vec<_> = choices(&matched).iter().map(|choice| choice.id.clone()).collect();
        let braised = choices(&matched).into_iter().find(|choice| choice.id == "braise.oven_150.whole");
        braised.unwrap_or_else(|| panic!("{ids:?}")).start_by.unwrap()
    };
    assert!(latest(0.99) < latest(0.8) && latest(0.8) < latest(0.5));
    let slack = minutes_between(latest(0.99), latest(0.5));
    assert!((10.0..240.0).contains(&slack), "{slack}");
}

#[test]
fn a_dish_in_two_goes_counts_the_night_between_them() {
    let matched = asked(json!({"now": "2027-02-05T09:00", "serve_at": "2027-02-06T15:00", "eaten_as": "slice"}));
    let chilled = matched.two_stage.iter().find(|choice| choice.id.contains("day_before")).unwrap();
    assert!(chilled.ready_min.p10.unwrap() > 600.0 + 60.0, "{:?}", chilled.ready_min);
    let start = chilled.start_by.unwrap();
    assert!(minutes_between(start, matched.serve_at) > 720.0, "{start}");
}

#[test]
fn more_to_eat_from_the_same_piece_is_less_on_each_plate() {
    let grams = |people: u32| asked(json!({"people": people})).ways[0].best.grams_a_head;
    assert!((grams(4) / grams(8) - 2.0).abs() < 1e-6);
}
