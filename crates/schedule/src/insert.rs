//! Putting jobs into a placing: one where it is wished, all in their turn, and what has no place where it can't be.

use super::draft::{Draft, Wish};
use super::net::FURTHEST;
use super::placed::Placed;
use super::problem::{Give, Minute, Slot};
/// What finds no place is looked for so far from where it belongs, min.
const FORCED_BACK: Minute = 120;
/// What can be left out is placed when all else is.
const LAST: i64 = -1_000_000;

impl Draft<'_> {
    /// Whether what a job belongs near has no place yet.
    fn is_without_its_anchor(&self, number: usize) -> bool {
        matches!(&self.job(number).place, Slot::Near { to, .. } if self.placed[to.job].is_none())
    }

    /// Puts a job at a start, if it can lie there; whether it could.
    pub fn insert_at(&mut self, number: usize, start: Minute) -> bool {
        if self.is_without_its_anchor(number) {
            return false;
        }
        let on_grid = self.net.on_grid(self.job(number), start, true) == start;
        let fits = on_grid && (self.low(number)..=self.high(number)).contains(&start);
        let fits = fits && self.blocked(number, start, true).is_none();
        if fits {
            self.put(number, Placed::At(start));
        }
        fits
    }

    /// Puts a job in where it is wished to lie, or does with it what it gives way to; whether it found a place.
    pub fn insert(&mut self, number: usize, wish: Wish) -> bool {
        if self.is_without_its_anchor(number) {
            return false;
        }
        let found = self.cheapest(number, wish);
        let placed = match (found, self.job(number).give) {
            (Some((at, _)), Give::Never) => Placed::At(at),
            (None, Give::Never) => return false,
            (Some((at, cost)), Give::Dropped(price)) if cost <= price => Placed::At(at),
            (_, Give::Dropped(_)) => Placed::Dropped,
            (_, Give::Squeezed(_)) if wish == Wish::AtOnce => Placed::Squeezed(self.low(number)),
            (found, Give::Squeezed(price)) => {
                let at = self.squeezed(number);
                if at < self.low(number) {
                    let Some((at, _)) = found else { return false };
                    self.put(number, Placed::At(at));
                    return true;
                }
                let lies = self.placed_cost(number, Placed::Squeezed(at)) + price;
                match found {
                    Some((free, cost)) if cost <= lies || wish == Wish::Soonest => Placed::At(free),
                    _ => Placed::Squeezed(at),
                }
            }
        };
        self.put(number, placed);
        true
    }

    /// Where a job lies that takes no time: right before what follows.
    fn squeezed(&self, number: usize) -> Minute {
        let Slot::Before(gaps) = &self.job(number).place else { return self.high(number) };
        let then = gaps.iter().filter_map(|gap| Some(self.at(gap.then)?.saturating_sub(gap.least))).min();
        then.unwrap_or(self.late)
    }

    fn placed_cost(&self, number: usize, placed: Placed) -> f64 {
        let Slot::Before(gaps) = &self.job(number).place else { return 0.0 };
        let own = gaps.iter().filter_map(|gap| Some(gap.price(self.at(gap.then)? - placed.moment(gap.at)?)));
        own.sum()
    }

    /// Puts jobs in, from the bell back or from now on, those first whose neighbours lie; `bias` (min) changes whose turn it is. Those
    /// that found no place are left in `jobs`.
    pub fn insert_all(
        &mut self,
        jobs: &mut Vec<usize>,
        forward: bool,
        bias: &[Minute],
        mut wish: impl FnMut(usize) -> Wish,
    ) {
        let net = self.net;
        jobs.iter().for_each(|number| self.open[*number] = true);
        for number in jobs.iter() {
            self.waits_for[*number] = net.first(*number, forward).filter(|other| self.open[*other]).count();
        }
        let mut ready: Vec<(i64, usize)> = Vec::new();
        for number in jobs.iter().filter(|number| self.waits_for[**number] == 0) {
            ready.push((self.turn(*number, forward) + i64::from(bias[*number]), *number));
        }
        jobs.clear();
        while let Some(next) = (0..ready.len()).max_by_key(|at| (ready[*at].0, std::cmp::Reverse(ready[*at].1))) {
            let (_, number) = ready.swap_remove(next);
            if !self.insert(number, wish(number)) {
                jobs.push(number);
            }
            self.open[number] = false;
            for other in net.then(number, forward) {
                if !self.open[other] {
                    continue;
                }
                self.waits_for[other] -= 1;
                if self.waits_for[other] == 0 {
                    ready.push((self.turn(other, forward) + i64::from(bias[other]), other));
                }
            }
        }
        jobs.sort_unstable();
    }

    /// Whose turn it is: the more, the sooner.
    fn turn(&self, number: usize, forward: bool) -> i64 {
        let job = self.job(number);
        let optional = if matches!(job.give, Give::Dropped(_)) { LAST } else { 0 };
        let turn = match (&job.place, forward) {
            (Slot::Near { to, .. }, _) => {
                let wanted = self.at(*to).unwrap_or(self.late);
                if forward { -wanted } else { wanted + job.len }
            }
            // What has the longest way to the plates goes first.
            (_, true) => self.net.tail[number] - self.low(number),
            (_, false) => self.high(number) + job.len,
        };
        optional + i64::from(turn)
    }

    /// Puts a job where it can't be, as near as may be to where it belongs, but where there are hands for it, and before now only where
    /// what is pinned after it leaves nothing else.
    pub fn force(&mut self, number: usize) {
        let job = self.job(number);
        let (earliest, high) = (self.net.earliest[number], self.high(number));
        let (after_pins, before_pins) = (self.net.after_pins[number], self.net.before_pins[number]);
        let low = self.low(number);
        let at = if before_pins < earliest {
            // It comes too late for what is pinned after it, but no sooner than it can be done.
            self.free(number, earliest, earliest + FORCED_BACK, true).unwrap_or(earliest)
        } else if after_pins > high {
            self.free(number, after_pins, after_pins + FORCED_BACK, true).unwrap_or(after_pins)
        } else {
            let wanted = match &job.place {
                Slot::Near { to, .. } => self.at(*to).unwrap_or(high).max(self.net.problem.now),
                _ => high.max(low),
            };
            let back = self.free(number, wanted, (wanted - FORCED_BACK).max(self.net.problem.now), false);
            let on = self.free(number, wanted + 1, wanted + FORCED_BACK, true);
            match (back, on) {
                (Some(back), Some(on)) if on - wanted < wanted - back => on,
                (Some(at), _) | (None, Some(at)) => at,
                (None, None) => self.with_hands(number, wanted).unwrap_or(wanted),
            }
        };
        self.put(number, Placed::At(at));
    }

    /// The latest start up to one at which there are hands for a job, whatever else it takes; or the soonest after it.
    fn with_hands(&mut self, number: usize, wanted: Minute) -> Option<Minute> {
        let problem = self.net.problem;
        for later in [false, true] {
            let mut at = wanted;
            let bound = if later { wanted + FURTHEST } else { (wanted - FURTHEST).max(problem.now) };
            while (later && at <= bound) || (!later && at >= bound) {
                match self.taken.hands_block(problem, number, at, later) {
                    None => return Some(at),
                    Some(next) => at = if later { next.max(at + 1) } else { next.min(at - 1) },
                }
            }
        }
        None
    }
}
