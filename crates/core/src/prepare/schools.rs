//! Where cooks disagree: both schools with their effect on this piece, a default and its reason.

use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::bench::{MarinadeOf, Prepare, Sear, Surface};
use super::sear::{SearPlan, sear};
use crate::forecast::{Case, ForecastRequest, forecast, span};
use crate::heat::conduction::{DENSITY, SPECIFIC_HEAT};
use crate::kitchen::Kitchen;
use crate::units::MINUTE_S;

/// Air to a piece on the counter, damp, W/(m² K). Working value.
const COUNTER: f64 = 10.0;
/// The kitchen, °C.
const ROOM_C: f64 = 20.0;
/// Out of the cold, °C.
const COLD_C: f64 = 5.0;

/// One way of doing it.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct SchoolOption {
    /// Its name in the document.
    pub id: String,
    /// In a word or two.
    pub words: String,
    /// What it does here.
    pub effect: String,
}

/// A question on which cooks disagree.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct School {
    /// A stable name.
    pub id: String,
    /// The question.
    pub question: String,
    /// The options.
    pub options: Vec<SchoolOption>,
    /// Chosen on this bench.
    pub chosen: String,
    /// What is done unless the cook says otherwise.
    pub usual: String,
    /// Why that.
    pub reason: String,
}

/// The mean temperature of a piece that has stood out of the cold for some minutes, °C: a lump in still air.
pub fn tempered_c(case: &Case, minutes: f64) -> f64 {
    let main = case.main();
    let radius_m = main.sides_m[0] / 2.0;
    let time_constant_s = DENSITY * SPECIFIC_HEAT * radius_m / (COUNTER * (1.0 + main.shape.exponent));
    ROOM_C - (ROOM_C - COLD_C) * (-minutes * MINUTE_S / time_constant_s).exp()
}

fn option(id: &str, words: &str, effect: impl Into<String>) -> SchoolOption {
    SchoolOption { id: id.into(), words: words.into(), effect: effect.into() }
}

fn school(id: &str, question: &str, options: Vec<SchoolOption>, chosen: &str, usual: &str, reason: &str) -> School {
    School {
        id: id.into(),
        question: question.into(),
        options,
        chosen: chosen.into(),
        usual: usual.into(),
        reason: reason.into(),
    }
}

/// Minutes to tender of the median run from another start.
fn minutes_from(request: &ForecastRequest, start_c: f64) -> Option<f64> {
    let request =
        ForecastRequest { start_c: Some(start_c), members: Some(1), inside: None, explain: None, ..request.clone() };
    forecast(&request).ok()?.ready_min.p50
}

fn seared(case: &Case, bench: &Prepare, kitchen: &Kitchen, change: impl Fn(&mut Prepare)) -> SearPlan {
    let mut other = bench.clone();
    change(&mut other);
    sear(case, &other, kitchen)
}

/// Every question that this dish raises.
pub(super) fn schools(
    case: &Case,
    request: &ForecastRequest,
    bench: &Prepare,
    kitchen: &Kitchen,
    wet: bool,
) -> Vec<School> {
    let mut found = Vec::new();
    let at_the_pan = |how: Sear| seared(case, bench, kitchen, |bench| bench.sear = how).min;
    if wet {
        let (hard, light) = (at_the_pan(Sear::Hard), at_the_pan(Sear::Light));
        found.push(school(
            "sear",
            "Brown it?",
            vec![
                option("hard", "hard", format!("{} at the pan; a dark sauce, the deepest flavour", span(hard))),
                option("light", "light", format!("{} at the pan; golden, a paler sauce", span(light))),
                option(
                    "none",
                    "not at all",
                    format!("{} saved; a pale, cleaner sauce. No juice is lost by it", span(hard)),
                ),
            ],
            match bench.sear {
                Sear::Hard => "hard",
                Sear::Light => "light",
                Sear::None => "none",
            },
            "hard",
            "Browning makes flavour and colour. It does not seal anything in: a seared piece loses as much juice.",
        ));
        if bench.sear != Sear::None {
            let side = |surface: Surface| seared(case, bench, kitchen, |bench| bench.surface = surface);
            let (dry, damp) = (side(Surface::Patted), side(Surface::Wet));
            found.push(school(
                "surface",
                "Pat it dry?",
                vec![
                    option(
                        "patted",
                        "patted dry",
                        format!("{:.1} min a side, {} in a batch", dry.side_min, dry.per_batch),
                    ),
                    option(
                        "wet",
                        "as it is",
                        format!("{:.1} min a side, {} in a batch", damp.side_min, damp.per_batch),
                    ),
                ],
                if bench.surface == Surface::Patted { "patted" } else { "wet" },
                "patted",
                "Nothing browns until its water has boiled away, and that heat comes out of the pan.",
            ));
            found.push(school(
                "flour",
                "Dredge it in flour?",
                vec![
                    option("no", "bare", "browns cleanly; the fat can be skimmed whole"),
                    option(
                        "yes",
                        "in flour",
                        format!(
                            "about {:.0} g cling: as thickening they count for {:.0} g; fat is held in; wheat",
                            flour_g(case),
                            0.65 * flour_g(case)
                        ),
                    ),
                ],
                if bench.flour { "yes" } else { "no" },
                "no",
                "Thickening at the end can be measured; flour on the meat can't be taken back, and it burns in the pan.",
            ));
        }
    }
    let cold = minutes_from(request, COLD_C);
    let stood = minutes_from(request, tempered_c(case, 60.0));
    if let (Some(cold), Some(stood)) = (cold, stood) {
        let sooner = f64::max(0.0, cold - stood);
        found.push(school(
            "temper",
            "Let it stand out of the cold?",
            vec![
                option("0", "straight from the cold", "in the pan as it comes, dry and cold"),
                option(
                    "60",
                    "an hour out",
                    if sooner < 2.5 {
                        format!(
                            "warmer by some {:.0} K, and of {} not five minutes saved",
                            tempered_c(case, 60.0) - COLD_C,
                            span(cold)
                        )
                    } else {
                        format!("tender {} sooner, of {}", span(sooner), span(cold))
                    },
                ),
            ],
            if bench.temper_min > 0.0 { "60" } else { "0" },
            "0",
            "Over hours of cooking it changes little, and raw meat should not stand about.",
        ));
    }
    found.push(school(
        "rinse",
        "Rinse it?",
        vec![
            option("no", "no", "bone dust is wiped off with a damp paper"),
            option("yes", "yes", "raw juices splash as far as an arm; it has to be dried again before the pan"),
        ],
        if bench.rinse { "yes" } else { "no" },
        "no",
        "Guidance is not to rinse raw meat: heat kills what is on it, water spreads it. For a clear broth, blanch it \
         and rinse it then.",
    ));
    if wet {
        found.push(school(
            "clear",
            "A clear broth?",
            vec![
                option("no", "no", "straight into the liquid; foam is skimmed at the first boil"),
                option(
                    "yes",
                    "soak, blanch, rinse, start fresh",
                    "an hour's soak, 10 min from cold to the boil, meat and pot rinsed, fresh water: clear and mild; \
                     no browning, aromatics out again",
                ),
            ],
            if bench.clear { "yes" } else { "no" },
            "no",
            "Foam is only clouded protein: it does no harm in a braise, and the browning is worth more.",
        ));
        found.push(school(
            "day_before",
            "Sear today, braise tomorrow?",
            vec![
                option("no", "all in one go", "nothing to cool"),
                option(
                    "yes",
                    "rest it overnight",
                    "seasoned further in; cool it shallow before chilling, and boil it the next day",
                ),
            ],
            if bench.day_before { "yes" } else { "no" },
            "no",
            "Most of what a day's rest gives comes after the cooking, not before it.",
        ));
    }
    found.push(marinade(bench));
    found
}

/// Flour that clings to so much meat, g. Practice.
pub(super) fn flour_g(case: &Case) -> f64 {
    25.0 * case.mass_kg
}

fn marinade(bench: &Prepare) -> School {
    let chosen = match bench.marinade.map(|marinade| marinade.of) {
        None => "no",
        Some(MarinadeOf::Wine) => "wine",
        Some(MarinadeOf::Acid) => "acid",
        Some(MarinadeOf::Spice) => "spice",
        Some(MarinadeOf::Soy) => "soy",
    };
    school(
        "marinade",
        "Marinate it?",
        vec![
            option("no", "no", "salt alone goes deep; the rest stays outside"),
            option("wine", "wine", "seasons the outer millimetres in 3 to 24 h; kept, it is the pot's wine"),
            option("acid", "vinegar or lemon", "sharp at the surface in 3 to 12 h; past a day it turns mealy"),
            option("spice", "spice and oil", "perfumes the surface in 3 to 24 h; scrape it off, it burns"),
            option("soy", "soy and sugar", "salts as well as colours; it scorches in the pan: gentler"),
        ],
        chosen,
        "no",
        "Tenderness comes from hours of heat; a marinade only works on the surface, and makes it wet.",
    )
}
