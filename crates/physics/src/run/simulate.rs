//! `L` cooks of a case stepped together until nothing more is to be learned.

use multiversion::multiversion;

use super::lanes::{HORIZON_S, PartTimes, PressureHolds, on_long_grid};
use super::pace::Pace;
use super::part::PartState;
use super::surround::Surround;
use super::watch::{Moment, Watch};
use crate::case::{Case, End};
use crate::medium::Medium;
use crate::members::{Member, PieceDrawn};

/// What came of a run.
pub struct Ran<const L: usize> {
    /// By part: tender and too far, as the dose says and wherever the chain had got to.
    pub parts: Vec<[PartTimes; L]>,
    /// When each stage ended, `[stage][lane]`, s.
    pub ended_s: Vec<[f64; L]>,
    /// Pressure was reached, s after the lid was closed.
    pub came_up_s: [f64; L],
    /// How far the least tender part was when the solved stage's lid opened: 1 is just tender.
    pub margin: [f64; L],
}

/// Steps `L` cooks of a case together; `pieces[part]` are their meat.
///
/// The one function that is compiled for the wider instructions: all that runs cooks comes through it, and who looks on is asked
/// once a step.
#[multiversion(targets("x86_64+avx512f+avx512vl+avx2+fma", "x86_64+avx2+fma"))]
pub fn simulate<const L: usize>(
    case: &Case,
    members: &[Member; L],
    pieces: &[[PieceDrawn; L]],
    holds: PressureHolds<L>,
    watch: &mut dyn Watch<L>,
) -> Ran<L> {
    let pressed = case.stages.iter().any(|stage| matches!(stage.medium, Medium::Pressure { .. }));
    let drawn_in = if pressed { case.model.p.meat.pressed_thickness } else { 1.0 };
    let mut parts: Vec<PartState<L>> =
        case.parts.iter().zip(pieces).map(|(part, pieces)| PartState::new(part, pieces, case, drawn_in)).collect();
    let mut around = Surround::new(case, members, holds);
    let solved = case.solved_stage();
    let cuts = case.stages.iter().any(|stage| stage.thinner.is_some());
    let mut margin = [f64::NAN; L];
    let pace = Pace::of(case);
    let (mut start_s, mut last_step_s) = (0.0, f64::NAN);
    while start_s < HORIZON_S {
        let step_s = pace.step_s(start_s, watch.next_s());
        if step_s != last_step_s {
            last_step_s = step_s;
            around.step_by(step_s);
            parts.iter_mut().for_each(|part| part.bodies.step_by(step_s));
        }
        let end_s = start_s + step_s;
        around.before(start_s, &mut parts);
        for part in &mut parts {
            part.bodies.step(&part.around);
            if part.around.wet {
                part.dry_out();
            }
            part.soften(&case.model.softening, start_s, step_s);
        }
        around.after(&parts);
        if let Some(solved) = solved {
            note_margins(&around, solved, (start_s, step_s), &parts, &mut margin);
        }
        let before = around.chain.stage;
        around.move_on(end_s, &parts);
        if cuts {
            cut_up(case, &before, &around.chain.stage, &mut parts);
        }
        let go_on = watch.look(&Moment { time_s: end_s, step_s, around: &around, parts: &parts });
        if !go_on || on_long_grid(start_s) && !watch.waits() && settled(&around, &parts) {
            break;
        }
        start_s = end_s;
    }
    Ran {
        parts: parts.iter().map(|part| part.times).collect(),
        came_up_s: around.came_up_s,
        ended_s: around.chain.ended_s,
        margin,
    }
}

/// Cuts up what is cut as a cook's stage begins.
#[inline(never)]
fn cut_up<const L: usize>(case: &Case, before: &[usize; L], now: &[usize; L], parts: &mut [PartState<L>]) {
    for lane in (0..L).filter(|lane| before[*lane] != now[*lane]) {
        if let Some(thinner) = case.stages[now[lane]].thinner {
            parts.iter_mut().for_each(|part| part.cut_up(lane, thinner));
        }
    }
}

/// How far the meat is where the solved stage's lid opens in this step.
fn note_margins<const L: usize>(
    around: &Surround<L>,
    solved: usize,
    (start_s, step_s): (f64, f64),
    parts: &[PartState<L>],
    margin: &mut [f64; L],
) {
    for lane in 0..L {
        if let (true, Some(opened_s)) = (around.chain.stage[lane] == solved, around.opened_s[lane]) {
            let share = (opened_s - start_s) / step_s;
            margin[lane] = parts.iter().map(|part| part.margin(lane, share)).fold(f64::INFINITY, f64::min);
        }
    }
}

/// Whether nothing more can be learned of any cook.
#[inline(always)]
fn settled<const L: usize>(around: &Surround<L>, parts: &[PartState<L>]) -> bool {
    (0..L).all(|lane| {
        let all = parts.iter().all(|part| part.settled(lane));
        all && !around.shut(lane) || around.chain.over[lane] && around.cold(lane)
    })
}

/// Whether a lid keeps the meat from being lifted at a time, and until when: a pressure pot is opened only at its end.
pub(super) fn lifted_s<const L: usize>(case: &Case, ended_s: &[[f64; L]], lane: usize, tender_s: f64) -> f64 {
    if tender_s.is_infinite() {
        return tender_s;
    }
    let stage = (0..case.stages.len()).find(|stage| tender_s <= ended_s[*stage][lane]);
    match stage {
        Some(stage) if case.stages[stage].end == End::Opened => ended_s[stage][lane],
        Some(_) => tender_s,
        // After the chain's own end nothing counts but a heat that stays on.
        None if case.stages.last().is_some_and(|last| last.end == End::Stays) => tender_s,
        None => f64::INFINITY,
    }
}

/// Whether the last stage is a pressure pot: the heat that stays on is then followed in a run of its own.
pub(super) fn ends_under_pressure(case: &Case) -> bool {
    case.stages.last().is_some_and(|last| matches!(last.medium, Medium::Pressure { .. }))
}
