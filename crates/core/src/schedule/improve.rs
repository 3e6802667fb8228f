//! A better order of placing, looked for within a budget.

use rand::{RngExt, SeedableRng};
use rand_chacha::ChaCha8Rng;

use super::broken::broken;
use super::place::{Order, Placer, Placing};
use super::problem::{Give, Minute, Place, Problem};
use crate::stop::{Stop, laid_over};

/// A step is taken that is no worse than where the search stood so many steps ago.
const REMEMBERED: usize = 24;
/// A job is put so much sooner or later in the order at most, min.
const SHIFT: Minute = 120;
/// A job is begun sooner by so much at a time, min, and by so many of it at the most.
const SOONER: Minute = 20;
const MOST_SOONER: Minute = 36;
/// How often plates after the bell are tried.
const LATER: f64 = 0.1;

/// The best placing that is found in so many tries, with what it does not keep; the first alone with none. The same problem gives
/// the same placing. When nobody waits any more it ends with what it has.
pub fn solve(problem: &Problem, tries: usize) -> Placing {
    let best = search(problem, tries);
    let broken = broken(problem, &best.jobs, best.late);
    Placing { broken, ..best }
}

fn search(problem: &Problem, tries: usize) -> Placing {
    let mut placer = Placer::new(problem);
    let none = vec![0; problem.jobs.len()];
    let mut order = Order { keys: none.clone(), leads: none };
    let mut best = placer.soonest_plates(&order);
    if best.forced > 0 {
        begin_sooner(&mut placer, problem, &mut order, &mut best);
    }
    // What can be left out finds its own place when all else lies.
    let movable: Vec<usize> =
        (0..problem.jobs.len()).filter(|job| !matches!(problem.jobs[*job].give, Give::Dropped(_))).collect();
    if movable.len() < 2 {
        return best;
    }
    let mut random = ChaCha8Rng::seed_from_u64(problem.jobs.len() as u64);
    let stop = laid_over();
    let (mut stands, mut remembered) = (best.cost, [best.cost; REMEMBERED]);
    let (mut tried_order, mut late) = (order.clone(), best.late);
    for step in 0..tries {
        if stop.as_ref().is_some_and(Stop::is_stopped) {
            break;
        }
        tried_order.clone_from(&order);
        // Some minutes after the bell may spare more than they cost.
        let often = if late > 0 { 4.0 * LATER } else { LATER };
        let tried_late = match problem.late_price.is_some() && random.random_bool(often) {
            true => (late + 5 * random.random_range(-4..=4)).max(0),
            false => late,
        };
        if tried_late == late || random.random_bool(0.5) {
            shift(&mut tried_order.keys, problem, &movable, &mut random);
        }
        let memory = &mut remembered[step % REMEMBERED];
        let tried = placer.place(&tried_order, tried_late);
        if tried.cost <= stands || tried.cost <= *memory {
            stands = tried.cost;
            std::mem::swap(&mut order, &mut tried_order);
            late = tried_late;
            if tried.cost < best.cost - 1e-9 {
                best = tried;
            }
        }
        *memory = memory.min(stands);
    }
    best
}

/// Jobs near whose moments others belong.
fn anchors(problem: &Problem) -> Vec<usize> {
    let near = problem.jobs.iter().filter_map(|job| match (&job.place, job.give) {
        (Place::Near { to, .. }, Give::Never) => Some(to.job),
        _ => None,
    });
    let mut anchors: Vec<usize> = near.collect();
    anchors.sort_unstable();
    anchors.dedup();
    anchors
}

/// Where something that belongs near a moment of a job finds no place (a wrap with everybody asleep), that job is begun so much sooner
/// that it does, where the wait costs less.
fn begin_sooner(placer: &mut Placer, problem: &Problem, order: &mut Order, best: &mut Placing) {
    for anchor in anchors(problem) {
        for lead in (1..=MOST_SOONER).map(|part| part * SOONER) {
            let mut tried_order = order.clone();
            tried_order.leads[anchor] = lead;
            let tried = placer.place(&tried_order, best.late);
            if tried.cost < best.cost - 1e-9 {
                (*order, *best) = (tried_order, tried);
            }
        }
    }
}

/// Puts one job, or all of a group, sooner or later in the order; or two in each other's place.
fn shift(keys: &mut [Minute], problem: &Problem, movable: &[usize], random: &mut ChaCha8Rng) {
    let job = movable[random.random_range(0..movable.len())];
    match random.random_range(0..4) {
        0 | 1 => keys[job] = random.random_range(-SHIFT..=SHIFT),
        2 => {
            let other = movable[random.random_range(0..movable.len())];
            keys.swap(job, other);
            keys[job] += random.random_range(-15..=15);
        }
        _ => {
            let by = random.random_range(-SHIFT / 2..=SHIFT / 2);
            let group = problem.jobs[job].group;
            for number in movable.iter().filter(|number| problem.jobs[**number].group == group) {
                keys[*number] += by;
            }
        }
    }
}
