//! The bench as a sheet is asked for it: the bench's own document, and `marinate_h` for a wine marinade of that length.

use std::fmt;

use serde::de::value::MapAccessDeserializer;
use serde::de::{DeserializeSeed, MapAccess, Visitor};
use serde::{Deserialize, Deserializer, Serialize};
use utoipa::ToSchema;

use crate::bench::{Marinade, MarinadeOf, Prepare};
use crate::error::{Result, Unit, in_range};

/// A usual wine marinade, mL.
const USUAL_ML: f64 = 750.0;
/// The name of the short form.
const SHORT: &str = "marinate_h";

/// A bench, in the form that is asked of a sheet.
#[derive(Debug, Clone, PartialEq, Default, Serialize, ToSchema)]
pub struct AskedBench {
    /// Hours in a wine marinade, in place of `marinade`; none with 0.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 0, maximum = 168)]
    pub marinate_h: Option<f64>,
    /// The bench's own document.
    #[serde(flatten)]
    pub bench: Prepare,
}

impl AskedBench {
    /// The bench, with what the short form means.
    ///
    /// # Errors
    /// Names the field that can't be used.
    pub fn meant(&self) -> Result<Prepare> {
        let mut bench = self.bench.clone();
        if let Some(hours) = self.marinate_h {
            in_range(SHORT, hours, 0.0, 168.0, Unit::Hours)?;
            if hours > 0.0 {
                bench.marinade.get_or_insert(Marinade { of: MarinadeOf::Wine, hours, ml: USUAL_ML, kept: true });
            }
        }
        bench.check()?;
        Ok(bench)
    }
}

/// The fields of an object, but for the short form, which is kept aside.
struct Without<'a, A> {
    inner: A,
    found: &'a mut Option<f64>,
}

/// A name that is not the short form.
struct LongName<S>(S);

impl<'de, S: DeserializeSeed<'de>> LongName<S> {
    fn read<E: serde::de::Error>(self, name: String) -> std::result::Result<S::Value, E> {
        self.0.deserialize(serde::de::value::StringDeserializer::new(name))
    }
}

impl<'de, A: MapAccess<'de>> MapAccess<'de> for Without<'_, A> {
    type Error = A::Error;

    fn next_key_seed<K: DeserializeSeed<'de>>(&mut self, seed: K) -> std::result::Result<Option<K::Value>, A::Error> {
        while let Some(name) = self.inner.next_key::<String>()? {
            if name != SHORT {
                return LongName(seed).read(name).map(Some);
            }
            *self.found = self.inner.next_value::<Option<f64>>()?;
        }
        Ok(None)
    }

    fn next_value_seed<V: DeserializeSeed<'de>>(&mut self, seed: V) -> std::result::Result<V::Value, A::Error> {
        self.inner.next_value_seed(seed)
    }
}

impl<'de> Deserialize<'de> for AskedBench {
    fn deserialize<D: Deserializer<'de>>(deserializer: D) -> std::result::Result<Self, D::Error> {
        struct MarinadeFields;
        impl<'de> Visitor<'de> for MarinadeFields {
            type Value = AskedBench;

            fn expecting(&self, formatter: &mut fmt::Formatter) -> fmt::Result {
                formatter.write_str("an object")
            }

            fn visit_map<A: MapAccess<'de>>(self, map: A) -> std::result::Result<AskedBench, A::Error> {
                let mut marinate_h = None;
                let fields = Without { inner: map, found: &mut marinate_h };
                let bench = Prepare::deserialize(MapAccessDeserializer::new(fields))?;
                Ok(AskedBench { marinate_h, bench })
            }
        }
        deserializer.deserialize_map(MarinadeFields)
    }
}
