//! What leaves the meat: juice, fat and gelatin, shell by shell.

use crate::cuts::CutFacts;
use crate::heat::conduction::SHELLS;
use crate::tender::Goal;

/// Density of rendered beef fat at serving temperature, kg/L. Published.
pub const FAT_KG_PER_L: f64 = 0.90;
/// Share of the fat that trimming takes before the cook. Working value.
const FAT_TRIMMED: f64 = 0.40;
/// Share of the fat left that renders out in a wet cook. Working value.
const RENDERS_WET: f64 = 0.55;
/// Time constant of rendering at 85 °C and above, s. Working value.
const RENDER_S: f64 = 3600.0;
/// Time constant of juice leaving, s. Working value.
pub const JUICE_S: f64 = 1200.0;
/// Share of the dissolved collagen that reaches the liquid. Working value.
const GELATIN_TO_LIQUID: f64 = 0.6;
/// Fat and gristle left on the plate, share of the fat still in the meat. Working value.
const PULLED_OFF: f64 = 0.25;

/// Equilibrium loss of juice at a temperature in °C, share of the lean mass. Fitted to
/// published cooking-loss curves, with their steepest part at 64 °C.
pub fn juice_equilibrium(celsius: f64) -> f64 {
    0.43 / (1.0 + (-(celsius - 64.0) / 7.0).exp())
}

/// The state of one median piece as it gives up juice and fat.
#[derive(Debug, Clone)]
pub struct Juices {
    hottest: [f64; SHELLS],
    lost: [f64; SHELLS],
    render_left: [f64; SHELLS],
}

/// What has left, in kg and L, for all the pieces together.
#[derive(Debug, Clone, Copy, PartialEq, Default)]
pub struct Left {
    /// Juice, kg.
    pub juice_kg: f64,
    /// Rendered fat, L.
    pub fat_l: f64,
    /// Gelatin in the liquid, g.
    pub gelatin_g: f64,
    /// Cooked and edible, kg.
    pub yield_kg: f64,
}

impl Default for Juices {
    fn default() -> Self {
        Self { hottest: [f64::MIN; SHELLS], lost: [0.0; SHELLS], render_left: [1.0; SHELLS] }
    }
}

impl Juices {
    /// One step of `step_s` seconds at the given shell temperatures, °C.
    pub fn step(&mut self, celsius: impl Fn(usize) -> f64, step_s: f64) {
        for shell in 0..SHELLS {
            let t = celsius(shell);
            self.hottest[shell] = f64::max(self.hottest[shell], t);
            let towards = juice_equilibrium(self.hottest[shell]) - self.lost[shell];
            self.lost[shell] += f64::max(0.0, towards) * (1.0 - (-step_s / JUICE_S).exp());
            let pace = ((t - 55.0) / 30.0).clamp(0.0, 1.0);
            self.render_left[shell] *= (-pace * step_s / RENDER_S).exp();
        }
    }

    /// What has left so far, with `mean_dose` tender-hours behind it.
    pub fn left(&self, facts: &CutFacts, raw_kg: f64, goal: &Goal, fractions: &[f64; SHELLS], mean_dose: f64) -> Left {
        let over = |values: &[f64; SHELLS]| values.iter().zip(fractions).map(|(v, f)| v * f).sum::<f64>();
        let boneless_kg = raw_kg * (1.0 - (facts.trim_pct + facts.bone_pct) / 100.0);
        let fat_kg = raw_kg * facts.fat_pct / 100.0 * (1.0 - FAT_TRIMMED);
        let lean_kg = f64::max(0.0, boneless_kg - fat_kg);
        let late = f64::min(0.05, 0.015 * mean_dose);
        let juice_kg = lean_kg * (over(&self.lost) + late);
        let rendered_kg = fat_kg * RENDERS_WET * (1.0 - over(&self.render_left));
        let collagen_kg = raw_kg * facts.collagen_pct / 100.0;
        let dissolved = 1.0 - (-1.1 * mean_dose / goal.resistance).exp();
        let gelatin_kg = collagen_kg * dissolved * GELATIN_TO_LIQUID;
        let pulled_kg = PULLED_OFF * (fat_kg - rendered_kg);
        Left {
            juice_kg,
            fat_l: rendered_kg / FAT_KG_PER_L,
            gelatin_g: gelatin_kg * 1000.0,
            yield_kg: f64::max(0.0, boneless_kg - juice_kg - rendered_kg - gelatin_kg - pulled_kg),
        }
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::cuts::Cut;
    use crate::heat::conduction::shell_fractions;
    use crate::tender::{Age, EatenAs};
    use proptest::prelude::*;

    fn cooked(cut: Cut, celsius: f64, hours: f64, dose: f64) -> Left {
        let goal = Goal::new(cut.facts(), EatenAs::Fork, Age::Young, false, false);
        let mut juices = Juices::default();
        for _ in 0..(hours * 12.0) as usize {
            juices.step(|_| celsius, 300.0);
        }
        juices.left(cut.facts(), 2.0, &goal, &shell_fractions(1.0), dose)
    }

    #[test]
    fn juice_follows_the_hottest_it_has_been() {
        assert!((juice_equilibrium(64.0) - 0.215).abs() < 1e-9);
        let held = cooked(Cut::Chuck, 60.0, 6.0, 0.0);
        let boiled = cooked(Cut::Chuck, 95.0, 6.0, 3.0);
        assert!(boiled.juice_kg > 1.8 * held.juice_kg, "{held:?} {boiled:?}");
        let mut juices = Juices::default();
        for celsius in [95.0; 24].into_iter().chain([20.0; 24]) {
            juices.step(|_| celsius, 300.0);
        }
        let goal = Goal::new(Cut::Chuck.facts(), EatenAs::Fork, Age::Young, false, false);
        let cooled = juices.left(Cut::Chuck.facts(), 2.0, &goal, &shell_fractions(1.0), 0.0);
        assert!(cooled.juice_kg > held.juice_kg, "cooling does not draw it back");
    }

    #[test]
    fn fat_renders_only_where_it_is_hot_and_gelatin_only_where_it_softened() {
        assert!(cooked(Cut::ShortRib, 54.0, 8.0, 0.0).fat_l < 1e-9);
        assert!(cooked(Cut::ShortRib, 95.0, 4.0, 4.0).fat_l > 0.1);
        assert_eq!(cooked(Cut::Shin, 54.0, 8.0, 0.0).gelatin_g, 0.0);
        let shin = cooked(Cut::Shin, 95.0, 4.0, 4.0).gelatin_g;
        assert!((25.0..40.0).contains(&shin), "{shin} g of 64 g collagen");
    }

    proptest! {
        #[test]
        fn what_leaves_and_what_stays_is_never_more_than_there_was(cut in 0usize..24, celsius in 40.0..121.0f64, hours in 0.1..20.0f64, dose in 0.0..20.0f64) {
            let facts = &Cut::all()[cut];
            let left = cooked(facts.cut, celsius, hours, dose);
            let total = left.juice_kg + left.fat_l * FAT_KG_PER_L + left.gelatin_g / 1000.0 + left.yield_kg;
            prop_assert!(total <= 2.0 * (1.0 - (facts.trim_pct + facts.bone_pct) / 100.0) + 1e-9 || left.yield_kg == 0.0);
            prop_assert!(left.juice_kg >= 0.0 && left.fat_l >= 0.0 && left.yield_kg >= 0.0);
        }
    }
}
