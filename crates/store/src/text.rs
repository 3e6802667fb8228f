//! Values as the text of a column, and back.

use ergastic_words::keeping as say;
use jiff::Timestamp;
use serde_json::Value;
use uuid::Uuid;

use crate::error::{Error, Result};

pub fn write<T: serde::Serialize>(value: &T) -> Result<String> {
    Ok(serde_json::to_string(value)?)
}

pub fn read_id(text: &str) -> Result<Uuid> {
    text.parse().map_err(|_| Error::Damaged(say::no_id(&format!("{text:?}"))))
}

pub fn read_instant(text: &str) -> Result<Timestamp> {
    text.parse().map_err(|_| Error::Damaged(say::no_instant(&format!("{text:?}"))))
}

/// Instants of one length, so that their text sorts as they do.
pub fn write_instant(instant: Timestamp) -> String {
    format!("{instant:.3}")
}

/// A stored document as it goes into the file: itself if it is JSON, else its text as a string.
pub(crate) fn as_json(document: &str) -> Value {
    serde_json::from_str(document).unwrap_or_else(|_| Value::String(document.to_owned()))
}
