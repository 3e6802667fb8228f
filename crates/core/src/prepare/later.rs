//! What goes in later and what comes out again: each with its own time to be done and to be mush.

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
    name: &'static str,
    done_min: f64,
    mush_min: f64,
    /// Whether heat softens it like a root, slower the cooler it is.
    softens: bool,
    words: &'static str,
}

const fn times(name: &'static str, done_min: f64, mush_min: f64, softens: bool, words: &'static str) -> Times {
    Times { name, done_min, mush_min, softens, words }
}

impl Addition {
    fn times(self) -> Times {
        match self {
            Self::Potato => times("potatoes, in 4 cm chunks", 20.0, 45.0, true, "waxy ones hold; a knife goes through"),
            Self::Carrot => times("carrots, in 2 cm pieces", 11.0, 35.0, true, "just giving to a fork"),
            Self::Swede => times("swede, in 3 cm pieces", 20.0, 45.0, true, "a knife goes through"),
            Self::Cabbage => times("cabbage, in wedges", 6.0, 20.0, true, "bright and just limp"),
            Self::Leek => times("leeks, in rings", 8.0, 25.0, true, "limp, still green"),
            Self::PearlOnion => times("pearl onions", 25.0, 60.0, true, "brown them first, whole and glassy when done"),
            Self::Mushroom => times("mushrooms", 10.0, 60.0, false, "brown them apart first, or they give water"),
            Self::Peas => times("peas", 3.0, 12.0, true, "bright"),
            Self::CookedBeans => times("cooked beans", 10.0, 45.0, false, "drained; only to warm through"),
            Self::SoakedBeans => times("soaked dried beans", 75.0, 150.0, true, "creamy through"),
            Self::Dumplings => times("dumplings", 20.0, 40.0, false, "lid on, never lifted; skim before they go in"),
            Self::Prunes => times("prunes", 20.0, 60.0, false, "plump"),
            Self::SoftHerbs => times("soft herbs", 0.0, 10.0, false, "off the heat, at the plate"),
        }
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
pub(super) fn later(bench: &Prepare, medium_c: f64, end_min: f64) -> Vec<LaterAnswer> {
    let mut found: Vec<_> = (bench.later.iter())
        .map(|thing| {
            let times = thing.what.times();
            let slow = if times.softens { slower(medium_c) } else { 1.0 };
            let done_min = times.done_min * slow;
            LaterAnswer {
                what: thing.what,
                name: times.name.into(),
                g: thing.g,
                done_min,
                mush_min: times.mush_min * slow,
                before_end_min: done_min.ceil(),
                at_min: f64::max(0.0, end_min - done_min),
                words: times.words.into(),
            }
        })
        .collect();
    found.sort_by(|a, b| a.at_min.total_cmp(&b.at_min));
    found
}

/// What to say of things that would be mush before the meat is surely done.
pub(super) fn waits(forecast: &Forecast, later: &[LaterAnswer]) -> Option<String> {
    let doubt_min = forecast.ready_min.p90? - forecast.ready_min.p10?;
    let mush: Vec<_> = (later.iter())
        .filter(|thing| thing.mush_min - thing.done_min < 0.5 * doubt_min && thing.done_min > 0.0)
        .map(|thing| thing.name.split(',').next().unwrap_or(&thing.name))
        .collect();
    (!mush.is_empty()).then(|| {
        format!(
            "Nobody knows to the half hour when the meat is done: put {} in once it forks nearly done, not by the clock.",
            mush.join(", ")
        )
    })
}

/// What has to come out before the plate.
pub(super) fn take_out(bench: &Prepare, bones: bool) -> Vec<TakeOut> {
    let has = |what: Larder| bench.ingredients.iter().any(|thing| thing.what == what);
    let mut out = Vec::new();
    let mut add = |what: &str, words: &str| out.push(TakeOut { what: what.into(), words: words.into() });
    if bench.strings > 0 {
        add(
            &format!("{} strings", bench.strings),
            "count them onto the board before the meat is cut: one left in is found by a guest",
        );
    }
    if has(Larder::WholeSpice) {
        add("whole spices", "tied in a bag with a long string, out as the meat is lifted");
    }
    if has(Larder::BayLeaf) {
        add("bay leaves", "out as the meat is lifted: their edges stay hard");
    }
    if has(Larder::Thyme) {
        add("thyme stems", "tied together; the leaves stay behind");
    }
    if [Larder::Onion, Larder::Carrot, Larder::Celery].into_iter().any(has) {
        add(
            "spent vegetables",
            "they have given their taste: strain them out, or press them into the sauce; serve a fresh set",
        );
    }
    if bones {
        add("bones", "they slip clean when it is done; feel for splinters");
    }
    out
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
        let simmer = later(&bench, 97.0, 180.0);
        assert_eq!((simmer[0].what, simmer[0].at_min), (Addition::Potato, 160.0));
        let slow = later(&bench, 87.0, 180.0);
        assert!((slow[0].done_min - 50.0).abs() < 1e-9 && slow[1].done_min == 10.0);
    }
}
