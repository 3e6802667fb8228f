//! What a dish carries for those who can't or won't eat it: allergens of all that comes to the table, and alcohol.

use std::collections::BTreeMap;

use ergastic_words::{Grams, Join, Message, Percent, Voice, safety as say};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::pot::{Poured, poured};
use crate::bench::{Allergen, Carrier, Larder, Prepare, carried};
use crate::finish::{Target, Thickener};
use crate::plan::Plan;
use crate::safety::Caution;

/// Share of the alcohol left after so many hours at a simmer. Published measurements of braises and stews.
const ALCOHOL_LEFT: [(f64, f64); 6] = [(0.0, 1.0), (0.25, 0.40), (0.5, 0.35), (1.0, 0.25), (2.0, 0.10), (2.5, 0.05)];
/// Alcohol, kg/L.
const ETHANOL_KG_PER_L: f64 = 0.789;
/// Less alcohol on a plate is none, g: as much as a ripe banana or a slice of bread has. Published measurements.
const NO_ALCOHOL_G: f64 = 0.3;

/// An allergen and what brings it.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct AllergenFrom {
    /// Which.
    pub allergen: Allergen,
    /// As it stands on a label.
    pub name: String,
    /// From what.
    pub from: Vec<String>,
}

/// Something that comes to the table, and what it is.
type Named = (Message, Vec<Carrier>);

/// What goes into the pot at a bench, at first and later.
fn in_the_pot(bench: &Prepare, poured: &[Poured]) -> Vec<Named> {
    let things = bench.things();
    let solids = things.iter().map(|thing| thing.what).filter(|what| !what.facts().liquid);
    let flour = bench.flour.then_some(Larder::Flour);
    let larder = poured.iter().map(|poured| poured.what).chain(solids).chain(flour);
    let larder = larder.map(|what| (what.name(), vec![Carrier::Larder(what)]));
    larder.chain(bench.later.iter().map(|later| (later.what.name(), vec![Carrier::Later(later.what)]))).collect()
}

fn gathered(things: Vec<Named>, voice: Voice) -> Vec<AllergenFrom> {
    let mut found: BTreeMap<Allergen, Vec<String>> = BTreeMap::new();
    for (name, carriers) in things {
        let name = voice.render(name);
        for allergen in carried(&carriers) {
            let from = found.entry(allergen).or_default();
            if !from.contains(&name) {
                from.push(name.clone());
            }
        }
    }
    let of = |(allergen, from): (Allergen, Vec<String>)| AllergenFrom {
        allergen,
        name: voice.render(allergen.name()),
        from,
    };
    found.into_iter().map(of).collect()
}

/// The allergens in a pot, with what brings them.
pub(super) fn in_pot(bench: &Prepare, poured: &[Poured], voice: Voice) -> Vec<AllergenFrom> {
    gathered(in_the_pot(bench, poured), voice)
}

/// What is said as the plates go out: allergens of the pot, of what thickens it and of what stands beside it, and what is left of
/// the alcohol after so many hours.
pub(crate) fn said_at_the_table(plan: &Plan, liquid_l: f64, thickened: bool, hours: f64, voice: Voice) -> Vec<Caution> {
    let bench = &plan.prepare;
    let poured = if liquid_l > 0.0 { poured(bench, liquid_l) } else { Vec::new() };
    let mut things = in_the_pot(bench, &poured);
    if thickened && matches!(plan.target, Target::Coat | Target::Gravy) && plan.thickener != Thickener::None {
        things.push((plan.thickener.name(), plan.thickener.made_of().to_vec()));
    }
    things.extend(plan.sides.iter().map(|side| (Message::text(side.what.clone()), Carrier::of_side(&side.what))));
    let found = gathered(things, voice);
    let each = found.into_iter().map(|found| {
        say::allergen_from(
            Message::text(found.name),
            Message::list(found.from.into_iter().map(Message::text), Join::Commas),
        )
    });
    let each: Vec<Message> = each.collect();
    let allergens = (!each.is_empty())
        .then(|| Caution::new("allergens", say::allergens(Message::list(each, Join::Semicolons)), voice));
    allergens.into_iter().chain(alcohol(&poured, hours, plan.people, voice)).collect()
}

/// Share of the alcohol left after some hours.
pub fn alcohol_left(hours: f64) -> f64 {
    let after = ALCOHOL_LEFT.partition_point(|(at, _)| *at <= hours);
    if after == ALCOHOL_LEFT.len() {
        return 0.05;
    }
    let ((h0, a0), (h1, a1)) = (ALCOHOL_LEFT[after - 1], ALCOHOL_LEFT[after]);
    a0 + (a1 - a0) * (hours - h0) / (h1 - h0)
}

/// Alcohol that is poured in, g.
pub(super) fn alcohol_g(poured: &[Poured]) -> f64 {
    poured.iter().map(|thing| thing.l * 10.0 * thing.what.facts().alcohol_pct * ETHANOL_KG_PER_L).sum()
}

/// What is left of the alcohol, for those who take none.
pub(super) fn alcohol(poured: &[Poured], hours: f64, people: u32, voice: Voice) -> Option<Caution> {
    let left = alcohol_left(hours);
    let plate_g = alcohol_g(poured) * left / f64::from(people.max(1));
    let went_in: Vec<Message> =
        poured.iter().filter(|thing| thing.what.facts().alcohol_pct > 0.0).map(|thing| thing.what.name()).collect();
    let said = match plate_g {
        g if g < NO_ALCOHOL_G => say::alcohol_trace(Message::list(went_in.clone(), Join::And)),
        g => say::alcohol_left(
            Grams(g),
            Percent((100.0 * left).round() / 100.0),
            Message::list(went_in.clone(), Join::And),
        ),
    };
    (!went_in.is_empty()).then(|| Caution::new("alcohol", said, voice))
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn alcohol_leaves_as_it_was_measured() {
        for (hours, left) in [(0.25, 0.40), (1.0, 0.25), (2.0, 0.10), (2.5, 0.05), (9.0, 0.05)] {
            assert!((alcohol_left(hours) - left).abs() < 1e-9, "{hours} h");
        }
        assert!((alcohol_left(1.5) - 0.175).abs() < 1e-9);
    }
}
