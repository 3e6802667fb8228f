//! What goes into a pot beside the meat: salt, sugar, acid, bitterness, alcohol, body and allergens of each.

use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// Something from the larder.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Hash, PartialOrd, Ord, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
#[allow(missing_docs)] // the names are the documentation
pub enum Larder {
    Water,
    #[serde(alias = "beef_stock")]
    Stock,
    UnsaltedStock,
    GoodStock,
    #[serde(alias = "bouillon", alias = "stock_powder")]
    StockCube,
    #[serde(alias = "wine")]
    RedWine,
    WhiteWine,
    #[serde(alias = "beer", alias = "stout")]
    DarkBeer,
    PaleBeer,
    Cider,
    FortifiedWine,
    #[serde(alias = "passata", alias = "tomato", alias = "tomato_sauce")]
    TomatoPassata,
    #[serde(alias = "canned_tomato", alias = "tinned_tomatoes", alias = "canned_tomatoes")]
    TinnedTomato,
    TomatoPaste,
    #[serde(alias = "soy")]
    SoySauce,
    LowSaltSoy,
    FishSauce,
    #[serde(alias = "brown_sauce")]
    TableSauce,
    Mustard,
    Miso,
    Vinegar,
    #[serde(alias = "lemon_juice")]
    CitrusJuice,
    AppleJuice,
    Cream,
    CoconutMilk,
    #[serde(alias = "sugar")]
    BrownSugar,
    Honey,
    Treacle,
    DarkChocolate,
    Coffee,
    Bacon,
    Anchovy,
    Olives,
    #[serde(alias = "rub")]
    SaltedRub,
    UnsaltedRub,
    Flour,
    Butter,
    Oil,
    Onion,
    Carrot,
    Celery,
    Garlic,
    Mushroom,
    Chilli,
    DriedMushroom,
    BayLeaf,
    Thyme,
    WholeSpice,
}

/// What an allergen is called on a label.
#[derive(Debug, Clone, Copy, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
#[allow(missing_docs)]
pub enum Allergen {
    Wheat,
    Soy,
    Fish,
    Sulphites,
    Celery,
    Mustard,
    Milk,
}

/// Where it is bought.
#[derive(Debug, Clone, Copy, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
#[allow(missing_docs)]
pub enum Shelf {
    Butcher,
    Vegetables,
    Cellar,
    Dry,
    Cold,
}

/// What the computation needs to know of it. Percentages are of its mass. Composition follows published tables of
/// foods, rounded: brands differ by a third, so a label's own figure is better.
#[derive(Debug, Clone, Copy, Serialize, ToSchema)]
pub struct LarderFacts {
    /// Which.
    pub what: Larder,
    /// Its name.
    pub name: &'static str,
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
    /// What then changes.
    pub changes: &'static str,
}

use Allergen as A;
use Larder as L;
use Shelf::{Butcher, Cellar, Cold, Dry, Vegetables};

/// One row: percentages are salt, sugar, acid, alcohol, gelatin.
#[allow(clippy::too_many_arguments)] // one row of a table
const fn row(
    what: Larder,
    name: &'static str,
    liquid: bool,
    shelf: Shelf,
    density: f64,
    percent: [f64; 5],
    bitter: bool,
    allergens: &'static [Allergen],
    instead: Option<Larder>,
    changes: &'static str,
) -> LarderFacts {
    let [salt_pct, sugar_pct, acid_pct, alcohol_pct, gelatin_pct] = percent;
    LarderFacts {
        what,
        name,
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
        changes,
    }
}

const NONE: [f64; 5] = [0.0; 5];

#[rustfmt::skip]
static LARDER: [LarderFacts; 48] = [
    row(L::Water, "water", true, Dry, 1.0, NONE, false, &[], Some(L::UnsaltedStock), "more taste and a little body"),
    row(L::Stock, "salted stock", true, Dry, 1.0, [0.8, 0.5, 0.0, 0.0, 0.2], false, &[A::Celery], Some(L::UnsaltedStock), "no salt from it, so it can be boiled down"),
    row(L::UnsaltedStock, "unsalted stock", true, Dry, 1.0, [0.1, 0.5, 0.0, 0.0, 0.5], false, &[A::Celery], Some(L::Water), "less taste; salt as before"),
    row(L::GoodStock, "jellied stock", true, Cold, 1.02, [0.1, 0.5, 0.0, 0.0, 3.0], false, &[A::Celery], Some(L::UnsaltedStock), "less body: reduce further, or put the sinew in"),
    row(L::StockCube, "stock cube", false, Dry, 1.0, [50.0, 5.0, 0.0, 0.0, 0.0], false, &[A::Celery, A::Wheat], Some(L::UnsaltedStock), "ten grams of cube carry five of salt: those stay out"),
    row(L::RedWine, "red wine", true, Cellar, 0.99, [0.0, 0.3, 0.55, 13.0, 0.0], false, &[A::Sulphites], Some(L::UnsaltedStock), "with a spoon of vinegar and one of tomato paste: less fruit, no alcohol"),
    row(L::WhiteWine, "white wine", true, Cellar, 0.99, [0.0, 0.6, 0.6, 12.0, 0.0], false, &[A::Sulphites], Some(L::Cider), "sweeter, less sharp"),
    row(L::DarkBeer, "dark beer", true, Cellar, 1.01, [0.0, 2.5, 0.2, 5.0, 0.0], true, &[A::Wheat], Some(L::UnsaltedStock), "with a spoon of treacle: the roast stays, the bitterness goes; no wheat"),
    row(L::PaleBeer, "pale beer", true, Cellar, 1.01, [0.0, 2.0, 0.2, 5.0, 0.0], true, &[A::Wheat], Some(L::Cider), "no wheat, less bitter, sweeter"),
    row(L::Cider, "dry cider", true, Cellar, 1.0, [0.0, 2.5, 0.5, 5.0, 0.0], false, &[A::Sulphites], Some(L::AppleJuice), "no alcohol, much sweeter: take half, and vinegar"),
    row(L::FortifiedWine, "fortified wine", true, Cellar, 1.02, [0.0, 8.0, 0.45, 18.0, 0.0], false, &[A::Sulphites], Some(L::RedWine), "drier: a pinch of sugar"),
    row(L::TomatoPassata, "sieved tomato", true, Dry, 1.03, [0.3, 4.0, 0.45, 0.0, 0.0], false, &[], Some(L::TinnedTomato), "lumps, and more water"),
    row(L::TinnedTomato, "tinned tomatoes", true, Dry, 1.02, [0.3, 3.5, 0.4, 0.0, 0.0], false, &[], Some(L::TomatoPassata), "smoother and thicker: it catches sooner"),
    row(L::TomatoPaste, "tomato paste", false, Dry, 1.1, [0.6, 15.0, 1.6, 0.0, 0.0], false, &[], Some(L::TomatoPassata), "four times as much, and boil the water off"),
    row(L::SoySauce, "soy sauce", true, Dry, 1.15, [15.5, 2.0, 0.8, 2.0, 0.0], false, &[A::Soy, A::Wheat], Some(L::LowSaltSoy), "some two fifths of the salt less"),
    row(L::LowSaltSoy, "soy sauce, less salt", true, Dry, 1.12, [9.0, 2.5, 0.8, 2.0, 0.0], false, &[A::Soy, A::Wheat], Some(L::DriedMushroom), "soaked, with salt to taste: no soy and no wheat, paler"),
    row(L::FishSauce, "fish sauce", true, Dry, 1.2, [25.0, 3.0, 0.3, 0.0, 0.0], false, &[A::Fish], Some(L::SoySauce), "two fifths of the salt less; soy and wheat instead of fish"),
    row(L::TableSauce, "brown table sauce", true, Dry, 1.15, [3.0, 18.0, 2.2, 0.0, 0.0], false, &[A::Fish, A::Wheat], Some(L::Vinegar), "with a little treacle: no fish, no wheat"),
    row(L::Mustard, "mustard", false, Dry, 1.05, [5.0, 3.0, 2.5, 0.0, 0.0], false, &[A::Mustard, A::Sulphites], Some(L::Vinegar), "sharpness without the bite"),
    row(L::Miso, "bean paste", false, Cold, 1.2, [12.0, 6.0, 0.5, 0.0, 0.0], false, &[A::Soy, A::Wheat], Some(L::Anchovy), "fish instead of soy"),
    row(L::Vinegar, "vinegar", true, Dry, 1.01, [0.0, 0.5, 5.5, 0.0, 0.0], false, &[A::Sulphites], Some(L::CitrusJuice), "fresher; the same sharpness from a little more"),
    row(L::CitrusJuice, "lemon juice", true, Vegetables, 1.02, [0.0, 2.0, 5.0, 0.0, 0.0], false, &[], Some(L::Vinegar), "duller; the same sharpness from a little less"),
    row(L::AppleJuice, "apple juice", true, Cold, 1.05, [0.0, 10.5, 0.5, 0.0, 0.0], false, &[], Some(L::Cider), "drier, with alcohol"),
    row(L::Cream, "cream", true, Cold, 1.0, [0.1, 3.0, 0.1, 0.0, 0.0], false, &[A::Milk], Some(L::CoconutMilk), "no milk; it tastes of it"),
    row(L::CoconutMilk, "coconut milk", true, Dry, 1.0, [0.1, 2.0, 0.0, 0.0, 0.0], false, &[], Some(L::Cream), "milk in it; rounder"),
    row(L::BrownSugar, "brown sugar", false, Dry, 0.85, [0.0, 96.0, 0.0, 0.0, 0.0], false, &[], Some(L::Honey), "a quarter more by weight; it scorches as soon"),
    row(L::Honey, "honey", false, Dry, 1.42, [0.0, 80.0, 0.3, 0.0, 0.0], false, &[], Some(L::BrownSugar), "a fifth less by weight"),
    row(L::Treacle, "treacle", false, Dry, 1.4, [0.3, 65.0, 0.5, 0.0, 0.0], true, &[A::Sulphites], Some(L::BrownSugar), "sweeter, not bitter, paler"),
    row(L::DarkChocolate, "dark chocolate", false, Dry, 1.2, [0.0, 30.0, 0.0, 0.0, 0.0], true, &[A::Milk, A::Soy], Some(L::Treacle), "no milk and no soy; sweeter"),
    row(L::Coffee, "black coffee", true, Dry, 1.0, [0.0, 0.0, 0.1, 0.0, 0.0], true, &[], Some(L::UnsaltedStock), "no bitterness"),
    row(L::Bacon, "bacon", false, Butcher, 1.0, [3.0, 0.5, 0.0, 0.0, 0.0], false, &[], Some(L::Oil), "no smoke and no salt from it"),
    row(L::Anchovy, "salted anchovy", false, Cold, 1.1, [13.0, 0.0, 0.2, 0.0, 0.0], false, &[A::Fish], Some(L::SoySauce), "soy and wheat instead of fish"),
    row(L::Olives, "olives", false, Dry, 0.7, [3.5, 0.5, 0.3, 0.0, 0.0], true, &[], Some(L::Mushroom), "no salt from them"),
    row(L::SaltedRub, "salted rub", false, Dry, 0.9, [30.0, 20.0, 0.0, 0.0, 0.0], false, &[A::Mustard, A::Celery], Some(L::UnsaltedRub), "no salt from it: the meat's own salting is all there is"),
    row(L::UnsaltedRub, "rub without salt", false, Dry, 0.6, [0.1, 10.0, 0.0, 0.0, 0.0], false, &[A::Mustard], Some(L::WholeSpice), "in a bag: taste without a crust"),
    row(L::Flour, "flour", false, Dry, 0.55, NONE, false, &[A::Wheat], None, "cornflour at the end, half as much: no wheat"),
    row(L::Butter, "butter", false, Cold, 0.95, [0.8, 0.5, 0.0, 0.0, 0.0], false, &[A::Milk], Some(L::Oil), "no milk"),
    row(L::Oil, "oil", false, Dry, 0.92, NONE, false, &[], Some(L::Butter), "it browns and burns sooner; milk in it"),
    row(L::Onion, "onion", false, Vegetables, 0.6, [0.0, 5.0, 0.1, 0.0, 0.0], false, &[], Some(L::Celery), "celery in it; less sweet"),
    row(L::Carrot, "carrot", false, Vegetables, 0.6, [0.1, 6.0, 0.0, 0.0, 0.0], false, &[], Some(L::Onion), "less sweet"),
    row(L::Celery, "celery", false, Vegetables, 0.5, [0.2, 1.5, 0.0, 0.0, 0.0], false, &[A::Celery], Some(L::Carrot), "no celery; sweeter"),
    row(L::Garlic, "garlic", false, Vegetables, 0.6, [0.0, 1.0, 0.0, 0.0, 0.0], false, &[], None, "leave it out"),
    row(L::Mushroom, "mushrooms", false, Vegetables, 0.35, [0.0, 2.0, 0.0, 0.0, 0.0], false, &[], Some(L::DriedMushroom), "a tenth of the weight, soaked"),
    row(L::Chilli, "chilli", false, Vegetables, 0.5, [0.0, 3.0, 0.1, 0.0, 0.0], false, &[], None, "leave it out"),
    row(L::DriedMushroom, "dried mushrooms", false, Dry, 0.2, [0.1, 5.0, 0.0, 0.0, 0.0], false, &[], Some(L::Mushroom), "ten times the weight"),
    row(L::BayLeaf, "bay leaf", false, Dry, 0.1, NONE, false, &[], Some(L::Thyme), "greener"),
    row(L::Thyme, "thyme", false, Vegetables, 0.15, NONE, false, &[], Some(L::BayLeaf), "sweeter"),
    row(L::WholeSpice, "whole spices", false, Dry, 0.4, NONE, false, &[A::Mustard], None, "leave them out"),
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
}

impl Allergen {
    /// As it stands on a label.
    pub fn word(self) -> &'static str {
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
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn the_larder_stands_in_the_order_of_its_names_and_every_swap_says_what_changes() {
        for facts in Larder::all() {
            assert_eq!(facts.what.facts().name, facts.name);
            assert!(!facts.changes.is_empty() && facts.instead != Some(facts.what), "{}", facts.name);
            assert!(facts.salt_pct + facts.sugar_pct <= 100.0 && facts.density > 0.05, "{}", facts.name);
        }
    }
}
