//! A case: everything a run needs, in figures.

use std::sync::Arc;

use crate::juices::Body;
use crate::liquid::Packing;
use crate::medium::Medium;
use crate::model::Model;
use crate::part::Part;
use crate::vessel::Vessel;

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

/// One stage.
#[derive(Debug, Clone, PartialEq)]
pub struct Stage {
    /// What surrounds the meat.
    pub medium: Medium,
    /// The pot and its cover in this stage.
    pub vessel: Vessel,
    /// When it ends.
    pub end: End,
    /// Its pit is lit anew, or goes out, as it begins: the fire's clock starts again.
    pub lit_anew: bool,
    /// The pieces are cut up as it begins: the heat has so much less far to go.
    pub thinner: Option<f64>,
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

/// All that a run asks for.
#[derive(Debug, Clone)]
pub struct Case {
    /// What is in the pot; never empty.
    pub parts: Vec<Part>,
    /// What is done with it; never empty.
    pub stages: Vec<Stage>,
    /// All parts together, raw, bone in, kg.
    pub mass_kg: f64,
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
    /// What the run goes by.
    pub model: Arc<Model>,
    /// Follow the softening of each shell, too.
    pub inside: bool,
}

impl Case {
    /// The first part: the one the dish is named after.
    pub(crate) fn main(&self) -> &Part {
        &self.parts[0]
    }

    /// The first stage.
    pub(crate) fn first(&self) -> &Stage {
        &self.stages[0]
    }

    /// The pressure stage whose time is asked for, if there is one.
    pub fn solved_stage(&self) -> Option<usize> {
        self.stages.iter().position(|stage| matches!(stage.medium, Medium::Pressure { hold_s: None, .. }))
    }
}
