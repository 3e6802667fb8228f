//! What stands in the pot at the end, and what a taste of it tells.

use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::finishing::Finishing;
use super::standing::Standing;
use crate::finish::{MIN_SAUCE_L, SaltBelief, SauceRequest, Skim, Taste};
use crate::heat::pot::PotMeasures;
use crate::kitchen::Kitchen;
use crate::plan::Plan;
use crate::prepare::Burner;
use crate::sheet::Settled;

/// What stands in the pot at the end, for the finishing.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct PotNow {
    /// Liquid without its fat, with what was added, L.
    pub liquid_l: f64,
    /// Fat, L.
    pub fat_l: f64,
    /// Salt in the liquid, g, corrected by what was tasted.
    pub salt_g: f64,
    /// Its doubt, g.
    pub salt_doubt_g: f64,
    /// Gelatin in the liquid, g.
    pub gelatin_g: f64,
    /// The cooked meat, kg.
    pub meat_kg: f64,
    /// Salt in it, g.
    pub meat_salt_g: f64,
    /// Flour that came in on it, g.
    pub dredged_flour_g: f64,
    /// Share of the liquid that is thickened tonight.
    pub tonight: f64,
}

impl PotNow {
    pub(super) fn of(worked: &Settled, standing: &Standing, finishing: &Finishing) -> Self {
        let durations = &worked.durations;
        let salt = salt_tasted(worked, standing);
        Self {
            // What was really poured in is in the forecast already; what was measured once the meat was out is so.
            liquid_l: finishing.liquid_l().unwrap_or(f64::max(0.0, durations.liquid_left_l - durations.topped_up_l)),
            // A measured cap corrects what was reckoned.
            fat_l: finishing.fat_mm().map_or(durations.fat_l, |mm| mm * worked.case.pot().floor_m2),
            salt_g: salt.grams,
            salt_doubt_g: salt.doubt_g,
            gelatin_g: durations.gelatin_g,
            // The scales know better.
            meat_kg: standing.meat_weighed_kg().unwrap_or(durations.yield_kg),
            meat_salt_g: durations.meat_salt_g,
            dredged_flour_g: durations.dredged_flour_g,
            tonight: durations.tonight,
        }
    }
}

/// Salt in the liquid at the end, after every taste: what the stock or the rub brought more or less than thought stays in the pot.
fn salt_tasted(worked: &Settled, standing: &Standing) -> SaltBelief {
    let durations = &worked.durations;
    let belief = |grams: f64| SaltBelief { grams, doubt_g: durations.salt_doubt * grams };
    let mut more_g = 0.0;
    let mut share = 1.0;
    for (min, found) in standing.tastes() {
        let Some(point) = worked.forecast.curve.iter().rev().find(|point| point.min <= min) else { continue };
        if point.liquid_l < MIN_SAUCE_L {
            continue;
        }
        let before = belief(point.salt_g);
        let known = SaltBelief { grams: f64::max(0.0, before.grams + more_g), doubt_g: before.doubt_g * share };
        let after = known.tasted(found, point.liquid_l);
        more_g += after.grams - known.grams;
        share *= after.doubt_g / f64::max(1e-9, known.doubt_g);
    }
    let at_end = belief(durations.liquid_salt_g);
    SaltBelief { grams: f64::max(0.0, at_end.grams + more_g), doubt_g: at_end.doubt_g * share }
}

impl PotNow {
    /// What the sauce is worked out from: this pot over its burner, and what the plan wants of it.
    pub(super) fn sauce(
        &self,
        plan: &Plan,
        kitchen: &Kitchen,
        worked: &Settled,
        finishing: &Finishing,
    ) -> SauceRequest {
        let burner = Burner::under_pot(&worked.case, &plan.prepare, kitchen);
        let pot = worked.case.pot();
        let brings = plan.prepare.brings(&worked.case, self.liquid_l);
        let request = finishing.over(SauceRequest {
            liquid_l: Some((self.liquid_l.max(MIN_SAUCE_L) * 100.0).round() / 100.0),
            fat_l: Some(self.fat_l),
            fat_mm: None,
            salt_g: Some(self.salt_g),
            gelatin_g: Some(self.gelatin_g),
            vessel: Some(PotMeasures {
                diameter_cm: Some((pot.across_m() * 1000.0).round() / 10.0),
                height_cm: Some((pot.height_m * 1000.0).round() / 10.0),
                ..PotMeasures::default()
            }),
            hob_w: Some(burner.watts),
            hob_kind: Some(burner.kind),
            skim: Skim::default(),
            taste: Taste::default(),
            target: plan.finished_as(),
            thickener: plan.thickener,
            share: Some(self.tonight),
            units: Some(kitchen.units),
            food_code: Some(kitchen.food_code),
            meat_kg: Some(self.meat_kg),
            meat_salt_g: Some(self.meat_salt_g),
            dredged_flour_g: Some(self.dredged_flour_g),
            sugar_g: Some(brings.sugar_g),
            acid_g: Some(brings.acid_g),
            bitter: brings.bitter,
            vegetables_kg: Some(brings.vegetables_kg),
            ..SauceRequest::default()
        });
        let share = finishing.salt_tasted(&request, self.salt_doubt_g / f64::max(0.01, self.salt_g));
        SauceRequest { salt_g: request.salt_g.map(|grams| grams * share), ..request }
    }
}
