//! What heats the pan: a burner of the hob, or the element under a pressure pot's own insert.

use crate::bench::{BurnerAsked, Prepare};
use crate::finish::boils_off_kg_s;
use crate::forecast::ResolvedDish;
use crate::heat::hob::HobKind;
use crate::kitchen::{Kitchen, ThingKind};

/// A burner.
#[derive(Debug, Clone, Copy, PartialEq)]
pub(crate) struct Burner {
    /// Its power, W.
    pub watts: f64,
    /// How its heat reaches a pan.
    pub kind: HobKind,
}

/// A chimney or bed of coals where there is no hob: half a kilo an hour of charcoal. Working value.
const FIRE: Burner = Burner { watts: 4000.0, kind: HobKind::Gas };

impl Burner {
    /// The hob's, as the bench says or the kitchen has it.
    pub(crate) fn of_hob(bench: &Prepare, kitchen: &Kitchen) -> Self {
        let hob = bench.hob.unwrap_or_default();
        if hob == BurnerAsked::default() && !kitchen.has(ThingKind::Burner) {
            return FIRE;
        }
        let own = kitchen.burner();
        Self { watts: hob.watts.unwrap_or(own.watts), kind: hob.kind.unwrap_or(own.kind) }
    }

    /// What is under the pot itself: an insert's element lies against it, and its heat goes in as on an induction hob.
    pub(crate) fn under_pot(case: &ResolvedDish, bench: &Prepare, kitchen: &Kitchen) -> Self {
        let under_pressure = case.stages.iter().any(|stage| stage.medium.facts().locked);
        if !under_pressure {
            return Self::of_hob(bench, kitchen);
        }
        let watts = bench.hob.and_then(|hob| hob.watts).unwrap_or(kitchen.pressure_pot().watts);
        Self { watts, kind: HobKind::Induction }
    }

    /// Heat that reaches a pan, W.
    pub(crate) fn power_w(self) -> f64 {
        self.kind.share() * self.watts
    }

    /// Minutes to boil so much off, uncovered.
    pub(crate) fn boils_off_min(self, litres: f64) -> f64 {
        litres / boils_off_kg_s(self.watts, Some(self.kind)) / 60.0
    }
}
