//! A JSON value as it was written: the fields in their order, a name given twice still twice.

use std::cell::Cell;
use std::fmt;

use ergastic_words::{Message, errors as say};
use serde::de::{DeserializeSeed, Deserializer, Error as _, MapAccess, SeqAccess, Visitor};
use serde_json::{Number, Value};

use super::misfit::{PathPart, quoted};
use crate::error::{Error, WhatIsWrong};

/// The most values that are held at once while something is read.
pub const MAX_VALUES: u32 = 1 << 18;

pub fn too_many() -> Error {
    Error::said(WhatIsWrong::OutOfRange, "", say::so_many_values(), say::at_most(MAX_VALUES))
}

/// A JSON value.
#[derive(Debug, Clone, PartialEq)]
pub enum Node {
    /// Nothing.
    Null,
    /// True or false.
    Bool(bool),
    /// A figure.
    Number(Number),
    /// A text.
    Text(String),
    /// A text out of an address, from which a figure may be read.
    Word(String),
    /// A list.
    List(Vec<Node>),
    /// Fields with their names.
    Object(Vec<(String, Node)>),
}

impl Node {
    /// How it is shown where it can't be used.
    pub(super) fn shown(&self) -> Message {
        match self {
            Self::Null => Message::text("null"),
            Self::Bool(value) => Message::text(value.to_string()),
            Self::Number(number) => Message::text(number.to_string()),
            Self::Text(text) | Self::Word(text) => quoted(text),
            Self::List(_) => say::a_list(),
            Self::Object(_) => say::an_object(),
        }
    }

    /// Takes out the field at a path; whether there was one.
    pub(super) fn remove(&mut self, path: &[PathPart]) -> bool {
        match (path, self) {
            ([PathPart::Field(name)], Self::Object(fields)) => {
                let before = fields.len();
                fields.retain(|(field, _)| field != name);
                fields.len() < before
            }
            ([PathPart::Field(name), rest @ ..], Self::Object(fields)) => {
                fields.iter_mut().any(|(field, node)| field == name && node.remove(rest))
            }
            ([PathPart::Item(index), rest @ ..], Self::List(items)) => {
                items.get_mut(*index).is_some_and(|node| node.remove(rest))
            }
            _ => false,
        }
    }
}

impl From<Value> for Node {
    fn from(value: Value) -> Self {
        match value {
            Value::Null => Self::Null,
            Value::Bool(value) => Self::Bool(value),
            Value::Number(number) => Self::Number(number),
            Value::String(text) => Self::Text(text),
            Value::Array(list) => Self::List(list.into_iter().map(Self::from).collect()),
            Value::Object(fields) => {
                Self::Object(fields.into_iter().map(|(name, value)| (name, value.into())).collect())
            }
        }
    }
}

/// A tree that grows by so many values at most.
#[derive(Clone, Copy)]
pub(super) struct Growing<'a> {
    /// How many more it may have; 0 once it has asked for too many.
    pub left: &'a Cell<u32>,
}

impl<'de> DeserializeSeed<'de> for Growing<'_> {
    type Value = Node;

    fn deserialize<D: Deserializer<'de>>(self, deserializer: D) -> Result<Node, D::Error> {
        self.left.set(self.left.get().saturating_sub(1));
        if self.left.get() == 0 {
            return Err(D::Error::custom("too many values"));
        }
        deserializer.deserialize_any(self)
    }
}

impl<'de> Visitor<'de> for Growing<'_> {
    type Value = Node;

    fn expecting(&self, formatter: &mut fmt::Formatter) -> fmt::Result {
        formatter.write_str("JSON")
    }

    fn visit_unit<E>(self) -> Result<Node, E> {
        Ok(Node::Null)
    }

    fn visit_bool<E>(self, value: bool) -> Result<Node, E> {
        Ok(Node::Bool(value))
    }

    fn visit_i64<E>(self, value: i64) -> Result<Node, E> {
        Ok(Node::Number(value.into()))
    }

    fn visit_u64<E>(self, value: u64) -> Result<Node, E> {
        Ok(Node::Number(value.into()))
    }

    fn visit_f64<E>(self, value: f64) -> Result<Node, E> {
        Ok(Number::from_f64(value).map_or(Node::Null, Node::Number))
    }

    fn visit_str<E>(self, text: &str) -> Result<Node, E> {
        Ok(Node::Text(text.to_owned()))
    }

    fn visit_string<E>(self, text: String) -> Result<Node, E> {
        Ok(Node::Text(text))
    }

    fn visit_seq<A: SeqAccess<'de>>(self, mut items: A) -> Result<Node, A::Error> {
        let mut list = Vec::new();
        while let Some(item) = items.next_element_seed(self)? {
            list.push(item);
        }
        Ok(Node::List(list))
    }

    fn visit_map<A: MapAccess<'de>>(self, mut fields: A) -> Result<Node, A::Error> {
        let mut object = Vec::new();
        while let Some(name) = fields.next_key()? {
            object.push((name, fields.next_value_seed(self)?));
        }
        Ok(Node::Object(object))
    }
}
