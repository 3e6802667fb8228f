//! What is pinned, and hours that nobody is there, leave to the rest.

use super::problem::{Gap, HANDS, Job, Minute, Place, Problem, Span};

/// Between which starts a job can lie, for what is pinned.
#[derive(Debug, Clone, Copy)]
pub(super) struct Bounds {
    pub earliest: Minute,
    pub latest: Minute,
}

/// No bound: far from any minute, and far from the end of numbers.
const NONE: Minute = Minute::MAX / 4;

/// What pins leave to each job, by the least waits between them.
pub(super) fn bounds(problem: &Problem) -> Vec<Bounds> {
    let pinned = |job: &Job| match job.pinned {
        Some(at) => Bounds { earliest: at, latest: at },
        None => Bounds { earliest: -NONE, latest: NONE },
    };
    let mut bounds: Vec<Bounds> = problem.jobs.iter().map(pinned).collect();
    if problem.jobs.iter().all(|job| job.pinned.is_none()) {
        return bounds;
    }
    // As long as a bound still moves, and no longer than the longest way.
    for _ in 0..problem.jobs.len() {
        let before = bounds.clone();
        for (number, job) in problem.jobs.iter().enumerate() {
            let Place::Before(gaps) = &job.place else { continue };
            for Gap { at, then, least, short, .. } in gaps {
                let apart = at + short.map_or(*least, |short| short.least) - then.at;
                let (from, next) = (before[number].earliest, &problem.jobs[then.job]);
                if next.pinned.is_none() && from > -NONE {
                    let earliest = somebody_there(problem, next, from + apart);
                    bounds[then.job].earliest = bounds[then.job].earliest.max(earliest);
                }
                let to = before[then.job].latest;
                if job.pinned.is_none() && to < NONE {
                    bounds[number].latest = bounds[number].latest.min(to - apart);
                }
            }
        }
        let same = |(a, b): (&Bounds, &Bounds)| (a.earliest, a.latest) == (b.earliest, b.latest);
        if before.iter().zip(&bounds).all(same) {
            break;
        }
    }
    bounds
}

/// The first start from a minute on at which somebody is up and there for all that a job needs them for.
pub(super) fn somebody_there(problem: &Problem, job: &Job, from: Minute) -> Minute {
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
