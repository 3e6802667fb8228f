//! The bin: plans and cooks that were put away, until it is emptied.

use jiff::Timestamp;
use uuid::Uuid;

use crate::error::{Error, Result};
use crate::store::Store;
use crate::text::{read_instant, write_instant};

/// What can be put away.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum Trashable {
    /// A plan with its versions.
    Plan,
    /// A cook with what happened in it.
    Cook,
}

/// Something in the bin.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct Deleted {
    /// A plan or a cook.
    pub what: Trashable,
    /// Its id.
    pub id: Uuid,
    /// What the dish is called; empty where its document is damaged.
    pub name: String,
    /// When it was put there.
    pub deleted_at: Timestamp,
}

impl Store {
    /// Puts a plan or a cook in the bin; one that is there already stays.
    ///
    /// # Errors
    /// [`Error::NotFound`] when there is no such thing.
    pub async fn put_away(&self, what: Trashable, id: Uuid, now: Timestamp) -> Result<()> {
        let id_text = id.to_string();
        let mut writing = self.connections.write().await?;
        let done = match what {
            Trashable::Plan => {
                sqlx::query(
                    "INSERT INTO plan_trash (plan_id, deleted_at) SELECT ?1, ?2 WHERE EXISTS (SELECT 1 FROM plan WHERE id = ?1)
                     ON CONFLICT (plan_id) DO UPDATE SET deleted_at = deleted_at",
                )
            }
            Trashable::Cook => sqlx::query("UPDATE cook SET deleted_at = coalesce(deleted_at, ?2) WHERE id = ?1"),
        }
        .bind(&id_text)
        .bind(write_instant(now))
        .execute(&mut *writing)
        .await?;
        if what == Trashable::Cook {
            sqlx::query("UPDATE cook_summary SET deleted = 1 WHERE cook_id = ?")
                .bind(&id_text)
                .execute(&mut *writing)
                .await?;
        }
        if done.rows_affected() == 0 {
            let what = if what == Trashable::Plan { "plan" } else { "cook" };
            return Err(Error::NotFound { what, id: id_text });
        }
        writing.commit().await
    }

    /// Takes a plan or a cook out of the bin; one that is not there stays where it is.
    ///
    /// # Errors
    /// When the database can't be written.
    pub async fn take_out(&self, what: Trashable, id: Uuid) -> Result<()> {
        let mut writing = self.connections.write().await?;
        match what {
            Trashable::Plan => sqlx::query("DELETE FROM plan_trash WHERE plan_id = ?"),
            Trashable::Cook => sqlx::query("UPDATE cook SET deleted_at = NULL WHERE id = ?"),
        }
        .bind(id.to_string())
        .execute(&mut *writing)
        .await?;
        if what == Trashable::Cook {
            sqlx::query("UPDATE cook_summary SET deleted = 0 WHERE cook_id = ?")
                .bind(id.to_string())
                .execute(&mut *writing)
                .await?;
        }
        writing.commit().await
    }

    /// What is in the bin, the latest first.
    ///
    /// # Errors
    /// When the database can't be read.
    pub async fn trash(&self) -> Result<Vec<Deleted>> {
        let rows: Vec<(String, String, Option<String>, String)> = sqlx::query_as(
            "SELECT 'plan', plan_id, (SELECT CASE WHEN json_valid(document) THEN CAST(json_extract(document, '$.name') AS TEXT) END
                                      FROM plan WHERE id = plan_id ORDER BY version DESC LIMIT 1), deleted_at FROM plan_trash
             UNION ALL
             SELECT 'cook', id, CASE WHEN json_valid(document) THEN CAST(json_extract(document, '$.name') AS TEXT) END, deleted_at
             FROM cook WHERE deleted_at IS NOT NULL
             ORDER BY 4 DESC, 2",
        )
        .fetch_all(self.connections.read())
        .await?;
        let deleted = |(what, id, name, deleted_at): (String, String, Option<String>, String)| {
            Some(Deleted {
                what: if what == "plan" { Trashable::Plan } else { Trashable::Cook },
                id: id.parse().ok()?,
                name: name.unwrap_or_default(),
                deleted_at: read_instant(&deleted_at).ok()?,
            })
        };
        Ok(rows.into_iter().filter_map(deleted).collect())
    }

    /// Empties the bin for good; how many things were in it.
    ///
    /// # Errors
    /// When the database can't be written.
    pub async fn empty_trash(&self) -> Result<u64> {
        let mut writing = self.connections.write().await?;
        let mut gone = 0;
        for (statement, counts) in [
            ("DELETE FROM cook_event WHERE cook_id IN (SELECT id FROM cook WHERE deleted_at IS NOT NULL)", false),
            ("DELETE FROM cook WHERE deleted_at IS NOT NULL", true),
            ("DELETE FROM plan WHERE id IN (SELECT plan_id FROM plan_trash)", false),
            ("DELETE FROM plan_trash", true),
        ] {
            let done = sqlx::query(statement).execute(&mut *writing).await?;
            gone += if counts { done.rows_affected() } else { 0 };
        }
        writing.commit().await?;
        Ok(gone)
    }
}
