//! How thick a liquid is, as a spoon tells it: by starch, by gelatin, by the fat beaten into it.

use serde::{Deserialize, Serialize};
use strum::IntoStaticStr;
use utoipa::ToSchema;

use super::choices::{Target, Thickener};

/// Gelatin that coats a spoon by itself, %, and that is sticky like a glaze. Working values.
pub(super) const GELATIN_COAT: f64 = 8.0;
pub(super) const GELATIN_GLAZE: f64 = 15.0;
/// From here gelatin takes a third off the starch, %. Practice.
const GELATIN_HELPS: f64 = 5.0;
const STARCH_LESS: f64 = 2.0 / 3.0;
/// Fat beaten into a litre, g, that coats a spoon, and that stands like a gravy. Working values.
const BEATEN_IN: (f64, f64) = (160.0, 450.0);

/// Body at which a liquid coats a spoon, is a gravy, sticks like a glaze.
pub(super) const COATS: f64 = 1.0;
pub(super) const GRAVY: f64 = 2.0;
pub(super) const STICKS: f64 = 3.0;

/// What a spoon dipped in it shows, from thin to thick.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema, IntoStaticStr)]
#[serde(rename_all = "snake_case")]
#[strum(serialize_all = "snake_case")]
pub enum OnTheSpoon {
    /// Runs off like water.
    Runs,
    /// Leaves a film that closes over a finger's line.
    Film,
    /// Coats it: the line stays.
    Coats,
    /// Clings, and falls in heavy drops.
    Clings,
    /// Sticks and pulls threads.
    Sticks,
}

impl OnTheSpoon {
    /// All five, from thin to thick.
    pub const ALL: [Self; 5] = [Self::Runs, Self::Film, Self::Coats, Self::Clings, Self::Sticks];

    /// What a liquid of some body shows.
    pub fn of(body: f64) -> Self {
        match body {
            body if body < 0.35 => Self::Runs,
            body if body < COATS - 0.05 => Self::Film,
            body if body < 1.6 => Self::Coats,
            body if body < 2.6 => Self::Clings,
            _ => Self::Sticks,
        }
    }

    /// Its name in JSON.
    pub fn key(self) -> &'static str {
        self.into()
    }
}

impl Target {
    /// The body it is known by; a broth has none to speak of.
    pub(crate) fn body(self) -> f64 {
        match self {
            Self::Broth => 0.0,
            Self::Coat => COATS,
            Self::Gravy => GRAVY,
            Self::Glaze => STICKS,
        }
    }
}

/// What makes a liquid thick.
#[derive(Debug, Clone, Copy, PartialEq)]
pub(super) struct Thick<'a> {
    pub liquid_l: f64,
    pub gelatin_g: f64,
    /// Butter and cream's fat beaten in, g.
    pub beaten_in_g: f64,
    /// What thickens, g of each.
    pub starch: &'a [(Thickener, f64)],
}

impl Thick<'_> {
    /// Body: 1 coats a spoon, 2 is a gravy, 3 a glaze.
    ///
    /// Starch counts by its share of what a litre wants to coat and to be a gravy, and half as much again once gelatin helps it; gelatin
    /// alone by its share of what coats. The stronger of the two is felt.
    pub(super) fn body(&self) -> f64 {
        let gelatin_pct = self.gelatin_g / self.liquid_l / 10.0;
        f64::max(self.by_starch(gelatin_pct), by_gelatin(gelatin_pct))
    }

    fn by_starch(&self, gelatin_pct: f64) -> f64 {
        let beaten = (BEATEN_IN, self.beaten_in_g);
        let starch = self.starch.iter().filter_map(|(what, grams)| Some((what.grams_per_litre()?, *grams)));
        let (mut coat, mut gravy) = (0.0, 0.0);
        for ((to_coat, to_gravy), grams) in starch.chain([beaten]) {
            coat += grams / to_coat;
            gravy += grams / to_gravy;
        }
        let counts = 1.0 / (self.liquid_l * starch_share(gelatin_pct));
        match (coat * counts, gravy * counts) {
            (coat, _) if coat <= 1.0 => coat * COATS,
            (_, gravy) if gravy >= 1.0 => GRAVY + (gravy - 1.0),
            (coat, gravy) => COATS + (coat - 1.0) / (coat - gravy) * (GRAVY - COATS),
        }
    }
}

fn by_gelatin(gelatin_pct: f64) -> f64 {
    match gelatin_pct {
        pct if pct <= GELATIN_COAT => pct / GELATIN_COAT,
        pct => COATS + (pct - GELATIN_COAT) / (GELATIN_GLAZE - GELATIN_COAT) * (STICKS - COATS),
    }
}

/// Share of the usual starch that is wanted beside so much gelatin.
fn starch_share(gelatin_pct: f64) -> f64 {
    if gelatin_pct >= GELATIN_HELPS { STARCH_LESS } else { 1.0 }
}

#[cfg(test)]
mod tests {
    use super::*;
    use proptest::prelude::*;

    fn with(starch: &[(Thickener, f64)], gelatin_g: f64) -> f64 {
        Thick { liquid_l: 1.0, gelatin_g, beaten_in_g: 0.0, starch }.body()
    }

    #[test]
    fn what_a_litre_wants_of_each_coats_and_is_a_gravy() {
        for thickener in Thickener::ALL {
            let Some((coat, gravy)) = thickener.grams_per_litre() else { continue };
            assert!((with(&[(thickener, coat)], 0.0) - COATS).abs() < 1e-9, "{thickener:?}");
            assert!((with(&[(thickener, gravy)], 0.0) - GRAVY).abs() < 1e-9, "{thickener:?}");
            assert!((with(&[(thickener, coat * STARCH_LESS)], 50.0) - COATS).abs() < 1e-9, "{thickener:?}");
        }
        // Half by each of two.
        let both = [(Thickener::Flour, 20.0), (Thickener::Cornflour, 10.0)];
        assert!((with(&both, 0.0) - COATS).abs() < 1e-9);
        assert!((with(&[], 80.0) - COATS).abs() < 1e-9 && (with(&[], 150.0) - STICKS).abs() < 1e-9);
    }

    proptest! {
        #[test]
        fn more_in_it_and_less_of_it_is_never_thinner(
            litres in 0.2..4.0f64, gelatin_g in 0.0..300.0f64, starch in 0.0..150.0f64, more in 0.0..50.0f64, less in 0.3..1.0f64,
        ) {
            let body = |liquid_l: f64, gelatin_g: f64, grams: f64| {
                Thick { liquid_l, gelatin_g, beaten_in_g: 5.0, starch: &[(Thickener::Cornflour, grams)] }.body()
            };
            let before = body(litres, gelatin_g, starch);
            prop_assert!(before.is_finite() && before >= 0.0);
            prop_assert!(body(litres, gelatin_g, starch + more) >= before - 1e-9);
            prop_assert!(body(litres, gelatin_g + more, starch) >= before - 1e-9);
            prop_assert!(body(litres * less, gelatin_g, starch) >= before - 1e-9);
        }
    }
}
