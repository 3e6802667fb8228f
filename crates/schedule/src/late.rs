//! Plates that can't be at the bell: as soon as can be from now on, then sooner by ever fewer minutes.

use rand::RngExt;
use rand_chacha::ChaCha8Rng;

use super::draft::{Draft, Wish};
use super::placed::Placed;
use super::problem::Minute;
use super::stands::{BIAS, Best, LATEST, Search, plates};

/// Of the tries, the share that goes into placings from now on.
const FORWARD: f64 = 0.3;
/// How often it is a dish whose turn is changed, and not single jobs.
const TURNED_WHOLE: f64 = 0.4;
/// Where none has a place for all, so much more time is given, min.
const ROOM: [Minute; 3] = [120, 240, 480];
/// What is late is hurried by so much at a time at first, min.
const HURRIED: Minute = 16;
/// Of the tries, the share that goes into plates that come sooner.
const FOR_SOONER: f64 = 0.3;
/// It is mended in no fewer tries.
const MENDED_IN: usize = 10;

/// All as soon as can be: where it lies, what has no place, when the last plates are ready, and the sum of all of them.
struct Forward<'a> {
    draft: Draft<'a>,
    homeless: Vec<usize>,
    late: Minute,
    all: i64,
}

impl Forward<'_> {
    fn soon(&self) -> (usize, Minute, i64) {
        (self.homeless.len(), self.late, self.all)
    }
}

/// Tries for a step sooner.
fn budget(tries: usize) -> usize {
    ((tries as f64 * FOR_SOONER) as usize / 20).max(MENDED_IN)
}

impl<'a> Search<'a> {
    /// Plates later, where that finds a place for more; then sooner by ever smaller steps.
    pub fn later(&mut self, tries: usize) {
        let on_time = self.best.clone();
        let mut late = self.as_soon_as_can_be((tries as f64 * FORWARD) as usize);
        let budget = budget(tries);
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
        let late = self.hurried_on(late, budget);
        if late.cost < on_time.cost {
            self.best = late;
        }
    }

    /// What stands, hurried by ever fewer minutes.
    fn hurried_on(&mut self, mut late: Best<'a>, budget: usize) -> Best<'a> {
        let wanted = late.homeless.len();
        let mut by = HURRIED;
        while by > 0 && late.draft.late > self.late_bound && !self.is_stopped() {
            let tried = self.hurried(&late, (late.draft.late - by).max(self.late_bound), 3 * budget, wanted);
            if tried.homeless.len() <= wanted {
                late = tried;
            } else {
                by /= 2;
            }
        }
        late
    }

    /// Where the best so far is late: whether all in turn from now on comes sooner, and whether what stands can be hurried.
    pub fn sooner(&mut self, soon: Option<Best<'a>>, tries: usize) {
        if let Some(soon) = soon.filter(|soon| soon.cost < self.best.cost - 1e-9) {
            self.best = soon;
        }
        let hurried = self.hurried_on(self.best.clone(), budget(tries));
        if hurried.cost < self.best.cost - 1e-9 {
            self.best = hurried;
        }
    }

    /// Everything as soon as can be, in the best of so many orders of turns; then each as late as costs least with plates where they
    /// are then.
    pub fn as_soon_as_can_be(&mut self, others: usize) -> Best<'a> {
        let jobs = self.net.problem.jobs.len();
        let mut bias = vec![0; jobs];
        let mut best = self.forward(&bias, Wish::Soonest);
        let mut stands = best.soon();
        for step in 0..others {
            if step % 16 == 0 && self.is_stopped() {
                break;
            }
            let mut tried = bias.clone();
            self.another_turn(&mut tried);
            let wish = if step % 2 == 0 { Wish::AtOnce } else { Wish::Soonest };
            let other = self.forward(&tried, wish);
            let soon = other.soon();
            if soon <= stands {
                (bias, stands) = (tried, soon);
                if soon < best.soon() {
                    best = other;
                }
            }
        }
        let Forward { mut draft, homeless, late, .. } = best;
        draft.late = late.max(self.late_bound);
        self.settle(&mut draft);
        self.priced(draft, homeless)
    }

    /// From now on, each job as soon as it can be in its turn.
    fn forward(&self, bias: &[Minute], wish: Wish) -> Forward<'a> {
        let mut draft = Draft::of(self.net, LATEST);
        let mut homeless = self.movable.clone();
        draft.insert_all(&mut homeless, true, bias, |_| wish);
        let lies: Vec<Placed> = draft.placed.iter().map(|placed| placed.unwrap_or(Placed::Dropped)).collect();
        let ends = || plates(self.net.problem, &lies);
        let (late, all) = (ends().max().unwrap_or(0), ends().map(i64::from).sum());
        Forward { draft, homeless, late, all }
    }

    /// Another turn for a dish, for a stage of it, or for a few jobs.
    fn another_turn(&mut self, bias: &mut [Minute]) {
        let random = &mut self.random;
        let most = BIAS[random.random_range(1..BIAS.len())];
        let by = random.random_range(-most..=most);
        let one = |random: &mut ChaCha8Rng| self.movable[random.random_range(0..self.movable.len())];
        if !random.random_bool(TURNED_WHOLE) {
            (0..random.random_range(1..=3)).for_each(|_| bias[one(random)] += by);
            return;
        }
        let jobs = &self.net.problem.jobs;
        let group = jobs[one(random)].group;
        let stage = random.random_bool(0.5).then(|| random.random_range(0..3));
        let turned = |number: &&usize| {
            jobs[**number].group == group && stage.is_none_or(|stage| self.net.stage[**number] == stage)
        };
        self.movable.iter().filter(turned).for_each(|number| bias[*number] += by);
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
}
