//! What is kept from earlier cooks and stands in the larder with its own strength.

use ergastic_words::{Voice, errors};
use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use serde_with::skip_serializing_none;
use utoipa::ToSchema;

use crate::bench::{Ingredient, Larder, OnTheShelf, on_the_shelf};
use crate::clock::check_instant;
use crate::error::{Error, Kind, Result, Unit, in_range};
use crate::text::check_name;

/// So many things are kept at a time.
const MOST: usize = 60;

/// Something kept from an earlier cook.
#[skip_serializing_none]
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct Kept {
    /// What it is known by: kept twice, it is there once.
    #[schema(min_length = 1, max_length = 80)]
    pub id: String,
    /// As what it goes into a pot.
    pub what: Larder,
    /// Whose it was.
    #[schema(min_length = 1, max_length = 80)]
    pub name: String,
    /// How much, mL, where it is poured.
    #[serde(default)]
    #[schema(minimum = 0, maximum = 30000)]
    pub ml: Option<f64>,
    /// How much, g, where it is weighed.
    #[serde(default)]
    #[schema(minimum = 0, maximum = 30000)]
    pub g: Option<f64>,
    /// Its salt, %.
    #[serde(default)]
    #[schema(minimum = 0, maximum = 100)]
    pub salt_pct: Option<f64>,
    /// Its gelatin, %.
    #[serde(default)]
    #[schema(minimum = 0, maximum = 60)]
    pub gelatin_pct: Option<f64>,
    /// Good in the cold until then.
    pub until: Timestamp,
}

impl Kept {
    /// Checks every field.
    ///
    /// # Errors
    /// Names the field that can't be used.
    fn check(&self, field: &str) -> Result<()> {
        let name = |name: &str| format!("{field}.{name}");
        check_name(&name("id"), &self.id, 80)?;
        check_name(&name("name"), &self.name, 80)?;
        in_range(&name("ml"), self.ml.unwrap_or(0.0), 0.0, 30_000.0, Unit::Millilitres)?;
        in_range(&name("g"), self.g.unwrap_or(0.0), 0.0, 30_000.0, Unit::Grams)?;
        in_range(&name("salt_pct"), self.salt_pct.unwrap_or(0.0), 0.0, 100.0, Unit::Percent)?;
        in_range(&name("gelatin_pct"), self.gelatin_pct.unwrap_or(0.0), 0.0, 60.0, Unit::Percent)?;
        check_instant(&name("until"), self.until)
    }

    /// All of it, put into a pot.
    fn puts(&self) -> Ingredient {
        Ingredient { what: self.what, ml: self.ml, g: self.g, salt_pct: self.salt_pct, gelatin_pct: self.gelatin_pct }
    }
}

/// Checks all that is kept.
///
/// # Errors
/// Names the field that can't be used.
pub(super) fn check(kept: &[Kept]) -> Result<()> {
    if kept.len() > MOST {
        return Err(Error::new(Kind::OutOfRange, "kept", kept.len(), errors::at_most(MOST as u32)));
    }
    kept.iter().enumerate().try_for_each(|(i, kept)| kept.check(&format!("kept[{i}]")))
}

/// What is kept first, then everything that a larder has.
pub(super) fn larder(kept: &[Kept], voice: Voice) -> Vec<OnTheShelf> {
    let own = kept.iter().filter(|kept| kept.ml.is_some() || kept.g.is_some()).map(|kept| OnTheShelf {
        facts: *kept.what.facts(),
        name: kept.name.clone(),
        kept: Some(kept.id.clone()),
        puts: kept.puts(),
    });
    own.chain(on_the_shelf(voice)).collect()
}
