//! Dishes that queue for a thing: the orders in which they may.

use super::problem::{Edge, Gap, Minute, Problem, Slot};

/// So many orders are gone through at the most.
const MAX: usize = 24;
/// No wait is longer than this, min.
const NEVER: Minute = 1_000_000;

/// Bookings in pairs of which the first is over before the second begins.
pub(super) type Order = Vec<(usize, usize)>;

/// The orders in which bookings of a thing can follow each other where one of it can't bear them together; none where nothing queues.
pub(super) fn orders(problem: &Problem) -> Vec<Order> {
    let mut orders: Vec<Order> = vec![Vec::new()];
    for kind in 0..problem.kinds.len() {
        let waiting: Vec<usize> = (0..problem.bookings.len())
            .filter(|number| {
                let booking = &problem.bookings[*number];
                booking.kind == Some(kind) && booking.from.job != booking.to.job && can_follow(problem, booking.from)
            })
            .collect();
        let apart = |a: usize, b: usize| {
            let [a, b] = [a, b].map(|number| &problem.bookings[number]);
            let group = |edge: Edge| problem.jobs[edge.job].group;
            group(a.from) != group(b.from) && (problem.kinds[kind].room == 1 || a.setting != b.setting)
        };
        let queues = waiting.iter().any(|a| waiting.iter().any(|b| a < b && apart(*a, *b)));
        if problem.kinds[kind].count != 1 || (!queues && waiting.len() <= problem.kinds[kind].room) {
            continue;
        }
        if !queues {
            // All at one setting, but too many for it: one of them is over before another begins.
            let pairs = waiting.iter().flat_map(|a| waiting.iter().map(move |b| (*a, *b))).filter(|(a, b)| a != b);
            let found: Vec<Order> = pairs.map(|pair| vec![pair]).collect();
            let both = orders.iter().flat_map(|before| found.iter().map(move |then| [&before[..], &then[..]].concat()));
            orders = both.take(MAX).collect();
            continue;
        }
        let mut every = Vec::new();
        permuted(&waiting, &mut Vec::new(), &mut every);
        let mut found: Vec<Order> = Vec::new();
        for queue in every {
            let pairs = queue.iter().enumerate().flat_map(|(place, a)| queue[place + 1..].iter().map(|b| (*a, *b)));
            let mut order: Order = pairs.filter(|(a, b)| apart(*a, *b)).collect();
            order.sort_unstable();
            if !found.contains(&order) {
                found.push(order);
            }
        }
        let both = orders.iter().flat_map(|before| found.iter().map(move |then| [&before[..], &then[..]].concat()));
        orders = both.take(MAX).collect();
    }
    if orders.len() < 2 { Vec::new() } else { orders }
}

fn can_follow(problem: &Problem, edge: Edge) -> bool {
    problem.jobs[edge.job].pinned.is_none()
}

/// Every order of some, as long as there are few.
fn permuted(left: &[usize], so_far: &mut Vec<usize>, found: &mut Vec<Vec<usize>>) {
    if left.is_empty() {
        found.push(so_far.clone());
        return;
    }
    for (place, next) in left.iter().enumerate() {
        if found.len() >= MAX {
            return;
        }
        let mut others = left.to_vec();
        others.remove(place);
        so_far.push(*next);
        permuted(&others, so_far, found);
        so_far.pop();
    }
}

/// The problem in which bookings follow each other so: each job that ends the one is before the job that begins the other.
pub(super) fn queued(problem: &Problem, order: &Order) -> Problem {
    let mut queued = problem.clone();
    for (a, b) in order {
        let (to, from) = (problem.bookings[*a].to, problem.bookings[*b].from);
        let gap = Gap {
            at: to.at,
            then: from,
            least: 0,
            ideal: 0,
            most: NEVER,
            under: 0.0,
            over: 0.0,
            beyond: 0.0,
            broken: 0.0,
            said: false,
        };
        if let Slot::Before(gaps) = &mut queued.jobs[to.job].place {
            gaps.push(gap);
        }
    }
    queued
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::problem::Job;
    use crate::testing::{before, booked, job, kitchen, plates};

    /// Two dishes, each put in and lifted, in an oven at these settings.
    fn two_dishes(settings: [i32; 2]) -> Problem {
        let of = |group, job: Job| Job { group: Some(group), ..job };
        let lifted = |then| before(5, then, 0);
        let put_in = |then| job(0, 5, Slot::Before(vec![crate::testing::wait(5, then, 60)]));
        let jobs = vec![
            of(0, plates(5)),
            of(0, lifted(0)),
            of(0, put_in(1)),
            of(1, plates(5)),
            of(1, lifted(3)),
            of(1, put_in(4)),
        ];
        let mut problem = kitchen(jobs);
        let in_the_oven =
            |setting, put_in, lifted| booked(1, setting, Edge { job: put_in, at: 5 }, Edge { job: lifted, at: 0 });
        problem.bookings = vec![in_the_oven(settings[0], 2, 1), in_the_oven(settings[1], 5, 4)];
        problem
    }

    #[test]
    fn dishes_at_two_settings_queue_either_way_round_and_at_one_they_need_not() {
        assert_eq!(orders(&two_dishes([150, 90])), vec![vec![(0, 1)], vec![(1, 0)]]);
        assert!(orders(&two_dishes([150, 150])).is_empty());
        let mut two_ovens = two_dishes([150, 90]);
        two_ovens.kinds[1].count = 2;
        assert!(orders(&two_ovens).is_empty());
        let mut one_has_its_hour = two_dishes([150, 90]);
        one_has_its_hour.jobs[2].pinned = Some(-300);
        assert!(orders(&one_has_its_hour).is_empty());
    }

    #[test]
    fn in_a_queue_the_one_is_lifted_before_the_other_is_put_in() {
        let problem = two_dishes([150, 90]);
        let queued = queued(&problem, &vec![(0, 1)]);
        let Slot::Before(gaps) = &queued.jobs[1].place else { panic!("{:?}", queued.jobs[1]) };
        let added = gaps.last().unwrap();
        assert_eq!((gaps.len(), added.then.job, added.least, added.price(500)), (2, 5, 0, 0.0));
    }

    #[test]
    fn no_more_orders_are_gone_through_than_there_is_time_for() {
        let mut found = Vec::new();
        permuted(&[0, 1, 2], &mut Vec::new(), &mut found);
        found.sort();
        assert_eq!(found.len(), 6);
        found.dedup();
        assert_eq!(found.len(), 6);
        permuted(&[0, 1, 2, 3, 4, 5], &mut Vec::new(), &mut found);
        assert!(found.len() <= MAX, "{}", found.len());
    }
}
