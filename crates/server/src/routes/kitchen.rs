//! The kitchen itself.

use axum::extract::State;
use ergastic_core::kitchen::Kitchen;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use crate::app::App;
use crate::changes::Change;
use crate::error::{ApiResult, Problem};
use crate::extract::Json;

/// The kitchen as it is kept.
#[derive(Serialize, ToSchema)]
pub struct KitchenView {
    /// Counts up with each save; 0 where none was saved yet.
    version: i64,
    /// The kitchen.
    kitchen: Kitchen,
}

/// A kitchen to be saved over the version it was made from.
#[derive(Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct SaveKitchen {
    /// The version it was made from.
    #[schema(minimum = 0)]
    version: i64,
    /// The kitchen.
    kitchen: Kitchen,
}

/// The kitchen.
#[utoipa::path(get, path = "/api/kitchen", responses((status = 200, body = KitchenView)))]
pub async fn get_kitchen(State(app): State<App>) -> ApiResult<Json<KitchenView>> {
    let (version, kitchen) = app.store.kitchen_kept().await?;
    Ok(Json(KitchenView { version, kitchen }))
}

/// Saves the kitchen.
#[utoipa::path(put, path = "/api/kitchen", request_body = SaveKitchen, responses((status = 200, body = KitchenView), (status = 409, body = Problem, content_type = "application/problem+json", description = "Another version was saved in between.")))]
pub async fn put_kitchen(State(app): State<App>, Json(save): Json<SaveKitchen>) -> ApiResult<Json<KitchenView>> {
    let SaveKitchen { version, kitchen } = save;
    kitchen.check().map_err(|error| error.within("kitchen"))?;
    let version = app.store.save_kitchen(version, &kitchen).await?;
    app.changed(Change::Kitchen);
    Ok(Json(KitchenView { version, kitchen }))
}
