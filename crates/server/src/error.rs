//! The one place where errors become responses: problem+json (RFC 9457) that names the field.

use axum::http::{HeaderValue, StatusCode, header};
use axum::response::{IntoResponse, Response};
use ergastic_store::Trouble;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// A refused or failed request.
#[derive(Debug, Serialize, Deserialize, ToSchema)]
pub struct Problem {
    /// Always `about:blank`.
    pub r#type: String,
    /// The status in words.
    pub title: String,
    /// The status.
    pub status: u16,
    /// What was given, what is allowed, what to do.
    pub detail: String,
    /// The field that can't be used.
    #[serde(default, skip_serializing_if = "Option::is_none")]
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
    /// Not now: too much is asked for at once.
    #[error("{0}")]
    Later(&'static str),
    /// A bug; the reason goes to the log.
    #[error("something went wrong in the server")]
    Internal(String),
}

/// A handler's result.
pub type ApiResult<T> = Result<T, ApiError>;

/// Seconds after which what was refused for now may be asked again.
const RETRY_AFTER_S: HeaderValue = HeaderValue::from_static("2");

impl ApiError {
    fn status(&self) -> StatusCode {
        use ergastic_store::Error as Store;
        match self {
            Self::Input(_) => StatusCode::UNPROCESSABLE_ENTITY,
            Self::Later(_) => StatusCode::SERVICE_UNAVAILABLE,
            Self::Refused(status, _) => *status,
            Self::Store(error) => match error {
                Store::NotFound { .. } => StatusCode::NOT_FOUND,
                Store::Conflict { .. } | Store::Moved | Store::Importing => StatusCode::CONFLICT,
                Store::Elsewhere { .. } | Store::CookFull { .. } | Store::Damaged(_) | Store::File(_) => {
                    StatusCode::UNPROCESSABLE_ENTITY
                }
                Store::Unusable(Trouble::Full) => StatusCode::INSUFFICIENT_STORAGE,
                Store::Unusable(_) | Store::Newer(_) => StatusCode::SERVICE_UNAVAILABLE,
                Store::Sql(_) | Store::Migrate(_) => StatusCode::INTERNAL_SERVER_ERROR,
            },
            Self::Internal(_) => StatusCode::INTERNAL_SERVER_ERROR,
        }
    }

    fn field(&self) -> Option<String> {
        match self {
            Self::Input(error) => Some(error.field.clone()),
            Self::Store(ergastic_store::Error::Elsewhere { index, .. }) => Some(format!("[{index}].id")),
            _ => None,
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
        let problem = Problem {
            r#type: "about:blank".into(),
            title: status.canonical_reason().unwrap_or("Error").to_owned(),
            status: status.as_u16(),
            detail,
            field: self.field(),
        };
        let body = serde_json::to_vec(&problem).unwrap_or_default();
        let mut response = (status, [(header::CONTENT_TYPE, "application/problem+json")], body).into_response();
        if status == StatusCode::SERVICE_UNAVAILABLE {
            response.headers_mut().insert(header::RETRY_AFTER, RETRY_AFTER_S);
        }
        response
    }
}
