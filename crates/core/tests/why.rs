//! What lies behind a forecast: bands about its curve, a rule with this dish's figures for each, and what would narrow it.

use ergastic_core::forecast::{Explained, Forecast, ForecastRequest, forecast};
use serde_json::{Value, json};

fn run(mut value: Value) -> Forecast {
    value["explain"] = json!(true);
    let request: ForecastRequest = serde_json::from_value(value).unwrap();
    forecast(&request).unwrap()
}

fn explained(forecast: &Forecast) -> &Explained {
    forecast.explained.as_ref().unwrap()
}

fn shin() -> Value {
    json!({"cut": "shin", "mass_kg": 2.4, "method": "braise", "heat": {"source": "oven", "set_c": 150}, "members": 200})
}

fn with(mut request: Value, field: &str, value: Value) -> Value {
    request[field] = value;
    request
}

#[test]
fn nothing_is_explained_that_nobody_asked_for() {
    let request: ForecastRequest = serde_json::from_value(shin()).unwrap();
    assert!(forecast(&request).unwrap().explained.is_none());
}

#[test]
fn the_bands_lie_about_the_curve_and_run_to_its_end() {
    let answer = run(shin());
    let bands = &explained(&answer).bands;
    let last = answer.curve.last().unwrap();
    assert!((bands.last().unwrap().min - last.min).abs() < 0.1);
    for band in bands {
        for three in [band.core_c, band.tenderness, band.liquid_l] {
            assert!(three[0] <= three[1] && three[1] <= three[2], "{band:?}");
        }
        let at = answer.curve.iter().find(|point| point.min >= band.min - 0.05).unwrap();
        // The curve is one cook of many: it stays well within what eight in ten of them do, and a little about.
        assert!((band.core_c[0] - 4.0..=band.core_c[2] + 4.0).contains(&at.core_c), "{band:?} about {at:?}");
    }
}

#[test]
fn the_width_is_that_of_the_band_and_each_fact_leaves_less_of_it() {
    let answer = run(shin());
    let (p10, p90) = (answer.ready_min.p10.unwrap(), answer.ready_min.p90.unwrap());
    let explained = explained(&answer);
    assert_eq!(explained.width_min, Some(p90 - p10));
    assert!(!explained.narrows.is_empty());
    let shares: Vec<f64> = explained.narrows.iter().map(|fact| fact.share).collect();
    assert!(shares.is_sorted_by(|a, b| a >= b) && shares.iter().sum::<f64>() < 1.1, "{shares:?}");
    assert!(explained.narrows.iter().all(|fact| fact.width_min < p90 - p10), "{:?}", explained.narrows);
}

#[test]
fn what_is_measured_already_is_not_asked_for_in_the_same_words() {
    let how = |answer: &Forecast| {
        let narrows = explained(answer).narrows.clone();
        narrows.into_iter().find(|fact| fact.fact == "thickness").map(|fact| (fact.how, fact.share))
    };
    let guessed = how(&run(shin())).unwrap();
    let (words, share) = how(&run(with(shin(), "size_mm", json!([70, 120, 160])))).unwrap();
    assert!(words != guessed.0 && share <= guessed.1, "{words}: {share} of {}", guessed.1);
}

#[test]
fn only_what_this_way_has_can_narrow_it() {
    let facts = |request: Value| -> Vec<String> {
        explained(&run(request)).narrows.iter().map(|fact| fact.fact.clone()).collect()
    };
    let pit =
        facts(json!({"cut": "brisket", "mass_kg": 5.0, "method": "smoke", "heat": {"pit_c": 110}, "members": 200}));
    assert!(pit.contains(&"pit".to_owned()) && !pit.contains(&"oven".to_owned()), "{pit:?}");
    let oven = facts(shin());
    assert!(!oven.contains(&"pit".to_owned()) && !oven.contains(&"bark".to_owned()), "{oven:?}");
    let bath =
        facts(json!({"cut": "shin", "mass_kg": 1.0, "method": "water_bath", "heat": {"bath_c": 82}, "members": 200}));
    assert!(bath.iter().all(|fact| ["thickness", "animal", "simmer", "liquid"].contains(&fact.as_str())), "{bath:?}");
}

#[test]
fn every_figure_has_its_rule_with_the_figures_of_this_dish() {
    let answer = run(shin());
    let rules = &explained(&answer).rules;
    for rule in rules {
        for text in [&rule.figure, &rule.rule, &rule.numbers, &rule.sure] {
            assert!(!text.is_empty(), "{rule:?}");
        }
        assert!(rule.numbers.contains(|c: char| c.is_numeric()), "{rule:?}");
    }
    let oven = rules.iter().find(|rule| rule.figure.contains("oven")).unwrap();
    assert!(oven.numbers.contains("150 °C"), "{oven:?}");
    let juice = rules.iter().find(|rule| rule.numbers.contains("2.4 kg")).unwrap();
    assert!(juice.figure.contains("uice"), "{juice:?}");
}

#[test]
fn a_chain_has_a_rule_for_each_of_its_stages() {
    let chain = json!({"cut": "plate_rib", "mass_kg": 2.0, "members": 64, "eaten_as": "spoon", "stages": [
        {"method": "smoke", "heat": {"pit_c": 135}, "until": {"min": 240}},
        {"method": "water_bath", "heat": {"bath_c": 85}},
    ]});
    let answer = run(chain);
    let figures: Vec<&str> = explained(&answer).rules.iter().map(|rule| rule.figure.as_str()).collect();
    let at = |word: &str| figures.iter().position(|figure| figure.contains(word));
    assert!(at("pit").unwrap() < at("bath").unwrap(), "{figures:?}");
}

#[test]
fn where_there_is_no_liquid_no_rule_speaks_of_one() {
    let pit = run(json!({"cut": "brisket", "mass_kg": 5.0, "method": "smoke", "heat": {"pit_c": 110}, "members": 64}));
    assert!(explained(&pit).rules.iter().all(|rule| rule.figure != "Liquid"), "{:?}", explained(&pit).rules);
    assert!(explained(&run(shin())).rules.iter().any(|rule| rule.figure == "Liquid"));
}
