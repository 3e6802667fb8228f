//! Looking on while a run goes.

use super::part::PartState;
use super::surround::Surround;

/// What a watcher may see after a step.
pub struct Moment<'a, const L: usize> {
    /// Time at the end of the step, s.
    pub time_s: f64,
    /// Length of the step, s.
    pub step_s: f64,
    /// What surrounds the meat.
    pub around: &'a Surround<'a, L>,
    /// The meat.
    pub parts: &'a [PartState<L>],
}

/// Something that looks on while a run goes.
pub trait Watch<const L: usize> {
    /// Called after every step; `false` ends the run.
    fn look(&mut self, moment: &Moment<L>) -> bool;

    /// When it next wants to see the cooks, s; it is asked before each step, and then sees them within a minute.
    fn next_s(&self) -> f64 {
        f64::INFINITY
    }

    /// Whether it wants to see more even when nothing more is to be learned of any cook.
    fn waits(&self) -> bool {
        false
    }
}

/// Looks at nothing and waits for every cook.
pub struct Unwatched;

impl<const L: usize> Watch<L> for Unwatched {
    fn look(&mut self, _: &Moment<L>) -> bool {
        true
    }
}
