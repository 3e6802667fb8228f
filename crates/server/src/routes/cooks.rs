//! Cooks: opened from a plan, told what happens, folded into what is so now.

use std::sync::PoisonError;

use axum::extract::State;
use axum::http::StatusCode;
use ergastic_core::clock::minutes_between;
use ergastic_core::cook::{CookView, Event, Status, view};
use ergastic_core::plan::Plan;
use ergastic_store::StoredCook;
use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use uuid::Uuid;

use super::events::Change;
use crate::app::App;
use crate::error::{ApiError, ApiResult, Problem};
use crate::extract::{Id, Json, JsonList};

/// The most events in one request.
const MOST_EVENTS: usize = 1000;

/// A cook as it stands.
#[derive(Serialize, ToSchema)]
pub struct CookAnswer {
    id: Uuid,
    plan_id: Uuid,
    plan: Plan,
    opened_at: Timestamp,
    /// The server's clock, for timers.
    now: Timestamp,
    view: CookView,
}

/// The plan a cook is opened from.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct OpenCook {
    plan_id: Uuid,
}

async fn answer(app: &App, cook: StoredCook) -> ApiResult<CookAnswer> {
    let StoredCook { id, plan_id, plan, opened_at, events } = cook;
    let known = app.closed.lock().unwrap_or_else(PoisonError::into_inner).get(&id).cloned();
    let count = events.len();
    let now = Timestamp::now();
    if let Some((events, view)) = known
        && events == count
    {
        return Ok(CookAnswer { id, plan_id, plan, opened_at, now, view });
    }
    let kitchen = app.store.kitchen().await?;
    let folded = plan.clone();
    let view = app.compute(move || view(&folded, &kitchen, opened_at, &events, now)).await?;
    if view.status == Status::Closed {
        app.closed.lock().unwrap_or_else(PoisonError::into_inner).insert(id, (count, view.clone()));
    }
    Ok(CookAnswer { id, plan_id, plan, opened_at, now, view })
}

/// Every cook, the latest first.
#[utoipa::path(get, path = "/api/cooks", responses((status = 200, body = Vec<CookAnswer>)))]
pub async fn list_cooks(State(app): State<App>) -> ApiResult<Json<Vec<CookAnswer>>> {
    let mut cooks = Vec::new();
    for id in app.store.cook_ids().await? {
        cooks.push(answer(&app, app.store.cook(id).await?).await?);
    }
    Ok(Json(cooks))
}

/// One cook as it stands now.
#[utoipa::path(get, path = "/api/cooks/{id}", params(("id" = Uuid, Path)), responses((status = 200, body = CookAnswer), (status = 404, body = Problem, content_type = "application/problem+json")))]
pub async fn get_cook(State(app): State<App>, Id(id): Id) -> ApiResult<Json<CookAnswer>> {
    Ok(Json(answer(&app, app.store.cook(id).await?).await?))
}

/// Opens a cook from a plan, under an id made by the sender; opening it again changes nothing.
#[utoipa::path(put, path = "/api/cooks/{id}", params(("id" = Uuid, Path)), request_body = OpenCook, responses((status = 200, body = CookAnswer), (status = 404, body = Problem, content_type = "application/problem+json")))]
pub async fn open(State(app): State<App>, Id(id): Id, Json(open): Json<OpenCook>) -> ApiResult<Json<CookAnswer>> {
    let plan = app.store.plan(open.plan_id).await?.plan.frozen(&app.store.kitchen().await?);
    app.store.open_cook(id, open.plan_id, &plan, Timestamp::now()).await?;
    app.changed(Change::Cook { id });
    Ok(Json(answer(&app, app.store.cook(id).await?).await?))
}

/// Appends what happened, all of it or none, and answers the cook as it then stands.
#[utoipa::path(post, path = "/api/cooks/{id}/events", params(("id" = Uuid, Path)), request_body = Vec<Event>, responses((status = 200, body = CookAnswer), (status = 404, body = Problem, content_type = "application/problem+json"), (status = 422, body = Problem, content_type = "application/problem+json")))]
pub async fn append(
    State(app): State<App>,
    Id(id): Id,
    JsonList(events): JsonList<Event>,
) -> ApiResult<Json<CookAnswer>> {
    if events.len() > MOST_EVENTS {
        return Err(ApiError::Refused(
            StatusCode::PAYLOAD_TOO_LARGE,
            format!("{} events at once; send at most {MOST_EVENTS}", events.len()),
        ));
    }
    let now = Timestamp::now();
    for (i, event) in events.iter().enumerate() {
        event.check().map_err(|error| error.within(&format!("[{i}]")))?;
        if minutes_between(now, event.at) > 60.0 {
            return Err(ergastic_core::Error::new(
                format!("[{i}].at"),
                event.at,
                "it must not be more than an hour ahead",
            )
            .into());
        }
    }
    app.store.append(id, &events).await?;
    app.changed(Change::Cook { id });
    Ok(Json(answer(&app, app.store.cook(id).await?).await?))
}
