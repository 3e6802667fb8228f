//! The cook sheet: what there is to do, worked back from the bell.

mod back;
mod bench;
mod broken;
mod course;
mod durations;
mod hours;
mod laid;
mod opened;
mod remedies;
mod rounding;
mod steps;
mod stock;
mod tasks;
mod things;
mod worked;

pub(crate) use back::needed_min;
pub use back::{Sheet, work_back, work_back_and_forecast};
pub use bench::{BenchStep, OnTheBench};
pub(crate) use broken::broken_promises;
pub use durations::Durations;
pub(crate) use hours::{PlacingFrame, TABLE_WAITS, TakenSpan, problem, taken_spans, tasks};
pub(crate) use laid::{FURTHEST_MIN, lay, lay_back, lead_min, nights};
pub use remedies::Remedy;
pub(crate) use remedies::{Met, TO_DECIDE_MIN, changes_that_help, first_quarter, later_serving};
pub(crate) use steps::{Steps, set_c, steps, whole};
pub(crate) use stock::Stock;
pub use tasks::{Conflict, Task, TaskId, TaskKind, Window};
pub use things::{TakenAs, ThingTaken};
pub(crate) use things::{short, taken};
pub use worked::{Ready, Settled};
