//! A list read item by item.

use std::cell::Cell;
use std::fmt;
use std::marker::PhantomData;

use ergastic_words::errors as say;
use serde::de::{DeserializeOwned, Error as _, SeqAccess, Visitor};

use super::misfit::PathPart;
use super::node::{Growing, MAX_VALUES, too_many};
use super::reader::Reader;
use crate::error::{Error, WhatIsWrong};

/// So many items at most. The reader of the text can only carry words, so what does not fit is laid into `fault`.
pub struct Items<'a, T> {
    pub most: usize,
    pub fault: &'a mut Option<Error>,
    pub of: PhantomData<T>,
}

impl<'de, T: DeserializeOwned> Visitor<'de> for Items<'_, T> {
    type Value = Vec<T>;

    fn expecting(&self, formatter: &mut fmt::Formatter) -> fmt::Result {
        formatter.write_str("a list")
    }

    fn visit_seq<A: SeqAccess<'de>>(self, mut items: A) -> Result<Vec<T>, A::Error> {
        let mut taken = Vec::new();
        loop {
            let left = Cell::new(MAX_VALUES);
            let next = items.next_element_seed(Growing { left: &left });
            if left.get() == 0 {
                *self.fault = Some(too_many());
            }
            let Some(node) = next? else { return Ok(taken) };
            let read = if taken.len() == self.most {
                let given = say::count(self.most as u32 + 1);
                Err(Error::said(WhatIsWrong::OutOfRange, "", given, say::at_most(self.most as u32)))
            } else {
                T::deserialize(Reader::of(node)).map_err(|misfit| misfit.inside(PathPart::Item(taken.len())).into())
            };
            match read {
                Ok(item) => taken.push(item),
                Err(error) => {
                    *self.fault = Some(error);
                    return Err(A::Error::custom("given up"));
                }
            }
        }
    }
}
