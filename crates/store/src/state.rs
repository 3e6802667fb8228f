//! Whether anything can be kept just now, and who may keep it here.

use ergastic_words::keeping as say;
use std::fs::{File, TryLockError};
use std::os::unix::fs::OpenOptionsExt;
use std::path::Path;

use jiff::Timestamp;

use crate::error::{Error, Result, Trouble};
use crate::store::Store;
use crate::text::write_instant;

/// With less room than this on the disk the next change may not be kept, bytes.
const MIN_BYTES: u64 = 128 << 10;

/// What was found when a small write was tried.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct State {
    /// Why nothing can be kept, if so.
    pub trouble: Option<Trouble>,
    /// The write-ahead log was deleted: all is kept, but each change straight in the database.
    pub log_gone: bool,
    /// Free on the disk, bytes.
    pub free_bytes: Option<u64>,
    /// The database file, bytes.
    pub database_bytes: u64,
    /// Its write-ahead log, bytes: what is not yet moved into it.
    pub log_bytes: u64,
}

impl Store {
    /// Whether the write-ahead log is still the one that was opened.
    pub fn has_its_log(&self) -> bool {
        self.connections.has_its_log()
    }

    /// Where the log was deleted under the running server, moves all that stands in it into the database.
    ///
    /// # Errors
    /// When not all of it could be moved.
    pub async fn save_from_deleted_log(&self) -> Result<()> {
        if self.has_its_log() { Ok(()) } else { self.connections.save_from_log().await }
    }

    /// Tries a small write, as every change makes it, and looks at the disk.
    pub async fn state(&self, now: Timestamp) -> State {
        let tried = async {
            let mut writing = self.connections.write().await?;
            sqlx::query("INSERT INTO pulse (id, at) VALUES (1, ?) ON CONFLICT (id) DO UPDATE SET at = excluded.at")
                .bind(write_instant(now))
                .execute(&mut *writing)
                .await?;
            writing.commit().await
        };
        let free_bytes = free_bytes(self.connections.file());
        let trouble = match tried.await {
            // The log may have room left for a small change where the disk has none for the next.
            Ok(()) if free_bytes.is_some_and(|free| free < MIN_BYTES) => Some(Trouble::Full),
            Ok(()) => None,
            Err(error) => Some(error.trouble().unwrap_or(Trouble::Disk)),
        };
        let file = self.connections.file();
        let size = |path: &Path| std::fs::metadata(path).map_or(0, |data| data.len());
        let log = file.with_extension("sqlite-wal");
        let log_gone = trouble.is_none() && !self.connections.has_its_log();
        State { trouble, log_gone, free_bytes, database_bytes: size(file), log_bytes: size(&log) }
    }
}

/// Room left where a file stands, bytes.
pub(crate) fn free_bytes(file: &Path) -> Option<u64> {
    let folder = file.parent()?;
    let stat = rustix::fs::statvfs(folder).ok()?;
    Some(stat.f_bavail * stat.f_frsize)
}

/// That this process alone keeps a kitchen in a folder; let go when dropped.
#[derive(Debug)]
pub struct Lock(#[allow(dead_code, reason = "held for as long as it lives")] File);

impl Lock {
    /// Takes the folder.
    ///
    /// # Errors
    /// When another process has it, or the folder can't be written.
    pub fn take(folder: &Path) -> Result<Self> {
        let path = folder.join("ergastic.lock");
        let file =
            std::fs::OpenOptions::new().write(true).create(true).truncate(false).mode(0o600).open(&path).map_err(
                |error| match error.kind() {
                    std::io::ErrorKind::PermissionDenied | std::io::ErrorKind::ReadOnlyFilesystem => {
                        Error::Unusable(Trouble::ReadOnly)
                    }
                    std::io::ErrorKind::StorageFull => Error::Unusable(Trouble::Full),
                    _ => Error::of_file(&path, &error),
                },
            )?;
        match file.try_lock() {
            Ok(()) => Ok(Self(file)),
            Err(TryLockError::WouldBlock) => Err(Error::File(say::folder_taken(&folder.display().to_string()))),
            Err(TryLockError::Error(error)) => Err(Error::of_file(&path, &error)),
        }
    }
}
