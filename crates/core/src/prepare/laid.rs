//! A dish laid out on the bench: worked out once, and then told as reasons, warnings and a shopping list.

use super::balance::Balance;
use super::dial::CoalRing;
use super::later::LaterAnswer;
use super::pot::PotAnswer;
use super::salt::SaltAnswer;
use super::sear::SearPlan;
use super::seasoning::Seasoning;
use super::trim::Trimmed;
use crate::bench::Prepare;
use crate::forecast::{Forecast, ResolvedDish};

/// Everything about the dish that has a figure.
pub(super) struct BenchFigures<'a> {
    pub case: &'a ResolvedDish,
    pub bench: &'a Prepare,
    pub forecast: &'a Forecast,
    pub trimmed: &'a Trimmed,
    pub salt: &'a SaltAnswer,
    pub seasoning: Option<&'a Seasoning>,
    pub sear: &'a SearPlan,
    pub pot: Option<&'a PotAnswer>,
    pub balance: Option<&'a Balance>,
    pub later: &'a [LaterAnswer],
    pub coals: Option<&'a CoalRing>,
}
