//! Heat: what the medium does, and how it gets into the meat.

pub mod conduction;
pub mod pot;
pub mod steam;
