//! A live cook: its plan, and an append-only list of what happened, folded into what is so now.

mod actions;
mod alarms;
mod event;
mod finishing;
mod gone_wrong;
mod hand_over;
mod kinds;
mod learning;
mod log;
mod pot;
mod probes;
mod reckoning;
mod standing;
mod status;
mod summary;
mod task;
mod view;
mod went;
mod what_if;

pub use actions::{Action, Asks, CheckWay, Dial, Leads, Now};
pub use alarms::{Alarm, Sound};
pub use event::{Event, Happened};
pub use finishing::OutOfThePot;
pub use gone_wrong::{GoneWrong, gone_wrong};
pub use hand_over::{NextUp, OnTheHeat, hand_over};
pub use kinds::{By, Outcome, ProbeIn};
pub use learning::{CoursePoint, LiftOut, LookAt, MovedBy};
pub use log::{LogLine, TakeBack};
pub use pot::PotNow;
pub use probes::{ProbeNow, Trace, TracePoint, Trust, probes_of};
pub use standing::Standing;
pub use status::Status;
pub use summary::{CookLine, CookSummary, Reckoned};
pub use task::{CookTask, TaskState};
pub use view::{Band, CookView, Prediction, view};
pub use what_if::{CouldDo, WhatIf, what_if};
