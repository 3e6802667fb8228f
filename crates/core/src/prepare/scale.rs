//! The dish for another number of people.

use crate::error::{Result, Unit, in_range};
use crate::kitchen::Kitchen;
use crate::plan::Plan;

/// To whole steps, one at least.
fn grown(value: f64, ratio: f64, step: f64) -> f64 {
    f64::max(step, (value * ratio / step).round() * step)
}

impl Plan {
    /// The dish for another number of people: meat, pieces, ingredients and what goes in later by as much, each piece as
    /// thick as it was. The liquid follows from the vessel again, and so do batches, heat-up and times: they do not scale.
    ///
    /// # Errors
    /// Names the field that can't be used.
    pub fn for_people(&self, people: u32, kitchen: &Kitchen) -> Result<Self> {
        in_range("people", f64::from(people), 1.0, 200.0, Unit::None)?;
        let case = self.resolve(kitchen)?;
        let ratio = f64::from(people) / f64::from(self.people.max(1));
        let pieces = |count: u32| ((f64::from(count) * ratio).round() as u32).clamp(1, 500);
        let mut plan = self.clone();
        plan.people = people;
        let forecast = &mut plan.forecast;
        forecast.liquid_l = None;
        forecast.pieces = forecast.pieces.map(pieces);
        match &mut forecast.parts {
            Some(parts) => {
                for part in parts {
                    part.mass_kg = part.mass_kg.map(|mass_kg| grown(mass_kg, ratio, 0.05));
                    part.pieces = part.pieces.map(pieces);
                }
            }
            None => forecast.mass_kg = Some(grown(forecast.mass_kg.unwrap_or(case.mass_kg), ratio, 0.05)),
        }
        for thing in &mut plan.prepare.ingredients {
            thing.ml = thing.ml.map(|ml| grown(ml, ratio, 5.0));
            thing.g = thing.g.map(|g| grown(g, ratio, 5.0));
        }
        for thing in &mut plan.prepare.later {
            thing.g = grown(thing.g, ratio, 10.0);
        }
        Ok(plan)
    }
}
