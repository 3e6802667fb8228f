//! Trimming and cutting up: what comes off, what goes into the pot, how many pieces of what size.

use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use crate::bench::{Prepare, Trim};
use crate::forecast::{ResolvedDish, ResolvedPart};

/// A close trim takes so much more than the usual one. Working value.
const CLOSE: f64 = 1.6;
/// Share of the trimmings that is sinew and silver skin; the rest is fat. Working value.
pub(crate) const SINEW_SHARE: f64 = 0.35;

impl Trim {
    /// Trimmed off, % of the raw mass, for a cut that usually loses so much.
    pub fn pct(self, usual_pct: f64) -> f64 {
        match self {
            Self::None => 0.0,
            Self::Usual => usual_pct,
            Self::Close => CLOSE * usual_pct,
        }
    }
}

/// Sinew among what is trimmed off, kg.
pub(super) fn sinew_kg(parts: &[ResolvedPart]) -> f64 {
    parts.iter().map(|part| SINEW_SHARE * (part.mass_kg - part.trimmed_kg())).sum()
}

/// Raw → trimmed → pieces.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Trimmed {
    /// As bought, kg.
    pub raw_kg: f64,
    /// Trimmed, bone in, kg.
    pub trimmed_kg: f64,
    /// Fat off, kg.
    pub fat_kg: f64,
    /// Sinew and silver skin off, kg.
    pub sinew_kg: f64,
    /// Bone in it, kg.
    pub bone_kg: f64,
    /// Pieces.
    pub pieces: u32,
    /// One of them, kg.
    pub piece_kg: f64,
    /// Its sides, mm, from the shortest.
    #[schema(min_items = 3, max_items = 3)]
    pub size_mm: [f64; 3],
    /// Strings that have to come out again.
    pub strings: u32,
    /// The meat, in the kitchen's money.
    pub cost: Option<f64>,
    /// The same for each who eats.
    pub cost_a_head: Option<f64>,
    /// The same for each kilo on the plates.
    pub cost_eaten_kg: Option<f64>,
}

/// What the block comes to.
pub(super) fn trimmed(
    case: &ResolvedDish,
    bench: &Prepare,
    price_per_kg: Option<f64>,
    people: u32,
    yield_kg: f64,
) -> Trimmed {
    let trimmed_kg: f64 = case.parts.iter().map(ResolvedPart::trimmed_kg).sum();
    let sinew_kg = sinew_kg(&case.parts);
    let main = case.main();
    let cost = price_per_kg.map(|price| price * case.mass_kg);
    Trimmed {
        raw_kg: case.mass_kg,
        trimmed_kg,
        fat_kg: case.mass_kg - trimmed_kg - sinew_kg,
        sinew_kg,
        bone_kg: case.parts.iter().map(|part| part.mass_kg * part.bone_pct / 100.0).sum(),
        pieces: case.pieces,
        piece_kg: main.trimmed_kg() / f64::from(main.pieces),
        size_mm: main.sides_m.map(|side| side * 1000.0),
        strings: bench.strings,
        cost,
        cost_a_head: cost.map(|cost| cost / f64::from(people.max(1))),
        cost_eaten_kg: cost.filter(|_| yield_kg > 0.05).map(|cost| cost / yield_kg),
    }
}
