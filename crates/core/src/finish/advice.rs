//! Taste, then decide: what helps against each taste and what makes it worse, from this pot's own figures.

use ergastic_words::{Grams, Message, Percent, Share, Spoons, Strength, Voice, Volume, finish as say};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::body::COATS;
use super::choices::{Target, Taste, Thickener};
use super::cooking_liquid::CookingLiquid;
use super::moves::Move;
use super::plate::{RIGHT_PLATE, SAUCE_USUAL};
use super::stove::Stove;
use super::walk::starch_for;
use crate::bench::{Larder, SALT_TEASPOON_G};
use ergastic_physics::units::round_to;

/// A level teaspoon of sugar and of vinegar, g.
const SUGAR_TEASPOON_G: f64 = 4.2;
const VINEGAR_TEASPOON_G: f64 = 5.0;
/// Sugar for each of acid at which a sauce is round: a ripe tomato has some nine times. Working value.
const ROUND: f64 = 8.0;
/// Sugar and vinegar that are stirred in at a time, g for a litre, at least and at most. Working values.
const SUGAR_A_LITRE: [f64; 2] = [3.0, 15.0];
const VINEGAR_A_LITRE: [f64; 2] = [5.0, 25.0];
/// Butter that takes an edge off, g for a litre. Practice.
const BUTTER_A_LITRE: f64 = 25.0;
/// A weak sauce is boiled down by so much before it is tasted again. Practice.
const WEAK_TO: f64 = 0.75;
/// Paste that gives a weak sauce taste without salt to speak of, g for a litre. Practice.
const PASTE_A_LITRE: f64 = 20.0;

/// Something that helps, with the move it is.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Helps {
    /// In words, with its amount.
    pub words: String,
    /// What it would be on the path, where it is something done in the pot.
    #[serde(rename = "move")]
    pub what: Option<Move>,
}

/// What to do about a taste.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct TasteAdvice {
    /// Which.
    pub taste: Taste,
    /// Its name.
    pub name: String,
    /// What this pot's figures say to it.
    pub reads: String,
    /// What helps, the best first.
    pub helps: Vec<Helps>,
    /// What makes it worse.
    pub worse: String,
}

/// The pot that was tasted.
pub(super) struct Tasted<'a> {
    pub stove: &'a Stove,
    pub pot: CookingLiquid,
    pub voice: Voice,
}

impl Tasted<'_> {
    /// Every taste a cook may find in it.
    pub(super) fn advice(&self) -> Vec<TasteAdvice> {
        let shown = |taste: Taste| TasteAdvice {
            taste,
            name: self.voice.render(say::taste_name(taste.key())),
            reads: self.voice.render(self.reads(taste)),
            helps: self
                .helps(taste)
                .into_iter()
                // Of a spoonful that is left nothing is taken or added by measure.
                .map(|(said, what)| Helps {
                    words: self.voice.render(said),
                    what: what.filter(|what| what.check().is_ok()),
                })
                .collect(),
            worse: self.voice.render(say::taste_worse(taste.key())),
        };
        Taste::ALL.map(shown).into()
    }

    /// What the figures say to a taste.
    fn reads(&self, taste: Taste) -> Message {
        let pot = &self.pot;
        let salt = Strength(pot.salt_g_per_kg());
        match taste {
            Taste::Salty | Taste::Flat | Taste::Right => match self.stove.plate_g_per_kg(pot) {
                Some(plate) => say::reads_plate(salt, Strength(plate)),
                None => say::reads_salt(salt),
            },
            Taste::Sour | Taste::Sweet => {
                say::reads_sweet_and_sharp(per_cent(pot.sugar_g, pot), per_cent(pot.acid_g, pot))
            }
            Taste::Bitter if self.stove.bitter => say::reads_bitter(),
            Taste::Bitter => say::reads_not_bitter(),
            Taste::Rich => say::reads_fat(Volume(pot.fat_l)),
            Taste::Weak => say::reads_weak(salt, per_cent(pot.gelatin_g, pot)),
            Taste::Thin => say::reads_thin(per_cent(pot.gelatin_g, pot)),
        }
    }

    fn helps(&self, taste: Taste) -> Vec<(Message, Option<Move>)> {
        let litres = self.pot.liquid_l;
        match taste {
            Taste::Right => vec![(say::helps_nothing(), None)],
            Taste::Weak => [self.boil_down(), Some(self.paste()), Some((say::helps_more_taste(), None))]
                .into_iter()
                .flatten()
                .collect(),
            Taste::Thin => [self.thicken(), Some((say::helps_gelatin(), None))].into_iter().flatten().collect(),
            Taste::Flat => {
                [self.salt(), Some(self.vinegar(VINEGAR_A_LITRE[0] * litres)), Some((say::helps_fresh(), None))]
                    .into_iter()
                    .flatten()
                    .collect()
            }
            // Water that is poured into a glaze boils off again: it is served with what has no salt.
            Taste::Salty if self.stove.target == Target::Glaze => vec![(say::helps_serve_less(), None)],
            Taste::Salty => [self.let_down(), Some((say::helps_serve_less(), None))].into_iter().flatten().collect(),
            Taste::Sour => vec![self.sugar(ROUND * self.pot.acid_g - self.pot.sugar_g), self.butter()],
            Taste::Sweet => {
                let acid_g = self.pot.sugar_g / ROUND - self.pot.acid_g;
                let [least, most] = VINEGAR_A_LITRE.map(|grams| grams * litres);
                let vinegar_g = acid_g * 100.0 / Larder::Vinegar.facts().acid_pct;
                vec![self.vinegar(vinegar_g.clamp(least, most)), (say::helps_mustard(), None)]
            }
            Taste::Bitter => vec![self.sugar(0.0), self.butter(), (say::helps_soft_onion(), None)],
            Taste::Rich => {
                vec![
                    (say::helps_skim_again(), None),
                    self.vinegar(VINEGAR_A_LITRE[0] * litres),
                    (say::helps_sharp_sides(), None),
                ]
            }
        }
    }

    /// Boiled down a quarter, or as far as salt allows.
    fn boil_down(&self) -> Option<(Message, Option<Move>)> {
        let (litres, stop_l) = (self.pot.liquid_l, self.stove.stop_l(self.pot.salt_g));
        let to_l = f64::max(WEAK_TO * litres, stop_l);
        if to_l > 0.97 * litres {
            return None;
        }
        let stronger = Share(litres / to_l - 1.0);
        let minutes = ergastic_words::Minutes(self.stove.boiling_min(litres - to_l).ceil());
        Some((say::helps_boil_down(Volume(to_l), minutes, stronger), Some(Move::Reduce { to_l, meat_in: false })))
    }

    fn paste(&self) -> (Message, Option<Move>) {
        let grams = f64::max(5.0, round_to(PASTE_A_LITRE * self.pot.liquid_l, 5.0));
        (say::helps_paste(Grams(grams)), Some(Move::PourIn { what: Larder::TomatoPaste, grams }))
    }

    fn thicken(&self) -> Option<(Message, Option<Move>)> {
        let to_body = self.stove.target.body().clamp(COATS, 2.0);
        let with = if self.stove.thickener == Thickener::None { Thickener::Cornflour } else { self.stove.thickener };
        let grams = starch_for(&self.pot, with, to_body);
        (grams > 0.0).then(|| (say::helps_thicken(with.amounts(grams)), Some(Move::Thicken { with, to_body })))
    }

    /// Salt to where plate and sauce are right; none where they are.
    fn salt(&self) -> Option<(Message, Option<Move>)> {
        let pot = &self.pot;
        let [low, high] = SAUCE_USUAL;
        let sauce_g = 0.5 * (low + high) * pot.liquid_l - pot.salt_g;
        let grams = match self.stove.meat {
            Some(meat) => {
                let eaten_l = meat.eats_l(pot.liquid_l, false);
                let on_plate_g = RIGHT_PLATE * (meat.kg + eaten_l) - meat.salt_g;
                f64::min(sauce_g, on_plate_g / eaten_l * pot.liquid_l - pot.salt_g)
            }
            None => sauce_g,
        };
        // Half of it, then tasted again: what is in can't be taken out.
        let grams = round_to(0.5 * grams, 0.5);
        let spoons = Spoons { grams, teaspoon_g: SALT_TEASPOON_G };
        (grams >= 0.5).then(|| (say::helps_salt(spoons), Some(Move::Salt { grams })))
    }

    /// Water or unsalted stock to where it is right again.
    fn let_down(&self) -> Option<(Message, Option<Move>)> {
        let pot = &self.pot;
        let sauce = match self.stove.meat {
            Some(meat) => {
                let eaten_l = meat.eats_l(pot.liquid_l, false);
                let bears = (RIGHT_PLATE * (meat.kg + eaten_l) - meat.salt_g) / eaten_l;
                f64::max(bears, 0.5 * pot.salt_g_per_kg()).min(SAUCE_USUAL[1])
            }
            None => SAUCE_USUAL[0],
        };
        // By the figures it is not too salty: the tongue is believed, and a tenth tried.
        let litres = f64::max(pot.salt_g / sauce - pot.liquid_l, 0.1 * pot.liquid_l);
        let litres = round_to(litres, 0.01).max(0.02);
        let poured = Move::PourIn { what: Larder::Water, grams: litres * 1000.0 };
        let after = Strength(pot.salt_g / (pot.liquid_l + litres));
        (pot.salt_g > 0.0).then(|| (say::helps_let_down(Volume(litres), after), Some(poured)))
    }

    fn sugar(&self, wanted_g: f64) -> (Message, Option<Move>) {
        let [least, most] = SUGAR_A_LITRE.map(|grams| grams * self.pot.liquid_l);
        let grams = round_to(wanted_g.clamp(least, most), 0.5).max(0.5);
        let spoons = Spoons { grams, teaspoon_g: SUGAR_TEASPOON_G };
        (say::helps_sugar(spoons), Some(Move::PourIn { what: Larder::BrownSugar, grams }))
    }

    fn vinegar(&self, wanted_g: f64) -> (Message, Option<Move>) {
        let grams = round_to(wanted_g, 1.0).max(2.0);
        let spoons = Spoons { grams, teaspoon_g: VINEGAR_TEASPOON_G };
        (say::helps_vinegar(spoons), Some(Move::PourIn { what: Larder::Vinegar, grams }))
    }

    fn butter(&self) -> (Message, Option<Move>) {
        let grams = f64::max(5.0, round_to(BUTTER_A_LITRE * self.pot.liquid_l, 5.0));
        (say::helps_butter(Grams(grams)), Some(Move::PourIn { what: Larder::Butter, grams }))
    }
}

fn per_cent(grams: f64, pot: &CookingLiquid) -> Percent {
    Percent(grams / pot.liquid_l / 1000.0)
}
