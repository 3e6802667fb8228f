//! What is believed of a kitchen and its meat before a cook.

use crate::part::Part;

/// Spread of an oven about its dial, K; of coals about their count, too. Working value.
pub const OVEN_SIGMA_K: f64 = 7.0;
/// Spread of a simmer, a slow cooker or fat about its word, K. Working value.
pub const POT_SIGMA_K: f64 = 2.0;
/// Spread of a pit about its set point, K. Working value.
pub const PIT_SIGMA_K: f64 = 8.0;
/// Spread of the vapour a lid lets by, of its logarithm. Working value.
const LID_LN_SIGMA: f64 = 0.4;

/// What is believed of something uncertain: a normal distribution.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Belief {
    /// Its middle.
    pub mean: f64,
    /// Its standard deviation.
    pub sigma: f64,
}

/// What is believed of a kitchen and its meat before a cook.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Beliefs {
    /// Oven over its dial, K.
    pub oven_k: Belief,
    /// Liquid over what its simmer looks like, K.
    pub pot_k: Belief,
    /// Pit over its set point, K.
    pub pit_k: Belief,
    /// Logarithm of what the lid lets by against the usual.
    pub lid_ln: Belief,
    /// Logarithm of how tough this butcher's meat is against the usual; none where nothing but the cut's own spread is known.
    pub toughness_ln: Option<Belief>,
}

impl Beliefs {
    /// Of a kitchen nothing is known of.
    pub const USUAL: Self = {
        const fn about_nothing(sigma: f64) -> Belief {
            Belief { mean: 0.0, sigma }
        }
        Self {
            oven_k: about_nothing(OVEN_SIGMA_K),
            pot_k: about_nothing(POT_SIGMA_K),
            pit_k: about_nothing(PIT_SIGMA_K),
            lid_ln: about_nothing(LID_LN_SIGMA),
            toughness_ln: None,
        }
    };

    /// Of the toughness of a part's animal.
    pub(crate) fn toughness_of(&self, part: &Part) -> Belief {
        self.toughness_ln.unwrap_or(Belief { mean: 0.0, sigma: part.toughness_ln_sigma })
    }
}
