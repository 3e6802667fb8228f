//! One run of a case: pots, pits and `L` cooks' meat stepped together until nothing more is to be learned.

mod chain;
mod come_up;
mod ensemble;
mod lanes;
mod media;
mod pace;
mod part;
mod sample;
mod simulate;
mod surround;
mod watch;

pub use come_up::come_up_s;
pub(crate) use ensemble::run;
pub use ensemble::{Times, median_tender_s, median_times, run_all};
pub use lanes::{HORIZON_S, PartTimes, STEP_S};
pub use sample::{Sample, Sampled, run_all_sampled};
pub(crate) use watch::{Moment, Watch};

#[cfg(test)]
mod tests;
