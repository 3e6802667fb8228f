//! What is said of a dish is chosen from the facts of that dish: no sentence names what it has not.

use ergastic_core::clock::plus_minutes;
use ergastic_core::cuts::EatenAs;
use ergastic_core::forecast::Forecast;
use ergastic_core::heat::pot::Lid;
use ergastic_core::kitchen::{Kitchen, Units};
use ergastic_core::plan::Plan;
use ergastic_core::safety::Caution;
use ergastic_core::sheet::{OnTheBench, Sheet, work_back_and_forecast};
use ergastic_core::ways::presets;
use proptest::prelude::*;
use serde_json::{Value, json};

fn kitchen(units: Units) -> Kitchen {
    Kitchen { units, ..Kitchen::default() }
}

/// A way and its heat.
fn way() -> impl Strategy<Value = Value> {
    let offered: Vec<Value> =
        presets(Units::Metric).iter().map(|preset| json!({"method": preset.method, "heat": preset.heat})).collect();
    let chains = prop_oneof![
        Just(json!({"stages": [
            {"method": "smoke", "heat": {"pit_c": 110}, "until": {"min": 180}},
            {"method": "water_bath", "heat": {"bath_c": 85}},
        ]})),
        Just(json!({"stages": [
            {"method": "braise", "until": {"tender": true}},
            {"method": "chill", "until": {"min": 600}},
            {"method": "reheat"},
        ]})),
    ];
    prop_oneof![6 => prop::sample::select(offered), 1 => chains]
}

/// What has been chosen at the bench.
fn bench() -> impl Strategy<Value = Value> {
    let ingredients = prop::sample::subsequence(
        vec![
            json!({"what": "red_wine", "ml": 250}),
            json!({"what": "dark_beer", "ml": 300}),
            json!({"what": "onion", "g": 300}),
            json!({"what": "garlic", "g": 20}),
            json!({"what": "bay_leaf", "g": 1}),
            json!({"what": "tinned_tomato", "ml": 200}),
        ],
        0..=4,
    );
    let sear = prop::sample::select(vec!["hard", "light", "none"]);
    let base = prop::sample::select(vec!["water", "unsalted_stock", "tomato_passata"]);
    let level = prop::sample::select(vec!["own", "third", "covered", "soup"]);
    let switches = any::<[bool; 6]>();
    (ingredients, sear, base, level, switches, 0u32..4).prop_map(|(ingredients, sear, base, level, on, strings)| {
        let [flour, pierced, clear, day_before, sugared, salted] = on;
        json!({
            "ingredients": ingredients, "sear": sear, "base": base, "level": level, "flour": flour, "pierced": pierced,
            "clear": clear, "day_before": day_before, "sugared": sugared, "strings": strings,
            "salt_pct": if salted { 1.25 } else { 0.0 },
        })
    })
}

fn dish() -> impl Strategy<Value = Plan> {
    let cut =
        prop::sample::select(vec!["chuck", "shin_bone_in", "oxtail", "topside", "brisket", "corned_brisket", "cheek"]);
    let eaten = prop::sample::select(vec!["fork", "pull", "spoon", "slice"]);
    let lid = prop::sample::select(vec![None, Some("tight"), Some("loose"), Some("none")]);
    let target = prop::sample::select(vec!["broth", "coat", "glaze"]);
    (cut, eaten, lid, target, way(), bench()).prop_filter_map(
        "it can be cooked",
        |(cut, eaten, lid, target, way, bench)| {
            let mut forecast = way;
            forecast["cut"] = json!(cut);
            forecast["eaten_as"] = json!(eaten);
            forecast["mass_kg"] = json!(1.6);
            forecast["members"] = json!(24);
            if let (Some(lid), true) = (lid, forecast["method"] != "pressure") {
                forecast["vessel"] = json!({"lid": lid});
            }
            let plan: Plan = serde_json::from_value(json!({
                "name": "Lodge supper", "people": 4, "serve_at": "2027-02-06T17:30:00Z", "forecast": forecast,
                "prepare": bench, "target": target,
            }))
            .unwrap();
            plan.resolve(&kitchen(Units::Metric)).is_ok().then_some(plan)
        },
    )
}

fn cautions(found: &[Caution]) -> impl Iterator<Item = String> + '_ {
    found.iter().map(|caution| caution.text.clone())
}

/// Everything that is said of a dish, one sentence or two each.
fn everything(sheet: &Sheet, forecast: &Forecast, on_the_bench: &OnTheBench) -> Vec<String> {
    let OnTheBench { bench, steps } = on_the_bench;
    let bench = &bench.prepared;
    let mut said = vec![sheet.why.clone(), forecast.why.clone()];
    said.extend(forecast.notes.iter().cloned());
    said.extend(cautions(&forecast.cautions).chain(cautions(&sheet.cautions)).chain(cautions(&bench.warnings)));
    for task in &sheet.tasks {
        said.extend([task.what.clone(), task.why.clone()]);
        said.extend(cautions(&task.cautions));
    }
    for step in steps {
        said.extend([step.what.clone(), step.why.clone()]);
        said.extend(cautions(&step.cautions));
    }
    let because = &bench.because;
    for reasons in
        [&because.meat, &because.salt, &because.sear, &because.pot, &because.heat, &because.later, &because.list]
    {
        said.extend(reasons.iter().cloned());
    }
    said.extend(bench.take_out.iter().flat_map(|out| [out.what.clone(), out.words.clone()]));
    said.extend(sheet.conflicts.iter().map(|conflict| conflict.text.clone()));
    said
}

/// Words that must not be said of this dish, because it has no such thing.
fn has_not(plan: &Plan) -> Vec<&'static str> {
    let case = plan.resolve(&kitchen(Units::Metric)).unwrap();
    let bench = &plan.prepare;
    let has = |key: &str| bench.ingredients.iter().any(|thing| thing.what.key() == key);
    let wet = case.stages.iter().any(|stage| stage.medium.is_pot());
    let in_pot = case.first().medium.is_pot();
    let seared = in_pot && bench.sear != ergastic_core::bench::Sear::None;
    let bones = case.parts.iter().any(|part| part.bone_pct > 0.0);
    let lidless = !wet || case.stages.iter().all(|stage| !stage.medium.is_pot() || stage.pot.lid == Lid::None);
    let pressed = plan.forecast.method.is_some_and(|method| method.key() == "pressure");
    let wrapped = plan.forecast.heat.as_ref().is_some_and(|heat| heat.wrap.is_some());
    let holds = matches!(case.main().eaten_as, EatenAs::Slice | EatenAs::Probe);
    let mut words = Vec::new();
    let mut unless = |there: bool, named: &[&'static str]| {
        if !there {
            words.extend_from_slice(named);
        }
    };
    unless(has("red_wine"), &["wine"]);
    unless(bones, &["bone"]);
    unless(wet && bench.base.key() == "unsalted_stock", &["stock"]);
    unless(seared, &["sear", "resting juices", "scrape", "brown it", "batch"]);
    unless(wrapped, &["wrapped"]);
    unless(!lidless, &["lid on", "the lid"]);
    unless(pressed, &["locked", "pressure lid", "let it fall by itself"]);
    unless(!pressed, &["turn the heat off", "fork it, and see"]);
    unless(holds, &["across the grain"]);
    unless(bench.strings > 0, &["string"]);
    unless(bench.salt_pct > 0.0, &["wipe the salt", "salt the meat"]);
    unless(has("garlic"), &["garlic last"]);
    unless(bench.level != Some(ergastic_core::bench::Level::Soup), &["in the sauce", "into the sauce"]);
    words
}

proptest! {
    #![proptest_config(ProptestConfig { cases: 64, failure_persistence: None, ..ProptestConfig::default() })]

    #[test]
    fn no_sentence_names_what_the_dish_has_not(plan in dish()) {
        let kitchen = kitchen(Units::Metric);
        let now = plus_minutes(plan.serve_at, -1400.0);
        let Ok((sheet, forecast)) = work_back_and_forecast(&plan, &kitchen, now) else { return Ok(()) };
        let bench = plan.on_the_bench(&kitchen).unwrap();
        for sentence in everything(&sheet, &forecast, &bench) {
            let lower = sentence.to_lowercase();
            for word in has_not(&plan) {
                let of_the_fat = word == "garlic last" || lower.contains("meat or garlic under fat");
                prop_assert!(of_the_fat || !lower.contains(word), "{word:?} in {sentence:?}");
            }
        }
    }

    #[test]
    fn an_american_kitchen_reads_no_unit_of_another_and_nothing_else_changes(plan in dish()) {
        let now = plus_minutes(plan.serve_at, -1400.0);
        let [metric, us] = [Units::Metric, Units::Us].map(|units| {
            let kitchen = kitchen(units);
            let (sheet, forecast) = work_back_and_forecast(&plan, &kitchen, now).ok()?;
            Some((sheet, forecast, plan.on_the_bench(&kitchen).unwrap()))
        });
        let (Some(metric), Some(us)) = (metric, us) else { return Ok(()) };
        for sentence in everything(&us.0, &us.1, &us.2) {
            for unit in [" °C", " kg", " mL", " L ", " cm", " mm"] {
                prop_assert!(!sentence.contains(unit), "{unit:?} in {sentence:?}");
            }
        }
        prop_assert_eq!(metric.1.ready_min, us.1.ready_min);
        prop_assert_eq!(metric.1.curve, us.1.curve);
        prop_assert_eq!(metric.0.start_at, us.0.start_at);
        prop_assert_eq!(metric.2.bench.prepared.salt.g, us.2.bench.prepared.salt.g);
    }
}
