//! How well a set of constants does, row by row, and the table that says so.

use anyhow::{Context, Result};
use rayon::prelude::*;

use crate::chosen::Chosen;
use crate::practice::{CountedFrom, PracticeRow};
use crate::solve;

/// Rounds of a fit that begins at the whole table's own.
const ROUNDS_LEFT_OUT: usize = 2;
/// Where the table stands in `docs/model.md`.
const BEGIN: &str = "<!-- written by ./dev fit -->\n";
const END: &str = "<!-- end -->\n";

/// A row as it comes out.
#[derive(Debug, Clone)]
pub struct FittedRow {
    /// The cook.
    pub row: PracticeRow,
    /// The median cook, in what is counted.
    pub median: f64,
    /// Off the middle of its window, as a logarithm.
    pub off: f64,
    /// The same with a fit that has not seen the row.
    pub off_left_out: f64,
    /// P10, P50, P90 of the core's own forecast, in what is counted.
    pub band: [f64; 3],
}

/// Every row.
#[derive(Debug, Clone)]
pub struct Report {
    /// In the order of the table of practice.
    pub outcomes: Vec<FittedRow>,
}

impl Report {
    /// How some numbers do; rows are left out of fits that begin at them.
    ///
    /// # Errors
    /// When a row can't be forecast.
    pub fn of(rows: &[PracticeRow], chosen: &Chosen, numbers: &[f64]) -> Result<Self> {
        let model = chosen.model(numbers);
        let left_out = solve::left_out(rows, chosen, numbers, ROUNDS_LEFT_OUT);
        let outcome = |(row, off_left_out): (&PracticeRow, f64)| {
            let (median, off, band) = (row.median(&model), row.off(&model), row.band()?);
            Ok(FittedRow { row: row.clone(), median, off, off_left_out, band })
        };
        Ok(Self { outcomes: rows.par_iter().zip(left_out).map(outcome).collect::<Result<_>>()? })
    }

    /// Weighed root mean square of how far the medians are off, as a share.
    pub fn error(&self) -> f64 {
        solve::error(self.outcomes.iter().map(|outcome| (outcome.row.weight, outcome.off)))
    }

    /// The same, each by a fit that has not seen it.
    pub fn error_left_out(&self) -> f64 {
        solve::error(self.outcomes.iter().map(|outcome| (outcome.row.weight, outcome.off_left_out)))
    }

    /// As Markdown. A median outside its window is marked.
    pub fn table(&self) -> String {
        let mut table = String::from(
            "| cook | window | median | P10 – P90 | off the middle | fitted without it |\n|---|---|---|---|---|---|\n",
        );
        for FittedRow { row, median, off, off_left_out, band: [p10, _, p90] } in &self.outcomes {
            let shown = |figure: f64| match row.counted {
                CountedFrom::Hours => format!("{figure:.1} h"),
                CountedFrom::MinutesAtPressure => format!("{figure:.0} min"),
            };
            let mark = if (row.window[0]..=row.window[1]).contains(median) { "" } else { " *" };
            let [low, high] = row.window.map(shown);
            table += &format!(
                "| {} | {low} – {high} | {}{mark} | {} – {} | {:+.0} % | {:+.0} % |\n",
                row.cook,
                shown(*median),
                shown(*p10),
                shown(*p90),
                100.0 * off.exp_m1(),
                100.0 * off_left_out.exp_m1(),
            );
        }
        let outside = self.outcomes.iter().filter(|one| !(one.row.window[0]..=one.row.window[1]).contains(&one.median));
        table
            + &format!(
                "\nError {:.1} %, each row fitted without itself {:.1} %; {} of {} medians outside their window (*).\n",
                100.0 * self.error(),
                100.0 * self.error_left_out(),
                outside.count(),
                self.outcomes.len()
            )
    }
}

/// A page with the table in its place.
///
/// # Errors
/// When the page has no place for it.
pub fn put_into(page: &str, table: &str) -> Result<String> {
    let (before, rest) = page.split_once(BEGIN).context("the page has no place for the table")?;
    let (_, after) = rest.split_once(END).context("the table's place has no end")?;
    Ok(format!("{before}{BEGIN}{table}{END}{after}"))
}
