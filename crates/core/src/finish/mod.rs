//! Bringing the sauce home: skim, taste, then reduce or thicken; slicing, and cooling what is left.

mod advice;
mod body;
mod choices;
mod cooking_liquid;
mod cooling;
mod legs;
mod moves;
mod offered;
mod plate;
mod proposed;
mod remains;
mod request;
mod sauce;
mod slicing;
mod stove;
mod tasted;
mod thicken;
mod walk;

pub use advice::{Helps, TasteAdvice};
pub use body::OnTheSpoon;
pub(crate) use choices::{FILM_MM, SAUCE_A_HEAD_L};
pub use choices::{Skim, Target, Taste, Thickener};
pub use cooling::{CoolIn, Cooled, ToCool, cooling, stood_min};
pub use legs::{Bends, SauceLeg, Stand};
pub(crate) use moves::{MAX_MOVES, check_moves};
pub use moves::{Move, Strain};
pub use offered::{MoreChoice, SkimChoice, SpoonTest, ThickenerChoice};
pub(crate) use plate::{FLAT_G_PER_KG, MeatOnPlate, SALTY_G_PER_KG, bears_g_per_kg};
pub(crate) use remains::{Remains, Share, remains};
pub use request::{SauceChoices, SauceRequest};
pub(crate) use sauce::path;
pub use sauce::{Sauce, SauceStep, TargetBody, sauce};
pub use slicing::{fibre_length_mm, slicing};
pub(crate) use stove::boils_off_kg_s;
pub use tasted::{SaltBelief, Seasoned};
pub(crate) use thicken::DREDGED_COUNTS;
