//! A measure as it is described once: for its bounds, its default, the form it is filled in on, and how it is measured.

use std::collections::BTreeMap;

use ergastic_words::{Voice, kitchen as say};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// What a field is counted in.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum FieldUnit {
    /// cm.
    Centimetres,
    /// L.
    Litres,
    /// W.
    Watts,
}

/// A figure's bounds.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct FieldFigure {
    /// In.
    pub unit: FieldUnit,
    /// At least.
    pub min: f64,
    /// At most.
    pub max: f64,
    /// A step of it.
    pub step: f64,
}

/// What a measure holds.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(untagged)]
pub enum FieldValue {
    /// A figure, in the field's unit.
    Figure(f64),
    /// Yes or no.
    YesOrNo(bool),
    /// A word.
    Word(String),
}

/// One of what may be chosen.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct FieldChoice {
    /// What is chosen.
    pub value: FieldValue,
    /// What it is called.
    pub label: String,
}

/// A measure of a thing.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct ThingField {
    /// Its name in the thing's measures.
    pub name: String,
    /// What it is called.
    pub label: String,
    /// How it is measured, or what it is for.
    pub how: String,
    /// Its bounds, where it is a figure.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub figure: Option<FieldFigure>,
    /// What may be chosen, where it is a choice; neither where it is a text.
    pub choices: Vec<FieldChoice>,
}

/// The measures of a thing by their names, without those that are not known.
pub(super) fn values_of(measures: &impl Serialize) -> BTreeMap<String, FieldValue> {
    let Ok(serde_json::Value::Object(written)) = serde_json::to_value(measures) else { return BTreeMap::new() };
    let known = |(name, value)| Some((name, serde_json::from_value(value).ok()?));
    written.into_iter().filter_map(known).collect()
}

impl FieldUnit {
    /// A step on a form.
    fn step(self) -> f64 {
        match self {
            Self::Centimetres | Self::Litres => 1.0,
            Self::Watts => 100.0,
        }
    }
}

/// A field before it is told.
pub(super) struct Unlabelled {
    /// Which it is among all fields.
    pub key: &'static str,
    pub name: &'static str,
    pub voice: Voice,
}

impl Unlabelled {
    fn with(&self, figure: Option<FieldFigure>, choices: Vec<FieldChoice>) -> ThingField {
        ThingField {
            name: self.name.to_owned(),
            label: self.voice.render(say::field_label(self.key)),
            how: self.voice.render(say::field_how(self.key)),
            figure,
            choices,
        }
    }

    /// A figure.
    pub fn figure(&self, unit: FieldUnit, min: f64, max: f64) -> ThingField {
        self.with(Some(FieldFigure { unit, min, max, step: unit.step() }), Vec::new())
    }

    /// One of several words.
    pub fn one_of(&self, words: impl IntoIterator<Item = &'static str>) -> ThingField {
        let choice = |word: &'static str| FieldChoice {
            value: FieldValue::Word(word.to_owned()),
            label: self.voice.render(say::field_word(word)),
        };
        self.with(None, words.into_iter().map(choice).collect())
    }

    /// Yes or no, in its own words.
    pub fn yes_or_no(&self) -> ThingField {
        let choice = |yes: bool| FieldChoice {
            value: FieldValue::YesOrNo(yes),
            label: self.voice.render(say::field_yes(self.key, if yes { "yes" } else { "no" })),
        };
        self.with(None, [false, true].map(choice).into())
    }

    /// A text.
    pub fn text(&self) -> ThingField {
        self.with(None, Vec::new())
    }
}
