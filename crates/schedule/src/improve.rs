//! A placing made better: some jobs at a time are taken out and put back where they cost least.

use rand::RngExt;
use rand_chacha::ChaCha8Rng;

use super::cost::cost;
use super::draft::{Draft, Wish};
use super::placed::Placed;
use super::problem::{Give, Minute, Slot};
use super::ruin::{chain, ruin};
use super::stands::{Best, Search, turns};

/// A step is taken that is worse by such a share of what stands at first, and by none in the end.
const BORNE: f64 = 0.15;
/// How often a chain is moved together, and by how many minutes.
const MOVED_TOGETHER: f64 = 0.25;
const TOGETHER: [Minute; 8] = [1, 2, 3, 5, 5, 10, 15, 30];
/// Where something must not be left alone, how often a chain is moved by hours, out of a night, and by how many steps, min.
const FAR: f64 = 0.4;
const FAR_STEPS: Minute = 20;
const FAR_STEP: Minute = 30;
/// What finds no place is tried so much sooner at the most, min.
const ELSEWHEN: Minute = 720;
/// The search goes back to the best it has found so many times.
const BACK_TO_THE_BEST: usize = 3;

/// Puts a chain back by some minutes sooner or later, each as it lay beside the others; who finds no place so is left.
fn move_together(
    draft: &mut Draft,
    before: &[(usize, Option<Placed>)],
    homeless: &mut Vec<usize>,
    random: &mut ChaCha8Rng,
) {
    let by = match draft.net.is_watched && random.random_bool(FAR) {
        true => random.random_range(1..=FAR_STEPS) * FAR_STEP,
        false => TOGETHER[random.random_range(0..TOGETHER.len())],
    };
    let by = if random.random_bool(0.5) { by } else { -by };
    let mut order: Vec<(Minute, usize)> =
        before.iter().filter_map(|(number, placed)| Some((placed.as_ref()?.start()?, *number))).collect();
    order.sort_unstable();
    if by > 0 {
        order.reverse();
    }
    // What belongs near others comes after them.
    order.sort_by_key(|(_, number)| matches!(draft.net.problem.jobs[*number].place, Slot::Near { .. }));
    for (start, number) in order {
        if draft.insert_at(number, start + by) {
            homeless.retain(|other| *other != number);
        }
    }
}

impl<'a> Search<'a> {
    /// A placing after so many tries, or fewer where no more than `wanted` are without a place.
    pub fn mended(&mut self, begun: Best<'a>, tries: usize, wanted: usize) -> Best<'a> {
        let before = std::mem::replace(&mut self.best, begun);
        self.improve(tries, Some(wanted));
        std::mem::replace(&mut self.best, before)
    }

    /// Some jobs at a time are taken out and put back, so often; no longer than until so few have no place, where that is all that is wanted.
    pub fn improve(&mut self, tries: usize, until: Option<usize>) {
        let jobs = self.net.problem.jobs.len();
        let mut stands = self.best.clone();
        let mut bias = vec![0; jobs];
        for step in 0..tries {
            let is_done = until.is_some_and(|wanted| self.best.homeless.len() <= wanted);
            if is_done || (step % 16 == 0 && self.is_stopped()) {
                break;
            }
            if step % (tries / BACK_TO_THE_BEST).max(1) == 0 && step > 0 {
                stands = self.best.clone();
            }
            // A chain is moved together, as far as it can be; or some are put back each where it costs least.
            let moved = stands.homeless.is_empty() && self.random.random_bool(MOVED_TOGETHER);
            let out = match moved {
                true => chain(self.net, (&self.movable, &self.in_play), &mut self.random),
                false => ruin(&stands.draft, (&self.movable, &self.in_play), &stands.homeless, &mut self.random),
            };
            let before: Vec<(usize, Option<Placed>)> =
                out.iter().map(|number| (*number, stands.draft.placed[*number])).collect();
            // Those that belong near others are taken out first, and what they hang on is put back first.
            out.iter().for_each(|number| stands.draft.lift(*number));
            let random = &mut self.random;
            turns(self.net, &out, &mut bias, random);
            let forward = random.random_bool(0.1);
            let sooner = if random.random_bool(0.25) { 0.3 } else { 0.0 };
            let mut homeless = out.clone();
            if moved {
                move_together(&mut stands.draft, &before, &mut homeless, random);
            }
            let elsewhere = !stands.homeless.is_empty() && random.random_bool(0.3);
            stands.draft.insert_all(&mut homeless, forward, &bias, |number| {
                // What finds no place may find one hours before, with a wait after it.
                if elsewhere && !self.net.ends[number].is_empty() {
                    return Wish::Sooner(random.random_range(0..=ELSEWHEN));
                }
                if sooner > 0.0 && self.net.problem.jobs[number].give == Give::Never && random.random_bool(sooner) {
                    let most = if random.random_bool(0.5) { 8 } else { 60 };
                    Wish::Sooner(random.random_range(1..=most))
                } else {
                    Wish::Cheapest
                }
            });
            let lies: Vec<Placed> =
                stands.draft.placed.iter().map(|placed| placed.unwrap_or(Placed::Dropped)).collect();
            let cost = cost(self.net.problem, &lies, stands.draft.late) + self.forced_price * homeless.len() as f64;
            let borne = BORNE * (1.0 - step as f64 / tries as f64) * self.best.cost.min(1e4);
            if cost <= stands.cost + 1e-9 || cost < self.best.cost + borne {
                (stands.homeless, stands.cost) = (homeless, cost);
                if cost < self.best.cost - 1e-9 {
                    self.best = stands.clone();
                }
            } else {
                out.iter().for_each(|number| stands.draft.lift(*number));
                before.into_iter().for_each(|(number, placed)| {
                    placed.into_iter().for_each(|placed| stands.draft.put(number, placed));
                });
            }
        }
    }
}
