//! Plans, with every version kept.

use ergastic_core::plan::Plan;
use jiff::Timestamp;
use sqlx::SqliteConnection;
use uuid::Uuid;

use crate::document::{Document, FORMAT};
use crate::error::{Error, Result};
use crate::store::Store;
use crate::text::{read_id, read_instant, write, write_instant};

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

/// A plan in the list of all: its newest version, or why that can't be read.
#[derive(Debug, Clone, PartialEq)]
pub struct ListedPlan {
    /// Its id.
    pub id: Uuid,
    /// Counts up from 1 with each save.
    pub version: i64,
    /// When this version was saved.
    pub saved_at: Timestamp,
    /// The plan, or what is wrong with it.
    pub plan: std::result::Result<Plan, String>,
}

type PlanRow = (String, i64, String, i64, String);

fn from_row((id, version, text, format, saved_at): PlanRow) -> Result<StoredPlan> {
    let plan = Document { format, text }.read()?;
    Ok(StoredPlan { id: read_id(&id)?, version, plan, saved_at: read_instant(&saved_at)? })
}

impl Store {
    /// Every plan that is not in the bin in its newest version, by its bell; those that can't be read come last.
    ///
    /// # Errors
    /// When the database can't be read.
    pub async fn plans(&self) -> Result<Vec<ListedPlan>> {
        let rows: Vec<PlanRow> = sqlx::query_as(
            "SELECT id, version, document, format, saved_at FROM plan AS newest
             WHERE version = (SELECT max(version) FROM plan WHERE id = newest.id)
               AND id NOT IN (SELECT plan_id FROM plan_trash)",
        )
        .fetch_all(self.connections.read())
        .await?;
        let listed = |(id, version, text, format, saved_at): PlanRow| {
            let plan = Document { format, text }.read().map_err(|error| error.to_string());
            Some(ListedPlan { id: id.parse().ok()?, version, saved_at: read_instant(&saved_at).ok()?, plan })
        };
        let mut plans: Vec<_> = rows.into_iter().filter_map(listed).collect();
        plans.sort_by_key(|listed| (listed.plan.as_ref().map_or(Timestamp::MAX, |plan| plan.serve_at), listed.id));
        Ok(plans)
    }

    /// One plan in its newest version.
    ///
    /// # Errors
    /// [`Error::NotFound`] when there is none.
    pub async fn plan(&self, id: Uuid) -> Result<StoredPlan> {
        let row: Option<PlanRow> = sqlx::query_as(
            "SELECT id, version, document, format, saved_at FROM plan WHERE id = ? ORDER BY version DESC LIMIT 1",
        )
        .bind(id.to_string())
        .fetch_optional(self.connections.read())
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
                .fetch_all(self.connections.read())
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
        let row: Option<PlanRow> =
            sqlx::query_as("SELECT id, version, document, format, saved_at FROM plan WHERE id = ? AND version = ?")
                .bind(id.to_string())
                .bind(version)
                .fetch_optional(self.connections.read())
                .await?;
        row.map_or_else(|| Err(Error::NotFound { what: "version", id: format!("{id}, {version}") }), from_row)
    }

    /// Saves a plan over the version it was made from (0 for a new one).
    ///
    /// Saving the very document that stands changes nothing and answers its version, so that a
    /// repeated request does nothing twice. The other dishes of its meal that are not being cooked yet get its bell and the meal's
    /// name with it; which they are is answered too.
    ///
    /// # Errors
    /// [`Error::Conflict`] when another version stands.
    pub async fn save_plan(
        &self,
        id: Uuid,
        from_version: i64,
        plan: &Plan,
        now: Timestamp,
    ) -> Result<(StoredPlan, Vec<Uuid>)> {
        let document = write(plan)?;
        let mut writing = self.connections.write().await?;
        let newest: Option<PlanRow> = sqlx::query_as(
            "SELECT id, version, document, format, saved_at FROM plan WHERE id = ? ORDER BY version DESC LIMIT 1",
        )
        .bind(id.to_string())
        .fetch_optional(&mut *writing)
        .await?;
        let current = newest.as_ref().map_or(0, |row| row.1);
        if let Some(row) = newest
            && row.2 == document
        {
            return from_row(row).map(|stored| (stored, Vec::new()));
        }
        if current != from_version {
            return Err(Error::Conflict { given: from_version, current });
        }
        sqlx::query("INSERT INTO plan (id, version, document, format, saved_at) VALUES (?, ?, ?, ?, ?)")
            .bind(id.to_string())
            .bind(current + 1)
            .bind(&document)
            .bind(FORMAT)
            .bind(write_instant(now))
            .execute(&mut *writing)
            .await?;
        // Who goes on with a plan wants it back.
        sqlx::query("DELETE FROM plan_trash WHERE plan_id = ?").bind(id.to_string()).execute(&mut *writing).await?;
        let alike = alike(&mut writing, id, plan, now).await?;
        writing.commit().await?;
        Ok((StoredPlan { id, version: current + 1, plan: plan.clone(), saved_at: now }, alike))
    }
}

/// Brings the other dishes of a plan's meal in line with it; which ones were changed.
async fn alike(writing: &mut SqliteConnection, id: Uuid, plan: &Plan, now: Timestamp) -> Result<Vec<Uuid>> {
    if plan.meal.is_none() {
        return Ok(Vec::new());
    }
    let rows: Vec<PlanRow> = sqlx::query_as(
        "SELECT id, version, document, format, saved_at FROM plan AS newest
         WHERE version = (SELECT max(version) FROM plan WHERE id = newest.id) AND id != ?
           AND id NOT IN (SELECT plan_id FROM plan_trash) AND id NOT IN (SELECT plan_id FROM cook)",
    )
    .bind(id.to_string())
    .fetch_all(&mut *writing)
    .await?;
    let mut changed = Vec::new();
    // One that can't be read spoils itself alone.
    for other in rows.into_iter().filter_map(|row| from_row(row).ok()) {
        let Some(alike) = plan.alike(&other.plan) else { continue };
        sqlx::query("INSERT INTO plan (id, version, document, format, saved_at) VALUES (?, ?, ?, ?, ?)")
            .bind(other.id.to_string())
            .bind(other.version + 1)
            .bind(write(&alike)?)
            .bind(FORMAT)
            .bind(write_instant(now))
            .execute(&mut *writing)
            .await?;
        changed.push(other.id);
    }
    Ok(changed)
}
