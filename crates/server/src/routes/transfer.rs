//! The whole kitchen as one file, out and in. However large, little of it is held at once; open pages hear how far it has come.

use std::collections::HashSet;
use std::time::{Duration, Instant};

use axum::body::Body;
use axum::extract::{Request, State};
use axum::http::{StatusCode, header};
use axum::response::{IntoResponse, Response};
use ergastic_store::{Brought, Progress, Reading, Staged};
use ergastic_words::service as say;
use jiff::Timestamp;
use serde::Serialize;
use tokio::runtime::Handle;
use tokio::sync::mpsc;
use tokio_stream::wrappers::ReceiverStream;
use utoipa::ToSchema;
use uuid::Uuid;

use crate::app::App;
use crate::bringing::{Bringing, Pieces};
use crate::changes::{Change, Changes, Traffic};
use crate::document::KitchenFile;
use crate::error::{ApiError, ApiResult, ProblemDetails};
use crate::extract::{Json, next_piece};
use crate::kitchen_file::{Sink, read_file};
use crate::upkeep;

/// What a file has brought, or would bring.
#[derive(Debug, Serialize, ToSchema)]
pub struct BroughtView {
    /// The kitchen itself is replaced by the file's.
    kitchen: bool,
    /// Plans that are new here.
    new_plans: u64,
    /// Plans that are here and get further versions.
    changed_plans: u64,
    /// Versions of plans, in all.
    versions: u64,
    /// Cooks that are new here.
    new_cooks: u64,
    /// Cooks that are here and get further things that happened.
    changed_cooks: u64,
    /// Things that happened, in all.
    events: u64,
    /// Readings that are new here.
    readings: u64,
    /// Readings that are here already.
    repeated: u64,
}

impl From<Brought> for BroughtView {
    fn from(brought: Brought) -> Self {
        let Brought {
            kitchen,
            new_plans,
            changed_plans,
            versions,
            new_cooks,
            changed_cooks,
            events,
            readings,
            repeated,
        } = brought;
        Self { kitchen, new_plans, changed_plans, versions, new_cooks, changed_cooks, events, readings, repeated }
    }
}

/// The whole kitchen as one JSON file, as it is at one moment.
#[utoipa::path(get, path = "/api/export", responses((status = 200, body = KitchenFile)))]
pub async fn export(State(app): State<App>) -> ApiResult<Response> {
    let changes = app.changes.clone();
    let mut pieces = app.store.export(move |Progress { done, of }| {
        changes.tell(Change::Progress { task: Traffic::Export, done, of });
    });
    // What goes wrong at once is answered as a problem; later it can only break off.
    let first = pieces.recv().await.transpose()?;
    let first = tokio_stream::iter(first.map(Ok::<_, ergastic_store::Error>));
    let body = Body::from_stream(tokio_stream::StreamExt::chain(first, ReceiverStream::new(pieces)));
    let headers = [
        (header::CONTENT_TYPE, "application/json"),
        (header::CONTENT_DISPOSITION, "attachment; filename=\"ergastic-kitchen.json\""),
    ];
    Ok((headers, body).into_response())
}

/// Says what a kitchen file would bring, and keeps nothing of it.
#[utoipa::path(post, path = "/api/import/preview", request_body = KitchenFile, responses((status = 200, body = BroughtView)))]
pub async fn import_preview(State(app): State<App>, request: Request) -> ApiResult<Json<BroughtView>> {
    let (store, handle) = (app.store.clone(), Handle::current());
    let brought = through(&app, request, move |pieces, kitchen, now| {
        let mut counted = Counting { store, handle, seen: HashSet::new(), brought: Brought::default() };
        read_file(pieces, kitchen, now, &mut counted)?;
        Ok(counted.brought)
    });
    Ok(Json(brought.await?.into()))
}

/// Takes a kitchen file in, all of it or nothing. What is here stays; what the file has besides is added.
#[utoipa::path(post, path = "/api/import", request_body = KitchenFile, responses((status = 200, body = BroughtView), (status = 409, body = ProblemDetails, content_type = "application/problem+json", description = "Another file is coming in.")))]
pub async fn import(State(app): State<App>, request: Request) -> ApiResult<Json<BroughtView>> {
    let import = app.store.begin_import().await?;
    let handle = Handle::current();
    let brought =
        through(&app, request, move |pieces, kitchen, now| Bringing { import, handle }.all(pieces, kitchen, now))
            .await?;
    upkeep::know_facts(&app.store).await?;
    app.changed(Change::Kitchen);
    Ok(Json(brought.into()))
}

/// A file may begin as slowly as it likes for so long; then it comes at least so fast, bytes a second.
const BEGINS: Duration = Duration::from_secs(60);
const SLOWEST: u64 = 1024;

/// Whether a file comes so slowly that it only holds its place.
fn drips(since: Duration, came: u64) -> bool {
    since > BEGINS && came < since.as_secs() * SLOWEST
}

/// Reads a request's body on a thread of its own, as it comes.
async fn through<T: Send + 'static>(
    app: &App,
    request: Request,
    read: impl FnOnce(CountedBody, ergastic_core::kitchen::Kitchen, Timestamp) -> ApiResult<T> + Send + 'static,
) -> ApiResult<T> {
    let kitchen = app.store.kitchen().await?;
    let of = request.headers().get(header::CONTENT_LENGTH).and_then(|length| length.to_str().ok()?.parse().ok());
    let (send, receive) = mpsc::channel(8);
    let pieces = CountedBody { pieces: Pieces::new(receive), changes: app.changes.clone(), done: 0, told: 0, of };
    let now = app.clock.now();
    let reading = tokio::task::spawn_blocking(move || read(pieces, kitchen, now));
    let mut body = request.into_body().into_data_stream();
    let (began, mut came) = (Instant::now(), 0);
    let broke_off = loop {
        if drips(began.elapsed(), came) {
            break Some(ApiError::Refused(StatusCode::REQUEST_TIMEOUT, say::rest_did_not_come()));
        }
        match next_piece(&mut body).await {
            Ok(piece) => {
                let last = piece.is_none();
                came += piece.as_ref().map_or(0, |piece| piece.len() as u64);
                // The reader has said no already: what it said is the answer.
                if send.send(piece).await.is_err() || last {
                    break None;
                }
            }
            Err(error) => break Some(error),
        }
    };
    drop(send);
    let read = reading.await.map_err(|error| ApiError::Internal(error.to_string()))?;
    broke_off.map_or(read, Err)
}

/// A body that tells how far it has been read.
struct CountedBody {
    pieces: Pieces,
    changes: Changes,
    done: u64,
    told: u64,
    of: Option<u64>,
}

impl std::io::Read for CountedBody {
    fn read(&mut self, into: &mut [u8]) -> std::io::Result<usize> {
        const EVERY: u64 = 4 << 20;
        let length = self.pieces.read(into)?;
        self.done += length as u64;
        if self.done >= self.told + EVERY {
            self.told = self.done;
            self.changes.tell(Change::Progress { task: Traffic::Import, done: self.done, of: self.of });
        }
        Ok(length)
    }
}

/// Counts what a file would bring.
struct Counting {
    store: ergastic_store::Store,
    handle: Handle,
    /// Plans of which a version was counted.
    seen: HashSet<Uuid>,
    brought: Brought,
}

impl Sink for Counting {
    fn items(&mut self, items: Vec<Staged>) -> ApiResult<()> {
        Ok(self.handle.block_on(self.store.would_bring(&items, &mut self.seen, &mut self.brought))?)
    }

    fn readings(&mut self, probe: &str, readings: Vec<Reading>) -> ApiResult<()> {
        Ok(self.handle.block_on(self.store.readings_would_bring(probe, &readings, &mut self.brought))?)
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn a_file_that_drips_is_ended_and_a_slow_network_is_not() {
        let minutes = |minutes: u64, came: u64| drips(Duration::from_secs(60 * minutes), came);
        assert!(!minutes(1, 0), "it may wait a minute");
        assert!(minutes(2, 60) && minutes(10, 1024 * 500));
        assert!(!minutes(2, 1024 * 125) && !minutes(600, 1024 * 1024 * 40));
    }
}
