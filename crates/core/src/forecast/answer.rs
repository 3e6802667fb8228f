//! The answer to a forecast.

use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use ergastic_words::{Message, Voice, forecast as say};

use super::own_time::OwnTime;
use super::pressed::PressureMinutes;
use super::resolve::ResolvedDish;
use crate::cuts::Cut;
use crate::safety::Caution;
use crate::ways::Filled;
use crate::ways::Method;

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
    /// Liquid, fat, bath or air, °C.
    pub medium_c: f64,
    /// The air of the oven or pit, °C; `medium_c` where there is none.
    #[serde(default)]
    pub air_c: f64,
    /// Mean tender-hours.
    pub softening_h: f64,
    /// Liquid in the pot, L.
    pub liquid_l: f64,
    /// Left as steam, from the pot and from meat in the pit, kg.
    pub steam_kg: f64,
    /// Juice that has left the meat, kg.
    pub juice_kg: f64,
    /// Rendered fat, L.
    pub fat_l: f64,
    /// Gelatin in the liquid, g.
    pub gelatin_g: f64,
    /// Salt in the liquid, g.
    pub salt_g: f64,
    /// Cooked and edible by then, kg.
    pub yield_kg: f64,
    /// The stage it is in, counted from 0.
    pub stage: usize,
}

/// One stage of the median run.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct StageSpan {
    /// Way of cooking.
    pub method: Method,
    /// In a few words.
    pub words: String,
    /// It begins, minutes from the meat meeting the heat; `null` if it never does.
    pub from_min: Option<f64>,
    /// It ends; `null` while the heat stays on.
    pub to_min: Option<f64>,
}

/// One cut or size of a mixed pot.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct PartForecast {
    /// Which cut.
    pub cut: Cut,
    /// Its name on the block.
    pub name: String,
    /// Raw, bone in, kg.
    pub mass_kg: f64,
    /// Pieces.
    pub pieces: u32,
    /// Tender, minutes from the meat meeting the heat.
    pub ready_min: Quantiles,
    /// Gone too far.
    pub overcooked_min: Quantiles,
    /// Lifted out as the first, second, …; parts that are tender together share a place.
    pub lift: usize,
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
    /// How far it has come, in a few words.
    pub words: String,
}

/// The inside of the piece over the whole cook.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Inside {
    /// Outer radius of each shell over the whole.
    pub radius: Vec<f64>,
    /// Sides of the piece, mm, from the shortest.
    #[schema(min_items = 3, max_items = 3)]
    pub sides_mm: [f64; 3],
    /// Enough, on the scale of slice to spoon.
    pub enough: f64,
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

/// Where eight in ten of the simulated cooks stand at a moment.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct BandPoint {
    /// Minutes since the meat met the heat.
    pub min: f64,
    /// Near the middle, as a probe reads it: P10, P50, P90, °C.
    #[schema(min_items = 3, max_items = 3)]
    pub core_c: [f64; 3],
    /// On the scale of slice to spoon: P10, P50, P90.
    #[schema(min_items = 3, max_items = 3)]
    pub tenderness: [f64; 3],
    /// Liquid in the pot: P10, P50, P90, L.
    #[schema(min_items = 3, max_items = 3)]
    pub liquid_l: [f64; 3],
}

/// One fact that would narrow the band.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Narrows {
    /// A stable name: animal, thickness, oven, simmer, pit, lid, bark, liquid.
    pub fact: String,
    /// What it is called.
    pub name: String,
    /// How the cook can find it out.
    pub how: String,
    /// Share of the doubt in the ready time that it explains, 0–1.
    pub share: f64,
    /// P10 to P90 of ready if it were known, min.
    pub width_min: f64,
}

/// The rule behind a figure, with this case's numbers.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Rule {
    /// Which figure.
    pub figure: String,
    /// The rule, in plain words.
    pub rule: String,
    /// This case's numbers in it.
    pub numbers: String,
    /// How sure.
    pub sure: String,
}

/// What lies behind a forecast.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Explained {
    /// Enough and too far on the scale from slice to spoon.
    #[schema(min_items = 2, max_items = 2)]
    pub goal: [f64; 2],
    /// Bands along the curve.
    pub bands: Vec<BandPoint>,
    /// P10 to P90 of ready, min.
    pub width_min: Option<f64>,
    /// Facts, the most telling first.
    pub narrows: Vec<Narrows>,
    /// Rules.
    pub rules: Vec<Rule>,
}

/// Something left out of the request and filled in.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct Assumed {
    /// The field.
    pub field: String,
    /// What a cook calls it.
    pub name: String,
    /// What was taken.
    pub value: String,
    /// Why that.
    pub why: String,
}

impl Assumed {
    /// What a case has filled in, as far as it is wanted, in its voice.
    pub fn of(case: &ResolvedDish, wanted: impl Fn(&Filled) -> bool) -> Vec<Self> {
        let told = |filled: &Filled| Self {
            field: filled.field.clone(),
            name: case.voice.render(say::filled(filled.name.rsplit('.').next().unwrap_or_default())),
            value: case.voice.render(&filled.value),
            why: case.voice.render(&filled.why),
        };
        case.assumed.iter().filter(|filled| wanted(filled)).map(told).collect()
    }
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
    pub overcooked_min: Quantiles,
    /// P(ready ≤ deadline), the meat going to a hold when tender.
    pub chance_ready: Option<f64>,
    /// P(ready ≤ deadline ≤ too far), the heat simply staying on.
    pub chance_in_window: Option<f64>,
    /// Each cut or size of a mixed pot; empty for one.
    #[serde(default)]
    pub parts: Vec<PartForecast>,
    /// The stages of the median run.
    #[serde(default)]
    pub stages: Vec<StageSpan>,
    /// Under pressure: time at pressure that makes it just tender when the lid can be opened.
    pub at_pressure_min: Option<Quantiles>,
    /// The minutes of a pressure pot, where there is one that comes up.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub pressure: Option<PressureMinutes>,
    /// The odds of a time the cook has fixed.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub own_time: Option<OwnTime>,
    /// The median run.
    pub curve: Vec<CurvePoint>,
    /// What lies behind the figures, if asked for.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub explained: Option<Explained>,
    /// The inside of the piece, if asked for.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub inside: Option<Inside>,
    /// Tender-hours that are enough here.
    pub enough_softening_h: f64,
    /// Tender-hours that are too far here.
    pub overcooked_softening_h: f64,
    /// Resistance × age × feed.
    pub toughness: f64,
    /// Minutes until the liquid simmers on the hob, or the pot is at pressure; `null` if it does not come up.
    pub come_up_min: Option<f64>,
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
    /// Salt in the liquid, g.
    pub salt_g: Option<f64>,
    /// Plates of 165 g cooked.
    pub portions: Option<f64>,
    /// Rules of thumb.
    pub thumb: Vec<Thumb>,
    /// Cautions that bind.
    pub cautions: Vec<Caution>,
    /// Oddities, and reasons for what is null.
    pub notes: Vec<String>,
    /// What was filled in.
    pub assumed: Vec<Assumed>,
}

impl Forecast {
    /// The answer for a cut that long cooking does no good.
    pub(super) fn unsuitable(why: Message, voice: Voice) -> Self {
        Self {
            suitable: false,
            why: voice.render(why),
            ready_min: Quantiles::default(),
            overcooked_min: Quantiles::default(),
            chance_ready: None,
            chance_in_window: None,
            parts: Vec::new(),
            stages: Vec::new(),
            at_pressure_min: None,
            pressure: None,
            own_time: None,
            curve: Vec::new(),
            explained: None,
            inside: None,
            enough_softening_h: 0.0,
            overcooked_softening_h: 0.0,
            toughness: 0.0,
            come_up_min: None,
            mass_kg: 0.0,
            pieces: 0,
            liquid_l: 0.0,
            yield_kg: None,
            juice_lost_kg: None,
            fat_l: None,
            liquid_left_l: None,
            gelatin_g: None,
            salt_g: None,
            portions: None,
            thumb: Vec::new(),
            cautions: Vec::new(),
            notes: vec![voice.render(say::unsuitable())],
            assumed: Vec::new(),
        }
    }
}
