//! What a placing costs.

use super::placed::Placed;
use super::problem::{Edge, Give, Minute, Place, Problem, Span};

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
        match &job.place {
            Place::Bell { price, borne, dear } => {
                let early = (late - start - job.len).max(0);
                sum += price * f64::from(early.min(*borne)) + dear * f64::from((early - borne).max(0));
            }
            Place::Near { to, price, .. } => {
                sum += at(*to).map_or(0.0, |wanted| price * f64::from((start - wanted).abs()));
            }
            Place::Before(gaps) => {
                for gap in gaps {
                    let Some(then) = at(gap.then) else { continue };
                    let more = then - start - gap.at - gap.least;
                    let beyond = (more - gap.borne).max(0);
                    sum += gap.price * f64::from(more.max(0).min(gap.borne)) + gap.dear * f64::from(beyond);
                    sum += gap.short.map_or(0.0, |short| short.price * f64::from((-more).max(0)));
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
