//! The physics of a tough cut: heat into the meat and in what surrounds it, how it softens, what leaves it, and whole cooks of
//! it run as ensembles.
//!
//! SI in, SI out, but that temperatures are in °C. It knows no cuts, ways, things of a kitchen, words or files: whoever asks
//! fills in a [`case::Case`] and gets figures back.

pub mod beliefs;
pub mod body;
pub mod case;
pub mod coals;
pub mod conduction;
pub mod frozen;
mod how;
pub mod juices;
pub mod liquid;
pub mod medium;
pub mod members;
mod middle;
pub mod model;
pub mod parameters;
pub mod part;
pub mod pit;
pub mod places;
pub mod pressure;
pub mod record;
mod run;
pub mod smooth;
pub mod steam;
pub mod tender;
#[cfg(test)]
mod testing;
pub mod units;
pub mod vessel;

pub use ergastic_cancel::{Cancel, Cancelled};
pub use how::How;
pub use middle::middle_s;
pub use record::recorded;
pub use run::{
    HORIZON_S, PartTimes, STEP_S, Sample, Sampled, Times, come_up_s, median_tender_s, median_times, run_all,
    run_all_sampled,
};
