//! Documents of earlier formats brought up to date.

use serde_json::{Map, Value, json};

/// Fields of a kitchen that had one of each thing and gave none of them a name.
const ONE_OF_EACH: [&str; 8] =
    ["pot", "pan_cm", "pan_material", "hob_w", "hob_kind", "insert_w", "kit", "pit_holds_itself"];

/// From format 1 to 2: a kitchen's pot, pan, hob and the rest become things with names. Plans, cooks and events are as they were.
pub(crate) fn things_get_names(document: &mut Value) {
    let Some(kitchen) = document.as_object_mut() else { return };
    if !ONE_OF_EACH.iter().any(|field| kitchen.contains_key(*field)) {
        return;
    }
    let mut take = |field: &str| kitchen.remove(field).filter(|value| !value.is_null());
    let kit = take("kit");
    let (pot, pan_cm, pan_material) = (take("pot"), take("pan_cm"), take("pan_material"));
    let (hob_w, hob_kind, insert_w) = (take("hob_w"), take("hob_kind"), take("insert_w"));
    let holds_itself = take("pit_holds_itself");
    let usual = serde_json::to_value(ergastic_core::kitchen::Kitchen::default()).unwrap_or_default();
    let has = |name: &str| kit.as_ref().and_then(Value::as_array).is_none_or(|kit| kit.contains(&json!(name)));
    let kinds = [
        ("ovens", has("oven"), json!({})),
        ("burners", has("hob"), given([("watts", hob_w), ("kind", hob_kind)])),
        ("pots", true, pot.unwrap_or_else(|| json!({}))),
        ("pans", true, given([("diameter_cm", pan_cm), ("material", pan_material)])),
        ("pressure_pots", has("pressure_pot"), given([("watts", insert_w)])),
        ("slow_cookers", has("slow_cooker"), json!({})),
        ("pits", has("pit"), given([("holds_itself", holds_itself)])),
        ("baths", has("water_bath"), json!({})),
        ("coals", has("coals"), json!({})),
    ];
    for (kind, is_there, measured) in kinds {
        let mut first = usual[kind][0].clone();
        if kind == "pots" {
            first["measures"] = measured;
        } else if let (Some(measures), Some(measured)) = (first["measures"].as_object_mut(), measured.as_object()) {
            measures.extend(measured.clone());
        }
        // What was not there is lent out: its measures are kept for when it comes back.
        first["lent"] = json!(!is_there);
        kitchen.insert(kind.into(), json!([first]));
    }
}

/// What format 3 calls otherwise than format 2: fields, and kinds of what happened.
const FIELDS: [(&str, &str); 3] = [("bell", "serve_at"), ("screen", "device"), ("resistance_ln", "toughness_ln")];
const KINDS: [(&str, &str); 2] = [("met_heat", "on_the_heat"), ("bell_moved", "serve_at_moved")];

/// From format 2 to 3: the names that are spoken, however deep they lie. What has them already stays as it is.
pub fn in_spoken_names(document: &mut Value) {
    match document {
        Value::Array(items) => items.iter_mut().for_each(in_spoken_names),
        Value::Object(fields) => {
            for (was, is) in FIELDS {
                if !fields.contains_key(is)
                    && let Some(value) = fields.remove(was)
                {
                    fields.insert(is.into(), value);
                }
            }
            let kind = fields.get_mut("kind");
            if let Some(kind) = kind
                && let Some((_, is)) = KINDS.iter().find(|(was, _)| kind == was)
            {
                *kind = json!(is);
            }
            fields.values_mut().for_each(in_spoken_names);
        }
        _ => {}
    }
}

fn given<const N: usize>(fields: [(&str, Option<Value>); N]) -> Value {
    let given = fields.into_iter().filter_map(|(name, value)| Some((name.to_owned(), value?)));
    Value::Object(given.collect::<Map<_, _>>())
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn names_of_format_2_become_those_of_3_once() {
        let mut old = json!([
            {"name": "Lake-ice shin", "bell": "2027-02-06T16:30:00Z", "forecast": {"known": {"resistance_ln": {"mean": 0.1}}}},
            {"at": "2027-02-06T11:00:00Z", "screen": "Stove", "happened": {"kind": "met_heat"}},
            {"happened": {"kind": "bell_moved", "bell": "2027-02-06T17:00:00Z"}},
        ]);
        in_spoken_names(&mut old);
        let new = json!([
            {"name": "Lake-ice shin", "serve_at": "2027-02-06T16:30:00Z", "forecast": {"known": {"toughness_ln": {"mean": 0.1}}}},
            {"at": "2027-02-06T11:00:00Z", "device": "Stove", "happened": {"kind": "on_the_heat"}},
            {"happened": {"kind": "serve_at_moved", "serve_at": "2027-02-06T17:00:00Z"}},
        ]);
        assert_eq!(old, new);
        in_spoken_names(&mut old);
        assert_eq!(old, new);
    }
}
