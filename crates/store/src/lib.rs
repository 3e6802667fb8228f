//! Keeps a kitchen in SQLite: its plans with every version, its cooks with what happened, and
//! its probes' readings. It maps rows to the core's types and decides nothing.
//!
//! Every call answers after commit. The journal is a write-ahead log synchronised in full, so
//! what was acknowledged survives a kill at any moment.

mod backup;
mod connect;
mod cooks;
mod devices;
mod document;
mod error;
mod export;
mod file;
mod import;
mod kitchens;
mod migrations;
mod plans;
mod readings;
mod state;
mod store;
mod text;
mod told;
mod trash;
mod upgrade;

pub use backup::{keep_backup, restore};
pub use cooks::{Appended, MAX_EVENTS, RawCook, RawEvent, StoredCook, Summary};
pub use devices::{Device, Digest, ProbeKey, Role};
pub use document::{Document, brought_up};
pub use error::{Error, Result, Trouble};
pub use export::Progress;
pub use file::{CookFile, EventFile, FILE_VERSION, PlanFile, ReadingFile, Staged, as_document};
pub use import::{Brought, Import};
pub use kitchens::{DamagedKitchen, StoredKitchen};
pub use plans::{ListedPlan, StoredPlan};
pub use readings::{Reading, SeenProbe};
pub use state::{Lock, State};
pub use store::Store;
pub use told::ToldTask;
pub use trash::{Deleted, Trashable};
pub use upgrade::in_spoken_names;
