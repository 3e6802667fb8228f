//! A recipe's words checked against this piece, before it is cooked.

mod figures;
mod file;
mod guess;
mod heat;
mod read;
mod tokens;

pub use file::{OWN, RecipeRead, read_recipe};

use ergastic_words::{Join, Message, Share, errors, matching as say};
use rayon::prelude::*;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::block::MeatToMatch;
use super::variants::{Variant, variants};
use crate::error::{Error, Result};
use crate::forecast::{Forecast, ForecastRequest, ResolvedDish, StageRequest, chance, describe, quantile, softness_at};
use crate::tender::Check;
use crate::ways::Method;
use ergastic_physics::units::round_to;

/// Simulated cooks.
const MEMBERS: u32 = 96;

/// What was understood.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Understood {
    /// The stages.
    pub stages: Vec<StageRequest>,
    /// In words.
    pub words: String,
    /// What had to be supposed, each with what it could be instead.
    pub guesses: Vec<Supposed>,
}

/// Something supposed of a recipe.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Supposed {
    /// What.
    pub text: String,
    /// What it could be instead.
    pub instead: Vec<Otherwise>,
}

/// A recipe read otherwise.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Otherwise {
    /// In a word or two.
    pub words: String,
    /// The whole recipe, to be checked so.
    pub recipe: String,
}

/// Shares of such pieces that are found at each word, 0–1; they sum to one.
#[derive(Debug, Clone, Copy, PartialEq, Default, Serialize, Deserialize, ToSchema)]
pub struct Landing {
    /// Not even slices yet.
    pub not_done: f64,
    /// The fork goes in, a slice holds.
    pub slice: f64,
    /// Soft chunks.
    pub fork: f64,
    /// Like butter.
    pub probe: f64,
    /// Shreds.
    pub pull: f64,
    /// Collapses.
    pub spoon: f64,
}

/// The same softness on other kit.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Equivalent {
    /// The choice it belongs to.
    pub id: String,
    /// Its name.
    pub name: String,
    /// The way.
    pub method: Method,
    /// From the meat meeting the heat, min.
    pub min: f64,
    /// At pressure, where there is some, min.
    pub at_pressure_min: Option<f64>,
}

/// A recipe, checked.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Checked {
    /// As it was written.
    pub text: String,
    /// As it was understood.
    pub understood: Understood,
    /// From the meat meeting the heat to its end, coming up and letting go included, min.
    pub min: f64,
    /// Where such pieces land.
    pub lands: Landing,
    /// On the scale of slice to spoon at its end: P10, P50, P90.
    #[schema(min_items = 3, max_items = 3)]
    pub tenderness: [f64; 3],
    /// Enough and too far for how it is eaten, on the same scale.
    #[schema(min_items = 2, max_items = 2)]
    pub goal: [f64; 2],
    /// P(just right for how it is eaten).
    pub chance: f64,
    /// P(not tender enough yet).
    pub not_yet: f64,
    /// P(gone too far).
    pub overcooked: f64,
    /// In a sentence.
    pub words: String,
    /// The same softness on the kit that is free.
    pub equivalents: Vec<Equivalent>,
    /// The forecast behind it.
    pub request: ForecastRequest,
}

/// Checks a recipe's words against what is on the block.
///
/// # Errors
/// Names the recipe if it can't be read, or the field of what it says that can't be.
pub fn check(block: &MeatToMatch, lies: &ResolvedDish, text: &str) -> Result<Checked> {
    let voice = block.kitchen.voice();
    let read = read::read(text, lies.mass_kg)?;
    let plan =
        block.plan(ForecastRequest { stages: Some(read.stages.clone()), members: Some(MEMBERS), ..block.meat.clone() });
    // The meat has been read already: what can't be used now is of the recipe.
    let case = plan.resolve(block.kitchen).map_err(|error| in_the_recipe(error, text))?;
    let median = describe(&case, None)?;
    let stated: f64 = read.stages.iter().filter_map(|stage| stage.until.as_ref()?.min).sum();
    let min = median.stages.last().and_then(|stage| stage.to_min).unwrap_or(stated);
    let (ensemble, softness) = softness_at(&case, min * 60.0)?;
    let goal = case.main().goal;
    let scale = [goal.enough / goal.toughness, goal.overcooked / goal.toughness];
    let share = |holds: &dyn Fn(usize) -> bool| round_to(chance(&ensemble.weights, holds), 1e-6);
    let lands = Landing::of(|low, high| share(&|i| softness[i] >= low && softness[i] < high));
    let not_yet = share(&|i| ensemble.ready_s[i].is_infinite());
    let overcooked = share(&|i| ensemble.ready_s[i].is_finite() && softness[i] > scale[1]);
    let at = |p| quantile(&softness, &ensemble.weights, p).unwrap_or(0.0);
    let tenderness = [at(0.1), at(0.5), at(0.9)];
    let mut request = plan.request(block.kitchen);
    request.members = None;
    let checked = Checked {
        text: text.to_owned(),
        understood: understood(read, &case),
        min,
        lands,
        tenderness,
        goal: scale,
        chance: round_to(1.0 - not_yet - overcooked, 1e-6),
        not_yet,
        overcooked,
        words: String::new(),
        equivalents: equivalents(block, lies, tenderness[1])?,
        request,
    };
    let words = voice.render(words(&checked, &case));
    Ok(Checked { words, ..checked })
}

impl Landing {
    /// The share of cooks that are between two bounds of softness, for each word.
    fn of(share: impl Fn(f64, f64) -> f64) -> Self {
        let word = |check: Check| {
            let (low, high) = check.bounds();
            share(low, high)
        };
        Self {
            not_done: word(Check::Firm),
            slice: word(Check::Slice),
            fork: word(Check::Fork),
            probe: word(Check::Probe),
            pull: word(Check::Pull),
            spoon: word(Check::Spoon),
        }
    }
}

/// What its words were taken for, with all that was supposed.
fn understood(read: read::Read, case: &ResolvedDish) -> Understood {
    let voice = case.voice;
    let guesses = (read.guesses.iter())
        .map(|guess| {
            let otherwise = |said: &Message| {
                let words = voice.render(said.clone());
                Otherwise { recipe: guess.rewritten(&read.letters, &words), words }
            };
            Supposed { text: voice.render(guess.said.clone()), instead: guess.instead.iter().map(otherwise).collect() }
        })
        .collect();
    let stages = case.stages.iter().zip(&read.stages).map(|(stage, read)| {
        let min = read.until.as_ref().and_then(|until| until.min).unwrap_or(0.0);
        let words = stage.medium.way().for_so_long(ergastic_words::Minutes(min));
        read.lid.map_or(words.clone(), |lid| say::read_with_lid(words, lid.words()))
    });
    Understood { words: voice.render(Message::list(stages, Join::Then)), stages: read.stages, guesses }
}

/// An error of what the recipe says is an error of the recipe.
fn in_the_recipe(error: Error, text: &str) -> Error {
    let allowed = errors::recipe_heat(error.given, error.allowed);
    Error::new(error.kind, "recipe", format!("{text:?}"), allowed)
}

fn words(checked: &Checked, case: &ResolvedDish) -> Message {
    let lands = &checked.lands;
    let shares = [
        (lands.not_done, "firm"),
        (lands.slice, "slice"),
        (lands.fork, "fork"),
        (lands.probe, "probe"),
        (lands.pull, "pull"),
        (lands.spoon, "spoon"),
    ];
    let likeliest = shares.iter().max_by(|a, b| a.0.total_cmp(&b.0)).map_or("firm", |share| share.1);
    let verdict = match (checked.chance, checked.not_yet, checked.overcooked) {
        (chance, ..) if chance >= 0.8 => "will_do",
        (_, not_yet, _) if not_yet >= 0.8 => "too_short",
        (.., overcooked) if overcooked >= 0.8 => "too_long",
        (_, not_yet, overcooked) if not_yet >= overcooked => "rather_short",
        _ => "rather_long",
    };
    let done = case.main().eaten_as.done();
    // A share that rounds to nothing is not worth its words.
    let worth = |share: f64| share >= 0.005;
    let whole = [
        Some(say::recipe(likeliest, done, Share(checked.chance), verdict)),
        worth(checked.not_yet).then(|| say::recipe_not_yet(Share(checked.not_yet))),
        worth(checked.overcooked).then(|| say::recipe_overcooked(Share(checked.overcooked))),
    ];
    Message::list(whole.into_iter().flatten(), Join::Space)
}

/// The same softness by every other way that is free, at every median.
fn equivalents(block: &MeatToMatch, lies: &ResolvedDish, tenderness: f64) -> Result<Vec<Equivalent>> {
    let mut seen = Vec::new();
    let ways: Vec<Variant> = variants(block, lies)
        .into_iter()
        .filter(|variant| !variant.two_stage && variant.loads == 1 && block.has(variant.kit))
        .filter(|variant| {
            // The first variant of each way and piece of kit.
            let key = (variant.forecast.method, variant.kit);
            let first = !seen.contains(&key);
            seen.push(key);
            first
        })
        .collect();
    let found: Vec<Option<Equivalent>> =
        ways.into_par_iter().map(|variant| equivalent(block, variant, tenderness)).collect::<Result<_>>()?;
    Ok(found.into_iter().flatten().collect())
}

/// When one way has it as soft, if ever.
fn equivalent(block: &MeatToMatch, variant: Variant, tenderness: f64) -> Result<Option<Equivalent>> {
    let Variant { id, name, forecast, .. } = variant;
    let name = block.kitchen.voice().render(name);
    let as_soft = |at_pressure_min: Option<f64>| {
        let mut forecast = forecast.clone();
        if let Some(heat) = forecast.heat.as_mut().filter(|_| at_pressure_min.is_some()) {
            heat.at_pressure_min = at_pressure_min;
        }
        let plan = block.plan(ForecastRequest { members: Some(1), ..forecast });
        let Ok(mut case) = plan.resolve(block.kitchen) else { return Ok(None) };
        let dose = tenderness * case.main().goal.toughness;
        for part in &mut case.parts {
            // Followed until well past that softness.
            part.goal.enough = f64::max(0.01, dose);
            part.goal.overcooked = part.goal.enough * 1.5;
        }
        Ok(Some((describe(&case, None)?, dose)))
    };
    let Some(method) = forecast.method else { return Ok(None) };
    if method == Method::Pressure {
        let found = pressed(as_soft)?.map(|(min, held)| (min, Some(held)));
        return Ok(found.map(|(min, at_pressure_min)| Equivalent { id, name, method, min, at_pressure_min }));
    }
    let Some((forecast, dose)) = as_soft(None)? else { return Ok(None) };
    let after = forecast.curve.iter().position(|point| point.softening_h >= dose);
    Ok(after.map(|after| {
        let [before, after] = [&forecast.curve[after.saturating_sub(1)], &forecast.curve[after]];
        let share = (dose - before.softening_h) / (after.softening_h - before.softening_h).max(1e-9);
        let min = before.min + share.clamp(0.0, 1.0) * (after.min - before.min);
        Equivalent { id, name, method, min, at_pressure_min: None }
    }))
}

/// Minutes in all and at pressure after which it is as soft as asked on opening, by halving.
fn pressed(as_soft: impl Fn(Option<f64>) -> Result<Option<(Forecast, f64)>>) -> Result<Option<(f64, f64)>> {
    const LONGEST_MIN: f64 = 480.0;
    let on_opening = |hold_min: f64| {
        let found = as_soft(Some(hold_min))?;
        Ok::<_, Error>(found.and_then(|(forecast, dose)| {
            let last = forecast.curve.last()?;
            let opened_min = forecast.stages.last().and_then(|stage| stage.to_min).unwrap_or(last.min);
            Some((last.softening_h - dose, opened_min))
        }))
    };
    let (mut low, mut high) = (0.0, LONGEST_MIN);
    let Some((_, mut opened_min)) = on_opening(high)?.filter(|(over, _)| *over >= 0.0) else { return Ok(None) };
    while high - low > 0.5 {
        let middle = 0.5 * (low + high);
        match on_opening(middle)? {
            None => return Ok(None),
            Some((over, _)) if over < 0.0 => low = middle,
            Some((_, opened)) => (high, opened_min) = (middle, opened),
        }
    }
    Ok(Some((opened_min, high)))
}
