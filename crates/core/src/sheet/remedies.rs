//! What would meet the bell when the plan as it stands does not.

use ergastic_words::{Length, Message, sheet as say};
use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::laid::{Laid, lay_back};
use super::rounding::ceil_minutes;
use super::worked::Settled;
use crate::bench::Sear;
use crate::clock::{minutes_between, plus_minutes};
use crate::cuts::{CUBE_MM, EatenAs, FEW_PIECES, STEWING_PIECE_M, cubes_in};
use crate::error::{Result, unless_refused};
use crate::finish::Target;
use crate::forecast::{Heat, ResolvedDish, StageRequest, Until};
use crate::heat::pot::Lid;
use crate::kitchen::{Kitchen, ThingKind};
use crate::plan::Plan;
use crate::ways::{Method, Settings, StandsIn, USUAL_REHEAT_C};

/// Something that could be changed, and where that leads.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Remedy {
    /// What to change.
    pub text: String,
    /// What it costs.
    pub trade: String,
    /// Plates on the table at the plan's certainty.
    pub served_at: Timestamp,
    /// Whether that meets the bell.
    pub on_time: bool,
    /// The plan with the change made.
    pub plan: Plan,
}

/// Candidates really forecast, soonest first; those that do not help are left out.
pub fn remedies(plan: &Plan, kitchen: &Kitchen, now: Timestamp) -> Result<Vec<Remedy>> {
    let Some(as_is) = served_at(plan, kitchen, now)? else { return Ok(Vec::new()) };
    let voice = kitchen.voice();
    let mut found = Vec::new();
    for RemedyTried { text, trade, plan: changed } in candidates(plan, kitchen) {
        let Some(served_at) = served_at(&changed, kitchen, now)? else { continue };
        if minutes_between(served_at, as_is) >= 10.0 {
            let on_time = served_at <= plan.serve_at;
            let (text, trade) = (voice.render(text), voice.render(trade));
            found.push(Remedy { text, trade, served_at, on_time, plan: changed });
        }
    }
    found.sort_by_key(|remedy| remedy.served_at);
    let own = unless_refused(Settled::new(plan, kitchen, &[], None))?;
    let later_serving = later_serving(as_is, |serve_at| {
        let later = Plan { serve_at, ..plan.clone() };
        let decided = plus_minutes(now, TO_DECIDE_MIN);
        let laid = own.as_ref().map(|worked| laid_for(&later, worked, kitchen, decided)).transpose()?;
        Ok(match laid.flatten() {
            Some(laid) if laid.served_at <= serve_at => Met::kept(laid.conflicts.is_empty()),
            _ => Met::Late,
        })
    })?;
    found.push(Remedy {
        text: voice.render(say::later_serving()),
        trade: voice.render(say::later_serving_trade()),
        served_at: later_serving,
        on_time: false,
        plan: Plan { serve_at: later_serving, ..plan.clone() },
    });
    Ok(found)
}

/// It must still hold once it has been read and decided, min.
pub(crate) const TO_DECIDE_MIN: f64 = 5.0;
/// So many quarters of an hour are looked at for a later bell: a bell in the night may bring nobody their plates.
const MAX_QUARTERS: u32 = 64;

/// How a bell would be met.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub(crate) enum Met {
    /// Plates come after it.
    Late,
    /// In time, but something else can't be kept, such as meat that waits too long for somebody to be up.
    Amiss,
    /// In time, and all is kept.
    Well,
}

impl Met {
    /// In time: whether all else is kept too.
    pub fn kept(all: bool) -> Self {
        if all { Self::Well } else { Self::Amiss }
    }
}

/// The first whole quarter of an hour some minutes after plates could come.
pub(crate) fn first_quarter(plates: Timestamp) -> Timestamp {
    ceil_minutes(plus_minutes(plates, 2.0 * TO_DECIDE_MIN), 15)
}

/// From there the first that can be met with all else kept; where there is none, that can be met.
///
/// # Errors
/// Nobody waits for it any more.
pub(crate) fn later_serving(plates: Timestamp, met: impl Fn(Timestamp) -> Result<Met>) -> Result<Timestamp> {
    let first = first_quarter(plates);
    let mut in_time = None;
    for quarter in 0..MAX_QUARTERS {
        let serve_at = plus_minutes(first, 15.0 * f64::from(quarter));
        match met(serve_at)? {
            Met::Well => return Ok(serve_at),
            Met::Amiss => in_time = in_time.or(Some(serve_at)),
            Met::Late => {}
        }
    }
    Ok(in_time.unwrap_or(first))
}

/// The plan placed for its bell, as the sheet itself does it.
fn laid_for(plan: &Plan, worked: &Settled, kitchen: &Kitchen, now: Timestamp) -> Result<Option<Laid>> {
    let Some(ready_min) = worked.lift_min(plan.certainty(kitchen)) else { return Ok(None) };
    unless_refused(lay_back(plan, worked, kitchen, ready_min, now))
}

/// Plates on the table if it starts now, at the plan's certainty.
fn served_at(plan: &Plan, kitchen: &Kitchen, now: Timestamp) -> Result<Option<Timestamp>> {
    let Some(worked) = unless_refused(Settled::new(plan, kitchen, &[], None))? else { return Ok(None) };
    let laid = laid_for(&Plan { serve_at: now, ..plan.clone() }, &worked, kitchen, now)?;
    Ok(laid.map(|laid| laid.served_at))
}

/// A change that may help.
struct RemedyTried {
    text: Message,
    trade: Message,
    plan: Plan,
}

/// What may be changed about a plan so that it is done sooner: what, what it costs, and the plan with it.
pub(crate) fn changes_that_help(plan: &Plan, kitchen: &Kitchen) -> Vec<(Message, Message, Plan)> {
    candidates(plan, kitchen).into_iter().map(|RemedyTried { text, trade, plan }| (text, trade, plan)).collect()
}

fn changed(plan: &Plan, text: Message, trade: Message, change: impl Fn(&mut Plan)) -> RemedyTried {
    let mut changed = plan.clone();
    change(&mut changed);
    RemedyTried { text, trade, plan: changed }
}

fn candidates(plan: &Plan, kitchen: &Kitchen) -> Vec<RemedyTried> {
    let Ok(case) = plan.resolve(kitchen) else { return Vec::new() };
    let seared = plan.prepare.sear != Sear::None && case.first().medium.is_pot();
    let skipped = seared.then(|| {
        changed(plan, say::skip_the_sear(), say::skip_the_sear_trade(), |plan| plan.prepare.sear = Sear::None)
    });
    // A glaze takes its time at the boil; starch does not.
    let reduces = plan.finished_as() == Target::Glaze;
    let thickened =
        reduces.then(|| changed(plan, say::thicken_it(), say::thicken_it_trade(), |plan| plan.target = Target::Gravy));
    let pressed = pressed(plan, &case, kitchen);
    [
        pressed,
        halved(plan, &case),
        cubes(plan, &case, seared),
        ahead(plan, &case),
        hotter(plan, &case, kitchen),
        firmer(plan, &case),
        skipped,
        thickened,
    ]
    .into_iter()
    .flatten()
    .collect()
}

/// Under pressure, where there is a pot for it.
fn pressed(plan: &Plan, case: &ResolvedDish, kitchen: &Kitchen) -> Option<RemedyTried> {
    let first = &case.first().medium;
    let wet = first.is_pot() && !first.facts().locked;
    if !wet || case.stages.len() > 1 || !kitchen.has(ThingKind::PressurePot) {
        return None;
    }
    Some(changed(plan, say::press_it(), say::press_it_trade(), |plan| {
        plan.forecast.method = Some(Method::Pressure);
        plan.forecast.heat = Some(Heat { level: Some(Settings::High), ..Heat::default() });
        plan.forecast.vessel = None;
        plan.forecast.liquid_l = None;
    }))
}

/// A joint cut into cubes.
fn cubes(plan: &Plan, case: &ResolvedDish, seared: bool) -> Option<RemedyTried> {
    let one = case.stages.len() == 1 && case.parts.len() == 1;
    if case.main().sides_m[0] <= STEWING_PIECE_M || !case.first().medium.is_pot() || !one {
        return None;
    }
    let count = cubes_in(case.mass_kg);
    let trade = if seared { say::cut_into_cubes_trade_batches() } else { say::cut_into_cubes_trade() };
    Some(changed(plan, say::cut_into_cubes(Length(CUBE_MM)), trade, |plan| {
        plan.forecast.pieces = Some(count);
        plan.forecast.size_mm = Some([CUBE_MM; 3]);
        plan.forecast.thickness_mm = None;
        if plan.forecast.method == Some(Method::Braise) {
            plan.forecast.method = Some(Method::Stew);
        }
        if plan.forecast.eaten_as.is_none_or(|eaten| eaten == EatenAs::Slice) {
            plan.forecast.eaten_as = Some(EatenAs::Fork);
        }
    }))
}

/// A long joint is worth cutting in two where the half is still no cube: the longest side over the next.
const LONG: f64 = 1.3;

/// A long joint cut across in two.
fn halved(plan: &Plan, case: &ResolvedDish) -> Option<RemedyTried> {
    let (main, one) = (case.main(), case.parts.len() == 1);
    let [thin, wide, long] = main.sides_m;
    if !one || main.pieces > FEW_PIECES || thin <= STEWING_PIECE_M || long < LONG * wide {
        return None;
    }
    let mut sides = [thin, wide, long / 2.0];
    sides.sort_by(f64::total_cmp);
    Some(changed(plan, say::halve_it(), say::halve_it_trade(), |plan| {
        plan.forecast.pieces = Some(2 * main.pieces);
        plan.forecast.size_mm = Some(sides.map(|side| (side * 1000.0).round()));
        plan.forecast.thickness_mm = None;
    }))
}

/// Out of the pot and into the cold at the least, min.
const COLD_MIN: f64 = 8.0 * 60.0;

/// A pot dish cooked when there is time for it, chilled, and warmed again.
fn ahead(plan: &Plan, case: &ResolvedDish) -> Option<RemedyTried> {
    let first = &case.first().medium;
    let wet = first.is_pot() && ![StandsIn::PressurePot, StandsIn::SlowCooker].contains(&first.facts().stands_in);
    if !wet || case.stages.len() > 1 {
        return None;
    }
    Some(changed(plan, say::cook_it_ahead(), say::cook_it_ahead_trade(), |plan| {
        let (method, heat) = (plan.forecast.method.take(), plan.forecast.heat.take());
        plan.forecast.stages = Some(vec![
            StageRequest {
                method,
                heat,
                until: Some(Until { tender: Some(true), ..Until::default() }),
                ..StageRequest::default()
            },
            StageRequest {
                method: Some(Method::Chill),
                until: Some(Until { min: Some(COLD_MIN), ..Until::default() }),
                ..StageRequest::default()
            },
            StageRequest {
                method: Some(Method::Reheat),
                heat: Some(Heat { to_c: Some(USUAL_REHEAT_C), ..Heat::default() }),
                lid: Some(Lid::Tight),
                ..StageRequest::default()
            },
        ]);
    }))
}

/// A hotter oven or a brisker simmer.
fn hotter(plan: &Plan, case: &ResolvedDish, kitchen: &Kitchen) -> Option<RemedyTried> {
    let hotter = case.first().medium.way().hotter(kitchen.units)?;
    Some(changed(plan, hotter.words, hotter.trade, |plan| plan.forecast.heat = Some(hotter.heat.clone())))
}

/// Eaten firmer than was meant.
fn firmer(plan: &Plan, case: &ResolvedDish) -> Option<RemedyTried> {
    let (eaten_as, text, trade) = match case.main().eaten_as {
        EatenAs::Spoon | EatenAs::Pull => (EatenAs::Fork, say::serve_in_chunks(), say::serve_in_chunks_trade()),
        EatenAs::Fork | EatenAs::Probe => (EatenAs::Slice, say::serve_in_slices(), say::serve_in_slices_trade()),
        EatenAs::Slice => return None,
    };
    Some(changed(plan, text, trade, |plan| plan.forecast.eaten_as = Some(eaten_as)))
}

#[cfg(test)]
mod tests {
    use super::*;

    fn at(text: &str) -> Timestamp {
        text.parse().unwrap()
    }

    #[test]
    fn a_later_hour_is_the_first_quarter_at_which_all_is_kept() {
        let plates = at("2027-02-06T17:03:00Z");
        let first = at("2027-02-06T17:15:00Z");
        assert_eq!(first_quarter(plates), first);
        let met = |well: &str, in_time: &str| {
            let (well, in_time) = (at(well), at(in_time));
            later_serving(plates, |serve_at| {
                Ok(match () {
                    () if serve_at >= well => Met::Well,
                    () if serve_at >= in_time => Met::Amiss,
                    () => Met::Late,
                })
            })
            .unwrap()
        };
        assert_eq!(met("2027-02-06T18:00:00Z", "2027-02-06T17:30:00Z"), at("2027-02-06T18:00:00Z"));
        // Within sixteen hours nothing keeps all: the first that is in time.
        assert_eq!(met("2027-02-08T18:00:00Z", "2027-02-06T17:30:00Z"), at("2027-02-06T17:30:00Z"));
        assert_eq!(met("2027-02-08T18:00:00Z", "2027-02-08T17:30:00Z"), first);
        assert!(later_serving(plates, |_| Err(ergastic_physics::Cancelled.into())).is_err());
    }
}
