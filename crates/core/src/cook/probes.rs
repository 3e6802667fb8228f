//! What the probes of a cook say, and which of it is believed: a tip that fell out, lies in the wrong place, drifts or is silent is
//! noticed and said, and moves no band.

use ergastic_words::{Difference, Message, RoughMinutes, Temperature, Voice, cook as say};
use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use strum::IntoStaticStr;
use utoipa::ToSchema;

use super::event::Happened;
use super::kinds::ProbeIn;
use super::standing::Standing;
use crate::clock::minutes_between;
use crate::forecast::{CurvePoint, Evidence, Probed};

/// A probe is silent when its last word is older than this, min.
const SILENT_MIN: f64 = 5.0;
/// A tip needs so long to come to its place's temperature, min. Working value.
const SETTLES_MIN: f64 = 3.0;
/// Beyond what the middle can do, a reading may lie off the one before by this, K. Working value.
const SLACK_K: f64 = 3.0;
/// What is between a middle and its forecast grows no faster than this, K/min; of a middle without forecast, all of it. Working
/// values.
const PARTS_K_PER_MIN: f64 = 0.8;
const QUICKEST_K_PER_MIN: f64 = 5.0;
/// A reading this near to what surrounds the meat, while the middle should be so far off it, is not of the middle, K.
const AT_THE_MEDIUM_K: f64 = 4.0;
const FAR_FROM_MEDIUM_K: f64 = 14.0;
/// Nothing in a pot is warmer than what heats it by more than this, K.
const OVER_THE_MEDIUM_K: f64 = 4.0;
/// Where the surface is so far ahead of the middle, K, a reading past this share of the way to it is of the outside: the middle of a thin
/// piece over a hot fire comes no further. Working values.
const OUTSIDE_AHEAD_K: f64 = 20.0;
const OUTSIDE_SHARE: f64 = 0.6;
/// Over a heat that is on, the middle does not fall by more than this from its warmest, K.
const FALLS_K: f64 = 4.0;
/// Below this a reading that fell away is of the kitchen's air, °C.
const OUT_BELOW_C: f64 = 45.0;
/// In a medium this hot, °C, the middle of no piece is so far behind what was foretold, K.
const SURELY_HOT_C: f64 = 60.0;
const FAR_BEHIND_K: f64 = 25.0;
/// Out of its place for so long, readings that agree among themselves are a new beginning, min.
const NEW_BEGINNING_MIN: f64 = 12.0;
/// So far off what was set for so long a fire is to be seen to, K and min: an open lid is over by then. Working values.
const OFF_K: f64 = 18.0;
const OFF_FOR_MIN: f64 = 12.0;
/// Points of a trace that are drawn.
const DRAWN: usize = 240;

/// Readings of a probe in time order, thinned.
#[derive(Debug, Clone, PartialEq)]
pub struct Trace {
    /// Its name.
    pub probe: String,
    /// When, and °C.
    pub readings: Vec<(Timestamp, f64)>,
}

/// How far a probe is believed.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema, IntoStaticStr)]
#[serde(rename_all = "snake_case")]
#[strum(serialize_all = "snake_case")]
pub enum Trust {
    /// It reads as its place can be.
    Steady,
    /// It has only just been put there.
    Settling,
    /// Nothing has come from it.
    Silent,
    /// It fell to the air's temperature.
    PulledOut,
    /// It reads what surrounds the meat.
    WrongPlace,
    /// It reads as the outside of the piece does.
    Outside,
    /// It leapt further than meat can.
    Jumped,
    /// It crept away, or reads more than its place can have.
    Drifts,
}

impl Trust {
    /// Its name in JSON.
    pub fn key(self) -> &'static str {
        self.into()
    }

    /// Whether somebody should go and see.
    pub fn is_strange(self) -> bool {
        !matches!(self, Self::Steady | Self::Settling)
    }
}

/// A point of a trace.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct TracePoint {
    /// When.
    pub at: Timestamp,
    /// °C.
    pub celsius: f64,
    /// Whether the forecast goes by it.
    pub believed: bool,
}

/// A probe of a cook as it stands.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct ProbeNow {
    /// Its name.
    pub probe: String,
    /// Where its tip is.
    pub into: ProbeIn,
    /// Since when.
    pub since: Timestamp,
    /// What it read last, °C.
    pub celsius: Option<f64>,
    /// When that was.
    pub at: Option<Timestamp>,
    /// How far it is believed.
    pub trust: Trust,
    /// Since when it has been like that.
    pub trust_since: Timestamp,
    /// What it hangs in is so much hotter than was set, K; less than nothing is cooler. Only where that is too much, and lasts.
    pub off_k: Option<f64>,
    /// Since when.
    pub off_since: Option<Timestamp>,
    /// What is the matter and what to do, or where it is.
    pub words: String,
    /// Its trace, thinned.
    pub points: Vec<TracePoint>,
}

/// What the forecast says a probe could read.
pub(super) struct Expected<'a> {
    pub curve: &'a [CurvePoint],
    pub on_the_heat: Option<Timestamp>,
}

impl Expected<'_> {
    /// What could be read at an instant, where the meat is over the heat.
    fn at(&self, at: Timestamp) -> Option<Should> {
        let min = minutes_between(self.on_the_heat?, at);
        if min < 0.0 {
            return None;
        }
        let after = self.curve.partition_point(|point| point.min <= min);
        let (from, to) = (self.curve.get(after.checked_sub(1)?)?, self.curve.get(after).or(self.curve.last())?);
        let share = if to.min > from.min { ((min - from.min) / (to.min - from.min)).clamp(0.0, 1.0) } else { 0.0 };
        let between = |a: f64, b: f64| a + share * (b - a);
        Some(Should {
            core_c: between(from.core_c, to.core_c),
            surface_c: between(from.surface_c, to.surface_c),
            medium_c: between(from.medium_c, to.medium_c),
            air_c: between(from.air_c, to.air_c),
        })
    }
}

/// What a thermometer could read at a moment: in the middle, at the surface, in what surrounds the meat, and in the air of the oven or
/// pit, °C.
#[derive(Clone, Copy)]
struct Should {
    core_c: f64,
    surface_c: f64,
    medium_c: f64,
    air_c: f64,
}

impl Should {
    /// Whether the surface is so far ahead of the middle that a reading tells which of them it is of.
    fn tells_inside_from_outside(self) -> bool {
        self.surface_c - self.core_c > OUTSIDE_AHEAD_K
    }

    /// Whether a reading is nearer to the surface than the middle of any such piece comes.
    fn is_of_the_outside(self, celsius: f64) -> bool {
        self.tells_inside_from_outside() && celsius - self.core_c > OUTSIDE_SHARE * (self.surface_c - self.core_c)
    }
}

/// A probe in one place, from one putting to the next.
struct Put<'a> {
    probe: &'a str,
    into: ProbeIn,
    from: Timestamp,
    to: Option<Timestamp>,
}

/// Where the probes were put, in time order.
fn puts<'a>(standing: &Standing<'a>) -> Vec<Put<'a>> {
    let mut puts: Vec<Put> = Vec::new();
    let mut events: Vec<_> = standing.all().collect();
    events.sort_by_key(|event| event.at);
    for event in events {
        let Happened::ProbePut { probe, into } = event.happened else { continue };
        if let Some(before) = puts.iter_mut().rev().find(|put| put.probe == probe) {
            before.to = before.to.or(Some(event.at));
        }
        puts.push(Put { probe, into: *into, from: event.at, to: None });
    }
    puts
}

/// The probes that a cook has, or had: the readings of others are none of its business.
pub fn probes_of(events: &[super::event::Event]) -> Vec<String> {
    let standing = Standing::of(events);
    let mut names: Vec<String> = puts(&standing).iter().map(|put| put.probe.to_owned()).collect();
    names.sort();
    names.dedup();
    names
}

/// The last reading that was believed, with what the forecast had for it.
#[derive(Clone, Copy)]
struct Good {
    at: Timestamp,
    celsius: f64,
    core_c: Option<f64>,
}

impl Good {
    /// Whether a later reading is further off than the middle of any piece comes: measured from the forecast where there is one.
    fn leaps_to(&self, at: Timestamp, celsius: f64, should: Option<Should>) -> bool {
        let minutes = minutes_between(self.at, at);
        let (moved, a_minute) = match (self.core_c, should) {
            (Some(was_c), Some(should)) => ((celsius - should.core_c) - (self.celsius - was_c), PARTS_K_PER_MIN),
            _ => (celsius - self.celsius, QUICKEST_K_PER_MIN),
        };
        moved.abs() > SLACK_K + a_minute * minutes
    }
}

/// A reading with what is made of it.
struct Judged {
    at: Timestamp,
    celsius: f64,
    trust: Trust,
}

/// Judges what a probe in one place has read.
fn judge(put: &Put, readings: &[(Timestamp, f64)], expected: &Expected) -> Vec<Judged> {
    let mut judged: Vec<Judged> = Vec::with_capacity(readings.len());
    // The last that was believed, the warmest, and since when it is out of its place.
    let (mut good, mut warmest, mut out) = (None::<Good>, f64::NEG_INFINITY, None::<(Timestamp, f64, Trust)>);
    for &(at, celsius) in readings {
        let should = expected.at(at);
        let mut trust = match put.into {
            _ if minutes_between(put.from, at) < SETTLES_MIN => Trust::Settling,
            ProbeIn::Meat => in_the_meat(at, celsius, should, good, warmest),
            _ => beside_it(celsius, should),
        };
        // What fell out stays out until it reads as the meat can again; or has long been steady where it is now.
        if let Some((since, level, was)) = out {
            let steady = (celsius - level).abs() <= SLACK_K;
            let long = minutes_between(since, at) >= NEW_BEGINNING_MIN;
            if trust == Trust::Settling || (trust == Trust::Steady && is_back(was, celsius, should)) {
                out = None;
            } else if trust == Trust::Steady {
                // Near the end the middle reads as its surroundings do: that is no sign that the tip has moved.
                (trust, out) = (was, Some((since, level, was)));
            } else if steady && long && was == Trust::Jumped && plausible(celsius, should) {
                (out, trust) = (None, Trust::Steady);
            } else {
                trust = if trust == Trust::Jumped { was } else { trust };
                out = Some(if steady { (since, level, trust) } else { (at, celsius, trust) });
            }
        } else if trust.is_strange() {
            out = Some((at, celsius, trust));
        }
        if trust == Trust::Steady {
            good = Some(Good { at, celsius, core_c: should.map(|should| should.core_c) });
            warmest = f64::max(warmest, celsius);
        }
        judged.push(Judged { at, celsius, trust });
    }
    judged
}

/// Whether a reading shows that a tip is back in the middle: one that was beside the meat, or at its outside, where the middle can be told
/// from that.
fn is_back(was: Trust, celsius: f64, should: Option<Should>) -> bool {
    should.is_none_or(|should| match was {
        Trust::WrongPlace => (celsius - should.medium_c).abs() >= AT_THE_MEDIUM_K,
        Trust::Outside => should.tells_inside_from_outside(),
        _ => true,
    })
}

/// Whether the middle may well have such a temperature.
fn plausible(celsius: f64, should: Option<Should>) -> bool {
    should.is_none_or(|Should { core_c, medium_c, .. }| {
        (celsius - core_c).abs() < FAR_FROM_MEDIUM_K && celsius < medium_c + OVER_THE_MEDIUM_K
    })
}

fn in_the_meat(at: Timestamp, celsius: f64, should: Option<Should>, good: Option<Good>, warmest: f64) -> Trust {
    let leapt = good.is_some_and(|good| good.leaps_to(at, celsius, should));
    if let Some(should @ Should { core_c, medium_c, .. }) = should {
        if celsius > medium_c + OVER_THE_MEDIUM_K {
            return Trust::Drifts;
        }
        if celsius < OUT_BELOW_C && medium_c > SURELY_HOT_C && core_c - celsius > FAR_BEHIND_K {
            return Trust::PulledOut;
        }
        let apart = medium_c - core_c > FAR_FROM_MEDIUM_K;
        if apart && (celsius - medium_c).abs() < AT_THE_MEDIUM_K {
            return Trust::WrongPlace;
        }
        if should.is_of_the_outside(celsius) {
            return Trust::Outside;
        }
        let hot = medium_c > warmest + FALLS_K;
        if hot && warmest.is_finite() && celsius < warmest - FALLS_K && celsius > OUT_BELOW_C {
            return if leapt { Trust::Jumped } else { Trust::Drifts };
        }
    }
    match good {
        Some(good) if leapt => {
            if celsius < good.celsius && celsius < OUT_BELOW_C {
                Trust::PulledOut
            } else {
                Trust::Jumped
            }
        }
        _ => Trust::Steady,
    }
}

/// In the liquid or the air: only what nothing there can be is strange.
fn beside_it(celsius: f64, should: Option<Should>) -> Trust {
    match should {
        Some(Should { medium_c, .. }) if medium_c > SURELY_HOT_C && celsius < OUT_BELOW_C => Trust::PulledOut,
        _ => Trust::Steady,
    }
}

/// The probes of a cook, and what of their readings the forecast goes by.
pub(super) fn probes(
    standing: &Standing,
    traces: &[Trace],
    expected: &Expected,
    now: Timestamp,
    voice: Voice,
) -> (Vec<ProbeNow>, Vec<Evidence>) {
    let (mut shown, mut evidence) = (Vec::new(), Vec::new());
    let lifted = standing.done(crate::sheet::TaskId::Lift).unwrap_or(Timestamp::MAX);
    for put in puts(standing) {
        if put.into == ProbeIn::Aside {
            continue;
        }
        let until = put.to.unwrap_or(now).min(now);
        let readings: Vec<(Timestamp, f64)> = traces
            .iter()
            .filter(|trace| trace.probe == put.probe)
            .flat_map(|trace| trace.readings.iter().copied())
            .filter(|(at, _)| (put.from..=until).contains(at))
            .collect();
        let judged = judge(&put, &readings, expected);
        if let Some(on_the_heat) = expected.on_the_heat {
            // What slipped outwards was on its way before it was seen.
            let slipped_until = judged.iter().rev().find(|reading| reading.trust == Trust::Outside).map(|last| last.at);
            let counts = |reading: &&Judged| {
                let over_the_heat = reading.at >= on_the_heat && reading.at <= lifted;
                reading.trust == Trust::Steady && over_the_heat && slipped_until.is_none_or(|until| reading.at > until)
            };
            evidence.extend(judged.iter().filter(counts).map(|Judged { at, celsius, .. }| {
                let (at_s, celsius) = (at.duration_since(on_the_heat).as_secs_f64(), *celsius);
                match put.into {
                    ProbeIn::Meat => Evidence::Reading { at_s, celsius },
                    ProbeIn::Pot => Evidence::Around { at_s, celsius, place: Probed::Liquid },
                    _ => Evidence::Around { at_s, celsius, place: Probed::Air },
                }
            }));
        }
        if put.to.is_none() {
            shown.push(shown_now(&put, &judged, expected, now, voice));
        }
    }
    (shown, evidence)
}

impl ProbeNow {
    /// Whether somebody has to see to it. One that has never read anything in this cook is waited for: its hub may not be on yet.
    pub(super) fn rings(&self) -> bool {
        self.trust.is_strange() && self.celsius.is_some()
    }
}

fn shown_now(put: &Put, judged: &[Judged], expected: &Expected, now: Timestamp, voice: Voice) -> ProbeNow {
    let last = judged.last();
    let silent_since = last.map_or(put.from, |last| last.at);
    let (trust, trust_since) = if minutes_between(silent_since, now) > SILENT_MIN {
        (Trust::Silent, silent_since)
    } else {
        let trust = last.map_or(Trust::Settling, |last| last.trust);
        let since = judged.iter().rev().take_while(|reading| reading.trust == trust).last();
        (trust, since.map_or(put.from, |reading| reading.at))
    };
    let off = off_its_set_point(put, judged, expected);
    let every = judged.len().div_ceil(DRAWN).max(1);
    let points = judged.iter().enumerate().filter(|(i, _)| i % every == 0 || i + 1 == judged.len());
    ProbeNow {
        probe: put.probe.to_owned(),
        into: put.into,
        since: put.from,
        celsius: last.map(|last| last.celsius),
        at: last.map(|last| last.at),
        trust,
        trust_since,
        off_k: off.map(|(_, off_k)| off_k),
        off_since: off.map(|(since, _)| since),
        words: voice.render(words(put, trust, last, expected.at(now), minutes_between(silent_since, now))),
        points: points
            .map(|(_, Judged { at, celsius, trust })| TracePoint {
                at: *at,
                celsius: *celsius,
                believed: !trust.is_strange(),
            })
            .collect(),
    }
}

/// Since when an oven or pit has been too far off what was set, and by how much: a fire that dies down, or runs away.
fn off_its_set_point(put: &Put, judged: &[Judged], expected: &Expected) -> Option<(Timestamp, f64)> {
    if put.into != ProbeIn::Air {
        return None;
    }
    // A fire swings: it is the mean of some minutes that is held against what was set.
    let off = |reading: &Judged| Some((reading.at, reading.celsius - expected.at(reading.at)?.air_c));
    let off: Vec<(Timestamp, f64)> = judged.iter().filter_map(off).collect();
    let mean_to = |end: usize| {
        let from = off[..=end].partition_point(|(at, _)| minutes_between(*at, off[end].0) > OFF_FOR_MIN);
        let (sum, count) =
            off[from..=end].iter().fold((0.0, 0.0), |(sum, count), (_, off_k)| (sum + off_k, count + 1.0));
        (from, sum / count)
    };
    let (mut first, last) = mean_to(off.len().checked_sub(1)?);
    if last.abs() < OFF_K {
        return None;
    }
    for end in (0..off.len()).rev() {
        let (from, mean) = mean_to(end);
        if mean.abs() < OFF_K || mean * last < 0.0 {
            break;
        }
        first = from;
    }
    let since = off[first].0;
    (minutes_between(since, off.last()?.0) >= OFF_FOR_MIN).then_some((since, last))
}

fn words(put: &Put, trust: Trust, last: Option<&Judged>, should: Option<Should>, silent_min: f64) -> Message {
    let celsius = Temperature(last.map_or(0.0, |last| last.celsius));
    match (trust, last) {
        (Trust::Silent, _) => say::probe_silent(RoughMinutes(silent_min)),
        (Trust::PulledOut, _) => say::probe_pulled_out(celsius),
        (Trust::WrongPlace, _) => say::probe_wrong_place(celsius),
        (Trust::Outside, _) => say::probe_outside(celsius),
        (Trust::Jumped, _) => say::probe_jumped(celsius),
        (Trust::Drifts, _) => say::probe_drifts(celsius),
        (Trust::Settling, _) | (_, None) => say::probe_settling(),
        (Trust::Steady, Some(last)) => match (put.into, should) {
            (ProbeIn::Meat, Some(Should { core_c, .. })) if (last.celsius - core_c).abs() >= 1.5 => {
                let off = Difference((last.celsius - core_c).abs());
                if last.celsius > core_c { say::probe_ahead(off) } else { say::probe_behind(off) }
            }
            (ProbeIn::Meat, Some(_)) => say::probe_as_predicted(),
            _ => say::probe_steady(),
        },
    }
}
