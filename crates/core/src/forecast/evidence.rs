//! What is found during a cook, and how likely each simulated cook is to find it.

use serde::{Deserialize, Serialize};
use statrs::distribution::{ContinuousCDF, Normal};
use utoipa::ToSchema;

use crate::tender::{CHECK_LN_SIGMA, Check};
use ergastic_physics::{HORIZON_S, Sample};

/// Spread of a thermometer's reading, K. Working value.
pub(super) const READING_SIGMA_K: f64 = 1.5;
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
/// Of one place so many are weighed at the most: what is read for days is gathered over twice as long, and twice again. Working
/// value.
pub(super) const MAX_READINGS: f64 = 144.0;
/// Of checks, dips and weighings the latest so many are weighed.
pub(super) const MAX_OTHERS: usize = 100;

/// Where findings come from.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub(super) enum FindingsFrom {
    /// A thermometer beside the meat, or in it.
    Thermometer(Option<Probed>),
    /// Looks of one kind.
    Look(Found),
}

/// What a thermometer that is not in the meat hangs in.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum Probed {
    /// The liquid, the fat, the bath.
    Liquid,
    /// The air of the oven or the pit.
    Air,
}

/// Of what one thermometer reads so many findings count in full; all that follow add little, for what is wrong with its place is
/// wrong with all of them. Working values.
const FIRST_READINGS: f64 = 12.0;
const LATER_READINGS: f64 = 4.0;

/// What so many readings of one thermometer are worth, as findings of their own.
pub(super) fn readings_worth(count: usize) -> f64 {
    let count = count as f64;
    if count <= FIRST_READINGS { count } else { FIRST_READINGS + LATER_READINGS * (count / FIRST_READINGS).ln() }
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
        place: Probed,
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

    /// Findings of one source are weighed together, and each source by itself.
    pub(super) fn source(&self) -> FindingsFrom {
        match self {
            Self::Reading { .. } => FindingsFrom::Thermometer(None),
            Self::Around { place, .. } => FindingsFrom::Thermometer(Some(*place)),
            other => FindingsFrom::Look(other.found()),
        }
    }

    /// How far it lies over what a member foretold, in its own unit; none of a word.
    pub(super) fn over(&self, sample: &Sample) -> Option<f64> {
        match self {
            Self::Reading { celsius, .. } => Some(celsius - sample.probe_c),
            Self::Dip { liquid_l, .. } => Some(liquid_l - sample.liquid_l),
            Self::Weighing { lost_kg, .. } => Some(lost_kg - sample.steam_kg),
            Self::Around { celsius, place: Probed::Liquid, .. } => Some(celsius - sample.medium_c),
            Self::Around { celsius, place: Probed::Air, .. } => Some(celsius - sample.air_c),
            Self::Check { .. } => None,
        }
    }

    pub(super) fn at_s(&self) -> f64 {
        match self {
            Self::Reading { at_s, .. }
            | Self::Check { at_s, .. }
            | Self::Dip { at_s, .. }
            | Self::Weighing { at_s, .. }
            | Self::Around { at_s, .. } => *at_s,
        }
    }

    /// The logarithm of how likely a member makes this finding.
    pub(super) fn log_likelihood(&self, sample: &Sample) -> f64 {
        /// The least that is told apart from nothing.
        const MIN: f64 = 1e-12;
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
            Self::Around { celsius, place: Probed::Liquid, .. } => normal(celsius - sample.medium_c, LIQUID_SIGMA_K),
            Self::Around { celsius, place: Probed::Air, .. } => normal(celsius - sample.air_c, AIR_SIGMA_K),
            Self::Check { found, .. } => f64::max(finds(*found, sample.tenderness), MIN).ln(),
        }
    }
}

/// The chance that a check of meat of some tenderness finds less than a bound.
fn finds_less(bound: f64, tenderness: f64) -> f64 {
    let seen = f64::max(tenderness, 1e-6).ln();
    Normal::standard().cdf((bound.ln() - seen) / CHECK_LN_SIGMA)
}

/// The chance that a check of meat of some tenderness finds this.
fn finds(found: Check, tenderness: f64) -> f64 {
    let (low, high) = found.bounds();
    finds_less(high, tenderness) - finds_less(low, tenderness)
}

/// The chance of each word from firm to spoon; each begins where the one before it ends.
pub(super) fn finds_each(tenderness: f64) -> [f64; Check::ALL.len()] {
    let mut below = 0.0;
    Check::ALL.map(|found| {
        let (_, high) = found.bounds();
        let up_to = if high.is_finite() { finds_less(high, tenderness) } else { 1.0 };
        up_to - std::mem::replace(&mut below, up_to)
    })
}

/// The findings in time order, as they are weighed: readings close to each other as one, and not endlessly many; none from
/// beyond the longest cook that is followed.
pub(super) fn gathered(evidence: &[Evidence]) -> Vec<Evidence> {
    let mut evidence: Vec<Evidence> =
        evidence.iter().copied().filter(|found| (0.0..=HORIZON_S).contains(&found.at_s())).collect();
    evidence.sort_by(|a, b| a.at_s().total_cmp(&b.at_s()));
    let mut read: [Vec<(f64, f64)>; 3] = Default::default();
    let mut others = Vec::new();
    for found in evidence {
        match found {
            Evidence::Reading { at_s, celsius } => read[0].push((at_s, celsius)),
            Evidence::Around { at_s, celsius, place: Probed::Liquid } => read[1].push((at_s, celsius)),
            Evidence::Around { at_s, celsius, place: Probed::Air } => read[2].push((at_s, celsius)),
            other => others.push(other),
        }
    }
    let mut gathered = others.split_off(others.len().saturating_sub(MAX_OTHERS));
    let [middle, liquid, air] = read.map(as_one);
    gathered.extend(middle.into_iter().map(|(at_s, celsius)| Evidence::Reading { at_s, celsius }));
    for (place, read) in [(Probed::Liquid, liquid), (Probed::Air, air)] {
        gathered.extend(read.into_iter().map(|(at_s, celsius)| Evidence::Around { at_s, place, celsius }));
    }
    gathered.sort_by(|a, b| a.at_s().total_cmp(&b.at_s()));
    gathered
}

/// Readings in time order, those close to each other as one: their middle.
fn as_one(mut readings: Vec<(f64, f64)>) -> Vec<(f64, f64)> {
    let span_s = readings.first().zip(readings.last()).map_or(0.0, |(first, last)| last.0 - first.0);
    let mut within_s = ONE_READING_S;
    while span_s > within_s * MAX_READINGS {
        within_s *= 2.0;
    }
    let mut gathered = Vec::new();
    while let Some((first_s, _)) = readings.first().copied() {
        let end = readings.partition_point(|(at_s, _)| *at_s < first_s + within_s);
        let mut close: Vec<(f64, f64)> = readings.drain(..end).collect();
        close.sort_by(|a, b| a.1.total_cmp(&b.1));
        let (low, high) = (close[(end - 1) / 2], close[end / 2]);
        gathered.push((0.5 * (low.0 + high.0), 0.5 * (low.1 + high.1)));
    }
    gathered
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn the_words_share_all_that_can_be_found_and_each_has_its_own_part() {
        for tenderness in [0.0, 0.5, 1.9, 2.3, 2.6, 3.3, 5.0] {
            let each = finds_each(tenderness);
            for (found, share) in Check::ALL.into_iter().zip(each) {
                assert!((share - finds(found, tenderness)).abs() < 1e-9, "{found:?} at {tenderness}");
            }
            assert!((each.iter().sum::<f64>() - 1.0).abs() < 1e-9);
        }
    }
}
