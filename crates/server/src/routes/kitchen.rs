//! The kitchen itself, and the whole of it as one file.

use axum::extract::State;
use axum::http::header;
use axum::response::{IntoResponse, Response};
use ergastic_core::kitchen::Kitchen;
use ergastic_store::KitchenFile;
use jiff::Timestamp;

use super::events::Change;
use crate::app::App;
use crate::error::{ApiResult, Problem};
use crate::extract::Json;

/// The kitchen.
#[utoipa::path(get, path = "/api/kitchen", responses((status = 200, body = Kitchen)))]
pub async fn get_kitchen(State(app): State<App>) -> ApiResult<Json<Kitchen>> {
    Ok(Json(app.store.kitchen().await?))
}

/// Saves the kitchen.
#[utoipa::path(put, path = "/api/kitchen", request_body = Kitchen, responses((status = 200, body = Kitchen), (status = 422, body = Problem, content_type = "application/problem+json")))]
pub async fn put_kitchen(State(app): State<App>, Json(kitchen): Json<Kitchen>) -> ApiResult<Json<Kitchen>> {
    kitchen.check()?;
    app.store.save_kitchen(&kitchen).await?;
    app.changed(Change::Kitchen);
    Ok(Json(kitchen))
}

/// The whole kitchen as one JSON file.
#[utoipa::path(get, path = "/api/export", responses((status = 200, body = Object)))]
pub async fn export(State(app): State<App>) -> ApiResult<Response> {
    let file = app.store.export().await?;
    Ok(([(header::CONTENT_DISPOSITION, "attachment; filename=\"ergastic-kitchen.json\"")], Json(file)).into_response())
}

/// Takes a kitchen file in, all of it or nothing.
#[utoipa::path(post, path = "/api/import", request_body = Object, responses((status = 204), (status = 422, body = Problem, content_type = "application/problem+json")))]
pub async fn import(State(app): State<App>, Json(file): Json<KitchenFile>) -> ApiResult<axum::http::StatusCode> {
    check(&file)?;
    app.store.import(&file).await?;
    app.changed(Change::Kitchen);
    Ok(axum::http::StatusCode::NO_CONTENT)
}

/// Checks a file as if each part had been sent by itself, so that nothing unusable is stored.
pub fn check(file: &KitchenFile) -> ergastic_core::Result<()> {
    if file.ergastic != 1 {
        return Err(ergastic_core::Error::new("ergastic", file.ergastic, "this version reads layout 1"));
    }
    file.kitchen.check().map_err(|error| error.within("kitchen"))?;
    for (i, plan) in file.plans.iter().enumerate() {
        plan.plan.resolve(&file.kitchen).map_err(|error| error.within(&format!("plans[{i}].plan")))?;
    }
    for (i, cook) in file.cooks.iter().enumerate() {
        cook.plan.resolve(&file.kitchen).map_err(|error| error.within(&format!("cooks[{i}].plan")))?;
        for (j, event) in cook.events.iter().enumerate() {
            event.check().map_err(|error| error.within(&format!("cooks[{i}].events[{j}]")))?;
        }
    }
    for (i, probe) in file.probes.iter().enumerate() {
        for (j, (_, at, celsius)) in probe.readings.iter().enumerate() {
            super::probes::check(*at, *celsius, Timestamp::now())
                .map_err(|error| error.within(&format!("probes[{i}].readings[{j}]")))?;
        }
    }
    Ok(())
}
