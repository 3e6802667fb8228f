//! Readings of probes, each stored once.

use std::collections::HashSet;

use ergastic_words::keeping as say;
use jiff::Timestamp;
use sqlx::{AssertSqlSafe, SqliteConnection};
use tokio::sync::mpsc;
use uuid::Uuid;

use crate::connect::Snapshot;
use crate::cooks::Appended;
use crate::error::{Error, Result};
use crate::store::Store;

/// Readings written or looked up by one statement: it has a few values a reading, and SQLite takes 32,766 of them.
const ROWS: usize = 500;
/// Readings handed on at a time when many are read.
const SWEEP: usize = 8192;
/// Probes that are known at the most: no kitchen has as many, and each name costs a row for good.
const MAX_PROBES: i64 = 256;
/// Only what no import is still bringing in.
const VISIBLE: &str = "batch NOT IN (SELECT id FROM import_open)";

/// One reading of a probe.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Reading {
    /// Made by the probe.
    pub id: Uuid,
    /// When; kept to the millisecond.
    pub at: Timestamp,
    /// °C.
    pub celsius: f64,
}

/// A probe with its last reading.
#[derive(Debug, Clone, PartialEq)]
pub struct SeenProbe {
    /// Its name.
    pub name: String,
    /// When it read last.
    pub at: Timestamp,
    /// What, °C.
    pub celsius: f64,
}

type ReadingRow = (i64, Vec<u8>, f64);

fn instant(at_ms: i64) -> Result<Timestamp> {
    Timestamp::from_millisecond(at_ms).map_err(|_| Error::Damaged(say::no_instant(&at_ms.to_string())))
}

fn from_row((at, id, celsius): ReadingRow) -> Result<Reading> {
    Ok(Reading {
        id: Uuid::from_slice(&id).map_err(|_| Error::Damaged(say::no_reading_id()))?,
        at: instant(at)?,
        celsius,
    })
}

/// The number of a probe, made on first sight.
pub(crate) async fn probe_number(connection: &mut SqliteConnection, name: &str) -> Result<i64> {
    let known: Option<i64> =
        sqlx::query_scalar("SELECT seq FROM probe WHERE name = ?").bind(name).fetch_optional(&mut *connection).await?;
    if let Some(number) = known {
        return Ok(number);
    }
    let all: i64 = sqlx::query_scalar("SELECT count(*) FROM probe").fetch_one(&mut *connection).await?;
    if all >= MAX_PROBES {
        return Err(Error::ProbesFull { most: MAX_PROBES as usize });
    }
    sqlx::query("INSERT INTO probe (name) VALUES (?) ON CONFLICT (name) DO NOTHING")
        .bind(name)
        .execute(&mut *connection)
        .await?;
    Ok(sqlx::query_scalar("SELECT seq FROM probe WHERE name = ?").bind(name).fetch_one(connection).await?)
}

/// `(?,?,…),(?,?,…)…`: so many rows of so many values.
fn rows_of_values(rows: usize, values: usize) -> String {
    let row = format!("({})", vec!["?"; values].join(","));
    vec![row; rows].join(",")
}

async fn known_ids(connection: &mut SqliteConnection, probe: i64, readings: &[Reading]) -> Result<HashSet<Vec<u8>>> {
    let values = vec!["?"; readings.len()].join(",");
    let query = format!("SELECT id FROM reading_id WHERE probe = ? AND id IN ({values})");
    let mut known = sqlx::query_scalar::<_, Vec<u8>>(AssertSqlSafe(query)).bind(probe);
    for reading in readings {
        known = known.bind(reading.id.as_bytes().to_vec());
    }
    Ok(known.fetch_all(connection).await?.into_iter().collect())
}

/// How many of a probe's readings are there already.
pub(crate) async fn count_known(connection: &mut SqliteConnection, probe: i64, readings: &[Reading]) -> Result<u64> {
    let mut known = 0;
    for some in readings.chunks(ROWS) {
        known += known_ids(connection, probe, some).await?.len() as u64;
    }
    Ok(known)
}

/// Writes readings of a probe that are not there yet, under a batch; how many were written. Both tables are filled in their
/// own order: a page is then written once, however many readings fall on it.
pub(crate) async fn insert_readings(
    connection: &mut SqliteConnection,
    probe: i64,
    mut readings: Vec<Reading>,
    batch: i64,
) -> Result<usize> {
    readings.sort_by_key(|reading| reading.id);
    readings.dedup_by_key(|reading| reading.id);
    if batch == 0 {
        take_over(connection, probe, &readings).await?;
    }
    let mut new: Vec<Reading> = Vec::with_capacity(readings.len());
    for some in readings.chunks(ROWS) {
        let known = known_ids(connection, probe, some).await?;
        let fresh: Vec<Reading> =
            some.iter().filter(|reading| !known.contains(reading.id.as_bytes().as_slice())).copied().collect();
        if fresh.is_empty() {
            continue;
        }
        let query = format!("INSERT INTO reading_id (probe, id, at) VALUES {}", rows_of_values(fresh.len(), 3));
        let mut insert = sqlx::query(AssertSqlSafe(query)).persistent(fresh.len() == ROWS);
        for reading in &fresh {
            insert = insert.bind(probe).bind(reading.id.as_bytes().to_vec()).bind(reading.at.as_millisecond());
        }
        insert.execute(&mut *connection).await?;
        new.extend(fresh);
    }
    new.sort_by_key(|reading| (reading.at, reading.id));
    for some in new.chunks(ROWS) {
        let query =
            format!("INSERT INTO reading (probe, at, id, celsius, batch) VALUES {}", rows_of_values(some.len(), 5));
        let mut insert = sqlx::query(AssertSqlSafe(query)).persistent(some.len() == ROWS);
        for reading in some {
            insert = insert
                .bind(probe)
                .bind(reading.at.as_millisecond())
                .bind(reading.id.as_bytes().to_vec())
                .bind(reading.celsius)
                .bind(batch);
        }
        insert.execute(&mut *connection).await?;
    }
    Ok(new.len())
}

/// What an import is still bringing in does not count yet: a probe that sends the same meanwhile has its own word kept,
/// whatever becomes of the import.
async fn take_over(connection: &mut SqliteConnection, probe: i64, readings: &[Reading]) -> Result<()> {
    let open: Option<i64> =
        sqlx::query_scalar("SELECT id FROM import_open LIMIT 1").fetch_optional(&mut *connection).await?;
    if open.is_none() {
        return Ok(());
    }
    for reading in readings {
        let pending: Option<i64> = sqlx::query_scalar(
            "SELECT r.at FROM reading_id AS i JOIN reading AS r ON r.probe = i.probe AND r.at = i.at AND r.id = i.id
             WHERE i.probe = ? AND i.id = ? AND r.batch IN (SELECT id FROM import_open)",
        )
        .bind(probe)
        .bind(reading.id.as_bytes().to_vec())
        .fetch_optional(&mut *connection)
        .await?;
        let Some(at) = pending else { continue };
        for delete in [
            sqlx::query("DELETE FROM reading WHERE probe = ? AND id = ? AND at = ?"),
            sqlx::query("DELETE FROM reading_id WHERE probe = ? AND id = ? AND at = ?"),
        ] {
            let id = reading.id.as_bytes().to_vec();
            delete.bind(probe).bind(id).bind(at).execute(&mut *connection).await?;
        }
    }
    Ok(())
}

/// A way through a probe's readings in time order.
pub(crate) struct Sweep {
    probe: i64,
    after: (i64, Vec<u8>),
    to: i64,
    over: bool,
}

impl Sweep {
    /// Between two instants, both included.
    pub(crate) fn of(probe: i64, from: Timestamp, to: Timestamp) -> Self {
        // After every id of the millisecond before.
        Self { probe, after: (from.as_millisecond() - 1, vec![0xff; 17]), to: to.as_millisecond(), over: false }
    }

    /// The next of them; none when all were given.
    pub(crate) async fn next(&mut self, snapshot: &mut Snapshot) -> Result<Vec<Reading>> {
        if self.over {
            return Ok(Vec::new());
        }
        let rows: Vec<ReadingRow> = sqlx::query_as(
            "SELECT at, id, celsius FROM reading WHERE probe = ? AND (at, id) > (?, ?) AND at <= ?
             AND batch NOT IN (SELECT id FROM import_open) ORDER BY at, id LIMIT ?",
        )
        .bind(self.probe)
        .bind(self.after.0)
        .bind(self.after.1.clone())
        .bind(self.to)
        .bind(SWEEP as i64)
        .fetch_all(&mut **snapshot)
        .await?;
        self.over = rows.len() < SWEEP;
        if let Some((at, id, _)) = rows.last() {
            self.after = (*at, id.clone());
        }
        rows.into_iter().map(from_row).collect()
    }
}

impl Store {
    /// Stores readings of a probe, all or none; an id seen before changes nothing.
    ///
    /// # Errors
    /// When the database can't be written.
    pub async fn store_readings(&self, probe: &str, readings: &[Reading]) -> Result<Appended> {
        let mut writing = self.connections.write().await?;
        let number = probe_number(&mut writing, probe).await?;
        let stored = insert_readings(&mut writing, number, readings.to_vec(), 0).await?;
        writing.commit().await?;
        Ok(Appended { stored, repeated: readings.len() - stored })
    }

    /// Readings of a probe between two instants, both included, in time order, some at a time; the sender stops when
    /// nobody receives.
    pub fn readings(&self, probe: &str, from: Timestamp, to: Timestamp) -> mpsc::Receiver<Result<Vec<Reading>>> {
        let (send, receive) = mpsc::channel(2);
        let (store, probe) = (self.clone(), probe.to_owned());
        tokio::spawn(async move {
            if let Err(error) = store.send_readings(&probe, from, to, &send).await {
                let _ = send.send(Err(error)).await;
            }
        });
        receive
    }

    async fn send_readings(
        &self,
        probe: &str,
        from: Timestamp,
        to: Timestamp,
        send: &mpsc::Sender<Result<Vec<Reading>>>,
    ) -> Result<()> {
        let mut snapshot = self.connections.snapshot().await?;
        let number: Option<i64> = sqlx::query_scalar("SELECT seq FROM probe WHERE name = ?")
            .bind(probe)
            .fetch_optional(&mut *snapshot)
            .await?;
        let Some(number) = number else { return Ok(()) };
        let mut sweep = Sweep::of(number, from, to);
        loop {
            let some = sweep.next(&mut snapshot).await?;
            if some.is_empty() || send.send(Ok(some)).await.is_err() {
                return Ok(());
            }
        }
    }

    /// Readings of a probe between two instants, one in every `every_s` seconds at the most, and the last: however many there are,
    /// each is found by a step of its own.
    ///
    /// # Errors
    /// When the database can't be read.
    pub async fn thinned(
        &self,
        probe: &str,
        from: Timestamp,
        to: Timestamp,
        every_s: f64,
    ) -> Result<Vec<(Timestamp, f64)>> {
        let every_ms = ((every_s * 1000.0) as i64).max(1);
        let query = format!(
            "WITH RECURSIVE
               at_all(number) AS (SELECT seq FROM probe WHERE name = ?1),
               step(at) AS (
                 SELECT (SELECT at FROM reading WHERE probe = number AND at >= ?2 AND at <= ?3 AND {VISIBLE} ORDER BY at LIMIT 1)
                   FROM at_all
                 UNION ALL
                 SELECT (SELECT at FROM reading WHERE probe = number AND at >= (step.at / ?4 + 1) * ?4 AND at <= ?3 AND {VISIBLE}
                           ORDER BY at LIMIT 1)
                   FROM step, at_all WHERE step.at IS NOT NULL),
               latest(at) AS (
                 SELECT (SELECT at FROM reading WHERE probe = number AND at <= ?3 AND at >= ?2 AND {VISIBLE} ORDER BY at DESC LIMIT 1)
                   FROM at_all)
             SELECT moment.at, (SELECT celsius FROM reading WHERE probe = number AND reading.at = moment.at AND {VISIBLE} LIMIT 1)
               FROM (SELECT at FROM step UNION SELECT at FROM latest) AS moment, at_all
              WHERE moment.at IS NOT NULL ORDER BY moment.at"
        );
        let rows: Vec<(i64, f64)> = sqlx::query_as(AssertSqlSafe(query))
            .bind(probe)
            .bind(from.as_millisecond())
            .bind(to.as_millisecond())
            .bind(every_ms)
            .fetch_all(self.connections.read())
            .await?;
        rows.into_iter().map(|(at, celsius)| Ok((instant(at)?, celsius))).collect()
    }

    /// The probes that have been seen, each with its last reading.
    ///
    /// # Errors
    /// When the database can't be read.
    pub async fn probes(&self) -> Result<Vec<SeenProbe>> {
        let query = format!(
            "SELECT name, at, (SELECT celsius FROM reading WHERE probe = seq AND reading.at = latest.at AND {VISIBLE} LIMIT 1)
               FROM (SELECT name, seq,
                       (SELECT at FROM reading WHERE probe = probe.seq AND {VISIBLE} ORDER BY at DESC LIMIT 1) AS at FROM probe)
                 AS latest
              WHERE at IS NOT NULL ORDER BY name"
        );
        let rows: Vec<(String, i64, f64)> =
            sqlx::query_as(AssertSqlSafe(query)).fetch_all(self.connections.read()).await?;
        rows.into_iter().map(|(name, at, celsius)| Ok(SeenProbe { name, at: instant(at)?, celsius })).collect()
    }
}
