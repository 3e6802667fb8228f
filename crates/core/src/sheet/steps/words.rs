//! What the pan and the plate are told, whatever the way.

use ergastic_words::{Message, prepare, sheet as say};

use crate::bench::SearFat;
use crate::cuts::EatenAs;

/// What the meat is browned in.
pub(super) fn fat(fat: SearFat) -> Message {
    match fat {
        SearFat::Own => prepare::fat_own(),
        SearFat::Oil => prepare::fat_oil(),
        SearFat::Bacon => prepare::fat_bacon(),
    }
}

/// What the meat goes back into.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub(super) enum BackInto {
    Nothing,
    Sauce,
    Broth,
}

/// How it is cut up for the plate.
pub(super) fn cut_up(eaten_as: EatenAs, into: BackInto) -> (Message, Message) {
    use BackInto::{Broth, Nothing, Sauce};
    let what = match (eaten_as, into) {
        (EatenAs::Slice | EatenAs::Probe, Nothing) => say::slice(),
        (EatenAs::Slice | EatenAs::Probe, Sauce) => say::slice_into_the_sauce(),
        (EatenAs::Slice | EatenAs::Probe, Broth) => say::slice_into_the_broth(),
        (EatenAs::Pull, Nothing) => say::pull(),
        (EatenAs::Pull, Sauce) => say::pull_into_the_sauce(),
        (EatenAs::Pull, Broth) => say::pull_into_the_broth(),
        (EatenAs::Fork, Nothing) => say::portion(),
        (EatenAs::Fork, Sauce) => say::portion_into_the_sauce(),
        (EatenAs::Fork, Broth) => say::portion_into_the_broth(),
        (EatenAs::Spoon, Nothing) => say::break_up(),
        (EatenAs::Spoon, Sauce) => say::break_up_into_the_sauce(),
        (EatenAs::Spoon, Broth) => say::break_up_into_the_broth(),
    };
    (what, if into == Nothing { say::board_dry_why() } else { say::board_why() })
}
