//! What a large kitchen is held to: its list of cooks, its files in and out, and the cook at work while much else is asked for.

use std::sync::Arc;
use std::time::Duration;

use axum::Router;
use axum::body::{Body, to_bytes};
use axum::http::{Request, StatusCode};
use divan::Bencher;
use divan::counter::ItemsCount;
use ergastic::{App, router};
use ergastic_store::Store;
use jiff::{SignedDuration, Timestamp};
use serde_json::{Value, json};
use tokio::runtime::Runtime;
use tower::ServiceExt;
use uuid::Uuid;

fn main() {
    divan::main();
}

const PLAN_ID: &str = "00000000-0000-4000-8000-000000000001";
const COOK: &str = "/api/cooks/00000000-0000-4000-8000-000000000002";

async fn ask(app: &Router, method: &str, path: &str, body: Body) -> (StatusCode, Vec<u8>) {
    let request = Request::builder().method(method).uri(path).header("host", "localhost").body(body).unwrap();
    let response = app.clone().oneshot(request).await.unwrap();
    let status = response.status();
    (status, to_bytes(response.into_body(), usize::MAX).await.unwrap().to_vec())
}

fn plan(serve_at: Timestamp) -> Value {
    json!({"name": "Lake-ice shin", "people": 8, "serve_at": serve_at, "forecast": {"cut": "shin", "mass_kg": 2.4, "method": "braise"}})
}

fn event(at: Timestamp, happened: &Value) -> Value {
    json!({"id": Uuid::new_v4(), "at": at, "happened": happened})
}

/// So many cooks that are over, and twenty that were forgotten.
fn ten_years_of_cooks(closed: usize) -> String {
    let serve_at: Timestamp = "2026-02-06T16:30:00Z".parse().unwrap();
    let before = |hours: i64| serve_at - SignedDuration::from_hours(hours);
    let cook = |i: usize| {
        let mut events = vec![
            event(before(6), &json!({"kind": "on_the_heat"})),
            event(before(4), &json!({"kind": "core_reading", "celsius": 88.0})),
        ];
        if i < closed {
            events.push(event(serve_at, &json!({"kind": "closed"})));
        }
        json!({"id": Uuid::new_v4(), "plan_id": PLAN_ID, "opened_at": before(30), "plan": plan(serve_at), "events": events})
    };
    json!({"ergastic": 1, "cooks": (0..closed + 20).map(cook).collect::<Vec<_>>()}).to_string()
}

fn readings(count: usize) -> String {
    let start: Timestamp = "2017-01-01T00:00:00Z".parse().unwrap();
    let one = |i: usize| {
        let at = start + SignedDuration::from_secs(25 * i as i64);
        format!("[\"{}\",\"{at}\",{}]", Uuid::new_v4(), 60 + i % 30)
    };
    let all: Vec<String> = (0..count).map(one).collect();
    format!("{{\"ergastic\":1,\"probes\":[{{\"probe\":\"stove\",\"readings\":[{}]}}]}}", all.join(","))
}

fn kitchen(runtime: &Runtime) -> Router {
    let store = runtime.block_on(Store::temporary()).unwrap();
    router(App::new(store).unwrap())
}

#[divan::bench(name = "list of 5,000 closed cooks and 20 forgotten ones (target 20 ms)", sample_count = 30)]
fn list(bencher: Bencher) {
    let runtime = Runtime::new().unwrap();
    let app = kitchen(&runtime);
    let file = ten_years_of_cooks(5000);
    assert_eq!(runtime.block_on(ask(&app, "POST", "/api/import", Body::from(file))).0, StatusCode::OK);
    bencher.bench(|| runtime.block_on(ask(&app, "GET", "/api/cooks", Body::empty())).1.len());
}

const MANY: usize = 1_000_000;

#[divan::bench(name = "a million readings come in", sample_count = 1, sample_size = 1)]
fn import(bencher: Bencher) {
    let runtime = Runtime::new().unwrap();
    let file = readings(MANY);
    bencher.counter(ItemsCount::new(MANY)).with_inputs(|| (kitchen(&runtime), file.clone())).bench_values(
        |(app, file)| {
            assert_eq!(runtime.block_on(ask(&app, "POST", "/api/import", Body::from(file))).0, StatusCode::OK);
        },
    );
}

#[divan::bench(name = "a million readings go out", sample_count = 1, sample_size = 1)]
fn export(bencher: Bencher) {
    let runtime = Runtime::new().unwrap();
    let app = kitchen(&runtime);
    runtime.block_on(ask(&app, "POST", "/api/import", Body::from(readings(MANY))));
    bencher
        .counter(ItemsCount::new(MANY))
        .bench(|| runtime.block_on(ask(&app, "GET", "/api/export", Body::empty())).1.len());
}

#[divan::bench(name = "the cook at work while fifty long forecasts are asked for (target 300 ms)", sample_count = 12)]
fn cook_under_load(bencher: Bencher) {
    let runtime = Runtime::new().unwrap();
    let app = kitchen(&runtime);
    let body = |value: Value| Body::from(value.to_string());
    let (ago, ahead) = (SignedDuration::from_hours(2), SignedDuration::from_hours(3));
    runtime.block_on(async {
        let save = json!({"version": 0, "plan": plan(Timestamp::now() + ahead)});
        assert_eq!(ask(&app, "PUT", &format!("/api/plans/{PLAN_ID}"), body(save)).await.0, StatusCode::OK);
        assert_eq!(ask(&app, "PUT", COOK, body(json!({"plan_id": PLAN_ID}))).await.0, StatusCode::OK);
        let met = json!([event(Timestamp::now() - ago, &json!({"kind": "on_the_heat"}))]);
        assert_eq!(ask(&app, "POST", &format!("{COOK}/events"), body(met)).await.0, StatusCode::OK);
    });
    let stage = |i: usize| json!({"method": "smoke", "heat": {"pit_c": 100 + i}, "until": {"min": 360}});
    let stages: Vec<Value> = (0..12).map(stage).collect();
    let long = json!({"cut": "brisket", "mass_kg": 6, "eaten_as": "probe", "members": 8000, "stages": stages});
    let long: Arc<str> = long.to_string().into();
    // As fast as one is answered or refused, the next is asked for.
    let asking: Vec<_> = (0..50)
        .map(|_| {
            let (app, long) = (app.clone(), long.clone());
            runtime.spawn(async move {
                loop {
                    let (status, _) = ask(&app, "POST", "/api/forecast", Body::from(long.to_string())).await;
                    if status == StatusCode::SERVICE_UNAVAILABLE {
                        tokio::time::sleep(Duration::from_millis(200)).await;
                    }
                }
            })
        })
        .collect();
    std::thread::sleep(Duration::from_millis(500));
    bencher.bench(|| {
        // What is tapped is worked out anew, for this page and all others.
        let note = json!([event(Timestamp::now(), &json!({"kind": "note", "text": "Stirred"}))]);
        let (status, _) = runtime.block_on(ask(&app, "POST", &format!("{COOK}/events"), body(note)));
        assert_eq!(status, StatusCode::OK);
    });
    asking.iter().for_each(tokio::task::JoinHandle::abort);
}
