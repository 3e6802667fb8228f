//! The web files inside the binary. Any address that is no file is the page itself, so that links to places work.

use axum::http::{HeaderMap, HeaderValue, Method, StatusCode, Uri, header};
use axum::response::{IntoResponse, Response};
use ergastic_words::{Voice, service as say};
use rust_embed::Embed;

use crate::error::ApiError;

#[derive(Embed)]
#[folder = "$CARGO_MANIFEST_DIR/../../web/dist"]
#[allow_missing = true]
struct Files;

/// Whether who asks can unpack Brotli.
fn takes_brotli(headers: &HeaderMap) -> bool {
    headers.get(header::ACCEPT_ENCODING).and_then(|value| value.to_str().ok()).is_some_and(|value| {
        value.split(',').any(|one| one.trim().split(';').next() == Some("br") && !one.contains("q=0"))
    })
}

/// Serves a file, or the page, to who reads: packed ahead of time where it was and where it can be unpacked.
pub async fn serve(method: Method, uri: Uri, headers: HeaderMap) -> Response {
    if method != Method::GET && method != Method::HEAD {
        return ApiError::Refused(StatusCode::METHOD_NOT_ALLOWED, say::read_only_page()).into_response();
    }
    let path = uri.path().trim_start_matches('/');
    let named = Some(path).filter(|path| !path.is_empty()).and_then(|path| Some((path, Files::get(path)?)));
    if named.is_none() && path.starts_with("assets/") {
        return ApiError::Refused(StatusCode::NOT_FOUND, say::no_file()).into_response();
    }
    let hashed = named.is_some() && path.starts_with("assets/");
    let Some((name, file)) = named.or_else(|| Some(("index.html", Files::get("index.html")?))) else {
        return (StatusCode::SERVICE_UNAVAILABLE, Voice::default().render(say::no_web_files())).into_response();
    };
    let kind = if hashed || path.contains('.') {
        file.metadata.mimetype().to_owned()
    } else {
        "text/html; charset=utf-8".to_owned()
    };
    let keep = if hashed { "public, max-age=31536000, immutable" } else { "no-cache" };
    let packed = Files::get(&format!("{name}.br")).filter(|_| takes_brotli(&headers));
    let is_packed = packed.is_some();
    let data = packed.map_or(file.data, |packed| packed.data);
    let mut response = ([(header::CONTENT_TYPE, kind), (header::CACHE_CONTROL, keep.to_owned())], data).into_response();
    if is_packed {
        let headers = response.headers_mut();
        headers.insert(header::CONTENT_ENCODING, HeaderValue::from_static("br"));
        headers.insert(header::VARY, HeaderValue::from_static("accept-encoding"));
    }
    response
}

/// Which build of the page ships with this binary: its first script's name, which is made of what is in it. A page that was
/// loaded from another one sees it.
pub fn build() -> Option<String> {
    let page = Files::get("index.html")?;
    let page = std::str::from_utf8(&page.data).ok()?;
    let (_, after) = page.split_once("src=\"/assets/")?;
    after.split_once('"').map(|(name, _)| name.to_owned())
}
