//! The stateless computations, the same for the command line and the API.

use ergastic_core::Error;
use ergastic_core::finish::sauce;
use ergastic_core::forecast::forecast;
use ergastic_core::kitchen::Kitchen;
use ergastic_core::matching::match_ways;
use ergastic_core::prepare::prepare_request;
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
    /// Salt to lid.
    Prepare,
    /// What becomes of the liquid.
    Sauce,
}

/// Runs a computation on JSON text, to JSON text.
pub fn run(computation: Computation, text: &[u8], now: Timestamp) -> Result<String, Error> {
    match computation {
        Computation::Forecast => answer(text, forecast),
        Computation::Match => answer(text, |request| match_ways(request, &Kitchen::default(), now)),
        Computation::Prepare => answer(text, |request| prepare_request(request, &Kitchen::default())),
        Computation::Sauce => answer(text, sauce),
    }
}

fn answer<Q: DeserializeOwned, A: Serialize>(
    text: &[u8],
    compute: impl Fn(&Q) -> Result<A, Error>,
) -> Result<String, Error> {
    let answer = compute(&read_object(text)?)?;
    serde_json::to_string_pretty(&answer).map_err(|error| Error::new("answer", "", error.to_string()))
}

/// Reads one JSON object, naming the field that does not fit.
///
/// A list is refused here: a struct would be read from it by position.
pub fn read_object<T: DeserializeOwned>(text: &[u8]) -> Result<T, Error> {
    if text.trim_ascii_start().starts_with(b"[") {
        return Err(Error::new("the request", "a list", "it must be one JSON object"));
    }
    read(text)
}

/// Reads JSON into a type, naming the field that does not fit.
pub fn read<T: DeserializeOwned>(text: &[u8]) -> Result<T, Error> {
    let mut reader = serde_json::Deserializer::from_slice(text);
    let value = serde_path_to_error::deserialize(&mut reader).map_err(|error| {
        let path = error.path().to_string();
        let inner = error.into_inner();
        if inner.is_syntax() || inner.is_eof() {
            // A list that is too long stops the reader inside its field.
            let field = if path == "." { "the request" } else { &path };
            return Error::new(field, "this text", format!("it must be JSON that fits the field: {inner}"));
        }
        misfit(&path, &inner.to_string())
    })?;
    reader.end().map_err(|_| Error::new("the request", "more text after the JSON", "give one JSON value"))?;
    Ok(value)
}

/// Puts what the JSON reader says of a value that does not fit into the words of every other error.
fn misfit(path: &str, said: &str) -> Error {
    let said = said.rsplit_once(" at line ").map_or(said, |(said, _)| said);
    let inside = |name: &str| if path == "." { name.to_owned() } else { format!("{path}.{name}") };
    let quoted = said.split('`').nth(1).unwrap_or_default();
    let (what, expected) = said.split_once(", expected ").unwrap_or((said, "something else"));
    let expected = match expected {
        "f64" => "a number",
        "u32" | "u64" | "usize" => "a whole number, 0 or more",
        "i64" => "a whole number",
        other => other,
    };
    if said.starts_with("missing field") {
        return Error::new(inside(quoted), "nothing", "it must be given");
    }
    let field = match path {
        // The path of an unknown field already ends in its name.
        "." => if said.starts_with("unknown field") { quoted } else { "the request" }.to_owned(),
        path => path.to_owned(),
    };
    let given = ["invalid type: ", "invalid value: ", "unknown variant ", "unknown field "]
        .iter()
        .find_map(|prefix| what.strip_prefix(prefix))
        .unwrap_or(what);
    Error::new(field, given, format!("it must be {expected}"))
}
