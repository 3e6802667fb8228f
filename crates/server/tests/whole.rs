//! Nothing is lost unsaid, and nobody is hindered by what others ask: a damaged kitchen, a damaged event, a crowd of questions.

use std::path::PathBuf;

use axum::Router;
use axum::body::{Body, to_bytes};
use axum::http::{Method, Request, StatusCode};
use ergastic::{App, router};
use ergastic_store::Store;
use jiff::{SignedDuration, Timestamp};
use serde_json::{Value, json};
use sqlx::{ConnectOptions, Connection};
use tower::ServiceExt;
use uuid::Uuid;

const PLAN: &str = "/api/plans/00000000-0000-4000-8000-000000000001";
const COOK: &str = "/api/cooks/00000000-0000-4000-8000-000000000002";

/// A kitchen in a file, which can be damaged while it is closed.
struct OnDisk(PathBuf);

impl OnDisk {
    fn new() -> Self {
        let folder = std::env::temp_dir().join(format!("ergastic-whole-{}", Uuid::new_v4()));
        std::fs::create_dir_all(&folder).unwrap();
        Self(folder)
    }

    async fn open(&self) -> (Store, Router) {
        let store = Store::open(&self.0.join("kitchen.sqlite")).await.unwrap();
        (store.clone(), router(App::new(store).unwrap()))
    }

    async fn damage(&self, sql: &'static str) {
        let options = sqlx::sqlite::SqliteConnectOptions::new().filename(self.0.join("kitchen.sqlite"));
        let mut connection = options.connect().await.unwrap();
        assert!(sqlx::raw_sql(sql).execute(&mut connection).await.unwrap().rows_affected() > 0);
        connection.close().await.unwrap();
    }
}

impl Drop for OnDisk {
    fn drop(&mut self) {
        let _ = std::fs::remove_dir_all(&self.0);
    }
}

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

async fn tap(app: &Router, minutes_ago: i64, happened: Value) -> (StatusCode, Value) {
    let at = Timestamp::now() - SignedDuration::from_mins(minutes_ago);
    let event = json!([{"id": Uuid::new_v4(), "at": at, "happened": happened}]);
    ask(app, Method::POST, &format!("{COOK}/events"), event).await
}

/// Puts a shin into its oven, an hour ago.
async fn begin(app: &Router) {
    let serve_at = Timestamp::now() + SignedDuration::from_hours(4);
    let plan = json!({"name": "Lake-ice shin", "people": 6, "serve_at": serve_at, "forecast":
        {"cut": "shin", "mass_kg": 2.0, "method": "braise", "heat": {"source": "oven", "set_c": 150}, "members": 100}});
    ask(app, Method::PUT, PLAN, json!({"version": 0, "plan": plan})).await;
    ask(app, Method::PUT, COOK, json!({"plan_id": "00000000-0000-4000-8000-000000000001"})).await;
    assert_eq!(tap(app, 60, json!({"kind": "on_the_heat"})).await.0, StatusCode::OK);
}

#[tokio::test]
async fn a_damaged_kitchen_is_said_and_written_over_only_when_that_is_said() {
    let disk = OnDisk::new();
    let (store, app) = disk.open().await;
    let mut kitchen = get(&app, "/api/kitchen").await["kitchen"].clone();
    kitchen["altitude_m"] = json!(900);
    ask(&app, Method::PUT, "/api/kitchen", json!({"version": 0, "kitchen": kitchen})).await;
    assert_eq!(get(&app, "/api/health").await["ok"], true);
    drop(app);
    store.close().await;
    disk.damage("INSERT INTO kitchen SELECT 2, '{\"altitude_m\": \"up\"}', format, saved_at FROM kitchen").await;
    let (store, app) = disk.open().await;
    let health = get(&app, "/api/health").await;
    assert_eq!(health["ok"], false);
    assert!(health["warnings"][0].as_str().unwrap().contains("Version 1 is used instead"), "{health}");
    let view = get(&app, "/api/kitchen").await;
    assert_eq!((&view["version"], &view["kitchen"]["altitude_m"]), (&json!(2), &json!(900.0)));
    assert_eq!(view["damaged"]["text"], "{\"altitude_m\": \"up\"}");
    let save = |over: bool| json!({"version": 2, "kitchen": view["kitchen"], "over_damaged": over});
    let (status, problem) = ask(&app, Method::PUT, "/api/kitchen", save(false)).await;
    assert_eq!((status, &problem["field"]), (StatusCode::UNPROCESSABLE_ENTITY, &json!("over_damaged")));
    assert_eq!(get(&app, "/api/export").await["kitchen"]["altitude_m"], "up");
    let (status, saved) = ask(&app, Method::PUT, "/api/kitchen", save(true)).await;
    assert_eq!((status, &saved["version"]), (StatusCode::OK, &json!(3)));
    assert_eq!(get(&app, "/api/kitchen/versions").await.as_array().unwrap().len(), 3);
    let damaged = get(&app, "/api/kitchen/versions/2").await;
    assert_eq!((&damaged["text"], damaged.get("kitchen")), (&json!("{\"altitude_m\": \"up\"}"), None));
    assert_eq!(get(&app, "/api/health").await["ok"], true);
    store.close().await;
}

#[tokio::test]
async fn a_live_cook_with_an_event_that_cant_be_read_stays_on_the_heat_and_says_so() {
    let disk = OnDisk::new();
    let (store, app) = disk.open().await;
    begin(&app).await;
    tap(&app, 30, json!({"kind": "note", "text": "lid on"})).await;
    store.close().await;
    disk.damage("UPDATE cook_event SET happened = '{\"kind\": \"noted\"' WHERE happened LIKE '%note%'").await;
    let (store, app) = disk.open().await;
    let cook = get(&app, COOK).await;
    assert!(cook["unread"].as_str().unwrap().starts_with("One thing that happened can't be read"), "{cook}");
    assert_eq!(cook["view"]["status"], "under_way");
    let now = get(&app, "/api/now").await;
    assert_eq!(now["dishes"][0]["unread"], cook["unread"]);
    assert!(now["hand_over"].as_array().unwrap().iter().any(|line| line.as_str().unwrap().contains("can't be read")));
    assert_eq!(tap(&app, 1, json!({"kind": "check", "found": "firm"})).await.0, StatusCode::OK, "and it goes on");
    store.close().await;
}

#[tokio::test(flavor = "multi_thread")]
async fn a_crowd_of_questions_hinders_no_tap() {
    let app = router(App::new(Store::temporary().await.unwrap()).unwrap());
    begin(&app).await;
    let asks = ["what-if", "gone-wrong", "afterwards", "why"].map(|what| format!("{COOK}/{what}"));
    let crowd: Vec<_> = (0..100)
        .map(|i| {
            let (app, path) = (app.clone(), asks[i % asks.len()].clone());
            tokio::spawn(async move { ask(&app, Method::GET, &path, Value::Null).await.0 })
        })
        .collect();
    for minute in 0..10 {
        let (status, answer) = tap(&app, 20 - minute, json!({"kind": "note", "text": "stirred"})).await;
        assert_eq!(status, StatusCode::OK, "{answer}");
        assert_eq!(ask(&app, Method::GET, COOK, Value::Null).await.0, StatusCode::OK);
    }
    for one in crowd {
        let status = one.await.unwrap();
        assert!([StatusCode::OK, StatusCode::SERVICE_UNAVAILABLE].contains(&status), "{status}");
    }
}

#[tokio::test]
async fn a_get_keeps_nothing_but_its_own_trial() {
    let disk = OnDisk::new();
    let (store, app) = disk.open().await;
    begin(&app).await;
    let meal = "/api/meals/00000000-0000-4000-8000-000000000001";
    get(&app, COOK).await;
    let document = get(&app, "/api/openapi.json").await;
    let told = || async {
        let options = sqlx::sqlite::SqliteConnectOptions::new().filename(disk.0.join("kitchen.sqlite")).read_only(true);
        let mut connection = options.connect().await.unwrap();
        let changes: i64 = sqlx::query_scalar(
            "SELECT (SELECT count(*) FROM told_task) + (SELECT count(*) FROM plan) + (SELECT count(*) FROM cook_event)
                + (SELECT count(*) FROM cook) + (SELECT count(*) FROM kitchen) + (SELECT count(*) FROM probe)",
        )
        .fetch_one(&mut connection)
        .await
        .unwrap();
        connection.close().await.unwrap();
        changes
    };
    let first = told().await;
    for (path, methods) in document["paths"].as_object().unwrap() {
        if methods.get("get").is_none() || path == "/api/events" {
            continue;
        }
        let path =
            path.replace("/api/cooks/{id}", COOK).replace("/api/plans/{id}", PLAN).replace("/api/meals/{id}", meal);
        let path = path.replace("{version}", "1").replace("{probe}", "galley");
        let path = if path.ends_with("/file") { format!("{path}?kind=calendar") } else { path };
        let (status, answer) = ask(&app, Method::GET, &path, Value::Null).await;
        assert!(!status.is_server_error(), "{path}: {answer}");
    }
    assert_eq!(told().await, first);
    store.close().await;
}
