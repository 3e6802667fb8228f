//! Reading requests so that every refusal is a problem+json that names the field.

use std::time::Duration;

use axum::body::{Body, Bytes};
use axum::extract::{FromRequest, FromRequestParts, Path, Request};
use axum::http::request::Parts;
use axum::http::{StatusCode, header};
use axum::response::{IntoResponse, Response};
use ergastic_core::json::{read_address, read_list, read_object};
use ergastic_store::in_spoken_names;
use ergastic_words::service as say;
use serde::Serialize;
use serde::de::DeserializeOwned;
use tokio_stream::StreamExt;
use uuid::Uuid;

use crate::error::ApiError;

/// A request may carry this much; a few say otherwise.
pub const MAX_BYTES: usize = 1 << 20;
/// Between two pieces of a body there may be so much time.
const PIECE: Duration = Duration::from_secs(10);

/// A JSON object in, JSON out.
pub struct Json<T>(pub T);

/// A JSON list of `MAX` at most in.
pub struct JsonList<T, const MAX: usize>(pub Vec<T>);

/// The body of a request, up to a length, that is known while it is read.
///
/// # Errors
/// 413 when it is longer, 408 when nothing comes for a while.
pub async fn body(request: Request, most: usize) -> Result<Bytes, ApiError> {
    let too_long = || ApiError::Refused(StatusCode::PAYLOAD_TOO_LARGE, say::too_long(most as u32));
    let length = request.headers().get(header::CONTENT_LENGTH).and_then(|length| length.to_str().ok()?.parse().ok());
    if length.is_some_and(|length: u64| length > most as u64) {
        return Err(too_long());
    }
    let mut pieces = request.into_body().into_data_stream();
    let mut whole = Vec::with_capacity(length.unwrap_or(0) as usize);
    while let Some(piece) = next_piece(&mut pieces).await? {
        if whole.len() + piece.len() > most {
            return Err(too_long());
        }
        whole.extend_from_slice(&piece);
    }
    Ok(whole.into())
}

/// The next piece of a body.
///
/// # Errors
/// 408 when none comes for a while, 400 when the sender breaks off.
pub async fn next_piece(pieces: &mut axum::body::BodyDataStream) -> Result<Option<Bytes>, ApiError> {
    match tokio::time::timeout(PIECE, pieces.next()).await {
        Err(_) => Err(ApiError::Refused(StatusCode::REQUEST_TIMEOUT, say::rest_did_not_come())),
        Ok(None) => Ok(None),
        Ok(Some(Ok(piece))) => Ok(Some(piece)),
        Ok(Some(Err(_))) => Err(ApiError::Refused(StatusCode::BAD_REQUEST, say::broke_off())),
    }
}

/// Reads a body. Taps and drafts wait in browsers that are away, and may come in the names of the format before: where a body can't be
/// read it is read in today's.
fn in_any_names<T>(text: &[u8], read: impl Fn(&[u8]) -> ergastic_core::Result<T>) -> ergastic_core::Result<T> {
    read(text).or_else(|error| {
        let Ok(mut value) = serde_json::from_slice(text) else { return Err(error) };
        in_spoken_names(&mut value);
        read(value.to_string().as_bytes()).map_err(|_| error)
    })
}

impl<S: Send + Sync, T: DeserializeOwned> FromRequest<S> for Json<T> {
    type Rejection = ApiError;

    async fn from_request(request: Request, _: &S) -> Result<Self, ApiError> {
        Ok(Self(in_any_names(&body(request, MAX_BYTES).await?, read_object)?))
    }
}

impl<S: Send + Sync, T: DeserializeOwned, const MAX: usize> FromRequest<S> for JsonList<T, MAX> {
    type Rejection = ApiError;

    async fn from_request(request: Request, _: &S) -> Result<Self, ApiError> {
        Ok(Self(in_any_names(&body(request, MAX_BYTES).await?, |text| read_list(text, MAX))?))
    }
}

impl<T: Serialize> IntoResponse for Json<T> {
    fn into_response(self) -> Response {
        axum::Json(self.0).into_response()
    }
}

/// JSON that is text already.
pub fn json_text(text: impl Into<Body>) -> Response {
    ([(header::CONTENT_TYPE, "application/json")], text.into()).into_response()
}

/// A name in an address.
pub struct Name(pub String);

impl<S: Send + Sync> FromRequestParts<S> for Name {
    type Rejection = ApiError;

    async fn from_request_parts(parts: &mut Parts, state: &S) -> Result<Self, ApiError> {
        let path = Path::<String>::from_request_parts(parts, state).await;
        path.map(|Path(text)| Self(text)).map_err(|_| ApiError::Refused(StatusCode::NOT_FOUND, say::no_address()))
    }
}

/// The id in an address; anything that is not one is not found.
pub struct Id(pub Uuid);

impl<S: Send + Sync> FromRequestParts<S> for Id {
    type Rejection = ApiError;

    async fn from_request_parts(parts: &mut Parts, state: &S) -> Result<Self, ApiError> {
        let Name(text) = Name::from_request_parts(parts, state).await?;
        text.parse()
            .map(Self)
            .map_err(|_| ApiError::Refused(StatusCode::NOT_FOUND, say::nothing_called(&format!("{text:?}"))))
    }
}

/// A version of a document in an address.
pub struct VersionOf {
    /// The document.
    pub id: Uuid,
    /// Which version of it.
    pub version: i64,
}

impl<S: Send + Sync> FromRequestParts<S> for VersionOf {
    type Rejection = ApiError;

    async fn from_request_parts(parts: &mut Parts, state: &S) -> Result<Self, ApiError> {
        let Path((id, version)) = Path::<(Uuid, i64)>::from_request_parts(parts, state)
            .await
            .map_err(|_| ApiError::Refused(StatusCode::NOT_FOUND, say::no_version()))?;
        Ok(Self { id, version })
    }
}

/// A version of the kitchen, in an address.
pub struct KitchenVersionOf(pub i64);

impl<S: Send + Sync> FromRequestParts<S> for KitchenVersionOf {
    type Rejection = ApiError;

    async fn from_request_parts(parts: &mut Parts, state: &S) -> Result<Self, ApiError> {
        let path = Path::<i64>::from_request_parts(parts, state).await;
        path.map(|Path(version)| Self(version)).map_err(|_| ApiError::Refused(StatusCode::NOT_FOUND, say::no_version()))
    }
}

/// A dish and the meal that it is brought to, in an address.
pub struct BroughtTo {
    /// The meal.
    pub id: String,
    /// The dish.
    pub plan_id: Uuid,
}

impl<S: Send + Sync> FromRequestParts<S> for BroughtTo {
    type Rejection = ApiError;

    async fn from_request_parts(parts: &mut Parts, state: &S) -> Result<Self, ApiError> {
        let path = Path::<(String, Uuid)>::from_request_parts(parts, state).await;
        path.map(|Path((id, plan_id))| Self { id, plan_id })
            .map_err(|_| ApiError::Refused(StatusCode::NOT_FOUND, say::no_address()))
    }
}

/// What stands after the question mark of an address.
pub struct Query<T>(pub T);

impl<S: Send + Sync, T: DeserializeOwned> FromRequestParts<S> for Query<T> {
    type Rejection = ApiError;

    async fn from_request_parts(parts: &mut Parts, _: &S) -> Result<Self, ApiError> {
        let pairs = form_urlencoded::parse(parts.uri.query().unwrap_or_default().as_bytes());
        Ok(Self(read_address(pairs.into_owned())?))
    }
}
