//! What thickens, by the spoon and by weight.

use ergastic_words::{Message, Spoons, finish as say};

use super::choices::Thickener;

/// Flour on meat thickens like so much of it stirred in. Working value.
pub(crate) const DREDGED_COUNTS: f64 = 0.65;
/// A level teaspoon of cold water and of soft butter, g.
const WATER_TEASPOON_G: f64 = 5.0;
const BUTTER_TEASPOON_G: f64 = 4.7;

impl Thickener {
    /// So many g of it and what it is stirred into, each in spoons and grams.
    pub(super) fn amounts(self, grams: f64) -> Message {
        let starch = Spoons { grams, teaspoon_g: self.teaspoon_g() };
        let with_spoon_g = if self == Self::ButterPaste { BUTTER_TEASPOON_G } else { WATER_TEASPOON_G };
        let with = Spoons { grams: self.with_g(grams), teaspoon_g: with_spoon_g };
        say::slurry(starch, with, self.key())
    }
}
