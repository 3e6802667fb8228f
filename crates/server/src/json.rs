//! Reading JSON into types: a value that does not fit is named with its field, and an object is an object.

use std::fmt;
use std::marker::PhantomData;

use ergastic_core::Error;
use ergastic_core::error::Kind;
use ergastic_words::errors as say;
use serde::de::{DeserializeOwned, SeqAccess, Visitor};
use serde::{Deserialize, Deserializer, Serialize};
use serde_json::Value;

/// The whole of what was sent, where a field is named.
pub const THE_REQUEST: &str = "the request";
/// What some editors put before a text to say that it is UTF-8.
const BYTE_ORDER_MARK: &[u8] = b"\xef\xbb\xbf";

/// The text without a byte order mark.
pub fn without_mark(text: &[u8]) -> &[u8] {
    text.strip_prefix(BYTE_ORDER_MARK).unwrap_or(text)
}

/// Reads one JSON object, naming the field that does not fit. A list in the place of an object is refused at any depth:
/// a struct would be read from it by position.
pub fn read_object<T: DeserializeOwned + Serialize>(text: &[u8]) -> Result<T, Error> {
    let text = without_mark(text);
    if text.trim_ascii_start().starts_with(b"[") {
        return Err(Error::said(Kind::Unknown, THE_REQUEST, say::a_list(), say::not_one_object()));
    }
    read(text)
}

/// Reads JSON into a type, naming the field that does not fit.
pub fn read<T: DeserializeOwned + Serialize>(text: &[u8]) -> Result<T, Error> {
    let text = without_mark(text);
    let mut reader = serde_json::Deserializer::from_slice(text);
    let value: T = serde_path_to_error::deserialize(&mut reader).map_err(|error| {
        let path = error.path().to_string();
        misfit(&path, &error.into_inner())
    })?;
    reader.end().map_err(|_| Error::said(Kind::Unknown, THE_REQUEST, say::more_text(), say::one_value()))?;
    if let (Ok(given), Ok(meant)) = (serde_json::from_slice::<Value>(text), serde_json::to_value(&value)) {
        objects_are_objects(&given, &meant, "")?;
    }
    Ok(value)
}

/// Refuses a list where the type it was read into has fields with names.
fn objects_are_objects(given: &Value, meant: &Value, path: &str) -> Result<(), Error> {
    match (given, meant) {
        (Value::Array(_), Value::Object(_)) => {
            let field = if path.is_empty() { THE_REQUEST } else { path };
            Err(Error::said(Kind::Unknown, field, say::a_list(), say::object_with_names()))
        }
        (Value::Object(given), Value::Object(meant)) => given.iter().try_for_each(|(name, inner)| {
            let path = if path.is_empty() { name.clone() } else { format!("{path}.{name}") };
            meant.get(name).map_or(Ok(()), |meant| objects_are_objects(inner, meant, &path))
        }),
        (Value::Array(given), Value::Array(meant)) => (given.iter().zip(meant).enumerate())
            .try_for_each(|(i, (inner, meant))| objects_are_objects(inner, meant, &format!("{path}[{i}]"))),
        _ => Ok(()),
    }
}

/// Puts what the JSON reader says of a value that does not fit into the words of every other error.
pub fn misfit(path: &str, error: &serde_json::Error) -> Error {
    let said = error.to_string();
    if error.is_syntax() || error.is_eof() || error.is_io() {
        // A list that is too long stops the reader inside its field.
        let field = if path == "." { THE_REQUEST } else { path };
        return Error::said(Kind::Unknown, field, say::this_text(), say::not_json(&said));
    }
    let said = said.rsplit_once(" at line ").map_or(said.as_str(), |(said, _)| said);
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
        return Error::missing(inside(quoted), say::must_be_given());
    }
    let field = match path {
        // The path of an unknown field already ends in its name.
        "." => if said.starts_with("unknown field") { quoted } else { THE_REQUEST }.to_owned(),
        path => path.to_owned(),
    };
    let given = ["invalid type: ", "invalid value: ", "unknown variant ", "unknown field "]
        .iter()
        .find_map(|prefix| what.strip_prefix(prefix))
        .unwrap_or(what);
    Error::new(Kind::Unknown, field, given, say::expected(expected))
}

/// A list that is refused while it is read, as soon as it is longer than `MOST`.
#[derive(Debug, Serialize)]
#[serde(transparent)]
pub struct AtMost<T, const MOST: usize>(pub Vec<T>);

impl<'de, T: Deserialize<'de>, const MOST: usize> Deserialize<'de> for AtMost<T, MOST> {
    fn deserialize<D: Deserializer<'de>>(deserializer: D) -> Result<Self, D::Error> {
        struct Items<T, const MOST: usize>(PhantomData<T>);

        impl<'de, T: Deserialize<'de>, const MOST: usize> Visitor<'de> for Items<T, MOST> {
            type Value = Vec<T>;

            fn expecting(&self, formatter: &mut fmt::Formatter) -> fmt::Result {
                write!(formatter, "a list of {MOST} at most")
            }

            fn visit_seq<A: SeqAccess<'de>>(self, mut items: A) -> Result<Self::Value, A::Error> {
                let mut taken = Vec::new();
                while let Some(item) = items.next_element()? {
                    if taken.len() == MOST {
                        return Err(serde::de::Error::invalid_length(MOST + 1, &self));
                    }
                    taken.push(item);
                }
                Ok(taken)
            }
        }

        deserializer.deserialize_seq(Items::<T, MOST>(PhantomData)).map(Self)
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use ergastic_words::Voice;

    #[derive(Debug, Default, PartialEq, Serialize, Deserialize)]
    #[serde(deny_unknown_fields, default)]
    struct Pot {
        across: Option<f64>,
        lids: Vec<Lid>,
        sides: Option<[f64; 3]>,
    }

    #[derive(Debug, Default, PartialEq, Serialize, Deserialize)]
    #[serde(deny_unknown_fields, default)]
    struct Lid {
        tight: bool,
    }

    fn fault(text: &str) -> (String, String) {
        let error = read_object::<Pot>(text.as_bytes()).unwrap_err();
        (error.field, Voice::default().say(error.allowed))
    }

    #[test]
    fn a_value_that_does_not_fit_is_named_with_its_field() {
        assert_eq!(fault(r#"{"across": "wide"}"#), ("across".into(), "it must be a number".into()));
        assert_eq!(fault(r#"{"lids": [{}, {"tight": 1}]}"#).0, "lids[1].tight");
        assert_eq!(fault(r#"{"frobnicate": 1}"#).0, "frobnicate");
        assert_eq!(fault(r#"{"lids": [{"loose": true}]}"#).0, "lids[0].loose");
        assert_eq!(fault("[26]").1, "it must be one JSON object");
        assert_eq!(fault("{} {}").0, THE_REQUEST);
        assert!(fault("{\"across\": ").1.contains("JSON"));
    }

    #[test]
    fn an_object_is_not_read_from_a_list_by_position_and_a_list_of_figures_is() {
        let by_position = fault(r#"{"lids": [{}, [true]]}"#);
        assert_eq!((by_position.0.as_str(), by_position.1.contains("names of its fields")), ("lids[1]", true));
        let pot: Pot = read_object(br#"{"sides": [1, 2, 3], "lids": [{"tight": true}]}"#).unwrap();
        assert_eq!((pot.sides, pot.lids.len()), (Some([1.0, 2.0, 3.0]), 1));
        assert_eq!(read_object::<Pot>("\u{feff}{}".as_bytes()).unwrap(), Pot::default());
    }

    #[test]
    fn a_list_that_is_too_long_is_refused_before_it_is_read_to_its_end() {
        // What comes after the last that is allowed is never looked at: it is not even JSON.
        let endless = format!("[{}nonsense", "true,".repeat(4));
        let error = read::<AtMost<bool, 3>>(endless.as_bytes()).unwrap_err();
        assert!(error.to_string().contains("a list of 3 at most"), "{error}");
        assert_eq!(read::<AtMost<bool, 3>>(b"[true, false, true]").unwrap().0.len(), 3);
    }
}
