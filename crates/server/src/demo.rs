//! The demo kitchen: the galley of a research lodge on a cold northern lake.

use ergastic_store::Store;
use jiff::{SignedDuration, Timestamp};
use serde_json::Value;

/// The moment the demo file was written for; its instants are moved so that this is now.
const WRITTEN_FOR: &str = "2027-02-05T12:00:00Z";
const FILE: &str = include_str!("../../../demo/lodge.json");

/// Fills a new kitchen with the demo; one that was ever saved is left alone.
pub async fn fill(store: &Store, now: Timestamp) -> anyhow::Result<()> {
    if !store.is_new().await? {
        return Ok(());
    }
    let file = serde_json::to_vec(&moved_to(now)?)?;
    crate::bringing::bring_in(store, file, now).await?;
    Ok(())
}

/// The demo file moved to now. What is planned or over keeps its time of day and moves by whole
/// days; a cook under way moves by minutes, so that it is under way just now.
fn moved_to(now: Timestamp) -> anyhow::Result<Value> {
    const DAY_S: i64 = 86_400;
    const STEP_S: i64 = 300;
    let written_for: Timestamp = WRITTEN_FOR.parse()?;
    let days = now.as_second().div_euclid(DAY_S) - written_for.as_second().div_euclid(DAY_S);
    let by_days = SignedDuration::from_secs(days * DAY_S);
    let by_minutes = SignedDuration::from_secs((now.as_second() - written_for.as_second()).div_euclid(STEP_S) * STEP_S);
    let mut file: Value = serde_json::from_str(FILE)?;
    for cook in file["cooks"].as_array_mut().into_iter().flatten() {
        let over = cook["events"]
            .as_array()
            .is_some_and(|events| events.iter().any(|event| event["happened"]["kind"] == "closed"));
        move_instants(cook, if over { by_days } else { by_minutes });
    }
    move_instants(&mut file["plans"], by_days);
    Ok(file)
}

fn move_instants(value: &mut Value, by: SignedDuration) {
    match value {
        Value::String(text) => {
            if let Ok(instant) = text.parse::<Timestamp>()
                && let Ok(moved) = instant.checked_add(by)
            {
                *text = moved.to_string();
            }
        }
        Value::Array(items) => items.iter_mut().for_each(|item| move_instants(item, by)),
        Value::Object(fields) => fields.values_mut().for_each(|field| move_instants(field, by)),
        _ => {}
    }
}
