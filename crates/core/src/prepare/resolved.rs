//! A plan with everything filled in: what the page shows where the plan says nothing.

use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::answer::Prepared;
use crate::bench::{Prepare, SearFat};
use crate::cuts::EatenAs;
use crate::forecast::{Heat, ResolvedDish};
use crate::heat::pot::{Lid, Material};
use crate::kitchen::{BurnerMeasures, Kitchen, PanMeasures};
use crate::plan::Plan;
use crate::ways::Method;

/// The vessel as it is reckoned with.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct ResolvedVessel {
    /// Across a round floor, cm; `null` for a tin.
    pub diameter_cm: Option<f64>,
    /// A tin's width, cm.
    pub width_cm: Option<f64>,
    /// Its length, cm.
    pub length_cm: Option<f64>,
    /// High inside, cm.
    pub height_cm: f64,
    /// What it is made of.
    pub material: Material,
    /// How it is covered.
    pub lid: Lid,
}

/// A plan with everything filled in.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Resolved {
    /// How many eat.
    pub people: u32,
    /// The way; of a chain, its first.
    pub method: Method,
    /// Whether it is a chain of ways.
    pub chain: bool,
    /// The heat; of a chain, its first.
    pub heat: Heat,
    /// How it is eaten.
    pub eaten_as: EatenAs,
    /// Raw, all together, kg.
    pub mass_kg: f64,
    /// The bench, with nothing left out that has a usual value.
    pub bench: Prepare,
    /// The vessel.
    pub vessel: ResolvedVessel,
    /// The frying pan.
    pub pan: PanMeasures,
    /// The burner under it.
    pub burner: BurnerMeasures,
    /// What it is browned in.
    pub fat: SearFat,
}

pub(super) fn resolved(plan: &Plan, kitchen: &Kitchen, case: &ResolvedDish, prepared: &Prepared) -> Resolved {
    let bench = plan.bench_in(kitchen);
    let request = plan.request(kitchen);
    let first = request.stages.as_ref().and_then(|stages| stages.first());
    let heat = request.heat.clone().or_else(|| first.and_then(|stage| stage.heat.clone())).unwrap_or_default();
    let pot = case.pot();
    let measured = request.vessel.unwrap_or_default();
    let round = measured.width_cm.is_none() && measured.length_cm.is_none();
    let (pan, hob) = (bench.pan.unwrap_or_default(), bench.hob.unwrap_or_default());
    Resolved {
        people: plan.people,
        method: case.first().method,
        chain: request.stages.is_some(),
        heat: case.first().medium.way().asked(heat),
        eaten_as: case.main().eaten_as,
        mass_kg: case.mass_kg,
        vessel: ResolvedVessel {
            diameter_cm: round.then_some(pot.across_m() * 100.0),
            width_cm: measured.width_cm,
            length_cm: measured.length_cm,
            height_cm: measured.height_cm.unwrap_or(pot.height_m * 100.0),
            material: pot.material,
            lid: case.first().pot.lid,
        },
        pan: PanMeasures {
            diameter_cm: pan.diameter_cm.unwrap_or(kitchen.pan().diameter_cm),
            material: pan.material.unwrap_or(kitchen.pan().material),
        },
        burner: BurnerMeasures {
            watts: hob.watts.unwrap_or(kitchen.burner().watts),
            kind: hob.kind.unwrap_or(kitchen.burner().kind),
        },
        fat: prepared.sear.fat,
        bench,
    }
}
