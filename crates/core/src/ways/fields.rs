//! What forms ask: of the things of a kitchen, and which ways are compared.

use ergastic_words::{Voice, ways as say};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::method::Method;
use crate::kitchen::{ThingFields, thing_fields};

/// A way that may be chosen.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct MethodChoice {
    /// Which.
    pub method: Method,
    /// What it is called.
    pub label: String,
}

/// Everything that is asked on a form.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Fields {
    /// Of the things of a kitchen.
    pub things: Vec<ThingFields>,
    /// The ways that are compared, in the order in which a cook thinks of them.
    pub methods: Vec<MethodChoice>,
}

/// All of it, in a voice.
pub fn fields(voice: Voice) -> Fields {
    let choice = |method: Method| MethodChoice { method, label: voice.render(say::method(method.key())) };
    Fields { things: thing_fields(voice), methods: Method::COMPARED.map(choice).into() }
}
