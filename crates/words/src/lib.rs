//! The voice: every sentence the product says, in one place.
//!
//! The text lies in `en/*.ftl` (Project Fluent), a file a place. `build.rs` makes a function of each message, with an
//! argument for each thing the text names, typed by what it is: [`Mass`], [`Temperature`], [`Difference`], [`RoughMinutes`] …
//! What such a function gives is [`Message`]: the message and its facts, not yet a string. [`Voice::render`] puts it into the
//! cook's words and units.
//!
//! ```ignore
//! let said = safety::pierced(Temperature(66.0));
//! let text = Voice::new(Units::Us).render(said);
//! ```
//!
//! Why a thin layer of our own over `fluent-bundle`: `fluent-typed` knows strings and numbers only, so a length could be
//! given for a mass, and units would have to be chosen before the sentence is.

mod food_code;
mod message;
mod places;
mod quantity;
mod voice;
mod written;

pub use food_code::FoodCode;
pub use places::*;

pub use message::{Argument, Join, Message, MessageId};
pub use quantity::{
    Clock, Dial, Difference, Elevation, Grams, Guide, Instant, Length, Mass, Minutes, Percent, Power, Price,
    RoughMinutes, Share, Size, Spoons, Strength, Temperature, Units, Volume,
};
pub use voice::Voice;

/// What the tests read the whole voice by.
pub mod catalogue {
    use crate::message::MessageId;

    /// A text and what it takes.
    #[derive(Debug, Clone, Copy)]
    pub struct Entry {
        /// Where it stands.
        pub message: MessageId,
        /// The function made of it.
        pub function: &'static str,
        /// Its arguments: name, kind, and the keys it chooses by.
        pub arguments: &'static [(&'static str, &'static str, &'static [&'static str])],
    }

    include!(concat!(env!("OUT_DIR"), "/catalogue.rs"));
}
