//! Changes told to every open page, so that a second screen shows the same.

use std::convert::Infallible;
use std::time::Duration;

use axum::extract::State;
use axum::response::sse::{Event, KeepAlive, Sse};
use serde::Serialize;
use tokio_stream::wrappers::BroadcastStream;
use tokio_stream::{Stream, StreamExt};
use utoipa::ToSchema;
use uuid::Uuid;

use crate::app::App;

/// What has changed.
#[derive(Debug, Clone, Serialize, ToSchema)]
#[serde(tag = "what", rename_all = "snake_case")]
pub enum Change {
    /// The kitchen, or everything.
    Kitchen,
    /// A plan.
    Plan {
        /// Which.
        id: Uuid,
    },
    /// A cook.
    Cook {
        /// Which.
        id: Uuid,
    },
    /// This page missed some changes: all must be read again.
    Missed,
}

/// A stream of changes (server-sent events).
#[utoipa::path(get, path = "/api/events", responses((status = 200, body = Change, content_type = "text/event-stream")))]
pub async fn stream(State(app): State<App>) -> Sse<impl Stream<Item = Result<Event, Infallible>>> {
    let changes = BroadcastStream::new(app.changes.subscribe()).map(|change| {
        let change = change.unwrap_or(Change::Missed);
        Ok(Event::default().json_data(&change).unwrap_or_default())
    });
    Sse::new(changes).keep_alive(KeepAlive::new().interval(Duration::from_secs(20)))
}
