//! Each dish of a meal has a vessel of its own, by its size and its way; where there are too few it is said.

use ergastic_core::kitchen::Kitchen;
use ergastic_core::meal::{MealSheet, SheetRequest, meal_of_plans, meal_sheet, meal_sheet_anywhere};
use ergastic_core::plan::Plan;
use ergastic_core::sheet::TakenAs;
use jiff::Timestamp;
use proptest::prelude::*;
use serde_json::{Value, json};

fn now() -> Timestamp {
    "2027-02-05T08:00:00Z".parse().unwrap()
}

/// A big iron pot, a small one and a tin, two pressure pots; ovens enough for all of them at once.
fn lodge() -> Kitchen {
    serde_json::from_value(json!({
        "pots": [
            {"id": "blue", "name": "Blue iron pot", "measures": {"diameter_cm": 30, "height_cm": 16, "material": "iron"}},
            {"id": "little", "name": "Little iron pot", "measures": {"diameter_cm": 22, "height_cm": 11, "material": "iron"}},
            {"id": "tin", "name": "Roasting tin", "measures": {"width_cm": 30, "length_cm": 40, "height_cm": 8, "material": "steel"}},
        ],
        "ovens": [
            {"id": "oven", "name": "Oven", "measures": {}}, {"id": "range", "name": "Range", "measures": {}},
            {"id": "stove", "name": "Stove", "measures": {}},
        ],
        "pressure_pots": [
            {"id": "first", "name": "First pressure pot", "measures": {"diameter_cm": 22, "height_cm": 16, "watts": 1000}},
            {"id": "second", "name": "Second pressure pot", "measures": {"diameter_cm": 22, "height_cm": 16, "watts": 1000}},
        ],
    }))
    .unwrap()
}

fn dish(name: &str, kilos: f64, method: &str, pot: Option<&str>) -> Plan {
    let mut plan = json!({"name": name, "people": 4, "serve_at": "2027-02-06T17:30:00Z",
        "forecast": {"cut": "chuck", "mass_kg": kilos, "method": method, "members": 16}});
    if let Some(pot) = pot {
        plan["uses"] = json!({ "pot": pot });
    }
    serde_json::from_value(plan).unwrap()
}

fn pots(sheet: &MealSheet) -> Vec<&str> {
    let pots = sheet.things.iter().filter(|thing| thing.taken_as == TakenAs::Pot);
    pots.map(|thing| thing.thing.as_str()).collect()
}

fn too_few(sheet: &MealSheet) -> Vec<&str> {
    let said = sheet.conflicts.iter().filter(|conflict| conflict.text.starts_with("One pot too few"));
    said.map(|conflict| conflict.text.as_str()).collect()
}

#[test]
fn three_dishes_stand_in_three_pots_and_a_fourth_is_one_too_many() {
    let braises = |names: &[&str]| -> Vec<Plan> { names.iter().map(|name| dish(name, 1.0, "braise", None)).collect() };
    let three = meal_of_plans(&braises(&["Ice", "Reed", "Birch"]), &lodge(), now()).unwrap();
    assert_eq!(pots(&three), ["blue", "little", "tin"], "{:?}", three.things);
    assert!(too_few(&three).is_empty());
    let four = meal_of_plans(&braises(&["Ice", "Reed", "Birch", "Moss"]), &lodge(), now()).unwrap();
    let said = too_few(&four);
    assert_eq!(said.len(), 1, "{said:?}");
    assert!(said[0].contains("Ice stands in the Blue iron pot while Moss needs it"), "{said:?}");
    assert_eq!(four.late_min, 0.0, "a pot can be borrowed: dinner doesn't wait for it");
}

#[test]
fn a_pot_that_is_named_is_kept_and_the_others_go_by_size() {
    let named = [dish("Reed", 0.8, "braise", None), dish("Ice", 0.8, "braise", Some("blue"))];
    let sheet = meal_of_plans(&named, &lodge(), now()).unwrap();
    assert_eq!(pots(&sheet), ["little", "blue"], "{:?}", sheet.things);
    assert_eq!(sheet.plans[0].uses.pot.as_deref(), Some("little"), "it is told, and its cook takes it along");
    // Three kilos don't go into the little pot.
    let big = [dish("Ice", 0.8, "braise", None), dish("Reed", 3.0, "braise", None)];
    assert_eq!(pots(&meal_of_plans(&big, &lodge(), now()).unwrap()), ["blue", "tin"]);
    let both = [dish("Ice", 0.8, "braise", Some("blue")), dish("Reed", 0.8, "braise", Some("blue"))];
    assert_eq!(too_few(&meal_of_plans(&both, &lodge(), now()).unwrap()).len(), 1);
}

#[test]
fn each_way_has_its_own_kind_of_vessel() {
    let meal =
        [dish("Ice", 0.8, "pressure", None), dish("Reed", 0.8, "braise", None), dish("Moss", 0.8, "pressure", None)];
    let sheet = meal_of_plans(&meal, &lodge(), now()).unwrap();
    assert_eq!(pots(&sheet), ["first", "blue", "second"], "{:?}", sheet.things);
}

#[test]
fn a_dish_with_a_vessel_of_its_own_takes_none_of_the_kitchen_s() {
    let mut own = dish("Ice", 0.8, "braise", None);
    own.forecast.vessel = serde_json::from_value(json!({"diameter_cm": 24, "height_cm": 12})).unwrap();
    let sheet = meal_of_plans(&[own, dish("Reed", 0.8, "braise", None)], &lodge(), now()).unwrap();
    assert_eq!(pots(&sheet), ["blue"], "{:?}", sheet.things);
}

fn request(dishes: usize, kitchen: Value) -> SheetRequest {
    let forecast = json!({"cut": "chuck", "mass_kg": 1.0, "method": "braise", "members": 16});
    let dishes: Vec<Value> = (0..dishes).map(|i| json!({"name": format!("Dish {i}"), "forecast": forecast})).collect();
    let mut request =
        json!({"zone": "Europe/Helsinki", "serve_at": "2027-02-06T18:30", "now": "2027-02-05T08:00", "dishes": dishes});
    if !kitchen.is_null() {
        request["kitchen"] = kitchen;
    }
    serde_json::from_value(request).unwrap()
}

#[test]
fn pots_that_nobody_counted_are_enough_and_counted_ones_are_what_they_are() {
    let anywhere = meal_sheet_anywhere(&request(5, Value::Null), now()).unwrap();
    assert!(too_few(&anywhere).is_empty(), "{:?}", anywhere.conflicts);
    let counted = meal_sheet_anywhere(&request(3, json!({"hobs": 4})), now()).unwrap();
    assert!(too_few(&counted).is_empty(), "{:?}", counted.conflicts);
    let one = meal_sheet(&request(3, json!({"pots": 1, "ovens": 3})), &lodge(), now()).unwrap();
    assert_eq!(too_few(&one).len(), 2, "{:?}", one.conflicts);
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(16))]
    #[test]
    fn no_pot_is_given_twice_while_another_is_free(
        kilos in prop::collection::vec(0.5..2.5f64, 2..5), named in prop::option::of(0usize..3)
    ) {
        let names = ["Ice", "Reed", "Birch", "Moss"];
        let ids = ["blue", "little", "tin"];
        let plans: Vec<Plan> = (kilos.iter().enumerate())
            .map(|(i, kilos)| dish(names[i], *kilos, "braise", named.filter(|_| i == 1).map(|at| ids[at])))
            .collect();
        let sheet = meal_of_plans(&plans, &lodge(), now()).unwrap();
        let mut given = pots(&sheet);
        given.sort_unstable();
        given.dedup();
        prop_assert_eq!(given.len(), plans.len().min(3), "{:?}", sheet.things);
        prop_assert_eq!(too_few(&sheet).len(), plans.len().saturating_sub(3), "{:?}", sheet.conflicts);
    }
}
