//! A cook while it goes on: what happens to it, what is believed of it, and what it says.

mod cook;
mod course;
mod evidence;
mod hours;
