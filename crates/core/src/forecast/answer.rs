//! The answer to a forecast.

use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::evidence::{Weighted, update};
use super::record::{Frame, Recorder};
use super::request::ForecastRequest;
use super::resolve::Case;
use super::run::{HORIZON_S, Times, run_median};
use super::stats::{chance, quantile};
use super::words;
use crate::error::Result;
use crate::heat::conduction::SHELLS;
use crate::safety::{Caution, boils_dry, slow_warming};
use crate::units::{MINUTE_S, round_to};

/// Minutes between points of the curve.
const CURVE_MIN: f64 = 5.0;

/// Three quantiles in minutes; `null` where no member gets there.
#[derive(Debug, Clone, Copy, PartialEq, Default, Serialize, Deserialize, ToSchema)]
pub struct Quantiles {
    /// One cook in ten is ready by then.
    pub p10: Option<f64>,
    /// Half are.
    pub p50: Option<f64>,
    /// Nine in ten are.
    pub p90: Option<f64>,
}

/// One point of the median run.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct CurvePoint {
    /// Minutes since the meat met the heat.
    pub min: f64,
    /// Middle, °C.
    pub core_c: f64,
    /// Surface, °C.
    pub surface_c: f64,
    /// Liquid, °C.
    pub medium_c: f64,
    /// Mean tender-hours.
    pub tender_h: f64,
    /// Liquid in the pot, L.
    pub liquid_l: f64,
}

/// The inside of the piece at one moment, from the middle out.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct InsideFrame {
    /// Minutes since the meat met the heat.
    pub min: f64,
    /// Shell temperatures, °C.
    pub celsius: Vec<f64>,
    /// Tender-hours of each shell over the cut's resistance: on the scale of slice to spoon.
    pub tenderness: Vec<f64>,
}

/// The inside of the piece over the whole cook.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Inside {
    /// Outer radius of each shell over the whole.
    pub radius: Vec<f64>,
    /// Sides of the piece, mm, from the shortest.
    pub sides_mm: [f64; 3],
    /// Frames in time order.
    pub frames: Vec<InsideFrame>,
}

/// A cook's own rule of thumb beside the forecast.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Thumb {
    /// The rule, as a cook says it.
    pub rule: String,
    /// What it gives here, minutes.
    pub min: f64,
    /// Why it differs from the forecast.
    pub why: String,
}

/// Something left out of the request and filled in.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct Assumed {
    /// The field.
    pub field: String,
    /// What was taken.
    pub value: String,
    /// Why that.
    pub why: String,
}

/// When it will be tender, and how sure that is.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Forecast {
    /// Whether this cut and way belong together.
    pub suitable: bool,
    /// One plain sentence.
    pub why: String,
    /// Tender, minutes from the meat meeting the heat.
    pub ready_min: Quantiles,
    /// Gone too far if the heat simply stays on.
    pub too_far_min: Quantiles,
    /// P(ready ≤ deadline), the meat going to a hold when tender.
    pub chance_ready: Option<f64>,
    /// P(ready ≤ deadline ≤ too far), the heat simply staying on.
    pub chance_in_window: Option<f64>,
    /// The median run.
    pub curve: Vec<CurvePoint>,
    /// The inside of the piece, if asked for.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub inside: Option<Inside>,
    /// Tender-hours that are enough here.
    pub enough_tender_h: f64,
    /// Resistance × age × feed.
    pub resistance: f64,
    /// Minutes on the hob before the liquid simmers.
    pub come_up_min: f64,
    /// Raw mass the forecast is for, kg.
    pub mass_kg: f64,
    /// Pieces.
    pub pieces: u32,
    /// Poured in, L.
    pub liquid_l: f64,
    /// Cooked and edible, kg.
    pub yield_kg: Option<f64>,
    /// Juice, kg.
    pub juice_lost_kg: Option<f64>,
    /// Fat on the liquid, L.
    pub fat_l: Option<f64>,
    /// Liquid in the pot, L.
    pub liquid_left_l: Option<f64>,
    /// Gelatin in the liquid, g.
    pub gelatin_g: Option<f64>,
    /// Rules of thumb.
    pub thumb: Vec<Thumb>,
    /// Cautions that bind.
    pub cautions: Vec<Caution>,
    /// Oddities, and reasons for what is null.
    pub notes: Vec<String>,
    /// What was filled in.
    pub assumed: Vec<Assumed>,
}

/// Forecasts a request.
///
/// # Errors
/// Names the field that can't be used. A tender cut is answered with `suitable: false`, not with an error.
///
/// ```
/// use ergastic_core::forecast::{forecast, ForecastRequest, Method};
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
        return Ok(Forecast::unsuitable(why));
    }
    let case = request.resolve()?;
    let ensemble = (case.members > 1).then(|| update(&case, &[], None).ensemble);
    Ok(describe(&case, ensemble))
}

/// Puts an ensemble, weighted or not, into an answer beside the median run; without one, the median run is all there is.
pub fn describe(case: &Case, ensemble: Option<Weighted>) -> Forecast {
    let mut recorder = Recorder::new(case, CURVE_MIN * MINUTE_S, HORIZON_S);
    let median: Times = run_median(case, &mut recorder);
    let ensemble = ensemble.unwrap_or_else(|| Weighted::one(median));
    let minutes = |values: &[f64], p| quantile(values, &ensemble.weights, p).map(|s| s / MINUTE_S);
    let quantiles =
        |values: &[f64]| Quantiles { p10: minutes(values, 0.1), p50: minutes(values, 0.5), p90: minutes(values, 0.9) };
    let ready_min = quantiles(&ensemble.ready_s);
    let too_far_min = quantiles(&ensemble.too_far_s);
    let chance_ready = case.deadline_s.map(|deadline| chance(&ensemble.weights, |i| ensemble.ready_s[i] <= deadline));
    let chance_in_window = case.deadline_s.map(|deadline| {
        chance(&ensemble.weights, |i| ensemble.ready_s[i] <= deadline && deadline <= ensemble.too_far_s[i])
    });

    let p50_s = ready_min.p50.map(|m| m * MINUTE_S);
    let at_ready = p50_s.map(|s| recorder.at(s).clone());
    let mut cautions = Vec::new();
    cautions.extend(slow_warming(recorder.warm_s.map(|s| s / 3600.0)));
    if let (Some(dry_s), Some(ready_s)) = (recorder.dry_s(), p50_s)
        && dry_s < ready_s
    {
        cautions.push(boils_dry(dry_s / 3600.0));
    }
    let mut notes = case.notes.clone();
    for (name, values) in [("ready_min", ready_min), ("too_far_min", too_far_min)] {
        if values.p90.is_none() {
            notes.push(format!("{name}: some or all of the simulated cooks do not get there within 72 h."));
        }
    }

    let last_s = f64::max(median.too_far_s.min(HORIZON_S), p50_s.unwrap_or(0.0));
    let shown = || recorder.frames.iter().filter(move |frame| frame.time_s <= last_s + CURVE_MIN * MINUTE_S);
    let curve = shown().map(|frame| point(frame, &recorder)).collect();
    let inside = case.inside.then(|| Inside {
        radius: (1..=SHELLS).map(|i| i as f64 / SHELLS as f64).collect(),
        sides_mm: case.sides_m.map(|side| round_to(side * 1000.0, 1.0)),
        frames: shown().map(|frame| inside_frame(frame, case.goal.resistance)).collect(),
    });
    Forecast {
        suitable: true,
        why: words::why(case, &ready_min, at_ready.as_ref()),
        ready_min,
        too_far_min,
        chance_ready,
        chance_in_window,
        curve,
        inside,
        enough_tender_h: case.goal.enough,
        resistance: case.goal.resistance,
        come_up_min: super::run::come_up_s(case) / MINUTE_S,
        mass_kg: case.mass_kg,
        pieces: case.pieces,
        liquid_l: case.liquid_l,
        yield_kg: at_ready.as_ref().map(|frame| frame.left.yield_kg),
        juice_lost_kg: at_ready.as_ref().map(|frame| frame.left.juice_kg),
        fat_l: at_ready.as_ref().map(|frame| frame.left.fat_l),
        liquid_left_l: at_ready.as_ref().map(|frame| recorder.liquid_left(frame)),
        gelatin_g: at_ready.as_ref().map(|frame| frame.left.gelatin_g),
        thumb: words::thumb(case, ready_min.p50),
        cautions,
        notes,
        assumed: case.assumed.clone(),
    }
}

fn point(frame: &Frame, recorder: &Recorder) -> CurvePoint {
    let round = |value: f64| round_to(value, 0.01);
    CurvePoint {
        min: round(frame.minutes()),
        core_c: round(frame.celsius[0]),
        surface_c: round(frame.surface_c),
        medium_c: round(frame.medium_c),
        tender_h: round_to(frame.mean_dose, 0.0001),
        liquid_l: round_to(recorder.liquid_left(frame), 0.001),
    }
}

fn inside_frame(frame: &Frame, resistance: f64) -> InsideFrame {
    InsideFrame {
        min: round_to(frame.minutes(), 0.01),
        celsius: frame.celsius.iter().map(|t| round_to(*t, 0.1)).collect(),
        tenderness: frame.dose.iter().map(|dose| round_to(dose / resistance, 0.001)).collect(),
    }
}

impl Forecast {
    /// The answer for a cut that long cooking does no good.
    fn unsuitable(why: String) -> Self {
        Self {
            suitable: false,
            why,
            ready_min: Quantiles::default(),
            too_far_min: Quantiles::default(),
            chance_ready: None,
            chance_in_window: None,
            curve: Vec::new(),
            inside: None,
            enough_tender_h: 0.0,
            resistance: 0.0,
            come_up_min: 0.0,
            mass_kg: 0.0,
            pieces: 0,
            liquid_l: 0.0,
            yield_kg: None,
            juice_lost_kg: None,
            fat_l: None,
            liquid_left_l: None,
            gelatin_g: None,
            thumb: Vec::new(),
            cautions: Vec::new(),
            notes: vec!["No forecast: this cut is not for long cooking.".into()],
            assumed: Vec::new(),
        }
    }
}
