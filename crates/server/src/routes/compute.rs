//! The stateless computations, and what is always there.

use axum::extract::State;
use axum::http::StatusCode;
use ergastic_core::bench::OnTheShelf;
use ergastic_core::cuts::{AtTheCounter, at_the_counter};
use ergastic_core::finish::{Sauce, SauceRequest, sauce};
use ergastic_core::forecast::{Forecast, ForecastRequest, forecast};
use ergastic_core::matching::{MatchRequest, Matched, OverviewRow, match_ways, overview};
use ergastic_core::meal::{MealSheet, SheetRequest, meal_sheet};
use ergastic_core::prepare::{PrepareRequest, Prepared, prepare_request};
use ergastic_core::safety::{SafetyPage, safety_page};
use ergastic_core::tender::{Mark, scale};
use ergastic_words::{Message, Voice, keeping as say};
use serde::Serialize;
use serde_with::skip_serializing_none;
use utoipa::ToSchema;

use crate::app::App;
use crate::error::ApiResult;
use crate::extract::Json;
use crate::queue::WorkLane;

/// That it runs, which version, and whether anything can be kept.
#[skip_serializing_none]
#[derive(Serialize, ToSchema)]
pub struct Health {
    /// A small change was kept just now, and nothing else is wrong.
    ok: bool,
    version: &'static str,
    /// Why nothing can be kept, and what to do.
    trouble: Option<String>,
    /// What else is wrong, though all that is changed is kept: the kitchen's document can't be read, the write-ahead log was deleted.
    warnings: Vec<String>,
    /// Free on the disk, bytes.
    disk_free_bytes: Option<u64>,
    /// The database, bytes.
    database_bytes: u64,
    /// Its write-ahead log, bytes.
    log_bytes: u64,
}

/// That it runs, and whether anything can be kept. It tries by writing one row of its own (`pulse`), the only thing that a GET
/// of this API writes: nothing of the kitchen changes by it.
#[utoipa::path(get, path = "/api/health", responses((status = 200, body = Health), (status = 503, body = Health, description = "It runs, and nothing can be kept.")))]
pub async fn health(State(app): State<App>) -> (StatusCode, Json<Health>) {
    let state = app.state(app.clock.now()).await;
    let damaged = app.store.kitchen_kept().await.ok().and_then(|kept| kept.damaged);
    let log = state.log_gone.then(say::log_gone);
    let warnings: Vec<Message> = damaged.map(|damaged| damaged.said()).into_iter().chain(log).collect();
    let keeps = state.trouble.is_none();
    let health = Health {
        ok: keeps && warnings.is_empty(),
        version: env!("CARGO_PKG_VERSION"),
        trouble: state.trouble.map(|trouble| Voice::default().render(trouble.said())),
        warnings: warnings.iter().map(|said| Voice::default().render(said)).collect(),
        disk_free_bytes: state.free_bytes,
        database_bytes: state.database_bytes,
        log_bytes: state.log_bytes,
    };
    (if keeps { StatusCode::OK } else { StatusCode::SERVICE_UNAVAILABLE }, Json(health))
}

/// Every cut Ergastic knows.
#[utoipa::path(get, path = "/api/cuts", responses((status = 200, body = Vec<AtTheCounter>)))]
pub async fn cuts(State(app): State<App>) -> ApiResult<Json<Vec<AtTheCounter>>> {
    Ok(Json(at_the_counter(app.store.kitchen().await?.voice())))
}

/// The scale of tenderness, from firm to spoon.
#[utoipa::path(get, path = "/api/scale", responses((status = 200, body = Vec<Mark>)))]
pub async fn get_scale(State(app): State<App>) -> ApiResult<Json<Vec<Mark>>> {
    Ok(Json(scale(app.store.kitchen().await?.voice())))
}

/// Every caution with its figure and source, under the code that the kitchen has chosen.
#[utoipa::path(get, path = "/api/safety", responses((status = 200, body = SafetyPage)))]
pub async fn get_safety(State(app): State<App>) -> ApiResult<Json<SafetyPage>> {
    Ok(Json(safety_page(app.store.kitchen().await?.voice())))
}

/// When it will be tender, and how sure that is.
#[utoipa::path(post, path = "/api/forecast", request_body = ForecastRequest, responses((status = 200, body = Forecast)))]
pub async fn post_forecast(
    State(app): State<App>,
    Json(mut request): Json<ForecastRequest>,
) -> ApiResult<Json<Forecast>> {
    let kitchen = app.store.kitchen().await?;
    request.units.get_or_insert(kitchen.units);
    request.food_code.get_or_insert(kitchen.food_code);
    app.compute(WorkLane::Bench, kitchen, move |kitchen| {
        forecast(&ForecastRequest { how: kitchen.how.clone(), ..request })
    })
    .await
    .map(Json)
}

/// Which way for this cut.
#[utoipa::path(post, path = "/api/match", request_body = MatchRequest, responses((status = 200, body = Matched)))]
pub async fn post_match(State(app): State<App>, Json(request): Json<MatchRequest>) -> ApiResult<Json<Matched>> {
    let (kitchen, now) = (app.store.kitchen().await?, app.clock.now());
    app.compute(WorkLane::Bench, kitchen, move |kitchen| match_ways(&request, kitchen, now)).await.map(Json)
}

/// Every cut against every way, for usual pieces at this kitchen's altitude.
#[utoipa::path(get, path = "/api/match/overview", responses((status = 200, body = Vec<OverviewRow>)))]
pub async fn get_overview(State(app): State<App>) -> ApiResult<Json<Vec<OverviewRow>>> {
    let kitchen = app.store.kitchen().await?;
    app.compute(WorkLane::Bench, kitchen, overview).await.map(Json)
}

/// One dish at the bench, salt to lid.
#[utoipa::path(post, path = "/api/prepare", request_body = PrepareRequest, responses((status = 200, body = Prepared)))]
pub async fn post_prepare(State(app): State<App>, Json(request): Json<PrepareRequest>) -> ApiResult<Json<Prepared>> {
    let kitchen = app.store.kitchen().await?;
    app.compute(WorkLane::Bench, kitchen, move |kitchen| prepare_request(&request, kitchen)).await.map(Json)
}

/// A meal worked back from its bell.
#[utoipa::path(post, path = "/api/sheet", request_body = SheetRequest, responses((status = 200, body = MealSheet)))]
pub async fn post_sheet(State(app): State<App>, Json(request): Json<SheetRequest>) -> ApiResult<Json<MealSheet>> {
    let (kitchen, now) = (app.store.kitchen().await?, app.clock.now());
    app.compute(WorkLane::Bench, kitchen, move |kitchen| meal_sheet(&request, kitchen, now)).await.map(Json)
}

/// What there is to put in with the meat.
#[utoipa::path(get, path = "/api/larder", responses((status = 200, body = Vec<OnTheShelf>)))]
pub async fn larder(State(app): State<App>) -> ApiResult<Json<Vec<OnTheShelf>>> {
    Ok(Json(app.store.kitchen().await?.larder()))
}

/// From the liquid in the pot to the sauce.
#[utoipa::path(post, path = "/api/sauce", request_body = SauceRequest, responses((status = 200, body = Sauce)))]
pub async fn post_sauce(State(app): State<App>, Json(mut request): Json<SauceRequest>) -> ApiResult<Json<Sauce>> {
    let kitchen = app.store.kitchen().await?;
    request.units.get_or_insert(kitchen.units);
    request.food_code.get_or_insert(kitchen.food_code);
    app.compute(WorkLane::Bench, kitchen, move |_| sauce(&request)).await.map(Json)
}
