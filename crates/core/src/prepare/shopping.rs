//! The shopping list: everything the bench asks for, by where it is bought.

use ergastic_words::{Length, Message, Voice, prepare as say};
use serde::{Deserialize, Serialize};
use serde_with::skip_serializing_none;
use utoipa::ToSchema;

use super::goes_in::rendered_bacon_g;
use super::laid::BenchFigures;
use super::schools::flour_g;
use crate::bench::{Larder, SearFat, Shelf};
use crate::forecast::ResolvedDish;
use crate::ways::Buys;

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
pub(crate) const OIL_ML: f64 = 15.0;

/// Fat that covers the meat and stands a finger above it, L.
pub(crate) fn covering_fat_l(case: &ResolvedDish) -> f64 {
    f64::max(0.1, case.packing.litres_for(1.05))
}

/// The list as it is gathered.
struct List {
    items: Vec<ShoppingItem>,
    voice: Voice,
}

impl List {
    fn add(&mut self, shelf: Shelf, name: Message, how: impl FnOnce(&mut ShoppingItem)) {
        let name = self.voice.render(name);
        let mut item = ShoppingItem { shelf, name, g: None, ml: None, count: None, note: None, cost: None };
        how(&mut item);
        self.items.push(item);
    }

    fn grams(&mut self, shelf: Shelf, name: Message, g: f64) {
        self.add(shelf, name, |item| item.g = Some(g));
    }

    fn grams_for(&mut self, shelf: Shelf, name: Message, g: f64, why: Message) {
        let note = self.voice.render(why);
        self.add(shelf, name, |item| (item.g, item.note) = (Some(g), Some(note)));
    }

    fn millilitres(&mut self, shelf: Shelf, name: Message, ml: Option<f64>) {
        self.add(shelf, name, |item| item.ml = ml);
    }

    fn millilitres_for(&mut self, shelf: Shelf, name: Message, ml: Option<f64>, why: Message) {
        let note = self.voice.render(why);
        self.add(shelf, name, |item| (item.ml, item.note) = (ml, Some(note)));
    }

    fn pieces(&mut self, shelf: Shelf, name: Message, count: u32) {
        self.add(shelf, name, |item| item.count = Some(count));
    }
}

impl BenchFigures<'_> {
    pub fn shopping(&self) -> Vec<ShoppingItem> {
        let mut list = List { items: Vec::new(), voice: self.case.voice };
        self.buy_meat(&mut list);
        self.buy_for_the_pan(&mut list);
        self.buy_for_the_pot(&mut list);
        self.buy_for_the_heat(&mut list);
        list.items.sort_by_key(|item| item.shelf);
        list.items
    }

    fn buy_meat(&self, list: &mut List) {
        let cost = self.trimmed.cost.filter(|_| self.case.parts.len() == 1);
        for part in &self.case.parts {
            let thick = Length(part.sides_m[0] * 1000.0);
            let cut = if part.pieces == 1 { say::buy_one_piece(thick) } else { say::buy_pieces(part.pieces, thick) };
            list.grams_for(Shelf::Butcher, part.facts.cut.label(), part.mass_kg * 1000.0, cut);
            if let Some(bought) = list.items.last_mut() {
                bought.cost = cost;
            }
        }
    }

    fn buy_for_the_pan(&self, list: &mut List) {
        if self.bench.renders_bacon() {
            let g = rendered_bacon_g(self.bench, self.case);
            list.grams_for(Shelf::Butcher, Larder::Bacon.name(), g, say::buy_to_render());
        }
        if self.sear.happens() && self.sear.fat == SearFat::Oil {
            list.millilitres(Shelf::Dry, Larder::Oil.name(), Some(OIL_ML * f64::from(self.sear.batches)));
        }
        // Flour of the bench is what it is dredged in.
        let on_the_bench = self.bench.ingredients.iter().any(|thing| thing.what == Larder::Flour);
        if self.bench.flour && !on_the_bench {
            list.grams_for(Shelf::Dry, Larder::Flour.name(), flour_g(self.case), say::buy_to_dredge());
        }
        if self.salt.g > 0.0 {
            list.grams(Shelf::Dry, self.bench.crystal.name(), self.salt.g);
        }
    }

    fn buy_for_the_pot(&self, list: &mut List) {
        let poured = self.pot.map_or(&[][..], |pot| &pot.poured);
        for thing in poured.iter().filter(|thing| thing.what != Larder::Water) {
            let facts = thing.what.facts();
            list.millilitres(facts.shelf, facts.what.name(), Some(thing.l * 1000.0));
        }
        if let Some(marinade) = self.bench.marinade.filter(|marinade| !marinade.kept) {
            let bought = marinade.made_of();
            let facts = bought.what.facts();
            list.millilitres_for(facts.shelf, facts.what.name(), bought.ml, say::buy_for_the_marinade());
        }
        for thing in self.bench.ingredients.iter().filter(|thing| !thing.what.facts().liquid) {
            let facts = thing.what.facts();
            list.grams(facts.shelf, facts.what.name(), thing.grams());
        }
        for thing in self.later {
            list.grams_for(Shelf::Vegetables, thing.what.name(), thing.g, say::buy_goes_in_later());
        }
    }

    fn buy_for_the_heat(&self, list: &mut List) {
        match self.case.first().medium.facts().buys {
            Buys::Fat => {
                let ml = covering_fat_l(self.case) * 1000.0;
                list.millilitres_for(Shelf::Cold, say::buy_fat(), Some(ml), say::buy_to_cover());
            }
            Buys::Wood => {
                let note = list.voice.render(say::buy_dry_hardwood());
                let wood = say::splits(self.bench.wood.key());
                list.add(Shelf::Dry, wood, |item| (item.count, item.note) = (Some(3), Some(note)));
            }
            Buys::Nothing => {}
        }
        if self.bench.strings > 0 {
            list.pieces(Shelf::Dry, say::buy_strings(), self.bench.strings);
        }
        if let Some(ring) = self.coals {
            let lit = (ring.under + ring.over) * (1 + ring.fresh_at_min.len() as u32);
            list.pieces(Shelf::Dry, say::buy_briquettes(), lit);
        }
    }
}
