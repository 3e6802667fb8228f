//! What the meat lay in last.

use ergastic_words::Voice;

use super::medium::Medium;
use crate::safety::{Caution, cooked_bag, under_fat};

/// What lay around the meat at the end, which decides how it is kept.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub(crate) enum CookedIn {
    /// A pot, or bare in the pit.
    Pot,
    /// A sealed bag.
    Bag,
    /// Fat.
    Fat,
}

impl CookedIn {
    /// Of a heat.
    pub fn of(medium: &Medium) -> Self {
        match medium {
            Medium::Fat { .. } => Self::Fat,
            Medium::Bath { .. } => Self::Bag,
            Medium::Oven { .. }
            | Medium::Hob { .. }
            | Medium::Coals(_)
            | Medium::Pressure { .. }
            | Medium::SlowCooker { .. }
            | Medium::KeepWarm { .. }
            | Medium::Pit { .. }
            | Medium::Chill { .. }
            | Medium::Reheat { .. } => Self::Pot,
        }
    }

    /// What has to be known to keep it.
    pub fn caution(self, voice: Voice) -> Option<Caution> {
        match self {
            Self::Pot => None,
            Self::Bag => Some(cooked_bag(voice)),
            Self::Fat => Some(under_fat(voice)),
        }
    }
}
