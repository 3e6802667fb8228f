//! The functions made of the Fluent files, a module a place.

include!(concat!(env!("OUT_DIR"), "/places.rs"));
