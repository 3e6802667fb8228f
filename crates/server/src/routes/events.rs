//! Changes told to every open page, so that a second screen shows the same.

use std::convert::Infallible;
use std::time::Duration;

use axum::extract::State;
use axum::http::HeaderMap;
use axum::response::sse::{Event, KeepAlive, Sse};
use ergastic_words::service as say;
use futures_util::StreamExt;
use serde::Deserialize;
use tokio_stream::Stream;
use tokio_stream::wrappers::BroadcastStream;
use utoipa::IntoParams;

use crate::access::Visitor;
use crate::app::App;
use crate::changes::{Change, Listening};
use crate::error::{ApiError, ApiResult};
use crate::extract::Query;

/// Where to go on.
#[derive(Deserialize, IntoParams)]
#[serde(deny_unknown_fields)]
#[into_params(parameter_in = Query)]
pub struct After {
    /// The id of the last change that was heard; a browser that comes back by itself says it in `Last-Event-ID`.
    after: Option<String>,
}

/// A stream of changes (server-sent events), from now on or from after one that was heard.
#[utoipa::path(get, path = "/api/events", params(After), responses((status = 200, body = Change, content_type = "text/event-stream")))]
pub async fn stream(
    State(app): State<App>,
    visitor: Visitor,
    Query(After { after }): Query<After>,
    headers: HeaderMap,
) -> ApiResult<Sse<impl Stream<Item = Result<Event, Infallible>>>> {
    let last = headers.get("last-event-id").and_then(|id| id.to_str().ok()).map(str::to_owned);
    // It ends with the screen's leave to listen.
    let (desk, store) = (app.desk.clone(), app.store.clone());
    let device = visitor.device().map(|device| device.id);
    let gone = async move {
        match device {
            Some(device) => desk.until_gone(store, device).await,
            None => std::future::pending().await,
        }
    };
    let changes = app.changes;
    let listening = changes.listen(device, last.or(after).as_deref());
    let Listening { first, then, permits } = listening.ok_or(ApiError::Later(say::too_many_pages()))?;
    let then = tokio_stream::StreamExt::map_while(BroadcastStream::new(then), |told| match told {
        Ok(told) => told,
        // Too slow to hear all: it reads everything again. The number that goes with it is made good by the next.
        Err(_) => Some((0, Change::Missed)),
    });
    let told = tokio_stream::iter(first).chain(then).take_until(Box::pin(gone));
    let events = told.map(move |(number, change)| {
        let _held_while_open = &permits;
        let event = Event::default().json_data(&change).unwrap_or_default();
        Ok(if number > 0 { event.id(changes.id(number)) } else { event })
    });
    Ok(Sse::new(events).keep_alive(KeepAlive::new().interval(Duration::from_secs(20))))
}
