//! The minutes of a pressure pot: coming up, at pressure, letting go, and what keep-warm adds.

use crate::ways::pressure::Pressure;
use ergastic_words::{Minutes, forecast as say};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::own_time::as_set;
use super::resolve::ResolvedDish;
use super::stats::quantile;
use super::weighted::Weighted;
use ergastic_physics::pressure::KEPT_WARM_C;
use ergastic_physics::tender::rate;
use ergastic_physics::units::{HOUR_S, MINUTE_S, round_to};

/// The minutes of a pressure pot.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct PressureMinutes {
    /// What to set it to: the cook's own time, or the one solved for with the chance asked for.
    pub set_min: f64,
    /// Closing the lid to pressure.
    pub come_up_min: f64,
    /// Heat off to the lid open.
    pub release_min: f64,
    /// An hour on keep-warm softens as much as so many minutes at pressure.
    pub keep_warm_min: f64,
    /// All of it in a sentence.
    pub text: String,
}

impl PressureMinutes {
    /// Of a case's one stage under pressure, set for its certainty; none where it never comes up. `ends_s` are the
    /// ends of the median run's stages.
    pub fn of(case: &ResolvedDish, ensemble: &Weighted, ends_s: &[f64]) -> Option<Self> {
        let mut pressed = case.stages.iter().enumerate().filter_map(|(at, s)| Some((at, s.medium.get::<Pressure>()?)));
        // Where it is closed more than once each of its stages says its own minutes.
        let (Some((at, &pot)), None) = (pressed.next(), pressed.next()) else { return None };
        let Pressure { hold_s, target_c, quick, .. } = pot;
        let given = hold_s.filter(|s| s.is_finite());
        let holds_s: Vec<f64> = ensemble.times.iter().map(|times| times.hold_s).collect();
        let set_min = match given {
            Some(given) => given / MINUTE_S,
            None => as_set(quantile(&holds_s, &ensemble.weights, case.certainty)? / MINUTE_S),
        };
        let came_up_s: Vec<f64> = ensemble.times.iter().map(|times| times.came_up_s).collect();
        let come_up_s = quantile(&came_up_s, &ensemble.weights, 0.5)?;
        let median_hold_s = given.or_else(|| quantile(&holds_s, &ensemble.weights, 0.5))?;
        let from_s = if at == 0 { 0.0 } else { ends_s[at - 1] };
        let release_s = f64::max(0.0, ends_s[at] - from_s - come_up_s - median_hold_s);
        if !release_s.is_finite() {
            return None;
        }
        let whole = |s: f64| (s / MINUTE_S).round();
        let (come_up_min, release_min) = (whole(come_up_s), f64::max(1.0, whole(release_s)));
        let keep_warm_min = round_to(rate(KEPT_WARM_C) / rate(target_c) * HOUR_S / MINUTE_S, 0.1);
        let minutes = say::pressure_minutes(
            Minutes(set_min.round()),
            Minutes(come_up_min),
            Minutes(release_min),
            if quick { "quick" } else { "natural" },
            Minutes(f64::max(1.0, keep_warm_min.round())),
        );
        Some(Self { set_min, come_up_min, release_min, keep_warm_min, text: case.voice.render(minutes) })
    }

    /// How it is set, for the task at the pot.
    pub fn is_set(&self) -> Minutes {
        Minutes(self.set_min.round())
    }
}
