//! What is let in: requests that name this machine, and pages that may only load what ships with them.

use axum::extract::Request;
use axum::http::{StatusCode, header, uri::Authority};
use axum::middleware::Next;
use axum::response::{IntoResponse, Response};
use ergastic_words::service as say;

use crate::error::ApiError;

/// Pages load nothing from elsewhere; styles are set by the component library at run time.
const CONTENT_POLICY: &str = "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; font-src 'self' data:; \
    object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

/// The headers that every answer carries.
pub const HEADERS: [(&str, &str); 5] = [
    ("content-security-policy", CONTENT_POLICY),
    ("x-content-type-options", "nosniff"),
    ("referrer-policy", "same-origin"),
    ("cross-origin-resource-policy", "same-origin"),
    ("cross-origin-opener-policy", "same-origin"),
];

/// Refuses a `Host` that is not the loopback: a name that was rebound to it must not reach the kitchen.
pub async fn loopback_only(request: Request, next: Next) -> Response {
    let host = request.headers().get(header::HOST).and_then(|host| host.to_str().ok()).or_else(|| request.uri().host());
    let name = host.and_then(|host| host.parse::<Authority>().ok()).map(|authority| authority.host().to_owned());
    // Names of hosts have no case.
    match name.map(|name| name.to_ascii_lowercase()).as_deref() {
        Some("127.0.0.1" | "localhost" | "[::1]") => next.run(request).await,
        _ => ApiError::Refused(StatusCode::FORBIDDEN, say::own_machine_only()).into_response(),
    }
}
