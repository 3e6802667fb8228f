//! From an ensemble and the median run to the answer.

use crate::ways::pressure::Pressure;
use ergastic_words::{Voice, forecast as say};

use super::answer::{Assumed, CurvePoint, Forecast, Inside, InsideFrame, PartForecast, Quantiles, StageSpan};
use super::explain::explain;
use super::own_time::OwnTime;
use super::pressed::PressureMinutes;
use super::request::ForecastRequest;
use super::resolve::{ResolvedDish, ResolvedPart};
use super::stats::{chance, quantile};
use super::update::update;
use super::weighted::Weighted;
use super::{cautions, notes, thumb, words};
use crate::cuts::Cut;
use crate::error::Result;
use crate::safety::WARM_PAST_C;
use ergastic_physics::body::SHELLS;
use ergastic_physics::record::{Frame, Record};
use ergastic_physics::units::{MINUTE_S, round_to};
use ergastic_physics::{HORIZON_S, Times, come_up_s, recorded};

/// Minutes between points of the curve.
const CURVE_MIN: f64 = 5.0;
/// The same in a pit, a crock, a bath or under fat, where nothing happens fast.
const SLOW_CURVE_MIN: f64 = 10.0;

/// Forecasts a request.
///
/// # Errors
/// Names the field that can't be used. A tender cut is answered with `suitable: false`, not with an error.
///
/// ```
/// use ergastic_core::ways::Method;
/// use ergastic_core::forecast::{ForecastRequest, forecast};
/// let shin = ForecastRequest {
///     cut: Some(ergastic_core::cuts::Cut::Shin),
///     method: Some(Method::Braise),
///     members: Some(50),
///     ..Default::default()
/// };
/// let answer = forecast(&shin).unwrap();
/// assert!(answer.suitable && answer.ready_min.p10 < answer.ready_min.p90);
/// ```
pub fn forecast(request: &ForecastRequest) -> Result<Forecast> {
    if let Some(why) = request.cut.and_then(|cut| cut.refusal()) {
        return Ok(Forecast::unsuitable(why, Voice::new(request.units.unwrap_or_default())));
    }
    if let Some(why) = request.parts.iter().flatten().find_map(|part| part.cut.and_then(Cut::refusal)) {
        return Ok(Forecast::unsuitable(why, Voice::new(request.units.unwrap_or_default())));
    }
    let case = request.resolve()?;
    if case.members == 1 {
        return complete(request, &case, describe(&case, None)?);
    }
    let drawn = update(&case, &[], None)?;
    let mut answer = complete(request, &case, describe(&case, Some(drawn.ensemble.clone()))?)?;
    if case.explain {
        answer.explained = Some(explain(&case, &drawn, &answer)?);
    }
    Ok(answer)
}

/// Adds what only a forecast on its own needs: rules of thumb and comparisons, which run other cases.
///
/// # Errors
/// Nobody waits for it any more.
pub fn complete(request: &ForecastRequest, case: &ResolvedDish, mut answer: Forecast) -> Result<Forecast> {
    let at_pressure = answer.at_pressure_min.and_then(|minutes| minutes.p50);
    answer.thumb = thumb::of(request, case, answer.ready_min.p50, at_pressure)?;
    answer.notes.extend(notes::price_of_boiling(request, case, &answer)?.map(|note| case.voice.render(note)));
    Ok(answer)
}

/// Quantiles in minutes of a weighted ensemble's seconds.
pub(super) fn quantiles(values: &[f64], weights: &[f64]) -> Quantiles {
    let minutes = |p| quantile(values, weights, p).map(|s| s / MINUTE_S);
    Quantiles { p10: minutes(0.1), p50: minutes(0.5), p90: minutes(0.9) }
}

/// Puts an ensemble, weighted or not, into an answer beside the median run; without one, the median run is all there is.
///
/// Rules of thumb are left to [`forecast`]: they run other cases.
///
/// # Errors
/// Nobody waits for it any more.
pub fn describe(case: &ResolvedDish, ensemble: Option<Weighted>) -> Result<Forecast> {
    let (physics, curve_min) = (case.physics(), curve_min(case));
    let record = recorded(&physics, curve_min * MINUTE_S, WARM_PAST_C, &case.how)?;
    let median = &record.times;
    let ensemble = ensemble.unwrap_or_else(|| Weighted::one(median.clone()));
    let ready_min = quantiles(&ensemble.ready_s, &ensemble.weights);
    let overcooked_min = quantiles(&ensemble.overcooked_s, &ensemble.weights);
    let [chance_ready, chance_in_window] = chances(case, &ensemble);
    let p50_s = ready_min.p50.map(|m| m * MINUTE_S);
    // What never gets tender in the cook's own time is told as it is when that time is over.
    let over_s = record.stage_ends_s.last().copied().filter(|s| s.is_finite());
    let at_ready = p50_s.or(over_s).map(|s| record.at(s).clone());
    let last_s = f64::max(median.overcooked_s.min(HORIZON_S), p50_s.unwrap_or(0.0));
    let shown = || record.frames.iter().filter(move |frame| frame.time_s <= last_s + curve_min * MINUTE_S);
    let inside = case.inside.then(|| inside(case, shown()));
    let under_pressure = case.stages.iter().any(|stage| stage.medium.facts().locked);
    let come_up_min = come_up_min(case, median);
    let pressure = PressureMinutes::of(case, &ensemble, &record.stage_ends_s);
    let own_time = OwnTime::of(case, &ensemble)?;
    let chance_ready = chance_ready.or(own_time.as_ref().map(|own| own.chance));
    let parts = parts(case, &ensemble);
    let voice = case.voice;
    let unpoured = notes::unpoured(case, &record.stage_ends_s);
    let of_the_times = notes::of(case, &ready_min, &overcooked_min, come_up_min, &parts);
    let notes = case.notes.iter().cloned().chain(unpoured).chain(of_the_times);
    Ok(Forecast {
        suitable: true,
        why: voice.render(words::why(case, &ready_min, at_ready.as_ref(), pressure.as_ref())),
        ready_min,
        overcooked_min,
        chance_ready,
        chance_in_window,
        parts,
        stages: spans(case, &record),
        at_pressure_min: under_pressure.then(|| at_pressure(case, &ensemble)),
        pressure,
        own_time: own_time.clone(),
        curve: shown().map(point).collect(),
        explained: None,
        inside,
        enough_softening_h: case.main().goal.enough,
        overcooked_softening_h: case.main().goal.overcooked,
        toughness: case.main().goal.toughness,
        come_up_min,
        mass_kg: case.mass_kg,
        pieces: case.pieces,
        liquid_l: case.liquid_l,
        yield_kg: at_ready.as_ref().map(|frame| frame.left.yield_kg),
        juice_lost_kg: at_ready.as_ref().map(|frame| frame.left.juice_kg),
        fat_l: at_ready.as_ref().map(|frame| frame.left.fat_l),
        liquid_left_l: at_ready.as_ref().map(|frame| frame.liquid_l),
        gelatin_g: at_ready.as_ref().map(|frame| frame.left.gelatin_g),
        salt_g: at_ready.as_ref().map(|frame| frame.salt_g),
        portions: at_ready.as_ref().map(|frame| frame.left.yield_kg / crate::cuts::PORTION_KG),
        thumb: Vec::new(),
        cautions: cautions::of(case, &record, p50_s, come_up_min.is_some()),
        notes: own_time.map(|own| own.text).into_iter().chain(notes.map(|note| voice.render(note))).collect(),
        assumed: Assumed::of(case, |_| true),
    })
}

/// Until it simmers, or its pressure is up, min; none where it never is.
fn come_up_min(case: &ResolvedDish, median: &Times) -> Option<f64> {
    let under_pressure = case.stages.iter().any(|stage| stage.medium.facts().locked);
    let come_up_s = if under_pressure { median.came_up_s } else { come_up_s(&case.physics()) };
    come_up_s.is_finite().then_some(come_up_s / MINUTE_S)
}

/// Minutes between points of a case's curve.
fn curve_min(case: &ResolvedDish) -> f64 {
    if case.stages.iter().all(|stage| stage.medium.facts().slow) { SLOW_CURVE_MIN } else { CURVE_MIN }
}

/// P(tender by the deadline), and P(tender by then and not too far): none without one.
fn chances(case: &ResolvedDish, ensemble: &Weighted) -> [Option<f64>; 2] {
    let by = |holds: fn(&Weighted, usize, f64) -> bool| {
        case.deadline_s.map(|deadline| chance(&ensemble.weights, |i| holds(ensemble, i, deadline)))
    };
    [
        by(|cooks, i, deadline| cooks.ready_s[i] <= deadline),
        by(|cooks, i, deadline| cooks.ready_s[i] <= deadline && deadline <= cooks.overcooked_s[i]),
    ]
}

/// The inside of the main part, as it is shown.
fn inside<'a>(case: &ResolvedDish, frames: impl Iterator<Item = &'a Frame>) -> Inside {
    let main = case.main();
    Inside {
        radius: (1..=SHELLS).map(|i| i as f64 / SHELLS as f64).collect(),
        sides_mm: main.sides_m.map(|side| round_to(side * 1000.0, 1.0)),
        enough: main.goal.enough / main.goal.toughness,
        frames: frames.map(|frame| inside_frame(frame, main, case.voice)).collect(),
    }
}

/// Time at pressure: as solved for, or as given.
fn at_pressure(case: &ResolvedDish, ensemble: &Weighted) -> Quantiles {
    let hold_s = |times: &Times| if times.came_up_s.is_finite() { times.hold_s } else { f64::INFINITY };
    let holds_s: Vec<f64> = ensemble.times.iter().map(hold_s).collect();
    let given = case.stages.iter().find_map(|stage| stage.medium.get::<Pressure>()?.hold_s.filter(|s| s.is_finite()));
    match given.map(|hold_s| hold_s / MINUTE_S) {
        Some(minutes) if case.solved_stage().is_none() => {
            Quantiles { p10: Some(minutes), p50: Some(minutes), p90: Some(minutes) }
        }
        _ => quantiles(&holds_s, &ensemble.weights),
    }
}

/// Each part's band, and the order in which they are lifted out.
fn parts(case: &ResolvedDish, ensemble: &Weighted) -> Vec<PartForecast> {
    /// Parts that are tender within so many minutes of each other come out together.
    const TOGETHER_MIN: f64 = 10.0;
    if case.parts.len() == 1 {
        return Vec::new();
    }
    let mut parts: Vec<PartForecast> = case
        .parts
        .iter()
        .enumerate()
        .map(|(i, part)| {
            let (ready_s, overcooked_s): (Vec<f64>, Vec<f64>) =
                ensemble.times.iter().map(|times| (times.parts[i].ready_s, times.parts[i].overcooked_s)).unzip();
            PartForecast {
                cut: part.facts.cut,
                name: case.voice.render(part.facts.cut.label()),
                mass_kg: part.mass_kg,
                pieces: part.pieces,
                ready_min: quantiles(&ready_s, &ensemble.weights),
                overcooked_min: quantiles(&overcooked_s, &ensemble.weights),
                lift: 0,
            }
        })
        .collect();
    let mut order: Vec<usize> = (0..parts.len()).collect();
    let ready = |part: &PartForecast| part.ready_min.p50.unwrap_or(f64::INFINITY);
    order.sort_by(|a, b| ready(&parts[*a]).total_cmp(&ready(&parts[*b])));
    let (mut lift, mut first) = (0, f64::NEG_INFINITY);
    for i in order {
        if ready(&parts[i]) > first + TOGETHER_MIN {
            lift += 1;
            first = ready(&parts[i]);
        }
        parts[i].lift = usize::max(lift, 1);
    }
    parts
}

fn spans(case: &ResolvedDish, record: &Record) -> Vec<StageSpan> {
    let ends: Vec<Option<f64>> =
        record.stage_ends_s.iter().map(|end_s| end_s.is_finite().then(|| round_to(end_s / MINUTE_S, 0.1))).collect();
    let span = |(i, stage): (usize, &super::resolve::ResolvedStage)| StageSpan {
        method: stage.method,
        words: case.voice.render(stage.medium.way().name()),
        from_min: if i == 0 { Some(0.0) } else { ends[i - 1] },
        to_min: ends[i],
    };
    case.stages.iter().enumerate().map(span).collect()
}

fn point(frame: &Frame) -> CurvePoint {
    let round = |value: f64| round_to(value, 0.01);
    let fine = |value: f64| round_to(value, 0.001);
    CurvePoint {
        min: round(frame.minutes()),
        core_c: round(frame.celsius[0]),
        surface_c: round(frame.surface_c),
        medium_c: round(frame.medium_c),
        air_c: round(frame.air_c),
        softening_h: round_to(frame.mean_dose, 0.0001),
        liquid_l: fine(frame.liquid_l),
        steam_kg: fine(frame.steam_kg),
        juice_kg: fine(frame.left.juice_kg),
        fat_l: fine(frame.left.fat_l),
        gelatin_g: round(frame.left.gelatin_g),
        salt_g: round(frame.salt_g),
        yield_kg: fine(frame.left.yield_kg),
        stage: frame.stage,
    }
}

fn inside_frame(frame: &Frame, main: &ResolvedPart, voice: Voice) -> InsideFrame {
    let share = |dose: f64| dose / main.goal.enough;
    let (middle, outside) = (share(frame.dose[0]), frame.dose.last().map_or(0.0, |dose| share(*dose)));
    let how = match (middle, outside) {
        (middle, _) if middle >= 1.0 => "through",
        (middle, _) if middle > 0.4 => "middle",
        (_, outside) if outside > 0.3 => "outside",
        _ => "firm",
    };
    InsideFrame {
        min: round_to(frame.minutes(), 0.01),
        celsius: frame.celsius.iter().map(|t| round_to(*t, 0.1)).collect(),
        tenderness: frame.dose.iter().map(|dose| round_to(dose / main.goal.toughness, 0.001)).collect(),
        words: voice.render(say::inside(how)),
    }
}
