//! What goes into a pot beside the meat: salt, sugar, acid, bitterness, alcohol and body of each.

use ergastic_words::{Message, larder as say};
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
    /// Ginger.
    Ginger,
    /// Sweet pepper.
    #[serde(alias = "bell_pepper")]
    SweetPepper,
    /// Fresh tomato.
    #[serde(alias = "tomatoes")]
    FreshTomato,
    /// Orange juice.
    OrangeJuice,
    /// Ketchup.
    #[serde(alias = "tomato_ketchup")]
    Ketchup,
    /// Rice wine.
    RiceWine,
    /// Seaweed.
    Seaweed,
    /// Broth kept from an earlier cook.
    KeptBroth,
    /// Sauce kept from an earlier cook.
    KeptSauce,
    /// Fat kept from an earlier cook.
    KeptFat,
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
    /// Fat that it gives to the pot, %.
    pub fat_pct: f64,
    /// Water that it gives to the pot beside what is poured, %: vegetables shrink.
    pub water_pct: f64,
    /// How far one brand's salt is from another's, as a share of it: what a taste has to tell.
    pub salt_doubt: f64,
    /// Grows bitter when it is boiled down.
    pub bitter: bool,
    /// What does instead.
    pub instead: Option<Larder>,
}

use Larder as L;
use Shelf::{Butcher, Cellar, Cold, Dry, Vegetables};

/// Something poured that stands on the dry shelf and holds nothing but water.
const POURED: LarderFacts = LarderFacts {
    what: L::Water,
    key: "",
    liquid: true,
    shelf: Dry,
    density: 1.0,
    salt_pct: 0.0,
    sugar_pct: 0.0,
    acid_pct: 0.0,
    alcohol_pct: 0.0,
    gelatin_pct: 0.0,
    fat_pct: 0.0,
    water_pct: 0.0,
    salt_doubt: 0.1,
    bitter: false,

    instead: None,
};

/// The same, not poured.
const DRY_GOODS: LarderFacts = LarderFacts { liquid: false, ..POURED };

#[rustfmt::skip]
static LARDER: [LarderFacts; 58] = [
    LarderFacts { what: L::Water, key: "water", instead: Some(L::UnsaltedStock), ..POURED },
    LarderFacts { what: L::Stock, key: "stock", salt_pct: 0.8, sugar_pct: 0.5, gelatin_pct: 0.2, salt_doubt: 0.4, instead: Some(L::UnsaltedStock), ..POURED },
    LarderFacts { what: L::UnsaltedStock, key: "unsalted_stock", salt_pct: 0.1, sugar_pct: 0.5, gelatin_pct: 0.5, salt_doubt: 0.5, instead: Some(L::Water), ..POURED },
    LarderFacts { what: L::GoodStock, key: "good_stock", shelf: Cold, density: 1.02, salt_pct: 0.1, sugar_pct: 0.5, gelatin_pct: 3.0, instead: Some(L::UnsaltedStock), ..POURED },
    LarderFacts { what: L::StockCube, key: "stock_cube", salt_pct: 50.0, sugar_pct: 5.0, salt_doubt: 0.25, instead: Some(L::UnsaltedStock), ..DRY_GOODS },
    LarderFacts { what: L::RedWine, key: "red_wine", shelf: Cellar, density: 0.99, sugar_pct: 0.3, acid_pct: 0.55, alcohol_pct: 13.0, instead: Some(L::UnsaltedStock), ..POURED },
    LarderFacts { what: L::WhiteWine, key: "white_wine", shelf: Cellar, density: 0.99, sugar_pct: 0.6, acid_pct: 0.6, alcohol_pct: 12.0, instead: Some(L::Cider), ..POURED },
    LarderFacts { what: L::DarkBeer, key: "dark_beer", shelf: Cellar, density: 1.01, sugar_pct: 2.5, acid_pct: 0.2, alcohol_pct: 5.0, bitter: true, instead: Some(L::UnsaltedStock), ..POURED },
    LarderFacts { what: L::PaleBeer, key: "pale_beer", shelf: Cellar, density: 1.01, sugar_pct: 2.0, acid_pct: 0.2, alcohol_pct: 5.0, bitter: true, instead: Some(L::Cider), ..POURED },
    LarderFacts { what: L::Cider, key: "cider", shelf: Cellar, sugar_pct: 2.5, acid_pct: 0.5, alcohol_pct: 5.0, instead: Some(L::AppleJuice), ..POURED },
    LarderFacts { what: L::FortifiedWine, key: "fortified_wine", shelf: Cellar, density: 1.02, sugar_pct: 8.0, acid_pct: 0.45, alcohol_pct: 18.0, instead: Some(L::RedWine), ..POURED },
    LarderFacts { what: L::TomatoPassata, key: "tomato_passata", density: 1.03, salt_pct: 0.3, sugar_pct: 4.0, acid_pct: 0.45, instead: Some(L::TinnedTomato), ..POURED },
    LarderFacts { what: L::TinnedTomato, key: "tinned_tomato", density: 1.02, salt_pct: 0.3, sugar_pct: 3.5, acid_pct: 0.4, instead: Some(L::TomatoPassata), ..POURED },
    LarderFacts { what: L::TomatoPaste, key: "tomato_paste", density: 1.1, salt_pct: 0.6, sugar_pct: 15.0, acid_pct: 1.6, water_pct: 40.0, instead: Some(L::TomatoPassata), ..DRY_GOODS },
    LarderFacts { what: L::SoySauce, key: "soy_sauce", density: 1.15, salt_pct: 15.5, sugar_pct: 2.0, acid_pct: 0.8, alcohol_pct: 2.0, salt_doubt: 0.12, instead: Some(L::LowSaltSoy), ..POURED },
    LarderFacts { what: L::LowSaltSoy, key: "low_salt_soy", density: 1.12, salt_pct: 9.0, sugar_pct: 2.5, acid_pct: 0.8, alcohol_pct: 2.0, salt_doubt: 0.2, instead: Some(L::DriedMushroom), ..POURED },
    LarderFacts { what: L::FishSauce, key: "fish_sauce", density: 1.2, salt_pct: 25.0, sugar_pct: 3.0, acid_pct: 0.3, instead: Some(L::SoySauce), ..POURED },
    LarderFacts { what: L::TableSauce, key: "table_sauce", density: 1.15, salt_pct: 3.0, sugar_pct: 18.0, acid_pct: 2.2, salt_doubt: 0.3, instead: Some(L::Vinegar), ..POURED },
    LarderFacts { what: L::Mustard, key: "mustard", density: 1.05, salt_pct: 5.0, sugar_pct: 3.0, acid_pct: 2.5, salt_doubt: 0.3, instead: Some(L::Vinegar), ..DRY_GOODS },
    LarderFacts { what: L::Miso, key: "miso", shelf: Cold, density: 1.2, salt_pct: 12.0, sugar_pct: 6.0, acid_pct: 0.5, salt_doubt: 0.25, instead: Some(L::Anchovy), ..DRY_GOODS },
    LarderFacts { what: L::Vinegar, key: "vinegar", density: 1.01, sugar_pct: 0.5, acid_pct: 5.5, instead: Some(L::CitrusJuice), ..POURED },
    LarderFacts { what: L::CitrusJuice, key: "citrus_juice", shelf: Vegetables, density: 1.02, sugar_pct: 2.0, acid_pct: 5.0, instead: Some(L::Vinegar), ..POURED },
    LarderFacts { what: L::AppleJuice, key: "apple_juice", shelf: Cold, density: 1.05, sugar_pct: 10.5, acid_pct: 0.5, instead: Some(L::Cider), ..POURED },
    LarderFacts { what: L::Cream, key: "cream", shelf: Cold, salt_pct: 0.1, sugar_pct: 3.0, acid_pct: 0.1, instead: Some(L::CoconutMilk), ..POURED },
    LarderFacts { what: L::CoconutMilk, key: "coconut_milk", salt_pct: 0.1, sugar_pct: 2.0, fat_pct: 10.0, instead: Some(L::Cream), ..POURED },
    LarderFacts { what: L::BrownSugar, key: "brown_sugar", density: 0.85, sugar_pct: 96.0, instead: Some(L::Honey), ..DRY_GOODS },
    LarderFacts { what: L::Honey, key: "honey", density: 1.42, sugar_pct: 80.0, acid_pct: 0.3, instead: Some(L::BrownSugar), ..DRY_GOODS },
    LarderFacts { what: L::Treacle, key: "treacle", density: 1.4, salt_pct: 0.3, sugar_pct: 65.0, acid_pct: 0.5, bitter: true, instead: Some(L::BrownSugar), ..DRY_GOODS },
    LarderFacts { what: L::DarkChocolate, key: "dark_chocolate", density: 1.2, sugar_pct: 30.0, bitter: true, instead: Some(L::Treacle), ..DRY_GOODS },
    LarderFacts { what: L::Coffee, key: "coffee", acid_pct: 0.1, bitter: true, instead: Some(L::UnsaltedStock), ..POURED },
    LarderFacts { what: L::Bacon, key: "bacon", shelf: Butcher, salt_pct: 3.0, sugar_pct: 0.5, fat_pct: 28.0, water_pct: 10.0, salt_doubt: 0.3, instead: Some(L::Oil), ..DRY_GOODS },
    LarderFacts { what: L::Anchovy, key: "anchovy", shelf: Cold, density: 1.1, salt_pct: 13.0, acid_pct: 0.2, salt_doubt: 0.25, instead: Some(L::SoySauce), ..DRY_GOODS },
    LarderFacts { what: L::Olives, key: "olives", density: 0.7, salt_pct: 3.5, sugar_pct: 0.5, acid_pct: 0.3, bitter: true, fat_pct: 2.0, salt_doubt: 0.3, instead: Some(L::Mushroom), ..DRY_GOODS },
    LarderFacts { what: L::SaltedRub, key: "salted_rub", density: 0.9, salt_pct: 30.0, sugar_pct: 20.0, salt_doubt: 0.4, instead: Some(L::UnsaltedRub), ..DRY_GOODS },
    LarderFacts { what: L::UnsaltedRub, key: "unsalted_rub", density: 0.6, salt_pct: 0.1, sugar_pct: 10.0, instead: Some(L::WholeSpice), ..DRY_GOODS },
    LarderFacts { what: L::Flour, key: "flour", density: 0.55, ..DRY_GOODS },
    LarderFacts { what: L::Butter, key: "butter", shelf: Cold, density: 0.95, salt_pct: 0.8, sugar_pct: 0.5, fat_pct: 81.0, water_pct: 15.0, salt_doubt: 0.5, instead: Some(L::Oil), ..DRY_GOODS },
    LarderFacts { what: L::Oil, key: "oil", density: 0.92, fat_pct: 100.0, instead: Some(L::Butter), ..DRY_GOODS },
    LarderFacts { what: L::Onion, key: "onion", shelf: Vegetables, density: 0.6, sugar_pct: 5.0, acid_pct: 0.1, water_pct: 50.0, instead: Some(L::Celery), ..DRY_GOODS },
    LarderFacts { what: L::Carrot, key: "carrot", shelf: Vegetables, density: 0.6, salt_pct: 0.1, sugar_pct: 6.0, water_pct: 15.0, instead: Some(L::Onion), ..DRY_GOODS },
    LarderFacts { what: L::Celery, key: "celery", shelf: Vegetables, density: 0.5, salt_pct: 0.2, sugar_pct: 1.5, water_pct: 50.0, instead: Some(L::Carrot), ..DRY_GOODS },
    LarderFacts { what: L::Garlic, key: "garlic", shelf: Vegetables, density: 0.6, sugar_pct: 1.0, water_pct: 20.0, ..DRY_GOODS },
    LarderFacts { what: L::Mushroom, key: "mushroom", shelf: Vegetables, density: 0.35, sugar_pct: 2.0, water_pct: 60.0, instead: Some(L::DriedMushroom), ..DRY_GOODS },
    LarderFacts { what: L::Chilli, key: "chilli", shelf: Vegetables, density: 0.5, sugar_pct: 3.0, acid_pct: 0.1, water_pct: 30.0, ..DRY_GOODS },
    LarderFacts { what: L::DriedMushroom, key: "dried_mushroom", density: 0.2, salt_pct: 0.1, sugar_pct: 5.0, instead: Some(L::Mushroom), ..DRY_GOODS },
    LarderFacts { what: L::BayLeaf, key: "bay_leaf", density: 0.1, instead: Some(L::Thyme), ..DRY_GOODS },
    LarderFacts { what: L::Thyme, key: "thyme", shelf: Vegetables, density: 0.15, instead: Some(L::BayLeaf), ..DRY_GOODS },
    LarderFacts { what: L::WholeSpice, key: "whole_spice", density: 0.4, ..DRY_GOODS },
    LarderFacts { what: L::Ginger, key: "ginger", shelf: Vegetables, density: 0.7, sugar_pct: 1.5, water_pct: 20.0, instead: Some(L::Garlic), ..DRY_GOODS },
    LarderFacts { what: L::SweetPepper, key: "sweet_pepper", shelf: Vegetables, density: 0.45, sugar_pct: 4.5, acid_pct: 0.2, water_pct: 50.0, instead: Some(L::Carrot), ..DRY_GOODS },
    LarderFacts { what: L::FreshTomato, key: "fresh_tomato", shelf: Vegetables, density: 0.7, sugar_pct: 2.6, acid_pct: 0.4, water_pct: 75.0, instead: Some(L::TinnedTomato), ..DRY_GOODS },
    LarderFacts { what: L::OrangeJuice, key: "orange_juice", shelf: Cold, density: 1.04, sugar_pct: 8.5, acid_pct: 0.9, instead: Some(L::AppleJuice), ..POURED },
    LarderFacts { what: L::Ketchup, key: "ketchup", density: 1.15, salt_pct: 2.5, sugar_pct: 22.0, acid_pct: 1.2, water_pct: 30.0, salt_doubt: 0.3, instead: Some(L::TomatoPaste), ..DRY_GOODS },
    LarderFacts { what: L::RiceWine, key: "rice_wine", shelf: Cellar, sugar_pct: 3.0, acid_pct: 0.2, alcohol_pct: 15.0, salt_doubt: 0.3, instead: Some(L::WhiteWine), ..POURED },
    LarderFacts { what: L::Seaweed, key: "seaweed", density: 0.2, salt_pct: 6.0, salt_doubt: 0.4, instead: Some(L::DriedMushroom), ..DRY_GOODS },
    LarderFacts { what: L::KeptBroth, key: "kept_broth", shelf: Cold, density: 1.02, salt_pct: 0.8, sugar_pct: 0.5, gelatin_pct: 1.5, salt_doubt: 0.2, ..POURED },
    LarderFacts { what: L::KeptSauce, key: "kept_sauce", shelf: Cold, density: 1.04, salt_pct: 1.2, sugar_pct: 1.5, gelatin_pct: 3.0, salt_doubt: 0.2, ..POURED },
    LarderFacts { what: L::KeptFat, key: "kept_fat", shelf: Cold, density: 0.92, fat_pct: 100.0, ..DRY_GOODS },
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

    /// Whether it is only there where it was kept from an earlier cook.
    pub fn is_kept(self) -> bool {
        matches!(self, Self::KeptBroth | Self::KeptSauce | Self::KeptFat)
    }

    /// Its name in a sentence.
    pub fn name(self) -> Message {
        say::name(self.key())
    }

    /// Whether it can flare up in a hot pan: from the strength of wine on.
    pub fn flares(self) -> bool {
        self.facts().alcohol_pct >= 11.0
    }
}

impl Larder {
    /// What goes in at first, mL or g: a glass, or a handful. Practice.
    pub(crate) fn first(self) -> (Option<f64>, Option<f64>) {
        if self.facts().liquid { (Some(100.0), None) } else { (None, Some(50.0)) }
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use ergastic_words::Voice;

    #[test]
    fn the_larder_stands_in_the_order_of_its_names_and_every_swap_says_what_changes() {
        let voice = Voice::default();
        for facts in Larder::all() {
            assert_eq!(facts.what.facts().key, facts.key);
            assert_eq!(serde_json::to_value(facts.what).unwrap(), facts.key);
            assert_ne!(voice.render(facts.what.name()), "something else", "{} has a name", facts.key);
            assert!(facts.instead != Some(facts.what), "{}", facts.key);
            assert!(
                facts.instead.is_none() || voice.render(say::changes(facts.key)) != "much the same",
                "{}",
                facts.key
            );
            assert!(facts.salt_pct + facts.sugar_pct <= 100.0 && facts.density > 0.05, "{}", facts.key);
        }
        assert_eq!(voice.render(Larder::Garlic.swap()), "No garlic? Leave it out.");
        assert_eq!(voice.render(Larder::Onion.swap()), "No onion? Take celery: less sweet. It brings celery.");
    }
}
