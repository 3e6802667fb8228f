//! What lies behind a forecast: bands along its curve, the rule and numbers of each figure, and what would narrow it.

use ergastic_words::{
    Grams, Guide, Length, Mass, Message, Percent, RoughMinutes, Size, Temperature, Volume, forecast as say, ways,
};

use super::answer::{BandPoint, Explained, Forecast, Narrows, Rule};
use super::resolve::{ResolvedDish, ResolvedStage};
use super::stats::{correlation, quantile};
use super::update::Update;
use crate::cuts::EatenAs;
use crate::error::Result;
use crate::ways::Unknown;
use ergastic_physics::members::PieceDrawn;
use ergastic_physics::units::{MINUTE_S, round_to};
use ergastic_physics::{Sample, run_all_sampled};

/// Points of the bands.
const BAND_POINTS: usize = 24;
/// A fact that explains less than this share of the spread is not worth asking for.
const WORTH_ASKING: f64 = 0.02;

/// Explains an answer from the ensemble behind it.
///
/// # Errors
/// Nobody waits for it any more.
pub fn explain(case: &ResolvedDish, drawn: &Update, answer: &Forecast) -> Result<Explained> {
    let width_min = answer.ready_min.p90.zip(answer.ready_min.p10).map(|(p90, p10)| p90 - p10);
    Ok(Explained {
        goal: [answer.enough_softening_h, answer.overcooked_softening_h].map(|hours| hours / answer.toughness),
        bands: bands(case, drawn, answer)?,
        width_min,
        narrows: width_min.map_or(Vec::new(), |width| narrows(case, drawn, width)),
        rules: rules(case, answer),
    })
}

fn bands(case: &ResolvedDish, drawn: &Update, answer: &Forecast) -> Result<Vec<BandPoint>> {
    let last_min = answer.curve.last().map_or(0.0, |point| point.min);
    let at_s: Vec<f64> = (1..=BAND_POINTS).map(|i| last_min * MINUTE_S * i as f64 / BAND_POINTS as f64).collect();
    let (_, samples) = run_all_sampled(&case.physics(), &drawn.drawn, &at_s, &case.how)?;
    let weights = &drawn.ensemble.weights;
    let point = |(at_s, samples): (&f64, &Vec<Sample>)| {
        let three = |of: &dyn Fn(&Sample) -> f64, step: f64| {
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
    Ok(at_s.iter().zip(&samples).map(point).collect())
}

/// How much of the spread of the ready time each drawn fact explains: the square of its correlation with the logarithm of
/// the time. The facts are drawn apart from each other, so the shares add up to what a straight line can explain.
fn narrows(case: &ResolvedDish, drawn: &Update, width_min: f64) -> Vec<Narrows> {
    let reaches: Vec<usize> =
        (0..drawn.ensemble.ready_s.len()).filter(|i| drawn.ensemble.ready_s[*i].is_finite()).collect();
    let times: Vec<f64> = reaches.iter().map(|i| drawn.ensemble.ready_s[*i].ln()).collect();
    let share = |fact: &dyn Fn(usize) -> f64| {
        let values: Vec<f64> = reaches.iter().map(|i| fact(*i)).collect();
        correlation(&values, &times).powi(2)
    };
    let member = |i: usize| &drawn.drawn.members[i];
    let meat = |of: &dyn Fn(&PieceDrawn) -> f64| {
        let parts = &drawn.drawn.pieces;
        parts.iter().map(|part| share(&|i| of(&part[i]))).fold(0.0, f64::max)
    };
    let media = || case.stages.iter().map(|stage| &stage.medium);
    let oven = media().any(|medium| medium.facts().unknown == Unknown::Oven);
    let pit = media().any(|medium| medium.facts().unknown == Unknown::Pit);
    let guessed = case.parts.iter().any(|part| !part.measured);
    let thickness = if guessed { say::narrow_thickness() } else { say::narrow_measured() };
    let facts = [
        ("thickness", thickness, meat(&|piece| piece.thickness.ln())),
        ("animal", say::narrow_animal(), meat(&|piece| piece.toughness.ln())),
        ("oven", say::narrow_oven(), if oven { share(&|i| member(i).oven_k) } else { 0.0 }),
        ("simmer", say::narrow_simmer(), share(&|i| member(i).pot_k)),
        ("pit", say::narrow_pit(), if pit { share(&|i| member(i).pit_k) } else { 0.0 }),
        ("lid", say::narrow_lid(), share(&|i| member(i).lid.ln())),
        ("bark", say::narrow_bark(), share(&|i| member(i).wetness.ln())),
        ("liquid", say::narrow_liquid(), share(&|i| member(i).coefficient.ln())),
    ];
    let mut narrows: Vec<Narrows> = facts
        .into_iter()
        .filter(|(_, _, share)| *share >= WORTH_ASKING)
        .map(|(fact, how, share)| Narrows {
            fact: fact.to_owned(),
            name: case.voice.render(say::fact(fact)),
            how: case.voice.render(how),
            share: round_to(share, 0.01),
            width_min: round_to(width_min * (1.0 - f64::min(share, 1.0)).sqrt(), 1.0),
        })
        .collect();
    narrows.sort_by(|a, b| b.share.total_cmp(&a.share));
    narrows
}

fn rules(case: &ResolvedDish, answer: &Forecast) -> Vec<Rule> {
    let mut rules = vec![middle_rule(case)];
    rules.extend(case.stages.iter().map(|stage| medium_rule(stage, case)));
    rules.extend([tender_rule(case), overcooked_rule(case)]);
    rules.extend(juice_rule(case, answer));
    rules.extend(gelatin_rule(case, answer));
    rules.extend(liquid_rule(case, answer));
    rules.extend(band_rule(case, answer));
    rules
}

fn rule(case: &ResolvedDish, figure: Message, rule: Message, numbers: Message, sure: Message) -> Rule {
    let voice = case.voice;
    Rule {
        figure: voice.render(figure),
        rule: voice.render(rule),
        numbers: voice.render(numbers),
        sure: voice.render(sure),
    }
}

fn middle_rule(case: &ResolvedDish) -> Rule {
    let main = case.main();
    let mm = main.sides_m.map(|side| side * 1000.0);
    let spread = Percent(main.thickness_sigma());
    let numbers = say::middle_rule_numbers(Size(mm), Temperature(case.start_c), Length(mm[0] / 2.0));
    let sure = if main.measured { say::middle_rule_measured(spread) } else { say::middle_rule_guessed(spread) };
    rule(case, say::middle(), say::middle_rule(), numbers, sure)
}

fn tender_rule(case: &ResolvedDish) -> Rule {
    /// Temperatures at which an hour counts as one, a third of one, and four tender-hours, °C.
    const AN_HOUR_IS: [f64; 3] = [95.0, 82.0, 115.0];
    let main = case.main();
    let toughness = main.goal.toughness;
    let older = toughness / main.facts.toughness > 1.35;
    let numbers = if older { say::tender_numbers_older } else { say::tender_numbers };
    let [reference, slow, fast] = AN_HOUR_IS.map(Temperature);
    let done = main.eaten_as.done();
    rule(
        case,
        say::tender(),
        say::tender_rule(reference, slow, fast),
        numbers(main.name(), done, main.eaten_as.enough(), round_to(toughness, 0.01), round_to(main.goal.enough, 0.01)),
        say::tender_sure(Percent(main.facts.toughness_ln_sigma.exp() - 1.0)),
    )
}

fn overcooked_rule(case: &ResolvedDish) -> Rule {
    let main = case.main();
    let numbers =
        if main.eaten_as == EatenAs::Slice { say::overcooked_rule_sliced } else { say::overcooked_rule_numbers };
    let times = round_to(main.goal.overcooked / main.goal.enough, 0.1);
    let numbers = numbers(round_to(main.goal.overcooked, 0.01), times);
    rule(case, say::overcooked(), say::overcooked_rule(), numbers, say::overcooked_rule_sure())
}

fn juice_rule(case: &ResolvedDish, answer: &Forecast) -> Option<Rule> {
    /// Between these meat squeezes out most of its juice, °C.
    const STEEPEST_C: [f64; 2] = [55.0, 75.0];
    let (juice, left) = (answer.juice_lost_kg?, answer.yield_kg?);
    let [low, high] = STEEPEST_C.map(Guide);
    let numbers = say::juice_rule_numbers(Mass(case.mass_kg), Mass(juice), Mass(left));
    Some(rule(case, say::juice_and_yield(), say::juice_rule(low, high), numbers, say::juice_rule_sure()))
}

fn gelatin_rule(case: &ResolvedDish, answer: &Forecast) -> Option<Rule> {
    /// Fat melts out above this, °C.
    const MELTS_C: f64 = 55.0;
    let (gelatin, fat) = (answer.gelatin_g?, answer.fat_l?);
    let facts = case.main().facts;
    let [collagen, fat_share] = [facts.collagen_pct, facts.fat_pct].map(|pct| Percent(pct / 100.0));
    let numbers = say::gelatin_rule_numbers(collagen, fat_share, Grams(gelatin), Volume(fat));
    Some(rule(case, say::gelatin_and_fat(), say::gelatin_rule(Guide(MELTS_C)), numbers, say::gelatin_rule_sure()))
}

fn liquid_rule(case: &ResolvedDish, answer: &Forecast) -> Option<Rule> {
    let left = answer.liquid_left_l.filter(|_| case.liquid_l > 0.0)?;
    let numbers = say::liquid_rule_numbers(Volume(case.liquid_l), Volume(left), case.pot().lid.words());
    Some(rule(case, say::liquid(), say::liquid_rule(), numbers, say::liquid_rule_sure()))
}

fn band_rule(case: &ResolvedDish, answer: &Forecast) -> Option<Rule> {
    let p50 = answer.ready_min.p50?;
    let (p10, p90) = (answer.ready_min.p10.unwrap_or(p50), answer.ready_min.p90.unwrap_or(p50));
    let numbers = say::band_rule_numbers(case.members as u32, RoughMinutes(p10), RoughMinutes(p90), RoughMinutes(p50));
    Some(rule(case, say::band(), say::band_rule(), numbers, say::band_rule_sure()))
}

fn medium_rule(stage: &ResolvedStage, case: &ResolvedDish) -> Rule {
    let heats = stage.medium.way().how_it_heats(stage.pot.lid, case.boil_c);
    rule(case, ways::title(stage.medium.way().name()), heats.rule, heats.numbers, heats.sure)
}
