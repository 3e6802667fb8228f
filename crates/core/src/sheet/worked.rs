//! A plan with everything worked out that its sheet needs.

use crate::kitchen::Lane;
use jiff::Timestamp;
use jiff::tz::TimeZone;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::durations::Durations;
use super::stock::Stock;
use crate::bench::Prepare;
use crate::clock::{Hours, minutes_between, plus_minutes, zone};
use crate::error::Result;
use crate::forecast::{Evidence, Forecast, ResolvedDish, Update, Weighted, chance, describe, quantile, update_ahead};
use crate::kitchen::{Kitchen, ThingKind};
use crate::plan::Plan;
use crate::ways::WayId;
use crate::ways::steps::DishFacts;
use ergastic_physics::units::MINUTE_S;

/// When a dish is tender, as instants.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Ready {
    /// The dish.
    pub dish: String,
    /// One cook in ten is tender by then.
    pub p10: Option<Timestamp>,
    /// Half are.
    pub p50: Option<Timestamp>,
    /// Nine in ten are.
    pub p90: Option<Timestamp>,
    /// P(tender when it has to be lifted for the bell).
    pub chance: f64,
}

/// The night of a kitchen that has not said when it sleeps.
fn usual_night() -> Hours {
    Hours("22:00".into(), "07:00".into())
}

/// The hob, or what there is instead.
fn flame(kitchen: &Kitchen) -> Lane {
    let has = |kit: ThingKind| kitchen.has(kit);
    match () {
        () if has(ThingKind::Burner) => Lane::Hob,
        () if has(ThingKind::Coals) => Lane::Fire,
        () if has(ThingKind::Pit) => Lane::Pit,
        () => Lane::Hob,
    }
}

/// A plan with everything worked out that its sheet needs.
pub struct Settled {
    /// The meat in its pot.
    pub case: ResolvedDish,
    /// The ensemble, reweighted by what was found.
    pub update: Update,
    /// What it says of the dish.
    pub forecast: Forecast,
    /// The lengths of the tasks.
    pub durations: Durations,
    /// What is done at the bench, in this kitchen.
    pub bench: Prepare,
    /// The kitchen's zone.
    pub zone: TimeZone,
    /// Its nights: some tasks keep away from them.
    pub asleep: Vec<Hours>,
    /// Where pans and pots stand over a flame.
    pub flame: Lane,
    /// What there is to work with.
    pub(crate) stock: Stock,
    /// Whether a pit needs nobody.
    pub pit_holds_itself: bool,
}

impl Settled {
    /// Forecasts a plan, with what a cook has found so far (times from the meat meeting the heat), and a look at
    /// how tender it is at a time.
    ///
    /// # Errors
    /// Names the plan's field that can't be used.
    pub fn new(plan: &Plan, kitchen: &Kitchen, evidence: &[Evidence], look_s: Option<f64>) -> Result<Self> {
        Self::ahead(plan, kitchen, evidence, look_s, &[])
    }

    /// The same, and how the cooks stand at some moments, s after the meat met the heat, ascending.
    ///
    /// # Errors
    /// Names the plan's field that can't be used.
    pub fn ahead(
        plan: &Plan,
        kitchen: &Kitchen,
        evidence: &[Evidence],
        look_s: Option<f64>,
        ahead_s: &[f64],
    ) -> Result<Self> {
        let plan = &Plan { prepare: plan.bench_in(kitchen), ..plan.clone() };
        let case = plan.resolve(kitchen)?;
        let update = update_ahead(&case, evidence, look_s, ahead_s)?;
        let forecast = describe(&case, Some(update.ensemble.clone()))?;
        let durations = Durations::of(plan, kitchen, &case, &forecast);
        let asleep = if kitchen.asleep.is_empty() { vec![usual_night()] } else { kitchen.asleep.clone() };
        Ok(Self {
            case,
            update,
            forecast,
            durations,
            bench: plan.prepare.clone(),
            zone: zone("zone", &kitchen.zone)?,
            asleep,
            flame: flame(kitchen),
            stock: Stock::of(kitchen),
            pit_holds_itself: kitchen.pit_holds_itself(),
        })
    }

    /// What the steps of its way are chosen by.
    pub(crate) fn facts(&self) -> DishFacts<'_> {
        let durations = &self.durations;
        DishFacts {
            salted: durations.salt_g > 0.5,
            seared: durations.sear.is_some(),
            bones: durations.bones,
            liquid_l: self.case.liquid_l,
            liquid_start_c: self.case.liquid_start_c,
            goes_in: &durations.goes_in,
            wood: self.bench.wood,
        }
    }

    /// The ensemble.
    pub fn ensemble(&self) -> &Weighted {
        &self.update.ensemble
    }

    /// Minutes from being tender to being warm again, where it is chilled and reheated after it is done.
    fn warming_min(&self) -> f64 {
        let planned = |at: usize| self.case.stages.get(at).filter(|stage| !stage.by_hand.changed);
        let is = |at: usize, wanted: WayId| planned(at).is_some_and(|stage| stage.medium.id() == wanted);
        let last = self.case.stages.len() - 1;
        let chill = (1..=last).find(|at| is(*at, WayId::Chill));
        let Some(chill) = chill.filter(|_| is(last, WayId::Reheat)) else {
            return 0.0;
        };
        let ended = |at: usize| self.forecast.stages.get(at).and_then(|span| span.to_min);
        // Done before it went into the cold, and not only by what came after.
        let done_first = self.forecast.ready_min.p50.zip(ended(chill)).is_some_and(|(tender, cold)| tender < cold);
        match (ended(chill - 1), ended(last)) {
            (Some(off_min), Some(warm_min)) if done_first => warm_min - off_min,
            _ => 0.0,
        }
    }

    /// Minutes from the meat meeting the heat to the lifting, with a chance of being tender. A time the cook has fixed is obeyed,
    /// whatever the chance; where no time gives it, the time after which waiting helps no more.
    pub fn lift_min(&self, p: f64) -> Option<f64> {
        if self.case.own_time_s().is_some() {
            return self.ensemble().over_s(p).map(|s| s / MINUTE_S);
        }
        let ever = chance(&self.ensemble().weights, |i| self.ensemble().ready_s[i].is_finite());
        self.ready_min(p).or_else(|| self.ready_min(ever - 1e-6))
    }

    /// Minutes from the meat meeting the heat by which a share of cooks can be lifted, tender and warm.
    pub fn ready_min(&self, p: f64) -> Option<f64> {
        quantile(&self.ensemble().ready_s, &self.ensemble().weights, p).map(|s| s / 60.0 + self.warming_min())
    }

    /// P(tender within some minutes of meeting the heat).
    pub fn chance_within(&self, minutes: f64) -> f64 {
        let tender_s = (minutes - self.warming_min()) * 60.0;
        chance(&self.ensemble().weights, |i| self.ensemble().ready_s[i] <= tender_s)
    }

    /// When the dish is tender if the meat met the heat at `from`, and when it goes too far.
    pub fn bands(&self, dish: &str, from: Timestamp, lift_at: Timestamp) -> (Ready, Ready) {
        let ensemble = self.ensemble();
        let warming_min = self.warming_min();
        let band = |values: &[f64], chance| {
            let at = |p| quantile(values, &ensemble.weights, p).map(|s| plus_minutes(from, s / 60.0 + warming_min));
            Ready { dish: dish.to_owned(), p10: at(0.1), p50: at(0.5), p90: at(0.9), chance }
        };
        let held_s = (minutes_between(from, lift_at) - warming_min) * 60.0;
        let ready = chance(&ensemble.weights, |i| ensemble.ready_s[i] <= held_s);
        let gone = chance(&ensemble.weights, |i| ensemble.overcooked_s[i] <= held_s);
        (band(&ensemble.ready_s, ready), band(&ensemble.overcooked_s, gone))
    }
}
