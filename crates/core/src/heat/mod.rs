//! Heat: into the meat, and in what surrounds it.

pub mod coals;
pub mod conduction;
pub mod frozen;
pub mod pit;
pub mod pot;
pub mod pressure;
pub mod smooth;
pub mod steam;
