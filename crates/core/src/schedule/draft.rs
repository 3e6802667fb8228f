//! A placing under the hand: jobs are put in where they cost least, and taken out again.

use super::cost::in_a_night;
use super::net::{FURTHEST, Net};
use super::placed::Placed;
use super::problem::{Edge, Give, Job, Minute, Place, Span};
use super::taken::{Taken, Use};

/// What finds no place is looked for so far from where it belongs, min.
const FORCED_BACK: Minute = 120;
/// What can be left out is placed when all else is.
const LAST: i64 = -1_000_000;

/// How a place is looked for.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub(super) enum Wish {
    /// Where it costs least.
    Cheapest,
    /// The same, looked for so many minutes before that.
    Sooner(Minute),
    /// As soon as can be.
    Soonest,
}

/// A placing under the hand.
#[derive(Clone)]
pub(super) struct Draft<'a> {
    pub net: &'a Net<'a>,
    /// Where each lies; none where it has no place yet, or found none.
    pub placed: Vec<Option<Placed>>,
    taken: Taken,
    /// Minutes from the bell by which plates have to be there.
    pub late: Minute,
    /// Jobs that are being put in, and how many of the others each still waits for.
    open: Vec<bool>,
    waits_for: Vec<usize>,
}

impl<'a> Draft<'a> {
    /// Nothing lies but what is pinned.
    pub fn of(net: &'a Net<'a>, late: Minute) -> Self {
        let jobs = net.problem.jobs.len();
        let mut draft = Self {
            net,
            placed: vec![None; jobs],
            taken: Taken::of(net.problem),
            late,
            open: vec![false; jobs],
            waits_for: vec![0; jobs],
        };
        for (number, job) in net.problem.jobs.iter().enumerate() {
            if let Some(at) = job.pinned {
                draft.put(number, Placed::At(at));
            }
        }
        draft
    }

    fn job(&self, number: usize) -> &'a Job {
        &self.net.problem.jobs[number]
    }

    fn at(&self, edge: Edge) -> Option<Minute> {
        self.placed[edge.job]?.moment(edge.at)
    }

    /// Lays a job and takes what it takes.
    pub fn put(&mut self, number: usize, placed: Placed) {
        self.placed[number] = Some(placed);
        if let Placed::At(start) = placed {
            self.taken.add_takes(self.net.problem, number, start);
            self.booked(number, Taken::add);
        }
    }

    /// Takes a job out again.
    pub fn lift(&mut self, number: usize) {
        if let Some(Placed::At(start)) = self.placed[number] {
            self.taken.remove_takes(self.net.problem, number, start);
            self.booked(number, Taken::remove);
        }
        self.placed[number] = None;
    }

    /// What is booked from or to a job, where both ends lie.
    fn booked(&mut self, number: usize, what: fn(&mut Taken, usize, Use)) {
        let net = self.net;
        let own_end = |booking: usize| net.problem.bookings[booking].from.job != number;
        let ends = net.ends[number].iter().copied().filter(|booking| own_end(*booking));
        for booking in net.begins[number].iter().copied().chain(ends) {
            let booking = &net.problem.bookings[booking];
            let (Some(kind), Some(from), Some(to)) = (booking.kind, self.at(booking.from), self.at(booking.to)) else {
                continue;
            };
            what(
                &mut self.taken,
                kind,
                Use { span: Span { from, to }, setting: booking.setting, job: booking.from.job },
            );
        }
    }

    /// The first start that all that comes before a job leaves it, through what has no place yet.
    fn low(&self, number: usize) -> Minute {
        let job = self.job(number);
        let mut low = self.net.earliest[number].max(self.net.after_pins[number]);
        if let Place::Near { to, earlier, .. } = &job.place {
            return low.max(self.at(*to).map_or(low, |wanted| wanted - earlier));
        }
        for (before, gap) in &self.net.before[number] {
            let end = match self.placed[*before] {
                Some(placed) => placed.moment(gap.at),
                None if self.job(*before).give == Give::Never => Some(self.low(*before) + gap.at),
                None => None,
            };
            low = end.map_or(low, |end| low.max(end.saturating_add(gap.least - gap.then.at)));
        }
        low
    }

    /// The last start that all that follows a job leaves it, through what has no place yet.
    fn high(&self, number: usize) -> Minute {
        let job = self.job(number);
        let last = self.late.saturating_sub(self.net.tail[number]).min(self.net.before_pins[number]);
        match &job.place {
            Place::Bell { .. } => last,
            Place::Near { to, later, .. } => self.at(*to).map_or(last, |wanted| wanted + later),
            Place::Before(gaps) => {
                let ends = gaps.iter().filter_map(|gap| {
                    let then = match self.placed[gap.then.job] {
                        Some(placed) => placed.moment(gap.then.at)?,
                        None if self.job(gap.then.job).give == Give::Never => self.high(gap.then.job) + gap.then.at,
                        None => return None,
                    };
                    Some(then.saturating_sub(gap.least).saturating_sub(gap.at))
                });
                ends.min().unwrap_or(Minute::MAX).min(last)
            }
        }
    }

    /// Whether it lies too late for the plates or for what follows it.
    pub fn is_too_late(&self, number: usize) -> bool {
        matches!(self.placed[number], Some(Placed::At(start)) if start > self.high(number))
    }

    /// About where a job would lie that has no place.
    pub fn would_lie(&self, number: usize) -> Minute {
        match &self.job(number).place {
            Place::Near { to, .. } => self.at(*to).unwrap_or(self.late),
            _ => self.high(number).max(self.low(number)),
        }
    }

    /// What a start costs that hangs on it alone, with its neighbours where they lie.
    fn price(&self, number: usize, start: Minute) -> f64 {
        let (job, problem) = (self.job(number), self.net.problem);
        let mut sum = job.by_day.filter(|_| in_a_night(problem, job, start)).unwrap_or(0.0);
        match &job.place {
            Place::Bell { price, most, beyond } => {
                let early = (self.late - start - job.len).max(0);
                sum += price * f64::from(early.min(*most)) + beyond * f64::from((early - most).max(0));
            }
            Place::Near { to, price, .. } => {
                sum += self.at(*to).map_or(0.0, |wanted| price * f64::from((start - wanted).abs()));
            }
            Place::Before(gaps) => {
                for gap in gaps {
                    sum += self.at(gap.then).map_or(0.0, |then| gap.price(then - start - gap.at));
                }
            }
        }
        for (before, gap) in &self.net.before[number] {
            let end = self.placed[*before].and_then(|placed| placed.moment(gap.at));
            sum += end.map_or(0.0, |end| gap.price(start + gap.then.at - end));
        }
        for booking in self.net.begins[number].iter().chain(&self.net.ends[number]) {
            let booking = &problem.bookings[*booking];
            let end = |edge: Edge| if edge.job == number { Some(start + edge.at) } else { self.at(edge) };
            let Some((price, (from, to))) = booking.watched.zip(end(booking.from).zip(end(booking.to))) else {
                continue;
            };
            let away: Minute = problem.shut.iter().map(|shut| shut.common(Span { from, to })).sum();
            sum += price * f64::from(away);
        }
        sum
    }

    /// The start that costs least where nothing is in the way.
    fn wanted(&self, number: usize, low: Minute, high: Minute) -> Minute {
        let job = self.job(number);
        let mut best = (high, self.price(number, high));
        let mut look = |at: Minute| {
            let at = at.clamp(low, high);
            if at == best.0 {
                return;
            }
            let price = self.price(number, at);
            if price < best.1 - 1e-9 || (price < best.1 + 1e-9 && at > best.0) {
                best = (at, price);
            }
        };
        match &job.place {
            Place::Bell { most, .. } => look(self.late - job.len - most),
            Place::Near { to, .. } => look(self.at(*to).unwrap_or(high)),
            Place::Before(gaps) => {
                for gap in gaps {
                    let Some(then) = self.at(gap.then) else { continue };
                    look(then - gap.at - gap.ideal);
                    look(then.saturating_sub(gap.at).saturating_sub(gap.most));
                }
            }
        }
        for (before, gap) in &self.net.before[number] {
            let Some(end) = self.placed[*before].and_then(|placed| placed.moment(gap.at)) else { continue };
            look(end + gap.ideal - gap.then.at);
            look(end.saturating_add(gap.most).saturating_sub(gap.then.at));
        }
        best.0
    }

    /// Whether a job can't start then beside all that lies; then the next start, later or sooner, at which that may be otherwise.
    fn blocked(&mut self, number: usize, start: Minute, later: bool) -> Option<Minute> {
        let net = self.net;
        let problem = net.problem;
        if let Some(next) = self.taken.blocks(problem, number, start, later, false) {
            return Some(next);
        }
        let never = if later { Minute::MAX / 2 } else { Minute::MIN / 2 };
        for booking in net.ends[number].iter().map(|booking| &problem.bookings[*booking]) {
            let Some(kind) = booking.kind.filter(|_| booking.from.job != number) else { continue };
            let (from, to) = (self.at(booking.from), start + booking.to.at);
            let span = Span { from: from.unwrap_or(to - booking.least), to };
            if let Some(over) = self.taken.over(&problem.kinds, kind, span, booking.setting) {
                return Some(match (later, from) {
                    // Later it would only be longer.
                    (true, Some(_)) => never,
                    (true, None) => over.to.saturating_add(booking.least).saturating_sub(booking.to.at),
                    (false, _) => over.from.saturating_sub(booking.to.at),
                });
            }
        }
        for booking in net.begins[number].iter().map(|booking| &problem.bookings[*booking]) {
            let Some(kind) = booking.kind else { continue };
            let from = start + booking.from.at;
            let to = if booking.to.job == number { Some(start + booking.to.at) } else { self.at(booking.to) };
            let span = Span { from, to: to.unwrap_or(from + booking.least) };
            if let Some(over) = self.taken.over(&problem.kinds, kind, span, booking.setting) {
                return Some(match (later, to) {
                    (true, _) => over.to.saturating_sub(booking.from.at),
                    // Sooner it would only be longer.
                    (false, Some(_)) if booking.to.job != number => never,
                    (false, _) => over.from.saturating_sub(booking.from.at).saturating_sub(span.to - span.from),
                });
            }
        }
        None
    }

    /// The next free start from one on, later or sooner, up to a bound.
    fn free(&mut self, number: usize, from: Minute, bound: Minute, later: bool) -> Option<Minute> {
        let job = self.job(number);
        let mut at = self.net.on_grid(job, from, later);
        loop {
            if (later && at > bound) || (!later && at < bound) {
                return None;
            }
            match self.blocked(number, at, later) {
                None => return Some(at),
                Some(next) if later => at = self.net.on_grid(job, next.max(at.saturating_add(1)), true),
                Some(next) => at = self.net.on_grid(job, next.min(at.saturating_sub(1)), false),
            }
        }
    }

    /// The free start that costs least, and what it costs.
    fn cheapest(&mut self, number: usize, wish: Wish) -> Option<(Minute, f64)> {
        let (low, high) = (self.low(number), self.high(number));
        if low > high {
            return None;
        }
        if wish == Wish::Soonest {
            return self.free(number, low, high, true).map(|at| (at, 0.0));
        }
        let job = self.job(number);
        let low = low.max(high.saturating_sub(FURTHEST));
        let mut wanted = self.wanted(number, low, high);
        if let Wish::Sooner(by) = wish {
            wanted = (wanted - by).max(low);
        }
        let mut best: Option<(Minute, f64)> = None;
        let mut look = |found: Option<(Minute, f64)>| {
            if let Some(found) = found
                && best.is_none_or(|best| found.1 < best.1 - 1e-9)
            {
                best = Some(found);
            }
        };
        let priced = |draft: &Self, at: Option<Minute>| at.map(|at| (at, draft.price(number, at)));
        let back = self.free(number, wanted, low, false);
        look(priced(self, back));
        let on = if back == Some(wanted) { None } else { self.free(number, wanted + 1, high, true) };
        look(priced(self, on));
        // What lies in a night may cost less before it or after it.
        if job.by_day.is_some() {
            for night in &self.net.problem.nights {
                let falls_in =
                    |at: Option<Minute>| at.is_some_and(|at| night.common(Span { from: at, to: at + job.len }) > 0);
                if falls_in(back) {
                    let before = self.free(number, (night.from - job.len).min(high), low, false);
                    look(priced(self, before));
                }
                if falls_in(back) || falls_in(on) {
                    let after = self.free(number, night.to.max(low), high, true);
                    look(priced(self, after));
                }
            }
        }
        best
    }

    /// Whether what a job belongs near has no place yet.
    fn is_without_its_anchor(&self, number: usize) -> bool {
        matches!(&self.job(number).place, Place::Near { to, .. } if self.placed[to.job].is_none())
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
        let Place::Before(gaps) = &self.job(number).place else { return self.high(number) };
        let then = gaps.iter().filter_map(|gap| Some(self.at(gap.then)?.saturating_sub(gap.least))).min();
        then.unwrap_or(self.late)
    }

    fn placed_cost(&self, number: usize, placed: Placed) -> f64 {
        let Place::Before(gaps) = &self.job(number).place else { return 0.0 };
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
            for other in net.then(number, forward).filter(|other| self.open[*other]).collect::<Vec<_>>() {
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
            (Place::Near { to, .. }, _) => {
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
                Place::Near { to, .. } => self.at(*to).unwrap_or(high).max(self.net.problem.now),
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
                match self.taken.blocks(problem, number, at, later, true) {
                    None => return Some(at),
                    Some(next) => at = if later { next.max(at + 1) } else { next.min(at - 1) },
                }
            }
        }
        None
    }
}
