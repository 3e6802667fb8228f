//! What is believed of a kitchen beforehand.

use ergastic_physics::beliefs::{Beliefs, NormalBelief};
use ergastic_physics::parameters::Parameters;
use serde::{Deserialize, Serialize};
use serde_with::skip_serializing_none;
use utoipa::ToSchema;

/// What is believed of something uncertain: a normal distribution.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct Belief {
    /// Its middle.
    #[schema(minimum = -40, maximum = 40)]
    pub mean: f64,
    /// Its standard deviation.
    #[schema(minimum = 0, maximum = 40)]
    pub sigma: f64,
}

/// What earlier cooks have taught of a kitchen; each belief takes the place of the usual spread.
#[skip_serializing_none]
#[derive(Debug, Clone, Copy, Default, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields, default)]
pub struct Known {
    /// Oven over its dial, K.
    pub oven_k: Option<Belief>,
    /// Liquid over what its simmer looks like, K.
    pub pot_k: Option<Belief>,
    /// Pit over its set point, K.
    pub pit_k: Option<Belief>,
    /// Logarithm of what the lid lets by against the usual.
    pub lid_ln: Option<Belief>,
    /// Logarithm of how tough this butcher's meat is against the usual.
    pub toughness_ln: Option<Belief>,
}

impl From<NormalBelief> for Belief {
    fn from(NormalBelief { mean, sigma }: NormalBelief) -> Self {
        Self { mean, sigma }
    }
}

impl Known {
    /// What is believed of the kitchen and its meat: what was learned, or the usual spread about nothing.
    pub fn beliefs(&self) -> Beliefs {
        let spread = |belief: Belief| NormalBelief { mean: belief.mean, sigma: belief.sigma };
        let or = |learned: Option<Belief>, usual: NormalBelief| learned.map_or(usual, spread);
        let usual = Parameters::USUAL.beliefs;
        Beliefs {
            oven_k: or(self.oven_k, usual.oven_k),
            pot_k: or(self.pot_k, usual.pot_k),
            pit_k: or(self.pit_k, usual.pit_k),
            lid_ln: or(self.lid_ln, usual.lid_ln),
            toughness_ln: self.toughness_ln.map(spread),
        }
    }
}
