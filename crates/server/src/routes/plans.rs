//! Plans and their sheets.

use axum::extract::State;
use axum::http::StatusCode;
use ergastic_core::forecast::Forecast;
use ergastic_core::plan::Plan;
use ergastic_core::sheet::OnTheBench;
use ergastic_core::sheet::{Sheet, work_back_and_forecast};
use ergastic_store::{ListedPlan, StoredPlan, Trashable};
use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use uuid::Uuid;

use crate::app::App;
use crate::changes::Change;
use crate::error::{ApiResult, ProblemDetails};
use crate::extract::{Id, Json, VersionOf};
use crate::queue::WorkLane;

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

/// A plan in the list of all.
#[derive(Serialize, ToSchema)]
pub struct PlanEntry {
    id: Uuid,
    version: i64,
    saved_at: Timestamp,
    /// The plan; none where it can't be read.
    plan: Option<Plan>,
    /// Why it can't be read, if so: its own fault and no other's.
    #[serde(skip_serializing_if = "Option::is_none")]
    broken: Option<String>,
}

impl From<ListedPlan> for PlanEntry {
    fn from(listed: ListedPlan) -> Self {
        let (plan, broken) = match listed.plan {
            Ok(plan) => (Some(plan), None),
            Err(why) => (None, Some(why)),
        };
        Self { id: listed.id, version: listed.version, saved_at: listed.saved_at, plan, broken }
    }
}

/// A version of a plan, by its number and hour.
#[derive(Serialize, ToSchema)]
pub struct VersionView {
    pub version: i64,
    pub saved_at: Timestamp,
}

/// A plan to be saved over the version it was made from.
#[derive(Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct SavePlan {
    /// The version it was made from; 0 for a new plan.
    #[schema(minimum = 0)]
    version: i64,
    /// The plan.
    plan: Plan,
}

/// A plan's sheet, and the forecast under it.
#[derive(Serialize, ToSchema)]
pub struct Planned {
    sheet: Sheet,
    forecast: Forecast,
}

/// Every plan, by its bell; those that can't be read come last and say why.
#[utoipa::path(get, path = "/api/plans", responses((status = 200, body = Vec<PlanEntry>)))]
pub async fn list_plans(State(app): State<App>) -> ApiResult<Json<Vec<PlanEntry>>> {
    Ok(Json(app.store.plans().await?.into_iter().map(PlanEntry::from).collect()))
}

/// One plan.
#[utoipa::path(get, path = "/api/plans/{id}", params(("id" = Uuid, Path)), responses((status = 200, body = PlanView)))]
pub async fn get_plan(State(app): State<App>, Id(id): Id) -> ApiResult<Json<PlanView>> {
    Ok(Json(app.store.plan(id).await?.into()))
}

/// Saves a plan under an id made by the sender.
#[utoipa::path(put, path = "/api/plans/{id}", params(("id" = Uuid, Path)), request_body = SavePlan, responses((status = 200, body = PlanView), (status = 409, body = ProblemDetails, content_type = "application/problem+json", description = "Another version was saved in between.")))]
pub async fn put_plan(State(app): State<App>, Id(id): Id, Json(save): Json<SavePlan>) -> ApiResult<Json<PlanView>> {
    save.plan.check_kept().map_err(|error| error.within("plan"))?;
    save.plan.resolve(&app.store.kitchen().await?).map_err(|error| error.within("plan"))?;
    let (saved, alike) = app.store.save_plan(id, save.version, &save.plan, app.clock.now()).await?;
    app.changed(Change::Plan { id });
    alike.into_iter().for_each(|id| app.changed(Change::Plan { id }));
    Ok(Json(saved.into()))
}

/// Puts a plan in the bin, with every version.
#[utoipa::path(delete, path = "/api/plans/{id}", params(("id" = Uuid, Path)), responses((status = 204)))]
pub async fn delete_plan(State(app): State<App>, Id(id): Id) -> ApiResult<StatusCode> {
    app.store.put_away(Trashable::Plan, id, app.clock.now()).await?;
    app.changed(Change::Plan { id });
    Ok(StatusCode::NO_CONTENT)
}

/// Every version of a plan that was saved, the newest first.
#[utoipa::path(get, path = "/api/plans/{id}/versions", params(("id" = Uuid, Path)), responses((status = 200, body = Vec<VersionView>)))]
pub async fn list_versions(State(app): State<App>, Id(id): Id) -> ApiResult<Json<Vec<VersionView>>> {
    let versions = app.store.plan_versions(id).await?;
    Ok(Json(versions.into_iter().map(|(version, saved_at)| VersionView { version, saved_at }).collect()))
}

/// One version of a plan.
#[utoipa::path(get, path = "/api/plans/{id}/versions/{version}", params(("id" = Uuid, Path), ("version" = i64, Path)), responses((status = 200, body = PlanView)))]
pub async fn get_version(State(app): State<App>, VersionOf { id, version }: VersionOf) -> ApiResult<Json<PlanView>> {
    Ok(Json(app.store.plan_version(id, version).await?.into()))
}

/// A plan at the bench, salt to lid, saved or not.
#[utoipa::path(post, path = "/api/prepare/plan", request_body = Plan, responses((status = 200, body = OnTheBench)))]
pub async fn post_bench(State(app): State<App>, Json(plan): Json<Plan>) -> ApiResult<Json<OnTheBench>> {
    let kitchen = app.store.kitchen().await?;
    app.compute(WorkLane::Bench, kitchen, move |kitchen| plan.on_the_bench(kitchen)).await.map(Json)
}

/// A plan for another number of people.
#[derive(Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct ForPeople {
    /// How many eat.
    #[schema(minimum = 1, maximum = 200)]
    people: u32,
    /// The plan as it is for those it is for now.
    plan: Plan,
}

/// The plan for another number of people: what grows with them, grows.
#[utoipa::path(post, path = "/api/prepare/people", request_body = ForPeople, responses((status = 200, body = Plan)))]
pub async fn post_people(State(app): State<App>, Json(asked): Json<ForPeople>) -> ApiResult<Json<Plan>> {
    let kitchen = app.store.kitchen().await?;
    Ok(Json(asked.plan.for_people(asked.people, &kitchen)?))
}

/// The sheet of a plan, worked back from its bell as of now, with the forecast under it.
#[utoipa::path(get, path = "/api/plans/{id}/sheet", params(("id" = Uuid, Path)), responses((status = 200, body = Planned)))]
pub async fn get_sheet(State(app): State<App>, Id(id): Id) -> ApiResult<Json<Planned>> {
    let stored = app.store.plan(id).await?;
    work(&app, stored.plan).await
}

/// The sheet of a plan that is not saved.
#[utoipa::path(post, path = "/api/sheet/preview", request_body = Plan, responses((status = 200, body = Planned)))]
pub async fn post_preview(State(app): State<App>, Json(plan): Json<Plan>) -> ApiResult<Json<Planned>> {
    work(&app, plan).await
}

async fn work(app: &App, plan: Plan) -> ApiResult<Json<Planned>> {
    let (kitchen, now) = (app.store.kitchen().await?, app.clock.now());
    app.compute(WorkLane::Bench, kitchen, move |kitchen| {
        let (sheet, forecast) = work_back_and_forecast(&plan, kitchen, now)?;
        Ok(Planned { sheet, forecast })
    })
    .await
    .map(Json)
}
