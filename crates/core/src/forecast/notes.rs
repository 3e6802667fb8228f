//! Oddities worth saying: what never comes and why, how a mixed pot is lifted, what boiling costs.

use ergastic_words::{Guide, Message, RoughMinutes, Volume, forecast as say};

use super::answer::{Forecast, PartForecast, Quantiles};
use super::request::ForecastRequest;
use super::resolve::ResolvedDish;
use crate::cuts::EatenAs;
use crate::error::Result;
use crate::finish::slicing;
use crate::heat::pot::Simmer;
use crate::ways::Heat;
use ergastic_physics::tender::SOFTENS_FROM_C;
use ergastic_physics::units::MINUTE_S;
use ergastic_physics::{HORIZON_S, median_times};

/// What was poured in where no pot was to come any more.
pub fn unpoured(case: &ResolvedDish, stage_ends_s: &[f64]) -> Option<Message> {
    let finds_a_pot =
        |at_s: f64| (case.stages.iter().zip(stage_ends_s)).any(|(stage, end_s)| stage.medium.is_pot() && *end_s > at_s);
    let lost: Vec<_> = case.added.iter().filter(|pour| !finds_a_pot(pour.at_s)).collect();
    let (first, litres) = (lost.first()?, lost.iter().map(|pour| pour.litres).sum::<f64>());
    Some(say::unpoured(Volume(litres), RoughMinutes(first.at_s / MINUTE_S)))
}

/// The notes on an answer.
pub fn of(
    case: &ResolvedDish,
    ready: &Quantiles,
    overcooked: &Quantiles,
    come_up_min: Option<f64>,
    parts: &[PartForecast],
) -> Vec<Message> {
    let mut notes = Vec::new();
    if ready.p90.is_none() {
        let none = ready.p10.is_none();
        notes.push(if come_up_min.is_none() {
            say::never_comes_up()
        } else if case.fixed_end() {
            if none { say::ends_before() } else { say::ends_before_some() }
        } else if case.stages.iter().all(|stage| !stage.medium.way().softens()) {
            say::too_cool(Guide(SOFTENS_FROM_C))
        } else if none {
            say::never()
        } else {
            say::never_for_some()
        });
    }
    if overcooked.p90.is_none() && ready.p10.is_some() {
        notes.push(say::never_overcooked());
    }
    if let (Some(far), Some(ready)) = (overcooked.p50, ready.p50)
        && far < ready
    {
        notes.push(say::overcooked_before_ready());
    }
    if case.main().eaten_as == EatenAs::Slice && ready.p50.is_some() {
        notes.push(slicing(6.0));
    }
    if let (Some(first), Some(last)) =
        (parts.iter().min_by_key(|part| part.lift), parts.iter().max_by_key(|part| part.lift))
        && first.lift != last.lift
        && let (Some(from), Some(to)) = (first.ready_min.p50, last.ready_min.p50)
    {
        notes.push(say::lift_in_turn(first.cut.name(), RoughMinutes(from), last.cut.name(), RoughMinutes(to)));
    }
    notes
}

/// What a rolling boil gains and costs against a gentle simmer of the same pot.
///
/// # Errors
/// Nobody waits for it any more.
pub fn price_of_boiling(request: &ForecastRequest, case: &ResolvedDish, answer: &Forecast) -> Result<Option<Message>> {
    if !case.first().medium.rolls() || case.stages.len() > 1 {
        return Ok(None);
    }
    let heat = Heat::hob(Simmer::Gentle);
    let Ok(gentle) = (ForecastRequest { heat: Some(heat), ..request.clone() }).resolve() else { return Ok(None) };
    let times = median_times(&gentle.physics(), &case.how)?;
    let Some((ready, far)) = answer.ready_min.p50.zip(answer.overcooked_min.p50) else { return Ok(None) };
    if times.overcooked_s >= HORIZON_S {
        return Ok(None);
    }
    let (gentle_min, gentle_far) = (times.ready_s / MINUTE_S, times.overcooked_s / MINUTE_S);
    let (saves, leaves, instead) =
        (RoughMinutes(gentle_min - ready), RoughMinutes(far - ready), RoughMinutes(gentle_far - gentle_min));
    Ok(Some(say::boiling_against_simmering(saves, leaves, instead)))
}
