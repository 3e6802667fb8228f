//! Meals over the API: dishes brought together, a task tried and kept, cooks started from a sheet, and files out and in.

use axum::Router;
use axum::body::{Body, to_bytes};
use axum::http::{Method, Request, StatusCode};
use ergastic::{App, router};
use ergastic_store::Store;
use serde_json::{Value, json};
use tower::ServiceExt;

const SHIN: &str = "00000000-0000-4000-8000-000000000001";
const CHEEK: &str = "00000000-0000-4000-8000-000000000002";
const COOK: &str = "00000000-0000-4000-8000-00000000000c";

async fn text(app: &Router, method: Method, path: &str, body: &Value) -> (StatusCode, String) {
    let request = Request::builder().method(method).uri(path).header("host", "127.0.0.1:4870");
    let response = app.clone().oneshot(request.body(Body::from(body.to_string())).unwrap()).await.unwrap();
    let status = response.status();
    let bytes = to_bytes(response.into_body(), 1 << 24).await.unwrap();
    (status, String::from_utf8(bytes.to_vec()).unwrap())
}

async fn ask(app: &Router, method: Method, path: &str, body: Value) -> Value {
    let (status, text) = text(app, method, path, &body).await;
    assert!(status.is_success(), "{path}: {status} {text}");
    serde_json::from_str(&text).unwrap_or(Value::Null)
}

async fn get(app: &Router, path: &str) -> Value {
    ask(app, Method::GET, path, Value::Null).await
}

fn dish(name: &str, cut: &str, serve_at: &str) -> Value {
    json!({"name": name, "people": 6, "serve_at": serve_at, "forecast": {"cut": cut, "mass_kg": 2.0, "method": "braise", "members": 24}})
}

/// Two dishes on one table, their bell far off.
async fn table() -> Router {
    let app = router(App::new(Store::temporary().await.unwrap()).unwrap());
    for (id, name, cut, serve_at) in [
        (SHIN, "Lake-ice shin", "shin", "2040-02-04T16:30:00Z"),
        (CHEEK, "Fox-track cheeks", "cheek", "2040-02-06T18:00:00Z"),
    ] {
        let saved = json!({"version": 0, "plan": dish(name, cut, serve_at)});
        ask(&app, Method::PUT, &format!("/api/plans/{id}"), saved).await;
    }
    let meal = ask(&app, Method::PUT, &format!("/api/meals/{SHIN}/dishes/{CHEEK}"), Value::Null).await;
    assert_eq!((&meal["id"], &meal["name"]), (&json!(SHIN), &json!("Saturday’s table")));
    app
}

#[tokio::test]
async fn a_dish_that_is_brought_gets_the_bell_and_leaves_with_it() {
    let app = table().await;
    let meals = get(&app, "/api/meals").await;
    assert_eq!(meals.as_array().unwrap().len(), 1, "{meals}");
    assert_eq!(meals[0]["dishes"].as_array().unwrap().len(), 2);
    let answer = get(&app, &format!("/api/meals/{CHEEK}")).await;
    assert!(answer["plans"].as_array().unwrap().iter().all(|plan| plan["serve_at"] == "2040-02-04T16:30:00Z"));
    assert_eq!(answer["sheet"]["late_min"], 0.0);
    // Again changes nothing; to no meal, or of no dish, is said.
    ask(&app, Method::PUT, &format!("/api/meals/{SHIN}/dishes/{CHEEK}"), Value::Null).await;
    assert_eq!(get(&app, "/api/meals").await[0]["dishes"].as_array().unwrap().len(), 2);
    for path in [format!("/api/meals/nowhere/dishes/{CHEEK}"), format!("/api/meals/{SHIN}/dishes/{COOK}")] {
        assert_eq!(text(&app, Method::PUT, &path, &Value::Null).await.0, StatusCode::NOT_FOUND, "{path}");
    }
}

#[tokio::test]
async fn a_task_is_tried_without_keeping_it_and_then_pinned() {
    let app = table().await;
    let task = |sheet: &Value, id: &str| {
        let all = sheet["tasks"].as_array().unwrap();
        all.iter().find(|task| task["id"] == id).unwrap_or_else(|| panic!("{id}")).clone()
    };
    let path = format!("/api/meals/{SHIN}");
    let before = get(&app, &path).await["sheet"].clone();
    let pin = json!({"task": "1-sear_1", "at": "2040-02-04T08:00:00Z"});
    let tried = ask(&app, Method::POST, &format!("{path}/tried"), pin).await;
    assert_eq!(task(&tried, "1-sear_1")["start"], "2040-02-04T08:00:00Z");
    assert_eq!(task(&get(&app, &path).await["sheet"], "1-sear_1"), task(&before, "1-sear_1"));
    for (pin, field) in [
        (json!({"task": "9-sear_1"}), "task"),
        (json!({"task": "1-sear_1", "at": "noon"}), "at"),
        (json!({"task": "1-sear_1", "min": 0}), "min"),
    ] {
        let (status, said) = text(&app, Method::POST, &format!("{path}/tried"), &pin).await;
        let said: Value = serde_json::from_str(&said).unwrap();
        assert_eq!((status, &said["field"]), (StatusCode::UNPROCESSABLE_ENTITY, &json!(field)), "{said}");
    }
    let mut plan = get(&app, &format!("/api/plans/{SHIN}")).await;
    plan["plan"]["pins"] = json!([{"task": "sear_1", "at": "2040-02-04T08:00:00Z", "min": 30}]);
    let saved = json!({"version": plan["version"], "plan": plan["plan"]});
    ask(&app, Method::PUT, &format!("/api/plans/{SHIN}"), saved).await;
    let kept = task(&get(&app, &path).await["sheet"], "1-sear_1");
    assert_eq!(
        (&kept["start"], &kept["pinned"], &kept["own_min"]),
        (&json!("2040-02-04T08:00:00Z"), &json!(true), &json!(30.0))
    );
}

#[tokio::test]
async fn a_cook_is_started_from_its_sheet_and_stands_on_it() {
    let app = table().await;
    let sheet = get(&app, &format!("/api/meals/{SHIN}")).await["sheet"].clone();
    let cook = ask(&app, Method::PUT, &format!("/api/cooks/{COOK}"), json!({"plan_id": SHIN})).await;
    let of_the_sheet = |task: &Value| {
        let id = format!("1-{}", task["task"]["id"].as_str().unwrap());
        sheet["tasks"].as_array().unwrap().iter().find(|own| own["id"] == id).cloned().unwrap_or_else(|| panic!("{id}"))
    };
    let own = cook["view"]["tasks"].as_array().unwrap();
    for task in own.iter().filter(|task| task["task"]["hands_on"] == true && task["task"]["kind"] != "check") {
        assert_eq!(task["task"]["start"], of_the_sheet(task)["start"], "{task}");
    }
    let event = json!([{"id": "00000000-0000-4000-8000-0000000000e1", "at": jiff::Timestamp::now().to_string(), "happened": {"kind": "task_done", "task": "trim"}}]);
    ask(&app, Method::POST, &format!("/api/cooks/{COOK}/events"), event).await;
    let after = get(&app, &format!("/api/meals/{SHIN}")).await;
    assert_eq!(after["meal"]["dishes"][0]["cook_id"], COOK);
    let trim = after["sheet"]["tasks"].as_array().unwrap().iter().find(|task| task["id"] == "1-trim").unwrap().clone();
    assert_eq!((&trim["done"], &trim["moves"]), (&json!(true), &json!(false)));
    assert!(
        after["sheet"]["tasks"].as_array().unwrap().iter().any(|task| task["number"] == 2 && task["moves"] == true)
    );
}

#[tokio::test]
async fn a_calendar_strikes_out_what_is_no_longer_to_be_done() {
    let app = table().await;
    let path = format!("/api/meals/{SHIN}/file?kind=calendar");
    let first = text(&app, Method::GET, &path, &Value::Null).await.1;
    let events = |text: &str| text.matches("BEGIN:VEVENT").count();
    assert!(events(&first) > 20 && !first.contains("CANCELLED"));
    assert_eq!(first.matches("PRODID:").count(), 1);
    assert!(first.split("\r\n").all(|line| line.len() <= 75), "{first}");
    let told = text(&app, Method::POST, &format!("/api/meals/{SHIN}/told"), &Value::Null).await.0;
    assert_eq!(told, StatusCode::NO_CONTENT);
    let mut plan = get(&app, &format!("/api/plans/{CHEEK}")).await;
    plan["plan"]["prepare"]["trim"] = json!("none");
    let saved = json!({"version": plan["version"], "plan": plan["plan"]});
    ask(&app, Method::PUT, &format!("/api/plans/{CHEEK}"), saved).await;
    for _ in 0..2 {
        let then = text(&app, Method::GET, &path, &Value::Null).await.1;
        assert_eq!(then.matches("STATUS:CANCELLED").count(), 1, "as often as it is asked for");
        let gone = then.split("BEGIN:VEVENT").find(|event| event.contains("CANCELLED")).unwrap();
        assert!(gone.contains(&format!("UID:{SHIN}-2-trim@ergastic")), "{gone}");
    }
}

#[tokio::test]
async fn a_dish_goes_out_as_a_recipe_and_comes_back() {
    let app = table().await;
    let (status, out) = text(&app, Method::GET, &format!("/api/plans/{CHEEK}/recipe"), &Value::Null).await;
    let recipe: Value = serde_json::from_str(&out).unwrap();
    assert_eq!((status, &recipe["@type"], &recipe["recipeYield"]), (StatusCode::OK, &json!("Recipe"), &json!("6")));
    assert!(
        recipe["recipeIngredient"].as_array().unwrap().iter().any(|line| line.as_str().unwrap().contains("2 kg")),
        "{recipe}"
    );
    assert!(
        recipe["recipeInstructions"].as_array().unwrap().len() > 8
            && recipe["totalTime"].as_str().unwrap().starts_with("PT")
    );
    let back = ask(&app, Method::POST, "/api/recipes/read", json!({"recipe": recipe})).await;
    let plan = get(&app, &format!("/api/plans/{CHEEK}")).await["plan"].clone();
    assert_eq!((&back["plan"]["forecast"], &back["plan"]["name"]), (&plan["forecast"], &plan["name"]));
    let (status, said) = text(&app, Method::POST, "/api/recipes/read", &json!({"recipe": {"@type": "Article"}})).await;
    assert!(status == StatusCode::UNPROCESSABLE_ENTITY && said.contains("recipe"), "{said}");
}
