//! A plan: one dish, its meat and way, and the bell.

use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use crate::bench::Prepare;
use crate::clock::check_instant;
use crate::error::Result;
use crate::finish::{Target, Thickener};
use crate::forecast::ForecastRequest;
use crate::kitchen::Kitchen;

/// One dish with its bell.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct Plan {
    /// What the dish is called.
    #[schema(min_length = 1, max_length = 80)]
    pub name: String,
    /// How many eat.
    #[serde(default = "four")]
    #[schema(minimum = 1, maximum = 200)]
    pub people: u32,
    /// Plates on the table.
    pub bell: Timestamp,
    /// The chance of being ready that it is made for; the kitchen's own where not given.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 0.5, maximum = 0.99)]
    pub certainty: Option<f64>,
    /// The meat and its way.
    pub forecast: ForecastRequest,
    /// What is done before the heat.
    #[serde(default)]
    pub prepare: Prepare,
    /// What the liquid becomes.
    #[serde(default)]
    pub target: Target,
    /// What thickens it.
    #[serde(default)]
    pub thickener: Thickener,
}

fn four() -> u32 {
    4
}

impl Plan {
    /// Checks what is asked of a plan that is to be kept, besides that it can be cooked: a bell in our time.
    ///
    /// # Errors
    /// Names the field that can't be used.
    pub fn check_kept(&self) -> Result<()> {
        check_instant("bell", self.bell)
    }

    /// The chance of being ready that this plan is made for.
    pub fn certainty(&self, kitchen: &Kitchen) -> f64 {
        self.certainty.unwrap_or(kitchen.certainty)
    }
}
