//! How far the finishing has come: what was taken out of the pot, what was done to its liquid, and what is to be.

use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::event::Happened;
use super::standing::Standing;
use crate::finish::{MAX_MOVES, MIN_SAUCE_L, Move, SaltBelief, SauceChoices, SauceRequest, Seasoned, Taste, remains};
use crate::plan::Plan;
use crate::prepare::TakeOut;
use crate::sheet::{Settled, TaskId, TaskKind};

/// Something that has to come out of the pot before the plate.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct OutOfThePot {
    /// What, with how many.
    pub what: String,
    /// Why, and when.
    pub words: String,
    /// Whether it is out.
    pub out: bool,
}

/// The finishing so far.
#[derive(Debug, Default)]
pub(super) struct Finishing<'a> {
    /// As the cook chose, last.
    chosen: Option<&'a SauceChoices>,
    /// What was done, and what was measured meanwhile.
    done: Vec<Move>,
    /// What is to be done after it, where the cook said so since.
    then: Option<&'a [Move]>,
    /// Measured once the meat was out and before anything was done.
    liquid_l: Option<f64>,
    fat_mm: Option<f64>,
    taken_out: Vec<&'a str>,
    /// What a clean spoon found, each after so many moves.
    tasted: Vec<(usize, Seasoned)>,
}

impl<'a> Finishing<'a> {
    pub(super) fn of(standing: &Standing<'a>) -> Self {
        let lifted = standing.done(TaskId::Lift);
        let mut so_far = Self::default();
        let mut by_choice = None;
        for event in standing.all() {
            let out = lifted.is_some_and(|lifted| event.at >= lifted);
            // More is not done to one sauce: the rest is noise, and a sauce of it is not worked out.
            if so_far.done.len() >= MAX_MOVES {
                break;
            }
            match event.happened {
                Happened::SauceChosen { sauce } => {
                    // Of what is tried on the page only the last counts, from when it was tried first.
                    if so_far.chosen.and_then(|chosen| chosen.taste) != sauce.taste {
                        by_choice = sauce.taste.and_then(of_its_salt).map(|found| (so_far.done.len(), found));
                    }
                    so_far.chosen = Some(sauce);
                    so_far.then = sauce.moves.as_deref();
                }
                Happened::SauceDone { did, then } => {
                    so_far.done.push(**did);
                    so_far.then = Some(then);
                }
                Happened::Tasted { salt } if !so_far.done.is_empty() => so_far.tasted.push((so_far.done.len(), *salt)),
                Happened::TakenOut { what } => so_far.taken_out.push(what),
                Happened::Dipped { litres } if so_far.done.is_empty() && out => so_far.liquid_l = Some(*litres),
                Happened::FatMeasured { mm } if so_far.done.is_empty() => so_far.fat_mm = Some(*mm),
                Happened::Dipped { litres } if !so_far.done.is_empty() => {
                    so_far.done.push(Move::Measured { liquid_l: Some(litres.max(MIN_SAUCE_L)), fat_mm: None });
                }
                Happened::FatMeasured { mm } => {
                    so_far.done.push(Move::Measured { liquid_l: None, fat_mm: Some(*mm) });
                }
                _ => {}
            }
        }
        so_far.tasted.extend(by_choice);
        so_far
    }

    /// The liquid as it was measured before anything was done to it, L.
    pub(super) fn liquid_l(&self) -> Option<f64> {
        self.liquid_l
    }

    /// Its fat as it was measured then, mm.
    pub(super) fn fat_mm(&self) -> Option<f64> {
        self.fat_mm
    }

    /// What was chosen and done, laid over what the plan wants of the sauce.
    pub(super) fn over(&self, request: SauceRequest) -> SauceRequest {
        let chosen = self.chosen.cloned().unwrap_or_default();
        SauceRequest {
            skim: chosen.skim.unwrap_or(request.skim),
            taste: chosen.taste.unwrap_or(request.taste),
            target: chosen.target.unwrap_or(request.target),
            thickener: chosen.thickener.unwrap_or(request.thickener),
            share: chosen.share.or(request.share),
            done: self.done.clone(),
            moves: self.then.map(<[Move]>::to_vec),
            ..request
        }
    }

    /// What is believed of the salt after every spoonful on the way, as a share of what was believed before, in a request that stands
    /// as it was chosen and done.
    pub(super) fn salt_tasted(&self, request: &SauceRequest, doubt: f64) -> f64 {
        let (mut share, mut doubt) = (1.0, doubt);
        for (moves, found) in &self.tasted {
            let there = SauceRequest {
                done: request.done[..*moves].to_vec(),
                moves: Some(Vec::new()),
                salt_g: request.salt_g.map(|grams| grams * share),
                ..request.clone()
            };
            let Ok(left) = remains(&there) else { continue };
            let grams = left.sauce.litres * left.sauce.salt_g_per_kg;
            if grams < NO_SALT_G {
                continue;
            }
            let after = SaltBelief { grams, doubt_g: doubt * grams }.tasted(*found, left.sauce.litres);
            share *= after.grams / grams;
            doubt = after.doubt_g / f64::max(NO_SALT_G, after.grams);
        }
        share
    }

    /// What has to come out, and what is out already: once it was strained, everything is.
    pub(super) fn out_of_the_pot(&self, plan: &Plan, worked: &Settled) -> Vec<OutOfThePot> {
        let strained = self.done.iter().any(|one| matches!(one, Move::Strain { .. }));
        let shown = |TakeOut { what, words }| {
            let out = strained || self.taken_out.contains(&what.as_str());
            OutOfThePot { what, words, out }
        };
        plan.prepare.taken_out(&worked.case).into_iter().map(shown).collect()
    }
}

/// When a task of the finishing was done by what was done on the way to the sauce.
pub(super) fn done_on_the_way(standing: &Standing, kind: TaskKind) -> Option<Timestamp> {
    standing.all().find_map(|event| match event.happened {
        Happened::SauceDone { did, then } => {
            let made = match kind {
                TaskKind::Skim => matches!(**did, Move::Skim { .. }),
                TaskKind::Sauce => then.is_empty(),
                _ => false,
            };
            made.then_some(event.at)
        }
        _ => None,
    })
}

/// What a taste on the way says of the salt: what is only weak or thin says nothing of it.
fn of_its_salt(taste: Taste) -> Option<Seasoned> {
    match taste {
        Taste::Flat => Some(Seasoned::Flat),
        Taste::Thin => Some(Seasoned::Right),
        Taste::Salty => Some(Seasoned::Salty),
        Taste::Right | Taste::Weak | Taste::Bitter | Taste::Sour | Taste::Rich | Taste::Sweet => None,
    }
}

/// So little salt a tongue can't weigh, g.
const NO_SALT_G: f64 = 0.01;
