//! The placing of work against the best there is: small problems are searched through to the end.

use ergastic_cancel::Cancel;
use ergastic_schedule::{
    Edge, Gap, Give, HANDS, Job, Kind, Minute, OTHERS, Placed, Problem, Slot, Span, Take, broken, solve,
};
use rand::{RngExt, SeedableRng};
use rand_chacha::ChaCha8Rng;

/// As often as for a meal.
const TRIES: usize = 6000;

/// Everything in a problem lies on fives, so that an optimum does too.
const STEP: Minute = 5;

fn hands(len: Minute) -> Vec<Take> {
    vec![Take { kind: HANDS, setting: 0, span: Span { from: 0, to: len } }]
}

fn job(group: usize, len: Minute, place: Slot) -> Job {
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

fn before(job: usize, at: Minute, least: Minute, over: f64, longer: Minute) -> Slot {
    let (then, most) = (Edge { job, at: 0 }, least + longer);
    let gap =
        Gap { at, then, least, ideal: least, most, under: 0.0, over, beyond: 4.0 * over, broken: 0.0, said: false };
    Slot::Before(vec![gap])
}

/// Two or three dishes of so many jobs each: plated, cut, finished, and brought to their heat hours before.
fn meal(seed: u64) -> Problem {
    if seed.is_multiple_of(2) { dishes(seed, 2, 4) } else { dishes(seed, 3, 3) }
}

fn dishes(seed: u64, many: usize, each: usize) -> Problem {
    let mut random = ChaCha8Rng::seed_from_u64(seed);
    let mut fives = |from: Minute, to: Minute| STEP * random.random_range(from..=to);
    let mut jobs = Vec::new();
    for group in 0..many {
        let first = jobs.len();
        jobs.push(job(group, fives(1, 2), Slot::ServeAt { price: 3.0, most: 40, beyond: 30.0 }));
        let len = fives(1, 2);
        jobs.push(job(group, len, before(first, len, 0, 1.5, 25)));
        let len = fives(2, 4);
        jobs.push(job(group, len, before(first + 1, len, 0, 0.8, 45)));
        if each == 3 {
            continue;
        }
        let len = fives(3, 6);
        jobs.push(job(group, len, before(first + 2, len, fives(18, 48), 0.05, 60)));
    }
    let away = fives(-50, -14);
    Problem {
        jobs,
        kinds: vec![Kind { count: 1 + usize::from(seed.is_multiple_of(3)), room: 1 }],
        shut: vec![Span { from: away, to: away + fives(4, 12) }],
        now: fives(-90, -50),
        late_price: Some(1000.0),
        ..Problem::default()
    }
}

/// The least that any placing costs, if that is under a bound: every start of every job is tried, from the bell back.
struct Exhaustive<'a> {
    problem: &'a Problem,
    order: Vec<usize>,
    starts: Vec<Option<Minute>>,
    late: Minute,
    best: f64,
}

/// Jobs by how many follow them.
fn by_place(problem: &Problem) -> Vec<usize> {
    fn depth(problem: &Problem, job: usize) -> usize {
        match &problem.jobs[job].place {
            Slot::Before(gaps) => 1 + depth(problem, gaps[0].then.job),
            _ => 0,
        }
    }
    let mut order: Vec<usize> = (0..problem.jobs.len()).collect();
    order.sort_by_key(|job| depth(problem, *job));
    order
}

impl Exhaustive<'_> {
    fn least(problem: &Problem, bound: f64) -> f64 {
        let mut search = Exhaustive {
            problem,
            // Those nearest to the bell first, so that what must be dear is seen early.
            order: by_place(problem),
            starts: vec![None; problem.jobs.len()],
            late: 0,
            best: bound,
        };
        let price = problem.late_price.unwrap();
        while price * f64::from(search.late) < search.best {
            search.next(0, price * f64::from(search.late));
            search.late += STEP;
        }
        search.best
    }

    fn next(&mut self, depth: usize, cost: f64) {
        let Some(number) = self.order.get(depth).copied() else {
            self.best = cost;
            return;
        };
        let job = &self.problem.jobs[number];
        let (latest, price): (Minute, Box<dyn Fn(Minute) -> f64>) = match &job.place {
            Slot::ServeAt { price, most, beyond } => {
                let latest = self.late - job.len;
                let (price, most, beyond) = (*price, *most, *beyond);
                (
                    latest,
                    Box::new(move |early| {
                        price * f64::from(early.min(most)) + beyond * f64::from((early - most).max(0))
                    }),
                )
            }
            Slot::Before(gaps) => {
                let gap = gaps[0];
                let latest = self.starts[gap.then.job].unwrap() - gap.least - gap.at;
                (latest, Box::new(move |more| gap.price(gap.least + more)))
            }
            Slot::Near { .. } => unreachable!(),
        };
        let mut start = latest;
        while start >= self.problem.now {
            let now = cost + price(latest - start);
            if now >= self.best - 1e-9 {
                return;
            }
            if self.fits(number, start) {
                self.starts[number] = Some(start);
                self.next(depth + 1, now);
                self.starts[number] = None;
            }
            start -= STEP;
        }
    }

    fn fits(&self, number: usize, start: Minute) -> bool {
        let span = Span { from: start, to: start + self.problem.jobs[number].len };
        let shut = self.problem.shut.iter().any(|shut| shut.common(span) > 0);
        let others: Vec<Span> = (self.problem.jobs.iter().zip(&self.starts))
            .filter_map(|(job, start)| start.map(|from| Span { from, to: from + job.len }))
            .filter(|other| other.common(span) > 0)
            .collect();
        let busiest = (span.from..span.to)
            .step_by(STEP as usize)
            .map(|at| others.iter().filter(|other| other.from <= at && at < other.to).count())
            .max();
        !shut && busiest.unwrap_or(0) < self.problem.kinds[HANDS].count
    }
}

#[test]
fn small_meals_are_placed_as_well_as_can_be_proven() {
    let (mut sum, mut worst) = (0.0, 0.0_f64);
    let seeds = 0..40;
    for seed in seeds.clone() {
        let problem = meal(seed);
        let found = solve(&problem, TRIES, &Cancel::default()).unwrap();
        assert!(found.broken.is_empty(), "{seed}: {:?}", found.broken);
        let least = Exhaustive::least(&problem, found.cost);
        let gap = (found.cost - least) / least.max(1.0);
        assert!(gap >= -1e-9);
        sum += gap;
        worst = worst.max(gap);
    }
    let mean = sum / seeds.count() as f64;
    println!("mean gap {:.2} %, worst {:.2} %", mean * 100.0, worst * 100.0);
    assert!(mean <= 0.02, "mean gap {mean}, worst {worst}");
}

#[test]
fn the_same_problem_is_placed_the_same_and_tries_are_never_worse_than_none() {
    for seed in 100..110 {
        let problem = meal(seed);
        assert_eq!(
            solve(&problem, 100, &Cancel::default()).unwrap(),
            solve(&problem, 100, &Cancel::default()).unwrap()
        );
        let costs = [0, 20, 100, 400].map(|tries| solve(&problem, tries, &Cancel::default()).unwrap().cost);
        assert!(costs.iter().all(|cost| *cost <= costs[0] + 1e-9), "{costs:?}");
    }
}

#[test]
fn what_has_no_time_is_squeezed_left_out_or_late_as_it_says() {
    let mut problem = meal(2);
    problem.shut.clear();
    problem.now = -30;
    let late = solve(&problem, TRIES, &Cancel::default()).unwrap();
    assert!(late.late > 0 && late.broken.is_empty());
    assert!(late.jobs.iter().all(|placed| placed.start().is_some_and(|start| start >= problem.now)));
    // One that is far too long to come before the heat, and one that would keep the only pair of hands from everything else.
    let heat = problem.jobs.len() - 1;
    let mut salt = job(0, 200, before(heat, 200, 0, 0.01, 600));
    salt.give = Give::Squeezed(5.0);
    let mut look = job(0, 600, Slot::Near { to: Edge { job: heat, at: 60 }, earlier: 5, later: 5, price: 0.1 });
    look.give = Give::Dropped(1.0);
    problem.jobs.extend([salt, look]);
    let (salt, look) = (problem.jobs.len() - 2, problem.jobs.len() - 1);
    let tight = solve(&problem, TRIES, &Cancel::default()).unwrap();
    assert!(matches!(tight.jobs[salt], Placed::Squeezed(_)), "{:?}", tight.jobs[salt]);
    assert_eq!(tight.jobs[look], Placed::Dropped);
    assert_eq!(tight.late, late.late, "neither makes the meal later");
    let free = Problem { now: -2000, ..problem };
    let placed = solve(&free, 50, &Cancel::default()).unwrap();
    assert!(broken(&free, &placed.jobs, placed.late).is_empty());
    assert!(matches!(placed.jobs[salt], Placed::At(_)), "there is time for it now");
}

#[test]
fn what_could_be_done_in_the_morning_is_not_put_off_to_the_next_day() {
    // From the plates back: four hours over the heat, the meat patted dry, salted if there is time, trimmed.
    let mut salted = job(0, 3, before(2, 3, 720, 0.0005, 2880));
    if let Slot::Before(gaps) = &mut salted.place {
        (gaps[0].least, gaps[0].under) = (0, 0.02);
    }
    salted.give = Give::Squeezed(5.0);
    let mut jobs = vec![
        job(0, 6, Slot::ServeAt { price: 3.0, most: 40, beyond: 30.0 }),
        job(0, 66, before(0, 66, 240, 0.05, 240)),
        job(0, 2, before(1, 2, 0, 0.02, 60)),
        salted,
        job(0, 8, before(3, 8, 0, 0.002, 1440)),
    ];
    // In the night nobody is up, and the first minutes of the morning are another dinner's.
    let (night, others) = (Span { from: -200, to: 190 }, [Span { from: 190, to: 203 }, Span { from: 203, to: 210 }]);
    jobs.extend(others.map(|span| Job {
        pinned: Some(span.from),
        group: OTHERS,
        ..job(0, span.to - span.from, Slot::Before(Vec::new()))
    }));
    let problem = Problem {
        jobs,
        kinds: vec![Kind { count: 1, room: 1 }],
        shut: vec![night, Span { from: 1180, to: 1630 }],
        now: -120,
        late_price: Some(1000.0),
        ..Problem::default()
    };
    let placing = solve(&problem, 0, &Cancel::default()).unwrap();
    assert!(placing.broken.is_empty(), "{:?}", placing.broken);
    // Trimmed from 210 on: eight, two and 66 minutes of work, 240 of heat, 6 of plates.
    assert!((532..=545).contains(&placing.late), "{} min after the bell", placing.late);
}
