//! Connections: one that writes, so that writers stand in a queue and never meet a locked database, and several that read.
//!
//! A write is `BEGIN IMMEDIATE`, its statements and `COMMIT`, spoken by [`Writing`] itself. However it ends (a full disk, a
//! request that was given up half-way), the connection is rolled back before the next writer gets it.

use std::ops::{Deref, DerefMut};
use std::os::unix::fs::{MetadataExt, OpenOptionsExt};
use std::path::{Path, PathBuf};
use std::sync::Arc;
use std::time::Duration;

use sqlx::pool::PoolConnection;
use sqlx::sqlite::{SqliteConnectOptions, SqliteJournalMode, SqlitePoolOptions, SqliteSynchronous};
use sqlx::{ConnectOptions, Sqlite, SqliteConnection, SqlitePool};
use tokio::sync::{OwnedSemaphorePermit, Semaphore};

use crate::error::Trouble;
use crate::error::{Error, Result};
use crate::migrations::migrator;

/// Connections that read.
const READERS: u32 = 6;
/// Of these, long reads (an export, a season of readings) may hold so many at once.
const LONG_READS: usize = 2;
/// A writer waits this long for its turn.
const TURN: Duration = Duration::from_secs(20);
/// How long another process may hold the database.
const OTHERS: Duration = Duration::from_secs(5);
/// The log of a large write is cut back to this, bytes.
const KEEP_LOG: &str = "16777216";

/// The pools of one database file.
#[derive(Debug)]
pub(crate) struct Connections {
    writer: SqlitePool,
    readers: SqlitePool,
    long: Arc<Semaphore>,
    file: PathBuf,
    /// The file by device and number: a deleted one goes on being written to and is gone at the next start.
    identity: (u64, u64),
    /// Its write-ahead log likewise: what stands only in a deleted one is gone at the next start.
    log_identity: (u64, u64),
    remove_on_drop: Option<PathBuf>,
}

impl Drop for Connections {
    fn drop(&mut self) {
        if let Some(folder) = &self.remove_on_drop {
            let _ = std::fs::remove_dir_all(folder);
        }
    }
}

fn identity(file: &Path) -> std::io::Result<(u64, u64)> {
    std::fs::metadata(file).map(|data| (data.dev(), data.ino()))
}

/// Makes the file with access for its owner alone, if it is not there.
fn make(file: &Path) -> Result<()> {
    let opened = std::fs::OpenOptions::new().append(true).create(true).mode(0o600).open(file);
    match opened {
        Ok(_) => Ok(()),
        Err(error) if error.kind() == std::io::ErrorKind::StorageFull => Err(Error::Unusable(Trouble::Full)),
        Err(error)
            if matches!(
                error.kind(),
                std::io::ErrorKind::PermissionDenied | std::io::ErrorKind::ReadOnlyFilesystem
            ) =>
        {
            Err(Error::Unusable(Trouble::ReadOnly))
        }
        Err(error) => Err(Error::of_file(file, &error)),
    }
}

impl Connections {
    pub(crate) async fn open(file: &Path, remove_on_drop: Option<PathBuf>) -> Result<Self> {
        make(file)?;
        let options = SqliteConnectOptions::new()
            .filename(file)
            .journal_mode(SqliteJournalMode::Wal)
            .synchronous(SqliteSynchronous::Full)
            .foreign_keys(true)
            .busy_timeout(OTHERS)
            .pragma("journal_size_limit", KEEP_LOG);
        let pool = || {
            SqlitePoolOptions::new()
                .idle_timeout(None)
                .max_lifetime(None)
                .acquire_timeout(TURN)
                .test_before_acquire(false)
        };
        let writer = pool()
            .max_connections(1)
            .after_release(|connection, _| {
                Box::pin(async move {
                    // Nothing to roll back is the usual case, and an error to SQLite.
                    let _ = sqlx::raw_sql("ROLLBACK").execute(&mut *connection).await;
                    Ok(true)
                })
            })
            .connect_with(options.clone())
            .await?;
        migrator().run(&writer).await?;
        let readers = pool()
            .max_connections(READERS)
            .after_release(|connection, _| {
                Box::pin(async move {
                    let _ = sqlx::raw_sql("ROLLBACK").execute(&mut *connection).await;
                    Ok(true)
                })
            })
            .connect_lazy_with(options.pragma("query_only", "ON"));
        // All of them now: a connection that is made when the file is gone finds none.
        let mut open = Vec::new();
        for _ in 0..READERS {
            open.push(readers.acquire().await?);
        }
        drop(open);
        let log = log_of(file);
        let log_identity = identity(&log).map_err(|error| Error::of_file(&log, &error))?;
        let identity = identity(file).map_err(|error| Error::of_file(file, &error))?;
        let long = Arc::new(Semaphore::new(LONG_READS));
        Ok(Self { writer, readers, long, file: file.to_owned(), identity, log_identity, remove_on_drop })
    }

    /// A connection beside the others, for a copy: those that read may write nowhere.
    pub(crate) async fn beside(&self) -> Result<SqliteConnection> {
        self.is_there()?;
        Ok(SqliteConnectOptions::new().filename(&self.file).busy_timeout(OTHERS).connect().await?)
    }

    /// The file.
    pub(crate) fn file(&self) -> &Path {
        &self.file
    }

    /// That the file is still the one that was opened.
    pub(crate) fn is_there(&self) -> Result<()> {
        match identity(&self.file) {
            Ok(identity) if identity == self.identity => Ok(()),
            _ => Err(Error::Unusable(Trouble::Gone)),
        }
    }

    /// Whether the write-ahead log is still the one that was opened.
    pub(crate) fn has_its_log(&self) -> bool {
        identity(&log_of(&self.file)).is_ok_and(|identity| identity == self.log_identity)
    }

    /// A write, when its turn comes.
    pub(crate) async fn write(&self) -> Result<Writing<'_>> {
        self.is_there()?;
        let mut connection = self.writer.acquire().await?;
        sqlx::raw_sql("BEGIN IMMEDIATE").execute(&mut *connection).await?;
        Ok(Writing { connection, of: self })
    }

    /// Moves all that stands in a log that was deleted into the database itself.
    ///
    /// # Errors
    /// When not all of it could be moved.
    pub(crate) async fn save_from_log(&self) -> Result<()> {
        let mut connection = self.writer.acquire().await?;
        moved_from_log(&mut connection).await
    }

    /// Connections for short reads.
    pub(crate) fn read(&self) -> &SqlitePool {
        &self.readers
    }

    /// One moment of the database for a long read; few of them go on at once, so that short reads always find a connection.
    pub(crate) async fn snapshot(&self) -> Result<Snapshot> {
        let permit = tokio::time::timeout(TURN, self.long.clone().acquire_owned())
            .await
            .ok()
            .and_then(std::result::Result::ok)
            .ok_or(Error::Unusable(Trouble::Busy))?;
        let mut connection = self.readers.acquire().await?;
        sqlx::raw_sql("BEGIN").execute(&mut *connection).await?;
        // The moment is that of the first look.
        sqlx::query("SELECT 1 FROM kitchen").fetch_optional(&mut *connection).await?;
        Ok(Snapshot { connection, _permit: permit })
    }

    pub(crate) async fn close(&self) {
        self.readers.close().await;
        self.writer.close().await;
    }
}

/// Where SQLite keeps the write-ahead log of a database.
fn log_of(file: &Path) -> PathBuf {
    let mut name = file.as_os_str().to_owned();
    name.push("-wal");
    name.into()
}

/// Moves all of the log into the database, and waits for whoever still reads the old of it.
async fn moved_from_log(connection: &mut SqliteConnection) -> Result<()> {
    let (busy, ..): (i64, i64, i64) = sqlx::query_as("PRAGMA wal_checkpoint(FULL)").fetch_one(connection).await?;
    if busy == 0 { Ok(()) } else { Err(Error::Unusable(Trouble::Busy)) }
}

/// A write under way; dropped without [`Writing::commit`], nothing of it was.
pub(crate) struct Writing<'a> {
    connection: PoolConnection<Sqlite>,
    of: &'a Connections,
}

impl Writing<'_> {
    /// Keeps it. Where the log was deleted under the running server, it is kept in the database itself before this answers.
    pub(crate) async fn commit(mut self) -> Result<()> {
        sqlx::raw_sql("COMMIT").execute(&mut *self.connection).await?;
        if self.of.has_its_log() { Ok(()) } else { moved_from_log(&mut self.connection).await }
    }
}

impl Deref for Writing<'_> {
    type Target = SqliteConnection;
    fn deref(&self) -> &Self::Target {
        &self.connection
    }
}

impl DerefMut for Writing<'_> {
    fn deref_mut(&mut self) -> &mut Self::Target {
        &mut self.connection
    }
}

/// A connection that sees one moment of the database.
pub(crate) struct Snapshot {
    connection: PoolConnection<Sqlite>,
    _permit: OwnedSemaphorePermit,
}

impl Deref for Snapshot {
    type Target = SqliteConnection;
    fn deref(&self) -> &Self::Target {
        &self.connection
    }
}

impl DerefMut for Snapshot {
    fn deref_mut(&mut self) -> &mut Self::Target {
        &mut self.connection
    }
}
