//! The one error type of the store.

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
    pub fn words(self) -> &'static str {
        match self {
            Self::Full => {
                "nothing can be kept: the disk is full. Make room on it; what is shown stays, and the next change is kept again"
            }
            Self::ReadOnly => {
                "nothing can be kept: the kitchen's folder can only be read. Make it writable, or start with another folder (--data)"
            }
            Self::Disk => {
                "nothing can be kept: the disk does not do what it is told. Save the whole kitchen as a file elsewhere, and check the disk"
            }
            Self::Gone => {
                "nothing can be kept: the database file was deleted or replaced. Save the whole kitchen as a file now, then start again and bring it in"
            }
            Self::Corrupt => {
                "the database file is damaged or not a database. Put it aside and bring back a copy with `ergastic restore FILE`; copies are kept in the folder backups beside it"
            }
            Self::Busy => {
                "the kitchen is still busy with another change. Nothing of this one was kept; try again shortly"
            }
        }
    }
}

/// What can go wrong on the way to the database and back.
#[derive(Debug, thiserror::Error)]
pub enum Error {
    /// There is no such row.
    #[error("there is no {what} {id}")]
    NotFound {
        /// What was looked for.
        what: &'static str,
        /// By which id.
        id: String,
    },
    /// Someone saved a newer version in between.
    #[error("version {given} was saved over by version {current}")]
    Conflict {
        /// The version the change was made from.
        given: i64,
        /// The version that stands now.
        current: i64,
    },
    /// An event's id belongs to another cook.
    #[error("[{index}].id: {id} is the id of something that happened in another cook; make a new one")]
    Elsewhere {
        /// Which of the events that were sent.
        index: usize,
        /// Its id.
        id: Uuid,
    },
    /// The cook went on in between; what was folded is no longer what stands.
    #[error("something else happened in this cook just now; try again")]
    Moved,
    /// A cook holds as much as it may.
    #[error("this cook holds {most} things that happened, which is all it can; close it and open another")]
    CookFull {
        /// How many that is.
        most: usize,
    },
    /// Another import is under way.
    #[error("another file is being brought in; wait until it is done")]
    Importing,
    /// A document in the database, or one to be written, is not what it should be.
    #[error("a stored document can't be read: {0}")]
    Damaged(String),
    /// The file can't be used as asked.
    #[error("{0}")]
    File(String),
    /// Nothing can be kept, or read, just now.
    #[error("{}", .0.words())]
    Unusable(Trouble),
    /// The database was written by a newer version.
    #[error(
        "the database was written by a newer version of Ergastic (its step {0}). Start that version, or another folder (--data)"
    )]
    Newer(i64),
    /// The database itself.
    #[error("the database: {0}")]
    Sql(sqlx::Error),
    /// A migration.
    #[error("the database can't be brought up to date: {0}")]
    Migrate(sqlx::migrate::MigrateError),
}

impl Error {
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
        Self::Damaged(error.to_string())
    }
}

/// The store's result.
pub type Result<T> = std::result::Result<T, Error>;
