//! What a placing costs.

use super::placed::Placed;
use super::problem::{Edge, Give, Job, Minute, Place, Problem, Span};

/// Whether any of a job falls into a night.
pub(super) fn in_a_night(problem: &Problem, job: &Job, start: Minute) -> bool {
    let span = Span { from: start, to: start + job.len };
    problem.nights.iter().any(|night| night.common(span) > 0)
}

/// What a placing costs, broken promises apart.
pub(super) fn cost(problem: &Problem, jobs: &[Placed], late: Minute) -> f64 {
    let at = |edge: Edge| Some(jobs[edge.job].start()? + edge.at);
    let mut sum = problem.late_price.unwrap_or(0.0) * f64::from(late.max(0));
    for (job, placed) in problem.jobs.iter().zip(jobs) {
        sum += match (placed, job.give) {
            (Placed::Squeezed(_), Give::Squeezed(price)) | (Placed::Dropped, Give::Dropped(price)) => price,
            _ => 0.0,
        };
        let Some(start) = placed.start() else { continue };
        sum += job.by_day.filter(|_| in_a_night(problem, job, start)).unwrap_or(0.0);
        match &job.place {
            Place::Bell { price, most, beyond } => {
                let early = (late - start - job.len).max(0);
                sum += price * f64::from(early.min(*most)) + beyond * f64::from((early - most).max(0));
            }
            Place::Near { to, price, .. } => {
                sum += at(*to).map_or(0.0, |wanted| price * f64::from((start - wanted).abs()));
            }
            Place::Before(gaps) => {
                for gap in gaps {
                    let Some(then) = at(gap.then) else { continue };
                    sum += gap.price(then - placed.moment(gap.at).unwrap_or(start));
                }
            }
        }
    }
    for booking in &problem.bookings {
        let Some((price, (from, to))) = booking.watched.zip(at(booking.from).zip(at(booking.to))) else { continue };
        let away: Minute = problem.shut.iter().map(|shut| shut.common(Span { from, to })).sum();
        sum += price * f64::from(away);
    }
    sum
}
