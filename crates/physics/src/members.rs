//! The spread of what nobody knows beforehand: animal, thickness, oven, lid, pit.

use rand::seq::SliceRandom;
use rand::{RngExt, SeedableRng};
use rand_chacha::ChaCha8Rng;
use rand_distr::StandardNormal;
use statrs::distribution::{ContinuousCDF, Normal};

use crate::beliefs::{Beliefs, NormalBelief};
use crate::case::Case;

/// One simulated cook: how its kitchen differs from the median.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Member {
    /// Scales the surface coefficient.
    pub coefficient: f64,
    /// Oven over its dial, K.
    pub oven_k: f64,
    /// Simmer over its word, K.
    pub pot_k: f64,
    /// Pit over its set point, K.
    pub pit_k: f64,
    /// Scales what the lid lets by.
    pub lid: f64,
    /// Scales the wetness of a surface in the pit.
    pub wetness: f64,
    /// Probe's tip from the middle, share of the radius.
    pub placement: f64,
}

/// How one part's meat differs from the median.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct PieceDrawn {
    /// Scales the tender-hours needed.
    pub toughness: f64,
    /// Scales the thickness.
    pub thickness: f64,
}

impl Member {
    /// Every uncertain quantity at its median.
    pub fn median(beliefs: &Beliefs) -> Self {
        Self {
            coefficient: 1.0,
            oven_k: beliefs.oven_k.mean,
            pot_k: beliefs.pot_k.mean,
            pit_k: beliefs.pit_k.mean,
            lid: beliefs.lid_ln.mean.exp(),
            wetness: 1.0,
            placement: 0.0,
        }
    }
}

impl PieceDrawn {
    /// The median piece.
    pub fn median(beliefs: &Beliefs) -> Self {
        Self { toughness: beliefs.toughness_ln.map_or(1.0, |belief| belief.mean.exp()), thickness: 1.0 }
    }
}

/// The simulated cooks of a case: their kitchens, and by part their meat.
#[derive(Debug, Clone)]
pub struct Drawn {
    /// Kitchens.
    pub members: Vec<Member>,
    /// `pieces[part][member]`.
    pub pieces: Vec<Vec<PieceDrawn>>,
}

impl Drawn {
    /// Draws `count` cooks of a case from a seed; a single one is the median.
    ///
    /// Each quantity is spread evenly over its distribution and dealt to the cooks in an order of its own (Latin hypercube
    /// sampling; McKay, Beckman and Conover 1979): time to tender is close to additive in these quantities, so that a
    /// hundred such cooks tell as much of the band as a good thousand drawn at random.
    pub fn of(case: &Case, count: usize, seed: u64) -> Self {
        if count == 1 {
            return Self {
                members: vec![Member::median(&case.model.p.beliefs)],
                pieces: vec![vec![PieceDrawn::median(&case.model.p.beliefs)]; case.parts.len()],
            };
        }
        let mut random = ChaCha8Rng::seed_from_u64(seed);
        let even = evenly_normal(count);
        let mut deal = move || {
            let mut column = even.clone();
            column.shuffle(&mut random);
            column
        };
        let spread = &case.model.p.spread;
        let Beliefs { oven_k: oven, pot_k: pot, pit_k: pit, lid_ln: lid, .. } = case.model.p.beliefs;
        let kitchen: [Vec<f64>; KITCHEN_FACTS] = std::array::from_fn(|_| deal());
        let members = (0..count)
            .map(|i| {
                let [coefficient, oven_z, pot_z, pit_z, lid_z, wetness, placement] =
                    std::array::from_fn(|fact| kitchen[fact][i]);
                Member {
                    coefficient: (spread.coefficient_ln * coefficient).exp(),
                    oven_k: oven.mean + oven.sigma * oven_z,
                    pot_k: pot.mean + pot.sigma * pot_z,
                    pit_k: pit.mean + pit.sigma * pit_z,
                    lid: (lid.mean + lid.sigma * lid_z).exp(),
                    wetness: (spread.wetness_ln * wetness).exp(),
                    placement: (spread.placement * placement).abs(),
                }
            })
            .collect();
        // Each part is of an animal of its own.
        let pieces = (case.parts.iter())
            .map(|part| {
                let tough = case.model.p.beliefs.toughness_of(part.toughness_ln_sigma);
                let bone_sigma = if part.bone_pct > 0.0 { spread.bone_ln } else { 0.0 };
                let (animal, bone, thickness) = (deal(), deal(), deal());
                (0..count)
                    .map(|i| PieceDrawn {
                        toughness: (tough.mean + tough.sigma * animal[i] + bone_sigma * bone[i]).exp(),
                        thickness: (1.0 + part.thickness_sigma * thickness[i]).clamp(0.4, 1.8),
                    })
                    .collect()
            })
            .collect();
        Self { members, pieces }
    }
}

/// The ninth of ten stays where it is, in standard deviations.
const NINTH: f64 = 1.2816;

impl Drawn {
    /// The same cooks with longer ends to their animals and the same eight in ten: one animal in fifty is tougher than its neighbours would
    /// have it, and forks that find it firm have to be believed.
    #[must_use]
    pub fn with_far_animals(mut self, case: &Case) -> Self {
        for (pieces, part) in self.pieces.iter_mut().zip(&case.parts) {
            let NormalBelief { mean, sigma } = case.model.p.beliefs.toughness_of(part.toughness_ln_sigma);
            for piece in pieces.iter_mut().filter(|_| sigma > 0.0) {
                let z = (piece.toughness.ln() - mean) / sigma;
                let farther = 1.0 + case.model.p.spread.far_animals * (z * z - NINTH * NINTH);
                piece.toughness = (mean + sigma * z * farther).exp();
            }
        }
        self
    }
}

/// The middles of `count` equally likely slices of a standard normal.
fn evenly_normal(count: usize) -> Vec<f64> {
    let normal = Normal::standard();
    (0..count).map(|i| normal.inverse_cdf((i as f64 + 0.5) / count as f64)).collect()
}

impl Drawn {
    /// A rough measure of how much longer than the median a cook takes, as a logarithm: enough to put like with like. The
    /// weights are those of a regression on runs in the pit and in a pot.
    pub(crate) fn slowness(&self, i: usize, in_pit: bool) -> f64 {
        let member = &self.members[i];
        let (toughness, thickness) = if in_pit { (0.33, 0.74) } else { (0.62, 0.5) };
        let tough = |part: &Vec<PieceDrawn>| toughness * part[i].toughness.ln() + thickness * part[i].thickness.ln();
        let meat = self.pieces.iter().map(tough).fold(f64::NEG_INFINITY, f64::max);
        let kitchen = match in_pit {
            true => 0.11 * member.wetness.ln() - 0.47 * member.coefficient.ln() - 0.022 * member.pit_k,
            false => -0.05 * member.coefficient.ln() - 0.02 * member.pot_k,
        };
        meat + kitchen
    }
}

/// How far new cooks stand from those they are drawn around: the shrinkage of Liu and West (2001), which keeps mean and spread.
const SHRINK: f64 = 0.95;

/// The uncertain quantities of one cook, on scales on which they are spread like a normal.
const KITCHEN_FACTS: usize = 7;

impl Member {
    fn facts(&self) -> [f64; KITCHEN_FACTS] {
        [self.coefficient.ln(), self.oven_k, self.pot_k, self.pit_k, self.lid.ln(), self.wetness.ln(), self.placement]
    }

    fn of_facts(facts: [f64; KITCHEN_FACTS]) -> Self {
        let [coefficient, oven_k, pot_k, pit_k, lid, wetness, placement] = facts;
        Self {
            coefficient: coefficient.exp(),
            oven_k,
            pot_k,
            pit_k,
            lid: lid.exp(),
            wetness: wetness.exp(),
            placement: placement.abs(),
        }
    }
}

impl Drawn {
    /// As many cooks again, drawn around these by their weights (which sum to one).
    #[must_use]
    pub fn again(&self, weights: &[f64], seed: u64) -> Self {
        let count = self.members.len();
        let rows: Vec<Vec<f64>> = (0..count)
            .map(|i| {
                let meat = self.pieces.iter().flat_map(|part| [part[i].toughness.ln(), part[i].thickness]);
                self.members[i].facts().into_iter().chain(meat).collect()
            })
            .collect();
        let columns = rows[0].len();
        let weighted = |f: &dyn Fn(&Vec<f64>) -> f64| rows.iter().zip(weights).map(|(row, w)| w * f(row)).sum::<f64>();
        let mean: Vec<f64> = (0..columns).map(|c| weighted(&|row| row[c])).collect();
        let sigma: Vec<f64> =
            (0..columns).map(|c| weighted(&|row| (row[c] - mean[c]).powi(2)).max(0.0).sqrt()).collect();
        let jitter = (1.0 - SHRINK * SHRINK).sqrt();
        let mut random = ChaCha8Rng::seed_from_u64(seed ^ 0x5eed);
        let mut normal = move || -> f64 { random.sample(StandardNormal) };
        let mut again = Self { members: Vec::with_capacity(count), pieces: vec![Vec::new(); self.pieces.len()] };
        // Systematic resampling: one comb of equal teeth laid over the weights.
        let (mut from, mut below) = (0, weights[0]);
        for tooth in 0..count {
            let at = (tooth as f64 + 0.5) / count as f64;
            while below < at && from + 1 < count {
                from += 1;
                below += weights[from];
            }
            let row: Vec<f64> = (0..columns)
                .map(|c| mean[c] + SHRINK * (rows[from][c] - mean[c]) + jitter * sigma[c] * normal())
                .collect();
            let (kitchen, meat) = row.split_at(KITCHEN_FACTS);
            again.members.push(Member::of_facts(kitchen.try_into().expect("as many facts as were put in")));
            for (part, facts) in again.pieces.iter_mut().zip(meat.chunks_exact(2)) {
                part.push(PieceDrawn { toughness: facts[0].exp(), thickness: facts[1].clamp(0.4, 1.8) });
            }
        }
        again
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::parameters::Parameters;
    use crate::testing::simmered;

    /// Mean and standard deviation.
    fn spread(of: impl Iterator<Item = f64>) -> (f64, f64) {
        let all: Vec<f64> = of.collect();
        let mean = all.iter().sum::<f64>() / all.len() as f64;
        (mean, (all.iter().map(|x| (x - mean).powi(2)).sum::<f64>() / all.len() as f64).sqrt())
    }

    #[test]
    fn cooks_are_spread_as_is_believed_and_a_seed_draws_the_same_ones() {
        let mut case = simmered(0.06);
        let oven_k = NormalBelief { mean: 6.0, sigma: 3.0 };
        case.model = case.model.believing(Beliefs { oven_k, ..Parameters::USUAL.beliefs }).into();
        let drawn = Drawn::of(&case, 400, 7);
        let (mean, sigma) = spread(drawn.members.iter().map(|member| member.oven_k));
        assert!((mean - 6.0).abs() < 0.1 && (sigma - 3.0).abs() < 0.1, "{mean} ± {sigma}");
        let (mean, sigma) = spread(drawn.pieces[0].iter().map(|piece| piece.toughness.ln()));
        assert!(mean.abs() < 0.01 && (sigma - 0.2).abs() < 0.01, "{mean} ± {sigma}");
        assert_eq!(drawn.members, Drawn::of(&case, 400, 7).members);
        assert_ne!(drawn.members, Drawn::of(&case, 400, 8).members);
    }

    #[test]
    fn a_single_cook_is_the_median_one() {
        let drawn = Drawn::of(&simmered(0.06), 1, 7);
        assert_eq!(drawn.members, [Member::median(&Parameters::USUAL.beliefs)]);
        assert_eq!(drawn.pieces, [[PieceDrawn { toughness: 1.0, thickness: 1.0 }]]);
    }

    #[test]
    fn bone_spreads_the_time_and_what_is_known_of_a_butcher_takes_the_place_of_the_cuts_own_spread() {
        let mut case = simmered(0.06);
        let sigma = |case: &Case| spread(Drawn::of(case, 400, 7).pieces[0].iter().map(|piece| piece.toughness.ln())).1;
        let boneless = sigma(&case);
        case.parts[0].bone_pct = 30.0;
        assert!(sigma(&case) > boneless);
        case.parts[0].bone_pct = 0.0;
        let toughness_ln = Some(NormalBelief { mean: 0.1, sigma: 0.05 });
        case.model = case.model.believing(Beliefs { toughness_ln, ..Parameters::USUAL.beliefs }).into();
        assert!((sigma(&case) - 0.05).abs() < 0.005);
    }

    #[test]
    fn drawn_again_they_keep_the_mean_and_spread_that_their_weights_give_them() {
        let case = simmered(0.06);
        let drawn = Drawn::of(&case, 400, 7);
        let likely = |i: usize| (-0.5 * ((drawn.pieces[0][i].toughness.ln() - 0.2) / 0.1).powi(2)).exp();
        let sum: f64 = (0..400).map(likely).sum();
        let weights: Vec<f64> = (0..400).map(|i| likely(i) / sum).collect();
        let wanted: f64 = (0..400).map(|i| weights[i] * drawn.pieces[0][i].toughness.ln()).sum();
        let again = drawn.again(&weights, 11);
        let (mean, sigma) = spread(again.pieces[0].iter().map(|piece| piece.toughness.ln()));
        assert!((mean - wanted).abs() < 0.02 && (0.06..0.12).contains(&sigma), "{mean} ± {sigma} against {wanted}");
        assert_eq!(again.members.len(), 400);
    }
}
