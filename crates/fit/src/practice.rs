//! The table of practice: everyday cooks, and the windows in which cooks call them done.

use anyhow::Context;
use ergastic_core::forecast::{Case, ForecastRequest, forecast};
use ergastic_physics::median_times;
use serde::Deserialize;

use crate::constants::Constants;

const TABLE: &str = include_str!("../practice/windows.jsonl");

/// What a row's window counts.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Deserialize)]
pub enum Counted {
    /// Hours from the meat meeting the heat.
    #[serde(rename = "h")]
    Hours,
    /// Minutes at pressure.
    #[serde(rename = "min at pressure")]
    MinutesAtPressure,
}

#[derive(Debug, Deserialize)]
struct Line {
    cook: String,
    request: ForecastRequest,
    window: [f64; 2],
    unit: Counted,
    weight: f64,
}

/// A cook of the table, resolved.
#[derive(Debug, Clone)]
pub struct Row {
    /// What it is called.
    pub cook: String,
    /// Done from and until, in what is counted.
    pub window: [f64; 2],
    /// What the window counts.
    pub counted: Counted,
    /// How much it counts in the fit.
    pub weight: f64,
    request: ForecastRequest,
    case: Case,
}

/// Every row.
///
/// # Errors
/// When the table can't be read or a row can't be cooked.
pub fn rows() -> anyhow::Result<Vec<Row>> {
    let row = |text: &str| {
        let line: Line = serde_json::from_str(text).with_context(|| text.to_owned())?;
        let case = line.request.resolve().with_context(|| line.cook.clone())?;
        let Line { cook, request, window, unit, weight } = line;
        Ok(Row { cook, window, counted: unit, weight, request, case })
    };
    TABLE.lines().filter(|line| !line.trim().is_empty()).map(row).collect()
}

impl Row {
    /// The middle of its window.
    pub fn middle(&self) -> f64 {
        0.5 * (self.window[0] + self.window[1])
    }

    /// When the median cook has it done with these constants, in what is counted; infinite if never.
    pub fn median(&self, constants: &Constants) -> f64 {
        let mut case = self.case.clone();
        constants.put_into(&mut case);
        // Nobody gives a fit up.
        median_times(&case.physics(), &case.how).map_or(f64::INFINITY, |times| match self.counted {
            Counted::Hours => times.ready_s / 3600.0,
            Counted::MinutesAtPressure => times.hold_s / 60.0,
        })
    }

    /// P10, P50 and P90 of a thousand cooks as the core has them, in what is counted.
    ///
    /// # Errors
    /// When it can't be cooked, or some never come to be tender.
    pub fn band(&self) -> anyhow::Result<[f64; 3]> {
        let answer = forecast(&self.request).with_context(|| self.cook.clone())?;
        let (minutes, unit) = match self.counted {
            Counted::Hours => (Some(answer.ready_min), 60.0),
            Counted::MinutesAtPressure => (answer.at_pressure_min, 1.0),
        };
        let minutes = minutes.with_context(|| self.cook.clone())?;
        let of = |minutes: Option<f64>| minutes.map(|minutes| minutes / unit).with_context(|| self.cook.clone());
        Ok([of(minutes.p10)?, of(minutes.p50)?, of(minutes.p90)?])
    }

    /// How far that is off the middle, as a logarithm; what never comes is off by a factor of ten.
    pub fn off(&self, constants: &Constants) -> f64 {
        let ratio = self.median(constants) / self.middle();
        ratio.clamp(0.1, 10.0).ln()
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn sixty_cooks_are_fitted_and_each_has_a_window() {
        let rows = rows().unwrap();
        assert_eq!(rows.iter().filter(|row| row.weight > 0.0).count(), 60);
        assert!(rows.iter().all(|row| row.window[0] < row.window[1] && row.weight >= 0.0));
        assert_eq!(rows.iter().filter(|row| row.counted == Counted::MinutesAtPressure).count(), 13);
    }

    #[test]
    fn constants_put_in_place_of_the_cores_own_come_to_what_the_core_says() {
        for row in rows().unwrap() {
            let own = median_times(&row.case.physics(), &row.case.how).unwrap();
            let own = if row.counted == Counted::Hours { own.ready_s / 3600.0 } else { own.hold_s / 60.0 };
            let ours = row.median(&Constants::of_the_core());
            assert!((ours / own - 1.0).abs() < 1e-6, "{}: {ours} against {own}", row.cook);
        }
    }

    #[test]
    fn what_asks_for_more_softening_takes_longer() {
        let rows = rows().unwrap();
        let (usual, mut more) = (Constants::of_the_core(), Constants::of_the_core());
        more.enough = more.enough.map(|enough| 1.2 * enough);
        assert!(rows.iter().all(|row| row.median(&more) > row.median(&usual)));
    }
}
