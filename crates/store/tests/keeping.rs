//! What is stored comes back, once, and survives reopening, a full disk and many who write at once.

use ergastic_core::cook::{Event, Happened};
use ergastic_core::kitchen::{Kitchen, Units};
use ergastic_core::plan::Plan;
use ergastic_store::{Appended, Document, Error, Reading, Staged, Store, Summary, Trashable, Trouble, in_spoken_names};
use jiff::{SignedDuration, Timestamp};
use serde::Serialize;
use serde::de::DeserializeOwned;
use serde_json::{Value, json};
use uuid::Uuid;

const COOK: Uuid = Uuid::from_u128(7);

fn plan(name: &str) -> Plan {
    serde_json::from_value(serde_json::json!({"name": name, "serve_at": "2027-02-06T16:30:00Z", "forecast": {"cut": "shin", "method": "braise"}})).unwrap()
}

fn now() -> Timestamp {
    "2027-02-05T08:00:00Z".parse().unwrap()
}

fn note(id: u128, text: &str) -> Event {
    Event { id: Uuid::from_u128(id), at: now(), happened: Happened::Note { text: text.into() }, device: None }
}

fn shown(name: &str) -> Summary {
    let line = format!("{{\"name\": \"{name}\"}}");
    Summary { document: line.clone(), line, closed: true, day: now(), reckoned: true }
}

fn reading(id: u128, minute: i64) -> Reading {
    Reading { id: Uuid::from_u128(id), at: now() + SignedDuration::from_mins(minute), celsius: 61.5 }
}

async fn with_cook() -> Store {
    let store = Store::temporary().await.unwrap();
    store.save_plan(Uuid::from_u128(1), 0, &plan("One"), now()).await.unwrap();
    store.open_cook(COOK, Uuid::from_u128(1), &plan("One"), now(), &shown("One")).await.unwrap();
    store
}

async fn readings(store: &Store, probe: &str) -> Vec<Reading> {
    let mut some = store.readings(probe, Timestamp::MIN, Timestamp::MAX);
    let mut all = Vec::new();
    while let Some(batch) = some.recv().await {
        all.extend(batch.unwrap());
    }
    all
}

async fn export(store: &Store) -> serde_json::Value {
    let mut pieces = store.export(|_| {});
    let mut text = Vec::new();
    while let Some(piece) = pieces.recv().await {
        text.extend(piece.unwrap());
    }
    serde_json::from_slice(&text).unwrap()
}

/// A file of its own, and the store on it.
async fn on_disk() -> (std::path::PathBuf, Store) {
    let folder = std::env::temp_dir().join(format!("ergastic-store-{}", Uuid::new_v4()));
    std::fs::create_dir_all(&folder).unwrap();
    let file = folder.join("kitchen.sqlite");
    let store = Store::open(&file).await.unwrap();
    (file, store)
}

fn remove(file: &std::path::Path) {
    std::fs::remove_dir_all(file.parent().unwrap()).unwrap();
}

async fn names(store: &Store) -> Vec<String> {
    store.probes().await.unwrap().into_iter().map(|probe| probe.name).collect()
}

#[tokio::test]
async fn plans_keep_versions_and_refuse_to_be_saved_over() {
    let store = Store::temporary().await.unwrap();
    let id = Uuid::from_u128(1);
    assert_eq!(store.save_plan(id, 0, &plan("One"), now()).await.unwrap().0.version, 1);
    assert_eq!(
        store.save_plan(id, 0, &plan("One"), now()).await.unwrap().0.version,
        1,
        "a repeated save does nothing twice"
    );
    assert_eq!(store.save_plan(id, 1, &plan("Two"), now()).await.unwrap().0.version, 2);
    let conflict = store.save_plan(id, 1, &plan("Three"), now()).await.unwrap_err();
    assert!(matches!(conflict, Error::Conflict { given: 1, current: 2 }));
    assert_eq!(store.plan(id).await.unwrap().plan.name, "Two");
    assert!(matches!(store.plan(Uuid::from_u128(9)).await, Err(Error::NotFound { .. })));
    // Every version stays, the newest first, and none of another plan.
    store.save_plan(Uuid::from_u128(2), 0, &plan("Other"), now()).await.unwrap();
    let numbers: Vec<_> = store.plan_versions(id).await.unwrap().into_iter().map(|(version, _)| version).collect();
    assert_eq!(numbers, [2, 1]);
    assert_eq!(store.plan_version(id, 1).await.unwrap().plan.name, "One");
    assert!(matches!(store.plan_version(id, 3).await, Err(Error::NotFound { what: "version", .. })));
    assert!(matches!(store.plan_versions(Uuid::from_u128(9)).await, Err(Error::NotFound { .. })));
}

#[tokio::test]
async fn events_are_stored_once_and_survive_reopening() {
    let (file, store) = on_disk().await;
    assert!(matches!(store.append(COOK, 0, &[note(1, "a")], &shown("a")).await, Err(Error::NotFound { .. })));
    store.open_cook(COOK, Uuid::from_u128(1), &plan("One"), now(), &shown("One")).await.unwrap();
    let both = [note(1, "a"), note(2, "b")];
    assert_eq!(store.append(COOK, 0, &both, &shown("b")).await.unwrap().0, Appended { stored: 2, repeated: 0 });
    assert!(matches!(store.append(COOK, 0, &[note(3, "c")], &shown("c")).await, Err(Error::Moved)));
    let seq = store.cook(COOK).await.unwrap().seq;
    let more = [note(2, "b"), note(3, "c")];
    assert_eq!(store.append(COOK, seq, &more, &shown("c")).await.unwrap().0, Appended { stored: 1, repeated: 1 });
    store.close().await;
    let store = Store::open(&file).await.unwrap();
    assert_eq!(store.cook(COOK).await.unwrap().events, [note(1, "a"), note(2, "b"), note(3, "c")]);
    assert_eq!(store.cook_list().await.unwrap(), r#"[{"name": "c"}]"#);
    store.close().await;
    remove(&file);
}

#[tokio::test]
async fn an_event_of_another_cook_is_refused_and_nothing_beside_it_is_kept() {
    let store = with_cook().await;
    store.append(COOK, 0, &[note(1, "a")], &shown("a")).await.unwrap();
    let other = Uuid::from_u128(8);
    store.open_cook(other, Uuid::from_u128(1), &plan("Two"), now(), &shown("Two")).await.unwrap();
    let refused = store.append(other, 0, &[note(5, "new"), note(1, "a")], &shown("x")).await.unwrap_err();
    assert!(matches!(refused, Error::Elsewhere { index: 1, id } if id == Uuid::from_u128(1)));
    assert!(store.cook(other).await.unwrap().events.is_empty());
}

#[tokio::test]
async fn a_cook_takes_so_much_and_no_more() {
    let store = with_cook().await;
    let many: Vec<_> = (0..ergastic_store::MAX_EVENTS as u128).map(|id| note(100 + id, "x")).collect();
    store.append(COOK, 0, &many, &shown("x")).await.unwrap();
    let seq = store.cook(COOK).await.unwrap().seq;
    assert!(matches!(store.append(COOK, seq, &[note(1, "a")], &shown("a")).await, Err(Error::CookFull { .. })));
    assert_eq!(store.append(COOK, seq, &many[..1], &shown("x")).await.unwrap().0, Appended { stored: 0, repeated: 1 });
}

#[tokio::test]
async fn many_who_write_at_once_all_land() {
    let store = with_cook().await;
    let writes = (0..40u32).map(|i| {
        let store = store.clone();
        tokio::spawn(async move {
            match i % 3 {
                0 => store.store_readings("stove", &[reading(u128::from(i), i64::from(i))]).await.map(drop),
                1 => store.save_plan(Uuid::from_u128(1000 + u128::from(i)), 0, &plan("P"), now()).await.map(drop),
                _ => store.save_kitchen(0, &ergastic_core::kitchen::Kitchen::default(), false, now()).await.map(drop),
            }
        })
    });
    for write in writes.collect::<Vec<_>>() {
        write.await.unwrap().unwrap();
    }
    assert_eq!((readings(&store, "stove").await.len(), store.plans().await.unwrap().len()), (14, 1 + 13));
}

#[tokio::test]
async fn a_write_that_was_given_up_half_way_leaves_nothing_and_hinders_nobody() {
    let store = with_cook().await;
    let many: Vec<_> = (0..20_000).map(|id| reading(id, id as i64)).collect();
    for patience_us in [0, 200, 1000, 5000] {
        let writing = store.store_readings("stove", &many);
        let _ = tokio::time::timeout(std::time::Duration::from_micros(patience_us), writing).await;
        // Whoever comes next finds the connection as if nothing had been begun.
        store.store_readings("oven", &[reading(patience_us.into(), 1)]).await.unwrap();
    }
    let left = readings(&store, "stove").await.len();
    assert!(left == 0 || left == many.len(), "all or nothing, and not {left}");
}

#[tokio::test]
async fn readings_come_back_in_time_order_between_two_instants_and_each_id_counts_once() {
    let store = Store::temporary().await.unwrap();
    // Two of one minute, more than one sweep of them, and out of order.
    let mut many: Vec<_> = (0..20_001).map(|i| reading(i, (i as i64 * 7919) % 20_001 / 2)).collect();
    assert_eq!(store.store_readings("stove", &many).await.unwrap(), Appended { stored: 20_001, repeated: 0 });
    let again = [reading(4, 99_999), reading(50_000, 5)];
    assert_eq!(store.store_readings("stove", &again).await.unwrap(), Appended { stored: 1, repeated: 1 });
    assert_eq!(store.store_readings("oven", &many[..3]).await.unwrap().stored, 3, "another probe's ids are its own");
    many.push(again[1]);
    many.sort_by_key(|reading| (reading.at, reading.id));
    assert_eq!(readings(&store, "stove").await, many);
    let (from, to) = (now() + SignedDuration::from_mins(10), now() + SignedDuration::from_mins(12));
    let some = store.readings("stove", from, to).recv().await.unwrap().unwrap();
    assert_eq!(
        some.iter().map(|reading| reading.at).collect::<Vec<_>>(),
        many.iter().map(|r| r.at).filter(|at| (from..=to).contains(at)).collect::<Vec<_>>()
    );
    assert_eq!(names(&store).await, ["oven", "stove"]);
}

#[tokio::test]
async fn what_is_put_away_is_gone_from_the_lists_until_it_is_taken_out_or_the_bin_is_emptied() {
    let store = with_cook().await;
    let id = Uuid::from_u128(1);
    store.append(COOK, 0, &[note(1, "a")], &shown("One")).await.unwrap();
    for _ in 0..2 {
        store.put_away(Trashable::Plan, id, now()).await.unwrap();
        store.put_away(Trashable::Cook, COOK, now()).await.unwrap();
    }
    assert!(matches!(store.put_away(Trashable::Cook, id, now()).await, Err(Error::NotFound { what: "cook", .. })));
    assert!(store.plans().await.unwrap().is_empty());
    assert_eq!(store.cook_list().await.unwrap(), "[]");
    let deleted: Vec<_> =
        store.trash().await.unwrap().into_iter().map(|deleted| (deleted.what, deleted.name)).collect();
    assert_eq!(deleted.len(), 2);
    assert!(deleted.contains(&(Trashable::Cook, "One".into())) && deleted.contains(&(Trashable::Plan, "One".into())));
    store.take_out(Trashable::Cook, COOK).await.unwrap();
    store.take_out(Trashable::Plan, id).await.unwrap();
    assert_eq!((store.plans().await.unwrap().len(), store.trash().await.unwrap().len()), (1, 0));
    store.put_away(Trashable::Plan, id, now()).await.unwrap();
    store.save_plan(id, 1, &plan("Two"), now()).await.unwrap();
    assert_eq!(store.plans().await.unwrap().len(), 1, "who goes on with a plan wants it back");
    store.put_away(Trashable::Plan, id, now()).await.unwrap();
    store.put_away(Trashable::Cook, COOK, now()).await.unwrap();
    assert_eq!(store.empty_trash().await.unwrap(), 2);
    assert!(matches!(store.cook(COOK).await, Err(Error::NotFound { .. })));
    assert!(matches!(store.plan_versions(id).await, Err(Error::NotFound { .. })));
}

#[tokio::test]
async fn an_import_counts_only_when_it_is_finished_and_leaves_nothing_when_it_is_not() {
    let store = with_cook().await;
    store.store_readings("stove", &[reading(1, 1)]).await.unwrap();
    let before = export(&store).await;
    let mut import = store.begin_import().await.unwrap();
    assert!(matches!(store.begin_import().await, Err(Error::Importing)));
    let brought = Staged::Plan {
        id: Uuid::from_u128(3),
        version: None,
        saved_at: now(),
        document: serde_json::to_string(&plan("New")).unwrap(),
        deleted_at: None,
    };
    import.stage(&[brought]).await.unwrap();
    import.stage_readings("stove", vec![reading(1, 1), reading(2, 2), reading(3, 3)]).await.unwrap();
    import.stage_readings("smoker", vec![reading(9, 2)]).await.unwrap();
    assert_eq!(export(&store).await, before, "nothing of it counts yet");
    assert_eq!(names(&store).await, ["stove"]);
    // A probe that sends meanwhile what the file brings too has its own word kept.
    assert_eq!(store.store_readings("stove", &[reading(2, 2)]).await.unwrap().stored, 1);
    // The process is gone before the end: what is left is cleared before the next import.
    drop(import);
    store.clear_imports().await.unwrap();
    let mut without = before.clone();
    without["probes"][0]["readings"].as_array_mut().unwrap().push(serde_json::json!([
        Uuid::from_u128(2),
        reading(2, 2).at,
        61.5
    ]));
    assert_eq!(export(&store).await, without);
    let mut import = store.begin_import().await.unwrap();
    import.stage_readings("stove", vec![reading(2, 2), reading(3, 3)]).await.unwrap();
    let brought = import.finish().await.unwrap();
    assert_eq!((brought.readings, brought.repeated), (1, 1));
    assert_eq!(readings(&store, "stove").await.len(), 3);
}

#[tokio::test]
async fn a_damaged_document_spoils_itself_and_nothing_else_and_goes_out_as_it_is() {
    let (file, store) = on_disk().await;
    store.save_plan(Uuid::from_u128(1), 0, &plan("One"), now()).await.unwrap();
    store.save_plan(Uuid::from_u128(2), 0, &plan("Two"), now()).await.unwrap();
    for id in [COOK, Uuid::from_u128(8)] {
        store.open_cook(id, Uuid::from_u128(1), &plan("One"), now(), &shown("One")).await.unwrap();
    }
    store.close().await;
    let damage = "UPDATE plan SET document = '{\"name\": 3' WHERE id LIKE '%1'; UPDATE cook SET document = '{\"no\": \"plan\"}' WHERE id LIKE '%7';
        UPDATE cook_summary SET line = 'x', document = 'x' WHERE cook_id LIKE '%8'";
    run_sql(&file, damage).await;
    let store = Store::open(&file).await.unwrap();
    let plans = store.plans().await.unwrap();
    assert_eq!((plans.len(), plans[0].plan.as_ref().unwrap().name.as_str(), plans[1].plan.is_err()), (2, "Two", true));
    assert!(matches!(store.cook(COOK).await, Err(Error::Damaged(_))));
    assert!(store.cook(Uuid::from_u128(8)).await.is_ok());
    let list: serde_json::Value = serde_json::from_str(&store.cook_list().await.unwrap()).unwrap();
    assert!(list.as_array().unwrap().iter().any(|cook| cook["broken"].is_string()), "{list}");
    let out = export(&store).await;
    assert_eq!(
        (&out["plans"][0]["plan"], out["plans"][0]["damaged"].is_string()),
        (&serde_json::json!("{\"name\": 3"), true)
    );
    assert_eq!(out["cooks"][0]["plan"], serde_json::json!({"no": "plan"}));
    store.put_away(Trashable::Cook, COOK, now()).await.unwrap();
    store.put_away(Trashable::Plan, Uuid::from_u128(1), now()).await.unwrap();
    assert_eq!((store.plans().await.unwrap().len(), store.trash().await.unwrap().len()), (1, 2));
    store.close().await;
    remove(&file);
}

#[tokio::test]
async fn a_damaged_kitchen_is_shown_goes_out_as_it_is_and_is_not_written_over_unasked() {
    let (file, store) = on_disk().await;
    let high = Kitchen { altitude_m: 300.0, ..Kitchen::default() };
    store.save_kitchen(0, &high, false, now()).await.unwrap();
    store.save_kitchen(1, &Kitchen { altitude_m: 900.0, ..Kitchen::default() }, false, now()).await.unwrap();
    store.close().await;
    for (broken, kept) in [("{\"name\": 3", Some(2)), ("{\"altitude_m\": \"high\"}", None)] {
        let all = if kept.is_some() { "WHERE version = 3" } else { "" };
        run_sql(
            &file,
            "INSERT OR IGNORE INTO kitchen SELECT 3, document, format, saved_at FROM kitchen WHERE version = 2",
        )
        .await;
        run_sql(&file, &format!("UPDATE kitchen SET document = '{broken}' {all}")).await;
        let store = Store::open(&file).await.unwrap();
        let read = store.kitchen_kept().await.unwrap();
        let damaged = read.damaged.unwrap();
        assert_eq!((read.version, damaged.text.as_str(), damaged.instead), (3, broken, kept));
        assert_eq!(read.kitchen.altitude_m, if kept.is_some() { 900.0 } else { Kitchen::default().altitude_m });
        let refused = store.save_kitchen(3, &high, false, now()).await;
        assert!(matches!(refused, Err(Error::OverDamaged(_))), "{refused:?}");
        let out = export(&store).await;
        assert!(out["kitchen_damaged"].is_string());
        let text = |value: &serde_json::Value| value.as_str().map_or_else(|| value.to_string(), str::to_owned);
        assert_eq!(text(&out["kitchen"]).replace(" ", ""), broken.replace(" ", ""));
        store.close().await;
    }
    let store = Store::open(&file).await.unwrap();
    assert_eq!(store.save_kitchen(3, &high, true, now()).await.unwrap(), 4);
    assert!(store.kitchen_version(3).await.unwrap().text.contains("high"), "what could not be read is still there");
    assert_eq!(store.kitchen_versions().await.unwrap().len(), 4);
    assert_eq!(store.kitchen_kept().await.unwrap().damaged, None);
    store.close().await;
    remove(&file);
}

#[tokio::test]
async fn an_event_that_cant_be_read_is_passed_over_and_counted_and_its_cook_stays() {
    let (file, store) = on_disk().await;
    store.open_cook(COOK, Uuid::from_u128(1), &plan("One"), now(), &shown("One")).await.unwrap();
    store.append(COOK, 0, &[note(1, "salted"), note(2, "seared"), note(3, "lid on")], &shown("One")).await.unwrap();
    store.close().await;
    run_sql(&file, "UPDATE cook_event SET happened = '{\"kind\": 3' WHERE id LIKE '%2'").await;
    let store = Store::open(&file).await.unwrap();
    let cook = store.cook(COOK).await.unwrap();
    assert_eq!((cook.events.len(), cook.unread), (2, 1));
    let out = export(&store).await;
    assert!(out["cooks"][0]["damaged"].is_string(), "who brings it in is told");
    assert_eq!(out["cooks"][0]["events"][1]["happened"], "{\"kind\": 3");
    store.close().await;
    remove(&file);
}

#[tokio::test]
async fn a_log_that_is_deleted_under_the_server_loses_nothing_that_was_answered() {
    let (file, store) = on_disk().await;
    let saved =
        async |store: &Store, n: u128| store.save_plan(Uuid::from_u128(n), 0, &plan("One"), now()).await.unwrap();
    saved(&store, 1).await;
    assert!(!store.state(now()).await.log_gone);
    std::fs::remove_file(format!("{}-wal", file.display())).unwrap();
    assert!(!store.has_its_log());
    // What stood in the log alone is moved as soon as that is found, and every write after it before it is answered.
    store.save_from_deleted_log().await.unwrap();
    saved(&store, 2).await;
    let state = store.state(now()).await;
    assert!(state.log_gone && state.trouble.is_none(), "{state:?}");
    // A kill leaves the database file as it lies, and no log.
    let left = file.with_file_name("left.sqlite");
    std::fs::copy(&file, &left).unwrap();
    let again = Store::open(&left).await.unwrap();
    assert_eq!(again.plans().await.unwrap().len(), 2);
    again.close().await;
    store.close().await;
    remove(&file);
}

#[tokio::test]
async fn so_many_probes_are_known_and_those_go_on_reading() {
    let store = Store::temporary().await.unwrap();
    for probe in 0..256 {
        store.store_readings(&format!("probe {probe}"), &[reading(probe, 0)]).await.unwrap();
    }
    let one_more = store.store_readings("one more", &[reading(999, 0)]).await;
    assert!(matches!(one_more, Err(Error::ProbesFull { most: 256 })), "{one_more:?}");
    assert_eq!(store.store_readings("probe 3", &[reading(1000, 1)]).await.unwrap().stored, 1);
    assert_eq!(store.probes().await.unwrap().len(), 256);
}

async fn run_sql(file: &std::path::Path, sql: &str) {
    use sqlx::{ConnectOptions, Connection};
    let options = sqlx::sqlite::SqliteConnectOptions::new().filename(file).create_if_missing(true);
    let mut connection = options.connect().await.unwrap();
    sqlx::raw_sql(sqlx::AssertSqlSafe(sql.to_owned())).execute(&mut connection).await.unwrap();
    connection.close().await.unwrap();
}

#[tokio::test]
async fn a_database_of_the_first_schema_is_brought_up_to_date_with_all_it_holds() {
    let folder = std::env::temp_dir().join(format!("ergastic-store-{}", Uuid::new_v4()));
    std::fs::create_dir_all(&folder).unwrap();
    let file = folder.join("kitchen.sqlite");
    // As the first version left it, its note of the migration included.
    run_sql(&file, include_str!("fixtures/schema-1.sql")).await;
    let store = Store::open(&file).await.unwrap();
    let cook = store.cook(COOK).await.unwrap();
    assert_eq!((cook.plan.name.as_str(), cook.events.len()), ("Lake-ice shin", 2));
    assert_eq!(store.plan_versions(Uuid::from_u128(1)).await.unwrap().len(), 2);
    assert_eq!(store.kitchen().await.unwrap().name, "Lodge galley");
    let stove = readings(&store, "stove").await;
    assert_eq!(
        stove.iter().map(|reading| reading.at.to_string()).collect::<Vec<_>>(),
        ["2027-02-05T08:00:00.25Z", "2027-02-05T08:01:00Z"]
    );
    assert_eq!((stove[0].id, stove[0].celsius), (Uuid::from_u128(0xa1), 60.5));
    assert_eq!(store.store_readings("stove", &stove).await.unwrap().repeated, 2, "their ids are known");
    assert_eq!(store.cooks_without_summary().await.unwrap(), [COOK]);
    store.close().await;
    remove(&file);
}

/// Reads what was kept in some format, and writes it as it is written today.
fn as_today<T: DeserializeOwned + Serialize>(format: i64, kept: &Value) -> Value {
    serde_json::to_value(Document { format, text: kept.to_string() }.read::<T>().unwrap()).unwrap()
}

/// Whether all that was kept is there; what came since may stand beside it.
fn holds(read: &Value, kept: &Value) -> bool {
    match (read, kept) {
        (Value::Object(read), Value::Object(kept)) => {
            kept.iter().all(|(name, value)| read.get(name).is_some_and(|read| holds(read, value)))
        }
        (Value::Array(read), Value::Array(kept)) => {
            read.len() == kept.len() && read.iter().zip(kept).all(|(read, kept)| holds(read, kept))
        }
        _ => read == kept,
    }
}

/// The same under the names of today.
fn spoken(kept: &Value) -> Value {
    let mut spoken = kept.clone();
    in_spoken_names(&mut spoken);
    spoken
}

/// Whoever renames a field of these adds a step to the upgrades; the fixtures stay as they are.
#[test]
fn documents_of_earlier_formats_are_read_with_every_field() {
    for (format, text) in [(1, include_str!("fixtures/format-1.json")), (2, include_str!("fixtures/format-2.json"))] {
        let kept: Value = serde_json::from_str(text).unwrap();
        let (plan, events) =
            (as_today::<Plan>(format, &kept["plan"]), as_today::<Vec<Happened>>(format, &kept["events"]));
        assert!(holds(&plan, &spoken(&kept["plan"])), "{format}");
        assert!(holds(&events, &spoken(&kept["events"])), "{format}");
        assert_eq!(plan["serve_at"], kept["plan"]["bell"]);
        for (was, now) in kept["events"].as_array().unwrap().iter().zip(events.as_array().unwrap()) {
            match was["kind"].as_str().unwrap() {
                "met_heat" => assert_eq!(now["kind"], "on_the_heat"),
                "bell_moved" => assert_eq!((&now["kind"], &now["serve_at"]), (&json!("serve_at_moved"), &was["bell"])),
                kind => assert_eq!(now["kind"], kind),
            }
        }
    }
}

#[test]
fn a_kitchen_of_format_1_gets_things_with_names_and_one_of_format_2_keeps_them() {
    let fixture = |text| serde_json::from_str::<Value>(text).unwrap()["kitchen"].clone();
    let was = fixture(include_str!("fixtures/format-1.json"));
    let kitchen = as_today::<Kitchen>(1, &was);
    for field in ["name", "zone", "altitude_m", "certainty", "units", "asleep", "prices"] {
        assert_eq!(kitchen[field], was[field], "{field}");
    }
    // What stood there one of each has a name now, and its measures; what was not there is lent out.
    assert!(holds(&kitchen["pots"][0]["measures"], &was["pot"]));
    let pan = json!({"diameter_cm": was["pan_cm"], "material": was["pan_material"]});
    assert_eq!(kitchen["pans"][0]["measures"], pan);
    let burner = json!({"watts": was["hob_w"], "kind": was["hob_kind"]});
    assert_eq!((&kitchen["burners"][0]["measures"], &kitchen["burners"][0]["lent"]), (&burner, &false.into()));
    assert_eq!(kitchen["pressure_pots"][0]["measures"]["watts"], was["insert_w"]);
    assert_eq!(kitchen["ovens"][0]["lent"], true);
    let named = fixture(include_str!("fixtures/format-2.json"));
    assert!(holds(&as_today::<Kitchen>(2, &named), &named));
}

#[tokio::test]
async fn a_field_of_another_version_leaves_the_lists_and_the_export_whole() {
    let (file, store) = on_disk().await;
    store.save_plan(Uuid::from_u128(1), 0, &plan("One"), now()).await.unwrap();
    store.open_cook(COOK, Uuid::from_u128(1), &plan("One"), now(), &shown("One")).await.unwrap();
    store.append(COOK, 0, &[note(1, "steady")], &shown("One")).await.unwrap();
    store.close().await;
    let strange = |table: &str, of: &str| format!("UPDATE {table} SET {of} = json_set({of}, '$.moon', 'full');");
    run_sql(&file, &(strange("plan", "document") + &strange("cook", "document") + &strange("cook_event", "happened")))
        .await;
    let store = Store::open(&file).await.unwrap();
    assert_eq!(store.plans().await.unwrap()[0].plan, Ok(plan("One")));
    assert_eq!(store.cook(COOK).await.unwrap().events, [note(1, "steady")]);
    assert!(!export(&store).await.to_string().contains("moon"), "what is written is of this version");
    store.close().await;
    remove(&file);
}

#[tokio::test]
async fn a_full_disk_refuses_each_write_and_the_first_after_it_lands() {
    let store = with_cook().await;
    store.set_most_pages(Some(1)).await.unwrap();
    let large = "x".repeat(60_000);
    for round in 0..3 {
        let full = store.append(COOK, 0, &[note(1, &large)], &shown("a")).await.unwrap_err();
        assert_eq!(full.trouble(), Some(Trouble::Full), "round {round}: {full}");
    }
    assert_eq!(store.cook(COOK).await.unwrap().events.len(), 0, "nothing of it was kept, and reading goes on");
    store.set_most_pages(None).await.unwrap();
    store.append(COOK, 0, &[note(1, &large)], &shown("a")).await.unwrap();
    assert_eq!(store.state(now()).await.trouble, None);
}

#[tokio::test]
async fn a_newer_or_broken_database_and_a_deleted_file_are_said_for_what_they_are() {
    let (file, store) = on_disk().await;
    assert_eq!(store.state(now()).await.trouble, None);
    std::fs::remove_file(&file).unwrap();
    let gone = store.save_plan(Uuid::from_u128(1), 0, &plan("One"), now()).await.unwrap_err();
    assert_eq!(gone.trouble(), Some(Trouble::Gone), "what would be lost at the next start is not acknowledged");
    assert_eq!(store.state(now()).await.trouble, Some(Trouble::Gone));
    assert!(export(&store).await["ergastic"].is_number(), "what is there can still be saved elsewhere");
    store.close().await;
    for ending in ["-wal", "-shm"] {
        let _ = std::fs::remove_file(format!("{}{ending}", file.display()));
    }
    std::fs::write(&file, b"this is no database, and was never one; it is only long enough to look like one").unwrap();
    assert_eq!(Store::open(&file).await.unwrap_err().trouble(), Some(Trouble::Corrupt));
    std::fs::remove_file(&file).unwrap();
    Store::open(&file).await.unwrap().close().await;
    run_sql(&file, "INSERT INTO _sqlx_migrations VALUES (99, 'later', '2030-01-01', 1, x'00', 1)").await;
    assert!(matches!(Store::open(&file).await.unwrap_err(), Error::Newer(99)));
    remove(&file);
}

#[tokio::test]
async fn a_copy_is_whole_and_comes_back_and_what_it_replaces_is_kept() {
    let (file, store) = on_disk().await;
    store.save_plan(Uuid::from_u128(1), 0, &plan("One"), now()).await.unwrap();
    let copy = file.with_file_name("copy.sqlite");
    store.backup(&copy).await.unwrap();
    assert!(matches!(store.backup(&copy).await, Err(Error::File(_))), "nothing is written over");
    let mode = std::os::unix::fs::PermissionsExt::mode(&std::fs::metadata(&copy).unwrap().permissions());
    assert_eq!(mode & 0o777, 0o600);
    store.save_plan(Uuid::from_u128(2), 0, &plan("Two"), now()).await.unwrap();
    store.close().await;
    let aside = ergastic_store::restore(&copy, &file, now()).await.unwrap().unwrap();
    let names = async |file: &std::path::Path| {
        let store = Store::open(file).await.unwrap();
        let names: Vec<_> = store.plans().await.unwrap().into_iter().map(|plan| plan.plan.unwrap().name).collect();
        store.close().await;
        names
    };
    assert_eq!(names(&file).await, ["One"]);
    assert_eq!(names(&aside).await, ["One", "Two"]);
    std::fs::write(&copy, b"no copy").unwrap();
    assert!(matches!(ergastic_store::restore(&copy, &file, now()).await, Err(Error::File(_))));
    assert_eq!(names(&file).await, ["One"], "what can't be restored changes nothing");
    remove(&file);
}

#[tokio::test]
async fn the_days_copies_are_made_once_a_day_and_the_newest_kept() {
    let (file, store) = on_disk().await;
    store.save_plan(Uuid::from_u128(1), 0, &plan("One"), now()).await.unwrap();
    for day in 0..10 {
        let at = now() + SignedDuration::from_hours(24 * day);
        assert!(ergastic_store::keep_backup(&store, at).await.unwrap().is_some());
        assert!(ergastic_store::keep_backup(&store, at).await.unwrap().is_none(), "once a day");
    }
    let mut kept: Vec<_> = std::fs::read_dir(file.with_file_name("backups"))
        .unwrap()
        .map(|entry| entry.unwrap().file_name().into_string().unwrap())
        .collect();
    kept.sort();
    assert_eq!((kept.len(), kept[6].as_str()), (7, "ergastic-2027-02-14.sqlite"));
    store.close().await;
    remove(&file);
}

#[test]
fn a_folder_is_kept_by_one_at_a_time() {
    let folder = std::env::temp_dir().join(format!("ergastic-lock-{}", Uuid::new_v4()));
    std::fs::create_dir_all(&folder).unwrap();
    let first = ergastic_store::Lock::take(&folder).unwrap();
    assert!(ergastic_store::Lock::take(&folder).unwrap_err().to_string().contains("another Ergastic"));
    drop(first);
    ergastic_store::Lock::take(&folder).unwrap();
    std::fs::remove_dir_all(folder).unwrap();
}

#[tokio::test]
async fn what_lists_say_is_said_again_when_the_kitchen_changes_its_units_and_not_otherwise() {
    let store = with_cook().await;
    let waiting = async || store.cooks_to_reckon().await.unwrap();
    store.save_kitchen(0, &Kitchen { altitude_m: 300.0, ..Kitchen::default() }, false, now()).await.unwrap();
    assert_eq!(waiting().await, Vec::<Uuid>::new());
    store.save_kitchen(1, &Kitchen { units: Units::Us, ..Kitchen::default() }, false, now()).await.unwrap();
    assert_eq!(waiting().await, [COOK]);
    store.put_summary(COOK, 0, &shown("One")).await.unwrap();
    store
        .save_kitchen(2, &Kitchen { units: Units::Us, altitude_m: 10.0, ..Kitchen::default() }, false, now())
        .await
        .unwrap();
    let overwritten = store.save_kitchen(2, &Kitchen { units: Units::Us, ..Kitchen::default() }, false, now()).await;
    assert!(matches!(overwritten, Err(Error::Conflict { given: 2, current: 3 })), "what another page saved stays");
    assert_eq!(waiting().await, Vec::<Uuid>::new());
}
