//! Meals: the planned dishes that share a bell, worked back together.

use std::collections::BTreeMap;

use axum::extract::State;
use axum::http::{StatusCode, header};
use axum::response::{IntoResponse, Response};
use ergastic_core::clock::minutes_between;
use ergastic_core::cook::{CookLine, CookView, Status, TaskState};
use ergastic_core::kitchen::Kitchen;
use ergastic_core::meal::{CookedTask, Dishes, MealSheet, Pin, UnderWay, meal_of_dishes, meal_tried};
use ergastic_core::plan::{MealOf, Plan};
use ergastic_core::prepare::own_vessels;
use ergastic_store::StoredCook;
use ergastic_words::service as say;
use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use utoipa::{IntoParams, ToSchema};
use uuid::Uuid;

use crate::app::App;
use crate::changes::Change;
use crate::error::{ApiError, ApiResult};
use crate::extract::{BroughtTo, Json, Name, Query};
use crate::folded::folded;
use crate::queue::WorkLane;
use crate::sheet_files::{FileKind, told, written};

/// Meals whose bells lie so near share hands and ovens, min.
const SAME_DAY_MIN: f64 = 1440.0;
/// So many other meals are reckoned with.
const MAX_OTHERS: usize = 3;

/// A dish of a meal.
#[derive(Debug, Clone, Serialize, ToSchema)]
pub struct DishOfMeal {
    /// Its plan.
    pub(super) plan_id: Uuid,
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
    serve_at: Timestamp,
    /// How many eat: of the dish that most eat of.
    people: u32,
    /// Its dishes, in the order in which they were planned.
    pub(super) dishes: Vec<DishOfMeal>,
}

/// A meal worked back from its bell.
#[derive(Serialize, ToSchema)]
pub struct MealAnswer {
    pub(super) meal: MealEntry,
    /// The plans of its dishes, in their order.
    pub(super) plans: Vec<Plan>,
    pub(super) sheet: MealSheet,
}

/// A meal with its plans.
struct Meal {
    entry: MealEntry,
    plans: Vec<Plan>,
    /// The cook of each dish, if it is being cooked.
    cooks: Vec<Option<StoredCook>>,
}

impl Meal {
    /// Its dishes, those that are being cooked as they stand.
    async fn dishes(&self, app: &App, kitchen: &Kitchen) -> ApiResult<Dishes> {
        let mut under_way = Vec::new();
        for cook in &self.cooks {
            let Some(cook) = cook else {
                under_way.push(None);
                continue;
            };
            let folded = folded(app, cook, kitchen, app.clock.now()).await;
            // A cook that can't be shown hinders nothing else of its meal.
            under_way.push(folded.ok().map(|view| as_it_stands(cook.id, view)));
        }
        Ok(Dishes { plans: self.plans.clone(), under_way })
    }
}

fn as_it_stands(id: Uuid, cook: CookView) -> UnderWay {
    let tasks = cook.tasks.into_iter().map(|task| CookedTask {
        done: task.state != TaskState::Open,
        hands: task.taken.into_iter().next().map(|taken| taken.hands),
        taken: task.taken_words,
        task: task.task,
    });
    UnderWay {
        id,
        tasks: tasks.collect(),
        ready: cook.band.ready,
        overcooked: cook.band.overcooked,
        served_at: cook.served_at,
    }
}

/// Every meal that is planned or being cooked, by its bell.
async fn all(app: &App) -> ApiResult<Vec<Meal>> {
    let cooks: Vec<CookLine> = serde_json::from_str(&app.store.cook_list().await?).unwrap_or_default();
    let of = |id: Uuid, closed: bool| {
        cooks.iter().find(|cook| cook.plan_id == id && (cook.status == Status::Closed) == closed)
    };
    let mut meals: BTreeMap<String, Meal> = BTreeMap::new();
    for listed in app.store.plans().await? {
        let Ok(planned) = listed.plan else { continue };
        let line = of(listed.id, false);
        if line.is_none() && of(listed.id, true).is_some() {
            continue;
        }
        let cook = match line {
            Some(line) => app.store.cook(line.id).await.ok(),
            None => None,
        };
        // What is being cooked is cooked by the plan that its cook was started from.
        let plan = cook.as_ref().map_or(planned, |cook| cook.plan.clone());
        let (id, name) = match &plan.meal {
            Some(meal) => (meal.id.clone(), meal.name.clone()),
            None => (listed.id.to_string(), plan.name.clone()),
        };
        let empty = || MealEntry { id: id.clone(), name, serve_at: plan.serve_at, people: 0, dishes: Vec::new() };
        let meal =
            meals.entry(id.clone()).or_insert_with(|| Meal { entry: empty(), plans: Vec::new(), cooks: Vec::new() });
        meal.entry.people = meal.entry.people.max(plan.people);
        let cook_id = cook.as_ref().map(|cook| cook.id);
        let (plan_id, version) = (listed.id, listed.version);
        meal.entry.dishes.push(DishOfMeal { plan_id, version, name: plan.name.clone(), people: plan.people, cook_id });
        meal.plans.push(plan);
        meal.cooks.push(cook);
    }
    let mut meals: Vec<Meal> = meals.into_values().collect();
    meals.sort_by(|a, b| (a.entry.serve_at, &a.entry.id).cmp(&(b.entry.serve_at, &b.entry.id)));
    Ok(meals)
}

/// Every meal that is planned or being cooked, by its bell.
#[utoipa::path(get, path = "/api/meals", responses((status = 200, body = Vec<MealEntry>)))]
pub async fn list_meals(State(app): State<App>) -> ApiResult<Json<Vec<MealEntry>>> {
    Ok(Json(all(&app).await?.into_iter().map(|meal| meal.entry).collect()))
}

/// A meal, the dishes of those that have their choice before it, and the kitchen.
async fn found(app: &App, id: &str) -> ApiResult<(Meal, Vec<Dishes>, Kitchen)> {
    let mut meals = all(app).await?;
    let kitchen = app.store.kitchen().await?;
    let of_plan = |meal: &Meal| meal.entry.dishes.iter().any(|dish| dish.plan_id.to_string() == id);
    let at = meals.iter().position(|meal| meal.entry.id == id).or_else(|| meals.iter().position(of_plan));
    let at = at.ok_or_else(|| ApiError::Refused(StatusCode::NOT_FOUND, say::nothing_called(&format!("{id:?}"))))?;
    let meal = meals.remove(at);
    // The earlier bell has its choice of hands and things; what is on the heat has it whatever its bell.
    let earlier = meals.iter().filter(|other| {
        let apart_min = minutes_between(other.entry.serve_at, meal.entry.serve_at).abs();
        let first = (other.entry.serve_at, &other.entry.id) < (meal.entry.serve_at, &meal.entry.id);
        (first || other.cooks.iter().any(Option::is_some)) && apart_min < SAME_DAY_MIN
    });
    let mut earlier: Vec<&Meal> = earlier.collect();
    earlier.drain(..earlier.len().saturating_sub(MAX_OTHERS));
    let mut before = Vec::new();
    for other in earlier {
        before.push(other.dishes(app, &kitchen).await?);
    }
    Ok((meal, before, kitchen))
}

pub(super) async fn work(app: &App, id: &str) -> ApiResult<MealAnswer> {
    let (meal, before, kitchen) = found(app, id).await?;
    let dishes = meal.dishes(app, &kitchen).await?;
    let now = app.clock.now();
    let sheet =
        app.compute(WorkLane::Bench, kitchen, move |kitchen| meal_of_dishes(&dishes, &before, kitchen, now)).await?;
    Ok(MealAnswer { meal: meal.entry, plans: meal.plans, sheet })
}

/// A dish as its cook is started from its meal's sheet; as it is planned where that can't be worked out.
pub(super) async fn from_its_sheet(app: &App, plan_id: Uuid, planned: Plan) -> Plan {
    let Ok(MealAnswer { meal, sheet, .. }) = work(app, &plan_id.to_string()).await else { return planned };
    let number = (1..).zip(&meal.dishes).find(|(_, dish)| dish.plan_id == plan_id).map(|(number, _)| number);
    number.and_then(|number| sheet.dish(number)).unwrap_or(planned)
}

/// A meal worked back from its bell as of now; a plan's id means the meal that it belongs to.
#[utoipa::path(get, path = "/api/meals/{id}", params(("id" = String, Path, max_length = 40)), responses((status = 200, body = MealAnswer)))]
pub async fn get_meal(State(app): State<App>, Name(id): Name) -> ApiResult<Json<MealAnswer>> {
    work(&app, &id).await.map(Json)
}

/// A meal as it would be with one of its tasks put at an hour or given its length: nothing is kept, and no way out is looked for.
#[utoipa::path(post, path = "/api/meals/{id}/tried", params(("id" = String, Path, max_length = 40)), request_body = Pin, responses((status = 200, body = MealSheet)))]
pub async fn try_meal(State(app): State<App>, Name(id): Name, Json(pin): Json<Pin>) -> ApiResult<Json<MealSheet>> {
    let (meal, before, kitchen) = found(&app, &id).await?;
    let dishes = meal.dishes(&app, &kitchen).await?;
    let now = app.clock.now();
    app.compute(WorkLane::Bench, kitchen, move |kitchen| meal_tried(&dishes, &before, kitchen, now, &pin))
        .await
        .map(Json)
}

/// Brings a dish to a meal: it gets its bell. A dish that was alone becomes a meal that has the name of its day. Answers what the meal
/// is known by.
#[utoipa::path(put, path = "/api/meals/{id}/dishes/{plan_id}", params(("id" = String, Path, max_length = 40), ("plan_id" = Uuid, Path)), responses((status = 200, body = MealOf)))]
pub async fn bring_dish(State(app): State<App>, BroughtTo { id, plan_id }: BroughtTo) -> ApiResult<Json<MealOf>> {
    let (Meal { entry, plans, .. }, _, kitchen) = found(&app, &id).await?;
    let stored = app.store.plan(plan_id).await?;
    let there = plans.iter().find_map(|plan| plan.meal.clone());
    let named = || {
        let zone = ergastic_core::clock::zone("zone", &kitchen.zone).unwrap_or(jiff::tz::TimeZone::UTC);
        let day = entry.serve_at.to_zoned_datetime(zone).strftime("%A").to_string();
        let name = kitchen.voice().render(ergastic_words::meal::table(ergastic_words::Message::text(day)));
        MealOf { id: entry.id.clone(), name, borrowed: Vec::new(), less_sleep_min: 0 }
    };
    let meal = there.unwrap_or_else(named);
    // It gets a vessel of its own, and keeps it at its bench.
    let mut together: Vec<Plan> = plans
        .iter()
        .zip(&entry.dishes)
        .filter(|(_, dish)| dish.plan_id != plan_id)
        .map(|(plan, _)| plan.clone())
        .collect();
    together.push(stored.plan.clone());
    own_vessels(&mut together, &kitchen);
    let brought = together.pop().unwrap_or(stored.plan);
    let mut changed = Vec::new();
    // Those of the meal first: they are what the new one is made alike to.
    for (id, version, plan) in entry
        .dishes
        .iter()
        .zip(plans)
        .filter(|(dish, plan)| dish.plan_id != plan_id && plan.meal.as_ref() != Some(&meal))
        .map(|(dish, plan)| (dish.plan_id, dish.version, plan))
        .chain([(plan_id, stored.version, brought)])
    {
        let plan = Plan { serve_at: entry.serve_at, meal: Some(meal.clone()), ..plan };
        let (saved, alike) = app.store.save_plan(id, version, &plan, app.clock.now()).await?;
        changed.extend(alike.into_iter().chain([saved.id]));
    }
    changed.into_iter().for_each(|id| app.changed(Change::Plan { id }));
    Ok(Json(meal))
}

/// Keeps what a meal's calendar tells of now, for who takes it along: a later one then cancels what is no longer to be done.
#[utoipa::path(post, path = "/api/meals/{id}/told", params(("id" = String, Path, max_length = 40)), responses((status = 204)))]
pub async fn tell(State(app): State<App>, Name(id): Name) -> ApiResult<StatusCode> {
    let MealAnswer { meal, sheet, .. } = work(&app, &id).await?;
    app.store.tell_tasks(&meal.id, &sheet.tasks.iter().map(told).collect::<Vec<_>>()).await?;
    Ok(StatusCode::NO_CONTENT)
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
#[utoipa::path(get, path = "/api/meals/{id}/file", params(("id" = String, Path, max_length = 40), Wanted), responses((status = 200, content((String = "text/calendar"), (String = "text/csv"), (String = "text/markdown")))))]
pub async fn get_file(State(app): State<App>, Name(id): Name, Query(wanted): Query<Wanted>) -> ApiResult<Response> {
    let MealAnswer { meal, sheet, .. } = work(&app, &id).await?;
    let voice = app.store.kitchen().await?.voice();
    let gone = match wanted.kind {
        FileKind::Calendar => {
            let told: Vec<_> = sheet.tasks.iter().map(told).collect();
            app.store.told_and_gone(&meal.id, &told).await?
        }
        FileKind::Table | FileKind::Text => Vec::new(),
    };
    let (media, text) = written(wanted.kind, &meal.id, &meal.name, &sheet, &gone, voice);
    let named = format!("attachment; filename=\"sheet.{}\"", wanted.kind.extension());
    Ok(([(header::CONTENT_TYPE, media.to_owned()), (header::CONTENT_DISPOSITION, named)], text).into_response())
}
