//! A kitchen file coming in: in pieces, so that other writers have their turn between them, and still whole or not at all.
//!
//! Plans and cooks wait in `import_staged`; readings go to their place under the import's number and do not count while that
//! stands in `import_open`. [`Import::finish`] brings all of it in at once; what an import that broke off has left is cleared
//! before the next one.

use std::collections::HashSet;

use jiff::Timestamp;
use sqlx::SqliteConnection;
use tokio::sync::OwnedMutexGuard;
use uuid::Uuid;

use crate::cooks::MAX_EVENTS;
use crate::cooks::{insert_events, put_summary};
use crate::document::FORMAT;
use crate::error::{Error, Result};
use crate::file::Staged;
use crate::kitchens::{newest, put_kitchen};
use crate::readings::Reading;
use crate::readings::{count_known, insert_readings, probe_number};
use crate::store::Store;
use crate::text::{write, write_instant};

/// What a file has brought, or would bring.
#[derive(Debug, Clone, Copy, Default, PartialEq, Eq)]
pub struct Brought {
    /// The kitchen itself is replaced.
    pub kitchen: bool,
    /// Plans that are new here.
    pub new_plans: u64,
    /// Plans that are here and get further versions.
    pub changed_plans: u64,
    /// Versions of plans, in all.
    pub versions: u64,
    /// Cooks that are new here.
    pub new_cooks: u64,
    /// Cooks that are here and get further events.
    pub changed_cooks: u64,
    /// Things that happened in them.
    pub events: u64,
    /// Readings that are new here.
    pub readings: u64,
    /// Readings that are here already.
    pub repeated: u64,
}

/// An import under way.
pub struct Import {
    store: Store,
    id: i64,
    seq: i64,
    brought: Brought,
    _alone: OwnedMutexGuard<()>,
}

impl Store {
    /// Begins an import.
    ///
    /// # Errors
    /// [`Error::Importing`] when one is under way.
    pub async fn begin_import(&self) -> Result<Import> {
        let alone = self.importing.clone().try_lock_owned().map_err(|_| Error::Importing)?;
        self.clear_broken_off().await?;
        let mut writing = self.connections.write().await?;
        let id: i64 =
            sqlx::query_scalar("INSERT INTO import_open DEFAULT VALUES RETURNING id").fetch_one(&mut *writing).await?;
        writing.commit().await?;
        Ok(Import { store: self.clone(), id, seq: 0, brought: Brought::default(), _alone: alone })
    }

    /// Clears what imports that broke off have left, unless one is under way.
    ///
    /// # Errors
    /// When the database can't be written.
    pub async fn clear_imports(&self) -> Result<()> {
        let Ok(_alone) = self.importing.clone().try_lock_owned() else { return Ok(()) };
        self.clear_broken_off().await
    }

    async fn clear_broken_off(&self) -> Result<()> {
        let open: Vec<i64> =
            sqlx::query_scalar("SELECT id FROM import_open").fetch_all(self.connections.read()).await?;
        for id in open {
            self.clear(id).await?;
        }
        Ok(())
    }

    /// Takes an import's readings away again, some at a time, and then the import.
    async fn clear(&self, import: i64) -> Result<()> {
        const SOME: i64 = 100_000;
        let mut after = (i64::MIN, i64::MIN, Vec::new());
        loop {
            let mut writing = self.connections.write().await?;
            let upto: Option<(i64, i64, Vec<u8>)> = sqlx::query_as(
                "SELECT probe, at, id FROM reading WHERE (probe, at, id) > (?, ?, ?) ORDER BY probe, at, id LIMIT 1 OFFSET ?",
            )
            .bind(after.0)
            .bind(after.1)
            .bind(&after.2)
            .bind(SOME)
            .fetch_optional(&mut *writing)
            .await?;
            let last = upto.is_none();
            let upto = upto.unwrap_or((i64::MAX, i64::MAX, vec![0xff; 17]));
            for delete in [
                "DELETE FROM reading_id WHERE (probe, id) IN (SELECT probe, id FROM reading
                    WHERE batch = ?1 AND (probe, at, id) > (?2, ?3, ?4) AND (probe, at, id) <= (?5, ?6, ?7))",
                "DELETE FROM reading WHERE batch = ?1 AND (probe, at, id) > (?2, ?3, ?4) AND (probe, at, id) <= (?5, ?6, ?7)",
            ] {
                sqlx::query(delete)
                    .bind(import)
                    .bind(after.0)
                    .bind(after.1)
                    .bind(&after.2)
                    .bind(upto.0)
                    .bind(upto.1)
                    .bind(&upto.2)
                    .execute(&mut *writing)
                    .await?;
            }
            if last {
                sqlx::query("DELETE FROM import_staged WHERE import = ?").bind(import).execute(&mut *writing).await?;
                sqlx::query("DELETE FROM import_open WHERE id = ?").bind(import).execute(&mut *writing).await?;
                return writing.commit().await;
            }
            writing.commit().await?;
            after = upto;
        }
    }

    /// What plans and cooks would bring, nothing being kept; `seen` are the plans of which a version was counted before.
    ///
    /// # Errors
    /// When the database can't be read, or an event's id is another cook's.
    pub async fn would_bring(&self, staged: &[Staged], seen: &mut HashSet<Uuid>, brought: &mut Brought) -> Result<()> {
        let mut connection = self.connections.read().acquire().await?;
        for item in staged {
            count(&mut connection, item, seen, brought).await?;
        }
        Ok(())
    }

    /// What readings would bring, nothing being kept.
    ///
    /// # Errors
    /// When the database can't be read.
    pub async fn readings_would_bring(&self, probe: &str, readings: &[Reading], brought: &mut Brought) -> Result<()> {
        let mut connection = self.connections.read().acquire().await?;
        let number: Option<i64> = sqlx::query_scalar("SELECT seq FROM probe WHERE name = ?")
            .bind(probe)
            .fetch_optional(&mut *connection)
            .await?;
        let known = match number {
            Some(number) => count_known(&mut connection, number, readings).await?,
            None => 0,
        };
        brought.readings += readings.len() as u64 - known;
        brought.repeated += known;
        Ok(())
    }
}

impl Import {
    /// Puts plans, cooks and the kitchen beside, in the order they come.
    ///
    /// # Errors
    /// When the database can't be written.
    pub async fn stage(&mut self, staged: &[Staged]) -> Result<()> {
        let mut writing = self.store.connections.write().await?;
        for item in staged {
            self.seq += 1;
            sqlx::query("INSERT INTO import_staged (import, seq, document) VALUES (?, ?, ?)")
                .bind(self.id)
                .bind(self.seq)
                .bind(write(item)?)
                .execute(&mut *writing)
                .await?;
        }
        writing.commit().await
    }

    /// Puts readings of a probe in their place; they count once the import is finished.
    ///
    /// # Errors
    /// When the database can't be written.
    pub async fn stage_readings(&mut self, probe: &str, readings: Vec<Reading>) -> Result<()> {
        let count = readings.len();
        let mut writing = self.store.connections.write().await?;
        let number = probe_number(&mut writing, probe).await?;
        let stored = insert_readings(&mut writing, number, readings, self.id).await?;
        writing.commit().await?;
        self.brought.readings += stored as u64;
        self.brought.repeated += (count - stored) as u64;
        Ok(())
    }

    /// Brings everything in at once. What is there already stays; a plan that differs becomes its newest version.
    ///
    /// # Errors
    /// [`Error::Elsewhere`] when an event's id is another cook's, [`Error::CookFull`]; nothing was brought in then.
    pub async fn finish(mut self) -> Result<Brought> {
        let brought = self.bring_in().await;
        if brought.is_err() {
            let _ = self.store.clear(self.id).await;
        }
        brought
    }

    /// Gives it up: nothing of it stays.
    ///
    /// # Errors
    /// When the database can't be written; the rest is cleared before the next import.
    pub async fn give_up(self) -> Result<()> {
        self.store.clear(self.id).await
    }

    async fn bring_in(&mut self) -> Result<Brought> {
        let (mut brought, mut seen) = (self.brought, HashSet::new());
        let mut writing = self.store.connections.write().await?;
        let mut seq = 0;
        loop {
            let next: Option<(i64, String)> = sqlx::query_as(
                "SELECT seq, document FROM import_staged WHERE import = ? AND seq > ? ORDER BY seq LIMIT 1",
            )
            .bind(self.id)
            .bind(seq)
            .fetch_optional(&mut *writing)
            .await?;
            let Some((at, document)) = next else { break };
            seq = at;
            let item: Staged = serde_json::from_str(&document)?;
            count(&mut writing, &item, &mut seen, &mut brought).await?;
            put(&mut writing, item).await?;
        }
        sqlx::query("DELETE FROM import_staged WHERE import = ?").bind(self.id).execute(&mut *writing).await?;
        sqlx::query("DELETE FROM import_open WHERE id = ?").bind(self.id).execute(&mut *writing).await?;
        writing.commit().await?;
        Ok(brought)
    }
}

/// Whether a version of a plan is one that is not there yet.
async fn is_new_version(
    connection: &mut SqliteConnection,
    id: Uuid,
    version: Option<i64>,
    saved_at: Timestamp,
    document: &str,
) -> Result<bool> {
    let id = id.to_string();
    let there: Option<i64> = match version {
        // The same version of the same moment, or the same document as the newest.
        Some(_) => {
            sqlx::query_scalar("SELECT 1 FROM plan WHERE id = ? AND document = ? AND saved_at = ?")
                .bind(&id)
                .bind(document)
                .bind(write_instant(saved_at))
                .fetch_optional(&mut *connection)
                .await?
        }
        None => None,
    };
    let newest: Option<String> =
        sqlx::query_scalar("SELECT document FROM plan WHERE id = ? ORDER BY version DESC LIMIT 1")
            .bind(&id)
            .fetch_optional(connection)
            .await?;
    Ok(there.is_none() && newest.as_deref() != Some(document))
}

/// Counts what an item brings.
async fn count(
    connection: &mut SqliteConnection,
    item: &Staged,
    seen: &mut HashSet<Uuid>,
    brought: &mut Brought,
) -> Result<()> {
    match item {
        Staged::Kitchen { document, damaged, .. } => {
            let here = newest(connection).await?.map(|(_, document, _)| document);
            brought.kitchen = if *damaged { here.is_none() } else { here.as_ref() != Some(document) };
        }
        Staged::Plan { id, version, saved_at, document, .. } => {
            let known: Option<i64> = sqlx::query_scalar("SELECT 1 FROM plan WHERE id = ? LIMIT 1")
                .bind(id.to_string())
                .fetch_optional(&mut *connection)
                .await?;
            if is_new_version(connection, *id, *version, *saved_at, document).await? {
                brought.versions += 1;
                if seen.insert(*id) {
                    brought.new_plans += u64::from(known.is_none());
                    brought.changed_plans += u64::from(known.is_some());
                }
            }
        }
        Staged::Cook { id, events, .. } => {
            let known: Option<i64> = sqlx::query_scalar("SELECT 1 FROM cook WHERE id = ?")
                .bind(id.to_string())
                .fetch_optional(&mut *connection)
                .await?;
            let mut new = 0;
            for (index, (event, ..)) in events.iter().enumerate() {
                let of: Option<String> = sqlx::query_scalar("SELECT cook_id FROM cook_event WHERE id = ?")
                    .bind(event.to_string())
                    .fetch_optional(&mut *connection)
                    .await?;
                match of {
                    None => new += 1,
                    Some(of) if of == id.to_string() => {}
                    Some(_) => return Err(Error::Elsewhere { index, id: *event }),
                }
            }
            brought.events += new;
            brought.new_cooks += u64::from(known.is_none());
            brought.changed_cooks += u64::from(known.is_some() && new > 0);
        }
    }
    Ok(())
}

/// Puts an item where it belongs.
async fn put(connection: &mut SqliteConnection, item: Staged) -> Result<()> {
    match item {
        Staged::Kitchen { document, damaged, saved_at } => match newest(connection).await? {
            // One that can't be read takes no other's place, and one that is there already makes no version.
            Some((_, here, _)) if damaged || here == document => Ok(()),
            _ => put_kitchen(connection, &document, FORMAT, saved_at).await,
        },
        plan @ Staged::Plan { .. } => put_plan(connection, plan).await,
        cook @ Staged::Cook { .. } => put_cook(connection, cook).await,
    }
}

async fn put_plan(connection: &mut SqliteConnection, plan: Staged) -> Result<()> {
    let Staged::Plan { id, version, saved_at, document, deleted_at } = plan else { return Ok(()) };
    if !is_new_version(connection, id, version, saved_at, &document).await? {
        return Ok(());
    }
    sqlx::query(
        "INSERT INTO plan (id, version, document, saved_at, format)
         SELECT ?1, coalesce(max(version), 0) + 1, ?2, ?3, ?4 FROM plan WHERE id = ?1",
    )
    .bind(id.to_string())
    .bind(document)
    .bind(write_instant(saved_at))
    .bind(FORMAT)
    .execute(&mut *connection)
    .await?;
    if let Some(deleted_at) = deleted_at {
        sqlx::query("INSERT INTO plan_trash (plan_id, deleted_at) VALUES (?, ?) ON CONFLICT DO NOTHING")
            .bind(id.to_string())
            .bind(write_instant(deleted_at))
            .execute(connection)
            .await?;
    }
    Ok(())
}

async fn put_cook(connection: &mut SqliteConnection, cook: Staged) -> Result<()> {
    let Staged::Cook { id, plan_id, opened_at, document, events, deleted_at, summary } = cook else { return Ok(()) };
    let id = id.to_string();
    let opened = sqlx::query(
        "INSERT INTO cook (id, plan_id, document, format, opened_at, deleted_at) VALUES (?, ?, ?, ?, ?, ?)
         ON CONFLICT (id) DO NOTHING",
    )
    .bind(&id)
    .bind(plan_id.to_string())
    .bind(document)
    .bind(FORMAT)
    .bind(write_instant(opened_at))
    .bind(deleted_at.map(write_instant))
    .execute(&mut *connection)
    .await?
    .rows_affected();
    let rows = events.into_iter().map(|(id, at, happened, device)| (id, write_instant(at), happened, device));
    let stored = insert_events(connection, &id, rows).await?;
    let count: i64 = sqlx::query_scalar("SELECT count(*) FROM cook_event WHERE cook_id = ?")
        .bind(&id)
        .fetch_one(&mut *connection)
        .await?;
    if count as usize > MAX_EVENTS {
        return Err(Error::CookFull { most: MAX_EVENTS });
    }
    if opened > 0 {
        put_summary(connection, &id, &summary).await?;
    } else if stored > 0 {
        // What the list shows of a cook that was here is made anew.
        sqlx::query("DELETE FROM cook_summary WHERE cook_id = ?").bind(&id).execute(connection).await?;
    }
    Ok(())
}
