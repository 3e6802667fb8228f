//! What is stored comes back, once, and survives reopening.

use ergastic_core::cook::{Event, Happened};
use ergastic_core::plan::Plan;
use ergastic_store::{Appended, Error, Store};
use jiff::Timestamp;
use uuid::Uuid;

fn plan(name: &str) -> Plan {
    serde_json::from_value(serde_json::json!({"name": name, "bell": "2027-02-06T16:30:00Z", "forecast": {"cut": "shin", "method": "braise"}})).unwrap()
}

fn now() -> Timestamp {
    "2027-02-05T08:00:00Z".parse().unwrap()
}

fn note(id: u128, text: &str) -> Event {
    Event { id: Uuid::from_u128(id), at: now(), happened: Happened::Note { text: text.into() } }
}

#[tokio::test]
async fn plans_keep_versions_and_refuse_to_be_saved_over() {
    let store = Store::in_memory().await.unwrap();
    let id = Uuid::from_u128(1);
    assert_eq!(store.save_plan(id, 0, &plan("One"), now()).await.unwrap().version, 1);
    assert_eq!(
        store.save_plan(id, 0, &plan("One"), now()).await.unwrap().version,
        1,
        "a repeated save does nothing twice"
    );
    assert_eq!(store.save_plan(id, 1, &plan("Two"), now()).await.unwrap().version, 2);
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
    let folder = std::env::temp_dir().join(format!("ergastic-store-{}", Uuid::new_v4()));
    std::fs::create_dir_all(&folder).unwrap();
    let file = folder.join("kitchen.sqlite");
    let cook = Uuid::from_u128(7);
    {
        let store = Store::open(&file).await.unwrap();
        assert!(matches!(store.append(cook, &[note(1, "a")]).await, Err(Error::NotFound { .. })));
        store.open_cook(cook, Uuid::from_u128(1), &plan("One"), now()).await.unwrap();
        assert_eq!(
            store.append(cook, &[note(1, "a"), note(2, "b")]).await.unwrap(),
            Appended { stored: 2, repeated: 0 }
        );
        assert_eq!(
            store.append(cook, &[note(2, "b"), note(3, "c")]).await.unwrap(),
            Appended { stored: 1, repeated: 1 }
        );
        store.close().await;
    }
    let store = Store::open(&file).await.unwrap();
    let events = store.cook(cook).await.unwrap().events;
    assert_eq!(events, [note(1, "a"), note(2, "b"), note(3, "c")]);
    store.close().await;
    std::fs::remove_dir_all(folder).unwrap();
}

#[tokio::test]
async fn a_kitchen_goes_out_and_comes_back_the_same() {
    let store = Store::in_memory().await.unwrap();
    let cook = Uuid::from_u128(7);
    store.save_plan(Uuid::from_u128(1), 0, &plan("One"), now()).await.unwrap();
    store.open_cook(cook, Uuid::from_u128(1), &plan("One"), now()).await.unwrap();
    store.append(cook, &[note(1, "a")]).await.unwrap();
    let reading = ergastic_store::Reading { id: Uuid::from_u128(4), at: now(), celsius: 61.5 };
    store.store_readings("stove", std::slice::from_ref(&reading)).await.unwrap();
    let file = store.export().await.unwrap();

    let empty = Store::in_memory().await.unwrap();
    empty.import(&file).await.unwrap();
    assert_eq!(empty.export().await.unwrap(), file);
    empty.import(&file).await.unwrap();
    assert_eq!(empty.export().await.unwrap(), file, "importing twice changes nothing");
    assert_eq!(empty.plan(Uuid::from_u128(1)).await.unwrap().version, 1);
    assert!(empty.import(&ergastic_store::KitchenFile { ergastic: 99, ..file }).await.is_err());
}
