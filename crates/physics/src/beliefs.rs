//! What is believed of a kitchen and its meat before a cook.

/// What is believed of something uncertain: a normal distribution.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct NormalBelief {
    /// Its middle.
    pub mean: f64,
    /// Its standard deviation.
    pub sigma: f64,
}

/// What is believed of a kitchen and its meat before a cook.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Beliefs {
    /// Oven over its dial, K.
    pub oven_k: NormalBelief,
    /// Liquid over what its simmer looks like, K.
    pub pot_k: NormalBelief,
    /// Pit over its set point, K.
    pub pit_k: NormalBelief,
    /// Logarithm of what the lid lets by against the usual.
    pub lid_ln: NormalBelief,
    /// Logarithm of how tough this butcher's meat is against the usual; none where nothing but the cut's own spread is known.
    pub toughness_ln: Option<NormalBelief>,
}

impl Beliefs {
    /// Of a kitchen of which only these standard deviations are known.
    pub(crate) const fn knowing_nothing(oven_k: f64, pot_k: f64, pit_k: f64, lid_ln: f64) -> Self {
        const fn about(sigma: f64) -> NormalBelief {
            NormalBelief { mean: 0.0, sigma }
        }
        Self {
            oven_k: about(oven_k),
            pot_k: about(pot_k),
            pit_k: about(pit_k),
            lid_ln: about(lid_ln),
            toughness_ln: None,
        }
    }

    /// Of the toughness of an animal of a cut that spreads so by itself.
    pub(crate) fn toughness_of(&self, own_sigma: f64) -> NormalBelief {
        self.toughness_ln.unwrap_or(NormalBelief { mean: 0.0, sigma: own_sigma })
    }
}
