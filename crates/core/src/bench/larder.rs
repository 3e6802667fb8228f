//! What goes into a pot beside the meat: salt, sugar, acid, bitterness, alcohol, body and allergens of each.

use ergastic_words::{Join, Said, Voice, larder as say};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// Something from the larder.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Hash, PartialOrd, Ord, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Larder {
    /// Water.
    Water,
    /// Stock.
    #[serde(alias = "beef_stock")]
    Stock,
    /// Unsalted stock.
    UnsaltedStock,
    /// Good stock.
    GoodStock,
    /// Stock cube.
    #[serde(alias = "bouillon", alias = "stock_powder")]
    StockCube,
    /// Red wine.
    #[serde(alias = "wine")]
    RedWine,
    /// White wine.
    WhiteWine,
    /// Dark beer.
    #[serde(alias = "beer", alias = "stout")]
    DarkBeer,
    /// Pale beer.
    PaleBeer,
    /// Cider.
    Cider,
    /// Fortified wine.
    FortifiedWine,
    /// Tomato passata.
    #[serde(alias = "passata", alias = "tomato", alias = "tomato_sauce")]
    TomatoPassata,
    /// Tinned tomato.
    #[serde(alias = "canned_tomato", alias = "tinned_tomatoes", alias = "canned_tomatoes")]
    TinnedTomato,
    /// Tomato paste.
    TomatoPaste,
    /// Soy sauce.
    #[serde(alias = "soy")]
    SoySauce,
    /// Low salt soy.
    LowSaltSoy,
    /// Fish sauce.
    FishSauce,
    /// Table sauce.
    #[serde(alias = "brown_sauce")]
    TableSauce,
    /// Mustard.
    Mustard,
    /// Miso.
    Miso,
    /// Vinegar.
    Vinegar,
    /// Citrus juice.
    #[serde(alias = "lemon_juice")]
    CitrusJuice,
    /// Apple juice.
    AppleJuice,
    /// Cream.
    Cream,
    /// Coconut milk.
    CoconutMilk,
    /// Brown sugar.
    #[serde(alias = "sugar")]
    BrownSugar,
    /// Honey.
    Honey,
    /// Treacle.
    Treacle,
    /// Dark chocolate.
    DarkChocolate,
    /// Coffee.
    Coffee,
    /// Bacon.
    Bacon,
    /// Anchovy.
    Anchovy,
    /// Olives.
    Olives,
    /// Salted rub.
    #[serde(alias = "rub")]
    SaltedRub,
    /// Unsalted rub.
    UnsaltedRub,
    /// Flour.
    Flour,
    /// Butter.
    Butter,
    /// Oil.
    Oil,
    /// Onion.
    Onion,
    /// Carrot.
    Carrot,
    /// Celery.
    Celery,
    /// Garlic.
    Garlic,
    /// Mushroom.
    Mushroom,
    /// Chilli.
    Chilli,
    /// Dried mushroom.
    DriedMushroom,
    /// Bay leaf.
    BayLeaf,
    /// Thyme.
    Thyme,
    /// Whole spice.
    WholeSpice,
}

/// What an allergen is called on a label.
#[derive(Debug, Clone, Copy, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Allergen {
    /// Wheat.
    Wheat,
    /// Soy.
    Soy,
    /// Fish.
    Fish,
    /// Sulphites.
    Sulphites,
    /// Celery.
    Celery,
    /// Mustard.
    Mustard,
    /// Milk.
    Milk,
}

/// Where it is bought.
#[derive(Debug, Clone, Copy, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Shelf {
    /// At the butcher's.
    Butcher,
    /// Among the vegetables.
    Vegetables,
    /// In the cellar.
    Cellar,
    /// On the dry shelf.
    Dry,
    /// In the cold.
    Cold,
}

/// What the computation needs to know of it. Percentages are of its mass. Composition follows published tables of
/// foods, rounded: brands differ by a third, so a label's own figure is better.
#[derive(Debug, Clone, Copy, Serialize, ToSchema)]
pub struct LarderFacts {
    /// Which.
    pub what: Larder,
    /// Its name in JSON.
    #[serde(skip)]
    pub key: &'static str,
    /// Whether it is poured and counts for the level of the liquid.
    pub liquid: bool,
    /// Where it is bought.
    pub shelf: Shelf,
    /// kg/L: of a liquid, or heaped in a measure.
    pub density: f64,
    /// Salt, %.
    pub salt_pct: f64,
    /// Sugar, %.
    pub sugar_pct: f64,
    /// Acid, reckoned as acetic, %.
    pub acid_pct: f64,
    /// Alcohol, % by volume.
    pub alcohol_pct: f64,
    /// Gelatin, %.
    pub gelatin_pct: f64,
    /// Grows bitter when it is boiled down.
    pub bitter: bool,
    /// Allergens it usually carries.
    pub allergens: &'static [Allergen],
    /// What does instead.
    pub instead: Option<Larder>,
}

use Allergen as A;
use Larder as L;
use Shelf::{Butcher, Cellar, Cold, Dry, Vegetables};

/// One row: percentages are salt, sugar, acid, alcohol, gelatin.
#[allow(clippy::too_many_arguments)] // one row of a table
const fn row(
    what: Larder,
    key: &'static str,
    liquid: bool,
    shelf: Shelf,
    density: f64,
    percent: [f64; 5],
    bitter: bool,
    allergens: &'static [Allergen],
    instead: Option<Larder>,
) -> LarderFacts {
    let [salt_pct, sugar_pct, acid_pct, alcohol_pct, gelatin_pct] = percent;
    LarderFacts {
        what,
        key,
        liquid,
        shelf,
        density,
        salt_pct,
        sugar_pct,
        acid_pct,
        alcohol_pct,
        gelatin_pct,
        bitter,
        allergens,
        instead,
    }
}

const NONE: [f64; 5] = [0.0; 5];

#[rustfmt::skip]
static LARDER: [LarderFacts; 48] = [
    row(L::Water, "water", true, Dry, 1.0, NONE, false, &[], Some(L::UnsaltedStock)),
    row(L::Stock, "stock", true, Dry, 1.0, [0.8, 0.5, 0.0, 0.0, 0.2], false, &[A::Celery], Some(L::UnsaltedStock)),
    row(L::UnsaltedStock, "unsalted_stock", true, Dry, 1.0, [0.1, 0.5, 0.0, 0.0, 0.5], false, &[A::Celery], Some(L::Water)),
    row(L::GoodStock, "good_stock", true, Cold, 1.02, [0.1, 0.5, 0.0, 0.0, 3.0], false, &[A::Celery], Some(L::UnsaltedStock)),
    row(L::StockCube, "stock_cube", false, Dry, 1.0, [50.0, 5.0, 0.0, 0.0, 0.0], false, &[A::Celery, A::Wheat], Some(L::UnsaltedStock)),
    row(L::RedWine, "red_wine", true, Cellar, 0.99, [0.0, 0.3, 0.55, 13.0, 0.0], false, &[A::Sulphites], Some(L::UnsaltedStock)),
    row(L::WhiteWine, "white_wine", true, Cellar, 0.99, [0.0, 0.6, 0.6, 12.0, 0.0], false, &[A::Sulphites], Some(L::Cider)),
    row(L::DarkBeer, "dark_beer", true, Cellar, 1.01, [0.0, 2.5, 0.2, 5.0, 0.0], true, &[A::Wheat], Some(L::UnsaltedStock)),
    row(L::PaleBeer, "pale_beer", true, Cellar, 1.01, [0.0, 2.0, 0.2, 5.0, 0.0], true, &[A::Wheat], Some(L::Cider)),
    row(L::Cider, "cider", true, Cellar, 1.0, [0.0, 2.5, 0.5, 5.0, 0.0], false, &[A::Sulphites], Some(L::AppleJuice)),
    row(L::FortifiedWine, "fortified_wine", true, Cellar, 1.02, [0.0, 8.0, 0.45, 18.0, 0.0], false, &[A::Sulphites], Some(L::RedWine)),
    row(L::TomatoPassata, "tomato_passata", true, Dry, 1.03, [0.3, 4.0, 0.45, 0.0, 0.0], false, &[], Some(L::TinnedTomato)),
    row(L::TinnedTomato, "tinned_tomato", true, Dry, 1.02, [0.3, 3.5, 0.4, 0.0, 0.0], false, &[], Some(L::TomatoPassata)),
    row(L::TomatoPaste, "tomato_paste", false, Dry, 1.1, [0.6, 15.0, 1.6, 0.0, 0.0], false, &[], Some(L::TomatoPassata)),
    row(L::SoySauce, "soy_sauce", true, Dry, 1.15, [15.5, 2.0, 0.8, 2.0, 0.0], false, &[A::Soy, A::Wheat], Some(L::LowSaltSoy)),
    row(L::LowSaltSoy, "low_salt_soy", true, Dry, 1.12, [9.0, 2.5, 0.8, 2.0, 0.0], false, &[A::Soy, A::Wheat], Some(L::DriedMushroom)),
    row(L::FishSauce, "fish_sauce", true, Dry, 1.2, [25.0, 3.0, 0.3, 0.0, 0.0], false, &[A::Fish], Some(L::SoySauce)),
    row(L::TableSauce, "table_sauce", true, Dry, 1.15, [3.0, 18.0, 2.2, 0.0, 0.0], false, &[A::Fish, A::Wheat], Some(L::Vinegar)),
    row(L::Mustard, "mustard", false, Dry, 1.05, [5.0, 3.0, 2.5, 0.0, 0.0], false, &[A::Mustard, A::Sulphites], Some(L::Vinegar)),
    row(L::Miso, "miso", false, Cold, 1.2, [12.0, 6.0, 0.5, 0.0, 0.0], false, &[A::Soy, A::Wheat], Some(L::Anchovy)),
    row(L::Vinegar, "vinegar", true, Dry, 1.01, [0.0, 0.5, 5.5, 0.0, 0.0], false, &[A::Sulphites], Some(L::CitrusJuice)),
    row(L::CitrusJuice, "citrus_juice", true, Vegetables, 1.02, [0.0, 2.0, 5.0, 0.0, 0.0], false, &[], Some(L::Vinegar)),
    row(L::AppleJuice, "apple_juice", true, Cold, 1.05, [0.0, 10.5, 0.5, 0.0, 0.0], false, &[], Some(L::Cider)),
    row(L::Cream, "cream", true, Cold, 1.0, [0.1, 3.0, 0.1, 0.0, 0.0], false, &[A::Milk], Some(L::CoconutMilk)),
    row(L::CoconutMilk, "coconut_milk", true, Dry, 1.0, [0.1, 2.0, 0.0, 0.0, 0.0], false, &[], Some(L::Cream)),
    row(L::BrownSugar, "brown_sugar", false, Dry, 0.85, [0.0, 96.0, 0.0, 0.0, 0.0], false, &[], Some(L::Honey)),
    row(L::Honey, "honey", false, Dry, 1.42, [0.0, 80.0, 0.3, 0.0, 0.0], false, &[], Some(L::BrownSugar)),
    row(L::Treacle, "treacle", false, Dry, 1.4, [0.3, 65.0, 0.5, 0.0, 0.0], true, &[A::Sulphites], Some(L::BrownSugar)),
    row(L::DarkChocolate, "dark_chocolate", false, Dry, 1.2, [0.0, 30.0, 0.0, 0.0, 0.0], true, &[A::Milk, A::Soy], Some(L::Treacle)),
    row(L::Coffee, "coffee", true, Dry, 1.0, [0.0, 0.0, 0.1, 0.0, 0.0], true, &[], Some(L::UnsaltedStock)),
    row(L::Bacon, "bacon", false, Butcher, 1.0, [3.0, 0.5, 0.0, 0.0, 0.0], false, &[], Some(L::Oil)),
    row(L::Anchovy, "anchovy", false, Cold, 1.1, [13.0, 0.0, 0.2, 0.0, 0.0], false, &[A::Fish], Some(L::SoySauce)),
    row(L::Olives, "olives", false, Dry, 0.7, [3.5, 0.5, 0.3, 0.0, 0.0], true, &[], Some(L::Mushroom)),
    row(L::SaltedRub, "salted_rub", false, Dry, 0.9, [30.0, 20.0, 0.0, 0.0, 0.0], false, &[A::Mustard, A::Celery], Some(L::UnsaltedRub)),
    row(L::UnsaltedRub, "unsalted_rub", false, Dry, 0.6, [0.1, 10.0, 0.0, 0.0, 0.0], false, &[A::Mustard], Some(L::WholeSpice)),
    row(L::Flour, "flour", false, Dry, 0.55, NONE, false, &[A::Wheat], None),
    row(L::Butter, "butter", false, Cold, 0.95, [0.8, 0.5, 0.0, 0.0, 0.0], false, &[A::Milk], Some(L::Oil)),
    row(L::Oil, "oil", false, Dry, 0.92, NONE, false, &[], Some(L::Butter)),
    row(L::Onion, "onion", false, Vegetables, 0.6, [0.0, 5.0, 0.1, 0.0, 0.0], false, &[], Some(L::Celery)),
    row(L::Carrot, "carrot", false, Vegetables, 0.6, [0.1, 6.0, 0.0, 0.0, 0.0], false, &[], Some(L::Onion)),
    row(L::Celery, "celery", false, Vegetables, 0.5, [0.2, 1.5, 0.0, 0.0, 0.0], false, &[A::Celery], Some(L::Carrot)),
    row(L::Garlic, "garlic", false, Vegetables, 0.6, [0.0, 1.0, 0.0, 0.0, 0.0], false, &[], None),
    row(L::Mushroom, "mushroom", false, Vegetables, 0.35, [0.0, 2.0, 0.0, 0.0, 0.0], false, &[], Some(L::DriedMushroom)),
    row(L::Chilli, "chilli", false, Vegetables, 0.5, [0.0, 3.0, 0.1, 0.0, 0.0], false, &[], None),
    row(L::DriedMushroom, "dried_mushroom", false, Dry, 0.2, [0.1, 5.0, 0.0, 0.0, 0.0], false, &[], Some(L::Mushroom)),
    row(L::BayLeaf, "bay_leaf", false, Dry, 0.1, NONE, false, &[], Some(L::Thyme)),
    row(L::Thyme, "thyme", false, Vegetables, 0.15, NONE, false, &[], Some(L::BayLeaf)),
    row(L::WholeSpice, "whole_spice", false, Dry, 0.4, NONE, false, &[A::Mustard], None),
];

impl Larder {
    /// Everything in it.
    pub fn all() -> &'static [LarderFacts] {
        &LARDER
    }

    /// What is known of it.
    pub fn facts(self) -> &'static LarderFacts {
        // The table is in the order of the enum; a test holds it there.
        &LARDER[self as usize]
    }

    /// Its name in JSON.
    pub fn key(self) -> &'static str {
        self.facts().key
    }

    /// Its name in a sentence.
    pub fn name(self) -> Said {
        say::name(self.key())
    }

    /// Whether it can flare up in a hot pan: from the strength of wine on.
    pub fn flares(self) -> bool {
        self.facts().alcohol_pct >= 11.0
    }

    /// What does instead where there is none, and what that changes.
    pub fn swap(self) -> Said {
        let facts = self.facts();
        let Some(instead) = facts.instead else {
            return if self == Self::Flour { say::no_flour() } else { say::leave_out(self.name()) };
        };
        let brings: Vec<_> = (instead.facts().allergens.iter())
            .filter(|allergen| !facts.allergens.contains(allergen))
            .map(|allergen| allergen.name())
            .collect();
        let changes = say::changes(self.key());
        if brings.is_empty() {
            return say::swap(self.name(), instead.name(), changes);
        }
        say::swap_that_brings(self.name(), instead.name(), changes, Said::list(brings, Join::And))
    }
}

/// Something from the larder as it is shown on its shelf.
#[derive(Debug, Clone, Serialize, ToSchema)]
pub struct OnTheShelf {
    /// What is known of it.
    #[serde(flatten)]
    pub facts: LarderFacts,
    /// Its name.
    pub name: String,
}

/// Everything in the larder as it is shown on its shelf.
pub fn on_the_shelf(voice: Voice) -> Vec<OnTheShelf> {
    LARDER.iter().map(|facts| OnTheShelf { facts: *facts, name: voice.say(facts.what.name()) }).collect()
}

impl Allergen {
    /// Its name in JSON.
    pub fn key(self) -> &'static str {
        match self {
            Self::Wheat => "wheat",
            Self::Soy => "soy",
            Self::Fish => "fish",
            Self::Sulphites => "sulphites",
            Self::Celery => "celery",
            Self::Mustard => "mustard",
            Self::Milk => "milk",
        }
    }

    /// As it stands on a label.
    pub fn name(self) -> Said {
        say::allergen(self.key())
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn the_larder_stands_in_the_order_of_its_names_and_every_swap_says_what_changes() {
        let voice = Voice::default();
        for facts in Larder::all() {
            assert_eq!(facts.what.facts().key, facts.key);
            assert_eq!(serde_json::to_value(facts.what).unwrap(), facts.key);
            assert_ne!(voice.say(facts.what.name()), "something else", "{} has a name", facts.key);
            assert!(facts.instead != Some(facts.what), "{}", facts.key);
            assert!(facts.instead.is_none() || voice.say(say::changes(facts.key)) != "much the same", "{}", facts.key);
            assert!(facts.salt_pct + facts.sugar_pct <= 100.0 && facts.density > 0.05, "{}", facts.key);
        }
        assert_eq!(voice.say(Larder::Garlic.swap()), "No garlic? Leave it out.");
        assert_eq!(voice.say(Larder::Onion.swap()), "No onion? Take celery: less sweet. It brings celery.");
    }
}
