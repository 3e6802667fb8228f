//! One placing, from the bell backwards.

use super::bounds::{Bounds, bounds, somebody_there};
use super::broken::Broken;
use super::cost::cost;
use super::placed::Placed;
use super::problem::{Booking, Edge, Gap, Give, HANDS, Job, Minute, Place, Problem, Span};
use super::timeline::{Timeline, Use};

/// Nothing is looked for further back than this, min.
const FURTHEST: Minute = 6 * 1440;
/// What finds no place is looked for so far from where it belongs, min.
const FORCED_BACK: Minute = 120;
/// The bell is moved on so often at most before the rest is said to be impossible.
const MOST_DELAYS: usize = 60;
/// Between a bell that does not fit and one that does, so many parts are tried, and the part that fits again so often.
const PARTS: Minute = 16;
const FINER: usize = 3;
/// What it costs that a job found no place at all and is put where it can't be.
const FORCED_PRICE: f64 = 1000.0;
/// What can be left out is placed when all else is.
const LAST: Minute = -100_000;

/// Where everything came to lie.
#[derive(Debug, Clone, PartialEq)]
pub struct Placing {
    /// Each job.
    pub jobs: Vec<Placed>,
    /// Minutes after the bell.
    pub late: Minute,
    /// What it costs, in the unit of the prices.
    pub cost: f64,
    /// Jobs that found no place where they belong.
    pub forced: u32,
    /// What could not be kept; only said of the one that is chosen.
    pub broken: Vec<Broken>,
}

/// What a placing is made by, job by job.
#[derive(Debug, Clone, PartialEq)]
pub(super) struct Order {
    /// What matters more is placed sooner, min.
    pub keys: Vec<Minute>,
    /// It is begun so much sooner than it must be, min.
    pub leads: Vec<Minute>,
}

/// Places a problem again and again; keeps its memory between.
pub(super) struct Placer<'a> {
    problem: &'a Problem,
    taken: Timeline,
    placed: Vec<Option<Placed>>,
    /// Jobs that found no place.
    forced: u32,
    /// Things are not looked at: only hands, and hours of the day.
    hands_only: bool,
    /// Before this no job can start, for the work that comes before it and for what is pinned.
    earliest: Vec<Minute>,
    /// What is pinned before a job, and after it, leaves it no start before the one and none after the other.
    bounds: Vec<Bounds>,
    /// Minutes that the bell is too soon for what follows something pinned.
    behind: Minute,
    /// Bookings that begin, and that end, with each job.
    begins: Vec<Vec<usize>>,
    ends: Vec<Vec<usize>>,
}

impl<'a> Placer<'a> {
    pub fn new(problem: &'a Problem) -> Self {
        let of = |edge: fn(&Booking) -> usize| {
            let mut by_job = vec![Vec::new(); problem.jobs.len()];
            for (number, booking) in problem.bookings.iter().enumerate() {
                by_job[edge(booking)].push(number);
            }
            by_job
        };
        let mut placer = Self {
            problem,
            taken: Timeline::default(),
            placed: Vec::new(),
            forced: 0,
            hands_only: false,
            earliest: Vec::new(),
            bounds: bounds(problem),
            behind: 0,
            begins: of(|booking| booking.from.job),
            ends: of(|booking| booking.to.job),
        };
        placer.earliest = placer.earliest();
        placer
    }

    /// Places everything, what matters more by its key sooner in the order, for plates at the bell; later where it must be,
    /// and then as little later as is found.
    pub fn soonest_plates(&mut self, order: &Order) -> Placing {
        let (mut found, mut missing) = self.tried(order, 0);
        let (mut low, mut high) = (0, missing);
        for _ in 0..MOST_DELAYS {
            if missing == 0 {
                break;
            }
            (found, missing) = self.tried(order, high);
            if missing > 0 {
                high += missing;
            }
        }
        // What begins too soon for one bell may fit one soon after it: in ever smaller steps, the first that fits.
        for _ in 0..FINER {
            let step = (((high - low) / PARTS + 4) / 5 * 5).max(5);
            let fits = (1..PARTS).map(|part| low + part * step).take_while(|late| *late < high).find_map(|late| {
                let (placing, missing) = self.tried(order, late);
                (missing == 0).then_some((late, placing))
            });
            match fits {
                Some((late, placing)) => (found, low, high) = (placing, late - step, late),
                None => low = (high - step).max(low),
            }
        }
        found
    }

    /// A placing for plates so late, however much is missing for it.
    pub fn place(&mut self, order: &Order, late: Minute) -> Placing {
        self.tried(order, late).0
    }

    /// A placing for plates so late, and the minutes that are missing for it.
    fn tried(&mut self, order: &Order, late: Minute) -> (Placing, Minute) {
        let missing = self.place_for(order, late);
        let missing = if self.problem.late_price.is_some() { missing } else { 0 };
        let jobs: Vec<Placed> = self.placed.iter().map(|placed| placed.unwrap_or(Placed::Dropped)).collect();
        let broken = FORCED_PRICE * (f64::from(self.forced) + f64::from(missing));
        let cost = cost(self.problem, &jobs, late) + broken;
        (Placing { jobs, late, cost, forced: self.forced, broken: Vec::new() }, missing)
    }

    /// Places everything for plates so late; the minutes by which it would have to start before now.
    fn place_for(&mut self, order: &Order, late: Minute) -> Minute {
        let problem = self.problem;
        self.put_pinned();
        let mut missing = 0;
        while let Some(number) = self.next(&order.keys, late) {
            let job = &problem.jobs[number];
            let found = self.find(number, job, late, order.leads[number]);
            // No later bell helps what has to be done before something pinned.
            let pinned_after = self.earliest[number] > self.bounds[number].latest;
            if let (Placed::At(at), Give::Never, false) = (found, job.give, pinned_after) {
                missing = missing.max(self.earliest[number].saturating_sub(at));
            }
            self.put(number, found);
        }
        missing.max(self.behind)
    }

    /// Nothing lies but what is pinned.
    fn put_pinned(&mut self) {
        let problem = self.problem;
        self.taken.clear(problem.kinds.len());
        self.placed.clear();
        self.placed.resize(problem.jobs.len(), None);
        self.forced = 0;
        self.behind = 0;
        for (number, job) in problem.jobs.iter().enumerate() {
            if let Some(at) = job.pinned {
                self.put(number, Placed::At(at));
            }
        }
    }

    /// What is placed next: of those whose neighbours lie, the one that ends latest.
    fn next(&self, keys: &[Minute], late: Minute) -> Option<usize> {
        let mut found: Option<(Minute, usize)> = None;
        for (number, job) in self.problem.jobs.iter().enumerate() {
            if self.placed[number].is_some() {
                continue;
            }
            let Some(wanted) = self.wanted(job, late) else { continue };
            let optional = if matches!(job.give, Give::Dropped(_)) { LAST } else { 0 };
            let key = wanted + job.len + keys[number] + optional;
            if found.is_none_or(|(best, _)| key > best) {
                found = Some((key, number));
            }
        }
        found.map(|(_, number)| number)
    }

    fn at(&self, edge: Edge) -> Option<Minute> {
        Some(self.placed[edge.job]?.start()? + edge.at)
    }

    /// Where it would best start; none where a neighbour does not lie yet.
    fn wanted(&self, job: &Job, late: Minute) -> Option<Minute> {
        match &job.place {
            Place::Bell { .. } => Some(late - job.len),
            Place::Before(gaps) => {
                let mut latest = Minute::MAX;
                for gap in gaps {
                    self.placed[gap.then.job]?;
                    // What was left out is waited for by nobody.
                    let Some(then) = self.at(gap.then) else { continue };
                    latest = latest.min(then.saturating_sub(gap.least).saturating_sub(gap.at));
                }
                Some(if latest == Minute::MAX { late - job.len } else { latest })
            }
            Place::Near { to, .. } => {
                self.placed[to.job]?;
                Some(self.at(*to).unwrap_or(late))
            }
        }
    }

    fn find(&mut self, number: usize, job: &Job, late: Minute, lead: Minute) -> Placed {
        let wanted = self.wanted(job, late).unwrap_or(late - job.len) - lead;
        let earliest = self.earliest[number];
        let (low, high) = match &job.place {
            Place::Near { earlier, later, .. } => (wanted - earlier, wanted + later),
            Place::Bell { .. } => (wanted - FURTHEST, wanted),
            Place::Before(gaps) => (wanted - FURTHEST, self.shortest(job, gaps).unwrap_or(wanted)),
        };
        let Bounds { earliest: after_pins, latest: before_pins } = self.bounds[number];
        let low = if job.give == Give::Never { low } else { low.max(earliest) }.max(after_pins);
        if job.give == Give::Never && after_pins > high {
            if after_pins <= before_pins {
                self.behind = self.behind.max(after_pins - high);
            }
            return Placed::At(self.soonest(number, job, after_pins, after_pins + FORCED_BACK).unwrap_or(after_pins));
        }
        if job.give == Give::Never && before_pins < earliest {
            // It comes too late for what is pinned after it, but no sooner than it can be done.
            return Placed::At(self.soonest(number, job, earliest, earliest + FORCED_BACK).unwrap_or(earliest));
        }
        let by_day = if job.by_day { self.latest(number, job, wanted.min(high), low, true) } else { None };
        let back = match by_day.filter(|at| *at >= earliest) {
            Some(at) => Some(at),
            None => self.latest(number, job, wanted.min(high), low, false),
        };
        // Only where the wanted hour is not to be had is it looked for after it: of a moment it may be off to either side, of a wait
        // it is only cut short where there is no other way.
        let either_side = matches!(job.place, Place::Near { .. }) || back.is_none();
        let on = if high > wanted && back != Some(wanted) && either_side {
            self.soonest(number, job, (wanted + 1).max(low), high)
        } else {
            None
        };
        match (back, on, job.give) {
            (Some(back), Some(on), _) if on - wanted < wanted - back => Placed::At(on),
            (Some(at), ..) | (None, Some(at), _) => Placed::At(at),
            (None, None, Give::Never) => Placed::At(self.forced(number, job, wanted)),
            (None, None, Give::Squeezed(_)) => {
                // It takes no time, so it may lie right before what follows.
                let before = high + job.len;
                Placed::Squeezed(before.max(earliest.min(before)))
            }
            (None, None, Give::Dropped(_)) => Placed::Dropped,
        }
    }

    /// The first start of each job: after all that must come before it, each when somebody is there and what it takes is not taken by
    /// what is pinned.
    fn earliest(&mut self) -> Vec<Minute> {
        self.put_pinned();
        let problem = self.problem;
        let mut after = vec![problem.now; problem.jobs.len()];
        let mut earliest: Vec<Minute> = (0..after.len()).map(|number| self.first_free(number, problem.now)).collect();
        // No way is longer than there are jobs; a change in none is the end of it.
        for _ in 0..problem.jobs.len() {
            let before = after.clone();
            for (number, job) in problem.jobs.iter().enumerate() {
                let Place::Before(gaps) = &job.place else { continue };
                for Gap { at, then, least, short, .. } in gaps {
                    let least = short.map_or(*least, |short| short.least);
                    // What can be done in no time is waited for by nobody.
                    let from = match job.give {
                        Give::Never => earliest[number].saturating_add(at + least - then.at),
                        Give::Squeezed(_) | Give::Dropped(_) => after[number],
                    };
                    if from > after[then.job] {
                        after[then.job] = from;
                        earliest[then.job] = self.first_free(then.job, from);
                    }
                }
            }
            if before == after {
                break;
            }
        }
        earliest
    }

    /// The first start from a minute on at which a job can be done beside what lies.
    fn first_free(&mut self, number: usize, from: Minute) -> Minute {
        let job = &self.problem.jobs[number];
        // What belongs near a moment is put off it rather than that the bell waits for it.
        if job.pinned.is_some() || matches!(job.place, Place::Near { .. }) {
            return from;
        }
        let mut at = from;
        while at <= from.saturating_add(FURTHEST) {
            at = somebody_there(self.problem, job, at);
            if self.blocked(number, job, at).is_none() {
                return at;
            }
            at += 1;
        }
        from
    }

    /// Where a job goes that finds no place: off its time or among things that are taken, but where there are hands for it.
    fn forced(&mut self, number: usize, job: &Job, wanted: Minute) -> Minute {
        self.forced += 1;
        let back = self.latest(number, job, wanted, wanted - FORCED_BACK, false);
        let on = match job.place {
            Place::Near { .. } => self.soonest(number, job, wanted + 1, wanted + FORCED_BACK),
            _ => None,
        };
        match (back, on) {
            (Some(back), Some(on)) if on - wanted < wanted - back => on,
            (Some(at), _) | (None, Some(at)) => at,
            (None, None) => {
                self.hands_only = true;
                let found = self.latest(number, job, wanted, wanted - FURTHEST, false);
                self.hands_only = false;
                found.unwrap_or(wanted)
            }
        }
    }

    /// The latest start where waits are cut as short as they bear.
    fn shortest(&self, job: &Job, gaps: &[Gap]) -> Option<Minute> {
        let least = |gap: &Gap| gap.short.map_or(gap.least, |short| short.least);
        let starts =
            gaps.iter().filter_map(|gap| Some(self.at(gap.then)?.saturating_sub(least(gap)).saturating_sub(gap.at)));
        starts.min().map(|start| self.on_grid(job, start))
    }

    fn on_grid(&self, job: &Job, start: Minute) -> Minute {
        // What is never free is sought at the end of time: no sum may run over it.
        let off =
            |at: Minute| (i64::from(start) + i64::from(at) + i64::from(self.problem.clock)).rem_euclid(5) as Minute;
        job.grid.map_or(start, |at| start.saturating_sub(off(at)))
    }

    /// The latest free start within bounds.
    fn latest(&mut self, number: usize, job: &Job, high: Minute, low: Minute, by_day: bool) -> Option<Minute> {
        let mut at = self.on_grid(job, high);
        while at >= low {
            let night = if by_day { self.in_the_night(job, at) } else { None };
            match night.or_else(|| self.blocked(number, job, at)) {
                None => return Some(at),
                Some(next) => at = self.on_grid(job, next.min(at.saturating_sub(1))),
            }
        }
        None
    }

    /// The latest start before a night in which it would fall.
    fn in_the_night(&self, job: &Job, at: Minute) -> Option<Minute> {
        let span = Span { from: at, to: at + job.len };
        self.problem.nights.iter().find(|night| night.common(span) > 0).map(|night| night.from - job.len)
    }

    /// The soonest free start within bounds.
    fn soonest(&mut self, number: usize, job: &Job, low: Minute, high: Minute) -> Option<Minute> {
        let step = if job.grid.is_some() { 5 } else { 1 };
        let mut at = self.on_grid(job, low + step - 1);
        while at <= high {
            if self.blocked(number, job, at).is_none() {
                return Some(at);
            }
            at += step;
        }
        None
    }

    /// Whether it can't start then; if so, the latest start before it at which that may be otherwise.
    fn blocked(&mut self, number: usize, job: &Job, at: Minute) -> Option<Minute> {
        let problem = self.problem;
        let hands = job.takes.iter().filter(|take| take.kind == HANDS).map(|take| take.span);
        for span in hands.chain(job.there.iter().copied()) {
            let there = span.moved(at);
            if let Some(shut) = problem.shut.iter().find(|shut| shut.common(there) > 0) {
                return Some(shut.from - span.to);
            }
        }
        for take in job.takes.iter().filter(|take| take.kind == HANDS || !self.hands_only) {
            if let Some(over) = self.taken.blocked(&problem.kinds, take.kind, take.span.moved(at), take.setting) {
                return Some(over.saturating_sub(take.span.to));
            }
        }
        if self.hands_only {
            return None;
        }
        for booking in self.ends[number].iter().map(|booking| &problem.bookings[*booking]) {
            let Some(kind) = booking.kind else { continue };
            let to = at + booking.to.at;
            let span = Span { from: to - booking.least, to };
            if let Some(over) = self.taken.blocked(&problem.kinds, kind, span, booking.setting) {
                return Some(over.saturating_sub(booking.to.at));
            }
        }
        for booking in self.begins[number].iter().map(|booking| &problem.bookings[*booking]) {
            let (Some(kind), Some(to)) = (booking.kind, self.at(booking.to)) else { continue };
            let span = Span { from: at + booking.from.at, to };
            if self.taken.blocked(&problem.kinds, kind, span, booking.setting).is_some() {
                // Sooner it would only be longer.
                return Some(Minute::MIN + FURTHEST);
            }
        }
        None
    }

    fn put(&mut self, number: usize, placed: Placed) {
        self.placed[number] = Some(placed);
        let Placed::At(at) = placed else { return };
        let problem = self.problem;
        for take in &problem.jobs[number].takes {
            self.taken.add(take.kind, Use { span: take.span.moved(at), setting: take.setting, job: number });
        }
        for booking in self.begins[number].iter().chain(&self.ends[number]).map(|booking| &problem.bookings[*booking]) {
            let (Some(kind), Some(from), Some(to)) = (booking.kind, self.at(booking.from), self.at(booking.to)) else {
                continue;
            };
            self.taken.add(kind, Use { span: Span { from, to }, setting: booking.setting, job: booking.from.job });
        }
    }
}
