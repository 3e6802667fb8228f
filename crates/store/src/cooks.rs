//! Cooks: the plan each was started from, the append-only list of what happened, and what a list of them shows.

use ergastic_core::cook::Event;
use ergastic_core::plan::Plan;
use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use serde_json::value::RawValue;
use sqlx::SqliteConnection;
use uuid::Uuid;

use crate::document::{Document, FORMAT};
use crate::error::{Error, Result};
use crate::store::Store;
use crate::text::{read_id, read_instant, write, write_instant};

/// The most things that can happen in one cook: a thumb on the log for three days does not make more.
pub const MAX_EVENTS: usize = 5000;

/// A cook with everything that happened in it.
#[derive(Debug, Clone, PartialEq)]
pub struct StoredCook {
    /// Its id.
    pub id: Uuid,
    /// The plan it came from.
    pub plan_id: Uuid,
    /// That plan as it was then.
    pub plan: Plan,
    /// When it was opened.
    pub opened_at: Timestamp,
    /// What happened, in the order it was stored.
    pub events: Vec<Event>,
    /// So many more things happened that can't be read: it goes on without them.
    pub unread: usize,
    /// The place of the last of them among all that was stored; 0 where nothing happened.
    pub seq: i64,
}

/// A cook as its rows are, readable or not.
#[derive(Debug, Clone, PartialEq)]
pub struct RawCook {
    /// Its id.
    pub id: String,
    /// The plan it came from.
    pub plan_id: String,
    /// That plan as it was then.
    pub document: Document,
    /// When it was opened.
    pub opened_at: String,
    /// When it was put in the bin.
    pub deleted_at: Option<String>,
    /// What happened, in the order it was stored.
    pub events: Vec<RawEvent>,
    /// The place of the last of them.
    pub seq: i64,
}

/// Something that happened, as its row is.
#[derive(Debug, Clone, PartialEq)]
pub struct RawEvent {
    /// Its id.
    pub id: String,
    /// When.
    pub at: String,
    /// What.
    pub happened: Document,
    /// On whose screen it was tapped.
    pub device: Option<String>,
}

impl TryFrom<&RawEvent> for Event {
    type Error = Error;

    fn try_from(raw: &RawEvent) -> Result<Self> {
        Ok(Self {
            id: read_id(&raw.id)?,
            at: read_instant(&raw.at)?,
            happened: raw.happened.read()?,
            device: raw.device.clone(),
        })
    }
}

/// What lists of cooks show of one, as JSON.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize)]
pub struct Summary {
    /// A JSON object: its line in the list of all.
    pub line: String,
    /// A JSON object: what the log shows.
    pub document: String,
    /// It is over, or can't be shown.
    pub closed: bool,
    /// Its bell, or when it was opened.
    pub day: Timestamp,
    /// Whether the forecast is in it, or only the facts.
    pub reckoned: bool,
}

/// What became of appended events.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub struct Appended {
    /// New ones.
    pub stored: usize,
    /// Those whose id was there already; they change nothing.
    pub repeated: usize,
}

impl TryFrom<RawCook> for StoredCook {
    type Error = Error;

    fn try_from(raw: RawCook) -> Result<Self> {
        let events: Vec<Event> = raw.events.iter().filter_map(|event| Event::try_from(event).ok()).collect();
        Ok(Self {
            id: read_id(&raw.id)?,
            plan_id: read_id(&raw.plan_id)?,
            plan: raw.document.read()?,
            opened_at: read_instant(&raw.opened_at)?,
            unread: raw.events.len() - events.len(),
            events,
            seq: raw.seq,
        })
    }
}

/// The rows of one cook, none if there is no such cook.
pub(crate) async fn raw_cook(connection: &mut SqliteConnection, id: &str) -> Result<Option<RawCook>> {
    type CookRow = (String, String, i64, String, Option<String>);
    let row: Option<CookRow> =
        sqlx::query_as("SELECT plan_id, document, format, opened_at, deleted_at FROM cook WHERE id = ?")
            .bind(id)
            .fetch_optional(&mut *connection)
            .await?;
    let Some((plan_id, text, format, opened_at, deleted_at)) = row else { return Ok(None) };
    let document = Document { format, text };
    let rows: Vec<(i64, String, String, String, i64, Option<String>)> =
        sqlx::query_as("SELECT seq, id, at, happened, format, device FROM cook_event WHERE cook_id = ? ORDER BY seq")
            .bind(id)
            .fetch_all(&mut *connection)
            .await?;
    let seq = rows.last().map_or(0, |row| row.0);
    let event = |(_, id, at, text, format, device)| RawEvent { id, at, happened: Document { format, text }, device };
    let events = rows.into_iter().map(event).collect();
    Ok(Some(RawCook { id: id.to_owned(), plan_id, document, opened_at, deleted_at, events, seq }))
}

async fn last_seq(connection: &mut SqliteConnection, id: Uuid) -> Result<i64> {
    Ok(sqlx::query_scalar("SELECT coalesce(max(seq), 0) FROM cook_event WHERE cook_id = ?")
        .bind(id.to_string())
        .fetch_one(connection)
        .await?)
}

/// An event as it goes into its row: id, instant, document, screen.
pub(crate) type EventRow = (Uuid, String, String, Option<String>);

/// Inserts events of a cook that are not there yet; how many were.
pub(crate) async fn insert_events(
    connection: &mut SqliteConnection,
    cook: &str,
    events: impl ExactSizeIterator<Item = EventRow>,
) -> Result<usize> {
    let mut stored = 0;
    for (index, (id, at, happened, device)) in events.enumerate() {
        let done = sqlx::query(
            "INSERT INTO cook_event (id, cook_id, at, happened, format, device) VALUES (?, ?, ?, ?, ?, ?) ON CONFLICT (id) DO NOTHING",
        )
        .bind(id.to_string())
        .bind(cook)
        .bind(at)
        .bind(happened)
        .bind(FORMAT)
        .bind(device)
        .execute(&mut *connection)
        .await?;
        if done.rows_affected() == 0 {
            let of: String = sqlx::query_scalar("SELECT cook_id FROM cook_event WHERE id = ?")
                .bind(id.to_string())
                .fetch_one(&mut *connection)
                .await?;
            if of != cook {
                return Err(Error::Elsewhere { index, id });
            }
        }
        stored += done.rows_affected() as usize;
    }
    Ok(stored)
}

pub(crate) async fn put_summary(connection: &mut SqliteConnection, id: &str, summary: &Summary) -> Result<()> {
    sqlx::query(
        "INSERT INTO cook_summary (cook_id, of_seq, reckoned, closed, opened, day, deleted, line, document)
         SELECT id, (SELECT coalesce(max(seq), 0) FROM cook_event WHERE cook_id = ?1), ?2, ?3, opened_at, ?4,
                deleted_at IS NOT NULL, ?5, ?6 FROM cook WHERE id = ?1
         ON CONFLICT (cook_id) DO UPDATE SET of_seq = excluded.of_seq, reckoned = excluded.reckoned,
             closed = excluded.closed, day = excluded.day, line = excluded.line, document = excluded.document",
    )
    .bind(id)
    .bind(i64::from(summary.reckoned))
    .bind(i64::from(summary.closed))
    .bind(write_instant(summary.day))
    .bind(&summary.line)
    .bind(&summary.document)
    .execute(connection)
    .await?;
    Ok(())
}

impl Store {
    /// When something last happened in any cook: a clock that runs fast goes on from there.
    ///
    /// # Errors
    /// When the database can't be read.
    pub async fn last_happened(&self) -> Result<Option<Timestamp>> {
        let latest: Vec<String> = sqlx::query_scalar("SELECT at FROM cook_event ORDER BY seq DESC LIMIT 100")
            .fetch_all(self.connections.read())
            .await?;
        Ok(latest.iter().filter_map(|at| at.parse().ok()).max())
    }

    /// The lines of every cook that is not in the bin, the latest opened first, as a JSON list.
    ///
    /// # Errors
    /// When the database can't be read.
    pub async fn cook_list(&self) -> Result<String> {
        // One row instead of thousands: the list is on every page.
        let list: Option<String> = sqlx::query_scalar(
            "SELECT '[' || group_concat(line) || ']' FROM (
                SELECT line FROM cook_summary INDEXED BY cook_summary_in_list WHERE deleted = 0 ORDER BY opened DESC, cook_id)",
        )
        .fetch_one(self.connections.read())
        .await?;
        let list = list.unwrap_or_else(|| "[]".to_owned());
        if serde_json::from_str::<serde::de::IgnoredAny>(&list).is_ok() { Ok(list) } else { self.sound_lines().await }
    }

    /// The same where one of the lines is damaged: it is said which.
    async fn sound_lines(&self) -> Result<String> {
        let list: Option<String> = sqlx::query_scalar(
            "SELECT '[' || group_concat(line) || ']' FROM (
                SELECT CASE WHEN json_valid(line) THEN line
                       ELSE json_object('id', cook.id, 'plan_id', cook.plan_id, 'name', '', 'opened_at', cook.opened_at,
                                        'status', 'closed', 'broken', 'what was kept of it for the list is damaged') END AS line
                FROM cook JOIN cook_summary ON cook_id = cook.id
                WHERE deleted_at IS NULL ORDER BY opened_at DESC, cook.id)",
        )
        .fetch_one(self.connections.read())
        .await?;
        Ok(list.unwrap_or_else(|| "[]".to_owned()))
    }

    /// What the log shows of cooks that are over, the latest bell first: some of them, and how many there are in all.
    ///
    /// # Errors
    /// When the database can't be read.
    pub async fn log(&self, from: u32, count: u32) -> Result<(Vec<Box<RawValue>>, u64)> {
        let documents: Vec<String> = sqlx::query_scalar(
            "SELECT document FROM cook_summary WHERE closed = 1 AND deleted = 0 ORDER BY day DESC, cook_id LIMIT ? OFFSET ?",
        )
        .bind(count)
        .bind(from)
        .fetch_all(self.connections.read())
        .await?;
        let all: i64 = sqlx::query_scalar("SELECT count(*) FROM cook_summary WHERE closed = 1 AND deleted = 0")
            .fetch_one(self.connections.read())
            .await?;
        // One that is damaged stands in the list of all, with its reason.
        Ok((documents.into_iter().filter_map(|document| RawValue::from_string(document).ok()).collect(), all as u64))
    }

    /// One cook with its events.
    ///
    /// # Errors
    /// [`Error::NotFound`] when there is none, [`Error::Damaged`] when it can't be read.
    pub async fn cook(&self, id: Uuid) -> Result<StoredCook> {
        self.raw_cook(id).await?.try_into()
    }

    /// One cook as its rows are.
    ///
    /// # Errors
    /// [`Error::NotFound`] when there is none.
    pub async fn raw_cook(&self, id: Uuid) -> Result<RawCook> {
        let mut connection = self.connections.read().acquire().await?;
        raw_cook(&mut connection, &id.to_string())
            .await?
            .ok_or_else(|| Error::NotFound { what: "cook", id: id.to_string() })
    }

    /// Opens a cook from a plan; opening the same id again changes nothing.
    ///
    /// # Errors
    /// When the database can't be written.
    pub async fn open_cook(
        &self,
        id: Uuid,
        plan_id: Uuid,
        plan: &Plan,
        opened_at: Timestamp,
        summary: &Summary,
    ) -> Result<Uuid> {
        let document = write(plan)?;
        let mut writing = self.connections.write().await?;
        let under_way: Option<String> = sqlx::query_scalar(
            "SELECT cook_id FROM cook_summary JOIN cook ON cook.id = cook_id
             WHERE plan_id = ? AND closed = 0 AND deleted = 0 ORDER BY opened LIMIT 1",
        )
        .bind(plan_id.to_string())
        .fetch_optional(&mut *writing)
        .await?;
        if let Some(there) = under_way {
            return read_id(&there);
        }
        let done = sqlx::query(
            "INSERT INTO cook (id, plan_id, document, format, opened_at) VALUES (?, ?, ?, ?, ?) ON CONFLICT (id) DO NOTHING",
        )
        .bind(id.to_string())
        .bind(plan_id.to_string())
        .bind(document)
        .bind(FORMAT)
        .bind(write_instant(opened_at))
        .execute(&mut *writing)
        .await?;
        if done.rows_affected() > 0 {
            put_summary(&mut writing, &id.to_string(), summary).await?;
        }
        writing.commit().await?;
        Ok(id)
    }

    /// Appends what happened, all of it or none, with what the list then shows of the cook. `from_seq` is the cook's
    /// [`StoredCook::seq`] that the summary was made from; the one that it then has is answered too.
    ///
    /// # Errors
    /// [`Error::NotFound`] when there is no such cook, [`Error::Moved`] when something else was stored since,
    /// [`Error::Elsewhere`] for an id that another cook has.
    pub async fn append(
        &self,
        cook_id: Uuid,
        from_seq: i64,
        events: &[Event],
        summary: &Summary,
    ) -> Result<(Appended, i64)> {
        let rows = events
            .iter()
            .map(|event| Ok((event.id, write_instant(event.at), write(&event.happened)?, event.device.clone())))
            .collect::<Result<Vec<_>>>()?;
        let id = cook_id.to_string();
        let mut writing = self.connections.write().await?;
        let known: Option<i64> =
            sqlx::query_scalar("SELECT 1 FROM cook WHERE id = ?").bind(&id).fetch_optional(&mut *writing).await?;
        if known.is_none() {
            return Err(Error::NotFound { what: "cook", id });
        }
        if last_seq(&mut writing, cook_id).await? != from_seq {
            return Err(Error::Moved);
        }
        let stored = insert_events(&mut writing, &id, rows.into_iter()).await?;
        let count: i64 = sqlx::query_scalar("SELECT count(*) FROM cook_event WHERE cook_id = ?")
            .bind(&id)
            .fetch_one(&mut *writing)
            .await?;
        if stored > 0 && count as usize > MAX_EVENTS {
            return Err(Error::CookFull { most: MAX_EVENTS });
        }
        if stored > 0 {
            put_summary(&mut writing, &id, summary).await?;
        }
        let seq = last_seq(&mut writing, cook_id).await?;
        writing.commit().await?;
        Ok((Appended { stored, repeated: events.len() - stored }, seq))
    }

    /// Keeps what the list shows of a cook, unless something has happened in it since `of_seq`.
    ///
    /// # Errors
    /// When the database can't be written.
    pub async fn put_summary(&self, id: Uuid, of_seq: i64, summary: &Summary) -> Result<()> {
        let mut writing = self.connections.write().await?;
        let known: Option<i64> = sqlx::query_scalar("SELECT 1 FROM cook WHERE id = ?")
            .bind(id.to_string())
            .fetch_optional(&mut *writing)
            .await?;
        if known.is_some() && last_seq(&mut writing, id).await? == of_seq {
            put_summary(&mut writing, &id.to_string(), summary).await?;
        }
        writing.commit().await
    }

    /// Cooks of which nothing is kept for the list yet.
    ///
    /// # Errors
    /// When the database can't be read.
    pub async fn cooks_without_summary(&self) -> Result<Vec<Uuid>> {
        self.cook_ids("SELECT id FROM cook WHERE id NOT IN (SELECT cook_id FROM cook_summary)").await
    }

    /// Cooks whose forecast is still to be run for the list, a few at a time.
    ///
    /// # Errors
    /// When the database can't be read.
    pub async fn cooks_to_reckon(&self) -> Result<Vec<Uuid>> {
        self.cook_ids("SELECT cook_id FROM cook_summary WHERE reckoned = 0 LIMIT 16").await
    }

    async fn cook_ids(&self, query: &'static str) -> Result<Vec<Uuid>> {
        let ids: Vec<String> = sqlx::query_scalar(query).fetch_all(self.connections.read()).await?;
        Ok(ids.iter().filter_map(|id| id.parse().ok()).collect())
    }
}
