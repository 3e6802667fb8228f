//! What each role may ask.

use axum::http::Method;
use ergastic_store::Role;

/// What is worked out from what is sent and changes nothing.
const WORKED_OUT: [&str; 13] = [
    "/api/forecast",
    "/api/match",
    "/api/prepare",
    "/api/prepare/plan",
    "/api/prepare/people",
    "/api/sheet",
    "/api/sheet/preview",
    "/api/sauce",
    "/api/why",
    "/api/why/plan",
    "/api/why/inside",
    "/api/recipes/read",
    "/api/probes/log",
];
/// What shows more of the kitchen than is cooked in it: the file of all of it, and who may enter.
const OF_COOKS: [&str; 2] = ["/api/export", "/api/devices"];

/// Whether a role may ask an address.
pub fn may(role: Role, method: &Method, path: &str) -> bool {
    match role {
        Role::Cook => true,
        // Its own leave it may always take.
        Role::Look if path == "/api/device" => true,
        Role::Look if method == Method::GET || method == Method::HEAD => !OF_COOKS.contains(&path),
        Role::Look => {
            let tried = path.starts_with("/api/meals/") && path.ends_with("/tried");
            method == Method::POST && (WORKED_OUT.contains(&path) || tried)
        }
    }
}
