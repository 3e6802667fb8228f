//! The addresses, and the layers around them.

use std::sync::Arc;
use std::time::Duration;

use axum::extract::{Request, State};
use axum::http::{HeaderName, HeaderValue, StatusCode, header};
use axum::middleware::{Next, from_fn, from_fn_with_state, map_response_with_state};
use axum::response::{IntoResponse, Response};
use axum::routing::{any, get};
use axum::{Json, Router};
use ergastic_words::service as say;
use tower_http::catch_panic::CatchPanicLayer;
use tower_http::compression::CompressionLayer;
use tower_http::csrf::CsrfLayer;
use tower_http::set_header::SetResponseHeaderLayer;
use tower_http::trace::TraceLayer;
use utoipa::OpenApi;
use utoipa_axum::{router::OpenApiRouter, routes};

use crate::app::App;
use crate::error::ApiError;
use crate::routes::{
    bin, compute, cooks, events, kitchen, loggers, meals, now, plans, probes, recipes, screens, transfer, why,
};
use crate::units::in_the_kitchens_units;
use crate::{complete, document, guard, web};

/// An answer that is not there by then is not waited for.
const ANSWER: Duration = Duration::from_secs(30);

#[derive(OpenApi)]
#[openapi(
    info(title = "Ergastic", description = "Cooks tough beef on time."),
    components(schemas(crate::error::Problem))
)]
struct Document;

fn quick() -> OpenApiRouter<App> {
    OpenApiRouter::with_openapi(Document::openapi())
        .routes(routes!(compute::health))
        .routes(routes!(compute::cuts))
        .routes(routes!(compute::get_scale))
        .routes(routes!(compute::post_forecast))
        .routes(routes!(compute::post_match))
        .routes(routes!(compute::get_overview))
        .routes(routes!(compute::post_prepare))
        .routes(routes!(compute::larder))
        .routes(routes!(compute::get_safety))
        .routes(routes!(compute::post_sheet))
        .routes(routes!(compute::post_sauce))
        .routes(routes!(kitchen::get_kitchen, kitchen::put_kitchen))
        .routes(routes!(meals::list_meals))
        .routes(routes!(meals::get_meal))
        .routes(routes!(meals::try_meal))
        .routes(routes!(meals::bring_dish))
        .routes(routes!(meals::get_file))
        .routes(routes!(recipes::post_recipe))
        .routes(routes!(recipes::get_recipe))
        .routes(routes!(plans::list_plans))
        .routes(routes!(plans::get_plan, plans::put_plan, plans::delete_plan))
        .routes(routes!(plans::list_versions))
        .routes(routes!(plans::get_version))
        .routes(routes!(plans::post_bench))
        .routes(routes!(plans::post_people))
        .routes(routes!(plans::get_sheet))
        .routes(routes!(plans::post_preview))
        .routes(routes!(cooks::list_cooks))
        .routes(routes!(cooks::log))
        .routes(routes!(cooks::get_cook, cooks::open, cooks::delete_cook))
        .routes(routes!(cooks::append))
        .routes(routes!(cooks::get_what_if))
        .routes(routes!(cooks::get_gone_wrong))
        .routes(routes!(cooks::get_afterwards))
        .routes(routes!(now::get_now))
        .routes(routes!(why::get_plan_why))
        .routes(routes!(why::get_cook_why))
        .routes(routes!(why::post_plan_why))
        .routes(routes!(why::post_why))
        .routes(routes!(why::post_inside))
        .routes(routes!(bin::list_bin, bin::empty_bin))
        .routes(routes!(bin::take_out_plan))
        .routes(routes!(bin::take_out_cook))
        .routes(routes!(probes::list_probes))
        .routes(routes!(probes::post_readings, probes::get_readings))
        .routes(routes!(loggers::read_log))
        .routes(routes!(loggers::import_log))
        .routes(routes!(screens::get_screen, screens::sign_in, screens::sign_out))
        .routes(routes!(screens::list_screens, screens::sign_all_out))
        .routes(routes!(screens::sign_one_out))
        .routes(routes!(screens::invite))
        .routes(routes!(screens::make_key))
        .routes(routes!(screens::revoke_key))
        .routes(routes!(screens::put_passphrase))
        .routes(routes!(events::stream))
}

/// What takes as long as it takes: it says itself how far it has come, and stops when nobody listens.
fn long() -> OpenApiRouter<App> {
    OpenApiRouter::new()
        .routes(routes!(transfer::export))
        .routes(routes!(transfer::import))
        .routes(routes!(transfer::import_preview))
}

/// The OpenAPI document of the API, made from the Rust types.
pub fn api_document() -> utoipa::openapi::OpenApi {
    let mut document = quick().merge(long()).into_openapi();
    document::say_what_is_refused(&mut document);
    complete::answers(&document)
}

/// Answers in time, or says that there was none.
async fn in_time(request: Request, next: Next) -> Response {
    match tokio::time::timeout(ANSWER, next.run(request)).await {
        Ok(response) => response,
        Err(_) => ApiError::Later(say::took_too_long()).into_response(),
    }
}

/// What the kitchen's clock shows, in ms since 1970, and how fast it runs: a page's clock goes by it. With it goes which page
/// ships with this binary.
async fn with_the_time(State((app, build)): State<(App, Option<HeaderValue>)>, mut response: Response) -> Response {
    if let Some(build) = build {
        response.headers_mut().insert(HeaderName::from_static("kitchen-build"), build);
    }
    let shown = format!("{} {}", app.clock.now().as_millisecond(), app.clock.speed());
    if let Ok(shown) = HeaderValue::from_str(&shown) {
        response.headers_mut().insert(HeaderName::from_static("kitchen-clock"), shown);
    }
    response
}

/// The whole application behind this machine's own door.
pub fn router(app: App) -> Router {
    behind(inside(app.clone()).layer(from_fn(guard::own_door)), app)
}

/// The whole application behind the door from beyond this machine.
pub fn beyond(app: App) -> Router {
    behind(inside(app.clone()).layer(from_fn_with_state(app.clone(), guard::beyond_door)), app)
}

fn inside(app: App) -> Router<App> {
    let document = Arc::new(api_document());
    let build = web::build().and_then(|name| HeaderValue::from_str(&name).ok());
    let no_store = SetResponseHeaderLayer::overriding(header::CACHE_CONTROL, HeaderValue::from_static("no-store"));
    let api = Router::from(quick())
        .layer(from_fn(in_time))
        .merge(Router::from(long()))
        .route("/api/openapi.json", get(move || async move { Json(document.as_ref().clone()) }))
        .route("/api/{*rest}", any(|| async { ApiError::Refused(StatusCode::NOT_FOUND, say::no_api_address()) }))
        .method_not_allowed_fallback(|| async { ApiError::Refused(StatusCode::METHOD_NOT_ALLOWED, say::no_method()) })
        .layer(no_store)
        .layer(map_response_with_state(app.clone(), in_the_kitchens_units))
        .layer(map_response_with_state((app, build), with_the_time));
    api.route("/authority.crt", get(screens::authority)).fallback(web::serve).layer(CompressionLayer::new()).layer(
        CsrfLayer::new()
            .with_rejection_response(|_| ApiError::Refused(StatusCode::FORBIDDEN, say::another_site()).into_response()),
    )
}

/// The layers around a door.
fn behind(door: Router<App>, app: App) -> Router {
    let headers = guard::HEADERS.map(|(name, value)| {
        SetResponseHeaderLayer::overriding(HeaderName::from_static(name), HeaderValue::from_static(value))
    });
    let [content, sniffing, referrer, resource, opener] = headers;
    door.layer((content, sniffing, referrer, resource, opener))
        .layer(CatchPanicLayer::custom(|_| ApiError::Internal("a handler panicked".into()).into_response()))
        .layer(TraceLayer::new_for_http())
        .with_state(app)
}
