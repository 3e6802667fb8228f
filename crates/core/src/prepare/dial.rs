//! What the dial changes: the same dish at each setting of its heat, and a ring of coals laid out.

use ergastic_words::{Dial, Join, Message, Temperature, Units, Voice, forecast as forecast_words, prepare as say};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::pot::along;
use crate::forecast::{Case, ForecastRequest, Heat, forecast};
use crate::heat::pot::Simmer;
use crate::ways::{HeatSource, Medium, Method, Release, Settings};
use ergastic_physics::coals::{Coals, FRESH_EVERY_MIN, OVER_AT_A_SIMMER, TURN_EVERY_MIN, briquettes_for};

/// The dish at one setting.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct DialSetting {
    /// As it stands on the dial.
    pub words: String,
    /// What it looks like, or what it does.
    pub looks: String,
    /// The heat, for the plan.
    pub heat: Heat,
    /// Whether it is the one chosen.
    pub chosen: bool,
    /// Tender, minutes; `null` if never within three days.
    pub ready_min: Option<f64>,
    /// Left as steam by then, L.
    pub loss_l: f64,
    /// Juice out of the meat by then, kg.
    pub juice_kg: Option<f64>,
    /// On the plates, kg.
    pub yield_kg: Option<f64>,
    /// Minutes from tender to too far.
    pub window_min: Option<f64>,
    /// It rolls: pieces break up and the liquid clouds.
    pub breaks_up: bool,
}

/// A ring of coals, laid out and kept up.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct CoalRing {
    /// Under the pot, in a ring at its rim.
    pub under: u32,
    /// On its lid.
    pub over: u32,
    /// The oven they are like, °C.
    pub like_c: f64,
    /// How many would hold a simmer here, under and over.
    #[schema(min_items = 2, max_items = 2)]
    pub for_a_simmer: [u32; 2],
    /// The pot is turned a quarter and its lid back this often, min.
    pub turn_every_min: f64,
    /// The next lot is lit so long after the last went on, min.
    pub light_after_min: f64,
    /// Fresh coals go on, minutes from the meat meeting the heat.
    pub fresh_at_min: Vec<f64>,
    /// What wind, cold or a deep pot change.
    pub words: String,
}

/// One setting of a dial before it is run.
struct Setting {
    words: Message,
    /// What it looks like or does; none where that follows from the run.
    looks: Option<&'static str>,
    heat: Heat,
}

fn setting(words: Message, looks: &'static str, heat: Heat) -> Setting {
    Setting { words, looks: Some(looks), heat }
}

/// The settings of a dial, in the cook's units: an American oven goes by other steps than a European one.
fn degrees_of(units: Units, metric: &[f64], us: &[f64]) -> Vec<f64> {
    match units {
        Units::Metric => metric.to_vec(),
        Units::Us => us.iter().map(|fahrenheit| (fahrenheit - 32.0) / 1.8).collect(),
    }
}

fn settings(method: Method, heat: &Heat, units: Units) -> Vec<Setting> {
    let degrees = |metric: &[f64], us: &[f64]| degrees_of(units, metric, us).into_iter();
    match method {
        Method::Braise | Method::Stew => match heat.source.unwrap_or(HeatSource::Oven) {
            HeatSource::Oven => degrees(&[100.0, 120.0, 150.0, 175.0, 200.0], &[200.0, 250.0, 300.0, 350.0, 400.0])
                .map(|c| setting(dial_at(c), oven_looks(c), Heat { set_c: Some(c), ..heat.clone() }))
                .collect(),
            HeatSource::Hob => [Simmer::Lazy, Simmer::Gentle, Simmer::Brisk, Simmer::Boil]
                .map(|simmer| Setting {
                    words: forecast_words::simmer(simmer.key()),
                    looks: None,
                    heat: Heat { simmer: Some(simmer), ..heat.clone() },
                })
                .into(),
            HeatSource::Coals => [-4, -2, 0, 2, 4].map(|more| coals_laid(heat, more)).into(),
        },
        Method::Pressure => [Settings::Low, Settings::High]
            .map(|level| Setting {
                words: forecast_words::setting(level.key()),
                looks: None,
                heat: Heat { level: Some(level), gauge_kpa: None, at_pressure_min: None, ..heat.clone() },
            })
            .into(),
        Method::Smoke => degrees(&[107.0, 120.0, 135.0, 150.0], &[225.0, 250.0, 275.0, 300.0])
            .map(|c| setting(dial_at(c), pit_looks(c), Heat { pit_c: Some(c), ..heat.clone() }))
            .collect(),
        Method::Confit => degrees(&[82.0, 88.0, 93.0, 98.0], &[180.0, 190.0, 200.0, 210.0])
            .map(|c| setting(measured(c), "still_fat", Heat { fat_c: Some(c), ..heat.clone() }))
            .collect(),
        Method::WaterBath => degrees(&[68.0, 75.0, 82.0, 88.0], &[155.0, 167.0, 180.0, 190.0])
            .map(|c| setting(measured(c), bath_looks(c), Heat { bath_c: Some(c), ..heat.clone() }))
            .collect(),
        Method::SlowCooker => [Settings::Low, Settings::High]
            .map(|to| {
                let heat = Heat { setting: Some(to), ..heat.clone() };
                setting(forecast_words::setting(to.key()), "bubble", heat)
            })
            .into(),
        Method::KeepWarm | Method::Chill | Method::Reheat => Vec::new(),
    }
}

fn dial_at(celsius: f64) -> Message {
    Message::quantity(Dial(celsius))
}

fn measured(celsius: f64) -> Message {
    Message::quantity(Temperature(celsius))
}

fn oven_looks(celsius: f64) -> &'static str {
    match celsius {
        c if c < 115.0 => "slow_oven",
        c if c < 140.0 => "simmering_oven",
        c if c < 165.0 => "steady_oven",
        _ => "boiling_oven",
    }
}

fn pit_looks(celsius: f64) -> &'static str {
    if celsius < 115.0 { "long_stall" } else { "short_stall" }
}

fn bath_looks(celsius: f64) -> &'static str {
    if celsius < 72.0 { "cool_bath" } else { "warm_bath" }
}

/// So many more coals under the pot, or fewer.
fn coals_laid(heat: &Heat, more: i32) -> Setting {
    let (under, over) = (heat.under.unwrap_or(12), heat.over.unwrap_or(6));
    let under = under.saturating_add_signed(more).max(1);
    let looks = match more {
        0 => "as_laid",
        more if more < 0 => "cooler",
        _ => "hotter",
    };
    setting(say::coals_laid(under, over), looks, Heat { under: Some(under), over: Some(over), ..heat.clone() })
}

fn same(a: &Heat, b: &Heat) -> bool {
    a.set_c == b.set_c
        && a.simmer == b.simmer
        && a.under == b.under
        && a.level == b.level
        && a.pit_c == b.pit_c
        && a.fat_c == b.fat_c
        && a.bath_c == b.bath_c
        && a.setting == b.setting
}

/// The dish at every setting of its dial, each a run at every median; none for a chain of ways.
pub(super) fn dial(request: &ForecastRequest, case: &Case) -> Vec<DialSetting> {
    let (Some(method), None) = (request.method, &request.stages) else { return Vec::new() };
    let voice = case.voice;
    let heat = filled_in(request.heat.clone().unwrap_or_default(), &case.first().medium);
    let mut all = settings(method, &heat, voice.units());
    if !all.iter().any(|setting| same(&setting.heat, &heat)) && method != Method::Pressure {
        // What is chosen stands among the usual settings, at its place.
        if let Some(words) = chosen_words(method, &heat) {
            let shown = voice.render(&words);
            // An American dial has one mark for what lies within a few degrees of it.
            match all.iter_mut().find(|setting| voice.render(&setting.words) == shown) {
                Some(mark) => mark.heat = heat.clone(),
                None => all.push(setting(words, "as_chosen", heat.clone())),
            }
            all.sort_by(|a, b| degrees(&a.heat).total_cmp(&degrees(&b.heat)));
        }
    }
    all.into_iter().filter_map(|setting| tried(request, &heat, setting, voice)).collect()
}

/// The heat with what was left out as the dish has it: the dial stands where the dish is.
pub(super) fn filled_in(heat: Heat, medium: &Medium) -> Heat {
    match *medium {
        Medium::Hob { simmer } => Heat { source: Some(HeatSource::Hob), simmer: Some(simmer), ..heat },
        Medium::Oven { set_c, .. } => Heat { source: Some(HeatSource::Oven), set_c: Some(set_c), ..heat },
        Medium::Coals(coals) => Heat {
            source: Some(HeatSource::Coals),
            under: Some(coals.under),
            over: Some(coals.over),
            wind: Some(coals.wind),
            air_c: Some(coals.air_c),
            ..heat
        },
        Medium::Pressure { quick, .. } => {
            let level = heat.level.or(heat.gauge_kpa.is_none().then_some(Settings::High));
            let release = Some(if quick { Release::Quick } else { Release::Natural });
            Heat { level, release, ..heat }
        }
        Medium::Pit { pit, .. } => Heat { pit_c: Some(pit.set_c), ..heat },
        Medium::Fat { fat_c } => Heat { fat_c: Some(fat_c), ..heat },
        Medium::Bath { bath_c } => Heat { bath_c: Some(bath_c), ..heat },
        Medium::SlowCooker { setting } => Heat { setting: Some(setting), ..heat },
        Medium::KeepWarm { .. } | Medium::Chill { .. } | Medium::Reheat { .. } => heat,
    }
}

/// The dish at one setting.
fn tried(request: &ForecastRequest, chosen: &Heat, setting: Setting, voice: Voice) -> Option<DialSetting> {
    let Setting { words, looks, heat } = setting;
    let tried =
        ForecastRequest { heat: Some(heat.clone()), members: Some(1), inside: None, explain: None, ..request.clone() };
    let found = forecast(&tried).ok()?;
    let ready_min = found.ready_min.p50;
    let looks = match (looks, heat.simmer) {
        (Some(looks), _) => say::dial_looks(looks),
        (None, Some(simmer)) => simmer.looks(),
        // How hot a pressure pot is follows from the air outside it.
        (None, None) => {
            say::hot_inside(Temperature(found.curve.iter().map(|point| point.medium_c).fold(0.0, f64::max)))
        }
    };
    Some(DialSetting {
        words: voice.render(words),
        looks: voice.render(looks),
        chosen: same(&heat, chosen),
        ready_min,
        loss_l: ready_min.map_or(0.0, |min| along(&found.curve, min, |point| point.steam_kg)),
        juice_kg: found.juice_lost_kg,
        yield_kg: found.yield_kg,
        window_min: found.too_far_min.p50.zip(ready_min).map(|(far, ready)| far - ready),
        breaks_up: heat.simmer == Some(Simmer::Boil),
        heat,
    })
}

fn degrees(heat: &Heat) -> f64 {
    [heat.set_c, heat.pit_c, heat.fat_c, heat.bath_c].into_iter().flatten().next().unwrap_or(0.0)
}

fn chosen_words(method: Method, heat: &Heat) -> Option<Message> {
    match method {
        Method::Braise | Method::Stew => heat.set_c.map(|c| Message::quantity(Dial(c))),
        Method::Smoke => heat.pit_c.map(|c| Message::quantity(Dial(c))),
        Method::Confit => heat.fat_c.map(|c| Message::quantity(Temperature(c))),
        Method::WaterBath => heat.bath_c.map(|c| Message::quantity(Temperature(c))),
        _ => None,
    }
}

/// Coals under and over, with their times.
pub(super) fn coal_ring(case: &Case, end_min: f64) -> Option<CoalRing> {
    let Medium::Coals(coals) = case.stages.iter().find_map(|stage| match &stage.medium {
        coals @ Medium::Coals(_) => Some(coals),
        _ => None,
    })?
    else {
        return None;
    };
    let coals: &Coals = coals;
    let steady = briquettes_for(coals.diameter_m, coals.height_m, 150.0);
    let still = Coals { under: 0, over: 0, ..*coals };
    // What wind and cold take is found by asking how much cooler the same coals are in them.
    let calm = Coals { under: 14, over: 7, wind_takes: 0.0, air_c: 20.0, ..still };
    let here = Coals { wind_takes: coals.wind_takes, air_c: coals.air_c, ..calm };
    let short = (calm.full_c() - here.full_c()) * 1.8 / 12.5;
    let wanted = f64::max(4.0, steady + short);
    let over = (wanted * OVER_AT_A_SIMMER).round();
    let every = if coals.fresh_every_s.is_finite() { coals.fresh_every_s / 60.0 } else { FRESH_EVERY_MIN };
    let mut fresh_at_min = Vec::new();
    let mut at = every;
    while at < end_min && fresh_at_min.len() < 40 {
        fresh_at_min.push(at);
        at += every;
    }
    let words = [
        Some(say::coals_ring()),
        (short > 0.5).then(|| say::coals_in_the_wind(short.ceil() as u32)),
        (coals.height_m > 0.13).then(say::coals_deep_pot),
    ];
    Some(CoalRing {
        under: coals.under,
        over: coals.over,
        like_c: coals.full_c().round(),
        for_a_simmer: [(wanted - over).round() as u32, over as u32],
        turn_every_min: TURN_EVERY_MIN,
        light_after_min: f64::max(5.0, every - 12.0),
        fresh_at_min,
        words: case.voice.render(Message::list(words.into_iter().flatten(), Join::Semicolons)),
    })
}
