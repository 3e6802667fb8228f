//! The pan and what follows it up to the heat: browned in batches, deglazed; the day before, cooled and left in the cold.

use crate::kitchen::Lane;
use ergastic_words::{prepare, sheet as say};

use super::step::{Block, Step, StepMoment, Unattended, Wait, Where, whole};
use super::words;
use crate::bench::{Larder, SearIn};
use crate::kitchen::ThingKind;
use crate::plan::Plan;
use crate::safety;
use crate::sheet::tasks::{TaskId, TaskKind};
use crate::sheet::worked::Settled;
use crate::ways::NIGHT_MIN;
use ergastic_schedule::Minute;

/// Cooled in its liquid so long before it goes into the cold, min: warm to cool within the two hours of the guidance.
const COOLS_MIN: Minute = 90;
/// So short a night will do, min.
const SHORT_NIGHT_MIN: Minute = 360;
/// What a minute costs that the night is shorter. Working value.
const NIGHT_SHORT: f64 = 0.1;
/// What it costs that the evening's work falls into the night. Working value.
const AT_NIGHT: f64 = 6.0;
/// Out of the cold, the fat lifted off and topped up, min.
const FROM_COLD_MIN: Minute = 6;

/// What may have been done last with the meat before the pan.
const BEFORE_THE_PAN: [TaskId; 4] = [TaskId::TakeOut, TaskId::MarinateOut, TaskId::BlanchRinse, TaskId::Salt];

/// The steps from the hot pan to the last one before the heat, and minutes until they are done.
pub(super) fn pan(plan: &Plan, worked: &Settled) -> (Vec<Step>, Minute) {
    let mut steps = Vec::new();
    let mut at = sear(&mut steps, plan, worked);
    let before = steps.last().map_or(BEFORE_THE_PAN.to_vec(), |step: &Step| vec![step.id]);
    let case = &worked.case;
    let medium = &case.first().medium;
    let in_pot = medium.is_pot();
    let said = medium.way().put_in(&worked.facts());
    let lane = if in_pot { Lane::Hob } else { Lane::Board };
    let step = Step::new(TaskId::Deglaze, TaskKind::Deglaze, lane, said, whole(worked.durations.deglaze_min)).at(at);
    let flares = in_pot && worked.durations.deglazes.is_some_and(Larder::flares);
    let wine = flares.then(|| safety::wine_flames(worked.case.voice));
    at += step.len;
    let acid = if in_pot { plan.prepare.brings(case, case.liquid_l).acid_g } else { 0.0 };
    let bitten =
        safety::acid_in_aluminium(acid / 1000.0 / f64::max(case.liquid_l, 0.1), case.pot().material, case.voice);
    steps.push(step.after(before).minding(wine.into_iter().chain(bitten)));
    (steps, at)
}

/// What the pan and the pot take while that is done.
pub(super) fn takes(plan: &Plan, worked: &Settled, last: TaskId) -> Vec<(ThingKind, i32, TaskId, TaskId)> {
    let mut takes = Vec::new();
    let first = &worked.case.first().medium;
    if !first.is_pot() || worked.flame == Lane::Pit {
        return takes;
    }
    // An insert with an element of its own needs no burner.
    let own_element = first.facts().locked;
    if let Some(sear) = &worked.durations.sear {
        let last = TaskId::Sear(sear.batches);
        let (burners, pans) = match plan.prepare.sear_in {
            SearIn::Pan | SearIn::Lid => (1, 1),
            SearIn::TwoPans => (2, 2),
            SearIn::PotAndLid => (2, 0),
            SearIn::Pot => (u8::from(!own_element), 0),
        };
        takes.extend((0..burners).map(|_| (ThingKind::Burner, 0, TaskId::HeatPan, last)));
        takes.extend((0..pans).map(|_| (ThingKind::Pan, 0, TaskId::HeatPan, last)));
    }
    if !own_element {
        takes.push((ThingKind::Burner, 0, TaskId::Deglaze, last));
    }
    takes
}

fn sear(steps: &mut Vec<Step>, plan: &Plan, worked: &Settled) -> Minute {
    let (case, durations) = (&worked.case, &worked.durations);
    let Some(sear) = &durations.sear else { return 0 };
    let lane = Lane::Hob;
    let hot = whole(durations.heat_pan_min);
    let why = if plan.prepare.sugared { prepare::heat_pan_gentle_why() } else { say::heat_pan_why() };
    let said = (say::heat_pan(words::fat(sear.fat)), why);
    let step = Step::new(TaskId::HeatPan, TaskKind::HeatPan, lane, said, hot).alone();
    steps.push(step.after([]));
    let mut before = [&[TaskId::HeatPan], &BEFORE_THE_PAN[..]].concat();
    let mut at = hot;
    if plan.prepare.flour {
        // Dredged while the pan gets hot: flour that waits grows wet.
        let said = (prepare::flour(), prepare::flour_why());
        let len = hot.min(3);
        let step = Step::new(TaskId::Flour, TaskKind::TakeOut, Lane::Board, said, len).at(hot - len);
        steps.push(step.after(BEFORE_THE_PAN));
        before.push(TaskId::Flour);
    }
    for batch in 1..=sear.batches {
        let first = (batch - 1) * sear.per_batch + 1;
        let last = (batch * sear.per_batch).min(case.pieces);
        let what = match (case.pieces, sear.batches) {
            (1, _) => say::sear_one(),
            (pieces, 1) => say::sear_all(pieces),
            (_, batches) if first == last => say::sear_batch_one(batch, batches, first),
            (_, batches) if first + 1 == last => say::sear_batch_two(batch, batches, first, last),
            (_, batches) => say::sear_batch(batch, batches, first, last),
        };
        let said = (what, say::sear_batch_why());
        let step = Step::new(TaskId::Sear(batch), TaskKind::Sear, lane, said, whole(sear.batch_task_min())).at(at);
        at += step.len;
        let spits = (batch == 1).then(|| safety::hot_fat(case.voice));
        steps.push(step.after(before).minding(spits));
        before = vec![TaskId::Sear(batch)];
    }
    at
}

/// The day-before route: after the pan it cools in its liquid, lies in the cold, and is brought to the boil the next day.
pub(super) fn night_before(
    plan: &Plan,
    worked: &Settled,
    mut steps: Vec<Step>,
    at: Minute,
) -> (Block, Unattended, Step) {
    let voice = worked.case.voice;
    let said = (say::cool_in_liquid(), safety::cooled_first(voice));
    let mut cools = Step::new(TaskId::Cool, TaskKind::Cool, Lane::Board, said, 5).at(at);
    cools.cautions.push(safety::part_cooked(voice));
    let said = (say::into_cold(), safety::cooled_then(voice));
    let into = Step::new(TaskId::IntoCold, TaskKind::Cool, Lane::Cold, said, 3).at(at + COOLS_MIN);
    steps.push(cools.after([TaskId::Deglaze]));
    steps.push(into.after([TaskId::Cool]));
    let night = Wait::until(TaskId::FromCold, 0.002, 2880).at_best(whole(NIGHT_MIN), SHORT_NIGHT_MIN, NIGHT_SHORT);
    let mut block = Block::new(steps, Where::Before(vec![night]));
    block.by_day = Some(AT_NIGHT);
    block.takes = takes(plan, worked, TaskId::Deglaze);
    let stretch = Unattended {
        id: TaskId::Night,
        kind: TaskKind::Cool,
        lane: Lane::Cold,
        what: say::night_in_cold(),
        why: say::night_in_cold_why(),
        from: StepMoment::End(TaskId::IntoCold),
        to: StepMoment::Start(TaskId::FromCold, 0),
        until: None,
        least: 1,
        after: vec![TaskId::IntoCold],
        over: None,
        cautions: Vec::new(),
    };
    let said = (say::from_cold(), say::from_cold_why());
    let from = Step::new(TaskId::FromCold, TaskKind::TakeOut, Lane::Board, said, FROM_COLD_MIN);
    (block, stretch, from.after([TaskId::Night]))
}
