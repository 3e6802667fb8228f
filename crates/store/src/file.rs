//! The whole kitchen as one JSON file: what stands in it.
//!
//! `{"ergastic": 1, "kitchen_damaged": …, "kitchen": …, "plans": […], "cooks": […], "probes": […]}`, each part optional. Documents are carried as
//! they are kept; whoever brings a file in reads and checks them.

use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use serde_json::Value;
use serde_with::skip_serializing_none;
use uuid::Uuid;

use crate::cooks::Summary;

/// The version of the file's layout.
pub const FILE_VERSION: u32 = 1;

/// One version of a plan in the file.
#[skip_serializing_none]
#[derive(Debug, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
pub struct PlanFile {
    /// Its id.
    pub id: Uuid,
    /// Counts up from 1; without it, it comes after those that are there.
    #[serde(default)]
    pub version: Option<i64>,
    /// When it was saved.
    pub saved_at: Timestamp,
    /// The plan.
    pub plan: Value,
    /// Put in the bin then.
    #[serde(default, alias = "binned_at")]
    pub deleted_at: Option<Timestamp>,
    /// Why its document could not be read; it is then carried as it was.
    #[serde(default)]
    pub damaged: Option<String>,
}

/// A cook in the file.
#[skip_serializing_none]
#[derive(Debug, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
pub struct CookFile {
    /// Its id.
    pub id: Uuid,
    /// The plan it came from.
    pub plan_id: Uuid,
    /// When it was opened.
    pub opened_at: Timestamp,
    /// The plan as it was then.
    pub plan: Value,
    /// What happened.
    #[serde(default)]
    pub events: Vec<EventFile>,
    /// Put in the bin then.
    #[serde(default, alias = "binned_at")]
    pub deleted_at: Option<Timestamp>,
    /// Why its documents could not be read; they are then carried as they were.
    #[serde(default)]
    pub damaged: Option<String>,
}

/// Something that happened in a cook in the file.
#[skip_serializing_none]
#[derive(Debug, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
pub struct EventFile {
    /// Its id.
    pub id: Uuid,
    /// When.
    pub at: Timestamp,
    /// What.
    pub happened: Value,
    /// On whose screen it was tapped.
    #[serde(default, alias = "screen")]
    pub device: Option<String>,
}

/// A reading in the file: `[id, at, celsius]`.
pub type ReadingFile = (Uuid, Timestamp, f64);

/// Something an import has brought and checked, and that waits for the rest.
#[derive(Debug, Serialize, Deserialize)]
#[serde(tag = "kind", rename_all = "snake_case")]
pub enum Staged {
    /// The kitchen.
    Kitchen {
        /// Its document.
        document: String,
        /// It can't be read, and is carried as it was.
        damaged: bool,
        /// When it came.
        saved_at: Timestamp,
    },
    /// A version of a plan.
    Plan {
        /// Its id.
        id: Uuid,
        /// Which version, where the file says.
        version: Option<i64>,
        /// When it was saved.
        saved_at: Timestamp,
        /// Its document.
        document: String,
        /// In the bin since.
        deleted_at: Option<Timestamp>,
    },
    /// A cook.
    Cook {
        /// Its id.
        id: Uuid,
        /// The plan it came from.
        plan_id: Uuid,
        /// When it was opened.
        opened_at: Timestamp,
        /// The plan's document.
        document: String,
        /// Id, instant, document and screen of what happened.
        events: Vec<(Uuid, Timestamp, String, Option<String>)>,
        /// In the bin since.
        deleted_at: Option<Timestamp>,
        /// What lists show of it.
        summary: Summary,
    },
}

/// The document that [`crate::text::as_json`] made a value of.
pub fn as_document(value: &Value) -> String {
    value.as_str().map_or_else(|| value.to_string(), str::to_owned)
}
