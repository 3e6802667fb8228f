//! JSON read into the types of the core: what a cook sends, to the letter; what a kitchen kept, as far as it is known.
//!
//! Text becomes a tree, and the tree is read by [`reader`], whose faults are said in the voice of every other and carry the
//! path of the field. Nothing is guessed from what a library says in English.

mod list;
mod misfit;
mod node;
mod patch;
mod reader;
mod tagged;

use std::cell::Cell;
use std::marker::PhantomData;

use ergastic_words::{Message, errors as say};
use serde::de::{DeserializeOwned, DeserializeSeed, Deserializer};
use serde_json::Value;
use serde_json::error::Category;

use crate::error::{Error, Result, WhatIsWrong};

pub use patch::{patch, patch_of};
pub(crate) use tagged::{ByKind, tagged};

use node::{Growing, MAX_VALUES, Node, too_many};
use reader::Reader;

/// What some editors put before a text to say that it is UTF-8.
const BYTE_ORDER_MARK: &[u8] = b"\xef\xbb\xbf";

/// The text without a byte order mark.
pub fn without_mark(text: &[u8]) -> &[u8] {
    text.strip_prefix(BYTE_ORDER_MARK).unwrap_or(text)
}

/// Reads one JSON value into a type.
///
/// # Errors
/// Names the field that does not fit, what was given and what is allowed; no field where it is the whole.
pub fn read<T: DeserializeOwned>(text: &[u8]) -> Result<T> {
    Ok(T::deserialize(Reader::of(tree(without_mark(text))?))?)
}

/// The same where it has to be an object.
///
/// # Errors
/// As [`read`].
pub fn read_object<T: DeserializeOwned>(text: &[u8]) -> Result<T> {
    let node = tree(without_mark(text))?;
    if !matches!(node, Node::Object(_)) {
        return Err(Error::said(WhatIsWrong::Unknown, "", node.shown(), say::not_one_object()));
    }
    Ok(T::deserialize(Reader::of(node))?)
}

/// Reads a value that was text before.
///
/// # Errors
/// As [`read`].
pub fn read_value<T: DeserializeOwned>(value: Value) -> Result<T> {
    Ok(T::deserialize(Reader::of(value.into()))?)
}

/// Reads what stands in an address after the question mark: names with texts, from which figures may be read.
///
/// # Errors
/// As [`read`].
pub fn read_address<T: DeserializeOwned>(pairs: impl IntoIterator<Item = (String, String)>) -> Result<T> {
    let node = Node::Object(pairs.into_iter().map(|(name, text)| (name, Node::Word(text))).collect());
    Ok(T::deserialize(Reader::of(node))?)
}

/// Reads what a kitchen kept: a field that is no longer known is passed over.
///
/// # Errors
/// As [`read`], of the fields that are known.
pub fn read_kept<T: DeserializeOwned>(value: Value) -> Result<T> {
    let mut node = Node::from(value);
    loop {
        match T::deserialize(Reader::of(node.clone())) {
            Ok(read) => return Ok(read),
            Err(misfit) => {
                let passed_over = misfit.is_unknown_field() && node.remove(&misfit.path());
                if !passed_over {
                    return Err(misfit.into());
                }
            }
        }
    }
}

/// Reads a list, each item as [`read`] would; one that is too long is refused before it is read to its end.
///
/// # Errors
/// As [`read`].
pub fn read_list<T: DeserializeOwned>(text: &[u8], most: usize) -> Result<Vec<T>> {
    let mut fault = None;
    let mut json = serde_json::Deserializer::from_slice(without_mark(text));
    let items = list::Items { most, fault: &mut fault, of: PhantomData };
    let read = json.deserialize_seq(items).and_then(|list| json.end().map(|()| list));
    read.map_err(|error| fault.unwrap_or_else(|| not_json(&error)))
}

fn tree(text: &[u8]) -> Result<Node> {
    let left = Cell::new(MAX_VALUES);
    let mut json = serde_json::Deserializer::from_slice(text);
    let read = Growing { left: &left }.deserialize(&mut json).and_then(|node| json.end().map(|()| node));
    read.map_err(|error| if left.get() == 0 { too_many() } else { not_json(&error) })
}

/// A text that can't be read as JSON, or is JSON of another form than a reader of its pieces takes.
pub fn not_json(error: &serde_json::Error) -> Error {
    let (line, column) = (error.line() as u32, error.column() as u32);
    let allowed = match error.classify() {
        Category::Io => Message::text(error.to_string()),
        Category::Syntax | Category::Eof => say::not_json(line, column),
        Category::Data => say::other_form(line, column),
    };
    Error::said(WhatIsWrong::Unknown, "", say::this_text(), allowed)
}
