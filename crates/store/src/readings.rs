//! Readings of probes, each stored once.

use jiff::Timestamp;
use uuid::Uuid;

use crate::{Appended, Error, Result, Store, read_instant, write_instant};

/// One reading of a probe.
#[derive(Debug, Clone, PartialEq)]
pub struct Reading {
    /// Made by the probe.
    pub id: Uuid,
    /// When.
    pub at: Timestamp,
    /// °C.
    pub celsius: f64,
}

impl Store {
    /// Stores readings of a probe, all or none; an id seen before changes nothing.
    ///
    /// # Errors
    /// When the database can't be written.
    pub async fn store_readings(&self, probe: &str, readings: &[Reading]) -> Result<Appended> {
        let mut transaction = self.pool.begin_with("BEGIN IMMEDIATE").await?;
        let mut stored = 0;
        for reading in readings {
            let done = sqlx::query(
                "INSERT INTO reading (probe, id, at, celsius) VALUES (?, ?, ?, ?) ON CONFLICT (probe, id) DO NOTHING",
            )
            .bind(probe)
            .bind(reading.id.to_string())
            .bind(write_instant(reading.at))
            .bind(reading.celsius)
            .execute(&mut *transaction)
            .await?;
            stored += done.rows_affected() as usize;
        }
        transaction.commit().await?;
        Ok(Appended { stored, repeated: readings.len() - stored })
    }

    /// Readings of a probe between two instants, both included, in time order.
    ///
    /// # Errors
    /// When the database can't be read.
    pub async fn readings(&self, probe: &str, from: Timestamp, to: Timestamp) -> Result<Vec<Reading>> {
        let rows: Vec<(String, String, f64)> = sqlx::query_as(
            "SELECT id, at, celsius FROM reading WHERE probe = ? AND at >= ? AND at <= ? ORDER BY at, id",
        )
        .bind(probe)
        .bind(write_instant(from))
        .bind(write_instant(to))
        .fetch_all(&self.pool)
        .await?;
        rows.into_iter()
            .map(|(id, at, celsius)| {
                let id = id.parse().map_err(|_| Error::Damaged(format!("{id:?} is not an id")))?;
                Ok(Reading { id, at: read_instant(&at)?, celsius })
            })
            .collect()
    }

    /// The probes that have been seen.
    ///
    /// # Errors
    /// When the database can't be read.
    pub async fn probes(&self) -> Result<Vec<String>> {
        Ok(sqlx::query_scalar("SELECT DISTINCT probe FROM reading ORDER BY probe").fetch_all(&self.pool).await?)
    }
}
