//! What does not fit, with the path to it.

use std::fmt;

use ergastic_words::{Join, Message, errors as say};
use serde::de::{self, Expected, Unexpected};

use crate::error::{Error, WhatIsWrong};

/// One step from a value into it.
#[derive(Debug, Clone, PartialEq, Eq)]
pub enum PathPart {
    /// Into a field.
    Field(String),
    /// Into a list.
    Item(usize),
}

/// A value that does not fit, while it is being read.
#[derive(Debug)]
pub struct Misfit {
    /// From the innermost outward while it travels.
    steps: Vec<PathPart>,
    kind: WhatIsWrong,
    /// What was given, where whoever found the fault knew it.
    given: Option<Message>,
    allowed: Message,
    unknown_field: bool,
}

impl Misfit {
    pub fn new(kind: WhatIsWrong, given: Message, allowed: Message) -> Self {
        Self { steps: Vec::new(), kind, given: Some(given), allowed, unknown_field: false }
    }

    /// The same one step further in.
    pub fn inside(mut self, step: PathPart) -> Self {
        self.steps.push(step);
        self
    }

    /// The same, found by the type itself in this value.
    pub fn of(mut self, given: &Message, allowed: Option<Message>) -> Self {
        if self.given.is_none() {
            self.given = Some(given.clone());
            self.allowed = allowed.unwrap_or(self.allowed);
        }
        self
    }

    pub fn is_unknown_field(&self) -> bool {
        self.unknown_field
    }

    /// The way in from the whole.
    pub fn path(&self) -> Vec<PathPart> {
        self.steps.iter().rev().cloned().collect()
    }
}

impl From<Misfit> for Error {
    fn from(misfit: Misfit) -> Self {
        let mut field = String::new();
        for step in misfit.steps.iter().rev() {
            match step {
                PathPart::Item(index) => field.push_str(&format!("[{index}]")),
                PathPart::Field(name) if field.is_empty() => field.push_str(name),
                PathPart::Field(name) => field.push_str(&format!(".{name}")),
            }
        }
        Self::said(misfit.kind, field, misfit.given.unwrap_or_else(say::a_value), misfit.allowed)
    }
}

impl fmt::Display for Misfit {
    fn fmt(&self, formatter: &mut fmt::Formatter) -> fmt::Result {
        write!(formatter, "{:?}", self.kind)
    }
}

impl std::error::Error for Misfit {}

/// A name of something not known, as it is shown.
pub fn quoted(text: &str) -> Message {
    const MAX: usize = 60;
    let short: String = text.chars().take(MAX).collect();
    Message::text(if short.len() < text.len() { format!("{short:?}…") } else { format!("{text:?}") })
}

fn one_of(known: &'static [&'static str]) -> Message {
    say::one_of(Message::list(known.iter().copied().map(Message::text), Join::Or))
}

impl de::Error for Misfit {
    fn custom<T: fmt::Display>(reason: T) -> Self {
        let allowed = say::fit(&reason.to_string());
        Self { steps: Vec::new(), kind: WhatIsWrong::Unknown, given: None, allowed, unknown_field: false }
    }

    fn invalid_type(_: Unexpected, expected: &dyn Expected) -> Self {
        Self::custom(expected)
    }

    fn invalid_value(_: Unexpected, expected: &dyn Expected) -> Self {
        Self::custom(expected)
    }

    fn invalid_length(_: usize, expected: &dyn Expected) -> Self {
        Self::custom(expected)
    }

    fn unknown_variant(variant: &str, known: &'static [&'static str]) -> Self {
        Self::new(WhatIsWrong::Unknown, quoted(variant), one_of(known))
    }

    fn unknown_field(field: &str, known: &'static [&'static str]) -> Self {
        let allowed = if known.is_empty() { say::no_field() } else { one_of(known) };
        let unknown = Self::new(WhatIsWrong::Unknown, say::this_field(), allowed);
        Self { unknown_field: true, ..unknown }.inside(PathPart::Field(field.to_owned()))
    }

    fn missing_field(field: &'static str) -> Self {
        Self::new(WhatIsWrong::Missing, Message::nothing(), say::must_be_given())
            .inside(PathPart::Field(field.to_owned()))
    }

    fn duplicate_field(field: &'static str) -> Self {
        Self::new(WhatIsWrong::Clash, say::a_second_value(), say::give_once()).inside(PathPart::Field(field.to_owned()))
    }
}
