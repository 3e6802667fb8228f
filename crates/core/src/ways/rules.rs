//! Why each medium heats as it does: the rule, the numbers behind it, and how sure it is.

use ergastic_words::{Dial, Difference, Guide, Message, Minutes, Temperature, ways};

use super::medium::Medium;
use super::settings::Settings;
use crate::heat::pot::Lid;
use ergastic_physics::beliefs::{OVEN_SIGMA_K, PIT_SIGMA_K, POT_SIGMA_K};
use ergastic_physics::pit::PIT_COEFFICIENT;
use ergastic_physics::places::FRIDGE_C;
use ergastic_physics::units::{MINUTE_S, round_to};
use ergastic_physics::vessel::LIQUID_COEFFICIENT;

/// How a medium heats, to be told to who asks why.
#[derive(Debug)]
pub struct HowItHeats {
    /// The rule.
    pub rule: Message,
    /// Its numbers for this dish.
    pub numbers: Message,
    /// How sure it is.
    pub sure: Message,
}

impl Medium {
    /// How it heats, under such a lid, where water boils at so many °C.
    pub fn how_it_heats(&self, lid: Lid, boil_c: f64) -> HowItHeats {
        let boil = Temperature(boil_c);
        let within = || ways::within(Difference(POT_SIGMA_K));
        let (rule, numbers, sure) = match self {
            Self::Hob { simmer } => {
                let liquid = Temperature(boil_c - simmer.below_boil());
                (ways::hob_rule(), ways::hob_rule_numbers(simmer.looks(), liquid, boil), within())
            }
            Self::Oven { set_c, .. } => {
                let numbers = ways::oven_rule_numbers(Dial(*set_c), lid.words(), boil);
                (ways::oven_rule(), numbers, ways::oven_rule_sure(Difference(OVEN_SIGMA_K)))
            }
            Self::Coals(coals) => {
                let fresh = Minutes(coals.fresh_every_s / MINUTE_S);
                let numbers = ways::coals_rule_numbers(self.words(), Dial(coals.full_c()), fresh);
                (ways::coals_rule(), numbers, ways::oven_rule_sure(Difference(OVEN_SIGMA_K)))
            }
            Self::Pressure { gauge_kpa, target_c, .. } => {
                let numbers = ways::pressure_rule_numbers(round_to(*gauge_kpa, 1.0), Temperature(*target_c), boil);
                (ways::pressure_rule(), numbers, within())
            }
            Self::Pit { pit, .. } => (
                ways::pit_rule(),
                ways::pit_rule_numbers(Dial(pit.set_c), (LIQUID_COEFFICIENT / PIT_COEFFICIENT).round()),
                ways::pit_rule_sure(Difference(PIT_SIGMA_K)),
            ),
            Self::SlowCooker { .. } => {
                let [low, high] = [Settings::Low, Settings::High].map(|setting| Temperature(setting.cooker().end_c));
                (ways::slow_cooker_rule(), ways::slow_cooker_rule_numbers(low, high), within())
            }
            Self::Fat { fat_c } => (ways::fat_rule(), ways::fat_rule_numbers(Temperature(*fat_c)), within()),
            Self::Bath { bath_c } => {
                (ways::bath_rule(), ways::bath_rule_numbers(Temperature(*bath_c)), ways::bath_rule_sure())
            }
            Self::KeepWarm { at_c } => {
                (ways::keep_warm_rule(), ways::keep_warm_rule_numbers(Temperature(*at_c)), within())
            }
            Self::Chill { .. } => {
                (ways::chill_rule(), ways::chill_rule_numbers(Guide(FRIDGE_C)), ways::chill_rule_sure())
            }
            Self::Reheat { to_c } => (ways::reheat_rule(), ways::reheat_rule_numbers(Temperature(*to_c)), within()),
        };
        HowItHeats { rule, numbers, sure }
    }

    /// What is decided by setting its dial, under such a lid; nothing where there is none to set.
    pub fn what_the_dial_decides(&self, lid: Lid) -> Option<Message> {
        match self {
            Self::Hob { .. } => Some(ways::dial_hob()),
            Self::Oven { .. } | Self::Coals(_) if lid == Lid::None => Some(ways::dial_open_oven()),
            Self::Oven { .. } => Some(ways::dial_oven()),
            Self::Coals(_) => Some(ways::dial_coals()),
            Self::Pressure { .. } => Some(ways::dial_pressure()),
            Self::SlowCooker { .. } => {
                let [low, high] = [Settings::Low, Settings::High].map(|setting| setting.cooker().end_c);
                Some(ways::dial_slow_cooker(Difference(high - low)))
            }
            Self::Bath { .. } => Some(ways::dial_bath()),
            Self::Fat { .. } => Some(ways::dial_fat()),
            Self::Pit { .. } => Some(ways::dial_pit()),
            Self::KeepWarm { .. } | Self::Chill { .. } | Self::Reheat { .. } => None,
        }
    }
}
