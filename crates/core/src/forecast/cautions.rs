//! The cautions that bind in a case, from how its median run went.

use super::resolve::{ResolvedDish, ResolvedPart};
use crate::cuts::{Cut, EatenAs, STEWING_PIECE_M};
use crate::safety::{
    Caution, PIERCED_SAFE_C, boils_dry, coals_outdoors, cooling, cured_pink, frozen_start, part_cooked, pierced,
    pressure_dry, pressure_full, pressure_lid, pressure_little, slow_warming, small_in_pit, thaw_first,
};
use crate::ways::chill::Chill;
use crate::ways::pit::InThePit;
use crate::ways::{Cooling, Method, WayId, against};
use ergastic_physics::case::End;
use ergastic_physics::pressure::{FULLEST, MIN_LITRES};
use ergastic_physics::record::Record;
use ergastic_physics::units::HOUR_S;

/// So few thin pieces are strips or slices, not a heap of bites.
const FEW_STRIPS: u32 = 3;

/// What *Match* would refuse is said here in the same words; it is computed all the same. How it is eaten counts where somebody
/// said it.
fn unsuited(case: &ResolvedDish) -> Option<Caution> {
    let supposed = case.assumed.iter().any(|filled| filled.name == "eaten_as");
    let small = |part: &ResolvedPart| part.sides_m[0] <= STEWING_PIECE_M && part.pieces > FEW_STRIPS;
    let refused = case.parts.iter().find_map(|part| {
        let eaten_as = if supposed { EatenAs::Fork } else { part.eaten_as };
        against(part.facts, case.first().method, eaten_as, small(part))
    });
    if let Some(reason) = refused {
        return Some(Caution::new("unsuited", reason, case.voice));
    }
    let bare = case.first().medium.get::<InThePit>().is_some_and(|pit| pit.wrap.is_none());
    (bare && case.parts.iter().any(small)).then(|| small_in_pit(case.voice))
}

/// What binds, in the order a cook meets it. `ready_s` is when half of such cooks are tender.
pub fn of(case: &ResolvedDish, record: &Record, ready_s: Option<f64>, comes_up: bool) -> Vec<Caution> {
    let voice = case.voice;
    let mut cautions = Vec::new();
    let media = || case.stages.iter().map(|stage| &stage.medium);
    if case.goes_in_frozen() {
        let slow = media().any(|medium| medium.facts().warms_slowly);
        cautions.push(if slow { thaw_first(voice) } else { frozen_start(voice) });
    }
    cautions.extend(unsuited(case));
    if media().any(|medium| medium.id() == WayId::Coals) {
        cautions.push(coals_outdoors(voice));
    }
    if media().any(|medium| medium.facts().locked) {
        cautions.push(pressure_lid(voice));
        let full = (case.liquid_l / 1000.0 + case.packing.meat_m3) / case.pot().volume_m3();
        if full > FULLEST {
            cautions.push(pressure_full(full, voice));
        }
        // Its first juice is liquid too; what never gathers enough is told so.
        match comes_up {
            false => cautions.push(pressure_dry(case.liquid_l, voice)),
            true if case.liquid_l <= MIN_LITRES => cautions.push(pressure_little(case.liquid_l, voice)),
            true => {}
        }
    }
    if case.first().method != Method::Chill {
        cautions.extend(slow_warming(record.warm_s.map(|s| s / HOUR_S), voice));
    }
    let until_s = ready_s.unwrap_or(f64::INFINITY);
    let core = record.frames.iter().filter(|frame| frame.time_s <= until_s).map(|frame| frame.celsius[0]);
    let hottest_c = core.fold(f64::NEG_INFINITY, f64::max);
    if hottest_c < PIERCED_SAFE_C {
        cautions.push(pierced(hottest_c, voice));
    }
    for caution in media().flat_map(|medium| medium.way().cautions(voice)) {
        if !cautions.contains(&caution) {
            cautions.push(caution);
        }
    }
    if case.parts.iter().any(|part| part.facts.cut == Cut::CornedBrisket) {
        cautions.push(cured_pink(voice));
    }
    if let Some(chill) = case.stages.iter().position(|stage| stage.medium.id() == WayId::Chill) {
        let chilled_s = if chill == 0 { 0.0 } else { record.stage_ends_s[chill - 1] };
        let tender_first = case.stages[..chill].iter().any(|stage| stage.end == End::Tender);
        let done = tender_first || ready_s.is_some_and(|ready_s| ready_s <= chilled_s);
        if chill > 0 {
            cautions.push(if done { cooling(voice) } else { part_cooked(voice) });
        }
    }
    if let (Some(dry_s), Some(ready_s)) = (record.dry_s, ready_s)
        && dry_s < ready_s
        && case.first().medium.get::<Chill>().is_none_or(|cold| cold.cooling != Cooling::InLiquid)
    {
        cautions.push(boils_dry(dry_s / HOUR_S, voice));
    }
    cautions
}
