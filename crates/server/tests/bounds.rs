//! The bounds in the API's document are the bounds that are enforced: of each bounded field of the five computations both bounds are
//! taken and one past each is refused, naming the field.

use std::collections::BTreeSet;
use std::sync::Arc;

use axum::Router;
use axum::body::{Body, to_bytes};
use axum::http::{Request, StatusCode};
use ergastic::{App, ProblemDetails, api_document, router};
use ergastic_core::ways::presets;
use ergastic_store::Store;
use ergastic_words::Units;
use serde_json::{Map, Value, json};
use tokio::sync::Semaphore;
use tokio::task::JoinSet;
use tower::ServiceExt;

/// Bounds that hang on another field too, or on how much fits into the pot: the document names the widest.
const HANG_TOGETHER: [&str; 6] =
    ["heat.bath_c", "heat.to_c", "known.toughness_ln.mean", "known.lid_ln.mean", "known.lid_ln.sigma", " parts"];

/// One field, by its way from the body down: names, and `0` for the first of a list.
type Way = Vec<String>;

struct Field {
    way: Way,
    schema: Value,
}

fn resolve(document: &Value, schema: &Value) -> Value {
    let named = match schema["$ref"].as_str() {
        Some(name) => document.pointer(&name[1..]).expect("the document names what it has").clone(),
        None => schema.clone(),
    };
    for kind in ["oneOf", "anyOf"] {
        if let Some(options) = named[kind].as_array()
            && let Some(only) = options.iter().find(|option| option["type"] != "null")
        {
            return resolve(document, only);
        }
    }
    named
}

/// Every bounded field that can be reached from a schema, but those of types that were gone through before.
fn fields(document: &Value, schema: &Value, way: &Way, seen: &mut BTreeSet<String>, found: &mut Vec<Field>) {
    let schema = resolve(document, schema);
    if schema["properties"].is_object() && !seen.insert(schema.to_string()) {
        return;
    }
    let bounded = ["minimum", "maximum", "minItems", "maxItems", "minLength", "maxLength"];
    if bounded.iter().any(|bound| !schema[*bound].is_null()) {
        found.push(Field { way: way.clone(), schema: schema.clone() });
    }
    // A plan within a plan, or a chain's own chain, is bounded as the first is.
    if way.len() > 6 {
        return;
    }
    let deeper = |name: &str| [way.as_slice(), &[name.to_owned()]].concat();
    for (name, field) in schema["properties"].as_object().into_iter().flatten() {
        fields(document, field, &deeper(name), seen, found);
    }
    if schema["items"].is_object() {
        fields(document, &schema["items"], &deeper("0"), seen, found);
    }
}

/// The least that a schema takes.
fn least(document: &Value, schema: &Value, name: &str) -> Value {
    let schema = resolve(document, schema);
    if let Some(options) = schema["enum"].as_array() {
        return options[0].clone();
    }
    let kind = match &schema["type"] {
        Value::Array(kinds) => kinds.iter().find_map(Value::as_str).unwrap_or("object").to_owned(),
        one => one.as_str().unwrap_or("object").to_owned(),
    };
    match (&*kind, name) {
        (_, "cut") => json!("chuck"),
        (_, "mass_kg") => json!(1.0),
        ("integer" | "number", _) => {
            let low = schema["minimum"].as_f64().unwrap_or(0.0);
            let high = schema["maximum"].as_f64().unwrap_or(f64::MAX);
            let value = if low < 1.0 && high >= 1.0 { 1.0 } else { low };
            if kind == "integer" { json!(value as i64) } else { json!(value) }
        }
        ("boolean", _) => json!(true),
        ("string", _) => json!("22:30"),
        ("array", _) => match schema["prefixItems"].as_array() {
            Some(items) => items.iter().map(|item| least(document, item, "")).collect(),
            None => {
                (0..schema["minItems"].as_u64().unwrap_or(0)).map(|_| least(document, &schema["items"], "")).collect()
            }
        },
        _ => {
            let fields = schema["properties"].as_object().cloned().unwrap_or_default();
            let required = schema["required"].as_array().cloned().unwrap_or_default();
            let wanted = |name: &str| required.iter().any(|need| need == name) || name == "cut";
            let known = fields.iter().filter(|(name, _)| wanted(name));
            Value::Object(
                known.map(|(name, field)| (name.clone(), least(document, field, name))).collect::<Map<_, _>>(),
            )
        }
    }
}

/// Lays a value into a body, and on the way to it the least of what it stands in.
fn lay(document: &Value, schema: &Value, body: &mut Value, way: &[String], value: &Value) {
    let Some((name, rest)) = way.split_first() else {
        *body = value.clone();
        return;
    };
    let schema = resolve(document, schema);
    let (inner, slot) = match name.as_str() {
        "0" if schema["items"].is_object() => {
            if body.as_array().is_none_or(Vec::is_empty) {
                *body = json!([least(document, &schema["items"], "")]);
            }
            (&schema["items"], &mut body[0])
        }
        _ => {
            let inner = &schema["properties"][name];
            if body[name].is_null() {
                body[name] = least(document, inner, name);
            }
            (inner, &mut body[name])
        }
    };
    lay(document, inner, slot, rest, value);
}

/// Values at a field's bounds, and one past each.
fn at_and_past(document: &Value, schema: &Value) -> (Vec<Value>, Vec<Value>) {
    let (mut at, mut past) = (Vec::new(), Vec::new());
    let whole =
        schema["type"] == "integer" || schema["type"].as_array().is_some_and(|kinds| kinds.contains(&json!("integer")));
    let figure = |value: f64| if whole { json!(value as i64) } else { json!(value) };
    for (bound, beyond) in [("minimum", -1.0), ("maximum", 1.0)] {
        if let Some(value) = schema[bound].as_f64() {
            at.push(figure(value));
            past.push(figure(value + beyond));
        }
    }
    let items = |count: u64| {
        let item = least(document, &schema["items"], "");
        json!(vec![item; count as usize])
    };
    if let Some(most) = schema["maxItems"].as_u64() {
        past.push(items(most + 1));
        at.push(items(most));
    }
    if let Some(few) = schema["minItems"].as_u64().filter(|few| *few > 0) {
        past.push(items(few - 1));
    }
    if let Some(most) = schema["maxLength"].as_u64() {
        past.push(json!("n".repeat(most as usize + 1)));
    }
    (at, past)
}

/// Bodies that between them have a place for every field.
fn bases(name: &str) -> Vec<Value> {
    let methods: BTreeSet<_> = presets(Units::Metric).iter().map(|preset| preset.method.key()).collect();
    let each_method = methods.iter().map(|method| json!({"method": method, "heat": {}}));
    let others = [
        json!({"method": "braise", "heat": {"source": "oven"}}),
        json!({"method": "braise", "heat": {"source": "hob"}}),
        json!({"method": "braise", "heat": {"source": "coals"}}),
        json!({"method": "keep_warm", "heat": {}}),
        json!({}),
        json!({"stages": [{"method": "smoke", "heat": {}}]}),
        json!({"method": "stew", "vessel": {"width_cm": 20, "length_cm": 30}}),
        json!({"stages": [{"method": "braise"}, {"method": "chill", "until": {"min": 600}}, {"method": "reheat", "heat": {}}]}),
    ];
    let forecasts: Vec<Value> = each_method.chain(others).collect();
    let with = |base: Value, more: &Value| {
        let mut base = base;
        base.as_object_mut().unwrap().extend(more.as_object().unwrap().clone());
        base
    };
    let meat = json!({"cut": "chuck", "mass_kg": 1.4, "members": 1});
    let (day, now) = ("2027-02-06T18:30", "2027-02-04T08:00");
    match name {
        "forecast" => {
            let mixed = json!({"method": "braise", "parts": [{"cut": "shin", "mass_kg": 1}], "members": 1});
            forecasts.iter().map(|way| with(meat.clone(), way)).chain([mixed]).collect()
        }
        "prepare" => {
            let own = json!({"what": "soy_sauce", "ml": 60});
            let outside = json!({"cut": "chuck", "mass_kg": 1.4, "ingredients": [own]});
            let inside = json!({"cut": "chuck", "mass_kg": 1.4, "bench": {"ingredients": [own]}});
            let mixed = json!({"method": "braise", "parts": [{"cut": "shin", "mass_kg": 1}]});
            forecasts.iter().map(|way| with(json!({"cut": "chuck", "mass_kg": 1.4}), way)).chain([mixed, outside, inside]).collect()
        }
        "match" => {
            let base = json!({"people": 4, "now": now, "serve_at": day, "zone": "UTC", "kit": ["oven"], "members": 16, "only_ways": true});
            vec![with(base.clone(), &json!({"cut": "chuck", "mass_kg": 1.4})), with(base.clone(), &json!({"method": "braise"})), base]
        }
        // A request's own time comes with a task that is on its sheet.
        "sheet" => forecasts
            .iter()
            .map(|way| json!({"zone": "UTC", "serve_at": day, "now": now, "dishes": [{"people": 4, "forecast": with(meat.clone(), way)}], "pins": [{"task": "1-lift"}]}))
            .collect(),
        _ => vec![json!({"liquid_l": 1.2, "vessel": {"diameter_cm": 26}})],
    }
}

async fn ask(app: &Router, name: &str, body: &Value) -> Result<(), (StatusCode, ProblemDetails)> {
    let request = Request::post(format!("/api/{name}"))
        .header("host", "127.0.0.1:4870")
        .header("content-type", "application/json")
        .body(Body::from(body.to_string()))
        .unwrap();
    let response = app.clone().oneshot(request).await.unwrap();
    let status = response.status();
    if status.is_success() {
        return Ok(());
    }
    let text = to_bytes(response.into_body(), 1 << 24).await.unwrap();
    Err((status, serde_json::from_slice(&text).unwrap()))
}

/// Whether a refusal is about a field: the field itself, something in it, or what it stands in.
fn is_about(problem: &ProblemDetails, way: &Way) -> bool {
    let field = problem.field.clone().unwrap_or_default().replace("[", ".").replace("]", "");
    let last: Vec<&String> = way.iter().filter(|name| *name != "0").collect();
    field.split('.').rfind(|name| name.parse::<usize>().is_err()) == last.last().map(|name| name.as_str())
}

/// A computation that is asked.
struct Asked {
    app: Router,
    document: Value,
    name: &'static str,
    bases: Vec<Value>,
}

impl Asked {
    fn schema(&self) -> &Value {
        &self.document["paths"][format!("/api/{}", self.name)]["post"]["requestBody"]["content"]["application/json"]["schema"]
    }

    /// Every base with a value laid into it.
    fn laid(&self, way: &Way, value: &Value) -> Vec<Value> {
        let on = |base: &Value| {
            let mut body = base.clone();
            lay(&self.document, self.schema(), &mut body, way, value);
            body
        };
        self.bases.iter().map(on).collect()
    }

    /// What is wrong with a value past a field's bound: it was taken, or refused for something else.
    async fn past(&self, way: &Way, value: &Value) -> Option<String> {
        let mut said = String::new();
        for body in self.laid(way, value) {
            match ask(&self.app, self.name, &body).await {
                Ok(()) => return Some("taken".into()),
                Err((_, problem)) if is_about(&problem, way) => return None,
                Err((_, problem)) => said = problem.detail,
            }
        }
        Some(said)
    }

    /// What is wrong with a value at a field's bound: no base takes it, and some refuse it for its own sake.
    async fn at(&self, way: &Way, value: &Value) -> Option<String> {
        let mut why = None;
        for body in self.laid(way, value) {
            match ask(&self.app, self.name, &body).await {
                Ok(()) => return None,
                Err((_, problem)) if is_about(&problem, way) => why = Some(problem.detail),
                Err(_) => {}
            }
        }
        why
    }

    async fn wrong_with(&self, Field { way, schema }: &Field) -> Vec<String> {
        let path = format!("{} {}", self.name, way.join("."));
        let (at, past) = at_and_past(&self.document, schema);
        let mut wrong = Vec::new();
        for value in past {
            let shown: String = value.to_string().chars().take(30).collect();
            wrong.extend(self.past(way, &value).await.map(|why| format!("{path}: past its bound with {shown}: {why}")));
        }
        if !HANG_TOGETHER.iter().any(|known| path.ends_with(known)) {
            for value in at {
                wrong.extend(self.at(way, &value).await.map(|why| format!("{path}: at its bound: {why}")));
            }
        }
        wrong
    }
}

#[tokio::test(flavor = "multi_thread")]
async fn bounds_in_the_document_are_the_bounds_enforced() {
    let document = serde_json::to_value(api_document()).unwrap();
    let app = router(App::new(Store::temporary().await.unwrap()).unwrap());
    let (mut seen, mut tries) = (BTreeSet::new(), JoinSet::new());
    // The kitchen sends away who asks for more at once.
    let turns = Arc::new(Semaphore::new(4));
    for name in ["forecast", "prepare", "match", "sheet", "sauce"] {
        let asked = Arc::new(Asked { app: app.clone(), document: document.clone(), name, bases: bases(name) });
        let mut found = Vec::new();
        fields(&document, asked.schema(), &Vec::new(), &mut seen, &mut found);
        for field in found {
            let asked = asked.clone();
            let turns = turns.clone();
            tries.spawn(async move {
                let _turn = turns.acquire_owned().await;
                asked.wrong_with(&field).await
            });
        }
    }
    assert!(tries.len() > 150, "{} fields", tries.len());
    let wrong = tries.join_all().await.concat();
    assert!(wrong.is_empty(), "{} bounds:\n{}", wrong.len(), wrong.join("\n"));
}
