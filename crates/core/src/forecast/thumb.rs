//! The rules cooks go by, worked out for this piece, with why they differ from the forecast.

use super::answer::Thumb;
use super::request::{ForecastRequest, Heat, HeatSource, Method, Settings};
use super::resolve::{Case, Medium};
use super::run::{HORIZON_S, median_tender_s};
use super::words::span;
use crate::heat::pot::Simmer;
use crate::units::{MINUTE_S, round_to};

/// Pounds in a kilogram.
const POUNDS: f64 = 2.2046;
/// A rule this close to the forecast agrees with it.
const AGREES: f64 = 0.15;

/// A rule that has no eye for the piece.
const BLIND_TO_SIZE: &str = "it knows neither this cut nor how thick it is";
/// A rule by weight.
const BY_WEIGHT: &str = "it counts weight, but thickness and sinew rule the time";

fn thumb(rule: &str, minutes: f64, against: Option<f64>, because: &str) -> Thumb {
    let why = match against {
        None => "there is no forecast to compare it with".to_owned(),
        Some(ours) if (minutes / ours - 1.0).abs() < AGREES => "it agrees with the forecast here".to_owned(),
        Some(ours) => {
            let apart = span((minutes - ours).abs());
            let way = if minutes > ours { "longer" } else { "shorter" };
            format!("{apart} {way} than the forecast: {because}")
        }
    };
    Thumb { rule: rule.to_owned(), min: round_to(minutes, 5.0), why }
}

/// Minutes until the same meat is tender another way, if it becomes so.
fn another_way(request: &ForecastRequest, method: Method, heat: Heat) -> Option<f64> {
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
    let case = other.resolve().ok()?;
    let tender_s = median_tender_s(&case);
    (tender_s < HORIZON_S).then(|| tender_s / MINUTE_S)
}

/// The rules for this way; `ready` is half of such cooks' minutes, `at_pressure` their time at pressure.
pub fn of(request: &ForecastRequest, case: &Case, ready: Option<f64>, at_pressure: Option<f64>) -> Vec<Thumb> {
    let main = case.main();
    let joint_kg = main.mass_kg / f64::from(main.pieces);
    let pounds = joint_kg * POUNDS;
    let hob = || Heat { source: Some(HeatSource::Hob), simmer: Some(Simmer::Gentle), ..Heat::default() };
    let small = main.sides_m[0] <= 0.05;
    // The rule is for one way from start to end: a chain is measured against its first long one.
    let longest = case.stages.iter().map(|stage| &stage.medium).find(|medium| !matches!(medium, Medium::Chill { .. }));
    match longest {
        Some(Medium::Pressure { .. }) => {
            let mut rules = Vec::new();
            if let Some(on_the_hob) = another_way(request, Method::Braise, hob()) {
                rules.push(thumb(
                    "an hour under pressure is two and a half on the hob",
                    on_the_hob / 2.5,
                    at_pressure,
                    "hotter liquid softens faster, but the heat takes as long as ever to reach the middle",
                ));
            }
            rules.push(thumb(
                if small { "half an hour for pieces, an hour for a joint" } else { "an hour at pressure for a joint" },
                if small { 30.0 } else { 60.0 },
                at_pressure,
                BLIND_TO_SIZE,
            ));
            rules
        }
        Some(Medium::Pit { pit, .. }) => {
            let hours_a_pound = if pit.set_c < 120.0 { 1.5 } else { 1.0 };
            let rule = if pit.set_c < 120.0 {
                "an hour and a half a pound in a slow pit"
            } else {
                "an hour a pound in a hot pit"
            };
            vec![
                thumb(
                    rule,
                    60.0 * hours_a_pound * pounds,
                    ready,
                    "it counts weight; the stall goes by surface, wrap and damp",
                ),
                thumb("start the night before", 720.0, ready, "it is the habit for a whole brisket, whatever its size"),
            ]
        }
        Some(Medium::SlowCooker { setting }) => {
            let (rule, minutes) = match setting {
                Settings::Low => ("eight hours on low", 480.0),
                Settings::High => ("four hours on high", 240.0),
            };
            let other = if *setting == Settings::Low { Settings::High } else { Settings::Low };
            let heat = Heat { setting: Some(other), ..Heat::default() };
            let double = another_way(request, Method::SlowCooker, heat).map(|other_min| {
                let (rule, minutes) = match setting {
                    Settings::Low => ("low takes twice as long as high", 2.0 * other_min),
                    Settings::High => ("high takes half as long as low", 0.5 * other_min),
                };
                thumb(
                    rule,
                    minutes,
                    ready,
                    "both start cold and end only 5 K apart; the warming-up is most of the difference",
                )
            });
            [Some(thumb(rule, minutes, ready, "it is for a full crock of chuck in pieces")), double]
                .into_iter()
                .flatten()
                .collect()
        }
        Some(Medium::Bath { bath_c }) => {
            let (rule, minutes) = if *bath_c >= 78.0 {
                ("overnight above 80 °C", 720.0)
            } else {
                ("a day and a night below 75 °C", 2160.0)
            };
            vec![thumb(rule, minutes, ready, "a few degrees in the bath are worth hours, and sinew as many again")]
        }
        Some(Medium::Fat { .. }) => {
            vec![thumb(
                "half a working day under fat",
                300.0,
                ready,
                "how it is to be eaten decides: for the spoon it is twice as long as for a fork",
            )]
        }
        _ => {
            let mut rules = Vec::new();
            if !small {
                rules.push(thumb("an hour a pound for one joint", 60.0 * pounds, ready, BY_WEIGHT));
                rules.push(thumb("about three hours for a joint", 180.0, ready, BLIND_TO_SIZE));
            } else {
                rules.push(thumb("about two hours for pieces", 120.0, ready, BLIND_TO_SIZE));
            }
            if let Some(pressed) = another_way(request, Method::Pressure, Heat::default()) {
                rules.push(thumb(
                    "three times as long as under pressure",
                    3.0 * pressed,
                    ready,
                    "the pressure pot spends much of its time coming up",
                ));
            }
            rules
        }
    }
}
