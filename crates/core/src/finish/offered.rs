//! What may be chosen on the way, each with what it would do to this pot: ways of skimming, what thickens, what a spoon shows.

use ergastic_words::{Message, Voice, Volume, finish as say};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::body::{OnTheSpoon, STICKS};
use super::choices::{Skim, Thickener};
use super::cooking_liquid::CookingLiquid;
use super::moves::Move;
use super::stove::Stove;
use super::walk::starch_for;
use crate::bench::{Carrier, Food, Larder, label};
use ergastic_physics::units::round_to;

/// A ladle of sauce, as one plate takes, L. Practice.
const LADLE_L: f64 = 0.08;
/// A reduction and a thickening that are begun with, to be bent further.
const BOIL_DOWN_TO: f64 = 0.8;
const A_LITTLE_BODY: f64 = 0.5;

/// A way of skimming, and what it would leave.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct SkimChoice {
    /// Which.
    pub with: Skim,
    /// Its name.
    pub name: String,
    /// Minutes it takes.
    pub min: f64,
    /// Fat that would stay, L.
    pub stays_l: f64,
    /// How it is done, and what to look for.
    pub how: String,
}

/// Something that thickens, and how much of it this pot would want.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct ThickenerChoice {
    /// Which.
    pub with: Thickener,
    /// Its name.
    pub name: String,
    /// So much of it, g.
    pub grams: f64,
    /// And so much cold water, or butter, g.
    pub with_g: f64,
    /// Both in spoons and grams; empty where nothing is wanted.
    pub amounts: String,
    /// Minutes it cooks once it is in.
    pub cook_min: f64,
    /// How it goes in.
    pub how: String,
    /// What goes wrong with it.
    pub wrong: String,
    /// The allergens it brings, as a label says them; nothing where it brings none.
    pub carries: Option<String>,
    /// For one plate to order.
    pub one_plate: String,
}

/// Something more that may be done at the end of the path, with a figure to start from.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct MoreChoice {
    /// Its name.
    pub name: String,
    /// What it is.
    #[serde(rename = "move")]
    pub what: Move,
}

/// What a dipped spoon shows of a thickness.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct SpoonTest {
    /// Which.
    pub shows: OnTheSpoon,
    /// What is seen.
    pub words: String,
    /// What it is good for.
    pub good_for: String,
}

impl Stove {
    /// Every way of skimming a pot as it stands before it is skimmed.
    pub(super) fn skims(&self, pot: &CookingLiquid, voice: Voice) -> Vec<SkimChoice> {
        let fat_mm = self.depth_mm(pot.fat_l);
        let shown = |with: Skim| {
            let (share, min) = if pot.fat_l > 0.0 { with.takes(fat_mm) } else { (0.0, 0.0) };
            SkimChoice {
                with,
                name: voice.render(say::skim_name(with.key())),
                min,
                stays_l: pot.fat_l * (1.0 - share),
                how: voice.render(say::skim_how(with.key())),
            }
        };
        Skim::ALL.map(shown).into()
    }

    /// What may be done to a pot at the end of its path: nothing that salt forbids.
    pub(super) fn more(&self, pot: &CookingLiquid, voice: Voice) -> Vec<MoreChoice> {
        let litres = pot.liquid_l;
        let with = if self.thickener == Thickener::None { Thickener::Cornflour } else { self.thickener };
        let to_l = f64::max(BOIL_DOWN_TO * litres, self.stop_l(pot.salt_g));
        let boils = to_l < 0.97 * litres;
        let skims = (pot.fat_l > 0.0 && self.skim != Skim::None).then_some(Move::Skim { with: self.skim });
        let to_body = (pot.body() + A_LITTLE_BODY).min(STICKS);
        let offers = [
            ("reduce", boils.then_some(Move::Reduce { to_l, meat_in: false })),
            ("reduce_meat_in", boils.then_some(Move::Reduce { to_l, meat_in: true })),
            ("let_down", Some(Move::PourIn { what: Larder::Water, grams: round_to(100.0 * litres, 10.0).max(10.0) })),
            ("set_aside", (litres > 0.2).then_some(Move::SetAside { litres: round_to(0.5 * litres, 0.01) })),
            ("thicken", (to_body > pot.body() + 0.1).then_some(Move::Thicken { with, to_body })),
            ("butter", Some(Move::PourIn { what: Larder::Butter, grams: round_to(25.0 * litres, 5.0).max(5.0) })),
            ("salt", Some(Move::Salt { grams: round_to(litres, 0.5).max(0.5) })),
            ("skim", skims),
        ];
        let shown = |(key, what): (&'static str, Option<Move>)| {
            let what = what.filter(|what| what.check().is_ok())?;
            Some(MoreChoice { name: voice.render(say::more(key)), what })
        };
        offers.into_iter().filter_map(shown).collect()
    }

    /// All that could thicken a pot to some body.
    pub(super) fn thickeners(&self, pot: &CookingLiquid, to_body: f64, voice: Voice) -> Vec<ThickenerChoice> {
        let shown = |with: Thickener| {
            let grams = starch_for(pot, with, to_body);
            let ladle = starch_for(&pot.drawn(LADLE_L), with, to_body);
            let amounts = |grams: f64| if grams > 0.0 { voice.render(with.amounts(grams)) } else { String::new() };
            ThickenerChoice {
                with,
                name: voice.render(with.name()),
                grams,
                with_g: with.with_g(grams),
                amounts: amounts(grams),
                cook_min: with.cook_min(),
                how: voice.render(say::thickener_why(with.key())),
                wrong: voice.render(say::thickener_wrong(with.key())),
                carries: label(with.made_of()).map(|said| voice.render(said)),
                one_plate: match ladle > 0.0 {
                    true => voice.render(say::one_plate(Volume(LADLE_L), with.amounts(ladle))),
                    false => String::new(),
                },
            }
        };
        Thickener::ALL.map(shown).into()
    }
}

impl Thickener {
    /// Its name.
    pub fn name(self) -> Message {
        say::thickener_name(self.key())
    }

    /// What of it may carry an allergen.
    pub fn made_of(self) -> &'static [Carrier] {
        match self {
            Self::Flour => &[Carrier::Larder(Larder::Flour)],
            Self::Bread => &[Carrier::Food(Food::Bread)],
            Self::ButterPaste => &[Carrier::Larder(Larder::Flour), Carrier::Larder(Larder::Butter)],
            _ => &[],
        }
    }
}

/// The five thicknesses as a spoon shows them.
pub(super) fn spoon_tests(voice: Voice) -> Vec<SpoonTest> {
    let shown = |shows: OnTheSpoon| SpoonTest {
        shows,
        words: voice.render(say::spoon(shows.key())),
        good_for: voice.render(say::spoon_good_for(shows.key())),
    };
    OnTheSpoon::ALL.map(shown).into()
}
