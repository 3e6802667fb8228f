//! The rules cooks go by, worked out for this piece, with why they differ from the forecast.

use ergastic_words::{Difference, Guide, Message, Span, Voice, forecast as say};

use super::answer::Thumb;
use super::request::{ForecastRequest, Heat};
use super::resolve::Case;
use crate::cuts::STEWING_PIECE_M;
use crate::heat::pot::Simmer;
use crate::ways::{HeatSource, Medium, Method, Settings};
use ergastic_physics::units::{MINUTE_S, round_to};
use ergastic_physics::{HORIZON_S, median_tender_s};

/// Pounds in a kilogram.
const POUNDS: f64 = 2.2046;
/// A rule this close to the forecast agrees with it.
const AGREES: f64 = 0.15;

/// A rule with the minutes it gives and why it is wrong here, if it is.
struct Known {
    rule: Message,
    minutes: f64,
    because: Message,
}

impl Known {
    fn new(rule: Message, minutes: f64, because: Message) -> Self {
        Self { rule, minutes, because }
    }

    /// Beside a forecast of so many minutes.
    fn against(self, ours: Option<f64>, voice: Voice) -> Thumb {
        let Self { rule, minutes, because } = self;
        let why = match ours {
            None => say::thumb_alone(),
            Some(ours) if (minutes / ours - 1.0).abs() < AGREES => say::thumb_agrees(),
            Some(ours) if minutes > ours => say::thumb_longer(Span(minutes - ours), because),
            Some(ours) => say::thumb_shorter(Span(ours - minutes), because),
        };
        Thumb { rule: voice.render(rule), min: round_to(minutes, 5.0), why: voice.render(why) }
    }
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
    let tender_s = median_tender_s(&case.physics());
    (tender_s < HORIZON_S).then(|| tender_s / MINUTE_S)
}

/// The rules for this way; `ready` is half of such cooks' minutes, `at_pressure` their time at pressure.
pub fn of(request: &ForecastRequest, case: &Case, ready: Option<f64>, at_pressure: Option<f64>) -> Vec<Thumb> {
    let main = case.main();
    let pounds = main.mass_kg / f64::from(main.pieces) * POUNDS;
    let small = main.sides_m[0] <= STEWING_PIECE_M;
    // The rule is for one way from start to end: a chain is measured against its first long one.
    let longest = case.stages.iter().map(|stage| &stage.medium).find(|medium| !matches!(medium, Medium::Chill { .. }));
    let (known, ours) = match longest {
        Some(Medium::Pressure { .. }) => (under_pressure(request, small), at_pressure),
        Some(Medium::Pit { pit, .. }) => (in_the_pit(pit.set_c, pounds), ready),
        Some(Medium::SlowCooker { setting }) => (in_the_crock(request, *setting), ready),
        Some(Medium::Bath { bath_c }) => (in_the_bath(*bath_c), ready),
        Some(Medium::Fat { .. }) => (vec![Known::new(say::thumb_fat(), 300.0, say::thumb_fat_because())], ready),
        _ => (in_the_pot(request, small, pounds), ready),
    };
    known.into_iter().map(|known| known.against(ours, case.voice)).collect()
}

fn under_pressure(request: &ForecastRequest, small: bool) -> Vec<Known> {
    let hob = Heat { source: Some(HeatSource::Hob), simmer: Some(Simmer::Gentle), ..Heat::default() };
    let of_the_hob = another_way(request, Method::Braise, hob)
        .map(|on_the_hob| Known::new(say::thumb_pressure(), on_the_hob / 2.5, say::thumb_pressure_because()));
    let usual = if small {
        Known::new(say::thumb_pressure_pieces(), 30.0, say::blind_to_size())
    } else {
        Known::new(say::thumb_pressure_joint(), 60.0, say::blind_to_size())
    };
    of_the_hob.into_iter().chain([usual]).collect()
}

fn in_the_pit(set_c: f64, pounds: f64) -> Vec<Known> {
    let (rule, hours_a_pound) = if set_c < 120.0 { (say::thumb_slow_pit(), 1.5) } else { (say::thumb_hot_pit(), 1.0) };
    vec![
        Known::new(rule, 60.0 * hours_a_pound * pounds, say::thumb_slow_pit_because()),
        Known::new(say::thumb_night_before(), 720.0, say::thumb_night_before_because()),
    ]
}

fn in_the_crock(request: &ForecastRequest, setting: Settings) -> Vec<Known> {
    let (rule, minutes, other) = match setting {
        Settings::Low => (say::thumb_low(), 480.0, Settings::High),
        Settings::High => (say::thumb_high(), 240.0, Settings::Low),
    };
    let apart = Difference(Settings::High.cooker().end_c - Settings::Low.cooker().end_c);
    let heat = Heat { setting: Some(other), ..Heat::default() };
    let against_the_other = another_way(request, Method::SlowCooker, heat).map(|other_min| {
        let (rule, minutes) = match setting {
            Settings::Low => (say::thumb_low_is_twice(), 2.0 * other_min),
            Settings::High => (say::thumb_high_is_half(), 0.5 * other_min),
        };
        Known::new(rule, minutes, say::thumb_low_is_twice_because(apart))
    });
    [Known::new(rule, minutes, say::thumb_crock_because())].into_iter().chain(against_the_other).collect()
}

fn in_the_bath(bath_c: f64) -> Vec<Known> {
    let (rule, minutes) = if bath_c >= 78.0 {
        (say::thumb_bath_night(Guide(80.0)), 720.0)
    } else {
        (say::thumb_bath_day(Guide(75.0)), 2160.0)
    };
    vec![Known::new(rule, minutes, say::thumb_bath_because())]
}

fn in_the_pot(request: &ForecastRequest, small: bool, pounds: f64) -> Vec<Known> {
    let mut rules = if small {
        vec![Known::new(say::thumb_pieces(), 120.0, say::blind_to_size())]
    } else {
        vec![
            Known::new(say::thumb_pound(), 60.0 * pounds, say::by_weight()),
            Known::new(say::thumb_joint(), 180.0, say::blind_to_size()),
        ]
    };
    rules.extend(
        another_way(request, Method::Pressure, Heat::default()).map(|pressed| {
            Known::new(say::thumb_thrice_pressure(), 3.0 * pressed, say::thumb_thrice_pressure_because())
        }),
    );
    rules
}
