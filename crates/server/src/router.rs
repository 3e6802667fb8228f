//! The addresses, and the layers around them.

use std::sync::OnceLock;
use std::time::Duration;

use axum::Router;
use axum::extract::{Request, State};
use axum::http::{HeaderName, HeaderValue, StatusCode, header};
use axum::middleware::{Next, from_fn, from_fn_with_state, map_response_with_state};
use axum::response::{IntoResponse, Response};
use axum::routing::{any, get};
use ergastic_words::service as say;
use tower_http::CompressionLevel;
use tower_http::catch_panic::CatchPanicLayer;
use tower_http::classify::StatusInRangeAsFailures;
use tower_http::compression::CompressionLayer;
use tower_http::csrf::CsrfLayer;
use tower_http::set_header::SetResponseHeaderLayer;
use tower_http::trace::TraceLayer;
use utoipa::OpenApi;
use utoipa_axum::router::{OpenApiRouter, UtoipaMethodRouter};
use utoipa_axum::routes;

use crate::app::App;
use crate::error::ApiError;
use crate::extract::json_text;
use crate::routes::{
    compute, cooks, devices, events, kitchen, loggers, meals, now, plans, probes, recipes, transfer, trash, why,
};
use crate::units::in_the_kitchens_units;
use crate::{complete, document, guard, web};

/// An answer that is not there by then is not waited for.
const ANSWER: Duration = Duration::from_secs(30);

#[derive(OpenApi)]
#[openapi(
    info(title = "Ergastic", description = "Cooks tough beef on time."),
    components(schemas(crate::error::ProblemDetails))
)]
struct ApiDocument;

/// A route with its part of the document. It is made when it is needed: the document of them all takes more memory than the
/// kitchen they serve.
type Documented = fn() -> UtoipaMethodRouter<App>;

/// What is answered in time, or not at all.
const QUICK: &[Documented] = &[
    || routes!(compute::health),
    || routes!(compute::cuts),
    || routes!(compute::get_scale),
    || routes!(compute::post_forecast),
    || routes!(compute::post_match),
    || routes!(compute::get_overview),
    || routes!(compute::post_prepare),
    || routes!(compute::larder),
    || routes!(compute::get_safety),
    || routes!(compute::post_sheet),
    || routes!(compute::post_sauce),
    || routes!(kitchen::get_kitchen, kitchen::put_kitchen),
    || routes!(kitchen::get_fields),
    || routes!(kitchen::list_kitchens),
    || routes!(kitchen::get_kitchen_version),
    || routes!(meals::list_meals),
    || routes!(meals::get_meal),
    || routes!(meals::try_meal),
    || routes!(meals::bring_dish),
    || routes!(meals::get_file),
    || routes!(meals::tell),
    || routes!(recipes::post_recipe),
    || routes!(recipes::get_recipe),
    || routes!(plans::list_plans),
    || routes!(plans::get_plan, plans::put_plan, plans::delete_plan),
    || routes!(plans::list_versions),
    || routes!(plans::get_version),
    || routes!(plans::post_bench),
    || routes!(plans::post_people),
    || routes!(plans::get_sheet),
    || routes!(plans::post_preview),
    || routes!(cooks::list_cooks),
    || routes!(cooks::log),
    || routes!(cooks::get_cook, cooks::open, cooks::delete_cook),
    || routes!(cooks::append),
    || routes!(cooks::get_what_if),
    || routes!(cooks::get_gone_wrong),
    || routes!(cooks::get_afterwards),
    || routes!(now::get_now),
    || routes!(why::get_plan_why),
    || routes!(why::get_cook_why),
    || routes!(why::post_plan_why),
    || routes!(why::post_why),
    || routes!(why::post_inside),
    || routes!(trash::list_trash, trash::empty_trash),
    || routes!(trash::take_out_plan),
    || routes!(trash::take_out_cook),
    || routes!(probes::list_probes),
    || routes!(probes::post_readings, probes::get_readings),
    || routes!(loggers::read_log),
    || routes!(loggers::import_log),
    || routes!(devices::get_device, devices::sign_in, devices::sign_out),
    || routes!(devices::list_devices, devices::sign_all_out),
    || routes!(devices::sign_one_out),
    || routes!(devices::invite),
    || routes!(devices::make_key),
    || routes!(devices::revoke_key),
    || routes!(devices::put_passphrase),
    || routes!(events::stream),
];

/// What takes as long as it takes: it says itself how far it has come, and stops when nobody listens.
const LONG: &[Documented] =
    &[|| routes!(transfer::export), || routes!(transfer::import), || routes!(transfer::import_preview)];

/// The routes alone, one after the other.
fn routed(routes: &[Documented]) -> Router<App> {
    routes.iter().fold(Router::new(), |router, route| {
        let (_, documented, methods) = route();
        match documented.paths.keys().next() {
            Some(path) => router.route(path, methods),
            None => router,
        }
    })
}

/// The OpenAPI document of the API, made from the Rust types.
pub fn api_document() -> utoipa::openapi::OpenApi {
    let all = QUICK.iter().chain(LONG);
    let router = all.fold(OpenApiRouter::with_openapi(ApiDocument::openapi()), |router, route| router.routes(route()));
    let mut document = router.into_openapi();
    document::say_what_is_refused(&mut document);
    complete::answers(&document)
}

/// The document as text, made when somebody first asks for it: it takes more memory to make than the whole kitchen to serve.
fn document_text() -> &'static str {
    static TEXT: OnceLock<String> = OnceLock::new();
    TEXT.get_or_init(|| api_document().to_json().unwrap_or_default())
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
    let build = web::build().and_then(|name| HeaderValue::from_str(&name).ok());
    let no_store = SetResponseHeaderLayer::overriding(header::CACHE_CONTROL, HeaderValue::from_static("no-store"));
    let api = routed(QUICK)
        .layer(from_fn(in_time))
        .merge(routed(LONG))
        .route("/api/openapi.json", get(|| async { json_text(document_text()) }))
        .route("/api/{*rest}", any(|| async { ApiError::Refused(StatusCode::NOT_FOUND, say::no_api_address()) }))
        .method_not_allowed_fallback(|| async { ApiError::Refused(StatusCode::METHOD_NOT_ALLOWED, say::no_method()) })
        .layer(no_store)
        .layer(map_response_with_state(app.clone(), in_the_kitchens_units))
        .layer(map_response_with_state((app, build), with_the_time));
    // What ships is packed ahead of time; packing each answer with Brotli would cost every screen that asks time and memory.
    let small = CompressionLayer::new().br(false).quality(CompressionLevel::Fastest);
    api.route("/authority.crt", get(devices::authority)).fallback(web::serve).layer(small).layer(
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
        // That too much is asked for, or that nothing can be kept, is an answer; what is a fault here says so itself.
        .layer(TraceLayer::new(StatusInRangeAsFailures::new(500..=502).into_make_classifier()))
        .with_state(app)
}
