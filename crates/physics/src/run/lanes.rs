//! What a run is measured in: its steps, how long it is followed, and what comes of each part.

use crate::units::HOUR_S;

/// Length of a step, s.
pub const STEP_S: f64 = 60.0;
/// Length of a step where nothing happens, s. Slow things are looked at on this grid.
pub(super) const LONG_STEP_S: f64 = 300.0;

/// Whether a time is on the grid of long steps, s.
#[inline(always)]
pub(super) fn on_long_grid(now_s: f64) -> bool {
    (now_s as u32).is_multiple_of(LONG_STEP_S as u32)
}
/// The longest cook that is followed, s.
pub const HORIZON_S: f64 = 72.0 * HOUR_S;

/// When one part of one cook is tender, and when it has gone too far; infinite if not within the horizon.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct PartTimes {
    /// Tender enough, s from the meat meeting the heat.
    pub ready_s: f64,
    /// Gone too far, s.
    pub overcooked_s: f64,
}

impl PartTimes {
    /// Not within the horizon.
    pub const NEVER: Self = Self { ready_s: f64::INFINITY, overcooked_s: f64::INFINITY };
}

/// How a run deals with time at pressure.
#[derive(Debug, Clone, Copy)]
pub struct PressureHolds<const L: usize> {
    /// Time at pressure for a stage that solves for it, s.
    pub solved_s: [f64; L],
    /// The last stage's pressure is never let go: what *too far* supposes.
    pub stays_on: bool,
}

impl<const L: usize> PressureHolds<L> {
    /// As the case says, and a solved stage held for so long, s.
    pub fn of(solved_s: [f64; L]) -> Self {
        Self { solved_s, stays_on: false }
    }

    /// The heat simply stays on.
    pub const STAYS_ON: Self = Self { solved_s: [f64::INFINITY; L], stays_on: true };
}
