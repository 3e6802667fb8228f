//! What is found during a cook, and what it says about the cooks simulated beforehand.

use statrs::distribution::{ContinuousCDF, Normal};

use super::members::Drawn;
use super::resolve::Case;
use super::run::{Sample, Times, run_all, run_all_sampled};
use super::stats::quantile;
use crate::tender::{CHECK_LN_SIGMA, Check};

/// Spread of a thermometer's reading, K. Working value.
const READING_SIGMA_K: f64 = 1.5;
/// Spread of a depth read off a skewer, as litres: so many, and a share of what is there. Working values.
const DIP_SIGMA_L: (f64, f64) = (0.05, 0.05);
/// Spread of the pot's weight, kg: a kitchen scale with a hot pot on it. Working value.
const WEIGHING_SIGMA_KG: f64 = 0.03;
/// A likelihood never falls below this share of the best: a wild reading must not erase every cook.
const FLOOR: f64 = 1e-4;
/// With fewer than this share of the cooks left the ensemble is drawn anew around them.
const THIN: f64 = 0.15;

/// Something found at a time after the meat met the heat.
#[derive(Debug, Clone, Copy, PartialEq)]
pub enum Evidence {
    /// A thermometer in the middle, °C.
    Reading {
        /// When, s.
        at_s: f64,
        /// What it read, °C.
        celsius: f64,
    },
    /// A fork or probe.
    Check {
        /// When, s.
        at_s: f64,
        /// What was found.
        found: Check,
    },
    /// The liquid's depth, read as what is in the pot.
    Dip {
        /// When, s.
        at_s: f64,
        /// In the pot, L.
        liquid_l: f64,
    },
    /// The whole pot on a scale.
    Weighing {
        /// When, s.
        at_s: f64,
        /// Lighter than when the meat went in, kg, what was added taken off.
        lost_kg: f64,
    },
}

impl Evidence {
    fn at_s(&self) -> f64 {
        match self {
            Self::Reading { at_s, .. }
            | Self::Check { at_s, .. }
            | Self::Dip { at_s, .. }
            | Self::Weighing { at_s, .. } => *at_s,
        }
    }

    /// How likely a member makes this finding.
    fn likelihood(&self, sample: &Sample) -> f64 {
        let normal = |off: f64, sigma: f64| (-0.5 * (off / sigma).powi(2)).exp();
        match self {
            Self::Reading { celsius, .. } => normal(celsius - sample.probe_c, READING_SIGMA_K),
            Self::Dip { liquid_l, .. } => {
                normal(liquid_l - sample.liquid_l, DIP_SIGMA_L.0 + DIP_SIGMA_L.1 * sample.liquid_l)
            }
            Self::Weighing { lost_kg, .. } => normal(lost_kg - sample.steam_kg, WEIGHING_SIGMA_KG),
            Self::Check { found, .. } => {
                let (low, high) = found.bounds();
                let seen = f64::max(sample.tenderness, 1e-6).ln();
                let below = |bound: f64| Normal::standard().cdf((bound.ln() - seen) / CHECK_LN_SIGMA);
                below(high) - below(low)
            }
        }
    }
}

/// An ensemble with weights.
#[derive(Debug, Clone)]
pub struct Weighted {
    /// Ready, s, by member.
    pub ready_s: Vec<f64>,
    /// Too far, s, by member.
    pub too_far_s: Vec<f64>,
    /// What became of each member.
    pub times: Vec<Times>,
    /// Weight of each member; they sum to one.
    pub weights: Vec<f64>,
}

impl Weighted {
    /// Members with their weights, which are brought to a sum of one.
    pub fn new(times: Vec<Times>, mut weights: Vec<f64>) -> Self {
        let total: f64 = weights.iter().sum();
        for weight in &mut weights {
            *weight /= total;
        }
        let (ready_s, too_far_s) = times.iter().map(|times| (times.ready_s, times.too_far_s)).unzip();
        Self { ready_s, too_far_s, times, weights }
    }

    /// The ensemble of one run.
    pub fn one(times: Times) -> Self {
        Self::new(vec![times], vec![1.0])
    }

    /// Members that still carry weight (Kish's effective size).
    pub fn effective(&self) -> f64 {
        1.0 / self.weights.iter().map(|w| w * w).sum::<f64>()
    }
}

/// The ensemble after the evidence, with how much of it is left.
#[derive(Debug, Clone)]
pub struct Update {
    /// The reweighted ensemble.
    pub ensemble: Weighted,
    /// The cooks behind it.
    pub drawn: Drawn,
    /// Of the cooks drawn beforehand, those that the findings leave with weight.
    pub effective: f64,
    /// Whether so few were left that new ones were drawn around them.
    pub redrawn: bool,
    /// Tenderness on the scale of slice to spoon at the moment asked for: P10, P50, P90.
    pub tenderness: Option<[f64; 3]>,
    /// Whether a finding lay outside what almost any simulated cook would show.
    pub surprising: bool,
}

/// Weighs every member by how well it foretold the findings; `true` where almost none foretold one.
fn weigh(evidence: &[Evidence], samples: &[Vec<Sample>], members: usize) -> (Vec<f64>, bool) {
    let mut weights = vec![1.0; members];
    let mut surprising = false;
    for (found, samples) in evidence.iter().zip(samples) {
        let likelihoods: Vec<f64> = samples.iter().map(|sample| found.likelihood(sample)).collect();
        let best = likelihoods.iter().copied().fold(0.0, f64::max);
        // Less than one cook in fifty foretold it even faintly.
        let foretold = likelihoods.iter().filter(|l| **l > 0.05).count();
        surprising |= (foretold as f64) < 0.02 * members as f64;
        if best > 0.0 {
            for (weight, likelihood) in weights.iter_mut().zip(&likelihoods) {
                *weight *= f64::max(likelihood / best, FLOOR);
            }
        }
    }
    (weights, surprising)
}

/// Runs the case's ensemble and weighs each member by how well it foretold the evidence; with `look_s`,
/// also says how tender the meat is at that time after it met the heat.
///
/// Where the findings leave few cooks with weight, new ones are drawn around those and run: the spread stays that of what
/// the findings allow, and is not that of a handful of survivors.
pub fn update(case: &Case, evidence: &[Evidence], look_s: Option<f64>) -> Update {
    let mut drawn = Drawn::of(case);
    let count = drawn.members.len();
    let mut evidence: Vec<Evidence> = evidence.iter().copied().filter(|found| found.at_s() >= 0.0).collect();
    evidence.sort_by(|a, b| a.at_s().total_cmp(&b.at_s()));
    let mut at_s: Vec<f64> = evidence.iter().map(Evidence::at_s).collect();
    let looks_at = look_s.map(|look_s| {
        let place = at_s.partition_point(|at| *at <= look_s);
        at_s.insert(place, look_s);
        place
    });
    let (times, mut samples) =
        if at_s.is_empty() { (run_all(case, &drawn), Vec::new()) } else { run_all_sampled(case, &drawn, &at_s) };
    let mut seen = looks_at.map(|place| samples.remove(place));
    let (weights, surprising) = weigh(&evidence, &samples, count);
    let mut ensemble = Weighted::new(times, weights);
    let effective = ensemble.effective();
    let redrawn = effective < THIN * count as f64 && count > 1;
    if redrawn {
        drawn = drawn.again(&ensemble.weights, case.seed);
        let look: Vec<f64> = look_s.into_iter().collect();
        let (times, mut samples) = run_all_sampled(case, &drawn, &look);
        ensemble = Weighted::new(times, vec![1.0; count]);
        seen = samples.pop();
    }
    let tenderness = seen.and_then(|seen| {
        let values: Vec<f64> = seen.iter().map(|sample| sample.tenderness).collect();
        let at = |p| quantile(&values, &ensemble.weights, p);
        Some([at(0.1)?, at(0.5)?, at(0.9)?])
    });
    Update { ensemble, drawn, effective, redrawn, tenderness, surprising }
}

/// The case's ensemble, and how tender each cook's meat is at a time after it met the heat, on the scale of slice to spoon.
pub fn softness_at(case: &Case, at_s: f64) -> (Weighted, Vec<f64>) {
    let (times, samples) = run_all_sampled(case, &Drawn::of(case), &[at_s]);
    let weights = vec![1.0; times.len()];
    (Weighted::new(times, weights), samples[0].iter().map(|sample| sample.tenderness).collect())
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::forecast::{ForecastRequest, Method};

    fn request() -> ForecastRequest {
        ForecastRequest {
            cut: Some(crate::cuts::Cut::Shin),
            mass_kg: Some(1.9),
            method: Some(Method::Braise),
            members: Some(600),
            ..Default::default()
        }
    }

    fn case() -> Case {
        request().resolve().unwrap()
    }

    fn p50(update: &Update) -> f64 {
        quantile(&update.ensemble.ready_s, &update.ensemble.weights, 0.5).unwrap() / 3600.0
    }

    fn width(update: &Update) -> f64 {
        let q = |p| quantile(&update.ensemble.ready_s, &update.ensemble.weights, p).unwrap();
        (q(0.9) - q(0.1)) / 3600.0
    }

    #[test]
    fn a_firm_check_late_on_moves_the_band_later_and_a_soft_one_sooner() {
        let case = case();
        let before = update(&case, &[], None);
        let at_s = p50(&before) * 3600.0 * 0.9;
        let firm = update(&case, &[Evidence::Check { at_s, found: Check::Firm }], None);
        let soft = update(&case, &[Evidence::Check { at_s, found: Check::Probe }], None);
        assert!(p50(&firm) > p50(&before) + 0.1, "{} against {}", p50(&firm), p50(&before));
        assert!(p50(&soft) < p50(&before) - 0.1, "{} against {}", p50(&soft), p50(&before));
        assert!(width(&soft) < width(&before));
    }

    #[test]
    fn a_slow_middle_moves_the_band_later_and_a_wild_reading_is_called_surprising() {
        let case = case();
        let before = update(&case, &[], None);
        let slow = update(&case, &[Evidence::Reading { at_s: 3600.0, celsius: 48.0 }], None);
        let fast = update(&case, &[Evidence::Reading { at_s: 3600.0, celsius: 80.0 }], None);
        assert!(p50(&slow) > p50(&fast));
        let wild = update(&case, &[Evidence::Reading { at_s: 3600.0, celsius: 140.0 }], None);
        assert!(wild.surprising && p50(&wild).is_finite());
        assert!(before.effective > 599.0);
    }

    #[test]
    fn a_pot_that_lost_more_than_foretold_has_a_looser_lid_and_a_hotter_oven() {
        let case = case();
        let dial = |update: &Update| {
            let of = |f: &dyn Fn(usize) -> f64| {
                (0..update.drawn.members.len()).map(|i| update.ensemble.weights[i] * f(i)).sum::<f64>()
            };
            of(&|i| update.drawn.members[i].oven_k)
        };
        let before = update(&case, &[], None);
        let lighter = update(&case, &[Evidence::Weighing { at_s: 7200.0, lost_kg: 0.9 }], None);
        let lower = update(&case, &[Evidence::Dip { at_s: 7200.0, liquid_l: 0.2 }], None);
        assert!(dial(&lighter) > dial(&before) + 3.0 && dial(&lower) > dial(&before) + 1.0);
    }

    #[test]
    fn many_findings_thin_the_cooks_and_new_ones_are_drawn_around_those_left() {
        let case = case();
        // What a thermometer would say of a cook that goes as the median one does.
        let median = crate::forecast::forecast(&ForecastRequest { members: Some(1), ..request() }).unwrap();
        let findings: Vec<_> = (median.curve.iter())
            .filter(|point| point.min >= 10.0 && point.min <= 120.0)
            .map(|point| Evidence::Reading { at_s: point.min * 60.0, celsius: point.core_c })
            .collect();
        let after = update(&case, &findings, Some(7200.0));
        assert!(after.redrawn && after.effective < 90.0, "{}", after.effective);
        assert!((after.ensemble.effective() - 600.0).abs() < 1e-6, "new cooks stand with equal weight");
        assert!(width(&after) > 0.3 && width(&after) < width(&update(&case, &[], None)), "{}", width(&after));
        let distinct: std::collections::BTreeSet<u64> =
            after.drawn.members.iter().map(|member| member.coefficient.to_bits()).collect();
        assert!(distinct.len() > 590);
    }
}
