//! What hangs together in a problem, and what that leaves to each job before any of it lies.

use super::problem::{Edge, Gap, Give, HANDS, Job, Minute, OTHERS, Problem, Slot, Span};
use super::taken::Taken;

/// Nothing is looked for further from its place than this, min.
pub(super) const FURTHEST: Minute = 6 * 1440;
/// A wait that parts the last stretch before the plates from what comes before it, min.
const LONG_WAIT: Minute = 45;
/// No bound: far from any minute, and far from the end of numbers.
const NONE: Minute = Minute::MAX / 4;

/// What hangs together.
pub(super) struct Net<'a> {
    pub problem: &'a Problem,
    /// Of each job, those that wait for it and how.
    pub before: Vec<Vec<(usize, Gap)>>,
    /// Of each job, those that belong near it.
    pub beside: Vec<Vec<usize>>,
    /// Of each job, the bookings that begin and that end with it.
    pub begins: Vec<Vec<usize>>,
    pub ends: Vec<Vec<usize>>,
    /// No job can start before this, for now and for all that must come before it.
    pub earliest: Vec<Minute>,
    /// From the start of each job to the plates, at the least.
    pub tail: Vec<Minute>,
    /// How far each is from the plates: 0 at them or right before, 1 in the last stretch, 2 before a long wait.
    pub stage: Vec<usize>,
    /// Something must not be left alone, and there are hours when nobody is there.
    pub is_watched: bool,
    /// What is pinned before a job, and after it, leaves it no start before the one and none after the other.
    pub after_pins: Vec<Minute>,
    pub before_pins: Vec<Minute>,
}

impl<'a> Net<'a> {
    pub fn of(problem: &'a Problem) -> Self {
        let jobs = problem.jobs.len();
        let (mut before, mut beside) = (vec![Vec::new(); jobs], vec![Vec::new(); jobs]);
        for (number, job) in problem.jobs.iter().enumerate() {
            match &job.place {
                Slot::Before(gaps) => gaps.iter().for_each(|gap| before[gap.then.job].push((number, *gap))),
                Slot::Near { to, .. } => beside[to.job].push(number),
                Slot::ServeAt { .. } => {}
            }
        }
        let of = |edge: fn(&super::problem::Booking) -> Edge| {
            let mut by_job = vec![Vec::new(); jobs];
            for (number, booking) in problem.bookings.iter().enumerate() {
                by_job[edge(booking).job].push(number);
            }
            by_job
        };
        let (begins, ends) = (of(|booking| booking.from), of(|booking| booking.to));
        let mut net = Self {
            problem,
            before,
            beside,
            begins,
            ends,
            earliest: Vec::new(),
            tail: vec![0; jobs],
            stage: Vec::new(),
            is_watched: !problem.shut.is_empty() && problem.bookings.iter().any(|booking| booking.watched.is_some()),
            after_pins: vec![-NONE; jobs],
            before_pins: vec![NONE; jobs],
        };
        net.around_pins();
        net.earliest = net.earliest();
        net.tail = net.tail();
        net.stage = net.stages();
        net
    }

    /// What has to lie before a job is put in, from now on or from the bell back.
    pub fn first(&self, number: usize, forward: bool) -> impl Iterator<Item = usize> {
        let (mut near, mut gaps, mut before) = (None, [].iter(), [].iter());
        match (&self.problem.jobs[number].place, forward) {
            (Slot::Near { to, .. }, _) => near = Some(to.job),
            (Slot::Before(waits), false) => gaps = waits.iter(),
            (_, true) => before = self.before[number].iter(),
            (Slot::ServeAt { .. }, false) => {}
        }
        near.into_iter().chain(gaps.map(|gap: &Gap| gap.then.job)).chain(before.map(|(job, _): &(usize, Gap)| *job))
    }

    /// What waits for a job to be put in, from now on or from the bell back.
    pub fn then(&self, number: usize, forward: bool) -> impl Iterator<Item = usize> {
        let (mut gaps, mut before) = ([].iter(), [].iter());
        match (&self.problem.jobs[number].place, forward) {
            (Slot::Before(waits), true) => gaps = waits.iter(),
            (_, false) => before = self.before[number].iter(),
            (_, true) => {}
        }
        let beside = self.beside[number].iter().copied();
        beside.chain(gaps.map(|gap: &Gap| gap.then.job)).chain(before.map(|(job, _): &(usize, Gap)| *job))
    }

    /// The soonest plates that any placing can have: each dish alone, and all hands-on work on the hands there are.
    pub fn late_bound(&self) -> Minute {
        let plates = self.problem.jobs.iter().enumerate().filter(|(_, job)| matches!(job.place, Slot::ServeAt { .. }));
        let alone = plates.map(|(number, job)| self.soonest(number).saturating_add(job.len)).max();
        alone.unwrap_or(0).max(self.hands_bound()).max(0)
    }

    /// The soonest plates of each group of jobs by itself, minutes after the bell.
    pub fn late_alone(&self) -> Vec<(usize, Minute)> {
        let plates = self.problem.jobs.iter().enumerate().filter(|(_, job)| matches!(job.place, Slot::ServeAt { .. }));
        plates.filter_map(|(number, job)| Some((job.group?, self.soonest(number).saturating_add(job.len)))).collect()
    }

    /// The first start that a job can have, for now, what comes before it, and what is pinned.
    fn soonest(&self, number: usize) -> Minute {
        let first = self.earliest[number].max(self.after_pins[number]);
        self.problem.jobs[number].pinned.unwrap_or(first)
    }

    /// What it costs at the least that plates are put on the table one after the other by the hands there are.
    pub fn plates_bound(&self) -> f64 {
        let problem = self.problem;
        let hands = problem.kinds.get(HANDS).map_or(1, |kind| kind.count.max(1));
        let price = |job: &Job| match job.place {
            Slot::ServeAt { price, beyond, .. } if job.pinned.is_none() => Some(price.min(beyond)),
            _ => None,
        };
        let plates: Vec<&Job> = problem.jobs.iter().filter(|job| price(job).is_some()).collect();
        let Some(least) = plates.iter().filter_map(|job| price(job)).reduce(f64::min) else { return 0.0 };
        let taken = |job: &&Job| {
            job.takes.iter().filter(|take| take.kind == HANDS).map(|take| take.span.to - take.span.from).sum()
        };
        let mut minutes: Vec<Minute> = plates.iter().map(taken).collect();
        // Most wait least where the shortest come last.
        minutes.sort_unstable();
        let mut behind = vec![0; hands];
        let mut waits = 0;
        for minutes in minutes {
            let soonest = behind.iter_mut().min().expect("a pair of hands");
            waits += *soonest;
            *soonest += minutes;
        }
        least * f64::from(waits)
    }

    /// The minute by which the hands there are can have done all that has to be done.
    fn hands_bound(&self) -> Minute {
        let problem = self.problem;
        let hands = problem.kinds.get(HANDS).map_or(1, |kind| kind.count.max(1)) as Minute;
        let must =
            problem.jobs.iter().filter(|job| job.give == Give::Never && job.group != OTHERS && job.pinned.is_none());
        let takes = must.flat_map(|job| job.takes.iter().filter(|take| take.kind == HANDS));
        let work: Minute = takes.map(|take| take.span.to - take.span.from).sum();
        if work == 0 || problem.now < -NONE / 2 {
            return -NONE;
        }
        // Hours that nobody is there pass without any of it done.
        let mut end = problem.now + work.div_euclid(hands);
        for _ in 0..=problem.shut.len() {
            let gone = Span { from: problem.now, to: end };
            let shut: Minute = problem.shut.iter().map(|shut| shut.common(gone)).sum();
            let later = problem.now + work.div_euclid(hands) + shut;
            if later == end {
                break;
            }
            end = later;
        }
        end
    }

    /// Whether a job has to be done, and waited for.
    fn must(&self, number: usize) -> bool {
        self.problem.jobs[number].give == Give::Never
    }

    /// From each job's start to the plates, by the least waits between them.
    fn tail(&self) -> Vec<Minute> {
        let jobs = &self.problem.jobs;
        let mut tail: Vec<Minute> = jobs.iter().map(|job| if job.give == Give::Never { job.len } else { 0 }).collect();
        for _ in 0..jobs.len() {
            let mut moved = false;
            for (number, job) in jobs.iter().enumerate() {
                let Slot::Before(gaps) = &job.place else { continue };
                for gap in gaps.iter().filter(|gap| self.must(gap.then.job)) {
                    let own = if self.must(number) { gap.at } else { 0 };
                    let longer = own + gap.least - gap.then.at + tail[gap.then.job];
                    if longer > tail[number] {
                        (tail[number], moved) = (longer, true);
                    }
                }
            }
            if !moved {
                break;
            }
        }
        tail
    }

    fn stages(&self) -> Vec<usize> {
        let jobs = &self.problem.jobs;
        let at_serving = |number: usize| matches!(jobs[number].place, Slot::ServeAt { .. });
        let mut found: Vec<usize> = (0..jobs.len()).map(|number| if at_serving(number) { 0 } else { 2 }).collect();
        let mut open: Vec<usize> = (0..jobs.len()).filter(|number| at_serving(*number)).collect();
        while let Some(number) = open.pop() {
            for (before, _) in self.before[number].iter().filter(|(_, gap)| gap.least < LONG_WAIT) {
                if found[*before] == 2 {
                    found[*before] = usize::from(!at_serving(number));
                    open.push(*before);
                }
            }
        }
        found
    }

    /// What pins leave to each job, by the least waits between them.
    fn around_pins(&mut self) {
        let problem = self.problem;
        if problem.jobs.iter().all(|job| job.pinned.is_none()) {
            return;
        }
        for (number, job) in problem.jobs.iter().enumerate() {
            if let Some(at) = job.pinned {
                (self.after_pins[number], self.before_pins[number]) = (at, at);
            }
        }
        // As long as a bound still moves, and no longer than the longest way.
        for _ in 0..problem.jobs.len() {
            let mut moved = false;
            for (number, job) in problem.jobs.iter().enumerate() {
                let Slot::Before(gaps) = &job.place else { continue };
                for Gap { at, then, least, .. } in gaps {
                    let apart = at + least - then.at;
                    let (from, next) = (self.after_pins[number], &problem.jobs[then.job]);
                    if next.pinned.is_none() && from > -NONE {
                        let earliest = somebody_there(problem, next, from + apart);
                        moved |= earliest > self.after_pins[then.job];
                        self.after_pins[then.job] = self.after_pins[then.job].max(earliest);
                    }
                    let to = self.before_pins[then.job];
                    if job.pinned.is_none() && to < NONE {
                        moved |= to - apart < self.before_pins[number];
                        self.before_pins[number] = self.before_pins[number].min(to - apart);
                    }
                }
            }
            if !moved {
                break;
            }
        }
    }

    /// The first start of each job: after all that must come before it, each when somebody is there and what it takes is not taken by
    /// what is pinned.
    fn earliest(&self) -> Vec<Minute> {
        let problem = self.problem;
        let mut taken = Taken::of(problem);
        for (number, job) in problem.jobs.iter().enumerate() {
            if let Some(at) = job.pinned {
                taken.add_takes(problem, number, at);
            }
        }
        let mut after = vec![problem.now; problem.jobs.len()];
        let mut earliest: Vec<Minute> =
            (0..after.len()).map(|number| self.first_free(&mut taken, number, problem.now)).collect();
        // No way is longer than there are jobs; a change in none is the end of it.
        for _ in 0..problem.jobs.len() {
            let mut moved = false;
            for (number, job) in problem.jobs.iter().enumerate() {
                let Slot::Before(gaps) = &job.place else { continue };
                for Gap { at, then, least, .. } in gaps {
                    // What can be done in no time is waited for by nobody.
                    let from = match job.give {
                        Give::Never => earliest[number].saturating_add(at + least - then.at),
                        Give::Squeezed(_) => after[number].saturating_add(least - then.at),
                        Give::Dropped(_) => continue,
                    };
                    if from > after[then.job] {
                        (after[then.job], moved) = (from, true);
                        earliest[then.job] = self.first_free(&mut taken, then.job, from);
                    }
                }
            }
            if !moved {
                break;
            }
        }
        earliest
    }

    /// The first start from a minute on at which a job can be done beside what is pinned.
    fn first_free(&self, taken: &mut Taken, number: usize, from: Minute) -> Minute {
        let job = &self.problem.jobs[number];
        // What belongs near a moment is put off it rather than that the bell waits for it.
        if job.pinned.is_some() || matches!(job.place, Slot::Near { .. }) || from < -NONE / 2 {
            return from;
        }
        let mut at = self.on_grid(job, from, true);
        while at <= from.saturating_add(FURTHEST) {
            match taken.blocks(self.problem, number, at, true) {
                None => return at,
                Some(next) => at = self.on_grid(job, next.max(at + 1), true),
            }
        }
        from
    }

    /// The nearest start that is on the job's grid, not before a minute or not after it.
    pub fn on_grid(&self, job: &Job, start: Minute, up: bool) -> Minute {
        let Some(at) = job.grid else { return start };
        // What is never free is sought at the end of time: no sum may run over it.
        let off = (i64::from(start) + i64::from(at) + i64::from(self.problem.clock)).rem_euclid(5) as Minute;
        match (off, up) {
            (0, _) => start,
            (_, true) => start.saturating_add(5 - off),
            (_, false) => start.saturating_sub(off),
        }
    }
}

/// The first start from a minute on at which somebody is up and there for all that a job needs them for.
fn somebody_there(problem: &Problem, job: &Job, from: Minute) -> Minute {
    let hands = job.takes.iter().filter(|take| take.kind == HANDS).map(|take| take.span);
    let needs: Vec<Span> = hands.chain(job.there.iter().copied()).collect();
    let mut at = from;
    // As often as there is a time that nobody is there.
    for _ in &problem.shut {
        let away =
            |span: &Span| problem.shut.iter().find(|shut| shut.common(span.moved(at)) > 0).map(|s| s.to - span.from);
        match needs.iter().find_map(away) {
            Some(later) => at = later,
            None => break,
        }
    }
    at
}

#[cfg(test)]
mod tests {
    use proptest::prelude::*;

    use super::*;
    use crate::testing::{before, job, kitchen, plates, span};

    /// Plates after a cut after a long cook that is put in.
    fn dish() -> Problem {
        kitchen(vec![plates(10), before(15, 0, 0), before(20, 1, 180)])
    }

    #[test]
    fn how_long_it_is_to_the_plates_and_how_soon_they_can_be() {
        let mut problem = dish();
        problem.now = -100;
        let net = Net::of(&problem);
        assert_eq!(net.tail, [10, 25, 20 + 180 + 25]);
        assert_eq!(net.earliest, [-100 + 20 + 180 + 15, -100 + 20 + 180, -100]);
        assert_eq!(net.late_bound(), 125);
        assert_eq!(net.late_alone(), [(0, 125)]);
        let longer = kitchen(vec![plates(10), before(15, 0, 0), before(5, 1, 0), before(20, 2, 180)]);
        let stage = Net::of(&longer).stage;
        assert_eq!(
            stage,
            [0, 0, 1, 2],
            "plates and what is right before them, the last stretch, what comes before a long wait"
        );
    }

    #[test]
    fn nobody_starts_before_somebody_is_up_and_hands_can_do_one_thing_at_a_time() {
        let mut problem = dish();
        (problem.now, problem.shut) = (-600, vec![span(-610, -500)]);
        assert_eq!(Net::of(&problem).earliest[2], -500);
        let mut many = kitchen((0..6).map(|_| plates(30)).collect());
        many.now = -60;
        assert_eq!(Net::of(&many).late_bound(), 120, "three hours of work in one");
        many.kinds[HANDS].count = 3;
        assert_eq!(Net::of(&many).late_bound(), 0);
        many.kinds[HANDS].count = 2;
        many.shut = vec![span(-30, -10)];
        assert_eq!(Net::of(&many).late_bound(), 50);
    }

    #[test]
    fn plates_for_one_pair_of_hands_wait_for_each_other_at_least_so_much() {
        let mut problem = kitchen(vec![plates(10), plates(5), plates(20)]);
        assert_eq!(Net::of(&problem).plates_bound(), f64::from(5 + 15));
        problem.kinds[HANDS].count = 3;
        assert_eq!(Net::of(&problem).plates_bound(), 0.0);
    }

    #[test]
    fn what_is_pinned_leaves_room_before_and_after_it() {
        let mut problem = dish();
        problem.jobs[1].pinned = Some(-40);
        let net = Net::of(&problem);
        assert_eq!((net.after_pins[0], net.before_pins[2]), (-25, -40 - 180 - 20));
        assert_eq!((net.after_pins[1], net.before_pins[1]), (-40, -40));
        assert!(net.before_pins[0] >= NONE && net.after_pins[2] <= -NONE);
    }

    #[test]
    fn what_can_be_left_out_is_waited_for_by_nobody() {
        let mut problem = dish();
        problem.now = -100;
        problem.jobs[2].give = Give::Dropped(1.0);
        assert_eq!(Net::of(&problem).earliest[1], -100);
        problem.jobs[2].give = Give::Squeezed(1.0);
        assert_eq!(Net::of(&problem).earliest[1], -100 + 180, "its wait counts from its start");
    }

    #[test]
    fn each_job_is_named_with_what_lies_before_it_and_what_waits_for_it() {
        let mut problem = dish();
        let near = Slot::Near { to: Edge { job: 2, at: 0 }, earlier: 10, later: 10, price: 1.0 };
        problem.jobs.push(job(0, 5, near));
        let net = Net::of(&problem);
        let named = |found: &mut dyn Iterator<Item = usize>| found.collect::<Vec<_>>();
        assert_eq!(named(&mut net.first(2, false)), [1]);
        assert_eq!(named(&mut net.first(1, true)), [2]);
        assert_eq!(named(&mut net.then(2, false)), [3]);
        assert_eq!(named(&mut net.then(2, true)), [3, 1]);
        assert_eq!(named(&mut net.first(3, true)), [2]);
    }

    proptest! {
        #[test]
        fn on_the_grid_is_a_whole_five_minutes_of_the_clock_and_never_further_than_it_has_to_be(
            start in -3000..500, at in 0..100, clock in 0..1440, up: bool
        ) {
            let mut problem = dish();
            problem.clock = clock;
            problem.jobs[0].grid = Some(at);
            let net = Net::of(&problem);
            let found = net.on_grid(&problem.jobs[0], start, up);
            prop_assert_eq!((found + at + clock).rem_euclid(5), 0);
            prop_assert!((found - start).abs() < 5 && (found == start || (found > start) == up));
            prop_assert_eq!(net.on_grid(&problem.jobs[1], start, up), start);
        }
    }
}
