//! The one place where errors become responses: problem+json (RFC 9457) that names the field.

use std::fmt;
use std::sync::Arc;
use std::time::Duration;

use axum::http::{HeaderValue, StatusCode, header};
use axum::response::{IntoResponse, Response};
use ergastic_store::Trouble;
use ergastic_words::{Message, Voice, service as say};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// A refused or failed request.
#[derive(Debug, Serialize, Deserialize, ToSchema)]
pub struct ProblemDetails {
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
#[derive(Debug, Clone)]
pub enum ApiError {
    /// Something given can't be used.
    Input(ergastic_core::Error),
    /// The store.
    Store(Arc<ergastic_store::Error>),
    /// Refused with a status and a reason.
    Refused(StatusCode, Message),
    /// Not now: too much is asked for at once.
    Later(Message),
    /// Not before so long.
    Wait(Duration, Message),
    /// A bug; the reason goes to the log.
    Internal(String),
}

impl From<ergastic_core::Error> for ApiError {
    fn from(error: ergastic_core::Error) -> Self {
        Self::Input(error)
    }
}

impl From<ergastic_store::Error> for ApiError {
    fn from(error: ergastic_store::Error) -> Self {
        Self::Store(Arc::new(error))
    }
}

impl fmt::Display for ApiError {
    fn fmt(&self, formatter: &mut fmt::Formatter) -> fmt::Result {
        formatter.write_str(&self.told(Voice::default()))
    }
}

impl std::error::Error for ApiError {}

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
            Self::Wait(..) => StatusCode::TOO_MANY_REQUESTS,
            Self::Refused(status, _) => *status,
            Self::Store(error) => match &**error {
                Store::NotFound { .. } => StatusCode::NOT_FOUND,
                Store::Conflict { .. } | Store::Moved | Store::Importing => StatusCode::CONFLICT,
                Store::OverDamaged(_)
                | Store::ProbesFull { .. }
                | Store::Elsewhere { .. }
                | Store::CookFull { .. }
                | Store::Damaged(_)
                | Store::File(_) => StatusCode::UNPROCESSABLE_ENTITY,
                Store::Unusable(Trouble::Full) => StatusCode::INSUFFICIENT_STORAGE,
                Store::Unusable(_) | Store::Newer(_) => StatusCode::SERVICE_UNAVAILABLE,
                Store::Sql(_) | Store::Migrate(_) => StatusCode::INTERNAL_SERVER_ERROR,
            },
            Self::Internal(_) => StatusCode::INTERNAL_SERVER_ERROR,
        }
    }

    /// What went wrong, as far as it is a sender's business.
    fn told(&self, voice: Voice) -> String {
        match self {
            Self::Input(error) => error.told(voice),
            Self::Store(error) if self.status() == StatusCode::INTERNAL_SERVER_ERROR => {
                tracing::error!("{error}");
                voice.render(say::database_fault())
            }
            Self::Store(error) => voice.render(error.said()),
            Self::Refused(_, said) | Self::Later(said) | Self::Wait(_, said) => voice.render(said),
            Self::Internal(reason) => {
                tracing::error!("{reason}");
                voice.render(say::own_fault())
            }
        }
    }

    /// The answer in a voice.
    pub fn answer(&self, voice: Voice) -> Response {
        let status = self.status();
        let problem = ProblemDetails {
            r#type: "about:blank".into(),
            title: status.canonical_reason().unwrap_or("Error").to_owned(),
            status: status.as_u16(),
            detail: self.told(voice),
            field: self.field(),
        };
        let body = serde_json::to_vec(&problem).unwrap_or_default();
        let mut response = (status, [(header::CONTENT_TYPE, "application/problem+json")], body).into_response();
        if status == StatusCode::SERVICE_UNAVAILABLE {
            response.headers_mut().insert(header::RETRY_AFTER, RETRY_AFTER_S);
        }
        if let Self::Wait(wait, _) = self {
            response.headers_mut().insert(header::RETRY_AFTER, HeaderValue::from(wait.as_secs().max(1)));
        }
        response
    }

    fn field(&self) -> Option<String> {
        match self {
            Self::Input(error) => Some(error.named().to_owned()),
            Self::Store(error) => match &**error {
                ergastic_store::Error::ProbesFull { .. } => Some("probe".to_owned()),
                ergastic_store::Error::OverDamaged(_) => Some("over_damaged".to_owned()),
                ergastic_store::Error::Elsewhere { index, .. } => Some(format!("[{index}].id")),
                _ => None,
            },
            _ => None,
        }
    }
}

/// What went wrong, beside an answer that was made before the kitchen's units were known.
#[derive(Clone)]
pub struct Failing(pub Arc<ApiError>);

impl IntoResponse for ApiError {
    fn into_response(self) -> Response {
        let mut response = self.answer(Voice::default());
        // Only a field's range is said otherwise in other units.
        if matches!(self, Self::Input(_)) {
            response.extensions_mut().insert(Failing(Arc::new(self)));
        }
        response
    }
}
