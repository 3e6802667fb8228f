//! The meat of one cut or size: what it is made of, its shape, what it has to reach.

use crate::body::BodyShape;
use crate::tender::Goal;

/// What a muscle is made of, as % of its raw mass.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Muscle {
    /// Fat.
    pub fat_pct: f64,
    /// Collagen.
    pub collagen_pct: f64,
    /// Trimmed off as a rule.
    pub usual_trim_pct: f64,
}

/// One cut or size in the pot.
#[derive(Debug, Clone, PartialEq)]
pub struct Part {
    /// What it is made of.
    pub muscle: Muscle,
    /// Raw, bone in, kg.
    pub mass_kg: f64,
    /// Bone, % of the raw mass.
    pub bone_pct: f64,
    /// Trimmed off, % of the raw mass.
    pub trim_pct: f64,
    /// Shortest side of the largest piece, m.
    pub thickness_m: f64,
    /// Its equivalent body.
    pub shape: BodyShape,
    /// Softening to reach.
    pub goal: Goal,
    /// Spread of the thickness, relative.
    pub thickness_sigma: f64,
    /// Usual spread of the toughness from animal to animal, as a standard deviation of its logarithm.
    pub toughness_ln_sigma: f64,
}

impl Part {
    /// Raw without the bone, kg.
    pub fn boneless_kg(&self) -> f64 {
        self.mass_kg * (1.0 - self.bone_pct / 100.0)
    }

    /// Raw lean, without bone, trimmings and fat, kg.
    pub fn lean_kg(&self) -> f64 {
        self.mass_kg * (1.0 - (self.bone_pct + self.trim_pct + self.muscle.fat_pct) / 100.0)
    }
}
