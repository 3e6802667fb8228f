//! What is different between two documents, as a JSON merge patch (RFC 7396).

use serde::Serialize;
use serde_json::{Map, Value};

/// What turns `before` into `after`: the fields that differ, `null` where one is gone. Lists are told whole.
pub fn patch(before: &impl Serialize, after: &impl Serialize) -> Value {
    let tree = serde_json::to_value(before).unwrap_or_default();
    patch_of(&tree, after)
}

/// The same from a document that is a tree already.
pub fn patch_of(before: &Value, after: &impl Serialize) -> Value {
    let after = serde_json::to_value(after).unwrap_or_default();
    between(before, &after).unwrap_or_else(|| Value::Object(Map::new()))
}

fn between(before: &Value, after: &Value) -> Option<Value> {
    match (before, after) {
        _ if before == after => None,
        (Value::Object(before), Value::Object(after)) => {
            let gone = before.keys().filter(|name| !after.contains_key(*name)).map(|name| (name.clone(), Value::Null));
            let changed = after.iter().filter_map(|(name, value)| {
                let was = before.get(name).unwrap_or(&Value::Null);
                between(was, value).map(|value| (name.clone(), value))
            });
            Some(Value::Object(gone.chain(changed).collect()))
        }
        _ => Some(after.clone()),
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use serde_json::json;

    #[test]
    fn only_what_differs_is_told_and_what_is_gone_is_null() {
        let before = json!({"a": 1, "heat": {"set_c": 150, "source": "oven"}, "list": [1, 2]});
        let after = json!({"a": 1, "heat": {"source": "hob", "simmer": "gentle"}, "list": [1, 2, 3]});
        let told = json!({"heat": {"set_c": null, "source": "hob", "simmer": "gentle"}, "list": [1, 2, 3]});
        assert_eq!(patch(&before, &after), told);
        assert_eq!(patch(&before, &before), json!({}));
    }
}
