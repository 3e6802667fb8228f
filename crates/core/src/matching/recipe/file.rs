//! A recipe from elsewhere as a plan: its cut, quantities, times and temperatures where they are recognised, everything it says kept as
//! notes, and each thing that had to be supposed.
//!
//! The document is schema.org's `Recipe` as JSON-LD: one, or one in a list or a graph.

use ergastic_words::{Mass, Message, errors, matching as say};
use jiff::{Span, Timestamp};
use serde::{Deserialize, Serialize};
use serde_json::Value;
use utoipa::ToSchema;

use super::read;
use super::tokens::{PlacedToken, Token, number, tokens};
use crate::bench::{Ingredient, Larder, Prepare};
use crate::clock::zone;
use crate::cuts::Cut;
use crate::error::{Error, Result, WhatIsWrong};
use crate::finish::{Target, Thickener};
use crate::forecast::{ForecastRequest, StageRequest};
use crate::kitchen::Kitchen;
use crate::plan::{MAX_NOTES, Plan, Uses};
use crate::ways::Method;

/// The field that a plan of ours stands in, whole.
pub const OWN: &str = "ergastic:plan";
/// Supper, where a recipe names no hour.
const SUPPER_H: i8 = 19;
/// Those who eat, where it does not say.
const USUAL_PEOPLE: u32 = 4;
/// Meat for each of them, where it is not weighed, kg.
const EACH_KG: f64 = 0.3;

/// A recipe that was read.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct RecipeRead {
    /// The dish; whatever was not recognised is in its notes.
    pub plan: Plan,
    /// What had to be supposed, in words: all of it can be changed at the bench.
    pub doubts: Vec<String>,
}

/// Reads a recipe.
///
/// # Errors
/// When the document holds none.
pub fn read_recipe(document: &Value, kitchen: &Kitchen, now: Timestamp) -> Result<RecipeRead> {
    let recipe = recipe_in(document).ok_or_else(|| {
        let shown: String = document.to_string().chars().take(60).collect();
        Error::new(WhatIsWrong::Unknown, "recipe", shown, errors::a_recipe())
    })?;
    if let Some(own) = recipe.get(OWN)
        && let Ok(plan) = serde_json::from_value::<Plan>(own.clone())
    {
        // What was planned there is a dish of its own here.
        let plan = Plan { serve_at: supper(kitchen, now), meal: None, pins: Vec::new(), laid: Vec::new(), ..plan };
        return Ok(RecipeRead { plan, doubts: Vec::new() });
    }
    Ok(from_elsewhere(&recipe, kitchen, now))
}

/// The recipe of a document: itself, or the first in a list or a graph.
fn recipe_in(document: &Value) -> Option<serde_json::Map<String, Value>> {
    match document {
        Value::Array(all) => all.iter().find_map(recipe_in),
        Value::Object(fields) => {
            let is = |kind: &Value| kind.as_str().is_some_and(|kind| kind.rsplit('/').next() == Some("Recipe"));
            let kind = fields.get("@type");
            if kind.is_some_and(|kind| is(kind) || kind.as_array().is_some_and(|kinds| kinds.iter().any(is))) {
                return Some(fields.clone());
            }
            fields.get("@graph").and_then(recipe_in)
        }
        _ => None,
    }
}

/// Every text in a value: itself, those of a list, the texts of steps and of their sections.
fn texts(value: &Value, found: &mut Vec<String>) {
    match value {
        Value::String(text) => {
            found.extend(text.lines().map(str::trim).filter(|line| !line.is_empty()).map(str::to_owned))
        }
        Value::Number(number) => found.push(number.to_string()),
        Value::Array(all) => all.iter().for_each(|one| texts(one, found)),
        Value::Object(fields) => {
            let inner = ["text", "itemListElement"].into_iter().find_map(|name| fields.get(name));
            if let Some(inner) = inner.or_else(|| fields.get("name")) {
                texts(inner, found);
            }
        }
        _ => {}
    }
}

fn all_texts(recipe: &serde_json::Map<String, Value>, field: &str) -> Vec<String> {
    let mut found = Vec::new();
    recipe.get(field).into_iter().for_each(|value| texts(value, &mut found));
    found
}

fn words_of(text: &str) -> Vec<PlacedToken> {
    let letters: Vec<char> = text.to_lowercase().chars().collect();
    tokens(&letters)
}

fn has_words(line: &[PlacedToken], name: &str) -> bool {
    let wanted: Vec<&str> = name.split([' ', '_', '-']).collect();
    let is = |placed: &PlacedToken, wanted: &str| match &placed.token {
        Token::Word(word) => word == wanted || word.strip_suffix('s') == Some(wanted),
        _ => false,
    };
    line.windows(wanted.len()).any(|window| window.iter().zip(&wanted).all(|(placed, wanted)| is(placed, wanted)))
}

/// A quantity of a line: grams, or millilitres.
fn quantity(line: &[PlacedToken]) -> Option<(f64, bool)> {
    line.windows(2).find_map(|pair| {
        let (count, unit) = (number(pair.first())?, &pair[1].token);
        let Token::Word(unit) = unit else { return None };
        Some(match unit.as_str() {
            "kg" | "kilo" | "kilos" | "kilogram" | "kilograms" => (1000.0 * count, true),
            "g" | "gram" | "grams" | "gr" => (count, true),
            "lb" | "lbs" | "pound" | "pounds" => (453.592 * count, true),
            "oz" | "ounce" | "ounces" => (28.3495 * count, true),
            "l" | "litre" | "litres" | "liter" | "liters" => (1000.0 * count, false),
            "dl" => (100.0 * count, false),
            "cl" => (10.0 * count, false),
            "ml" => (count, false),
            "cup" | "cups" => (240.0 * count, false),
            "tbsp" | "tablespoon" | "tablespoons" => (15.0 * count, false),
            "tsp" | "teaspoon" | "teaspoons" => (5.0 * count, false),
            _ => return None,
        })
    })
}

/// The cut of some lines, and the line that names it; longer names first, so that a short rib is no rib.
fn cut_in(lines: &[String]) -> Option<(Cut, String)> {
    let mut known: Vec<(&str, Cut)> =
        Cut::all().iter().filter(|facts| facts.suitable).map(|facts| (facts.key, facts.cut)).collect();
    known.extend(OTHER_NAMES);
    known.sort_by_key(|(name, _)| std::cmp::Reverse(name.len()));
    lines.iter().find_map(|line| {
        let words = words_of(line);
        let found = known.iter().find(|(name, _)| has_words(&words, name))?;
        Some((found.1, line.clone()))
    })
}

/// What cuts are called elsewhere.
const OTHER_NAMES: [(&str, Cut); 8] = [
    ("shank", Cut::Shin),
    ("stewing beef", Cut::StewingMix),
    ("stew meat", Cut::StewingMix),
    ("stewing steak", Cut::StewingMix),
    ("beef ribs", Cut::ShortRib),
    ("ox cheek", Cut::Cheek),
    ("tail", Cut::Oxtail),
    ("pot roast", Cut::Chuck),
];

fn from_elsewhere(recipe: &serde_json::Map<String, Value>, kitchen: &Kitchen, now: Timestamp) -> RecipeRead {
    let voice = kitchen.voice();
    let mut doubts: Vec<Message> = Vec::new();
    let (lines, steps) = (all_texts(recipe, "recipeIngredient"), all_texts(recipe, "recipeInstructions"));
    let title = all_texts(recipe, "name");
    let found = cut_in(&lines).or_else(|| cut_in(&title)).or_else(|| cut_in(&steps));
    let cut = found.as_ref().map_or(Cut::Chuck, |(cut, _)| *cut);
    if found.is_none() {
        doubts.push(say::recipe_cut(cut.name()));
    }
    let served = all_texts(recipe, "recipeYield").iter().find_map(|text| {
        words_of(text).iter().find_map(|placed| number(Some(placed))).filter(|count| (1.0..=200.0).contains(count))
    });
    let people = served.map_or(USUAL_PEOPLE, |count| count as u32);
    if served.is_none() {
        doubts.push(say::recipe_people(people));
    }
    let weighed = found.as_ref().and_then(|(_, line)| quantity(&words_of(line))).filter(|(_, weight)| *weight);
    let mass_kg = weighed.map_or(EACH_KG * f64::from(people), |(grams, _)| grams / 1000.0).clamp(0.1, 60.0);
    if weighed.is_none() {
        doubts.push(say::recipe_mass(Mass(mass_kg)));
    }
    let stages = way(&steps, mass_kg, &mut doubts);
    let meat_line = found.map(|(_, line)| line);
    let ingredients = lines.iter().filter(|line| Some(*line) != meat_line.as_ref()).filter_map(|line| larder(line));
    let serve_at = supper(kitchen, now);
    let plan = |stages: Option<Vec<StageRequest>>| Plan {
        name: title.first().map_or_else(|| voice.render(cut.label()), |name| name.chars().take(80).collect()),
        people,
        serve_at,
        certainty: None,
        forecast: ForecastRequest {
            cut: Some(cut),
            mass_kg: Some(mass_kg),
            method: stages.is_none().then_some(Method::Braise),
            stages,
            ..ForecastRequest::default()
        },
        prepare: Prepare { ingredients: ingredients.clone().take(24).collect(), ..Prepare::default() },
        uses: Uses::default(),
        target: Target::default(),
        thickener: Thickener::default(),
        sides: Vec::new(),
        meal: None,
        pins: Vec::new(),
        laid: Vec::new(),
        notes: notes(recipe),
    };
    let plan = that_can_be(plan, stages, kitchen, &mut doubts);
    let doubts: Vec<String> = doubts.into_iter().map(|doubt| voice.render(doubt)).collect();
    // They stay with the dish until the cook strikes them out.
    let asked: String = doubts.iter().map(|doubt| format!("? {doubt}\n")).collect();
    let notes = (asked + &plan.notes).chars().take(MAX_NOTES).collect();
    RecipeRead { plan: Plan { notes, ..plan }, doubts }
}

/// The dish as the recipe has it, or as near to that as this kitchen can come: what can't be is said, and left for the cook to choose.
fn that_can_be(
    plan: impl Fn(Option<Vec<StageRequest>>) -> Plan,
    stages: Option<Vec<StageRequest>>,
    kitchen: &Kitchen,
    doubts: &mut Vec<Message>,
) -> Plan {
    let asked = plan(stages);
    let can_be = |plan: &Plan| plan.resolve(kitchen).is_ok();
    let mut plan = match asked.forecast.stages.is_some() && can_be(&asked) {
        true => asked,
        false => {
            doubts.push(say::recipe_way());
            plan(None)
        }
    };
    if !can_be(&plan) {
        let less_kg = EACH_KG * f64::from(USUAL_PEOPLE);
        plan.forecast.mass_kg = Some(less_kg);
        doubts.push(say::recipe_mass_of_the_pot(Mass(less_kg)));
    }
    plan
}

/// The stages of its instructions, as far as they name a time over some heat.
fn way(steps: &[String], mass_kg: f64, doubts: &mut Vec<Message>) -> Option<Vec<StageRequest>> {
    let mut stages = Vec::new();
    for sentence in steps.iter().flat_map(|step| step.split_inclusive(['.', ';'])) {
        let Ok(read) = read::read(sentence.trim(), mass_kg) else { continue };
        doubts.extend(read.guesses.into_iter().map(|guess| guess.said));
        stages.extend(read.stages);
    }
    // No cook has more.
    (!stages.is_empty() && stages.len() <= 12).then_some(stages)
}

/// What of the larder a line names, with how much of it.
fn larder(line: &str) -> Option<Ingredient> {
    let words = words_of(line);
    let (count, weight) = quantity(&words)?;
    let mut known: Vec<Larder> = Larder::all().iter().map(|facts| facts.what).collect();
    known.sort_by_key(|what| std::cmp::Reverse(what.key().len()));
    let what = known.into_iter().find(|what| has_words(&words, what.key()))?;
    let (g, ml) = if weight { (Some(count), None) } else { (None, Some(count)) };
    (count <= 30_000.0).then_some(Ingredient::usual(what, ml, g))
}

/// Everything that the recipe says, a line each.
fn notes(recipe: &serde_json::Map<String, Value>) -> String {
    let mut lines = Vec::new();
    for (name, value) in recipe.iter().filter(|(name, _)| !name.starts_with('@') && *name != OWN) {
        let mut found = Vec::new();
        texts(value, &mut found);
        match found.as_slice() {
            [] => lines.push(format!("{name}: {value}")),
            [only] => lines.push(format!("{name}: {only}")),
            many => {
                lines.push(format!("{name}:"));
                lines.extend(many.iter().map(|line| format!("- {line}")));
            }
        }
    }
    lines.join("\n").chars().take(MAX_NOTES).collect()
}

/// The next supper in the kitchen's zone that is not today.
fn supper(kitchen: &Kitchen, now: Timestamp) -> Timestamp {
    let zone = zone("zone", &kitchen.zone).unwrap_or(jiff::tz::TimeZone::UTC);
    let tomorrow = now.to_zoned_datetime(zone.clone()).date().saturating_add(Span::new().days(1));
    tomorrow.at(SUPPER_H, 0, 0, 0).to_zoned_datetime(zone).map_or(now, |at| at.timestamp())
}
