//! What is told with what happened: what a check was made with, where a probe is, how it ended.

use serde::{Deserialize, Serialize};
use serde_with::skip_serializing_none;
use strum::IntoStaticStr;
use utoipa::ToSchema;

use crate::tender::Check;

/// How a cook ended, in the cook's own judgement.
#[skip_serializing_none]
#[derive(Debug, Clone, Default, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields, default)]
pub struct Outcome {
    /// How it ate.
    pub ate_as: Option<Check>,
    /// Cooked and edible, kg.
    #[schema(minimum = 0, maximum = 60)]
    pub cooked_kg: Option<f64>,
    /// Liquid left, L.
    #[schema(minimum = 0, maximum = 60)]
    pub liquid_left_l: Option<f64>,
    /// What to change next time.
    #[schema(min_length = 1, max_length = 500)]
    pub change: Option<String>,
}

/// What a check was made with.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema, IntoStaticStr)]
#[serde(rename_all = "snake_case")]
#[strum(serialize_all = "snake_case")]
pub enum By {
    /// A fork pushed in and drawn out.
    Fork,
    /// A fork turned in it.
    Twist,
    /// A skewer or probe slid in.
    Probe,
    /// The bone wiggled.
    Bone,
    /// A piece eaten.
    Bite,
}

impl By {
    /// All of them, the most usual first.
    pub const ALL: [Self; 5] = [Self::Fork, Self::Twist, Self::Probe, Self::Bone, Self::Bite];

    /// Its name in JSON.
    pub fn key(self) -> &'static str {
        self.into()
    }
}

/// Where a probe's tip is.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema, IntoStaticStr)]
#[serde(rename_all = "snake_case")]
#[strum(serialize_all = "snake_case")]
pub enum ProbeIn {
    /// In the middle of the meat.
    Meat,
    /// In the liquid, the fat or the bath.
    Pot,
    /// In the air of the oven or the pit.
    Air,
    /// Nowhere in this cook any more.
    Aside,
}

impl ProbeIn {
    /// Its name in JSON.
    pub fn key(self) -> &'static str {
        self.into()
    }
}
