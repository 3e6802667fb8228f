//! The kitchen's own document, with every version kept.

use ergastic_core::kitchen::Kitchen;
use ergastic_words::{Message, Voice, keeping as say};
use jiff::Timestamp;
use sqlx::SqliteConnection;

use crate::document::{Document, FORMAT};
use crate::error::{Error, Result};
use crate::store::Store;
use crate::text::{read_instant, write, write_instant};

/// The kitchen as it is kept.
#[derive(Debug, Clone, PartialEq, Default)]
pub struct StoredKitchen {
    /// Counts up with each save; 0 where none was saved yet.
    pub version: i64,
    /// The kitchen; where its newest version can't be read, the newest that can, else the usual one.
    pub kitchen: Kitchen,
    /// What is wrong with the newest version.
    pub damaged: Option<DamagedKitchen>,
}

/// A kitchen's document that can't be read.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct DamagedKitchen {
    /// The document as it is kept.
    pub text: String,
    /// Why it can't be read.
    pub reason: String,
    /// The version that is shown instead; none where it is the usual kitchen.
    pub instead: Option<i64>,
}

impl DamagedKitchen {
    /// Why it can't be read, and what is shown instead.
    pub fn said(&self) -> Message {
        match self.instead {
            Some(version) => say::damaged_kitchen(&self.reason, &version.to_string()),
            None => say::damaged_first_kitchen(&self.reason),
        }
    }
}

type KitchenRow = (i64, String, i64);

/// Why a document can't be read, and nothing else.
fn why(error: &Error) -> String {
    match error {
        Error::Damaged(reason) => Voice::default().render(reason),
        other => other.to_string(),
    }
}

impl Store {
    /// The kitchen that everything is worked out in.
    ///
    /// # Errors
    /// When the database can't be read.
    pub async fn kitchen(&self) -> Result<Kitchen> {
        Ok(self.kitchen_kept().await?.kitchen)
    }

    /// The same with its version, and what is wrong with it.
    ///
    /// # Errors
    /// When the database can't be read.
    pub async fn kitchen_kept(&self) -> Result<StoredKitchen> {
        let newest: Option<KitchenRow> =
            sqlx::query_as("SELECT version, document, format FROM kitchen ORDER BY version DESC LIMIT 1")
                .fetch_optional(self.connections.read())
                .await?;
        let Some((version, text, format)) = newest else { return Ok(StoredKitchen::default()) };
        let document = Document { format, text };
        let reason = match document.read() {
            Ok(kitchen) => return Ok(StoredKitchen { version, kitchen, damaged: None }),
            Err(error) => why(&error),
        };
        let earlier: Vec<KitchenRow> =
            sqlx::query_as("SELECT version, document, format FROM kitchen WHERE version < ? ORDER BY version DESC")
                .bind(version)
                .fetch_all(self.connections.read())
                .await?;
        let read = |(version, text, format): KitchenRow| Some((version, Document { format, text }.read().ok()?));
        let (instead, kitchen) =
            earlier.into_iter().find_map(read).map_or_else(Default::default, |(at, kitchen)| (Some(at), kitchen));
        Ok(StoredKitchen { version, kitchen, damaged: Some(DamagedKitchen { text: document.text, reason, instead }) })
    }

    /// Whether no kitchen was saved yet.
    ///
    /// # Errors
    /// When the database can't be read.
    pub async fn is_new(&self) -> Result<bool> {
        let one: Option<i64> =
            sqlx::query_scalar("SELECT version FROM kitchen LIMIT 1").fetch_optional(self.connections.read()).await?;
        Ok(one.is_none())
    }

    /// The number and hour of every version of the kitchen, the newest first.
    ///
    /// # Errors
    /// When the database can't be read.
    pub async fn kitchen_versions(&self) -> Result<Vec<(i64, Timestamp)>> {
        let rows: Vec<(i64, String)> = sqlx::query_as("SELECT version, saved_at FROM kitchen ORDER BY version DESC")
            .fetch_all(self.connections.read())
            .await?;
        rows.into_iter().map(|(version, saved_at)| Ok((version, read_instant(&saved_at)?))).collect()
    }

    /// One version of the kitchen's document.
    ///
    /// # Errors
    /// [`Error::NotFound`] when there is none.
    pub async fn kitchen_version(&self, version: i64) -> Result<Document> {
        let row: Option<(String, i64)> = sqlx::query_as("SELECT document, format FROM kitchen WHERE version = ?")
            .bind(version)
            .fetch_optional(self.connections.read())
            .await?;
        row.map(|(text, format)| Document { format, text })
            .ok_or_else(|| Error::NotFound { what: "version", id: version.to_string() })
    }

    /// Saves the kitchen over the version it was made from (0 for the first), and answers its new version. The very kitchen
    /// that stands changes nothing.
    ///
    /// # Errors
    /// [`Error::Conflict`] when another version stands; [`Error::OverDamaged`] when the one that stands can't be read and nobody
    /// said that it may go on from here (`over_damaged`).
    pub async fn save_kitchen(
        &self,
        from_version: i64,
        kitchen: &Kitchen,
        over_damaged: bool,
        now: Timestamp,
    ) -> Result<i64> {
        let document = write(kitchen)?;
        let mut writing = self.connections.write().await?;
        let stands = newest(&mut writing).await?;
        let current = stands.as_ref().map_or(0, |(version, ..)| *version);
        if current != from_version {
            let same = stands.is_some_and(|(_, there, _)| there == document);
            return if same { Ok(current) } else { Err(Error::Conflict { given: from_version, current }) };
        }
        if let Some((_, text, format)) = stands {
            if text == document {
                return Ok(current);
            }
            let readable = Document { format, text }.read::<Kitchen>();
            if let Err(error) = readable
                && !over_damaged
            {
                return Err(Error::OverDamaged(why(&error)));
            }
        }
        put_kitchen(&mut writing, &document, FORMAT, now).await?;
        writing.commit().await?;
        Ok(current + 1)
    }
}

/// The newest version: its number, document and format.
pub(crate) async fn newest(connection: &mut SqliteConnection) -> Result<Option<(i64, String, i64)>> {
    Ok(sqlx::query_as("SELECT version, document, format FROM kitchen ORDER BY version DESC LIMIT 1")
        .fetch_optional(connection)
        .await?)
}

/// Puts a version on top. What the lists say of cooks waits to be said again where it was in other units.
pub(crate) async fn put_kitchen(
    connection: &mut SqliteConnection,
    document: &str,
    format: i64,
    now: Timestamp,
) -> Result<()> {
    let units = |format: i64, text: String| {
        Document { format, text }.read::<Kitchen>().map(|kitchen| kitchen.units).unwrap_or_default()
    };
    let were = newest(connection).await?.map(|(_, text, format)| units(format, text)).unwrap_or_default();
    if units(format, document.to_owned()) != were {
        sqlx::query("UPDATE cook_summary SET reckoned = 0").execute(&mut *connection).await?;
    }
    sqlx::query(
        "INSERT INTO kitchen (version, document, format, saved_at)
         SELECT coalesce(max(version), 0) + 1, ?, ?, ? FROM kitchen",
    )
    .bind(document)
    .bind(format)
    .bind(write_instant(now))
    .execute(connection)
    .await?;
    Ok(())
}
