//! What is fitted: the activation energy, the five *enough*, the share asked of the middle, and the resistances of the
//! cuts that the table of practice has.

use ergastic_core::cuts::{Cut, EatenAs};
use ergastic_core::forecast::Case;
use ergastic_physics::tender::{ACTIVATION_ENERGY, MIDDLE_SHARE, softening_of};

/// A resistance: the cuts that share it, what is believed beforehand, and how firmly (standard deviation of its logarithm).
#[derive(Debug, Clone, Copy)]
pub struct Prior {
    /// The muscles it is of.
    pub cuts: &'static [Cut],
    /// Believed beforehand; chuck is 1.
    pub toughness: f64,
    /// How firmly.
    pub ln_sigma: f64,
}

const fn prior(cuts: &'static [Cut], toughness: f64, ln_sigma: f64) -> Prior {
    Prior { cuts, toughness, ln_sigma }
}

/// The resistances that are fitted. Chuck is the measure of the others and stays 1.
pub const PRIORS: [Prior; 14] = [
    prior(&[Cut::Neck], 1.1, 0.2),
    prior(&[Cut::ShortRib], 1.08, 0.2),
    prior(&[Cut::PlateRib], 1.1, 0.2),
    prior(&[Cut::RibFinger], 0.93, 0.2),
    prior(&[Cut::BrisketFlat], 1.38, 0.2),
    prior(&[Cut::Brisket], 1.25, 0.2),
    prior(&[Cut::CornedBrisket], 1.1, 0.2),
    prior(&[Cut::Shin, Cut::ShinBoneIn, Cut::Heel], 1.42, 0.2),
    prior(&[Cut::Cheek], 1.05, 0.6),
    prior(&[Cut::Oxtail], 1.34, 0.2),
    prior(&[Cut::Tendon], 1.45, 0.6),
    prior(&[Cut::Round, Cut::Topside, Cut::EyeRound], 1.1, 0.2),
    prior(&[Cut::Silverside], 1.1, 0.2),
    prior(&[Cut::Skirt, Cut::Flank], 0.9, 0.2),
];

/// How firmly the five *enough* of [`Constants::start`] are believed (standard deviation of the logarithm): a first fit of a plainer
/// model. Without it fork and probe, which meet in no row, come out as one.
pub const ENOUGH_LN_SIGMA: f64 = 0.15;

/// How many numbers are fitted.
pub const COUNT: usize = 7 + PRIORS.len();

/// A set of constants that can be tried.
#[derive(Debug, Clone, PartialEq)]
pub struct Constants {
    /// kJ/mol.
    pub activation_energy: f64,
    /// Tender-hours that are enough at resistance 1, from slice to spoon.
    pub enough: [f64; 5],
    /// Share of *enough* asked of the middle.
    pub middle_share: f64,
    /// In the order of [`PRIORS`].
    pub toughnesses: [f64; PRIORS.len()],
}

impl Constants {
    /// Where a fit begins.
    pub fn start() -> Self {
        Self {
            activation_energy: 81.0,
            enough: [1.76, 2.07, 2.37, 2.87, 3.6],
            middle_share: 0.5,
            toughnesses: PRIORS.map(|prior| prior.toughness),
        }
    }

    /// Those that the core goes by.
    pub fn of_the_core() -> Self {
        Self {
            activation_energy: ACTIVATION_ENERGY / 1000.0,
            enough: EatenAs::ALL.map(EatenAs::enough),
            middle_share: MIDDLE_SHARE,
            toughnesses: PRIORS.map(|prior| prior.cuts[0].facts().toughness),
        }
    }

    /// As one row of numbers, in which steps are taken: logarithms of all.
    pub fn to_numbers(&self) -> [f64; COUNT] {
        let mut numbers = [0.0; COUNT];
        numbers[0] = self.activation_energy.ln();
        numbers[1] = self.middle_share.ln();
        numbers[2..7].copy_from_slice(&self.enough.map(f64::ln));
        numbers[7..].copy_from_slice(&self.toughnesses.map(f64::ln));
        numbers
    }

    /// Back from such a row.
    pub fn from_numbers(numbers: &[f64; COUNT]) -> Self {
        Self {
            activation_energy: numbers[0].exp(),
            middle_share: numbers[1].exp().clamp(0.2, 0.95),
            enough: std::array::from_fn(|i| numbers[2 + i].exp()),
            toughnesses: std::array::from_fn(|i| numbers[7 + i].exp()),
        }
    }

    /// How much softening a cut asks for against chuck.
    fn toughness(&self, cut: Cut) -> f64 {
        let fitted = PRIORS.iter().position(|prior| prior.cuts.contains(&cut)).map(|i| self.toughnesses[i]);
        fitted.unwrap_or(cut.facts().toughness)
    }

    /// Puts them in place of those of the core.
    pub fn put_into(&self, case: &mut Case) {
        case.softening = softening_of(self.activation_energy * 1000.0);
        for part in &mut case.parts {
            let word = EatenAs::ALL.iter().position(|word| *word == part.eaten_as).unwrap_or(0);
            let goal = &mut part.goal;
            let margin = goal.overcooked / goal.enough;
            let others = goal.toughness / part.facts.toughness;
            goal.toughness = self.toughness(part.facts.cut) * others;
            goal.enough = self.enough[word] * goal.toughness;
            goal.overcooked = goal.enough * margin;
            goal.middle_share = self.middle_share;
        }
    }
}
