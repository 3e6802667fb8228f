//! The rules cooks go by, worked out for this piece, with why they differ from the forecast.

use ergastic_words::{RoughMinutes, Voice, forecast as say};

use super::answer::Thumb;
use super::request::ForecastRequest;
use super::resolve::ResolvedDish;
use crate::cuts::STEWING_PIECE_M;
use crate::error::Result;
use crate::ways::{Heat, MeatFigures, Method, ThumbRule, WayId};
use ergastic_physics::units::{MINUTE_S, round_to};
use ergastic_physics::{HORIZON_S, median_tender_s};

/// Pounds in a kilogram.
const POUNDS: f64 = 1.0 / 0.453_592_37;
/// A rule this close to the forecast agrees with it.
const AGREES: f64 = 0.15;

impl ThumbRule {
    /// Beside a forecast of so many minutes.
    fn against(self, ours: Option<f64>, voice: Voice) -> Thumb {
        let Self { rule, minutes, because } = self;
        let why = match ours {
            None => say::thumb_alone(),
            Some(ours) if (minutes / ours - 1.0).abs() < AGREES => say::thumb_agrees(),
            Some(ours) if minutes > ours => say::thumb_longer(RoughMinutes(minutes - ours), because),
            Some(ours) => say::thumb_shorter(RoughMinutes(ours - minutes), because),
        };
        Thumb { rule: voice.render(rule), min: round_to(minutes, 5.0), why: voice.render(why) }
    }
}

/// Minutes until the same meat is tender another way, if it becomes so.
fn another_way(request: &ForecastRequest, method: Method, heat: Heat) -> Result<Option<f64>> {
    let other = ForecastRequest {
        method: Some(method),
        heat: Some(heat),
        stages: None,
        vessel: None,
        liquid_l: None,
        added: None,
        liquid_start_c: None,
        ..request.clone()
    };
    let Ok(case) = other.resolve() else { return Ok(None) };
    let tender_s = median_tender_s(&case.physics(), &case.how)?;
    Ok((tender_s < HORIZON_S).then(|| tender_s / MINUTE_S))
}

/// The rules for this way; `ready` is half of such cooks' minutes, `at_pressure` their time at pressure.
///
/// # Errors
/// Nobody waits for it any more.
pub fn of(
    request: &ForecastRequest,
    case: &ResolvedDish,
    ready: Option<f64>,
    at_pressure: Option<f64>,
) -> Result<Vec<Thumb>> {
    let main = case.main();
    let pounds = main.mass_kg / f64::from(main.pieces) * POUNDS;
    let small = main.sides_m[0] <= STEWING_PIECE_M;
    // The rule is for one way from start to end: a chain is measured against its first long one.
    let longest = case.stages.iter().map(|stage| &stage.medium).find(|medium| medium.id() != WayId::Chill);
    let longest = longest.unwrap_or(&case.first().medium);
    let meat = MeatFigures { small, pounds, another_way: &|method, heat| another_way(request, method, heat) };
    let ours = if longest.facts().locked { at_pressure } else { ready };
    Ok(longest.way().by_thumb(&meat)?.into_iter().map(|rule| rule.against(ours, case.voice)).collect())
}
