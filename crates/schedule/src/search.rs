//! The best placing that is found within a budget.

use ergastic_cancel::{Cancel, Cancelled};
use rand::RngExt;
use rayon::prelude::*;

use super::broken::{Broken, broken};
use super::cost::cost;
use super::draft::{Draft, Wish};
use super::net::Net;
use super::placed::Placed;
use super::problem::{Give, Minute, Problem, Slot};
use super::queue::{Order, orders, queued};
use super::stands::{BIAS, Best, LATEST, Search, Turns, plates};

/// So often a placing that is not clean is tried to be mended where no more was asked for.
const MENDING: usize = 40;
/// Of the tries, the share that is left for a placing that was hurried.
const AFTER_HURRY: f64 = 0.4;
/// Of the tries, the share for all together, when what must be done has been placed.
const FOR_ALL: f64 = 0.2;
/// So many other first placings are looked at, at the most.
const ELSEWHERE: usize = 300;
/// Where dishes queue for a thing, the share of the tries that goes into the orders in which they may; the better half of them is gone into
/// twice as far.
const FOR_QUEUES: f64 = 0.7;
/// Before dishes queue, so many orders of all turns from now on are looked at.
const FROM_NOW_ON: usize = 600;
/// What finds no place is sought one from so many first placings.
const ROUNDS: usize = 8;

/// Where everything came to lie.
#[derive(Debug, Clone, PartialEq)]
pub struct Placing {
    /// Each job.
    pub jobs: Vec<Placed>,
    /// Minutes after the bell.
    pub late: Minute,
    /// What it costs, in the unit of the prices.
    pub cost: f64,
    /// No placing costs less: proven.
    pub bound: f64,
    /// No placing has its plates sooner after the bell: proven, min.
    pub late_bound: Minute,
    /// The soonest plates of each group of jobs, were it alone: proven, minutes after the bell.
    pub late_alone: Vec<(usize, Minute)>,
    /// Jobs that found no place where they belong.
    pub forced: u32,
    /// What each of those costs.
    pub forced_price: f64,
    /// What could not be kept.
    pub broken: Vec<Broken>,
}

/// The best placing that is found in so many tries, with what it does not keep. The same problem gives the same placing.
///
/// # Errors
/// Nobody waits for it any more.
///
/// ```
/// use ergastic_schedule::*;
/// let hands = |len| vec![Take { kind: HANDS, setting: 0, span: Span { from: 0, to: len } }];
/// let job = |len, place| Job {
///     group: Some(0), len, takes: hands(len), there: vec![], place, grid: None, give: Give::Never, by_day: None, pinned: None,
/// };
/// let right_before = Gap {
///     at: 10, then: Edge { job: 1, at: 0 }, least: 0, ideal: 0, most: 10, under: 0.0, over: 1.0, beyond: 4.0, broken: 0.0, said: true,
/// };
/// let problem = Problem {
///     jobs: vec![
///         job(10, Slot::Before(vec![right_before])),
///         job(5, Slot::ServeAt { price: 1.0, most: 30, beyond: 10.0 }),
///     ],
///     kinds: vec![Kind { count: 1, room: 1 }],
///     now: -600,
///     ..Problem::default()
/// };
/// let placing = solve(&problem, 200, &ergastic_cancel::Cancel::default()).unwrap();
/// assert_eq!(placing.jobs, [Placed::At(-15), Placed::At(-5)]);
/// ```
pub fn solve(problem: &Problem, tries: usize, cancel: &Cancel) -> Result<Placing, Cancelled> {
    let net = Net::of(problem);
    let late_bound = if problem.late_price.is_some() { net.late_bound().min(LATEST) } else { 0 };
    let mut search = Search::of(&net, late_bound, cancel);
    search.run(tries);
    cancel.check()?;
    let Best { mut draft, mut homeless, .. } = search.best;
    let forced = homeless.len() as u32;
    while let Some(number) = homeless.iter().copied().max_by_key(|number| draft.would_lie(*number)) {
        homeless.retain(|other| *other != number);
        if !draft.insert(number, Wish::Cheapest) {
            draft.force(number);
        }
    }
    let jobs: Vec<Placed> = draft.placed.iter().map(|placed| placed.unwrap_or(Placed::Dropped)).collect();
    let late = plates(problem, &jobs).max().unwrap_or(draft.late).max(0);
    let late = if problem.late_price.is_some() { late } else { 0 };
    Ok(Placing {
        late,
        cost: cost(problem, &jobs, late) + search.forced_price * f64::from(forced),
        bound: problem.late_price.unwrap_or(0.0) * f64::from(late_bound) + net.plates_bound(),
        late_bound,
        late_alone: net.late_alone(),
        forced,
        forced_price: search.forced_price,
        broken: broken(problem, &jobs, late),
        jobs,
    })
}

/// Where jobs lie, whatever problem they were placed for.
struct Lies {
    placed: Vec<Option<Placed>>,
    late: Minute,
    cost: f64,
}

impl Lies {
    fn of(best: &Best) -> Self {
        Self { placed: best.draft.placed.clone(), late: best.draft.late, cost: best.cost }
    }
}

impl<'a> Search<'a> {
    fn run(&mut self, tries: usize) {
        let orders = if tries >= MENDING { orders(self.net.problem) } else { Vec::new() };
        let in_queues = (tries as f64 * FOR_QUEUES) as usize;
        match (self.movable.is_empty(), orders.is_empty()) {
            (true, _) => {}
            (false, true) => self.place_what_must_be(tries),
            (false, false) => {
                let late = !self.best.homeless.is_empty() && self.net.problem.late_price.is_some();
                let soon = late.then(|| self.as_soon_as_can_be(FROM_NOW_ON));
                self.begin_in_queues(orders, in_queues);
                self.sooner(soon, tries);
                self.place_what_must_be(tries - in_queues);
            }
        }
        // What can be left out finds its place beside all that can't.
        self.moves(|job| matches!(job.give, Give::Dropped(_)));
        let mut optional = self.movable.clone();
        self.moves(|_| true);
        let bias = vec![0; self.net.problem.jobs.len()];
        self.best.draft.insert_all(&mut optional, false, &bias, |_| Wish::Cheapest);
        let Best { draft, homeless, .. } = self.best.clone();
        self.best = self.priced(draft, homeless);
        if !self.movable.is_empty() {
            self.improve((tries as f64 * FOR_ALL) as usize, None);
        }
    }

    /// Where dishes queue for a thing: the best placing of the best order in which they may.
    fn begin_in_queues(&mut self, orders: Vec<Order>, tries: usize) {
        let mut begun: Vec<(Order, Lies)> = orders.into_iter().map(|order| (order, Lies::of(&self.best))).collect();
        let rounds = begun.len().ilog2() as usize + 1;
        loop {
            let each = (tries / rounds / begun.len()).max(1);
            // Each has random numbers of its own: beside each other they come to the same.
            begun.par_iter_mut().for_each(|(order, lies)| {
                let problem = queued(self.net.problem, order);
                let net = Net::of(&problem);
                let late_bound = if problem.late_price.is_some() { net.late_bound().min(LATEST) } else { 0 };
                let mut search = Search::of(&net, late_bound, self.cancel);
                search.stand_on(lies);
                search.place_what_must_be(each);
                *lies = Lies::of(&search.best);
            });
            if self.is_stopped() {
                return;
            }
            begun.sort_by(|a, b| a.1.cost.total_cmp(&b.1.cost));
            if begun.len() == 1 {
                break;
            }
            begun.truncate(begun.len().div_ceil(2));
        }
        self.stand_on(&begun[0].1);
    }

    /// Goes on from where jobs lie, where that is no worse and they can lie so.
    fn stand_on(&mut self, lies: &Lies) {
        let mut draft = Draft::of(self.net, lies.late);
        let mut homeless = Vec::new();
        let near = |number: &usize| matches!(self.net.problem.jobs[*number].place, Slot::Near { .. });
        let (beside, first): (Vec<usize>, Vec<usize>) = self.movable.iter().partition(|number| near(number));
        for number in first.into_iter().chain(beside) {
            match lies.placed[number] {
                Some(Placed::At(start)) if draft.insert_at(number, start) => {}
                Some(Placed::At(_)) | None => homeless.push(number),
                Some(placed) => draft.put(number, placed),
            }
        }
        let bias = vec![0; self.net.problem.jobs.len()];
        draft.insert_all(&mut homeless, false, &bias, |_| Wish::Cheapest);
        let stands = self.priced(draft, homeless);
        if stands.cost < self.best.cost - 1e-9 {
            self.best = stands;
        }
    }

    fn place_what_must_be(&mut self, tries: usize) {
        let mend = tries.max(MENDING);
        if tries > 0 || !self.best.homeless.is_empty() {
            self.look_elsewhere((tries / 10).clamp(10, ELSEWHERE));
        }
        if !self.best.homeless.is_empty() {
            self.find_homes(mend);
            if !self.best.homeless.is_empty() && self.net.problem.late_price.is_some() {
                self.later(mend);
            }
        }
        // What is late has had its tries.
        let share = if self.best.draft.late > self.late_bound { AFTER_HURRY } else { 1.0 - FOR_ALL };
        self.improve((tries as f64 * share) as usize, None);
    }

    /// From one first placing after the other, until all have a place.
    fn find_homes(&mut self, tries: usize) {
        let mut best = self.best.clone();
        for round in 0..ROUNDS {
            if best.homeless.is_empty() || self.is_stopped() {
                break;
            }
            if round > 0 {
                self.best = self.built_otherwise();
            }
            self.improve(tries / ROUNDS, Some(0));
            if self.best.cost < best.cost - 1e-9 {
                best = self.best.clone();
            }
        }
        self.best = best;
    }

    /// A first placing in which whole dishes have their turn sooner or later.
    fn built_otherwise(&mut self) -> Best<'a> {
        let mut bias = vec![0; self.net.problem.jobs.len()];
        let most = [0; 3].map(|_: Minute| BIAS[self.random.random_range(0..BIAS.len())]);
        let turns = Turns::some(most, &mut self.random);
        for number in &self.movable {
            bias[*number] = turns.of(self.net, *number);
        }
        let mut draft = Draft::of(self.net, self.best.draft.late);
        let mut homeless = self.movable.clone();
        draft.insert_all(&mut homeless, false, &bias, |_| Wish::Cheapest);
        self.priced(draft, homeless)
    }

    /// The best of other first placings.
    fn look_elsewhere(&mut self, others: usize) {
        for _ in 0..others {
            let other = self.built_otherwise();
            if other.cost < self.best.cost - 1e-9 {
                self.best = other;
            }
        }
    }
}
