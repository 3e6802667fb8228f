//! What lies behind a forecast: bands along its curve, the rule and numbers of each figure, and what would narrow it.

use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::answer::Forecast;
use super::evidence::Update;
use super::resolve::{Case, Medium};
use super::run::run_all_sampled;
use super::stats::{correlation, quantile};
use super::words::span;
use crate::heat::pit::PIT_COEFFICIENT;
use crate::tender::{Age, EatenAs};
use crate::units::{MINUTE_S, round_to};

/// Points of the bands.
const BAND_POINTS: usize = 24;
/// A fact that explains less than this share of the spread is not worth asking for.
const WORTH_ASKING: f64 = 0.02;

/// Where eight in ten of the simulated cooks stand at a moment.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct BandPoint {
    /// Minutes since the meat met the heat.
    pub min: f64,
    /// Near the middle, as a probe reads it: P10, P50, P90, °C.
    pub core_c: [f64; 3],
    /// On the scale of slice to spoon: P10, P50, P90.
    pub tenderness: [f64; 3],
    /// Liquid in the pot: P10, P50, P90, L.
    pub liquid_l: [f64; 3],
}

/// One fact that would narrow the band.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Narrows {
    /// A stable name: animal, thickness, oven, simmer, pit, lid, bark, liquid.
    pub fact: String,
    /// How the cook can find it out.
    pub how: String,
    /// Share of the doubt in the ready time that it explains, 0–1.
    pub share: f64,
    /// P10 to P90 of ready if it were known, min.
    pub width_min: f64,
}

/// The rule behind a figure, with this case's numbers.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Rule {
    /// Which figure.
    pub figure: String,
    /// The rule, in plain words.
    pub rule: String,
    /// This case's numbers in it.
    pub numbers: String,
    /// How sure.
    pub sure: String,
}

/// What lies behind a forecast.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Explained {
    /// Bands along the curve.
    pub bands: Vec<BandPoint>,
    /// P10 to P90 of ready, min.
    pub width_min: Option<f64>,
    /// Facts, the most telling first.
    pub narrows: Vec<Narrows>,
    /// Rules.
    pub rules: Vec<Rule>,
}

/// Explains an answer from the ensemble behind it.
pub fn explain(case: &Case, drawn: &Update, answer: &Forecast) -> Explained {
    let width_min = answer.ready_min.p90.zip(answer.ready_min.p10).map(|(p90, p10)| p90 - p10);
    Explained {
        bands: bands(case, drawn, answer),
        width_min,
        narrows: width_min.map_or(Vec::new(), |width| narrows(case, drawn, width)),
        rules: rules(case, answer),
    }
}

fn bands(case: &Case, drawn: &Update, answer: &Forecast) -> Vec<BandPoint> {
    let last_min = answer.curve.last().map_or(0.0, |point| point.min);
    let at_s: Vec<f64> = (1..=BAND_POINTS).map(|i| last_min * MINUTE_S * i as f64 / BAND_POINTS as f64).collect();
    let (_, samples) = run_all_sampled(case, &drawn.drawn, &at_s);
    let weights = &drawn.ensemble.weights;
    let point = |(at_s, samples): (&f64, &Vec<super::run::Sample>)| {
        let three = |of: &dyn Fn(&super::run::Sample) -> f64, step: f64| {
            let values: Vec<f64> = samples.iter().map(of).collect();
            [0.1, 0.5, 0.9].map(|p| round_to(quantile(&values, weights, p).unwrap_or(0.0), step))
        };
        BandPoint {
            min: round_to(at_s / MINUTE_S, 0.1),
            core_c: three(&|sample| sample.probe_c, 0.1),
            tenderness: three(&|sample| sample.tenderness, 0.001),
            liquid_l: three(&|sample| sample.liquid_l, 0.001),
        }
    };
    at_s.iter().zip(&samples).map(point).collect()
}

/// How much of the spread of the ready time each drawn fact explains: the square of its correlation with the logarithm of
/// the time. The facts are drawn apart from each other, so the shares add up to what a straight line can explain.
fn narrows(case: &Case, drawn: &Update, width_min: f64) -> Vec<Narrows> {
    let reaches: Vec<usize> =
        (0..drawn.ensemble.ready_s.len()).filter(|i| drawn.ensemble.ready_s[*i].is_finite()).collect();
    let times: Vec<f64> = reaches.iter().map(|i| drawn.ensemble.ready_s[*i].ln()).collect();
    let share = |fact: &dyn Fn(usize) -> f64| {
        let values: Vec<f64> = reaches.iter().map(|i| fact(*i)).collect();
        correlation(&values, &times).powi(2)
    };
    let member = |i: usize| &drawn.drawn.members[i];
    let meat = |of: &dyn Fn(&super::members::Piece) -> f64| {
        let parts = &drawn.drawn.pieces;
        parts.iter().map(|part| share(&|i| of(&part[i]))).fold(0.0, f64::max)
    };
    let media = || case.stages.iter().map(|stage| &stage.medium);
    let oven = media().any(|medium| matches!(medium, Medium::Oven { .. } | Medium::Coals(_)));
    let pit = media().any(|medium| matches!(medium, Medium::Pit { .. }));
    let thickness = if case.parts.iter().any(|part| !part.measured) {
        "Measure the thickest piece at its thickest, with a ruler: it is guessed from the weight."
    } else {
        "Measure it again, at its thickest: a few millimetres are minutes."
    };
    let facts = [
        ("thickness", thickness, meat(&|piece| piece.thickness.ln())),
        (
            "animal",
            "Nobody knows the animal beforehand. The first fork check, at two thirds of the time, tells most.",
            meat(&|piece| piece.resistance.ln()),
        ),
        (
            "oven",
            "Stand a thermometer in the oven through one cook.",
            if oven { share(&|i| member(i).oven_k) } else { 0.0 },
        ),
        ("simmer", "Put a thermometer into the liquid once it has settled.", share(&|i| member(i).pot_k)),
        ("pit", "Put a probe at the grate, beside the meat.", if pit { share(&|i| member(i).pit_k) } else { 0.0 }),
        ("lid", "Weigh the pot, or dip it, after an hour: what the lid lets by shows.", share(&|i| member(i).lid.ln())),
        (
            "bark",
            "A probe in the middle: how long it is held back shows how wet the surface is.",
            share(&|i| member(i).wetness.ln()),
        ),
        (
            "liquid",
            "A probe in the middle in the first hour shows how well the heat gets in.",
            share(&|i| member(i).coefficient.ln()),
        ),
    ];
    let mut narrows: Vec<Narrows> = facts
        .into_iter()
        .filter(|(_, _, share)| *share >= WORTH_ASKING)
        .map(|(fact, how, share)| Narrows {
            fact: fact.to_owned(),
            how: how.to_owned(),
            share: round_to(share, 0.01),
            width_min: round_to(width_min * (1.0 - f64::min(share, 1.0)).sqrt(), 1.0),
        })
        .collect();
    narrows.sort_by(|a, b| b.share.total_cmp(&a.share));
    narrows
}

fn rules(case: &Case, answer: &Forecast) -> Vec<Rule> {
    let main = case.main();
    let facts = main.facts;
    let rule = |figure: &str, rule: &str, numbers: String, sure: &str| Rule {
        figure: figure.into(),
        rule: rule.into(),
        numbers,
        sure: sure.into(),
    };
    let mm = main.sides_m.map(|side| side * 1000.0);
    let mut rules = vec![rule(
        "middle",
        "Heat creeps in from all sides. It is followed shell by shell through a body as thick as this piece; twice as thick is \
         about four times as slow.",
        format!(
            "{:.0} × {:.0} × {:.0} mm from {:.0} °C; half the thickness, {:.0} mm, is the way the heat has to go.",
            mm[0],
            mm[1],
            mm[2],
            case.start_c,
            mm[0] / 2.0
        ),
        if main.measured {
            "The thickness is taken to be right within 7 %."
        } else {
            "The thickness is guessed from the weight, within 15 %."
        },
    )];
    rules.extend(case.stages.iter().map(|stage| {
        let (rule_text, numbers) = medium_rule(&stage.medium, case, stage.pot.lid.words());
        rule(stage.medium.words().as_str(), rule_text, numbers, medium_sure(&stage.medium))
    }));
    let resistance = main.goal.resistance;
    let mature = if resistance / facts.resistance > 1.35 { Age::Mature } else { Age::Young };
    rules.push(rule(
        "tender",
        "Tough collagen turns to gelatin, faster the hotter it is: an hour at 95 °C counts as one tender-hour, at 82 °C a third \
         of one, at 115 °C four. It is enough when the whole piece has had so many on average, and the middle half of that.",
        format!(
            "{} asks {:.1} for {}, times {resistance:.2} for {}{}: {:.2} tender-hours.",
            facts.name,
            main.eaten_as.enough(),
            main.eaten_as.word(),
            main.name().to_lowercase(),
            if mature == Age::Mature { " of an older animal" } else { "" },
            main.goal.enough
        ),
        "Animals differ: two in three lie within 20 % of this.",
    ));
    rules.push(rule(
        "too far",
        "Past enough there is room: little where it is to be sliced, least for lean meat, much for fat and sinewy cuts.",
        format!(
            "Too far at {:.2} tender-hours, {:.1} times enough{}.",
            main.goal.too_far,
            main.goal.too_far / main.goal.enough,
            if main.eaten_as == EatenAs::Slice { ": after that a slice falls apart" } else { "" }
        ),
        "A working figure from practice; taste decides.",
    ));
    if let (Some(juice), Some(left)) = (answer.juice_lost_kg, answer.yield_kg) {
        rules.push(rule(
            "juice and yield",
            "Meat squeezes out juice by how hot each part of it has been, most steeply between 55 and 75 °C. Searing does not \
             change it. What is left after trim, bone, juice, fat and gristle is eaten.",
            format!("{:.2} kg raw, {juice:.2} kg of juice lost, {left:.2} kg cooked and edible.", case.mass_kg),
            "Within about a tenth.",
        ));
    }
    if let (Some(gelatin), Some(fat)) = (answer.gelatin_g, answer.fat_l) {
        rules.push(rule(
            "gelatin and fat",
            "Collagen that has dissolved goes to about six tenths into the liquid; fat melts out above 55 °C.",
            format!(
                "{:.1} % collagen and {:.0} % fat in this cut: {gelatin:.0} g of gelatin, {:.0} mL of fat.",
                facts.collagen_pct,
                facts.fat_pct,
                fat * 1000.0
            ),
            "Cuts and trimming differ by a third.",
        ));
    }
    if case.liquid_l > 0.0
        && let Some(left) = answer.liquid_left_l
    {
        rules.push(rule(
            "liquid",
            "What is poured in and the juice that joins it, less the steam that gets past the lid.",
            format!(
                "{:.1} L in, {left:.1} L left when half of such pieces are tender, {}.",
                case.liquid_l,
                case.pot().lid.words()
            ),
            "Lids differ: two in three lose between two thirds and half as much again. A dip or the scale tells.",
        ));
    }
    if let Some(p50) = answer.ready_min.p50 {
        let (p10, p90) = (answer.ready_min.p10.unwrap_or(p50), answer.ready_min.p90.unwrap_or(p50));
        rules.push(rule(
            "the band",
            "The same cook is simulated many times, each with another animal, thickness, heat and lid. Eight in ten of them are \
             ready inside the band.",
            format!("{} cooks: {} to {}, half of them by {}.", case.members, span(p10), span(p90), span(p50)),
            "It is as honest as those spreads are.",
        ));
    }
    rules
}

fn medium_rule(medium: &Medium, case: &Case, lid: &str) -> (&'static str, String) {
    let boil_c = case.boil_c;
    match medium {
        Medium::Hob { simmer } => (
            "The hob is set by what the bubbles look like; each look is so many degrees under the local boil.",
            format!("{}: {:.1} °C, where water boils at {boil_c:.1} °C.", simmer.looks(), boil_c - simmer.below_boil()),
        ),
        Medium::Oven { set_c, .. } => (
            "The oven's air heats the pot; the steam that gets past the lid cools it. Under a lid it boils in almost any oven, \
             and the dial decides how much water goes.",
            format!("{set_c:.0} °C, {lid}; the boil is at {boil_c:.1} °C here."),
        ),
        Medium::Coals(coals) => (
            "So many coals for each inch of the pot stand for an oven; they hold half an hour, then fade until fresh ones go on.",
            format!(
                "{} under and {} over: like an oven of {:.0} °C at their best, fresh ones every {:.0} min.",
                coals.under,
                coals.over,
                coals.full_c(),
                coals.fresh_every_s / MINUTE_S
            ),
        ),
        Medium::Pressure { gauge_kpa, target_c, .. } => (
            "Under pressure water boils hotter. The time counts from coming up to letting go; coming up and letting go cook too.",
            format!("{gauge_kpa:.0} kPa over the air: {target_c:.1} °C against {boil_c:.1} °C."),
        ),
        Medium::Pit { pit, .. } => (
            "The air heats the meat, and its own water cools it as it evaporates: while it is wet the two balance and the middle \
             waits. It goes on when the surface has dried, or a wrap keeps the steam in.",
            format!(
                "{:.0} °C air; {PIT_COEFFICIENT:.0} W a square metre for each degree between air and meat.",
                pit.set_c
            ),
        ),
        Medium::SlowCooker { .. } => (
            "It warms up over hours and ends just under the boil.",
            "92 °C on low, 97 °C on high in the end; full crocks take longer.".into(),
        ),
        Medium::Fat { fat_c } => (
            "Fat carries heat half as well as simmering liquid and takes no water out.",
            format!("Fat at {fat_c:.0} °C."),
        ),
        Medium::Bath { bath_c } => (
            "A bath holds its temperature to tenths; what is in the bag stays in it.",
            format!("Water at {bath_c:.0} °C."),
        ),
        Medium::KeepWarm { at_c } => ("Keeping warm goes on cooking, slowly.", format!("{at_c:.0} °C.")),
        Medium::Chill { .. } => {
            ("Nothing softens in the cold; the heat inside goes on for a while.", "Down to the fridge's 4 °C.".into())
        }
        Medium::Reheat { to_c } => ("Warmed through in its liquid.", format!("Until the middle is at {to_c:.0} °C.")),
    }
}

fn medium_sure(medium: &Medium) -> &'static str {
    match medium {
        Medium::Oven { .. } | Medium::Coals(_) => "Two ovens in three stand within 7 K of their dial.",
        Medium::Pit { .. } => "Pits swing by 8 K, and surfaces dry at their own pace.",
        Medium::Bath { .. } => "Within tenths of a degree.",
        Medium::Chill { .. } => "By how shallow it stands.",
        _ => "Within 2 K, two times in three.",
    }
}
