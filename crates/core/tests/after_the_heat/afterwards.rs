//! After the sauce: what is held, cooled, kept and warmed again, what is left over, and what it starts.

use ergastic_core::afterwards::{Afterwards, HoldIn, Left, MadeUp, Wants, WarmedAs};
use ergastic_core::bench::{Ingredient, Larder};
use ergastic_core::clock::plus_minutes;
use ergastic_core::cook::{Event, Happened, view};
use ergastic_core::finish::{CoolIn, sauce};
use ergastic_core::kitchen::{FoodCode, Kitchen, Units};
use ergastic_core::plan::Plan;
use ergastic_core::tender::Check;
use proptest::prelude::*;
use serde_json::{Value, json};
use uuid::Uuid;

use crate::dish::{after, events, opened, plan, under};

fn chuck(eaten_as: &str) -> Plan {
    let forecast = json!({"cut": "chuck", "mass_kg": 2.4, "pieces": 1, "method": "braise", "eaten_as": eaten_as,
        "heat": {"source": "oven", "set_c": 150}, "liquid_l": 1.5, "members": 48});
    plan(forecast, json!({}))
}

/// A cook whose meat was lifted, tender, and what happened after it: each at its minute from the opening.
fn lifted(more: &[(f64, Happened)]) -> Vec<Event> {
    found(Check::Fork, more)
}

fn found(found: Check, more: &[(f64, Happened)]) -> Vec<Event> {
    let first = [
        (60.0, Happened::OnTheHeat {}),
        (300.0, Happened::Check { found, by: None }),
        (302.0, Happened::TaskDone { task: "lift".into() }),
    ];
    events(first.iter().chain(more).cloned())
}

fn told(all: &Afterwards) -> String {
    let mut lines = vec![all.meat.portions.clone(), all.meat.keep_warm.clone()];
    lines.extend(all.meat.slicing.iter().map(|slicing| slicing.words.clone()));
    lines.extend(all.in_time.iter().map(|time| time.words.clone()));
    lines.extend(all.beside.iter().map(|beside| format!("{}: {}. {}", beside.name, beside.what, beside.why)));
    lines.extend(all.hold.iter().map(|hold| format!("{}: {} {}.", hold.name, hold.how, hold.lasts)));
    lines.push(all.party.clone());
    lines.extend(all.reheat.iter().map(|warm| format!("{}, {:.0} min: {}", warm.name, warm.min, warm.how)));
    lines.extend(all.day_after.steps.iter().map(|step| format!("{}. {}", step.words, step.why)));
    lines.push(all.day_after.words.clone());
    lines.extend(all.cold.iter().map(|cold| format!("{}: {} {}", cold.name, cold.how, cold.serve)));
    lines.extend(
        all.left_over.iter().map(|left| format!("{} ({}): {} {}", left.name, left.strength, left.uses, left.keeps)),
    );
    lines.join("\n")
}

#[test]
fn a_chuck_in_slices_is_told_like_this() {
    let events = found(Check::Slice, &[(310.0, Happened::MeatWeighed { kg: 1.7 })]);
    insta::assert_snapshot!(told(&after(&chuck("slice"), &Kitchen::default(), &events, 320.0)));
}

#[test]
fn a_shin_for_the_spoon_in_an_american_kitchen_is_told_like_this() {
    let kitchen = Kitchen { units: Units::Us, ..under(FoodCode::UnitedStates) };
    let forecast = json!({"cut": "shin", "mass_kg": 3.0, "pieces": 6, "method": "stew", "eaten_as": "spoon", "members": 48,
        "heat": {"source": "hob", "simmer": "gentle"}, "liquid_l": 3.0});
    let plan =
        plan(forecast, json!({"target": "gravy", "prepare": {"ingredients": [{"what": "red_wine", "ml": 400}]}}));
    insta::assert_snapshot!(told(&after(&plan, &kitchen, &lifted(&[]), 320.0)));
}

#[test]
fn the_scales_know_better_than_the_forecast() {
    let reckoned = after(&chuck("fork"), &Kitchen::default(), &lifted(&[]), 320.0);
    let weighed =
        after(&chuck("fork"), &Kitchen::default(), &lifted(&[(305.0, Happened::MeatWeighed { kg: 1.2 })]), 320.0);
    assert!(!reckoned.meat.weighed && weighed.meat.weighed);
    assert!((weighed.meat.kg - 1.2).abs() < 1e-9 && (weighed.meat.a_head_kg - 0.2).abs() < 1e-9);
    // Meat for the fork is not sliced, and nothing is pressed that would fall apart.
    assert!(reckoned.meat.slicing.is_none() && reckoned.cold.iter().all(|cold| cold.made_up != MadeUp::Pressed));
}

#[test]
fn each_code_has_its_own_figure_where_it_holds_and_warms_again() {
    let of = |code| after(&chuck("slice"), &under(code), &lifted(&[]), 320.0);
    let (us, usual, scotland) = (of(FoodCode::UnitedStates), of(FoodCode::Usual), of(FoodCode::Scotland));
    let safe = |all: &Afterwards| all.hold.iter().find(|hold| hold.hold_in == HoldIn::Box).unwrap().safe_h.unwrap();
    assert!(safe(&us) > safe(&usual) + 0.5, "{} {}", safe(&us), safe(&usual));
    let warm = |all: &Afterwards| all.reheat.iter().find(|way| way.warmed_as == WarmedAs::Whole).unwrap().min;
    assert!(warm(&scotland) > warm(&usual), "82 °C takes longer than 75 °C");
    assert!(us.cautions.iter().any(|caution| caution.text.contains("57 °C")), "{:?}", us.cautions);
    assert!(scotland.left_over.iter().any(|left| left.keeps.contains("2 days at 8 °C")), "{:?}", scotland.left_over);
}

#[test]
fn a_hold_goes_on_cooking_and_the_warmer_the_sooner_it_is_too_far() {
    let all = after(&chuck("fork"), &Kitchen::default(), &found(Check::Fork, &[]), 320.0);
    let far = |hold_in| all.hold.iter().find(|hold| hold.hold_in == hold_in).unwrap().overcooked_h.unwrap_or(24.0);
    assert!(far(HoldIn::Flame) < far(HoldIn::Oven) && far(HoldIn::Oven) < far(HoldIn::KeepWarm));
    assert!(far(HoldIn::KeepWarm) < far(HoldIn::Bath));
    assert!((2.0..20.0).contains(&far(HoldIn::Oven)), "{}", far(HoldIn::Oven));
}

#[test]
fn meat_left_in_a_long_reduction_is_warned_of() {
    let weak = |litres: f64| {
        let chosen = serde_json::from_value(json!({"taste": "weak", "target": "gravy"})).unwrap();
        let chosen = Happened::SauceChosen { sauce: Box::new(chosen) };
        let events = found(Check::Slice, &[(305.0, Happened::Dipped { litres }), (306.0, chosen)]);
        after(&chuck("slice"), &Kitchen::default(), &events, 320.0).meat.left_in
    };
    assert!(weak(4.0).is_some_and(|said| said.contains("take it out first")));
    assert!(weak(1.2).is_none_or(|said| said.contains("are left before")));
    let thin = after(&chuck("slice"), &Kitchen::default(), &found(Check::Slice, &[]), 320.0);
    assert_eq!(thin.meat.left_in, None);
}

#[test]
fn what_is_left_over_is_less_than_all_and_cools_sooner() {
    let all = after(&chuck("fork"), &Kitchen::default(), &lifted(&[]), 320.0);
    let minutes = |ways: &[ergastic_core::finish::Cooled], cool_in| {
        ways.iter().find(|way| way.cool_in == cool_in).unwrap().to_cold_min
    };
    assert!(minutes(&all.cool_left, CoolIn::Fridge) < minutes(&all.cool_all, CoolIn::Fridge));
    assert!(all.cool_all.iter().any(|way| way.in_time));
    let fat = all.left_over.iter().find(|left| left.what == Left::Fat).expect("a chuck gives fat");
    assert!((0.05..0.5).contains(&fat.kg.unwrap()), "{fat:?}");
}

#[test]
fn what_is_kept_starts_the_next_dish_with_its_own_salt_and_gelatin() {
    let plan = plan(
        json!({"cut": "shin", "mass_kg": 2.4, "method": "stew", "members": 48, "liquid_l": 3.0,
            "heat": {"source": "hob", "simmer": "gentle"}}),
        json!({"prepare": {"ingredients": [{"what": "stock_cube", "g": 25}]}}),
    );
    let all = after(&plan, &Kitchen::default(), &lifted(&[]), 320.0);
    let kept =
        (all.left_over.iter()).find_map(|left| left.starts.clone().filter(|kept| kept.puts.ml.is_some())).unwrap();
    assert!(kept.puts.salt_pct() > 0.3 && kept.puts.gelatin_pct() > 0.3, "{kept:?}");
    let kitchen = Kitchen { kept: vec![kept.clone()], ..Kitchen::default() };
    kitchen.check().unwrap();
    let shelf = kitchen.larder();
    assert_eq!((shelf[0].name.as_str(), shelf[0].kept.as_deref()), (kept.name.as_str(), Some(kept.id.as_str())));
    let puts = shelf[0].puts;
    assert_eq!(puts, kept.puts);

    // In the next pot it is what it is, and not what such things usually are.
    let with = |ingredient: Ingredient| {
        let mut next = chuck("fork");
        next.prepare.ingredients = vec![ingredient];
        next.at_the_bench(&kitchen).unwrap()
    };
    let own = with(Ingredient { ml: Some(1000.0), ..puts });
    let water = with(Ingredient::usual(Larder::Water, Some(1000.0), None));
    let grams = puts.salt_pct() * 10.0 * Larder::KeptBroth.facts().density;
    let more_g = own.prepared.salt.from_ingredients_g - water.prepared.salt.from_ingredients_g;
    assert!((more_g - grams).abs() < 0.05 * grams, "{more_g} g of {grams}");
    let gelatin = |bench: &ergastic_core::prepare::Prepared| bench.forecast.gelatin_g.unwrap();
    assert!(gelatin(&own.prepared) > gelatin(&water.prepared) + 8.0 * puts.gelatin_pct());
}

#[test]
fn the_plate_is_balanced_by_what_the_dish_has_not() {
    let with = |ingredients: Value| {
        let forecast = json!({"cut": "short_rib", "mass_kg": 2.0, "method": "braise", "members": 48, "liquid_l": 1.0});
        after(
            &plan(forecast, json!({"prepare": {"ingredients": ingredients}})),
            &Kitchen::default(),
            &lifted(&[]),
            320.0,
        )
    };
    let acid = |all: &Afterwards| all.beside.iter().find(|beside| beside.wants == Wants::Acid).unwrap().clone();
    let plain = acid(&with(json!([])));
    assert!(!plain.has && plain.why.contains("rich"), "{plain:?}");
    let sharp = acid(&with(json!([{"what": "vinegar", "ml": 120}])));
    assert!(sharp.has, "{sharp:?}");
    let soy = acid(&with(json!([{"what": "soy_sauce", "ml": 60}])));
    assert!(soy.what.contains("cucumber"), "{soy:?}");
}

#[test]
fn short_of_time_each_quicker_way_is_quicker_and_can_be_taken() {
    let weak = Happened::SauceChosen {
        sauce: Box::new(serde_json::from_value(json!({"taste": "weak", "target": "gravy", "share": 0.5})).unwrap()),
    };
    // A thin, fat pot at 18:05, and plates at 18:30.
    let plan = Plan { serve_at: plus_minutes(opened(), 345.0), ..chuck("fork") };
    let dipped = Happened::Dipped { litres: 2.4 };
    let events = lifted(&[(305.0, dipped), (306.0, weak)]);
    let all = after(&plan, &Kitchen::default(), &events, 320.0);
    let time = all.in_time.expect("there is a sauce to make");
    assert!(time.short && time.words.contains("too long"), "{time:?}");
    assert!(time.quicker.len() >= 2, "{time:?}");
    let now = plus_minutes(opened(), 321.0);
    for way in &time.quicker {
        assert!(way.min < time.work_min, "{way:?}");
        let mut events = events.clone();
        let happened = Happened::SauceChosen { sauce: Box::new(way.choices.clone()) };
        events.push(Event { id: Uuid::from_u128(99), at: plus_minutes(opened(), 320.0), happened, device: None });
        let taken = view(&plan, &Kitchen::default(), opened(), &events, &[], now).unwrap();
        assert!((sauce(&taken.sauce).unwrap().left_min - way.min).abs() < 1e-6, "{way:?}");
    }
}

#[test]
fn a_spoonful_on_the_way_corrects_the_salt_and_only_the_last_that_was_tried_counts() {
    let chosen = |taste: &str| Happened::SauceChosen {
        sauce: Box::new(serde_json::from_value(json!({"taste": taste, "target": "gravy"})).unwrap()),
    };
    let salt = |more: &[(f64, Happened)]| {
        let plan = plan(
            json!({"cut": "chuck", "mass_kg": 2.4, "method": "braise", "liquid_l": 1.5, "members": 48}),
            json!({"prepare": {"base": "stock", "salt_pct": 0.4}}),
        );
        let now = plus_minutes(opened(), 320.0);
        view(&plan, &Kitchen::default(), opened(), &lifted(more), &[], now).unwrap().sauce.salt_g.unwrap()
    };
    let as_reckoned = salt(&[]);
    let salty = salt(&[(306.0, chosen("salty"))]);
    assert!(salty > 1.05 * as_reckoned, "{as_reckoned} {salty}");
    assert!(salt(&[(306.0, chosen("flat"))]) < 0.97 * as_reckoned);
    // Tried twice it is no surer, and taken back it is forgotten.
    assert!((salt(&[(306.0, chosen("salty")), (307.0, chosen("salty"))]) - salty).abs() < 1e-9);
    assert!((salt(&[(306.0, chosen("salty")), (307.0, chosen("bitter"))]) - as_reckoned).abs() < 1e-9);
    // After half of it has boiled away the same salt is strong: salty there says less of it.
    let boiled = serde_json::from_value(json!({"kind": "reduce", "to_l": 0.9, "meat_in": false})).unwrap();
    let done = Happened::SauceDone { did: Box::new(boiled), then: Vec::new() };
    let later = salt(&[(306.0, done), (308.0, chosen("salty"))]);
    assert!(later > as_reckoned && later < salty, "{as_reckoned} {later} {salty}");
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(24))]

    #[test]
    fn any_amount_for_any_table_has_its_figures(kg in 0.05..20.0f64, people in 1u32..60, litres in 0.0..8.0f64, eaten in 0usize..5) {
        let eaten_as = ["slice", "fork", "probe", "pull", "spoon"][eaten];
        let plan = Plan { people, ..chuck(eaten_as) };
        let events = lifted(&[(305.0, Happened::Dipped { litres }), (306.0, Happened::MeatWeighed { kg })]);
        let all = after(&plan, &Kitchen::default(), &events, 320.0);
        prop_assert!((all.meat.a_head_kg * f64::from(people) - kg).abs() < 1e-6);
        let over: f64 = all.left_over.iter().filter(|left| left.what == Left::Meat).filter_map(|left| left.kg).sum();
        prop_assert!(over <= kg && over >= 0.0);
        let liquid: f64 = all.left_over.iter().filter_map(|left| left.litres).sum();
        prop_assert!(liquid <= litres + 0.5, "{liquid} of {litres}");
        prop_assert!(all.reheat.iter().all(|way| way.min > 0.0 && way.min < 800.0), "{:?}", all.reheat);
        prop_assert!(all.cold.iter().all(|cold| cold.pieces >= 1 && cold.chill_min > 0.0), "{:?}", all.cold);
        prop_assert!(all.left_over.iter().filter_map(|left| left.starts.as_ref()).all(|kept| kept.until > opened()));
    }
}
