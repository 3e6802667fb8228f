//! Why this time: a plan, a cook or a free question with all that it is worked out from, and the same meat other ways.

use ergastic_words::Message;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::uses;
use crate::cuts::EatenAs;
use crate::error::Result;
use crate::forecast::{Forecast, ForecastRequest, forecast};
use crate::kitchen::Kitchen;
use crate::plan::{Plan, Uses};
use crate::ways::chains::chains;
use crate::ways::preset::{Chain, Preset};
use crate::ways::{HeatSource, Method, presets};

/// The same meat another way.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct OtherWay {
    /// A stable name.
    pub id: String,
    /// What it is called.
    pub words: String,
    /// Whether it is the one explained.
    pub chosen: bool,
    /// The whole question.
    pub request: ForecastRequest,
}

/// A forecast explained.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Why {
    /// What is explained.
    pub name: String,
    /// The whole question: bench, pot and altitude in it.
    pub request: ForecastRequest,
    /// The answer, with the inside of the piece and what lies behind each figure.
    pub forecast: Forecast,
    /// How it is eaten.
    pub eaten_as: Option<EatenAs>,
    /// The same meat another way.
    pub ways: Vec<OtherWay>,
}

impl Plan {
    /// Why this plan takes its time, its bench included.
    ///
    /// # Errors
    /// Names the plan's field that can't be used.
    pub fn why(&self, kitchen: &Kitchen) -> Result<Why> {
        explained(self.name.clone(), self.request(kitchen), kitchen).map_err(|error| error.within("forecast"))
    }

    /// The inside of its piece over the cook, from one run at every median.
    ///
    /// # Errors
    /// Names the plan's field that can't be used.
    pub fn inside(&self, kitchen: &Kitchen) -> Result<Forecast> {
        let request = self.request(kitchen);
        forecast(&ForecastRequest { members: Some(1), inside: Some(true), explain: None, ..request })
            .map_err(|error| error.within("forecast"))
    }
}

/// Why a question that no plan asks is answered so, in this kitchen.
///
/// # Errors
/// Names the field that can't be used.
pub fn why(asked: &ForecastRequest, kitchen: &Kitchen) -> Result<Why> {
    let mut request = asked.clone();
    request.altitude_m.get_or_insert(kitchen.altitude_m);
    request.vessel = uses::vessel(&request, &Uses::default(), kitchen);
    let cut = request.cut.or_else(|| request.parts.as_ref().and_then(|parts| parts.first()?.cut));
    let name = cut.map(|cut| kitchen.voice().render(cut.label())).unwrap_or_default();
    explained(name, request, kitchen)
}

fn explained(name: String, mut request: ForecastRequest, kitchen: &Kitchen) -> Result<Why> {
    request.units = Some(kitchen.units);
    request.how = kitchen.how.clone();
    request.food_code = Some(kitchen.food_code);
    (request.inside, request.explain, request.members) = (Some(true), Some(true), None);
    let answer = forecast(&request)?;
    (request.inside, request.explain) = (None, None);
    let eaten_as = request.resolve().ok().map(|case| case.main().eaten_as);
    Ok(Why { name, ways: others(&request, kitchen), eaten_as, request, forecast: answer })
}

/// The ways that are offered beside: what each sets.
fn all(kitchen: &Kitchen) -> Vec<(&'static str, Message, ForecastRequest)> {
    let one = |preset: Preset| {
        let Preset { method, heat, .. } = preset;
        let sets = ForecastRequest { method: Some(method), heat: Some(heat), ..ForecastRequest::default() };
        Some((preset.beside?, preset.name, sets))
    };
    let chain = |chain: Chain| {
        (chain.key, chain.name, ForecastRequest { stages: Some(chain.stages), ..ForecastRequest::default() })
    };
    let chains = chains(kitchen.units, true).into_iter().map(chain);
    presets(kitchen.units).into_iter().filter_map(one).chain(chains).collect()
}

/// The same meat every other way: what belongs to the old way alone is left behind.
fn others(request: &ForecastRequest, kitchen: &Kitchen) -> Vec<OtherWay> {
    let voice = kitchen.voice();
    let meat = ForecastRequest {
        start_c: request.start_c,
        altitude_m: request.altitude_m,
        known: request.known,
        parts: request.parts.clone(),
        seed: request.seed,
        units: request.units,
        food_code: request.food_code,
        ..ForecastRequest::default()
    }
    .with_meat(request.meat());
    let chosen = kind(request);
    let other = |(id, words, sets): (&str, Message, ForecastRequest)| {
        let chosen = chosen == kind(&sets);
        let mut whole = ForecastRequest { method: sets.method, heat: sets.heat, stages: sets.stages, ..meat.clone() };
        whole.vessel = uses::vessel(&whole, &Uses::default(), kitchen);
        let request = if chosen { request.clone() } else { whole };
        OtherWay { id: id.to_owned(), words: voice.render(words), chosen, request }
    };
    all(kitchen).into_iter().map(other).collect()
}

/// A slow oven is one that is cooler than this, °C.
const SLOW_UNDER_C: f64 = 116.0;

/// What makes two questions the same way: the methods, and the kind of heat.
fn kind(request: &ForecastRequest) -> (Vec<Option<Method>>, Option<HeatSource>, bool, bool) {
    let methods = match &request.stages {
        Some(stages) => stages.iter().map(|stage| stage.method).collect(),
        None => vec![request.method],
    };
    let heat = request.heat.clone().unwrap_or_default();
    let braised = request.method == Some(Method::Braise);
    let source = braised.then(|| heat.source.unwrap_or(HeatSource::Oven));
    let slow = source == Some(HeatSource::Oven) && heat.set_c.is_some_and(|c| c < SLOW_UNDER_C);
    (methods, source, slow, heat.wrap.is_some())
}
