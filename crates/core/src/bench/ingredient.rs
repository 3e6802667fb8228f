//! Something put in with the meat: how much of it, and its own strength where that is known.

use ergastic_words::errors;
use serde::{Deserialize, Serialize};
use serde_with::skip_serializing_none;
use utoipa::ToSchema;

use super::larder::Larder;
use crate::error::{Error, Result, Unit, in_range};

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

    /// Checks every figure.
    ///
    /// # Errors
    /// Names the field of it, what was given and what is allowed.
    pub fn check(&self, of: &str) -> Result<()> {
        let field = |name: &str| format!("{of}.{name}");
        if self.ml.is_none() && self.g.is_none() {
            return Err(Error::missing(field("ml"), errors::say_how_much()));
        }
        in_range(&field("ml"), self.ml.unwrap_or(0.0), 0.0, 30_000.0, Unit::Millilitres)?;
        in_range(&field("g"), self.g.unwrap_or(0.0), 0.0, 30_000.0, Unit::Grams)?;
        in_range(&field("salt_pct"), self.salt_pct.unwrap_or(0.0), 0.0, 100.0, Unit::Percent)?;
        in_range(&field("gelatin_pct"), self.gelatin_pct.unwrap_or(0.0), 0.0, 60.0, Unit::Percent)?;
        Ok(())
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
