//! What is found during a cook, and what it says about the cooks simulated beforehand.

use serde::{Deserialize, Serialize};
use statrs::distribution::{ContinuousCDF, Normal};
use utoipa::ToSchema;

use super::members::Drawn;
use super::resolve::Case;
use super::run::{Sample, Times, run_all, run_all_sampled};
use super::stats::{in_order, quantile, quantile_in};
use crate::tender::{CHECK_LN_SIGMA, Check};

/// Spread of a thermometer's reading, K. Working value.
const READING_SIGMA_K: f64 = 1.5;
/// Spread of a thermometer in the liquid, and of one in the air of an oven or pit, K: that swings, and differs from place to
/// place. Working values.
const LIQUID_SIGMA_K: f64 = 1.5;
const AIR_SIGMA_K: f64 = 6.0;
/// Spread of a depth read off a skewer, as litres: so many, and a share of what is there. Working values.
const DIP_SIGMA_L: (f64, f64) = (0.05, 0.05);
/// Spread of the pot's weight, kg: a kitchen scale with a hot pot on it. Working value.
const WEIGHING_SIGMA_KG: f64 = 0.03;
/// Beyond so many standard deviations a finding off the mark counts in proportion to how far off it is, and no longer to the
/// square of that (Huber 1964): a wild reading says which way, and must not drown all others.
const WILD: f64 = 2.0;
/// Readings of a thermometer within so many s of each other are one finding, their middle one: the tip stays where it is,
/// and what is wrong with its place is wrong with all of them. Working value.
const ONE_READING_S: f64 = 600.0;
/// Of checks, dips and weighings the latest so many are weighed.
const MOST_OTHERS: usize = 100;
/// All findings together leave at least this share of the new cooks with weight: the model is not the kitchen, and no number
/// of findings makes it so. Working value, with [`THIN`] chosen for bands that hold four cooks in five after 0 to 200 readings.
const LEAST_LEFT: f64 = 0.1;
/// With fewer than this share of the cooks left the ensemble is drawn anew around them.
const THIN: f64 = 0.3;

/// What a thermometer that is not in the meat hangs in.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum Place {
    /// The liquid, the fat, the bath.
    Liquid,
    /// The air of the oven or the pit.
    Air,
}

/// What kind of thing was found.
#[derive(Debug, Clone, Copy, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Found {
    /// A thermometer in the middle.
    Middle,
    /// A fork, a probe, a bone, a bite.
    Softness,
    /// How much liquid there is.
    Depth,
    /// How much the pot has lost.
    Weight,
    /// How warm the liquid, the oven or the pit is.
    Around,
}

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
    /// A thermometer beside the meat, °C.
    Around {
        /// When, s.
        at_s: f64,
        /// Where it hangs.
        place: Place,
        /// What it read, °C.
        celsius: f64,
    },
}

impl Evidence {
    /// What kind of thing was found.
    pub fn found(&self) -> Found {
        match self {
            Self::Reading { .. } => Found::Middle,
            Self::Check { .. } => Found::Softness,
            Self::Dip { .. } => Found::Depth,
            Self::Weighing { .. } => Found::Weight,
            Self::Around { .. } => Found::Around,
        }
    }

    /// How far it lies over what a member foretold, in its own unit; none of a word.
    fn over(&self, sample: &Sample) -> Option<f64> {
        match self {
            Self::Reading { celsius, .. } => Some(celsius - sample.probe_c),
            Self::Dip { liquid_l, .. } => Some(liquid_l - sample.liquid_l),
            Self::Weighing { lost_kg, .. } => Some(lost_kg - sample.steam_kg),
            Self::Around { celsius, place: Place::Liquid, .. } => Some(celsius - sample.medium_c),
            Self::Around { celsius, place: Place::Air, .. } => Some(celsius - sample.air_c),
            Self::Check { .. } => None,
        }
    }

    fn at_s(&self) -> f64 {
        match self {
            Self::Reading { at_s, .. }
            | Self::Check { at_s, .. }
            | Self::Dip { at_s, .. }
            | Self::Weighing { at_s, .. }
            | Self::Around { at_s, .. } => *at_s,
        }
    }

    /// The logarithm of how likely a member makes this finding.
    fn log_likelihood(&self, sample: &Sample) -> f64 {
        /// The least that is told apart from nothing.
        const LEAST: f64 = 1e-12;
        let normal = |off: f64, sigma: f64| {
            let off = (off / sigma).abs();
            if off <= WILD { -0.5 * off * off } else { WILD * (0.5 * WILD - off) }
        };
        match self {
            Self::Reading { celsius, .. } => normal(celsius - sample.probe_c, READING_SIGMA_K),
            Self::Dip { liquid_l, .. } => {
                normal(liquid_l - sample.liquid_l, DIP_SIGMA_L.0 + DIP_SIGMA_L.1 * sample.liquid_l)
            }
            Self::Weighing { lost_kg, .. } => normal(lost_kg - sample.steam_kg, WEIGHING_SIGMA_KG),
            Self::Around { celsius, place: Place::Liquid, .. } => normal(celsius - sample.medium_c, LIQUID_SIGMA_K),
            Self::Around { celsius, place: Place::Air, .. } => normal(celsius - sample.air_c, AIR_SIGMA_K),
            Self::Check { found, .. } => f64::max(finds(*found, sample.tenderness), LEAST).ln(),
        }
    }
}

/// The chance that a check of meat of some tenderness finds this.
fn finds(found: Check, tenderness: f64) -> f64 {
    let (low, high) = found.bounds();
    let seen = f64::max(tenderness, 1e-6).ln();
    let below = |bound: f64| Normal::standard().cdf((bound.ln() - seen) / CHECK_LN_SIGMA);
    below(high) - below(low)
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

    /// When the last stage is over by itself in a share of the cooks, s; none where the heat simply stays on.
    pub fn over_s(&self, p: f64) -> Option<f64> {
        let over_s: Vec<f64> = self.times.iter().map(|times| times.ended_s).collect();
        quantile(&over_s, &self.weights, p)
    }

    /// Members that still carry weight.
    pub fn effective(&self) -> f64 {
        effective(&self.weights)
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
    /// What each kind of finding says by itself.
    pub moved: Vec<Moved>,
    /// Ready before the latest finding: P10, P50, P90, s.
    pub before_latest_s: Option<[Option<f64>; 3]>,
    /// The cooks at the moments that were asked for.
    pub ahead: Vec<Ahead>,
}

/// What one kind of finding says by itself of when it is ready.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Moved {
    /// Which kind.
    pub found: Found,
    /// The middle moves by so much, s; less than nothing is sooner.
    pub by_s: f64,
    /// Its latest lies so far over what was foretold, K, L or kg; none of a word.
    pub over: Option<f64>,
}

/// The cooks at one moment.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Ahead {
    /// When, s.
    pub at_s: f64,
    /// In the middle: P10, P50, P90, °C.
    pub core_c: [f64; 3],
    /// About the meat, in half of the cooks, °C.
    pub medium_c: f64,
    /// How wide P10 to P90 of ready would be after a look at this moment, as expected, s; none where nothing is to be told.
    pub width_s: Option<f64>,
}

/// The findings in time order, as they are weighed: readings close to each other as one, and not endlessly many.
fn gathered(evidence: &[Evidence]) -> Vec<Evidence> {
    let mut evidence: Vec<Evidence> = evidence.iter().copied().filter(|found| found.at_s() >= 0.0).collect();
    evidence.sort_by(|a, b| a.at_s().total_cmp(&b.at_s()));
    let mut read: [Vec<(f64, f64)>; 3] = Default::default();
    let mut others = Vec::new();
    for found in evidence {
        match found {
            Evidence::Reading { at_s, celsius } => read[0].push((at_s, celsius)),
            Evidence::Around { at_s, celsius, place: Place::Liquid } => read[1].push((at_s, celsius)),
            Evidence::Around { at_s, celsius, place: Place::Air } => read[2].push((at_s, celsius)),
            other => others.push(other),
        }
    }
    let mut gathered = others.split_off(others.len().saturating_sub(MOST_OTHERS));
    let [middle, liquid, air] = read.map(as_one);
    gathered.extend(middle.into_iter().map(|(at_s, celsius)| Evidence::Reading { at_s, celsius }));
    for (place, read) in [(Place::Liquid, liquid), (Place::Air, air)] {
        gathered.extend(read.into_iter().map(|(at_s, celsius)| Evidence::Around { at_s, place, celsius }));
    }
    gathered.sort_by(|a, b| a.at_s().total_cmp(&b.at_s()));
    gathered
}

/// Readings in time order, those close to each other as one: their middle.
fn as_one(mut readings: Vec<(f64, f64)>) -> Vec<(f64, f64)> {
    let mut gathered = Vec::new();
    while let Some((first_s, _)) = readings.first().copied() {
        let end = readings.partition_point(|(at_s, _)| *at_s < first_s + ONE_READING_S);
        let mut close: Vec<(f64, f64)> = readings.drain(..end).collect();
        close.sort_by(|a, b| a.1.total_cmp(&b.1));
        let (low, high) = (close[(end - 1) / 2], close[end / 2]);
        gathered.push((0.5 * (low.0 + high.0), 0.5 * (low.1 + high.1)));
    }
    gathered
}

/// What findings say of the members.
struct Weighing {
    /// The logarithm of each member's likelihood, up to what is common to all.
    logs: Vec<f64>,
    /// The same of each finding.
    each: Vec<Vec<f64>>,
    /// Whether almost none foretold one of the findings.
    surprising: bool,
}

/// Weighs every member by how well it foretold the findings.
fn weigh(evidence: &[Evidence], samples: &[Vec<Sample>], members: usize) -> Weighing {
    let mut logs = vec![0.0; members];
    let mut each = Vec::with_capacity(evidence.len());
    let mut surprising = false;
    for (found, samples) in evidence.iter().zip(samples) {
        let likely: Vec<f64> = samples.iter().map(|sample| found.log_likelihood(sample)).collect();
        // Less than one cook in fifty foretold it even faintly.
        let foretold = likely.iter().filter(|log| **log > 0.05_f64.ln()).count();
        surprising |= (foretold as f64) < 0.02 * members as f64;
        for (sum, log) in logs.iter_mut().zip(&likely) {
            *sum += log;
        }
        each.push(likely);
    }
    Weighing { logs, each, surprising }
}

/// Weights from likelihoods taken to a power; they sum to one.
fn weights(logs: &[f64], power: f64) -> Vec<f64> {
    let best = logs.iter().copied().fold(f64::NEG_INFINITY, f64::max);
    let mut weights: Vec<f64> = logs.iter().map(|log| (power * (log - best)).exp()).collect();
    let total: f64 = weights.iter().sum();
    for weight in &mut weights {
        *weight /= total;
    }
    weights
}

/// Members that still carry weight (Kish's effective size).
fn effective(weights: &[f64]) -> f64 {
    1.0 / weights.iter().map(|w| w * w).sum::<f64>()
}

/// How much of the findings is believed, 0 to 1: all of it, or as much as leaves enough of the cooks with weight (a power
/// posterior, found by halving).
fn believed(logs: &[f64], most: f64, share: f64) -> f64 {
    let enough = |power: f64| effective(&weights(logs, power)) >= share * logs.len() as f64;
    if enough(most) {
        return most;
    }
    let (mut low, mut high) = (0.0, most);
    for _ in 0..24 {
        let middle = 0.5 * (low + high);
        if enough(middle) {
            low = middle;
        } else {
            high = middle;
        }
    }
    low
}

/// Runs the case's ensemble and weighs each member by how well it foretold the evidence; with `look_s`,
/// also says how tender the meat is at that time after it met the heat.
///
/// Where the findings leave few cooks with weight, new ones are drawn around those and run: the spread stays that of what
/// the findings allow, and is not that of a handful of survivors. Where there was more in the findings than the first cooks
/// could bear, the new ones are weighed by the rest of it.
pub fn update(case: &Case, evidence: &[Evidence], look_s: Option<f64>) -> Update {
    update_ahead(case, evidence, look_s, &[])
}

/// The same, and how the cooks stand at some moments `ahead_s` (s after the meat met the heat, ascending).
pub fn update_ahead(case: &Case, evidence: &[Evidence], look_s: Option<f64>, ahead_s: &[f64]) -> Update {
    let mut drawn = Drawn::of(case);
    let count = drawn.members.len();
    let evidence = gathered(evidence);
    let findings = evidence.len();
    // All moments in time order, each with what it is for.
    let wanted = evidence.iter().map(Evidence::at_s).chain(look_s).chain(ahead_s.iter().copied());
    let mut moments: Vec<(f64, usize)> = wanted.zip(0..).collect();
    moments.sort_by(|a, b| a.0.total_cmp(&b.0));
    let at_s: Vec<f64> = moments.iter().map(|(at_s, _)| *at_s).collect();
    let run = |drawn: &Drawn| {
        let (times, taken) =
            if at_s.is_empty() { (run_all(case, drawn), Vec::new()) } else { run_all_sampled(case, drawn, &at_s) };
        let mut samples = vec![Vec::new(); taken.len()];
        for (samples_then, (_, place)) in taken.into_iter().zip(&moments) {
            samples[*place] = samples_then;
        }
        let ahead = samples.split_off(samples.len().min(findings + usize::from(look_s.is_some())));
        let seen = samples.split_off(samples.len().min(findings)).pop();
        let weighing = weigh(&evidence, &samples, drawn.members.len());
        (times, (seen, ahead), samples, weighing)
    };
    let (times, (mut seen, mut ahead), samples, Weighing { logs, each, surprising }) = run(&drawn);
    let power = if count > 1 { believed(&logs, 1.0, THIN) } else { 0.0 };
    let (mut moved, before_latest_s) =
        if count > 1 { what_moved(&evidence, &times, &samples, &each) } else { (Vec::new(), None) };
    let half_of = |ensemble: &Weighted| quantile(&ensemble.ready_s, &ensemble.weights, 0.5);
    let half_before = half_of(&Weighted::new(times.clone(), vec![1.0; count]));
    let mut ensemble = Weighted::new(times, weights(&logs, power));
    let effective = effective(&weights(&logs, 1.0));
    let redrawn = power < 1.0 && count > 1;
    if redrawn {
        drawn = drawn.again(&ensemble.weights, case.seed);
        let (times, (looked, later), _, Weighing { logs, .. }) = run(&drawn);
        let rest = believed(&logs, 1.0 - power, LEAST_LEFT);
        ensemble = Weighted::new(times, weights(&logs, rest));
        (seen, ahead) = (looked, later);
    }
    if count > 1 {
        as_the_band_moved(&mut moved, half_of(&ensemble).zip(half_before).map(|(is, was)| is - was));
    }
    let tenderness = seen.and_then(|seen| {
        let values: Vec<f64> = seen.iter().map(|sample| sample.tenderness).collect();
        let at = |p| quantile(&values, &ensemble.weights, p);
        Some([at(0.1)?, at(0.5)?, at(0.9)?])
    });
    let order = in_order(&ensemble.ready_s);
    let ahead =
        ahead_s.iter().zip(&ahead).map(|(at_s, samples)| looked_at(*at_s, samples, &ensemble, &order)).collect();
    Update { ensemble, drawn, effective, redrawn, tenderness, surprising, moved, before_latest_s, ahead }
}

/// What each kind says, brought to what all of them together did to the band: what is told adds up to what is drawn.
fn as_the_band_moved(moved: &mut [Moved], by_s: Option<f64>) {
    let Some(by_s) = by_s.filter(|by_s| by_s.is_finite()) else { return };
    let sum_s: f64 = moved.iter().map(|moved| moved.by_s).sum();
    match moved {
        [only] => only.by_s = by_s,
        several if sum_s * by_s > 0.0 => {
            let times = (by_s / sum_s).clamp(0.3, 3.0);
            several.iter_mut().for_each(|moved| moved.by_s *= times);
        }
        _ => {}
    }
}

/// What each kind of finding says by itself, against the cooks as they were drawn beforehand; and when half and more of them are
/// ready by all but the latest.
fn what_moved(
    evidence: &[Evidence],
    times: &[Times],
    samples: &[Vec<Sample>],
    each: &[Vec<f64>],
) -> (Vec<Moved>, Option<[Option<f64>; 3]>) {
    let count = times.len();
    let ready_s: Vec<f64> = times.iter().map(|times| times.ready_s).collect();
    let weighed = |which: &dyn Fn(usize) -> bool| {
        let mut logs = vec![0.0; count];
        for (_, likely) in each.iter().enumerate().filter(|(i, _)| which(*i)) {
            logs.iter_mut().zip(likely).for_each(|(sum, log)| *sum += log);
        }
        weights(&logs, believed(&logs, 1.0, LEAST_LEFT))
    };
    let Some(latest) = evidence.len().checked_sub(1) else { return (Vec::new(), None) };
    let without = weighed(&|i| i != latest);
    let before = [0.1, 0.5, 0.9].map(|p| quantile(&ready_s, &without, p));
    let even = vec![1.0 / count as f64; count];
    let half_s = |weights: &[f64]| quantile(&ready_s, weights, 0.5);
    let mut kinds: Vec<Found> = evidence.iter().map(Evidence::found).collect();
    kinds.sort();
    kinds.dedup();
    let moved = kinds.into_iter().filter_map(|kind| {
        let by = weighed(&|i| evidence[i].found() == kind);
        // A thermometer is told on the mean, for a fire swings and a middle comes to its end; what is left or lost as it was last.
        let mut own = (0..evidence.len()).filter(|i| evidence[*i].found() == kind);
        let on_the_mean = matches!(kind, Found::Around | Found::Middle);
        let told: Vec<usize> = if on_the_mean { own.collect() } else { own.next_back().into_iter().collect() };
        let over_of = |i: usize| samples[i].iter().map(|sample| evidence[i].over(sample)).sum::<Option<f64>>();
        let over = told.iter().map(|i| over_of(*i)).sum::<Option<f64>>().map(|sum| sum / told.len() as f64);
        let by_s = half_s(&by)? - half_s(&even)?;
        by_s.is_finite().then_some(Moved { found: kind, by_s, over: over.map(|sum| sum / count as f64) })
    });
    (moved.collect(), Some(before))
}

/// The cooks at a moment, and how wide the band would be after a look at them then: over all that the look may find, each by its
/// chance, the band that would be left.
fn looked_at(at_s: f64, samples: &[Sample], ensemble: &Weighted, order: &[usize]) -> Ahead {
    let weights = &ensemble.weights;
    let of = |value: &dyn Fn(&Sample) -> f64| samples.iter().map(value).collect::<Vec<f64>>();
    let core: Vec<f64> = of(&|sample| sample.probe_c);
    let core_c = [0.1, 0.5, 0.9].map(|p| quantile(&core, weights, p).unwrap_or_default());
    let medium_c = quantile(&of(&|sample| sample.medium_c), weights, 0.5).unwrap_or_default();
    let width = |weights: &[f64]| {
        let at = |p| quantile_in(order, &ensemble.ready_s, weights, p);
        Some(at(0.9)? - at(0.1)?)
    };
    let mut expected = Some(0.0);
    for found in Check::ALL {
        let likely: Vec<f64> =
            samples.iter().zip(weights).map(|(sample, weight)| weight * finds(found, sample.tenderness)).collect();
        let chance: f64 = likely.iter().sum();
        // What hardly any cook would find narrows nothing.
        if chance < 0.01 {
            continue;
        }
        let after: Vec<f64> = likely.iter().map(|weight| weight / chance).collect();
        expected = expected.zip(width(&after)).map(|(sum, width)| sum + chance * width);
    }
    Ahead { at_s, core_c, medium_c, width_s: expected.filter(|width| width.is_finite()) }
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
    use crate::forecast::ForecastRequest;
    use crate::ways::Method;

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
        assert!(after.redrawn && after.effective < 180.0, "{}", after.effective);
        assert!(width(&after) > 0.3 && width(&after) < width(&update(&case, &[], None)), "{}", width(&after));
        let distinct: std::collections::BTreeSet<u64> =
            after.drawn.members.iter().map(|member| member.coefficient.to_bits()).collect();
        assert!(distinct.len() > 590);
    }

    /// A cook as one of another ensemble, and what a thermometer says of it every minute.
    fn readings_of(truth: &Drawn, case: &Case, count: usize, noise_k: f64, seed: u64) -> (f64, Vec<Evidence>) {
        use rand::{RngExt, SeedableRng};
        use rand_distr::StandardNormal;
        let at_s: Vec<f64> = (1..=count).map(|minute| minute as f64 * 60.0).collect();
        let (times, samples) = run_all_sampled(case, truth, &at_s);
        let mut random = rand_chacha::ChaCha8Rng::seed_from_u64(seed);
        let mut noise = || noise_k * random.sample::<f64, _>(StandardNormal);
        let found = at_s
            .iter()
            .zip(&samples)
            .map(|(at_s, samples)| Evidence::Reading { at_s: *at_s, celsius: samples[0].probe_c + noise() });
        (times[0].ready_s, found.collect())
    }

    fn one_of(case: &Case, seed: u64) -> Drawn {
        let all = Drawn::of(&Case { seed, ..case.clone() });
        Drawn { members: vec![all.members[0]], pieces: all.pieces.iter().map(|part| vec![part[0]]).collect() }
    }

    #[test]
    fn a_noisy_thermometer_leaves_a_band_and_a_chance_however_long_it_is_read() {
        let case = case();
        for count in [100, 160, 188, 400] {
            let (_, found) = readings_of(&one_of(&case, 77), &case, count, 8.0, count as u64);
            let after = update(&case, &found, Some(3600.0));
            assert!(width(&after) > 0.2, "{count}: {}", width(&after));
            assert!(after.ensemble.weights.iter().all(|weight| weight.is_finite()), "{count}");
            let left = after.ensemble.effective();
            assert!(after.tenderness.is_some() && left >= 59.0, "{count}: {left}");
        }
    }

    #[test]
    fn after_two_hundred_readings_the_band_still_holds_four_cooks_in_five() {
        const COOKS: u64 = 250;
        let case = Case { members: 500, ..case() };
        let held = (0..COOKS).filter(|cook| {
            let (ready_s, found) = readings_of(&one_of(&case, 1000 + cook), &case, 200, READING_SIGMA_K, *cook);
            let after = update(&case, &found, None);
            let at = |p| quantile(&after.ensemble.ready_s, &after.ensemble.weights, p).unwrap();
            (at(0.1)..=at(0.9)).contains(&ready_s)
        });
        let share = held.count() as f64 / COOKS as f64;
        assert!((0.74..=0.86).contains(&share), "{share}");
    }

    #[test]
    fn ten_thousand_findings_are_a_few_hundred() {
        let many: Vec<Evidence> = (0..10_000)
            .flat_map(|i| {
                let at_s = f64::from(i) * 25.0;
                [Evidence::Reading { at_s, celsius: 60.0 }, Evidence::Dip { at_s, liquid_l: 1.0 }]
            })
            .collect();
        let gathered = gathered(&many);
        assert!(gathered.len() <= 417 + MOST_OTHERS, "{}", gathered.len());
        assert!(gathered.windows(2).all(|pair| pair[0].at_s() <= pair[1].at_s()));
        // One wild value among those close to each other is not heard.
        let wild = [60.0, 61.0, 200.0].map(|celsius| Evidence::Reading { at_s: celsius, celsius });
        assert_eq!(super::gathered(&wild), [Evidence::Reading { at_s: 61.0, celsius: 61.0 }]);
    }
}
