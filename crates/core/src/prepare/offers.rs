//! What the cook may choose next at the bench: each answer with what choosing it changes in the plan, ready to be put there.

use ergastic_words::{Message, Voice, prepare as say};
use serde::{Deserialize, Serialize};
use serde_json::Value;
use utoipa::ToSchema;

use super::answer::Prepared;
use crate::bench::{Addition, Brine, Later, Level, SearIn, Soak};
use crate::cuts::{CUBE_MM, Cut};
use crate::forecast::{Heat, ResolvedDish, StageRequest, Until};
use crate::heat::pot::{Lid, PotMeasures, Simmer};
use crate::json::patch_of;
use crate::kitchen::Kitchen;
use crate::kitchen::{ThingKind, Used};
use crate::plan::Plan;
use crate::ways::{HeatSource, Method};

/// Meat eaten by a head is served with so much of each thing that goes in later, g. Practice.
const LATER_G_A_HEAD: f64 = 120.0;
/// So long uncovered gives a crust or loses water, min. Practice.
const LAST_MIN: f64 = 30.0;
/// Less salt, % of the trimmed meat. Practice.
const LOW_SALT_PCT: f64 = 0.7;
/// The usual salt, %.
const USUAL_SALT_PCT: f64 = 1.25;

/// An answer that may be chosen.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Offer {
    /// A stable name.
    pub id: String,
    /// In a few words.
    pub words: String,
    /// Whether it holds now.
    pub chosen: bool,
    /// What it changes in the plan: a JSON merge patch.
    #[schema(value_type = HashMap<String, Value>, additional_properties)]
    pub change: Value,
}

/// How thick a piece is, and what may be made of it.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Thickness {
    /// As it is, mm.
    pub mm: f64,
    /// The least that is offered, mm.
    pub least_mm: f64,
    /// The most, mm.
    pub most_mm: f64,
    /// Whether it is the side of a cube.
    pub cube: bool,
}

/// Something that may go in later.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct LaterOffer {
    /// What.
    pub what: Addition,
    /// Its name.
    pub name: String,
    /// For all who eat, g.
    pub g: f64,
    /// Whether it is among what goes in.
    pub chosen: bool,
}

/// Everything that may be chosen here and now; a list that is empty is not asked.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Offers {
    /// Whole, in pieces or in cubes.
    pub cut_up: Vec<Offer>,
    /// How thick; `null` for a mixed pot.
    pub thickness: Option<Thickness>,
    /// Rubbed on, or a brine.
    pub salting: Vec<Offer>,
    /// As usual, or low.
    pub less_salt: Vec<Offer>,
    /// The cure soaked out of corned meat.
    pub soak: Vec<Offer>,
    /// What it is seared in.
    pub sear_in: Vec<Offer>,
    /// How many lie in the pan.
    pub batches: Vec<Offer>,
    /// The kitchen's pans.
    pub pan: Vec<Offer>,
    /// The kitchen's burners, for the pan.
    pub burner: Vec<Offer>,
    /// How far the liquid comes up the meat.
    pub level: Vec<Offer>,
    /// The kitchen's pots.
    pub pot: Vec<Offer>,
    /// A vessel of its own: round, or a tin.
    pub shape: Vec<Offer>,
    /// What a pot stands on or in.
    pub source: Vec<Offer>,
    /// The kitchen's ovens, burners, pits or baths.
    pub heat: Vec<Offer>,
    /// What is done with the last half hour.
    pub ending: Vec<Offer>,
    /// What may go in later.
    pub later: Vec<LaterOffer>,
}

/// A plan to be changed, in the cook's words.
struct PlanChange<'a> {
    plan: &'a Plan,
    before: Value,
    voice: Voice,
}

impl PlanChange<'_> {
    fn offer(&self, id: impl Into<String>, words: Message, chosen: bool, change: impl FnOnce(&mut Plan)) -> Offer {
        let mut after = self.plan.clone();
        change(&mut after);
        Offer { id: id.into(), words: self.voice.render(words), chosen, change: patch_of(&self.before, &after) }
    }
}

/// What may be chosen for a plan that has been worked out.
pub(super) fn offers(plan: &Plan, kitchen: &Kitchen, case: &ResolvedDish, prepared: &Prepared) -> Offers {
    let before = serde_json::to_value(plan).unwrap_or_default();
    let change = PlanChange { plan, before, voice: case.voice };
    let pots = plan.forecast.stages.is_none();
    let method = case.first().method;
    let in_pot = matches!(method, Method::Braise | Method::Stew);
    Offers {
        cut_up: cut_up(&change, prepared),
        thickness: thickness(plan, prepared),
        salting: salting(&change),
        less_salt: less_salt(&change),
        soak: soak(&change, case),
        sear_in: sear_in(&change, method),
        batches: batches(&change, prepared),
        pan: named(&change, kitchen.things(ThingKind::Pan), plan.pan_in(kitchen), |plan, id| {
            plan.uses.pan = Some(id);
            plan.prepare.pan = None;
        }),
        burner: named(&change, kitchen.things(ThingKind::Burner), plan.burner_in(kitchen), |plan, id| {
            plan.uses.burner = Some(id);
            plan.prepare.hob = None;
        }),
        level: level(&change, prepared),
        pot: named(&change, plan.pots_in(kitchen), plan.pot_in(kitchen), |plan, id| {
            plan.uses.pot = Some(id);
            plan.forecast.vessel = plan.forecast.vessel.as_ref().and_then(PotMeasures::only_lid);
        }),
        shape: if in_pot { shape(&change, case) } else { Vec::new() },
        source: if in_pot && pots { source(&change, case) } else { Vec::new() },
        heat: named(&change, plan.heats_in(kitchen), plan.heated_by(kitchen), |plan, id| plan.uses.heat = Some(id)),
        ending: if in_pot { ending(&change, prepared) } else { Vec::new() },
        later: later(plan, case.voice),
    }
}

/// Things of the kitchen to choose from; none where there is nothing to choose.
fn named(
    change: &PlanChange,
    things: Vec<Used>,
    used: Option<Used>,
    set: impl Fn(&mut Plan, String) + Copy,
) -> Vec<Offer> {
    let offer = |thing: Used| {
        let words = if thing.lent { say::offer_lent(thing.name) } else { Message::text(thing.name.to_owned()) };
        let chosen = used.is_some_and(|used| used.id == thing.id);
        change.offer(thing.id, words, chosen, |plan| set(plan, thing.id.to_owned()))
    };
    things.into_iter().map(offer).collect()
}

fn cut_up(change: &PlanChange, prepared: &Prepared) -> Vec<Offer> {
    let forecast = &change.plan.forecast;
    if forecast.parts.is_some() {
        return Vec::new();
    }
    let cubes = in_cubes(change.plan);
    let pieces = prepared.trimmed.pieces;
    let in_pieces = !cubes && forecast.pieces.is_some();
    vec![
        change.offer("whole", say::offer_whole(), !cubes && !in_pieces, |plan| {
            (plan.forecast.thickness_mm, plan.forecast.size_mm, plan.forecast.pieces) = (None, None, None);
        }),
        change.offer("pieces", say::offer_pieces(), in_pieces, |plan| {
            (plan.forecast.thickness_mm, plan.forecast.size_mm) = (None, None);
            plan.forecast.pieces = Some(if cubes { 2 } else { (2 * pieces).min(500) });
        }),
        change.offer("cubes", say::offer_cubes(), cubes, |plan| {
            (plan.forecast.thickness_mm, plan.forecast.pieces) = (None, None);
            plan.forecast.size_mm = Some([CUBE_MM; 3]);
        }),
    ]
}

fn in_cubes(plan: &Plan) -> bool {
    plan.forecast.size_mm.is_some_and(|[a, b, c]| a == b && b == c)
}

fn thickness(plan: &Plan, prepared: &Prepared) -> Option<Thickness> {
    let cube = in_cubes(plan);
    plan.forecast.parts.is_none().then(|| Thickness {
        mm: prepared.trimmed.size_mm[0].round(),
        least_mm: 20.0,
        most_mm: if cube { 70.0 } else { 140.0 },
        cube,
    })
}

fn salting(change: &PlanChange) -> Vec<Offer> {
    let brined = change.plan.prepare.brine.is_some();
    vec![
        change.offer("dry", say::offer_rubbed(), !brined, |plan| plan.prepare.brine = None),
        change.offer("brine", say::offer_brine(), brined, |plan| {
            plan.prepare.brine.get_or_insert(Brine { water_l: 2.0, hours: 24.0 });
        }),
    ]
}

fn less_salt(change: &PlanChange) -> Vec<Offer> {
    let low = change.plan.prepare.salt_pct <= LOW_SALT_PCT;
    vec![
        change.offer("usual", say::offer_usual_salt(), !low, |plan| plan.prepare.salt_pct = USUAL_SALT_PCT),
        change.offer("low", say::offer_low_salt(), low, |plan| plan.prepare.salt_pct = LOW_SALT_PCT),
    ]
}

fn soak(change: &PlanChange, case: &ResolvedDish) -> Vec<Offer> {
    if !case.parts.iter().any(|part| part.facts.cut == Cut::CornedBrisket) {
        return Vec::new();
    }
    let soaked = change.plan.prepare.soak.is_some();
    vec![
        change.offer("no", say::offer_no(), !soaked, |plan| plan.prepare.soak = None),
        change.offer("yes", say::offer_soaked(), soaked, |plan| {
            plan.prepare.soak.get_or_insert(Soak { changes: 3, water_l: 3.0, hours_each: 4.0 });
        }),
    ]
}

fn sear_in(change: &PlanChange, method: Method) -> Vec<Offer> {
    let insert = if method == Method::Pressure { "insert" } else { "pot" };
    let all = [
        (SearIn::Pan, "pan", "pan"),
        (SearIn::TwoPans, "two_pans", "two_pans"),
        (SearIn::PotAndLid, "pot_and_lid", "pot_and_lid"),
        (SearIn::Lid, "lid", "lid"),
        (SearIn::Pot, "pot", insert),
    ];
    let offer = |(sear_in, id, words): (SearIn, &str, &'static str)| {
        change.offer(id, say::offer_sear_in(words), change.plan.prepare.sear_in == sear_in, |plan| {
            plan.prepare.sear_in = sear_in;
            plan.prepare.per_batch = None;
        })
    };
    all.map(offer).into()
}

fn batches(change: &PlanChange, prepared: &Prepared) -> Vec<Offer> {
    let sear = &prepared.sear;
    if sear.batches == 0 {
        return Vec::new();
    }
    let pieces = prepared.trimmed.pieces;
    let lay = |id: &str, words: Message, per_batch: Option<u32>| {
        change.offer(id, words, false, |plan| plan.prepare.per_batch = per_batch)
    };
    let fewer = lay("fewer", say::offer_fewer(), Some(sear.per_batch.saturating_sub(sear.pans).max(1)));
    let more = lay("more", say::offer_more(), Some((sear.per_batch + sear.pans).min(pieces)));
    let usual = change.plan.prepare.per_batch.map(|_| lay("usual", say::offer_as_brown(sear.most), None));
    [Some(fewer), Some(more), usual].into_iter().flatten().collect()
}

fn level(change: &PlanChange, prepared: &Prepared) -> Vec<Offer> {
    let Some(pot) = &prepared.pot else { return Vec::new() };
    let stands = pot.level_mm / pot.meat_mm;
    let all = [
        (Level::Own, "own"),
        (Level::Third, "third"),
        (Level::ThreeQuarters, "three_quarters"),
        (Level::Covered, "covered"),
        (Level::Soup, "soup"),
    ];
    let offer = |(level, id): (Level, &'static str)| {
        // A line that was dragged to a level stands at it.
        let chosen = change.plan.prepare.level.map_or((stands - level.share()).abs() < 0.03, |named| named == level);
        change.offer(id, say::offer_level(id), chosen, |plan| {
            plan.prepare.level = Some(level);
            plan.forecast.liquid_l = None;
        })
    };
    all.map(offer).into()
}

fn shape(change: &PlanChange, case: &ResolvedDish) -> Vec<Offer> {
    let vessel = change.plan.forecast.vessel.as_ref();
    let lid = vessel.and_then(|vessel| vessel.lid);
    let own = vessel.is_some_and(|vessel| vessel.only_lid().as_ref() != Some(vessel));
    let tin = own && vessel.is_some_and(|vessel| vessel.width_cm.is_some() || vessel.length_cm.is_some());
    let pot = case.pot();
    let across_cm = (pot.across_m() * 100.0).round();
    vec![
        change.offer("round", say::offer_round(), own && !tin, |plan| {
            plan.forecast.vessel = Some(PotMeasures {
                diameter_cm: Some(across_cm),
                height_cm: Some((pot.height_m * 100.0).round()),
                material: Some(pot.material),
                lid,
                ..PotMeasures::default()
            });
        }),
        change.offer("tin", say::offer_tin(), tin, |plan| {
            plan.forecast.vessel = Some(PotMeasures {
                width_cm: Some(25.0),
                length_cm: Some(35.0),
                height_cm: Some(8.0),
                material: Some(pot.material),
                lid,
                ..PotMeasures::default()
            });
        }),
    ]
}

fn source(change: &PlanChange, case: &ResolvedDish) -> Vec<Offer> {
    let stands = case.first().medium.facts().source.unwrap_or(HeatSource::Oven);
    let all = [
        ("oven", Heat { source: Some(HeatSource::Oven), ..Heat::default() }, HeatSource::Oven),
        ("hob", Heat::hob(Simmer::Gentle), HeatSource::Hob),
        ("coals", Heat { source: Some(HeatSource::Coals), ..Heat::default() }, HeatSource::Coals),
    ];
    let offer = |(id, heat, source): (&'static str, Heat, HeatSource)| {
        change.offer(id, say::offer_source(id), stands == source, |plan| {
            plan.forecast.heat = Some(heat);
            plan.uses.heat = None;
        })
    };
    all.map(offer).into()
}

/// The lid off or ajar at the end, as a second stage; only where the cook is long enough for one.
fn ending(change: &PlanChange, prepared: &Prepared) -> Vec<Offer> {
    let forecast = &change.plan.forecast;
    let Some(half_min) = prepared.forecast.ready_min.p50.filter(|min| *min > 2.0 * LAST_MIN) else { return Vec::new() };
    let ended = |stage: &StageRequest| stage.method.is_none() && stage.heat.is_none();
    let lid = match forecast.stages.as_deref() {
        None => None,
        Some([_, last]) if ended(last) => Some(last.lid.unwrap_or(Lid::Tight)),
        // A chain of ways has an end of its own.
        Some(_) => return Vec::new(),
    };
    let first = forecast.stages.as_ref().and_then(|stages| stages.first());
    let (method, heat) = (
        forecast.method.or(first.and_then(|stage| stage.method)),
        forecast.heat.clone().or_else(|| first.and_then(|stage| stage.heat.clone())),
    );
    let under_lid = (method, heat.clone());
    let same = change.offer("same", say::offer_ending("same"), lid.is_none(), move |plan| {
        (plan.forecast.method, plan.forecast.heat) = under_lid;
        plan.forecast.stages = None;
    });
    let until = Until { min: Some(((half_min - LAST_MIN) / 5.0).round() * 5.0), ..Until::default() };
    let ends = [("none", Lid::None), ("ajar", Lid::Ajar)].map(|(id, with)| {
        let covered =
            StageRequest { method, heat: heat.clone(), until: Some(until.clone()), ..StageRequest::default() };
        change.offer(id, say::offer_ending(id), lid == Some(with), move |plan| {
            (plan.forecast.method, plan.forecast.heat) = (None, None);
            plan.forecast.stages = Some(vec![covered, StageRequest { lid: Some(with), ..StageRequest::default() }]);
        })
    });
    [same].into_iter().chain(ends).collect()
}

fn later(plan: &Plan, voice: Voice) -> Vec<LaterOffer> {
    let offer = |what: Addition| LaterOffer {
        what,
        name: voice.render(what.name()),
        g: LATER_G_A_HEAD * f64::from(plan.people),
        chosen: plan.prepare.later.iter().any(|Later { what: there, .. }| *there == what),
    };
    Addition::ALL.map(offer).into()
}
