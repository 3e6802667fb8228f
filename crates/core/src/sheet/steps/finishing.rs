//! From lifting the meat to plates on the table.

use ergastic_words::{Join, Length, Mass, Message, Minutes, Volume, sheet as say};

use super::step::{Block, Step, StepMoment, Steps, Unattended, Wait, Where, whole};
use super::words;
use super::words::BackInto;
use crate::finish::Target;
use crate::kitchen::Lane;
use crate::kitchen::ThingKind;
use crate::plan::Plan;
use crate::prepare::said_at_the_table;
use crate::safety;
use crate::sheet::durations::DUMPLINGS_IN_MIN;
use crate::sheet::tasks::{TaskId, TaskKind};
use crate::sheet::worked::Settled;
use crate::ways::{lift, rest};
use ergastic_schedule::Minute;

/// A sauce that takes no longer keeps the hands at the pot, min.
const STIRRED_MIN: f64 = 15.0;
/// What a minute costs that the sauce waits for the knife, what is cut for the plate, and a plate for the table; and minutes that are
/// borne. The nearer to the plate the dearer. Working values.
const SAUCE_WAITS: (f64, Minute) = (0.8, 60);
const CUT_WAITS: (f64, Minute) = (1.5, 25);

/// The finishing; its first step.
pub(super) fn finishing(steps: &mut Steps, plan: &Plan, worked: &Settled) -> TaskId {
    let (case, durations) = (&worked.case, &worked.durations);
    let mut block = Vec::new();
    let mut at = opened(&mut block, worked);
    let opens = !block.is_empty();
    let said = lift(&case.last().medium, opens, &durations.take_out);
    let lift = Step::new(TaskId::Lift, TaskKind::Lift, Lane::Hands, said, whole(durations.lift_min)).at(at);
    let before = block.last().map_or(vec![TaskId::Hold, TaskId::Release, TaskId::Braise], |step: &Step| vec![step.id]);
    at += lift.len;
    let lifted_at = at;
    // What it lay in is how it is put away.
    let kept = case.last().medium.facts().lies_in.caution(case.voice);
    block.push(lift.after(before).minding(kept));
    if durations.has_sauce() {
        at = sauce(&mut block, worked, at);
    }
    let first = block[0].id;
    let last = block.last().map_or(TaskId::Lift, |step| step.id);
    let rest = whole(durations.rest_min);
    let rests = (rest - (at - lifted_at)).max(0);
    let waits = Wait::until(TaskId::Slice, SAUCE_WAITS.0, SAUCE_WAITS.1).at_least(rests).said();
    let mut finishing = Block::new(block, Where::Before(vec![waits]));
    let pot_on_a_burner = durations.has_sauce() && !case.last().medium.facts().locked;
    if pot_on_a_burner {
        let from = if durations.skim_min > 0.0 { TaskId::Skim } else { TaskId::Sauce };
        finishing.takes.push((ThingKind::Burner, 0, from, TaskId::Sauce));
    }
    steps.blocks.push(finishing);
    let after = if durations.rest_min > 0.0 { vec![TaskId::Rest, last] } else { vec![last] };
    rest_stretch(steps, worked);
    let (what, why) = words::cut_up(case.main().eaten_as, back_into(plan, worked));
    let slice = Step::new(TaskId::Slice, TaskKind::Slice, Lane::Board, (what, why), whole(durations.slice_min));
    let place = Where::Before(vec![Wait::until(TaskId::Serve, CUT_WAITS.0, CUT_WAITS.1).said()]);
    steps.blocks.push(Block::new(vec![slice.after(after)], place));
    let grams = Mass(durations.yield_kg / f64::from(plan.people));
    let fresh: Vec<_> =
        plan.prepare.later.iter().filter(|thing| thing.what.is_fresh()).map(|thing| thing.what.name()).collect();
    let scattered = (!fresh.is_empty()).then(|| say::fresh_over(Message::list(fresh, Join::And)));
    let plated = std::iter::once(say::serve(plan.people, grams)).chain(scattered);
    let said = (Message::list(plated, Join::Sentences), say::serve_why());
    let serve = Step::new(TaskId::Serve, TaskKind::Serve, Lane::Hands, said, whole(durations.plate_min));
    let wet_l = if case.stages.iter().any(|stage| stage.medium.is_pot()) { case.liquid_l } else { 0.0 };
    let hours = worked.ready_min(0.5).unwrap_or(0.0) / 60.0;
    let carries = said_at_the_table(plan, wet_l, durations.has_sauce(), hours, case.voice);
    let serve = serve.after([TaskId::Slice]).minding(carries);
    steps.blocks.push(Block::new(vec![serve], Where::ServeAt));
    first
}

fn back_into(plan: &Plan, worked: &Settled) -> BackInto {
    match (worked.durations.has_sauce(), plan.finished_as()) {
        (false, _) => BackInto::Nothing,
        (true, Target::Broth) => BackInto::Broth,
        (true, _) => BackInto::Sauce,
    }
}

/// A pressure pot in two goes: what would have been mush, and when the meat is lifted after it.
fn opened(block: &mut Vec<Step>, worked: &Settled) -> Minute {
    let Some(opened) = &worked.durations.opened else { return 0 };
    let mut at = 0;
    let mut before = vec![TaskId::Hold, TaskId::Release, TaskId::Braise];
    let stages = worked.case.legs().len() as u32;
    for (number, (things, closed, hands_min, alone_min)) in (1..).zip(opened.goes()) {
        let names = Message::list(things.iter().map(|what| what.name_and_cut()), Join::And);
        let what = if number == 1 { say::open_and_add(names) } else { say::add(names) };
        let said = (what, say::open_and_add_why());
        let id = TaskId::Add(number);
        let step = Step::new(id, TaskKind::Add, Lane::Hands, said, whole(hands_min)).at(at);
        at += step.len;
        block.push(step.after(before).minding([safety::pressure_lid(worked.case.voice)]));
        let signs = Message::list(things.iter().map(|what| what.sign()), Join::Semicolons);
        let said = match closed {
            true => (say::closed_again(Minutes(opened.pressed_min())), say::closed_again_why()),
            false => (say::simmer_open(Minutes(alone_min)), say::simmer_open_why(signs)),
        };
        let cooks = TaskId::Stage(stages + number);
        let step = Step::new(cooks, TaskKind::Braise, Lane::PressurePot, said, whole(alone_min)).alone().at(at);
        at += step.len;
        block.push(step.after([id]));
        before = vec![cooks];
    }
    at
}

/// The meat rests while the sauce is made, where rest helps.
fn rest_stretch(steps: &mut Steps, worked: &Settled) {
    if worked.durations.rest_min <= 0.0 {
        return;
    }
    steps.stretches.push(Unattended {
        id: TaskId::Rest,
        kind: TaskKind::Rest,
        lane: Lane::Board,
        what: say::rest(),
        why: rest(&worked.case.last().medium, worked.case.main().eaten_as),
        from: StepMoment::End(TaskId::Lift),
        to: StepMoment::Start(TaskId::Slice, 0),
        until: None,
        least: 1,
        after: vec![TaskId::Lift],
        over: None,
        cautions: Vec::new(),
    });
}

/// Skimming, dumplings on what was skimmed, and what the liquid becomes.
fn sauce(block: &mut Vec<Step>, worked: &Settled, mut at: Minute) -> Minute {
    let durations = &worked.durations;
    let fat_mm = durations.fat_l / worked.case.pot().floor_m2;
    let mut before = TaskId::Lift;
    if durations.skim_min > 0.0 {
        let said = (say::skim(Volume(durations.fat_l), Length(fat_mm)), say::skim_why());
        let step = Step::new(TaskId::Skim, TaskKind::Skim, Lane::Hob, said, whole(durations.skim_min)).at(at);
        at += step.len;
        block.push(step.after([before]));
        before = TaskId::Skim;
    }
    let dumplings = durations.additions.len() as u32 + 1;
    if let Some((what, done_min)) = &durations.dumplings {
        let id = TaskId::Add(dumplings);
        let said = (say::dumplings(what.name_and_cut()), say::dumplings_why());
        let step = Step::new(id, TaskKind::Add, Lane::Hob, said, whole(DUMPLINGS_IN_MIN)).at(at);
        at += step.len;
        block.push(step.after([before]));
        let said = (say::dumplings_steam(Minutes(done_min.ceil())), say::simmer_open_why(what.sign()));
        let cooks = TaskId::Dumplings;
        let step = Step::new(cooks, TaskKind::Braise, Lane::Hob, said, whole(*done_min)).alone().at(at);
        at += step.len;
        block.push(step.after([id]));
        before = cooks;
    }
    let said = (durations.sauce_making.clone(), say::sauce_why());
    let step = Step::new(TaskId::Sauce, TaskKind::Sauce, Lane::Hob, said, whole(durations.sauce_min)).at(at);
    // A long reduction is stirred now and then.
    let step = if durations.sauce_min <= STIRRED_MIN { step } else { step.watched() };
    at += step.len;
    block.push(step.after([before]));
    at
}
