//! What can hurt somebody: cooling by the food code, what lies under fat or in a bag, acid in bare metal, allergens and alcohol,
//! raw meat that warms slowly.

use ergastic_core::afterwards::{Afterwards, Wants};
use ergastic_core::clock::plus_minutes;
use ergastic_core::cook::{Happened, gone_wrong};
use ergastic_core::finish::CoolIn;
use ergastic_core::kitchen::{FoodCode, Kitchen, Units};
use ergastic_core::plan::Plan;
use ergastic_core::prepare::{PrepareRequest, Prepared, prepare_request};
use ergastic_core::sheet::{Sheet, TaskId, work_back};
use proptest::prelude::*;
use serde_json::{Value, json};

use crate::dish::{after, events, opened, plan, under};

fn braise(more: Value) -> Plan {
    let forecast = json!({"cut": "shin", "mass_kg": 1.4, "method": "braise", "members": 32,
        "heat": {"source": "oven", "set_c": 150}, "liquid_l": 1.2});
    plan(forecast, more)
}

fn lifted(plan: &Plan, kitchen: &Kitchen, more: &[(f64, Happened)], minute: f64) -> Afterwards {
    let first = [(60.0, Happened::OnTheHeat {}), (302.0, Happened::TaskDone { task: "lift".into() })];
    after(plan, kitchen, &events(first.iter().chain(more).cloned()), minute)
}

fn laid(plan: &Plan, kitchen: &Kitchen) -> Sheet {
    work_back(plan, kitchen, opened()).unwrap()
}

fn all_said(sheet: &Sheet) -> String {
    let said = sheet.tasks.iter().flat_map(|task| {
        let cautions = task.cautions.iter().map(|caution| caution.text.as_str());
        [task.what.as_str(), task.why.as_str()].into_iter().chain(cautions)
    });
    said.collect::<Vec<_>>().join("\n")
}

fn at_the_bench(forecast: Value, more: Value) -> Prepared {
    let mut request = forecast;
    request.as_object_mut().unwrap().remove("members");
    request.as_object_mut().unwrap().extend(more.as_object().unwrap().clone());
    let request: PrepareRequest = serde_json::from_value(request).unwrap();
    prepare_request(&request, &Kitchen::default()).unwrap()
}

#[test]
fn each_food_code_cools_in_its_own_time_everywhere() {
    let route = braise(json!({"prepare": {"day_before": true}}));
    for (code, first) in [
        (FoodCode::Usual, "From 57 to 21 °C within 2 h"),
        (FoodCode::Canada, "From 60 to 20 °C within 2 h"),
        (FoodCode::Australia, "From 60 to 21 °C within 2 h"),
        (FoodCode::England, "From 63 to 21 °C within 2 h"),
        (FoodCode::Scotland, "From 63 to 21 °C within 1½ h"),
    ] {
        let kitchen = under(code);
        let said = all_said(&laid(&route, &kitchen));
        assert!(said.contains(first), "{code:?}: {said}");
        let all = lifted(&braise(json!({})), &kitchen, &[], 320.0);
        let cold = format!("{:.0} °C", code.cold_c());
        let trays = all.cool_all.iter().find(|way| way.cool_in == CoolIn::Trays).unwrap();
        assert!(trays.in_time && trays.words.contains(&cold), "{code:?}: {trays:?}");
        let caution = all.cautions.iter().find(|caution| caution.id == "cooling").unwrap();
        assert!(caution.text.contains(&cold) && caution.text.contains(&first[5..]), "{code:?}: {caution:?}");
    }
}

#[test]
fn a_pot_on_the_counter_is_never_in_time_and_says_how_long_it_stood() {
    let plan = braise(json!({}));
    let served = [(330.0, Happened::TaskDone { task: "serve".into() })];
    let at = |room_c: f64, minute: f64| lifted(&plan, &Kitchen { room_c, ..Kitchen::default() }, &served, minute);
    let counter = |all: &Afterwards| all.cool_all.iter().find(|way| way.cool_in == CoolIn::Pot).cloned().unwrap();
    let cool = counter(&at(18.0, 340.0));
    assert!(!cool.in_time && cool.words.starts_with("Never safe") && cool.words.contains("18 °C"), "{cool:?}");
    let soon = at(20.0, 335.0).stood.unwrap();
    assert!(soon.starts_with("Off the heat for 5 min, still over 60 °C"), "{soon}");
    let late = at(20.0, 330.0 + 600.0).stood.unwrap();
    assert!(late.contains("Off the heat for 10 h") && late.contains("between 60 and 5 °C for"), "{late}");
    assert_eq!(lifted(&plan, &Kitchen::default(), &[], 320.0).stood, None, "the pot is still on");
}

#[test]
fn confit_is_kept_under_fat_in_the_cold_and_crisped() {
    let confit = plan(
        json!({"cut": "cheek", "mass_kg": 1.2, "method": "confit", "heat": {"fat_c": 90}, "members": 32}),
        json!({}),
    );
    for (code, days) in [(FoodCode::Usual, "4 days"), (FoodCode::England, "2 days")] {
        let all = lifted(&confit, &under(code), &[], 320.0);
        let steps: Vec<&str> = all.day_after.steps.iter().map(|step| step.words.as_str()).collect();
        assert!(steps[0].contains("the jelly left behind") && steps[2].contains(days), "{steps:?}");
        assert!(steps[2].contains("4 °C") && steps[3].contains("brown it in a hot pan"), "{steps:?}");
        assert!(all.day_after.steps[2].why.starts_with("Never at room temperature"), "{steps:?}");
        let caution = all.cautions.iter().find(|caution| caution.id == "under_fat").unwrap();
        assert!(caution.text.contains("botulism") && caution.text.contains(days), "{caution:?}");
    }
    let said = all_said(&laid(&confit, &Kitchen::default()));
    assert!(said.contains("Crisp the meat") && said.contains("botulism"), "{said}");
}

#[test]
fn a_cooked_bag_is_opened_or_chilled_in_ice_water() {
    let bath = json!({"cut": "shin", "mass_kg": 1.0, "method": "water_bath", "heat": {"bath_c": 82}, "members": 32});
    let all = lifted(&plan(bath.clone(), json!({})), &Kitchen::default(), &[], 320.0);
    let steps: Vec<&str> = all.day_after.steps.iter().map(|step| step.words.as_str()).collect();
    assert!(steps[0].contains("unopened, under ice water") && steps[1].contains("4 days at most"), "{steps:?}");
    assert!(all.day_after.steps[1].why.contains("3 °C"), "{:?}", all.day_after);
    let said = all_said(&laid(&plan(bath.clone(), json!({})), &Kitchen::default()));
    assert!(said.contains("chill it unopened in ice water"), "{said}");
    let bench = at_the_bench(bath, json!({}));
    let caution = bench.warnings.iter().find(|caution| caution.id == "cooked_bag").unwrap();
    assert!(caution.text.contains("ice water") && caution.text.contains("botulism"), "{caution:?}");
    let braised = lifted(&braise(json!({})), &Kitchen::default(), &[], 320.0);
    assert!(braised.cautions.iter().all(|caution| !["cooked_bag", "under_fat"].contains(&&*caution.id)));
}

#[test]
fn acid_in_bare_aluminium_is_warned_of_at_bench_and_pot_and_nowhere_else() {
    let in_pot = |material: &str, things: Value| {
        let forecast = json!({"cut": "shin", "mass_kg": 1.4, "method": "braise", "liquid_l": 1.2, "members": 32,
            "heat": {"source": "oven", "set_c": 150}, "vessel": {"diameter_cm": 26, "height_cm": 13, "material": material}});
        let bench = at_the_bench(forecast.clone(), json!({"ingredients": things}));
        let sheet = laid(&plan(forecast, json!({"prepare": {"ingredients": things}})), &Kitchen::default());
        let at_bench = bench.warnings.iter().any(|caution| caution.id == "acid_in_aluminium");
        let at_step =
            sheet.tasks.iter().flat_map(|task| &task.cautions).filter(|caution| caution.id == "acid_in_aluminium");
        (at_bench, at_step.count())
    };
    let wine = json!([{"what": "red_wine", "ml": 500}]);
    assert_eq!(in_pot("aluminium", wine.clone()), (true, 1));
    assert_eq!(in_pot("aluminium", json!([{"what": "tinned_tomato", "ml": 500}])), (true, 1));
    assert_eq!(in_pot("aluminium", json!([])), (false, 0));
    assert_eq!(in_pot("iron", wine), (false, 0));
}

#[test]
fn all_that_comes_to_the_table_is_said_where_it_is_served() {
    let dish = braise(json!({
        "target": "gravy", "thickener": "butter_paste",
        "prepare": {"flour": false, "ingredients": [{"what": "dark_beer", "ml": 500}], "later": [{"what": "dumplings", "g": 400}]},
        "sides": [{"what": "Celeriac mash", "min": 25}, {"what": "barley", "min": 40}],
    }));
    let sheet = laid(&dish, &Kitchen::default());
    let serve = sheet.tasks.iter().find(|task| task.id == TaskId::Serve).unwrap();
    let said = &serve.cautions.iter().find(|caution| caution.id == "allergens").unwrap().text;
    for found in [
        "wheat (dark beer",
        "dumplings",
        "barley (dark beer, barley)",
        "milk (",
        "flour and butter",
        "egg (dumplings)",
        "celery (",
        "Celeriac mash",
    ] {
        assert!(said.contains(found), "{found}: {said}");
    }
    let alcohol = &serve.cautions.iter().find(|caution| caution.id == "alcohol").unwrap().text;
    assert!(alcohol.contains("Next to no alcohol is left of the dark beer"), "{alcohol}");
    let wine =
        laid(&braise(json!({"prepare": {"ingredients": [{"what": "red_wine", "ml": 750}]}})), &Kitchen::default());
    let serve = wine.tasks.iter().find(|task| task.id == TaskId::Serve).unwrap();
    let alcohol = &serve.cautions.iter().find(|caution| caution.id == "alcohol").unwrap().text;
    assert!(
        alcohol.contains("of alcohol a plate is left of the red wine") && alcohol.contains("pregnancy"),
        "{alcohol}"
    );
    // Nothing sharp: nothing to say.
    let plain = laid(&braise(json!({"prepare": {"base": "water"}, "target": "broth"})), &Kitchen::default());
    let serve = plain.tasks.iter().find(|task| task.id == TaskId::Serve).unwrap();
    assert!(serve.cautions.is_empty(), "{serve:?}");
}

#[test]
fn what_is_proposed_beside_the_meat_names_its_allergens() {
    let all = lifted(
        &braise(json!({"prepare": {"ingredients": [{"what": "red_wine", "ml": 300}]}})),
        &Kitchen::default(),
        &[],
        320.0,
    );
    let of = |wants: Wants| all.beside.iter().find(|one| one.wants == wants).unwrap().carries.clone();
    assert_eq!(of(Wants::Crunch).as_deref(), Some("Carries wheat."), "breadcrumbs");
    assert_eq!(of(Wants::Fresh), None);
}

#[test]
fn cured_meat_is_said_to_stay_pink() {
    let forecast = |cut: &str| {
        json!({"cut": cut, "mass_kg": 1.8, "method": "stew", "liquid_l": 3.0, "members": 16,
        "heat": {"source": "hob", "simmer": "gentle"}})
    };
    let warned =
        |cut: &str| at_the_bench(forecast(cut), json!({})).warnings.iter().any(|caution| caution.id == "cured_pink");
    assert!(warned("corned_brisket") && !warned("brisket_flat"));
}

#[test]
fn raw_meat_warming_in_a_pit_is_judged_by_its_own_rule() {
    let pit = plan(
        json!({"cut": "brisket", "mass_kg": 6.0, "method": "smoke", "heat": {"pit_c": 110}, "members": 32}),
        json!({}),
    );
    let fire_out = |minute: f64| {
        let happened = events([(60.0, Happened::OnTheHeat {})]);
        let all =
            gone_wrong(&pit, &Kitchen::default(), opened(), &happened, &[], plus_minutes(opened(), minute)).unwrap();
        all.into_iter().find(|told| told.id == "fire_out").unwrap().cautions
    };
    let raw = fire_out(60.0 + 90.0);
    assert!(
        raw.iter().any(|caution| caution.id == "raw_warming" && caution.text.contains("54 °C within 6 h")),
        "{raw:?}"
    );
    assert!(raw.iter().all(|caution| caution.id != "in_danger"), "{raw:?}");
    let warm = fire_out(60.0 + 600.0);
    assert!(warm.iter().any(|caution| caution.id == "in_danger"), "{warm:?}");
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(24))]
    #[test]
    fn whatever_the_way_the_code_and_the_units_nothing_is_kept_on_the_counter(
        way in 0usize..5, code in 0usize..6, us in any::<bool>(), room_c in 8.0..34.0f64
    ) {
        let forecast = [
            json!({"cut": "chuck", "mass_kg": 1.4, "method": "braise", "heat": {"source": "oven", "set_c": 150}}),
            json!({"cut": "shin", "mass_kg": 1.0, "method": "water_bath", "heat": {"bath_c": 82}}),
            json!({"cut": "cheek", "mass_kg": 1.2, "method": "confit", "heat": {"fat_c": 90}}),
            json!({"cut": "plate_rib", "mass_kg": 2.5, "method": "smoke", "heat": {"pit_c": 130}}),
            json!({"cut": "oxtail", "mass_kg": 1.5, "method": "slow_cooker", "heat": {"setting": "low"}}),
        ][way].clone();
        let units = if us { Units::Us } else { Units::Metric };
        let kitchen = Kitchen { food_code: FoodCode::ALL[code], units, room_c, ..Kitchen::default() };
        let all = lifted(&plan(forecast, json!({})), &kitchen, &[], 420.0);
        for way in all.cool_all.iter().chain(&all.cool_left) {
            prop_assert!(way.danger_min > 0.0 && way.to_cool_min < way.to_cold_min, "{way:?}");
            prop_assert!(way.cool_in != CoolIn::Pot || !way.in_time, "{way:?}");
        }
        prop_assert!(!all.day_after.steps.is_empty() && all.day_after.begin_min > 0.0);
    }
}
