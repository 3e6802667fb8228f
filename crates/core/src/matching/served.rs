//! How much a head, by how it comes to the table.

use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use crate::cuts::CutFacts;
use crate::cuts::PORTION_KG;

/// How the meat comes to the table.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Default, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Served {
    /// On a plate with sides.
    #[default]
    Plate,
    /// In bread.
    Bread,
    /// With noodles or rice.
    Noodles,
    /// In a soup.
    Soup,
    /// Richly glazed: less is enough.
    RichGlaze,
}

impl Served {
    /// Cooked meat a head, kg. Practice.
    pub fn portion_kg(self) -> f64 {
        match self {
            Self::Plate => PORTION_KG,
            Self::Bread | Self::Noodles => 0.110,
            Self::Soup => 0.090,
            Self::RichGlaze => 0.130,
        }
    }
}

/// What of boneless meat is on the plate in the end, where no forecast says it yet. Practice.
const USUAL_YIELD: f64 = 0.6;
/// From this share of bone on it is bought by the piece, raw and bone in, %.
const BONY_PCT: f64 = 10.0;
/// Bone-in meat on a plate, raw, kg a head. Practice.
const BONE_IN_KG: [f64; 2] = [0.35, 0.45];

/// What of a cut is bought for each of those who eat, kg: what leaves the portion, within what is usual on the bone.
pub fn raw_kg_a_head(facts: &CutFacts, portion_kg: f64, yield_share: f64) -> f64 {
    let raw_kg = portion_kg / yield_share;
    if facts.bone_pct < BONY_PCT {
        return raw_kg;
    }
    let [least, most] = BONE_IN_KG.map(|kg| kg * portion_kg / PORTION_KG);
    raw_kg.clamp(least, most)
}

/// Enough of a cut for so many, kg, before anything is known of how it is cooked.
pub fn enough_kg(facts: &CutFacts, people: u32, portion_kg: f64) -> f64 {
    let share = USUAL_YIELD * (1.0 - (facts.bone_pct + facts.trim_pct) / 100.0);
    (f64::from(people) * raw_kg_a_head(facts, portion_kg, share) * 10.0).ceil() / 10.0
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::cuts::Cut;

    #[test]
    fn bread_takes_less_than_a_plate_and_bones_are_bought_with_the_meat() {
        assert!(Served::Soup.portion_kg() < Served::Bread.portion_kg());
        assert!(Served::Bread.portion_kg() < Served::Plate.portion_kg());
        let oxtail = raw_kg_a_head(Cut::Oxtail.facts(), PORTION_KG, 0.25);
        assert!((oxtail - 0.45).abs() < 1e-9, "{oxtail}");
        assert!((raw_kg_a_head(Cut::Chuck.facts(), PORTION_KG, 0.55) - 0.3).abs() < 1e-9);
        assert!(raw_kg_a_head(Cut::Oxtail.facts(), Served::Soup.portion_kg(), 0.25) < 0.26);
    }
}
