//! Plans and their sheets.

use axum::extract::State;
use ergastic_core::forecast::{Forecast, forecast};
use ergastic_core::plan::Plan;
use ergastic_core::prepare::Prepared;
use ergastic_core::sheet::{Sheet, work_back};
use ergastic_store::StoredPlan;
use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use uuid::Uuid;

use super::events::Change;
use crate::app::App;
use crate::error::{ApiResult, Problem};
use crate::extract::{Id, Json, VersionOf};

/// A plan as it is kept.
#[derive(Serialize, ToSchema)]
pub struct PlanView {
    id: Uuid,
    version: i64,
    saved_at: Timestamp,
    plan: Plan,
}

impl From<StoredPlan> for PlanView {
    fn from(stored: StoredPlan) -> Self {
        Self { id: stored.id, version: stored.version, saved_at: stored.saved_at, plan: stored.plan }
    }
}

/// A version of a plan, by its number and hour.
#[derive(Serialize, ToSchema)]
pub struct VersionView {
    version: i64,
    saved_at: Timestamp,
}

/// A plan to be saved over the version it was made from.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct SavePlan {
    /// The version it was made from; 0 for a new plan.
    version: i64,
    /// The plan.
    plan: Plan,
}

/// A plan's sheet, and the forecast under it.
#[derive(Serialize, ToSchema)]
pub struct Worked {
    sheet: Sheet,
    forecast: Forecast,
}

/// Every plan, by its bell.
#[utoipa::path(get, path = "/api/plans", responses((status = 200, body = Vec<PlanView>)))]
pub async fn list_plans(State(app): State<App>) -> ApiResult<Json<Vec<PlanView>>> {
    Ok(Json(app.store.plans().await?.into_iter().map(PlanView::from).collect()))
}

/// One plan.
#[utoipa::path(get, path = "/api/plans/{id}", params(("id" = Uuid, Path)), responses((status = 200, body = PlanView), (status = 404, body = Problem, content_type = "application/problem+json")))]
pub async fn get_plan(State(app): State<App>, Id(id): Id) -> ApiResult<Json<PlanView>> {
    Ok(Json(app.store.plan(id).await?.into()))
}

/// Saves a plan under an id made by the sender.
#[utoipa::path(put, path = "/api/plans/{id}", params(("id" = Uuid, Path)), request_body = SavePlan, responses((status = 200, body = PlanView), (status = 409, body = Problem, content_type = "application/problem+json"), (status = 422, body = Problem, content_type = "application/problem+json")))]
pub async fn put_plan(State(app): State<App>, Id(id): Id, Json(save): Json<SavePlan>) -> ApiResult<Json<PlanView>> {
    save.plan.resolve(&app.store.kitchen().await?).map_err(|error| error.within("plan"))?;
    let saved = app.store.save_plan(id, save.version, &save.plan, Timestamp::now()).await?;
    app.changed(Change::Plan { id });
    Ok(Json(saved.into()))
}

/// Every version of a plan that was saved, the newest first.
#[utoipa::path(get, path = "/api/plans/{id}/versions", params(("id" = Uuid, Path)), responses((status = 200, body = Vec<VersionView>), (status = 404, body = Problem, content_type = "application/problem+json")))]
pub async fn list_versions(State(app): State<App>, Id(id): Id) -> ApiResult<Json<Vec<VersionView>>> {
    let versions = app.store.plan_versions(id).await?;
    Ok(Json(versions.into_iter().map(|(version, saved_at)| VersionView { version, saved_at }).collect()))
}

/// One version of a plan.
#[utoipa::path(get, path = "/api/plans/{id}/versions/{version}", params(("id" = Uuid, Path), ("version" = i64, Path)), responses((status = 200, body = PlanView), (status = 404, body = Problem, content_type = "application/problem+json")))]
pub async fn get_version(State(app): State<App>, VersionOf { id, version }: VersionOf) -> ApiResult<Json<PlanView>> {
    Ok(Json(app.store.plan_version(id, version).await?.into()))
}

/// A plan at the bench, salt to lid, saved or not.
#[utoipa::path(post, path = "/api/prepare/plan", request_body = Plan, responses((status = 200, body = Prepared), (status = 422, body = Problem, content_type = "application/problem+json")))]
pub async fn post_bench(State(app): State<App>, Json(plan): Json<Plan>) -> ApiResult<Json<Prepared>> {
    let kitchen = app.store.kitchen().await?;
    app.compute(move || plan.at_the_bench(&kitchen)).await.map(Json)
}

/// The sheet of a plan, worked back from its bell as of now, with the forecast under it.
#[utoipa::path(get, path = "/api/plans/{id}/sheet", params(("id" = Uuid, Path)), responses((status = 200, body = Worked), (status = 404, body = Problem, content_type = "application/problem+json")))]
pub async fn get_sheet(State(app): State<App>, Id(id): Id) -> ApiResult<Json<Worked>> {
    let stored = app.store.plan(id).await?;
    work(&app, stored.plan).await
}

/// The sheet of a plan that is not saved.
#[utoipa::path(post, path = "/api/sheet/preview", request_body = Plan, responses((status = 200, body = Worked), (status = 422, body = Problem, content_type = "application/problem+json")))]
pub async fn post_preview(State(app): State<App>, Json(plan): Json<Plan>) -> ApiResult<Json<Worked>> {
    work(&app, plan).await
}

async fn work(app: &App, plan: Plan) -> ApiResult<Json<Worked>> {
    let kitchen = app.store.kitchen().await?;
    app.compute(move || {
        let sheet = work_back(&plan, &kitchen, Timestamp::now())?;
        let request = ergastic_core::forecast::ForecastRequest { inside: Some(true), ..plan.request(&kitchen) };
        Ok(Worked { sheet, forecast: forecast(&request)? })
    })
    .await
    .map(Json)
}
