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
