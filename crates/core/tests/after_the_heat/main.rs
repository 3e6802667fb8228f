//! When the meat is done: the plate, what is held and kept, and what can hurt somebody.

mod afterwards;
mod dish;
mod food_that_hurts;
