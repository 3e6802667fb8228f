//! What could be done now, and where that leads: each change really forecast from what has been found, with what it costs.

use ergastic_words::{Dial, Grams, Instant, Join, Message, RoughMinutes, Temperature, Volume, cook as say};
use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use uuid::Uuid;

use super::actions::{POT_HOLDS_C, running};
use super::event::{Event, Happened};
use super::probes::Trace;
use super::reckoning::{AtWork, lift_at};
use super::standing::Standing;
use super::status::Status;
use super::view::{Band, tender_at};
use crate::clock::{minutes_between, plus_minutes};
use crate::cuts::{FEW_PIECES, STEWING_PIECE_M};
use crate::error::{Result, unless_refused};
use crate::forecast::{ForecastRequest, Heat, ResolvedDish};
use crate::heat::pot::{Lid, Simmer};
use crate::kitchen::{Kitchen, ThingKind};
use crate::plan::Plan;
use crate::sheet::{Ready, Settled, first_quarter};
use crate::ways::{HeatChange, HeatSource, Method, Set, Settings, WayId};

/// Cooks simulated for each: enough to compare by.
const MEMBERS: u32 = 240;
/// What a finished pot moved to an oven is set to, °C.
const OVEN_FOR_A_POT_C: f64 = 150.0;
/// A difference below this is none: meat, g; liquid, L; time, min.
const NO_MEAT_G: f64 = 25.0;
const NO_LIQUID_L: f64 = 0.07;
const NO_TIME_MIN: f64 = 4.0;

/// A change that could be made now, and where it leads.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct CouldDo {
    /// A stable name.
    pub id: String,
    /// What is done.
    pub words: String,
    /// What it wins and costs, in a sentence.
    pub cost: String,
    /// What happens by it, to be appended to the cook; none for leaving it as it is.
    pub happened: Option<Happened>,
    /// When it is tender then, and too far.
    pub band: Band,
    /// When it would be lifted.
    pub lift_at: Timestamp,
    /// Plates on the table.
    pub served_at: Timestamp,
    /// Minutes after the bell.
    pub late_min: f64,
    /// Cooked and edible, kg.
    pub yield_kg: f64,
    /// Liquid in the pot then, L.
    pub liquid_l: f64,
}

impl CouldDo {
    fn of(id: &str, words: String, cost: String, happened: Option<Happened>, to: WhereItLeads) -> Self {
        Self {
            id: id.to_owned(),
            words,
            cost,
            happened,
            band: to.band,
            lift_at: to.lift_at,
            served_at: to.served_at,
            late_min: to.late_min,
            yield_kg: to.yield_kg,
            liquid_l: to.liquid_l,
        }
    }
}

/// What could be done now.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct WhatIf {
    /// As it goes on by itself.
    pub as_it_is: CouldDo,
    /// What could be changed.
    pub choices: Vec<CouldDo>,
}

/// Something that could be done, before it is known where it leads.
struct ChangeTried {
    id: &'static str,
    words: Message,
    /// What it costs beside what is computed.
    trade: Message,
    happened: Happened,
}

fn candidate(id: &'static str, words: Message, trade: Message, happened: Happened) -> ChangeTried {
    ChangeTried { id, words, trade, happened }
}

fn heat(heat: Heat) -> Happened {
    Happened::Changed { method: None, heat: Some(Box::new(heat)), lid: None, halved: false }
}

fn way(method: Method, heat: Heat, lid: Option<Lid>) -> Happened {
    Happened::Changed { method: Some(method), heat: Some(Box::new(heat)), lid, halved: false }
}

fn up_and_down(set: &Set) -> Vec<ChangeTried> {
    let turned = |up: bool| {
        let (words, change) = set.way().turned(up)?;
        let (id, trade) = if up { ("hotter", say::hotter_trade()) } else { ("cooler", say::cooler_trade()) };
        Some(candidate(id, words, trade, heat(change)))
    };
    [true, false].into_iter().filter_map(turned).collect()
}

/// What only this way has to offer.
fn its_own(set: &Set) -> Vec<ChangeTried> {
    let could =
        |(id, HeatChange { words, trade, heat: change }): (_, HeatChange)| candidate(id, words, trade, heat(change));
    set.way().could().into_iter().map(could).collect()
}

/// Cut in two, to another heat, held.
fn moves(case: &ResolvedDish, medium: &Set, kitchen: &Kitchen) -> Vec<ChangeTried> {
    let mut found = Vec::new();
    let facts = medium.facts();
    let (shut, in_oven) = (facts.locked, facts.source == Some(HeatSource::Oven));
    let wet = facts.is_pot && !shut && medium.id() != WayId::KeepWarm;
    let main = case.main();
    if !shut && main.pieces <= FEW_PIECES && main.sides_m[0] > STEWING_PIECE_M {
        let happened = Happened::Changed { method: None, heat: None, lid: None, halved: true };
        found.push(candidate("halve", say::halve_now(), say::halve_now_trade(), happened));
    }
    if wet && kitchen.has(ThingKind::PressurePot) {
        let change = Heat { level: Some(Settings::High), ..Heat::default() };
        let happened = way(Method::Pressure, change, Some(Lid::Tight));
        found.push(candidate("pressure", say::press_now(), say::press_now_trade(), happened));
    }
    if wet && !in_oven && kitchen.has(ThingKind::Oven) {
        // It simmers already.
        let change = Heat { start: Some(crate::ways::Start::Oven), ..Heat::oven(OVEN_FOR_A_POT_C) };
        let happened = way(Method::Braise, change, Some(Lid::Tight));
        found.push(candidate("oven", say::to_the_oven(Dial(OVEN_FOR_A_POT_C)), say::to_the_oven_trade(), happened));
    }
    if in_oven && kitchen.has(ThingKind::Burner) {
        let happened = way(Method::Braise, Heat::hob(Simmer::Gentle), Some(Lid::Loose));
        found.push(candidate("hob", say::to_the_hob(), say::to_the_hob_trade(), happened));
    }
    let in_place = medium.way().held().map(|(at_c, change)| (at_c, heat(change)));
    let kept_warm = || {
        let change = Heat { at_c: Some(POT_HOLDS_C), ..Heat::default() };
        wet.then(|| (POT_HOLDS_C, way(Method::KeepWarm, change, None)))
    };
    let hold = in_place.or_else(kept_warm);
    found.extend(
        hold.map(|(at_c, happened)| {
            candidate("hold", say::hold_now(Temperature(at_c)), say::hold_now_trade(), happened)
        }),
    );
    found
}

/// Where one way of going on leads.
struct WhereItLeads {
    band: Band,
    lift_at: Timestamp,
    served_at: Timestamp,
    late_min: f64,
    yield_kg: f64,
    liquid_l: f64,
}

/// A plan as it went so far, reckoned with as many cooks as it has.
fn reckoned(facts: &AtWork) -> Result<Settled> {
    let before = facts.as_planned(&[])?;
    Ok(facts.so_far(&before, &[])?.worked.unwrap_or(before))
}

/// Where it leads from how it went so far.
fn outcome(facts: &AtWork, worked: &Settled) -> WhereItLeads {
    let AtWork { plan, standing, now, .. } = *facts;
    let from = standing.on_the_heat().unwrap_or(now);
    let finishing = worked.durations.finishing_min();
    let tender = standing.on_the_heat().and_then(|_| tender_at(standing, worked.case.main().eaten_as));
    let wanted = plus_minutes(plan.serve_at, -finishing);
    let lift_at = lift_at(standing, worked, tender, from, wanted, now);
    let served_at = plus_minutes(lift_at, finishing);
    let (ready, overcooked) = worked.bands(&plan.name, from, lift_at);
    WhereItLeads {
        band: Band { ready, overcooked },
        lift_at,
        served_at,
        late_min: minutes_between(plan.serve_at, served_at).max(0.0).ceil(),
        yield_kg: worked.durations.yield_kg,
        liquid_l: (worked.durations.liquid_left_l - worked.durations.topped_up_l).max(0.0),
    }
}

impl WhereItLeads {
    /// What a change does to a few cooks, told by all of them: their band, moved by as much as it moves that of the few.
    fn told_by_all(self, few: &Self, all: &Self, plan: &Plan) -> Self {
        let moved = |to: &Ready, few: &Ready, all: &Ready| {
            let by = |to: Option<Timestamp>, few: Option<Timestamp>, all: Option<Timestamp>| {
                Some(plus_minutes(all?, minutes_between(few?, to?)))
            };
            Ready {
                p10: by(to.p10, few.p10, all.p10),
                p50: by(to.p50, few.p50, all.p50),
                p90: by(to.p90, few.p90, all.p90),
                ..to.clone()
            }
        };
        let ready = moved(&self.band.ready, &few.band.ready, &all.band.ready);
        let overcooked = moved(&self.band.overcooked, &few.band.overcooked, &all.band.overcooked);
        let by_min = minutes_between(few.lift_at, self.lift_at);
        let lift_at = plus_minutes(all.lift_at, by_min);
        let served_at = plus_minutes(lift_at, minutes_between(self.lift_at, self.served_at));
        Self {
            band: Band { ready, overcooked },
            lift_at,
            served_at,
            late_min: minutes_between(plan.serve_at, served_at).max(0.0).ceil(),
            yield_kg: all.yield_kg + self.yield_kg - few.yield_kg,
            liquid_l: (all.liquid_l + self.liquid_l - few.liquid_l).max(0.0),
        }
    }

    /// How it differs from another, in words: time, meat, liquid.
    fn against(&self, other: &Self) -> Vec<Message> {
        let mut parts = Vec::new();
        match (self.band.ready.p50, other.band.ready.p50) {
            (Some(is), Some(was)) => match minutes_between(was, is) {
                min if min.abs() < NO_TIME_MIN => parts.push(say::no_sooner()),
                min if min < 0.0 => parts.push(say::tender_sooner(RoughMinutes(-min))),
                min => parts.push(say::tender_later(RoughMinutes(min))),
            },
            (None, Some(_)) => parts.push(say::never_on_this()),
            _ => {}
        }
        let meat_g = 1000.0 * (self.yield_kg - other.yield_kg);
        if meat_g.abs() >= NO_MEAT_G {
            parts.push(if meat_g < 0.0 { say::drier(Grams(-meat_g)) } else { say::juicier(Grams(meat_g)) });
        }
        let liquid_l = self.liquid_l - other.liquid_l;
        if liquid_l.abs() >= NO_LIQUID_L {
            parts.push(if liquid_l < 0.0 {
                say::less_liquid(Volume(-liquid_l))
            } else {
                say::more_liquid(Volume(liquid_l))
            });
        }
        parts
    }
}

/// What could be done now, each with where it leads. Nothing before the meat is over the heat, once it is lifted, or where it was
/// left open.
///
/// # Errors
/// As [`super::view`].
pub fn what_if(
    plan: &Plan,
    kitchen: &Kitchen,
    opened_at: Timestamp,
    events: &[Event],
    traces: &[Trace],
    now: Timestamp,
) -> Result<WhatIf> {
    let standing = Standing::of(events);
    let mut plan = Plan { serve_at: standing.serve_at().unwrap_or(plan.serve_at), ..plan.clone() };
    let members = plan.forecast.members.replace(MEMBERS);
    let facts = AtWork::of(&plan, kitchen, opened_at, &standing, traces, now);
    let voice = kitchen.voice();
    // As it goes on is told by all the cooks that the page's own band is told by; what a change does to a few of them is then
    // what it does to all.
    let own = Plan { forecast: ForecastRequest { members, ..plan.forecast.clone() }, ..plan.clone() };
    let all = AtWork { plan: &own, ..facts };
    let worked = reckoned(&all)?;
    let as_is = outcome(&all, &worked);
    let eaten_as = worked.case.main().eaten_as;
    let tender = standing.on_the_heat().and_then(|_| tender_at(&standing, eaten_as));
    let open = !matches!(Status::of(&standing, tender), Status::Closed | Status::Before)
        && standing.done(crate::sheet::TaskId::Lift).is_none()
        && facts.left_open_since(now).is_none();
    let mut choices = Vec::new();
    if let Some(on_the_heat) = standing.on_the_heat().filter(|_| open) {
        let before = facts.as_planned(&[])?;
        let so_far = facts.so_far(&before, &[])?;
        let few = outcome(&facts, so_far.worked.as_ref().unwrap_or(&before));
        let medium = running(&worked, minutes_between(on_the_heat, now)).medium;
        let mut candidates = its_own(&medium);
        candidates.extend(up_and_down(&medium));
        candidates.extend(moves(&worked.case, &medium, kitchen));
        for ChangeTried { id, words, trade, happened } in candidates {
            let mut events = events.to_vec();
            // The last of all: nothing in it has its id.
            events.push(Event { id: Uuid::from_u128(u128::MAX), at: now, happened: happened.clone(), device: None });
            let standing = Standing::of(&events);
            // What this dish can't be changed to is not offered.
            let changed = AtWork { standing: &standing, ..facts };
            let Some(so_far) = unless_refused(changed.so_far(&before, &[]))? else { continue };
            let to = outcome(&changed, so_far.worked.as_ref().unwrap_or(&before)).told_by_all(&few, &as_is, &plan);
            let parts = Message::list(to.against(&as_is), Join::Commas);
            let cost = voice.render(say::wins_and_costs(parts, trade));
            choices.push(CouldDo::of(id, voice.render(words), cost, Some(happened), to));
        }
        choices.extend(servings(&all, &as_is, &worked));
    }
    let as_it_is = CouldDo::of("as_it_is", voice.render(say::as_it_is()), String::new(), None, as_is);
    Ok(WhatIf { as_it_is, choices })
}

/// Plates at another time: half an hour earlier where it may be tender by then, later by half an hour, an hour, and when nine in
/// ten are tender.
fn servings(facts: &AtWork, as_is: &WhereItLeads, worked: &Settled) -> Vec<CouldDo> {
    let (plan, now, finishing) = (facts.plan, facts.now, worked.durations.finishing_min());
    let sure = as_is.band.ready.p90.map(|p90| first_quarter(plus_minutes(p90, finishing)));
    let by = |min: f64| Some(plus_minutes(plan.serve_at, min));
    let voice = facts.kitchen.voice();
    let wanted = [("bell_earlier", by(-30.0)), ("bell_later", by(30.0)), ("bell_hour", by(60.0)), ("bell_sure", sure)];
    let mut taken = vec![plan.serve_at];
    let mut found = Vec::new();
    for (id, serve_at) in wanted {
        let Some(serve_at) =
            serve_at.filter(|serve_at| *serve_at > plus_minutes(now, finishing) && !taken.contains(serve_at))
        else {
            continue;
        };
        taken.push(serve_at);
        let moved = Plan { serve_at, ..plan.clone() };
        // Another bell changes nothing in the pot.
        let to = outcome(&AtWork { plan: &moved, ..*facts }, worked);
        let zone = worked.zone.clone();
        let chance = ergastic_words::Share(to.band.ready.chance.clamp(0.01, 0.99));
        let words = voice.render(say::served_at(Instant { at: serve_at, zone, read_at: Some(now) }));
        found.push(CouldDo::of(
            id,
            words,
            voice.render(say::served_at_trade(chance)),
            Some(Happened::ServeAtMoved { serve_at }),
            to,
        ));
    }
    found
}
