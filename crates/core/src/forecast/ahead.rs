//! What each kind of finding did to the band, and how the cooks stand at moments to come: what a look would tell then.

use super::evidence::{Evidence, Found, finds_each};
use super::stats::{in_order, quantile, quantile_in};
use super::weighted::{MIN_LEFT, Weighted, believed, weights};
use crate::tender::Check;
use ergastic_physics::{Sample, Times};

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

/// What each kind says, brought to what all of them together did to the band: what is told adds up to what is drawn.
pub(super) fn as_the_band_moved(moved: &mut [Moved], by_s: Option<f64>) {
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
pub(super) fn what_moved(
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
        weights(&logs, believed(&logs, 1.0, MIN_LEFT))
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

/// The cooks at a moment.
pub(super) fn stood_at(at_s: f64, samples: &[Sample], ensemble: &Weighted) -> Ahead {
    let of = |value: &dyn Fn(&Sample) -> f64| samples.iter().map(value).collect::<Vec<f64>>();
    let (core, medium) = (of(&|sample| sample.probe_c), of(&|sample| sample.medium_c));
    let order = in_order(&core);
    let core_c = [0.1, 0.5, 0.9].map(|p| quantile_in(&order, &core, &ensemble.weights, p).unwrap_or_default());
    let medium_c = quantile(&medium, &ensemble.weights, 0.5).unwrap_or_default();
    Ahead { at_s, core_c, medium_c, width_s: None }
}

/// How wide the band would be after a look at the cooks at a moment, s: over all that the look may find, each by its chance, the
/// band that would be left. `order` is that of being ready.
pub(super) fn width_after_a_look_s(samples: &[Sample], ensemble: &Weighted, order: &[usize]) -> Option<f64> {
    let each: Vec<_> = samples.iter().map(|sample| finds_each(sample.tenderness)).collect();
    let mut expected = 0.0;
    for word in 0..Check::ALL.len() {
        let likely: Vec<f64> = each.iter().zip(&ensemble.weights).map(|(each, weight)| weight * each[word]).collect();
        let chance: f64 = likely.iter().sum();
        // What hardly any cook would find narrows nothing.
        if chance >= 0.01 {
            let at = |p| quantile_in(order, &ensemble.ready_s, &likely, p);
            expected += chance * (at(0.9)? - at(0.1)?);
        }
    }
    Some(expected)
}
