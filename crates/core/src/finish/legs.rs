//! The path leg by leg: what is done, how long it takes, and how the pot stands after it.

use ergastic_words::{Grams, Message, Spoons, Voice, Volume, finish as say};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::body::OnTheSpoon;
use super::choices::Thickener;
use super::cooking_liquid::CookingLiquid;
use super::moves::{Move, Strain};
use super::stove::Stove;
use super::walk::{MoveDone, Walk};
use crate::bench::{Larder, SALT_TEASPOON_G};

/// How the pot stands at a moment of the path.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Stand {
    /// Minutes from the start of the path.
    pub at_min: f64,
    /// Liquid in the pot without its fat, L.
    pub liquid_l: f64,
    /// How deep it stands, mm.
    pub level_mm: f64,
    /// Fat on it, L.
    pub fat_l: f64,
    /// How deep that is, mm.
    pub fat_mm: f64,
    /// Its salt, g/kg.
    pub salt_g_per_kg: f64,
    /// Salt of meat and sauce eaten together, g/kg, where the meat's is known.
    pub plate_g_per_kg: Option<f64>,
    /// Its gelatin, %.
    pub gelatin_pct: f64,
    /// 1 coats a spoon, 2 is a gravy, 3 a glaze.
    pub body: f64,
    /// What a dipped spoon shows.
    pub spoon: OnTheSpoon,
    /// Taken out thin so far, L.
    pub aside_l: f64,
    /// Below this it grows too salty, L; nothing where it has next to no salt.
    pub edge_l: Option<f64>,
}

/// Between which figures a leg may be bent.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Bends {
    /// The least.
    pub least: f64,
    /// The most.
    pub most: f64,
}

/// One leg of the path.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct SauceLeg {
    /// What is done, with its figures as they are.
    #[serde(rename = "move")]
    pub what: Move,
    /// In words.
    pub words: String,
    /// Why, and what to look for.
    pub why: String,
    /// Minutes it takes.
    pub min: f64,
    /// Whether it has been done.
    pub done: bool,
    /// Liquid, L, and body on the way, from start to end.
    pub curve: Vec<[f64; 2]>,
    /// How the pot stands after it.
    pub after: Stand,
    /// Salt stops it short of what was asked.
    pub stopped: bool,
    /// Between what its figure may be bent; nothing where it has none.
    pub bends: Option<Bends>,
}

/// A leg before it is put into words.
#[derive(Debug, Clone)]
pub(super) struct StoveStep {
    pub what: Message,
    pub min: f64,
    pub why: Message,
}

impl Stove {
    /// How a pot stands.
    pub(super) fn stand(&self, pot: &CookingLiquid, aside_l: f64, at_min: f64) -> Stand {
        let edge_l = self.stop_l(pot.salt_g);
        let body = pot.body();
        Stand {
            at_min,
            liquid_l: pot.liquid_l,
            level_mm: self.depth_mm(pot.liquid_l),
            fat_l: pot.fat_l,
            fat_mm: self.depth_mm(pot.fat_l),
            salt_g_per_kg: pot.salt_g_per_kg(),
            plate_g_per_kg: self.plate_g_per_kg(pot),
            gelatin_pct: pot.gelatin_pct(),
            body,
            spoon: OnTheSpoon::of(body),
            aside_l,
            edge_l: (edge_l > 0.001).then_some(edge_l),
        }
    }

    /// What a move is called, and why it is made; nothing where it does nothing.
    pub(super) fn step(&self, went: &MoveDone, some_aside: bool) -> Option<StoveStep> {
        let before = &went.before;
        let (what, why) = match went.did {
            Move::Skim { with } => with.step(self.depth_mm(before.fat_l)).filter(|_| before.fat_l > 0.0)?,
            Move::Strain { how: Strain::Run } => (say::strain_run(), say::strain_run_why()),
            Move::Strain { how: Strain::Press } => (say::strain_press(), say::strain_press_why()),
            Move::Reduce { to_l, meat_in } if before.liquid_l - to_l > 0.005 => {
                let why = if meat_in { say::reduce_meat_in() } else { say::reduce_why() };
                (say::reduce(Volume(before.liquid_l), Volume(to_l)), why)
            }
            Move::Reduce { .. } => return None,
            Move::SetAside { litres } => (say::set_aside(Volume(litres)), say::set_aside_why()),
            Move::Thicken { .. } if went.starch_g <= 0.0 => return None,
            Move::Thicken { with, .. } => {
                let amounts = with.amounts(went.starch_g);
                let what = match some_aside {
                    true => say::thicken_tonight(amounts, Volume(before.liquid_l)),
                    false => say::thicken(amounts),
                };
                (what, say::thickener_why(with.key()))
            }
            Move::PourIn { what: Larder::Water, grams } => {
                (say::let_down(Volume(grams / 1000.0), Larder::Water.name()), say::let_down_why())
            }
            Move::PourIn { what, grams } if thins(what) => {
                (say::let_down(Volume(grams / 1000.0), what.name()), say::let_down_why())
            }
            Move::PourIn { what, grams } if matches!(what, Larder::Butter | Larder::Cream) => {
                (say::beat_in(Grams(grams), what.name()), say::beat_in_why())
            }
            Move::PourIn { what, grams } => (say::stir_in(Grams(grams), what.name()), say::stir_in_why()),
            Move::Salt { grams } => (say::salt_it(Spoons { grams, teaspoon_g: SALT_TEASPOON_G }), say::salt_it_why()),
            Move::Measured { .. } => {
                (say::measured(Volume(went.after.liquid_l), Volume(went.after.fat_l)), Message::nothing())
            }
        };
        Some(StoveStep { what, min: went.min, why })
    }

    /// A leg with its words.
    pub(super) fn leg(&self, went: &MoveDone, walk: &Walk, at_min: f64, done: bool, voice: Voice) -> SauceLeg {
        let step = self.step(went, walk.aside.liquid_l > 0.0);
        let (words, why) = match step {
            Some(step) => (voice.render(step.what), voice.render(step.why)),
            None => (voice.render(say::no_need()), String::new()),
        };
        let curve = match went.curve.is_empty() {
            true => [went.before, went.after].map(|pot| [pot.liquid_l, pot.body()]).into(),
            false => went.curve.clone(),
        };
        SauceLeg {
            what: went.did,
            words,
            why,
            min: went.min,
            done,
            curve,
            after: self.stand(&went.after, walk.aside.liquid_l, at_min),
            stopped: went.stopped.is_some(),
            bends: self.bends(went),
        }
    }

    /// Between what a move's figure makes sense.
    fn bends(&self, went: &MoveDone) -> Option<Bends> {
        let pot = &went.before;
        let (least, most) = match went.did {
            Move::Reduce { .. } => {
                let edge_l = self.stop_l(pot.salt_g);
                (edge_l.max(0.1 * pot.liquid_l).min(pot.liquid_l), pot.liquid_l)
            }
            Move::SetAside { .. } => (0.02, 0.9 * pot.liquid_l),
            Move::Thicken { with, .. } if with != Thickener::None => (f64::max(0.1, pot.body()), 3.0),
            Move::PourIn { what, .. } if thins(what) => (20.0, 1500.0 * pot.liquid_l),
            Move::PourIn { .. } => (1.0, 120.0 * pot.liquid_l),
            Move::Salt { .. } => (0.5, f64::max(1.0, 8.0 * pot.liquid_l)),
            _ => return None,
        };
        (most > least).then_some(Bends { least, most })
    }
}

/// Whether something lets a sauce down.
fn thins(what: Larder) -> bool {
    matches!(what, Larder::Water | Larder::UnsaltedStock | Larder::GoodStock | Larder::Stock)
}
