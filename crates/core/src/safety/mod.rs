//! What can hurt someone: said at its step where it binds, and all of it on one page.

mod cautions;
mod cooled;
mod page;

pub use cautions::*;
pub use cooled::{cooled_by, cooled_first, cooled_then};
pub use page::{CodeChoice, SafetyLine, SafetyPage, SafetyPart, SourceKind, safety_page};
