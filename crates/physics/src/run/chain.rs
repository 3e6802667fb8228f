//! The chain of stages that `L` cooks go through: which each is in, since when, and when it moves on.

use super::lanes::STEP_S;
use super::part::PartState;
use crate::case::{Case, End, Stage};

/// Where `L` cooks are in their chain.
pub struct ChainRun<'a, const L: usize> {
    case: &'a Case,
    /// Stage each is in.
    pub stage: [usize; L],
    /// Whether they are all in the same.
    pub(super) together: bool,
    pub(super) entered_s: [f64; L],
    /// When the heat source was begun with: it goes on from one stage of a kind into the next.
    pub(super) since_s: [f64; L],
    /// Chain at its end.
    pub over: [bool; L],
    /// When each stage ended, `[stage][lane]`, s.
    pub ended_s: Vec<[f64; L]>,
}

impl<'a, const L: usize> ChainRun<'a, L> {
    /// All in their first stage.
    pub(super) fn new(case: &'a Case) -> Self {
        Self {
            case,
            stage: [0; L],
            together: true,
            entered_s: [0.0; L],
            since_s: [0.0; L],
            over: [false; L],
            ended_s: vec![[f64::INFINITY; L]; case.stages.len()],
        }
    }

    /// The stage a cook is in.
    #[inline(always)]
    pub(super) fn at(&self, lane: usize) -> &'a Stage {
        &self.case.stages[self.stage[lane]]
    }

    /// Whether a cook is in its last stage.
    #[inline(always)]
    pub(super) fn last(&self, lane: usize) -> bool {
        self.stage[lane] + 1 == self.case.stages.len()
    }

    /// A cook goes on to a stage.
    pub(super) fn enter(&mut self, lane: usize, stage: usize, now_s: f64, before: Option<&Stage>) {
        self.stage[lane] = stage;
        self.together = self.stage.iter().all(|other| *other == stage);
        self.entered_s[lane] = now_s;
        let next = &self.case.stages[stage];
        let goes_on = before.is_some_and(|before| before.medium.same_kind(&next.medium)) && !next.lit_anew;
        if !goes_on {
            self.since_s[lane] = now_s;
        }
    }

    /// Whether a cook's stage has ended by the step's end; `open` is whether its lid could be opened.
    #[inline(always)]
    pub(super) fn has_ended(&self, lane: usize, end_s: f64, open: bool, parts: &[PartState<L>]) -> bool {
        let core = |holds: &dyn Fn(f64) -> bool| parts.iter().all(|part| holds(part.bodies.celsius[0][lane]));
        match self.at(lane).end {
            End::Stays => false,
            End::After(seconds) => end_s - self.entered_s[lane] >= seconds - 0.5 * STEP_S,
            End::Warm(to_c) => core(&|c| c >= to_c),
            End::Cold(to_c) => core(&|c| c <= to_c),
            End::Tender => parts.iter().all(|part| part.times[lane].ready_s.is_finite()),
            End::Opened => open,
        }
    }
}
