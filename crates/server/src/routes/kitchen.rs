//! The kitchen itself.

use axum::extract::State;
use ergastic_core::kitchen::Kitchen;

use crate::app::App;
use crate::changes::Change;
use crate::error::ApiResult;
use crate::extract::Json;

/// The kitchen.
#[utoipa::path(get, path = "/api/kitchen", responses((status = 200, body = Kitchen)))]
pub async fn get_kitchen(State(app): State<App>) -> ApiResult<Json<Kitchen>> {
    Ok(Json(app.store.kitchen().await?))
}

/// Saves the kitchen.
#[utoipa::path(put, path = "/api/kitchen", request_body = Kitchen, responses((status = 200, body = Kitchen)))]
pub async fn put_kitchen(State(app): State<App>, Json(kitchen): Json<Kitchen>) -> ApiResult<Json<Kitchen>> {
    kitchen.check()?;
    app.store.save_kitchen(&kitchen).await?;
    app.changed(Change::Kitchen);
    Ok(Json(kitchen))
}
