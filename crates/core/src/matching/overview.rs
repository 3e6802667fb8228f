//! Every cut against every way, for a usual piece: what goes together, and about how long it takes.

use ergastic_words::{matching as say, ways as words};
use rayon::prelude::*;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::suits;
use crate::cuts::Shape;
use crate::cuts::{Cut, CutFacts, EatenAs};
use crate::error::Result;
use crate::forecast::{ForecastRequest, describe};
use crate::kitchen::Kitchen;
use crate::ways::{Method, usual};

/// A cut and a way.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Cell {
    /// The way.
    pub method: Method,
    /// What it is called.
    pub label: String,
    /// Half of usual pieces are tender by then, min; `null` where they do not go together.
    pub ready_min: Option<f64>,
    /// Why not, where they do not.
    pub why_not: Option<String>,
}

/// A cut and all ways.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct OverviewRow {
    /// The cut.
    pub cut: Cut,
    /// Its name.
    pub name: String,
    /// How it is usually eaten.
    pub eaten_as: EatenAs,
    /// By way.
    pub ways: Vec<Cell>,
}

fn cell(facts: &CutFacts, method: Method, kitchen: &Kitchen) -> Result<Cell> {
    let voice = kitchen.voice();
    let label = voice.render(words::method(method.key()));
    let shape = if method == Method::Stew { Shape::Cubed } else { Shape::Whole };
    // In a stew what is usually sliced is eaten under a fork.
    let eaten_as =
        if method == Method::Stew && facts.eaten_as == EatenAs::Slice { EatenAs::Fork } else { facts.eaten_as };
    if let Some(why_not) = suits::against(facts, method, eaten_as, shape) {
        return Ok(Cell { method, label, ready_min: None, why_not: Some(voice.render(why_not)) });
    }
    let request = ForecastRequest {
        cut: Some(facts.cut),
        method: Some(method),
        heat: Some(usual(method, kitchen.units)),
        eaten_as: (method == Method::Stew).then_some(eaten_as),
        altitude_m: Some(kitchen.altitude_m),
        members: Some(1),
        how: kitchen.how.clone(),
        ..Default::default()
    };
    let case = request.resolve().ok();
    let found = case.map(|case| describe(&case, None)).transpose()?;
    let ready_min = found.and_then(|found| found.ready_min.p50);
    let why_not = ready_min.is_none().then(|| voice.render(say::never_that_way()));
    Ok(Cell { method, label, ready_min, why_not })
}

/// The whole table at a kitchen's altitude, in the order of the cuts.
///
/// # Errors
/// Nobody waits for it any more.
pub fn overview(kitchen: &Kitchen) -> Result<Vec<OverviewRow>> {
    let cuts: Vec<_> = Cut::all().iter().filter(|facts| facts.suitable).collect();
    let row = |facts: &CutFacts| {
        let ways = Method::COMPARED.into_iter().map(|method| cell(facts, method, kitchen)).collect::<Result<_>>()?;
        let name = kitchen.voice().render(facts.cut.label());
        Ok(OverviewRow { cut: facts.cut, name, eaten_as: facts.eaten_as, ways })
    };
    cuts.into_par_iter().map(row).collect()
}
