//! The open interface of thermometers, real or simulated.

use axum::body::Bytes;
use axum::extract::{Path, Query, State};
use axum::http::{HeaderMap, header};
use axum::response::{IntoResponse, Response};
use ergastic_core::clock::minutes_between;
use ergastic_core::error::in_range;
use ergastic_core::plan::check_text;
use ergastic_core::{Error, Result};
use ergastic_store::Reading;
use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use utoipa::{IntoParams, ToSchema};
use uuid::Uuid;

use crate::app::App;
use crate::compute::read;
use crate::error::{ApiResult, Problem};
use crate::extract::Json;

/// One reading as a probe sends it.
#[derive(Debug, Clone, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct ProbeReading {
    /// Made by the probe; the same id again changes nothing.
    id: Uuid,
    /// When.
    at: Timestamp,
    /// °C.
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
pub struct Span {
    from: Option<Timestamp>,
    to: Option<Timestamp>,
}

/// Checks one reading.
///
/// # Errors
/// Names the field that can't be used.
pub fn check(at: Timestamp, celsius: f64, now: Timestamp) -> Result<()> {
    in_range("celsius", celsius, -40.0, 400.0, "°C")?;
    if minutes_between(now, at) > 60.0 {
        return Err(Error::new("at", at, "it must not be more than an hour ahead"));
    }
    Ok(())
}

/// Stores readings, all of them or none.
#[utoipa::path(post, path = "/api/probes/{probe}/readings", params(("probe" = String, Path)), request_body = Vec<ProbeReading>, responses((status = 200, body = Stored), (status = 422, body = Problem, content_type = "application/problem+json")))]
pub async fn post_readings(
    State(app): State<App>,
    Path(probe): Path<String>,
    headers: HeaderMap,
    body: Bytes,
) -> ApiResult<Json<Stored>> {
    check_text("probe", &probe, 80)?;
    let csv = headers
        .get(header::CONTENT_TYPE)
        .and_then(|kind| kind.to_str().ok())
        .is_some_and(|kind| kind.starts_with("text/csv"));
    let readings = if csv { from_csv(&probe, &body)? } else { read::<Vec<ProbeReading>>(&body)? };
    let now = Timestamp::now();
    for (row, reading) in readings.iter().enumerate() {
        check(reading.at, reading.celsius, now).map_err(|error| error.within(&format!("[{row}]")))?;
    }
    let readings: Vec<_> =
        readings.into_iter().map(|ProbeReading { id, at, celsius }| Reading { id, at, celsius }).collect();
    let appended = app.store.store_readings(&probe, &readings).await?;
    Ok(Json(Stored { stored: appended.stored, repeated: appended.repeated }))
}

/// Readings in time order, as JSON or, if asked for, CSV.
#[utoipa::path(get, path = "/api/probes/{probe}/readings", params(("probe" = String, Path), Span), responses((status = 200, body = Vec<ProbeReading>)))]
pub async fn get_readings(
    State(app): State<App>,
    Path(probe): Path<String>,
    Query(span): Query<Span>,
    headers: HeaderMap,
) -> ApiResult<Response> {
    let readings =
        app.store.readings(&probe, span.from.unwrap_or(Timestamp::MIN), span.to.unwrap_or(Timestamp::MAX)).await?;
    let csv =
        headers.get(header::ACCEPT).and_then(|kind| kind.to_str().ok()).is_some_and(|kind| kind.contains("text/csv"));
    if csv {
        let mut text = String::from("at,celsius\n");
        for reading in readings {
            text += &format!("{},{}\n", reading.at, reading.celsius);
        }
        return Ok(([(header::CONTENT_TYPE, "text/csv")], text).into_response());
    }
    let readings: Vec<_> =
        readings.into_iter().map(|Reading { id, at, celsius }| ProbeReading { id, at, celsius }).collect();
    Ok(Json(readings).into_response())
}

/// Rows under the header `at,celsius`; the id is made from probe and time.
fn from_csv(probe: &str, body: &[u8]) -> Result<Vec<ProbeReading>> {
    let mut reader = csv::ReaderBuilder::new().trim(csv::Trim::All).from_reader(body);
    let header: Vec<String> =
        reader.headers().map(|header| header.iter().map(str::to_owned).collect()).unwrap_or_default();
    if header != ["at", "celsius"] {
        return Err(Error::new("header", header.join(","), "it must be at,celsius"));
    }
    reader
        .deserialize::<(String, String)>()
        .enumerate()
        .map(|(row, fields)| {
            let (at, celsius) =
                fields.map_err(|error| Error::new(format!("[{row}]"), "this row", error.to_string()))?;
            let at: Timestamp = at.parse().map_err(|_| {
                Error::new(format!("[{row}].at"), &at, "it must be a time such as 2027-02-06T03:14:15Z")
            })?;
            let celsius =
                celsius.parse().map_err(|_| Error::new(format!("[{row}].celsius"), &celsius, "it must be a number"))?;
            Ok(ProbeReading { id: Uuid::new_v5(&Uuid::NAMESPACE_OID, format!("{probe} {at}").as_bytes()), at, celsius })
        })
        .collect()
}
