//! A kitchen's database, opened: what every table's functions are given.

use std::path::Path;
use std::sync::Arc;

use tokio::sync::Mutex;
use uuid::Uuid;

use crate::connect::Connections;
use crate::error::{Error, Result};

/// A kitchen's database.
#[derive(Debug, Clone)]
pub struct Store {
    pub(crate) connections: Arc<Connections>,
    /// Held by the import under way: one at a time.
    pub(crate) importing: Arc<Mutex<()>>,
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
