//! The API's handlers, thin over the core and the store.

pub mod compute;
pub mod cooks;
pub mod devices;
pub mod events;
pub mod kitchen;
pub mod loggers;
pub mod meals;
pub mod now;
pub mod plans;
pub mod probes;
pub mod recipes;
pub mod transfer;
pub mod trash;
pub mod why;
