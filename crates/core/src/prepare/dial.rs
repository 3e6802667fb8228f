//! What the dial changes: the same dish at each setting of its heat, and a ring of coals laid out.

use ergastic_words::{Join, Message, Temperature, Voice, prepare as say};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::pot::along;
use crate::error::{Result, unless_refused};
use crate::forecast::{ForecastRequest, Heat, ResolvedDish, forecast};
use crate::heat::pot::Simmer;
use crate::ways::Setting;
use crate::ways::coals::OverCoals;
use ergastic_physics::coals::{CoalFire, FRESH_EVERY_MIN, OVER_AT_A_SIMMER, TURN_EVERY_MIN, briquettes_for};

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

/// The dish at every setting of its dial, each a run at every median; none for a chain of ways.
pub(super) fn dial(request: &ForecastRequest, case: &ResolvedDish) -> Result<Vec<DialSetting>> {
    let (Some(_), None) = (request.method, &request.stages) else { return Ok(Vec::new()) };
    let (voice, set) = (case.voice, &case.first().medium);
    let heat = set.way().asked(request.heat.clone().unwrap_or_default());
    let mut all = set.id().settings(&heat, voice.units());
    let stands = all.iter().any(|setting| setting.heat.same_dial(&heat));
    if let Some(dial) = set.way().dial().filter(|_| !stands && !all.is_empty()) {
        // What is chosen stands among the usual settings, at its place.
        let shown = voice.render(&dial.words);
        // An American dial has one mark for what lies within a few degrees of it.
        match all.iter_mut().find(|setting| voice.render(&setting.words) == shown) {
            Some(mark) => mark.heat = heat.clone(),
            None => {
                let (words, celsius) = (dial.words, Some(dial.celsius));
                all.push(Setting { words, looks: Some("as_chosen"), heat: heat.clone(), celsius });
            }
        }
        all.sort_by(|a, b| a.celsius.unwrap_or(0.0).total_cmp(&b.celsius.unwrap_or(0.0)));
    }
    let all = all.into_iter().map(|setting| unless_refused(tried(request, &heat, setting, voice)));
    let found: Vec<Option<DialSetting>> = all.collect::<Result<_>>()?;
    Ok(found.into_iter().flatten().collect())
}

/// The dish at one setting.
fn tried(request: &ForecastRequest, chosen: &Heat, setting: Setting, voice: Voice) -> Result<DialSetting> {
    let Setting { words, looks, heat, .. } = setting;
    let tried =
        ForecastRequest { heat: Some(heat.clone()), members: Some(1), inside: None, explain: None, ..request.clone() };
    let found = forecast(&tried)?;
    let ready_min = found.ready_min.p50;
    let looks = match (looks, heat.simmer) {
        (Some(looks), _) => say::dial_looks(looks),
        (None, Some(simmer)) => simmer.looks(),
        // How hot a pressure pot is follows from the air outside it.
        (None, None) => {
            say::hot_inside(Temperature(found.curve.iter().map(|point| point.medium_c).fold(0.0, f64::max)))
        }
    };
    Ok(DialSetting {
        words: voice.render(words),
        looks: voice.render(looks),
        chosen: heat.same_dial(chosen),
        ready_min,
        loss_l: ready_min.map_or(0.0, |min| along(&found.curve, min, |point| point.steam_kg)),
        juice_kg: found.juice_lost_kg,
        yield_kg: found.yield_kg,
        window_min: found.overcooked_min.p50.zip(ready_min).map(|(far, ready)| far - ready),
        breaks_up: heat.simmer == Some(Simmer::Boil),
        heat,
    })
}

/// Coals under and over, with their times.
pub(super) fn coal_ring(case: &ResolvedDish, end_min: f64) -> Option<CoalRing> {
    let coals: &CoalFire = &case.stages.iter().find_map(|stage| stage.medium.get::<OverCoals>())?.coals;
    let p = &case.how.model.p.coals;
    let steady = briquettes_for(p, coals.diameter_m, coals.height_m, 150.0);
    let still = CoalFire { under: 0, over: 0, ..*coals };
    // What wind and cold take is found by asking how much cooler the same coals are in them.
    let calm = CoalFire { under: 14, over: 7, wind_takes: 0.0, air_c: 20.0, ..still };
    let here = CoalFire { wind_takes: coals.wind_takes, air_c: coals.air_c, ..calm };
    let short = (calm.full_c(p) - here.full_c(p)) * 1.8 / p.fahrenheit_each;
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
        (coals.height_m > p.deep_m).then(say::coals_deep_pot),
    ];
    Some(CoalRing {
        under: coals.under,
        over: coals.over,
        like_c: coals.full_c(p).round(),
        for_a_simmer: [(wanted - over).round() as u32, over as u32],
        turn_every_min: TURN_EVERY_MIN,
        light_after_min: f64::max(5.0, every - 12.0),
        fresh_at_min,
        words: case.voice.render(Message::list(words.into_iter().flatten(), Join::Semicolons)),
    })
}
