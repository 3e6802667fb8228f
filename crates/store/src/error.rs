//! The one error type of the store.

use std::fmt;
use std::path::Path;

use ergastic_words::{Message, Voice, keeping as say};
use uuid::Uuid;

/// Why nothing can be kept just now.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum Trouble {
    /// The disk has no room.
    Full,
    /// The disk, or the file, can only be read.
    ReadOnly,
    /// The disk does not read or write what it is told.
    Disk,
    /// The database file was deleted or replaced under the running server.
    Gone,
    /// The file is not a database, or a broken one.
    Corrupt,
    /// Another write went on for too long.
    Busy,
}

impl Trouble {
    /// What is so, and the way out of it.
    pub fn said(self) -> Message {
        match self {
            Self::Full => say::trouble_full(),
            Self::ReadOnly => say::trouble_read_only(),
            Self::Disk => say::trouble_disk(),
            Self::Gone => say::trouble_gone(),
            Self::Corrupt => say::trouble_corrupt(),
            Self::Busy => say::trouble_busy(),
        }
    }
}

/// What can go wrong on the way to the database and back.
#[derive(Debug)]
pub enum Error {
    /// There is no such row.
    NotFound {
        /// What was looked for: plan, cook or version.
        what: &'static str,
        /// By which id.
        id: String,
    },
    /// Someone saved a newer version in between.
    Conflict {
        /// The version the change was made from.
        given: i64,
        /// The version that stands now.
        current: i64,
    },
    /// The kitchen that stands can't be read, and is not saved over unasked; why it can't.
    OverDamaged(String),
    /// An event's id belongs to another cook.
    Elsewhere {
        /// Which of the events that were sent.
        index: usize,
        /// Its id.
        id: Uuid,
    },
    /// The cook went on in between; what was folded is no longer what stands.
    Moved,
    /// A cook holds as much as it may.
    CookFull {
        /// How many that is.
        most: usize,
    },
    /// As many probes are known as may be.
    ProbesFull {
        /// How many that is.
        most: usize,
    },
    /// Another import is under way.
    Importing,
    /// A document in the database, or one to be written, is not what it should be.
    Damaged(Message),
    /// The file can't be used as asked.
    File(Message),
    /// Nothing can be kept, or read, just now.
    Unusable(Trouble),
    /// The database was written by a newer version.
    Newer(i64),
    /// The database itself.
    Sql(sqlx::Error),
    /// A migration.
    Migrate(sqlx::migrate::MigrateError),
}

impl fmt::Display for Error {
    fn fmt(&self, formatter: &mut fmt::Formatter) -> fmt::Result {
        formatter.write_str(&Voice::default().render(self.said()))
    }
}

impl std::error::Error for Error {}

impl Error {
    /// A file of the operating system that can't be used, and its reason.
    pub(crate) fn of_file(path: &Path, reason: &impl ToString) -> Self {
        Self::File(say::file_fault(&path.display().to_string(), &reason.to_string()))
    }

    /// What went wrong.
    pub fn said(&self) -> Message {
        match self {
            Self::NotFound { what, id } => say::not_found(what, id),
            Self::Conflict { given, current } => say::conflict(&given.to_string(), &current.to_string()),
            Self::OverDamaged(reason) => say::over_damaged(reason),
            Self::Elsewhere { index, id } => say::elsewhere(&index.to_string(), &id.to_string()),
            Self::Moved => say::moved(),
            Self::CookFull { most } => say::cook_full(*most as u32),
            Self::ProbesFull { most } => say::probes_full(*most as u32),
            Self::Importing => say::importing(),
            Self::Damaged(reason) => say::damaged(&Voice::default().render(reason)),
            Self::File(said) => said.clone(),
            Self::Unusable(trouble) => trouble.said(),
            Self::Newer(step) => say::newer(&step.to_string()),
            Self::Sql(error) => say::database(&error.to_string()),
            Self::Migrate(error) => say::migration(&error.to_string()),
        }
    }

    /// Why nothing can be kept, where that is the matter.
    pub fn trouble(&self) -> Option<Trouble> {
        match self {
            Self::Unusable(trouble) => Some(*trouble),
            _ => None,
        }
    }
}

/// What SQLite's result codes (the low byte of them) mean for a cook. Source: SQLite's documentation of its result codes.
fn trouble(error: &sqlx::Error) -> Option<Trouble> {
    match error {
        sqlx::Error::PoolTimedOut => Some(Trouble::Busy),
        sqlx::Error::Database(database) => {
            let code: i32 = database.code()?.parse().ok()?;
            match code & 0xff {
                5 | 6 => Some(Trouble::Busy),
                8 => Some(Trouble::ReadOnly),
                10 | 14 => Some(Trouble::Disk),
                11 | 26 => Some(Trouble::Corrupt),
                13 => Some(Trouble::Full),
                _ => None,
            }
        }
        _ => None,
    }
}

impl From<sqlx::Error> for Error {
    fn from(error: sqlx::Error) -> Self {
        trouble(&error).map_or(Self::Sql(error), Self::Unusable)
    }
}

impl From<sqlx::migrate::MigrateError> for Error {
    fn from(error: sqlx::migrate::MigrateError) -> Self {
        use sqlx::migrate::MigrateError;
        match error {
            MigrateError::VersionMissing(version) => Self::Newer(version),
            MigrateError::Execute(error) => Self::from(error),
            MigrateError::ExecuteMigration(error, version) => match trouble(&error) {
                Some(trouble) => Self::Unusable(trouble),
                None => Self::Migrate(MigrateError::ExecuteMigration(error, version)),
            },
            other => Self::Migrate(other),
        }
    }
}

impl From<serde_json::Error> for Error {
    fn from(error: serde_json::Error) -> Self {
        Self::Damaged(Message::text(error.to_string()))
    }
}

/// The store's result.
pub type Result<T> = std::result::Result<T, Error>;
