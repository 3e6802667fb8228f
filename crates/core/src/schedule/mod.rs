//! Placing work back from a bell: jobs with hands and things, what must come before what, and what waiting costs.
//!
//! It knows nothing of meat. Minutes count from the bell (before it is negative). A job is rigid: what is done within it keeps
//! its place. Jobs are placed from the bell backwards, each as late as what follows allows, in an order that a search improves;
//! the same problem gives the same placing.

mod bounds;
mod broken;
mod cost;
mod improve;
mod place;
mod placed;
mod problem;
mod timeline;

pub use broken::{Broken, broken};
pub use improve::solve;
pub use place::Placing;
pub use placed::Placed;
pub use problem::{Booking, Edge, Gap, Give, HANDS, Job, Kind, Minute, OTHERS, Place, Problem, Short, Span, Take};
