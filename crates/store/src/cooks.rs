//! Cooks: the plan each was started from, and the append-only list of what happened.

use ergastic_core::cook::Event;
use ergastic_core::plan::Plan;
use jiff::Timestamp;
use uuid::Uuid;

use crate::{Error, Result, Store, read, read_instant, write, write_instant};

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
}

/// What became of appended events.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub struct Appended {
    /// New ones.
    pub stored: usize,
    /// Those whose id was there already; they change nothing.
    pub repeated: usize,
}

type Row = (String, String, String, String);

impl Store {
    /// The ids of every cook, the latest opened first.
    ///
    /// # Errors
    /// When the database can't be read.
    pub async fn cook_ids(&self) -> Result<Vec<Uuid>> {
        let ids: Vec<String> =
            sqlx::query_scalar("SELECT id FROM cook ORDER BY opened_at DESC, id").fetch_all(&self.pool).await?;
        ids.iter().map(|id| id.parse().map_err(|_| Error::Damaged(format!("{id:?} is not an id")))).collect()
    }

    /// One cook with its events.
    ///
    /// # Errors
    /// [`Error::NotFound`] when there is none.
    pub async fn cook(&self, id: Uuid) -> Result<StoredCook> {
        let row: Option<Row> = sqlx::query_as("SELECT id, plan_id, document, opened_at FROM cook WHERE id = ?")
            .bind(id.to_string())
            .fetch_optional(&self.pool)
            .await?;
        let Some((_, plan_id, document, opened_at)) = row else {
            return Err(Error::NotFound { what: "cook", id: id.to_string() });
        };
        let rows: Vec<(String, String, String)> =
            sqlx::query_as("SELECT id, at, happened FROM cook_event WHERE cook_id = ? ORDER BY seq")
                .bind(id.to_string())
                .fetch_all(&self.pool)
                .await?;
        let events = rows
            .into_iter()
            .map(|(id, at, happened)| {
                let id = id.parse().map_err(|_| Error::Damaged(format!("{id:?} is not an id")))?;
                Ok(Event { id, at: read_instant(&at)?, happened: read(&happened)? })
            })
            .collect::<Result<Vec<_>>>()?;
        let plan_id = plan_id.parse().map_err(|_| Error::Damaged(format!("{plan_id:?} is not an id")))?;
        Ok(StoredCook { id, plan_id, plan: read(&document)?, opened_at: read_instant(&opened_at)?, events })
    }

    /// Opens a cook from a plan; opening the same id again changes nothing.
    ///
    /// # Errors
    /// When the database can't be written.
    pub async fn open_cook(&self, id: Uuid, plan_id: Uuid, plan: &Plan, opened_at: Timestamp) -> Result<()> {
        sqlx::query(
            "INSERT INTO cook (id, plan_id, document, opened_at) VALUES (?, ?, ?, ?) ON CONFLICT (id) DO NOTHING",
        )
        .bind(id.to_string())
        .bind(plan_id.to_string())
        .bind(write(plan)?)
        .bind(write_instant(opened_at))
        .execute(&self.pool)
        .await?;
        Ok(())
    }

    /// Appends what happened, all of it or none.
    ///
    /// # Errors
    /// [`Error::NotFound`] when there is no such cook.
    pub async fn append(&self, cook_id: Uuid, events: &[Event]) -> Result<Appended> {
        let mut transaction = self.pool.begin_with("BEGIN IMMEDIATE").await?;
        let known: Option<i64> = sqlx::query_scalar("SELECT 1 FROM cook WHERE id = ?")
            .bind(cook_id.to_string())
            .fetch_optional(&mut *transaction)
            .await?;
        if known.is_none() {
            return Err(Error::NotFound { what: "cook", id: cook_id.to_string() });
        }
        let mut stored = 0;
        for event in events {
            let done = sqlx::query(
                "INSERT INTO cook_event (id, cook_id, at, happened) VALUES (?, ?, ?, ?) ON CONFLICT (id) DO NOTHING",
            )
            .bind(event.id.to_string())
            .bind(cook_id.to_string())
            .bind(write_instant(event.at))
            .bind(write(&event.happened)?)
            .execute(&mut *transaction)
            .await?;
            stored += done.rows_affected() as usize;
        }
        transaction.commit().await?;
        Ok(Appended { stored, repeated: events.len() - stored })
    }
}
