//! The one place where errors become responses: problem+json (RFC 9457) that names the field.

use axum::http::{StatusCode, header};
use axum::response::{IntoResponse, Response};
use serde::Serialize;
use utoipa::ToSchema;

/// A refused or failed request.
#[derive(Debug, Serialize, ToSchema)]
pub struct Problem {
    /// Always `about:blank`.
    pub r#type: &'static str,
    /// The status in words.
    pub title: String,
    /// The status.
    pub status: u16,
    /// What was given, what is allowed, what to do.
    pub detail: String,
    /// The field that can't be used.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub field: Option<String>,
}

/// What a handler can fail with.
#[derive(Debug, thiserror::Error)]
pub enum ApiError {
    /// Something given can't be used.
    #[error(transparent)]
    Input(#[from] ergastic_core::Error),
    /// The store.
    #[error(transparent)]
    Store(#[from] ergastic_store::Error),
    /// Refused with a status and a reason.
    #[error("{1}")]
    Refused(StatusCode, String),
    /// A bug or a full disk; the reason goes to the log.
    #[error("something went wrong in the server")]
    Internal(String),
}

/// A handler's result.
pub type ApiResult<T> = Result<T, ApiError>;

impl ApiError {
    fn status(&self) -> StatusCode {
        match self {
            Self::Input(_) => StatusCode::UNPROCESSABLE_ENTITY,
            Self::Store(ergastic_store::Error::NotFound { .. }) => StatusCode::NOT_FOUND,
            Self::Store(ergastic_store::Error::Conflict { .. }) => StatusCode::CONFLICT,
            Self::Refused(status, _) => *status,
            Self::Store(_) | Self::Internal(_) => StatusCode::INTERNAL_SERVER_ERROR,
        }
    }
}

impl IntoResponse for ApiError {
    fn into_response(self) -> Response {
        let status = self.status();
        let detail = match &self {
            Self::Internal(reason) => {
                tracing::error!("{reason}");
                self.to_string()
            }
            Self::Store(error) if status == StatusCode::INTERNAL_SERVER_ERROR => {
                tracing::error!("{error}");
                "the kitchen's database can't be used just now; nothing was changed".to_owned()
            }
            _ => self.to_string(),
        };
        let field = match &self {
            Self::Input(error) => Some(error.field.clone()),
            _ => None,
        };
        let problem = Problem {
            r#type: "about:blank",
            title: status.canonical_reason().unwrap_or("Error").to_owned(),
            status: status.as_u16(),
            detail,
            field,
        };
        let body = serde_json::to_vec(&problem).unwrap_or_default();
        (status, [(header::CONTENT_TYPE, "application/problem+json")], body).into_response()
    }
}
