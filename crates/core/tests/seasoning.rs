//! Salt is conserved over surface, meat and liquid, and judged on the plate.

use ergastic_core::kitchen::Kitchen;
use ergastic_core::prepare::{PrepareRequest, Seasoned, Seasoning, prepare_request};
use serde_json::{Value, json};

fn seasoned(request: Value) -> Seasoning {
    let request: PrepareRequest = serde_json::from_value(request).unwrap();
    prepare_request(&request, &Kitchen::default()).unwrap().seasoning.unwrap()
}

fn braise(changed: Value) -> Value {
    let mut request = json!({"cut": "chuck", "mass_kg": 1.4, "size_mm": [70, 120, 160], "method": "braise",
        "heat": {"source": "oven", "set_c": 150}, "level": "three_quarters", "bench": {"base": "water"}});
    for (field, value) in changed.as_object().unwrap() {
        request[field] = value.clone();
    }
    request
}

#[test]
fn corned_meat_in_plain_water_salts_its_pot() {
    let pot = seasoned(
        json!({"cut": "corned_brisket", "mass_kg": 1.75, "pieces": 1, "size_mm": [60, 150, 220], "method": "braise",
        "heat": {"source": "hob", "simmer": "gentle"}, "level": "covered", "salt_pct": 0, "bench": {"base": "water"}}),
    );
    assert!(pot.sauce_g > 16.0 && pot.sauce_g < 40.0 && pot.meat_g_per_kg > 8.0, "{pot:?}");
}

#[test]
fn salt_from_the_pan_goes_to_the_sauce_and_salt_from_the_day_before_stays_longer() {
    let at_the_pan = seasoned(braise(json!({"salt_h": 0})));
    let the_day_before = seasoned(braise(json!({"salt_h": 24})));
    let left_alone = seasoned(braise(json!({"salt_pct": 0})));
    assert!(at_the_pan.sauce_g > the_day_before.sauce_g + 1.0, "{at_the_pan:?} {the_day_before:?}");
    assert!(the_day_before.meat_g_per_kg > at_the_pan.meat_g_per_kg);
    assert!(at_the_pan.sauce_g > 0.5 * 0.94 * 1.4 * 12.5, "most of it: {at_the_pan:?}");
    assert_eq!(the_day_before.verdict, Seasoned::Right, "{the_day_before:?}");
    assert_eq!(left_alone.verdict, Seasoned::Flat);
    assert!(left_alone.sauce_g.abs() < 1e-6);
}

#[test]
fn soy_on_unsalted_meat_is_not_too_salty_and_on_salted_meat_it_may_be() {
    let soy = |ml: f64, salt_pct: f64| {
        seasoned(braise(json!({"salt_pct": salt_pct, "ingredients": [{"what": "soy_sauce", "ml": ml}]})))
    };
    let unsalted = soy(80.0, 0.0);
    assert!(unsalted.verdict != Seasoned::Salty && unsalted.sauce_g_per_kg > unsalted.plate_g_per_kg, "{unsalted:?}");
    let both = soy(160.0, 1.5);
    assert_eq!(both.verdict, Seasoned::Salty, "{both:?}");
    assert!(both.stop_at_l > unsalted.stop_at_l);
}

#[test]
fn unknown_stock_carries_doubt_and_asks_for_a_taste() {
    let with = |base: &str| seasoned(braise(json!({"salt_h": 0, "salt_pct": 1.4, "bench": {"base": base}})));
    let width = |pot: &Seasoning| pot.range_g_per_kg[1] - pot.range_g_per_kg[0];
    let (water, shop) = (with("water"), with("stock"));
    assert!(width(&shop) > 2.0 * width(&water) && water.ask.is_none(), "{shop:?}");
    let rubbed = seasoned(braise(json!({"salt_pct": 0.8, "ingredients": [{"what": "salted_rub", "g": 60}],
        "bench": {"base": "stock"}})));
    assert!(rubbed.ask.is_some_and(|ask| ask.contains("Taste")), "{:?}", rubbed.range_g_per_kg);
}

#[test]
fn fat_and_water_of_what_goes_in_are_in_the_pot_at_the_end() {
    let pot = |ingredients: Value| {
        let request: PrepareRequest = serde_json::from_value(braise(json!({"ingredients": ingredients}))).unwrap();
        let prepared = prepare_request(&request, &Kitchen::default()).unwrap();
        (prepared.forecast.fat_l.unwrap(), prepared.pot.unwrap().left_l)
    };
    let (fat_l, left_l) = pot(json!([]));
    let (bacon_l, _) = pot(json!([{"what": "bacon", "g": 150}, {"what": "butter", "g": 50}]));
    // Fifty grams of butter are forty of fat, and bacon gives more than a quarter of itself.
    assert!((0.075..0.11).contains(&(bacon_l - fat_l)), "{}", bacon_l - fat_l);
    let (_, onions_l) = pot(json!([{"what": "onion", "g": 600}, {"what": "mushroom", "g": 300}]));
    assert!((0.35..0.5).contains(&(onions_l - left_l)), "{}", onions_l - left_l);
}

#[test]
fn the_sugar_flag_is_for_what_tastes_sweet() {
    let flags = |ingredients: Value| {
        let request: PrepareRequest = serde_json::from_value(braise(json!({"ingredients": ingredients}))).unwrap();
        let flags = prepare_request(&request, &Kitchen::default()).unwrap().balance.unwrap().flags;
        flags.iter().any(|flag| flag.starts_with("Sweet"))
    };
    assert!(!flags(
        json!([{"what": "onion", "g": 500}, {"what": "carrot", "g": 250}, {"what": "red_wine", "ml": 375}])
    ));
    assert!(!flags(json!([{"what": "tinned_tomato", "ml": 800}])), "ripe, not sweet");
    assert!(flags(json!([{"what": "honey", "g": 90}])) && flags(json!([{"what": "ketchup", "g": 300}])));
}
