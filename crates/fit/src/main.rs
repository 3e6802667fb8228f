//! `./dev fit`: the constants of tenderness from what cooks call done, printed with how well they do.

mod constants;
mod practice;
mod solve;

use constants::{Constants, PRIORS};
use practice::{Counted, Row};

/// Rounds of a fit that begins at the whole table's own.
const ROUNDS_LEFT_OUT: usize = 2;

fn main() -> anyhow::Result<()> {
    let rows = practice::rows()?;
    let all: Vec<&Row> = rows.iter().collect();
    let fitted = solve::fit(&all, &Constants::start(), solve::ROUNDS);
    print_constants(&fitted);
    let off: Vec<f64> = rows.iter().map(|row| row.off(&fitted)).collect();
    let left_out = solve::left_out(&rows, &fitted, ROUNDS_LEFT_OUT);
    println!("\n| cook | window | median | off | off when left out |\n|---|---|---|---|---|");
    for ((row, off), left_out) in rows.iter().zip(&off).zip(&left_out) {
        let shown = |figure: f64| match row.counted {
            Counted::Hours => format!("{figure:.2} h"),
            Counted::MinutesAtPressure => format!("{figure:.0} min"),
        };
        let [low, high] = row.window.map(shown);
        let mark = if (row.window[0]..=row.window[1]).contains(&row.median(&fitted)) { "" } else { " !" };
        println!(
            "| {} | {low} – {high} | {}{mark} | {:+.0} % | {:+.0} % |",
            row.cook,
            shown(row.median(&fitted)),
            100.0 * off.exp_m1(),
            100.0 * left_out.exp_m1(),
        );
    }
    let weighed = |off: &[f64]| solve::error(rows.iter().map(|row| row.weight).zip(off.iter().copied()));
    println!("\nerror {:.1} %, left out {:.1} %", 100.0 * weighed(&off), 100.0 * weighed(&left_out));
    Ok(())
}

fn print_constants(constants: &Constants) {
    println!("activation energy {:.1} kJ/mol", constants.activation_energy);
    println!("enough {:.2?}", constants.enough);
    println!("share of the middle {:.2}", constants.middle_share);
    for (prior, resistance) in PRIORS.iter().zip(constants.resistances) {
        println!("{:?} {resistance:.2} (believed {:.2})", prior.cuts[0], prior.resistance);
    }
}
