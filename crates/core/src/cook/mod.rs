//! A live cook: its plan, and an append-only list of what happened, folded into what is so now.

mod actions;
mod event;
mod log;
mod pot;
mod status;
mod summary;
mod task;
mod view;

pub use actions::{Action, Asks, Leads, Now};
pub use event::{Event, Happened, Outcome, Standing};
pub use log::{LogLine, TakeBack};
pub use pot::PotNow;
pub use status::Status;
pub use summary::{CookLine, CookSummary, Reckoned};
pub use task::{CookTask, TaskState};
pub use view::{Band, CookView, Prediction, view};
