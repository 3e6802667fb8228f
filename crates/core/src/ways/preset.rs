//! What is offered of each way: one list, which Match compares, *Why* sets beside a plan, and the overview takes the usual of.

use ergastic_words::{Message, Units};

use super::asked::Heat;
use super::method::Method;
use super::stages::StageRequest;
use crate::cuts::Shape;
use crate::kitchen::ThingKind;

/// A way at a setting that is worth offering.
#[derive(Debug, Clone)]
pub struct Preset {
    /// The method.
    pub method: Method,
    /// Its heat.
    pub heat: Heat,
    /// Its part of a variant's id.
    pub key: &'static str,
    /// What it is called.
    pub name: Message,
    /// How the meat is cut up for it.
    pub shapes: &'static [Shape],
    /// Its id beside a plan whose time is explained; none where it is not set beside it.
    pub beside: Option<&'static str>,
    /// The usual one of its method.
    pub usual: bool,
}

impl Preset {
    /// One of many: neither the usual nor set beside a plan.
    pub fn new(method: Method, key: &'static str, heat: Heat, name: Message, shapes: &'static [Shape]) -> Self {
        Self { method, heat, key, name, shapes, beside: None, usual: false }
    }

    /// Set beside a plan, by this id.
    pub fn beside(self, id: &'static str) -> Self {
        Self { beside: Some(id), ..self }
    }

    /// The usual one of its method.
    pub fn usual(self) -> Self {
        Self { usual: true, ..self }
    }
}

/// Ways one after another that are worth offering.
#[derive(Debug, Clone)]
pub struct Chain {
    /// Its part of a variant's id, and its id beside a plan.
    pub key: &'static str,
    /// What it is called.
    pub name: Message,
    /// What has to be free for its first stage.
    pub kit: ThingKind,
    /// It ends in a pot.
    pub in_pot: bool,
    /// Its stages.
    pub stages: Vec<StageRequest>,
}

/// °C on the dial of a European kitchen, or of an American one that is marked in °F.
pub fn on_the_dial(units: Units, celsius: f64, fahrenheit: f64) -> f64 {
    match units {
        Units::Metric => celsius,
        Units::Us => (fahrenheit - 32.0) / 1.8,
    }
}

/// The settings of a dial, °C, in the cook's units: an American oven goes by other steps than a European one.
pub fn settings<const N: usize>(units: Units, celsius: [f64; N], fahrenheit: [f64; N]) -> impl Iterator<Item = f64> {
    celsius.into_iter().zip(fahrenheit).map(move |(c, f)| on_the_dial(units, c, f))
}
