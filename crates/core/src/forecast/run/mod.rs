//! One run of a case: pots, pits and `L` cooks' meat stepped together until nothing more is to be learned.

mod come_up;
mod ensemble;
mod media;
mod part;
mod sample;
mod surround;

use super::members::{Member, Piece};
use super::resolve::{Case, End, Medium};
use crate::units::HOUR_S;
use surround::SLOW_STEPS;

pub use come_up::come_up_s;
pub use ensemble::{Times, median_tender_s, run_all, run_median};
pub use media::crock;
pub use part::PartState;
pub use sample::{Sample, run_all_sampled};
pub use surround::Surround;

/// Length of a step, s.
pub const STEP_S: f64 = 60.0;
/// The longest cook that is followed, s.
pub const HORIZON_S: f64 = 72.0 * HOUR_S;

/// When one part of one cook is tender, and when it has gone too far; infinite if not within the horizon.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct PartTimes {
    /// Tender enough, s from the meat meeting the heat.
    pub ready_s: f64,
    /// Gone too far, s.
    pub too_far_s: f64,
}

impl PartTimes {
    /// Not within the horizon.
    pub const NEVER: Self = Self { ready_s: f64::INFINITY, too_far_s: f64::INFINITY };
}

/// What a watcher may see after a step.
pub struct Moment<'a, const L: usize> {
    /// Time at the end of the step, s.
    pub time_s: f64,
    /// What surrounds the meat.
    pub around: &'a Surround<'a, L>,
    /// The meat.
    pub parts: &'a [PartState<L>],
}

/// Something that looks on while a run goes.
pub trait Watch<const L: usize> {
    /// Called after every step; `false` ends the run.
    fn look(&mut self, moment: &Moment<L>) -> bool;

    /// Whether it wants to see more even when nothing more is to be learned of any cook.
    #[inline(always)]
    fn waits(&self) -> bool {
        false
    }
}

/// Looks at nothing and waits for every cook.
pub struct Unwatched;

impl<const L: usize> Watch<L> for Unwatched {
    #[inline(always)]
    fn look(&mut self, _: &Moment<L>) -> bool {
        true
    }
}

/// How a run deals with time at pressure.
#[derive(Debug, Clone, Copy)]
pub struct Holds<const L: usize> {
    /// Time at pressure for a stage that solves for it, s.
    pub solved_s: [f64; L],
    /// The last stage's pressure is never let go: what *too far* supposes.
    pub stays_on: bool,
}

impl<const L: usize> Holds<L> {
    /// As the case says, and a solved stage held for so long, s.
    pub fn of(solved_s: [f64; L]) -> Self {
        Self { solved_s, stays_on: false }
    }

    /// The heat simply stays on.
    pub const STAYS_ON: Self = Self { solved_s: [f64::INFINITY; L], stays_on: true };
}

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
#[inline(always)]
pub fn simulate<const L: usize>(
    case: &Case,
    members: &[Member; L],
    pieces: &[[Piece; L]],
    holds: Holds<L>,
    watch: &mut impl Watch<L>,
) -> Ran<L> {
    let mut parts: Vec<PartState<L>> =
        case.parts.iter().zip(pieces).map(|(part, pieces)| PartState::new(part, pieces, case.start_c)).collect();
    let mut around = Surround::new(case, members, holds);
    let solved = case.solved_stage();
    let mut margin = [f64::NAN; L];
    for step in 0..(HORIZON_S / STEP_S) as usize {
        let start_s = step as f64 * STEP_S;
        around.before(step, &mut parts);
        for part in &mut parts {
            part.bodies.step(&part.around);
            if part.around.wet {
                part.dry_out();
            }
            part.soften(start_s);
        }
        around.after(&parts);
        if let Some(solved) = solved {
            note_margins(&around, solved, start_s, &parts, &mut margin);
        }
        around.move_on(start_s + STEP_S, &parts);
        let go_on = watch.look(&Moment { time_s: start_s + STEP_S, around: &around, parts: &parts });
        if !go_on || step.is_multiple_of(SLOW_STEPS) && !watch.waits() && settled(&around, &parts) {
            break;
        }
    }
    Ran {
        parts: parts.iter().map(|part| part.times).collect(),
        came_up_s: around.came_up_s,
        ended_s: around.ended_s,
        margin,
    }
}

/// How far the meat is where the solved stage's lid opens in this step.
fn note_margins<const L: usize>(
    around: &Surround<L>,
    solved: usize,
    start_s: f64,
    parts: &[PartState<L>],
    margin: &mut [f64; L],
) {
    for lane in 0..L {
        if let (true, Some(opened_s)) = (around.stage[lane] == solved, around.opened_s[lane]) {
            let share = (opened_s - start_s) / STEP_S;
            margin[lane] = parts.iter().map(|part| part.margin(lane, share)).fold(f64::INFINITY, f64::min);
        }
    }
}

/// Whether nothing more can be learned of any cook.
#[inline(always)]
fn settled<const L: usize>(around: &Surround<L>, parts: &[PartState<L>]) -> bool {
    (0..L).all(|lane| {
        let all = parts.iter().all(|part| part.settled(lane));
        all && !around.shut(lane) || around.over[lane] && around.cold(lane)
    })
}

/// Whether a lid keeps the meat from being lifted at a time, and until when: a pressure pot is opened only at its end.
fn lifted_s<const L: usize>(case: &Case, ended_s: &[[f64; L]], lane: usize, tender_s: f64) -> f64 {
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
fn ends_under_pressure(case: &Case) -> bool {
    case.stages.last().is_some_and(|last| matches!(last.medium, Medium::Pressure { .. }))
}
