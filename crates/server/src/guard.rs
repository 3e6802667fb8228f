//! What is let in: requests that name this machine, and pages that may only load what ships with them.

use axum::extract::Request;
use axum::http::{HeaderValue, StatusCode, header, uri::Authority};
use axum::middleware::Next;
use axum::response::{IntoResponse, Response};

use crate::error::ApiError;

/// Pages load nothing from elsewhere; styles are set by the component library at run time.
const CONTENT_POLICY: &str = "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; font-src 'self' data:; \
    object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

/// Refuses a `Host` that is not the loopback: a name that was rebound to it must not reach the kitchen.
pub async fn loopback_only(request: Request, next: Next) -> Response {
    let host = request.headers().get(header::HOST).and_then(|host| host.to_str().ok()).or_else(|| request.uri().host());
    let name = host.and_then(|host| host.parse::<Authority>().ok()).map(|authority| authority.host().to_owned());
    // Names of hosts have no case.
    match name.map(|name| name.to_ascii_lowercase()).as_deref() {
        Some("127.0.0.1" | "localhost" | "[::1]") => next.run(request).await,
        _ => ApiError::Refused(StatusCode::FORBIDDEN, "this kitchen answers on its own machine only".into())
            .into_response(),
    }
}

/// Adds the headers that every answer carries.
pub async fn headers(request: Request, next: Next) -> Response {
    let api = request.uri().path().starts_with("/api/");
    let mut response = next.run(request).await;
    let headers = response.headers_mut();
    headers.insert(header::CONTENT_SECURITY_POLICY, HeaderValue::from_static(CONTENT_POLICY));
    headers.insert(header::X_CONTENT_TYPE_OPTIONS, HeaderValue::from_static("nosniff"));
    headers.insert(header::REFERRER_POLICY, HeaderValue::from_static("same-origin"));
    headers.insert("cross-origin-resource-policy", HeaderValue::from_static("same-origin"));
    headers.insert("cross-origin-opener-policy", HeaderValue::from_static("same-origin"));
    if api {
        headers.insert(header::CACHE_CONTROL, HeaderValue::from_static("no-store"));
    }
    response
}
