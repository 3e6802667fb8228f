//! What every step moves: everything of a dish is somewhere, from the shop to the plate.

mod book;
mod place;
mod substance;

pub(crate) use book::Ledger;
pub use book::LedgerLine;
pub use place::Place;
pub(crate) use substance::Substance;
