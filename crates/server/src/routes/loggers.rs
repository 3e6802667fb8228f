//! Files of loggers: their columns told apart, and their rows kept as readings of probes.

use axum::extract::{Request, State};
use ergastic_core::Error;
use ergastic_core::clock::zone;
use ergastic_core::error::WhatIsWrong;
use ergastic_core::json::read_object;
use ergastic_core::text::check_name;
use ergastic_store::Reading;
use ergastic_words::service as say;
use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use uuid::Uuid;

use crate::app::App;
use crate::checks;
use crate::error::ApiResult;
use crate::extract::{Json, body};
use crate::logger_file::{Holds, LoggerFile, LoggerTimes, readings, told_apart};

/// A file may be so long: some days of a reading a second.
const MAX_BYTES: usize = 48 << 20;
/// Readings that are written in one go: others have their turn in between.
const AT_ONCE: usize = 20_000;

/// The text of a logger's file.
#[derive(Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct LoggerText {
    /// All of it.
    text: String,
}

/// Which column holds the times.
#[derive(Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct TimeColumn {
    /// From 0.
    #[schema(maximum = 63)]
    column: u32,
    /// What it holds.
    holds: Holds,
    /// When the file began, where it counts from there.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    began: Option<Timestamp>,
}

/// Which column a probe read.
#[derive(Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct ProbeColumn {
    /// From 0.
    #[schema(maximum = 63)]
    column: u32,
    /// What it holds.
    holds: Holds,
    /// The probe's name.
    #[schema(min_length = 1, max_length = 80)]
    probe: String,
}

/// A file with what its columns are.
#[derive(Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct LoggerImport {
    /// All of it.
    text: String,
    /// Its times.
    time: TimeColumn,
    /// What was read.
    #[schema(min_items = 1, max_items = 32)]
    probes: Vec<ProbeColumn>,
}

/// What became of a file.
#[derive(Serialize, ToSchema)]
pub struct LoggerStored {
    /// New readings.
    stored: usize,
    /// Those that were there already.
    repeated: usize,
}

/// Tells the columns of a logger's file apart.
#[utoipa::path(post, path = "/api/loggers/read", request_body = LoggerText, responses((status = 200, body = LoggerFile)))]
pub async fn read_log(State(app): State<App>, request: Request) -> ApiResult<Json<LoggerFile>> {
    let LoggerText { text } = read_object(&body(request, MAX_BYTES).await?)?;
    let kitchen = app.store.kitchen().await?;
    let zone = zone("zone", &kitchen.zone)?;
    Ok(Json(told_apart(&text, &zone, kitchen.units)?))
}

/// Keeps the rows of a logger's file as readings of probes: all that can be read, or none.
#[utoipa::path(post, path = "/api/loggers/import", request_body = LoggerImport, responses((status = 200, body = LoggerStored)))]
pub async fn import_log(State(app): State<App>, request: Request) -> ApiResult<Json<LoggerStored>> {
    let LoggerImport { text, time, probes } = read_object(&body(request, MAX_BYTES).await?)?;
    let kitchen = app.store.kitchen().await?;
    let (zone, now) = (zone("zone", &kitchen.zone)?, app.clock.now());
    if probes.is_empty() {
        return Err(Error::said(WhatIsWrong::Missing, "probes", say::no_probe_named(), say::name_a_probe()).into());
    }
    let times = LoggerTimes { column: time.column as usize, holds: time.holds, began: time.began };
    let mut all = Vec::new();
    for ProbeColumn { column, holds, probe } in &probes {
        check_name("probes.probe", probe, 80)?;
        let read = readings(&text, &times, (*column as usize, *holds), &zone, kitchen.units)?;
        for (row, (at, celsius)) in read.iter().enumerate() {
            checks::reading(*at, *celsius, now).map_err(|error| error.within(&format!("[{row}]")))?;
        }
        let id = |at: Timestamp| Uuid::new_v5(&Uuid::NAMESPACE_OID, format!("{probe} {at}").as_bytes());
        let read: Vec<Reading> = read.into_iter().map(|(at, celsius)| Reading { id: id(at), at, celsius }).collect();
        all.push((probe, read));
    }
    let (mut stored, mut repeated) = (0, 0);
    for (probe, read) in &all {
        for some in read.chunks(AT_ONCE) {
            let kept = app.store.store_readings(probe, some).await?;
            stored += kept.stored;
            repeated += kept.repeated;
        }
        if let Some(last) = read.last() {
            app.read(probe, last.at, last.celsius);
        }
    }
    Ok(Json(LoggerStored { stored, repeated }))
}
