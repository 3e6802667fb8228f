//! What a placing costs.

use super::placed::Placed;
use super::problem::{Edge, Give, Job, Minute, Problem, Slot, Span};

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
            Slot::ServeAt { price, most, beyond } => {
                let early = (late - start - job.len).max(0);
                sum += price * f64::from(early.min(*most)) + beyond * f64::from((early - most).max(0));
            }
            Slot::Near { to, price, .. } => {
                sum += at(*to).map_or(0.0, |wanted| price * f64::from((start - wanted).abs()));
            }
            Slot::Before(gaps) => {
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

#[cfg(test)]
mod tests {
    use super::*;
    use crate::problem::Booking;
    use crate::testing::{before, booked, job, kitchen, plates, span};

    #[test]
    fn each_wait_costs_its_price_and_plates_that_are_early_or_late_theirs() {
        let mut problem = kitchen(vec![plates(10), before(20, 0, 5)]);
        let cost = |problem: &Problem, first: Minute, then: Minute, late: Minute| {
            cost(problem, &[Placed::At(then), Placed::At(first)], late)
        };
        assert_eq!(cost(&problem, -35, -10, 0), 0.0);
        assert_eq!(cost(&problem, -43, -10, 0), 8.0, "eight minutes longer than best");
        assert_eq!(cost(&problem, -48, -10, 0), 10.0 + 3.0 * 4.0, "three of them beyond the most");
        assert_eq!(cost(&problem, -60, -35, 0), 25.0, "plates wait");
        assert_eq!(cost(&problem, -75, -50, 0), 30.0 + 100.0, "ten minutes beyond what they bear");
        problem.late_price = Some(7.0);
        assert_eq!(cost(&problem, -30, -5, 5), 35.0, "late by five minutes, and no wait");
    }

    #[test]
    fn what_is_squeezed_left_out_put_into_the_night_or_left_alone_costs_its_own_price() {
        let mut squeezed = job(0, 15, Slot::Before(Vec::new()));
        squeezed.give = Give::Squeezed(3.0);
        let mut dropped = squeezed.clone();
        dropped.give = Give::Dropped(5.0);
        let mut by_day = job(0, 15, Slot::Before(Vec::new()));
        by_day.by_day = Some(11.0);
        let mut problem = kitchen(vec![squeezed, dropped, by_day]);
        problem.nights = vec![span(-600, -200)];
        let places = [Placed::Squeezed(-100), Placed::Dropped, Placed::At(-100)];
        assert_eq!(cost(&problem, &places, 0), 8.0);
        let at_night = [places[0], places[1], Placed::At(-210)];
        assert_eq!(cost(&problem, &at_night, 0), 19.0);
        assert!(in_a_night(&problem, &problem.jobs[2], -210) && !in_a_night(&problem, &problem.jobs[2], -200));

        let mut watched = kitchen(vec![job(0, 10, Slot::Before(Vec::new())), plates(10)]);
        let (from, to) = (Edge { job: 0, at: 10 }, Edge { job: 1, at: 0 });
        watched.bookings = vec![Booking { watched: Some(2.0), ..booked(1, 150, from, to) }];
        watched.shut = vec![span(-300, -250)];
        let alone = |from: Minute| cost(&watched, &[Placed::At(from), Placed::At(-10)], 0);
        assert_eq!((alone(-320), alone(-270), alone(-200)), (100.0, 20.0, 0.0));
    }
}
