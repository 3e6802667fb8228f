//! Bringing the sauce home: skim, taste, then reduce or thicken; slicing, and cooling what is left.

mod cooling;
mod sauce;
mod slicing;

pub use cooling::{CoolIn, Cooled, cooling};
pub use sauce::{Sauce, SauceRequest, SauceStep, Skim, Target, Taste, Thickener, sauce};
pub use slicing::{fibre_length_mm, slicing};
