//! The pot: litres for a level, marks to read on a dipstick, what leaves as steam and when to top up.

use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use crate::bench::{Ingredient, Larder, Prepare};
use crate::forecast::{CurvePoint, Forecast, ResolvedDish};
use crate::heat::pot::{Lid, Pot};
use crate::ways::LOOK_EVERY_MIN;
use ergastic_physics::body::DENSITY;
use ergastic_physics::liquid::Packing;
use ergastic_physics::pressure::{FULLEST, MIN_LITRES};

/// Below this depth the bottom is about to catch, m. Working value.
const CATCH_M: f64 = 0.005;
/// Room left under the rim for what bubbles, m. Practice.
const RIM_M: f64 = 0.025;
/// A cook tops up when this share of the first liquid is left …
const TOP_UP_AT: f64 = 0.7;
/// … by half-cups, L. Practice.
const HALF_CUP_L: f64 = 0.12;

/// Depths of liquid above the vessel's floor with the meat in it, mm.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Marks {
    /// As poured.
    pub now: f64,
    /// Reduced by half.
    pub half: f64,
    /// Stop reducing: below this it grows too salty.
    pub stop: f64,
    /// About to catch.
    pub catch: f64,
}

/// Liquid to pour in on the way.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct TopUp {
    /// Minutes from the meat meeting the heat.
    pub at_min: f64,
    /// Hot liquid, L.
    pub l: f64,
}

/// So much liquid stands so deep.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Depth {
    /// Depth, mm.
    pub mm: f64,
    /// Liquid, L.
    pub l: f64,
}

/// Something poured.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Poured {
    /// What.
    pub what: Larder,
    /// How much, L.
    pub l: f64,
    /// What of it stands in the pot, L: the wine that deglazes is boiled down by half first.
    pub stays_l: f64,
    /// Gelatin in it, %.
    pub gelatin_pct: f64,
}

/// The liquid in this vessel.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct PotAnswer {
    /// What is poured in, L.
    pub liquid_l: f64,
    /// What makes it up.
    pub poured: Vec<Poured>,
    /// Its depth with the meat in it, mm.
    pub level_mm: f64,
    /// The meat's height, mm.
    pub meat_mm: f64,
    /// Its volume, L.
    pub meat_l: f64,
    /// Marks on a dipstick.
    pub marks_mm: Marks,
    /// What the pot weighs less than when the lid went on, at each mark, kg; juice stays inside.
    pub marks_kg_less: Marks,
    /// What leaves as steam over the hours, L.
    pub loss_l: f64,
    /// When to top up, and how much.
    pub top_ups: Vec<TopUp>,
    /// Left at the end without topping up, L.
    pub left_l: f64,
    /// Hours reckoned with.
    pub hours: f64,
    /// The fat that stands on it at the end, mm.
    pub fat_mm: f64,
    /// Whether meat and liquid have room, with some left for what bubbles.
    pub fits: bool,
    /// How full it is, share.
    pub full: f64,
    /// How it is covered.
    pub lid: Lid,
    /// The vessel's height, mm.
    pub height_mm: f64,
    /// The vessel's floor across, mm.
    pub across_mm: f64,
    /// What it holds, L.
    pub holds_l: f64,
    /// Liquid at depths from the floor to the rim, with the meat in it; straight in between.
    pub depths: Vec<Depth>,
    /// The least and the most liquid under pressure, mm.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(min_items = 2, max_items = 2)]
    pub pressure_mm: Option<[f64; 2]>,
}

/// The value of a curve at some minutes, going on at its last pace beyond its end.
pub(super) fn along(curve: &[CurvePoint], min: f64, of: impl Fn(&CurvePoint) -> f64) -> f64 {
    let Some(last) = curve.last() else { return 0.0 };
    if min >= last.min {
        let hour_ago = curve.iter().rev().find(|point| point.min <= last.min - 60.0).or(curve.first()).unwrap_or(last);
        let span = f64::max(1.0, last.min - hour_ago.min);
        return of(last) + (of(last) - of(hour_ago)) / span * (min - last.min);
    }
    let after = curve.partition_point(|point| point.min < min).clamp(1, curve.len() - 1);
    let (a, b) = (&curve[after - 1], &curve[after]);
    let share = (min - a.min) / f64::max(1e-9, b.min - a.min);
    of(a) + (of(b) - of(a)) * share
}

/// What deglazes, in the order it is reached for.
const DEGLAZES: [Larder; 7] = [
    Larder::RedWine,
    Larder::WhiteWine,
    Larder::FortifiedWine,
    Larder::RiceWine,
    Larder::Cider,
    Larder::DarkBeer,
    Larder::PaleBeer,
];

/// The ingredient that deglazes the pan, if one does.
pub(super) fn deglazes(bench: &Prepare) -> Option<Ingredient> {
    let things = bench.things();
    DEGLAZES.iter().find_map(|what| things.iter().copied().find(|thing| thing.what == *what))
}

/// The ingredients that are poured.
fn liquids(bench: &Prepare) -> Vec<Poured> {
    let mut deglazed = deglazes(bench);
    let all = bench.things();
    let poured = all.iter().filter(|thing| thing.what.facts().liquid).map(|thing| {
        let l = thing.millilitres() / 1000.0;
        // One thing deglazes; more of the same wine, from a marinade, goes in as it is.
        let boiled_down = deglazed.take_if(|first| first.what == thing.what).is_some();
        let stays_l = if boiled_down { bench.stays() * l } else { l };
        Poured { what: thing.what, l, stays_l, gelatin_pct: thing.gelatin_pct() }
    });
    poured.collect()
}

/// What the base makes up beside the ingredients, L.
pub(super) fn base_l(bench: &Prepare, liquid_l: f64) -> f64 {
    let given: f64 = liquids(bench).iter().map(|thing| thing.stays_l).sum();
    f64::max(0.0, liquid_l - given)
}

/// What is poured: the base, and the ingredients that are liquid.
pub(super) fn poured(bench: &Prepare, liquid_l: f64) -> Vec<Poured> {
    let l = base_l(bench, liquid_l);
    let base = Poured { what: bench.base, l, stays_l: l, gelatin_pct: bench.base.facts().gelatin_pct };
    together(std::iter::once(base).filter(|base| base.l > 0.005).chain(liquids(bench)))
}

/// The same wine as base and as ingredient is one wine.
fn together(poured: impl Iterator<Item = Poured>) -> Vec<Poured> {
    let mut all: Vec<Poured> = Vec::new();
    for thing in poured {
        match all.iter_mut().find(|there| there.what == thing.what) {
            Some(there) => {
                let all_l = f64::max(1e-9, there.l + thing.l);
                there.gelatin_pct = (there.l * there.gelatin_pct + thing.l * thing.gelatin_pct) / all_l;
                there.l += thing.l;
                there.stays_l += thing.stays_l;
            }
            None => all.push(thing),
        }
    }
    all
}

/// Half-cups to pour in at the looks, so that the liquid never falls far below what was poured.
fn top_ups(curve: &[CurvePoint], first_l: f64, end_min: f64) -> Vec<TopUp> {
    let mut found: Vec<TopUp> = Vec::new();
    let (mut added, mut at_min) = (0.0, LOOK_EVERY_MIN);
    // What is poured in shortly before the end only has to be reduced away again.
    while at_min < 0.85 * end_min && found.len() < 24 {
        let left = along(curve, at_min, |point| point.liquid_l) + added;
        if left < TOP_UP_AT * first_l {
            let litres = ((first_l - left) / HALF_CUP_L).round().max(1.0) * HALF_CUP_L;
            found.push(TopUp { at_min, l: litres });
            added += litres;
        }
        at_min += LOOK_EVERY_MIN;
    }
    found
}

/// What is poured in at the looks over so many minutes: nothing under a lid that stays shut.
pub(crate) fn poured_on_the_way(case: &ResolvedDish, curve: &[CurvePoint], end_min: f64) -> Vec<TopUp> {
    let shut = case.stages.iter().any(|stage| stage.medium.facts().locked);
    if shut || !case.first().medium.is_pot() || case.liquid_l <= 0.0 {
        return Vec::new();
    }
    top_ups(curve, case.liquid_l, end_min)
}

/// Liquid from the floor to the rim: it bends where the meat ends.
fn depths(packing: &Packing, rim_m: f64) -> Vec<Depth> {
    let at = |depth_m: f64| Depth { mm: depth_m * 1000.0, l: packing.litres_for(depth_m / packing.height_m) };
    let bend = Some(packing.height_m).filter(|height_m| *height_m < rim_m);
    [Some(0.0), bend, Some(rim_m)].into_iter().flatten().map(at).collect()
}

/// Works the pot out; `None` where the way needs none.
pub(super) fn pot(
    case: &ResolvedDish,
    bench: &Prepare,
    forecast: &Forecast,
    stop_at_l: f64,
    hours: f64,
    true_height_m: f64,
) -> Option<PotAnswer> {
    let wet = case.stages.iter().find(|stage| stage.medium.is_pot())?;
    let pot = Pot { height_m: true_height_m, ..wet.pot };
    let pressure = case.stages.iter().any(|stage| stage.medium.facts().locked);
    let packing = &case.packing;
    let mm = |litres: f64| packing.level_m(litres) * 1000.0;
    let liquid_l = case.liquid_l;
    let end_min = hours * 60.0;
    let left_l = f64::max(0.0, along(&forecast.curve, end_min, |point| point.liquid_l));
    let now = mm(liquid_l);
    let catch = f64::min(CATCH_M * 1000.0, f64::max(now, mm(left_l)));
    let stop = mm(stop_at_l).clamp(catch, f64::max(now, catch));
    let half = mm(liquid_l / 2.0);
    let litres_at = |depth_mm: f64| {
        let share = depth_mm / 1000.0 / packing.height_m;
        packing.litres_for(share)
    };
    let less = |depth_mm: f64| f64::max(0.0, liquid_l - litres_at(depth_mm));
    let top_m = f64::max(packing.height_m, now / 1000.0);
    let full = (liquid_l / 1000.0 + packing.meat_m3) / pot.volume_m3();
    let (room, pressure_mm) = if pressure {
        let most_mm = FULLEST * pot.height_m * 1000.0;
        (full <= FULLEST && packing.height_m <= pot.height_m, Some([mm(MIN_LITRES), most_mm]))
    } else {
        (now / 1000.0 <= pot.height_m - RIM_M && top_m <= pot.height_m, None)
    };
    Some(PotAnswer {
        liquid_l,
        poured: poured(bench, liquid_l),
        level_mm: now,
        meat_mm: packing.height_m * 1000.0,
        meat_l: case.mass_kg / DENSITY * 1000.0,
        marks_mm: Marks { now, half, stop, catch },
        marks_kg_less: Marks { now: 0.0, half: less(half), stop: less(stop), catch: less(catch) },
        loss_l: f64::max(0.0, along(&forecast.curve, end_min, |point| point.steam_kg)),
        top_ups: if pressure { Vec::new() } else { top_ups(&forecast.curve, liquid_l, end_min) },
        left_l,
        hours,
        fat_mm: forecast.fat_l.unwrap_or(0.0) / pot.floor_m2,
        fits: room,
        full,
        lid: pot.lid,
        height_mm: pot.height_m * 1000.0,
        across_mm: pot.across_m() * 1000.0,
        holds_l: pot.volume_m3() * 1000.0,
        depths: depths(packing, pot.height_m),
        pressure_mm,
    })
}
