//! The sentence why, and the rules of thumb beside a forecast.

use super::answer::{Quantiles, Thumb};
use super::record::Frame;
use super::request::Method;
use super::resolve::{Case, PotHeat};
use crate::cuts::DryRisk;
use crate::heat::pot::Lid;
use crate::units::round_to;

/// A span of minutes as a cook says it: `3 h 20`.
pub fn span(minutes: f64) -> String {
    let minutes = round_to(minutes, 5.0) as i64;
    match (minutes / 60, minutes % 60) {
        (0, m) => format!("{m} min"),
        (h, 0) => format!("{h} h"),
        (h, m) => format!("{h} h {m:02}"),
    }
}

/// Why it takes this long, from this case's own numbers.
pub fn why(case: &Case, ready: &Quantiles, at_ready: Option<&Frame>) -> String {
    let facts = case.facts;
    let name = facts.name.split(',').next().unwrap_or(facts.name);
    let sinew = match facts.collagen_pct {
        c if c >= 3.0 => "full of sinew",
        c if c >= 1.4 => "well worked and sinewy",
        _ => "lean, with little sinew",
    };
    let heat = match case.heat {
        PotHeat::Hob(simmer) => format!(
            "at {} ({})",
            match simmer {
                crate::heat::pot::Simmer::Lazy => "a lazy simmer",
                crate::heat::pot::Simmer::Gentle => "a gentle simmer",
                crate::heat::pot::Simmer::Brisk => "a brisk simmer",
                crate::heat::pot::Simmer::Boil => "the boil",
            },
            simmer.looks()
        ),
        PotHeat::Oven { set_c, .. } => {
            let settled = at_ready.map_or(case.boil_c, |frame| frame.medium_c);
            let state = if settled > case.boil_c - 0.5 { "boils gently" } else { "settles well under the boil" };
            format!("in a {set_c:.0} °C oven, where the liquid {state} at {settled:.0} °C,")
        }
    };
    let Some(p50) = ready.p50 else {
        return format!("{name} is {sinew}; {heat} it does not become tender within three days.");
    };
    let warm = at_ready.map_or(String::new(), |_| {
        format!(
            "half of all such pieces are {} by {}",
            match case.eaten_as {
                crate::tender::EatenAs::Slice => "ready to slice",
                crate::tender::EatenAs::Fork => "fork-tender",
                crate::tender::EatenAs::Probe => "probe-tender",
                crate::tender::EatenAs::Pull => "ready to pull",
                crate::tender::EatenAs::Spoon => "soft enough for the spoon",
            },
            span(p50)
        )
    });
    let boiling = matches!(case.heat, PotHeat::Hob(crate::heat::pot::Simmer::Boil));
    let price = if boiling {
        " A rolling boil is sooner, but it breaks pieces up, clouds the broth and leaves less time before it is too far."
    } else if facts.dry_risk == DryRisk::High {
        " It is lean and dries soon after: slice it across the grain and serve it in its sauce."
    } else if case.pot.lid == Lid::None {
        " Uncovered, most of the heat goes into steam."
    } else {
        ""
    };
    format!(
        "{name} is {sinew}; {heat} a piece {:.0} mm thick has to get hot to its middle and then soften: {warm}.{price}",
        case.sides_m[0] * 1000.0
    )
}

/// What cooks go by, worked out for this piece.
pub fn thumb(case: &Case, p50: Option<f64>) -> Vec<Thumb> {
    let by_weight = 60.0 * case.mass_kg * 2.2 / f64::from(case.pieces).max(1.0).sqrt();
    let differs = |minutes: f64| {
        match p50 {
        None => "the forecast has no time to compare it with".to_owned(),
        Some(p50) if (minutes / p50 - 1.0).abs() < 0.15 => "it agrees with the forecast here".to_owned(),
        Some(p50) if minutes > p50 => {
            "it counts weight, but thickness and sinew rule the time: this piece is thinner or softer than its weight says".to_owned()
        }
        Some(_) => "it counts weight, but thickness and sinew rule the time: this piece needs longer than its weight says".to_owned(),
    }
    };
    let pieces = if case.method == Method::Stew || case.sides_m[0] <= 0.05 {
        ("about two hours for pieces", 120.0)
    } else {
        ("about three hours for a joint", 180.0)
    };
    vec![
        Thumb { rule: "an hour a pound for one joint".into(), min: round_to(by_weight, 5.0), why: differs(by_weight) },
        Thumb {
            rule: pieces.0.into(),
            min: pieces.1,
            why: match p50 {
                Some(p50) if (pieces.1 / p50 - 1.0_f64).abs() < 0.15 => "it agrees with the forecast here".into(),
                _ => "it is for chuck of middling size; the forecast knows this cut, its thickness and your pot".into(),
            },
        },
    ]
}

#[cfg(test)]
mod tests {
    use super::span;

    #[test]
    fn spans_read_as_cooks_say_them() {
        assert_eq!([span(44.0), span(60.0), span(203.0), span(305.0)], ["45 min", "1 h", "3 h 25", "5 h 05"]);
    }
}
