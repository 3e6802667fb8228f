//! Heat: into the meat, and in what surrounds it.

pub mod body;
pub mod coals;
pub mod conduction;
pub mod frozen;
pub mod hob;
pub mod pit;
pub mod places;
pub mod pot;
pub mod pressure;
pub mod smooth;
pub mod steam;
