//! The sentence why, and how spans and ways are said.

use super::answer::Quantiles;
use super::record::Frame;
use super::request::{Settings, Start};
use super::resolve::{Case, Cooling, Medium};
use crate::cuts::DryRisk;
use crate::heat::pit::WrapMaterial;
use crate::heat::pot::{Lid, Simmer};
use crate::heat::pressure::LEAST_LITRES;
use crate::tender::EatenAs;
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

/// How it is eaten, after "half of such pieces are".
pub fn done(eaten_as: EatenAs) -> &'static str {
    match eaten_as {
        EatenAs::Slice => "ready to slice",
        EatenAs::Fork => "fork-tender",
        EatenAs::Probe => "probe-tender",
        EatenAs::Pull => "ready to pull",
        EatenAs::Spoon => "soft enough for the spoon",
    }
}

impl Medium {
    /// What surrounds the meat, in a few words.
    pub fn words(&self) -> String {
        match self {
            Self::Hob { simmer } => match simmer {
                Simmer::Lazy => "a lazy simmer".into(),
                Simmer::Gentle => "a gentle simmer".into(),
                Simmer::Brisk => "a brisk simmer".into(),
                Simmer::Boil => "a rolling boil".into(),
            },
            Self::Oven { set_c, start, .. } => {
                let from = if *start == Start::ColdOven { ", from cold" } else { "" };
                format!("a {set_c:.0} °C oven{from}")
            }
            Self::Coals(coals) => format!("{} coals under and {} over", coals.under, coals.over),
            Self::Pressure { target_c, .. } => format!("pressure, at {target_c:.0} °C"),
            Self::SlowCooker { setting: Settings::Low } => "a slow cooker on low".into(),
            Self::SlowCooker { setting: Settings::High } => "a slow cooker on high".into(),
            Self::KeepWarm { at_c } => format!("kept warm at {at_c:.0} °C"),
            Self::Bath { bath_c } => format!("a bag in a bath at {bath_c:.0} °C"),
            Self::Fat { fat_c } => format!("fat at {fat_c:.0} °C"),
            Self::Pit { pit, wrap } => {
                let wrapped = match wrap {
                    None => "bare".to_owned(),
                    Some((material, at_c)) => {
                        let material = if *material == WrapMaterial::Paper { "paper" } else { "foil" };
                        format!("{material} from {at_c:.0} °C in the middle")
                    }
                };
                format!("a {:.0} °C pit, {wrapped}", pit.set_c)
            }
            Self::Chill { cooling: Cooling::InLiquid } => "chilled in its liquid".into(),
            Self::Chill { cooling: Cooling::InBag } => "chilled in its bag".into(),
            Self::Chill { cooling: Cooling::OnTray } => "chilled on a tray".into(),
            Self::Reheat { to_c } => format!("warmed through to {to_c:.0} °C"),
        }
    }

    /// The same as part of a sentence, with what it settles at.
    fn phrase(&self, boil_c: f64, settled_c: Option<f64>) -> String {
        let settled = settled_c.unwrap_or(boil_c);
        match self {
            Self::Hob { simmer } => format!("at {} ({})", self.words(), simmer.looks()),
            Self::Oven { .. } | Self::Coals(_) => {
                let state = if settled > boil_c - 0.5 { "boils gently" } else { "settles well under the boil" };
                let place = if matches!(self, Self::Coals(_)) { "with" } else { "in" };
                format!("{place} {}, where the liquid {state} at {settled:.0} °C,", self.words())
            }
            Self::Pressure { .. } => format!("under {}, against {boil_c:.0} °C at the boil,", self.words()),
            Self::SlowCooker { .. } => format!("in {}, slow to warm up to some {settled:.0} °C,", self.words()),
            Self::Bath { .. } | Self::Pit { .. } => format!("in {},", self.words()),
            Self::Fat { .. } => format!("under {},", self.words()),
            _ => format!("{},", self.words()),
        }
    }
}

/// Why it takes this long, from this case's own numbers.
pub fn why(case: &Case, ready: &Quantiles, at_ready: Option<&Frame>) -> String {
    let main = case.main();
    let (facts, name) = (main.facts, main.name());
    let sinew = match facts.collagen_pct {
        c if c >= 3.0 => "full of sinew",
        c if c >= 1.4 => "well worked and sinewy",
        _ => "lean, with little sinew",
    };
    let first = &case.first().medium;
    let heat = if case.stages.len() == 1 {
        match first {
            Medium::Pressure { .. } if case.liquid_l < LEAST_LITRES => {
                "under a locked lid with too little liquid for pressure to build at once,".to_owned()
            }
            _ => first.phrase(case.boil_c, at_ready.map(|frame| frame.medium_c)),
        }
    } else {
        let ways: Vec<_> = case.stages.iter().map(|stage| stage.medium.words()).collect();
        format!("through {},", ways.join(", then "))
    };
    let Some(p50) = ready.p50 else {
        let limit = if case.fixed_end() {
            "does not become tender in that time"
        } else {
            "does not become tender within three days"
        };
        return format!("{name} is {sinew}; {heat} it {limit}.");
    };
    let price = if case.stages.iter().any(|stage| stage.medium.rolls()) {
        " A rolling boil is sooner, but it breaks pieces up, clouds the broth and leaves less time before it is too far."
    } else if matches!(first, Medium::Pit { wrap: None, .. }) {
        " In the pit its own damp holds the middle back for hours until the bark has dried; a wrap shortens that."
    } else if facts.dry_risk == DryRisk::High {
        " It is lean and dries soon after: slice it across the grain and serve it in its sauce."
    } else if first.is_pot() && case.pot().lid == Lid::None {
        " Uncovered, most of the heat goes into steam."
    } else {
        ""
    };
    format!(
        "{name} is {sinew}; {heat} a piece {:.0} mm thick has to get hot to its middle and then soften: half of all such \
         pieces are {} by {}.{price}",
        main.sides_m[0] * 1000.0,
        done(main.eaten_as),
        span(p50)
    )
}

#[cfg(test)]
mod tests {
    use super::span;

    #[test]
    fn spans_read_as_cooks_say_them() {
        assert_eq!([span(44.0), span(60.0), span(203.0), span(305.0)], ["45 min", "1 h", "3 h 25", "5 h 05"]);
    }
}
