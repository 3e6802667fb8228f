//! An ensemble with weights, and how much of what was found they bear.

use super::stats::quantile;
use ergastic_physics::Times;

/// All findings together leave at least this share of the new cooks with weight: the model is not the kitchen, and no number
/// of findings makes it so. Working value, with [`THIN`] chosen for bands that hold four cooks in five after 0 to 200 readings.
pub(super) const MIN_LEFT: f64 = 0.1;
/// With fewer than this share of the cooks left the ensemble is drawn anew around them.
pub(super) const THIN: f64 = 0.3;

/// An ensemble with weights.
#[derive(Debug, Clone)]
pub struct Weighted {
    /// Ready, s, by member.
    pub ready_s: Vec<f64>,
    /// Too far, s, by member.
    pub overcooked_s: Vec<f64>,
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
        let (ready_s, overcooked_s) = times.iter().map(|times| (times.ready_s, times.overcooked_s)).unzip();
        Self { ready_s, overcooked_s, times, weights }
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

/// Weights from likelihoods taken to a power; they sum to one.
pub(super) fn weights(logs: &[f64], power: f64) -> Vec<f64> {
    let best = logs.iter().copied().fold(f64::NEG_INFINITY, f64::max);
    let mut weights: Vec<f64> = logs.iter().map(|log| (power * (log - best)).exp()).collect();
    let total: f64 = weights.iter().sum();
    for weight in &mut weights {
        *weight /= total;
    }
    weights
}

/// Members that still carry weight (Kish's effective size).
pub(super) fn effective(weights: &[f64]) -> f64 {
    1.0 / weights.iter().map(|w| w * w).sum::<f64>()
}

/// How much of the findings is believed, 0 to 1: all of it, or as much as leaves enough of the cooks with weight (a power
/// posterior, found by halving).
pub(super) fn believed(logs: &[f64], most: f64, share: f64) -> f64 {
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
