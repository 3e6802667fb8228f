//! Meals: the planned dishes that share a bell, worked back together.

use std::collections::BTreeMap;

use axum::extract::State;
use axum::http::{StatusCode, header};
use axum::response::{IntoResponse, Response};
use ergastic_core::clock::minutes_between;
use ergastic_core::cook::{CookLine, Status};
use ergastic_core::kitchen::Kitchen;
use ergastic_core::meal::{MealSheet, Pin, meal_of_plans, meal_tried};
use ergastic_core::plan::Plan;
use ergastic_words::service as say;
use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use utoipa::{IntoParams, ToSchema};
use uuid::Uuid;

use crate::app::App;
use crate::error::{ApiError, ApiResult};
use crate::extract::{Json, Name, Query};
use crate::queue::Lane;
use crate::sheet_files::{FileKind, written};

/// Meals whose bells lie so near share hands and ovens, min.
const SAME_DAY_MIN: f64 = 1440.0;
/// So many other meals are reckoned with.
const MOST_OTHERS: usize = 3;

/// A dish of a meal.
#[derive(Debug, Clone, Serialize, ToSchema)]
pub struct MealDish {
    /// Its plan.
    plan_id: Uuid,
    /// Of this version.
    version: i64,
    /// What it is called.
    name: String,
    /// How many eat of it.
    people: u32,
    /// The cook that is under way from it.
    #[serde(skip_serializing_if = "Option::is_none")]
    cook_id: Option<Uuid>,
}

/// A meal to come.
#[derive(Debug, Clone, Serialize, ToSchema)]
pub struct MealEntry {
    /// What its dishes know it by; a dish alone is a meal of one, known by its plan.
    id: String,
    /// What it is called.
    name: String,
    /// Plates on the table.
    bell: Timestamp,
    /// How many eat: of the dish that most eat of.
    people: u32,
    /// Its dishes, in the order in which they were planned.
    dishes: Vec<MealDish>,
}

/// A meal worked back from its bell.
#[derive(Serialize, ToSchema)]
pub struct MealAnswer {
    meal: MealEntry,
    /// The plans of its dishes, in their order.
    plans: Vec<Plan>,
    sheet: MealSheet,
}

/// A meal with its plans.
#[derive(Clone)]
struct Meal {
    entry: MealEntry,
    plans: Vec<Plan>,
}

/// Every meal that is planned or being cooked, by its bell.
async fn all(app: &App) -> ApiResult<Vec<Meal>> {
    let cooks: Vec<CookLine> = serde_json::from_str(&app.store.cook_list().await?).unwrap_or_default();
    let closed = |id: Uuid| cooks.iter().any(|cook| cook.plan_id == id && cook.status == Status::Closed);
    let mut meals: BTreeMap<String, Meal> = BTreeMap::new();
    for listed in app.store.plans().await? {
        let Ok(plan) = listed.plan else { continue };
        if closed(listed.id) {
            continue;
        }
        let (id, name) = match &plan.meal {
            Some(meal) => (meal.id.clone(), meal.name.clone()),
            None => (listed.id.to_string(), plan.name.clone()),
        };
        let empty = || MealEntry { id: id.clone(), name, bell: plan.bell, people: 0, dishes: Vec::new() };
        let meal = meals.entry(id.clone()).or_insert_with(|| Meal { entry: empty(), plans: Vec::new() });
        meal.entry.people = meal.entry.people.max(plan.people);
        let cook_id = cooks.iter().find(|cook| cook.plan_id == listed.id).map(|cook| cook.id);
        let (plan_id, version) = (listed.id, listed.version);
        meal.entry.dishes.push(MealDish { plan_id, version, name: plan.name.clone(), people: plan.people, cook_id });
        meal.plans.push(plan);
    }
    let mut meals: Vec<Meal> = meals.into_values().collect();
    meals.sort_by(|a, b| (a.entry.bell, &a.entry.id).cmp(&(b.entry.bell, &b.entry.id)));
    Ok(meals)
}

/// Every meal that is planned or being cooked, by its bell.
#[utoipa::path(get, path = "/api/meals", responses((status = 200, body = Vec<MealEntry>)))]
pub async fn list_meals(State(app): State<App>) -> ApiResult<Json<Vec<MealEntry>>> {
    Ok(Json(all(&app).await?.into_iter().map(|meal| meal.entry).collect()))
}

/// A meal, the plans of those that have their choice before it, and the kitchen.
async fn found(app: &App, id: &str) -> ApiResult<(Meal, Vec<Vec<Plan>>, Kitchen)> {
    let meals = all(app).await?;
    let of_plan = |meal: &&Meal| meal.entry.dishes.iter().any(|dish| dish.plan_id.to_string() == id);
    let found = meals.iter().find(|meal| meal.entry.id == id).or_else(|| meals.iter().find(of_plan));
    let meal = found
        .cloned()
        .ok_or_else(|| ApiError::Refused(StatusCode::NOT_FOUND, say::nothing_called(&format!("{id:?}"))))?;
    // The earlier bell has its choice of hands and things.
    let earlier = meals.iter().filter(|other| {
        let apart_min = minutes_between(other.entry.bell, meal.entry.bell);
        (other.entry.bell, &other.entry.id) < (meal.entry.bell, &meal.entry.id) && apart_min < SAME_DAY_MIN
    });
    let mut before: Vec<Vec<Plan>> = earlier.map(|other| other.plans.clone()).collect();
    before.drain(..before.len().saturating_sub(MOST_OTHERS));
    Ok((meal, before, app.store.kitchen().await?))
}

async fn work(app: &App, id: &str) -> ApiResult<MealAnswer> {
    let (meal, before, kitchen) = found(app, id).await?;
    let plans = meal.plans.clone();
    let sheet = app.compute(Lane::Bench, move || meal_of_plans(&plans, &before, &kitchen, Timestamp::now())).await?;
    Ok(MealAnswer { meal: meal.entry, plans: meal.plans, sheet })
}

/// A meal worked back from its bell as of now; a plan's id means the meal that it belongs to.
#[utoipa::path(get, path = "/api/meals/{id}", params(("id" = String, Path, max_length = 40)), responses((status = 200, body = MealAnswer)))]
pub async fn get_meal(State(app): State<App>, Name(id): Name) -> ApiResult<Json<MealAnswer>> {
    work(&app, &id).await.map(Json)
}

/// A meal as it would be with one of its tasks put at an hour or given its length: nothing is kept, and no way out is looked for.
#[utoipa::path(post, path = "/api/meals/{id}/tried", params(("id" = String, Path, max_length = 40)), request_body = Pin, responses((status = 200, body = MealSheet)))]
pub async fn try_meal(State(app): State<App>, Name(id): Name, Json(pin): Json<Pin>) -> ApiResult<Json<MealSheet>> {
    let (Meal { plans, .. }, before, kitchen) = found(&app, &id).await?;
    app.compute(Lane::Bench, move || meal_tried(&plans, &before, &kitchen, Timestamp::now(), &pin)).await.map(Json)
}

/// As what a sheet is wanted.
#[derive(Deserialize, IntoParams)]
#[serde(deny_unknown_fields)]
#[into_params(parameter_in = Query)]
pub struct Wanted {
    /// A calendar, a table or a text.
    #[param(inline)]
    kind: FileKind,
}

/// A meal's sheet as a file: a calendar (iCalendar), a table (CSV) or a text (Markdown).
#[utoipa::path(get, path = "/api/meals/{id}/file", params(("id" = String, Path, max_length = 40), Wanted), responses((status = 200, body = String, content_type = "text/plain")))]
pub async fn get_file(State(app): State<App>, Name(id): Name, Query(wanted): Query<Wanted>) -> ApiResult<Response> {
    let MealAnswer { meal, sheet, .. } = work(&app, &id).await?;
    let voice = app.store.kitchen().await?.voice();
    let (media, text) = written(wanted.kind, &meal.id, &meal.name, &sheet, voice);
    let named = format!("attachment; filename=\"sheet.{}\"", wanted.kind.extension());
    Ok(([(header::CONTENT_TYPE, media.to_owned()), (header::CONTENT_DISPOSITION, named)], text).into_response())
}
