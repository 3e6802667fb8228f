//! Plans, with every version kept.

use ergastic_core::plan::Plan;
use jiff::Timestamp;
use uuid::Uuid;

use crate::{Error, Result, Store, read, read_instant, write, write_instant};

/// A plan as it stands.
#[derive(Debug, Clone, PartialEq)]
pub struct StoredPlan {
    /// Its id.
    pub id: Uuid,
    /// Counts up from 1 with each save.
    pub version: i64,
    /// The plan.
    pub plan: Plan,
    /// When this version was saved.
    pub saved_at: Timestamp,
}

type Row = (String, i64, String, String);

fn from_row((id, version, document, saved_at): Row) -> Result<StoredPlan> {
    let id = id.parse().map_err(|_| Error::Damaged(format!("{id:?} is not an id")))?;
    Ok(StoredPlan { id, version, plan: read(&document)?, saved_at: read_instant(&saved_at)? })
}

impl Store {
    /// Every plan in its newest version, by its bell.
    ///
    /// # Errors
    /// When the database can't be read.
    pub async fn plans(&self) -> Result<Vec<StoredPlan>> {
        let rows: Vec<Row> = sqlx::query_as(
            "SELECT id, version, document, saved_at FROM plan AS newest
             WHERE version = (SELECT max(version) FROM plan WHERE id = newest.id)",
        )
        .fetch_all(&self.pool)
        .await?;
        let mut plans = rows.into_iter().map(from_row).collect::<Result<Vec<_>>>()?;
        plans.sort_by_key(|stored| (stored.plan.bell, stored.id));
        Ok(plans)
    }

    /// One plan in its newest version.
    ///
    /// # Errors
    /// [`Error::NotFound`] when there is none.
    pub async fn plan(&self, id: Uuid) -> Result<StoredPlan> {
        let row: Option<Row> = sqlx::query_as(
            "SELECT id, version, document, saved_at FROM plan WHERE id = ? ORDER BY version DESC LIMIT 1",
        )
        .bind(id.to_string())
        .fetch_optional(&self.pool)
        .await?;
        row.map_or_else(|| Err(Error::NotFound { what: "plan", id: id.to_string() }), from_row)
    }

    /// The number and hour of every version of a plan, the newest first.
    ///
    /// # Errors
    /// [`Error::NotFound`] when there is no such plan.
    pub async fn plan_versions(&self, id: Uuid) -> Result<Vec<(i64, Timestamp)>> {
        let rows: Vec<(i64, String)> =
            sqlx::query_as("SELECT version, saved_at FROM plan WHERE id = ? ORDER BY version DESC")
                .bind(id.to_string())
                .fetch_all(&self.pool)
                .await?;
        if rows.is_empty() {
            return Err(Error::NotFound { what: "plan", id: id.to_string() });
        }
        rows.into_iter().map(|(version, saved_at)| Ok((version, read_instant(&saved_at)?))).collect()
    }

    /// One version of a plan.
    ///
    /// # Errors
    /// [`Error::NotFound`] when there is none.
    pub async fn plan_version(&self, id: Uuid, version: i64) -> Result<StoredPlan> {
        let row: Option<Row> =
            sqlx::query_as("SELECT id, version, document, saved_at FROM plan WHERE id = ? AND version = ?")
                .bind(id.to_string())
                .bind(version)
                .fetch_optional(&self.pool)
                .await?;
        row.map_or_else(|| Err(Error::NotFound { what: "version", id: format!("{id}, {version}") }), from_row)
    }

    /// Saves a plan over the version it was made from (0 for a new one).
    ///
    /// Saving the very document that stands changes nothing and answers its version, so that a
    /// repeated request does nothing twice.
    ///
    /// # Errors
    /// [`Error::Conflict`] when another version stands.
    pub async fn save_plan(&self, id: Uuid, from_version: i64, plan: &Plan, now: Timestamp) -> Result<StoredPlan> {
        let document = write(plan)?;
        let mut transaction = self.pool.begin_with("BEGIN IMMEDIATE").await?;
        let newest: Option<Row> = sqlx::query_as(
            "SELECT id, version, document, saved_at FROM plan WHERE id = ? ORDER BY version DESC LIMIT 1",
        )
        .bind(id.to_string())
        .fetch_optional(&mut *transaction)
        .await?;
        let current = newest.as_ref().map_or(0, |row| row.1);
        if let Some(row) = newest
            && row.2 == document
        {
            return from_row(row);
        }
        if current != from_version {
            return Err(Error::Conflict { given: from_version, current });
        }
        sqlx::query("INSERT INTO plan (id, version, document, saved_at) VALUES (?, ?, ?, ?)")
            .bind(id.to_string())
            .bind(current + 1)
            .bind(&document)
            .bind(write_instant(now))
            .execute(&mut *transaction)
            .await?;
        transaction.commit().await?;
        Ok(StoredPlan { id, version: current + 1, plan: plan.clone(), saved_at: now })
    }
}
