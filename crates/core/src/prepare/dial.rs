//! What the dial changes: the same dish at each setting of its heat, and a ring of coals laid out.

use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::pot::along;
use crate::forecast::{Case, ForecastRequest, Heat, HeatSource, Medium, Method, Settings, forecast};
use crate::heat::coals::{Coals, FRESH_EVERY_MIN, OVER_AT_A_SIMMER, briquettes_for};
use crate::heat::pot::Simmer;

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

fn settings(method: Method, heat: &Heat) -> Vec<(String, &'static str, Heat)> {
    let oven = |c: f64| {
        let looks = match c {
            c if c < 115.0 => "a true slow braise, below the simmer",
            c if c < 140.0 => "just at the simmer, little water leaves",
            c if c < 165.0 => "a steady simmer under the lid",
            _ => "boils under the lid",
        };
        (format!("{c:.0} °C"), looks, Heat { set_c: Some(c), ..heat.clone() })
    };
    match method {
        Method::Braise | Method::Stew => match heat.source.unwrap_or(HeatSource::Oven) {
            HeatSource::Oven => [100.0, 120.0, 150.0, 175.0, 200.0].map(oven).into(),
            HeatSource::Hob => {
                [(Simmer::Lazy, "lazy"), (Simmer::Gentle, "gentle"), (Simmer::Brisk, "brisk"), (Simmer::Boil, "boil")]
                    .map(|(simmer, word)| (word.into(), simmer.looks(), Heat { simmer: Some(simmer), ..heat.clone() }))
                    .into()
            }
            HeatSource::Coals => {
                let (under, over) = (heat.under.unwrap_or(12), heat.over.unwrap_or(6));
                [-4i32, -2, 0, 2, 4]
                    .map(|more| {
                        let under = under.saturating_add_signed(more).max(1);
                        let looks = if more < 0 { "cooler" } else { "hotter" };
                        let looks = if more == 0 { "as laid" } else { looks };
                        (
                            format!("{under} under, {over} over"),
                            looks,
                            Heat { under: Some(under), over: Some(over), ..heat.clone() },
                        )
                    })
                    .into()
            }
        },
        Method::Pressure => [(Settings::Low, "low"), (Settings::High, "high")]
            .map(|(level, word)| {
                (word.into(), "", Heat { level: Some(level), gauge_kpa: None, at_pressure_min: None, ..heat.clone() })
            })
            .into(),
        Method::Smoke => [107.0, 120.0, 135.0, 150.0]
            .map(|c: f64| {
                let looks = if c < 115.0 { "the longest stall, the most smoke" } else { "a shorter stall, more bark" };
                (format!("{c:.0} °C"), looks, Heat { pit_c: Some(c), ..heat.clone() })
            })
            .into(),
        Method::Confit => [82.0, 88.0, 93.0, 98.0]
            .map(|c: f64| (format!("{c:.0} °C"), "the fat hardly moves", Heat { fat_c: Some(c), ..heat.clone() }))
            .into(),
        Method::WaterBath => [68.0, 75.0, 82.0, 88.0]
            .map(|c: f64| {
                let looks = if c < 72.0 { "pink-brown, moist, a day and more" } else { "like a braise, sooner" };
                (format!("{c:.0} °C"), looks, Heat { bath_c: Some(c), ..heat.clone() })
            })
            .into(),
        Method::SlowCooker => [(Settings::Low, "low"), (Settings::High, "high")]
            .map(|(setting, word)| {
                (word.into(), "a bubble now and then", Heat { setting: Some(setting), ..heat.clone() })
            })
            .into(),
        Method::KeepWarm | Method::Chill | Method::Reheat => Vec::new(),
    }
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
pub(super) fn dial(request: &ForecastRequest) -> Vec<DialSetting> {
    let (Some(method), None) = (request.method, &request.stages) else { return Vec::new() };
    let heat = request.heat.clone().unwrap_or_default();
    let mut all = settings(method, &heat);
    if !all.iter().any(|(_, _, setting)| same(setting, &heat)) && method != Method::Pressure {
        // What is chosen stands among the usual settings, at its place.
        if let Some(words) = chosen_words(method, &heat) {
            all.push((words, "as chosen", heat.clone()));
            all.sort_by(|a, b| degrees(&a.2).total_cmp(&degrees(&b.2)));
        }
    }
    all.into_iter()
        .filter_map(|(words, looks, setting)| {
            let chosen = same(&setting, &heat);
            let tried = ForecastRequest {
                heat: Some(setting.clone()),
                members: Some(1),
                inside: None,
                explain: None,
                ..request.clone()
            };
            let found = forecast(&tried).ok()?;
            let ready_min = found.ready_min.p50;
            // How hot a pressure pot is follows from the air outside it.
            let hottest = found.curve.iter().map(|point| point.medium_c).fold(0.0, f64::max);
            let looks = if looks.is_empty() { format!("{hottest:.0} °C inside") } else { looks.to_owned() };
            let rolls = setting.simmer == Some(Simmer::Boil);
            Some(DialSetting {
                words,
                looks,
                heat: setting,
                chosen,
                ready_min,
                loss_l: ready_min.map_or(0.0, |min| along(&found.curve, min, |point| point.steam_kg)),
                juice_kg: found.juice_lost_kg,
                yield_kg: found.yield_kg,
                window_min: found.too_far_min.p50.zip(ready_min).map(|(far, ready)| far - ready),
                breaks_up: rolls,
            })
        })
        .collect()
}

fn degrees(heat: &Heat) -> f64 {
    [heat.set_c, heat.pit_c, heat.fat_c, heat.bath_c].into_iter().flatten().next().unwrap_or(0.0)
}

fn chosen_words(method: Method, heat: &Heat) -> Option<String> {
    match method {
        Method::Braise | Method::Stew => heat.set_c.map(|c| format!("{c:.0} °C")),
        Method::Smoke => heat.pit_c.map(|c| format!("{c:.0} °C")),
        Method::Confit => heat.fat_c.map(|c| format!("{c:.0} °C")),
        Method::WaterBath => heat.bath_c.map(|c| format!("{c:.0} °C")),
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
    let calm = Coals { under: 14, over: 7, wind: crate::heat::coals::Wind::Calm, air_c: 20.0, ..still };
    let here = Coals { wind: coals.wind, air_c: coals.air_c, ..calm };
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
    let mut words = vec!["a ring at the rim, never in the middle: the bottom catches".to_owned()];
    if short > 0.5 {
        words.push(format!("wind and cold ask for some {:.0} more", short.ceil()));
    }
    if coals.height_m > 0.13 {
        words.push("a deep pot wants four more on the lid".into());
    }
    Some(CoalRing {
        under: coals.under,
        over: coals.over,
        like_c: coals.full_c().round(),
        for_a_simmer: [(wanted - over).round() as u32, over as u32],
        turn_every_min: 15.0,
        light_after_min: f64::max(5.0, every - 12.0),
        fresh_at_min,
        words: words.join("; "),
    })
}
