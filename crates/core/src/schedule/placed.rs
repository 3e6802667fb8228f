//! Where a job lies.

use super::problem::Minute;

/// Where a job came to lie.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
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
}
