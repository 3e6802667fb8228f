//! A taste of the pot corrects what was reckoned of its salt: stock, rubs and cures are never what the label says.

use serde::{Deserialize, Serialize};
use statrs::distribution::{ContinuousCDF, Normal};
use strum::IntoStaticStr;
use utoipa::ToSchema;

/// How salt tastes.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema, IntoStaticStr)]
#[serde(rename_all = "snake_case")]
#[strum(serialize_all = "snake_case")]
pub enum Seasoned {
    /// Wants salt.
    Flat,
    /// Well salted.
    Right,
    /// Too salty.
    Salty,
}

impl Seasoned {
    /// All of them, from the flattest.
    pub const ALL: [Self; 3] = [Self::Flat, Self::Right, Self::Salty];

    /// Its name in JSON.
    pub fn key(self) -> &'static str {
        self.into()
    }
}

/// A spoonful of liquid is flat below the first and salty above the second, g/kg: a soup has 8 to 10, a sauce 10 to 14. Practice.
const EDGES: [f64; 2] = [6.0, 13.0];
/// As sharp as a tongue tells it, g/kg. Working value.
const TONGUE: f64 = 1.5;
/// Places looked at on either side of the estimate, and how far out they go, standard deviations.
const PLACES: i32 = 60;
const OUT: f64 = 4.0;

/// What is believed of the salt in a liquid.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct SaltBelief {
    /// Salt, g.
    pub grams: f64,
    /// Its standard deviation, g.
    pub doubt_g: f64,
}

impl SaltBelief {
    /// After a spoonful of so much liquid was tasted: Bayes over a normal belief, with a tongue of normal sharpness.
    #[must_use]
    pub fn tasted(self, found: Seasoned, liquid_l: f64) -> Self {
        let (below, above) = match found {
            Seasoned::Flat => (f64::NEG_INFINITY, EDGES[0]),
            Seasoned::Right => (EDGES[0], EDGES[1]),
            Seasoned::Salty => (EDGES[1], f64::INFINITY),
        };
        let tongue = Normal::standard();
        let beyond = |edge: f64, strength: f64| tongue.cdf((edge - strength) / TONGUE);
        let (mut all, mut sum, mut squares) = (0.0, 0.0, 0.0);
        for place in -PLACES..=PLACES {
            let out = OUT * f64::from(place) / f64::from(PLACES);
            let grams = self.grams + out * self.doubt_g;
            if grams < 0.0 {
                continue;
            }
            let strength = grams / liquid_l;
            // A tongue is wrong now and then.
            let tastes = 0.01 + beyond(above, strength) - beyond(below, strength);
            let weight = tastes * (-0.5 * out * out).exp();
            all += weight;
            sum += weight * grams;
            squares += weight * grams * grams;
        }
        let mean = sum / all;
        Self { grams: mean, doubt_g: f64::max(0.0, squares / all - mean * mean).sqrt() }
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use proptest::prelude::*;

    #[test]
    fn a_salty_pot_had_saltier_stock_than_its_label_and_a_right_one_is_surer() {
        let belief = SaltBelief { grams: 10.0, doubt_g: 3.0 };
        let [flat, right, salty] =
            [Seasoned::Flat, Seasoned::Right, Seasoned::Salty].map(|found| belief.tasted(found, 1.0));
        assert!(
            flat.grams < 8.0 && (right.grams - 10.0).abs() < 0.7 && salty.grams > 12.0,
            "{flat:?} {right:?} {salty:?}"
        );
        assert!(right.doubt_g < belief.doubt_g && salty.tasted(Seasoned::Salty, 1.0).grams > salty.grams);
    }

    proptest! {
        #[test]
        fn a_taste_never_takes_salt_below_none_and_what_is_known_is_not_moved(grams in 0.0..60.0f64, doubt_g in 0.01..20.0f64, litres in 0.1..6.0f64) {
            for found in [Seasoned::Flat, Seasoned::Right, Seasoned::Salty] {
                let after = SaltBelief { grams, doubt_g }.tasted(found, litres);
                prop_assert!(after.grams >= 0.0 && after.grams.is_finite() && after.doubt_g <= 1.7 * doubt_g + 1e-9, "{after:?}");
                let known = SaltBelief { grams, doubt_g: 1e-9 }.tasted(found, litres);
                prop_assert!((known.grams - grams).abs() < 1e-6);
            }
        }
    }
}
