//! What moved the band, when a look would tell most, and what comes out of a mixed pot first.

use ergastic_words::{Difference, Instant, Mass, Message, RoughMinutes, Voice, Volume, cook as say};
use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use crate::clock::{minutes_between, plus_minutes};
use crate::forecast::{Found, Moved};
use crate::sheet::Settled;

/// A shift smaller than this is none, min.
const NO_SHIFT_MIN: f64 = 3.0;
/// A look has to narrow the band by so much to be worth its heat: a share of it, and min.
const WORTH_SHARE: f64 = 0.15;
const WORTH_MIN: f64 = 10.0;
/// Of looks that narrow it as much within this, the earliest is told.
const AS_GOOD: f64 = 1.08;
/// A look is told this long ahead at the least, min.
const AHEAD_MIN: f64 = 5.0;

/// What one kind of finding did to the band.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct MovedBy {
    /// Which kind.
    pub found: Found,
    /// The likeliest moment moves by so many minutes; less than nothing is sooner.
    pub min: f64,
    /// In a sentence.
    pub words: String,
}

/// The middle and what surrounds it at a moment, as reckoned now.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct CoursePoint {
    /// When.
    pub at: Timestamp,
    /// In the middle: P10, P50, P90, °C.
    #[schema(min_items = 3, max_items = 3)]
    pub core_c: [f64; 3],
    /// Liquid, fat or air about it, °C.
    pub medium_c: f64,
}

/// The look that narrows the band most.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct LookAt {
    /// When.
    pub at: Timestamp,
    /// How wide the band is now, min.
    pub from_min: f64,
    /// How wide it would be after the look, as expected, min.
    pub to_min: f64,
    /// Heat that it lets out costs about so many minutes.
    pub costs_min: f64,
    /// In a sentence.
    pub words: String,
}

/// Something of a mixed pot with the time it comes out.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct LiftOut {
    /// What.
    pub name: String,
    /// Its place in the order: what is tender together shares one.
    pub order: usize,
    /// One such piece in ten is tender by then.
    pub p10: Option<Timestamp>,
    /// Half are.
    pub p50: Option<Timestamp>,
    /// Nine in ten are.
    pub p90: Option<Timestamp>,
    /// In a line.
    pub words: String,
}

fn shift(moved: &Moved) -> Message {
    let by = RoughMinutes(moved.by_s.abs() / 60.0);
    match moved.by_s / 60.0 {
        min if min.abs() < NO_SHIFT_MIN => say::moves_nothing(),
        min if min < 0.0 => say::moves_sooner(by),
        _ => say::moves_later(by),
    }
}

fn told(moved: &Moved) -> Message {
    let shift = shift(moved);
    let over = moved.over.unwrap_or_default();
    let more = over > 0.0;
    match moved.found {
        // A band has more than one end: what does not speak for the shift is not given as its reason.
        Found::Middle if over.abs() < 1.0 || more == (moved.by_s > 0.0) => say::moved_middle_even(shift),
        Found::Middle if more => say::moved_middle_ahead(Difference(over), shift),
        Found::Middle => say::moved_middle_behind(Difference(-over), shift),
        Found::Softness if moved.by_s > 0.0 => say::moved_firmer(shift),
        Found::Softness => say::moved_softer(shift),
        Found::Depth if more => say::moved_deeper(Volume(over), shift),
        Found::Depth => say::moved_shallower(Volume(-over), shift),
        Found::Weight if more => say::moved_lighter(Mass(over), shift),
        Found::Weight => say::moved_heavier(Mass(-over), shift),
        Found::Around if more == (moved.by_s > 0.0) => say::moved_around_even(shift),
        Found::Around if more => say::moved_hotter(Difference(over), shift),
        Found::Around => say::moved_cooler(Difference(-over), shift),
    }
}

/// What each kind of finding did to the band, the one that moved it most first.
pub(super) fn moved_by(worked: &Settled, voice: Voice) -> Vec<MovedBy> {
    let mut moved: Vec<&Moved> = worked.update.moved.iter().collect();
    moved.sort_by(|a, b| b.by_s.abs().total_cmp(&a.by_s.abs()));
    let by = |moved: &Moved| MovedBy { found: moved.found, min: moved.by_s / 60.0, words: voice.render(told(moved)) };
    moved.into_iter().map(by).collect()
}

/// Middle and medium over the whole cook, as reckoned now.
pub(super) fn course(worked: &Settled, on_the_heat: Timestamp) -> Vec<CoursePoint> {
    let at = |s: f64| plus_minutes(on_the_heat, s / 60.0);
    let start = worked.forecast.curve.first().map(|point| CoursePoint {
        at: on_the_heat,
        core_c: [point.core_c; 3],
        medium_c: point.medium_c,
    });
    let then = worked.update.ahead.iter().map(|ahead| CoursePoint {
        at: at(ahead.at_s),
        core_c: ahead.core_c,
        medium_c: ahead.medium_c,
    });
    start.into_iter().chain(then).collect()
}

/// The look that narrows the band most for the heat it lets out; none where none is worth it, or the lid stays shut.
pub(super) fn look(worked: &Settled, on_the_heat: Timestamp, now: Timestamp, voice: Voice) -> Option<LookAt> {
    let case = &worked.case;
    case.last().medium.facts().look?;
    let from_min = worked.ready_min(0.9)? - worked.ready_min(0.1)?;
    let costs_min = case.last().medium.facts().look_costs_min;
    let soonest_s = (minutes_between(on_the_heat, now) + AHEAD_MIN) * 60.0;
    let ahead = || worked.update.ahead.iter().filter(|ahead| ahead.at_s >= soonest_s);
    let least_s = ahead().filter_map(|ahead| ahead.width_s).min_by(f64::total_cmp)?;
    let best = ahead().find(|ahead| ahead.width_s.is_some_and(|width| width <= AS_GOOD * least_s))?;
    let to_min = best.width_s? / 60.0;
    let saves = from_min - to_min;
    if saves < WORTH_MIN || saves < WORTH_SHARE * from_min {
        return None;
    }
    let at = plus_minutes(on_the_heat, best.at_s / 60.0);
    let words = voice.render(say::look_at(
        Instant { at, zone: worked.zone.clone(), read_at: Some(now) },
        RoughMinutes(from_min),
        RoughMinutes(to_min),
        RoughMinutes(costs_min),
    ));
    Some(LookAt { at, from_min, to_min, costs_min, words })
}

/// What comes out of a mixed pot, in its order; nothing where all is of one kind.
pub(super) fn lift_out(worked: &Settled, from: Timestamp, now: Timestamp, voice: Voice) -> Vec<LiftOut> {
    let when = |at: Timestamp| Instant { at, zone: worked.zone.clone(), read_at: Some(now) };
    let parts = worked.forecast.parts.iter();
    let mut out: Vec<LiftOut> = parts
        .map(|part| {
            let at = |min: Option<f64>| min.map(|min| plus_minutes(from, min));
            let ready = part.ready_min;
            let name = part.name.clone();
            let words = match at(ready.p10).zip(at(ready.p90)) {
                Some((quick, slow)) => say::comes_out(Message::text(name.clone()), when(quick), when(slow)),
                None => say::comes_out_never(Message::text(name.clone())),
            };
            let words = voice.render(words);
            LiftOut { name, order: part.lift, p10: at(ready.p10), p50: at(ready.p50), p90: at(ready.p90), words }
        })
        .collect();
    out.sort_by_key(|part| part.order);
    if out.len() > 1 { out } else { Vec::new() }
}
