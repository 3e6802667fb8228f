//! A case: everything a run needs, with nothing left open.

use super::super::known::Known;
use super::super::request::ByHand;
use super::fill::Filled;
use ergastic_words::{Said, Voice};

use crate::cuts::{CutFacts, EatenAs};
use crate::heat::body::Shape;
use crate::heat::pot::Pot;
use crate::juices::Body;
use crate::liquid::Packing;
use crate::tender::{Goal, Softening};
use crate::ways::{Medium, Method};

/// Spread of a thickness that only follows from the mass and the cut's usual shape, relative. Working value: butchers
/// cut the same joint long and flat or short and thick.
const UNMEASURED_SIGMA: f64 = 0.15;

/// One cut or size in the pot.
#[derive(Debug, Clone)]
pub struct Part {
    /// The cut.
    pub facts: &'static CutFacts,
    /// Raw, bone in, kg.
    pub mass_kg: f64,
    /// Pieces.
    pub pieces: u32,
    /// Sides of the largest piece, m, from the shortest.
    pub sides_m: [f64; 3],
    /// Its equivalent body.
    pub shape: Shape,
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

impl Part {
    /// Raw without the bone, kg.
    pub fn boneless_kg(&self) -> f64 {
        self.mass_kg * (1.0 - self.bone_pct / 100.0)
    }

    /// Raw and trimmed, bone in, kg.
    pub fn trimmed_kg(&self) -> f64 {
        self.mass_kg * (1.0 - self.trim_pct / 100.0)
    }

    /// Raw lean, without bone, trimmings and fat, kg.
    pub fn lean_kg(&self) -> f64 {
        self.mass_kg * (1.0 - (self.bone_pct + self.trim_pct + self.facts.fat_pct) / 100.0)
    }

    /// Spread of the thickness, relative.
    pub fn thickness_sigma(&self) -> f64 {
        if self.measured { self.facts.thickness_sigma } else { f64::max(self.facts.thickness_sigma, UNMEASURED_SIGMA) }
    }

    /// Its name in a sentence.
    pub fn name(&self) -> Said {
        self.facts.cut.name()
    }
}

/// When a stage ends.
#[derive(Debug, Clone, Copy, PartialEq)]
pub enum End {
    /// The heat simply stays on.
    Stays,
    /// After some seconds.
    After(f64),
    /// When the middle of every part is this warm, °C.
    Warm(f64),
    /// When the middle of every part is this cold, °C.
    Cold(f64),
    /// When every part is tender.
    Tender,
    /// When the pressure pot can be opened.
    Opened,
}

/// One stage, resolved.
#[derive(Debug, Clone)]
pub struct Stage {
    /// Way of cooking.
    pub method: Method,
    /// What surrounds the meat.
    pub medium: Medium,
    /// The pot and its cover in this stage.
    pub pot: Pot,
    /// When it ends.
    pub end: End,
    /// What was done by hand as it began.
    pub by_hand: ByHand,
}

impl Stage {
    /// Whether its pit is lit anew, or goes out, in the midst of the cook.
    pub fn is_lit_anew(&self) -> bool {
        self.by_hand.changed && matches!(self.medium, Medium::Pit { pit, .. } if pit.start_c != pit.set_c)
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

/// Liquid poured in later.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Pour {
    /// When, s from the meat meeting the heat.
    pub at_s: f64,
    /// How much, L.
    pub litres: f64,
    /// How warm, °C.
    pub celsius: f64,
}

/// A request with every field filled in.
#[derive(Debug, Clone)]
pub struct Case {
    /// What is in the pot; never empty.
    pub parts: Vec<Part>,
    /// What is done with it; never empty.
    pub stages: Vec<Stage>,
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
    /// How fast it softens at a temperature.
    pub softening: Softening,
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
    pub notes: Vec<Said>,
    /// What its answers are said in.
    pub voice: Voice,
}

impl Case {
    /// The first part: the one the dish is named after.
    pub fn main(&self) -> &Part {
        &self.parts[0]
    }

    /// The first stage.
    pub fn first(&self) -> &Stage {
        &self.stages[0]
    }

    /// The last stage.
    pub fn last(&self) -> &Stage {
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
            Stage { end: End::After(minutes_s), .. } => Some(minutes_s),
            Stage { end: End::Opened, medium: Medium::Pressure { hold_s, .. }, .. } => hold_s.filter(|s| s.is_finite()),
            _ => None,
        }
    }

    /// The pressure stage whose time is asked for, if there is one.
    pub fn solved_stage(&self) -> Option<usize> {
        self.stages.iter().position(|stage| matches!(stage.medium, Medium::Pressure { hold_s: None, .. }))
    }
}
