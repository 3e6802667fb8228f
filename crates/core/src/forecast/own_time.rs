//! A time the cook has fixed: obeyed, and answered with its odds.

use crate::error::Result;
use crate::ways::pressure::Pressure;
use ergastic_words::{Message, Minutes, Share, forecast as say};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::resolve::ResolvedDish;
use super::stats::{chance, quantile};
use super::update::update;
use super::weighted::Weighted;
use crate::ways::Set;
use ergastic_physics::case::End;
use ergastic_physics::units::MINUTE_S;

/// Cooks that place the odds.
const MEMBERS: usize = 256;
/// Nobody sets a longer time to the minute, min.
const BY_MINUTES: f64 = 20.0;

/// What becomes of the meat in the time the cook has fixed.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct OwnTime {
    /// The time, min; at pressure where the last heat is under pressure.
    pub min: f64,
    /// P(tender when it is over).
    pub chance: f64,
    /// The shortest time with the certainty asked for, min; `null` where none has it.
    pub sure_min: Option<f64>,
    /// Both in a sentence.
    pub text: String,
}

/// Minutes as a cook sets them, never shorter.
pub fn as_set(minutes: f64) -> f64 {
    if minutes <= BY_MINUTES { minutes.ceil() } else { (minutes / 5.0).ceil() * 5.0 }
}

impl OwnTime {
    /// The odds of a case's own time, if it has one: the chance by the dish's own ensemble, the surer time by cooks whose heat stays on.
    ///
    /// # Errors
    /// Nobody waits for it any more.
    pub fn of(case: &ResolvedDish, ensemble: &Weighted) -> Result<Option<Self>> {
        let Some(own_s) = case.own_time_s() else { return Ok(None) };
        let mut open = ResolvedDish { members: MEMBERS.min(case.members), ..case.clone() };
        let last = open.stages.len() - 1;
        let pressed = open.stages[last].medium.facts().locked;
        match open.stages[last].medium.get::<Pressure>().copied() {
            Some(pot) => open.stages[last].medium = Set::Pressure(Pressure { hold_s: None, ..pot }),
            None => open.stages[last].end = End::Stays,
        }
        let Weighted { ready_s, times, weights, .. } = update(&open, &[], None)?.ensemble;
        let begins_s = if pressed { Some(0.0) } else { ensemble.over_s(0.5).map(|over_s| over_s - own_s) };
        let Some(begins_s) = begins_s else { return Ok(None) };
        // How long each cook would have needed, in what the cook has fixed.
        let needed_s: Vec<f64> = if pressed {
            times.iter().map(|times| times.hold_s).collect()
        } else {
            ready_s.iter().map(|ready_s| f64::max(0.0, ready_s - begins_s)).collect()
        };
        let chance = chance(&ensemble.weights, |i| ensemble.ready_s[i].is_finite());
        let sure_min = quantile(&needed_s, &weights, case.certainty).map(|s| as_set(s / MINUTE_S));
        let min = own_s / MINUTE_S;
        // The last of several is told with what went before it.
        let before_min = if pressed || last == 0 { 0.0 } else { begins_s / MINUTE_S };
        let own = match before_min > 0.0 {
            true => say::own_time_in_all(Minutes((before_min + min).round())),
            false => Message::quantity(Minutes(min)),
        };
        let (odds, done) = (Share(chance), case.main().eaten_as.done());
        let said = match sure_min {
            // No longer time makes a better word of it.
            _ if chance >= case.certainty - 0.05 => say::own_time_does(own, odds, done),
            Some(sure_min) => {
                let sure = Minutes(as_set(before_min + sure_min));
                say::own_time(own, odds, done, sure, Share(case.certainty))
            }
            None => say::own_time_only(own, odds, done),
        };
        Ok(Some(Self { min, chance, sure_min, text: case.voice.render(said) }))
    }
}
