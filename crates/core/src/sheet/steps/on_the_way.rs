//! What is done while it cooks: looks, liquid poured in, what goes in later, the fire seen to, wrapping and mopping.

use ergastic_words::{Join, Message, Minutes, Temperature, Volume, sheet as say};

use super::step::{Block, Step, Steps, Where, whole};
use crate::bench::{Addition, Larder};
use crate::forecast::Leg;
use crate::heat::pot::Lid;
use crate::kitchen::Lane;
use crate::prepare::ComesOut;
use crate::safety;
use crate::sheet::durations::LOOK_MIN;
use crate::sheet::tasks::{TaskId, TaskKind};
use crate::sheet::worked::Settled;
use crate::ways::coals::OverCoals;
use crate::ways::pit::InThePit;
use crate::ways::{LOOK_EVERY_MIN, MOVE_MIN};
use ergastic_schedule::{Give, Minute};

/// After the first check there is another where so many are tender by then.
const CHANCES: [f64; 3] = [0.25, 0.5, 0.75];
/// Putting something in, min.
const ADD_MIN: Minute = 3;
/// Out comes seaweed so long before the boil, and what flavours a clear broth so long after it; taking it out, min. Practice.
const BEFORE_THE_BOIL_MIN: f64 = 3.0;
const FLAVOURS_MIN: f64 = 30.0;
const OUT_MIN: Minute = 2;
/// A look may be so much sooner or later, min.
const LOOK_WITHIN: (Minute, Minute) = (10, 15);
/// Liquid poured in so near to a look is poured at that look, min.
const SAME_LOOK_MIN: f64 = 15.0;
/// What it costs to leave one out. Working values.
const NO_LOOK: f64 = 1.0;
const NO_TOP_UP: f64 = 6.0;
const NO_MOP: f64 = 0.5;
/// So many coats are told.
const MAX_COATS: usize = 8;
/// A wrap may be so much sooner or later than the middle is there, min.
const WRAP_WITHIN: (Minute, Minute) = (15, 30);
/// A minute off the right moment. Working value.
const OFF: f64 = 0.05;
/// The next coals are lit so long before they go on, and the pot is turned so often at least, min.
const LIT_AHEAD: Minute = 13;
/// What is seen to while it cooks, up to the lifting, whose first step is `lifted`.
pub(super) fn on_the_way(steps: &mut Steps, worked: &Settled, lifted: TaskId, ready_min: f64) {
    let looks = look_times(worked, ready_min - 10.0);
    let poured = top_ups(steps, worked, &looks, ready_min);
    looked(steps, worked, &looks, &poured);
    later(steps, worked, lifted, ready_min);
    comes_out(steps, worked, ready_min);
    tended(steps, worked, ready_min);
    wrapped(steps, worked, ready_min);
}

fn near(steps: &mut Steps, step: Step, to: TaskId, at: Minute, (earlier, later): (Minute, Minute), give: Give) {
    let place = Where::Near { step: to, at, earlier, later, price: OFF };
    steps.blocks.push(Block { give, ..Block::new(vec![step], place) });
}

/// Where a lid is lifted, its steam scalds.
fn minding_the_lid(step: Step, worked: &Settled) -> Step {
    let last = worked.case.last();
    let steams = last.medium.is_pot() && last.pot.lid != Lid::None;
    step.minding(steams.then(|| safety::lid_steam(worked.case.voice)))
}

/// When the looks are, in minutes from the meat meeting the heat.
fn look_times(worked: &Settled, look_until: f64) -> Vec<f64> {
    let case = &worked.case;
    if case.last().medium.facts().look.is_none() {
        return Vec::new();
    }
    let p50_min = worked.ready_min(0.5).unwrap_or(0.0);
    // In a chain the last heat is the one that is watched.
    let legs = case.legs();
    let last_from =
        legs.last().filter(|_| legs.len() > 1).and_then(|leg| worked.forecast.stages.get(leg.first)?.from_min);
    let first = match last_from {
        Some(from) => (f64::max(from + 0.67 * (p50_min - from), from + MOVE_MIN + 5.0) / 5.0).ceil() * 5.0,
        None => (p50_min * 2.0 / 3.0 / 5.0).round() * 5.0,
    };
    if last_from.is_some() && first > look_until {
        return Vec::new();
    }
    // After that a check tells something only where the chance has grown.
    let mut times = vec![first];
    for at_min in CHANCES.iter().filter_map(|chance| worked.ready_min(*chance)) {
        let at_min = (at_min / 5.0).round() * 5.0;
        let apart = times.last().is_none_or(|last| at_min >= last + LOOK_EVERY_MIN);
        if apart && at_min <= look_until {
            times.push(at_min);
        }
    }
    times.truncate(worked.durations.looks);
    times
}

/// Looks from two thirds of the way on: as many as the way allows, none where a lid can't be opened.
fn looked(steps: &mut Steps, worked: &Settled, looks: &[f64], poured: &[(usize, f64)]) {
    let Some([first, again]) = worked.case.last().medium.facts().look else { return };
    let (first, again) = (first(), again());
    for (i, at_min) in looks.iter().enumerate() {
        let sign = worked.case.main().eaten_as.sign();
        let pour: f64 = poured.iter().filter(|(look, _)| *look == i).map(|(_, litres)| litres).sum();
        let with_pour = |what: &Message| match pour > 0.0 {
            true => Message::list([what.clone(), say::top_up(Volume(pour))], Join::Sentences),
            false => what.clone(),
        };
        let (what, why) = (with_pour(&again), say::look_why(sign.clone()));
        let if_first = Some((with_pour(&first), say::first_look_why(sign)));
        let id = TaskId::Check(i as u32 + 1);
        let (earlier, later) = LOOK_WITHIN;
        let step = Step::new(id, TaskKind::Check, Lane::Hands, (what, why), whole(LOOK_MIN)).within(earlier, later);
        let step = Step { if_first, pours_l: pour, ..step };
        let step = minding_the_lid(step.after([TaskId::Simmer]), worked);
        let come_up = whole(worked.durations.come_up_min);
        let at = whole(*at_min).max(come_up);
        near(steps, step, TaskId::Simmer, at, (earlier.min(at - come_up), later), Give::Dropped(NO_LOOK));
    }
}

/// Liquid poured in before it runs low: with a look where one is near, by itself otherwise. Which look, and litres.
fn top_ups(steps: &mut Steps, worked: &Settled, looks: &[f64], ready_min: f64) -> Vec<(usize, f64)> {
    let mut with_looks = Vec::new();
    let mut number = 0;
    for pour in &worked.durations.top_ups {
        if pour.at_min > ready_min - 15.0 {
            break;
        }
        if let Some(look) = looks.iter().position(|look| (look - pour.at_min).abs() <= SAME_LOOK_MIN) {
            with_looks.push((look, pour.l));
            continue;
        }
        number += 1;
        let said = (say::top_up(Volume(pour.l)), say::top_up_why());
        let step = Step::new(TaskId::TopUp(number), TaskKind::TopUp, Lane::Hands, said, 2).after([TaskId::Simmer]);
        let step = Step { pours_l: pour.l, ..step };
        let step = minding_the_lid(step.within(LOOK_WITHIN.0, LOOK_WITHIN.1), worked);
        near(steps, step, TaskId::Simmer, whole(pour.at_min), LOOK_WITHIN, Give::Dropped(NO_TOP_UP));
    }
    with_looks
}

/// What goes in before the end, each as long before the lifting as it needs, or a little sooner where the hands are busy.
fn later(steps: &mut Steps, worked: &Settled, lifted: TaskId, ready_min: f64) {
    let from_min = worked.durations.come_up_min;
    for (number, (what, done_min)) in worked.durations.additions.iter().enumerate() {
        // It simmers from the first where it needs longer than the meat.
        let before = whole(done_min.min(ready_min - from_min)).max(ADD_MIN);
        let slack = whole(f64::min(mush_min(*what, *done_min) - done_min, ready_min - from_min - f64::from(before)));
        let said = (say::add(what.name_and_cut()), say::add_why(Minutes(done_min.ceil()), what.sign()));
        let id = TaskId::Add(number as u32 + 1);
        let step = minding_the_lid(Step::new(id, TaskKind::Add, Lane::Hands, said, ADD_MIN), worked);
        let slack = slack.clamp(0, 60);
        near(steps, step.after([TaskId::Simmer]), lifted, -before, (slack, 0), Give::Never);
    }
}

/// What only gives its flavour comes out when it has given it.
fn comes_out(steps: &mut Steps, worked: &Settled, ready_min: f64) {
    let come_up = worked.durations.come_up_min;
    let boil = (ComesOut::BeforeTheBoil, come_up - BEFORE_THE_BOIL_MIN, say::comes_out_before_the_boil_why());
    let clouds = (ComesOut::BeforeItClouds, come_up + FLAVOURS_MIN, say::comes_out_before_it_clouds_why());
    for (number, (when, at_min, why)) in (1..).zip([boil, clouds]) {
        let names: Vec<Message> = worked.bench.coming_out(&worked.case, when).into_iter().map(Larder::name).collect();
        if names.is_empty() {
            continue;
        }
        let said = (say::comes_out(Message::list(names, Join::And)), why);
        let step = Step::new(TaskId::Remove(number), TaskKind::Remove, Lane::Hands, said, OUT_MIN);
        let at = whole(f64::min(at_min, ready_min - f64::from(OUT_MIN)).max(1.0));
        let after = if number == 1 { Vec::new() } else { vec![TaskId::Simmer] };
        let within = if number == 1 { (3, 0) } else { (5, 15) };
        near(steps, step.after(after), TaskId::Simmer, at, (within.0.min(at), within.1), Give::Never);
    }
}

/// Minutes until it is mush, at the pace at which it is done.
fn mush_min(what: Addition, done_min: f64) -> f64 {
    let times = what.times();
    times.mush_min * done_min / times.done_min.max(1.0)
}

/// Coals turned and renewed, a fire fed, as often as its way asks.
fn tended(steps: &mut Steps, worked: &Settled, ready_min: f64) {
    let (mut number, come_up) = (0, whole(worked.durations.come_up_min));
    let mut add = |steps: &mut Steps, said, at: Minute, takes: Minute, within: (Minute, Minute), give| {
        number += 1;
        // While it comes to its simmer somebody is there anyway.
        if at - within.0 < come_up {
            return;
        }
        let step = Step::new(TaskId::Tend(number), TaskKind::Tend, Lane::Hands, said, takes);
        near(steps, step.after([TaskId::Simmer]), TaskId::Simmer, at, within, give);
    };
    let span = |at: usize| worked.forecast.stages.get(at);
    for leg in worked.case.legs() {
        let stage = &worked.case.stages[leg.last];
        let from = span(leg.first).and_then(|span| span.from_min).unwrap_or(0.0);
        let last = leg.last + 1 == worked.case.stages.len();
        let to = span(leg.last).and_then(|span| span.to_min).filter(|_| !last).unwrap_or(ready_min).min(ready_min);
        let Some(tending) = stage.medium.facts().tending_now(worked.pit_holds_itself) else { continue };
        let takes = whole(tending.takes_min);
        if let Some(OverCoals { coals }) = stage.medium.get() {
            let fresh_every = whole(coals.fresh_every_s / 60.0).max(30);
            let lot = coals.under + coals.over;
            let mut began = whole(from);
            while f64::from(began + tending_every(tending.every_min)) < to - 5.0 {
                let turn = (say::turn_coals(), say::turn_coals_why());
                add(steps, turn, began + tending_every(tending.every_min), takes, (8, 8), Give::Never);
                if f64::from(began + fresh_every) > to - 10.0 {
                    break;
                }
                let lit = (say::next_lot(lot), say::next_lot_why());
                add(steps, lit, began + fresh_every - LIT_AHEAD, takes, (8, 8), Give::Never);
                let fresh = (say::fresh_coals(), say::fresh_coals_why());
                add(steps, fresh, began + fresh_every, takes, (5, 10), Give::Never);
                began += fresh_every;
            }
            continue;
        }
        let every = tending_every(tending.every_min);
        let mut at = whole(from) + every;
        while f64::from(at) < to - 10.0 {
            let (said, give) = match worked.pit_holds_itself {
                true => ((say::tend_pit(), say::tend_pit_why()), Give::Dropped(NO_LOOK)),
                false => ((say::feed_fire(), say::feed_fire_why()), Give::Dropped(20.0)),
            };
            add(steps, said, at, takes, (every / 4, every / 4), give);
            at += every;
        }
    }
}

fn tending_every(minutes: f64) -> Minute {
    whole(minutes).max(5)
}

/// Wrapped when the middle is there, in the median run; coats of mop up to the wrap or the end.
fn wrapped(steps: &mut Steps, worked: &Settled, ready_min: f64) {
    let as_it_is = |leg: &Leg| &worked.case.stages[leg.last].medium;
    let in_pit = |leg: Leg| Some((leg, as_it_is(&leg).get::<InThePit>()?));
    let Some((leg, InThePit { pit, wrap })) = worked.case.legs().into_iter().find_map(in_pit) else { return };
    let span = |at: usize| worked.forecast.stages.get(at);
    let from = span(leg.first).and_then(|span| span.from_min).unwrap_or(0.0);
    let to = span(leg.last).and_then(|span| span.to_min).unwrap_or(ready_min).min(ready_min);
    let mut bare_until = to;
    if let Some((material, at_c)) = wrap.filter(|(_, at_c)| *at_c > 0.0) {
        let there = worked.forecast.curve.iter().find(|point| point.min >= from && point.core_c >= at_c);
        if let Some(at_min) = there.map(|point| point.min).filter(|at| *at < to - 10.0) {
            bare_until = at_min;
            let said = (say::wrap(material.key(), Temperature(at_c)), say::wrap_why());
            let step = Step::new(TaskId::Wrap, TaskKind::Wrap, Lane::Hands, said, 6).after([TaskId::Simmer]);
            let step = step.within(WRAP_WITHIN.0, WRAP_WITHIN.1);
            near(steps, step, TaskId::Simmer, whole(at_min), WRAP_WITHIN, Give::Never);
        }
    }
    let Some(mop) = pit.mop else { return };
    let coats = (0..MAX_COATS).map(|coat| from + (mop.from_s + coat as f64 * mop.every_s) / 60.0);
    for (number, at_min) in (1..).zip(coats.take_while(|at| *at < bare_until - 5.0)) {
        let said = (say::mop(), say::mop_why());
        let step = Step::new(TaskId::Mop(number), TaskKind::Mop, Lane::Hands, said, 3).after([TaskId::Simmer]);
        near(steps, step.within(10, 15), TaskId::Simmer, whole(at_min), (10, 15), Give::Dropped(NO_MOP));
    }
}
