//! What a search stands on: the placing so far, what may be moved, and what it has cost.

use rand::{RngExt, SeedableRng};
use rand_chacha::ChaCha8Rng;

use super::cost::cost;
use super::draft::{Draft, Wish};
use super::net::Net;
use super::placed::Placed;
use super::problem::{Give, Job, Minute, OTHERS, Problem, Slot};
use ergastic_cancel::Cancel;

/// What it costs that a job finds no place at all and is put where it can't be: as much as plates so late, min; and where plates are
/// at the bell whatever that breaks.
pub const FORCED_AS_LATE: f64 = 240.0;
const FORCED_PRICE: f64 = 240_000.0;
/// Plates are never sought later than this, min.
pub(super) const LATEST: Minute = 4 * 1440;
/// How much sooner or later the turn of a job comes at the most, and that of a whole dish, min.
pub(super) const BIAS: [Minute; 7] = [0, 2, 6, 15, 40, 120, 2000];

/// By how much the turn of each dish comes sooner, at each of its stages.
pub(super) struct Turns([[Minute; 3]; 16]);

impl Turns {
    pub fn some(most: [Minute; 3], random: &mut ChaCha8Rng) -> Self {
        let mut turns = [[0; 3]; 16];
        let alike = random.random_bool(0.3);
        for dish in &mut turns {
            *dish = most.map(|most| random.random_range(-most..=most));
            if alike {
                *dish = [dish[0]; 3];
            }
        }
        Self(turns)
    }

    pub fn of(&self, net: &Net, number: usize) -> Minute {
        net.problem.jobs[number].group.map_or(0, |group| self.0[group % self.0.len()][net.stage[number]])
    }
}

/// Whose turn comes sooner than it would: by whole dishes, by jobs, or both.
pub(super) fn turns(net: &Net, out: &[usize], bias: &mut [Minute], random: &mut ChaCha8Rng) {
    let some = |random: &mut ChaCha8Rng| BIAS[random.random_range(0..BIAS.len())];
    let few = |random: &mut ChaCha8Rng| BIAS[random.random_range(0..BIAS.len() - 1)];
    let (of_dish, own) = match random.random_range(0..3) {
        0 => (some(random), 0),
        1 => (0, few(random)),
        _ => (some(random), few(random)),
    };
    let turns = Turns::some([of_dish; 3], random);
    for number in out {
        bias[*number] = turns.of(net, *number) + random.random_range(-own..=own);
    }
}

/// The ends of those that belong at the bell.
pub(super) fn plates<'a>(problem: &'a Problem, jobs: &'a [Placed]) -> impl Iterator<Item = Minute> + 'a {
    let ends = problem.jobs.iter().zip(jobs).filter(|(job, _)| matches!(job.place, Slot::ServeAt { .. }));
    ends.filter_map(|(job, placed)| Some(placed.start()? + job.len))
}

/// A placing that stands, those that have no place in it, and what it costs.
#[derive(Clone)]
pub(super) struct Best<'a> {
    pub draft: Draft<'a>,
    pub homeless: Vec<usize>,
    pub cost: f64,
}

/// A search under way.
pub(super) struct Search<'a> {
    pub net: &'a Net<'a>,
    pub late_bound: Minute,
    pub forced_price: f64,
    /// Jobs that are moved, and whether each of all is.
    pub movable: Vec<usize>,
    pub in_play: Vec<bool>,
    pub best: Best<'a>,
    pub random: ChaCha8Rng,
    pub cancel: &'a Cancel,
}

impl<'a> Search<'a> {
    pub fn of(net: &'a Net<'a>, late_bound: Minute, cancel: &'a Cancel) -> Self {
        let problem = net.problem;
        let mut search = Self {
            net,
            late_bound,
            forced_price: problem.late_price.map_or(FORCED_PRICE, |price| price * FORCED_AS_LATE),
            movable: Vec::new(),
            in_play: Vec::new(),
            best: Best { draft: Draft::of(net, late_bound), homeless: Vec::new(), cost: f64::INFINITY },
            random: ChaCha8Rng::seed_from_u64(problem.jobs.len() as u64),
            cancel,
        };
        search.moves(|job| !matches!(job.give, Give::Dropped(_)));
        search.best = search.built(late_bound);
        search
    }

    /// Only some jobs are moved.
    pub fn moves(&mut self, moves: impl Fn(&Job) -> bool) {
        let jobs = &self.net.problem.jobs;
        self.in_play = jobs.iter().map(|job| job.pinned.is_none() && job.group != OTHERS && moves(job)).collect();
        self.movable = (0..jobs.len()).filter(|number| self.in_play[*number]).collect();
    }

    pub fn is_stopped(&self) -> bool {
        self.cancel.is_cancelled()
    }

    pub fn priced(&self, draft: Draft<'a>, homeless: Vec<usize>) -> Best<'a> {
        let lies: Vec<Placed> = draft.placed.iter().map(|placed| placed.unwrap_or(Placed::Dropped)).collect();
        let cost = cost(self.net.problem, &lies, draft.late) + self.forced_price * homeless.len() as f64;
        Best { draft, homeless, cost }
    }

    /// A first placing for plates so late, from the bell back.
    pub fn built(&self, late: Minute) -> Best<'a> {
        let mut draft = Draft::of(self.net, late);
        let mut jobs = self.movable.clone();
        let bias = vec![0; self.net.problem.jobs.len()];
        draft.insert_all(&mut jobs, false, &bias, |_| Wish::Cheapest);
        self.priced(draft, jobs)
    }
}
