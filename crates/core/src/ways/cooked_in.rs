//! What the meat lay in last.

use ergastic_words::Voice;

use crate::safety::{Caution, cooked_bag, under_fat};

/// What lay around the meat at the end, which decides how it is kept.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum CookedIn {
    /// A pot, or bare in the pit.
    Pot,
    /// A sealed bag.
    Bag,
    /// Fat.
    Fat,
}

impl CookedIn {
    /// What has to be known to keep it.
    pub fn caution(self, voice: Voice) -> Option<Caution> {
        match self {
            Self::Pot => None,
            Self::Bag => Some(cooked_bag(voice)),
            Self::Fat => Some(under_fat(voice)),
        }
    }
}
