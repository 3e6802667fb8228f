//! What a placing does not keep.

use super::placed::Placed;
use super::problem::{Edge, HANDS, Minute, OTHERS, Place, Problem, Span};
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
    EarlyForTheBell {
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
            Place::Before(gaps) => {
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
            Place::Near { to, earlier, later, .. } => {
                let off = at(*to).map_or(0, |wanted| (wanted - earlier - from).max(from - wanted - later));
                if off > 0 {
                    found.push(Broken::OffItsTime { job: number, minutes: off });
                }
            }
            Place::Bell { most, .. } => {
                let early = late - from - job.len;
                if early > *most {
                    found.push(Broken::EarlyForTheBell { job: number, minutes: early });
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
