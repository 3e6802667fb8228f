//! A plan: one dish, its meat and way, and the bell.

use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use crate::clock::check_instant;
use ergastic_words::{Said, errors as say};

use crate::error::{Error, Kind, Result, Unit, in_range};
use crate::finish::{Target, Thickener};
use crate::forecast::{Case, ForecastRequest};
use crate::kitchen::Kitchen;
use crate::prepare::{Dish, Prepare, Prepared, prepare};

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
    pub bell: Timestamp,
    /// The chance of being ready that it is made for; the kitchen's own where not given.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 0.5, maximum = 0.99)]
    pub certainty: Option<f64>,
    /// The meat and its way.
    pub forecast: ForecastRequest,
    /// What is done before the heat.
    #[serde(default)]
    pub prepare: Prepare,
    /// What the liquid becomes.
    #[serde(default)]
    pub target: Target,
    /// What thickens it.
    #[serde(default)]
    pub thickener: Thickener,
}

fn four() -> u32 {
    4
}

/// Characters that show nothing, turn what stands beside them round, or end a text where none is seen to end: with them one
/// name can look like another.
fn is_hidden(letter: char) -> bool {
    matches!(letter,
        '\u{ad}' | '\u{61c}' | '\u{180e}' | '\u{200b}'..='\u{200f}' | '\u{2028}'..='\u{202e}'
        | '\u{2060}'..='\u{206f}' | '\u{feff}' | '\u{fff9}'..='\u{fffb}' | '\u{e0000}'..='\u{e007f}')
}

/// A name on one line: not empty, not endless, nothing hidden in it.
///
/// # Errors
/// Names the field and what is allowed.
pub fn check_name(field: &str, text: &str, most: usize) -> Result<()> {
    if let Some(letter) = text.chars().find(|letter| letter.is_control() || is_hidden(*letter)) {
        return Err(Error::said(Kind::Unknown, field, code(letter), say::one_line()));
    }
    check_length(field, text, most)
}

/// Text that a cook typed, on one line or more: not empty, not endless, nothing hidden in it.
///
/// # Errors
/// Names the field and what is allowed.
pub fn check_text(field: &str, text: &str, most: usize) -> Result<()> {
    let is_odd = |letter: char| letter.is_control() && !matches!(letter, '\n' | '\r' | '\t') || is_hidden(letter);
    if let Some(letter) = text.chars().find(|letter| is_odd(*letter)) {
        return Err(Error::said(Kind::Unknown, field, code(letter), say::visible()));
    }
    check_length(field, text, most)
}

fn code(letter: char) -> Said {
    say::character(&format!("U+{:04X}", u32::from(letter)))
}

fn check_length(field: &str, text: &str, most: usize) -> Result<()> {
    let length = text.chars().count();
    if text.trim().is_empty() || length > most {
        let given = if length > 40 { say::characters(length as u32) } else { Said::text(format!("{text:?}")) };
        return Err(Error::said(Kind::OutOfRange, field, given, say::length(most as u32)));
    }
    Ok(())
}

impl Plan {
    /// Checks what is asked of a plan that is to be kept, besides that it can be cooked: a bell in our time.
    ///
    /// # Errors
    /// Names the field that can't be used.
    pub fn check_kept(&self) -> Result<()> {
        check_instant("bell", self.bell)
    }

    /// Checks the plan and resolves its meat in this kitchen.
    ///
    /// # Errors
    /// Names the field that can't be used; a tender cut is refused here.
    pub fn resolve(&self, kitchen: &Kitchen) -> Result<Case> {
        check_name("name", &self.name, 80)?;
        in_range("people", f64::from(self.people), 1.0, 200.0, Unit::None)?;
        in_range("certainty", self.certainty(kitchen), 0.5, 0.99, Unit::None)?;
        self.prepare.check().map_err(|error| error.within("prepare"))?;
        let parts = self.forecast.parts.iter().flatten().filter_map(|part| part.cut);
        for cut in self.forecast.cut.into_iter().chain(parts) {
            if let Some(why) = cut.refusal() {
                return Err(Error::new(Kind::Unsuitable, "forecast.cut", cut.key(), why));
            }
        }
        self.request(kitchen).resolve().map_err(|error| error.within("forecast"))
    }

    /// The forecast's request as the bench leaves it, in this kitchen.
    pub fn request(&self, kitchen: &Kitchen) -> ForecastRequest {
        self.prepare.in_the_pot(&ForecastRequest { units: Some(kitchen.units), ..self.in_kitchen(kitchen) })
    }

    /// The dish worked out at the bench, salt to lid.
    ///
    /// # Errors
    /// Names the field that can't be used.
    pub fn at_the_bench(&self, kitchen: &Kitchen) -> Result<Prepared> {
        let price_per_kg = self.forecast.cut.and_then(|cut| kitchen.prices.get(&cut).copied());
        let dish = Dish {
            forecast: ForecastRequest { units: Some(kitchen.units), ..self.in_kitchen(kitchen) },
            bench: &self.prepare,
            people: self.people,
            price_per_kg,
            seared_anyway: false,
        };
        prepare(&dish, kitchen)
    }

    /// The meat and its way with the kitchen's altitude and pot where the plan names none.
    fn in_kitchen(&self, kitchen: &Kitchen) -> ForecastRequest {
        let mut request = self.forecast.clone();
        request.altitude_m.get_or_insert(kitchen.altitude_m);
        if request.stands_in_the_kitchens_pot() {
            request.vessel.get_or_insert_with(|| kitchen.pot.clone());
        }
        request
    }

    /// The plan as a cook keeps it: what it takes from the kitchen is written down, so that a new pot or
    /// altitude later does not change what was foretold.
    #[must_use]
    pub fn frozen(&self, kitchen: &Kitchen) -> Self {
        Self { forecast: self.in_kitchen(kitchen), certainty: Some(self.certainty(kitchen)), ..self.clone() }
    }

    /// The chance of being ready that this plan is made for.
    pub fn certainty(&self, kitchen: &Kitchen) -> f64 {
        self.certainty.unwrap_or(kitchen.certainty)
    }
}
