//! An object that says in `kind` which of several it is. Serde's own way keeps such an object aside before it reads it and so
//! forgets where its fields stood; here they are read where they are.

use std::fmt;
use std::marker::PhantomData;

use serde::de::value::StringDeserializer;
use serde::de::{
    DeserializeSeed, Deserializer, EnumAccess, Error as _, IntoDeserializer, MapAccess, VariantAccess, Visitor,
};
use serde::forward_to_deserialize_any;
use serde_json::Value;

/// An enum of variants with named fields.
pub trait ByKind: Sized {
    /// Reads it from a variant's name and its fields.
    ///
    /// # Errors
    /// Whatever the reader says.
    fn by_kind<'de, D: Deserializer<'de>>(deserializer: D) -> Result<Self, D::Error>;
}

/// Reads an object with its `kind`.
///
/// # Errors
/// Whatever the reader says.
pub fn tagged<'de, D: Deserializer<'de>, T: ByKind>(deserializer: D) -> Result<T, D::Error> {
    deserializer.deserialize_map(Tagged(PhantomData))
}

struct Tagged<T>(PhantomData<T>);

impl<'de, T: ByKind> Visitor<'de> for Tagged<T> {
    type Value = T;

    fn expecting(&self, formatter: &mut fmt::Formatter) -> fmt::Result {
        formatter.write_str("an object")
    }

    fn visit_map<A: MapAccess<'de>>(self, mut fields: A) -> Result<T, A::Error> {
        // What stands before the kind waits until it is known what it is.
        let mut before = Vec::new();
        while let Some(name) = fields.next_key::<String>()? {
            if name == "kind" {
                let kind = fields.next_value()?;
                let rest = Rest { before: before.into_iter(), value: None, fields };
                return T::by_kind(OfKind { kind, rest });
            }
            before.push((name, fields.next_value()?));
        }
        Err(A::Error::missing_field("kind"))
    }
}

/// A variant's name and its fields.
struct OfKind<A> {
    kind: String,
    rest: Rest<A>,
}

impl<'de, A: MapAccess<'de>> Deserializer<'de> for OfKind<A> {
    type Error = A::Error;

    fn deserialize_any<V: Visitor<'de>>(self, visitor: V) -> Result<V::Value, A::Error> {
        visitor.visit_enum(self)
    }

    forward_to_deserialize_any! {
        bool i8 i16 i32 i64 i128 u8 u16 u32 u64 u128 f32 f64 char str string bytes byte_buf option unit unit_struct
        newtype_struct seq tuple tuple_struct map struct enum identifier ignored_any
    }
}

impl<'de, A: MapAccess<'de>> EnumAccess<'de> for OfKind<A> {
    type Error = A::Error;
    type Variant = Rest<A>;

    fn variant_seed<V: DeserializeSeed<'de>>(self, seed: V) -> Result<(V::Value, Rest<A>), A::Error> {
        let kind: StringDeserializer<A::Error> = self.kind.into_deserializer();
        Ok((seed.deserialize(kind)?, self.rest))
    }
}

struct Rest<A> {
    before: std::vec::IntoIter<(String, Value)>,
    value: Option<Value>,
    fields: A,
}

impl<'de, A: MapAccess<'de>> VariantAccess<'de> for Rest<A> {
    type Error = A::Error;

    fn unit_variant(self) -> Result<(), A::Error> {
        Ok(())
    }

    fn newtype_variant_seed<T: DeserializeSeed<'de>>(self, seed: T) -> Result<T::Value, A::Error> {
        seed.deserialize(serde::de::value::MapAccessDeserializer::new(self))
    }

    fn tuple_variant<V: Visitor<'de>>(self, _: usize, visitor: V) -> Result<V::Value, A::Error> {
        visitor.visit_map(self)
    }

    fn struct_variant<V: Visitor<'de>>(self, _: &'static [&'static str], visitor: V) -> Result<V::Value, A::Error> {
        visitor.visit_map(self)
    }
}

impl<'de, A: MapAccess<'de>> MapAccess<'de> for Rest<A> {
    type Error = A::Error;

    fn next_key_seed<K: DeserializeSeed<'de>>(&mut self, seed: K) -> Result<Option<K::Value>, A::Error> {
        let Some((name, value)) = self.before.next() else { return self.fields.next_key_seed(seed) };
        self.value = Some(value);
        let name: StringDeserializer<A::Error> = name.into_deserializer();
        seed.deserialize(name).map(Some)
    }

    fn next_value_seed<V: DeserializeSeed<'de>>(&mut self, seed: V) -> Result<V::Value, A::Error> {
        match self.value.take() {
            Some(value) => seed.deserialize(value).map_err(A::Error::custom),
            None => self.fields.next_value_seed(seed),
        }
    }
}
