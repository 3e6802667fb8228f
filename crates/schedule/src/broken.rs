//! What a placing does not keep.

use super::placed::Placed;
use super::problem::{Edge, HANDS, Minute, OTHERS, Problem, Slot, Span};
use super::taken::{Use, needed};

/// What must not be left alone may be for so long, min.
const LEFT_ALONE_BORNE: Minute = 20;

/// A promise that is not kept.
#[derive(Debug, Clone, PartialEq, Eq)]
pub enum Broken {
    /// More of a kind is taken at a time than there is, or at another setting.
    TooFew {
        /// The kind.
        kind: usize,
        /// Whose.
        jobs: Vec<usize>,
    },
    /// Hands are wanted when nobody is up and there.
    NobodyThere {
        /// Whose.
        job: usize,
        /// When.
        when: Span,
    },
    /// What must not be left alone is, for so long.
    LeftAlone {
        /// From a job.
        from: usize,
        /// To another.
        to: usize,
        /// Minutes.
        minutes: Minute,
    },
    /// One begins before what it has to wait for is done.
    OutOfOrder {
        /// The first.
        job: usize,
        /// The one that follows.
        then: usize,
    },
    /// One waits for another for longer than its most.
    WaitsTooLong {
        /// The one that waits.
        job: usize,
        /// For this.
        then: usize,
        /// Minutes more than the ideal.
        more: Minute,
    },
    /// A wait is cut short.
    CutShort {
        /// The one that waits.
        job: usize,
        /// For this.
        then: usize,
        /// Minutes that are missing.
        missing: Minute,
    },
    /// It is done so long before the bell, and waits.
    EarlyForServing {
        /// What.
        job: usize,
        /// Minutes.
        minutes: Minute,
    },
    /// It is so far from where it belongs.
    OffItsTime {
        /// What.
        job: usize,
        /// Minutes more than its most.
        minutes: Minute,
    },
    /// It starts before now.
    Past {
        /// What.
        job: usize,
    },
}

/// All of them.
pub fn broken(problem: &Problem, jobs: &[Placed], late: Minute) -> Vec<Broken> {
    let mut found = Vec::new();
    let start = |number: usize| jobs[number].start();
    let at = |edge: Edge| Some(start(edge.job)? + edge.at);
    for (number, (job, placed)) in problem.jobs.iter().zip(jobs).enumerate() {
        let Placed::At(from) = *placed else { continue };
        if job.group == OTHERS {
            continue;
        }
        if from < problem.now {
            found.push(Broken::Past { job: number });
        }
        let hands = job.takes.iter().filter(|take| take.kind == HANDS).map(|take| take.span);
        for span in hands.chain(job.there.iter().copied()) {
            let there = span.moved(from);
            if problem.shut.iter().any(|shut| shut.common(there) > 0) {
                found.push(Broken::NobodyThere { job: number, when: there });
            }
        }
        match &job.place {
            Slot::Before(gaps) => {
                for gap in gaps {
                    let Some(then) = at(gap.then) else { continue };
                    let wait = then - from - gap.at;
                    if wait < gap.least {
                        found.push(Broken::OutOfOrder { job: number, then: gap.then.job });
                    } else if wait < gap.ideal && gap.said {
                        found.push(Broken::CutShort { job: number, then: gap.then.job, missing: gap.ideal - wait });
                    } else if wait > gap.most && gap.said {
                        found.push(Broken::WaitsTooLong { job: number, then: gap.then.job, more: wait - gap.ideal });
                    }
                }
            }
            Slot::Near { to, earlier, later, .. } => {
                let off = at(*to).map_or(0, |wanted| (wanted - earlier - from).max(from - wanted - later));
                if off > 0 {
                    found.push(Broken::OffItsTime { job: number, minutes: off });
                }
            }
            Slot::ServeAt { most, .. } => {
                let early = late - from - job.len;
                if early > *most {
                    found.push(Broken::EarlyForServing { job: number, minutes: early });
                }
            }
        }
    }
    for booking in problem.bookings.iter().filter(|booking| booking.watched.is_some()) {
        let Some((from, to)) = at(booking.from).zip(at(booking.to)) else { continue };
        let minutes = problem.shut.iter().map(|shut| shut.common(Span { from, to })).sum();
        if minutes > LEFT_ALONE_BORNE {
            found.push(Broken::LeftAlone { from: booking.from.job, to: booking.to.job, minutes });
        }
    }
    for kind in 0..problem.kinds.len() {
        too_few(problem, jobs, kind, &mut found);
    }
    found
}

/// Where a kind is taken more often than there is of it.
fn too_few(problem: &Problem, jobs: &[Placed], kind: usize, found: &mut Vec<Broken>) {
    let at = |edge: Edge| Some(jobs[edge.job].start()? + edge.at);
    let mut uses: Vec<Use> = Vec::new();
    for (number, (job, placed)) in problem.jobs.iter().zip(jobs).enumerate() {
        let Placed::At(from) = *placed else { continue };
        let takes = job.takes.iter().filter(|take| take.kind == kind && take.span.from < take.span.to);
        uses.extend(takes.map(|take| Use { span: take.span.moved(from), setting: take.setting, job: number }));
    }
    for booking in problem.bookings.iter().filter(|booking| booking.kind == Some(kind)) {
        let Some((from, to)) = at(booking.from).zip(at(booking.to)) else { continue };
        uses.push(Use { span: Span { from, to }, setting: booking.setting, job: booking.from.job });
    }
    let mut told: Vec<Vec<usize>> = Vec::new();
    for begins in &uses {
        let there = |used: &&Use| used.span.from <= begins.span.from && begins.span.from < used.span.to;
        let mut settings: Vec<i32> = uses.iter().filter(there).map(|used| used.setting).collect();
        if needed(problem.kinds[kind], &mut settings) > problem.kinds[kind].count {
            let mut whose: Vec<usize> = uses.iter().filter(there).map(|used| used.job).collect();
            whose.sort_unstable();
            whose.dedup();
            whose.retain(|job| problem.jobs[*job].group != OTHERS);
            if !whose.is_empty() && !told.contains(&whose) {
                told.push(whose);
            }
        }
    }
    // Where more of them meet, those that meet among them are told with them.
    let within = |few: &[usize], many: &[usize]| few.len() < many.len() && few.iter().all(|job| many.contains(job));
    let whole = told.iter().filter(|jobs| !told.iter().any(|other| within(jobs, other)));
    found.extend(whole.map(|jobs| Broken::TooFew { kind, jobs: jobs.clone() }));
}

#[cfg(test)]
mod tests {
    use proptest::prelude::*;

    use super::*;
    use crate::problem::{Booking, Job, Take};
    use crate::testing::{before, booked, job, kitchen, plates, span};

    fn anywhere(len: Minute) -> Job {
        job(0, len, Slot::Before(Vec::new()))
    }

    #[test]
    fn each_promise_is_named_where_it_is_not_kept_and_only_there() {
        let mut problem = kitchen(vec![plates(10), before(20, 0, 30)]);
        problem.now = -500;
        problem.shut = vec![span(-400, -300)];
        let named = |first: Minute, then: Minute, late| broken(&problem, &[Placed::At(then), Placed::At(first)], late);
        assert_eq!(named(-60, -10, 0), []);
        assert_eq!(named(-55, -10, 0), [Broken::OutOfOrder { job: 1, then: 0 }]);
        assert_eq!(named(-75, -10, 0), [Broken::WaitsTooLong { job: 1, then: 0, more: 15 }]);
        assert_eq!(named(-95, -45, 0), [Broken::EarlyForServing { job: 0, minutes: 35 }]);
        assert_eq!(named(-95, -45, -30), [], "a bell that is so much sooner");
        assert!(named(-310, -10, 0).contains(&Broken::NobodyThere { job: 1, when: span(-310, -290) }));
        assert!(named(-505, -10, 0).contains(&Broken::Past { job: 1 }));
        let mut short = problem.clone();
        if let Slot::Before(gaps) = &mut short.jobs[1].place {
            gaps[0].least = 0;
        }
        let cut = broken(&short, &[Placed::At(-10), Placed::At(-50)], 0);
        assert_eq!(cut, [Broken::CutShort { job: 1, then: 0, missing: 10 }]);
    }

    #[test]
    fn what_belongs_near_a_moment_is_off_it_beyond_what_is_borne() {
        let near = Slot::Near { to: Edge { job: 0, at: 5 }, earlier: 10, later: 20, price: 1.0 };
        let problem = kitchen(vec![anywhere(10), Job { takes: Vec::new(), ..job(0, 5, near) }]);
        let off = |at: Minute| broken(&problem, &[Placed::At(-100), Placed::At(at)], 0);
        assert_eq!((off(-105), off(-75)), (vec![], vec![]));
        assert_eq!(off(-108), [Broken::OffItsTime { job: 1, minutes: 3 }]);
        assert_eq!(off(-70), [Broken::OffItsTime { job: 1, minutes: 5 }]);
        assert_eq!(broken(&problem, &[Placed::At(-100), Placed::Dropped], 0), []);
    }

    #[test]
    fn what_must_not_be_left_alone_is_named_past_what_is_borne() {
        let mut problem = kitchen(vec![anywhere(10), plates(10)]);
        let (from, to) = (Edge { job: 0, at: 10 }, Edge { job: 1, at: 0 });
        problem.bookings = vec![Booking { kind: None, watched: Some(1.0), ..booked(1, 0, from, to) }];
        problem.shut = vec![span(-200, -200 + LEFT_ALONE_BORNE)];
        let places = [Placed::At(-300), Placed::At(-10)];
        assert_eq!(broken(&problem, &places, 0), []);
        problem.shut[0].to += 1;
        assert_eq!(broken(&problem, &places, 0), [Broken::LeftAlone { from: 0, to: 1, minutes: LEFT_ALONE_BORNE + 1 }]);
    }

    proptest! {
        #[test]
        fn there_are_too_few_where_a_minute_says_so_and_those_that_meet_in_it_are_named(
            starts in prop::collection::vec((0..60, 1..30), 1..6), hands in 1..3_usize
        ) {
            let jobs = starts.iter().map(|(_, len)| anywhere(*len)).collect();
            let mut problem = kitchen(jobs);
            problem.kinds[HANDS].count = hands;
            let places: Vec<Placed> = starts.iter().map(|(start, _)| Placed::At(*start)).collect();
            let at_work = |minute: Minute| -> Vec<usize> {
                let all = starts.iter().enumerate();
                all.filter(|(_, (start, len))| (*start..start + len).contains(&minute)).map(|(job, _)| job).collect()
            };
            let named: Vec<Vec<usize>> = broken(&problem, &places, 0)
                .into_iter()
                .filter_map(|found| match found { Broken::TooFew { kind: HANDS, jobs } => Some(jobs), _ => None })
                .collect();
            for minute in 0..100 {
                let busy = at_work(minute);
                let told = named.iter().any(|jobs| busy.iter().all(|job| jobs.contains(job)));
                prop_assert!(busy.len() <= hands || told, "{busy:?} at {minute}: {named:?}");
            }
            for jobs in &named {
                prop_assert!((0..100).any(|minute| at_work(minute) == *jobs) && jobs.len() > hands, "{jobs:?}");
            }
        }
    }

    #[test]
    fn an_oven_at_two_settings_is_one_oven_too_few_and_what_others_take_is_not_named() {
        let baking = |setting| Job { takes: vec![Take { kind: 1, setting, span: span(0, 30) }], ..anywhere(30) };
        let mut problem = kitchen(vec![baking(150), baking(150), baking(90)]);
        let places = |third| [Placed::At(-100), Placed::At(-90), Placed::At(third)];
        assert_eq!(broken(&problem, &places(-60), 0), []);
        let few = broken(&problem, &places(-80), 0);
        assert_eq!(few, [Broken::TooFew { kind: 1, jobs: vec![0, 1, 2] }]);
        problem.jobs[2].group = OTHERS;
        assert_eq!(broken(&problem, &places(-80), 0), [Broken::TooFew { kind: 1, jobs: vec![0, 1] }]);
    }
}
