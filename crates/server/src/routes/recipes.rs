//! Recipes in and out, as schema.org words them.

use axum::extract::State;
use axum::http::{StatusCode, header};
use axum::response::{IntoResponse, Response};
use ergastic_core::matching::{RecipeRead, read_recipe};
use ergastic_words::service as say;
use serde::Deserialize;
use serde_json::Value;
use utoipa::ToSchema;

use super::meals::work;
use crate::app::App;
use crate::error::{ApiError, ApiResult};
use crate::extract::{Id, Json};
use crate::queue::WorkLane;
use crate::recipe_file::recipe;

/// A recipe from a file.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct RecipeFile {
    /// The document: JSON-LD, schema.org.
    #[schema(value_type = Object)]
    recipe: Value,
}

/// Reads a recipe (JSON-LD, schema.org) into a plan that is not kept yet: what is recognised of it, with every doubt; all it says stands
/// in the plan's notes.
#[utoipa::path(post, path = "/api/recipes/read", request_body = RecipeFile, responses((status = 200, body = RecipeRead)))]
pub async fn post_recipe(State(app): State<App>, Json(file): Json<RecipeFile>) -> ApiResult<Json<RecipeRead>> {
    let kitchen = app.store.kitchen().await?;
    let now = app.clock.now();
    app.compute(WorkLane::Bench, kitchen, move |kitchen| read_recipe(&file.recipe, kitchen, now)).await.map(Json)
}

/// A planned dish as a recipe (JSON-LD, schema.org).
#[utoipa::path(get, path = "/api/plans/{id}/recipe", params(("id" = uuid::Uuid, Path)), responses((status = 200, body = String, content_type = "application/ld+json")))]
pub async fn get_recipe(State(app): State<App>, Id(id): Id) -> ApiResult<Response> {
    let kitchen = app.store.kitchen().await?;
    let answer = work(&app, &id.to_string()).await?;
    let of = (1..).zip(&answer.meal.dishes).zip(&answer.plans).find(|((_, dish), _)| dish.plan_id == id);
    let nothing = || ApiError::Refused(StatusCode::NOT_FOUND, say::nothing_called(&format!("{id:?}")));
    let ((number, _), plan) = of.ok_or_else(nothing)?;
    let bench = plan.clone();
    let bench = app.compute(WorkLane::Bench, kitchen.clone(), move |kitchen| bench.at_the_bench(kitchen)).await?;
    let document = recipe(plan, &answer.sheet, number, &bench.prepared.shopping, kitchen.voice());
    let named = "attachment; filename=\"recipe.json\"";
    let head = [(header::CONTENT_TYPE, "application/ld+json"), (header::CONTENT_DISPOSITION, named)];
    Ok((head, document.to_string()).into_response())
}
