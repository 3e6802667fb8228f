//! The web files inside the binary. Any address that is no file is the page itself, so that links to places work.

use axum::http::{Method, StatusCode, Uri, header};
use axum::response::{IntoResponse, Response};
use ergastic_words::{Voice, service as say};
use rust_embed::Embed;

use crate::error::ApiError;

#[derive(Embed)]
#[folder = "$CARGO_MANIFEST_DIR/../../web/dist"]
#[allow_missing = true]
struct Files;

/// Serves a file, or the page, to who reads.
pub async fn serve(method: Method, uri: Uri) -> Response {
    if method != Method::GET && method != Method::HEAD {
        return ApiError::Refused(StatusCode::METHOD_NOT_ALLOWED, say::read_only_page()).into_response();
    }
    let path = uri.path().trim_start_matches('/');
    let named = Files::get(path).filter(|_| !path.is_empty());
    if named.is_none() && path.starts_with("assets/") {
        return ApiError::Refused(StatusCode::NOT_FOUND, say::no_file()).into_response();
    }
    let hashed = named.is_some() && path.starts_with("assets/");
    let Some(file) = named.or_else(|| Files::get("index.html")) else {
        return (StatusCode::SERVICE_UNAVAILABLE, Voice::default().say(say::no_web_files())).into_response();
    };
    let kind = if hashed || path.contains('.') {
        file.metadata.mimetype().to_owned()
    } else {
        "text/html; charset=utf-8".to_owned()
    };
    let keep = if hashed { "public, max-age=31536000, immutable" } else { "no-cache" };
    ([(header::CONTENT_TYPE, kind), (header::CACHE_CONTROL, keep.to_owned())], file.data).into_response()
}
