//! The sentence why, and what each medium is called.

use ergastic_words::{Dial, Join, Length, Minutes, Said, Span, Temperature, forecast as say, ways};

use super::answer::Quantiles;
use super::record::Frame;
use super::request::Start;
use super::resolve::{Case, Cooling, Medium};
use crate::cuts::EatenAs;
use crate::cuts::{CutFacts, DryRisk};
use crate::heat::pit::WrapMaterial;
use crate::heat::pot::{Lid, Simmer};
use crate::heat::pressure::LEAST_LITRES;

impl WrapMaterial {
    /// Its name in JSON.
    pub fn key(self) -> &'static str {
        match self {
            Self::Paper => "paper",
            Self::Foil => "foil",
        }
    }
}

impl Cooling {
    fn key(self) -> &'static str {
        match self {
            Self::InLiquid => "in_liquid",
            Self::InBag => "in_bag",
            Self::OnTray => "on_tray",
        }
    }
}

impl Medium {
    /// What surrounds the meat, in a few words.
    pub fn words(&self) -> Said {
        match self {
            Self::Hob { simmer } => ways::hob(simmer.key()),
            Self::Oven { set_c, start: Start::ColdOven, .. } => ways::cold_oven(Dial(*set_c)),
            Self::Oven { set_c, .. } => ways::oven(Dial(*set_c)),
            Self::Coals(coals) => ways::coals(coals.under, coals.over),
            Self::Pressure { target_c, .. } => ways::pressure(Temperature(*target_c)),
            Self::SlowCooker { setting } => ways::slow_cooker(setting.key()),
            Self::KeepWarm { at_c } => ways::keep_warm(Temperature(*at_c)),
            Self::Bath { bath_c } => ways::bath(Temperature(*bath_c)),
            Self::Fat { fat_c } => ways::fat(Temperature(*fat_c)),
            Self::Pit { pit, wrap: None } => ways::pit(Dial(pit.set_c)),
            Self::Pit { pit, wrap: Some((material, at_c)) } if *at_c <= 0.0 => {
                ways::pit_wrapped_at_once(Dial(pit.set_c), material.key())
            }
            Self::Pit { pit, wrap: Some((material, at_c)) } => {
                ways::pit_wrapped(Dial(pit.set_c), material.key(), Temperature(*at_c))
            }
            Self::Chill { cooling } => ways::chill(cooling.key()),
            Self::Reheat { to_c } => ways::reheat(Temperature(*to_c)),
        }
    }

    /// So many minutes of it.
    pub fn for_so_long(&self, minutes: f64) -> Said {
        let (time, words) = (Minutes(minutes), self.words());
        match self {
            Self::Hob { .. } | Self::Pressure { .. } => ways::so_long_at(time, words),
            Self::Fat { .. } => ways::so_long_under(time, words),
            _ => ways::so_long_in(time, words),
        }
    }

    /// How it cooks, as a sentence with what the liquid settles at.
    fn sentence(&self, boil_c: f64, settled_c: Option<f64>) -> Said {
        let settled_c = settled_c.unwrap_or(boil_c);
        let settles = Temperature(settled_c);
        let boils = if settled_c > boil_c - 0.5 { "yes" } else { "no" };
        match self {
            Self::Hob { simmer: Simmer::Boil } => ways::at_a_rolling_boil(),
            Self::Hob { simmer } => ways::on_the_hob(self.words(), simmer.looks()),
            Self::Oven { .. } => ways::in_the_oven(self.words(), settles, boils),
            Self::Coals(_) => ways::over_coals(self.words(), settles, boils),
            Self::Pressure { target_c, .. } => ways::under_pressure(Temperature(*target_c), Temperature(boil_c)),
            Self::SlowCooker { .. } => ways::in_the_crock(self.words(), settles),
            Self::KeepWarm { at_c } => ways::kept_warm(Temperature(*at_c)),
            Self::Bath { bath_c } => ways::in_the_bath(Temperature(*bath_c)),
            Self::Fat { fat_c } => ways::under_the_fat(Temperature(*fat_c)),
            Self::Pit { .. } => ways::in_the_pit(self.words()),
            Self::Chill { .. } => ways::in_the_cold(),
            Self::Reheat { to_c } => ways::warmed_through(Temperature(*to_c)),
        }
    }
}

/// What kind of muscle it is, by its collagen.
fn make(facts: &CutFacts) -> &'static str {
    match facts.collagen_pct {
        c if c >= 3.0 => "sinewy",
        c if c >= 1.4 => "worked",
        _ => "lean",
    }
}

/// Why it takes this long, from this case's own numbers.
pub fn why(case: &Case, ready: &Quantiles, at_ready: Option<&Frame>) -> Said {
    let main = case.main();
    let first = &case.first().medium;
    let cooks = match (first, case.stages.as_slice()) {
        (Medium::Pressure { .. }, [_]) if case.liquid_l < LEAST_LITRES => ways::pressure_comes_late(),
        (_, [_]) => first.sentence(case.boil_c, at_ready.map(|frame| frame.medium_c)),
        (_, stages) => ways::chain(Said::list(stages.iter().map(|stage| stage.medium.words()), Join::Then)),
    };
    let (name, make) = (main.name(), make(main.facts));
    let Some(p50) = ready.p50 else {
        let never = if case.fixed_end() { say::why_never_in_that_time } else { say::why_never };
        return never(name, make, cooks);
    };
    let thick = Length(main.sides_m[0] * 1000.0);
    let sentence = say::why(name, make, cooks, thick, main.eaten_as.done(), Span(p50));
    Said::list([Some(sentence), price(case)].into_iter().flatten(), Join::Space)
}

/// What this way costs with this meat, where it costs something.
fn price(case: &Case) -> Option<Said> {
    let (main, first) = (case.main(), &case.first().medium);
    if case.stages.iter().any(|stage| stage.medium.rolls()) {
        Some(say::price_of_boiling())
    } else if matches!(first, Medium::Pit { wrap: None, .. }) {
        Some(say::price_of_bare())
    } else if main.facts.dry_risk == DryRisk::High {
        let sliced = matches!(main.eaten_as, EatenAs::Slice | EatenAs::Probe);
        Some(if sliced { say::price_of_lean_sliced() } else { say::price_of_lean() })
    } else if first.is_pot() && case.pot().lid == Lid::None {
        Some(say::price_of_no_lid())
    } else {
        None
    }
}
