//! One run of a case: pots, pits and `L` cooks' meat stepped together until nothing more is to be learned.

mod chain;
mod come_up;
mod ensemble;
mod lanes;
mod media;
mod part;
mod sample;
mod simulate;
mod surround;
mod watch;

pub use come_up::come_up_s;
pub use ensemble::{Times, median_tender_s, median_times, run_all, run_median};
pub use lanes::{HORIZON_S, STEP_S};
pub use sample::{Sample, run_all_sampled};
pub use watch::{Moment, Unwatched, Watch};
