//! The application's state, its routes and its layers.

use std::collections::HashMap;
use std::sync::{Arc, Mutex, PoisonError};
use std::time::Duration;

use axum::extract::DefaultBodyLimit;
use axum::http::StatusCode;
use axum::middleware::from_fn;
use axum::response::IntoResponse;
use axum::{Json, Router, routing::get};
use ergastic_core::cook::CookView;
use ergastic_store::Store;
use tokio::sync::{Semaphore, broadcast};
use tower_http::catch_panic::CatchPanicLayer;
use tower_http::compression::CompressionLayer;
use tower_http::csrf::CsrfLayer;
use tower_http::timeout::TimeoutLayer;
use tower_http::trace::TraceLayer;
use utoipa::OpenApi;
use utoipa_axum::{router::OpenApiRouter, routes};
use uuid::Uuid;

use crate::error::{ApiError, ApiResult};
use crate::routes::{compute, cooks, events, kitchen, plans, probes};
use crate::{guard, web};

/// Requests may carry this much: a kitchen file with its readings.
const MOST_BYTES: usize = 64 << 20;

/// What every handler shares.
#[derive(Clone)]
pub struct App {
    /// The kitchen.
    pub store: Store,
    /// Tells open pages what has changed.
    pub changes: broadcast::Sender<events::Change>,
    /// Views of closed cooks: they no longer change, unless the kitchen does.
    pub closed: Arc<Mutex<HashMap<Uuid, (usize, CookView)>>>,
    computing: Arc<Semaphore>,
}

impl App {
    /// The application over a store.
    pub fn new(store: Store) -> Self {
        let (changes, _) = broadcast::channel(64);
        Self { store, changes, closed: Arc::default(), computing: Arc::new(Semaphore::new(2)) }
    }

    /// Runs a computation off the async threads; a request that has gone away before its turn is never computed.
    pub async fn compute<T: Send + 'static>(
        &self,
        work: impl FnOnce() -> ergastic_core::Result<T> + Send + 'static,
    ) -> ApiResult<T> {
        let turn =
            self.computing.clone().acquire_owned().await.map_err(|error| ApiError::Internal(error.to_string()))?;
        let done = tokio::task::spawn_blocking(move || {
            // The turn ends with the work, not with the request: one that was given up still holds a core.
            let _turn = turn;
            work()
        })
        .await;
        Ok(done.map_err(|error| ApiError::Internal(error.to_string()))??)
    }

    /// Tells open pages of a change; nobody listening is fine.
    pub fn changed(&self, change: events::Change) {
        if matches!(change, events::Change::Kitchen) {
            self.closed.lock().unwrap_or_else(PoisonError::into_inner).clear();
        }
        let _ = self.changes.send(change);
    }
}

#[derive(OpenApi)]
#[openapi(
    info(title = "Ergastic", description = "Cooks tough beef on time."),
    components(schemas(crate::error::Problem))
)]
struct Document;

fn api() -> OpenApiRouter<App> {
    OpenApiRouter::with_openapi(Document::openapi())
        .routes(routes!(compute::health))
        .routes(routes!(compute::cuts))
        .routes(routes!(compute::post_forecast))
        .routes(routes!(compute::post_match))
        .routes(routes!(compute::get_overview))
        .routes(routes!(compute::post_prepare))
        .routes(routes!(compute::larder))
        .routes(routes!(compute::post_sauce))
        .routes(routes!(kitchen::get_kitchen, kitchen::put_kitchen))
        .routes(routes!(kitchen::export))
        .routes(routes!(kitchen::import))
        .routes(routes!(plans::list_plans))
        .routes(routes!(plans::get_plan, plans::put_plan))
        .routes(routes!(plans::list_versions))
        .routes(routes!(plans::get_version))
        .routes(routes!(plans::post_bench))
        .routes(routes!(plans::get_sheet))
        .routes(routes!(plans::post_preview))
        .routes(routes!(cooks::list_cooks))
        .routes(routes!(cooks::get_cook, cooks::open))
        .routes(routes!(cooks::append))
        .routes(routes!(probes::post_readings, probes::get_readings))
        .routes(routes!(events::stream))
}

/// The OpenAPI document of the API, made from the Rust types.
pub fn api_document() -> utoipa::openapi::OpenApi {
    api().into_openapi()
}

/// The whole application.
pub fn router(app: App) -> Router {
    let (api, document) = api().split_for_parts();
    let document = Arc::new(document);
    let with_limits = api
        .route("/api/openapi.json", get(move || async move { Json(document.as_ref().clone()) }))
        .route(
            "/api/{*rest}",
            axum::routing::any(|| async {
                ApiError::Refused(StatusCode::NOT_FOUND, "there is no such address in the API".into())
            }),
        )
        .method_not_allowed_fallback(|| async {
            ApiError::Refused(StatusCode::METHOD_NOT_ALLOWED, "this address does not take that method".into())
        })
        .layer(DefaultBodyLimit::max(MOST_BYTES))
        .layer(TimeoutLayer::with_status_code(StatusCode::REQUEST_TIMEOUT, Duration::from_secs(30)));
    with_limits
        .fallback(web::serve)
        .layer(CompressionLayer::new())
        .layer(CsrfLayer::new().with_rejection_response(|_| {
            ApiError::Refused(StatusCode::FORBIDDEN, "this came from another site's page".into()).into_response()
        }))
        .layer(from_fn(guard::loopback_only))
        .layer(from_fn(guard::headers))
        .layer(CatchPanicLayer::custom(|_| ApiError::Internal("a handler panicked".into()).into_response()))
        .layer(TraceLayer::new_for_http())
        .with_state(app)
}
