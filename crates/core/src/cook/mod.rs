//! A live cook: its plan, and an append-only list of what happened, folded into what is so now.

mod event;
mod summary;
mod view;

pub use event::{Event, Happened, Outcome, Standing};
pub use summary::{CookLine, CookSummary, Reckoned};
pub use view::{Band, CookTask, CookView, LogLine, PotNow, Prediction, Status, TaskState, view};
