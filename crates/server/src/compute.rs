//! The stateless computations, the same for the command line and the API.

use ergastic_core::Error;
use ergastic_core::finish::sauce;
use ergastic_core::forecast::forecast;
use ergastic_core::kitchen::Kitchen;
use ergastic_core::matching::match_ways;
use jiff::Timestamp;
use serde::Serialize;
use serde::de::DeserializeOwned;

/// Which computation.
#[derive(Debug, Clone, Copy)]
pub enum Computation {
    /// When is it tender.
    Forecast,
    /// Which way.
    Match,
    /// What becomes of the liquid.
    Sauce,
}

/// Runs a computation on JSON text, to JSON text.
pub fn run(computation: Computation, text: &[u8], now: Timestamp) -> Result<String, Error> {
    match computation {
        Computation::Forecast => answer(text, forecast),
        Computation::Match => answer(text, |request| match_ways(request, &Kitchen::default(), now)),
        Computation::Sauce => answer(text, sauce),
    }
}

fn answer<Q: DeserializeOwned, A: Serialize>(text: &[u8], compute: impl Fn(&Q) -> Result<A, Error>) -> Result<String, Error> {
    let answer = compute(&read(text)?)?;
    serde_json::to_string_pretty(&answer).map_err(|error| Error::new("answer", "", error.to_string()))
}

/// Reads JSON into a type, naming the field that does not fit.
pub fn read<T: DeserializeOwned>(text: &[u8]) -> Result<T, Error> {
    let mut reader = serde_json::Deserializer::from_slice(text);
    let value = serde_path_to_error::deserialize(&mut reader).map_err(|error| {
        let path = error.path().to_string();
        let inner = error.into_inner();
        if inner.is_syntax() || inner.is_eof() {
            return Error::new("the request", "this text", format!("it must be JSON: {inner}"));
        }
        let said = inner.to_string();
        let field = match (path.as_str(), quoted(&said)) {
            (".", Some(name)) if said.starts_with("missing field") || said.starts_with("unknown field") => name.to_owned(),
            (".", _) => "the request".to_owned(),
            (path, Some(name)) if said.starts_with("missing field") => format!("{path}.{name}"),
            (path, _) => path.to_owned(),
        };
        Error::new(field, "what was given", said)
    })?;
    reader.end().map_err(|_| Error::new("the request", "more text after the JSON", "give one JSON object"))?;
    Ok(value)
}

fn quoted(said: &str) -> Option<&str> {
    said.split('`').nth(1)
}
