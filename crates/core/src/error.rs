//! The one error type of the core: a field that can't be used, and what could.

/// What the core answers when it is given something it can't compute with.
#[derive(Debug, Clone, PartialEq, Eq, thiserror::Error)]
#[error("{field}: {given} can't be used; {allowed}")]
pub struct Error {
    /// The field as the sender named it, with a path such as `vessel.diameter_cm`.
    pub field: String,
    /// What was given, as text.
    pub given: String,
    /// What is allowed, and what to do about it.
    pub allowed: String,
}

/// The core's result.
pub type Result<T> = std::result::Result<T, Error>;

impl Error {
    /// An error that names the field, the value and what is allowed.
    pub fn new(field: impl Into<String>, given: impl ToString, allowed: impl Into<String>) -> Self {
        Self { field: field.into(), given: given.to_string(), allowed: allowed.into() }
    }

    /// The same error one level further in: `diameter_cm` becomes `vessel.diameter_cm`.
    #[must_use]
    pub fn within(mut self, outer: &str) -> Self {
        self.field = format!("{outer}.{}", self.field);
        self
    }
}

/// `value` if it lies in `low..=high`.
///
/// # Errors
/// Names the field, the value and the range; a value that is not a number is refused too.
pub fn in_range(field: &str, value: f64, low: f64, high: f64, unit: &str) -> Result<f64> {
    if value.is_finite() && (low..=high).contains(&value) {
        return Ok(value);
    }
    let space = if unit.is_empty() { "" } else { " " };
    Err(Error::new(field, value, format!("it must be {low} to {high}{space}{unit}")))
}
