//! What a cook who is short of time gives up.

use ergastic_words::{Length, Message, matching as say};

/// Bites for a cook in a hurry, mm: as small as a fork still calls a piece.
pub const SMALL_MM: f64 = 25.0;

/// What is given up to be sooner.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub struct Hurry {
    /// Nothing goes through the pan.
    pub unbrowned: bool,
    /// Cut into bites.
    pub smaller: bool,
}

impl Hurry {
    /// How many things are given up.
    pub fn gives_up(self) -> u32 {
        u32::from(self.unbrowned) + u32::from(self.smaller)
    }

    /// Its part of a variant's id.
    pub fn key(self) -> &'static str {
        match (self.unbrowned, self.smaller) {
            (true, false) => "unbrowned",
            (false, true) => "small",
            _ => "unbrowned_small",
        }
    }

    /// A way's name, hurried so.
    pub fn name(self, name: Message) -> Message {
        let small = Length(SMALL_MM);
        match (self.unbrowned, self.smaller) {
            (true, false) => say::hurry_unbrowned(name),
            (false, true) => say::hurry_small(name, small),
            _ => say::hurry_both(name, small),
        }
    }
}
