//! The bin: plans and cooks that were put away.

use axum::extract::State;
use axum::http::StatusCode;
use ergastic_store::Trashable;
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
pub enum DeletedKind {
    /// A plan with its versions.
    Plan,
    /// A cook with what happened in it.
    Cook,
}

/// Something in the bin.
#[derive(Serialize, ToSchema)]
pub struct DeletedView {
    kind: DeletedKind,
    id: Uuid,
    /// What the dish is called; empty where that can't be read.
    name: String,
    deleted_at: Timestamp,
}

/// What emptying the bin did.
#[derive(Serialize, ToSchema)]
pub struct Emptied {
    /// Things that are gone for good.
    gone: u64,
}

/// What is in the bin, the latest first.
#[utoipa::path(get, path = "/api/trash", responses((status = 200, body = Vec<DeletedView>)))]
pub async fn list_trash(State(app): State<App>) -> ApiResult<Json<Vec<DeletedView>>> {
    let deleted = app.store.trash().await?.into_iter().map(|deleted| DeletedView {
        kind: if deleted.what == Trashable::Plan { DeletedKind::Plan } else { DeletedKind::Cook },
        id: deleted.id,
        name: deleted.name,
        deleted_at: deleted.deleted_at,
    });
    Ok(Json(deleted.collect()))
}

/// Empties the bin for good.
#[utoipa::path(delete, path = "/api/trash", responses((status = 200, body = Emptied)))]
pub async fn empty_trash(State(app): State<App>) -> ApiResult<Json<Emptied>> {
    let gone = app.store.empty_trash().await?;
    app.changed(Change::Kitchen);
    Ok(Json(Emptied { gone }))
}

/// Takes a plan out of the bin.
#[utoipa::path(delete, path = "/api/trash/plans/{id}", params(("id" = Uuid, Path)), responses((status = 204)))]
pub async fn take_out_plan(State(app): State<App>, Id(id): Id) -> ApiResult<StatusCode> {
    app.store.take_out(Trashable::Plan, id).await?;
    app.changed(Change::Plan { id });
    Ok(StatusCode::NO_CONTENT)
}

/// Takes a cook out of the bin.
#[utoipa::path(delete, path = "/api/trash/cooks/{id}", params(("id" = Uuid, Path)), responses((status = 204)))]
pub async fn take_out_cook(State(app): State<App>, Id(id): Id) -> ApiResult<StatusCode> {
    app.store.take_out(Trashable::Cook, id).await?;
    app.changed(Change::Cook { id });
    Ok(StatusCode::NO_CONTENT)
}
