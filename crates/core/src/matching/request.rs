//! What is asked of a match.

use std::collections::BTreeMap;

use ergastic_words::{Message, Units, matching as say};
use serde::{Deserialize, Serialize};
use serde_with::skip_serializing_none;
use utoipa::ToSchema;

use super::served::Served;
use crate::clock::Hours;
use crate::cuts::Cut;
use crate::forecast::{Meat, with_meat};
use crate::kitchen::{Kit, ThingKind};
use crate::meal::Counts;
use crate::ways::Method;

with_meat! {
    /// What is on the block, and when the bell is. With a cut it is answered which ways there are; with a method and no cut,
    /// what to buy.
    #[skip_serializing_none]
    #[derive(Debug, Clone, Default, PartialEq, Serialize, Deserialize, ToSchema)]
    #[serde(deny_unknown_fields, default)]
    pub struct MatchRequest {
        /// The meat as it goes in, °C; below −1 it is frozen.
        #[schema(minimum = -40, maximum = 40)]
        pub start_c: Option<f64>,
        /// Out of the freezer, where its warmth is not given.
        pub frozen: Option<bool>,
        /// A mixed pot, in place of `cut`, `mass_kg` and its measures.
        #[schema(min_items = 1, max_items = 8)]
        pub parts: Option<Vec<Meat>>,
        /// How many eat.
        #[schema(minimum = 1, maximum = 200)]
        pub people: Option<u32>,
        /// Cooked meat on a plate, g.
        #[schema(minimum = 40, maximum = 600)]
        pub portion_g: Option<f64>,
        /// How it comes to the table; on a plate where not given.
        pub served: Option<Served>,
        /// Now; local times are read in `zone`.
        #[schema(min_length = 1, max_length = 80)]
        pub now: Option<String>,
        /// Plates on the table.
        #[schema(min_length = 1, max_length = 80)]
        pub serve_at: Option<String>,
        /// IANA zone; the kitchen's where not given.
        #[schema(min_length = 1, max_length = 80)]
        pub zone: Option<String>,
        /// What is free; the kitchen's where not given.
        #[schema(min_items = 1, max_items = 64, value_type = Option<Vec<Kit>>)]
        pub kit: Option<Vec<ThingKind>>,
        /// How many of each thing there are; the kitchen's where not given.
        pub kitchen: Option<Counts>,
        /// Metres above the sea; the kitchen's where not given.
        #[schema(minimum = -430, maximum = 5000)]
        pub altitude_m: Option<f64>,
        /// When nobody is up; the kitchen's where not given.
        #[schema(min_items = 0, max_items = 24)]
        pub asleep: Option<Vec<Hours>>,
        /// When nobody is there.
        #[schema(min_items = 0, max_items = 24)]
        pub away: Option<Vec<Hours>>,
        /// Price of the raw meat, a kilo.
        #[schema(minimum = 0, maximum = 10000)]
        pub price_per_kg: Option<f64>,
        /// Prices by cut, a kilo; the kitchen's where not given.
        pub prices: Option<BTreeMap<Cut, f64>>,
        /// The chance asked for.
        #[schema(minimum = 0.5, maximum = 0.99)]
        pub certainty: Option<f64>,
        /// What comes first.
        pub sort: Option<Sort>,
        /// Without a cut: the way it is to be cooked.
        pub method: Option<Method>,
        /// A recipe's words to check against this piece, such as "35 min at high pressure".
        #[schema(min_length = 0, max_length = 300)]
        pub recipe: Option<String>,
        /// Only the ways: neither the question, nor substitutes, nor the second dinner. For what is being dragged.
        pub only_ways: Option<bool>,
        /// What the answer's sentences are said in; the kitchen's own where not given.
        pub units: Option<Units>,
        /// Simulated cooks a variant.
        #[schema(minimum = 16, maximum = 1000)]
        pub members: Option<u32>,
        /// Seed of the spreads.
        pub seed: Option<u64>,
    }
}

/// What comes first among the ways that fit.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Default, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Sort {
    /// The likeliest.
    #[default]
    Surest,
    /// The soonest on the table.
    Soonest,
    /// The fewest minutes at work.
    LeastWork,
    /// The most on the plate.
    MostJuice,
    /// The most body.
    RichestSauce,
    /// The cheapest plate.
    Cheapest,
}

impl Sort {
    /// The rule, as a cook reads it.
    pub fn rule(self) -> Message {
        match self {
            Self::Surest => say::sort_surest(),
            Self::Soonest => say::sort_soonest(),
            Self::LeastWork => say::sort_least_work(),
            Self::MostJuice => say::sort_most_juice(),
            Self::RichestSauce => say::sort_richest_sauce(),
            Self::Cheapest => say::sort_cheapest(),
        }
    }
}
