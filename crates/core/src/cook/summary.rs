//! What a list of cooks shows of one: the facts, which follow from what happened alone, and what the forecast said, which
//! takes a run.

use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use serde_with::skip_serializing_none;
use utoipa::ToSchema;
use uuid::Uuid;

use super::event::Event;
use super::kinds::Outcome;
use super::standing::Standing;
use super::status::Status;
use super::view::{Band, CookView, Prediction};
use crate::cuts::Cut;
use crate::plan::Plan;

/// A cook in the log.
#[skip_serializing_none]
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct CookSummary {
    /// Its id.
    pub id: Uuid,
    /// The plan it came from.
    pub plan_id: Uuid,
    /// What the dish is called; empty where it can't be read.
    pub name: String,
    /// How many eat.
    #[serde(default)]
    pub people: Option<u32>,
    /// Plates on the table.
    #[serde(default)]
    pub serve_at: Option<Timestamp>,
    /// The cut, where there is one.
    #[serde(default)]
    pub cut: Option<Cut>,
    /// Raw, kg, where it was given.
    #[serde(default)]
    pub mass_kg: Option<f64>,
    /// When it was opened.
    pub opened_at: Timestamp,
    /// How far it has come.
    pub status: Status,
    /// The clock's start: the meat met the heat.
    #[serde(default)]
    pub heat_on_at: Option<Timestamp>,
    /// How it ended, if it did.
    #[serde(default)]
    pub outcome: Option<Outcome>,
    /// What the forecast said when something last happened in it; none until it was run.
    #[serde(default)]
    pub reckoned: Option<Reckoned>,
    /// Why it can't be shown, if so: its own fault and no other's.
    #[serde(default)]
    pub broken: Option<String>,
}

/// A cook's line in the list of all.
#[skip_serializing_none]
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct CookLine {
    /// Its id.
    pub id: Uuid,
    /// The plan it came from.
    pub plan_id: Uuid,
    /// What the dish is called; empty where it can't be read.
    pub name: String,
    /// Plates on the table.
    #[serde(default)]
    pub serve_at: Option<Timestamp>,
    /// When it was opened.
    pub opened_at: Timestamp,
    /// How far it has come.
    pub status: Status,
    /// When it is tender, P10, while it is under way.
    #[serde(default)]
    pub tender_from: Option<Timestamp>,
    /// When it is tender, P90, while it is under way.
    #[serde(default)]
    pub tender_until: Option<Timestamp>,
    /// Why it can't be shown, if so: its own fault and no other's.
    #[serde(default)]
    pub broken: Option<String>,
}

/// What the forecast said of a cook in the log.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Reckoned {
    /// When the sheet has the meat meet the heat.
    pub planned_heat_on_at: Timestamp,
    /// The band after everything found.
    pub band: Band,
    /// The band before any of it.
    pub predicted: Band,
    /// Tender, by the first check that said so or the lifting.
    pub tender_at: Option<Timestamp>,
    /// What was foretold against what came.
    pub prediction: Prediction,
    /// What it taught of this kitchen, in sentences.
    pub learned: Vec<String>,
}

impl CookSummary {
    /// The facts of a cook.
    pub fn facts(id: Uuid, plan_id: Uuid, plan: &Plan, opened_at: Timestamp, events: &[Event]) -> Self {
        let standing = Standing::of(events);
        Self {
            id,
            plan_id,
            name: plan.name.clone(),
            people: Some(plan.people),
            serve_at: Some(plan.serve_at),
            cut: plan.forecast.cut,
            mass_kg: plan.forecast.mass_kg,
            opened_at,
            status: Status::of(&standing, None),
            heat_on_at: standing.on_the_heat(),
            outcome: standing.closed().map(|(_, outcome)| outcome.clone()),
            reckoned: None,
            broken: None,
        }
    }

    /// The same with what the forecast says.
    #[must_use]
    pub fn with(self, view: &CookView) -> Self {
        let reckoned = Reckoned {
            planned_heat_on_at: view.planned_heat_on_at,
            band: view.band.clone(),
            predicted: view.predicted.clone(),
            tender_at: view.tender_at,
            prediction: view.prediction.clone(),
            learned: view.learned.words.clone(),
        };
        Self { status: view.status, reckoned: Some(reckoned), ..self }
    }

    /// Its line in the list of all.
    pub fn line(&self) -> CookLine {
        let ready = self.reckoned.as_ref().filter(|_| self.status == Status::UnderWay).map(|said| &said.band.ready);
        CookLine {
            id: self.id,
            plan_id: self.plan_id,
            name: self.name.clone(),
            serve_at: self.serve_at,
            opened_at: self.opened_at,
            status: self.status,
            tender_from: ready.and_then(|ready| ready.p10),
            tender_until: ready.and_then(|ready| ready.p90),
            broken: self.broken.clone(),
        }
    }

    /// A cook that can't be shown.
    pub fn broken(id: Uuid, plan_id: Uuid, name: &str, opened_at: Timestamp, why: String) -> Self {
        Self {
            id,
            plan_id,
            name: name.to_owned(),
            people: None,
            serve_at: None,
            cut: None,
            mass_kg: None,
            opened_at,
            status: Status::Closed,
            heat_on_at: None,
            outcome: None,
            reckoned: None,
            broken: Some(why),
        }
    }
}
