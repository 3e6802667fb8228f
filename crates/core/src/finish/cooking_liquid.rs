//! What stands in the pot, quantity by quantity, and what became of the rest: nothing is lost on the way to the sauce.

use super::body::Thick;
use super::choices::{THICKENERS, Thickener};
use crate::bench::Larder;
use ergastic_physics::juices::FAT_KG_PER_L;

/// A liquid with everything in it that counts.
#[derive(Debug, Clone, Copy, PartialEq, Default)]
pub(super) struct CookingLiquid {
    /// Liquid without its fat, L.
    pub liquid_l: f64,
    /// Fat that stands on it, L.
    pub fat_l: f64,
    /// Fat that flour or starch binds, g.
    pub bound_fat_g: f64,
    /// Butter's and cream's fat beaten in, g.
    pub beaten_fat_g: f64,
    pub salt_g: f64,
    pub gelatin_g: f64,
    pub sugar_g: f64,
    /// Reckoned as acetic, g.
    pub acid_g: f64,
    /// What thickens it, g of each in the order of [`Thickener::ALL`].
    pub starch_g: [f64; THICKENERS],
}

impl CookingLiquid {
    fn each(&self, other: &Self, of: impl Fn(f64, f64) -> f64) -> Self {
        let mut starch_g = self.starch_g;
        for (mine, theirs) in starch_g.iter_mut().zip(other.starch_g) {
            *mine = of(*mine, theirs);
        }
        Self {
            liquid_l: of(self.liquid_l, other.liquid_l),
            fat_l: of(self.fat_l, other.fat_l),
            bound_fat_g: of(self.bound_fat_g, other.bound_fat_g),
            beaten_fat_g: of(self.beaten_fat_g, other.beaten_fat_g),
            salt_g: of(self.salt_g, other.salt_g),
            gelatin_g: of(self.gelatin_g, other.gelatin_g),
            sugar_g: of(self.sugar_g, other.sugar_g),
            acid_g: of(self.acid_g, other.acid_g),
            starch_g,
        }
    }

    /// Both together.
    pub(super) fn plus(&self, other: &Self) -> Self {
        self.each(other, |a, b| a + b)
    }

    /// This without that.
    pub(super) fn less(&self, other: &Self) -> Self {
        self.each(other, |a, b| a - b)
    }

    /// The same in another volume: water left it, or came to it.
    pub(super) fn of_volume(self, liquid_l: f64) -> Self {
        Self { liquid_l, ..self }
    }

    /// A ladle of it: so much liquid with its share of all that is dissolved in it, and none of the fat on top.
    pub(super) fn drawn(&self, litres: f64) -> Self {
        let share = (litres / self.liquid_l).clamp(0.0, 1.0);
        let drawn = self.each(self, |a, _| a * share);
        Self { fat_l: 0.0, ..drawn }
    }

    /// Body as a spoon tells it.
    pub(super) fn body(&self) -> f64 {
        let starch: [_; THICKENERS] = std::array::from_fn(|i| (Thickener::ALL[i], self.starch_g[i]));
        Thick { liquid_l: self.liquid_l, gelatin_g: self.gelatin_g, beaten_in_g: self.beaten_fat_g, starch: &starch }
            .body()
    }

    /// Whether something in it holds fat that was not skimmed.
    pub(super) fn holds_fat(&self) -> bool {
        self.starch_g.iter().sum::<f64>() > 1.0
    }

    /// Salt, g/kg.
    pub(super) fn salt_g_per_kg(&self) -> f64 {
        self.salt_g / self.liquid_l
    }

    /// Gelatin, %.
    pub(super) fn gelatin_pct(&self) -> f64 {
        self.gelatin_g / self.liquid_l / 10.0
    }

    /// Something from the larder, so many g of it, stirred in: fat that is beaten in is held.
    pub(super) fn of_larder(what: Larder, grams: f64) -> Self {
        let facts = what.facts();
        let of = |percent: f64| grams * percent / 100.0;
        let beaten = matches!(what, Larder::Butter | Larder::Cream | Larder::CoconutMilk);
        // The table says of cream only what melts out of it at a simmer; stirred in at the end all of it counts. Published: 35 %.
        let fat_g = if what == Larder::Cream { of(35.0) } else { of(facts.fat_pct) };
        let solid_g = fat_g + of(facts.salt_pct) + of(facts.sugar_pct);
        let water_g = if facts.liquid { grams - fat_g } else { of(facts.water_pct).min(grams - solid_g).max(0.0) };
        Self {
            liquid_l: water_g / 1000.0,
            fat_l: if beaten { 0.0 } else { fat_g / 1000.0 / FAT_KG_PER_L },
            beaten_fat_g: if beaten { fat_g } else { 0.0 },
            salt_g: of(facts.salt_pct),
            gelatin_g: of(facts.gelatin_pct),
            sugar_g: of(facts.sugar_pct),
            acid_g: of(facts.acid_pct),
            ..Self::default()
        }
    }
}

impl Thickener {
    /// So much of it with what it is stirred into, g, as it goes into the pot.
    pub(super) fn cooking_liquid(self, grams: f64) -> CookingLiquid {
        let with_g = self.with_g(grams);
        match self {
            Self::None => CookingLiquid::default(),
            Self::Gelatin => CookingLiquid { gelatin_g: grams, liquid_l: with_g / 1000.0, ..CookingLiquid::default() },
            Self::ButterPaste => {
                let butter = CookingLiquid::of_larder(Larder::Butter, with_g);
                let bound = CookingLiquid { bound_fat_g: butter.beaten_fat_g, beaten_fat_g: 0.0, ..butter };
                bound.plus(&self.starch(grams))
            }
            _ => CookingLiquid { liquid_l: with_g / 1000.0, ..CookingLiquid::default() }.plus(&self.starch(grams)),
        }
    }

    /// The dry of it alone.
    pub(super) fn starch(self, grams: f64) -> CookingLiquid {
        let mut starch_g = [0.0; THICKENERS];
        if let Some(place) = Self::ALL.iter().position(|other| *other == self) {
            starch_g[place] = grams;
        }
        CookingLiquid { starch_g, ..CookingLiquid::default() }
    }
}
