//! From the meat meeting the heat to the hold: what gets hot beforehand, stages and the moves between them.

use ergastic_words::{Join, Message, sheet as say};

use super::pan;
use super::step::{Block, Booked, Step, StepMoment, Steps, Unattended, Wait, Where, whole};
use crate::bench::SearIn;
use crate::forecast::PressureMinutes;
use crate::kitchen::Lane;
use crate::kitchen::ThingKind;
use crate::plan::Plan;
use crate::safety;
use crate::sheet::tasks::{Task, TaskId, TaskKind};
use crate::sheet::worked::Settled;
use crate::ways::pressure::Pressure;
use crate::ways::{MOVE_MIN, Set, WayId, hold, moved};
use ergastic_schedule::Minute;

/// Laying the meat where it cooks and closing it takes both hands no longer, min.
const LAID_IN_MIN: f64 = 5.0;
/// A hold under this is not worth a line, min.
const HOLD_FROM: Minute = 5;
/// A hold in its pot softens so much an hour at the most, tender-hours; one at 65 °C, wrapped or in its bag, so much: the pace of
/// softening there.
const HOLD_SOFTENS: f64 = 0.2;
const WRAPPED_SOFTENS: f64 = 0.09;
/// A hold is borne for so long at the least, and at the most in a pot and wrapped, min. Working values.
const HOLD_BORNE_MIN: f64 = 30.0;
const HOLD_BORNE: f64 = 240.0;
const WRAPPED_BORNE: f64 = 720.0;
/// A time that the cook has fixed is kept to within this, min.
const OWN_TIME_BORNE: Minute = 20;
/// What a minute in the hold costs, and beyond what it bears.
const HOLD_PRICE: f64 = 0.05;
const TOO_FAR_PRICE: f64 = 0.7;

/// Which thing heats a dish, and what it is set to where all that stands in it has to bear that, in tenths of a degree.
fn heated_by(set: &Set) -> Option<(ThingKind, i32)> {
    let thing = set.facts().thing?;
    let celsius = set.way().dial().filter(|_| thing.has_one_setting()).map_or(0.0, |dial| dial.celsius);
    Some((thing, (celsius * 10.0).round() as i32))
}

/// What the appliance of a task is set to, °C.
pub(crate) fn set_c(worked: &Settled, task: &Task) -> Option<f64> {
    let (stages, legs) = (&worked.case.stages, worked.case.legs());
    let stage = match task.id {
        TaskId::Preheat | TaskId::Light | TaskId::Simmer => 0,
        TaskId::Stage(number) => legs.get((number as usize).checked_sub(1)?)?.last,
        TaskId::Warm(number) => legs.get(number as usize)?.first,
        TaskId::Braise | TaskId::Hold => stages.len() - 1,
        _ => return None,
    };
    let (thing, tenths) = heated_by(&stages.get(stage)?.medium)?;
    thing.has_one_setting().then(|| f64::from(tenths) / 10.0)
}

/// The block that brings the meat to its heat, and all that follows of itself up to the finishing, whose first step is
/// `lifted`; the first
/// step at the pan that needs the meat.
pub(super) fn heat(steps: &mut Steps, plan: &Plan, worked: &Settled, lifted: TaskId, ready_min: f64) -> TaskId {
    let case = &worked.case;
    let (laid, lead) = pan::pan(plan, worked);
    // The pan gets hot while the meat is dried: what comes before it is ready for the first thing done with the meat.
    let first = laid.iter().find(|step| step.id != TaskId::HeatPan).map_or(TaskId::Deglaze, |step| step.id);
    let day_before = plan.prepare.day_before && case.first().medium.is_pot();
    let (mut block_steps, mut at) = (laid, lead);
    if day_before {
        let (before, night, from) = pan::night_before(plan, worked, block_steps, at);
        steps.blocks.push(before);
        steps.stretches.push(night);
        at = from.len;
        block_steps = vec![from];
    }
    let simmer_at = at;
    block_steps.push(simmer(worked, simmer_at, day_before));
    preheat(steps, &mut block_steps, worked, simmer_at);
    moves(&mut block_steps, worked, simmer_at);
    // The oven may have to be lit before the pan.
    let earliest = block_steps.iter().map(|step| step.at).min().unwrap_or(0).min(0);
    for step in &mut block_steps {
        step.at -= earliest;
    }
    let wait = Wait::until(lifted, HOLD_PRICE, hold_borne(worked)).at_least(whole(ready_min)).said();
    let wait = Wait { from: Some(TaskId::Simmer), beyond: TOO_FAR_PRICE, ..wait };
    let mut block = Block::new(block_steps, Where::Before(vec![wait]));
    block.grid = Some(TaskId::Simmer);
    // Where it then goes on upon that burner, its booking holds from the simmer on.
    let first_heat = &case.first().medium;
    let moves_on = !matches!(first_heat.facts().thing, Some(ThingKind::Burner | ThingKind::Coals));
    let comes_up = worked.durations.come_up_min > 0.0 && first_heat.facts().comes_up && worked.flame != Lane::Pit;
    match (comes_up && moves_on, day_before) {
        (true, true) => block.takes.push((ThingKind::Burner, 0, TaskId::FromCold, TaskId::Simmer)),
        (false, true) => {}
        (true, false) => block.takes = pan::takes(plan, worked, TaskId::Simmer),
        (false, false) => block.takes = pan::takes(plan, worked, TaskId::Deglaze),
    }
    steps.blocks.push(block);
    stages(steps, worked, lifted);
    bookings(steps, plan, worked, ready_min);
    first
}

/// So long the finished meat may wait, min: what is left before it goes too far, at the pace of a hold.
fn hold_borne(worked: &Settled) -> Minute {
    if worked.case.own_time_s().is_some() {
        return OWN_TIME_BORNE;
    }
    let goal = worked.case.main().goal;
    // In its pot half of what is left is borne; wrapped it is held overnight in practice.
    let (share, softens, most) = match worked.case.last().medium.facts().held_wrapped {
        true => (1.0, WRAPPED_SOFTENS, WRAPPED_BORNE),
        false => (0.5, HOLD_SOFTENS, HOLD_BORNE),
    };
    let left_h = share * (goal.overcooked - goal.enough) / goal.toughness / softens;
    let spread = worked.ready_min(0.9).zip(worked.ready_min(0.1)).map_or(0.0, |(slow, quick)| slow - quick);
    whole((left_h * 60.0 - spread).clamp(HOLD_BORNE_MIN, most))
}

fn simmer(worked: &Settled, at: Minute, day_before: bool) -> Step {
    let (case, durations) = (&worked.case, &worked.durations);
    let (lane, what, why) = case.first().medium.way().meets_the_heat(case.pot().lid, &worked.facts());
    let (what, why) = match (day_before, worked.facts().beside()) {
        (false, _) => (what, why),
        // It lies in its liquid already.
        (true, Some(with)) => (say::next_day_in_with(with), say::pot_in_next_day_why()),
        (true, None) => (say::next_day_in(), say::pot_in_next_day_why()),
    };
    let step = Step::new(TaskId::Simmer, TaskKind::Simmer, lane, (what, why), whole(durations.come_up_min)).at(at);
    // Coming to a simmer wants an eye on it, not both hands.
    let step = if durations.come_up_min <= LAID_IN_MIN { step } else { step.watched() };
    let mut after = vec![if day_before { TaskId::FromCold } else { TaskId::Deglaze }];
    if !matches!(lane, Lane::Hob | Lane::Fire) && durations.preheat_slack_min == 0.0 {
        after.push(TaskId::Preheat);
    }
    let lid = case.first().medium.facts().locked.then(|| safety::pressure_lid(case.voice));
    step.after(after).minding(lid)
}

/// Oven, pit, coals or bath get hot: by themselves, or lit by hand some time ahead.
fn preheat(steps: &mut Steps, block: &mut Vec<Step>, worked: &Settled, simmer_at: Minute) {
    let (durations, medium) = (&worked.durations, &worked.case.first().medium);
    let Some((minutes, (lane, what, why))) = durations.preheat_min.zip(medium.way().preheat(&worked.facts())) else {
        return;
    };
    let (minutes, slack) = (whole(minutes), whole(durations.preheat_slack_min));
    let outdoors = (medium.id() == WayId::Coals).then(|| safety::coals_outdoors(worked.case.voice));
    if durations.fire_min <= 0.0 {
        let step = Step::new(TaskId::Preheat, TaskKind::Preheat, lane, (what, why), minutes).alone();
        block.push(step.at(simmer_at + slack - minutes).after([]));
        return;
    }
    let len = whole(durations.fire_min);
    let light = Step::new(TaskId::Light, TaskKind::Preheat, lane, (what, why), len).after([]).minding(outdoors);
    let wait = Wait::until(TaskId::Simmer, 0.2, 45).at_least((minutes - len).max(1));
    steps.blocks.push(Block::new(vec![light], Where::Before(vec![wait])));
    let [what, why] = medium.facts().getting_hot.unwrap_or([Message::nothing, Message::nothing]).map(|said| said());
    steps.stretches.push(Unattended {
        id: TaskId::Preheat,
        kind: TaskKind::Preheat,
        lane,
        what,
        why,
        from: StepMoment::End(TaskId::Light),
        to: StepMoment::Start(TaskId::Simmer, 0),
        until: None,
        least: 1,
        after: vec![TaskId::Light],
        over: None,
        cautions: Vec::new(),
    });
}

/// From each stage to the next, at its time; what a later one needs hot is lit for it.
fn moves(block: &mut Vec<Step>, worked: &Settled, simmer_at: Minute) {
    let case = &worked.case;
    for (number, leg) in (0..).zip(case.legs()).skip(1) {
        let Some(ended) = worked.forecast.stages.get(leg.first - 1).and_then(|span| span.to_min) else { break };
        let at = simmer_at + whole(ended.max(worked.durations.come_up_min));
        let (from, to) = (&case.stages[leg.first - 1].medium, &case.stages[leg.first].medium);
        let lit = to.facts().preheat_min.filter(|_| !from.same_kind(to));
        if let Some((minutes, (lane, what, why))) = lit.zip(to.way().preheat(&worked.facts())) {
            let len = whole(minutes);
            let step = Step::new(TaskId::Warm(number), TaskKind::Preheat, lane, (what, why), len).alone();
            block.push(step.at((at - len).max(0)).after([]));
        }
        let id = TaskId::Move(number);
        let before = if number == 1 { TaskId::Simmer } else { TaskId::Move(number - 1) };
        let step = Step::new(id, TaskKind::Move, Lane::Hands, moved(from, to, case.voice), whole(MOVE_MIN)).at(at);
        block.push(step.after([TaskId::Stage(number), before]));
    }
}

/// Each stage as it goes on by itself, and the hold after the last.
fn stages(steps: &mut Steps, worked: &Settled, lifted: TaskId) {
    let case = &worked.case;
    let shut = case.last().medium.facts().locked;
    let own = case.own_time_s().is_some();
    let half_min = if own { None } else { worked.ready_min(0.5) };
    let mut hold_lane = Lane::Hob;
    let legs = case.legs();
    let last_leg = legs[legs.len() - 1];
    // Closed by hand in the midst of the cook, a pressure pot's minutes count from then.
    let closed_min = match last_leg.last {
        0 => 0.0,
        at => worked.forecast.stages.get(at).and_then(|span| span.from_min).unwrap_or(0.0),
    };
    let one_pressed = legs.len() == 1 && shut;
    for (number, leg) in (0..).zip(&legs) {
        let (i, stage) = (leg.first, &case.stages[leg.last]);
        let last = *leg == last_leg;
        let set = worked.forecast.pressure.as_ref();
        let (lane, what, why) = stage.medium.way().goes_on(stage.pot.lid, set.map(PressureMinutes::is_set), case.voice);
        let why = match set.filter(|_| stage.medium.facts().locked) {
            Some(minutes) => Message::list([Message::text(minutes.text.clone()), why], Join::Space),
            None => why,
        };
        hold_lane = lane;
        let before = if i == 0 { TaskId::Simmer } else { TaskId::Move(number) };
        let (id, to) = match (last, set) {
            (false, _) => (TaskId::Stage(number + 1), StepMoment::Start(TaskId::Move(number + 1), 0)),
            // A pressure pot is opened when it has let go, not when half of such pieces would be tender.
            (true, Some(set)) if one_pressed => {
                let let_go = whole(closed_min + set.come_up_min + set.set_min);
                (TaskId::Braise, StepMoment::Start(TaskId::Simmer, let_go))
            }
            (true, _) => match half_min.filter(|_| !shut) {
                Some(half) => (TaskId::Braise, StepMoment::Start(TaskId::Simmer, whole(half))),
                None => (TaskId::Braise, StepMoment::Start(lifted, 0)),
            },
        };
        let over = worked.ready_min(0.1).zip(worked.ready_min(0.9)).filter(|_| last);
        let mut after = vec![before];
        if i == 0 {
            after.push(TaskId::Preheat);
        }
        steps.stretches.push(Unattended {
            id,
            kind: TaskKind::Braise,
            lane,
            what,
            why,
            from: StepMoment::End(before),
            to,
            until: last.then_some(lifted),
            least: 0,
            after,
            over: over.map(|(quick, slow)| (TaskId::Simmer, quick, slow)),
            cautions: Vec::new(),
        });
    }
    held(steps, worked, lifted, hold_lane, one_pressed.then_some(closed_min));
}

/// What follows the last heat: a pressure pot lets go, and the meat waits hot. `closed_min` is when a pot that is pressed alone was closed.
fn held(steps: &mut Steps, worked: &Settled, lifted: TaskId, hold_lane: Lane, closed_min: Option<f64>) {
    let case = &worked.case;
    let mut before = TaskId::Braise;
    if let Some((set, closed_min)) = worked.forecast.pressure.as_ref().zip(closed_min) {
        let quick = case.last().medium.get::<Pressure>().is_some_and(|pot| pot.quick);
        let (what, why) =
            if quick { (say::release_quick(), say::release_quick_why()) } else { (say::release(), say::release_why()) };
        let over = whole(closed_min + set.come_up_min + set.set_min + set.release_min);
        let to = StepMoment::Start(TaskId::Simmer, over);
        steps.stretches.push(Unattended {
            cautions: vec![safety::pressure_lid(case.voice)],
            ..waiting(TaskId::Release, TaskKind::Release, hold_lane, (what, why), before, to, lifted)
        });
        before = TaskId::Release;
    }
    let said = hold(&case.last().medium);
    let to = StepMoment::Start(lifted, 0);
    steps.stretches.push(Unattended {
        least: HOLD_FROM,
        cautions: vec![safety::hot_hold(case.voice)],
        ..waiting(TaskId::Hold, TaskKind::Hold, hold_lane, said, before, to, lifted)
    });
}

fn waiting(
    id: TaskId,
    kind: TaskKind,
    lane: Lane,
    (what, why): (Message, Message),
    before: TaskId,
    to: StepMoment,
    lifted: TaskId,
) -> Unattended {
    Unattended {
        id,
        kind,
        lane,
        what,
        why,
        from: StepMoment::End(before),
        to,
        until: Some(lifted),
        least: 1,
        after: vec![before],
        over: None,
        cautions: Vec::new(),
    }
}

/// What is taken from the first warmth to the lifting.
fn bookings(steps: &mut Steps, plan: &Plan, worked: &Settled, ready_min: f64) {
    let (stages, legs) = (&worked.case.stages, worked.case.legs());
    let day_before = plan.prepare.day_before && stages[0].medium.is_pot();
    for (i, leg) in legs.iter().enumerate() {
        let stage = &stages[leg.last];
        let last = i + 1 == legs.len();
        let first_step = if i == 0 { TaskId::Simmer } else { TaskId::Move(i as u32) };
        let to = if last { TaskId::Lift } else { TaskId::Move(i as u32 + 1) };
        let watched = stage.medium.facts().wants(worked.pit_holds_itself).is_some();
        let span = |at: usize| worked.forecast.stages.get(at);
        let from_min = span(leg.first).and_then(|span| span.from_min).unwrap_or(0.0);
        let end_min = span(leg.last).and_then(|span| span.to_min).filter(|_| !last).unwrap_or(ready_min);
        let least = whole(end_min - from_min);
        let thing = heated_by(&stage.medium);
        let mut booked = Booked { thing: None, setting: 0, from: first_step, to, least, watched };
        if let Some((thing, setting)) = thing {
            (booked.thing, booked.setting) = (Some(thing), setting);
            booked.from = match (i, thing) {
                // The oven from the moment it is lit; the pot that also sears from the pan on, to the sauce.
                (0, ThingKind::Oven) if worked.durations.preheat_min.is_some() && worked.durations.fire_min <= 0.0 => {
                    TaskId::Preheat
                }
                (0, ThingKind::PressurePot)
                    if !day_before && plan.prepare.sear_in == SearIn::Pot && worked.durations.sear.is_some() =>
                {
                    TaskId::HeatPan
                }
                (0, ThingKind::PressurePot) if !day_before => TaskId::Deglaze,
                _ => first_step,
            };
        }
        if booked.thing == Some(ThingKind::PressurePot) && last && worked.durations.has_sauce() {
            booked.to = TaskId::Sauce;
        }
        steps.booked.push(booked);
    }
}
