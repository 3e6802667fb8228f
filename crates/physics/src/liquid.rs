//! Liquid in a vessel with meat in it: levels, litres, and how much of the meat is under.

use crate::parameters::PotFigures;

const FLOOR_COVER: f64 = PotFigures::USUAL.floor_cover;
const TIGHTEST: f64 = PotFigures::USUAL.tightest;

/// Meat lying in a vessel.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Packing {
    /// Height the meat reaches above the floor, m.
    pub height_m: f64,
    /// Volume of the meat, m³.
    pub meat_m3: f64,
    /// Floor of the vessel, m².
    pub floor_m2: f64,
}

impl Packing {
    /// Lays `pieces` of the given sides (m, any order) flat in layers on a floor in m².
    pub fn lay(floor_m2: f64, mut sides_m: [f64; 3], pieces: u32, meat_m3: f64) -> Self {
        sides_m.sort_by(f64::total_cmp);
        let per_layer = (FLOOR_COVER * floor_m2 / (sides_m[1] * sides_m[2])).floor().max(1.0);
        let layers = (f64::from(pieces) / per_layer).ceil();
        let tightest = meat_m3 / (TIGHTEST * floor_m2);
        Self { height_m: f64::max(layers * sides_m[0], tightest), meat_m3, floor_m2 }
    }

    /// Lays several kinds of pieces over each other: sides (m, any order), number, volume (m³).
    pub fn lay_all(floor_m2: f64, kinds: &[([f64; 3], u32, f64)]) -> Self {
        if let [(sides_m, pieces, m3)] = *kinds {
            return Self::lay(floor_m2, sides_m, pieces, m3);
        }
        let (mut stacked, mut tallest, mut meat_m3) = (0.0, 0.0, 0.0);
        for &(mut sides_m, pieces, m3) in kinds {
            sides_m.sort_by(f64::total_cmp);
            // Small pieces fill the gaps of a layer begun by others.
            stacked += sides_m.iter().product::<f64>() * f64::from(pieces) / (FLOOR_COVER * floor_m2);
            tallest = f64::max(tallest, sides_m[0]);
            meat_m3 += m3;
        }
        let tightest = meat_m3 / (TIGHTEST * floor_m2);
        Self { height_m: f64::max(f64::max(stacked, tallest), tightest), meat_m3, floor_m2 }
    }

    /// Litres that bring the liquid to a share of the meat's height (1 is just covered, more is soup).
    pub fn litres_for(&self, share: f64) -> f64 {
        let level = share * self.height_m;
        (self.floor_m2 * level - self.meat_m3 * f64::min(1.0, share)).max(0.0) * 1000.0
    }

    /// Depth of the liquid above the floor for a volume in litres, m.
    pub fn level_m(&self, litres: f64) -> f64 {
        let free = self.floor_m2 - self.meat_m3 / self.height_m;
        let level = litres / 1000.0 / free;
        if level <= self.height_m { level } else { (litres / 1000.0 + self.meat_m3) / self.floor_m2 }
    }

    /// Share of the meat that lies under a volume in litres.
    #[inline(always)]
    pub fn submerged(&self, litres: f64) -> f64 {
        let free = self.floor_m2 * self.height_m - self.meat_m3;
        f64::min(1.0, litres / 1000.0 / free)
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn level_and_litres_are_each_others_inverse() {
        let packing = Packing::lay(0.053, [0.07, 0.12, 0.16], 1, 1.4 / 1060.0);
        for share in [0.33, 0.75, 1.0, 1.4] {
            let litres = packing.litres_for(share);
            assert!((packing.level_m(litres) / packing.height_m - share).abs() < 1e-9);
        }
        assert_eq!(packing.submerged(packing.litres_for(1.2)), 1.0);
    }
}
