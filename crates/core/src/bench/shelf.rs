//! The larder as it is shown: each thing with its name and what goes in at first.

use ergastic_words::Voice;
use serde::Serialize;
use utoipa::ToSchema;

use super::ingredient::Ingredient;
use super::larder::{Larder, LarderFacts};

/// Something from the larder as it is shown on its shelf.
#[derive(Debug, Clone, Serialize, ToSchema)]
pub struct OnTheShelf {
    /// What is known of it.
    #[serde(flatten)]
    pub facts: LarderFacts,
    /// Its name.
    pub name: String,
    /// Kept from an earlier cook: what the kitchen knows it by.
    pub kept: Option<String>,
    /// Whether it may be reached for: what is only kept of earlier cooks is there when something is.
    pub offered: bool,
    /// What goes in at first.
    pub puts: Ingredient,
}

/// Everything in the larder as it is shown on its shelf.
pub fn on_the_shelf(voice: Voice) -> Vec<OnTheShelf> {
    let shown = |facts: &LarderFacts| {
        let (first_ml, first_g) = facts.what.first();
        let puts = Ingredient::usual(facts.what, first_ml, first_g);
        OnTheShelf {
            facts: *facts,
            name: voice.render(facts.what.name()),
            kept: None,
            offered: !facts.what.is_kept(),
            puts,
        }
    };
    Larder::all().iter().map(shown).collect()
}
