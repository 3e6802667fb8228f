//! The best placing that is found within a budget.

use rand::{RngExt, SeedableRng};
use rand_chacha::ChaCha8Rng;

use super::broken::{Broken, broken};
use super::cost::cost;
use super::draft::{Draft, Wish};
use super::net::Net;
use super::placed::Placed;
use super::problem::{Give, Job, Minute, OTHERS, Place, Problem};
use super::queue::{Order, orders, queued};
use super::ruin::{chain, ruin};
use crate::stop::{Stop, laid_over};

/// What it costs that a job finds no place at all and is put where it can't be: as much as plates so late, min; and where plates are
/// at the bell whatever that breaks.
pub const FORCED_AS_LATE: f64 = 240.0;
const FORCED_PRICE: f64 = 240_000.0;
/// Plates are never sought later than this, min.
const LATEST: Minute = 4 * 1440;
/// So often a placing that is not clean is tried to be mended where no more was asked for.
const MENDING: usize = 40;
/// So many placings from now on are begun with; where none has a place for all, so much more time is given, min.
const FORWARD: usize = 10;
const ROOM: [Minute; 3] = [120, 240, 480];
/// Of the tries, the share that is left for a placing that was hurried.
const AFTER_HURRY: f64 = 0.4;
/// What is late is hurried by so much at a time at first, min.
const HURRIED: Minute = 16;
/// Of the tries, the share that goes into plates that come sooner.
const FOR_SOONER: f64 = 0.5;
/// Of the tries, the share for all together, when what must be done has been placed.
const FOR_ALL: f64 = 0.2;
/// A step is taken that is worse by such a share of what stands at first, and by none in the end.
const BORNE: f64 = 0.15;
/// How much sooner or later the turn of a job comes at the most, and that of a whole dish, min.
const BIAS: [Minute; 7] = [0, 2, 6, 15, 40, 120, 2000];
/// How often a chain is moved together, and by how many minutes.
const MOVED_TOGETHER: f64 = 0.25;
const TOGETHER: [Minute; 8] = [1, 2, 3, 5, 5, 10, 15, 30];
/// So many other first placings are looked at, at the most.
const ELSEWHERE: usize = 300;
/// Where dishes queue for a thing, the share of the tries that goes into the orders in which they may; the better half of them is gone into
/// twice as far.
const FOR_QUEUES: f64 = 0.7;
/// What finds no place is sought one from so many first placings.
const ROUNDS: usize = 8;
/// What finds no place is tried so much sooner at the most, min.
const ELSEWHEN: Minute = 720;
/// The search goes back to the best it has found so many times.
const BACK_TO_THE_BEST: usize = 3;

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

/// The best placing that is found in so many tries, with what it does not keep. The same problem gives the same placing. When nobody
/// waits any more it ends with what it has.
pub fn solve(problem: &Problem, tries: usize) -> Placing {
    let net = Net::of(problem);
    let late_bound = if problem.late_price.is_some() { net.late_bound().min(LATEST) } else { 0 };
    let mut search = Search::of(&net, late_bound);
    search.run(tries);
    let Best { mut draft, mut homeless, .. } = search.best;
    let forced = homeless.len() as u32;
    while let Some(number) = homeless.iter().copied().max_by_key(|number| draft.would_lie(*number)) {
        homeless.retain(|other| *other != number);
        if !draft.insert(number, Wish::Cheapest) {
            draft.force(number);
        }
    }
    let jobs: Vec<Placed> = draft.placed.iter().map(|placed| placed.unwrap_or(Placed::Dropped)).collect();
    let late = plates(problem, &jobs).unwrap_or(draft.late).max(0);
    let late = if problem.late_price.is_some() { late } else { 0 };
    Placing {
        late,
        cost: cost(problem, &jobs, late) + search.forced_price * f64::from(forced),
        bound: problem.late_price.unwrap_or(0.0) * f64::from(late_bound) + net.plates_bound(),
        late_bound,
        late_alone: net.late_alone(),
        forced,
        forced_price: search.forced_price,
        broken: broken(problem, &jobs, late),
        jobs,
    }
}

/// By how much the turn of each dish comes sooner, at each of its stages.
struct Turns([[Minute; 3]; 16]);

impl Turns {
    fn some(most: [Minute; 3], random: &mut ChaCha8Rng) -> Self {
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

    fn of(&self, net: &Net, number: usize) -> Minute {
        net.problem.jobs[number].group.map_or(0, |group| self.0[group % self.0.len()][net.stage[number]])
    }
}

/// Whose turn comes sooner than it would: by whole dishes, by jobs, or both.
fn turns(net: &Net, out: &[usize], bias: &mut [Minute], random: &mut ChaCha8Rng) {
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

/// The end of the last that belongs at the bell.
fn plates(problem: &Problem, jobs: &[Placed]) -> Option<Minute> {
    let ends = problem.jobs.iter().zip(jobs).filter(|(job, _)| matches!(job.place, Place::Bell { .. }));
    ends.filter_map(|(job, placed)| Some(placed.start()? + job.len)).max()
}

/// A placing that stands, those that have no place in it, and what it costs.
#[derive(Clone)]
struct Best<'a> {
    draft: Draft<'a>,
    homeless: Vec<usize>,
    cost: f64,
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

struct Search<'a> {
    net: &'a Net<'a>,
    late_bound: Minute,
    forced_price: f64,
    /// Jobs that are moved, and whether each of all is.
    movable: Vec<usize>,
    in_play: Vec<bool>,
    best: Best<'a>,
    random: ChaCha8Rng,
    stop: Option<Stop>,
}

impl<'a> Search<'a> {
    fn of(net: &'a Net<'a>, late_bound: Minute) -> Self {
        let problem = net.problem;
        let mut search = Self {
            net,
            late_bound,
            forced_price: problem.late_price.map_or(FORCED_PRICE, |price| price * FORCED_AS_LATE),
            movable: Vec::new(),
            in_play: Vec::new(),
            best: Best { draft: Draft::of(net, late_bound), homeless: Vec::new(), cost: f64::INFINITY },
            random: ChaCha8Rng::seed_from_u64(problem.jobs.len() as u64),
            stop: laid_over(),
        };
        search.moves(|job| !matches!(job.give, Give::Dropped(_)));
        search.best = search.built(late_bound);
        search
    }

    /// Only some jobs are moved.
    fn moves(&mut self, moves: impl Fn(&Job) -> bool) {
        let jobs = &self.net.problem.jobs;
        self.in_play = jobs.iter().map(|job| job.pinned.is_none() && job.group != OTHERS && moves(job)).collect();
        self.movable = (0..jobs.len()).filter(|number| self.in_play[*number]).collect();
    }

    fn is_stopped(&self) -> bool {
        self.stop.as_ref().is_some_and(Stop::is_stopped)
    }

    fn priced(&self, draft: Draft<'a>, homeless: Vec<usize>) -> Best<'a> {
        let lies: Vec<Placed> = draft.placed.iter().map(|placed| placed.unwrap_or(Placed::Dropped)).collect();
        let cost = cost(self.net.problem, &lies, draft.late) + self.forced_price * homeless.len() as f64;
        Best { draft, homeless, cost }
    }

    /// A first placing for plates so late, from the bell back.
    fn built(&self, late: Minute) -> Best<'a> {
        let mut draft = Draft::of(self.net, late);
        let mut jobs = self.movable.clone();
        let bias = vec![0; self.net.problem.jobs.len()];
        draft.insert_all(&mut jobs, false, &bias, |_| Wish::Cheapest);
        self.priced(draft, jobs)
    }

    fn run(&mut self, tries: usize) {
        let orders = if tries >= MENDING { orders(self.net.problem) } else { Vec::new() };
        let in_queues = (tries as f64 * FOR_QUEUES) as usize;
        match (self.movable.is_empty(), orders.is_empty()) {
            (true, _) => {}
            (false, true) => self.place_what_must_be(tries),
            (false, false) => {
                self.begin_in_queues(orders, in_queues);
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
            let each = tries / rounds / begun.len();
            for (order, lies) in &mut begun {
                if self.is_stopped() {
                    return;
                }
                let problem = queued(self.net.problem, order);
                let net = Net::of(&problem);
                let late_bound = if problem.late_price.is_some() { net.late_bound().min(LATEST) } else { 0 };
                let mut search = Search::of(&net, late_bound);
                search.stand_on(lies);
                search.place_what_must_be(each.max(1));
                *lies = Lies::of(&search.best);
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
        let near = |number: &usize| matches!(self.net.problem.jobs[*number].place, Place::Near { .. });
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

    /// Plates later, where that finds a place for more; then sooner by ever smaller steps.
    fn later(&mut self, tries: usize) {
        let on_time = self.best.clone();
        let mut late = self.as_soon_as_can_be(false);
        for _ in 0..FORWARD {
            let other = self.as_soon_as_can_be(true);
            if (other.homeless.len(), other.draft.late) < (late.homeless.len(), late.draft.late) {
                late = other;
            }
        }
        let budget = ((tries as f64 * FOR_SOONER) as usize / 20).max(MENDING / 4);
        for room in ROOM {
            if late.homeless.is_empty() {
                break;
            }
            let roomy = self.brought_to(&late, (late.draft.late + room).min(LATEST), 4 * budget, 0);
            if roomy.homeless.len() < late.homeless.len() {
                late = roomy;
            }
        }
        if late.homeless.len() >= on_time.homeless.len() {
            return;
        }
        let wanted = late.homeless.len();
        let mut low = on_time.draft.late - 1;
        while late.draft.late - low > 1 && !self.is_stopped() {
            let half = low + (late.draft.late - low) / 2;
            let tried = self.brought_to(&late, half, budget, wanted);
            if tried.homeless.len() <= wanted {
                late = tried;
            } else {
                low = half;
            }
        }
        // What stands is hurried by ever fewer minutes.
        let mut by = HURRIED;
        while by > 0 && late.draft.late > self.late_bound && !self.is_stopped() {
            let tried = self.hurried(&late, (late.draft.late - by).max(self.late_bound), 3 * budget, wanted);
            if tried.homeless.len() <= wanted {
                late = tried;
            } else {
                by /= 2;
            }
        }
        if late.cost < on_time.cost {
            self.best = late;
        }
    }

    /// Everything as soon as can be, and then each as late as costs least with plates where they are then.
    fn as_soon_as_can_be(&mut self, otherwise: bool) -> Best<'a> {
        let mut bias = vec![0; self.net.problem.jobs.len()];
        if otherwise {
            turns(self.net, &self.movable, &mut bias, &mut self.random);
        }
        let mut draft = Draft::of(self.net, LATEST);
        let mut homeless = self.movable.clone();
        draft.insert_all(&mut homeless, true, &bias, |_| Wish::Soonest);
        let lies: Vec<Placed> = draft.placed.iter().map(|placed| placed.unwrap_or(Placed::Dropped)).collect();
        draft.late = plates(self.net.problem, &lies).unwrap_or(0).max(self.late_bound);
        self.settle(&mut draft);
        self.priced(draft, homeless)
    }

    /// The jobs that lie, each with its end, the soonest first.
    fn by_end(&self, draft: &Draft) -> Vec<(Minute, usize)> {
        let ends = self
            .movable
            .iter()
            .filter_map(|number| Some((draft.placed[*number]?.start()? + self.net.problem.jobs[*number].len, *number)));
        let mut order: Vec<(Minute, usize)> = ends.collect();
        order.sort_unstable();
        order
    }

    /// Takes each job out and puts it where it costs least, from the bell back.
    fn settle(&self, draft: &mut Draft<'a>) {
        let mut order = self.by_end(draft);
        order.reverse();
        let bias = vec![0; self.net.problem.jobs.len()];
        for (_, number) in order {
            // What belongs near it comes with it.
            let all: Vec<usize> = std::iter::once(number).chain(self.net.beside[number].iter().copied()).collect();
            let before: Vec<(usize, Option<Placed>)> = all.iter().map(|job| (*job, draft.placed[*job])).collect();
            let mut out: Vec<usize> = before.iter().filter(|(_, lies)| lies.is_some()).map(|(job, _)| *job).collect();
            out.iter().for_each(|job| draft.lift(*job));
            draft.insert_all(&mut out, false, &bias, |_| Wish::Cheapest);
            if !out.is_empty() {
                all.iter().for_each(|job| draft.lift(*job));
                before
                    .iter()
                    .filter_map(|(job, lies)| Some((*job, (*lies)?)))
                    .for_each(|(job, lies)| draft.put(job, lies));
            }
        }
    }

    /// A placing for plates sooner than those of one that stands, mended in so many tries as long as more than `wanted` find no place.
    fn brought_to(&mut self, from: &Best<'a>, late: Minute, tries: usize, wanted: usize) -> Best<'a> {
        let mut bias = vec![0; self.net.problem.jobs.len()];
        let order = self.by_end(&from.draft);
        // Each in its turn as it lies: what ends later, sooner.
        for (place, (_, number)) in order.iter().enumerate() {
            bias[*number] = place as Minute;
        }
        let mut draft = Draft::of(self.net, late);
        let mut homeless = self.movable.clone();
        draft.insert_all(&mut homeless, false, &bias, |_| Wish::Cheapest);
        let begun = self.priced(draft, homeless);
        self.mended(begun, tries, wanted)
    }

    /// A placing that stands with its plates a little sooner: what then comes too late is put elsewhere, the rest is left as it is.
    fn hurried(&mut self, from: &Best<'a>, late: Minute, tries: usize, wanted: usize) -> Best<'a> {
        let mut draft = from.draft.clone();
        draft.late = late;
        let mut homeless = from.homeless.clone();
        loop {
            let too_late = |number: &&usize| draft.is_too_late(**number);
            let Some(number) = self.movable.iter().find(too_late).copied() else { break };
            for job in std::iter::once(number).chain(self.net.beside[number].iter().copied()) {
                if draft.placed[job].is_some() && self.in_play[job] {
                    draft.lift(job);
                    homeless.push(job);
                }
            }
        }
        let bias = vec![0; self.net.problem.jobs.len()];
        draft.insert_all(&mut homeless, false, &bias, |_| Wish::Cheapest);
        let begun = self.priced(draft, homeless);
        self.mended(begun, tries, wanted)
    }

    /// A placing after so many tries, or fewer where no more than `wanted` are without a place.
    fn mended(&mut self, begun: Best<'a>, tries: usize, wanted: usize) -> Best<'a> {
        let before = std::mem::replace(&mut self.best, begun);
        self.improve(tries, Some(wanted));
        std::mem::replace(&mut self.best, before)
    }

    /// Some jobs at a time are taken out and put back, so often; no longer than until so few have no place, where that is all that is wanted.
    fn improve(&mut self, tries: usize, until: Option<usize>) {
        let jobs = self.net.problem.jobs.len();
        let mut stands = self.best.clone();
        let mut bias = vec![0; jobs];
        for step in 0..tries {
            let is_done = until.is_some_and(|wanted| self.best.homeless.len() <= wanted);
            if is_done || (step % 16 == 0 && self.is_stopped()) {
                break;
            }
            if step % (tries / BACK_TO_THE_BEST).max(1) == 0 && step > 0 {
                stands = self.best.clone();
            }
            // A chain is moved together, as far as it can be; or some are put back each where it costs least.
            let moved = stands.homeless.is_empty() && self.random.random_bool(MOVED_TOGETHER);
            let out = match moved {
                true => chain(self.net, (&self.movable, &self.in_play), &mut self.random),
                false => ruin(&stands.draft, (&self.movable, &self.in_play), &stands.homeless, &mut self.random),
            };
            let before: Vec<(usize, Option<Placed>)> =
                out.iter().map(|number| (*number, stands.draft.placed[*number])).collect();
            // Those that belong near others are taken out first, and what they hang on is put back first.
            out.iter().for_each(|number| stands.draft.lift(*number));
            let random = &mut self.random;
            turns(self.net, &out, &mut bias, random);
            let forward = random.random_bool(0.1);
            let sooner = if random.random_bool(0.25) { 0.3 } else { 0.0 };
            let mut homeless = out.clone();
            if moved {
                let by =
                    TOGETHER[random.random_range(0..TOGETHER.len())] * if random.random_bool(0.5) { 1 } else { -1 };
                let mut order: Vec<(Minute, usize)> =
                    before.iter().filter_map(|(number, placed)| Some((placed.as_ref()?.start()?, *number))).collect();
                order.sort_unstable();
                if by > 0 {
                    order.reverse();
                }
                // What belongs near others comes after them.
                order.sort_by_key(|(_, number)| matches!(self.net.problem.jobs[*number].place, Place::Near { .. }));
                for (start, number) in order {
                    if stands.draft.insert_at(number, start + by) {
                        homeless.retain(|other| *other != number);
                    }
                }
            }
            let elsewhere = !stands.homeless.is_empty() && random.random_bool(0.3);
            stands.draft.insert_all(&mut homeless, forward, &bias, |number| {
                // What finds no place may find one hours before, with a wait after it.
                if elsewhere && !self.net.ends[number].is_empty() {
                    return Wish::Sooner(random.random_range(0..=ELSEWHEN));
                }
                if sooner > 0.0 && self.net.problem.jobs[number].give == Give::Never && random.random_bool(sooner) {
                    let most = if random.random_bool(0.5) { 8 } else { 60 };
                    Wish::Sooner(random.random_range(1..=most))
                } else {
                    Wish::Cheapest
                }
            });
            let lies: Vec<Placed> =
                stands.draft.placed.iter().map(|placed| placed.unwrap_or(Placed::Dropped)).collect();
            let cost = cost(self.net.problem, &lies, stands.draft.late) + self.forced_price * homeless.len() as f64;
            let borne = BORNE * (1.0 - step as f64 / tries as f64) * self.best.cost.min(1e4);
            if cost <= stands.cost + 1e-9 || cost < self.best.cost + borne {
                (stands.homeless, stands.cost) = (homeless, cost);
                if cost < self.best.cost - 1e-9 {
                    self.best = stands.clone();
                }
            } else {
                out.iter().for_each(|number| stands.draft.lift(*number));
                for (number, placed) in before {
                    if let Some(placed) = placed {
                        stands.draft.put(number, placed);
                    }
                }
            }
        }
    }
}
