//! Why this time: of a plan, of a cook, of a question that no plan asks.

use axum::extract::State;
use ergastic_core::forecast::{Forecast, ForecastRequest};
use ergastic_core::plan::Plan;
use ergastic_core::prepare::{Why, why};

use crate::app::App;
use crate::error::ApiResult;
use crate::extract::{Id, Json};
use crate::queue::WorkLane;

async fn of_plan(app: &App, plan: Plan) -> ApiResult<Json<Why>> {
    let kitchen = app.store.kitchen().await?;
    app.compute(WorkLane::Bench, kitchen, move |kitchen| plan.why(kitchen)).await.map(Json)
}

/// Why a plan takes its time, its bench and its pot included.
#[utoipa::path(get, path = "/api/plans/{id}/why", params(("id" = Uuid, Path)), responses((status = 200, body = Why)))]
pub async fn get_plan_why(State(app): State<App>, Id(id): Id) -> ApiResult<Json<Why>> {
    let plan = app.store.plan(id).await?.plan;
    of_plan(&app, plan).await
}

/// Why a cook takes its time, as it was planned: with its bench and its pot.
#[utoipa::path(get, path = "/api/cooks/{id}/why", params(("id" = Uuid, Path)), responses((status = 200, body = Why)))]
pub async fn get_cook_why(State(app): State<App>, Id(id): Id) -> ApiResult<Json<Why>> {
    let plan = app.store.cook(id).await?.plan;
    of_plan(&app, plan).await
}

/// Why a plan that is not saved takes its time.
#[utoipa::path(post, path = "/api/why/plan", request_body = Plan, responses((status = 200, body = Why)))]
pub async fn post_plan_why(State(app): State<App>, Json(plan): Json<Plan>) -> ApiResult<Json<Why>> {
    of_plan(&app, plan).await
}

/// Why a question is answered so in this kitchen, and the same meat other ways.
#[utoipa::path(post, path = "/api/why", request_body = ForecastRequest, responses((status = 200, body = Why)))]
pub async fn post_why(State(app): State<App>, Json(request): Json<ForecastRequest>) -> ApiResult<Json<Why>> {
    let kitchen = app.store.kitchen().await?;
    app.compute(WorkLane::Bench, kitchen, move |kitchen| why(&request, kitchen)).await.map(Json)
}

/// The inside of a plan's piece over the cook, from one run at every median.
#[utoipa::path(post, path = "/api/why/inside", request_body = Plan, responses((status = 200, body = Forecast)))]
pub async fn post_inside(State(app): State<App>, Json(plan): Json<Plan>) -> ApiResult<Json<Forecast>> {
    let kitchen = app.store.kitchen().await?;
    app.compute(WorkLane::Bench, kitchen, move |kitchen| plan.inside(kitchen)).await.map(Json)
}
