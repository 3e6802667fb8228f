//! One move after the other: what each does to the pot, how long it takes, and where everything has gone.

use super::choices::{FILM_MM, Skim, Thickener};
use super::cooking_liquid::CookingLiquid;
use super::moves::{Move, Strain};
use super::stove::Stove;

/// Fat that comes off once starch holds the rest, as a share of what would have. Working value.
const HELD_BY_STARCH: f64 = 0.3;
/// Liquid that clings to a kilo of spent vegetables, run through a sieve and pressed, L. Working values.
const CLINGS_L: [f64; 2] = [0.15, 0.04];
/// A sauce keeps at least this, L: less is not worked with, and gives no spoonful to taste.
pub(crate) const MIN_SAUCE_L: f64 = 0.02;
/// Points at which a reduction is followed.
const POINTS: u32 = 8;
/// Minutes of ladling, straining, pressing, stirring something in; of a slurry poured in, in thirds, before it cooks. Working values.
const SET_ASIDE_MIN: f64 = 1.0;
const STRAIN_MIN: f64 = 3.0;
const PRESS_MIN: f64 = 5.0;
const STIR_IN_MIN: f64 = 2.0;
const SALT_MIN: f64 = 1.0;
const IN_THIRDS_MIN: f64 = 3.0;

/// Where salt keeps it from coming down further.
#[derive(Debug, Clone, Copy, PartialEq)]
pub(super) struct Stopped {
    pub at_l: f64,
    pub strength: f64,
}

/// One move as it went.
#[derive(Debug, Clone, PartialEq)]
pub(super) struct MoveDone {
    /// With what became of its figures.
    pub did: Move,
    pub min: f64,
    /// The pot before it, and after.
    pub before: CookingLiquid,
    pub after: CookingLiquid,
    /// Liquid and body on the way, where it is a way.
    pub curve: Vec<[f64; 2]>,
    /// Starch that went in, g.
    pub starch_g: f64,
    pub stopped: Option<Stopped>,
}

/// The pot on its way, and what left it or came to it.
#[derive(Debug, Clone, Default, PartialEq)]
pub(super) struct Walk {
    pub pot: CookingLiquid,
    /// Kept thin.
    pub aside: CookingLiquid,
    pub steam_l: f64,
    pub skimmed_l: f64,
    /// What clings to the vegetables.
    pub cloth: CookingLiquid,
    /// What was poured or stirred in.
    pub came: CookingLiquid,
    /// By how much it was measured otherwise than reckoned.
    pub corrected: CookingLiquid,
}

impl Walk {
    pub(super) fn from(pot: CookingLiquid) -> Self {
        Self { pot, ..Self::default() }
    }

    /// Makes a move. What was done is taken as it was; what is to be done stops at the salt's edge.
    pub(super) fn go(&mut self, stove: &Stove, next: Move, done: bool) -> MoveDone {
        let before = self.pot;
        let mut went =
            MoveDone { did: next, min: 0.0, before, after: before, curve: Vec::new(), starch_g: 0.0, stopped: None };
        match next {
            Move::Skim { with } => went.min = self.skim(stove, with),
            Move::Strain { how } => went.min = self.strain(stove, how),
            Move::Reduce { to_l, meat_in } => {
                let edge_l = if done { 0.0 } else { stove.stop_l(before.salt_g) };
                let at_l = to_l.max(edge_l).max(MIN_SAUCE_L).min(before.liquid_l);
                went.stopped =
                    (at_l > to_l + 0.01 && edge_l > to_l).then(|| Stopped { at_l, strength: before.salt_g / at_l });
                went.did = Move::Reduce { to_l: at_l, meat_in };
                went.min = stove.boiling_min(before.liquid_l - at_l);
                went.curve = self.boil_down(at_l);
            }
            Move::SetAside { litres } => {
                let litres = litres.min(f64::max(0.0, before.liquid_l - MIN_SAUCE_L));
                let aside = before.drawn(litres);
                self.aside = self.aside.plus(&aside);
                self.pot = before.less(&aside);
                went.did = Move::SetAside { litres };
                went.min = SET_ASIDE_MIN;
            }
            Move::Thicken { with, to_body } => {
                went.starch_g = starch_for(&before, with, to_body);
                went.min = self.thicken(stove, with, went.starch_g);
            }
            Move::PourIn { what, grams } => {
                self.take_in(CookingLiquid::of_larder(what, grams));
                went.min = STIR_IN_MIN;
            }
            Move::Salt { grams } => {
                self.take_in(CookingLiquid { salt_g: grams, ..CookingLiquid::default() });
                went.min = SALT_MIN;
            }
            Move::Measured { liquid_l, fat_mm } => {
                let found = CookingLiquid {
                    liquid_l: liquid_l.unwrap_or(before.liquid_l),
                    fat_l: fat_mm.map_or(before.fat_l, |mm| mm * stove.pot.floor_m2),
                    ..before
                };
                self.corrected = self.corrected.plus(&found.less(&before));
                self.pot = found;
            }
        }
        went.after = self.pot;
        went
    }

    fn take_in(&mut self, what: CookingLiquid) {
        self.came = self.came.plus(&what);
        self.pot = self.pot.plus(&what);
    }

    fn skim(&mut self, stove: &Stove, with: Skim) -> f64 {
        let fat_mm = stove.depth_mm(self.pot.fat_l);
        if self.pot.fat_l <= 0.0 {
            return 0.0;
        }
        let (share, min) = with.takes(fat_mm);
        let held = if self.pot.holds_fat() && with != Skim::Chill { HELD_BY_STARCH } else { 1.0 };
        let taken_l = self.pot.fat_l * share * held;
        self.pot.fat_l -= taken_l;
        self.skimmed_l += taken_l;
        min
    }

    fn strain(&mut self, stove: &Stove, how: Strain) -> f64 {
        let [run, pressed] = CLINGS_L;
        let (clings, min) = match how {
            Strain::Run => (run, STRAIN_MIN),
            Strain::Press => (pressed, PRESS_MIN),
        };
        let clings_l = f64::min(clings * stove.vegetables_kg, f64::max(0.0, self.pot.liquid_l - MIN_SAUCE_L));
        let lost = self.pot.drawn(clings_l);
        self.cloth = self.cloth.plus(&lost);
        self.pot = self.pot.less(&lost);
        min
    }

    fn boil_down(&mut self, to_l: f64) -> Vec<[f64; 2]> {
        let pot = self.pot;
        let from_l = pot.liquid_l;
        let at = |i: u32| pot.of_volume(from_l + (to_l - from_l) * f64::from(i) / f64::from(POINTS));
        let curve =
            (0..=POINTS).map(at).map(|cooking_liquid| [cooking_liquid.liquid_l, cooking_liquid.body()]).collect();
        self.steam_l += from_l - to_l;
        self.pot.liquid_l = to_l;
        curve
    }

    /// The slurry's water leaves again while it is brought back to the boil each time and cooks through, as far as the burner drives
    /// it out.
    fn thicken(&mut self, stove: &Stove, with: Thickener, grams: f64) -> f64 {
        let minutes = IN_THIRDS_MIN + with.cook_min();
        let slurry = with.cooking_liquid(grams);
        self.take_in(slurry);
        let steam_l = slurry.liquid_l.min(stove.boils_off_kg_s * minutes * 60.0);
        self.steam_l += steam_l;
        self.pot.liquid_l -= steam_l;
        minutes
    }
}

/// More gelatin than this in a litre makes it set like rubber on the plate, g. Practice.
const MAX_GELATIN: f64 = 60.0;

/// Grams of a thickener that bring a liquid to some body; none where it has it already. Of gelatin, whose swelling water comes with it,
/// no more than a plate bears: it may be too little.
pub(super) fn starch_for(pot: &CookingLiquid, with: Thickener, to_body: f64) -> f64 {
    let body = |grams: f64| match with {
        Thickener::Gelatin => pot.plus(&with.cooking_liquid(grams)).body(),
        _ => pot.plus(&with.starch(grams)).body(),
    };
    if with == Thickener::None || body(0.0) >= to_body {
        return 0.0;
    }
    let most = if with == Thickener::Gelatin { MAX_GELATIN } else { 2000.0 };
    let (mut low, mut high) = (0.0, most * pot.liquid_l);
    for _ in 0..80 {
        let middle = 0.5 * (low + high);
        if body(middle) < to_body { low = middle } else { high = middle }
    }
    high
}

/// Less fat than this is only a film.
pub(super) fn is_film(stove: &Stove, fat_l: f64) -> bool {
    stove.depth_mm(fat_l) < FILM_MM
}

#[cfg(test)]
mod tests {
    use super::super::request::SauceRequest;
    use super::*;
    use crate::bench::Larder;
    use proptest::prelude::*;

    fn moves() -> impl Strategy<Value = Vec<Move>> {
        let skim = prop::sample::select(vec![Skim::Ladle, Skim::Spout, Skim::Bag, Skim::Chill, Skim::None]);
        let what = prop::sample::select(vec![
            Larder::Water,
            Larder::UnsaltedStock,
            Larder::Butter,
            Larder::Cream,
            Larder::BrownSugar,
            Larder::Vinegar,
            Larder::Mustard,
            Larder::SoySauce,
            Larder::TomatoPaste,
        ]);
        let one = prop_oneof![
            skim.prop_map(|with| Move::Skim { with }),
            any::<bool>().prop_map(|press| Move::Strain { how: if press { Strain::Press } else { Strain::Run } }),
            (0.05..3.0f64, any::<bool>()).prop_map(|(to_l, meat_in)| Move::Reduce { to_l, meat_in }),
            (0.05..1.0f64).prop_map(|litres| Move::SetAside { litres }),
            (prop::sample::select(Thickener::ALL.to_vec()), 0.2..3.0f64)
                .prop_map(|(with, to_body)| Move::Thicken { with, to_body }),
            (what, 1.0..400.0f64).prop_map(|(what, grams)| Move::PourIn { what, grams }),
            (0.5..20.0f64).prop_map(|grams| Move::Salt { grams }),
            (0.2..3.0f64, 0.0..20.0f64).prop_map(|(l, mm)| Move::Measured { liquid_l: Some(l), fat_mm: Some(mm) }),
        ];
        prop::collection::vec(one, 0..9)
    }

    fn near(a: &CookingLiquid, b: &CookingLiquid) -> bool {
        let off = a.less(b);
        let starch: f64 = off.starch_g.iter().map(|g| g.abs()).sum();
        let all = [off.liquid_l, off.fat_l, off.salt_g, off.gelatin_g, off.sugar_g, off.acid_g, off.bound_fat_g];
        starch < 1e-6 && off.beaten_fat_g.abs() < 1e-6 && all.iter().all(|value| value.abs() < 1e-6)
    }

    proptest! {
        #[test]
        fn water_fat_salt_gelatin_and_starch_are_all_somewhere(
            liquid_l in 0.3..4.0f64, fat_l in 0.0..0.4f64, salt_g in 0.0..40.0f64, gelatin_g in 0.0..120.0f64,
            meat in prop::option::of(0.0..20.0f64), vegetables_kg in 0.0..2.0f64, moves in moves(), done in any::<bool>(),
        ) {
            let request = SauceRequest {
                liquid_l: Some(liquid_l), fat_l: Some(fat_l), salt_g: Some(salt_g), gelatin_g: Some(gelatin_g),
                meat_kg: meat.map(|_| 1.2), meat_salt_g: meat, vegetables_kg: Some(vegetables_kg), dredged_flour_g: Some(10.0),
                ..SauceRequest::default()
            };
            let (stove, start) = Stove::of(&request).unwrap();
            let mut walk = Walk::from(start);
            for next in moves {
                let edge_l = stove.stop_l(walk.pot.salt_g);
                let salt = walk.pot.salt_g_per_kg();
                let went = walk.go(&stove, next, done);
                prop_assert!(went.min.is_finite() && went.min >= 0.0);
                prop_assert!(walk.pot.liquid_l > 0.0 && walk.pot.body().is_finite(), "{:?}", walk.pot);
                if let Move::Reduce { to_l, .. } = went.did {
                    prop_assert!(walk.pot.salt_g_per_kg() >= salt - 1e-9, "reduced, and less salty");
                    // What is advised never crosses the salt's edge; one that is over it already does not come down at all.
                    prop_assert!(done || to_l >= edge_l.min(went.before.liquid_l) - 1e-9);
                }
                let gone = CookingLiquid { liquid_l: walk.steam_l, fat_l: walk.skimmed_l, ..CookingLiquid::default() };
                let is = walk.pot.plus(&walk.aside).plus(&walk.cloth).plus(&gone);
                let was = start.plus(&walk.came).plus(&walk.corrected);
                prop_assert!(near(&is, &was), "{is:?} is not {was:?}");
            }
        }
    }
}
