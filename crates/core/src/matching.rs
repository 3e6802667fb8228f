//! Which way for this cut: every variant of the ways computed so far, side by side.

use jiff::Timestamp;
use rayon::prelude::*;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use crate::clock::{instant, minutes_between, plus_minutes, zone};
use crate::cuts::Cut;
use crate::error::{Error, Result, in_range};
use crate::finish::{Target, Thickener};
use crate::forecast::{ForecastRequest, Heat, HeatSource, Method, Quantiles, describe};
use crate::heat::pot::Simmer;
use crate::kitchen::Kitchen;
use crate::plan::{Plan, Prepare};
use crate::safety::Caution;
use crate::sheet::{Durations, Worked};
use crate::tender::EatenAs;

/// Simulated cooks a way: enough for a comparison, quick enough to drag.
const MEMBERS: u32 = 256;
/// From this chance on a way is tight rather than too late.
const TIGHT: f64 = 0.5;

/// What is on the block, and when the bell is.
#[derive(Debug, Clone, Default, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields, default)]
pub struct MatchRequest {
    /// Which cut.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub cut: Option<Cut>,
    /// Raw, bone in, kg.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub mass_kg: Option<f64>,
    /// Thickness of the largest piece, mm.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub thickness_mm: Option<f64>,
    /// Pieces.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub pieces: Option<u32>,
    /// How it is eaten.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub eaten_as: Option<EatenAs>,
    /// How many eat.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub people: Option<u32>,
    /// Now; local times are read in `zone`.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub now: Option<String>,
    /// Plates on the table.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub bell: Option<String>,
    /// IANA zone; the kitchen's where not given.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub zone: Option<String>,
    /// Price of the raw meat, a kilo.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub price_per_kg: Option<f64>,
    /// The chance asked for.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub certainty: Option<f64>,
}

/// Whether a way fits.
#[derive(Debug, Clone, Copy, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Verdict {
    /// Ready in time with the chance asked for.
    Fits,
    /// More likely than not.
    Tight,
    /// Likelier not.
    TooLate,
    /// Not for this cut.
    Unsuitable,
}

/// One way of cooking it.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Way {
    /// Its name on the screen.
    pub name: String,
    /// Way.
    pub method: Method,
    /// Heat.
    pub heat: Heat,
    /// Whether it fits.
    pub verdict: Verdict,
    /// P(tender in time), starting now.
    pub chance_ready: f64,
    /// Latest start for the certainty.
    pub start_by: Timestamp,
    /// The meat meets the heat, if it starts now.
    pub met_heat_at: Timestamp,
    /// Lifting for the bell.
    pub lift_at: Timestamp,
    /// Tender, from the meat meeting the heat.
    pub ready_min: Quantiles,
    /// Gone too far.
    pub too_far_min: Quantiles,
    /// Hands-on minutes from salt to plates.
    pub hands_on_min: f64,
    /// From lifting to plates.
    pub finishing_min: f64,
    /// Cooked and edible, kg.
    pub yield_kg: f64,
    /// Portions of 165 g cooked.
    pub portions: f64,
    /// Cost a portion, where a price is given.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub cost_per_portion: Option<f64>,
    /// How the liquid will feel.
    pub sauce_body: String,
    /// One sentence.
    pub why: String,
    /// Cautions that bind.
    pub cautions: Vec<Caution>,
    /// The plan this way would be.
    pub plan: Plan,
}

/// Every way, best first.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Matched {
    /// Whether this cut belongs to this job at all.
    pub suitable: bool,
    /// Why not, or what the best way is.
    pub why: String,
    /// Best first: those that fit by hands-on work, then by chance.
    pub ways: Vec<Way>,
}

/// Computes every way for what is on the block.
///
/// # Errors
/// Names the field that can't be used.
pub fn match_ways(request: &MatchRequest, kitchen: &Kitchen, clock: Timestamp) -> Result<Matched> {
    let cut = request.cut.ok_or_else(|| Error::new("cut", "nothing", "name a cut, such as \"chuck\" or \"shin\""))?;
    let zone = zone("zone", request.zone.as_deref().unwrap_or(&kitchen.zone))?;
    let now = request.now.as_deref().map_or(Ok(clock), |text| instant("now", text, &zone))?;
    let bell = request.bell.as_deref().map_or(Ok(plus_minutes(now, 600.0)), |text| instant("bell", text, &zone))?;
    let days = minutes_between(now, bell) / 1440.0;
    in_range("bell", days, -1.0, 60.0, "days from now")?;
    let certainty = in_range("certainty", request.certainty.unwrap_or(kitchen.certainty), 0.5, 0.99, "")?;
    let people = in_range("people", f64::from(request.people.unwrap_or(4)), 1.0, 200.0, "")? as u32;
    if let Some(price) = request.price_per_kg {
        in_range("price_per_kg", price, 0.0, 10_000.0, "")?;
    }
    if let Some(why) = cut.refusal() {
        return Ok(Matched { suitable: false, why, ways: Vec::new() });
    }
    let base = ForecastRequest {
        cut: Some(cut),
        mass_kg: request.mass_kg,
        thickness_mm: request.thickness_mm,
        pieces: request.pieces,
        eaten_as: request.eaten_as,
        members: Some(MEMBERS),
        ..Default::default()
    };
    let plan = |forecast: ForecastRequest| Plan {
        name: dish_name(cut, forecast.method),
        people,
        bell,
        certainty: request.certainty,
        forecast,
        prepare: Prepare::default(),
        target: Target::default(),
        thickener: Thickener::default(),
    };
    let variants = variants(&base, kitchen, &plan)?;
    let mut ways = variants
        .into_par_iter()
        .map(|(name, plan)| way(name, plan, kitchen, now, certainty, request.price_per_kg))
        .collect::<Result<Vec<_>>>()?;
    // Those that fit first; among them the surest on fewest hands-on minutes, among the rest the likeliest.
    ways.sort_by(|a, b| {
        a.verdict.cmp(&b.verdict).then_with(|| match a.verdict {
            Verdict::Fits => a.hands_on_min.total_cmp(&b.hands_on_min),
            _ => b.chance_ready.total_cmp(&a.chance_ready),
        })
    });
    let why = ways.first().map_or(String::new(), |best| best.why.clone());
    Ok(Matched { suitable: true, why, ways })
}

fn hob(simmer: Simmer) -> Heat {
    Heat { source: Some(HeatSource::Hob), simmer: Some(simmer), ..Heat::default() }
}

fn oven(set_c: f64) -> Heat {
    Heat { source: Some(HeatSource::Oven), set_c: Some(set_c), ..Heat::default() }
}

/// The variants offered: whole in three ovens and on the hob, and cut up where it is not already small.
fn variants(
    base: &ForecastRequest,
    kitchen: &Kitchen,
    plan: &impl Fn(ForecastRequest) -> Plan,
) -> Result<Vec<(String, Plan)>> {
    let braise = |heat| plan(ForecastRequest { method: Some(Method::Braise), heat: Some(heat), ..base.clone() });
    let mut variants = vec![
        ("Oven 150 °C".to_owned(), braise(oven(150.0))),
        ("Oven 170 °C".to_owned(), braise(oven(170.0))),
        ("Slow oven 100 °C".to_owned(), braise(oven(100.0))),
        ("Hob, gentle simmer".to_owned(), braise(hob(Simmer::Gentle))),
    ];
    let whole = variants[0].1.resolve(kitchen).map_err(unprefixed)?;
    if whole.main().sides_m[0] > 0.05 && base.eaten_as != Some(EatenAs::Slice) {
        let cubes = ForecastRequest {
            method: Some(Method::Stew),
            heat: Some(hob(Simmer::Gentle)),
            thickness_mm: None,
            pieces: None,
            size_mm: Some([40.0; 3]),
            mass_kg: Some(whole.mass_kg),
            ..base.clone()
        };
        variants.push(("Cut in 4 cm cubes, hob".to_owned(), plan(cubes)));
    }
    Ok(variants)
}

/// What the dish is called until the cook names it: "Braised shin".
fn dish_name(cut: Cut, method: Option<Method>) -> String {
    let way = if method == Some(Method::Stew) { "Stewed" } else { "Braised" };
    let name = cut.facts().name.split(',').next().unwrap_or_default();
    format!("{way} {}", name.to_lowercase())
}

/// A match's own fields are not those of a plan's forecast.
fn unprefixed(error: Error) -> Error {
    Error { field: error.field.trim_start_matches("forecast.").to_owned(), ..error }
}

fn way(name: String, plan: Plan, kitchen: &Kitchen, now: Timestamp, certainty: f64, price: Option<f64>) -> Result<Way> {
    let worked = Worked::new(&plan, kitchen, &[], None).map_err(unprefixed)?;
    let durations: &Durations = &worked.durations;
    let forecast = describe(&worked.case, Some(worked.ensemble().clone()));
    let finishing_min = durations.finishing_min();
    let lift_at = plus_minutes(plan.bell, -finishing_min);
    let met_heat_at = plus_minutes(now, durations.lead_min());
    let chance_ready = worked.chance_within(minutes_between(met_heat_at, lift_at));
    let verdict = match chance_ready {
        chance if chance >= certainty => Verdict::Fits,
        chance if chance >= TIGHT => Verdict::Tight,
        _ => Verdict::TooLate,
    };
    let needed = worked.ready_min(certainty).unwrap_or(f64::INFINITY).min(100_000.0);
    let portions = durations.yield_kg / 0.165;
    let body = durations.gelatin_g / (durations.liquid_left_l * 10.0);
    let sauce_body = match body {
        b if b >= 8.0 => "coats a spoon by itself",
        b if b >= 3.0 => "full-bodied",
        b if b >= 1.0 => "some body, sets when cold",
        _ => "thin: reduce or thicken it",
    };
    let mut plan = plan;
    plan.forecast.members = None;
    Ok(Way {
        name,
        method: plan.forecast.method.unwrap_or(Method::Braise),
        heat: plan.forecast.heat.clone().unwrap_or_default(),
        verdict,
        chance_ready,
        start_by: plus_minutes(lift_at, -(needed + durations.lead_min())),
        met_heat_at,
        lift_at,
        ready_min: forecast.ready_min,
        too_far_min: forecast.too_far_min,
        hands_on_min: durations.hands_on_min(),
        finishing_min,
        yield_kg: durations.yield_kg,
        portions,
        cost_per_portion: price.map(|price| price * worked.case.mass_kg / portions.max(0.1)),
        sauce_body: sauce_body.into(),
        why: forecast.why,
        cautions: forecast.cautions,
        plan,
    })
}
