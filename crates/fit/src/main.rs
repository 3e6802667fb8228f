//! `./dev fit`: fits the constants, prints them with how well they do, and writes the table of `docs/model.md` for those that the
//! core goes by.

use std::path::Path;

use ergastic_fit::constants::{Constants, PRIORS};
use ergastic_fit::practice::{self, Row};
use ergastic_fit::report::{self, Report};
use ergastic_fit::solve;

fn main() -> anyhow::Result<()> {
    let rows = practice::rows()?;
    let all: Vec<&Row> = rows.iter().collect();
    let fitted = solve::fit(&all, &Constants::start(), solve::ROUNDS);
    print_constants(&fitted);
    println!("\n{}", Report::of(&rows, &fitted, &fitted)?.table());

    let core = Constants::of_the_core();
    let in_the_core = Report::of(&rows, &core, &core)?;
    let page = Path::new(env!("CARGO_MANIFEST_DIR")).join("../../docs/model.md");
    let text = std::fs::read_to_string(&page)?;
    std::fs::write(&page, report::put_into(&text, &in_the_core.table())?)?;
    println!("docs/model.md has the table of the core's own constants.");
    Ok(())
}

fn print_constants(constants: &Constants) {
    println!("activation energy {:.1} kJ/mol", constants.activation_energy);
    println!("enough {:.2?}", constants.enough);
    println!("share of the middle {:.2}", constants.middle_share);
    for (prior, toughness) in PRIORS.iter().zip(constants.toughnesses) {
        println!("{:?} {toughness:.2} (believed {:.2})", prior.cuts, prior.toughness);
    }
}
