//! Bringing the sauce home: skim, taste, then reduce or thicken; slicing, and cooling what is left.

mod choices;
mod cooling;
mod sauce;
mod slicing;

pub use choices::{SauceRequest, Skim, Target, Taste, Thickener};
pub use cooling::{CoolIn, Cooled, cooling};
pub(crate) use sauce::BURNER_SHARE;
pub(crate) use sauce::path;
pub use sauce::{Sauce, SauceStep, sauce};
pub use slicing::{fibre_length_mm, slicing};
