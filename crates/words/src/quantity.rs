//! Quantities as a cook reads them, in the kitchen's units. Each is made where it is known, in SI.

use jiff::Timestamp;
use jiff::tz::TimeZone;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// How quantities are shown; everything is kept in SI.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Default, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Units {
    /// kg, L, cm, °C.
    #[default]
    Metric,
    /// Pounds and ounces, quarts and cups, inches, °F.
    Us,
}

/// How hours of the day are shown.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Clock {
    /// 19:30.
    H24,
    /// 7:30 pm.
    H12,
}

impl Units {
    /// The clock that usually goes with them.
    pub fn clock(self) -> Clock {
        match self {
            Self::Metric => Clock::H24,
            Self::Us => Clock::H12,
        }
    }
}

/// Meat and what else is weighed in kilos, kg.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Mass(pub f64);

/// A little that lies on the scales, g.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Grams(pub f64);

/// Salt, starch and the like: grams, and what a level teaspoon holds, g.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Spoons {
    /// How much, g.
    pub grams: f64,
    /// In a level teaspoon, g.
    pub teaspoon_g: f64,
}

/// A volume, L.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Volume(pub f64);

/// A length, mm.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Length(pub f64);

/// A height above the sea, m.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Elevation(pub f64);

/// Three sides, mm.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Size(pub [f64; 3]);

/// A temperature that was measured, chosen to the degree, or computed, °C.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Temperature(pub f64);

/// A temperature out of guidance or practice, °C: in °F it is the round figure that is published there.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Guide(pub f64);

/// What an oven's or pit's dial is set to, °C: an American one goes by 25 °F.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Dial(pub f64);

/// A difference of temperatures, K.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Difference(pub f64);

/// A span of time as it turns out, min: nobody should read it to the minute.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct RoughMinutes(pub f64);

/// A span that somebody set or keeps to the minute, min.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Minutes(pub f64);

/// A moment, on the kitchen's own clock.
#[derive(Debug, Clone, PartialEq)]
pub struct Instant {
    /// When.
    pub at: Timestamp,
    /// Where.
    pub zone: TimeZone,
    /// When it is read: of another day the weekday is said, of another week the date. Without it the hour alone is.
    pub read_at: Option<Timestamp>,
}

/// A power, W.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Power(pub f64);

/// A share of many cooks, 0–1, as "9 in 10".
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Share(pub f64);

/// A share of one thing, 0–1, as "12 %".
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Percent(pub f64);

/// Salt in a liquid, g a kilo.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Strength(pub f64);

/// The kitchen's money for a kilo.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Price(pub f64);
