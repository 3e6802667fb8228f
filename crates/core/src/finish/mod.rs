//! Bringing the sauce home: skim, taste, then reduce or thicken; slicing, and cooling what is left.

mod choices;
mod cooling;
mod plate;
mod sauce;
mod slicing;
mod tasted;
mod thicken;

pub(crate) use choices::FILM_MM;
pub use choices::{SauceRequest, Skim, Target, Taste, Thickener};
pub use cooling::{CoolIn, Cooled, cooling};
pub(crate) use plate::{FLAT_G_PER_KG, MeatOnPlate, SALTY_G_PER_KG, bears_g_per_kg};
pub use sauce::{Sauce, SauceStep, sauce};
pub(crate) use sauce::{boils_off_kg_s, path};
pub use slicing::{fibre_length_mm, slicing};
pub use tasted::{SaltBelief, Seasoned};
pub(crate) use thicken::DREDGED_COUNTS;
