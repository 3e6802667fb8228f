//! The table of every parameter, as `docs/model.md` shows it.

use anyhow::{Context, Result};
use ergastic_physics::parameters::{Parameters, Source};

/// Where it stands on the page.
const BEGIN: &str = "<!-- written by ./dev generate -->\n";
const END: &str = "<!-- end of the parameters -->\n";

/// A figure to three or four places, without zeros that say nothing.
fn shown(figure: f64) -> String {
    let places = if figure == 0.0 { 0 } else { (3 - figure.abs().log10().floor() as i32).clamp(0, 9) };
    let text = format!("{figure:.*}", places as usize);
    if text.contains('.') { text.trim_end_matches('0').trim_end_matches('.').to_owned() } else { text }
}

fn source(source: Source) -> &'static str {
    match source {
        Source::Published => "published",
        Source::Practice => "practice",
        Source::Fitted => "fitted",
        Source::Working => "working",
    }
}

/// As Markdown: a row each.
pub fn parameters() -> String {
    let mut table = String::from("| parameter | what it is | value | plausible | |\n|---|---|---|---|---|\n");
    for about in Parameters::about() {
        let [low, high] = about.range.map(shown);
        let (value, text) = (shown(about.get(&Parameters::USUAL)), about.text.trim_end_matches('.'));
        let unit = if about.unit.is_empty() { String::new() } else { format!(" {}", about.unit) };
        table +=
            &format!("| `{}` | {text} | {value}{unit} | {low} – {high} | {} |\n", about.name, source(about.source));
    }
    table
}

/// A page with the table in its place.
///
/// # Errors
/// When the page has no place for it.
pub fn with_parameters(page: &str) -> Result<String> {
    let (before, rest) = page.split_once(BEGIN).context("the page has no place for the parameters")?;
    let (_, after) = rest.split_once(END).context("the parameters' place has no end")?;
    Ok(format!("{before}{BEGIN}{}{END}{after}", parameters()))
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn figures_are_shown_to_what_they_tell() {
        let figures = [0.0, 0.48, 2.23, 80_700.0, 1060.0, 6.944e-6, -1.0, 0.006];
        assert_eq!(figures.map(shown), ["0", "0.48", "2.23", "80700", "1060", "0.000006944", "-1", "0.006"]);
    }

    #[test]
    fn the_page_shows_every_parameter_as_it_is() {
        let page = include_str!("../../../docs/model.md");
        assert!(with_parameters(page).unwrap() == page, "docs/model.md shows other parameters: run ./dev generate");
    }
}
