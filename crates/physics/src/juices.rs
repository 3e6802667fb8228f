//! What leaves the meat: juice, fat and gelatin, shell by shell.

use crate::body::SHELLS;
use crate::parameters::Juice;
use crate::part::Part;

/// What gives the liquid body beside the meat itself.
#[derive(Debug, Clone, Copy, PartialEq, Default)]
pub struct Body {
    /// Gelatin that the stock brings, g.
    pub stock_gelatin_g: f64,
    /// Collagen of sinew, feet, tendon or rind put in, g.
    pub collagen_g: f64,
}

impl Body {
    /// Gelatin in the liquid from all this after a dose on the scale of slice to spoon, g.
    pub fn gelatin_g(&self, p: &Juice, tenderness: f64) -> f64 {
        self.stock_gelatin_g + self.collagen_g * dissolved(p, tenderness) * p.gelatin_to_liquid
    }
}

/// Share of the collagen that has become gelatin after a dose over the toughness.
pub fn dissolved(p: &Juice, tenderness: f64) -> f64 {
    1.0 - (-p.gelatin_rate * tenderness).exp()
}

/// Density of rendered beef fat at serving temperature, kg/L. Published.
pub const FAT_KG_PER_L: f64 = 0.90;
/// Share of the fat that goes with the trimmings: none where nothing is trimmed, more where it is trimmed close.
fn fat_trimmed(p: &Juice, part: &Part) -> f64 {
    let usual_pct = part.muscle.usual_trim_pct;
    let as_usual = if usual_pct > 0.0 { part.trim_pct / usual_pct } else { 1.0 };
    p.fat_trimmed * f64::min(as_usual, 1.6)
}

/// Equilibrium loss of juice at a temperature in °C, share of the lean mass. Fitted to
/// published cooking-loss curves, with their steepest part at 64 °C.
///
/// ```
/// use ergastic_physics::juices::juice_equilibrium;
/// use ergastic_physics::parameters::Parameters;
/// let p = &Parameters::USUAL.juice;
/// assert!(juice_equilibrium(p, 40.0) < 0.02 && juice_equilibrium(p, 95.0) > 0.42);
/// ```
pub fn juice_equilibrium(p: &Juice, celsius: f64) -> f64 {
    p.most / (1.0 + (-(celsius - p.middle_c) / p.width_k).exp())
}

/// Where a piece loses its juice and fat.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum Around {
    /// In liquid, fat or a bag: what leaves stays with it.
    Kept,
    /// In the pit or on a tray: it drips away.
    Drips,
}

/// The state of one median piece as it gives up juice and fat.
#[derive(Debug, Clone)]
pub struct Juices {
    hottest: [f64; SHELLS],
    lost: [f64; SHELLS],
    rendered: [f64; SHELLS],
    /// Shares of juice, fat and collagen that had gone before anything was kept, and whether anything was.
    dripped: [f64; 3],
    kept: bool,
}

/// What has left the pieces of one part, in kg, L and g.
#[derive(Debug, Clone, Copy, PartialEq, Default)]
pub struct PartLosses {
    /// Juice and what evaporated from the meat, kg.
    pub juice_kg: f64,
    /// Juice that went into the liquid, kg.
    pub to_liquid_kg: f64,
    /// Rendered fat on the liquid; in a pit, what dripped, L.
    pub fat_l: f64,
    /// Gelatin in the liquid, g.
    pub gelatin_g: f64,
    /// Cooked and edible, kg.
    pub yield_kg: f64,
}

impl PartLosses {
    /// What left several parts together.
    #[must_use]
    pub fn plus(self, other: Self) -> Self {
        Self {
            juice_kg: self.juice_kg + other.juice_kg,
            to_liquid_kg: self.to_liquid_kg + other.to_liquid_kg,
            fat_l: self.fat_l + other.fat_l,
            gelatin_g: self.gelatin_g + other.gelatin_g,
            yield_kg: self.yield_kg + other.yield_kg,
        }
    }
}

/// What a piece's loss is reckoned from.
#[derive(Debug, Clone, Copy)]
pub struct Piece<'a> {
    /// What it goes by.
    pub p: &'a Juice,
    /// Which.
    pub part: &'a Part,
    /// Volume of each shell over the whole.
    pub fractions: &'a [f64; SHELLS],
    /// Mean tender-hours behind it.
    pub mean_dose: f64,
    /// Water evaporated from its surface, kg.
    pub evaporated_kg: f64,
    /// Juice that a quick release has boiled out, share of the lean.
    pub boiled_out: f64,
}

impl Default for Juices {
    fn default() -> Self {
        Self {
            hottest: [f64::MIN; SHELLS],
            lost: [0.0; SHELLS],
            rendered: [0.0; SHELLS],
            dripped: [0.0; 3],
            kept: false,
        }
    }
}

impl Juices {
    /// One step of `step_s` seconds at the given shell temperatures, °C.
    pub fn step(&mut self, p: &Juice, celsius: impl Fn(usize) -> f64, step_s: f64, around: Around) {
        let juice_share = 1.0 - (-step_s / p.leaves_s).exp();
        let renders = if around == Around::Kept { p.renders_wet } else { p.renders_in_a_pit };
        for shell in 0..SHELLS {
            let t = celsius(shell);
            self.hottest[shell] = f64::max(self.hottest[shell], t);
            let towards = juice_equilibrium(p, self.hottest[shell]) - self.lost[shell];
            self.lost[shell] += f64::max(0.0, towards) * juice_share;
            let pace = ((t - 55.0) / 30.0).clamp(0.0, 1.0) * step_s / p.render_s;
            self.rendered[shell] += f64::max(0.0, renders - self.rendered[shell]) * pace / (1.0 + 0.5 * pace);
        }
    }

    /// Notes where the piece is by the end of a step; what went before it was first kept has dripped away.
    pub fn note(&mut self, piece: &Piece, around: Around) {
        if around == Around::Drips {
            self.dripped = self.shares(piece);
        } else {
            self.kept = true;
        }
    }

    /// Shares of the lean that have left as juice, of the fat as fat, and of the collagen as gelatin.
    fn shares(&self, piece: &Piece) -> [f64; 3] {
        let over = |values: &[f64; SHELLS]| values.iter().zip(piece.fractions).map(|(v, f)| v * f).sum::<f64>();
        let late = f64::min(piece.p.late_most, piece.p.late * piece.mean_dose);
        let juice = over(&self.lost) + late + piece.boiled_out;
        [juice, over(&self.rendered), dissolved(piece.p, piece.mean_dose / piece.part.goal.toughness)]
    }

    /// What has left so far.
    pub fn left(&self, piece: &Piece) -> PartLosses {
        let (p, part, raw_kg) = (piece.p, piece.part, piece.part.mass_kg);
        let boneless_kg = raw_kg * (1.0 - (part.trim_pct + part.bone_pct) / 100.0);
        let fat_kg = raw_kg * part.muscle.fat_pct / 100.0 * (1.0 - fat_trimmed(p, part));
        let lean_kg = f64::max(0.0, boneless_kg - fat_kg);
        let collagen_kg = raw_kg * part.muscle.collagen_pct / 100.0;
        let [juice, rendered, gelatin] = self.shares(piece);
        let [no_juice, no_fat, no_gelatin] = self.dripped;
        // What dries off the surface is juice that would have dripped; a long dry pit takes more than that.
        let juice_kg = f64::max(lean_kg * juice, piece.evaporated_kg);
        let rendered_kg = fat_kg * rendered;
        let fat_kept_kg = if self.kept { fat_kg * f64::max(0.0, rendered - no_fat) } else { rendered_kg };
        let melted_kg = collagen_kg * gelatin * p.gelatin_to_liquid;
        let in_liquid = if self.kept { f64::max(0.0, gelatin - no_gelatin) } else { 0.0 };
        let pulled_kg = p.pulled_off * (fat_kg - rendered_kg);
        PartLosses {
            juice_kg,
            to_liquid_kg: if self.kept { lean_kg * f64::max(0.0, juice - no_juice) } else { 0.0 },
            fat_l: fat_kept_kg / FAT_KG_PER_L,
            gelatin_g: collagen_kg * in_liquid * p.gelatin_to_liquid * 1000.0,
            yield_kg: f64::max(0.0, boneless_kg - juice_kg - rendered_kg - melted_kg - pulled_kg),
        }
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::body::{BodyShape, shell_fractions};
    use crate::parameters::Parameters;
    use crate::part::Muscle;
    use crate::tender::Goal;
    use proptest::prelude::*;

    /// Fat, collagen, bone and what is trimmed of it, %.
    #[derive(Debug, Clone, Copy)]
    struct Made(f64, f64, f64, f64);
    const CHUCK: Made = Made(15.0, 1.5, 0.0, 6.0);
    const PLATE_RIB: Made = Made(28.0, 1.8, 25.0, 6.0);
    const SHORT_RIB: Made = Made(28.0, 1.8, 30.0, 6.0);
    const SHIN: Made = Made(5.0, 3.2, 0.0, 5.0);

    /// What left a piece of 2 kg that went through stages of `(°C, hours, where)`, with a dose behind it.
    fn through(made: Made, stages: &[(f64, f64, Around)], dose: f64) -> PartLosses {
        let Made(fat_pct, collagen_pct, bone_pct, trim_pct) = made;
        let toughness = if made.1 > 3.0 { 1.43 } else { 1.0 };
        let part = Part {
            muscle: Muscle { fat_pct, collagen_pct, usual_trim_pct: trim_pct },
            mass_kg: 2.0,
            bone_pct,
            trim_pct,
            thickness_m: 0.07,
            shape: BodyShape { half_thickness_m: 0.035, exponent: 1.0 },
            goal: Goal {
                enough: 2.23 * toughness,
                middle_share: Parameters::USUAL.tender.middle_share,
                overcooked: 6.0,
                toughness,
            },
            thickness_sigma: 0.07,
            toughness_ln_sigma: 0.18,
        };
        let fractions = shell_fractions(1.0);
        let mut piece = Piece {
            p: &Juice::USUAL,
            part: &part,
            fractions: &fractions,
            mean_dose: 0.0,
            evaporated_kg: 0.0,
            boiled_out: 0.0,
        };
        let mut juices = Juices::default();
        for (celsius, hours, around) in stages {
            for _ in 0..(hours * 12.0) as usize {
                juices.step(&Juice::USUAL, |_| *celsius, 300.0, *around);
                juices.note(&piece, *around);
            }
        }
        piece.mean_dose = dose;
        juices.left(&piece)
    }

    fn cooked(made: Made, celsius: f64, hours: f64, dose: f64) -> PartLosses {
        through(made, &[(celsius, hours, Around::Kept)], dose)
    }

    #[test]
    fn juice_follows_the_hottest_it_has_been() {
        assert!((juice_equilibrium(&Juice::USUAL, 64.0) - 0.215).abs() < 1e-9);
        let held = cooked(CHUCK, 60.0, 6.0, 0.0);
        let boiled = cooked(CHUCK, 95.0, 6.0, 3.0);
        assert!(boiled.juice_kg > 1.8 * held.juice_kg, "{held:?} {boiled:?}");
        let cooled = through(CHUCK, &[(95.0, 2.0, Around::Kept), (20.0, 2.0, Around::Kept)], 0.0);
        assert!(cooled.juice_kg > held.juice_kg, "cooling does not draw it back");
    }

    #[test]
    fn what_dripped_in_the_pit_is_not_in_the_pot() {
        let braised = cooked(PLATE_RIB, 95.0, 4.0, 3.0);
        let smoked = through(PLATE_RIB, &[(95.0, 4.0, Around::Drips)], 3.0);
        let both = through(PLATE_RIB, &[(80.0, 2.0, Around::Drips), (95.0, 3.0, Around::Kept)], 3.0);
        assert_eq!((smoked.to_liquid_kg, smoked.gelatin_g), (0.0, 0.0));
        assert!(smoked.fat_l < braised.fat_l && smoked.yield_kg > braised.yield_kg, "the pit renders less");
        assert!(both.fat_l < braised.fat_l && both.to_liquid_kg < 0.5 * braised.to_liquid_kg);
        assert!((both.juice_kg / braised.juice_kg - 1.0).abs() < 0.05);
    }

    #[test]
    fn fat_renders_only_where_it_is_hot_and_gelatin_only_where_it_softened() {
        assert!(cooked(SHORT_RIB, 54.0, 8.0, 0.0).fat_l < 1e-9);
        assert!(cooked(SHORT_RIB, 95.0, 4.0, 4.0).fat_l > 0.1);
        assert_eq!(cooked(SHIN, 54.0, 8.0, 0.0).gelatin_g, 0.0);
        let shin = cooked(SHIN, 95.0, 4.0, 4.0).gelatin_g;
        assert!((25.0..40.0).contains(&shin), "{shin} g of 64 g collagen");
    }

    proptest! {
        #[test]
        fn what_leaves_and_what_stays_is_never_more_than_there_was(fat in 0.0..30.0f64, collagen in 0.4..25.0f64, bone in 0.0..45.0f64, trim in 0.0..12.0f64, celsius in 40.0..121.0f64, hours in 0.1..20.0f64, dose in 0.0..20.0f64) {
            let left = cooked(Made(fat, collagen, bone, trim), celsius, hours, dose);
            let total = left.juice_kg + left.fat_l * FAT_KG_PER_L + left.gelatin_g / 1000.0 + left.yield_kg;
            prop_assert!(total <= 2.0 * (1.0 - (trim + bone) / 100.0) + 1e-9 || left.yield_kg == 0.0);
            prop_assert!(left.juice_kg >= 0.0 && left.fat_l >= 0.0 && left.yield_kg >= 0.0);
        }
    }
}
