//! A tree read into a type. What the type asks for is compared with what is there before the type sees it.

use std::any::type_name;

use ergastic_words::{Message, errors as say};
use serde::de::value::{MapAccessDeserializer, StringDeserializer};
use serde::de::{DeserializeSeed, Deserializer, Error as _, IntoDeserializer, MapAccess, SeqAccess, Visitor};
use serde::forward_to_deserialize_any;

use super::misfit::{Misfit, PathPart};
use super::node::Node;
use crate::error::WhatIsWrong;

type ReadResult<T> = Result<T, Misfit>;

/// Reads one value.
pub struct Reader {
    node: Node,
}

impl Reader {
    pub fn of(node: Node) -> Self {
        Self { node }
    }

    fn refuses<T>(&self, allowed: Message) -> ReadResult<T> {
        Err(Misfit::new(WhatIsWrong::Unknown, self.node.shown(), allowed))
    }

    /// The figure there, as far as a type of figure has it.
    fn figure<N>(&self, of: impl Fn(&serde_json::Number) -> Option<N>, allowed: Message) -> ReadResult<N> {
        let read = match &self.node {
            Node::Number(number) => of(number),
            Node::Word(text) => text.parse().ok().and_then(|number| of(&number)),
            _ => None,
        };
        read.map_or_else(|| self.refuses(allowed), Ok)
    }
}

/// What a text must be that is read into a `T`, where that is known.
fn allowed_text<T>() -> Option<Message> {
    let asked = type_name::<T>();
    if asked == type_name::<jiff::Timestamp>() {
        Some(say::instant_with_offset())
    } else if asked == type_name::<uuid::Uuid>() {
        Some(say::an_id())
    } else {
        None
    }
}

macro_rules! figures {
    ($($ask:ident $visit:ident $figure:ty, $of:expr, $allowed:expr;)*) => {$(
        fn $ask<V: Visitor<'de>>(self, visitor: V) -> ReadResult<V::Value> {
            let of_type = |number: &serde_json::Number| <$figure>::try_from($of(number)?).ok();
            let figure = self.figure(of_type, $allowed)?;
            visitor.$visit(figure).map_err(|misfit: Misfit| misfit.of(&self.node.shown(), None))
        }
    )*};
}

impl<'de> Deserializer<'de> for Reader {
    type Error = Misfit;

    figures! {
        deserialize_f32 visit_f64 f64, serde_json::Number::as_f64, say::a_number();
        deserialize_f64 visit_f64 f64, serde_json::Number::as_f64, say::a_number();
        deserialize_u8 visit_u8 u8, serde_json::Number::as_u64, say::whole_number_from_0();
        deserialize_u16 visit_u16 u16, serde_json::Number::as_u64, say::whole_number_from_0();
        deserialize_u32 visit_u32 u32, serde_json::Number::as_u64, say::whole_number_from_0();
        deserialize_u64 visit_u64 u64, serde_json::Number::as_u64, say::whole_number_from_0();
        deserialize_i32 visit_i32 i32, serde_json::Number::as_i64, say::whole_number();
        deserialize_i64 visit_i64 i64, serde_json::Number::as_i64, say::whole_number();
    }

    fn deserialize_bool<V: Visitor<'de>>(self, visitor: V) -> ReadResult<V::Value> {
        match &self.node {
            Node::Bool(value) => visitor.visit_bool(*value),
            Node::Word(text) if text == "true" => visitor.visit_bool(true),
            Node::Word(text) if text == "false" => visitor.visit_bool(false),
            _ => self.refuses(say::true_or_false()),
        }
    }

    fn deserialize_str<V: Visitor<'de>>(self, visitor: V) -> ReadResult<V::Value> {
        let shown = self.node.shown();
        match self.node {
            Node::Text(text) | Node::Word(text) => {
                visitor.visit_string(text).map_err(|misfit: Misfit| misfit.of(&shown, allowed_text::<V::Value>()))
            }
            _ => self.refuses(say::a_text()),
        }
    }

    fn deserialize_string<V: Visitor<'de>>(self, visitor: V) -> ReadResult<V::Value> {
        self.deserialize_str(visitor)
    }

    fn deserialize_identifier<V: Visitor<'de>>(self, visitor: V) -> ReadResult<V::Value> {
        self.deserialize_str(visitor)
    }

    fn deserialize_option<V: Visitor<'de>>(self, visitor: V) -> ReadResult<V::Value> {
        if self.node == Node::Null { visitor.visit_none() } else { visitor.visit_some(self) }
    }

    fn deserialize_newtype_struct<V: Visitor<'de>>(self, _: &'static str, visitor: V) -> ReadResult<V::Value> {
        visitor.visit_newtype_struct(self)
    }

    fn deserialize_seq<V: Visitor<'de>>(self, visitor: V) -> ReadResult<V::Value> {
        match self.node {
            Node::List(list) => visitor.visit_seq(ItemsVisitor { list: list.into_iter(), next: 0 }),
            _ => self.refuses(say::must_be_a_list()),
        }
    }

    fn deserialize_tuple<V: Visitor<'de>>(self, length: usize, visitor: V) -> ReadResult<V::Value> {
        match &self.node {
            Node::List(list) if list.len() != length => self.refuses(say::list_of(length as u32)),
            _ => self.deserialize_seq(visitor),
        }
    }

    fn deserialize_tuple_struct<V: Visitor<'de>>(
        self,
        _: &'static str,
        length: usize,
        visitor: V,
    ) -> ReadResult<V::Value> {
        self.deserialize_tuple(length, visitor)
    }

    fn deserialize_map<V: Visitor<'de>>(self, visitor: V) -> ReadResult<V::Value> {
        match self.node {
            Node::Object(mut fields) => {
                // What says of which kind the object is comes first: then nothing has to wait for it.
                fields.sort_by_key(|(name, _)| name != "kind");
                visitor.visit_map(FieldsVisitor { fields: fields.into_iter(), value: None })
            }
            _ => self.refuses(say::object_with_names()),
        }
    }

    fn deserialize_struct<V: Visitor<'de>>(
        self,
        _: &'static str,
        _: &'static [&'static str],
        visitor: V,
    ) -> ReadResult<V::Value> {
        // A list would be read by position.
        self.deserialize_map(visitor)
    }

    fn deserialize_enum<V: Visitor<'de>>(
        self,
        _: &'static str,
        _: &'static [&'static str],
        visitor: V,
    ) -> ReadResult<V::Value> {
        match self.node {
            Node::Text(text) | Node::Word(text) => {
                let variant: StringDeserializer<Misfit> = text.into_deserializer();
                visitor.visit_enum(variant)
            }
            Node::Object(fields) => visitor
                .visit_enum(MapAccessDeserializer::new(FieldsVisitor { fields: fields.into_iter(), value: None })),
            _ => self.refuses(say::a_text()),
        }
    }

    fn deserialize_any<V: Visitor<'de>>(self, visitor: V) -> ReadResult<V::Value> {
        match self.node {
            Node::Null => visitor.visit_unit(),
            Node::Bool(value) => visitor.visit_bool(value),
            Node::Number(ref number) => match (number.as_u64(), number.as_i64(), number.as_f64()) {
                (Some(figure), ..) => visitor.visit_u64(figure),
                (_, Some(figure), _) => visitor.visit_i64(figure),
                (.., Some(figure)) => visitor.visit_f64(figure),
                _ => self.refuses(say::a_number()),
            },
            Node::Text(_) | Node::Word(_) => self.deserialize_str(visitor),
            Node::List(_) => self.deserialize_seq(visitor),
            Node::Object(_) => self.deserialize_map(visitor),
        }
    }

    forward_to_deserialize_any! {
        i8 i16 i128 u128 char bytes byte_buf unit unit_struct ignored_any
    }
}

struct ItemsVisitor {
    list: std::vec::IntoIter<Node>,
    next: usize,
}

impl<'de> SeqAccess<'de> for ItemsVisitor {
    type Error = Misfit;

    fn next_element_seed<T: DeserializeSeed<'de>>(&mut self, seed: T) -> ReadResult<Option<T::Value>> {
        let Some(node) = self.list.next() else { return Ok(None) };
        let step = PathPart::Item(self.next);
        self.next += 1;
        seed.deserialize(Reader { node }).map(Some).map_err(|misfit| misfit.inside(step))
    }

    fn size_hint(&self) -> Option<usize> {
        Some(self.list.len())
    }
}

struct FieldsVisitor {
    fields: std::vec::IntoIter<(String, Node)>,
    value: Option<(String, Node)>,
}

impl<'de> MapAccess<'de> for FieldsVisitor {
    type Error = Misfit;

    fn next_key_seed<K: DeserializeSeed<'de>>(&mut self, seed: K) -> ReadResult<Option<K::Value>> {
        let Some((name, node)) = self.fields.next() else { return Ok(None) };
        let key = seed.deserialize(Reader { node: Node::Text(name.clone()) });
        self.value = Some((name, node));
        key.map(Some)
    }

    fn next_value_seed<V: DeserializeSeed<'de>>(&mut self, seed: V) -> ReadResult<V::Value> {
        let Some((name, node)) = self.value.take() else { return Err(Misfit::custom("a value without its name")) };
        seed.deserialize(Reader { node }).map_err(|misfit| misfit.inside(PathPart::Field(name)))
    }

    fn size_hint(&self) -> Option<usize> {
        Some(self.fields.len())
    }
}
