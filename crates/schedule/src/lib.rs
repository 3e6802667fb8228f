//! Placing work back from a bell: jobs with hands and things, what must come before what, and what waiting costs.
//!
//! It knows nothing of meat. Minutes count from the bell (before it is negative). A job is rigid: what is done within it keeps
//! its place. A first placing is made from the bell backwards; then some jobs at a time are taken out and put back where they
//! cost least, as often as it is given tries. Plates come late only where no placing is found that is on time. The same problem
//! gives the same placing.

mod broken;
mod cost;
mod draft;
mod improve;
mod insert;
mod late;
mod net;
mod placed;
mod problem;
mod queue;
mod ruin;
mod search;
mod stands;
mod taken;
#[cfg(test)]
mod testing;

pub use broken::{Broken, broken};
pub use placed::Placed;
pub use problem::{Booking, Edge, Gap, Give, HANDS, Job, Kind, Minute, OTHERS, Problem, Slot, Span, Take};
pub use search::{Placing, solve};
