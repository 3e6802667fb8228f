//! The cook sheet: one dish worked back from the bell.

mod back;
mod durations;
mod lay;
mod opened;
mod remedies;
mod rounding;
mod tasks;
mod worked;

pub(crate) use back::timing;
pub use back::{Conflict, Sheet, work_back, work_back_and_forecast};
pub use durations::Durations;
pub use lay::{hands_on_min, lay};
pub use remedies::Remedy;
pub use tasks::{Task, TaskId, TaskKind, Window};
pub use worked::{Ready, Worked};
