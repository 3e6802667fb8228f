//! Whatever is asked within its ranges is answered with figures that can be: finite, in order, no air below what surrounds
//! it, no mass made or lost.

use ergastic_core::cuts::Cut;
use ergastic_core::error::WhatIsWrong;
use ergastic_core::forecast::{CurvePoint, Forecast, ForecastRequest, Quantiles, ResolvedDish, describe, forecast};
use ergastic_core::kitchen::Kitchen;
use ergastic_core::plan::Plan;
use ergastic_core::ways::pressure::Pressure;
use ergastic_physics::medium::Medium;
use proptest::prelude::*;
use proptest::sample::select;
use serde_json::{Value, json};

/// What a fridge, a kitchen and a cold yard have in common: nothing in them is colder than this, °C, unless it came so.
const COLDEST_C: f64 = 0.0;

/// Figures of a curve are rounded to a gram, each of them.
const ROUNDED: f64 = 0.002;

/// A value now and then.
fn perhaps(value: impl Strategy<Value = f64> + 'static, name: &'static str) -> impl Strategy<Value = Value> {
    prop_oneof![Just(json!({})), value.prop_map(move |value| json!({ name: value }))]
}

fn merged(values: Vec<Value>) -> Value {
    let mut all = json!({});
    for value in values {
        all.as_object_mut().unwrap().extend(value.as_object().unwrap().clone());
    }
    all
}

fn cut() -> impl Strategy<Value = Cut> {
    select(Cut::all().iter().filter(|cut| cut.suitable).map(|cut| cut.cut).collect::<Vec<_>>())
}

/// A way at any setting of its dial.
fn way() -> impl Strategy<Value = Value> {
    let oven = (80.0..260.0, any::<bool>(), select(vec!["hob", "oven", "cold_oven"]))
        .prop_map(|(c, fan, start)| json!({"source": "oven", "set_c": c, "fan": fan, "start": start}));
    let hob =
        select(vec!["lazy", "gentle", "brisk", "boil"]).prop_map(|simmer| json!({"source": "hob", "simmer": simmer}));
    let coals = (0..40u32, 0..40u32, -20.0..35.0, select(vec!["calm", "breezy", "windy"])).prop_map(
        |(under, over, air, wind)| json!({"source": "coals", "under": under + 1, "over": over, "air_c": air, "wind": wind}),
    );
    let pot = prop_oneof![oven, hob, coals];
    prop_oneof![
        3 => (select(vec!["braise", "stew"]), pot).prop_map(|(method, heat)| json!({"method": method, "heat": heat})),
        1 => (10.0..150.0, select(vec!["natural", "quick"]), prop::option::of(0.0..200.0)).prop_map(|(kpa, release, min)| {
            json!({"method": "pressure", "heat": {"gauge_kpa": kpa, "release": release, "at_pressure_min": min}})
        }),
        1 => (65.0..200.0, select(vec![json!(null), json!({"in": "paper"}), json!({"in": "foil", "at_core_c": 60})]))
            .prop_map(|(c, wrap)| json!({"method": "smoke", "heat": {"pit_c": c, "wrap": wrap}})),
        1 => (70.0..120.0).prop_map(|c| json!({"method": "confit", "heat": {"fat_c": c}})),
        1 => (55.0..98.0).prop_map(|c| json!({"method": "water_bath", "heat": {"bath_c": c}})),
        1 => select(vec!["low", "high"]).prop_map(|setting| json!({"method": "slow_cooker", "heat": {"setting": setting}})),
    ]
}

/// One way, or a chain of some.
fn ways() -> impl Strategy<Value = Value> {
    let chained = (way(), way(), 10.0..400.0, any::<bool>()).prop_map(|(first, last, minutes, chilled)| {
        let mut stages = vec![merged(vec![first, json!({"until": {"min": minutes}})])];
        if chilled {
            stages.push(json!({"method": "chill", "until": {"min": 300}}));
        }
        stages.push(last);
        json!({ "stages": stages })
    });
    prop_oneof![2 => way(), 1 => chained]
}

fn vessel() -> impl Strategy<Value = Value> {
    let lid = select(vec!["tight", "foil", "loose", "ajar", "none"]);
    let material = select(vec!["iron", "steel", "aluminium", "ceramic", "glass"]);
    let any = (20.0..45.0, 9.0..25.0, lid, material).prop_map(|(across, high, lid, material)| {
        json!({"vessel": {"diameter_cm": across, "height_cm": high, "lid": lid, "material": material}})
    });
    prop_oneof![Just(json!({})), any]
}

/// Any request that can be read; some can't be cooked.
fn request() -> impl Strategy<Value = ForecastRequest> {
    let meat = (
        cut(),
        perhaps(0.2..6.0, "mass_kg"),
        perhaps(20.0..120.0, "thickness_mm"),
        perhaps(-25.0..25.0, "start_c"),
        select(vec![json!({}), json!({"age": "mature"}), json!({"grass_fed": true}), json!({"pieces": 3})]),
    );
    let pot = (
        ways(),
        vessel(),
        perhaps(0.0..4.0, "liquid_l"),
        perhaps(2.0..100.0, "liquid_start_c"),
        perhaps(-400.0..5000.0, "altitude_m"),
        perhaps(0.0..3.0, "salt_pct"),
    );
    (meat, pot, 0..1000u32).prop_map(|(meat, pot, seed)| {
        let (cut, mass, thick, start, animal) = meat;
        let (ways, vessel, liquid, liquid_start, altitude, salt) = pot;
        let said = json!({"cut": cut.key(), "members": 1, "seed": seed});
        serde_json::from_value(merged(vec![
            said,
            mass,
            thick,
            start,
            animal,
            ways,
            vessel,
            liquid,
            liquid_start,
            altitude,
            salt,
        ]))
        .unwrap()
    })
}

/// What the heat can bring anything to, °C.
fn hottest_c(case: &ResolvedDish) -> f64 {
    let of = |medium: Medium| match medium {
        Medium::Pit { pit, .. } => pit.set_c,
        Medium::Fat { fat_c } => fat_c,
        Medium::Bath { bath_c } => bath_c,
        Medium::Pressure { target_c, .. } => target_c,
        // Meat that stands out of the liquid has the oven's air round it.
        Medium::Oven { set_c, .. } => f64::max(set_c, case.boil_c),
        Medium::Coals(_) => 400.0,
        _ => case.boil_c,
    };
    case.stages
        .iter()
        .map(|stage| of(stage.medium.way().medium()))
        .fold(f64::max(case.start_c, case.liquid_start_c), f64::max)
}

fn in_order(quantiles: &Quantiles) -> bool {
    let known: Vec<f64> = [quantiles.p10, quantiles.p50, quantiles.p90].into_iter().flatten().collect();
    let gaps_only_late = quantiles.p90.is_none() || quantiles.p10.is_some() && quantiles.p50.is_some();
    gaps_only_late
        && known.iter().all(|min| min.is_finite() && *min >= 0.0)
        && known.windows(2).all(|two| two[0] <= two[1])
}

fn figures(point: &CurvePoint) -> [f64; 11] {
    let CurvePoint {
        min,
        core_c,
        surface_c,
        medium_c,
        softening_h,
        liquid_l,
        steam_kg,
        juice_kg,
        fat_l,
        gelatin_g,
        salt_g,
        ..
    } = *point;
    [min, core_c, surface_c, medium_c, softening_h, liquid_l, steam_kg, juice_kg, fat_l, gelatin_g, salt_g]
}

/// Runs a request that can be cooked; what can't be is refused for a reason that is one of a cook's.
fn cooked(request: &ForecastRequest) -> Result<Option<(ResolvedDish, Forecast)>, TestCaseError> {
    match request.resolve() {
        Ok(case) => Ok(Some((case, forecast(request).unwrap()))),
        Err(error) => {
            let known = matches!(
                error.kind,
                WhatIsWrong::DoesNotFit
                    | WhatIsWrong::OutOfRange
                    | WhatIsWrong::Clash
                    | WhatIsWrong::Unknown
                    | WhatIsWrong::Missing
            );
            prop_assert!(known && !error.field.is_empty(), "{error}");
            Ok(None)
        }
    }
}

proptest! {
    #![proptest_config(ProptestConfig { cases: 400, failure_persistence: None, ..ProptestConfig::default() })]

    #[test]
    fn every_figure_is_one_and_every_time_comes_after_the_one_before(request in request()) {
        let Some((case, answer)) = cooked(&request)? else { return Ok(()) };
        prop_assert!(in_order(&answer.ready_min) && in_order(&answer.overcooked_min), "{:?} {:?}", answer.ready_min, answer.overcooked_min);
        // A pressure pot is had when it opens, even where the meat is past its best by then.
        let shut = case.stages.iter().any(|stage| stage.medium.facts().locked);
        if let (Some(ready), Some(gone), false) = (answer.ready_min.p50, answer.overcooked_min.p50, shut) {
            prop_assert!(ready <= gone, "tender {ready}, too far {gone}");
        }
        for point in &answer.curve {
            prop_assert!(figures(point).iter().all(|figure| figure.is_finite()), "{point:?}");
            prop_assert!(figures(point)[4..].iter().all(|figure| *figure >= 0.0), "{point:?}");
        }
        for pair in answer.curve.windows(2) {
            prop_assert!(pair[0].min < pair[1].min && pair[0].stage <= pair[1].stage, "{:?}", pair);
            prop_assert!(pair[1].min - pair[0].min <= 10.0 + 1e-9, "a point at least every ten minutes: {:?}", pair);
        }
    }

    #[test]
    fn nothing_is_colder_or_hotter_than_what_is_round_it(request in request()) {
        let Some((case, answer)) = cooked(&request)? else { return Ok(()) };
        let coals_air = request.heat.iter().chain(request.stages.iter().flatten().filter_map(|stage| stage.heat.as_ref()))
            .filter_map(|heat| heat.air_c).fold(COLDEST_C, f64::min);
        let low = [case.start_c, case.liquid_start_c, coals_air].into_iter().fold(COLDEST_C, f64::min);
        let high = hottest_c(&case);
        for point in &answer.curve {
            for celsius in [point.core_c, point.surface_c, point.medium_c] {
                prop_assert!((low - 0.5..=high + 0.5).contains(&celsius), "{celsius} outside {low} to {high}: {point:?}");
            }
        }
        // The middle has no heat of its own: it never passes what the outside has been at.
        let first = [case.start_c, case.liquid_start_c];
        let mut outside = (f64::min(first[0], first[1]), f64::max(first[0], first[1]));
        for point in &answer.curve {
            // A pot under pressure that is opened at once may have been at its hottest between two points.
            let shut = case.stages.get(point.stage).and_then(|stage| stage.medium.get::<Pressure>());
            let shut_c = shut.map_or(f64::MIN, |pot| pot.target_c);
            let hottest_c = point.surface_c.max(point.medium_c).max(shut_c);
            outside = (outside.0.min(point.surface_c).min(point.medium_c), outside.1.max(hottest_c));
            prop_assert!((outside.0 - 1.0..=outside.1 + 1.0).contains(&point.core_c), "{outside:?}: {point:?}");
        }
    }

    #[test]
    fn no_mass_is_made(request in request()) {
        let Some((case, answer)) = cooked(&request)? else { return Ok(()) };
        let collagen_g: f64 = case.parts.iter().map(|part| part.mass_kg * part.facts.collagen_pct * 10.0).sum();
        for point in &answer.curve {
            prop_assert!(point.yield_kg + point.juice_kg <= case.mass_kg + ROUNDED, "{point:?} of {} kg", case.mass_kg);
            // A gram of collagen takes water with it on its way to gelatin, but none comes from nowhere.
            let gelatin_g = collagen_g + case.body.stock_gelatin_g + case.body.collagen_g;
            prop_assert!(point.gelatin_g <= 1.05 * gelatin_g + 0.1, "{point:?} of {gelatin_g} g");
            let water_kg = case.liquid_l + case.mass_kg;
            prop_assert!(point.steam_kg <= water_kg + ROUNDED, "{point:?} of {water_kg} kg");
            prop_assert!(point.liquid_l <= water_kg + ROUNDED, "{point:?} of {water_kg} kg");
        }
    }
}

/// The dial shows the dish itself at the setting that is chosen.
fn dish() -> impl Strategy<Value = Value> {
    let given = (perhaps(0.8..3.0, "mass_kg"), perhaps(30.0..90.0, "thickness_mm"), perhaps(0.0..1500.0, "altitude_m"));
    let bench = select(vec![
        json!({}),
        json!({"bench": {"sear": "none"}}),
        json!({"bench": {"level": "covered"}}),
        json!({"vessel": {"lid": "loose"}}),
        json!({"bench": {"trim": "usual"}}),
        json!({"bench": {"ingredients": [{"what": "red_wine", "ml": 300}]}}),
        json!({"bench": {"clear": true, "flour": true}}),
        json!({"units": "us"}),
    ]);
    let way = select(vec![
        json!({"method": "braise"}),
        json!({"method": "braise", "heat": {"source": "oven", "set_c": 143}}),
        json!({"method": "braise", "heat": {"source": "hob", "simmer": "brisk"}}),
        json!({"method": "braise", "heat": {"source": "coals"}}),
        json!({"method": "stew"}),
        json!({"method": "pressure"}),
        json!({"method": "pressure", "heat": {"level": "low"}}),
        json!({"method": "smoke"}),
        json!({"method": "smoke", "heat": {"pit_c": 113, "wrap": {"in": "foil"}}}),
        json!({"method": "confit"}),
        json!({"method": "water_bath"}),
        json!({"method": "water_bath", "heat": {"bath_c": 79}}),
        json!({"method": "slow_cooker"}),
    ]);
    let cut = select(vec!["chuck", "shin", "oxtail", "brisket_flat"]);
    (cut, given, bench, way).prop_map(|(cut, (mass, thick, altitude), bench, way)| {
        merged(vec![json!({ "cut": cut, "mass_kg": 1.6 }), mass, thick, altitude, bench, way])
    })
}

proptest! {
    #![proptest_config(ProptestConfig { cases: 64, failure_persistence: None, ..ProptestConfig::default() })]

    #[test]
    fn the_dial_at_what_is_chosen_is_the_dish_whatever_is_left_out(dish in dish()) {
        let kitchen = Kitchen::default();
        let mut dish = dish;
        let bench = dish.as_object_mut().unwrap().remove("bench").unwrap_or(json!({}));
        let plan: Plan = serde_json::from_value(json!({
            "name": "Lodge supper", "serve_at": "2027-02-06T17:30:00Z", "forecast": dish, "prepare": bench,
        }))
        .unwrap();
        let Ok(case) = plan.resolve(&kitchen) else { return Ok(()) };
        let prepared = plan.at_the_bench(&kitchen).unwrap().prepared;
        let chosen: Vec<_> = prepared.dial.iter().filter(|setting| setting.chosen).collect();
        prop_assert_eq!(chosen.len(), 1, "{:?}", prepared.dial);
        // One run at every median, as each setting of the dial is.
        let (dial, alone) = (chosen[0].ready_min, describe(&case, None).unwrap().ready_min.p50);
        match dial.zip(alone) {
            Some((dial, alone)) => prop_assert!((dial - alone).abs() < 1e-6, "{dial} on the dial, {alone}"),
            None => prop_assert_eq!(dial, alone),
        }
    }
}

proptest! {
    #![proptest_config(ProptestConfig { cases: 96, failure_persistence: None, ..ProptestConfig::default() })]

    #[test]
    fn thicker_at_the_same_mass_is_never_sooner(
        cut in cut(), way in way(), mass in 0.3..6.0f64, thin in 0.2..0.9f64, more in 1.05..2.5f64
    ) {
        // Dice and knuckles are chunks as they come.
        prop_assume!(![Cut::StewingMix, Cut::Oxtail, Cut::ShortRib].contains(&cut));
        // With minutes set by hand the pot is opened when they are over, and thin meat is later to come up with it.
        prop_assume!(way["method"] != "pressure");
        let cube_mm = (mass / 1060.0f64).cbrt() * 1000.0;
        let in_pot = ["braise", "stew"].contains(&way["method"].as_str().unwrap_or_default());
        let ready = |thickness: f64| {
            let request = merged(vec![
                json!({"cut": cut, "mass_kg": mass, "pieces": 1, "thickness_mm": thickness, "members": 1, "eaten_as": "fork",
                    "vessel": {"diameter_cm": 40, "height_cm": 30}}),
                if in_pot { json!({"liquid_l": 2.0}) } else { json!({}) },
                way.clone(),
            ]);
            let request: ForecastRequest = serde_json::from_value(request).unwrap();
            forecast(&request).ok().and_then(|answer| answer.ready_min.p50)
        };
        if let Some((thin, thick)) = ready(thin * cube_mm).zip(ready(thin * more * cube_mm)) {
            prop_assert!(thick >= 0.97 * thin, "{thin} min, and thicker {thick} min");
        }
    }
}
