//! Ergastic's server: the API over the core and the store, the web files, and the command line.

pub mod access;
pub mod app;
mod asked;
mod bringing;
pub mod changes;
mod checks;
pub mod cli;
pub mod clock;
mod complete;
mod compute;
mod demo;
mod document;
mod error;
mod extract;
mod folded;
mod guard;
mod kitchen_file;
mod logger_file;
mod opened;
pub mod patient;
mod queue;
mod recipe_file;
pub mod router;
mod routes;
pub mod serve;
mod sheet_files;
mod summaries;
mod traces;
mod units;
pub mod upkeep;
mod web;

pub use app::App;
pub use error::ProblemDetails;
pub use router::{api_document, beyond, router};
