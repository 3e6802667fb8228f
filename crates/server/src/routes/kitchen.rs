//! The kitchen itself.

use axum::extract::State;
use ergastic_core::kitchen::Kitchen;
use ergastic_core::ways::{Fields, fields};
use ergastic_store::StoredKitchen;
use serde::{Deserialize, Serialize};
use serde_with::skip_serializing_none;
use utoipa::ToSchema;

use crate::app::App;
use crate::changes::Change;
use crate::error::{ApiResult, ProblemDetails};
use crate::extract::{Json, KitchenVersionOf};
use crate::routes::plans::VersionView;

/// The kitchen as it is kept.
#[skip_serializing_none]
#[derive(Serialize, ToSchema)]
pub struct KitchenView {
    /// Counts up with each save; 0 where none was saved yet.
    version: i64,
    /// The kitchen; where its newest version can't be read, the newest that can, else the usual one.
    kitchen: Kitchen,
    /// What is wrong with the newest version.
    damaged: Option<Damaged>,
}

/// A kitchen's document that can't be read.
#[skip_serializing_none]
#[derive(Serialize, ToSchema)]
pub struct Damaged {
    /// The document as it is kept.
    text: String,
    /// Why it can't be read, and what is shown instead.
    words: String,
}

impl From<StoredKitchen> for KitchenView {
    fn from(stored: StoredKitchen) -> Self {
        let voice = stored.kitchen.voice();
        let damaged = stored.damaged.map(|damaged| {
            let words = voice.render(damaged.said());
            Damaged { text: damaged.text, words }
        });
        Self { version: stored.version, kitchen: stored.kitchen, damaged }
    }
}

/// One version of the kitchen.
#[skip_serializing_none]
#[derive(Serialize, ToSchema)]
pub struct KitchenVersion {
    /// Its number.
    version: i64,
    /// The document as it is kept.
    text: String,
    /// The same read; none where it can't be.
    kitchen: Option<Kitchen>,
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
    /// Goes on where the version it was made from can't be read; that one is kept as an earlier version.
    #[serde(default)]
    over_damaged: bool,
}

/// The kitchen.
#[utoipa::path(get, path = "/api/kitchen", responses((status = 200, body = KitchenView)))]
pub async fn get_kitchen(State(app): State<App>) -> ApiResult<Json<KitchenView>> {
    Ok(Json(app.store.kitchen_kept().await?.into()))
}

/// Every version of the kitchen that was saved, the newest first.
#[utoipa::path(get, path = "/api/kitchen/versions", responses((status = 200, body = Vec<VersionView>)))]
pub async fn list_kitchens(State(app): State<App>) -> ApiResult<Json<Vec<VersionView>>> {
    let versions = app.store.kitchen_versions().await?;
    Ok(Json(versions.into_iter().map(|(version, saved_at)| VersionView { version, saved_at }).collect()))
}

/// One version of the kitchen.
#[utoipa::path(get, path = "/api/kitchen/versions/{version}", params(("version" = i64, Path)), responses((status = 200, body = KitchenVersion)))]
pub async fn get_kitchen_version(
    State(app): State<App>,
    KitchenVersionOf(version): KitchenVersionOf,
) -> ApiResult<Json<KitchenVersion>> {
    let document = app.store.kitchen_version(version).await?;
    let kitchen = document.read().ok();
    Ok(Json(KitchenVersion { version, text: document.text, kitchen }))
}

/// What a form asks of each kind of thing: bounds, defaults, words, and how each is measured.
#[utoipa::path(get, path = "/api/fields", responses((status = 200, body = Fields)))]
pub async fn get_fields(State(app): State<App>) -> ApiResult<Json<Fields>> {
    Ok(Json(fields(app.store.kitchen().await?.voice())))
}

/// Saves the kitchen.
#[utoipa::path(put, path = "/api/kitchen", request_body = SaveKitchen, responses((status = 200, body = KitchenView), (status = 409, body = ProblemDetails, content_type = "application/problem+json", description = "Another version was saved in between.")))]
pub async fn put_kitchen(State(app): State<App>, Json(save): Json<SaveKitchen>) -> ApiResult<Json<KitchenView>> {
    let SaveKitchen { version, kitchen, over_damaged } = save;
    // Somebody has looked round now.
    let kitchen = Kitchen { as_it_came: false, ..kitchen };
    kitchen.check().map_err(|error| error.within("kitchen"))?;
    let version = app.store.save_kitchen(version, &kitchen, over_damaged, app.clock.now()).await?;
    app.changed(Change::Kitchen);
    Ok(Json(KitchenView { version, kitchen, damaged: None }))
}
