//! The shopping list: everything the bench asks for, by where it is bought.

use ergastic_words::{Length, Said, Voice, prepare as say};
use serde::{Deserialize, Serialize};
use serde_with::skip_serializing_none;
use utoipa::ToSchema;

use super::later::LaterAnswer;
use super::pot::Poured;
use super::salt::{BACON_G_PER_KG, SaltAnswer};
use super::schools::flour_g;
use super::sear::SearPlan;
use crate::bench::{Larder, Shelf};
use crate::bench::{Prepare, SearFat};
use crate::forecast::Case;
use crate::ways::Medium;

/// One line of the list.
#[skip_serializing_none]
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct ShoppingItem {
    /// Where it is bought.
    pub shelf: Shelf,
    /// What.
    pub name: String,
    /// By weight, g.
    pub g: Option<f64>,
    /// By volume, mL.
    pub ml: Option<f64>,
    /// By number.
    pub count: Option<u32>,
    /// Why, or what to ask for.
    pub note: Option<String>,
    /// In the kitchen's money.
    pub cost: Option<f64>,
}

/// Oil for each batch, mL. Practice.
const OIL_ML: f64 = 15.0;

fn item(voice: Voice, shelf: Shelf, name: Said) -> ShoppingItem {
    ShoppingItem { shelf, name: voice.say(name), g: None, ml: None, count: None, note: None, cost: None }
}

/// What else is known of the dish.
pub(super) struct Basket<'a> {
    pub case: &'a Case,
    pub bench: &'a Prepare,
    pub sear: &'a SearPlan,
    pub salt: &'a SaltAnswer,
    pub poured: &'a [Poured],
    pub later: &'a [LaterAnswer],
    pub cost: Option<f64>,
    pub coals: Option<u32>,
}

pub(super) fn list(basket: &Basket) -> Vec<ShoppingItem> {
    let Basket { case, bench, sear, salt, poured, later, cost, coals } = *basket;
    let voice = case.voice;
    let item = |shelf, name: Said| item(voice, shelf, name);
    let note = |said: Said| Some(voice.say(said));
    let mut found = Vec::new();
    for part in &case.parts {
        let thick = Length(part.sides_m[0] * 1000.0);
        let cut = if part.pieces == 1 { say::buy_one_piece(thick) } else { say::buy_pieces(part.pieces, thick) };
        found.push(ShoppingItem {
            g: Some(part.mass_kg * 1000.0),
            note: note(cut),
            cost: cost.filter(|_| case.parts.len() == 1),
            ..item(Shelf::Butcher, part.facts.cut.label())
        });
    }
    if bench.renders_bacon() {
        found.push(ShoppingItem {
            g: Some(BACON_G_PER_KG * case.mass_kg),
            note: note(say::buy_to_render()),
            ..item(Shelf::Butcher, Larder::Bacon.name())
        });
    }
    if sear.happens() && sear.fat == SearFat::Oil {
        found.push(ShoppingItem { ml: Some(OIL_ML * f64::from(sear.batches)), ..item(Shelf::Dry, Larder::Oil.name()) });
    }
    if bench.flour {
        found.push(ShoppingItem {
            g: Some(flour_g(case)),
            note: note(say::buy_to_dredge()),
            ..item(Shelf::Dry, Larder::Flour.name())
        });
    }
    if salt.g > 0.0 {
        found.push(ShoppingItem { g: Some(salt.g), ..item(Shelf::Dry, bench.crystal.name()) });
    }
    for thing in poured.iter().filter(|thing| thing.what != Larder::Water) {
        let facts = thing.what.facts();
        found.push(ShoppingItem { ml: Some(thing.l * 1000.0), ..item(facts.shelf, facts.what.name()) });
    }
    if let Some(marinade) = bench.marinade.filter(|marinade| !marinade.kept) {
        let bought = marinade.made_of();
        let facts = bought.what.facts();
        let note = note(say::buy_for_the_marinade());
        found.push(ShoppingItem { ml: bought.ml, note, ..item(facts.shelf, facts.what.name()) });
    }
    for thing in bench.ingredients.iter().filter(|thing| !thing.what.facts().liquid) {
        let facts = thing.what.facts();
        found.push(ShoppingItem { g: Some(thing.grams()), ..item(facts.shelf, facts.what.name()) });
    }
    for thing in later {
        found.push(ShoppingItem {
            g: Some(thing.g),
            note: note(say::buy_goes_in_later()),
            ..item(Shelf::Vegetables, thing.what.name())
        });
    }
    match case.first().medium {
        Medium::Fat { .. } => {
            let ml = Some(f64::max(0.1, case.packing.litres_for(1.05)) * 1000.0);
            let note = note(say::buy_to_cover());
            found.push(ShoppingItem { ml, note, ..item(Shelf::Cold, say::buy_fat()) });
        }
        Medium::Pit { .. } => {
            let note = note(say::buy_dry_hardwood());
            found.push(ShoppingItem { note, count: Some(3), ..item(Shelf::Dry, say::splits(bench.wood.key())) });
        }
        _ => {}
    }
    if bench.strings > 0 {
        found.push(ShoppingItem { count: Some(bench.strings), ..item(Shelf::Dry, say::buy_strings()) });
    }
    if let Some(coals) = coals {
        found.push(ShoppingItem { count: Some(coals), ..item(Shelf::Dry, say::buy_briquettes()) });
    }
    found.sort_by_key(|item| item.shelf);
    found
}
