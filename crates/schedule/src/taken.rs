//! What is taken already.

use super::problem::{HANDS, Kind, Minute, Problem, Slot, Span};

/// One use of a thing.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub(super) struct Use {
    pub span: Span,
    pub setting: i32,
    /// The job it belongs to.
    pub job: usize,
}

/// How many of a kind so many uses at their settings need.
pub(super) fn needed(kind: Kind, settings: &mut [i32]) -> usize {
    settings.sort_unstable();
    settings.chunk_by(|a, b| a == b).map(|alike| alike.len().div_ceil(kind.room.max(1))).sum()
}

/// How far from the bell hands are counted by the minute: nothing is placed beyond it.
const HORIZON: Span = Span { from: -12 * 1440, to: 6 * 1440 };
/// Hands that are never to be had.
const SHUT: u16 = 1000;

/// Hands by the minute, and every use of each other kind.
#[derive(Debug, Clone)]
pub(super) struct Taken {
    /// Hands taken in each minute of the horizon.
    hands: Vec<u16>,
    /// Whether nobody is up and there in it.
    shut: Vec<bool>,
    uses: Vec<Vec<Use>>,
    settings: Vec<i32>,
}

fn minutes(span: Span) -> std::ops::Range<usize> {
    let of = |minute: Minute| (minute.clamp(HORIZON.from, HORIZON.to) - HORIZON.from) as usize;
    of(span.from)..of(span.to.max(span.from))
}

impl Taken {
    pub fn of(problem: &Problem) -> Self {
        let whole = minutes(HORIZON).len();
        let mut taken = Self {
            hands: vec![0; whole],
            shut: vec![false; whole],
            uses: vec![Vec::new(); problem.kinds.len()],
            settings: Vec::new(),
        };
        for shut in &problem.shut {
            taken.shut[minutes(*shut)].fill(true);
            taken.hands[minutes(*shut)].fill(SHUT);
        }
        taken
    }

    pub fn add(&mut self, kind: usize, used: Use) {
        if kind == HANDS {
            self.hands[minutes(used.span)].iter_mut().for_each(|hands| *hands += 1);
        } else if used.span.from < used.span.to {
            self.uses[kind].push(used);
        }
    }

    pub fn remove(&mut self, kind: usize, used: Use) {
        if kind == HANDS {
            self.hands[minutes(used.span)].iter_mut().for_each(|hands| *hands -= 1);
        } else if let Some(at) = self.uses[kind].iter().position(|other| *other == used) {
            self.uses[kind].swap_remove(at);
        }
    }

    /// What a job takes while it is done, from a start.
    pub fn add_takes(&mut self, problem: &Problem, number: usize, start: Minute) {
        for take in &problem.jobs[number].takes {
            self.add(take.kind, Use { span: take.span.moved(start), setting: take.setting, job: number });
        }
    }

    pub fn remove_takes(&mut self, problem: &Problem, number: usize, start: Minute) {
        for take in &problem.jobs[number].takes {
            self.remove(take.kind, Use { span: take.span.moved(start), setting: take.setting, job: number });
        }
    }

    /// Whether a job can't be done from a start for the hands it takes; then the next start, later or sooner, at which that may be otherwise.
    pub fn hands_block(&self, problem: &Problem, number: usize, start: Minute, later: bool) -> Option<Minute> {
        let job = &problem.jobs[number];
        let count = problem.kinds.get(HANDS).map_or(1, |kind| kind.count) as u16;
        for take in job.takes.iter().filter(|take| take.kind == HANDS) {
            let free = |hands: &u16| *hands < count;
            if let Some(next) = next_free(&self.hands, take.span, start, later, free) {
                return Some(next);
            }
        }
        for span in &job.there {
            if let Some(next) = next_free(&self.shut, *span, start, later, |shut| !shut) {
                return Some(next);
            }
        }
        None
    }

    /// The same for all that it takes while it is done.
    pub fn blocks(&mut self, problem: &Problem, number: usize, start: Minute, later: bool) -> Option<Minute> {
        if let Some(next) = self.hands_block(problem, number, start, later) {
            return Some(next);
        }
        let job = &problem.jobs[number];
        for take in job.takes.iter().filter(|take| take.kind != HANDS) {
            if let Some(over) = self.over(&problem.kinds, take.kind, take.span.moved(start), take.setting) {
                return Some(if later {
                    over.to.saturating_sub(take.span.from)
                } else {
                    over.from.saturating_sub(take.span.to)
                });
            }
        }
        None
    }

    /// Whether one more use of a kind is too much; then the latest beginning and the soonest end of those that it is too much with: it has
    /// to be over by the one, or begin at the other.
    pub fn over(&mut self, kinds: &[Kind], kind: usize, span: Span, setting: i32) -> Option<Span> {
        if span.from >= span.to {
            return None;
        }
        let uses = &self.uses[kind];
        let overlaps = |used: &&Use| used.span.from < span.to && span.from < used.span.to;
        // Where there is one for each, whatever it is set to, nothing has to be shared.
        if uses.iter().filter(overlaps).count() < kinds[kind].count {
            return None;
        }
        // It can only be too much where it begins, or where another begins within it.
        let begins = uses.iter().filter(overlaps).map(|used| used.span.from.max(span.from));
        for at in std::iter::once(span.from).chain(begins) {
            let there = |used: &&Use| used.span.from <= at && at < used.span.to;
            self.settings.clear();
            self.settings.extend(uses.iter().filter(there).map(|used| used.setting));
            self.settings.push(setting);
            if needed(kinds[kind], &mut self.settings) > kinds[kind].count {
                let from = uses.iter().filter(there).map(|used| used.span.from).max();
                let to = uses.iter().filter(there).map(|used| used.span.to).min();
                return Some(Span { from: from.unwrap_or(Minute::MIN / 2), to: to.unwrap_or(Minute::MAX / 2) });
            }
        }
        None
    }

    /// Jobs whose hands or things lie within a span.
    pub fn is_near(problem: &Problem, number: usize, start: Minute, span: Span) -> bool {
        let job = &problem.jobs[number];
        !matches!(job.place, Slot::Near { .. }) && job.takes.iter().any(|take| take.span.moved(start).common(span) > 0)
    }
}

/// Where some minutes of a span from a start are not free, the next start, later or sooner, that leaves them all.
fn next_free<T>(by_minute: &[T], span: Span, start: Minute, later: bool, free: impl Fn(&T) -> bool) -> Option<Minute> {
    let range = minutes(span.moved(start));
    let from = range.start as Minute + HORIZON.from;
    let mut taken = by_minute[range].iter();
    if later {
        let last = taken.rposition(|minute| !free(minute))? as Minute;
        Some(from + last + 1 - span.from)
    } else {
        let first = taken.position(|minute| !free(minute))? as Minute;
        Some(from + first - span.to)
    }
}

#[cfg(test)]
mod tests {
    use proptest::prelude::*;

    use super::*;
    use crate::testing::{job, kitchen, span};

    fn one(len: Minute) -> Problem {
        kitchen(vec![job(0, len, Slot::Before(Vec::new()))])
    }

    #[test]
    fn so_many_uses_want_so_many_ovens() {
        let oven = Kind { count: 1, room: 2 };
        for (mut settings, count) in
            [(vec![], 0), (vec![150], 1), (vec![150, 150], 1), (vec![150, 150, 150], 2), (vec![150, 90, 150], 2)]
        {
            assert_eq!(needed(oven, &mut settings), count, "{settings:?}");
        }
    }

    proptest! {
        #[test]
        fn hands_are_free_where_each_minute_is_and_the_next_start_skips_none_that_is(
            busy in prop::collection::vec((-120..0, 1..40), 0..5), len in 1..30, start in -150..20, later: bool
        ) {
            let problem = one(len);
            let mut taken = Taken::of(&problem);
            for (from, long) in &busy {
                taken.add(HANDS, Use { span: span(*from, from + long), setting: 0, job: 0 });
            }
            let free = |start: Minute| {
                (start..start + len).all(|minute| !busy.iter().any(|(from, long)| (*from..from + long).contains(&minute)))
            };
            let next = taken.hands_block(&problem, 0, start, later);
            prop_assert_eq!(next.is_none(), free(start));
            if let Some(next) = next {
                prop_assert_eq!(next > start, later);
                let mut between = if later { start..next } else { next + 1..start + 1 };
                prop_assert!(between.all(|start| !free(start)), "{next} from {start}");
            }
        }

        #[test]
        fn an_oven_is_too_full_where_a_minute_of_it_is(
            there in prop::collection::vec((0..100, 1..60, 0..2), 0..5), from in 0..100, long in 1..60, setting in 0..2
        ) {
            let problem = one(10);
            let mut taken = Taken::of(&problem);
            for (job, (from, long, setting)) in there.iter().enumerate() {
                taken.add(1, Use { span: span(*from, from + long), setting: *setting, job });
            }
            let too_full = |minute: Minute| {
                let now = there.iter().filter(|(from, long, _)| (*from..from + long).contains(&minute));
                let mut settings: Vec<i32> = now.map(|(.., setting)| *setting).chain([setting]).collect();
                needed(problem.kinds[1], &mut settings) > 1
            };
            let over = taken.over(&problem.kinds, 1, span(from, from + long), setting);
            prop_assert_eq!(over.is_some(), (from..from + long).any(too_full));
        }
    }

    #[test]
    fn what_is_taken_back_is_free_again_and_what_is_shut_never_is() {
        let mut problem = one(20);
        problem.shut = vec![span(-500, -400)];
        let mut taken = Taken::of(&problem);
        taken.add_takes(&problem, 0, -100);
        assert_eq!(taken.blocks(&problem, 0, -95, true), Some(-80));
        assert_eq!(taken.blocks(&problem, 0, -110, false), Some(-120));
        taken.remove_takes(&problem, 0, -100);
        assert_eq!(taken.blocks(&problem, 0, -110, true), None);
        assert_eq!(taken.blocks(&problem, 0, -415, true), Some(-400));
    }
}
