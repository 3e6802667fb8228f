//! What a demanding cook checks on a sheet: the night, the cut, the pan, the spoon, the certainty.

use ergastic_core::clock::{Hours, minutes_between, plus_minutes};
use ergastic_core::kitchen::{Kitchen, Units};
use ergastic_core::plan::Plan;
use ergastic_core::sheet::{Sheet, Task, TaskKind, work_back};
use jiff::Timestamp;
use serde_json::{Value, json};

fn now() -> Timestamp {
    "2027-02-04T08:00:00Z".parse().unwrap()
}

fn plan(forecast: Value, more: Value) -> Plan {
    let mut document = json!({"name": "Dish", "people": 6, "serve_at": "2027-02-06T16:30:00Z", "forecast": forecast});
    document["forecast"]["members"] = json!(300);
    for (field, value) in more.as_object().unwrap() {
        document[field] = value.clone();
    }
    serde_json::from_value(document).unwrap()
}

fn sheet(forecast: Value, more: Value) -> Sheet {
    work_back(&plan(forecast, more), &Kitchen::default(), now()).unwrap()
}

fn task<'a>(sheet: &'a Sheet, id: &str) -> &'a Task {
    sheet.tasks.iter().find(|task| task.id.to_string() == id).unwrap_or_else(|| panic!("there is no {id}"))
}

fn has(sheet: &Sheet, kind: TaskKind) -> bool {
    sheet.tasks.iter().any(|task| task.kind == kind)
}

#[test]
fn nobody_salts_at_night() {
    for hour in 0..24 {
        let serve_at: Timestamp = format!("2027-02-06T{hour:02}:30:00Z").parse().unwrap();
        let kitchen = Kitchen { zone: "Europe/Helsinki".into(), ..Kitchen::default() };
        let mut dish = plan(json!({"cut": "shin", "method": "braise"}), json!({}));
        dish.serve_at = serve_at;
        let sheet = work_back(&dish, &kitchen, now()).unwrap();
        let salted = task(&sheet, "salt")
            .start
            .to_zoned_datetime(ergastic_core::clock::zone("zone", "Europe/Helsinki").unwrap());
        assert!((7..22).contains(&salted.hour()), "a bell at {serve_at} salts at {salted}");
    }
}

#[test]
fn the_kitchens_own_night_is_the_night() {
    // A galley that sleeps through the afternoon and works at night.
    let kitchen = Kitchen { asleep: vec![Hours("10:00".into(), "17:00".into())], ..Kitchen::default() };
    for hour in 0..24 {
        let mut dish = plan(json!({"cut": "shin", "method": "braise"}), json!({}));
        dish.serve_at = format!("2027-02-06T{hour:02}:30:00Z").parse().unwrap();
        let salted =
            task(&work_back(&dish, &kitchen, now()).unwrap(), "salt").start.to_zoned_datetime(jiff::tz::TimeZone::UTC);
        let minute = i32::from(salted.hour()) * 60 + i32::from(salted.minute());
        assert!(!(10 * 60 - 9..17 * 60).contains(&minute), "a bell at {hour}:30 salts at {salted}");
    }
}

#[test]
fn corned_meat_is_not_salted_again_and_no_sear_heats_no_pan() {
    let corned = sheet(json!({"cut": "corned_brisket", "method": "braise"}), json!({}));
    assert!(!has(&corned, TaskKind::Salt));
    let brined = json!({"prepare": {"brine": {"water_l": 3, "hours": 24}}});
    let brined = sheet(json!({"cut": "shin", "mass_kg": 2.0, "method": "braise"}), brined);
    let salted = task(&brined, "salt");
    assert!(salted.what.contains("salt into 3 L of cold water"), "{}", salted.what);
    assert!(
        minutes_between(salted.start, task(&brined, "heat_pan").start) > 20.0 * 60.0,
        "a brine's hours are its own"
    );
    let pale = sheet(json!({"cut": "shin", "method": "braise"}), json!({"prepare": {"sear": "none"}}));
    assert!(!has(&pale, TaskKind::Sear) && !has(&pale, TaskKind::HeatPan));
    assert_eq!(task(&pale, "deglaze").what, "Get the liquid hot", "nothing is seared, softened or deglazed");
    let onions = json!({"prepare": {"sear": "none", "ingredients": [{"what": "onion", "g": 200}]}});
    let onions = sheet(json!({"cut": "shin", "method": "braise"}), onions);
    assert_eq!(task(&onions, "deglaze").what, "Soften 200 g of onion in a film of fat");
}

#[test]
fn the_hob_needs_no_oven_lit_and_the_oven_is_hot_in_time() {
    let hob = sheet(json!({"cut": "shin", "method": "braise", "heat": {"source": "hob"}}), json!({}));
    assert!(!has(&hob, TaskKind::Preheat));
    let oven = sheet(json!({"cut": "shin", "method": "braise", "heat": {"set_c": 140}}), json!({}));
    let preheat = task(&oven, "preheat");
    assert_eq!(preheat.end, task(&oven, "braise").start);
    assert!(minutes_between(preheat.start, preheat.end) >= 20.0);
    assert!(preheat.what.contains("140 °C"));
}

#[test]
fn a_small_pan_means_more_batches_and_an_earlier_start() {
    let ribs = plan(
        json!({"cut": "short_rib", "mass_kg": 2.4, "pieces": 8, "size_mm": [50, 60, 100], "method": "braise"}),
        json!({}),
    );
    // Under a weak burner a large pan is no quicker: it is the heat that is short then, not the room.
    let with = |pan_cm| {
        let mut kitchen = Kitchen::default();
        kitchen.pans[0].measures.diameter_cm = pan_cm;
        kitchen.burners[0].measures.watts = 6000.0;
        work_back(&ribs, &kitchen, now()).unwrap()
    };
    let batches = |sheet: &Sheet| sheet.tasks.iter().filter(|task| task.kind == TaskKind::Sear).count();
    let (small, large) = (with(20.0), with(40.0));
    assert!(batches(&small) > batches(&large));
    assert!(task(&small, "sear_1").start < task(&large, "sear_1").start);
    assert_eq!(small.heat_on_at, large.heat_on_at, "the meat meets the heat when it did");
}

#[test]
fn looks_begin_at_two_thirds_and_stop_before_the_lifting() {
    for set_c in [95.0, 150.0] {
        let sheet = sheet(
            json!({"cut": "brisket_flat", "mass_kg": 3.0, "method": "braise", "heat": {"set_c": set_c}}),
            json!({}),
        );
        let looks: Vec<_> = sheet.tasks.iter().filter(|task| task.kind == TaskKind::Check).collect();
        let half = minutes_between(sheet.heat_on_at, sheet.ready[0].p50.unwrap());
        let first = minutes_between(sheet.heat_on_at, looks[0].start);
        assert!((first / half - 2.0 / 3.0).abs() < 0.03, "{first} of {half}");
        assert!(looks.len() >= 2 && looks.len() <= 7);
        assert!(looks.iter().all(|look| look.end <= sheet.lift_at));
        assert!(looks.windows(2).all(|pair| minutes_between(pair[0].start, pair[1].start) >= 30.0));
    }
}

#[test]
fn more_certainty_starts_sooner_and_its_chance_is_what_it_says() {
    let at = |certainty: f64| sheet(json!({"cut": "shin", "method": "braise"}), json!({"certainty": certainty}));
    let sheets = [0.6, 0.8, 0.95].map(at);
    assert!(sheets.windows(2).all(|pair| pair[1].heat_on_at < pair[0].heat_on_at));
    for (sheet, certainty) in sheets.iter().zip([0.6, 0.8, 0.95]) {
        let chance = sheet.ready[0].chance;
        assert!(chance >= certainty - 0.005 && chance < certainty + 0.12, "{chance} for {certainty}");
        let finishing = minutes_between(sheet.lift_at, sheet.served_at);
        assert!((finishing - sheet.finishing_min).abs() < 0.02 && sheet.served_at == sheet.serve_at);
    }
}

#[test]
fn the_finishing_follows_what_the_liquid_becomes() {
    let with = |target: &str, thickener: &str| {
        sheet(json!({"cut": "chuck", "method": "braise"}), json!({"target": target, "thickener": thickener}))
    };
    let (coat, glaze) = (with("coat", "cornflour"), with("glaze", "none"));
    assert!(task(&coat, "sauce").what.contains("cornflour"));
    assert!(task(&glaze, "sauce").what.contains("Boil it down") && glaze.finishing_min > coat.finishing_min);
    assert!(glaze.heat_on_at < coat.heat_on_at, "what takes longer at the end starts sooner");
    // Slices from a joint rest before the knife; chunks and what is pulled need none.
    let carved = sheet(json!({"cut": "chuck", "method": "braise", "eaten_as": "slice"}), json!({"target": "coat"}));
    let rest = task(&carved, "rest");
    assert!(minutes_between(rest.start, rest.end) >= 15.0 && rest.end == task(&carved, "slice").start);
    assert!(coat.tasks.iter().all(|task| task.id.to_string() != "rest"));
}

#[test]
fn a_bell_that_has_passed_is_answered_all_the_same() {
    let mut dish = plan(json!({"cut": "chuck", "method": "braise"}), json!({}));
    dish.serve_at = plus_minutes(now(), -300.0);
    let sheet = work_back(&dish, &Kitchen::default(), now()).unwrap();
    assert!(sheet.late_min > 400.0 && sheet.start_at >= now());
    assert!(sheet.remedies.iter().all(|remedy| !remedy.on_time));
    let last = sheet.remedies.last().unwrap();
    let again = work_back(&last.plan, &Kitchen::default(), plus_minutes(now(), 4.0)).unwrap();
    assert_eq!(again.late_min, 0.0, "a later bell still holds once it has been read and decided");
}

#[test]
fn a_kitchen_is_refused_by_the_field_that_is_wrong() {
    let pots = |pots| serde_json::from_value::<Kitchen>(json!({ "pots": pots })).unwrap();
    let wrong: [(&str, Kitchen); 9] = [
        ("name", Kitchen { name: " ".into(), ..Kitchen::default() }),
        ("zone", Kitchen { zone: "Lake/North".into(), ..Kitchen::default() }),
        ("altitude_m", Kitchen { altitude_m: f64::INFINITY, ..Kitchen::default() }),
        ("certainty", Kitchen { certainty: 1.0, ..Kitchen::default() }),
        ("pans[0].measures.diameter_cm", {
            let mut kitchen = Kitchen::default();
            kitchen.pans[0].measures.diameter_cm = 2.0;
            kitchen
        }),
        ("pots[0].measures.height_cm", pots(json!([{"id": "pot", "name": "Pot", "measures": {"height_cm": 900}}]))),
        ("pots[1].id", {
            let pot = json!({"id": "pot", "name": "Pot", "measures": {}});
            pots(json!([pot, pot]))
        }),
        ("pots[0].name", pots(json!([{"id": "pot", "name": "", "measures": {}}]))),
        ("ovens", Kitchen::default().with_only(&[])),
    ];
    for (field, kitchen) in wrong {
        assert_eq!(kitchen.check().unwrap_err().field, field);
    }
    assert!(Kitchen { units: Units::Us, ..Kitchen::default() }.check().is_ok());
}

#[test]
fn what_goes_in_later_and_comes_out_again_stands_on_the_sheet() {
    let prepare = json!({"strings": 3, "later": [{"what": "carrot", "g": 400}, {"what": "potato", "g": 900}, {"what": "soft_herbs", "g": 20}],
                         "ingredients": [{"what": "bay_leaf", "g": 1}]});
    let braise = sheet(json!({"cut": "shin", "method": "braise"}), json!({"prepare": prepare}));
    let added: Vec<_> = braise.tasks.iter().filter(|task| task.kind == TaskKind::Add).collect();
    assert_eq!(added.len(), 2, "herbs are for the plate");
    assert!(added[0].what.contains("potatoes") && added[1].what.contains("carrots"), "what needs longer goes in first");
    let lift = task(&braise, "lift");
    assert!(added.iter().all(|task| task.end <= lift.start && minutes_between(task.start, lift.start) < 45.0));
    assert!(lift.why.contains("3 strings") && lift.why.contains("bay leaves"), "{}", lift.why);
    // Under a locked lid nothing goes in: only once it has been opened.
    let pressed =
        sheet(json!({"cut": "shin", "method": "pressure", "heat": {"level": "high"}}), json!({"prepare": prepare}));
    let opened = task(&pressed, "braise").end;
    let added: Vec<_> = pressed.tasks.iter().filter(|task| task.kind == TaskKind::Add).collect();
    assert!(!added.is_empty() && added.iter().all(|task| task.start >= opened), "{added:?}");
}

#[test]
fn a_hob_of_one_burner_is_enough_for_one_pot_and_its_pan() {
    let kitchen = Kitchen::default();
    assert_eq!(kitchen.count(ergastic_core::kitchen::ThingKind::Burner), 1);
    let dish = plan(json!({"cut": "shin", "method": "braise", "heat": {"source": "hob"}}), json!({}));
    let sheet = work_back(&dish, &kitchen, now()).unwrap();
    assert!(sheet.conflicts.is_empty() && sheet.late_min == 0.0, "{:?}", sheet.conflicts);
}

#[test]
fn a_plan_made_in_the_night_begins_when_the_cook_gets_up() {
    let kitchen = Kitchen { asleep: vec![Hours("22:30".into(), "06:00".into())], ..Kitchen::default() };
    let mut dish = plan(json!({"cut": "shin", "method": "braise", "heat": {"source": "hob"}}), json!({}));
    dish.serve_at = "2027-02-04T19:00:00Z".parse().unwrap();
    let sheet = work_back(&dish, &kitchen, "2027-02-04T02:13:20Z".parse().unwrap()).unwrap();
    assert_eq!(sheet.late_min, 0.0, "{:?}", sheet.conflicts);
    assert!(sheet.start_at >= "2027-02-04T06:00:00Z".parse().unwrap(), "{}", sheet.start_at);
    assert!(task(&sheet, "salt").start > task(&sheet, "trim").start);
}
