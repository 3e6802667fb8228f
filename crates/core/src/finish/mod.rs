//! Bringing the sauce home: skim, taste, then reduce or thicken.

mod sauce;

pub use sauce::{Sauce, SauceRequest, SauceStep, Skim, Target, Taste, Thickener, sauce};
