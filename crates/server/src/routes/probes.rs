//! The open interface of thermometers, real or simulated.

use axum::body::Body;
use axum::extract::{Request, State};
use axum::http::{HeaderMap, header};
use axum::response::{IntoResponse, Response};
use ergastic_core::error::WhatIsWrong;
use ergastic_core::json::{read_list, without_mark};
use ergastic_core::text::check_name;
use ergastic_core::{Error, Result};
use ergastic_store::{Reading, SeenProbe};
use ergastic_words::{errors, service as say};
use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use tokio::sync::mpsc;
use tokio_stream::wrappers::ReceiverStream;
use utoipa::{IntoParams, ToSchema};
use uuid::Uuid;

use crate::app::App;
use crate::checks;
use crate::error::ApiResult;
use crate::extract::{Json, Name, Query, body};

/// A batch may carry this much: a day of a reading a second, and some.
const MAX_BYTES: usize = 16 << 20;
/// Readings in one batch.
const MAX_READINGS: usize = 100_000;

/// One reading as a probe sends it.
#[derive(Debug, Clone, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct ProbeReading {
    /// Made by the probe; the same id again changes nothing.
    id: Uuid,
    /// When.
    at: Timestamp,
    /// °C.
    #[schema(minimum = -40, maximum = 400)]
    celsius: f64,
}

/// What became of a batch.
#[derive(Serialize, ToSchema)]
pub struct Stored {
    stored: usize,
    repeated: usize,
}

/// From when to when.
#[derive(Deserialize, IntoParams)]
#[serde(deny_unknown_fields)]
#[into_params(parameter_in = Query)]
pub struct ReadingSpan {
    from: Option<Timestamp>,
    to: Option<Timestamp>,
}

/// A probe that has been seen.
#[derive(Serialize, ToSchema)]
pub struct ProbeSeen {
    /// Its name.
    name: String,
    /// When it read last.
    at: Timestamp,
    /// What it read, °C.
    celsius: f64,
}

/// The probes that have been seen, each with its last reading.
#[utoipa::path(get, path = "/api/probes", responses((status = 200, body = Vec<ProbeSeen>)))]
pub async fn list_probes(State(app): State<App>) -> ApiResult<Json<Vec<ProbeSeen>>> {
    let seen = app.store.probes().await?;
    Ok(Json(seen.into_iter().map(|SeenProbe { name, at, celsius }| ProbeSeen { name, at, celsius }).collect()))
}

/// Stores readings, all of them or none.
#[utoipa::path(post, path = "/api/probes/{probe}/readings", params(("probe" = String, Path, min_length = 1, max_length = 80)),
    request_body(content((Vec<ProbeReading> = "application/json"), (String = "text/csv"))), responses((status = 200, body = Stored)))]
pub async fn post_readings(
    State(app): State<App>,
    Name(probe): Name,
    headers: HeaderMap,
    request: Request,
) -> ApiResult<Json<Stored>> {
    check_name("probe", &probe, 80)?;
    let body = body(request, MAX_BYTES).await?;
    let csv = headers
        .get(header::CONTENT_TYPE)
        .and_then(|kind| kind.to_str().ok())
        .is_some_and(|kind| kind.starts_with("text/csv"));
    let readings =
        if csv { from_csv(&probe, without_mark(&body))? } else { read_list::<ProbeReading>(&body, MAX_READINGS)? };
    let now = app.clock.now();
    for (row, reading) in readings.iter().enumerate() {
        checks::reading(reading.at, reading.celsius, now).map_err(|error| error.within(&format!("[{row}]")))?;
    }
    let readings: Vec<_> =
        readings.into_iter().map(|ProbeReading { id, at, celsius }| Reading { id, at, celsius }).collect();
    let appended = app.store.store_readings(&probe, &readings).await?;
    if let Some(last) = readings.iter().max_by_key(|reading| reading.at).filter(|_| appended.stored > 0) {
        app.read(&probe, last.at, last.celsius);
    }
    Ok(Json(Stored { stored: appended.stored, repeated: appended.repeated }))
}

/// Readings in time order, as JSON or, if asked for, CSV.
#[utoipa::path(get, path = "/api/probes/{probe}/readings", params(("probe" = String, Path, min_length = 1, max_length = 80), ReadingSpan),
    responses((status = 200, content((Vec<ProbeReading> = "application/json"), (String = "text/csv")))))]
pub async fn get_readings(
    State(app): State<App>,
    Name(probe): Name,
    Query(span): Query<ReadingSpan>,
    headers: HeaderMap,
) -> ApiResult<Response> {
    let mut readings =
        app.store.readings(&probe, span.from.unwrap_or(Timestamp::MIN), span.to.unwrap_or(Timestamp::MAX));
    // What goes wrong at once is answered as a problem; later it can only break off.
    let mut some = readings.recv().await.transpose()?;
    let csv =
        headers.get(header::ACCEPT).and_then(|kind| kind.to_str().ok()).is_some_and(|kind| kind.contains("text/csv"));
    let (send, pieces) = mpsc::channel::<ergastic_store::Result<Vec<u8>>>(2);
    tokio::spawn(async move {
        let mut first = true;
        let mut piece: Vec<u8> = if csv { b"at,celsius\n".to_vec() } else { b"[".to_vec() };
        while let Some(batch) = some.take() {
            for Reading { id, at, celsius } in batch {
                if csv {
                    piece.extend_from_slice(format!("{at},{celsius}\n").as_bytes());
                    continue;
                }
                if !std::mem::take(&mut first) {
                    piece.push(b',');
                }
                // An id, an instant and a number can always be written.
                let _ = serde_json::to_writer(&mut piece, &ProbeReading { id, at, celsius });
            }
            if send.send(Ok(std::mem::take(&mut piece))).await.is_err() {
                return;
            }
            some = match readings.recv().await.transpose() {
                Ok(some) => some,
                Err(error) => {
                    let _ = send.send(Err(error)).await;
                    return;
                }
            };
        }
        piece.extend_from_slice(if csv { b"" } else { b"]" });
        let _ = send.send(Ok(piece)).await;
    });
    let kind = if csv { "text/csv" } else { "application/json" };
    Ok(([(header::CONTENT_TYPE, kind)], Body::from_stream(ReceiverStream::new(pieces))).into_response())
}

/// Rows under the header `at,celsius`; the id is made from probe and time.
fn from_csv(probe: &str, body: &[u8]) -> Result<Vec<ProbeReading>> {
    let mut reader = csv::ReaderBuilder::new().trim(csv::Trim::All).from_reader(body);
    let header: Vec<String> =
        reader.headers().map(|header| header.iter().map(str::to_owned).collect()).unwrap_or_default();
    if header != ["at", "celsius"] {
        return Err(Error::new(WhatIsWrong::Unknown, "header", header.join(","), say::csv_header()));
    }
    reader
        .deserialize::<(String, String)>()
        .take(MAX_READINGS + 1)
        .enumerate()
        .map(|(row, fields)| {
            if row == MAX_READINGS {
                return Err(Error::said(
                    WhatIsWrong::OutOfRange,
                    "",
                    say::more_rows(),
                    say::most_readings(MAX_READINGS as u32),
                ));
            }
            let (at, celsius) = fields.map_err(|error| {
                let why = say::because(&error.to_string());
                Error::said(WhatIsWrong::Unknown, format!("[{row}]"), say::this_row(), why)
            })?;
            let at: Timestamp = at.parse().map_err(|_| {
                Error::new(WhatIsWrong::Unknown, format!("[{row}].at"), &at, errors::instant_with_offset())
            })?;
            let celsius = celsius.parse().map_err(|_| {
                Error::new(WhatIsWrong::Unknown, format!("[{row}].celsius"), &celsius, errors::a_number())
            })?;
            Ok(ProbeReading { id: Uuid::new_v5(&Uuid::NAMESPACE_OID, format!("{probe} {at}").as_bytes()), at, celsius })
        })
        .collect()
}
