//! Ergastic's server: the API over the core and the store, the web files, and the command line.

pub mod app;
pub mod cli;
mod compute;
mod demo;
mod error;
mod extract;
mod guard;
mod routes;
mod web;

pub use app::{App, api_document, router};
