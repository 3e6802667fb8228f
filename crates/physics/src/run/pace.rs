//! How far a run steps at once: a minute while something happens, five where the heat has long settled.

use super::come_up::come_up_s;
use super::lanes::{LONG_STEP_S, STEP_S, on_long_grid};
use crate::case::{Case, End};
use crate::medium::Medium;
use crate::units::HOUR_S;

/// After a pour the pot comes back to its heat in so long, s.
const POURED_S: f64 = 0.5 * HOUR_S;

/// The stretches of a case in which all its cooks may be stepped far. It depends on the case alone: how a cook is stepped must not
/// depend on who is stepped beside it.
pub(super) struct Pace<'a> {
    case: &'a Case,
    /// From and to, s; in time order.
    quiet: Vec<(f64, f64)>,
}

impl<'a> Pace<'a> {
    pub(super) fn of(case: &'a Case) -> Self {
        let mut quiet = Vec::new();
        let mut entered_s = 0.0;
        if case.start_c >= case.model.p.meat.freezes_c {
            for stage in &case.stages {
                let ends_s = match stage.end {
                    End::Stays => f64::INFINITY,
                    End::After(lasts_s) => entered_s + lasts_s - 0.5 * STEP_S,
                    // Its cooks end it one by one.
                    _ => break,
                };
                if let Some(settles_s) = settles_s(&stage.medium) {
                    quiet.push((entered_s + come_up_s(case) + settles_s, ends_s));
                }
                // On the grid of the steps.
                entered_s = (ends_s / STEP_S).ceil() * STEP_S;
            }
        }
        Self { case, quiet }
    }

    /// The step from a time on, s, where somebody wants to look on at `looked_at_s`.
    #[inline(always)]
    pub(super) fn step_s(&self, now_s: f64, looked_at_s: f64) -> f64 {
        let end_s = now_s + LONG_STEP_S;
        let seen = looked_at_s > now_s && looked_at_s <= end_s - STEP_S;
        let quiet = on_long_grid(now_s) && self.quiet.iter().any(|(from, to)| *from <= now_s && end_s <= *to);
        if quiet && !seen && !self.poured(now_s, end_s) { LONG_STEP_S } else { STEP_S }
    }

    fn poured(&self, from_s: f64, to_s: f64) -> bool {
        self.case.added.iter().any(|pour| pour.at_s < to_s && pour.at_s + POURED_S > from_s)
    }
}

/// How long after its beginning a medium goes smoothly, s; none where it never does.
fn settles_s(medium: &Medium) -> Option<f64> {
    match medium {
        Medium::Coals(_) | Medium::Pressure { .. } => None,
        Medium::Pit { pit, .. } if pit.mop.is_some() || pit.open_every_s.is_some() => None,
        // A cool oven takes its time with a pot.
        Medium::Oven { set_c, .. } if *set_c < 130.0 => Some(3.0 * HOUR_S),
        Medium::SlowCooker(_) | Medium::Steam(_) => Some(2.0 * HOUR_S),
        Medium::Hob { .. }
        | Medium::Reheat
        | Medium::Oven { .. }
        | Medium::KeepWarm { .. }
        | Medium::Bath { .. }
        | Medium::Fat { .. }
        | Medium::Chill { .. }
        | Medium::Pit { .. } => Some(HOUR_S),
    }
}
