//! A meal: several dishes back from one bell, on the hands and things there are, over nights and changes of the clock.

use std::collections::BTreeMap;
use std::fmt::Write as _;

use ergastic_core::clock::{minutes_between, spans, zone};
use ergastic_core::kitchen::{Lane, ThingKind};
use ergastic_core::meal::{MealSheet, MealTask, SheetRequest, WayChange, meal_sheet_anywhere};
use jiff::{Timestamp, ToSpan, ZonedDateTime};
use proptest::prelude::*;
use serde_json::{Value, json};

fn now() -> Timestamp {
    "2027-02-04T08:00:00Z".parse().unwrap()
}

fn asked(request: Value) -> SheetRequest {
    serde_json::from_value(request).unwrap()
}

fn sheet(request: Value) -> MealSheet {
    meal_sheet_anywhere(&asked(request), now()).unwrap()
}

fn clock(sheet: &MealSheet, at: Timestamp) -> String {
    at.to_zoned_datetime(zone("zone", &sheet.zone).unwrap()).strftime("%a %H:%M").to_string()
}

fn story(sheet: &MealSheet) -> String {
    let mut lines = format!(
        "start {}, plates {}, late {} min\n",
        clock(sheet, sheet.start_at),
        clock(sheet, sheet.served_at),
        sheet.late_min
    );
    for change in &sheet.clock_changes {
        writeln!(lines, "clocks: {}", change.text).unwrap();
    }
    for gave in &sheet.gave_way {
        writeln!(lines, "oven: {}", gave.text).unwrap();
    }
    for task in &sheet.tasks {
        let hands = if task.hands_on { "hands" } else { "     " };
        let minutes = minutes_between(task.start, task.end);
        writeln!(lines, "{} {minutes:>4.0} min {hands} {} {}", clock(sheet, task.start), task.number, task.what)
            .unwrap();
    }
    for conflict in &sheet.conflicts {
        writeln!(lines, "but: {}", conflict.text).unwrap();
    }
    for way in &sheet.ways_out {
        let meets = if way.on_time { " (meets the bell)" } else { "" };
        writeln!(lines, "or: {} → {}{meets}", way.text, clock(sheet, way.served_at)).unwrap();
    }
    lines
}

/// Four dishes for fourteen, two of them over the night in which the clocks go back.
fn lodge_supper() -> Value {
    json!({
        "zone": "Europe/Helsinki", "serve_at": "2027-10-31T18:30", "now": "2027-10-30T09:00", "certainty": 0.9,
        "kitchen": {"ovens": 1, "hobs": 4, "pits": 1, "pit_holds_itself": true, "pressure_pots": 1, "hands": 1, "pans": 1},
        "asleep": [["23:00", "06:30"]], "away": [["2027-10-31T10:00", "2027-10-31T11:30"]],
        "dishes": [
            {"name": "Lake-ice shin", "people": 14, "forecast": {"cut": "shin", "mass_kg": 3.0, "method": "braise", "eaten_as": "fork"},
             "prepare": {"salt_h": 12, "sear": "hard"}, "sides": [{"what": "potatoes", "min": 25}]},
            {"name": "Night pit brisket", "people": 14,
             "forecast": {"cut": "brisket", "mass_kg": 5.0, "method": "smoke", "heat": {"pit_c": 110, "wrap": {"in": "paper"}}}},
            {"name": "Bagged plate rib", "people": 14,
             "forecast": {"cut": "plate_rib", "mass_kg": 2.0, "method": "water_bath", "heat": {"bath_c": 82}}},
            {"name": "Cheeks in red wine", "people": 14, "forecast": {"cut": "cheek", "mass_kg": 2.0, "method": "braise", "heat": {"set_c": 140}},
             "prepare": {"marinate_h": 12, "sear": "light"}}
        ],
    })
}

#[test]
fn four_dishes_through_the_night_the_clocks_change_read_as_one_sheet() {
    let supper = sheet(lodge_supper());
    assert_sound(&supper, &lodge_supper());
    assert_eq!(supper.late_min, 0.0);
    assert_eq!(supper.clock_changes.len(), 1);
    assert!(supper.conflicts.is_empty(), "it is pinned up as it stands: {:?}", supper.conflicts);
    insta::assert_snapshot!(story(&supper));
}

/// What counts against a kind of thing, by lane.
fn counted(lane: Lane) -> Option<ThingKind> {
    ThingKind::of_lane(lane).filter(|kind| ![ThingKind::Burner, ThingKind::Coals].contains(kind))
}

/// The laws of a meal: what breaks one stands among its conflicts.
fn assert_sound(sheet: &MealSheet, request: &Value) {
    let excused = |tasks: &[&MealTask]| {
        sheet.conflicts.iter().any(|conflict| tasks.iter().any(|task| conflict.tasks.contains(&task.id)))
    };
    let hands = request["kitchen"]["hands"].as_u64().unwrap_or(1) as usize;
    let by_id: BTreeMap<&str, &MealTask> = sheet.tasks.iter().map(|task| (task.id.as_str(), task)).collect();
    assert_eq!(by_id.len(), sheet.tasks.len(), "every task has a name of its own");
    let in_zone = zone("zone", &sheet.zone).unwrap();
    let hours = |field: &str| {
        let given = serde_json::from_value(request[field].clone()).unwrap_or_default();
        let given: Vec<ergastic_core::clock::Hours> = given;
        spans(field, &given, sheet.start_at, sheet.served_at, &in_zone).unwrap()
    };
    let away = [hours("asleep"), hours("away")].concat();
    let overlaps = |a: &MealTask, from: Timestamp, to: Timestamp| a.start < to && from < a.end;
    for task in &sheet.tasks {
        assert!(task.start <= task.end, "{}", task.id);
        assert!(task.start >= sheet.now || excused(&[task]), "{} starts before now", task.id);
        for before in &task.after {
            let before = by_id.get(before.as_str()).unwrap_or_else(|| panic!("{} comes after {before}", task.id));
            assert!(before.end <= task.start || excused(&[task, before]), "{} must come after {}", task.id, before.id);
        }
        if !task.hands_on {
            continue;
        }
        let clash = away.iter().find(|away| overlaps(task, away.begin, away.end));
        assert!(clash.is_none() || excused(&[task]), "{} at {} with nobody there", task.id, clock(sheet, task.start));
        let busy: Vec<_> = sheet
            .tasks
            .iter()
            .filter(|other| other.hands_on && other.start <= task.start && task.start < other.end)
            .collect();
        assert!(busy.len() <= hands || excused(&busy), "{} hands at {}", busy.len(), clock(sheet, task.start));
    }
    for task in &sheet.tasks {
        let Some(kind) = counted(task.lane).filter(|_| !task.hands_on && task.start < task.end) else { continue };
        let there: Vec<_> = sheet
            .tasks
            .iter()
            .filter(|other| other.lane == task.lane && !other.hands_on)
            .filter(|other| other.start <= task.start && task.start < other.end)
            .collect();
        let mut used: Vec<String> = match task.lane {
            // Dishes at one setting share an oven, a pit or a bath; a pot or a cooker holds one.
            _ if kind.has_one_setting() => there.iter().map(|task| format!("{:?}", task.set_c)).collect(),
            _ => there.iter().map(|task| task.number.to_string()).collect(),
        };
        used.sort();
        used.dedup();
        let count = request["kitchen"][kind.list()].as_u64().unwrap_or(1) as usize;
        assert!(used.len() <= count || excused(&there), "{used:?} in {count} {kind:?} at {}", clock(sheet, task.start));
    }
    let last = sheet.tasks.iter().map(|task| task.end).max().unwrap();
    let plates: Vec<_> = sheet.tasks.iter().filter(|task| task.end == last).collect();
    // Where nobody is up at the bell, plates wait for it a little.
    let waits = minutes_between(last, sheet.served_at);
    assert!((0.0..=40.0).contains(&waits) || excused(&plates), "the last plate waits {waits} min for the bell");
    assert!((minutes_between(sheet.serve_at, sheet.served_at).max(0.0) - sheet.late_min).abs() < 1e-6);
}

/// Ways a dish of a meal can be cooked.
const WAYS: [&str; 9] = [
    r#"{"cut": "shin", "method": "braise", "heat": {"set_c": 150}}"#,
    r#"{"cut": "chuck", "method": "braise", "heat": {"set_c": 165}}"#,
    r#"{"cut": "cheek", "method": "stew"}"#,
    r#"{"cut": "short_rib", "method": "braise", "heat": {"source": "coals"}}"#,
    r#"{"cut": "oxtail", "method": "pressure"}"#,
    r#"{"cut": "brisket", "method": "smoke", "heat": {"pit_c": 120, "wrap": {"in": "paper"}}}"#,
    r#"{"cut": "round", "method": "slow_cooker"}"#,
    r#"{"cut": "blade", "method": "water_bath", "heat": {"bath_c": 85}}"#,
    r#"{"cut": "chuck", "stages": [{"method": "braise", "until": {"tender": true}}, {"method": "chill", "until": {"min": 600}}, {"method": "reheat"}]}"#,
];

/// Benches a dish of a meal can have.
const BENCHES: [&str; 7] = [
    "{}",
    r#"{"salt_h": 24, "trim": "close", "strings": 3}"#,
    r#"{"marinate_h": 18, "temper_min": 30}"#,
    r#"{"brine": {"water_l": 3, "hours": 20}, "sear": "none"}"#,
    r#"{"clear": true, "sear": "none", "later": [{"what": "potato", "g": 600}, {"what": "dumplings", "g": 300}]}"#,
    r#"{"day_before": true, "flour": true}"#,
    r#"{"soak": {"changes": 3, "water_l": 4, "hours_each": 2}, "salt_pct": 0}"#,
];

proptest! {
    #![proptest_config(ProptestConfig::with_cases(48))]

    #[test]
    fn every_meal_is_sound(
        dishes in prop::collection::vec((0usize..WAYS.len(), 0usize..BENCHES.len(), 0.8..3.0f64, 0usize..3), 1..5),
        hours in 2i64..80, hands in 1u64..4, in_zone in 0usize..4, day in 0usize..4, ovens in 1u64..3, asleep in any::<bool>(),
    ) {
        let zones = ["Europe/Helsinki", "America/New_York", "Asia/Kathmandu", "Australia/Lord_Howe"];
        let days = ["2027-02-04T08:00:00Z", "2027-03-27T20:00:00Z", "2027-10-30T13:00:00Z", "2027-04-03T03:00:00Z"];
        let now: Timestamp = days[day].parse().unwrap();
        let dishes: Vec<Value> = dishes
            .iter()
            .map(|(way, bench, kilos, sides)| {
                let mut forecast: Value = serde_json::from_str(WAYS[*way]).unwrap();
                forecast["mass_kg"] = json!(kilos);
                forecast["members"] = json!(32);
                let prepare: Value = serde_json::from_str(BENCHES[*bench]).unwrap();
                let sides: Vec<Value> = (0..*sides).map(|i| json!({"what": "roots", "min": 20 + 10 * i})).collect();
                json!({"forecast": forecast, "prepare": prepare, "sides": sides})
            })
            .collect();
        let asleep = if asleep { json!([["22:30", "06:15"]]) } else { json!([]) };
        let request = json!({
            "zone": zones[in_zone], "now": now, "serve_at": now + jiff::SignedDuration::from_hours(hours),
            "kitchen": {"hands": hands, "ovens": ovens, "pit_holds_itself": hours % 2 == 0}, "asleep": asleep, "dishes": dishes,
        });
        match meal_sheet_anywhere(&asked(request.clone()), now) {
            Ok(sheet) => assert_sound(&sheet, &request),
            // What does not become tender, or does not go into its vessel, is refused by its field.
            Err(error) => prop_assert!(error.field.starts_with("dishes["), "{}", error),
        }
    }
}

/// A braise for eight, a day ahead.
fn shin() -> Value {
    json!({
        "zone": "Europe/Helsinki", "serve_at": "2027-02-06T18:30", "now": "2027-02-05T08:00", "asleep": [["23:00", "06:30"]],
        "kitchen": {"ovens": 1, "hobs": 4, "pans": 1, "hands": 1},
        "dishes": [{"name": "Lake-ice shin", "people": 8,
            "forecast": {"cut": "shin", "mass_kg": 2.4, "method": "braise", "eaten_as": "fork", "members": 64},
            "prepare": {"salt_h": 12, "sear": "hard"}, "sides": [{"what": "potato", "min": 20}]}],
    })
}

#[test]
fn a_later_bell_that_is_offered_is_kept_whatever_the_hour() {
    // Two hours are too few for shin; late in the day what is begun is tender in the night, with nobody up to lift it.
    let mut through_the_night = 0;
    for hour in 0..24 {
        let mut request = shin();
        request["asleep"] = json!([["22:00", "06:30"]]);
        let now = "2027-02-05T00:10:00[Europe/Helsinki]".parse::<ZonedDateTime>().unwrap() + hour.hours();
        request["now"] = now.strftime("%FT%R").to_string().into();
        request["serve_at"] = (now.clone() + 2.hours()).strftime("%FT%R").to_string().into();
        let late = sheet(request.clone());
        let Some(WayChange::ServeAt { serve_at }) = late.ways_out.last().map(|way| way.change.clone()) else {
            panic!("at {now} no later bell is offered");
        };
        through_the_night += u32::from(late.conflicts.len() > 1);
        request["now"] = (now.clone() + 4.minutes()).strftime("%FT%R").to_string().into();
        request["serve_at"] = serve_at.to_zoned_datetime(now.time_zone().clone()).strftime("%FT%R").to_string().into();
        let kept = sheet(request);
        assert!(kept.late_min == 0.0 && kept.conflicts.is_empty(), "at {now}: {:?}", kept.conflicts);
    }
    assert!(through_the_night > 0, "no hour of the day was a hard one");
}

fn pinned(pins: Value) -> MealSheet {
    let mut request = shin();
    request["pins"] = pins;
    sheet(request)
}

fn of<'a>(sheet: &'a MealSheet, id: &str) -> &'a MealTask {
    sheet.tasks.iter().find(|task| task.id == id).unwrap_or_else(|| panic!("no {id}"))
}

#[test]
fn what_is_pinned_stays_and_the_rest_gives_way_on_both_sides() {
    let free = sheet(shin());
    let noon: Timestamp = "2027-02-06T08:00:00Z".parse().unwrap();
    let early = pinned(json!([{"task": "1-sear_1", "at": "2027-02-06T10:00"}]));
    assert!(of(&free, "1-sear_1").start > noon);
    let sear = of(&early, "1-sear_1");
    assert_eq!((sear.start, sear.pinned, early.late_min), (noon, true, 0.0));
    assert!(of(&early, "1-take_out").end <= sear.start && of(&early, "1-simmer").start >= sear.end);
    assert_eq!(of(&early, "1-lift").start, of(&free, "1-lift").start, "it waits hot: the bell stays");
    // What has to follow a late pin follows it, and the bell says by how much.
    let late = pinned(json!([{"task": "1-simmer", "at": "2027-02-06T16:00"}]));
    assert!(late.late_min > 60.0 && of(&late, "1-lift").start > of(&late, "1-simmer").end);
    assert!(
        late.conflicts.iter().all(|conflict| conflict.tasks.contains(&"1-serve".to_owned())),
        "{:?}",
        late.conflicts
    );
    // A pin that leaves no time for what comes before it is a promise broken, not a later supper.
    let at_once = pinned(json!([{"task": "1-sear_1", "at": "2027-02-05T08:01"}]));
    assert_eq!(at_once.late_min, 0.0);
    assert!(
        at_once.conflicts.iter().any(|conflict| conflict.tasks.contains(&"1-sear_1".to_owned())),
        "{:?}",
        at_once.conflicts
    );
    assert!(at_once.tasks.iter().filter(|task| task.hands_on).all(|task| task.start >= at_once.now));
}

#[test]
fn a_task_takes_as_long_as_its_cook_says() {
    let (free, slow) =
        (sheet(shin()), pinned(json!([{"task": "1-sear_1", "min": 40}, {"task": "1-slice", "min": 20}])));
    let takes = |sheet: &MealSheet, id: &str| minutes_between(of(sheet, id).start, of(sheet, id).end);
    assert_eq!((takes(&slow, "1-sear_1"), takes(&slow, "1-slice")), (40.0, 20.0));
    assert!(of(&slow, "1-sear_1").own_min == Some(40.0) && of(&free, "1-sear_1").own_min.is_none());
    assert!(of(&slow, "1-sear_2").start >= of(&slow, "1-sear_1").end);
    assert!(of(&slow, "1-lift").start < of(&free, "1-lift").start && slow.late_min == 0.0);
}

#[test]
fn a_pin_that_means_nothing_is_named() {
    let mut request = shin();
    for (pins, field) in [
        (json!([{"task": "2-lift", "at": "2027-02-06T16:00"}]), "pins[0].task"),
        (json!([{"task": "1-nonsense", "at": "2027-02-06T16:00"}]), "pins[0].task"),
        (json!([{"task": "1-braise", "at": "2027-02-06T16:00"}]), "pins[0].task"),
        (json!([{"task": "1-lift", "at": "tomorrow"}]), "pins[0].at"),
        (json!([{"task": "1-lift", "min": 0}]), "pins[0].min"),
    ] {
        request["pins"] = pins;
        let error = meal_sheet_anywhere(&asked(request.clone()), now()).unwrap_err();
        assert_eq!(error.field, field, "{error}");
    }
}

#[test]
fn a_wrap_that_would_fall_at_night_is_put_on_when_somebody_is_up() {
    let mut request = lodge_supper();
    let brisket = request["dishes"][1].clone();
    request["dishes"] = json!([brisket]);
    let supper = sheet(request);
    let wrap = of(&supper, "1-wrap");
    let hour: u32 = clock(&supper, wrap.start)[4..6].parse().unwrap();
    assert!((6..23).contains(&hour), "{}", clock(&supper, wrap.start));
    assert!(supper.conflicts.is_empty(), "{:?}", supper.conflicts);
}
