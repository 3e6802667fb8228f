//! The bin: plans and cooks that were put away.

use axum::extract::State;
use axum::http::StatusCode;
use ergastic_store::What;
use jiff::Timestamp;
use serde::Serialize;
use utoipa::ToSchema;
use uuid::Uuid;

use crate::app::App;
use crate::changes::Change;
use crate::error::ApiResult;
use crate::extract::{Id, Json};

/// A plan or a cook.
#[derive(Serialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum BinnedKind {
    /// A plan with its versions.
    Plan,
    /// A cook with what happened in it.
    Cook,
}

/// Something in the bin.
#[derive(Serialize, ToSchema)]
pub struct BinnedView {
    kind: BinnedKind,
    id: Uuid,
    /// What the dish is called; empty where that can't be read.
    name: String,
    binned_at: Timestamp,
}

/// What emptying the bin did.
#[derive(Serialize, ToSchema)]
pub struct Emptied {
    /// Things that are gone for good.
    gone: u64,
}

/// What is in the bin, the latest first.
#[utoipa::path(get, path = "/api/bin", responses((status = 200, body = Vec<BinnedView>)))]
pub async fn list_bin(State(app): State<App>) -> ApiResult<Json<Vec<BinnedView>>> {
    let binned = app.store.bin().await?.into_iter().map(|binned| BinnedView {
        kind: if binned.what == What::Plan { BinnedKind::Plan } else { BinnedKind::Cook },
        id: binned.id,
        name: binned.name,
        binned_at: binned.binned_at,
    });
    Ok(Json(binned.collect()))
}

/// Empties the bin for good.
#[utoipa::path(delete, path = "/api/bin", responses((status = 200, body = Emptied)))]
pub async fn empty_bin(State(app): State<App>) -> ApiResult<Json<Emptied>> {
    let gone = app.store.empty_bin().await?;
    app.changed(Change::Kitchen);
    Ok(Json(Emptied { gone }))
}

/// Takes a plan out of the bin.
#[utoipa::path(delete, path = "/api/bin/plans/{id}", params(("id" = Uuid, Path)), responses((status = 204)))]
pub async fn take_out_plan(State(app): State<App>, Id(id): Id) -> ApiResult<StatusCode> {
    app.store.take_out(What::Plan, id).await?;
    app.changed(Change::Plan { id });
    Ok(StatusCode::NO_CONTENT)
}

/// Takes a cook out of the bin.
#[utoipa::path(delete, path = "/api/bin/cooks/{id}", params(("id" = Uuid, Path)), responses((status = 204)))]
pub async fn take_out_cook(State(app): State<App>, Id(id): Id) -> ApiResult<StatusCode> {
    app.store.take_out(What::Cook, id).await?;
    app.changed(Change::Cook { id });
    Ok(StatusCode::NO_CONTENT)
}
