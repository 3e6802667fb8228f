//! The stateless computations, and what is always there.

use axum::extract::State;
use ergastic_core::cuts::{Cut, CutFacts};
use ergastic_core::finish::{Sauce, SauceRequest, sauce};
use ergastic_core::forecast::{Forecast, ForecastRequest, forecast};
use ergastic_core::matching::{MatchRequest, Matched, Row, match_ways, overview};
use ergastic_core::prepare::{Larder, LarderFacts, PrepareRequest, Prepared, prepare_request};
use jiff::Timestamp;
use serde::Serialize;
use utoipa::ToSchema;

use crate::app::App;
use crate::error::{ApiResult, Problem};
use crate::extract::Json;

/// That it runs, and which version.
#[derive(Serialize, ToSchema)]
pub struct Health {
    ok: bool,
    version: &'static str,
}

/// That it runs.
#[utoipa::path(get, path = "/api/health", responses((status = 200, body = Health)))]
pub async fn health() -> Json<Health> {
    Json(Health { ok: true, version: env!("CARGO_PKG_VERSION") })
}

/// Every cut Ergastic knows.
#[utoipa::path(get, path = "/api/cuts", responses((status = 200, body = Vec<CutFacts>)))]
pub async fn cuts() -> Json<Vec<CutFacts>> {
    Json(Cut::all().to_vec())
}

/// When it will be tender, and how sure that is.
#[utoipa::path(post, path = "/api/forecast", request_body = ForecastRequest, responses((status = 200, body = Forecast), (status = 422, body = Problem, content_type = "application/problem+json")))]
pub async fn post_forecast(State(app): State<App>, Json(request): Json<ForecastRequest>) -> ApiResult<Json<Forecast>> {
    app.compute(move || forecast(&request)).await.map(Json)
}

/// Which way for this cut.
#[utoipa::path(post, path = "/api/match", request_body = MatchRequest, responses((status = 200, body = Matched), (status = 422, body = Problem, content_type = "application/problem+json")))]
pub async fn post_match(State(app): State<App>, Json(request): Json<MatchRequest>) -> ApiResult<Json<Matched>> {
    let kitchen = app.store.kitchen().await?;
    app.compute(move || match_ways(&request, &kitchen, Timestamp::now())).await.map(Json)
}

/// Every cut against every way, for usual pieces at this kitchen's altitude.
#[utoipa::path(get, path = "/api/match/overview", responses((status = 200, body = Vec<Row>)))]
pub async fn get_overview(State(app): State<App>) -> ApiResult<Json<Vec<Row>>> {
    let kitchen = app.store.kitchen().await?;
    app.compute(move || Ok(overview(&kitchen))).await.map(Json)
}

/// One dish at the bench, salt to lid.
#[utoipa::path(post, path = "/api/prepare", request_body = PrepareRequest, responses((status = 200, body = Prepared), (status = 422, body = Problem, content_type = "application/problem+json")))]
pub async fn post_prepare(State(app): State<App>, Json(request): Json<PrepareRequest>) -> ApiResult<Json<Prepared>> {
    let kitchen = app.store.kitchen().await?;
    app.compute(move || prepare_request(&request, &kitchen)).await.map(Json)
}

/// What there is to put in with the meat.
#[utoipa::path(get, path = "/api/larder", responses((status = 200, body = Vec<LarderFacts>)))]
pub async fn larder() -> Json<Vec<LarderFacts>> {
    Json(Larder::all().to_vec())
}

/// From the liquid in the pot to the sauce.
#[utoipa::path(post, path = "/api/sauce", request_body = SauceRequest, responses((status = 200, body = Sauce), (status = 422, body = Problem, content_type = "application/problem+json")))]
pub async fn post_sauce(Json(request): Json<SauceRequest>) -> ApiResult<Json<Sauce>> {
    Ok(Json(sauce(&request)?))
}
