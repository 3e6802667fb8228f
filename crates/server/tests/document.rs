//! The API held against its own document: requests made from it at random, sound and spoilt, get only answers that it names,
//! never a fault of the server's own, every answer has what the document promises, and every refusal is a problem that says
//! which field.

use std::cell::RefCell;
use std::collections::BTreeMap;
use std::sync::Arc;

use axum::Router;
use axum::body::{Body, to_bytes};
use axum::http::{Request, StatusCode, header};
use ergastic::access::{Addresses, Authority, Beyond, Certificates, digest};
use ergastic::{App, ProblemDetails, api_document, router};
use ergastic_store::{Device, ProbeKey, Role, Store};
use jiff::{SignedDuration, Timestamp};
use proptest::prelude::*;
use proptest::test_runner::{Config, TestRunner};
use rand::seq::{IndexedRandom, SliceRandom};
use rand::{RngExt, SeedableRng};
use rand_chacha::ChaCha8Rng;
use serde_json::{Map, Value, json};
use tower::ServiceExt;
use uuid::Uuid;

const PLAN: &str = "00000000-0000-4000-8000-000000000001";
const COOK: &str = "00000000-0000-4000-8000-000000000002";
const OTHER: &str = "00000000-0000-4000-8000-00000000000f";

/// Makes requests from the document.
struct Maker {
    document: Value,
    random: ChaCha8Rng,
}

impl Maker {
    fn chance(&mut self, share: f64) -> bool {
        self.random.random_bool(share)
    }

    fn resolve(&self, schema: &Value) -> Value {
        match schema["$ref"].as_str() {
            Some(name) => self.document.pointer(&name[1..]).expect("the document names what it has").clone(),
            None => schema.clone(),
        }
    }

    /// A value that the schema allows.
    fn value(&mut self, schema: &Value, depth: usize) -> Value {
        let schema = self.resolve(schema);
        if let Some(options) = schema["enum"].as_array() {
            return options.choose(&mut self.random).cloned().unwrap_or_default();
        }
        for kind in ["oneOf", "anyOf"] {
            if let Some(options) = schema[kind].as_array() {
                let option = options.choose(&mut self.random).cloned().unwrap_or_default();
                return self.value(&option, depth);
            }
        }
        let kinds: Vec<&str> = match &schema["type"] {
            Value::Array(kinds) => kinds.iter().filter_map(Value::as_str).collect(),
            one => one.as_str().into_iter().collect(),
        };
        match *kinds.choose(&mut self.random).unwrap_or(&"object") {
            "null" => Value::Null,
            "boolean" => json!(self.chance(0.5)),
            "integer" => {
                let (low, high) =
                    (schema["minimum"].as_i64().unwrap_or(0), schema["maximum"].as_i64().unwrap_or(1 << 40));
                // Small or at its edge, as often as anything between.
                let among = [low, high, low.saturating_add(3).min(high), self.random.random_range(low..=high)];
                json!(among.choose(&mut self.random))
            }
            "number" => {
                let (low, high) =
                    (schema["minimum"].as_f64().unwrap_or(0.0), schema["maximum"].as_f64().unwrap_or(1e6));
                let among = [low, high, low + (high - low) * self.random.random_range(0.0..1.0)];
                json!(among.choose(&mut self.random))
            }
            "string" => match schema["format"].as_str() {
                Some("uuid") => json!(self.id()),
                Some("date-time") => json!(format!("2026-0{}-11T10:00:00Z", self.random.random_range(1..9))),
                _ => {
                    let words =
                        ["22:30", "shin", "2 hours at 150 °C, lid on", "Europe/Helsinki", "2027-02-05T19:00", "æ🍲"];
                    json!(words.choose(&mut self.random))
                }
            },
            "array" => {
                if let Some(prefix) = schema["prefixItems"].as_array() {
                    return prefix.iter().map(|item| self.value(item, depth + 1)).collect();
                }
                let least = schema["minItems"].as_u64().unwrap_or(0);
                let most = schema["maxItems"].as_u64().unwrap_or(3).min(least + 2);
                (0..self.random.random_range(least..=most)).map(|_| self.value(&schema["items"], depth + 1)).collect()
            }
            _ => self.object(&schema, depth),
        }
    }

    fn object(&mut self, schema: &Value, depth: usize) -> Value {
        let mut object = Map::new();
        let required: Vec<&str> =
            schema["required"].as_array().into_iter().flatten().filter_map(Value::as_str).collect();
        let fields = schema["properties"].as_object().cloned().unwrap_or_default();
        for (name, field) in fields.iter().filter(|(name, _)| name.as_str() != "stages" || depth > 2) {
            // What a request makes no sense without is always there; how much is computed is kept small.
            let wanted = required.contains(&name.as_str()) || ["cut", "method", "mass_kg"].contains(&name.as_str());
            if name == "members" {
                object.insert(name.clone(), json!(16));
            } else if name == "version" && self.chance(0.8) {
                object.insert(name.clone(), json!(0));
            } else if name == "serve_at" && self.chance(0.8) {
                // A meal is wanted in the days to come.
                let days = self.random.random_range(1..20);
                object.insert(name.clone(), json!(Timestamp::now() + SignedDuration::from_hours(24 * days)));
            } else if name == "dishes" && self.chance(0.6) {
                // Of several dishes made up at random one can hardly ever be cooked.
                let forecast = json!({"cut": "shin", "method": "braise", "members": 16});
                object.insert(name.clone(), json!([{ "forecast": forecast }]));
            } else if name == "task" && self.chance(0.7) {
                object.insert(name.clone(), json!("1-lift"));
            } else if name == "text" && depth == 0 && self.chance(0.8) {
                object.insert(name.clone(), json!("time,galley\n2026-02-05T19:00:00Z,61.5\n"));
            } else if name == "time" && depth == 0 && self.chance(0.8) {
                object.insert(name.clone(), json!({"column": 0, "holds": "time"}));
            } else if name == "probes" && fields.contains_key("time") && self.chance(0.8) {
                object.insert(name.clone(), json!([{"column": 1, "holds": "celsius", "probe": "galley"}]));
            } else if name == "recipe" && field["type"] == "object" && self.chance(0.7) {
                object.insert(name.clone(), json!({"@type": "Recipe", "name": "Ridge stew"}));
            } else if wanted || self.chance(0.12 / (1 + depth) as f64) {
                let mut value = self.value(field, depth + 1);
                while wanted && value.is_null() {
                    value = self.value(field, depth + 1);
                }
                object.insert(name.clone(), value);
            }
        }
        Value::Object(object)
    }

    fn id(&mut self) -> String {
        let known = [PLAN, COOK, OTHER];
        known.choose(&mut self.random).copied().unwrap_or(PLAN).to_owned()
    }

    /// Puts something in one place of a value that does not belong there.
    fn spoil(&mut self, value: &mut Value) {
        let nonsense = [
            json!(null),
            json!(-1e300),
            json!("\u{0}\u{202e}"),
            json!([]),
            json!({}),
            json!([1, [2, "x"]]),
            json!(true),
            json!({"nested": {"deep": []}}),
            json!(1e18),
            json!(""),
            json!("x".repeat(5000)),
        ];
        match value {
            Value::Object(fields) if !fields.is_empty() && self.chance(0.8) => {
                if self.chance(0.1) {
                    fields.insert("frobnicate".into(), json!(1));
                    return;
                }
                let place = self.random.random_range(0..fields.len());
                if let Some(inner) = fields.values_mut().nth(place) {
                    self.spoil(inner);
                }
            }
            Value::Array(items) if !items.is_empty() && self.chance(0.8) => {
                let place = self.random.random_range(0..items.len());
                self.spoil(&mut items[place]);
            }
            place => *place = nonsense.choose(&mut self.random).cloned().unwrap_or_default(),
        }
    }

    /// Where a value is not what a schema promises: a field that it says is always there and is not, or a value of another kind.
    fn breach(&self, schema: &Value, value: &Value, at: &str) -> Option<String> {
        let schema = self.resolve(schema);
        for kind in ["oneOf", "anyOf"] {
            if let Some(options) = schema[kind].as_array() {
                let breaches: Vec<_> = options.iter().map(|option| self.breach(option, value, at)).collect();
                return if breaches.iter().any(Option::is_none) { None } else { breaches.into_iter().flatten().next() };
            }
        }
        if let Some(parts) = schema["allOf"].as_array() {
            return parts.iter().find_map(|part| self.breach(part, value, at));
        }
        if let Some(options) = schema["enum"].as_array()
            && !options.contains(value)
        {
            return Some(format!("{at}: {value} is none of {options:?}"));
        }
        let is = match value {
            Value::Null => "null",
            Value::Bool(_) => "boolean",
            Value::Number(_) => "number",
            Value::String(_) => "string",
            Value::Array(_) => "array",
            Value::Object(_) => "object",
        };
        let kinds: Vec<&str> = match &schema["type"] {
            Value::Array(kinds) => kinds.iter().filter_map(Value::as_str).collect(),
            one => one.as_str().into_iter().collect(),
        };
        let whole = is == "number" && kinds.contains(&"integer");
        if !(kinds.is_empty() || kinds.contains(&is) || whole) {
            return Some(format!("{at}: {value} is no {kinds:?}"));
        }
        match value {
            Value::Array(items) => match schema["prefixItems"].as_array() {
                Some(each) => each.iter().zip(items).find_map(|(schema, item)| self.breach(schema, item, at)),
                None => items
                    .iter()
                    .enumerate()
                    .find_map(|(i, item)| self.breach(&schema["items"], item, &format!("{at}[{i}]"))),
            },
            Value::Object(fields) => {
                let mut required = schema["required"].as_array().into_iter().flatten().filter_map(Value::as_str);
                if let Some(gone) = required.find(|name| !fields.contains_key(*name)) {
                    return Some(format!("{at}.{gone} is not there"));
                }
                fields.iter().find_map(|(name, field)| {
                    self.breach(schema["properties"].get(name)?, field, &format!("{at}.{name}"))
                })
            }
            _ => None,
        }
    }

    fn address(&mut self, method: &str, path: &str, operation: &Value, sound: bool) -> String {
        let mut address = path.to_owned();
        let mut asked = Vec::new();
        for parameter in operation["parameters"].as_array().cloned().unwrap_or_default() {
            let name = parameter["name"].as_str().unwrap_or_default().to_owned();
            let text = match self.value(&parameter["schema"], 0) {
                // What is there is asked for often enough.
                _ if name == "version" => "1".to_owned(),
                Value::String(_) if method == "put" && path.ends_with("{id}") && self.chance(0.7) => {
                    Uuid::from_u128(self.random.random()).to_string()
                }
                Value::String(_) if name == "id" && self.chance(0.6) => {
                    if path.contains("/plans/") || path.contains("/meals/") { PLAN.to_owned() } else { COOK.to_owned() }
                }
                Value::String(text) => text,
                other => other.to_string(),
            };
            let text = if sound || self.chance(0.5) { text } else { "../%00\u{202e} ?".to_owned() };
            let text: String = url_part(&text);
            match parameter["in"].as_str() {
                Some("path") => address = address.replace(&format!("{{{name}}}"), &text),
                _ if self.chance(0.5) => asked.push(format!("{name}={text}")),
                _ => {}
            }
        }
        if asked.is_empty() { address } else { format!("{address}?{}", asked.join("&")) }
    }
}

fn url_part(text: &str) -> String {
    text.bytes()
        .map(|byte| {
            if byte.is_ascii_alphanumeric() || b"-:.".contains(&byte) {
                char::from(byte).to_string()
            } else {
                format!("%{byte:02X}")
            }
        })
        .collect()
}

async fn ask(app: &Router, method: &str, address: &str, kind: &str, body: String) -> (StatusCode, String, Vec<u8>) {
    let request = Request::builder()
        .method(method)
        .uri(address)
        .header("host", "127.0.0.1:4870")
        .header("content-type", kind)
        .body(Body::from(body))
        .unwrap();
    let response = app.clone().oneshot(request).await.unwrap();
    let status = response.status();
    let kind =
        response.headers().get(header::CONTENT_TYPE).map_or(String::new(), |kind| kind.to_str().unwrap().to_owned());
    // A stream of changes has no end.
    let body = if kind.starts_with("text/event-stream") {
        Vec::new()
    } else {
        to_bytes(response.into_body(), 1 << 26).await.unwrap().to_vec()
    };
    (status, kind, body)
}

/// A kitchen with a plan and a cook that the ids of the requests find.
async fn kitchen() -> Router {
    let app = App::new(Store::temporary().await.unwrap()).unwrap();
    open_beyond(&app);
    let now = Timestamp::now();
    for id in [PLAN, COOK, OTHER] {
        let id: Uuid = id.parse().unwrap();
        let name = id.to_string();
        let device =
            Device { id, name: name.clone(), role: Role::Cook, token_at: now, signed_in_at: now, seen_at: now };
        app.store.sign_in(&device, &digest(&name)).await.unwrap();
        let key = ProbeKey { id, name: name.clone(), made_at: now, used_at: None };
        app.store.add_probe_key(&key, &digest(&name)).await.unwrap();
    }
    let app = router(app);
    let plan = json!({"version": 0, "plan": {"name": "Lake-ice shin", "serve_at": "2040-02-06T16:30:00Z", "forecast": {"cut": "shin", "method": "braise", "members": 16}}});
    for id in [PLAN, OTHER] {
        let address = format!("/api/plans/{id}");
        assert_eq!(ask(&app, "PUT", &address, "application/json", plan.to_string()).await.0, StatusCode::OK);
    }
    let open = json!({"plan_id": PLAN}).to_string();
    assert_eq!(ask(&app, "PUT", &format!("/api/cooks/{COOK}"), "application/json", open).await.0, StatusCode::OK);
    app
}

/// Opens the way in from beyond: an authority in a folder of its own, and one address.
fn open_beyond(app: &App) {
    let folder = std::env::temp_dir().join(format!("ergastic-{}", Uuid::new_v4()));
    std::fs::create_dir_all(&folder).unwrap();
    let now = Timestamp::now();
    let authority = Authority::open(&folder, &[], now).unwrap();
    std::fs::remove_dir_all(&folder).unwrap();
    let addresses = Arc::new(Addresses::new("192.168.7.4".parse().unwrap(), 4870, &[]));
    let certificates = Arc::new(Certificates::new(authority, addresses.clone(), now).unwrap());
    app.desk.open(Beyond { addresses, certificates });
}

/// Ranges that hang on another field too, and can't be written down for one alone.
const HANG_TOGETHER: [&str; 12] = [
    "bath_c",
    "to_c",
    "mean",
    "sigma",
    "serve_at",
    "liquid_l",
    "members",
    "l1",
    "size_mm",
    "mass_kg",
    "thickness_mm",
    "pieces",
];

#[test]
fn every_answer_is_one_that_the_document_names() {
    let runtime = tokio::runtime::Runtime::new().unwrap();
    let document = serde_json::to_value(api_document()).unwrap();
    let taken: RefCell<BTreeMap<String, (u32, u32)>> = RefCell::default();
    let mut runner =
        TestRunner::new(Config { cases: 48, max_shrink_iters: 0, failure_persistence: None, ..Config::default() });
    // What is taken seldom gets more tries; what nothing is ever taken of is told below.
    for _ in 0..4 {
        runner
            .run(&any::<u64>(), |seed| {
                // A kitchen of its own: what one case empties is there for the next.
                let app = runtime.block_on(kitchen());
                let mut maker = Maker { document: document.clone(), random: ChaCha8Rng::seed_from_u64(seed) };
                // In any order: what is taken away by one was there for another.
                let mut paths: Vec<_> = document["paths"].as_object().unwrap().iter().collect();
                paths.shuffle(&mut maker.random);
                for (path, item) in paths {
                    for (method, operation) in item.as_object().unwrap() {
                        let sound = maker.chance(0.6);
                        let address = maker.address(method, path, operation, sound);
                        let contents = operation["requestBody"]["content"].as_object().cloned().unwrap_or_default();
                        let (kind, body) = match contents.iter().next() {
                            None => (String::new(), String::new()),
                            Some((kind, content)) => {
                                let mut body = maker.value(&content["schema"], 0);
                                if !sound {
                                    maker.spoil(&mut body);
                                }
                                (kind.clone(), body.to_string())
                            }
                        };
                        let what = format!("{} {address} {body}", method.to_uppercase());
                        let (status, answered, text) =
                            runtime.block_on(ask(&app, &method.to_uppercase(), &address, &kind, body));
                        prop_assert!(!status.is_server_error(), "{status}: {what}\n{}", String::from_utf8_lossy(&text));
                        let named = operation["responses"].get(status.as_str()).is_some();
                        prop_assert!(
                            named,
                            "{status} is not in the document: {what}\n{}",
                            String::from_utf8_lossy(&text)
                        );
                        let mut taken = taken.borrow_mut();
                        let counted = taken.entry(format!("{method} {path}")).or_default();
                        counted.0 += 1;
                        if status.is_success() {
                            counted.1 += 1;
                            if answered.starts_with("application/json") {
                                let answer: Value = serde_json::from_slice(&text).unwrap();
                                let promised =
                                    &operation["responses"][status.as_str()]["content"]["application/json"]["schema"];
                                let breach = maker.breach(promised, &answer, "answer");
                                prop_assert!(breach.is_none(), "{}: {what}", breach.unwrap_or_default());
                            }
                            continue;
                        }
                        prop_assert_eq!(&answered, "application/problem+json", "{}", what);
                        let problem: ProblemDetails = serde_json::from_slice(&text).unwrap();
                        prop_assert_eq!(problem.status, status.as_u16());
                        let in_range = problem.detail.contains("it must be ") && problem.detail.contains(" to ");
                        let field = problem.field.unwrap_or_default();
                        let last = field.rsplit('.').next().unwrap_or_default().to_owned();
                        // What the document allows of one field is not refused for its own sake.
                        prop_assert!(
                            !sound || !in_range || HANG_TOGETHER.contains(&&*last),
                            "{}: {what}",
                            problem.detail
                        );
                    }
                }
                Ok(())
            })
            .unwrap();
        if taken.borrow().values().all(|(_, good)| *good > 0) {
            break;
        }
    }
    let taken = taken.into_inner();
    let never: Vec<_> = taken.iter().filter(|(_, (_, good))| *good == 0).map(|(name, _)| name.as_str()).collect();
    assert!(never.is_empty(), "nothing that was sent to these was ever taken, so they were not tried: {never:?}");
}
