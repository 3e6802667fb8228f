//! Allergens: the one table of what carries which, of all that goes into a pot or is proposed beside it.

use ergastic_words::{Join, Message, larder as say};
use serde::{Deserialize, Serialize};
use strum::IntoStaticStr;
use utoipa::ToSchema;

use super::larder::Larder;
use super::later::Addition;

/// What an allergen is called on a label.
#[derive(Debug, Clone, Copy, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize, ToSchema, IntoStaticStr)]
#[serde(rename_all = "snake_case")]
#[strum(serialize_all = "snake_case")]
pub enum Allergen {
    /// Wheat.
    Wheat,
    /// Barley.
    Barley,
    /// Rye.
    Rye,
    /// Milk.
    Milk,
    /// Egg.
    Egg,
    /// Fish.
    Fish,
    /// Soy.
    Soy,
    /// Celery.
    Celery,
    /// Mustard.
    Mustard,
    /// Sesame.
    Sesame,
    /// Nuts.
    Nuts,
    /// Sulphites.
    Sulphites,
}

impl Allergen {
    /// Its name in JSON.
    pub fn key(self) -> &'static str {
        self.into()
    }

    /// As it stands on a label.
    pub fn name(self) -> Message {
        say::allergen(self.key())
    }
}

/// What is proposed and stands in no larder.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum Food {
    /// Wheat bread and its crumbs.
    Bread,
    /// Rye bread and its crumbs.
    RyeBread,
    /// Noodles and pasta.
    Noodles,
    /// Baked or poured of flour, egg and milk.
    Batter,
    /// Barley, and what is brewed of it.
    Barley,
    /// Mashed with milk and butter, or under cheese.
    Mash,
    /// The root of celery.
    Celeriac,
    /// Beaten of egg and oil.
    Mayonnaise,
    /// Gherkins and other things in vinegar.
    Pickles,
    /// From the jar.
    Horseradish,
    /// Its seed, oil and paste.
    Sesame,
    /// Leaves of mustard.
    MustardGreens,
    /// From the tree.
    Nuts,
}

/// Something that may carry an allergen.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum Carrier {
    /// From the larder.
    Larder(Larder),
    /// Added while it cooks.
    Later(Addition),
    /// Beside the pot.
    Food(Food),
}

use Allergen as A;
use Carrier as C;
use Food as F;
use Larder as L;

/// What each usually carries; what is not in it carries none of these. Published lists of what has to be declared.
static TABLE: [(Carrier, &[Allergen]); 43] = [
    (C::Larder(L::Stock), &[A::Celery]),
    (C::Larder(L::UnsaltedStock), &[A::Celery]),
    (C::Larder(L::GoodStock), &[A::Celery]),
    (C::Larder(L::StockCube), &[A::Celery, A::Wheat]),
    (C::Larder(L::RedWine), &[A::Sulphites]),
    (C::Larder(L::WhiteWine), &[A::Sulphites]),
    (C::Larder(L::DarkBeer), &[A::Barley, A::Wheat]),
    (C::Larder(L::PaleBeer), &[A::Barley, A::Wheat]),
    (C::Larder(L::Cider), &[A::Sulphites]),
    (C::Larder(L::FortifiedWine), &[A::Sulphites]),
    (C::Larder(L::SoySauce), &[A::Soy, A::Wheat]),
    (C::Larder(L::LowSaltSoy), &[A::Soy, A::Wheat]),
    (C::Larder(L::FishSauce), &[A::Fish]),
    (C::Larder(L::TableSauce), &[A::Fish, A::Barley]),
    (C::Larder(L::Mustard), &[A::Mustard, A::Sulphites]),
    (C::Larder(L::Miso), &[A::Soy, A::Barley, A::Wheat]),
    (C::Larder(L::Vinegar), &[A::Sulphites]),
    (C::Larder(L::Cream), &[A::Milk]),
    (C::Larder(L::Treacle), &[A::Sulphites]),
    (C::Larder(L::DarkChocolate), &[A::Milk, A::Soy]),
    (C::Larder(L::Anchovy), &[A::Fish]),
    (C::Larder(L::SaltedRub), &[A::Mustard, A::Celery]),
    (C::Larder(L::UnsaltedRub), &[A::Mustard]),
    (C::Larder(L::Flour), &[A::Wheat]),
    (C::Larder(L::Butter), &[A::Milk]),
    (C::Larder(L::Celery), &[A::Celery]),
    (C::Larder(L::WholeSpice), &[A::Mustard]),
    (C::Larder(L::KeptSauce), &[A::Wheat, A::Celery]),
    (C::Larder(L::KeptBroth), &[A::Celery]),
    (C::Later(Addition::Dumplings), &[A::Wheat, A::Egg, A::Milk]),
    (C::Food(F::Bread), &[A::Wheat]),
    (C::Food(F::RyeBread), &[A::Rye, A::Wheat]),
    (C::Food(F::Noodles), &[A::Wheat, A::Egg]),
    (C::Food(F::Batter), &[A::Wheat, A::Egg, A::Milk]),
    (C::Food(F::Barley), &[A::Barley]),
    (C::Food(F::Mash), &[A::Milk]),
    (C::Food(F::Celeriac), &[A::Celery]),
    (C::Food(F::Mayonnaise), &[A::Egg, A::Mustard]),
    (C::Food(F::Pickles), &[A::Sulphites, A::Mustard]),
    (C::Food(F::Horseradish), &[A::Sulphites]),
    (C::Food(F::Sesame), &[A::Sesame]),
    (C::Food(F::MustardGreens), &[A::Mustard]),
    (C::Food(F::Nuts), &[A::Nuts]),
];

/// What a cook writes for a side, by a part of its name, and what it is. More than one may fit.
static SIDES: [(&str, Carrier); 32] = [
    ("bread", C::Food(F::Bread)),
    ("bun", C::Food(F::Bread)),
    ("toast", C::Food(F::Bread)),
    ("crumb", C::Food(F::Bread)),
    ("couscous", C::Food(F::Bread)),
    ("bulgur", C::Food(F::Bread)),
    ("tortilla", C::Food(F::Bread)),
    ("rye", C::Food(F::RyeBread)),
    ("noodle", C::Food(F::Noodles)),
    ("pasta", C::Food(F::Noodles)),
    ("tagliatelle", C::Food(F::Noodles)),
    ("macaroni", C::Food(F::Noodles)),
    ("dumpling", C::Later(Addition::Dumplings)),
    ("pudding", C::Food(F::Batter)),
    ("pancake", C::Food(F::Batter)),
    ("barley", C::Food(F::Barley)),
    ("mash", C::Food(F::Mash)),
    ("purée", C::Food(F::Mash)),
    ("puree", C::Food(F::Mash)),
    ("gratin", C::Food(F::Mash)),
    ("polenta", C::Food(F::Mash)),
    ("cheese", C::Food(F::Mash)),
    ("cream", C::Larder(L::Cream)),
    ("butter", C::Larder(L::Butter)),
    ("celeri", C::Food(F::Celeriac)),
    ("celery", C::Larder(L::Celery)),
    ("slaw", C::Food(F::Mayonnaise)),
    ("mayonnaise", C::Food(F::Mayonnaise)),
    ("pickle", C::Food(F::Pickles)),
    ("mustard", C::Larder(L::Mustard)),
    ("sesame", C::Food(F::Sesame)),
    ("soy", C::Larder(L::SoySauce)),
];

impl Carrier {
    /// What it usually carries.
    pub fn allergens(self) -> &'static [Allergen] {
        TABLE.iter().find(|(what, _)| *what == self).map_or(&[], |(_, allergens)| allergens)
    }

    /// What a side of such a name is likely to be.
    pub fn of_side(name: &str) -> Vec<Self> {
        let name = name.to_lowercase();
        SIDES.iter().filter(|(part, _)| name.contains(part)).map(|(_, what)| *what).collect()
    }
}

impl Larder {
    /// What does instead where there is none, and what that changes.
    pub fn swap(self) -> Message {
        let facts = self.facts();
        let Some(instead) = facts.instead else {
            return if self == Self::Flour { say::no_flour() } else { say::leave_out(self.name()) };
        };
        let carried = Carrier::Larder(self).allergens();
        let more = Carrier::Larder(instead).allergens().iter().filter(|allergen| !carried.contains(allergen));
        let brings: Vec<_> = more.map(|allergen| allergen.name()).collect();
        let changes = say::changes(self.key());
        if brings.is_empty() {
            return say::swap(self.name(), instead.name(), changes);
        }
        say::swap_that_brings(self.name(), instead.name(), changes, Message::list(brings, Join::And))
    }
}

/// All that some things carry, each once, in the order of a label.
pub fn carried(things: &[Carrier]) -> Vec<Allergen> {
    let mut all: Vec<_> = things.iter().flat_map(|thing| thing.allergens()).copied().collect();
    all.sort_unstable();
    all.dedup();
    all
}

/// The same as a label says it; nothing where they carry none.
pub fn label(things: &[Carrier]) -> Option<Message> {
    let all = carried(things);
    (!all.is_empty()).then(|| say::carries(Message::list(all.into_iter().map(Allergen::name), Join::And)))
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn beer_has_its_barley_and_nothing_stands_twice_in_the_table() {
        for beer in [L::DarkBeer, L::PaleBeer] {
            assert!(C::Larder(beer).allergens().contains(&A::Barley), "{beer:?}");
        }
        for (i, (what, allergens)) in TABLE.iter().enumerate() {
            assert!(TABLE[..i].iter().all(|(other, _)| other != what), "{what:?}");
            assert!(!allergens.is_empty(), "{what:?}");
        }
    }

    #[test]
    fn a_side_is_known_by_its_name() {
        let of = |name: &str| carried(&C::of_side(name));
        assert_eq!(of("Buttered egg noodles"), [A::Wheat, A::Milk, A::Egg]);
        assert_eq!(of("Celeriac mash"), [A::Milk, A::Celery]);
        assert_eq!(of("rice"), []);
    }
}
