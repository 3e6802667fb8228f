//! Each warning of the bench binds where it must, and is silent at the dish that differs in that one thing.

use ergastic_core::bench::Shelf;
use ergastic_core::kitchen::Kitchen;
use ergastic_core::prepare::{PrepareRequest, Prepared, ShoppingItem, prepare_request};
use serde_json::{Value, json};

/// A braise for six that nothing is wrong with, with some fields changed.
fn dish(changed: Value) -> Value {
    let mut request = json!({
        "cut": "chuck", "mass_kg": 1.8, "pieces": 4, "method": "braise", "heat": {"source": "oven", "set_c": 150},
        "vessel": {"diameter_cm": 28, "height_cm": 14, "lid": "tight"}, "level": "three_quarters", "people": 6, "salt_pct": 0.8,
        "pan": {"diameter_cm": 30, "mass_kg": 3, "material": "iron"}, "hob": {"watts": 3000, "kind": "gas"},
        "bench": {"base": "unsalted_stock"},
    });
    for (field, value) in changed.as_object().unwrap() {
        request[field] = value.clone();
    }
    request
}

fn ask(request: Value) -> Prepared {
    let request: PrepareRequest = serde_json::from_value(request).unwrap();
    prepare_request(&request, &Kitchen::default()).unwrap()
}

fn ids(prepared: &Prepared) -> Vec<&str> {
    prepared.warnings.iter().map(|warning| warning.id.as_str()).collect()
}

/// The warning is there with the change and not without it, and is a sentence.
fn binds(id: &str, changed: Value) {
    let without = ask(dish(json!({})));
    assert!(!ids(&without).contains(&id), "{id} binds at a dish that nothing is wrong with");
    let with = ask(dish(changed));
    let warning = with.warnings.iter().find(|warning| warning.id == id);
    let text = &warning.unwrap_or_else(|| panic!("{id} is not said: {:?}", ids(&with))).text;
    assert!(text.ends_with('.') && text.len() > 20, "{id}: {text}");
}

#[test]
fn a_dish_that_nothing_is_wrong_with_has_no_warning() {
    assert_eq!(ids(&ask(dish(json!({})))), Vec::<&str>::new());
}

#[test]
fn salt_that_is_there_twice_is_minded() {
    binds("corned_salt", json!({"cut": "corned_brisket", "salt_pct": 0}));
    binds("salted_again", json!({"ingredients": [{"what": "salted_rub", "g": 40}]}));
    binds("salty", json!({"ingredients": [{"what": "soy_sauce", "ml": 250}]}));
}

#[test]
fn what_would_not_brown_is_said_before_it_is_wet() {
    binds(
        "stews",
        json!({"bench": {"per_batch": 4}, "surface": "wet", "hob": {"watts": 700}, "pan": {"diameter_cm": 24, "mass_kg": 0.8, "material": "aluminium"}}),
    );
    binds("scorches", json!({"bench": {"sugared": true}}));
    binds(
        "drain",
        json!({"surface": "wet", "bench": {"marinade": {"of": "wine", "hours": 12, "ml": 400, "kept": false}}}),
    );
}

#[test]
fn a_pot_that_is_too_small_or_runs_dry_is_said_with_its_figures() {
    binds("too_small", json!({"vessel": {"diameter_cm": 14, "height_cm": 8, "lid": "tight"}}));
    binds(
        "boils_dry",
        json!({"vessel": {"diameter_cm": 28, "height_cm": 14, "lid": "none"}, "heat": {"source": "oven", "set_c": 200}, "hours": 5}),
    );
    binds("over_level", json!({"ingredients": [{"what": "tinned_tomato", "ml": 3000}]}));
    binds("sugar_catches", json!({"ingredients": [{"what": "brown_sugar", "g": 200}]}));
}

#[test]
fn a_marinade_that_lies_too_long_is_said() {
    let lain =
        |of: &str, hours: u32| json!({"bench": {"marinade": {"of": of, "hours": hours, "ml": 400, "kept": false}}});
    binds("mealy", lain("wine", 60));
    binds("no_more", lain("wine", 30));
    // What is sharp is done sooner.
    binds("no_more", lain("acid", 15));
    assert!(!ids(&ask(dish(lain("wine", 15)))).contains(&"no_more"));
}

#[test]
fn what_can_hurt_someone_is_said_at_its_step() {
    binds("part_cooked_chilled", json!({"bench": {"day_before": true}}));
    binds("raw_meat", json!({"bench": {"rinse": true}}));
    binds("dried_beans", json!({"bench": {"later": [{"what": "soaked_beans", "g": 300}]}}));
}

#[test]
fn no_warning_is_given_twice() {
    let all_wrong = ask(dish(json!({
        "cut": "corned_brisket", "surface": "wet", "vessel": {"diameter_cm": 16, "height_cm": 9, "lid": "none"},
        "ingredients": [{"what": "salted_rub", "g": 40}, {"what": "soy_sauce", "ml": 200}, {"what": "treacle", "g": 300}],
        "bench": {"marinade": {"of": "acid", "hours": 60, "ml": 300, "kept": false}, "sugared": true, "rinse": true, "day_before": true},
    })));
    let mut found = ids(&all_wrong);
    let told = found.len();
    found.sort_unstable();
    found.dedup();
    assert!(told > 5 && found.len() == told, "{:?}", all_wrong.warnings);
}

fn item<'a>(prepared: &'a Prepared, name: &str) -> Option<&'a ShoppingItem> {
    prepared.shopping.iter().find(|item| item.name.to_lowercase().contains(name))
}

#[test]
fn the_list_holds_what_the_dish_takes_on_its_shelf() {
    let dish = ask(dish(json!({
        "price_per_kg": 14, "ingredients": [{"what": "red_wine", "ml": 250}, {"what": "onion", "g": 300}],
        "bench": {"base": "unsalted_stock", "later": [{"what": "potato", "g": 900}]},
    })));
    let meat = item(&dish, "chuck").unwrap();
    assert_eq!((meat.shelf, meat.g, meat.cost), (Shelf::Butcher, Some(1800.0), Some(25.2)));
    assert_eq!(item(&dish, "wine").map(|wine| (wine.shelf, wine.ml)), Some((Shelf::Cellar, Some(250.0))));
    assert_eq!(item(&dish, "onion").map(|onion| onion.g), Some(Some(300.0)));
    assert_eq!(item(&dish, "potato").map(|potato| potato.g), Some(Some(900.0)));
    assert!(item(&dish, "stock").is_some_and(|stock| stock.ml > Some(100.0)));
}

#[test]
fn what_is_called_for_twice_is_bought_once() {
    let dish = ask(dish(json!({
        "ingredients": [{"what": "carrot", "g": 200}], "bench": {"later": [{"what": "carrot", "g": 500}]},
    })));
    let carrots: Vec<_> = dish.shopping.iter().filter(|item| item.name.contains("carrot")).collect();
    assert_eq!(carrots.iter().filter_map(|item| item.g).sum::<f64>(), 700.0, "{carrots:?}");
    let names: Vec<_> = dish.shopping.iter().map(|item| &item.name).collect();
    let different: std::collections::BTreeSet<_> = names.iter().collect();
    assert_eq!(names.len(), different.len(), "{names:?}");
}

#[test]
fn a_pit_is_shopped_for_its_wood_and_no_stock() {
    let pit = ask(json!({"cut": "brisket", "mass_kg": 5, "method": "smoke", "heat": {"pit_c": 110}}));
    assert!(item(&pit, "oak").is_some_and(|wood| wood.count > Some(0)), "{:?}", pit.shopping);
    assert!(item(&pit, "stock").is_none());
}

#[test]
fn each_place_of_the_bench_says_what_rules_it_here() {
    let braise = ask(dish(json!({})));
    let because = &braise.because;
    for (place, reasons) in [
        ("meat", &because.meat),
        ("salt", &because.salt),
        ("sear", &because.sear),
        ("pot", &because.pot),
        ("heat", &because.heat),
        ("later", &because.later),
        ("list", &because.list),
    ] {
        assert!(!reasons.is_empty() && reasons.iter().all(|text| text.ends_with('.')), "{place}: {reasons:?}");
    }
    assert_eq!(because.heat.last(), Some(&braise.forecast.why));
    let pit = ask(json!({"cut": "brisket", "mass_kg": 5, "method": "smoke", "heat": {"pit_c": 110}})).because;
    assert!(pit.pot.is_empty() && pit.salt.iter().chain(&pit.meat).all(|text| !text.contains("pot")), "{pit:?}");
}
