//! Why a way heats as it does: the rule, the numbers behind it, and how sure it is.

use ergastic_physics::parameters::Parameters;
use ergastic_words::{Difference, Message, ways};

/// How a way heats, to be told to who asks why.
#[derive(Debug)]
pub struct HowItHeats {
    /// The rule.
    pub rule: Message,
    /// Its numbers for this dish.
    pub numbers: Message,
    /// How sure it is.
    pub sure: Message,
}

/// As sure as any liquid's temperature is.
pub(super) fn as_a_pot() -> Message {
    ways::within(Difference(Parameters::USUAL.spread.pot_k))
}

/// What a lidded pot settles at, and whether that is its boil.
pub(super) fn settles(boil_c: f64, settled_c: Option<f64>) -> (f64, &'static str) {
    let settled_c = settled_c.unwrap_or(boil_c);
    (settled_c, if settled_c > boil_c - 0.5 { "yes" } else { "no" })
}
