//! What is kept from earlier cooks and stands in the larder with its own strength.

use ergastic_words::{Voice, errors};
use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use crate::bench::{Ingredient, OnTheShelf, on_the_shelf};
use crate::clock::check_instant;
use crate::error::{Error, Result, WhatIsWrong};
use crate::text::check_name;

/// So many things are kept at a time.
const MAX: usize = 60;

/// Something kept from an earlier cook.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct Kept {
    /// What it is known by: kept twice, it is there once.
    #[schema(min_length = 1, max_length = 80)]
    pub id: String,
    /// Whose it was.
    #[schema(min_length = 1, max_length = 80)]
    pub name: String,
    /// All of it, as it goes into a pot.
    pub puts: Ingredient,
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
        self.puts.check(&name("puts"))?;
        check_instant(&name("until"), self.until)
    }
}

/// Checks all that is kept.
///
/// # Errors
/// Names the field that can't be used.
pub(super) fn check(kept: &[Kept]) -> Result<()> {
    if kept.len() > MAX {
        return Err(Error::new(WhatIsWrong::OutOfRange, "kept", kept.len(), errors::at_most(MAX as u32)));
    }
    kept.iter().enumerate().try_for_each(|(i, kept)| kept.check(&format!("kept[{i}]")))
}

/// What is kept first, then everything that a larder has.
pub(super) fn larder(kept: &[Kept], voice: Voice) -> Vec<OnTheShelf> {
    let own = kept.iter().map(|kept| OnTheShelf {
        facts: *kept.puts.what.facts(),
        name: kept.name.clone(),
        kept: Some(kept.id.clone()),
        offered: true,
        puts: kept.puts,
    });
    own.chain(on_the_shelf(voice)).collect()
}

#[cfg(test)]
mod tests {
    use serde_json::json;

    use super::*;

    fn kept(over: serde_json::Value) -> Kept {
        let mut kept = json!({"id": "a1", "name": "Shin broth", "puts": {"what": "unsalted_stock", "ml": 600}, "until": "2027-02-10T12:00:00Z"});
        kept.as_object_mut().unwrap().extend(over.as_object().unwrap().clone());
        serde_json::from_value(kept).unwrap()
    }

    #[test]
    fn what_is_kept_stands_before_the_larder_under_its_own_name() {
        let shelf = larder(&[kept(json!({}))], Voice::default());
        assert_eq!((shelf[0].name.as_str(), shelf[0].kept.as_deref()), ("Shin broth", Some("a1")));
        assert!(shelf.len() > 20 && shelf[1..].iter().all(|one| one.kept.is_none()));
    }

    #[test]
    fn a_field_that_cant_be_kept_is_named_with_its_place() {
        let field = |kept: &[Kept]| check(kept).unwrap_err().field;
        assert_eq!(field(&[kept(json!({})), kept(json!({"name": ""}))]), "kept[1].name");
        assert_eq!(field(&[kept(json!({"puts": {"what": "unsalted_stock", "ml": -1}}))]), "kept[0].puts.ml");
        assert_eq!(field(&vec![kept(json!({})); MAX + 1]), "kept");
        assert!(check(&[kept(json!({}))]).is_ok());
    }
}
