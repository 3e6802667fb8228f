//! Which jobs are taken out together, to be put back otherwise.

use rand::RngExt;
use rand_chacha::ChaCha8Rng;

use super::draft::Draft;
use super::net::Net;
use super::problem::{Minute, Slot, Span};
use super::taken::Taken;

/// So many jobs at the most are taken out at a time, those that hang on them apart.
const MAX: usize = 14;
/// How far around a job others are taken out with it, min.
const AROUND: Minute = 90;

/// Some jobs to be taken out; `homeless` are those that have no place yet.
pub(super) fn ruin(
    draft: &Draft,
    (movable, in_play): (&[usize], &[bool]),
    homeless: &[usize],
    random: &mut ChaCha8Rng,
) -> Vec<usize> {
    let net = draft.net;
    let mut out = OutOfPlace { net, in_play, chosen: vec![false; net.problem.jobs.len()], count: 0 };
    homeless.iter().for_each(|number| out.with_its_anchor(*number));
    let some = |random: &mut ChaCha8Rng, from: &[usize]| from[random.random_range(0..from.len())];
    let seed =
        if !homeless.is_empty() && random.random_bool(0.8) { some(random, homeless) } else { some(random, movable) };
    out.add(seed);
    match random.random_range(0..if homeless.is_empty() { 13 } else { 12 }) {
        // A whole dish, two, or all.
        kind @ 0..=4 => {
            out.dish(net.problem.jobs[seed].group);
            if kind > 0 {
                out.dish(net.problem.jobs[some(random, movable)].group);
            }
            if kind > 3 {
                (0..4).for_each(|_| out.dish(net.problem.jobs[some(random, movable)].group));
            }
        }
        // What lies around it, and what they wait for and are waited for by.
        5..=8 => {
            out.what_lies_around(draft, seed, movable, random);
            if random.random_bool(0.5) {
                out.neighbours();
            }
        }
        // The same stage of every dish: what comes to the table together is plated in another order.
        12 => {
            let same = movable.iter().filter(|number| net.stage[**number] == net.stage[seed]);
            same.for_each(|number| out.add(*number));
        }
        // A chain through its dish.
        9 | 10 => {
            for _ in 0..random.random_range(1..=3) {
                out.neighbours();
            }
        }
        // Some anywhere.
        _ => {
            for _ in 0..random.random_range(1..=6) {
                out.add(some(random, movable));
            }
        }
    }
    (0..out.chosen.len()).filter(|number| out.chosen[*number]).collect()
}

/// The time around a job, or where it would lie.
fn window(draft: &Draft, number: usize, around: Minute) -> Span {
    let len = draft.net.problem.jobs[number].len;
    let start = draft.placed[number].and_then(super::placed::Placed::start).unwrap_or_else(|| draft.would_lie(number));
    Span { from: start - around, to: start + len + around }
}

/// A job with all that must come before it, all that follows it, or both.
pub(super) fn chain(net: &Net, (movable, in_play): (&[usize], &[bool]), random: &mut ChaCha8Rng) -> Vec<usize> {
    let mut out = OutOfPlace { net, in_play, chosen: vec![false; net.problem.jobs.len()], count: 0 };
    let seed = movable[random.random_range(0..movable.len())];
    let (back, on) = match random.random_range(0..4) {
        0 | 1 => (true, false),
        2 => (false, true),
        _ => (true, true),
    };
    out.add(seed);
    // The chain may end anywhere.
    let steps = random.random_range(1..=6);
    for _ in 0..steps {
        let chosen: Vec<usize> = (0..out.chosen.len()).filter(|number| out.chosen[*number]).collect();
        for number in chosen {
            if back {
                net.before[number].iter().for_each(|(before, _)| out.add(*before));
            }
            if let Slot::Before(gaps) = &net.problem.jobs[number].place
                && on
            {
                gaps.iter().for_each(|gap| out.add(gap.then.job));
            }
        }
    }
    (0..out.chosen.len()).filter(|number| out.chosen[*number]).collect()
}

struct OutOfPlace<'a> {
    net: &'a Net<'a>,
    /// Those that are moved at all.
    in_play: &'a [bool],
    chosen: Vec<bool>,
    count: usize,
}

impl OutOfPlace<'_> {
    /// What lies around a job in time, from any of those that may be moved on.
    fn what_lies_around(&mut self, draft: &Draft, seed: usize, movable: &[usize], random: &mut ChaCha8Rng) {
        let around = random.random_range(5..=AROUND);
        let places = window(draft, seed, around);
        let start = random.random_range(0..movable.len());
        for number in movable.iter().cycle().skip(start).take(movable.len()) {
            let lies = draft.placed[*number].and_then(super::placed::Placed::start);
            if lies.is_some_and(|at| Taken::is_near(draft.net.problem, *number, at, places)) {
                self.add(*number);
            }
            if self.count >= MAX {
                break;
            }
        }
    }

    /// A job, with those that belong near it.
    fn add(&mut self, number: usize) {
        if self.chosen[number] || !self.in_play[number] {
            return;
        }
        self.chosen[number] = true;
        self.count += usize::from(!matches!(self.net.problem.jobs[number].place, Slot::Near { .. }));
        self.net.beside[number].iter().for_each(|beside| self.add(*beside));
    }

    /// A job, with what it belongs near.
    fn with_its_anchor(&mut self, number: usize) {
        self.add(number);
        if let Slot::Near { to, .. } = &self.net.problem.jobs[number].place {
            self.add(to.job);
        }
    }

    fn dish(&mut self, group: Option<usize>) {
        let jobs = &self.net.problem.jobs;
        (0..jobs.len()).filter(|number| jobs[*number].group == group).for_each(|number| self.add(number));
    }

    /// What those taken out wait for, and what waits for them.
    fn neighbours(&mut self) {
        let net = self.net;
        let chosen: Vec<usize> = (0..self.chosen.len()).filter(|number| self.chosen[*number]).collect();
        for number in chosen {
            if let Slot::Before(gaps) = &net.problem.jobs[number].place {
                gaps.iter().for_each(|gap| self.add(gap.then.job));
            }
            net.before[number].iter().for_each(|(before, _)| self.add(*before));
            self.with_its_anchor(number);
        }
    }
}
