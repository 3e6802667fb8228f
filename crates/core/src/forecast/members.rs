//! The spread of what nobody knows beforehand: animal, thickness, oven, lid.

use rand::{RngExt, SeedableRng};
use rand_chacha::ChaCha8Rng;
use rand_distr::StandardNormal;

use super::resolve::Case;

/// Spread of the surface coefficient, of its logarithm. Working value.
const COEFFICIENT_LN_SIGMA: f64 = 0.25;
/// Spread of an oven about its dial, K. Working value.
const OVEN_SIGMA_K: f64 = 7.0;
/// Spread of a simmer about its word, K. Working value.
const POT_SIGMA_K: f64 = 2.0;
/// Spread of the vapour a lid lets by, of its logarithm. Working value.
const LID_LN_SIGMA: f64 = 0.4;
/// Spread of a probe's tip about the middle, share of the radius. Working value.
const PLACEMENT_SIGMA: f64 = 0.10;
/// Spread that a bone adds to the time, relative. Working value.
const BONE_SIGMA: f64 = 0.05;

/// One simulated cook: how it differs from the median.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Member {
    /// Scales the tender-hours needed.
    pub resistance: f64,
    /// Scales the thickness.
    pub thickness: f64,
    /// Scales the surface coefficient.
    pub coefficient: f64,
    /// Oven over its dial, K.
    pub oven_k: f64,
    /// Simmer over its word, K.
    pub pot_k: f64,
    /// Scales what the lid lets by.
    pub lid: f64,
    /// Probe's tip from the middle, share of the radius.
    pub placement: f64,
}

impl Member {
    /// Every uncertain quantity at its median.
    pub const MEDIAN: Self =
        Self { resistance: 1.0, thickness: 1.0, coefficient: 1.0, oven_k: 0.0, pot_k: 0.0, lid: 1.0, placement: 0.0 };

    /// Draws the ensemble of a case from its seed; a single member is the median.
    pub fn draw(case: &Case) -> Vec<Self> {
        if case.members == 1 {
            return vec![Self::MEDIAN];
        }
        let mut random = ChaCha8Rng::seed_from_u64(case.seed);
        let mut normal = move || -> f64 { random.sample(StandardNormal) };
        (0..case.members)
            .map(|_| {
                let bone = if case.facts.bone_pct > 0.0 { BONE_SIGMA } else { 0.0 };
                Self {
                    resistance: (case.facts.resistance_ln_sigma * normal() + bone * normal()).exp(),
                    thickness: (1.0 + case.facts.thickness_sigma * normal()).clamp(0.4, 1.8),
                    coefficient: (COEFFICIENT_LN_SIGMA * normal()).exp(),
                    oven_k: OVEN_SIGMA_K * normal(),
                    pot_k: POT_SIGMA_K * normal(),
                    lid: (LID_LN_SIGMA * normal()).exp(),
                    placement: (PLACEMENT_SIGMA * normal()).abs(),
                }
            })
            .collect()
    }
}
