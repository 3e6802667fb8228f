//! Where cooks disagree: both schools with their effect on this piece, a default and its reason.

use ergastic_words::{Difference, Grams, Message, Minutes, RoughMinutes, Voice, Volume, prepare as say};
use serde::{Deserialize, Serialize};
use serde_json::{Value, json};
use utoipa::ToSchema;

use super::pot::deglazes;
use super::sear::{SearPlan, sear};
use crate::bench::{Larder, Marinade, MarinadeOf, Prepare, Sear, Surface, Wine};
use crate::error::{Result, unless_refused};
use crate::finish::DREDGED_COUNTS;
use crate::forecast::{ForecastRequest, ResolvedDish, forecast};
use crate::json::patch;
use crate::kitchen::Kitchen;
use ergastic_physics::body::DENSITY;
use ergastic_physics::parameters::Parameters;
use ergastic_physics::places::{FROM_THE_FRIDGE_C, ROOM_C};
use ergastic_physics::units::MINUTE_S;

/// Air to a piece on the counter, damp, W/(m² K). Working value.
const COUNTER: f64 = 10.0;

/// One way of doing it.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct SchoolOption {
    /// Its name in the document.
    pub id: String,
    /// In a word or two.
    pub words: String,
    /// What it does here.
    pub effect: String,
    /// What choosing it changes in the plan: a JSON merge patch.
    #[schema(value_type = HashMap<String, Value>, additional_properties)]
    pub change: Value,
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
pub fn tempered_c(case: &ResolvedDish, minutes: f64) -> f64 {
    let main = case.main();
    let radius_m = main.sides_m[0] / 2.0;
    let time_constant_s =
        DENSITY * Parameters::USUAL.meat.specific_heat * radius_m / (COUNTER * (1.0 + main.shape.exponent));
    ROOM_C - (ROOM_C - FROM_THE_FRIDGE_C) * (-minutes * MINUTE_S / time_constant_s).exp()
}

/// A question before it is put into words.
struct Question {
    id: &'static str,
    question: Message,
    /// Each option's name in the document, its words, and what it does here.
    options: Vec<(&'static str, Message, Message)>,
    chosen: &'static str,
    usual: &'static str,
    reason: Message,
}

impl Question {
    fn told(self, bench: &Prepare, voice: Voice) -> School {
        let school = self.id;
        let option = |(id, words, effect): (&str, Message, Message)| SchoolOption {
            id: id.into(),
            words: voice.render(words),
            effect: voice.render(effect),
            change: json!({ "prepare": patch(bench, &chosen(bench, school, id)) }),
        };
        School {
            id: self.id.into(),
            question: voice.render(self.question),
            options: self.options.into_iter().map(option).collect(),
            chosen: self.chosen.into(),
            usual: self.usual.into(),
            reason: voice.render(self.reason),
        }
    }
}

/// The bench with an answer chosen.
fn chosen(bench: &Prepare, school: &str, option: &str) -> Prepare {
    let mut bench = bench.clone();
    let yes = option == "yes";
    match school {
        "sear" => {
            bench.sear = match option {
                "light" => Sear::Light,
                "none" => Sear::None,
                _ => Sear::Hard,
            }
        }
        "surface" => bench.surface = if option == "wet" { Surface::Wet } else { Surface::Patted },
        "wine" => bench.wine = if option == "whole" { Wine::Whole } else { Wine::Halved },
        "flour" => bench.flour = yes,
        "temper" => bench.temper_min = option.parse().unwrap_or(0.0),
        "rinse" => bench.rinse = yes,
        "clear" if yes != bench.clear => {
            // A clear broth is not browned and starts from fresh water; going back to a braise brings both back.
            bench.clear = yes;
            bench.sear = if yes { Sear::None } else { Sear::Hard };
            bench.base = if yes { Larder::Water } else { Larder::UnsaltedStock };
        }
        "day_before" => bench.day_before = yes,
        "marinade" => {
            bench.marinade = marinade_of(option);
            bench.sugared = option == "soy";
        }
        _ => {}
    }
    bench
}

/// A usual marinade of a kind.
fn marinade_of(option: &str) -> Option<Marinade> {
    let (of, hours, ml, kept) = match option {
        "wine" => (MarinadeOf::Wine, 12.0, 500.0, true),
        "acid" => (MarinadeOf::Acid, 6.0, 200.0, false),
        "spice" => (MarinadeOf::Spice, 12.0, 100.0, false),
        "soy" => (MarinadeOf::Soy, 6.0, 200.0, true),
        _ => return None,
    };
    Some(Marinade { of, hours, ml, kept })
}

fn yes_or_no(yes: bool) -> &'static str {
    if yes { "yes" } else { "no" }
}

/// Minutes to tender of the median run from another start.
fn minutes_from(request: &ForecastRequest, start_c: f64) -> Result<Option<f64>> {
    let request =
        ForecastRequest { start_c: Some(start_c), members: Some(1), inside: None, explain: None, ..request.clone() };
    Ok(unless_refused(forecast(&request))?.and_then(|found| found.ready_min.p50))
}

fn seared(case: &ResolvedDish, bench: &Prepare, kitchen: &Kitchen, change: impl Fn(&mut Prepare)) -> SearPlan {
    let mut other = bench.clone();
    change(&mut other);
    sear(case, &other, kitchen)
}

/// Every question that this dish raises.
pub(super) fn schools(
    case: &ResolvedDish,
    request: &ForecastRequest,
    bench: &Prepare,
    kitchen: &Kitchen,
    wet: bool,
) -> Result<Vec<School>> {
    let mut found = Vec::new();
    if wet {
        found.push(browning(case, bench, kitchen));
        if bench.sear != Sear::None {
            found.push(patting(case, bench, kitchen));
            found.push(dredging(case, bench));
        }
        found.extend(wine(bench, kitchen));
    }
    found.extend(tempering(case, request, bench)?);
    found.push(Question {
        id: "rinse",
        question: say::rinse_question(),
        options: vec![
            ("no", say::rinse_question_no(), say::rinse_question_no_effect()),
            ("yes", say::rinse_question_yes(), say::rinse_question_yes_effect()),
        ],
        chosen: yes_or_no(bench.rinse),
        usual: "no",
        reason: say::rinse_question_reason(),
    });
    if wet {
        found.push(Question {
            id: "clear",
            question: say::clear_question(),
            options: vec![
                ("no", say::clear_question_no(), say::clear_question_no_effect()),
                ("yes", say::clear_question_yes(), say::clear_question_yes_effect()),
            ],
            chosen: yes_or_no(bench.clear),
            usual: "no",
            reason: say::clear_question_reason(),
        });
        found.push(Question {
            id: "day_before",
            question: say::day_before_question(),
            options: vec![
                ("no", say::day_before_question_no(), say::day_before_question_no_effect()),
                ("yes", say::day_before_question_yes(), say::day_before_question_yes_effect()),
            ],
            chosen: yes_or_no(bench.day_before),
            usual: "no",
            reason: say::day_before_question_reason(),
        });
    }
    found.push(marinade(bench));
    Ok(found.into_iter().map(|question| question.told(bench, case.voice)).collect())
}

fn browning(case: &ResolvedDish, bench: &Prepare, kitchen: &Kitchen) -> Question {
    let at_the_pan = |how: Sear| RoughMinutes(seared(case, bench, kitchen, |bench| bench.sear = how).min);
    let (hard, light) = (at_the_pan(Sear::Hard), at_the_pan(Sear::Light));
    Question {
        id: "sear",
        question: say::sear_question(),
        options: vec![
            ("hard", say::sear_question_hard(), say::sear_hard(hard)),
            ("light", say::sear_question_light(), say::sear_light(light)),
            ("none", say::sear_question_none(), say::sear_none(hard)),
        ],
        chosen: match bench.sear {
            Sear::Hard => "hard",
            Sear::Light => "light",
            Sear::None => "none",
        },
        usual: "hard",
        reason: say::sear_question_reason(),
    }
}

fn patting(case: &ResolvedDish, bench: &Prepare, kitchen: &Kitchen) -> Question {
    let effect = |surface: Surface| {
        let plan = seared(case, bench, kitchen, |bench| bench.surface = surface);
        say::surface_effect(Minutes(plan.side_min), plan.per_batch)
    };
    Question {
        id: "surface",
        question: say::surface_question(),
        options: vec![
            ("patted", say::surface_question_patted(), effect(Surface::Patted)),
            ("wet", say::surface_question_wet(), effect(Surface::Wet)),
        ],
        chosen: if bench.surface == Surface::Patted { "patted" } else { "wet" },
        usual: "patted",
        reason: say::surface_question_reason(),
    }
}

fn dredging(case: &ResolvedDish, bench: &Prepare) -> Question {
    let clings = flour_g(case);
    Question {
        id: "flour",
        question: say::flour_question(),
        options: vec![
            ("no", say::flour_question_no(), say::flour_question_no_effect()),
            ("yes", say::flour_question_yes(), say::flour_effect(Grams(clings), Grams(DREDGED_COUNTS * clings))),
        ],
        chosen: yes_or_no(bench.flour),
        usual: "no",
        reason: say::flour_question_reason(),
    }
}

fn wine(bench: &Prepare, kitchen: &Kitchen) -> Option<Question> {
    // What would grow bitter is never boiled down: there is nothing to choose.
    let poured = deglazes(bench).filter(|thing| !thing.what.facts().bitter)?;
    let litres = poured.millilitres() / 1000.0;
    let halved = Prepare { wine: Wine::Halved, ..bench.clone() };
    Some(Question {
        id: "wine",
        question: say::wine_question(poured.what.name()),
        options: vec![
            (
                "halved",
                say::wine_question_halved(),
                say::wine_halved_effect(RoughMinutes(halved.boiling_down_min(kitchen))),
            ),
            ("whole", say::wine_question_whole(), say::wine_whole_effect(Volume(litres * Wine::Halved.stays()))),
        ],
        chosen: if bench.wine == Wine::Halved { "halved" } else { "whole" },
        usual: "halved",
        reason: say::wine_question_reason(),
    })
}

fn tempering(case: &ResolvedDish, request: &ForecastRequest, bench: &Prepare) -> Result<Option<Question>> {
    let stood_c = tempered_c(case, 60.0);
    let [cold, stood] = [FROM_THE_FRIDGE_C, stood_c].map(|start_c| minutes_from(request, start_c));
    let (Some(cold), Some(stood)) = (cold?, stood?) else { return Ok(None) };
    let sooner = f64::max(0.0, cold - stood);
    let effect = if sooner < 2.5 {
        say::temper_little(Difference(stood_c - FROM_THE_FRIDGE_C), RoughMinutes(cold))
    } else {
        say::temper_sooner(RoughMinutes(sooner), RoughMinutes(cold))
    };
    Ok(Some(Question {
        id: "temper",
        question: say::temper_question(),
        options: vec![
            ("0", say::temper_question_no(), say::temper_question_no_effect()),
            ("60", say::temper_question_yes(), effect),
        ],
        chosen: if bench.temper_min > 0.0 { "60" } else { "0" },
        usual: "0",
        reason: say::temper_question_reason(),
    }))
}

/// Flour that clings to so much meat, g. Practice.
pub(crate) fn flour_g(case: &ResolvedDish) -> f64 {
    25.0 * case.mass_kg
}

fn marinade(bench: &Prepare) -> Question {
    Question {
        id: "marinade",
        question: say::marinade_question(),
        options: vec![
            ("no", say::marinade_question_no(), say::marinade_question_no_effect()),
            ("wine", say::marinade_question_wine(), say::marinade_question_wine_effect()),
            ("acid", say::marinade_question_acid(), say::marinade_question_acid_effect()),
            ("spice", say::marinade_question_spice(), say::marinade_question_spice_effect()),
            ("soy", say::marinade_question_soy(), say::marinade_question_soy_effect()),
        ],
        chosen: match bench.marinade.map(|marinade| marinade.of) {
            None => "no",
            Some(MarinadeOf::Wine) => "wine",
            Some(MarinadeOf::Acid) => "acid",
            Some(MarinadeOf::Spice) => "spice",
            Some(MarinadeOf::Soy) => "soy",
        },
        usual: "no",
        reason: say::marinade_question_reason(),
    }
}
