//! Small problems to try the rooms with.

use crate::problem::{Booking, Edge, Gap, Give, HANDS, Job, Kind, Minute, Problem, Slot, Span, Take};

pub(crate) fn span(from: Minute, to: Minute) -> Span {
    Span { from, to }
}

/// A take of hands for a whole job.
pub(crate) fn hands(len: Minute) -> Vec<Take> {
    vec![Take { kind: HANDS, setting: 0, span: span(0, len) }]
}

/// A job for a pair of hands.
pub(crate) fn job(group: usize, len: Minute, place: Slot) -> Job {
    Job {
        group: Some(group),
        len,
        takes: hands(len),
        there: Vec::new(),
        place,
        grid: None,
        give: Give::Never,
        by_day: None,
        pinned: None,
    }
}

/// Plates.
pub(crate) fn plates(len: Minute) -> Job {
    job(0, len, Slot::ServeAt { price: 1.0, most: 30, beyond: 10.0 })
}

/// A wait from the end of a job to the start of another: at least so long, at best as long, at most ten minutes longer.
pub(crate) fn wait(at: Minute, then: usize, least: Minute) -> Gap {
    Gap {
        at,
        then: Edge { job: then, at: 0 },
        least,
        ideal: least,
        most: least + 10,
        under: 0.0,
        over: 1.0,
        beyond: 4.0,
        broken: 0.0,
        said: true,
    }
}

/// A job that comes before another.
pub(crate) fn before(len: Minute, then: usize, least: Minute) -> Job {
    job(0, len, Slot::Before(vec![wait(len, then, least)]))
}

/// A thing taken from the end of one job to the start of another.
pub(crate) fn booked(kind: usize, setting: i32, from: Edge, to: Edge) -> Booking {
    Booking { kind: Some(kind), setting, from, to, least: 0, watched: None }
}

/// One pair of hands, one oven that bears two dishes at one setting.
pub(crate) fn kitchen(jobs: Vec<Job>) -> Problem {
    Problem {
        jobs,
        kinds: vec![Kind { count: 1, room: 1 }, Kind { count: 1, room: 2 }],
        now: -10_000,
        ..Problem::default()
    }
}
