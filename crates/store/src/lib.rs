//! Keeps a kitchen in SQLite: its plans with every version, its cooks with what happened, and
//! its probes' readings. It maps rows to the core's types and decides nothing.
//!
//! Every call answers after commit. The journal is a write-ahead log synchronised in full, so
//! what was acknowledged survives a kill at any moment.

mod cooks;
mod error;
mod plans;
mod readings;
mod transfer;

use std::path::Path;

use ergastic_core::kitchen::Kitchen;
use jiff::Timestamp;
use sqlx::SqlitePool;
use sqlx::sqlite::{SqliteConnectOptions, SqliteJournalMode, SqlitePoolOptions, SqliteSynchronous};

pub use cooks::{Appended, StoredCook};
pub use error::{Error, Result};
pub use plans::StoredPlan;
pub use readings::Reading;
pub use transfer::{CookFile, KitchenFile, PlanFile, ProbeFile};

/// A kitchen's database.
#[derive(Debug, Clone)]
pub struct Store {
    pool: SqlitePool,
}

impl Store {
    /// Opens the database at a path, making and migrating it as needed.
    ///
    /// # Errors
    /// When the file can't be opened, or was written by a newer version.
    pub async fn open(path: &Path) -> Result<Self> {
        Self::connect(SqliteConnectOptions::new().filename(path).create_if_missing(true), 4).await
    }

    /// A database in memory, for tests.
    ///
    /// # Errors
    /// When SQLite can't make one.
    pub async fn in_memory() -> Result<Self> {
        Self::connect(SqliteConnectOptions::new().in_memory(true), 1).await
    }

    async fn connect(options: SqliteConnectOptions, connections: u32) -> Result<Self> {
        let options =
            options.journal_mode(SqliteJournalMode::Wal).synchronous(SqliteSynchronous::Full).foreign_keys(true);
        let pool = SqlitePoolOptions::new()
            .max_connections(connections)
            // A database in memory lives as long as its one connection.
            .idle_timeout(None)
            .max_lifetime(None)
            .connect_with(options)
            .await?;
        sqlx::migrate!().run(&pool).await?;
        Ok(Self { pool })
    }

    /// The kitchen, the default one if none was saved.
    ///
    /// # Errors
    /// When the database can't be read.
    pub async fn kitchen(&self) -> Result<Kitchen> {
        let row: Option<String> =
            sqlx::query_scalar("SELECT document FROM kitchen WHERE id = 1").fetch_optional(&self.pool).await?;
        row.map_or(Ok(Kitchen::default()), |document| read(&document))
    }

    /// Whether no kitchen was saved yet.
    ///
    /// # Errors
    /// When the database can't be read.
    pub async fn is_new(&self) -> Result<bool> {
        let row: Option<i64> =
            sqlx::query_scalar("SELECT 1 FROM kitchen WHERE id = 1").fetch_optional(&self.pool).await?;
        Ok(row.is_none())
    }

    /// Saves the kitchen.
    ///
    /// # Errors
    /// When the database can't be written.
    pub async fn save_kitchen(&self, kitchen: &Kitchen) -> Result<()> {
        sqlx::query("INSERT INTO kitchen (id, document) VALUES (1, ?) ON CONFLICT (id) DO UPDATE SET document = excluded.document")
            .bind(write(kitchen)?)
            .execute(&self.pool)
            .await?;
        Ok(())
    }

    /// Closes the database once running calls have ended.
    pub async fn close(&self) {
        self.pool.close().await;
    }
}

fn read<T: serde::de::DeserializeOwned>(document: &str) -> Result<T> {
    Ok(serde_json::from_str(document)?)
}

fn write<T: serde::Serialize>(value: &T) -> Result<String> {
    Ok(serde_json::to_string(value)?)
}

fn read_instant(text: &str) -> Result<Timestamp> {
    text.parse().map_err(|_| Error::Damaged(format!("{text:?} is not an instant")))
}

/// Instants of one length, so that their text sorts as they do.
fn write_instant(instant: Timestamp) -> String {
    format!("{instant:.3}")
}
