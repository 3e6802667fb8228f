//! Where a job lies.

use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::problem::Minute;

/// Where a job came to lie.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Placed {
    /// From this minute on.
    At(Minute),
    /// Here, in no time of its own.
    Squeezed(Minute),
    /// Left out.
    Dropped,
}

impl Placed {
    /// When it starts, if it is done.
    pub fn start(self) -> Option<Minute> {
        match self {
            Self::At(at) | Self::Squeezed(at) => Some(at),
            Self::Dropped => None,
        }
    }

    /// When a moment of it is, given in minutes from its start; what takes no time has but one.
    pub fn moment(self, at: Minute) -> Option<Minute> {
        match self {
            Self::At(start) => Some(start + at),
            Self::Squeezed(start) => Some(start),
            Self::Dropped => None,
        }
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn what_takes_no_time_has_one_moment_and_what_is_left_out_has_none() {
        assert_eq!((Placed::At(-90).start(), Placed::At(-90).moment(30)), (Some(-90), Some(-60)));
        assert_eq!((Placed::Squeezed(-90).start(), Placed::Squeezed(-90).moment(30)), (Some(-90), Some(-90)));
        assert_eq!((Placed::Dropped.start(), Placed::Dropped.moment(30)), (None, None));
    }
}
