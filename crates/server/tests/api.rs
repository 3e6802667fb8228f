//! The API as a client meets it: answers, refusals, repeats, and what is let in.

use axum::Router;
use axum::body::{Body, to_bytes};
use axum::http::{Method, Request, Response, StatusCode, header};
use ergastic::{App, api_document, router};
use ergastic_store::Store;
use serde_json::{Value, json};
use tower::ServiceExt;

const PLAN: &str = "/api/plans/00000000-0000-4000-8000-000000000001";
const COOK: &str = "/api/cooks/00000000-0000-4000-8000-000000000002";

async fn kitchen() -> Router {
    router(App::new(Store::temporary().await.unwrap()).unwrap())
}

async fn raw(
    app: &Router,
    method: Method,
    path: &str,
    headers: &[(&str, &str)],
    body: impl Into<Body>,
) -> Response<Body> {
    let mut request = Request::builder().method(method).uri(path);
    if !headers.iter().any(|(name, _)| *name == "host") {
        request = request.header("host", "127.0.0.1:4870");
    }
    for (name, value) in headers {
        request = request.header(*name, *value);
    }
    app.clone().oneshot(request.body(body.into()).unwrap()).await.unwrap()
}

async fn ask(app: &Router, method: Method, path: &str, body: Value) -> (StatusCode, Value) {
    let response = raw(app, method, path, &[], body.to_string()).await;
    let status = response.status();
    if status.is_client_error() {
        assert_eq!(response.headers()[header::CONTENT_TYPE], "application/problem+json", "{path}");
    }
    let bytes = to_bytes(response.into_body(), 1 << 24).await.unwrap();
    (status, serde_json::from_slice(&bytes).unwrap_or(Value::Null))
}

fn shin(name: &str) -> Value {
    json!({"name": name, "people": 8, "bell": "2040-02-06T16:30:00Z", "forecast": {"cut": "shin", "mass_kg": 2.4, "method": "braise", "members": 64}})
}

#[tokio::test]
async fn the_document_in_docs_is_the_one_the_types_make() {
    let made = format!("{}\n", api_document().to_pretty_json().unwrap());
    let kept = std::fs::read_to_string(concat!(env!("CARGO_MANIFEST_DIR"), "/../../docs/openapi.json")).unwrap();
    assert!(made == kept, "docs/openapi.json is old: run ./dev generate");
}

#[tokio::test]
async fn it_is_there_and_says_what_it_can() {
    let app = kitchen().await;
    let (status, health) = ask(&app, Method::GET, "/api/health", Value::Null).await;
    assert_eq!((status, &health["ok"]), (StatusCode::OK, &json!(true)));
    let (_, document) = ask(&app, Method::GET, "/api/openapi.json", Value::Null).await;
    assert!(document["paths"]["/api/forecast"]["post"].is_object());
    let (status, answer) =
        ask(&app, Method::POST, "/api/forecast", json!({"cut": "chuck", "method": "braise", "members": 1})).await;
    assert_eq!(status, StatusCode::OK);
    assert!(answer["suitable"] == true && answer["ready_min"]["p50"].as_f64().unwrap() > 60.0);
}

#[tokio::test]
async fn bad_input_names_its_field_and_is_never_a_500() {
    let app = kitchen().await;
    for (path, body, field) in [
        ("/api/forecast", json!({"cut": "unicorn", "method": "braise"}), "cut"),
        ("/api/forecast", json!({"cut": "chuck", "method": "smoke", "heat": {"bath_c": 60}}), "heat.bath_c"),
        ("/api/forecast", json!({"cut": "chuck", "method": "braise", "mass_kg": "much"}), "mass_kg"),
        (
            "/api/forecast",
            json!({"cut": "chuck", "method": "braise", "vessel": {"diameter_cm": -3}}),
            "vessel.diameter_cm",
        ),
        ("/api/forecast", json!({"cut": "chuck", "method": "braise", "frobnicate": 1}), "frobnicate"),
        ("/api/forecast", json!(["chuck"]), "the request"),
        ("/api/match", json!({"cut": "chuck", "bell": "soon"}), "bell"),
        ("/api/match", json!({"cut": "chuck", "people": 0}), "people"),
        ("/api/prepare", json!({"cut": "chuck"}), "mass_kg"),
        ("/api/prepare", json!({"cut": "chuck", "mass_kg": 1.4, "level": "brim"}), "level"),
        (
            "/api/prepare",
            json!({"cut": "chuck", "mass_kg": 1.4, "ingredients": [{"what": "gold", "g": 1}]}),
            "ingredients[0].what",
        ),
        (
            "/api/prepare/plan",
            json!({"name": "x", "bell": "2040-02-06T16:30:00Z", "forecast": {"cut": "fillet", "method": "braise"}}),
            "cut",
        ),
        ("/api/sauce", json!({"liquid_l": -1}), "liquid_l"),
        ("/api/sauce", json!({"target": "soup"}), "target"),
        ("/api/sheet/preview", shin(""), "name"),
        ("/api/import", json!({"ergastic": 7}), "ergastic"),
    ] {
        let (status, problem) = ask(&app, Method::POST, path, body.clone()).await;
        assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY, "{path} {body}");
        assert_eq!(problem["field"], field, "{path} {body}: {problem}");
    }
    let response = raw(&app, Method::POST, "/api/forecast", &[], "{\"cut\": ").await;
    assert_eq!(response.status(), StatusCode::UNPROCESSABLE_ENTITY);
    for (method, path, status) in [
        (Method::GET, "/api/nothing", StatusCode::NOT_FOUND),
        (Method::DELETE, "/api/kitchen", StatusCode::METHOD_NOT_ALLOWED),
        (Method::GET, "/api/plans/nonsense", StatusCode::NOT_FOUND),
        (Method::GET, COOK, StatusCode::NOT_FOUND),
    ] {
        assert_eq!(ask(&app, method, path, Value::Null).await.0, status, "{path}");
    }
}

#[tokio::test]
async fn plans_are_saved_once_and_not_over_each_other() {
    let app = kitchen().await;
    let save = |version: i64, name: &str| json!({"version": version, "plan": shin(name)});
    let (status, _) = ask(&app, Method::PUT, PLAN, json!({"version": 0, "plan": {"name": "x", "bell": "2040-02-06T16:30:00Z", "forecast": {"cut": "fillet", "method": "braise"}}})).await;
    assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY, "a tender cut is not planned");
    assert_eq!(ask(&app, Method::GET, "/api/plans", Value::Null).await.1, json!([]), "and nothing of it is stored");
    assert_eq!(ask(&app, Method::PUT, PLAN, save(0, "One")).await.1["version"], 1);
    assert_eq!(ask(&app, Method::PUT, PLAN, save(0, "One")).await.1["version"], 1);
    assert_eq!(ask(&app, Method::PUT, PLAN, save(0, "Two")).await.0, StatusCode::CONFLICT);
    let (status, worked) = ask(&app, Method::GET, &format!("{PLAN}/sheet"), Value::Null).await;
    assert_eq!(status, StatusCode::OK);
    assert_eq!(worked["sheet"]["late_min"], 0.0);
    assert!(worked["forecast"]["inside"]["frames"].as_array().unwrap().len() > 20);
}

#[tokio::test]
async fn every_version_of_a_plan_can_be_read_again() {
    let app = kitchen().await;
    for (version, name) in ["One", "Two", "Three"].into_iter().enumerate() {
        ask(&app, Method::PUT, PLAN, json!({"version": version, "plan": shin(name)})).await;
    }
    let (_, versions) = ask(&app, Method::GET, &format!("{PLAN}/versions"), Value::Null).await;
    let numbers: Vec<_> = versions.as_array().unwrap().iter().map(|found| found["version"].as_i64().unwrap()).collect();
    assert_eq!(numbers, [3, 2, 1]);
    let (_, second) = ask(&app, Method::GET, &format!("{PLAN}/versions/2"), Value::Null).await;
    assert_eq!((&second["version"], &second["plan"]["name"]), (&json!(2), &json!("Two")));
    for address in
        [format!("{PLAN}/versions/9"), format!("{PLAN}/versions/first"), PLAN.replace("001", "009") + "/versions"]
    {
        assert_eq!(ask(&app, Method::GET, &address, Value::Null).await.0, StatusCode::NOT_FOUND, "{address}");
    }
    // The bench of a plan, saved or not, stands in this kitchen's pot.
    let (status, bench) = ask(&app, Method::POST, "/api/prepare/plan", second["plan"].clone()).await;
    assert_eq!((status, &bench["pot"]["across_mm"]), (StatusCode::OK, &json!(260.0)));
    assert!(ask(&app, Method::GET, "/api/larder", Value::Null).await.1.as_array().unwrap().len() > 40);
}

#[tokio::test]
async fn a_cook_keeps_each_event_once() {
    let app = kitchen().await;
    ask(&app, Method::PUT, PLAN, json!({"version": 0, "plan": shin("One")})).await;
    let open = json!({"plan_id": "00000000-0000-4000-8000-000000000001"});
    let cook = ask(&app, Method::PUT, COOK, open.clone()).await.1;
    assert_eq!(cook["view"]["status"], "before");
    let vessel = &cook["plan"]["forecast"]["vessel"];
    assert_eq!(
        (&vessel["diameter_cm"], &cook["plan"]["certainty"]),
        (&json!(26.0), &json!(0.9)),
        "the cook keeps the pot it was begun in"
    );
    let events = format!("{COOK}/events");
    let event = |id: u32, at: &str, happened: Value| json!([{"id": format!("00000000-0000-4000-8000-{id:012}"), "at": at, "happened": happened}]);
    let met = event(10, "2026-01-01T10:00:00Z", json!({"kind": "met_heat"}));
    for _ in 0..2 {
        let (status, cook) = ask(&app, Method::POST, &events, met.clone()).await;
        assert_eq!(status, StatusCode::OK);
        assert_eq!(cook["view"]["log"].as_array().unwrap().len(), 1);
    }
    let refused = [
        event(11, "2026-01-01T10:30:00Z", json!({"kind": "core_reading", "celsius": 900})),
        event(12, "2026-01-01T10:30:00Z", json!({"kind": "danced"})),
        event(13, "2099-01-01T10:30:00Z", json!({"kind": "met_heat"})),
    ];
    for body in refused {
        let (status, problem) = ask(&app, Method::POST, &events, body).await;
        assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY);
        assert!(problem["field"].as_str().unwrap().starts_with("[0]"), "{problem}");
    }
    assert_eq!(ask(&app, Method::PUT, COOK, open).await.1["view"]["log"].as_array().unwrap().len(), 1);
}

#[tokio::test]
async fn readings_are_taken_whole_and_once_as_json_and_csv() {
    let app = kitchen().await;
    let path = "/api/probes/stove%201/readings";
    let batch = json!([{"id": "00000000-0000-4000-8000-000000000021", "at": "2026-02-06T03:14:15Z", "celsius": 71.2}]);
    assert_eq!(ask(&app, Method::POST, path, batch.clone()).await.1, json!({"stored": 1, "repeated": 0}));
    assert_eq!(ask(&app, Method::POST, path, batch).await.1, json!({"stored": 0, "repeated": 1}));
    let csv = "at,celsius\n2026-02-06T03:15:15Z,71.4\n2026-02-06T03:13:15Z,70.9\n";
    for stored in [2, 0] {
        let response = raw(&app, Method::POST, path, &[("content-type", "text/csv")], csv).await;
        let bytes = to_bytes(response.into_body(), 1 << 20).await.unwrap();
        assert_eq!(serde_json::from_slice::<Value>(&bytes).unwrap()["stored"], stored);
    }
    let half_bad = "at,celsius\n2026-02-06T03:16:15Z,71.4\n2026-02-06T03:17:15Z,900\n";
    let response = raw(&app, Method::POST, path, &[("content-type", "text/csv")], half_bad).await;
    assert_eq!(response.status(), StatusCode::UNPROCESSABLE_ENTITY);
    let response = raw(&app, Method::GET, path, &[("accept", "text/csv")], "").await;
    let text = to_bytes(response.into_body(), 1 << 20).await.unwrap();
    assert_eq!(text, "at,celsius\n2026-02-06T03:13:15Z,70.9\n2026-02-06T03:14:15Z,71.2\n2026-02-06T03:15:15Z,71.4\n");
}

#[tokio::test]
async fn a_kitchen_can_be_taken_along() {
    let app = kitchen().await;
    ask(&app, Method::PUT, PLAN, json!({"version": 0, "plan": shin("One")})).await;
    let (_, file) = ask(&app, Method::GET, "/api/export", Value::Null).await;
    let other = kitchen().await;
    assert_eq!(ask(&other, Method::POST, "/api/import", file.clone()).await.0, StatusCode::OK);
    assert_eq!(ask(&other, Method::GET, "/api/export", Value::Null).await.1, file);
    let mut spoilt = file;
    spoilt["plans"][0]["plan"]["forecast"]["mass_kg"] = json!(-1);
    let (status, problem) = ask(&other, Method::POST, "/api/import", spoilt).await;
    assert_eq!(
        (status, &problem["field"]),
        (StatusCode::UNPROCESSABLE_ENTITY, &json!("plans[0].plan.forecast.mass_kg"))
    );
}

#[tokio::test]
async fn only_this_machine_and_its_own_pages_get_in() {
    let app = kitchen().await;
    let rebound = raw(&app, Method::GET, "/api/plans", &[("host", "kitchen.example:4870")], "").await;
    assert_eq!(rebound.status(), StatusCode::FORBIDDEN);
    let other_site = [("sec-fetch-site", "cross-site"), ("origin", "http://elsewhere.example")];
    let forged = raw(&app, Method::POST, "/api/sauce", &other_site, "{}").await;
    assert_eq!(forged.status(), StatusCode::FORBIDDEN);
    let page = raw(&app, Method::GET, "/sheet/anything", &[], "").await;
    assert!(page.headers()[header::CONTENT_SECURITY_POLICY].to_str().unwrap().contains("default-src 'self'"));
    for path in ["/../Cargo.toml", "/%2e%2e/Cargo.toml", "/assets/../../Cargo.toml"] {
        let response = raw(&app, Method::GET, path, &[], "").await;
        let body = to_bytes(response.into_body(), 1 << 20).await.unwrap();
        assert!(!String::from_utf8_lossy(&body).contains("[package]"), "{path}");
    }
}
