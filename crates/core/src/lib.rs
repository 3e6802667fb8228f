//! The job of a tough-cut cook, as rules and computation.
//!
//! The modules stand in the order the cook works: which cut ([`cuts`]), which way
//! ([`matching`]), at the bench ([`prepare`]), over the heat ([`heat`], [`tender`],
//! [`forecast`]; the physics is in `ergastic_physics`), by the clock ([`sheet`], [`cook`]), and to the
//! plate ([`finish`]), with what can hurt someone ([`safety`]).
//!
//! Nothing in here does I/O, reads a clock or knows an interface: `now`, seeds and time
//! zones are arguments, and the same input gives the same output on any number of threads.

pub mod afterwards;
pub mod bench;
pub mod clock;
pub mod cook;
pub mod cuts;
pub mod error;
pub mod finish;
pub mod forecast;
pub mod heat;
pub mod json;
pub mod kitchen;
pub mod learn;
pub mod ledger;
pub mod matching;
pub mod meal;
pub mod plan;
pub mod prepare;
pub mod safety;
pub mod sheet;
pub mod tender;
pub mod text;
pub mod ways;

pub use ergastic_physics::{Cancel, Cancelled, How};
pub use error::{Error, Result};
