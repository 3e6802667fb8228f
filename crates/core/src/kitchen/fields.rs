//! What a form asks of each kind of thing.

use std::collections::BTreeMap;

use ergastic_words::Voice;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::field::{FieldValue, ThingField};
use super::kind::{KitchenShelf, ThingKind, ThingPicture};
use super::whole::{fields_of, usual_of};

/// A kind of thing with what is asked of one.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct ThingFields {
    /// Which.
    pub kind: ThingKind,
    /// The list of a kitchen that it stands in.
    pub list: String,
    /// Where it stands in the picture of the kitchen.
    pub shelf: KitchenShelf,
    /// How it is drawn.
    pub picture: ThingPicture,
    /// What it is called.
    pub word: String,
    /// Whether it can be cooked on or in.
    pub heats: bool,
    /// What one is like until it is measured.
    pub usual: BTreeMap<String, FieldValue>,
    /// Its measures.
    pub fields: Vec<ThingField>,
}

/// Every kind, in a voice, shelf by shelf.
pub fn thing_fields(voice: Voice) -> Vec<ThingFields> {
    let of = |kind: ThingKind| ThingFields {
        kind,
        list: kind.list().to_owned(),
        shelf: kind.shelf(),
        picture: kind.picture(),
        word: voice.render(kind.word()),
        heats: kind.heats(),
        usual: usual_of(kind),
        fields: fields_of(kind, voice),
    };
    let mut all = ThingKind::ALL;
    all.sort_by_key(|kind| kind.shelf());
    all.map(of).into()
}

#[cfg(test)]
mod tests {
    use serde_json::{Value, json};

    use super::*;
    use crate::kitchen::Kitchen;

    /// Whether a kitchen may have one with these measures.
    fn may_be(of: &ThingFields, measures: &Value) -> bool {
        let thing = json!({"id": "one", "name": "One", "measures": measures});
        let mut kitchen = serde_json::to_value(Kitchen::default()).unwrap();
        kitchen[&of.list] = json!([thing]);
        serde_json::from_value::<Kitchen>(kitchen).is_ok_and(|kitchen| kitchen.check().is_ok())
    }

    #[test]
    fn each_bound_that_is_told_may_be_and_one_past_it_may_not() {
        for of in thing_fields(Voice::default()) {
            let usual = if of.list == "probes" { json!({"probe": "hub-1"}) } else { json!(of.usual) };
            assert!(may_be(&of, &usual), "a usual {}", of.word);
            for field in &of.fields {
                let Some(figure) = &field.figure else { continue };
                for (value, can_be) in
                    [(figure.min, true), (figure.max, true), (figure.min - 0.01, false), (figure.max + 0.01, false)]
                {
                    let mut measures = usual.clone();
                    let square = ["width_cm", "length_cm"].contains(&field.name.as_str()) && of.list == "pots";
                    if square {
                        measures["width_cm"] = value.into();
                        measures["length_cm"] = value.into();
                    }
                    measures[&field.name] = value.into();
                    assert_eq!(may_be(&of, &measures), can_be, "{} of {value} for a {}", field.name, of.word);
                }
            }
        }
    }

    #[test]
    fn every_choice_can_be_chosen_and_every_field_says_how_it_is_measured() {
        for of in thing_fields(Voice::default()) {
            for field in &of.fields {
                assert!(field.label.len() <= 24 && field.how.len() > 10, "{field:?}");
                for choice in &field.choices {
                    let mut measures = json!(of.usual);
                    measures[&field.name] = json!(choice.value);
                    assert!(may_be(&of, &measures), "{choice:?} for a {}", of.word);
                }
            }
        }
    }
}
