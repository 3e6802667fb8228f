//! One joint, sliced tonight and pulled tomorrow.

use ergastic_words::{Span, matching as say};

use super::answer::Twice;
use super::block::Block;
use super::suits;
use crate::cuts::EatenAs;
use crate::forecast::{Case, ForecastRequest, Heat, Quantiles, StageRequest, Until, describe, update};
use crate::heat::pot::Simmer;
use crate::kitchen::Kit;
use crate::ways::{HeatSource, Method, NIGHT_MIN, USUAL_OVEN_C};

/// A joint lighter than this is eaten at once, kg.
const FROM_KG: f64 = 1.2;
/// Simulated cooks.
const MEMBERS: u32 = 32;

/// The same joint braised until it slices, chilled in its liquid, and braised on until it pulls.
pub fn twice(block: &Block, lies: &Case) -> Option<Twice> {
    let main = lies.main();
    let joint_kg = main.mass_kg / f64::from(main.pieces);
    if lies.parts.len() > 1 || joint_kg < FROM_KG || !suits::slices(main.facts.cut) {
        return None;
    }
    let heat = if block.has(Kit::Oven) {
        Heat { source: Some(HeatSource::Oven), set_c: Some(USUAL_OVEN_C), ..Heat::default() }
    } else if block.has(Kit::Hob) {
        Heat { source: Some(HeatSource::Hob), simmer: Some(Simmer::Gentle), ..Heat::default() }
    } else {
        return None;
    };
    let forecast = |eaten_as, stages: Option<Vec<StageRequest>>| {
        let plan = block.plan(ForecastRequest {
            eaten_as: Some(eaten_as),
            method: if stages.is_none() { Some(Method::Braise) } else { None },
            heat: if stages.is_none() { Some(heat.clone()) } else { None },
            stages,
            members: Some(MEMBERS),
            ..block.meat.clone()
        });
        let case = plan.resolve(block.kitchen).ok()?;
        Some(describe(&case, Some(update(&case, &[], None).ensemble)))
    };
    let tonight = forecast(EatenAs::Slice, None)?;
    let slice_min = tonight.ready_min;
    let minutes = |min: f64| Some(Until { min: Some(min), ..Until::default() });
    let on_heat = |until| StageRequest {
        method: Some(Method::Braise),
        heat: Some(heat.clone()),
        until,
        ..StageRequest::default()
    };
    let first_min = slice_min.p50?.ceil();
    let chill = StageRequest { method: Some(Method::Chill), until: minutes(NIGHT_MIN), ..StageRequest::default() };
    let tomorrow = forecast(EatenAs::Pull, Some(vec![on_heat(minutes(first_min)), chill, on_heat(None)]))?;
    let back_min = tomorrow.stages.last()?.from_min?;
    let since = |min: Option<f64>| min.map(|min| f64::max(0.0, min - back_min));
    let pull_min = Quantiles {
        p10: since(tomorrow.ready_min.p10),
        p50: since(tomorrow.ready_min.p50),
        p90: since(tomorrow.ready_min.p90),
    };
    let (first, little, most) = (Span(slice_min.p50?), pull_min.p10?, Span(pull_min.p90?));
    let said = if little < 15.0 { say::twice_up_to(first, most) } else { say::twice(first, Span(little), most) };
    let words = block.kitchen.voice().render(said);
    let cautions =
        tomorrow.cautions.into_iter().filter(|caution| caution.id.contains("chill") || caution.id == "cooling");
    Some(Twice { slice_min, pull_min, words, cautions: cautions.collect() })
}
