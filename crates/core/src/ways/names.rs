//! What each medium is called, and how it cooks.

use ergastic_words::{Dial, Message, Minutes, Temperature, ways};

use super::medium::Medium;
use super::settings::Start;
use crate::heat::pot::Simmer;
use ergastic_physics::medium::Cooling;

fn cooling_key(cooling: Cooling) -> &'static str {
    match cooling {
        Cooling::InLiquid => "in_liquid",
        Cooling::InBag => "in_bag",
        Cooling::OnTray => "on_tray",
        Cooling::InAir => "in_air",
    }
}

impl Medium {
    /// What surrounds the meat, in a few words.
    pub fn words(&self) -> Message {
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
            Self::Chill { cooling } => ways::chill(cooling_key(*cooling)),
            Self::Reheat { to_c } => ways::reheat(Temperature(*to_c)),
        }
    }

    /// So many minutes of it.
    pub fn for_so_long(&self, minutes: f64) -> Message {
        let (time, words) = (Minutes(minutes), self.words());
        match self {
            Self::Hob { .. } | Self::Pressure { .. } => ways::so_long_at(time, words),
            Self::Fat { .. } => ways::so_long_under(time, words),
            Self::Coals(coals) => ways::so_long_over_coals(time, coals.under, coals.over),
            _ => ways::so_long_in(time, words),
        }
    }

    /// How it cooks, as a sentence with what the liquid settles at.
    pub fn sentence(&self, boil_c: f64, settled_c: Option<f64>) -> Message {
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
