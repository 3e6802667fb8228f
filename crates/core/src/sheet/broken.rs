//! What a placing does not keep, in words.

use ergastic_words::{Join, Message, RoughMinutes, Voice, kitchen, sheet as say};
use jiff::Timestamp;

use super::steps::{Block, Step, Steps};
use super::tasks::TaskId;
use crate::kitchen::ThingKind;
use ergastic_schedule::{Broken, Minute, Placed, Placing};

/// Jobs and the dish and block that each is.
struct Names<'a> {
    dishes: &'a [(&'a Steps, &'a str)],
    firsts: &'a [usize],
    /// Steps that the cook has put at an hour.
    pinned: &'a [(usize, TaskId, Timestamp)],
}

impl<'a> Names<'a> {
    /// A job's dish and the step that it is known by.
    fn step(&self, job: usize) -> Option<(usize, &'a Step)> {
        let dish = self.firsts.iter().rposition(|first| *first <= job)?;
        let steps = &self.block(job)?.steps;
        // What the cook has moved is known by that; what brings the meat to its heat by that moment.
        let pinned = |step: &&Step| self.pinned.iter().any(|(of, id, _)| (*of, *id) == (dish, step.id));
        let heat = |step: &&Step| step.id == TaskId::Simmer;
        let known = steps.iter().find(pinned).or_else(|| steps.iter().find(heat)).or(steps.first())?;
        Some((dish, known))
    }

    /// A job's dish and the step of it that is done at a minute.
    fn step_at(&self, job: usize, placed: Placed, at: Minute) -> Option<(usize, &'a Step)> {
        let (dish, known) = self.step(job)?;
        let into = at - placed.start()?;
        let there = self.block(job)?.steps.iter().find(|step| step.at == into && (step.hands || step.there));
        Some((dish, there.unwrap_or(known)))
    }

    fn block(&self, job: usize) -> Option<&'a Block> {
        let dish = self.firsts.iter().rposition(|first| *first <= job)?;
        self.dishes[dish].0.blocks.get(job - self.firsts[dish])
    }

    fn dish(&self, job: usize) -> Message {
        let name = self.firsts.iter().rposition(|first| *first <= job).map(|dish| self.dishes[dish].1);
        Message::text(name.unwrap_or_default().to_owned())
    }

    /// What it tells to do, with its dish where there are several.
    fn what(&self, job: usize) -> Message {
        self.step(job).map_or_else(Message::nothing, |step| self.what_of(step))
    }

    fn what_of(&self, (dish, step): (usize, &Step)) -> Message {
        if self.dishes.len() < 2 {
            return step.what.clone();
        }
        say::of_a_dish(step.what.clone(), Message::text(self.dishes[dish].1.to_owned()))
    }

    /// The tasks of some jobs that take a thing: those of their hands, or what stands where that thing is.
    fn taking(&self, thing: ThingKind, jobs: &[usize]) -> Vec<(usize, TaskId)> {
        let mut found = Vec::new();
        for job in jobs {
            let (Some((dish, known)), Some(block)) = (self.step(*job), self.block(*job)) else { continue };
            found.push((dish, known.id));
            let all = self.dishes[dish].0;
            match thing.lane() {
                // All that happens there: the block that takes it is not the only one that is done in it.
                Some(lane) => {
                    found.extend(all.all().filter(|step| step.lane == lane).map(|step| (dish, step.id)));
                    found.extend(all.stretches.iter().filter(|s| s.lane == lane).map(|s| (dish, s.id)));
                }
                None => {
                    let hands = block.steps.iter().filter(|step| step.hands && thing == ThingKind::Hands);
                    found.extend(hands.map(|step| (dish, step.id)));
                }
            }
        }
        found.sort_unstable();
        found.dedup();
        found
    }

    fn ids(&self, jobs: &[usize]) -> Vec<(usize, TaskId)> {
        jobs.iter().filter_map(|job| self.step(*job)).map(|(dish, step)| (dish, step.id)).collect()
    }
}

/// Each promise that is not kept: dish and task of those it concerns, and in words. The blocks of dish `i` are the jobs from
/// `firsts[i]` on.
pub(crate) fn broken_promises(
    dishes: &[(&Steps, &str)],
    placing: &Placing,
    voice: Voice,
    firsts: &[usize],
    pinned: &[(usize, TaskId, Timestamp)],
) -> Vec<(Vec<(usize, TaskId)>, String)> {
    let names = Names { dishes, firsts, pinned };
    placing.broken.iter().map(|broken| one(&names, placing, broken, voice)).collect()
}

fn one(names: &Names, placing: &Placing, broken: &Broken, voice: Voice) -> (Vec<(usize, TaskId)>, String) {
    let (jobs, said) = match broken {
        Broken::TooFew { kind, jobs } => {
            let what = Message::list(jobs.iter().map(|job| names.what(*job)), Join::Semicolons);
            let thing = ThingKind::ALL[*kind];
            return (names.taking(thing, jobs), voice.render(kitchen::too_few(thing.key(), what)));
        }
        Broken::NobodyThere { job, when } => {
            let Some((dish, step)) = names.step_at(*job, placing.jobs[*job], when.from) else {
                return (names.ids(&[*job]), String::new());
            };
            return (vec![(dish, step.id)], voice.render(say::nobody_there(names.what_of((dish, step)))));
        }
        Broken::LeftAlone { from, to, minutes } => {
            (vec![*from, *to], say::left_alone(RoughMinutes(f64::from(*minutes)), names.what(*from)))
        }
        Broken::OutOfOrder { job, then } => (vec![*job, *then], say::out_of_order(names.what(*job), names.what(*then))),
        Broken::WaitsTooLong { job, then, more } => {
            let time = RoughMinutes(f64::from(*more));
            let held = names.block(*job).is_some_and(|block| block.step(TaskId::Simmer).is_some());
            let said = match held {
                true => say::held_too_long(names.dish(*job), time),
                false => say::waits_too_long(names.what(*job), names.what(*then), time),
            };
            (vec![*job, *then], said)
        }
        Broken::EarlyForServing { job, minutes } => {
            (vec![*job], say::early_for_the_bell(RoughMinutes(f64::from(*minutes)), names.what(*job)))
        }
        Broken::CutShort { job, then, missing } => {
            (vec![*job, *then], say::cut_short(names.what(*job), RoughMinutes(f64::from(*missing))))
        }
        Broken::OffItsTime { job, minutes } => {
            (vec![*job], say::off_its_time(RoughMinutes(f64::from(*minutes)), names.what(*job)))
        }
        Broken::Past { job } => (vec![*job], say::past(names.what(*job))),
    };
    (names.ids(&jobs), voice.render(said))
}
