//! A case: everything a run needs, with nothing left open.

use super::super::known::Known;
use std::sync::Arc;

use ergastic_physics::How;
use ergastic_physics::body::BodyShape;
use ergastic_physics::body::THAWED_C;
use ergastic_physics::case::{self as physics, End, Pour};
use ergastic_physics::juices::Body;
use ergastic_physics::liquid::Packing;
use ergastic_physics::members::Drawn;
use ergastic_physics::part;
use ergastic_physics::tender::Goal;
use ergastic_words::{Message, Voice};

use crate::cuts::{CutFacts, EatenAs};
use crate::heat::pot::Pot;
use crate::ways::pit::InThePit;
use crate::ways::pressure::Pressure;
use crate::ways::{ByHand, Filled, Method, Set};

/// Spread of a thickness that only follows from the mass and the cut's usual shape, relative. Working value: butchers
/// cut the same joint long and flat or short and thick.
const UNMEASURED_SIGMA: f64 = 0.15;

/// One cut or size in the pot.
#[derive(Debug, Clone)]
pub struct ResolvedPart {
    /// The cut.
    pub facts: &'static CutFacts,
    /// Raw, bone in, kg.
    pub mass_kg: f64,
    /// Pieces.
    pub pieces: u32,
    /// Sides of the largest piece, m, from the shortest.
    pub sides_m: [f64; 3],
    /// Its equivalent body.
    pub shape: BodyShape,
    /// What "done" means.
    pub eaten_as: EatenAs,
    /// Tender-hours to reach.
    pub goal: Goal,
    /// Bone, % of the raw mass.
    pub bone_pct: f64,
    /// Trimmed off, % of the raw mass.
    pub trim_pct: f64,
    /// Whether the thickness was measured, or only follows from mass and cut.
    pub measured: bool,
}

impl ResolvedPart {
    /// Raw without the bone, kg.
    pub fn boneless_kg(&self) -> f64 {
        self.physics().boneless_kg()
    }

    /// Raw and trimmed, bone in, kg.
    pub fn trimmed_kg(&self) -> f64 {
        self.mass_kg * (1.0 - self.trim_pct / 100.0)
    }

    /// Spread of the thickness, relative.
    pub fn thickness_sigma(&self) -> f64 {
        if self.measured { self.facts.thickness_sigma } else { f64::max(self.facts.thickness_sigma, UNMEASURED_SIGMA) }
    }

    /// What its runs ask for.
    fn physics(&self) -> part::Part {
        part::Part {
            muscle: self.facts.muscle(),
            mass_kg: self.mass_kg,
            bone_pct: self.bone_pct,
            trim_pct: self.trim_pct,
            thickness_m: self.sides_m[0],
            shape: self.shape,
            goal: self.goal,
            thickness_sigma: self.thickness_sigma(),
            toughness_ln_sigma: self.facts.toughness_ln_sigma,
        }
    }

    /// Its name in a sentence.
    pub fn name(&self) -> Message {
        self.facts.cut.name()
    }
}

/// One stage, resolved.
#[derive(Debug, Clone)]
pub struct ResolvedStage {
    /// Way of cooking.
    pub method: Method,
    /// What surrounds the meat.
    pub medium: Set,
    /// The pot and its cover in this stage.
    pub pot: Pot,
    /// When it ends.
    pub end: End,
    /// What was done by hand as it began.
    pub by_hand: ByHand,
}

impl ResolvedStage {
    /// Whether its pit is lit anew, or goes out, in the midst of the cook.
    pub fn is_lit_anew(&self) -> bool {
        self.by_hand.changed
            && self.medium.get::<InThePit>().is_some_and(|in_pit| in_pit.pit.start_c != in_pit.pit.set_c)
    }

    /// What its runs ask for.
    fn physics(&self) -> physics::Stage {
        physics::Stage {
            medium: self.medium.way().medium(),
            vessel: self.pot.lump(),
            end: self.end,
            lit_anew: self.is_lit_anew(),
            thinner: self.by_hand.thinner,
        }
    }
}

/// Stages of the case that are one stage of the plan, the later ones by what was changed in it by hand.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub struct Leg {
    /// Its first.
    pub first: usize,
    /// Its last: how it stands since the last change.
    pub last: usize,
}

/// A request with every field filled in.
#[derive(Debug, Clone)]
pub struct ResolvedDish {
    /// How its runs are made.
    pub how: How,
    /// What is in the pot; never empty.
    pub parts: Vec<ResolvedPart>,
    /// What is done with it; never empty.
    pub stages: Vec<ResolvedStage>,
    /// All parts together, raw, bone in, kg.
    pub mass_kg: f64,
    /// All pieces.
    pub pieces: u32,
    /// Meat at the start, °C.
    pub start_c: f64,
    /// The meat in the pot.
    pub packing: Packing,
    /// Liquid poured in at first, L.
    pub liquid_l: f64,
    /// Its temperature, °C.
    pub liquid_start_c: f64,
    /// Liquid poured in later, in time order.
    pub added: Vec<Pour>,
    /// Local boil, °C.
    pub boil_c: f64,
    /// What gives the liquid body beside the meat.
    pub body: Body,
    /// Salt in meat and liquid together, g.
    pub salt_g: f64,
    /// That part of it which is in the liquid from the first, g.
    pub liquid_salt_g: f64,
    /// Fat that what is put in with it gives, L.
    pub larder_fat_l: f64,
    /// Water that what is put in with it gives as it softens, L.
    pub larder_water_l: f64,
    /// What earlier cooks have taught.
    pub known: Known,
    /// The chance of being tender that is called sure.
    pub certainty: f64,
    /// When it has to be tender, s.
    pub deadline_s: Option<f64>,
    /// Simulated cooks.
    pub members: usize,
    /// Seed.
    pub seed: u64,
    /// Answer the inside too.
    pub inside: bool,
    /// Answer what lies behind each figure.
    pub explain: bool,
    /// What was filled in.
    pub assumed: Vec<Filled>,
    /// Oddities worth saying.
    pub notes: Vec<Message>,
    /// What its answers are said in.
    pub voice: Voice,
}

impl ResolvedDish {
    /// Whether the meat is frozen when it meets the heat.
    pub fn goes_in_frozen(&self) -> bool {
        self.start_c < THAWED_C
    }

    /// The first part: the one the dish is named after.
    pub fn main(&self) -> &ResolvedPart {
        &self.parts[0]
    }

    /// The first stage.
    pub fn first(&self) -> &ResolvedStage {
        &self.stages[0]
    }

    /// The last stage.
    pub fn last(&self) -> &ResolvedStage {
        self.stages.last().unwrap_or(&self.stages[0])
    }

    /// The stages as the plan has them: what was changed by hand in one belongs to it.
    pub fn legs(&self) -> Vec<Leg> {
        let mut legs: Vec<Leg> = Vec::new();
        for (i, stage) in self.stages.iter().enumerate() {
            match legs.last_mut().filter(|_| stage.by_hand.changed) {
                Some(leg) => leg.last = i,
                None => legs.push(Leg { first: i, last: i }),
            }
        }
        legs
    }

    /// The first stage's pot.
    pub fn pot(&self) -> &Pot {
        &self.stages[0].pot
    }

    /// Whether the chain ends by itself, tender or not.
    pub fn fixed_end(&self) -> bool {
        self.stages.last().is_some_and(|last| match last.end {
            End::Stays => false,
            // A pressure pot whose time is solved for ends when the meat is tender.
            End::Opened => self.solved_stage().is_none(),
            _ => true,
        })
    }

    /// The time the cook has fixed for the last heat, s: obeyed, tender or not. At pressure it is the time at pressure.
    pub fn own_time_s(&self) -> Option<f64> {
        match *self.last() {
            ResolvedStage { end: End::After(minutes_s), .. } => Some(minutes_s),
            ResolvedStage { end: End::Opened, medium, .. } => {
                medium.get::<Pressure>()?.hold_s.filter(|s| s.is_finite())
            }
            _ => None,
        }
    }

    /// The pressure stage whose time is asked for, if there is one.
    pub fn solved_stage(&self) -> Option<usize> {
        self.stages.iter().position(|stage| stage.medium.get::<Pressure>().is_some_and(|pot| pot.hold_s.is_none()))
    }

    /// Its simulated cooks, before anything is found.
    pub fn drawn(&self) -> Drawn {
        Drawn::of(&self.physics(), self.members, self.seed)
    }

    /// What its runs ask for.
    pub fn physics(&self) -> physics::Case {
        physics::Case {
            parts: self.parts.iter().map(ResolvedPart::physics).collect(),
            stages: self.stages.iter().map(ResolvedStage::physics).collect(),
            mass_kg: self.mass_kg,
            start_c: self.start_c,
            packing: self.packing,
            liquid_l: self.liquid_l,
            liquid_start_c: self.liquid_start_c,
            added: self.added.clone(),
            boil_c: self.boil_c,
            body: self.body,
            salt_g: self.salt_g,
            liquid_salt_g: self.liquid_salt_g,
            larder_fat_l: self.larder_fat_l,
            larder_water_l: self.larder_water_l,
            model: Arc::new(self.how.model.believing(self.known.beliefs())),
            inside: self.inside,
        }
    }
}
