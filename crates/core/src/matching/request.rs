//! What is asked of a match.

use std::collections::BTreeMap;

use ergastic_words::{Said, Units, matching as say};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use crate::clock::Hours;
use crate::cuts::Cut;
use crate::cuts::EatenAs;
use crate::forecast::{Method, PartRequest};
use crate::kitchen::Kit;
use crate::tender::Age;

/// What is on the block, and when the bell is. With a cut it is answered which ways there are; with a method and no cut,
/// what to buy.
#[derive(Debug, Clone, Default, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields, default)]
pub struct MatchRequest {
    /// Which cut.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub cut: Option<Cut>,
    /// Raw, bone in, kg.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 0.05, maximum = 40)]
    pub mass_kg: Option<f64>,
    /// Thickness of the largest piece, mm.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 5, maximum = 300)]
    pub thickness_mm: Option<f64>,
    /// The sides of the largest piece, mm.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(schema_with = crate::forecast::size_mm_schema)]
    pub size_mm: Option<[f64; 3]>,
    /// Pieces.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 1, maximum = 500)]
    pub pieces: Option<u32>,
    /// Bone, % of the raw mass.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 0, maximum = 80)]
    pub bone_pct: Option<f64>,
    /// How old the animal was.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub age: Option<Age>,
    /// Fed on grass.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub grass_fed: Option<bool>,
    /// The meat as it goes in, °C; below −1 it is frozen.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = -40, maximum = 40)]
    pub start_c: Option<f64>,
    /// A mixed pot, in place of `cut`, `mass_kg` and its measures.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(min_items = 1, max_items = 8)]
    pub parts: Option<Vec<PartRequest>>,
    /// How it is eaten.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub eaten_as: Option<EatenAs>,
    /// How many eat.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 1, maximum = 200)]
    pub people: Option<u32>,
    /// Cooked meat on a plate, g.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 40, maximum = 600)]
    pub portion_g: Option<f64>,
    /// Now; local times are read in `zone`.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(min_length = 1, max_length = 80)]
    pub now: Option<String>,
    /// Plates on the table.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(min_length = 1, max_length = 80)]
    pub bell: Option<String>,
    /// IANA zone; the kitchen's where not given.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(min_length = 1, max_length = 80)]
    pub zone: Option<String>,
    /// What is free; the kitchen's where not given.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(min_items = 1, max_items = 64)]
    pub kit: Option<Vec<Kit>>,
    /// When nobody is up; the kitchen's where not given.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(min_items = 0, max_items = 24)]
    pub asleep: Option<Vec<Hours>>,
    /// When nobody is there.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(min_items = 0, max_items = 24)]
    pub away: Option<Vec<Hours>>,
    /// Price of the raw meat, a kilo.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 0, maximum = 10000)]
    pub price_per_kg: Option<f64>,
    /// Prices by cut, a kilo; the kitchen's where not given.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub prices: Option<BTreeMap<Cut, f64>>,
    /// The chance asked for.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 0.5, maximum = 0.99)]
    pub certainty: Option<f64>,
    /// What comes first.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub sort: Option<Sort>,
    /// Without a cut: the way it is to be cooked.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub method: Option<Method>,
    /// A recipe's words to check against this piece, such as "35 min at high pressure".
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(min_length = 0, max_length = 300)]
    pub recipe: Option<String>,
    /// Only the ways: neither the question, nor substitutes, nor the second dinner. For what is being dragged.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub only_ways: Option<bool>,
    /// What the answer's sentences are said in; the kitchen's own where not given.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub units: Option<Units>,
    /// Simulated cooks a variant.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 16, maximum = 1000)]
    pub members: Option<u32>,
    /// Seed of the spreads.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub seed: Option<u64>,
}

/// What comes first among the ways that fit.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Default, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
#[allow(missing_docs)]
pub enum Sort {
    #[default]
    Surest,
    Soonest,
    LeastWork,
    MostJuice,
    RichestSauce,
    Cheapest,
}

impl Sort {
    /// The rule, as a cook reads it.
    pub fn rule(self) -> Said {
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
