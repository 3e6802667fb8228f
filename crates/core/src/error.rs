//! The one error type of the core: a field that can't be used, and what could.

use std::fmt;

use ergastic_cancel::Cancelled;
use ergastic_words::{Elevation, Length, Mass, Message, Temperature, Voice, Volume, errors as say};

/// What kind of fault it is.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum WhatIsWrong {
    /// Nothing is given where something must be.
    Missing,
    /// A figure that is too small or too large, or too many of something.
    OutOfRange,
    /// Two fields that exclude each other.
    Clash,
    /// The meat does not go into the vessel.
    DoesNotFit,
    /// A name, a field or a form that is not known.
    Unknown,
    /// It can be done, and does not lead to a dish.
    Unsuitable,
    /// Nobody waits for the answer any more.
    Cancelled,
}

/// What is named where no field is.
const THE_REQUEST: &str = "the request";

/// What the core answers when it is given something it can't compute with.
#[derive(Debug, Clone, PartialEq)]
pub struct Error {
    /// The field as the sender named it, with a path such as `vessel.diameter_cm`; none where it is the whole.
    pub field: String,
    /// What kind of fault it is.
    pub kind: WhatIsWrong,
    /// What was given.
    pub given: Message,
    /// What is allowed, and what to do about it.
    pub allowed: Message,
}

/// The core's result.
pub type Result<T> = std::result::Result<T, Error>;

impl Error {
    /// An error that names the field, the value and what is allowed.
    pub fn new(kind: WhatIsWrong, field: impl Into<String>, given: impl ToString, allowed: Message) -> Self {
        Self { field: field.into(), kind, given: Message::text(given.to_string()), allowed }
    }

    /// The same where what was given is said in words.
    pub fn said(kind: WhatIsWrong, field: impl Into<String>, given: Message, allowed: Message) -> Self {
        Self { field: field.into(), kind, given, allowed }
    }

    /// A field that has to be given.
    pub fn missing(field: impl Into<String>, allowed: Message) -> Self {
        Self { field: field.into(), kind: WhatIsWrong::Missing, given: Message::nothing(), allowed }
    }

    /// The same error one level further in: `diameter_cm` becomes `vessel.diameter_cm`.
    #[must_use]
    pub fn within(mut self, outer: &str) -> Self {
        self.field = match self.field.chars().next() {
            None => outer.to_owned(),
            Some('[') => format!("{outer}{}", self.field),
            Some(_) => format!("{outer}.{}", self.field),
        };
        self
    }

    /// The same error one level further out, for a sender whose fields do not stand inside `outer`.
    #[must_use]
    pub fn out_of(mut self, outer: &str) -> Self {
        if let Some(inner) = self.field.strip_prefix(outer).and_then(|rest| rest.strip_prefix('.')) {
            self.field = inner.to_owned();
        }
        self
    }

    /// The field, or the request where it is the whole of it.
    pub fn named(&self) -> &str {
        if self.field.is_empty() { THE_REQUEST } else { &self.field }
    }

    /// The whole of it in a voice.
    pub fn told(&self, voice: Voice) -> String {
        voice.render(match self.kind {
            WhatIsWrong::Missing => say::missing(self.named(), self.allowed.clone()),
            _ => say::whole(self.named(), self.given.clone(), self.allowed.clone()),
        })
    }
}

impl fmt::Display for Error {
    fn fmt(&self, formatter: &mut fmt::Formatter) -> fmt::Result {
        formatter.write_str(&self.told(Voice::default()))
    }
}

impl std::error::Error for Error {}

impl From<Cancelled> for Error {
    fn from(_: Cancelled) -> Self {
        Self {
            field: String::new(),
            kind: WhatIsWrong::Cancelled,
            given: Message::nothing(),
            allowed: Message::nothing(),
        }
    }
}

/// What can't be is skipped; what was given up is not: the only way to do without an answer.
///
/// # Errors
/// Nobody waits for it any more.
pub fn unless_refused<T>(answer: Result<T>) -> Result<Option<T>> {
    match answer {
        Ok(answer) => Ok(Some(answer)),
        Err(error) if error.kind == WhatIsWrong::Cancelled => Err(error),
        Err(_) => Ok(None),
    }
}

/// What a field's figure is counted in.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum Unit {
    /// A bare figure.
    None,
    /// °C.
    Celsius,
    /// K.
    Kelvin,
    /// m.
    Metres,
    /// cm.
    Centimetres,
    /// mm.
    Millimetres,
    /// kg.
    Kilograms,
    /// g.
    Grams,
    /// L.
    Litres,
    /// mL.
    Millilitres,
    /// h.
    Hours,
    /// min.
    Minutes,
    /// Days from now.
    DaysFromNow,
    /// W.
    Watts,
    /// kPa over the air.
    Kilopascals,
    /// %.
    Percent,
    /// The kitchen's money a kilo.
    AKilo,
    /// Coals.
    Coals,
}

impl Unit {
    fn key(self) -> &'static str {
        match self {
            Self::None => "none",
            Self::Celsius => "celsius",
            Self::Kelvin => "kelvin",
            Self::Metres => "metres",
            Self::Centimetres => "centimetres",
            Self::Millimetres => "millimetres",
            Self::Kilograms => "kilograms",
            Self::Grams => "grams",
            Self::Litres => "litres",
            Self::Millilitres => "millilitres",
            Self::Hours => "hours",
            Self::Minutes => "minutes",
            Self::DaysFromNow => "days_from_now",
            Self::Watts => "watts",
            Self::Kilopascals => "kilopascals",
            Self::Percent => "percent",
            Self::AKilo => "a_kilo",
            Self::Coals => "coals",
        }
    }

    /// The figure as a quantity, where a cook may read it in other units than the field's.
    fn quantity(self, value: f64) -> Option<Message> {
        Some(match self {
            Self::Celsius => Message::quantity(Temperature(value)),
            Self::Metres => Message::quantity(Elevation(value)),
            Self::Centimetres => Message::quantity(Length(value * 10.0)),
            Self::Millimetres => Message::quantity(Length(value)),
            Self::Kilograms => Message::quantity(Mass(value)),
            Self::Litres => Message::quantity(Volume(value)),
            Self::Millilitres => Message::quantity(Volume(value / 1000.0)),
            _ => return None,
        })
    }
}

/// `value` if it lies in `low..=high`.
///
/// # Errors
/// Names the field, the value and the range; a value that is not a number is refused too.
pub fn in_range(field: &str, value: f64, low: f64, high: f64, unit: Unit) -> Result<f64> {
    if value.is_finite() && (low..=high).contains(&value) {
        return Ok(value);
    }
    let figure = |value: f64| Message::text(value.to_string());
    let (from, to) = (figure(low), say::with_unit(figure(high), unit.key()));
    let allowed = match (unit.quantity(low), unit.quantity(high)) {
        (Some(lower), Some(higher)) => say::range_in_both(from, to, lower, higher),
        _ => say::range(from, to),
    };
    Err(Error::new(WhatIsWrong::OutOfRange, field, value, allowed))
}
