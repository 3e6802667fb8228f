//! What the ingredients do to the sauce beside salt: sugar, acid, bitterness, alcohol, body, allergens.

use ergastic_words::{Join, Message, Percent, Voice, prepare as say};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::carries::{self, AllergenFrom, alcohol_g, alcohol_left};
use super::pot::Poured;
use crate::bench::{Allergen, Carrier, Ingredient, Larder, Prepare, Shelf};

/// From here a sauce tastes sweet, or sharp, as a share of it. Working values.
const SWEET: f64 = 0.05;
const SHARP: f64 = 0.005;
/// Under so much sugar for each of acid it tastes ripe, not sweet: a tomato has some nine times. Working value.
const SWEET_OVER_ACID: f64 = 12.0;
/// Of their sugar vegetables give this share to the sauce; the rest is eaten with them or strained out. Working value.
const SUGAR_GIVEN: f64 = 0.4;
/// From this share of the liquid a bitter thing speaks when it is boiled down.
const BITTER_SHARE: f64 = 0.15;

/// Something that could be left out, and what changes.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Swap {
    /// What is to be replaced.
    pub what: Larder,
    /// By what; `None` where nothing does.
    pub instead: Option<Larder>,
    /// What then stands in its place, as much of it where both are poured or both weighed.
    pub becomes: Option<Ingredient>,
    /// In words.
    pub words: String,
    /// Allergens it takes away.
    pub without: Vec<Allergen>,
}

/// What stands in the place of something: as much of it where both are poured or both weighed, else a usual amount.
fn in_place_of(bench: &Prepare, what: Larder, instead: Larder) -> Ingredient {
    let alike = what.facts().liquid == instead.facts().liquid;
    let given = bench.ingredients.iter().find(|thing| thing.what == what).filter(|_| alike);
    let (first_ml, first_g) = instead.first();
    Ingredient::usual(instead, given.map_or(first_ml, |thing| thing.ml), given.map_or(first_g, |thing| thing.g))
}

/// The sauce's balance beside salt.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Balance {
    /// Sugar in the sauce, g.
    pub sugar_g: f64,
    /// Acid, g, reckoned as acetic.
    pub acid_g: f64,
    /// Alcohol poured in, g.
    pub alcohol_g: f64,
    /// Share of it left at the end.
    pub alcohol_left: f64,
    /// The same in a sentence for those who take none; nothing where none went in.
    pub alcohol: Option<String>,
    /// What to mind when it is reduced: sweet, sharp or bitter.
    pub flags: Vec<String>,
    /// Allergens in the pot and of what is added later, with what brings them.
    pub allergens: Vec<AllergenFrom>,
    /// Swaps.
    pub swaps: Vec<Swap>,
}

/// Everything in the pot by mass: what is poured, and what is not.
fn in_the_pot(bench: &Prepare, poured: &[Poured]) -> Vec<(Larder, f64)> {
    let liquids = poured.iter().map(|poured| (poured.what, poured.l * 1000.0 * poured.what.facts().density));
    let things = bench.things();
    let solids = (things.iter()).filter(|thing| !thing.what.facts().liquid).map(|thing| (thing.what, thing.grams()));
    let flour = bench.flour.then_some((Larder::Flour, 1.0));
    liquids.chain(solids).chain(flour).collect()
}

/// Gelatin that what is poured brings, g.
pub(super) fn gelatin_g(poured: &[Poured]) -> f64 {
    poured.iter().map(|thing| thing.l * 10.0 * thing.what.facts().density * thing.gelatin_pct).sum()
}

/// Fat that what is put in gives to the pot, kg.
pub(super) fn fat_kg(bench: &Prepare, bacon_kg: f64) -> f64 {
    let things: f64 = bench.things().iter().map(|thing| thing.grams() * thing.what.facts().fat_pct).sum();
    (things / 1000.0 + bacon_kg * Larder::Bacon.facts().fat_pct) / 100.0
}

/// Water that vegetables and the like give to the pot beside what is poured, L.
pub(super) fn water_l(bench: &Prepare) -> f64 {
    bench.things().iter().map(|thing| thing.grams() * thing.what.facts().water_pct).sum::<f64>() / 1e5
}

/// What the sauce tastes of beside salt, and what comes out of it.
#[derive(Debug, Clone, Copy, PartialEq)]
pub(crate) struct Brings {
    /// Sugar, g.
    pub sugar_g: f64,
    /// Acid, reckoned as acetic, g.
    pub acid_g: f64,
    /// Something in it grows bitter as it comes down.
    pub bitter: bool,
    /// Vegetables that cooked in it, kg.
    pub vegetables_kg: f64,
}

/// What the ingredients bring to a liquid that so much of is left, L.
pub(super) fn brings(bench: &Prepare, poured: &[Poured], left_l: f64) -> Brings {
    let things = in_the_pot(bench, poured);
    let (sugar_g, acid_g) = sweet_and_sharp(&things);
    let vegetable =
        |(what, _): &&(Larder, f64)| what.facts().shelf == Shelf::Vegetables && what.facts().water_pct > 0.0;
    let vegetables_kg = things.iter().filter(vegetable).map(|(_, grams)| grams).sum::<f64>() / 1000.0;
    Brings { sugar_g, acid_g, bitter: !bitter(&things, left_l).is_empty(), vegetables_kg }
}

/// Sugar and acid, g.
fn sweet_and_sharp(things: &[(Larder, f64)]) -> (f64, f64) {
    let sum = |of: &dyn Fn(Larder) -> f64| things.iter().map(|&(what, grams)| grams * of(what) / 100.0).sum::<f64>();
    let sugar_g = sum(&|what| {
        let facts = what.facts();
        facts.sugar_pct * if facts.water_pct > 0.0 && facts.shelf == Shelf::Vegetables { SUGAR_GIVEN } else { 1.0 }
    });
    (sugar_g, sum(&|what| what.facts().acid_pct))
}

/// What of it grows bitter as it comes down.
fn bitter(things: &[(Larder, f64)], left_l: f64) -> Vec<Message> {
    let speaks =
        |(what, grams): &&(Larder, f64)| what.facts().bitter && *grams > BITTER_SHARE * 1000.0 * f64::max(left_l, 0.1);
    things.iter().filter(speaks).map(|(what, _)| what.name()).collect()
}

pub(super) fn balance(
    bench: &Prepare,
    poured: &[Poured],
    hours: f64,
    people: u32,
    left_l: f64,
    voice: Voice,
) -> Balance {
    let things = in_the_pot(bench, poured);
    let (sugar_g, acid_g) = sweet_and_sharp(&things);
    let bitter = bitter(&things, left_l);
    let halved_kg = f64::max(0.5 * left_l, 0.05);
    let (sugar, acid) = (sugar_g / halved_kg / 1000.0, acid_g / halved_kg / 1000.0);
    let flags = [
        (sugar > SWEET && sugar > SWEET_OVER_ACID * acid).then(|| say::sweet(Percent(sugar))),
        (acid > SHARP).then(say::sharp),
        (!bitter.is_empty()).then(|| say::bitter(Message::list(bitter, Join::And))),
    ];
    let mut seen: Vec<Larder> = Vec::new();
    let mut swaps = Vec::new();
    for (what, _) in things {
        if seen.contains(&what) {
            continue;
        }
        seen.push(what);
        let facts = what.facts();
        if what == Larder::Water {
            continue;
        }
        let carries = |what: Larder| Carrier::Larder(what).allergens();
        let kept = facts.instead.map_or(&[][..], carries);
        swaps.push(Swap {
            what,
            instead: facts.instead,
            becomes: facts.instead.map(|instead| in_place_of(bench, what, instead)),
            words: voice.render(what.swap()),
            without: carries(what).iter().copied().filter(|allergen| !kept.contains(allergen)).collect(),
        });
    }
    Balance {
        sugar_g,
        acid_g,
        alcohol_g: alcohol_g(poured),
        alcohol_left: alcohol_left(hours),
        flags: flags.into_iter().flatten().map(|flag| voice.render(flag)).collect(),
        alcohol: carries::alcohol(poured, hours, people, voice).map(|caution| caution.text),
        allergens: carries::in_pot(bench, poured, voice),
        swaps,
    }
}
