//! How long each task of a dish takes, from its own case.

use crate::finish::{SauceRequest, sauce};
use crate::forecast::{Case, Forecast, Medium, Weighted, come_up_s, describe};
use crate::kitchen::Kitchen;
use crate::plan::Plan;
use crate::prepare::{Sear, SearPlan, salt, salt_in_liquid, sear};
use crate::safety::Caution;
use crate::tender::EatenAs;

/// Minutes of each task, and the amounts that go with them.
#[derive(Debug, Clone)]
pub struct Durations {
    /// Salt for the meat, g.
    pub salt_g: f64,
    /// The same in level teaspoons of fine salt.
    pub salt_tsp: f64,
    /// Salted this long before the pan, min.
    pub salt_ahead_min: f64,
    /// Out of the cold this long before the pan.
    pub take_out_ahead_min: f64,
    /// The pan gets hot.
    pub heat_pan_min: f64,
    /// The batches; none without a sear.
    pub sear: Option<SearPlan>,
    /// Aromatics and deglazing.
    pub deglaze_min: f64,
    /// The liquid comes to a simmer.
    pub come_up_min: f64,
    /// The oven gets hot; none on the hob.
    pub preheat_min: Option<f64>,
    /// Lifting the meat.
    pub lift_min: f64,
    /// Settling and skimming.
    pub skim_min: f64,
    /// Reducing or thickening.
    pub sauce_min: f64,
    /// What the sauce needs, in words.
    pub sauce_words: String,
    /// Slicing, pulling or portioning.
    pub slice_min: f64,
    /// Plating.
    pub plate_min: f64,
    /// Fat on the liquid when tender, L.
    pub fat_l: f64,
    /// Liquid in the pot when tender, L.
    pub liquid_left_l: f64,
    /// Salt in the liquid when tender, g.
    pub liquid_salt_g: f64,
    /// Gelatin in it, g.
    pub gelatin_g: f64,
    /// Cooked and edible, kg.
    pub yield_kg: f64,
    /// Cautions of the forecast.
    pub cautions: Vec<Caution>,
}

impl Durations {
    /// Works them out.
    pub fn of(plan: &Plan, kitchen: &Kitchen, case: &Case, ensemble: &Weighted) -> Self {
        let forecast: Forecast = describe(case, Some(ensemble.clone()));
        let (salt_g, salt_tsp) = salt(case, plan.prepare.salt_pct);
        let sear = sear(case, plan.prepare.sear, kitchen.pan_cm);
        let liquid_left_l = f64::max(0.05, forecast.liquid_left_l.unwrap_or(case.liquid_l));
        let hours = forecast.ready_min.p50.unwrap_or(180.0) / 60.0;
        let liquid_salt_g = salt_in_liquid(case, salt_g, liquid_left_l, hours);
        let (fat_l, gelatin_g) = (forecast.fat_l.unwrap_or(0.0), forecast.gelatin_g.unwrap_or(0.0));
        let wanted = SauceRequest {
            liquid_l: Some(liquid_left_l),
            fat_l: Some(fat_l),
            salt_g: Some(liquid_salt_g),
            gelatin_g: Some(gelatin_g),
            vessel: Some(plan.request(kitchen).vessel.unwrap_or_default()),
            hob_w: Some(kitchen.hob_w),
            target: plan.target,
            thickener: plan.thickener,
            ..Default::default()
        };
        let path = sauce(&wanted).ok();
        let after_skim = path.iter().flat_map(|path| &path.steps).skip(if fat_l > 0.0 { 1 } else { 0 });
        let sauce_min: f64 = after_skim.clone().map(|step| step.min).sum();
        let words: Vec<_> = after_skim.map(|step| step.what.clone()).collect();
        Self {
            salt_g,
            salt_tsp,
            salt_ahead_min: plan.prepare.salt_h * 60.0,
            take_out_ahead_min: 30.0,
            heat_pan_min: 5.0,
            sear,
            deglaze_min: if plan.prepare.sear == Sear::None { 8.0 } else { 12.0 },
            come_up_min: (come_up_s(case) / 300.0).ceil() * 5.0,
            preheat_min: matches!(case.first().medium, Medium::Oven { .. }).then_some(25.0),
            lift_min: 5.0,
            skim_min: 10.0,
            // Whole fives: a finishing that is planned to the minute is not kept.
            sauce_min: (sauce_min.clamp(5.0, 60.0) / 5.0).ceil() * 5.0,
            sauce_words: words.join(". "),
            slice_min: if matches!(case.main().eaten_as, EatenAs::Slice | EatenAs::Pull | EatenAs::Probe) {
                10.0
            } else {
                5.0
            },
            plate_min: 5.0,
            fat_l,
            liquid_left_l,
            liquid_salt_g,
            gelatin_g,
            yield_kg: forecast.yield_kg.unwrap_or(0.0),
            cautions: forecast.cautions,
        }
    }

    /// From lifting the meat to plates on the table. The meat rests while the sauce is made.
    pub fn finishing_min(&self) -> f64 {
        self.lift_min + f64::max(self.skim_min + self.sauce_min, 15.0) + self.slice_min + self.plate_min
    }

    /// The least time from now to the meat meeting the heat: pan, batches, aromatics.
    pub fn lead_min(&self) -> f64 {
        let pan = self.sear.map_or(0.0, |sear| self.heat_pan_min + sear.min);
        pan + self.deglaze_min
    }

    /// Hands-on minutes from salting to plates, with a number of checks.
    pub fn hands_on_min(&self, checks: usize) -> f64 {
        let before = 10.0 + 10.0 + self.lead_min() + self.come_up_min;
        before + 5.0 * checks as f64 + self.lift_min + self.skim_min + self.sauce_min + self.slice_min + self.plate_min
    }
}
