//! What is checked of things that come in by themselves or in a kitchen file, alike.

use ergastic_core::clock::{check_instant, minutes_between};
use ergastic_core::cook::Event;
use ergastic_core::error::{Unit, WhatIsWrong, in_range};
use ergastic_core::{Error, Result};
use ergastic_words::errors;
use jiff::Timestamp;

/// That an instant lies in our time, and not ahead by more than an hour: clocks differ by that much at most.
///
/// # Errors
/// Names the field.
pub fn has_been(field: &str, at: Timestamp, now: Timestamp) -> Result<()> {
    check_instant(field, at)?;
    if minutes_between(now, at) > 60.0 {
        return Err(Error::new(WhatIsWrong::OutOfRange, field, at, errors::not_ahead()));
    }
    Ok(())
}

/// Checks one reading.
///
/// # Errors
/// Names the field that can't be used.
pub fn reading(at: Timestamp, celsius: f64, now: Timestamp) -> Result<()> {
    in_range("celsius", celsius, -40.0, 400.0, Unit::Celsius)?;
    has_been("at", at, now)
}

/// Checks what is said to have happened, as far as it stands by itself.
///
/// # Errors
/// Names the event and its field.
pub fn events(events: &[Event], now: Timestamp) -> Result<()> {
    for (i, event) in events.iter().enumerate() {
        event.check().and_then(|()| has_been("at", event.at, now)).map_err(|error| error.within(&format!("[{i}]")))?;
    }
    Ok(())
}
