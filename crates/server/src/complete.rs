//! In an answer every field is there that is not `null`: the API's document says so, with a schema of its own for what is also
//! sent, where most fields may be left out.

use std::collections::{BTreeMap, BTreeSet};

use serde_json::{Value, json};
use utoipa::openapi::OpenApi;

/// What the schema of an answer is called where the same thing may also be sent.
const IN_FULL: &str = "InFull";
const AT: &str = "#/components/schemas/";

/// The document with complete answers.
///
/// # Panics
/// Where the document is none: it is made by the build, and a test reads it.
pub fn answers(document: &OpenApi) -> OpenApi {
    let mut document = serde_json::to_value(document).expect("a document is JSON");
    let schemas = document["components"]["schemas"].as_object().cloned().unwrap_or_default();
    let schemas: BTreeMap<String, Value> = schemas.into_iter().collect();
    let (mut sent, mut answered) = (BTreeSet::new(), BTreeSet::new());
    each_operation(&mut document, |operation| {
        reach(&operation["requestBody"], &schemas, &mut sent);
        good_answers(operation, |answer| reach(answer, &schemas, &mut answered));
    });
    let both: BTreeSet<String> = answered.intersection(&sent).cloned().collect();
    let twofold = twofold(&both, &schemas);
    for name in &answered {
        let mut schema = schemas[name].clone();
        complete(&mut schema);
        rename(&mut schema, &twofold);
        let name = if twofold.contains(name) { format!("{name}{IN_FULL}") } else { name.clone() };
        document["components"]["schemas"][name] = schema;
    }
    each_operation(&mut document, |operation| good_answers(operation, |answer| rename(answer, &twofold)));
    serde_json::from_value(document).expect("a document stays one")
}

fn each_operation(document: &mut Value, mut visit: impl FnMut(&mut Value)) {
    let paths = document["paths"].as_object_mut().into_iter().flat_map(|paths| paths.values_mut());
    paths
        .filter_map(Value::as_object_mut)
        .flat_map(|item| item.values_mut())
        .filter(|value| value.is_object())
        .for_each(&mut visit);
}

fn good_answers(operation: &mut Value, mut visit: impl FnMut(&mut Value)) {
    let answers = operation["responses"].as_object_mut().into_iter().flatten();
    answers.filter(|(status, _)| status.starts_with('2')).for_each(|(_, answer)| visit(answer));
}

/// The schema that a value refers to, if it does.
fn referred(value: &Value) -> Option<&str> {
    value.get("$ref")?.as_str()?.strip_prefix(AT)
}

/// Every schema that is reached from a value.
fn reach(value: &Value, schemas: &BTreeMap<String, Value>, found: &mut BTreeSet<String>) {
    if let Some(name) = referred(value)
        && let Some(schema) = schemas.get(name)
        && found.insert(name.to_owned())
    {
        reach(schema, schemas, found);
    }
    match value {
        Value::Object(fields) => fields.values().for_each(|field| reach(field, schemas, found)),
        Value::Array(items) => items.iter().for_each(|item| reach(item, schemas, found)),
        _ => {}
    }
}

/// Of what is both sent and answered: what is not the same in full, by itself or by what it holds.
fn twofold(both: &BTreeSet<String>, schemas: &BTreeMap<String, Value>) -> BTreeSet<String> {
    let mut found: BTreeSet<String> = BTreeSet::new();
    loop {
        let more = both.iter().filter(|name| !found.contains(*name)).filter(|name| {
            let mut schema = schemas[*name].clone();
            complete(&mut schema);
            rename(&mut schema, &found);
            schema != schemas[*name]
        });
        let more: Vec<String> = more.cloned().collect();
        if more.is_empty() {
            return found;
        }
        found.extend(more);
    }
}

/// Refers to what is answered in full.
fn rename(value: &mut Value, twofold: &BTreeSet<String>) {
    if let Some(name) = referred(value).filter(|name| twofold.contains(*name)) {
        value["$ref"] = json!(format!("{AT}{name}{IN_FULL}"));
    }
    match value {
        Value::Object(fields) => fields.values_mut().for_each(|field| rename(field, twofold)),
        Value::Array(items) => items.iter_mut().for_each(|item| rename(item, twofold)),
        _ => {}
    }
}

/// Whether a field may be `null`, and then be left out.
fn nullable(schema: &Value) -> bool {
    let is_null = |of: &Value| of == "null";
    let by_type = schema["type"].as_array().is_some_and(|types| types.iter().any(is_null));
    let one_of = schema["oneOf"].as_array().or(schema["anyOf"].as_array());
    by_type || one_of.is_some_and(|all| all.iter().any(|one| is_null(&one["type"]) || nullable(one)))
}

/// Requires every field that is never `null`, wherever fields are.
fn complete(schema: &mut Value) {
    if let Some(properties) = schema.get("properties").and_then(Value::as_object) {
        let there = properties.iter().filter(|(_, of)| !nullable(of)).map(|(name, _)| name.clone());
        let given = schema["required"].as_array().into_iter().flatten().filter_map(Value::as_str).map(str::to_owned);
        let required: BTreeSet<String> = there.chain(given).collect();
        if !required.is_empty() {
            schema["required"] = json!(required);
        }
    }
    match schema {
        Value::Object(fields) => fields.values_mut().for_each(complete),
        Value::Array(items) => items.iter_mut().for_each(complete),
        _ => {}
    }
}
