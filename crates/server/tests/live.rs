//! The live hours over the API: a probe in a cook, what could be done now, what rings and is answered, and a logger's file.

use axum::Router;
use axum::body::{Body, to_bytes};
use axum::http::{Method, Request, StatusCode};
use ergastic::clock::ServerClock;
use ergastic::{App, router};
use ergastic_store::Store;
use jiff::{SignedDuration, Timestamp};
use serde_json::{Value, json};
use tower::ServiceExt;
use uuid::Uuid;

const PLAN: &str = "/api/plans/00000000-0000-4000-8000-000000000001";
const COOK: &str = "/api/cooks/00000000-0000-4000-8000-000000000002";

async fn ask(app: &Router, method: Method, path: &str, body: Value) -> (StatusCode, Value) {
    let request = Request::builder().method(method).uri(path).header("host", "127.0.0.1:4870");
    let response = app.clone().oneshot(request.body(Body::from(body.to_string())).unwrap()).await.unwrap();
    let status = response.status();
    let bytes = to_bytes(response.into_body(), 1 << 24).await.unwrap();
    (status, serde_json::from_slice(&bytes).unwrap_or(Value::Null))
}

async fn get(app: &Router, path: &str) -> Value {
    let (status, answer) = ask(app, Method::GET, path, Value::Null).await;
    assert_eq!(status, StatusCode::OK, "{path}: {answer}");
    answer
}

fn ago(minutes: i64) -> Timestamp {
    Timestamp::now() - SignedDuration::from_mins(minutes)
}

async fn happened(app: &Router, minutes_ago: i64, happened: Value) -> (StatusCode, Value) {
    let event = json!([{"id": Uuid::new_v4(), "at": ago(minutes_ago), "happened": happened}]);
    ask(app, Method::POST, &format!("{COOK}/events"), event).await
}

/// A shin that has been in its oven for an hour.
async fn cooking() -> Router {
    let app = router(App::new(Store::temporary().await.unwrap()).unwrap());
    let serve_at = Timestamp::now() + SignedDuration::from_hours(4);
    let plan = json!({"name": "Lake-ice shin", "people": 6, "serve_at": serve_at, "forecast":
        {"cut": "shin", "mass_kg": 2.0, "method": "braise", "heat": {"source": "oven", "set_c": 150}, "members": 200}});
    ask(&app, Method::PUT, PLAN, json!({"version": 0, "plan": plan})).await;
    ask(&app, Method::PUT, COOK, json!({"plan_id": "00000000-0000-4000-8000-000000000001"})).await;
    assert_eq!(happened(&app, 60, json!({"kind": "on_the_heat"})).await.0, StatusCode::OK);
    app
}

#[tokio::test]
async fn a_probe_is_heard_put_into_the_meat_and_moves_the_band() {
    let app = cooking().await;
    let readings: Vec<Value> = (0..60)
        .map(|minute| json!({"id": Uuid::new_v4(), "at": ago(60 - minute), "celsius": 5.0 + minute as f64 * 1.25}))
        .collect();
    let (status, stored) = ask(&app, Method::POST, "/api/probes/galley/readings", json!(readings)).await;
    assert_eq!((status, &stored["stored"]), (StatusCode::OK, &json!(60)));
    let seen = get(&app, "/api/probes").await;
    assert_eq!((&seen[0]["name"], &seen[0]["celsius"]), (&json!("galley"), &json!(78.75)));
    let before = get(&app, COOK).await;
    assert_eq!(before["view"]["probes"], json!([]), "it belongs to nothing before it is put somewhere");
    let (status, after) = happened(&app, 60, json!({"kind": "probe_put", "probe": "galley", "into": "meat"})).await;
    assert_eq!(status, StatusCode::OK, "{after}");
    let view = &after["view"];
    assert_eq!((&view["probes"][0]["probe"], &view["findings"]), (&json!("galley"), &json!(1)));
    assert_ne!(view["band"]["ready"]["p50"], before["view"]["band"]["ready"]["p50"]);
    assert!(
        view["course"].as_array().unwrap().len() > 10 && view["moved"][0]["found"] == "middle",
        "{}",
        view["moved"]
    );
}

#[tokio::test]
async fn what_could_be_done_is_told_taken_and_refused_where_it_cant_be() {
    let app = cooking().await;
    let what_if = get(&app, &format!("{COOK}/what-if")).await;
    let choices = what_if["choices"].as_array().unwrap();
    let hotter = choices.iter().find(|choice| choice["id"] == "hotter").unwrap();
    let (status, turned) = happened(&app, 0, hotter["happened"].clone()).await;
    assert_eq!(status, StatusCode::OK, "{turned}");
    assert_eq!(turned["view"]["asks"]["dial"]["celsius"], json!(170.0));
    assert!(turned["view"]["now"]["act"].as_str().unwrap().contains("170"), "{}", turned["view"]["now"]);
    // A pit's dial does not go with an oven, and nothing of it is kept.
    let (status, refused) = happened(&app, 0, json!({"kind": "changed", "heat": {"pit_c": 110}})).await;
    assert_eq!((status, &refused["field"]), (StatusCode::UNPROCESSABLE_ENTITY, &json!("[0].happened")), "{refused}");
    let log = get(&app, COOK).await["view"]["log"].as_array().unwrap().len();
    assert_eq!(log, 2);
    let troubles = get(&app, &format!("{COOK}/gone-wrong")).await;
    assert!(troubles.as_array().unwrap().iter().any(|trouble| trouble["id"] == "power"), "{troubles}");
}

#[tokio::test]
async fn what_rings_is_the_same_for_all_and_answered_for_all() {
    let app = cooking().await;
    let due = |now: &Value| now["dishes"][0]["alarms"][0].clone();
    let now = get(&app, "/api/now").await;
    let alarm = due(&now);
    assert!(alarm["heard"] == json!(false) && alarm["later"].as_array().unwrap().len() == 3, "{alarm}");
    assert!(now["hand_over"].as_array().unwrap().len() <= 10);
    let (status, _) = happened(&app, 0, alarm["hear"]["happened"].clone()).await;
    assert_eq!(status, StatusCode::OK);
    assert_eq!(due(&get(&app, "/api/now").await)["heard"], json!(true));
}

#[tokio::test]
async fn a_loggers_file_is_told_apart_and_kept_as_readings_once() {
    let app = cooking().await;
    let text = format!("Time;Meat (°C);Humidity\n{};61,5;40\n{};62;41\n", ago(10), ago(9));
    let (status, file) = ask(&app, Method::POST, "/api/loggers/read", json!({"text": text})).await;
    assert_eq!(status, StatusCode::OK, "{file}");
    let holds: Vec<&Value> = file["columns"].as_array().unwrap().iter().map(|column| &column["holds"]).collect();
    assert_eq!(holds, ["time", "celsius", "other"]);
    let import = |column: u32| json!({"text": text, "time": {"column": 0, "holds": "time"}, "probes": [{"column": column, "holds": "celsius", "probe": "logger"}]});
    let (_, first) = ask(&app, Method::POST, "/api/loggers/import", import(1)).await;
    let (_, again) = ask(&app, Method::POST, "/api/loggers/import", import(1)).await;
    assert_eq!((&first["stored"], &again["stored"], &again["repeated"]), (&json!(2), &json!(0), &json!(2)));
    let (status, refused) = ask(&app, Method::POST, "/api/loggers/import", import(9)).await;
    assert_eq!((status, &refused["field"]), (StatusCode::UNPROCESSABLE_ENTITY, &json!("probes.column")));
    let (status, _) = ask(&app, Method::POST, "/api/loggers/read", json!({"text": "no table"})).await;
    assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY);
}

#[tokio::test]
async fn a_fast_clock_is_told_in_every_answer() {
    let clock = ServerClock::at_speed(60.0);
    let app = router(App::with_clock(Store::temporary().await.unwrap(), clock).unwrap());
    let shown = async || {
        let request = Request::builder().uri("/api/kitchen").header("host", "127.0.0.1:4870");
        let response = app.clone().oneshot(request.body(Body::empty()).unwrap()).await.unwrap();
        let told = response.headers()["kitchen-clock"].to_str().unwrap().to_owned();
        let (ms, speed) = told.split_once(' ').unwrap();
        assert_eq!(speed, "60");
        ms.parse::<i64>().unwrap()
    };
    let first = shown().await;
    tokio::time::sleep(std::time::Duration::from_millis(100)).await;
    assert!(shown().await - first >= 6000);
}
