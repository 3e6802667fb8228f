//! Tenderness as a cook says it: what is enough, what is too far, and the words between.

use ergastic_physics::parameters::Parameters;
use ergastic_physics::tender::Goal;
use ergastic_words::{Voice, cook};
use serde::{Deserialize, Serialize};
use strum::IntoStaticStr;
use utoipa::ToSchema;

use crate::cuts::{CutFacts, DryRisk, EatenAs};

/// Standard deviation of a cook's tenderness check, in the logarithm of the dose. Working value.
pub const CHECK_LN_SIGMA: f64 = 0.25;

impl EatenAs {
    /// Hours at 95 °C that are enough for a cut as tough as chuck.
    pub fn enough(self) -> f64 {
        self.enough_by(&Parameters::USUAL)
    }

    /// The same by other parameters.
    pub fn enough_by(self, p: &Parameters) -> f64 {
        match self {
            Self::Slice => p.enough.slice,
            Self::Fork => p.enough.fork,
            Self::Probe => p.enough.probe,
            Self::Pull => p.enough.pull,
            Self::Spoon => p.enough.spoon,
        }
    }
}

/// How old the animal was: more cross-links, more hours.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Default, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Age {
    /// Up to about three years.
    #[default]
    Young,
    /// An older cow or ox.
    Mature,
}

impl Age {
    /// So much more softening its cross-links ask for.
    pub fn factor(self, p: &Parameters) -> f64 {
        match self {
            Self::Young => 1.0,
            Self::Mature => p.tender.mature,
        }
    }
}

/// What bears on how soon tender meat has gone too far.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Default)]
pub struct Wears {
    /// A rolling boil: pieces break up, at 0.7 of the dose. Working value.
    pub rolling_boil: bool,
    /// Small bites in a covered pot: lean ones too stay moist in their sauce. Practice.
    pub small_and_wet: bool,
}

/// The goal for a cut eaten in a way, in surroundings that bear on how soon it goes too far.
pub fn goal(p: &Parameters, facts: &CutFacts, eaten_as: EatenAs, age: Age, grass_fed: bool, wears: Wears) -> Goal {
    let fed = if grass_fed { p.tender.grass_fed } else { 1.0 };
    let toughness = facts.cut.toughness(p) * age.factor(p) * fed;
    let enough = eaten_as.enough_by(p) * toughness;
    let margin = match (eaten_as, facts.dry_risk) {
        (EatenAs::Slice, _) => 1.5,
        (_, DryRisk::High) if !wears.small_and_wet => 1.6,
        (_, DryRisk::High | DryRisk::Mid) => 2.0,
        // What may collapse anyway has longest before it is threads in fat.
        (EatenAs::Spoon, DryRisk::Low) => 3.0,
        (_, DryRisk::Low) => 2.6,
    };
    // Never below enough: what is ready is not, in the same moment, ruined.
    let margin = if wears.rolling_boil { f64::max(margin * 0.7, 1.05) } else { margin };
    Goal { enough, middle_share: p.tender.middle_share, overcooked: enough * margin, toughness }
}

/// What a cook found on testing the meat: the softest word that already fits.
#[derive(Debug, Clone, Copy, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize, ToSchema, IntoStaticStr)]
#[serde(rename_all = "snake_case")]
#[strum(serialize_all = "snake_case")]
pub enum Check {
    /// The fork meets a firm piece: not even slices yet.
    Firm,
    /// Fork goes in, slice holds.
    Slice,
    /// Soft chunk.
    Fork,
    /// Like butter.
    Probe,
    /// Shreds.
    Pull,
    /// Collapses.
    Spoon,
}

impl Check {
    /// All of them, from the firmest.
    pub const ALL: [Self; 6] = [Self::Firm, Self::Slice, Self::Fork, Self::Probe, Self::Pull, Self::Spoon];

    /// The word at which meat that is eaten so is done.
    pub fn of(eaten_as: EatenAs) -> Self {
        match eaten_as {
            EatenAs::Slice => Self::Slice,
            EatenAs::Fork => Self::Fork,
            EatenAs::Probe => Self::Probe,
            EatenAs::Pull => Self::Pull,
            EatenAs::Spoon => Self::Spoon,
        }
    }

    /// Whether meat that is eaten so is done where this is found.
    pub fn is_enough_for(self, eaten_as: EatenAs) -> bool {
        self >= Self::of(eaten_as)
    }

    /// Its name in JSON.
    pub fn key(self) -> &'static str {
        self.into()
    }

    /// The tender-hours (at resistance 1) between which this word is the right one.
    pub fn bounds(self) -> (f64, f64) {
        let from = |eaten_as: EatenAs| eaten_as.enough();
        match self {
            Self::Firm => (0.0, from(EatenAs::Slice)),
            Self::Slice => (from(EatenAs::Slice), from(EatenAs::Fork)),
            Self::Fork => (from(EatenAs::Fork), from(EatenAs::Probe)),
            // The first shreds come before all of it pulls: the bound lies midway between what each needs.
            Self::Probe => (from(EatenAs::Probe), 0.5 * (from(EatenAs::Probe) + from(EatenAs::Pull))),
            Self::Pull => (0.5 * (from(EatenAs::Probe) + from(EatenAs::Pull)), from(EatenAs::Spoon)),
            Self::Spoon => (from(EatenAs::Spoon), f64::INFINITY),
        }
    }
}

/// A word of the scale from firm to spoon.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Mark {
    /// Which.
    pub check: Check,
    /// The word.
    pub words: String,
    /// It begins at so many tender-hours of a cut as quick as chuck.
    pub from: f64,
    /// And ends, as it is drawn.
    pub to: f64,
}

/// The last word is drawn to here, tender-hours.
const DRAWN_TO: f64 = 6.0;

/// The scale, from the firmest.
pub fn scale(voice: Voice) -> Vec<Mark> {
    let mark = |check: Check| {
        let (from, to) = check.bounds();
        Mark { check, words: voice.render(cook::found(check.key())), from, to: to.min(DRAWN_TO) }
    };
    Check::ALL.map(mark).into()
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::cuts::Cut;

    #[test]
    fn enough_and_too_far_go_by_word_age_feed_and_dryness() {
        let goal = |cut: Cut, eaten_as, age, grass_fed, rolling_boil| {
            super::goal(
                &Parameters::USUAL,
                cut.facts(),
                eaten_as,
                age,
                grass_fed,
                Wears { rolling_boil, small_and_wet: false },
            )
        };
        let young = goal(Cut::Chuck, EatenAs::Fork, Age::Young, false, false);
        assert!(
            (young.enough - EatenAs::Fork.enough()).abs() < 1e-12
                && (young.overcooked / young.enough - 2.6).abs() < 1e-9
        );
        let old = goal(Cut::Chuck, EatenAs::Fork, Age::Mature, true, false);
        assert!((old.enough / young.enough - 1.54).abs() < 1e-9);
        let margin = |goal: Goal| goal.overcooked / goal.enough;
        assert!((margin(goal(Cut::Brisket, EatenAs::Slice, Age::Young, false, false)) - 1.5).abs() < 1e-9);
        assert!((margin(goal(Cut::Topside, EatenAs::Fork, Age::Young, false, false)) - 1.6).abs() < 1e-9);
        let bites = super::goal(
            &Parameters::USUAL,
            Cut::Sirloin.facts(),
            EatenAs::Fork,
            Age::Young,
            false,
            Wears { small_and_wet: true, ..Wears::default() },
        );
        assert!((margin(bites) - 2.0).abs() < 1e-9);
        assert!((margin(goal(Cut::Flank, EatenAs::Fork, Age::Young, false, false)) - 2.0).abs() < 1e-9);
        let boiled = goal(Cut::Topside, EatenAs::Fork, Age::Young, false, true);
        assert!((margin(boiled) - 1.12).abs() < 1e-9);
    }

    #[test]
    fn every_dose_has_exactly_one_word() {
        let words = [Check::Firm, Check::Slice, Check::Fork, Check::Probe, Check::Pull, Check::Spoon];
        for pair in words.windows(2) {
            assert_eq!(pair[0].bounds().1, pair[1].bounds().0);
        }
        assert_eq!((words[0].bounds().0, words[5].bounds().1), (0.0, f64::INFINITY));
    }
}
