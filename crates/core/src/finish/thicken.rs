//! How much starch: by what it is to become, what gelatin and flour already do, and by the spoon.

use ergastic_words::{Said, Spoons, finish as say};

use super::choices::{Target, Thickener};

/// Gelatin that lightly coats a spoon, %.
pub(super) const GELATIN_COAT: f64 = 8.0;
/// From here gelatin takes a third off the starch, %.
const GELATIN_HELPS: f64 = 5.0;
/// Flour on meat thickens like so much of it stirred in. Working value.
pub(crate) const DREDGED_COUNTS: f64 = 0.65;
/// Water to a slurry, g for each of starch: as much by volume. Practice.
const WATER_TO_STARCH: f64 = 1.9;
/// A level teaspoon of cold water and of soft butter, g.
const WATER_TEASPOON_G: f64 = 5.0;
const BUTTER_TEASPOON_G: f64 = 4.7;

/// What goes in, g.
#[derive(Debug, Clone, Copy, PartialEq, Default)]
pub(super) struct Thickening {
    /// Starch or flour.
    pub starch_g: f64,
    /// Cold water for its slurry, or butter for its paste.
    pub with_g: f64,
}

/// The liquid that is thickened.
#[derive(Debug, Clone, Copy)]
pub(super) struct Thin {
    /// Tonight's share, L.
    pub litres: f64,
    /// Its gelatin, %.
    pub gelatin_pct: f64,
    /// Flour that came in on the meat, g, in this share.
    pub dredged_g: f64,
    /// A glaze that salt keeps from coming down to where it shines by itself.
    pub glaze_stopped: bool,
}

impl Thickener {
    /// What such a liquid needs of it to become what is wanted.
    pub(super) fn needed(self, target: Target, thin: Thin) -> Thickening {
        let thickness = |of: Self| {
            let (coat, gravy) = of.grams_per_litre()?;
            match target {
                Target::Broth => None,
                Target::Coat if thin.gelatin_pct >= GELATIN_COAT => None,
                Target::Coat => Some(coat),
                // It clings to the meat like a gravy.
                Target::Glaze if !thin.glaze_stopped => None,
                Target::Gravy | Target::Glaze => Some(gravy),
            }
        };
        let (Some(per_litre), Some(as_flour)) = (thickness(self), thickness(Self::Flour)) else {
            return Thickening::default();
        };
        let helped = if thin.gelatin_pct >= GELATIN_HELPS { 2.0 / 3.0 } else { 1.0 };
        // Flour that came in on the meat has thickened it part of the way.
        let part_way = DREDGED_COUNTS * thin.dredged_g / (as_flour * helped * f64::max(thin.litres, 1e-6));
        let starch_g = per_litre * thin.litres * helped * f64::max(0.0, 1.0 - part_way);
        let with = if self == Self::ButterPaste { 1.0 } else { WATER_TO_STARCH };
        Thickening { starch_g, with_g: starch_g * with }
    }

    /// Starch and what it is stirred into, each in spoons and grams.
    pub(super) fn amounts(self, thickening: Thickening) -> Said {
        let starch = Spoons { grams: thickening.starch_g, teaspoon_g: self.teaspoon_g() };
        let with_spoon_g = if self == Self::ButterPaste { BUTTER_TEASPOON_G } else { WATER_TEASPOON_G };
        let with = Spoons { grams: thickening.with_g, teaspoon_g: with_spoon_g };
        say::slurry(starch, with, self.key())
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    fn thin(litres: f64) -> Thin {
        Thin { litres, gelatin_pct: 2.0, dredged_g: 0.0, glaze_stopped: false }
    }

    #[test]
    fn flour_on_the_meat_counts_once_and_may_be_enough() {
        let grams = |dredged_g| Thickener::Cornflour.needed(Target::Coat, Thin { dredged_g, ..thin(1.0) }).starch_g;
        assert!((grams(0.0) - 20.0).abs() < 1e-9);
        // A thirty-gram dredge is worth 19.5 g of flour stirred in, of the forty that a litre wants.
        assert!((grams(30.0) - 20.0 * (1.0 - 19.5 / 40.0)).abs() < 1e-9);
        assert_eq!(grams(80.0), 0.0);
    }

    #[test]
    fn a_glaze_is_thickened_only_where_salt_stopped_it() {
        let grams = |glaze_stopped| Thickener::Arrowroot.needed(Target::Glaze, Thin { glaze_stopped, ..thin(0.5) });
        assert_eq!(grams(false), Thickening::default());
        assert!((grams(true).starch_g - 16.0).abs() < 1e-9);
        assert_eq!(Thickener::None.needed(Target::Gravy, thin(1.0)), Thickening::default());
    }
}
