//! One joint, sliced tonight and pulled tomorrow.

use ergastic_words::{RoughMinutes, matching as say};

use super::answer::Twice;
use super::block::MeatToMatch;
use super::suits;
use crate::cuts::EatenAs;
use crate::error::Result;
use crate::forecast::{ForecastRequest, Heat, Quantiles, ResolvedDish, StageRequest, Until, describe, update};
use crate::heat::pot::Simmer;
use crate::kitchen::ThingKind;
use crate::ways::{Method, NIGHT_MIN, USUAL_OVEN_C};

/// A joint lighter than this is eaten at once, kg.
const FROM_KG: f64 = 1.2;
/// Simulated cooks.
const MEMBERS: u32 = 32;

/// The same joint braised until it slices, chilled in its liquid, and braised on until it pulls.
///
/// # Errors
/// Nobody waits for it any more.
pub fn twice(block: &MeatToMatch, lies: &ResolvedDish) -> Result<Option<Twice>> {
    let main = lies.main();
    let joint_kg = main.mass_kg / f64::from(main.pieces);
    if lies.parts.len() > 1 || joint_kg < FROM_KG || !suits::slices(main.facts.cut) {
        return Ok(None);
    }
    let heat = if block.has(ThingKind::Oven) {
        Heat::oven(USUAL_OVEN_C)
    } else if block.has(ThingKind::Burner) {
        Heat::hob(Simmer::Gentle)
    } else {
        return Ok(None);
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
        let Ok(case) = plan.resolve(block.kitchen) else { return Ok(None) };
        describe(&case, Some(update(&case, &[], None)?.ensemble)).map(Some)
    };
    let Some(tonight) = forecast(EatenAs::Slice, None)? else { return Ok(None) };
    let slice_min = tonight.ready_min;
    let on_heat = |until| StageRequest::of(Method::Braise, heat.clone(), until);
    let Some(first_min) = slice_min.p50.map(f64::ceil) else { return Ok(None) };
    let chill = StageRequest::of(Method::Chill, Heat::default(), Some(Until::after(NIGHT_MIN)));
    let stages = vec![on_heat(Some(Until::after(first_min))), chill, on_heat(None)];
    let Some(tomorrow) = forecast(EatenAs::Pull, Some(stages))? else { return Ok(None) };
    let Some(back_min) = tomorrow.stages.last().and_then(|stage| stage.from_min) else { return Ok(None) };
    let since = |min: Option<f64>| min.map(|min| f64::max(0.0, min - back_min));
    let pull_min = Quantiles {
        p10: since(tomorrow.ready_min.p10),
        p50: since(tomorrow.ready_min.p50),
        p90: since(tomorrow.ready_min.p90),
    };
    let (Some(first), Some(little), Some(most)) = (slice_min.p50, pull_min.p10, pull_min.p90) else { return Ok(None) };
    let (first, most) = (RoughMinutes(first), RoughMinutes(most));
    let said =
        if little < 15.0 { say::twice_up_to(first, most) } else { say::twice(first, RoughMinutes(little), most) };
    let words = block.kitchen.voice().render(said);
    let cautions =
        tomorrow.cautions.into_iter().filter(|caution| caution.id.contains("chill") || caution.id == "cooling");
    Ok(Some(Twice { slice_min, pull_min, words, cautions: cautions.collect() }))
}
