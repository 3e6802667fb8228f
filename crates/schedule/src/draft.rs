//! A placing under the hand: jobs are put in where they cost least, and taken out again.

use super::cost::in_a_night;
use super::net::{FURTHEST, Net};
use super::placed::Placed;
use super::problem::{Edge, Give, Job, Minute, Slot, Span};
use super::taken::{Taken, Use};

/// How a place is looked for.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub(super) enum Wish {
    /// Where it costs least.
    Cheapest,
    /// The same, looked for so many minutes before that.
    Sooner(Minute),
    /// As soon as can be.
    Soonest,
    /// The same, and in no time where it may be squeezed.
    AtOnce,
}

/// A placing under the hand.
#[derive(Clone)]
pub(super) struct Draft<'a> {
    pub net: &'a Net<'a>,
    /// Where each lies; none where it has no place yet, or found none.
    pub placed: Vec<Option<Placed>>,
    pub taken: Taken,
    /// Minutes from the bell by which plates have to be there.
    pub late: Minute,
    /// Jobs that are being put in, and how many of the others each still waits for.
    pub open: Vec<bool>,
    pub waits_for: Vec<usize>,
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

    pub fn job(&self, number: usize) -> &'a Job {
        &self.net.problem.jobs[number]
    }

    pub fn at(&self, edge: Edge) -> Option<Minute> {
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
    pub fn low(&self, number: usize) -> Minute {
        let job = self.job(number);
        let mut low = self.net.earliest[number].max(self.net.after_pins[number]);
        if let Slot::Near { to, earlier, .. } = &job.place {
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
    pub fn high(&self, number: usize) -> Minute {
        let job = self.job(number);
        let last = self.late.saturating_sub(self.net.tail[number]).min(self.net.before_pins[number]);
        match &job.place {
            Slot::ServeAt { .. } => last,
            Slot::Near { to, later, .. } => self.at(*to).map_or(last, |wanted| wanted + later),
            Slot::Before(gaps) => {
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
            Slot::Near { to, .. } => self.at(*to).unwrap_or(self.late),
            _ => self.high(number).max(self.low(number)),
        }
    }

    /// What a start costs that hangs on it alone, with its neighbours where they lie.
    pub fn price(&self, number: usize, start: Minute) -> f64 {
        let (job, problem) = (self.job(number), self.net.problem);
        let mut sum = job.by_day.filter(|_| in_a_night(problem, job, start)).unwrap_or(0.0);
        match &job.place {
            Slot::ServeAt { price, most, beyond } => {
                let early = (self.late - start - job.len).max(0);
                sum += price * f64::from(early.min(*most)) + beyond * f64::from((early - most).max(0));
            }
            Slot::Near { to, price, .. } => {
                sum += self.at(*to).map_or(0.0, |wanted| price * f64::from((start - wanted).abs()));
            }
            Slot::Before(gaps) => {
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
            Slot::ServeAt { most, .. } => look(self.late - job.len - most),
            Slot::Near { to, .. } => look(self.at(*to).unwrap_or(high)),
            Slot::Before(gaps) => {
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
    pub fn blocked(&mut self, number: usize, start: Minute, later: bool) -> Option<Minute> {
        let net = self.net;
        let problem = net.problem;
        if let Some(next) = self.taken.blocks(problem, number, start, later) {
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
    pub fn free(&mut self, number: usize, from: Minute, bound: Minute, later: bool) -> Option<Minute> {
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
    pub fn cheapest(&mut self, number: usize, wish: Wish) -> Option<(Minute, f64)> {
        let (low, high) = (self.low(number), self.high(number));
        if low > high {
            return None;
        }
        if matches!(wish, Wish::Soonest | Wish::AtOnce) {
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
}
