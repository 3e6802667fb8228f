//! What forms ask: of the things of a kitchen, and which ways are compared.

use ergastic_words::{Voice, kitchen, ways as say};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::method::Method;
use crate::kitchen::{Lane, ThingFields, thing_fields};

/// A way that may be chosen.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct MethodChoice {
    /// Which.
    pub method: Method,
    /// What it is called.
    pub label: String,
}

/// A place where something is done.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct LaneChoice {
    /// Which.
    pub lane: Lane,
    /// What it is called.
    pub label: String,
}

/// Everything that is asked on a form, and what its answers are called.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Fields {
    /// Of the things of a kitchen.
    pub things: Vec<ThingFields>,
    /// The ways that are compared, in the order in which a cook thinks of them.
    pub methods: Vec<MethodChoice>,
    /// The places where something is done.
    pub lanes: Vec<LaneChoice>,
}

/// All of it, in a voice.
pub fn fields(voice: Voice) -> Fields {
    let choice = |method: Method| MethodChoice { method, label: voice.render(say::method(method.key())) };
    let lane = |lane: Lane| LaneChoice { lane, label: voice.render(kitchen::lane_word(lane.key())) };
    Fields {
        things: thing_fields(voice),
        methods: Method::COMPARED.map(choice).into(),
        lanes: Lane::ALL.map(lane).into(),
    }
}
