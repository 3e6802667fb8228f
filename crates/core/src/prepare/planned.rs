//! What a plan comes to in its kitchen.

use super::at_the_bench::{AtTheBench, Minds};
use super::{Dish, Prepared, offers, prepare, resolved, uses};
use crate::error::{Error, Result, Unit, WhatIsWrong, in_range};
use crate::forecast::{ForecastRequest, ResolvedDish};
use crate::kitchen::Kitchen;
use crate::plan::Plan;
use crate::safety::Caution;
use crate::text::check_name;

impl Plan {
    /// Checks the plan and resolves its meat in this kitchen.
    ///
    /// # Errors
    /// Names the field that can't be used; a tender cut is refused here.
    pub fn resolve(&self, kitchen: &Kitchen) -> Result<ResolvedDish> {
        check_name("name", &self.name, 80)?;
        in_range("people", f64::from(self.people), 1.0, 200.0, Unit::None)?;
        in_range("certainty", self.certainty(kitchen), 0.5, 0.99, Unit::None)?;
        self.prepare.check().map_err(|error| error.within("prepare"))?;
        let parts = self.forecast.parts.iter().flatten().filter_map(|part| part.cut);
        for cut in self.forecast.cut.into_iter().chain(parts) {
            if let Some(why) = cut.refusal() {
                return Err(Error::new(WhatIsWrong::Unsuitable, "forecast.cut", cut.key(), why));
            }
        }
        self.request(kitchen).resolve().map_err(|error| error.within("forecast"))
    }

    /// The forecast's request as the bench leaves it, in this kitchen.
    pub fn request(&self, kitchen: &Kitchen) -> ForecastRequest {
        let asked = ForecastRequest { how: kitchen.how.clone(), ..self.asked_in(kitchen) };
        self.bench_in(kitchen).in_the_pot(&asked)
    }

    /// The dish worked out at the bench, salt to lid, with everything filled in and what may be chosen next.
    ///
    /// # Errors
    /// Names the field that can't be used.
    pub fn at_the_bench(&self, kitchen: &Kitchen) -> Result<AtTheBench> {
        let mut prepared = self.prepared(kitchen)?;
        let case = self.request(kitchen).resolve()?;
        let short = self.short_of(kitchen, prepared.sear.happens());
        prepared.warnings.extend(short.into_iter().map(|(id, said)| Caution::new(id, said, case.voice)));
        Ok(AtTheBench {
            dish: resolved::resolved(self, kitchen, &case, &prepared),
            offers: offers::offers(self, kitchen, &case, &prepared),
            minds: Minds::of(&prepared.warnings),
            prepared,
        })
    }

    fn prepared(&self, kitchen: &Kitchen) -> Result<Prepared> {
        let price_per_kg = self.forecast.cut.and_then(|cut| kitchen.prices.get(&cut).copied());
        let bench = self.bench_in(kitchen);
        let dish = Dish {
            forecast: self.asked_in(kitchen),
            bench: &bench,
            people: self.people,
            price_per_kg,
            target: self.target,
            seared_anyway: false,
        };
        prepare(&dish, kitchen)
    }

    /// The same said in the kitchen's units, and as sure as it wants to be.
    fn asked_in(&self, kitchen: &Kitchen) -> ForecastRequest {
        let certainty = Some(self.certainty(kitchen));
        ForecastRequest {
            units: Some(kitchen.units),
            food_code: Some(kitchen.food_code),
            certainty,
            ..self.in_kitchen(kitchen)
        }
    }

    /// The meat and its way with the kitchen's altitude and pot where the plan names none.
    fn in_kitchen(&self, kitchen: &Kitchen) -> ForecastRequest {
        let mut request = self.forecast.clone();
        request.altitude_m.get_or_insert(kitchen.altitude_m);
        request.vessel = uses::vessel(&request, &self.uses, kitchen);
        uses::heat(&mut request, &self.uses, kitchen);
        if !kitchen.has_flame() {
            request.heats_in_the_oven_alone();
        }
        request
    }

    /// The plan as a cook keeps it: what it takes from the kitchen is written down, so that a new pot or
    /// altitude later does not change what was foretold.
    #[must_use]
    pub fn frozen(&self, kitchen: &Kitchen) -> Self {
        Self {
            forecast: self.in_kitchen(kitchen),
            prepare: self.bench_in(kitchen),
            certainty: Some(self.certainty(kitchen)),
            ..self.clone()
        }
    }
}
