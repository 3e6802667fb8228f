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
    json!({"name": name, "people": 8, "serve_at": "2040-02-06T16:30:00Z", "forecast": {"cut": "shin", "mass_kg": 2.4, "method": "braise", "members": 64}})
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
        ("/api/match", json!({"cut": "chuck", "serve_at": "soon"}), "serve_at"),
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
            json!({"name": "x", "serve_at": "2040-02-06T16:30:00Z", "forecast": {"cut": "fillet", "method": "braise"}}),
            "cut",
        ),
        ("/api/sauce", json!({"liquid_l": -1}), "liquid_l"),
        ("/api/sauce", json!({"target": "soup"}), "target"),
        ("/api/sheet/preview", shin(""), "name"),
        ("/api/import", json!({"ergastic": 7}), "ergastic"),
        // A list is not an object by position, at any depth.
        ("/api/forecast", json!({"cut": "chuck", "method": "braise", "vessel": [26, 13]}), "vessel"),
        ("/api/forecast", json!({"parts": [{"cut": "chuck"}, ["shin"]], "method": "braise"}), "parts[1]"),
        ("/api/prepare", json!({"cut": "chuck", "mass_kg": 1.4, "pan": [28]}), "pan"),
        ("/api/sheet/preview", shin("Over\u{202e}ride"), "name"),
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
    let (status, _) = ask(&app, Method::PUT, PLAN, json!({"version": 0, "plan": {"name": "x", "serve_at": "2040-02-06T16:30:00Z", "forecast": {"cut": "fillet", "method": "braise"}}})).await;
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
    let met = event(10, "2026-01-01T10:00:00Z", json!({"kind": "on_the_heat"}));
    for _ in 0..2 {
        let (status, cook) = ask(&app, Method::POST, &events, met.clone()).await;
        assert_eq!(status, StatusCode::OK);
        assert_eq!(cook["view"]["log"].as_array().unwrap().len(), 1);
    }
    let refused = [
        event(11, "2026-01-01T10:30:00Z", json!({"kind": "core_reading", "celsius": 900})),
        event(12, "2026-01-01T10:30:00Z", json!({"kind": "danced"})),
        event(13, "2099-01-01T10:30:00Z", json!({"kind": "on_the_heat"})),
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

const EVENTS: &str = "/api/cooks/00000000-0000-4000-8000-000000000002/events";

fn open() -> Value {
    json!({"plan_id": "00000000-0000-4000-8000-000000000001"})
}

fn happened(id: u32, at: &str, what: Value) -> Value {
    json!([{"id": format!("00000000-0000-4000-8000-{id:012}"), "at": at, "happened": what}])
}

#[tokio::test]
async fn a_cook_that_cant_be_is_refused_and_not_kept_and_the_others_go_on() {
    let app = kitchen().await;
    let cold = json!({"name": "Cold bath", "serve_at": "2040-02-06T16:30:00Z", "forecast": {"cut": "shin", "method": "water_bath", "heat": {"bath_c": 55}, "members": 32}});
    ask(&app, Method::PUT, PLAN, json!({"version": 0, "plan": cold})).await;
    assert_eq!(ask(&app, Method::PUT, COOK, open()).await.0, StatusCode::UNPROCESSABLE_ENTITY, "never tender");
    assert_eq!(ask(&app, Method::GET, "/api/cooks", Value::Null).await, (StatusCode::OK, json!([])));
    ask(&app, Method::PUT, PLAN, json!({"version": 1, "plan": shin("One")})).await;
    assert_eq!(ask(&app, Method::PUT, COOK, open()).await.0, StatusCode::OK);
    ask(&app, Method::POST, EVENTS, happened(10, "2026-01-01T10:00:00Z", json!({"kind": "on_the_heat"}))).await;
    let late = happened(11, "2026-01-09T10:00:00Z", json!({"kind": "liquid_added", "litres": 0.5}));
    let (status, problem) = ask(&app, Method::POST, EVENTS, late).await;
    assert_eq!((status, &problem["field"]), (StatusCode::UNPROCESSABLE_ENTITY, &json!("at")));
    let (status, cook) = ask(&app, Method::GET, COOK, Value::Null).await;
    assert_eq!((status, cook["view"]["log"].as_array().unwrap().len()), (StatusCode::OK, 1), "nothing of it was kept");
    let (_, list) = ask(&app, Method::GET, "/api/cooks", Value::Null).await;
    assert_eq!((&list[0]["name"], &list[0]["status"]), (&json!("One"), &json!("under_way")));
}

#[tokio::test]
async fn a_broken_cook_from_a_file_is_listed_with_its_reason_and_put_away_and_taken_out() {
    let store = Store::temporary().await.unwrap();
    let app = App::new(store).unwrap();
    tokio::spawn(ergastic::upkeep::go_on(app.clone()));
    let app = router(app);
    ask(&app, Method::PUT, PLAN, json!({"version": 0, "plan": shin("One")})).await;
    ask(&app, Method::PUT, COOK, open()).await;
    let bad = "00000000-0000-4000-8000-0000000000bb";
    let cold = json!({"name": "Cold bath", "serve_at": "2026-02-06T16:30:00Z", "forecast": {"cut": "shin", "method": "keep_warm", "heat": {"at_c": 50}, "members": 32}});
    let torn = json!({"name": "Torn", "what": "no plan any more"});
    let file = json!({"ergastic": 1, "cooks": [
        {"id": bad, "plan_id": "00000000-0000-4000-8000-000000000001", "opened_at": "2026-02-01T10:00:00Z", "plan": cold, "events": []},
        {"id": bad.replace("bb", "cc"), "plan_id": "00000000-0000-4000-8000-000000000001", "opened_at": "2026-02-02T10:00:00Z", "plan": torn, "events": [], "damaged": "missing field `serve_at`"}
    ]});
    let (status, brought) = ask(&app, Method::POST, "/api/import", file).await;
    assert_eq!((status, &brought["new_cooks"]), (StatusCode::OK, &json!(2)));
    // It is found out while nobody asks.
    let mut list = Value::Null;
    for _ in 0..200 {
        list = ask(&app, Method::GET, "/api/cooks", Value::Null).await.1;
        if list.as_array().unwrap().iter().filter(|cook| cook["broken"].is_string()).count() == 2 {
            break;
        }
        tokio::time::sleep(std::time::Duration::from_millis(50)).await;
    }
    let broken = |list: &Value| list.as_array().unwrap().iter().filter(|cook| cook["broken"].is_string()).count();
    assert_eq!((list.as_array().unwrap().len(), broken(&list)), (3, 2), "{list}");
    assert_eq!(ask(&app, Method::GET, COOK, Value::Null).await.0, StatusCode::OK);
    let address = format!("/api/cooks/{bad}");
    assert_eq!(ask(&app, Method::GET, &address, Value::Null).await.0, StatusCode::UNPROCESSABLE_ENTITY);
    let (_, out) = ask(&app, Method::GET, "/api/export", Value::Null).await;
    assert_eq!(out["cooks"][1]["plan"]["what"], "no plan any more", "it goes out as it is: {}", out["cooks"]);
    assert_eq!(ask(&app, Method::DELETE, &address, Value::Null).await.0, StatusCode::NO_CONTENT);
    let (_, bin) = ask(&app, Method::GET, "/api/trash", Value::Null).await;
    assert_eq!((&bin[0]["kind"], &bin[0]["name"]), (&json!("cook"), &json!("Cold bath")));
    assert_eq!(broken(&ask(&app, Method::GET, "/api/cooks", Value::Null).await.1), 1);
    assert_eq!(
        ask(&app, Method::DELETE, &format!("/api/trash/cooks/{bad}"), Value::Null).await.0,
        StatusCode::NO_CONTENT
    );
    assert_eq!(broken(&ask(&app, Method::GET, "/api/cooks", Value::Null).await.1), 2);
    ask(&app, Method::DELETE, &address, Value::Null).await;
    assert_eq!(ask(&app, Method::DELETE, "/api/trash", Value::Null).await.1, json!({"gone": 1}));
    assert_eq!(ask(&app, Method::GET, &address, Value::Null).await.0, StatusCode::NOT_FOUND);
}

#[tokio::test]
async fn a_full_disk_is_said_and_nothing_is_poisoned_by_it() {
    let store = Store::temporary().await.unwrap();
    let app = router(App::new(store.clone()).unwrap());
    ask(&app, Method::PUT, PLAN, json!({"version": 0, "plan": shin("One")})).await;
    ask(&app, Method::PUT, COOK, open()).await;
    store.set_most_pages(Some(1)).await.unwrap();
    let batch: Vec<Value> = (0..4000).map(|i| json!({"id": format!("00000000-0000-4000-9000-{i:012}"), "at": "2026-02-06T03:14:15Z", "celsius": 71.2})).collect();
    for _ in 0..3 {
        let (status, problem) = ask(&app, Method::POST, "/api/probes/stove/readings", json!(batch)).await;
        assert_eq!(status, StatusCode::INSUFFICIENT_STORAGE);
        assert!(problem["detail"].as_str().unwrap().contains("disk is full"), "{problem}");
    }
    assert_eq!(ask(&app, Method::GET, COOK, Value::Null).await.0, StatusCode::OK, "the cook is still shown");
    store.set_most_pages(None).await.unwrap();
    assert_eq!(ask(&app, Method::POST, "/api/probes/stove/readings", json!(batch)).await.1["stored"], 4000);
    assert_eq!(ask(&app, Method::GET, "/api/health", Value::Null).await.1["ok"], true);
}

#[tokio::test]
async fn an_event_of_another_cook_is_refused_by_its_id() {
    let app = kitchen().await;
    ask(&app, Method::PUT, PLAN, json!({"version": 0, "plan": shin("One")})).await;
    let other = COOK.replace("002", "003");
    ask(&app, Method::PUT, COOK, open()).await;
    ask(&app, Method::POST, EVENTS, happened(9, "2026-01-01T09:00:00Z", json!({"kind": "closed"}))).await;
    ask(&app, Method::PUT, &other, open()).await;
    let met = happened(10, "2026-01-01T10:00:00Z", json!({"kind": "on_the_heat"}));
    assert_eq!(ask(&app, Method::POST, EVENTS, met.clone()).await.0, StatusCode::OK);
    let (status, problem) = ask(&app, Method::POST, &format!("{other}/events"), met).await;
    assert_eq!((status, &problem["field"]), (StatusCode::UNPROCESSABLE_ENTITY, &json!("[0].id")));
    assert_eq!(ask(&app, Method::GET, &other, Value::Null).await.1["view"]["log"], json!([]));
}

#[tokio::test]
async fn a_file_says_what_it_would_bring_and_leaves_alone_what_it_has_not() {
    let app = kitchen().await;
    let named = json!({"name": "Lodge galley", "zone": "Europe/Helsinki"});
    assert_eq!(ask(&app, Method::PUT, "/api/kitchen", json!({"version": 0, "kitchen": named})).await.0, StatusCode::OK);
    for (version, name) in ["One", "Two"].into_iter().enumerate() {
        ask(&app, Method::PUT, PLAN, json!({"version": version, "plan": shin(name)})).await;
    }
    let (_, file) = ask(&app, Method::GET, "/api/export", Value::Null).await;
    assert_eq!(file["plans"].as_array().unwrap().len(), 2, "every version goes along");
    let other = kitchen().await;
    let (_, would) = ask(&other, Method::POST, "/api/import/preview", file.clone()).await;
    assert_eq!(
        (&would["kitchen"], &would["new_plans"], &would["versions"]),
        (&json!(true), &json!(1), &json!(2)),
        "{would}"
    );
    assert_eq!(ask(&other, Method::GET, "/api/plans", Value::Null).await.1, json!([]), "and has brought nothing");
    assert_eq!(ask(&other, Method::POST, "/api/import", file.clone()).await.0, StatusCode::OK);
    let (_, again) = ask(&other, Method::POST, "/api/import/preview", file.clone()).await;
    assert_eq!((&again["kitchen"], &again["versions"]), (&json!(false), &json!(0)), "{again}");
    assert_eq!(ask(&other, Method::GET, "/api/export", Value::Null).await.1, file);
    // A file without a kitchen leaves the kitchen as it is.
    assert_eq!(ask(&other, Method::POST, "/api/import", json!({"ergastic": 1})).await.0, StatusCode::OK);
    assert_eq!(ask(&other, Method::GET, "/api/kitchen", Value::Null).await.1["kitchen"]["name"], "Lodge galley");
    for (path, spoilt) in [
        ("/plans/0/plan/name", json!("Nul\u{0}")),
        ("/plans/0/saved_at", json!("2099-01-01T00:00:00Z")),
        ("/kitchen/zone", json!("Nowhere/At_all")),
    ] {
        let mut bad = file.clone();
        *bad.pointer_mut(path).unwrap() = spoilt;
        let (status, problem) = ask(&other, Method::POST, "/api/import", bad).await;
        assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY, "{path}");
        let field = path[1..].replace("/0", "[0]").replace('/', ".");
        assert_eq!(problem["field"], json!(field));
    }
}

#[tokio::test]
async fn what_some_senders_do_is_understood_and_what_none_should_is_not() {
    let app = kitchen().await;
    let marked = raw(&app, Method::POST, "/api/sauce", &[], "\u{feff}{\"liquid_l\": 1}").await;
    assert_eq!(marked.status(), StatusCode::OK, "a byte order mark");
    let csv = "\u{feff}at,celsius\n2026-02-06T03:15:15Z,71.4\n";
    let path = "/api/probes/stove/readings";
    assert_eq!(raw(&app, Method::POST, path, &[("content-type", "text/csv")], csv).await.status(), StatusCode::OK);
    let shouted = raw(&app, Method::GET, "/api/kitchen", &[("host", "LocalHost:4870")], "").await;
    assert_eq!(shouted.status(), StatusCode::OK);
    assert_eq!(shouted.headers()["cross-origin-resource-policy"], "same-origin");
    for at in ["1970-01-01T00:00:07Z", "2101-01-01T00:00:00Z"] {
        let batch = json!([{"id": "00000000-0000-4000-8000-000000000021", "at": at, "celsius": 71.2}]);
        let (status, problem) = ask(&app, Method::POST, path, batch).await;
        assert_eq!((status, &problem["field"]), (StatusCode::UNPROCESSABLE_ENTITY, &json!("[0].at")), "{at}");
    }
    assert_eq!(
        ask(&app, Method::POST, "/api/probes/a%00b/readings", json!([])).await.0,
        StatusCode::UNPROCESSABLE_ENTITY
    );
    assert_eq!(ask(&app, Method::POST, "/api/probes/%ff/readings", json!([])).await.0, StatusCode::NOT_FOUND);
    let (status, problem) = ask(&app, Method::GET, &format!("{path}?from=soon"), Value::Null).await;
    assert_eq!((status, &problem["field"]), (StatusCode::UNPROCESSABLE_ENTITY, &json!("from")));
    assert_eq!(ask(&app, Method::POST, "/sheet/anything", json!({})).await.0, StatusCode::METHOD_NOT_ALLOWED);
    assert!(raw(&app, Method::HEAD, "/sheet/anything", &[], "").await.status().as_u16() != 405);
    let long = format!("{{\"liquid_l\": 1{}}}", " ".repeat(2 << 20));
    let response = raw(&app, Method::POST, "/api/sauce", &[], long).await;
    assert_eq!(response.status(), StatusCode::PAYLOAD_TOO_LARGE);
    let many: Vec<Value> = (0..1001).map(|_| json!({})).collect();
    ask(&app, Method::PUT, PLAN, json!({"version": 0, "plan": shin("One")})).await;
    ask(&app, Method::PUT, COOK, open()).await;
    assert_eq!(ask(&app, Method::POST, EVENTS, json!(many)).await.0, StatusCode::UNPROCESSABLE_ENTITY);
}

#[tokio::test]
async fn a_body_that_does_not_come_is_not_waited_for() {
    let app = kitchen().await;
    tokio::time::pause();
    let never = Body::from_stream(tokio_stream::pending::<Result<Vec<u8>, std::io::Error>>());
    let response = raw(&app, Method::POST, "/api/sauce", &[], never).await;
    assert_eq!(response.status(), StatusCode::REQUEST_TIMEOUT);
    assert_eq!(response.headers()[header::CONTENT_TYPE], "application/problem+json");
}

#[tokio::test]
async fn a_view_that_is_kept_is_that_of_the_kitchen_it_was_made_in() {
    let app = kitchen().await;
    ask(&app, Method::PUT, PLAN, json!({"version": 0, "plan": shin("One")})).await;
    ask(&app, Method::PUT, COOK, open()).await;
    ask(&app, Method::POST, EVENTS, happened(10, "2026-01-01T10:00:00Z", json!({"kind": "on_the_heat"}))).await;
    ask(&app, Method::POST, EVENTS, happened(11, "2026-01-01T15:00:00Z", json!({"kind": "closed"}))).await;
    let view = async || ask(&app, Method::GET, COOK, Value::Null).await.1["view"].clone();
    let before = view().await;
    assert_eq!(view().await, before, "the same kitchen, the same view");
    let burner = json!({"id": "small", "name": "Small flame", "measures": {"watts": 250}});
    let (status, kept) =
        ask(&app, Method::PUT, "/api/kitchen", json!({"version": 0, "kitchen": {"burners": [burner]}})).await;
    assert_eq!(status, StatusCode::OK, "{kept}");
    let weak = view().await;
    assert_ne!(weak["tasks"], before["tasks"], "a weak hob takes longer over the sauce");
    ask(&app, Method::PUT, "/api/kitchen", json!({"version": 1, "kitchen": {}})).await;
    assert_eq!(view().await, before);
}
