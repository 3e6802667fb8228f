//! One dish on the bench: what a demanding cook reads off it, and what may never happen to a figure.

use ergastic_core::bench::{Addition, Ingredient, Larder, Later, Level, Prepare, Sear, Trim};
use ergastic_core::cuts::Cut;
use ergastic_core::forecast::{ForecastRequest, forecast};
use ergastic_core::heat::pot::{Lid, PotMeasures};
use ergastic_core::kitchen::Kitchen;
use ergastic_core::plan::Plan;
use ergastic_core::prepare::{PrepareRequest, Prepared, prepare_request};
use ergastic_core::ways::Method;
use proptest::prelude::*;
use serde_json::{Value, json};

fn ask(request: Value) -> Result<Prepared, ergastic_core::Error> {
    let request: PrepareRequest = serde_json::from_value(request).unwrap();
    prepare_request(&request, &Kitchen::default())
}

/// Short ribs in a round iron pot, with some fields changed.
fn ribs(more: Value) -> Value {
    let mut request = json!({
        "cut": "short_rib", "mass_kg": 2.4, "pieces": 8, "size_mm": [50, 60, 100], "surface": "patted", "sear": "hard",
        "pan": {"diameter_cm": 28, "mass_kg": 2.8, "material": "iron"}, "hob": {"watts": 1800, "kind": "gas"},
        "method": "braise", "heat": {"source": "hob", "simmer": "gentle"},
        "vessel": {"diameter_cm": 26, "height_cm": 13, "lid": "loose"}, "level": "third", "hours": 3,
        "salt_pct": 1.25, "salt_h": 12, "crystal": "fine", "ingredients": [{"what": "soy_sauce", "ml": 60}],
    });
    for (field, value) in more.as_object().unwrap() {
        request[field] = value.clone();
    }
    request
}

fn warned(prepared: &Prepared, id: &str) -> bool {
    prepared.warnings.iter().any(|warning| warning.id == id)
}

#[test]
fn the_bench_reads_as_a_cook_would_want_it() {
    let dish = ask(ribs(json!({
        "people": 6, "price_per_kg": 13.8,
        "ingredients": [{"what": "red_wine", "ml": 300}, {"what": "soy_sauce", "ml": 60}, {"what": "onion", "g": 300},
                        {"what": "garlic", "g": 15}, {"what": "whole_spice", "g": 5}],
        "bench": {"strings": 4, "sinew_in_pot": true, "later": [{"what": "potato", "g": 900}, {"what": "dumplings", "g": 500}]},
    })))
    .unwrap();
    let pot = dish.pot.as_ref().unwrap();
    let marks = pot.marks_mm;
    let mut told = format!(
        "{} batches of {}, {:.0} min, pan never under {:.0} °C\n",
        dish.sear.batches,
        dish.sear.per_batch,
        dish.sear.min,
        dish.sear.pan_low_c.unwrap()
    );
    told += &format!(
        "{:.2} L, {:.0} mm deep under {:.0} mm of meat; half {:.0}, stop {:.0}, catches {:.0} mm; {:.2} L lost\n",
        pot.liquid_l, pot.level_mm, pot.meat_mm, marks.half, marks.stop, marks.catch, pot.loss_l
    );
    told += &format!(
        "{:.0} g of salt, {:.1} spoons, and {:.0} g from the rest\n",
        dish.salt.g, dish.salt.tsp, dish.salt.from_ingredients_g
    );
    for thing in &dish.later {
        told += &format!("{} in {:.0} min before the end\n", thing.name, thing.before_end_min);
    }
    for thing in &dish.take_out {
        told += &format!("out: {}\n", thing.what);
    }
    for thing in &dish.shopping {
        let amount = thing.g.map(|g| format!("{g:.0} g")).or(thing.ml.map(|ml| format!("{ml:.0} mL")));
        told += &format!("buy {}: {}\n", thing.name, amount.unwrap_or_else(|| format!("{}", thing.count.unwrap())));
    }
    for warning in &dish.warnings {
        told += &format!("mind: {}\n", warning.text);
    }
    insta::assert_snapshot!(told);
}

#[test]
fn each_level_is_deeper_and_is_reached_by_what_is_poured() {
    let mut last = -1.0;
    for (level, share) in
        [("own", 0.0), ("third", 1.0 / 3.0), ("three_quarters", 0.75), ("covered", 1.0), ("soup", 1.5)]
    {
        let pot = ask(ribs(json!({"level": level, "ingredients": []}))).unwrap().pot.unwrap();
        assert!((pot.level_mm / pot.meat_mm - share).abs() < 0.01, "{level}: {pot:?}");
        assert!(pot.liquid_l > last);
        last = pot.liquid_l;
        // The same litres given outright stand as high.
        let poured =
            ask(ribs(json!({"level": "own", "liquid_l": pot.liquid_l, "ingredients": []}))).unwrap().pot.unwrap();
        assert!((poured.level_mm - pot.level_mm).abs() < 0.5, "{level}");
    }
    assert!(warned(&ask(ribs(json!({"level": "own"}))).unwrap(), "own_juice"));
}

#[test]
fn every_grain_of_salt_is_counted_once() {
    let plain = ask(ribs(json!({"ingredients": []}))).unwrap();
    let soy = ask(ribs(json!({}))).unwrap();
    // Sixty millilitres of soy sauce carry some ten grams; the stock they stand in for a pinch.
    assert!((soy.salt.from_ingredients_g - 11.0).abs() < 1.0, "{}", soy.salt.from_ingredients_g);
    assert!(soy.salt.liquid_g_per_kg > plain.salt.liquid_g_per_kg);
    assert!((plain.salt.g - 2400.0 * 0.94 * 0.0125).abs() < 1e-6 && (plain.salt.tsp - plain.salt.g / 6.0).abs() < 1e-9);
    let flakes = ask(ribs(json!({"crystal": "flake"}))).unwrap();
    assert!((flakes.salt.tsp - flakes.salt.g / 2.8).abs() < 1e-9);
    let sum: f64 = soy.salt.sources.iter().map(|source| source.g).sum();
    assert!((sum - soy.salt.in_meat_g - soy.salt.from_ingredients_g).abs() < 1e-9);
}

#[test]
fn corned_meat_is_not_salted_again_and_a_soak_draws_its_cure_out() {
    let corned = json!({"cut": "corned_brisket", "mass_kg": 2.0, "method": "braise", "heat": {"source": "hob", "simmer": "gentle"}});
    let plain = ask(corned.clone()).unwrap();
    assert_eq!(plain.salt.g, 0.0);
    assert!(warned(&plain, "corned_salt") && !warned(&plain, "salted_again"));
    let mut soaked = corned.clone();
    soaked["bench"] = json!({"soak": {"changes": 3, "water_l": 4, "hours_each": 8}});
    let soaked = ask(soaked).unwrap();
    assert!(soaked.salt.in_meat_g < 0.6 * plain.salt.in_meat_g && !warned(&soaked, "corned_salt"));
    let mut rubbed = corned;
    rubbed["ingredients"] = json!([{"what": "salted_rub", "g": 30}]);
    assert!(warned(&ask(rubbed).unwrap(), "salted_again"));
    assert!(warned(&ask(ribs(json!({"ingredients": [{"what": "rub", "g": 40}]}))).unwrap(), "salted_again"));
}

#[test]
fn a_vessel_that_is_too_small_is_said_and_not_refused() {
    let small = ask(ribs(json!({"vessel": {"diameter_cm": 18, "height_cm": 8}, "level": "covered"}))).unwrap();
    assert!(!small.pot.as_ref().unwrap().fits && warned(&small, "too_small"));
    assert!((small.pot.unwrap().height_mm - 80.0).abs() < 1e-9, "its own height is shown");
    assert!(ask(ribs(json!({}))).unwrap().pot.unwrap().fits);
    let tin = ask(ribs(json!({"vessel": {"width_cm": 25, "length_cm": 35, "height_cm": 7}}))).unwrap();
    assert!(tin.pot.unwrap().fits);
}

#[test]
fn a_pressure_pot_has_its_two_lines_and_minds_what_is_thick() {
    let pressed = |more: Value| {
        let mut request = json!({"cut": "chuck", "mass_kg": 1.4, "method": "pressure", "heat": {"level": "high"}});
        for (field, value) in more.as_object().unwrap() {
            request[field] = value.clone();
        }
        ask(request).unwrap()
    };
    let usual = pressed(json!({}));
    let pot = usual.pot.as_ref().unwrap();
    let [least, most] = pot.pressure_mm.unwrap();
    assert!(least < pot.level_mm && pot.level_mm < most && pot.top_ups.is_empty());
    assert!(warned(&pressed(json!({"liquid_l": 0.15})), "pressure_little"));
    assert!(warned(&pressed(json!({"ingredients": [{"what": "tomato_paste", "g": 100}]})), "scorch_under_pressure"));
    // Its own insert is small and weak: more batches than in the pan.
    let insert = pressed(json!({"pieces": 16, "size_mm": [40, 60, 60], "bench": {"sear_in": "pot"}}));
    let pan = pressed(json!({"pieces": 16, "size_mm": [40, 60, 60]}));
    assert!(insert.sear.batches > pan.sear.batches, "{} {}", insert.sear.batches, pan.sear.batches);
}

#[test]
fn an_open_pot_is_topped_up_and_a_tight_one_is_not() {
    let open = ask(ribs(
        json!({"vessel": {"diameter_cm": 26, "height_cm": 13, "lid": "none"}, "level": "covered", "hours": 4}),
    ))
    .unwrap();
    let tight = ask(ribs(
        json!({"vessel": {"diameter_cm": 26, "height_cm": 13, "lid": "tight"}, "level": "covered", "hours": 4}),
    ))
    .unwrap();
    let (open, tight) = (open.pot.unwrap(), tight.pot.unwrap());
    assert!(open.loss_l > 2.0 * tight.loss_l && tight.top_ups.is_empty());
    assert!(!open.top_ups.is_empty() && open.top_ups.windows(2).all(|pair| pair[0].at_min < pair[1].at_min));
    let poured: f64 = open.top_ups.iter().map(|top| top.l).sum();
    assert!(poured < open.loss_l + 0.3, "{poured} for {} lost", open.loss_l);
}

#[test]
fn cautions_bind_only_where_they_bind() {
    let marinated = |hours: f64| {
        ask(ribs(json!({"bench": {"marinade": {"of": "wine", "hours": hours, "ml": 500, "kept": true}}}))).unwrap()
    };
    assert!(
        !warned(&marinated(12.0), "no_more")
            && warned(&marinated(36.0), "no_more")
            && warned(&marinated(60.0), "mealy")
    );
    let pierced = |method: Value| {
        let mut request = json!({"cut": "shin", "mass_kg": 1.0, "bench": {"pierced": true}});
        for (field, value) in method.as_object().unwrap() {
            request[field] = value.clone();
        }
        ask(request).unwrap()
    };
    assert!(!warned(&pierced(json!({"method": "braise"})), "pierced"));
    assert!(warned(&pierced(json!({"method": "water_bath", "heat": {"bath_c": 65}})), "pierced"));
    let beans = json!({"later": [{"what": "soaked_beans", "g": 300}]});
    let slow = ask(json!({"cut": "chuck", "mass_kg": 1.4, "method": "slow_cooker", "bench": beans})).unwrap();
    assert!(slow.warnings.iter().any(|warning| warning.id == "dried_beans" && warning.text.contains("slow cooker")));
    assert!(!warned(&ask(ribs(json!({}))).unwrap(), "dried_beans"));
}

#[test]
fn coals_are_counted_turned_and_renewed() {
    let ring = |more: Value| {
        let mut heat = json!({"source": "coals", "under": 12, "over": 6});
        for (field, value) in more.as_object().unwrap() {
            heat[field] = value.clone();
        }
        ask(ribs(json!({"heat": heat}))).unwrap().coals.unwrap()
    };
    let calm = ring(json!({}));
    assert_eq!((calm.under, calm.over, calm.turn_every_min), (12, 6, 15.0));
    assert!(calm.fresh_at_min.first().is_some_and(|at| (30.0..45.0).contains(at)) && calm.light_after_min < 30.0);
    let storm = ring(json!({"wind": "windy", "air_c": -15}));
    assert!(storm.like_c < calm.like_c && storm.for_a_simmer[0] > calm.for_a_simmer[0]);
    assert!(ask(ribs(json!({}))).unwrap().coals.is_none());
}

#[test]
fn the_dial_is_shown_with_what_it_costs() {
    let dish = ask(ribs(json!({}))).unwrap();
    let words: Vec<_> = dish.dial.iter().map(|setting| setting.words.as_str()).collect();
    assert_eq!(words, ["lazy", "gentle", "brisk", "boil"]);
    assert_eq!(dish.dial.iter().filter(|setting| setting.chosen).count(), 1);
    assert!(dish.dial.windows(2).all(|pair| pair[0].ready_min > pair[1].ready_min && pair[0].loss_l < pair[1].loss_l));
    assert!(dish.dial[3].breaks_up && dish.dial[3].window_min < dish.dial[1].window_min);
    // A setting between the usual ones stands at its place.
    let oven = ask(ribs(json!({"heat": {"source": "oven", "set_c": 140}}))).unwrap();
    let at = oven.dial.iter().position(|setting| setting.chosen).unwrap();
    assert_eq!((oven.dial[at].words.as_str(), oven.dial[at - 1].words.as_str()), ("140 °C", "120 °C"));
}

#[test]
fn the_bench_reaches_the_forecast_and_a_kept_plan_is_not_done_twice() {
    let plan = |prepare: Value| -> Plan {
        serde_json::from_value(json!({
            "name": "Shin", "serve_at": "2027-02-06T16:30:00Z", "prepare": prepare,
            "forecast": {"cut": "shin", "mass_kg": 2.4, "method": "braise", "members": 1},
        }))
        .unwrap()
    };
    let kitchen = Kitchen::default();
    let cooked = |plan: &Plan| forecast(&plan.request(&kitchen)).unwrap();
    let plain = cooked(&plan(json!({})));
    let sinew = plan(json!({"sinew_in_pot": true, "trim": "close"}));
    assert!(cooked(&sinew).gelatin_g > plain.gelatin_g);
    assert!(cooked(&plan(json!({"trim": "none"}))).yield_kg > plain.yield_kg);
    assert!(cooked(&plan(json!({"temper_min": 120}))).ready_min.p50 <= plain.ready_min.p50);
    assert!(cooked(&plan(json!({"ingredients": [{"what": "soy_sauce", "ml": 100}]}))).salt_g > plain.salt_g);
    assert!(cooked(&plan(json!({"level": "soup"}))).liquid_l > plain.liquid_l);
    let frozen = sinew.frozen(&kitchen);
    assert_eq!(frozen.request(&kitchen), sinew.request(&kitchen), "what a cook keeps is the same dish");
}

#[test]
fn what_can_not_be_is_named() {
    for (request, field) in [
        (ribs(json!({"mass_kg": -1})), "mass_kg"),
        (ribs(json!({"salt_pct": 9})), "salt_pct"),
        (ribs(json!({"hours": 0})), "hours"),
        (ribs(json!({"people": 0})), "people"),
        (ribs(json!({"pan": {"diameter_cm": 3}})), "pan.diameter_cm"),
        (ribs(json!({"hob": {"watts": 1}})), "hob.watts"),
        (ribs(json!({"vessel": {"width_cm": 20}})), "vessel.length_cm"),
        (ribs(json!({"ingredients": [{"what": "soy_sauce"}]})), "ingredients[0].ml"),
        (ribs(json!({"ingredients": [{"what": "soy_sauce", "ml": -5}]})), "ingredients[0].ml"),
        (ribs(json!({"bench": {"later": [{"what": "peas", "g": 0}]}})), "bench.later[0].g"),
        (ribs(json!({"bench": {"base": "onion"}})), "bench.base"),
        (json!({"cut": "fillet", "mass_kg": 1.0}), "cut"),
        (json!({"mass_kg": 1.0}), "cut"),
        (json!({"cut": "shin"}), "mass_kg"),
    ] {
        let error = ask(request.clone()).unwrap_err();
        assert_eq!(error.field, field, "{request}: {error}");
    }
}

fn any_bench() -> impl Strategy<Value = Prepare> {
    let level = prop::option::of(prop::sample::select(vec![Level::Own, Level::Third, Level::Covered, Level::Soup]));
    let things = prop::collection::vec(
        (prop::sample::select(vec![Larder::RedWine, Larder::SoySauce, Larder::Onion, Larder::Stock]), 5.0..500.0f64),
        0..4,
    );
    (0.0..2.5f64, 0.0..72.0f64, level, things, prop::bool::ANY, prop::option::of(1u32..40)).prop_map(
        |(salt_pct, salt_h, level, things, clear, per_batch)| Prepare {
            salt_pct,
            salt_h,
            level,
            per_batch,
            trim: if clear { Trim::Close } else { Trim::Usual },
            sear: if clear { Sear::Light } else { Sear::Hard },
            ingredients: things.into_iter().map(|(what, ml)| Ingredient::usual(what, Some(ml), None)).collect(),
            later: vec![Later { what: Addition::Carrot, g: 300.0 }],
            ..Prepare::default()
        },
    )
}

fn with_burner(watts: f64) -> Kitchen {
    let mut kitchen = Kitchen::default();
    kitchen.burners[0].measures.watts = watts;
    kitchen
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(48))]
    #[test]
    fn nothing_is_lost_between_board_and_lid(bench in any_bench(), cut in 0usize..24, kg in 0.3..5.0f64, across in 18.0..40.0f64) {
        let cut = Cut::all()[cut].cut;
        let request = PrepareRequest {
            cut: Some(cut),
            mass_kg: Some(kg),
            method: Some(Method::Braise),
            vessel: Some(PotMeasures { diameter_cm: Some(across), height_cm: Some(14.0), lid: Some(Lid::Loose), ..PotMeasures::default() }),
            bench: Some(bench.clone()),
            ..PrepareRequest::default()
        };
        let dish = prepare_request(&request, &with_burner(1500.0)).unwrap();
        let trimmed = &dish.trimmed;
        prop_assert!((trimmed.trimmed_kg + trimmed.fat_kg + trimmed.sinew_kg - kg).abs() < 1e-9);
        let pot = dish.pot.unwrap();
        let stays: f64 = pot.poured.iter().map(|thing| thing.stays_l).sum();
        let given: f64 = pot.poured.iter().filter(|thing| thing.what != Larder::UnsaltedStock).map(|thing| thing.stays_l).sum();
        prop_assert!((stays - f64::max(given, pot.liquid_l)).abs() < 0.006, "{stays} {given} {}", pot.liquid_l);
        let marks = pot.marks_mm;
        prop_assert!(marks.half <= marks.now + 1e-9 && marks.catch <= 5.0 && marks.stop >= marks.catch - 1e-9);
        prop_assert!(pot.loss_l >= 0.0 && pot.left_l >= 0.0);
        let sear = dish.sear;
        prop_assert!(sear.per_batch * sear.batches >= trimmed.pieces && sear.per_batch * (sear.batches - 1) < trimmed.pieces);
        prop_assert!(sear.stews == (sear.pan_low_c.unwrap() < 150.0) || sear.pan_low_c.unwrap() == 150.0);
        let [low, high] = dish.salt.depth_mm;
        prop_assert!(low <= high && high <= dish.salt.to_middle_mm + 1e-9);
        // Taking the trim one step further never makes the plates heavier.
        prop_assert!(dish.portions * 0.165 <= kg);
        let _ = forecast(&ForecastRequest { members: Some(1), ..bench.in_the_pot(&ForecastRequest { cut: Some(cut), mass_kg: Some(kg), method: Some(Method::Braise), ..Default::default() }) }).unwrap();
    }
}

#[test]
fn what_goes_into_pit_bag_or_fat_is_bare_unless_asked() {
    let bare = ask(json!({"cut": "cheek", "mass_kg": 1.3, "method": "confit", "heat": {"fat_c": 90}})).unwrap();
    assert!(!bare.sear.happens() && bare.pot.is_none());
    assert!(bare.shopping.iter().any(|item| item.name.contains("fat")));
    let seared =
        ask(json!({"cut": "cheek", "mass_kg": 1.3, "method": "confit", "heat": {"fat_c": 90}, "sear": "light"}));
    assert!(seared.unwrap().sear.happens());
    let pit = ask(
        json!({"cut": "brisket", "mass_kg": 5.5, "method": "smoke", "heat": {"pit_c": 110}, "bench": {"wood": "alder"}}),
    );
    let pit = pit.unwrap();
    assert!(pit.dial.len() >= 4);
}

#[test]
fn every_ways_dial_is_hotter_sooner_and_has_one_setting_chosen() {
    // Under pressure the dial says how hot this kitchen's boil makes it.
    let inside = |altitude_m: f64| {
        let request = json!({"cut": "chuck", "mass_kg": 1.4, "method": "pressure", "heat": {"level": "high"}, "altitude_m": altitude_m});
        ask(request).unwrap().dial[1].looks.clone()
    };
    assert_eq!((inside(0.0).as_str(), inside(1600.0).as_str()), ("115 °C inside", "112 °C inside"));
    for (way, least) in [
        (json!({"cut": "chuck", "mass_kg": 1.4, "method": "braise", "heat": {"source": "oven", "set_c": 150}}), 5),
        (json!({"cut": "chuck", "mass_kg": 1.4, "method": "stew", "heat": {"source": "hob", "simmer": "brisk"}}), 4),
        (
            json!({"cut": "chuck", "mass_kg": 1.4, "method": "braise", "heat": {"source": "coals", "under": 16, "over": 8}}),
            5,
        ),
        (json!({"cut": "chuck", "mass_kg": 1.4, "method": "pressure", "heat": {"level": "low"}}), 2),
        (json!({"cut": "plate_rib", "mass_kg": 2.6, "method": "smoke", "heat": {"pit_c": 128}}), 5),
        (json!({"cut": "cheek", "mass_kg": 1.3, "method": "confit", "heat": {"fat_c": 90}}), 5),
        (json!({"cut": "shin", "mass_kg": 1.2, "method": "water_bath", "heat": {"bath_c": 82}}), 4),
        (json!({"cut": "chuck", "mass_kg": 1.4, "method": "slow_cooker", "heat": {"setting": "high"}}), 2),
    ] {
        let dish = ask(way.clone()).unwrap();
        assert!(dish.dial.len() >= least, "{way}: {:?}", dish.dial);
        assert_eq!(dish.dial.iter().filter(|setting| setting.chosen).count(), 1, "{way}");
        let minutes: Vec<_> = dish.dial.iter().filter_map(|setting| setting.ready_min).collect();
        assert!(minutes.windows(2).all(|pair| pair[1] <= pair[0] + 1.0), "{way}: {minutes:?}");
        // The chosen setting is the dish itself.
        let chosen = dish.dial.iter().find(|setting| setting.chosen).unwrap();
        let apart = chosen.ready_min.unwrap() - dish.forecast.ready_min.p50.unwrap();
        assert!(apart.abs() < 0.08 * chosen.ready_min.unwrap(), "{way}: {apart} min apart");
    }
}

#[test]
fn two_pans_a_lid_and_a_sugary_coat_change_the_searing_as_they_should() {
    let sear = |bench: Value| ask(ribs(json!({"bench": bench}))).unwrap().sear;
    let one = sear(json!({}));
    let two = sear(json!({"sear_in": "two_pans"}));
    assert_eq!((one.pans, two.pans, two.batches), (1, 2, 1));
    assert!(two.min < one.min && two.pan_low_c >= one.pan_low_c);
    let lid = sear(json!({"sear_in": "pot_and_lid"}));
    assert!(lid.pans == 2 && (lid.floor_mm - 260.0).abs() < 1.0, "the pot's own floor");
    let sugared = sear(json!({"sugared": true}));
    assert!(sugared.start_c <= 180.0 && sugared.side_min > one.side_min);
    let by_hand = sear(json!({"per_batch": 3}));
    assert_eq!((by_hand.batches, by_hand.per_batch, by_hand.most), (3, 3, one.most));
    assert_eq!(by_hand.batch_start_c.len(), 3);
    let frozen = ask(ribs(json!({"start_c": -18}))).unwrap();
    assert!(!frozen.sear.happens() && warned(&frozen, "frozen_start"));
    // Half the burner, a cooler pan.
    let gas = ask(ribs(json!({"hob": {"watts": 900, "kind": "gas"}, "bench": {"per_batch": 6}}))).unwrap().sear;
    assert!(gas.pan_low_c < sear(json!({"per_batch": 6})).pan_low_c);
}

#[test]
fn what_is_poured_says_what_it_tastes_of_and_carries() {
    let poured =
        |things: Value| ask(ribs(json!({"level": "covered", "ingredients": things}))).unwrap().balance.unwrap();
    let wine = poured(json!([{"what": "red_wine", "ml": 500}]));
    assert!((wine.alcohol_g - 500.0 * 0.13 * 0.789).abs() < 0.1 && wine.alcohol_left <= 0.05 + 1e-9);
    assert!(wine.allergens.iter().any(|found| found.allergen.key() == "sulphites" && found.from == ["red wine"]));
    let soy = poured(json!([{"what": "soy_sauce", "ml": 60}]));
    let words: Vec<_> = soy.allergens.iter().map(|found| found.allergen.key()).collect();
    assert!(words.contains(&"soy") && words.contains(&"wheat"), "{words:?}");
    let swap = |balance: &ergastic_core::prepare::Balance, what: Larder| {
        balance.swaps.iter().find(|swap| swap.what == what).cloned().unwrap()
    };
    let fish = swap(&poured(json!([{"what": "fish_sauce", "ml": 30}])), Larder::FishSauce);
    assert!(fish.without.iter().any(|allergen| allergen.key() == "fish") && fish.words.contains("soy sauce"));
    assert!(poured(json!([{"what": "honey", "g": 200}])).flags.iter().any(|flag| flag.contains("Sweet")));
    assert!(poured(json!([{"what": "vinegar", "ml": 250}])).flags.iter().any(|flag| flag.contains("Sharp")));
    assert!(poured(json!([{"what": "stout", "ml": 600}])).flags.iter().any(|flag| flag.contains("bitter")));
    assert!(poured(json!([])).flags.is_empty(), "plain stock minds nothing");
}

#[test]
fn the_clear_route_browns_nothing_and_a_kept_marinade_is_in_the_pot() {
    let clear = ask(ribs(
        json!({"sear": "none", "bench": {"clear": true, "base": "water"}, "ingredients": [{"what": "onion", "g": 200}]}),
    ));
    let clear = clear.unwrap();
    assert!(!clear.sear.happens() && clear.take_out.iter().any(|thing| thing.what.contains("onion")));
    let marinade = |kept: bool| {
        ask(ribs(json!({"bench": {"marinade": {"of": "wine", "hours": 12, "ml": 400, "kept": kept}}}))).unwrap()
    };
    let poured = |dish: &Prepared| dish.pot.as_ref().unwrap().poured.iter().any(|thing| thing.what == Larder::RedWine);
    assert!(poured(&marinade(true)) && !poured(&marinade(false)));
    for kept in [true, false] {
        let bought = marinade(kept).shopping.iter().filter(|item| item.name == "red wine").count();
        assert_eq!(bought, 1, "bought once, kept or not");
    }
}

#[test]
fn a_chain_and_a_mixed_pot_lie_on_the_bench_like_any_dish() {
    let crust = ask(json!({"cut": "chuck", "mass_kg": 1.4, "method": null, "bench": {"level": "third"}}));
    assert!(crust.is_ok(), "no way named is a braise");
    let plan: Plan = serde_json::from_value(json!({
        "name": "Crusted", "serve_at": "2027-02-06T16:30:00Z", "forecast": {"cut": "chuck", "mass_kg": 1.4, "members": 64, "stages": [
            {"method": "braise", "heat": {"source": "oven", "set_c": 150}, "until": {"min": 150}}, {"lid": "none"}]},
    }))
    .unwrap();
    let dish = plan.at_the_bench(&Kitchen::default()).unwrap().prepared;
    assert!(dish.dial.is_empty() && dish.pot.is_some() && dish.forecast.stages.len() == 2);
    let mixed = ask(
        json!({"parts": [{"cut": "shin", "mass_kg": 1.0}, {"cut": "chuck", "mass_kg": 1.2}, {"cut": "oxtail", "mass_kg": 0.8}], "level": "covered"}),
    );
    let mixed = mixed.unwrap();
    assert!(
        (mixed.trimmed.raw_kg - 3.0).abs() < 1e-9
            && mixed.shopping.iter().filter(|item| item.g.is_some_and(|g| g >= 800.0)).count() >= 3
    );
    assert!(mixed.take_out.iter().any(|thing| thing.what == "bones"));
    let trimmed: f64 = [(1.0, Cut::Shin), (1.2, Cut::Chuck), (0.8, Cut::Oxtail)]
        .iter()
        .map(|(kg, cut)| kg * (1.0 - cut.facts().trim_pct / 100.0))
        .sum();
    assert!((mixed.trimmed_kg - trimmed).abs() < 1e-9);
}

#[test]
fn twice_the_meat_is_not_twice_the_time_and_the_scale_agrees_with_the_stick() {
    let one = ask(ribs(json!({}))).unwrap();
    let two = ask(ribs(
        json!({"mass_kg": 4.8, "pieces": 16, "vessel": {"diameter_cm": 36, "height_cm": 16, "lid": "loose"}}),
    ))
    .unwrap();
    assert!(two.sear.batches > one.sear.batches && two.sear.min > 1.3 * one.sear.min);
    let (slow, quick) = (two.forecast.ready_min.p50.unwrap(), one.forecast.ready_min.p50.unwrap());
    assert!(slow < 1.25 * quick, "{slow} {quick}");
    assert!((two.salt.g / one.salt.g - 2.0).abs() < 1e-9);
    let pot = one.pot.unwrap();
    // By half on the stick is half the litres, and so half their weight.
    assert!((pot.marks_kg_less.half - pot.liquid_l / 2.0).abs() < 0.01, "{pot:?}");
    assert!(pot.marks_kg_less.catch > pot.marks_kg_less.stop - 1e-9 && pot.marks_kg_less.now == 0.0);
}

#[test]
fn schools_say_what_they_do_here_and_keep_to_their_default() {
    let dish = ask(ribs(json!({}))).unwrap();
    for school in &dish.schools {
        assert!(school.options.iter().any(|option| option.id == school.chosen), "{}", school.id);
        assert!(school.options.iter().any(|option| option.id == school.usual), "{}", school.id);
        assert_eq!(school.chosen, school.usual, "nothing was chosen otherwise: {}", school.id);
        assert!(school.options.iter().all(|option| !option.effect.is_empty()) && !school.reason.is_empty());
    }
    let ids: Vec<_> = dish.schools.iter().map(|school| school.id.as_str()).collect();
    assert_eq!(ids, ["sear", "surface", "flour", "temper", "rinse", "clear", "day_before", "marinade"]);
    let pit = ask(json!({"cut": "brisket", "mass_kg": 5.0, "method": "smoke", "heat": {"pit_c": 110}})).unwrap();
    assert!(!pit.schools.iter().any(|school| ["sear", "clear"].contains(&school.id.as_str())));
}

#[test]
fn wine_as_base_and_as_ingredient_is_one_wine_and_need_not_be_boiled_down() {
    let wine = |how: &str| {
        ask(ribs(json!({"ingredients": [{"what": "red_wine", "ml": 300}], "level": "covered",
            "bench": {"base": "red_wine", "wine": how}})))
        .unwrap()
    };
    let (halved, whole) = (wine("halved"), wine("whole"));
    for prepared in [&halved, &whole] {
        let poured = &prepared.pot.as_ref().unwrap().poured;
        assert!(poured.len() == 1 && poured[0].what == Larder::RedWine, "{poured:?}");
        assert_eq!(prepared.shopping.iter().filter(|item| item.name.contains("ed wine")).count(), 1);
    }
    // Boiled down, 150 mL more of it has to be bought for the same level.
    let bought = |prepared: &Prepared| prepared.pot.as_ref().unwrap().poured[0].l;
    assert!((bought(&halved) - bought(&whole) - 0.15).abs() < 1e-6);
    assert!(halved.schools.iter().any(|school| school.id == "wine" && school.options.len() == 2));
}

#[test]
fn thirty_cubes_in_a_pressure_pots_insert_stew_and_it_says_how_long_boiling_dry_takes() {
    let cubes = |per_batch: Option<u32>, surface: &str| {
        ask(json!({"cut": "chuck", "mass_kg": 1.9, "pieces": 30, "size_mm": [40, 40, 40], "method": "pressure",
            "level": "third", "surface": surface, "bench": {"sear_in": "pot", "per_batch": per_batch}}))
        .unwrap()
    };
    let crowded = cubes(Some(30), "patted");
    assert!(crowded.sear.stews && warned(&crowded, "stews"), "{:?}", crowded.sear);
    assert!(crowded.sear.wait_to_brown_min.is_some_and(|min| min > 3.0), "{:?}", crowded.sear);
    assert!(cubes(Some(30), "wet").sear.wait_to_brown_min > crowded.sear.wait_to_brown_min);
    let careful = cubes(None, "patted");
    assert!(!careful.sear.stews && careful.sear.batches >= 3, "{:?}", careful.sear);
}

#[test]
fn searing_grows_with_the_pieces_and_their_sides() {
    let minutes = |pieces: u32, kg: f64| {
        let request =
            json!({"cut": "chuck", "mass_kg": kg, "pieces": pieces, "size_mm": [40, 40, 40], "method": "braise"});
        ask(request).unwrap().sear
    };
    let (few, many) = (minutes(9, 0.6), minutes(45, 3.0));
    // Forty-five cubes on four sides are no eleven minutes.
    assert!(few.sides == 4 && many.sides == 4 && many.min > 22.0 && many.min > 2.0 * few.min, "{few:?} {many:?}");
}
