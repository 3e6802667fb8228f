//! What each simulated cook would have shown at given times.

use rayon::prelude::*;

use super::ensemble::{Group, LANES, Times, groups, in_drawn_order, run};
use super::watch::{Moment, Watch};
use crate::case::Case;
use crate::how::How;
use crate::members::Drawn;
use ergastic_cancel::Cancelled;

/// What one cook showed at a moment.
#[derive(Debug, Clone, Copy, PartialEq, Default)]
pub struct Sample {
    /// At the probe's tip in the first part, °C.
    pub probe_c: f64,
    /// Mean tender-hours of the first part over the cut's resistance and this animal's: on the scale of slice to spoon.
    pub tenderness: f64,
    /// Liquid in the pot, L.
    pub liquid_l: f64,
    /// Left the pot as steam, kg.
    pub steam_kg: f64,
    /// Liquid, fat, bath or pit air about the meat, °C.
    pub medium_c: f64,
    /// The oven's air; the medium itself where there is no oven, °C.
    pub air_c: f64,
}

/// Takes samples at given times, in order.
struct Sampler<'a> {
    at_s: &'a [f64],
    group: &'a Group,
    toughness: f64,
    taken: Vec<[Sample; LANES]>,
}

impl Watch<LANES> for Sampler<'_> {
    fn look(&mut self, moment: &Moment<LANES>) -> bool {
        while self.at_s.get(self.taken.len()).is_some_and(|at_s| moment.time_s >= *at_s) {
            let part = &moment.parts[0];
            self.taken.push(std::array::from_fn(|lane| Sample {
                probe_c: part.bodies.at_radius(lane, self.group.members[lane].placement),
                tenderness: part.mean_dose[lane] / (self.toughness * self.group.pieces[0][lane].toughness),
                liquid_l: moment.around.water_kg[lane],
                steam_kg: moment.around.steam_kg[lane],
                medium_c: moment.around.celsius[lane],
                air_c: moment.around.air_c(lane),
            }));
        }
        true
    }

    fn next_s(&self) -> f64 {
        self.at_s.get(self.taken.len()).copied().unwrap_or(f64::INFINITY)
    }

    fn waits(&self) -> bool {
        self.taken.len() < self.at_s.len()
    }
}

fn run_sampled(case: &Case, group: &Group, at_s: &[f64]) -> ([Times; LANES], Vec<[Sample; LANES]>) {
    let mut sampler = Sampler { at_s, group, toughness: case.main().goal.toughness, taken: Vec::new() };
    let times = run(case, &group.members, &group.pieces, &mut sampler);
    let mut taken = sampler.taken;
    // A sample beyond the longest cook that is followed repeats the last.
    let last = taken.last().copied().unwrap_or_default();
    taken.resize(at_s.len(), last);
    (times, taken)
}

/// Every cook's times, and what each showed: `samples[time][member]`.
pub type Sampled = (Vec<Times>, Vec<Vec<Sample>>);

/// Runs every cook and samples each at the given times (s, ascending).
///
/// # Errors
/// Nobody waits for it any more.
pub fn run_all_sampled(case: &Case, drawn: &Drawn, at_s: &[f64], how: &How) -> Result<Sampled, Cancelled> {
    let count = drawn.members.len();
    let one = |group: Group| {
        how.go_on()?;
        let (times, mut samples) = run_sampled(case, &group, at_s);
        samples.resize(at_s.len(), [Sample::default(); LANES]);
        Ok((group.who, times, samples))
    };
    let runs: Vec<_> = groups(case, drawn).into_par_iter().map(one).collect::<Result<_, _>>()?;
    let samples = (0..at_s.len()).map(|at| in_drawn_order(count, runs.iter().map(|run| (run.0.clone(), run.2[at]))));
    let samples = samples.collect();
    Ok((in_drawn_order(count, runs.into_iter().map(|(who, times, _)| (who, times))), samples))
}
