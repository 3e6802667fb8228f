//! Why this time: a plan, a cook or a free question with all that it is worked out from, and the same meat other ways.

use ergastic_words::{Dial, Message, Minutes, Temperature, matching as say};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::uses;
use crate::cuts::EatenAs;
use crate::error::Result;
use crate::forecast::{Forecast, ForecastRequest, Heat, StageRequest, Until, Wrap, forecast};
use crate::heat::pit::WrapMaterial;
use crate::heat::pot::{Lid, Simmer};
use crate::kitchen::Kitchen;
use crate::plan::{Plan, Uses};
use crate::ways::{
    AFTER_SMOKE_BATH_C, HeatSource, Method, NIGHT_MIN, Settings, USUAL_BATH_C, USUAL_FAT_C, USUAL_OVEN_C, USUAL_PIT_C,
    USUAL_REHEAT_C, USUAL_WRAP_C,
};

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
    request.food_code = Some(kitchen.food_code);
    (request.inside, request.explain, request.members) = (Some(true), Some(true), None);
    let answer = forecast(&request)?;
    (request.inside, request.explain) = (None, None);
    let eaten_as = request.resolve().ok().map(|case| case.main().eaten_as);
    Ok(Why { name, ways: others(&request, kitchen), eaten_as, request, forecast: answer })
}

/// The ways that are offered beside: what each sets.
fn all() -> Vec<(&'static str, Message, ForecastRequest)> {
    let one = |method: Method, heat: Heat| ForecastRequest {
        method: Some(method),
        heat: Some(heat),
        ..ForecastRequest::default()
    };
    let oven = |set_c: f64| Heat { source: Some(HeatSource::Oven), set_c: Some(set_c), ..Heat::default() };
    let hob = || Heat { source: Some(HeatSource::Hob), simmer: Some(Simmer::Gentle), ..Heat::default() };
    let coals = Heat { source: Some(HeatSource::Coals), ..Heat::default() };
    let pit = |wrapped: bool| Heat {
        pit_c: Some(USUAL_PIT_C),
        wrap: wrapped.then_some(Wrap { material: WrapMaterial::Paper, at_core_c: Some(USUAL_WRAP_C) }),
        ..Heat::default()
    };
    let bath = |bath_c: f64| Heat { bath_c: Some(bath_c), ..Heat::default() };
    let chain = |stages| ForecastRequest { stages: Some(stages), ..ForecastRequest::default() };
    let stage =
        |method, heat, until| StageRequest { method: Some(method), heat: Some(heat), until, ..StageRequest::default() };
    let after = |min| Some(Until { min: Some(min), ..Until::default() });
    let smoked_then_bagged = vec![
        stage(Method::Smoke, pit(false), after(SMOKED_MIN)),
        stage(Method::WaterBath, bath(AFTER_SMOKE_BATH_C), None),
    ];
    let tender = Some(Until { tender: Some(true), ..Until::default() });
    let warmed = Heat { to_c: Some(USUAL_REHEAT_C), ..Heat::default() };
    let day_before = vec![
        stage(Method::Braise, oven(USUAL_OVEN_C), tender),
        stage(Method::Chill, Heat::default(), after(NIGHT_MIN)),
        StageRequest { lid: Some(Lid::Tight), ..stage(Method::Reheat, warmed, None) },
    ];
    let high = Heat { level: Some(Settings::High), ..Heat::default() };
    let low = Heat { setting: Some(Settings::Low), ..Heat::default() };
    let fat = Heat { fat_c: Some(USUAL_FAT_C), ..Heat::default() };
    vec![
        ("oven", say::braise_oven(Dial(USUAL_OVEN_C)), one(Method::Braise, oven(USUAL_OVEN_C))),
        ("slow_oven", say::braise_slow_oven(Dial(SLOW_OVEN_C)), one(Method::Braise, oven(SLOW_OVEN_C))),
        ("hob", say::braise_hob(), one(Method::Braise, hob())),
        ("coals", say::braise_coals(), one(Method::Braise, coals)),
        ("stew", say::stew_hob(), one(Method::Stew, hob())),
        ("pressure", say::pressure_high(), one(Method::Pressure, high)),
        ("crock", say::slow_cooker_low(), one(Method::SlowCooker, low)),
        ("pit", say::pit_bare(Dial(USUAL_PIT_C)), one(Method::Smoke, pit(false))),
        ("wrapped", say::pit_paper(Dial(USUAL_PIT_C)), one(Method::Smoke, pit(true))),
        ("fat", say::fat(Temperature(USUAL_FAT_C)), one(Method::Confit, fat)),
        ("bath", say::bath(Temperature(USUAL_BATH_C)), one(Method::WaterBath, bath(USUAL_BATH_C))),
        ("smoke_bag", say::smoke_bag(Minutes(SMOKED_MIN), Temperature(AFTER_SMOKE_BATH_C)), chain(smoked_then_bagged)),
        ("day_before", say::day_before(), chain(day_before)),
    ]
}

const SLOW_OVEN_C: f64 = 100.0;
const SMOKED_MIN: f64 = 240.0;

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
    all().into_iter().map(other).collect()
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
