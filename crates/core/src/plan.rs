//! A plan: one dish, its meat and way, and the bell.

use ergastic_words::errors;
use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use serde_with::skip_serializing_none;
use utoipa::ToSchema;

use crate::bench::{Level, Prepare};
use crate::clock::check_instant;
use crate::error::{Error, Result, Unit, WhatIsWrong, in_range};
use crate::finish::{Target, Thickener};
use crate::forecast::ForecastRequest;
use crate::kitchen::Kitchen;
use crate::text::check_name;

/// The things of the kitchen that a dish is cooked in and on, by their ids; the first that is free where none is named.
#[skip_serializing_none]
#[derive(Debug, Clone, PartialEq, Eq, Default, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields, default)]
pub struct Uses {
    /// The pot, dish, pressure pot or slow cooker.
    #[schema(min_length = 1, max_length = 40)]
    pub pot: Option<String>,
    /// The oven, burner, pit, bath or coals.
    #[schema(min_length = 1, max_length = 40)]
    pub heat: Option<String>,
    /// The frying pan.
    #[schema(min_length = 1, max_length = 40)]
    pub pan: Option<String>,
    /// The burner under it.
    #[schema(min_length = 1, max_length = 40)]
    pub burner: Option<String>,
}

impl Uses {
    fn check(&self) -> Result<()> {
        let named = [("pot", &self.pot), ("heat", &self.heat), ("pan", &self.pan), ("burner", &self.burner)];
        for (field, id) in named {
            if let Some(id) = id {
                check_name(&format!("uses.{field}"), id, 40)?;
            }
        }
        Ok(())
    }
}

/// One dish with its bell.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct Plan {
    /// What the dish is called.
    #[schema(min_length = 1, max_length = 80)]
    pub name: String,
    /// How many eat.
    #[serde(default = "four")]
    #[schema(minimum = 1, maximum = 200)]
    pub people: u32,
    /// Plates on the table.
    pub serve_at: Timestamp,
    /// The chance of being ready that it is made for; the kitchen's own where not given.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 0.5, maximum = 0.99)]
    pub certainty: Option<f64>,
    /// The meat and its way.
    pub forecast: ForecastRequest,
    /// What is done before the heat.
    #[serde(default)]
    pub prepare: Prepare,
    /// What it is cooked in and on.
    #[serde(default)]
    pub uses: Uses,
    /// What the liquid becomes.
    #[serde(default)]
    pub target: Target,
    /// What thickens it.
    #[serde(default)]
    pub thickener: Thickener,
    /// What is served beside it.
    #[serde(default)]
    #[schema(max_items = 12)]
    pub sides: Vec<Side>,
    /// The meal it belongs to; a meal of its own where none is named. The dishes of a meal have one bell.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub meal: Option<MealOf>,
    /// Tasks that the cook has put at an hour, or given their length.
    #[serde(default)]
    #[schema(max_items = 200)]
    pub pins: Vec<PlanPin>,
    /// The hours and lengths that its meal's sheet gave its tasks when its cook was started: kept for as long as they can be.
    #[serde(default)]
    #[schema(max_items = 200)]
    pub laid: Vec<PlanPin>,
    /// What else is to be remembered of it, such as all that its recipe says.
    #[serde(default)]
    #[schema(max_length = 20_000)]
    pub notes: String,
}

/// The meal that a dish belongs to.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct MealOf {
    /// What its dishes know it by.
    #[schema(min_length = 1, max_length = 40)]
    pub id: String,
    /// What it is called.
    #[schema(min_length = 1, max_length = 80)]
    pub name: String,
    /// What is borrowed for it, beside the kitchen's own.
    #[serde(default)]
    #[schema(max_items = 8)]
    pub borrowed: Vec<Borrowed>,
    /// Minutes of sleep given up for it at either end of a night.
    #[serde(default)]
    #[schema(maximum = 240)]
    pub less_sleep_min: u32,
}

/// What can be borrowed for a meal.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Borrowed {
    /// A pair of hands.
    Hands,
    /// A frying pan.
    Pan,
    /// A burner.
    Burner,
    /// An oven.
    Oven,
}

/// So much is borrowed for one meal, and so much sleep given up at either end, min.
const MAX_BORROWED: usize = 8;
const MAX_SLEEP_MIN: u32 = 240;

/// What the cook has said of a task: when it starts, how long it takes, or both.
#[skip_serializing_none]
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct PlanPin {
    /// Its name in the dish.
    #[schema(min_length = 1, max_length = 40)]
    pub task: String,
    /// It starts then.
    #[serde(default)]
    pub at: Option<Timestamp>,
    /// It takes so long, min.
    #[serde(default)]
    #[schema(minimum = 1, maximum = 1440)]
    pub min: Option<f64>,
}

/// Letters of its notes.
pub(crate) const MAX_NOTES: usize = 20_000;
/// Tasks of one dish that had their hours when its cook was started.
const MAX_LAID: usize = 200;
/// Tasks of one dish that are pinned, and the longest that one is said to take, min.
const MAX_PINS: usize = 40;
pub(crate) const MAX_MIN: f64 = 1440.0;

/// Something served beside the meat, cooked by itself so that it lands with it.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct Side {
    /// What it is called.
    #[schema(min_length = 1, max_length = 60)]
    pub what: String,
    /// It takes so long over the heat, min.
    #[schema(minimum = 1, maximum = 600)]
    pub min: f64,
}

/// Sides of one dish.
const MAX_SIDES: usize = 12;

/// Checks what is served beside a dish.
///
/// # Errors
/// Names the field that can't be used.
pub fn check_sides(sides: &[Side]) -> Result<()> {
    if sides.len() > MAX_SIDES {
        return Err(Error::new(WhatIsWrong::OutOfRange, "sides", sides.len(), errors::at_most(MAX_SIDES as u32)));
    }
    for (i, side) in sides.iter().enumerate() {
        check_name(&format!("sides[{i}].what"), &side.what, 60)?;
        in_range(&format!("sides[{i}].min"), side.min, 1.0, 600.0, Unit::Minutes)?;
    }
    Ok(())
}

fn check_pins(field: &str, pins: &[PlanPin], most: usize) -> Result<()> {
    if pins.len() > most {
        return Err(Error::new(WhatIsWrong::OutOfRange, field, pins.len(), errors::at_most(most as u32)));
    }
    for (i, pin) in pins.iter().enumerate() {
        check_name(&format!("{field}[{i}].task"), &pin.task, 40)?;
        pin.at.map_or(Ok(()), |at| check_instant(&format!("{field}[{i}].at"), at))?;
        in_range(&format!("{field}[{i}].min"), pin.min.unwrap_or(1.0), 1.0, MAX_MIN, Unit::Minutes)?;
    }
    Ok(())
}

fn four() -> u32 {
    4
}

impl Plan {
    /// What the liquid becomes: a broth is drunk as it is, unless the cook says otherwise.
    pub fn finished_as(&self) -> Target {
        let soup = self.prepare.level == Some(Level::Soup) && self.target == Target::default();
        if self.prepare.clear || soup { Target::Broth } else { self.target }
    }

    /// Checks what is asked of a plan that is to be kept, besides that it can be cooked: a bell in our time.
    ///
    /// # Errors
    /// Names the field that can't be used.
    pub fn check_kept(&self) -> Result<()> {
        self.uses.check()?;
        check_sides(&self.sides)?;
        if let Some(meal) = &self.meal {
            check_name("meal.id", &meal.id, 40)?;
            check_name("meal.name", &meal.name, 80)?;
            if meal.borrowed.len() > MAX_BORROWED {
                let given = meal.borrowed.len();
                return Err(Error::new(
                    WhatIsWrong::OutOfRange,
                    "meal.borrowed",
                    given,
                    errors::at_most(MAX_BORROWED as u32),
                ));
            }
            let sleep = f64::from(meal.less_sleep_min);
            in_range("meal.less_sleep_min", sleep, 0.0, f64::from(MAX_SLEEP_MIN), Unit::Minutes)?;
        }
        let letters = self.notes.chars().count();
        if letters > MAX_NOTES {
            return Err(Error::new(WhatIsWrong::OutOfRange, "notes", letters, errors::at_most(MAX_NOTES as u32)));
        }
        check_pins("pins", &self.pins, MAX_PINS)?;
        check_pins("laid", &self.laid, MAX_LAID)?;
        check_instant("serve_at", self.serve_at)
    }

    /// What of this dish holds for another of the same meal too; none where that has it already, or is of another meal.
    pub fn alike(&self, other: &Self) -> Option<Self> {
        let meal = self.meal.as_ref()?;
        let theirs = other.meal.as_ref().filter(|theirs| theirs.id == meal.id)?;
        let same = theirs == meal && other.serve_at == self.serve_at;
        (!same).then(|| Self { serve_at: self.serve_at, meal: Some(meal.clone()), ..other.clone() })
    }

    /// The chance of being ready that this plan is made for.
    pub fn certainty(&self, kitchen: &Kitchen) -> f64 {
        self.certainty.unwrap_or(kitchen.certainty)
    }
}

impl From<Borrowed> for crate::kitchen::ThingKind {
    fn from(borrowed: Borrowed) -> Self {
        match borrowed {
            Borrowed::Hands => Self::Hands,
            Borrowed::Pan => Self::Pan,
            Borrowed::Burner => Self::Burner,
            Borrowed::Oven => Self::Oven,
        }
    }
}
