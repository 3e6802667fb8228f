//! What to do when something goes wrong, two lines each, from this very pot.

use ergastic_words::{
    Guide, Instant, Message, Minutes, RoughMinutes, Strength, Temperature, Voice, Volume, cook as say,
};
use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use uuid::Uuid;

use super::actions::{Action, POT_HOLDS_C, running};
use super::event::{Event, Happened};
use super::finishing::Finishing;
use super::kinds::ProbeIn;
use super::pot::PotNow;
use super::probes::{ProbeNow, Trace};
use super::reckoning::{AtWork, SoFar};
use super::standing::Standing;
use crate::clock::{minutes_between, plus_minutes};
use crate::error::{Error, Result, unless_refused};
use crate::finish::{MeatOnPlate, SALTY_G_PER_KG};
use crate::forecast::{CurvePoint, Heat};
use crate::heat::pot::Lid;
use crate::kitchen::Kitchen;
use crate::plan::Plan;
use crate::safety::{self, Caution, DANGER_C, WARM_PAST_C};
use crate::sheet::{Settled, TaskId, first_quarter};
use crate::ways::{Method, Set, USUAL_KEEP_WARM_C, WayId};
use ergastic_physics::steam::vapour;
use ergastic_physics::tender::rate;
use ergastic_physics::units::HOUR_S;

/// This much over the floor is the least that is poured into a dry pot, mm.
const MIN_MM: f64 = 15.0;
/// The heat is followed for so long after it went off, min.
const OFF_FOR_MIN: f64 = 360.0;
/// What an hour without heat costs is told.
const AN_HOUR_MIN: f64 = 60.0;
/// A plate that is right again, g/kg: well inside what is right. Practice.
const RIGHT_G_PER_KG: f64 = 10.5;

/// Something that goes wrong, and what to do about it in this pot.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct GoneWrong {
    /// A stable name.
    pub id: String,
    /// What has gone wrong, as a cook says it.
    pub name: String,
    /// It looks as if it had.
    pub likely: bool,
    /// What to do first.
    pub first: String,
    /// What comes of it, and what then.
    pub then: String,
    /// What can hurt someone.
    pub cautions: Vec<Caution>,
    /// What may be logged about it.
    pub actions: Vec<Action>,
}

/// What the middle has been through, and whether it was counted from readings.
#[derive(Debug, Clone, Copy, PartialEq)]
enum Danger {
    /// Raw still, over the heat for so long, min.
    Raw { min: f64 },
    /// Cooked, and between 4 and 60 °C for so long since, min.
    Cooked { min: f64, read: bool },
}

/// A pot and what is known of it, for the troubles to be worked out from.
struct PotAtWork<'a> {
    facts: &'a AtWork<'a>,
    before: &'a Settled,
    worked: &'a Settled,
    events: &'a [Event],
    medium: Set,
    lid: Lid,
    on_the_heat: Timestamp,
    probes: &'a [ProbeNow],
    voice: Voice,
}

impl PotAtWork<'_> {
    fn instant(&self, at: Timestamp) -> Instant {
        Instant { at, zone: self.worked.zone.clone(), read_at: Some(self.facts.now) }
    }

    fn min(&self) -> f64 {
        minutes_between(self.on_the_heat, self.facts.now)
    }

    fn now<'c>(&self, curve: &'c [CurvePoint]) -> Option<&'c CurvePoint> {
        let min = self.min();
        curve.iter().rev().find(|point| point.min <= min)
    }

    fn act(&self, id: &str, words: Message, happened: Happened) -> Action {
        Action { id: id.into(), words: self.voice.render(words), happened: Some(happened), leads: None }
    }

    fn told(&self, id: &str, likely: bool, first: Message, then: Message) -> GoneWrong {
        GoneWrong {
            id: id.into(),
            name: self.voice.render(say::wrong(id_key(id))),
            likely,
            first: self.voice.render(first),
            then: self.voice.render(then),
            cautions: Vec::new(),
            actions: Vec::new(),
        }
    }

    /// Steam that leaves in an hour under a lid, kg.
    fn loss_kg_h(&self, lid: Lid) -> f64 {
        let pot = crate::heat::pot::Pot { lid, ..*self.worked.case.pot() }.lump();
        let celsius = self.now(&self.worked.forecast.curve).map_or(self.worked.case.boil_c, |point| point.medium_c);
        let p = &self.worked.case.how.model.p;
        let a_second = match self.medium.simmer() {
            Some(simmer) => pot.hob_loss(p, simmer.held(), celsius, 1.0),
            None => pot.diffusion(p, vapour(), celsius, 1.0, false),
        };
        a_second * HOUR_S
    }

    fn not_tender(&self) -> GoneWrong {
        let plan = self.facts.plan;
        let (ready, _) = self.worked.bands(&plan.name, self.on_the_heat, self.facts.now);
        let likely = minutes_between(self.facts.now, plan.serve_at) < 45.0
            && ready.p50.is_some_and(|half| half > self.facts.now);
        let finishing = self.worked.durations.finishing_min();
        let (Some(half), Some(most)) = (ready.p50, ready.p90) else {
            return self.told("not_tender", true, say::not_tender_never(), say::not_tender_never_then());
        };
        let then_at = first_quarter(plus_minutes(most.max(self.facts.now), finishing));
        let first = say::not_tender_first(self.instant(half), self.instant(most));
        let mut told = self.told("not_tender", likely, first, say::not_tender_then(self.instant(then_at)));
        if then_at > plan.serve_at {
            let happened = Happened::ServeAtMoved { serve_at: then_at };
            told.actions.push(self.act("serve_at", say::served_at(self.instant(then_at)), happened));
        }
        told
    }

    /// Left before it goes too far at a temperature, min, for the softer half of such pieces.
    fn keeps_min(&self, at_c: f64) -> f64 {
        let goal = self.worked.case.main().goal;
        let now = self.worked.update.tenderness.map_or(0.0, |tenderness| tenderness[1]);
        let now = f64::max(now, goal.enough / goal.toughness);
        f64::max(0.0, goal.overcooked / goal.toughness - now) / rate(at_c) * 60.0
    }

    fn early(&self) -> GoneWrong {
        let plan = self.facts.plan;
        let finishing = self.worked.durations.finishing_min();
        let lift_by = plus_minutes(plan.serve_at, -finishing);
        let tender = super::view::tender_at(self.facts.standing, self.worked.case.main().eaten_as);
        let likely = tender.is_some_and(|at| minutes_between(at, lift_by) > 90.0);
        let keeps_min = self.keeps_min(POT_HOLDS_C);
        let keeps = plus_minutes(self.facts.now, keeps_min);
        let first = self.medium.way().done_early(Temperature(POT_HOLDS_C));
        let then = match keeps >= lift_by {
            true => say::early_keeps(self.instant(lift_by), RoughMinutes(keeps_min.min(24.0 * 60.0))),
            false => say::early_cool(RoughMinutes(keeps_min)),
        };
        let mut told = self.told("early", likely, first, then);
        told.cautions.push(safety::hot_hold(self.voice));
        if self.medium.is_pot() && self.medium.id() != WayId::KeepWarm {
            let heat = Some(Box::new(Heat { at_c: Some(POT_HOLDS_C), ..Heat::default() }));
            let held = Happened::Changed { method: Some(Method::KeepWarm), heat, lid: None, halved: false };
            told.actions.push(self.act("hold", say::hold_now(Temperature(POT_HOLDS_C)), held));
        }
        told
    }

    fn dry(&self) -> Option<GoneWrong> {
        if !self.medium.is_pot() {
            return None;
        }
        let floor_m2 = self.worked.case.pot().floor_m2;
        let planned = self.now(&self.before.forecast.curve).map_or(0.0, |point| point.liquid_l);
        let there = self.now(&self.worked.forecast.curve).map_or(0.0, |point| point.liquid_l);
        let loss = self.loss_kg_h(self.lid).max(0.01);
        // Enough over the floor, and what leaves until it is tender; never more than was meant to be there.
        let left_h = self.worked.ready_min(0.9).map_or(1.0, |ready| ((ready - self.min()) / 60.0).clamp(0.5, 4.0));
        let least_l = MIN_MM * floor_m2;
        let wanted_l = (least_l + loss * left_h).min(f64::max(planned, least_l));
        let pour = (wanted_l * 20.0).ceil() / 20.0;
        let look_min = (pour / loss * 60.0 / 2.0 / 15.0).floor().clamp(1.0, 8.0) * 15.0;
        let shut = self.medium.facts().locked;
        let first = if shut { say::dry_pressure(Volume(pour)) } else { say::dry_first(Volume(pour)) };
        let likely = there < 3.0 * floor_m2;
        let mut told = self.told("dry", likely, first, say::dry_then(Volume(loss), Minutes(look_min)));
        let happened = Happened::LiquidAdded { litres: pour, celsius: None, task: None };
        told.actions.push(self.act("pour", say::poured_in(Volume(pour)), happened));
        told.cautions.push(if shut { safety::pressure_lid(self.voice) } else { safety::lid_steam(self.voice) });
        Some(told)
    }

    fn lid_off(&self) -> Option<GoneWrong> {
        if !self.medium.is_pot() || self.medium.facts().locked {
            return None;
        }
        let (open, shut) = (self.loss_kg_h(Lid::None), self.loss_kg_h(Lid::Tight));
        let first = say::lid_off_first(Volume(open), Volume(shut));
        let mut told = self.told("lid_off", self.lid == Lid::None, first, say::lid_off_then(Volume(open / 2.0)));
        let off = Happened::Changed { method: None, heat: None, lid: Some(Lid::None), halved: false };
        let on = Happened::Changed { method: None, heat: None, lid: Some(Lid::Tight), halved: false };
        if self.lid == Lid::None {
            told.actions.push(self.act("lid_on", say::lid_is_on(), on));
        } else {
            told.actions.push(self.act("lid_off", say::lid_is_off(), off));
        }
        Some(told)
    }

    fn scorched(&self) -> Option<GoneWrong> {
        if !self.medium.is_pot() {
            return None;
        }
        let there = self.now(&self.worked.forecast.curve).map_or(0.0, |point| point.liquid_l);
        let fresh = f64::max(self.worked.case.liquid_l, 0.3);
        Some(self.told("scorched", false, say::scorched_first(Volume(there)), say::scorched_then(Volume(fresh))))
    }

    fn over_salted(&self) -> Option<GoneWrong> {
        let pot = PotNow::of(self.worked, self.facts.standing, &Finishing::of(self.facts.standing));
        if !self.medium.is_pot() || pot.liquid_l < 0.05 || pot.meat_kg <= 0.0 {
            return None;
        }
        let meat = MeatOnPlate { salt_g: pot.meat_salt_g, kg: pot.meat_kg };
        let eaten = meat.eats_l(pot.liquid_l, false);
        let plate = meat.with(pot.salt_g / pot.liquid_l, eaten);
        // Unsalted liquid thins the sauce; of that as much is eaten as before.
        let bears_g = RIGHT_G_PER_KG * (meat.kg + eaten) - meat.salt_g;
        let more = if bears_g > 0.0 { (pot.salt_g * eaten / bears_g - pot.liquid_l).max(0.0) } else { f64::INFINITY };
        let likely = plate > SALTY_G_PER_KG;
        let first = match plate {
            plate if plate <= RIGHT_G_PER_KG + 0.5 => say::salty_right(Strength(plate)),
            plate if more.is_finite() && more < 2.0 * pot.liquid_l => {
                say::salty_thin(Strength(plate), Volume(more.max(0.05)))
            }
            plate => say::salty_meat(Strength(plate)),
        };
        let mut told = self.told("over_salted", likely, first, say::salty_then());
        let salty = Happened::Tasted { salt: crate::finish::Seasoned::Salty };
        told.actions.push(self.act("tasted", say::tasted_salty(), salty));
        Some(told)
    }

    /// With the heat off from now on: when middle and pot fall below 60 °C, min, and what an hour of it costs, min.
    fn without_heat(&self) -> Result<(Option<f64>, Option<f64>)> {
        let now = self.facts.now;
        let off_from = |min: f64| {
            let mut events = self.events.to_vec();
            let happened = [(0.0, Happened::HeatOff {}), (min, Happened::HeatOn {})];
            for (i, (after, happened)) in happened.into_iter().enumerate() {
                let id = Uuid::from_u128(u128::MAX - i as u128);
                events.push(Event { id, at: plus_minutes(now, after), happened, device: None });
            }
            events
        };
        let mut plan = self.facts.plan.clone();
        plan.forecast.members = Some(1);
        let median = |events: &[Event], at: Timestamp| {
            let standing = Standing::of(events);
            let facts = AtWork { plan: &plan, standing: &standing, now: at, ..*self.facts };
            let Some(before) = unless_refused(facts.as_planned(&[]))? else { return Ok(None) };
            let so_far = unless_refused(facts.so_far(&before, &[]))?;
            Ok::<_, Error>(so_far.map(|so_far| so_far.worked.unwrap_or(before)))
        };
        let min = self.min();
        let long = off_from(OFF_FOR_MIN);
        let falls = median(&long, plus_minutes(now, OFF_FOR_MIN))?.and_then(|worked| {
            let cold = |point: &&CurvePoint| point.min > min && f64::min(point.core_c, point.medium_c) < DANGER_C[1];
            worked.forecast.curve.iter().find(cold).map(|point| point.min - min)
        });
        let hour = off_from(AN_HOUR_MIN);
        let costs = median(self.events, now)?
            .zip(median(&hour, plus_minutes(now, AN_HOUR_MIN))?)
            .and_then(|(with, without)| Some(without.ready_min(0.5)? - with.ready_min(0.5)?));
        Ok((falls, costs.filter(|costs| *costs > 0.0)))
    }

    /// What its middle has been through: raw meat that warms is judged by how soon it is warm, cooked meat by how long it has been
    /// between 4 and 60 °C since.
    fn danger(&self) -> Danger {
        let read = self.probes.iter().find(|probe| probe.into == ProbeIn::Meat && probe.points.len() > 5);
        let now = self.min();
        let points: Vec<(f64, f64)> = match read {
            Some(probe) => {
                let believed = probe.points.iter().filter(|point| point.believed);
                believed.map(|point| (minutes_between(self.on_the_heat, point.at), point.celsius)).collect()
            }
            None => {
                let curve = self.worked.forecast.curve.iter().filter(|point| point.min <= now);
                curve.map(|point| (point.min, point.core_c)).collect()
            }
        };
        let came_cooked = !self.worked.case.first().medium.facts().cooks;
        let warm = points.iter().position(|(_, celsius)| *celsius >= WARM_PAST_C);
        let Some(cooked) = came_cooked.then_some(0).or(warm) else {
            return Danger::Raw { min: now.max(0.0) };
        };
        let in_it = |celsius: f64| celsius > DANGER_C[0] && celsius < DANGER_C[1];
        let gaps = points[cooked..].windows(2).filter(|pair| in_it(pair[0].1)).map(|pair| pair[1].0 - pair[0].0);
        Danger::Cooked { min: gaps.sum(), read: read.is_some() }
    }

    fn heat_gone(&self) -> Result<Vec<GoneWrong>> {
        let (falls, costs) = self.without_heat()?;
        let danger = self.danger();
        let first = match falls {
            Some(min) => say::no_heat_first(Guide(DANGER_C[1]), RoughMinutes(min)),
            None => say::no_heat_long(),
        };
        let then = match costs {
            Some(costs) => say::no_heat_then(RoughMinutes(costs)),
            None => say::no_heat_then_some(),
        };
        let off = self.facts.standing.heat_off_at().is_some();
        let action = match off {
            true => self.act("heat_on", say::it_is_on_again(), Happened::HeatOn {}),
            false => self.act("heat_off", say::it_is_off(), Happened::HeatOff {}),
        };
        let fire = self.medium.facts().fire;
        let one = |id: &str, first: Message| {
            let mut told = self.told(id, off, first, then.clone());
            told.cautions.push(match danger {
                Danger::Raw { min } => safety::raw_warming(min, self.voice),
                Danger::Cooked { min, read } => safety::in_danger(min, read, self.voice),
            });
            told.actions.push(action.clone());
            told
        };
        let mut all = vec![one("power", first.clone())];
        if fire {
            all.insert(0, one("fire_out", first));
        }
        Ok(all)
    }

    fn kept_warm(&self) -> GoneWrong {
        let keeps_min = self.keeps_min(USUAL_KEEP_WARM_C);
        let first = match keeps_min {
            min if min < 10.0 => say::kept_warm_gone(),
            min if min > 24.0 * 60.0 => say::kept_warm_long(),
            min => say::kept_warm_until(RoughMinutes(min)),
        };
        let likely = self.medium.id() == WayId::KeepWarm;
        let mut told = self.told(
            "kept_warm",
            likely,
            first,
            say::kept_warm_then(Temperature(self.voice.food_code().hot_hold_c())),
        );
        told.cautions.push(safety::hot_hold(self.voice));
        told
    }
}

/// The key of a trouble's name.
fn id_key(id: &str) -> &'static str {
    const KEYS: [&str; 9] =
        ["not_tender", "early", "dry", "lid_off", "scorched", "over_salted", "power", "fire_out", "kept_warm"];
    KEYS.into_iter().find(|key| *key == id).unwrap_or("kept_warm")
}

/// What may go wrong with a cook now, the likely first, each worked out for this pot. Nothing before the meat is over the heat.
///
/// # Errors
/// As [`super::view`].
pub fn gone_wrong(
    plan: &Plan,
    kitchen: &Kitchen,
    opened_at: Timestamp,
    events: &[Event],
    traces: &[Trace],
    now: Timestamp,
) -> Result<Vec<GoneWrong>> {
    let standing = Standing::of(events);
    let Some(on_the_heat) = standing.on_the_heat().filter(|_| standing.closed().is_none()) else {
        return Ok(Vec::new());
    };
    let plan = Plan { serve_at: standing.serve_at().unwrap_or(plan.serve_at), ..plan.clone() };
    let facts = AtWork::of(&plan, kitchen, opened_at, &standing, traces, now);
    let before = facts.as_planned(&[])?;
    let SoFar { worked, probes, .. } = facts.so_far(&before, &[])?;
    let worked = worked.as_ref().unwrap_or(&before);
    let stage = running(worked, minutes_between(on_the_heat, facts.now));
    let pot = PotAtWork {
        facts: &facts,
        before: &before,
        worked,
        events,
        medium: stage.medium,
        lid: stage.pot.lid,
        on_the_heat,
        probes: &probes,
        voice: kitchen.voice(),
    };
    let lifted = standing.done(TaskId::Lift).is_some();
    let mut all = Vec::new();
    if !lifted {
        all.extend([pot.not_tender(), pot.early()]);
        all.extend(pot.dry());
        all.extend(pot.heat_gone()?);
        all.extend(pot.lid_off());
    }
    all.extend(pot.scorched());
    all.extend(pot.over_salted());
    if !lifted {
        all.push(pot.kept_warm());
    }
    all.sort_by_key(|trouble| !trouble.likely);
    Ok(all)
}
