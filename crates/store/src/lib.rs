//! Keeps a kitchen in SQLite: its plans with every version, its cooks with what happened, and
//! its probes' readings. It maps rows to the core's types and decides nothing.
//!
//! Every call answers after commit. The journal is a write-ahead log synchronised in full, so
//! what was acknowledged survives a kill at any moment.

mod backup;
mod bin;
mod connect;
mod cooks;
mod document;
mod error;
mod export;
mod file;
mod import;
mod kitchens;
mod migrations;
mod plans;
mod readings;
mod screens;
mod state;
mod told;
mod upgrade;

use std::path::Path;
use std::sync::Arc;

use ergastic_words::keeping as say;
use jiff::Timestamp;
use tokio::sync::Mutex;
use uuid::Uuid;

use connect::Connections;

pub use backup::{keep_backup, restore};
pub use bin::{Binned, What};
pub use cooks::{Appended, MAX_EVENTS, RawCook, RawEvent, StoredCook, Summary};
pub use document::{Document, brought_up};
pub use error::{Error, Result, Trouble};
pub use export::Progress;
pub use file::{CookFile, EventFile, FILE_VERSION, PlanFile, ReadingFile, Staged, as_document};
pub use import::{Brought, Import};
pub use kitchens::{DamagedKitchen, StoredKitchen};
pub use plans::{ListedPlan, StoredPlan};
pub use readings::{Reading, SeenProbe};
pub use screens::{Digest, ProbeKey, Role, Screen};
pub use state::{Lock, State};
pub use told::ToldTask;

/// A kitchen's database.
#[derive(Debug, Clone)]
pub struct Store {
    connections: Arc<Connections>,
    /// Held by the import under way: one at a time.
    importing: Arc<Mutex<()>>,
}

impl Store {
    /// Opens the database at a path, making and migrating it as needed. The file is its owner's alone.
    ///
    /// # Errors
    /// When the file can't be opened, is no database, or was written by a newer version.
    pub async fn open(path: &Path) -> Result<Self> {
        Ok(Self { connections: Arc::new(Connections::open(path, None).await?), importing: Arc::default() })
    }

    /// A database of its own that is removed with the last of its clones, for tests.
    ///
    /// # Errors
    /// When it can't be made.
    pub async fn temporary() -> Result<Self> {
        let folder = std::env::temp_dir().join(format!("ergastic-{}", Uuid::new_v4()));
        std::fs::create_dir_all(&folder).map_err(|error| Error::of_file(&folder, &error))?;
        let file = folder.join("kitchen.sqlite");
        Ok(Self { connections: Arc::new(Connections::open(&file, Some(folder)).await?), importing: Arc::default() })
    }

    /// Lets the database grow to so many pages and no further, as a full disk would, for tests; none lifts it.
    ///
    /// # Errors
    /// When the database can't be written.
    #[doc(hidden)]
    pub async fn set_most_pages(&self, pages: Option<u32>) -> Result<()> {
        let pragma = format!("PRAGMA max_page_count = {}", pages.unwrap_or(u32::MAX - 1));
        let mut writing = self.connections.write().await?;
        sqlx::raw_sql(sqlx::AssertSqlSafe(pragma)).execute(&mut *writing).await?;
        writing.commit().await
    }

    /// Closes the database once running calls have ended.
    pub async fn close(&self) {
        self.connections.close().await;
    }
}

fn write<T: serde::Serialize>(value: &T) -> Result<String> {
    Ok(serde_json::to_string(value)?)
}

fn read_id(text: &str) -> Result<Uuid> {
    text.parse().map_err(|_| Error::Damaged(say::no_id(&format!("{text:?}"))))
}

fn read_instant(text: &str) -> Result<Timestamp> {
    text.parse().map_err(|_| Error::Damaged(say::no_instant(&format!("{text:?}"))))
}

/// Instants of one length, so that their text sorts as they do.
fn write_instant(instant: Timestamp) -> String {
    format!("{instant:.3}")
}
