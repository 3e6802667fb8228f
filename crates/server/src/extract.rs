//! Reading requests so that every refusal is a problem+json that names the field.

use axum::body::Bytes;
use axum::extract::{FromRequest, FromRequestParts, Path, Request};
use axum::http::StatusCode;
use axum::http::request::Parts;
use axum::response::{IntoResponse, Response};
use serde::Serialize;
use serde::de::DeserializeOwned;
use uuid::Uuid;

use crate::compute::{read, read_object};
use crate::error::ApiError;

/// A JSON object in, JSON out.
pub struct Json<T>(pub T);

/// A JSON list in.
pub struct JsonList<T>(pub Vec<T>);

async fn body<S: Send + Sync>(request: Request, state: &S) -> Result<Bytes, ApiError> {
    Bytes::from_request(request, state)
        .await
        .map_err(|rejection| ApiError::Refused(rejection.status(), rejection.body_text()))
}

impl<S: Send + Sync, T: DeserializeOwned> FromRequest<S> for Json<T> {
    type Rejection = ApiError;

    async fn from_request(request: Request, state: &S) -> Result<Self, ApiError> {
        Ok(Self(read_object(&body(request, state).await?)?))
    }
}

impl<S: Send + Sync, T: DeserializeOwned> FromRequest<S> for JsonList<T> {
    type Rejection = ApiError;

    async fn from_request(request: Request, state: &S) -> Result<Self, ApiError> {
        Ok(Self(read(&body(request, state).await?)?))
    }
}

impl<T: Serialize> IntoResponse for Json<T> {
    fn into_response(self) -> Response {
        axum::Json(self.0).into_response()
    }
}

/// The id in an address; anything that is not one is not found.
pub struct Id(pub Uuid);

impl<S: Send + Sync> FromRequestParts<S> for Id {
    type Rejection = ApiError;

    async fn from_request_parts(parts: &mut Parts, state: &S) -> Result<Self, ApiError> {
        let Path(text) = Path::<String>::from_request_parts(parts, state)
            .await
            .map_err(|rejection| ApiError::Refused(rejection.status(), rejection.body_text()))?;
        text.parse()
            .map(Self)
            .map_err(|_| ApiError::Refused(StatusCode::NOT_FOUND, format!("there is nothing called {text:?}")))
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
            .map_err(|_| ApiError::Refused(StatusCode::NOT_FOUND, "there is no such version".into()))?;
        Ok(Self { id, version })
    }
}
