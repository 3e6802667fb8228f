//! What the calendars of meals were made of, so that the next can cancel what is no longer to be done.

use jiff::Timestamp;

use crate::error::Result;
use crate::store::Store;
use crate::text::{read_instant, write_instant};

/// A task that a calendar tells of.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct ToldTask {
    /// Its id in the meal.
    pub task: String,
    /// What is to be done.
    pub what: String,
    /// From.
    pub begins: Timestamp,
    /// To.
    pub ends: Timestamp,
}

impl Store {
    /// Keeps what a meal's calendar tells of now.
    ///
    /// # Errors
    /// When the database can't be written.
    pub async fn tell_tasks(&self, meal: &str, now: &[ToldTask]) -> Result<()> {
        let mut writing = self.connections.write().await?;
        for ToldTask { task, what, begins, ends } in now {
            sqlx::query(
                "INSERT INTO told_task (meal, task, what, begins, ends) VALUES (?, ?, ?, ?, ?)
                 ON CONFLICT (meal, task) DO UPDATE SET what = excluded.what, begins = excluded.begins, ends = excluded.ends",
            )
            .bind(meal)
            .bind(task)
            .bind(what)
            .bind(write_instant(*begins))
            .bind(write_instant(*ends))
            .execute(&mut *writing)
            .await?;
        }
        writing.commit().await
    }

    /// What an earlier calendar of a meal told of and this one does not.
    ///
    /// # Errors
    /// When the database can't be read.
    pub async fn told_and_gone(&self, meal: &str, now: &[ToldTask]) -> Result<Vec<ToldTask>> {
        let all: Vec<(String, String, String, String)> =
            sqlx::query_as("SELECT task, what, begins, ends FROM told_task WHERE meal = ? ORDER BY begins, task")
                .bind(meal)
                .fetch_all(self.connections.read())
                .await?;
        let gone = all.into_iter().filter(|(task, ..)| !now.iter().any(|told| told.task == *task));
        gone.map(|(task, what, begins, ends)| {
            Ok(ToldTask { task, what, begins: read_instant(&begins)?, ends: read_instant(&ends)? })
        })
        .collect()
    }
}
