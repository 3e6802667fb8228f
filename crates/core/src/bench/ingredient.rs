//! Something put in with the meat: how much of it, and its own strength where that is known.

use serde::{Deserialize, Serialize};
use serde_with::skip_serializing_none;
use utoipa::ToSchema;

use super::larder::Larder;

/// Something put in with the meat.
#[skip_serializing_none]
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct Ingredient {
    /// What.
    pub what: Larder,
    /// How much, mL; or give `g`.
    #[serde(default)]
    #[schema(minimum = 0, maximum = 30000)]
    pub ml: Option<f64>,
    /// How much, g.
    #[serde(default)]
    #[schema(minimum = 0, maximum = 30000)]
    pub g: Option<f64>,
    /// Its own salt, %, where it is known better than of such things in general.
    #[serde(default)]
    #[schema(minimum = 0, maximum = 100)]
    pub salt_pct: Option<f64>,
    /// Its own gelatin, %.
    #[serde(default)]
    #[schema(minimum = 0, maximum = 60)]
    pub gelatin_pct: Option<f64>,
}

impl Ingredient {
    /// So much of it, poured, mL, or weighed, g; its strength as is usual.
    pub fn usual(what: Larder, ml: Option<f64>, g: Option<f64>) -> Self {
        Self { what, ml, g, salt_pct: None, gelatin_pct: None }
    }

    /// Its salt, %.
    pub fn salt_pct(&self) -> f64 {
        self.salt_pct.unwrap_or(self.what.facts().salt_pct)
    }

    /// Its gelatin, %.
    pub fn gelatin_pct(&self) -> f64 {
        self.gelatin_pct.unwrap_or(self.what.facts().gelatin_pct)
    }

    /// Its mass, g.
    pub fn grams(&self) -> f64 {
        self.g.unwrap_or(0.0) + self.ml.unwrap_or(0.0) * self.what.facts().density
    }

    /// Its volume, mL.
    pub fn millilitres(&self) -> f64 {
        self.ml.unwrap_or(0.0) + self.g.unwrap_or(0.0) / self.what.facts().density
    }
}
