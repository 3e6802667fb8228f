//! What can hurt someone: said at its step where it binds, and all of it on one page.

mod cautions;
mod page;

pub use cautions::*;
pub use page::{CodeChoice, SafetyLine, SafetyPage, SafetyPart, SourceKind, keeps_days, safety_page};
