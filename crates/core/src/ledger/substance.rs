//! What can be moved.

use std::fmt;

use crate::bench::{Addition, Larder};
use crate::finish::Thickener;

/// Something of a dish.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub(crate) enum Substance {
    /// The meat, of the one part there is.
    Meat,
    /// The meat of one part of several, from 1.
    MeatOf(usize),
    /// Bone that came out of it.
    Bone,
    /// Sinew and silver skin.
    Sinew,
    /// Fat: trimmed off, rendered, skimmed.
    Fat,
    /// The cooking liquid, once things have become one in the pot.
    Liquid,
    /// Salt for the meat.
    Salt,
    /// Something of the larder.
    Larder(Larder),
    /// Something that goes in later.
    Later(Addition),
    /// What thickens the sauce.
    Thickener(Thickener),
}

impl fmt::Display for Substance {
    fn fmt(&self, formatter: &mut fmt::Formatter) -> fmt::Result {
        match self {
            Self::Meat => formatter.write_str("meat"),
            Self::MeatOf(part) => write!(formatter, "meat:{part}"),
            Self::Bone => formatter.write_str("bone"),
            Self::Sinew => formatter.write_str("sinew"),
            Self::Fat => formatter.write_str("fat"),
            Self::Liquid => formatter.write_str("liquid"),
            Self::Salt => formatter.write_str("salt"),
            Self::Larder(what) => formatter.write_str(what.facts().key),
            Self::Later(what) => formatter.write_str(what.key()),
            Self::Thickener(what) => formatter.write_str(what.key()),
        }
    }
}
