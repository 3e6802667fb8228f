//! The table of practice: everyday cooks, and the windows in which cooks call them done.

use anyhow::Context;
use std::sync::Arc;

use ergastic_core::forecast::{ForecastRequest, forecast};
use ergastic_physics::model::Model;
use ergastic_physics::{How, median_times};
use serde::Deserialize;

const TABLE: &str = include_str!("../practice/windows.jsonl");

/// What a row's window counts.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Deserialize)]
pub enum CountedFrom {
    /// Hours from the meat meeting the heat.
    #[serde(rename = "h")]
    Hours,
    /// Minutes at pressure.
    #[serde(rename = "min at pressure")]
    MinutesAtPressure,
}

#[derive(Debug, Deserialize)]
struct PracticeLine {
    cook: String,
    request: ForecastRequest,
    window: [f64; 2],
    unit: CountedFrom,
    weight: f64,
}

/// A cook of the table, resolved.
#[derive(Debug, Clone)]
pub struct PracticeRow {
    /// What it is called.
    pub cook: String,
    /// Done from and until, in what is counted.
    pub window: [f64; 2],
    /// What the window counts.
    pub counted: CountedFrom,
    /// How much it counts in the fit.
    pub weight: f64,
    request: ForecastRequest,
}

/// Every row.
///
/// # Errors
/// When the table can't be read or a row can't be cooked.
pub fn rows() -> anyhow::Result<Vec<PracticeRow>> {
    let row = |text: &str| {
        let line: PracticeLine = serde_json::from_str(text).with_context(|| text.to_owned())?;
        line.request.resolve().with_context(|| line.cook.clone())?;
        let PracticeLine { cook, request, window, unit, weight } = line;
        Ok(PracticeRow { cook, window, counted: unit, weight, request })
    };
    TABLE.lines().filter(|line| !line.trim().is_empty()).map(row).collect()
}

impl PracticeRow {
    /// The middle of its window.
    pub fn middle(&self) -> f64 {
        0.5 * (self.window[0] + self.window[1])
    }

    /// When the median cook has it done by a model, in what is counted; infinite if never.
    pub fn median(&self, model: &Arc<Model>) -> f64 {
        let how = How { model: model.clone(), ..How::default() };
        // What goes by the parameters before a run does so anew. Nobody gives a fit up.
        let case = ForecastRequest { how, ..self.request.clone() }.resolve();
        let times = case.ok().and_then(|case| median_times(&case.physics(), &case.how).ok());
        times.map_or(f64::INFINITY, |times| match self.counted {
            CountedFrom::Hours => times.ready_s / 3600.0,
            CountedFrom::MinutesAtPressure => times.hold_s / 60.0,
        })
    }

    /// P10, P50 and P90 of a thousand cooks as the core has them, in what is counted.
    ///
    /// # Errors
    /// When it can't be cooked, or some never come to be tender.
    pub fn band(&self) -> anyhow::Result<[f64; 3]> {
        let answer = forecast(&self.request).with_context(|| self.cook.clone())?;
        let (minutes, unit) = match self.counted {
            CountedFrom::Hours => (Some(answer.ready_min), 60.0),
            CountedFrom::MinutesAtPressure => (answer.at_pressure_min, 1.0),
        };
        let minutes = minutes.with_context(|| self.cook.clone())?;
        let of = |minutes: Option<f64>| minutes.map(|minutes| minutes / unit).with_context(|| self.cook.clone());
        Ok([of(minutes.p10)?, of(minutes.p50)?, of(minutes.p90)?])
    }

    /// How far that is off the middle, as a logarithm; what never comes is off by a factor of ten.
    pub fn off(&self, model: &Arc<Model>) -> f64 {
        let ratio = self.median(model) / self.middle();
        ratio.clamp(0.1, 10.0).ln()
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use ergastic_physics::parameters::{Enough, Parameters};

    #[test]
    fn sixty_cooks_are_fitted_and_each_has_a_window() {
        let rows = rows().unwrap();
        assert_eq!(rows.iter().filter(|row| row.weight > 0.0).count(), 60);
        assert!(rows.iter().all(|row| row.window[0] < row.window[1] && row.weight >= 0.0));
        assert_eq!(rows.iter().filter(|row| row.counted == CountedFrom::MinutesAtPressure).count(), 13);
    }

    #[test]
    fn what_asks_for_more_softening_or_lets_less_heat_in_takes_longer() {
        let rows = rows().unwrap();
        let usual = Model::usual();
        let slower = |change: fn(&mut Parameters)| {
            let mut parameters = Parameters::USUAL;
            change(&mut parameters);
            Arc::new(Model::of(parameters))
        };
        let more = slower(|p| p.enough = Enough { slice: 3.0, fork: 3.1, probe: 3.2, pull: 4.0, spoon: 5.0 });
        let poorer = slower(|p| p.meat.conductivity *= 0.9);
        for row in &rows {
            let time = row.median(&usual);
            assert!(row.median(&more) > time && row.median(&poorer) >= time, "{}", row.cook);
        }
    }
}
