//! A recipe from a file becomes a dish: what is recognised is used, what is supposed is said, and nothing it says is lost.

use ergastic_core::bench::Larder;
use ergastic_core::cuts::Cut;
use ergastic_core::kitchen::Kitchen;
use ergastic_core::matching::{OWN, RecipeRead, read_recipe};
use ergastic_core::plan::Plan;
use ergastic_core::ways::{Method, Settings};
use jiff::Timestamp;
use proptest::prelude::*;
use serde_json::{Value, json};

fn now() -> Timestamp {
    "2027-02-05T08:00:00Z".parse().unwrap()
}

fn read(document: &Value) -> RecipeRead {
    read_recipe(document, &Kitchen::default(), now()).unwrap()
}

fn stew() -> Value {
    json!({
        "@context": "https://schema.org", "@type": "Recipe", "name": "Ridge stew", "recipeYield": "Serves 6",
        "author": {"@type": "Person", "name": "The galley"}, "cookTime": "PT3H",
        "recipeIngredient": ["1.8 kg beef shin, in 5 cm pieces", "300 g onions, sliced", "500 ml red wine", "a bunch of thyme"],
        "recipeInstructions": [
            {"@type": "HowToStep", "text": "Brown the meat well on all sides."},
            {"@type": "HowToSection", "name": "The long part", "itemListElement": [
                {"@type": "HowToStep", "text": "Cover and braise for 3 hours in a 150 °C oven."},
                {"@type": "HowToStep", "text": "Serve with bread."}]}],
    })
}

#[test]
fn cut_weight_table_time_and_heat_are_recognised_and_the_rest_is_kept() {
    let RecipeRead { plan, doubts } = read(&stew());
    assert_eq!((plan.name.as_str(), plan.people), ("Ridge stew", 6));
    assert_eq!((plan.forecast.cut, plan.forecast.mass_kg), (Some(Cut::Shin), Some(1.8)));
    let stages = plan.forecast.stages.clone().unwrap();
    assert_eq!(stages[0].method, Some(Method::Braise));
    assert_eq!(stages[0].heat.as_ref().unwrap().set_c, Some(150.0));
    assert_eq!(stages[0].until.as_ref().unwrap().min, Some(180.0));
    let has = |what: Larder| plan.prepare.ingredients.iter().find(|thing| thing.what == what).unwrap();
    assert_eq!((has(Larder::Onion).g, has(Larder::RedWine).ml), (Some(300.0), Some(500.0)));
    for said in ["a bunch of thyme", "Serve with bread.", "The galley", "PT3H", "Brown the meat", "Cover and braise"] {
        assert!(plan.notes.contains(said), "{said} in {}", plan.notes);
    }
    assert!(doubts.is_empty(), "{doubts:?}");
    plan.check_kept().unwrap();
    plan.resolve(&Kitchen::default()).unwrap();
}

#[test]
fn what_it_does_not_say_is_supposed_and_said() {
    let bare = json!([{"@graph": [{"@type": ["Thing", "https://schema.org/Recipe"], "name": "Something slow", "recipeInstructions": "Cook it until done."}]}]);
    let RecipeRead { plan, doubts } = read(&bare);
    assert_eq!((plan.forecast.cut, plan.people, plan.forecast.method), (Some(Cut::Chuck), 4, Some(Method::Braise)));
    assert_eq!(doubts.len(), 4, "{doubts:?}");
    assert!(doubts.iter().all(|doubt| plan.notes.contains(&format!("? {doubt}"))), "{}", plan.notes);
    let pressed = json!({"@type": "Recipe", "recipeYield": 4, "recipeIngredient": "2 lb stew meat",
        "recipeInstructions": "Close the lid.\nPressure cook on high for 35 minutes.\nLet it release by itself."});
    let plan = read(&pressed).plan;
    assert_eq!(plan.forecast.cut, Some(Cut::StewingMix));
    assert!((plan.forecast.mass_kg.unwrap() - 0.907).abs() < 0.001);
    let stage = &plan.forecast.stages.unwrap()[0];
    assert_eq!((stage.method, stage.heat.as_ref().unwrap().level), (Some(Method::Pressure), Some(Settings::High)));
}

#[test]
fn a_dish_of_ours_comes_back_whole() {
    let plan: Plan = serde_json::from_value(json!({
        "name": "Lake-ice shin", "people": 8, "serve_at": "2027-01-06T16:30:00Z", "notes": "as last winter",
        "forecast": {"cut": "shin", "mass_kg": 2.4, "method": "braise"}, "prepare": {"salt_h": 12.0, "strings": 3},
        "meal": {"id": "x", "name": "y"}, "pins": [{"task": "sear_1", "min": 20.0}],
    }))
    .unwrap();
    let back = read(&json!({"@type": "Recipe", "name": "whatever it says", OWN: plan}));
    assert!(
        back.doubts.is_empty() && back.plan.serve_at > now() && back.plan.meal.is_none() && back.plan.pins.is_empty()
    );
    let same = Plan { serve_at: plan.serve_at, meal: plan.meal.clone(), pins: plan.pins.clone(), ..back.plan };
    assert_eq!(same, plan);
}

#[test]
fn what_is_no_recipe_is_refused_by_name() {
    for nothing in
        [json!(null), json!("stew"), json!({"name": "stew"}), json!([{"@type": "Article"}]), json!({"@graph": 3})]
    {
        assert_eq!(read_recipe(&nothing, &Kitchen::default(), now()).unwrap_err().field, "recipe");
    }
}

fn anything() -> impl Strategy<Value = Value> {
    let leaf = prop_oneof![
        Just(Value::Null),
        any::<f64>().prop_map(|number| json!(number)),
        "[ -~éüß½°\n]{0,40}".prop_map(Value::String),
        Just(json!("2 kg shin")),
        Just(json!("90 hours at 400 °C"))
    ];
    leaf.prop_recursive(3, 24, 6, |inner| {
        prop_oneof![
            prop::collection::vec(inner.clone(), 0..6).prop_map(Value::Array),
            prop::collection::btree_map(
                prop::sample::select(vec!["text", "name", "itemListElement", "@type"]),
                inner,
                0..4
            )
            .prop_map(|fields| json!(fields)),
        ]
    })
}

proptest! {
    #![proptest_config(ProptestConfig { cases: 128, failure_persistence: None, ..ProptestConfig::default() })]

    #[test]
    fn whatever_stands_in_it_a_dish_comes_out_that_can_be_kept_and_cooked(yields in anything(), lines in anything(), steps in anything(), name in anything()) {
        let document = json!({"@type": "Recipe", "name": name, "recipeYield": yields, "recipeIngredient": lines, "recipeInstructions": steps});
        let RecipeRead { plan, .. } = read(&document);
        prop_assert!(plan.check_kept().is_ok(), "{:?}", plan.check_kept());
        prop_assert!(plan.resolve(&Kitchen::default()).is_ok(), "{document}");
        prop_assert!(!plan.name.trim().is_empty());
    }
}
