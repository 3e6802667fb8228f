//! What goes in later and what comes out again: each with its own time to be done and to be mush.

use ergastic_words::{Join, Length, Said, Voice, larder as say, prepare};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::bench::Prepare;
use super::larder::Larder;

use crate::forecast::Forecast;

/// Something that goes in before the end.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
#[allow(missing_docs)]
pub enum Addition {
    Potato,
    Carrot,
    Swede,
    Cabbage,
    Leek,
    PearlOnion,
    Mushroom,
    Peas,
    CookedBeans,
    SoakedBeans,
    Dumplings,
    Prunes,
    SoftHerbs,
}

/// Something added later.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct Later {
    /// What.
    pub what: Addition,
    /// How much, g.
    #[schema(minimum = 1, maximum = 30000)]
    pub g: f64,
}

/// What the computation needs to know of it. Minutes at a simmer of 97 °C. Practice.
struct Times {
    done_min: f64,
    mush_min: f64,
    /// Whether heat softens it like a root, slower the cooler it is.
    softens: bool,
    /// The pieces it is cut into, mm; none where it stays whole.
    side_mm: Option<f64>,
}

const fn times(done_min: f64, mush_min: f64, softens: bool, side_mm: Option<f64>) -> Times {
    Times { done_min, mush_min, softens, side_mm }
}

impl Addition {
    fn times(self) -> Times {
        match self {
            Self::Potato => times(20.0, 45.0, true, Some(40.0)),
            Self::Carrot => times(11.0, 35.0, true, Some(20.0)),
            Self::Swede => times(20.0, 45.0, true, Some(30.0)),
            // In wedges and rings.
            Self::Cabbage => times(6.0, 20.0, true, Some(0.0)),
            Self::Leek => times(8.0, 25.0, true, Some(0.0)),
            Self::PearlOnion => times(25.0, 60.0, true, None),
            Self::Mushroom => times(10.0, 60.0, false, None),
            Self::Peas => times(3.0, 12.0, true, None),
            Self::CookedBeans => times(10.0, 45.0, false, None),
            Self::SoakedBeans => times(75.0, 150.0, true, None),
            Self::Dumplings => times(20.0, 40.0, false, None),
            Self::Prunes => times(20.0, 60.0, false, None),
            Self::SoftHerbs => times(0.0, 10.0, false, None),
        }
    }

    /// Its name in JSON.
    pub fn key(self) -> &'static str {
        match self {
            Self::Potato => "potato",
            Self::Carrot => "carrot",
            Self::Swede => "swede",
            Self::Cabbage => "cabbage",
            Self::Leek => "leek",
            Self::PearlOnion => "pearl_onion",
            Self::Mushroom => "mushroom",
            Self::Peas => "peas",
            Self::CookedBeans => "cooked_beans",
            Self::SoakedBeans => "soaked_beans",
            Self::Dumplings => "dumplings",
            Self::Prunes => "prunes",
            Self::SoftHerbs => "soft_herbs",
        }
    }

    /// Its name in a sentence.
    pub fn name(self) -> Said {
        say::addition(self.key())
    }

    /// Its name with how it is cut.
    pub fn name_and_cut(self) -> Said {
        match self.times().side_mm {
            None => self.name(),
            Some(mm) => say::name_and_cut(self.name(), say::cut_up(self.key(), Length(mm))),
        }
    }

    /// The sign that it is done.
    pub fn sign(self) -> Said {
        say::addition_sign(self.key())
    }
}

/// When it goes in.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct LaterAnswer {
    /// What.
    pub what: Addition,
    /// Its name and how it is cut.
    pub name: String,
    /// How much, g.
    pub g: f64,
    /// Minutes to be done in this pot.
    pub done_min: f64,
    /// Minutes to be mush.
    pub mush_min: f64,
    /// In so long before the end.
    pub before_end_min: f64,
    /// In at, minutes from the meat meeting the heat, if the meat is done when it should be.
    pub at_min: f64,
    /// The sign.
    pub words: String,
}

/// Something that has to come out again.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct TakeOut {
    /// What.
    pub what: String,
    /// When, and why.
    pub words: String,
}

/// A root softens 2.5 times slower for each 10 K below 97 °C; below 85 °C it hardly softens at all. Published.
fn slower(medium_c: f64) -> f64 {
    2.5_f64.powf(((97.0 - medium_c) / 10.0).clamp(-2.5, 2.0))
}

/// What goes in later, first things first.
pub(super) fn later(bench: &Prepare, medium_c: f64, end_min: f64, voice: Voice) -> Vec<LaterAnswer> {
    let mut found: Vec<_> = (bench.later.iter())
        .map(|thing| {
            let times = thing.what.times();
            let slow = if times.softens { slower(medium_c) } else { 1.0 };
            let done_min = times.done_min * slow;
            LaterAnswer {
                what: thing.what,
                name: voice.say(thing.what.name_and_cut()),
                g: thing.g,
                done_min,
                mush_min: times.mush_min * slow,
                before_end_min: done_min.ceil(),
                at_min: f64::max(0.0, end_min - done_min),
                words: voice.say(thing.what.sign()),
            }
        })
        .collect();
    found.sort_by(|a, b| a.at_min.total_cmp(&b.at_min));
    found
}

/// What to say of things that would be mush before the meat is surely done.
pub(super) fn waits(forecast: &Forecast, later: &[LaterAnswer]) -> Option<Said> {
    let doubt_min = forecast.ready_min.p90? - forecast.ready_min.p10?;
    let mush: Vec<_> = (later.iter())
        .filter(|thing| thing.mush_min - thing.done_min < 0.5 * doubt_min && thing.done_min > 0.0)
        .map(|thing| thing.what.name())
        .collect();
    (!mush.is_empty()).then(|| prepare::later_waits(Said::list(mush, Join::And)))
}

/// What has to come out before the plate: what, and when and why.
pub(super) fn take_out(bench: &Prepare, bones: bool) -> Vec<(Said, Said)> {
    let has = |what: Larder| bench.ingredients.iter().any(|thing| thing.what == what);
    let out = [
        (bench.strings > 0, say::out_strings(bench.strings), say::out_strings_why()),
        (has(Larder::WholeSpice), say::out_spices(), say::out_spices_why()),
        (has(Larder::BayLeaf), say::out_bay(), say::out_bay_why()),
        (has(Larder::Thyme), say::out_thyme(), say::out_thyme_why()),
        (
            [Larder::Onion, Larder::Carrot, Larder::Celery].into_iter().any(has),
            say::out_vegetables(),
            say::out_vegetables_why(),
        ),
        (bones, say::out_bones(), say::out_bones_why()),
    ];
    out.into_iter().filter(|(is_in, ..)| *is_in).map(|(_, what, why)| (what, why)).collect()
}

/// Cautions that the additions bring.
pub(super) fn beans_need_boiling(bench: &Prepare) -> bool {
    bench.later.iter().any(|thing| thing.what == Addition::SoakedBeans)
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn a_slow_pot_softens_roots_slowly_and_warms_beans_as_fast() {
        let bench = Prepare {
            later: vec![Later { what: Addition::Potato, g: 800.0 }, Later { what: Addition::CookedBeans, g: 400.0 }],
            ..Prepare::default()
        };
        let simmer = later(&bench, 97.0, 180.0, Voice::default());
        assert_eq!((simmer[0].what, simmer[0].at_min), (Addition::Potato, 160.0));
        let slow = later(&bench, 87.0, 180.0, Voice::default());
        assert!((slow[0].done_min - 50.0).abs() < 1e-9 && slow[1].done_min == 10.0);
    }
}
