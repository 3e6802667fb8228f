//! `./dev fit`: fits parameters, prints them with how well they do, and writes the table of `docs/model.md` for those that the core goes
//! by. `./dev fit --only 'surface.*,pit.wet'` fits those named and writes nothing;
//! `--page` only writes the table of all parameters.

use std::path::Path;

use anyhow::bail;
use ergastic_fit::chosen::{Chosen, USUAL};
use ergastic_fit::page::with_parameters;
use ergastic_fit::practice::{self, PracticeRow};
use ergastic_fit::report::{self, Report};
use ergastic_fit::solve;
use ergastic_physics::parameters::Parameters;

fn main() -> anyhow::Result<()> {
    let arguments: Vec<String> = std::env::args().skip(1).collect();
    let page = Path::new(env!("CARGO_MANIFEST_DIR")).join("../../docs/model.md");
    let text = std::fs::read_to_string(&page)?;
    let only: Option<Vec<&str>> = match arguments.as_slice() {
        [] => None,
        [flag] if flag == "--page" => return Ok(std::fs::write(&page, with_parameters(&text)?)?),
        [flag, names] if flag == "--only" => Some(names.split(',').map(str::trim).collect()),
        _ => bail!("say nothing, or --only with names such as 'surface.*,pit.wet'"),
    };
    let chosen = Chosen::by_name(only.as_deref().unwrap_or(&USUAL))?;
    let rows = practice::rows()?;
    let all: Vec<&PracticeRow> = rows.iter().collect();
    let fitted = solve::fit(&all, &chosen, &chosen.start(), solve::ROUNDS);
    for (free, number) in chosen.0.iter().zip(&fitted) {
        let (name, unit) = (&free.about.name, free.about.unit);
        println!("{name:30} {:.4} {unit} (goes by {:.4})", number.exp(), free.about.get(&Parameters::USUAL));
    }
    println!("\n{}", Report::of(&rows, &chosen, &fitted)?.table());
    if only.is_some() {
        return Ok(());
    }
    let in_the_core = Report::of(&rows, &chosen, &chosen.of(&Parameters::USUAL))?;
    std::fs::write(&page, report::put_into(&text, &in_the_core.table())?)?;
    println!("docs/model.md has the table of the core's own.");
    Ok(())
}
