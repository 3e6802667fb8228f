//! The whole kitchen as one file, out and in.

use ergastic_core::cook::Event;
use ergastic_core::kitchen::Kitchen;
use ergastic_core::plan::Plan;
use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use uuid::Uuid;

use crate::{Error, Reading, Result, Store, write};

/// The version of the file's layout.
pub const FILE_VERSION: u32 = 1;

/// A whole kitchen as plain JSON.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
pub struct KitchenFile {
    /// Layout of this file.
    pub ergastic: u32,
    /// The kitchen.
    #[serde(default)]
    pub kitchen: Kitchen,
    /// Plans in their newest version.
    #[serde(default)]
    pub plans: Vec<PlanFile>,
    /// Cooks with what happened.
    #[serde(default)]
    pub cooks: Vec<CookFile>,
    /// Probes with their readings.
    #[serde(default)]
    pub probes: Vec<ProbeFile>,
}

/// A plan in the file.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
pub struct PlanFile {
    /// Its id.
    pub id: Uuid,
    /// When it was saved.
    pub saved_at: Timestamp,
    /// The plan.
    pub plan: Plan,
}

/// A cook in the file.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
pub struct CookFile {
    /// Its id.
    pub id: Uuid,
    /// The plan it came from.
    pub plan_id: Uuid,
    /// When it was opened.
    pub opened_at: Timestamp,
    /// The plan as it was then.
    pub plan: Plan,
    /// What happened.
    #[serde(default)]
    pub events: Vec<Event>,
}

/// A probe in the file.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
pub struct ProbeFile {
    /// Its name.
    pub probe: String,
    /// Readings as `[id, at, celsius]`.
    pub readings: Vec<(Uuid, Timestamp, f64)>,
}

impl Store {
    /// Everything, as one file.
    ///
    /// # Errors
    /// When the database can't be read.
    pub async fn export(&self) -> Result<KitchenFile> {
        let mut cooks = Vec::new();
        for id in self.cook_ids().await? {
            let cook = self.cook(id).await?;
            cooks.push(CookFile {
                id,
                plan_id: cook.plan_id,
                opened_at: cook.opened_at,
                plan: cook.plan,
                events: cook.events,
            });
        }
        let mut probes = Vec::new();
        for probe in self.probes().await? {
            let readings = self.readings(&probe, Timestamp::MIN, Timestamp::MAX).await?;
            probes.push(ProbeFile {
                probe,
                readings: readings.into_iter().map(|Reading { id, at, celsius }| (id, at, celsius)).collect(),
            });
        }
        let plans = self
            .plans()
            .await?
            .into_iter()
            .map(|stored| PlanFile { id: stored.id, saved_at: stored.saved_at, plan: stored.plan })
            .collect();
        Ok(KitchenFile { ergastic: FILE_VERSION, kitchen: self.kitchen().await?, plans, cooks, probes })
    }

    /// Takes a file into this kitchen, all of it or nothing. What is there already stays; a plan
    /// that differs becomes its newest version.
    ///
    /// # Errors
    /// [`Error::Damaged`] when the file is of a later layout; otherwise when the database can't be written.
    pub async fn import(&self, file: &KitchenFile) -> Result<()> {
        if file.ergastic != FILE_VERSION {
            return Err(Error::Damaged(format!(
                "the file has layout {}, this version reads {FILE_VERSION}",
                file.ergastic
            )));
        }
        let mut transaction = self.pool.begin_with("BEGIN IMMEDIATE").await?;
        sqlx::query("INSERT INTO kitchen (id, document) VALUES (1, ?) ON CONFLICT (id) DO UPDATE SET document = excluded.document")
            .bind(write(&file.kitchen)?)
            .execute(&mut *transaction)
            .await?;
        for PlanFile { id, saved_at, plan } in &file.plans {
            sqlx::query(
                "INSERT INTO plan (id, version, document, saved_at)
                 SELECT ?1, coalesce(max(version), 0) + 1, ?2, ?3 FROM plan WHERE id = ?1
                 HAVING ?2 IS NOT (SELECT document FROM plan WHERE id = ?1 ORDER BY version DESC LIMIT 1)",
            )
            .bind(id.to_string())
            .bind(write(plan)?)
            .bind(crate::write_instant(*saved_at))
            .execute(&mut *transaction)
            .await?;
        }
        for cook in &file.cooks {
            sqlx::query(
                "INSERT INTO cook (id, plan_id, document, opened_at) VALUES (?, ?, ?, ?) ON CONFLICT (id) DO NOTHING",
            )
            .bind(cook.id.to_string())
            .bind(cook.plan_id.to_string())
            .bind(write(&cook.plan)?)
            .bind(crate::write_instant(cook.opened_at))
            .execute(&mut *transaction)
            .await?;
            for event in &cook.events {
                sqlx::query("INSERT INTO cook_event (id, cook_id, at, happened) VALUES (?, ?, ?, ?) ON CONFLICT (id) DO NOTHING")
                    .bind(event.id.to_string())
                    .bind(cook.id.to_string())
                    .bind(crate::write_instant(event.at))
                    .bind(write(&event.happened)?)
                    .execute(&mut *transaction)
                    .await?;
            }
        }
        for ProbeFile { probe, readings } in &file.probes {
            for (id, at, celsius) in readings {
                sqlx::query("INSERT INTO reading (probe, id, at, celsius) VALUES (?, ?, ?, ?) ON CONFLICT (probe, id) DO NOTHING")
                    .bind(probe)
                    .bind(id.to_string())
                    .bind(crate::write_instant(*at))
                    .bind(celsius)
                    .execute(&mut *transaction)
                    .await?;
            }
        }
        transaction.commit().await?;
        Ok(())
    }
}
