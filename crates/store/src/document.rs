//! Stored documents: each carries the number of its format, is read tolerantly, and is brought up to date as it is read.

use ergastic_core::json::read_kept;
use ergastic_words::{Message, keeping as say};
use serde::Serialize;
use serde::de::DeserializeOwned;
use serde_json::Value;

use crate::error::{Error, Result};
use crate::text::as_json;
use crate::upgrade::{in_spoken_names, things_get_names};

/// The format that documents are written in.
pub(crate) const FORMAT: i64 = 3;

/// From each format to the next, from 1 on: what a field is called now, what it was.
const UPGRADES: [fn(&mut Value); (FORMAT - 1) as usize] = [things_get_names, in_spoken_names];

/// A document as its row holds it.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct Document {
    /// The number of its format.
    pub format: i64,
    /// JSON, unless damaged.
    pub text: String,
}

impl Document {
    /// Reads it: a field that is no longer known is passed over, one that was not known then takes its default.
    ///
    /// # Errors
    /// [`Error::Damaged`] when it can't be read even so, or is of a later format.
    pub fn read<T: DeserializeOwned>(&self) -> Result<T> {
        if self.format == FORMAT
            && let Ok(read) = serde_json::from_str(&self.text)
        {
            return Ok(read);
        }
        let unread = |error: ergastic_core::Error| Error::Damaged(Message::text(error.to_string()));
        read_kept(self.upgraded()?).map_err(unread)
    }

    /// It as a `T` of this version goes into a file; where it can't be read, as it is.
    pub(crate) fn as_json<T: DeserializeOwned + Serialize>(&self) -> Result<Value> {
        match self.read::<T>() {
            Ok(read) => Ok(serde_json::to_value(&read)?),
            Err(_) => Ok(as_json(&self.text)),
        }
    }

    fn upgraded(&self) -> Result<Value> {
        let steps = usize::try_from(self.format - 1).ok().and_then(|done| UPGRADES.get(done..));
        let Some(steps) = steps else { return Err(Error::Damaged(say::later_format(&self.format.to_string()))) };
        let mut value = serde_json::from_str(&self.text)?;
        steps.iter().for_each(|step| step(&mut value));
        Ok(value)
    }
}

/// A document out of a file, which does not say of what format it is: brought up to date by what it holds.
pub fn brought_up(text: &str) -> String {
    let Ok(mut value) = serde_json::from_str::<Value>(text) else { return text.to_owned() };
    UPGRADES.iter().for_each(|step| step(&mut value));
    value.to_string()
}

#[cfg(test)]
mod tests {
    use super::*;
    use ergastic_core::plan::Plan;
    use serde_json::json;

    fn plan(extra: Value) -> Document {
        let mut plan = json!({
            "name": "Lake-ice shin", "bell": "2027-02-06T16:30:00Z",
            "forecast": {"cut": "shin", "method": "braise", "vessel": {"diameter_cm": 24}}, "prepare": {"salt_h": 6},
        });
        for (field, value) in extra.as_object().unwrap() {
            plan[field] = value.clone();
        }
        Document { format: 1, text: plan.to_string() }
    }

    #[test]
    fn a_field_of_another_version_makes_nothing_unreadable() {
        let plain: Plan = plan(json!({})).read().unwrap();
        let odd = plan(json!({
            "garnish": ["parsley"],
            "forecast": {"cut": "shin", "method": "braise", "moon": 3, "vessel": {"diameter_cm": 24, "colour": "blue"}},
        }));
        assert_eq!(odd.read::<Plan>().unwrap(), plain);
        assert_eq!(odd.as_json::<Plan>().unwrap(), serde_json::to_value(&plain).unwrap());
        assert!(plan(json!({"people": "six"})).read::<Plan>().is_err(), "what is known must still be right");
    }

    #[test]
    fn a_later_format_is_said_and_kept_as_it_is() {
        let later = Document { format: 9, ..plan(json!({})) };
        assert!(later.read::<Plan>().unwrap_err().to_string().contains("format 9"));
        assert_eq!(later.as_json::<Plan>().unwrap().to_string().len(), later.text.len());
    }
}
