//! A plan at the bench: what it comes to, with everything filled in, and what may be chosen next.

use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::answer::Prepared;
use super::offers::Offers;
use super::resolved::Resolved;
use crate::safety::Caution;

/// What has to be minded, at the place of the bench that it belongs to.
#[derive(Debug, Clone, Default, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Minds {
    /// Trimming and cutting up.
    pub meat: Vec<Caution>,
    /// Salting.
    pub salt: Vec<Caution>,
    /// The pan.
    pub sear: Vec<Caution>,
    /// The liquid in its pot.
    pub pot: Vec<Caution>,
    /// The dial.
    pub heat: Vec<Caution>,
    /// What goes in later.
    pub later: Vec<Caution>,
}

impl Minds {
    /// Puts each warning where it belongs; what belongs nowhere else belongs to the heat.
    pub(super) fn of(warnings: &[Caution]) -> Self {
        let mut minds = Self::default();
        for warning in warnings {
            let place = match warning.id.as_str() {
                "corned_salt" | "salted_again" | "salty" | "salt_stop" | "mealy" | "no_more" | "raw_meat"
                | "marinade" => &mut minds.salt,
                "pierced" => &mut minds.meat,
                "stews" | "scorches" | "drain" | "frozen_start" | "two_pans" => &mut minds.sear,
                "too_small"
                | "pressure_full"
                | "pressure_dry"
                | "pressure_little"
                | "scorch_under_pressure"
                | "boils_dry"
                | "own_juice"
                | "over_level"
                | "sugar_catches" => &mut minds.pot,
                "later_waits" | "dried_beans" => &mut minds.later,
                _ => &mut minds.heat,
            };
            place.push(warning.clone());
        }
        minds
    }
}

/// A plan at the bench: what it comes to, with everything filled in, and what may be chosen next.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct AtTheBench {
    /// What it comes to.
    #[serde(flatten)]
    pub prepared: Prepared,
    /// The plan with everything filled in.
    pub dish: Resolved,
    /// What may be chosen, each with what it changes.
    pub offers: Offers,
    /// The warnings, each at its place.
    pub minds: Minds,
}
