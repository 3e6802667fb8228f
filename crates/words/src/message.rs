//! A message with its facts, before it is put into words.

use std::borrow::Cow;

use crate::quantity::{
    Dial, Difference, Elevation, Grams, Guide, Instant, Length, Mass, Minutes, Percent, Power, Price, RoughMinutes,
    Share, Size, Spoons, Strength, Temperature, Volume,
};

/// How the items of a list are joined.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum Join {
    /// a, b and c.
    And,
    /// a, b or c.
    Or,
    /// a, b, c.
    Commas,
    /// a; b; c.
    Semicolons,
    /// a, then b.
    Then,
    /// A. B.
    Sentences,
    /// Nothing but a space.
    Space,
}

/// Where a message stands.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub struct MessageId {
    /// The Fluent file.
    pub place: &'static str,
    /// Its id there.
    pub id: &'static str,
    /// Its attribute, if it is one's.
    pub attribute: Option<&'static str>,
}

/// Something to say: a message and its facts.
#[derive(Debug, Clone, PartialEq)]
pub enum Message {
    /// A message of a place.
    One {
        /// Which.
        id: &'static MessageId,
        /// What it names.
        arguments: Vec<(&'static str, Argument)>,
    },
    /// Several things in a row.
    List(Vec<Message>, Join),
    /// What somebody else wrote, as it is: a dish's name, a field's.
    Text(Cow<'static, str>),
    /// A quantity alone.
    Quantity(Box<Argument>),
}

impl Message {
    /// A message; the functions of the places make these.
    pub(crate) fn new(id: &'static MessageId, arguments: Vec<(&'static str, Argument)>) -> Self {
        Self::One { id, arguments }
    }

    /// What somebody else wrote.
    pub fn text(text: impl Into<Cow<'static, str>>) -> Self {
        Self::Text(text.into())
    }

    /// A quantity alone, such as a mass that was assumed.
    pub fn quantity(quantity: impl Into<Argument>) -> Self {
        Self::Quantity(Box::new(quantity.into()))
    }

    /// Nothing.
    pub fn nothing() -> Self {
        Self::Text(Cow::Borrowed(""))
    }

    /// Several things in a row.
    pub fn list(items: impl IntoIterator<Item = Message>, join: Join) -> Self {
        Self::List(items.into_iter().collect(), join)
    }
}

/// What a message names.
#[derive(Debug, Clone, PartialEq)]
pub enum Argument {
    /// Meat and what else is weighed in kilos.
    Mass(Mass),
    /// A little, on the scales.
    Grams(Grams),
    /// A little, by the spoon.
    Spoons(Spoons),
    /// A volume.
    Volume(Volume),
    /// A length.
    Length(Length),
    /// A height above the sea.
    Elevation(Elevation),
    /// Three sides.
    Size(Size),
    /// A temperature that was measured or computed.
    Temperature(Temperature),
    /// A temperature out of guidance or practice.
    Guide(Guide),
    /// What a dial is set to.
    Dial(Dial),
    /// A difference of temperatures.
    Difference(Difference),
    /// A span of time as it turns out.
    RoughMinutes(RoughMinutes),
    /// A span of time as it was set.
    Minutes(Minutes),
    /// A moment.
    Instant(Instant),
    /// A power.
    Power(Power),
    /// So many in ten or a hundred.
    Share(Share),
    /// A percentage.
    Percent(Percent),
    /// Salt in a liquid.
    Strength(Strength),
    /// Money a kilo.
    Price(Price),
    /// A plain figure.
    Number(f64),
    /// So many things.
    Count(u32),
    /// What somebody else wrote.
    Text(Cow<'static, str>),
    /// What a message chooses by.
    Key(&'static str),
    /// Something said inside.
    Message(Message),
}

macro_rules! from {
    ($($kind:ident),*) => {
        $(impl From<$kind> for Argument {
            fn from(quantity: $kind) -> Self {
                Self::$kind(quantity)
            }
        })*
    };
}

from!(
    Mass,
    Grams,
    Spoons,
    Volume,
    Length,
    Elevation,
    Size,
    Temperature,
    Guide,
    Dial,
    Difference,
    RoughMinutes,
    Minutes,
    Instant,
    Power,
    Share,
    Percent,
    Strength,
    Price,
    Message
);

impl From<f64> for Argument {
    fn from(number: f64) -> Self {
        Self::Number(number)
    }
}

impl From<u32> for Argument {
    fn from(count: u32) -> Self {
        Self::Count(count)
    }
}

impl From<&str> for Argument {
    fn from(text: &str) -> Self {
        Self::Text(Cow::Owned(text.to_owned()))
    }
}
