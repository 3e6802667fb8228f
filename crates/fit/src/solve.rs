//! Least squares on the logarithms of time over the middle of its window, with what is believed beforehand.

use rayon::prelude::*;

use crate::chosen::Chosen;
use crate::linear;
use crate::practice::PracticeRow;

/// What a cook's word scatters by, of its logarithm: about half of a window. A belief that is off by its own sigma weighs as
/// a row that is off by this.
const ROW_LN_SIGMA: f64 = 0.2;
/// A step by which slopes are taken.
const STEP: f64 = 0.01;
/// Rounds of a fit from the start.
pub const ROUNDS: usize = 12;

/// Rows, then beliefs: how far each is off, weighed.
fn residuals(rows: &[&PracticeRow], chosen: &Chosen, numbers: &[f64]) -> Vec<f64> {
    let model = chosen.model(numbers);
    let mut off: Vec<f64> = rows.par_iter().map(|row| row.weight.sqrt() * row.off(&model)).collect();
    off.extend(chosen.surprise(numbers).map(|surprise| surprise * ROW_LN_SIGMA));
    off
}

/// How the residuals move with each number: `slopes[number][residual]`.
fn slopes(rows: &[&PracticeRow], chosen: &Chosen, numbers: &[f64], here: &[f64]) -> Vec<Vec<f64>> {
    let along = |i: usize| {
        let mut moved = numbers.to_vec();
        moved[i] += STEP;
        residuals(rows, chosen, &moved).iter().zip(here).map(|(there, here)| (there - here) / STEP).collect()
    };
    (0..numbers.len()).map(along).collect()
}

fn dot(a: &[f64], b: &[f64]) -> f64 {
    a.iter().zip(b).map(|(a, b)| a * b).sum()
}

/// The numbers that miss the rows by least, from a start, in so many rounds (Levenberg and Marquardt).
pub fn fit(rows: &[&PracticeRow], chosen: &Chosen, start: &[f64], rounds: usize) -> Vec<f64> {
    let mut numbers = start.to_vec();
    let mut here = residuals(rows, chosen, &numbers);
    let mut damping = 1e-3;
    for _ in 0..rounds {
        let slopes = slopes(rows, chosen, &numbers, &here);
        let normal: Vec<Vec<f64>> =
            slopes.iter().map(|one| slopes.iter().map(|other| dot(one, other)).collect()).collect();
        let gradient: Vec<f64> = slopes.iter().map(|slope| dot(slope, &here)).collect();
        // Damped until the step is one downwards.
        for _ in 0..6 {
            let mut damped = normal.clone();
            for (i, row) in damped.iter_mut().enumerate() {
                row[i] += damping * normal[i][i].max(1e-6);
            }
            let Some(step) = linear::solve(damped, gradient.clone()) else {
                damping *= 10.0;
                continue;
            };
            let tried: Vec<f64> = numbers.iter().zip(step).map(|(at, step)| at - step.clamp(-0.3, 0.3)).collect();
            let there = residuals(rows, chosen, &tried);
            if dot(&there, &there) < dot(&here, &here) {
                (numbers, here) = (tried, there);
                damping = f64::max(damping * 0.3, 1e-6);
                break;
            }
            damping *= 5.0;
        }
    }
    numbers
}

/// The weighed mean error of the rows, of the logarithm.
pub fn error(off: impl Iterator<Item = (f64, f64)>) -> f64 {
    let (squares, weights) =
        off.fold((0.0, 0.0), |(squares, weights), (weight, off)| (squares + weight * off * off, weights + weight));
    f64::sqrt(squares / weights)
}

/// How far each row is off when it is left out of the fit.
pub fn left_out(rows: &[PracticeRow], chosen: &Chosen, fitted: &[f64], rounds: usize) -> Vec<f64> {
    (0..rows.len())
        .into_par_iter()
        .map(|out| {
            let others: Vec<&PracticeRow> =
                rows.iter().enumerate().filter(|(i, _)| *i != out).map(|(_, row)| row).collect();
            rows[out].off(&chosen.model(&fit(&others, chosen, fitted, rounds)))
        })
        .collect()
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::practice::rows;

    #[test]
    fn a_round_of_the_fit_misses_the_rows_by_less() {
        let all = rows().unwrap();
        let some: Vec<&PracticeRow> = all.iter().filter(|row| row.cook.starts_with("chuck")).collect();
        let chosen = Chosen::by_name(&["enough.*", "surface.liquid"]).unwrap();
        let missed = |numbers: &[f64]| {
            let model = chosen.model(numbers);
            error(some.iter().map(|row| (row.weight, row.off(&model))))
        };
        let start = chosen.start();
        let fitted = fit(&some, &chosen, &start, 2);
        assert!(missed(&fitted) < missed(&start), "{} of {}", missed(&fitted), missed(&start));
    }

    #[test]
    fn the_error_is_weighed() {
        assert!((error([(1.0, 0.3), (3.0, -0.1)].into_iter()) - f64::sqrt(0.12 / 4.0)).abs() < 1e-12);
    }
}
