//! The one error type of the store.

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
    /// A document in the database, or one to be written, is not what it should be.
    #[error("a stored document can't be read: {0}")]
    Damaged(String),
    /// The database itself.
    #[error("the database: {0}")]
    Sql(#[from] sqlx::Error),
    /// A migration.
    #[error("the database can't be brought up to date: {0}")]
    Migrate(#[from] sqlx::migrate::MigrateError),
}

impl From<serde_json::Error> for Error {
    fn from(error: serde_json::Error) -> Self {
        Self::Damaged(error.to_string())
    }
}

/// The store's result.
pub type Result<T> = std::result::Result<T, Error>;
