//! From a plan to plates: the sheet worked back from the bell, and the cook folded from what happened.

use ergastic_core::clock::{minutes_between, plus_minutes};
use ergastic_core::cook::{CookView, Event, Happened, Outcome, Status, TaskState, view};
use ergastic_core::cuts::Cut;
use ergastic_core::forecast::ForecastRequest;
use ergastic_core::kitchen::{Kitchen, ThingKind};
use ergastic_core::plan::Plan;
use ergastic_core::sheet::{Sheet, Task, TaskId, work_back};
use ergastic_core::tender::Check;
use ergastic_core::ways::presets;
use ergastic_words::Units;
use jiff::Timestamp;
use jiff::tz::TimeZone;
use proptest::prelude::*;
use serde_json::{Value, json};
use uuid::Uuid;

fn at(text: &str) -> Timestamp {
    text.parse().unwrap()
}

fn shin(serve_at: &str) -> Plan {
    serde_json::from_value(json!({
        "name": "Lake-ice shin", "people": 8, "serve_at": serve_at,
        "forecast": {"cut": "shin", "mass_kg": 2.4, "method": "braise", "eaten_as": "fork", "members": 400},
    }))
    .unwrap()
}

fn clock(instant: Timestamp) -> String {
    instant.to_zoned_datetime(TimeZone::UTC).strftime("%a %H:%M").to_string()
}

fn story(sheet: &Sheet) -> String {
    let mut lines = format!(
        "start {}, lift {}, plates {}, late {} min\n",
        clock(sheet.start_at),
        clock(sheet.lift_at),
        clock(sheet.served_at),
        sheet.late_min
    );
    for task in &sheet.tasks {
        let hands = if task.hands_on { "hands" } else { "     " };
        lines += &format!(
            "{} {:>4.0} min {hands} {}\n",
            clock(task.start),
            minutes_between(task.start, task.end),
            task.what
        );
    }
    for remedy in &sheet.remedies {
        lines += &format!(
            "or: {} → {}{}\n",
            remedy.text,
            clock(remedy.served_at),
            if remedy.on_time { " (meets the bell)" } else { "" }
        );
    }
    lines
}

/// The usual preset of each method: its name, and its method with its heat.
fn usual_ways() -> Vec<(&'static str, Value)> {
    let usual = presets(Units::Metric).into_iter().filter(|preset| preset.usual);
    usual.map(|preset| (preset.method.key(), json!({"method": preset.method, "heat": preset.heat}))).collect()
}

/// A kitchen in which there is one of everything at the least.
fn with_everything() -> Kitchen {
    Kitchen::default().with_only(&ThingKind::ALL)
}

/// Each way's own words from the bench to the plate: what a cook would read out.
#[test]
fn every_way_is_told_in_its_own_words() {
    let usual = usual_ways().into_iter().map(|(name, mut forecast)| {
        forecast["cut"] = json!("chuck");
        forecast["mass_kg"] = json!(1.4);
        (name, forecast)
    });
    let more = [
        (
            "pit in paper",
            json!({"cut": "brisket", "mass_kg": 5.5, "method": "smoke", "heat": {"pit_c": 110, "wrap": {"in": "paper"}}}),
        ),
        (
            "smoked, then bagged",
            json!({"cut": "plate_rib", "mass_kg": 2.6, "eaten_as": "spoon", "stages": [
            {"method": "smoke", "heat": {"pit_c": 135}, "until": {"min": 240}},
            {"method": "water_bath", "heat": {"bath_c": 85}, "until": {"tender": true}}]}),
        ),
    ];
    let mut told = String::new();
    for (name, forecast) in usual.chain(more) {
        let plan: Plan = serde_json::from_value(json!({
            "name": name, "people": 6, "serve_at": "2027-02-07T18:00:00Z", "forecast": forecast,
        }))
        .unwrap();
        let sheet = work_back(&plan, &with_everything(), at("2027-02-04T08:00:00Z")).unwrap();
        told += &format!("== {name}\n{}\n", story(&sheet));
    }
    insta::assert_snapshot!(told);
}

/// The laws of a sheet: hands never in two places, order kept, plates at the bell.
fn assert_sound(sheet: &Sheet) {
    let mut hands: Vec<&Task> = sheet.tasks.iter().filter(|task| task.hands_on).collect();
    hands.sort_by_key(|task| task.start);
    for pair in hands.windows(2) {
        assert!(pair[0].end <= pair[1].start, "{} overlaps {}", pair[0].id, pair[1].id);
    }
    for task in &sheet.tasks {
        assert!(task.start <= task.end, "{}", task.id);
        for before in &task.after {
            let before = sheet
                .tasks
                .iter()
                .find(|other| &other.id == before)
                .unwrap_or_else(|| panic!("{} comes after {before}", task.id));
            assert!(before.end <= task.start, "{} must come after {}", task.id, before.id);
        }
    }
    assert_eq!(sheet.tasks.iter().find(|task| task.id == TaskId::Serve).unwrap().end, sheet.served_at);
}

#[test]
fn saturdays_shin_reads_as_a_sheet() {
    let sheet = work_back(&shin("2027-02-06T16:30:00Z"), &Kitchen::default(), at("2027-02-05T08:00:00Z")).unwrap();
    assert_sound(&sheet);
    assert_eq!(sheet.late_min, 0.0);
    let ready = &sheet.ready[0];
    assert!(ready.p90.unwrap() <= sheet.lift_at && ready.chance >= 0.9);
    insta::assert_snapshot!(story(&sheet));
}

#[test]
fn too_late_says_so_and_what_would_meet_the_bell() {
    let sheet = work_back(&shin("2027-02-06T16:30:00Z"), &Kitchen::default(), at("2027-02-06T13:40:00Z")).unwrap();
    assert_sound(&sheet);
    assert!(sheet.late_min > 60.0);
    assert!(sheet.remedies.windows(2).all(|pair| pair[0].served_at <= pair[1].served_at));
    // Each remedy is a real plan: working it back comes out where it says.
    for remedy in &sheet.remedies {
        let again = work_back(&remedy.plan, &Kitchen::default(), at("2027-02-06T13:40:00Z")).unwrap();
        assert!(again.served_at <= plus_minutes(remedy.served_at.max(remedy.plan.serve_at), 6.0), "{}", remedy.text);
        assert_eq!(remedy.on_time, again.late_min == 0.0 && remedy.plan.serve_at == sheet.serve_at, "{}", remedy.text);
    }
    insta::assert_snapshot!(story(&sheet));
}

/// Ways a sheet can be laid for: all that are offered, and what they do not come to by themselves.
fn ways() -> Vec<Value> {
    let offered = presets(Units::Metric).into_iter();
    let more = [
        json!({"method": "braise", "heat": {"source": "oven", "set_c": 98}}),
        json!({"stages": [{"method": "smoke", "heat": {"pit_c": 120}, "until": {"min": 180}}, {"method": "water_bath"}]}),
        json!({"stages": [{"method": "braise", "until": {"tender": true}}, {"method": "chill", "until": {"min": 600}}, {"method": "reheat"}]}),
    ];
    offered.map(|preset| json!({"method": preset.method, "heat": preset.heat})).chain(more).collect()
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(48))]

    #[test]
    fn every_sheet_is_sound(cut in 0usize..24, hours in 1.0..60.0f64, kilos in 0.4..4.0f64, way in prop::sample::select(ways())) {
        let cut = Cut::all()[cut].cut;
        let now = at("2027-02-05T08:00:00Z");
        let mut plan = shin("2027-02-06T16:30:00Z");
        plan.serve_at = plus_minutes(now, hours * 60.0);
        plan.prepare = serde_json::from_value(json!({
            "later": [{"what": "potato", "g": 900}, {"what": "carrot", "g": 400}, {"what": "peas", "g": 200}],
        }))
        .unwrap();
        let way: ForecastRequest = serde_json::from_value(way).unwrap();
        plan.forecast = ForecastRequest {
            cut: Some(cut), mass_kg: Some(kilos), members: Some(32), ..way
        };
        // What does not become tender is refused by its field, as is what does not go into its vessel.
        let sheet = match work_back(&plan, &Kitchen::default(), now) {
            Ok(sheet) => sheet,
            Err(error) => {
                prop_assert!(error.field.starts_with("forecast"), "{}", error);
                return Ok(());
            }
        };
        assert_sound(&sheet);
        let early: Vec<_> = sheet.tasks.iter().filter(|task| task.start < now).map(|task| task.id).collect();
        prop_assert!(early.is_empty(), "{:?} before now, late {} min", early, sheet.late_min);
        prop_assert!(sheet.late_min > 0.0 || sheet.served_at == plan.serve_at);
        prop_assert_eq!(sheet.late_min > 0.0, !sheet.remedies.is_empty());
    }
}

struct Cooking {
    plan: Plan,
    opened: Timestamp,
    events: Vec<Event>,
}

impl Cooking {
    fn new() -> Self {
        Self { plan: shin("2027-02-06T16:30:00Z"), opened: at("2027-02-05T08:00:00Z"), events: Vec::new() }
    }

    fn happened(&mut self, when: &str, happened: Happened) -> Uuid {
        let id = Uuid::from_u128(self.events.len() as u128 + 1);
        self.events.push(Event { id, at: at(when), happened, device: None });
        id
    }

    fn view(&self, now: &str) -> CookView {
        view(&self.plan, &Kitchen::default(), self.opened, &self.events, &[], at(now)).unwrap()
    }
}

#[test]
fn a_cook_is_folded_from_what_happened() {
    let mut cook = Cooking::new();
    let before = cook.view("2027-02-05T21:00:00Z");
    assert_eq!((before.status, before.now_task), (Status::Before, Some(TaskId::Trim)));
    cook.happened("2027-02-05T20:50:00Z", Happened::TaskDone { task: "trim".into() });
    assert_eq!(cook.view("2027-02-05T21:00:00Z").now_task, Some(TaskId::Salt));
    cook.happened("2027-02-05T21:00:00Z", Happened::TaskDone { task: "salt".into() });
    cook.happened("2027-02-06T11:00:00Z", Happened::OnTheHeat {});
    let rising = cook.view("2027-02-06T11:01:00Z");
    assert_eq!(rising.now_task, Some(TaskId::Simmer), "the meat is in, and comes to its simmer");
    let under_way = cook.view("2027-02-06T11:40:00Z");
    assert_eq!(under_way.status, Status::UnderWay);
    let state = |view: &CookView, id: TaskId| view.tasks.iter().find(|task| task.task.id == id).unwrap().state;
    assert_eq!(state(&under_way, TaskId::Sear(1)), TaskState::Passed);
    assert_eq!(state(&under_way, TaskId::Simmer), TaskState::Passed);
    assert_eq!(under_way.now_task, Some(TaskId::Braise));
    assert_eq!(under_way.next_task, Some(TaskId::Check(1)));

    let p50 = |view: &CookView| view.band.ready.p50.unwrap();
    cook.happened("2027-02-06T13:30:00Z", Happened::Check { found: Check::Firm, by: None });
    let firm = cook.view("2027-02-06T13:31:00Z");
    assert!(p50(&firm) > p50(&under_way), "a firm piece late on is a slow piece");
    assert_eq!(state(&firm, TaskId::Check(1)), TaskState::Done);

    let soft = cook.happened("2027-02-06T15:00:00Z", Happened::Check { found: Check::Fork, by: None });
    let tender = cook.view("2027-02-06T15:01:00Z");
    assert_eq!((tender.status, tender.tender_at), (Status::Tender, Some(at("2027-02-06T15:00:00Z"))));
    assert_eq!(tender.served_at, cook.plan.serve_at);

    let undo = cook.happened("2027-02-06T15:02:00Z", Happened::Undone { event: soft });
    assert_eq!(cook.view("2027-02-06T15:03:00Z").status, Status::UnderWay);
    cook.happened("2027-02-06T15:03:00Z", Happened::Undone { event: undo });
    assert_eq!(cook.view("2027-02-06T15:04:00Z").status, Status::Tender, "an undo can be undone");

    cook.happened("2027-02-06T16:40:00Z", Happened::Closed { outcome: Outcome::default() });
    let closed = cook.view("2027-02-07T09:00:00Z");
    assert_eq!(closed.status, Status::Closed);
    assert_eq!(closed.prediction.took_min, Some(240.0));
    assert_eq!(closed, cook.view("2027-03-07T09:00:00Z"), "a closed cook no longer moves with the clock");
}

#[test]
fn a_cook_that_runs_late_moves_its_plates_and_says_so() {
    let mut cook = Cooking::new();
    cook.happened("2027-02-06T14:00:00Z", Happened::OnTheHeat {});
    let late = cook.view("2027-02-06T14:10:00Z");
    assert!(
        late.late_min > 30.0 && late.served_at > cook.plan.serve_at && late.words.contains("after the bell"),
        "{late:?}"
    );
}

/// Matched, planned, laid, cooked by its timetable, finished and explained: every method.
#[test]
fn every_method_goes_from_the_block_to_the_plate() {
    let kitchen = with_everything();
    for (method, mut forecast) in usual_ways() {
        forecast["cut"] = json!("chuck");
        forecast["mass_kg"] = json!(1.4);
        forecast["members"] = json!(32);
        let plan: Plan = serde_json::from_value(json!({
            "name": "Lake-ice chuck", "people": 4, "serve_at": "2027-02-07T16:30:00Z", "forecast": forecast,
        }))
        .unwrap();
        let opened = at("2027-02-05T08:00:00Z");
        let sheet = work_back(&plan, &kitchen, opened).unwrap();
        assert_sound(&sheet);
        let kept = plan.frozen(&kitchen);
        let mut events = Vec::new();
        let mut happened = |at: Timestamp, happened: Happened| {
            events.push(Event { id: Uuid::from_u128(events.len() as u128 + 1), at, happened, device: None });
        };
        for task in sheet.tasks.iter().filter(|task| task.end <= sheet.heat_on_at && task.id != TaskId::Simmer) {
            happened(task.end, Happened::TaskDone { task: task.id.to_string() });
        }
        happened(sheet.heat_on_at, Happened::OnTheHeat {});
        let tender = sheet.ready[0].p50.unwrap();
        happened(tender, Happened::Check { found: Check::Fork, by: None });
        let cooked = view(&kept, &kitchen, opened, &events, &[], tender).unwrap();
        assert_eq!((cooked.status, cooked.served_at), (Status::Tender, plan.serve_at), "{method}");
        assert!(cooked.now_task.is_some() && !cooked.words.is_empty(), "{method}");
        let closed = Happened::Closed { outcome: Outcome::default() };
        events.push(Event { id: Uuid::from_u128(999), at: sheet.served_at, happened: closed, device: None });
        let eaten = view(&kept, &kitchen, opened, &events, &[], sheet.served_at).unwrap();
        assert_eq!(eaten.status, Status::Closed, "{method}");
        assert_eq!(eaten.prediction.took_min, Some(minutes_between(sheet.heat_on_at, tender)), "{method}");
        let why = plan.why(&kitchen).unwrap();
        assert_eq!(why.ways.iter().filter(|way| way.chosen).count(), 1, "{method}: {:?}", why.ways.len());
    }
}
