//! Least squares on the logarithms of time over the middle of its window, with what is believed beforehand.

use nalgebra::{DMatrix, DVector};
use rayon::prelude::*;

use crate::constants::{COUNT, Constants, ENOUGH_LN_SIGMA, PRIORS};
use crate::practice::Row;

/// What a cook's word scatters by, of its logarithm: about half of a window. A belief that is off by its own sigma weighs as
/// a row that is off by this.
const ROW_LN_SIGMA: f64 = 0.2;
/// A step by which slopes are taken.
const STEP: f64 = 0.01;
/// Rounds of a fit from the start.
pub const ROUNDS: usize = 12;

/// Rows, then beliefs: how far each is off, weighed.
fn residuals(rows: &[&Row], numbers: &[f64; COUNT]) -> DVector<f64> {
    let constants = Constants::from_numbers(numbers);
    let off: Vec<f64> = rows.par_iter().map(|row| row.weight.sqrt() * row.off(&constants)).collect();
    let beliefs = PRIORS
        .iter()
        .enumerate()
        .map(|(i, prior)| (numbers[7 + i] - prior.toughness.ln()) * ROW_LN_SIGMA / prior.ln_sigma);
    let start = Constants::start().to_numbers();
    let enough = (2..7).map(|i| (numbers[i] - start[i]) * ROW_LN_SIGMA / ENOUGH_LN_SIGMA);
    DVector::from_iterator(rows.len() + PRIORS.len() + 5, off.into_iter().chain(beliefs).chain(enough))
}

fn slopes(rows: &[&Row], numbers: &[f64; COUNT], here: &DVector<f64>) -> DMatrix<f64> {
    let columns: Vec<DVector<f64>> = (0..COUNT)
        .map(|i| {
            let mut moved = *numbers;
            moved[i] += STEP;
            (residuals(rows, &moved) - here) / STEP
        })
        .collect();
    DMatrix::from_columns(&columns)
}

/// The constants that miss the rows by least, from a start, in so many rounds (Levenberg and Marquardt).
pub fn fit(rows: &[&Row], start: &Constants, rounds: usize) -> Constants {
    let mut numbers = start.to_numbers();
    let mut here = residuals(rows, &numbers);
    let mut damping = 1e-3;
    for _ in 0..rounds {
        let jacobian = slopes(rows, &numbers, &here);
        let (normal, gradient) = (jacobian.transpose() * &jacobian, jacobian.transpose() * &here);
        // Damped until the step is one downwards.
        for _ in 0..6 {
            let mut damped = normal.clone();
            for i in 0..COUNT {
                damped[(i, i)] += damping * normal[(i, i)].max(1e-6);
            }
            let Some(step) = damped.cholesky().map(|factor| factor.solve(&gradient)) else {
                damping *= 10.0;
                continue;
            };
            let tried: [f64; COUNT] = std::array::from_fn(|i| numbers[i] - step[i].clamp(-0.3, 0.3));
            let there = residuals(rows, &tried);
            if there.norm_squared() < here.norm_squared() {
                (numbers, here) = (tried, there);
                damping = f64::max(damping * 0.3, 1e-6);
                break;
            }
            damping *= 5.0;
        }
    }
    Constants::from_numbers(&numbers)
}

/// The weighed mean error of the rows, of the logarithm.
pub fn error(off: impl Iterator<Item = (f64, f64)>) -> f64 {
    let (squares, weights) =
        off.fold((0.0, 0.0), |(squares, weights), (weight, off)| (squares + weight * off * off, weights + weight));
    f64::sqrt(squares / weights)
}

/// How far each row is off when it is left out of the fit.
pub fn left_out(rows: &[Row], fitted: &Constants, rounds: usize) -> Vec<f64> {
    (0..rows.len())
        .into_par_iter()
        .map(|out| {
            let others: Vec<&Row> = rows.iter().enumerate().filter(|(i, _)| *i != out).map(|(_, row)| row).collect();
            rows[out].off(&fit(&others, fitted, rounds))
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
        let some: Vec<&Row> = all.iter().filter(|row| row.cook.starts_with("chuck")).collect();
        let missed = |constants: &Constants| error(some.iter().map(|row| (row.weight, row.off(constants))));
        let start = Constants::start();
        let fitted = fit(&some, &start, 2);
        assert!(missed(&fitted) < missed(&start), "{} of {}", missed(&fitted), missed(&start));
    }

    #[test]
    fn the_error_is_weighed() {
        assert!((error([(1.0, 0.3), (3.0, -0.1)].into_iter()) - f64::sqrt(0.12 / 4.0)).abs() < 1e-12);
    }
}
