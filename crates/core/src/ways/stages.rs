//! One way after another, as a request says it.

use serde::{Deserialize, Serialize};
use serde_with::skip_serializing_none;
use utoipa::ToSchema;

use super::asked::Heat;
use super::method::Method;
use crate::heat::pot::Lid;

/// When a stage ends; exactly one is given.
#[skip_serializing_none]
#[derive(Debug, Clone, Default, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields, default)]
pub struct Until {
    /// After so many minutes of this stage.
    #[schema(minimum = 0, maximum = 4320)]
    pub min: Option<f64>,
    /// When the middle is this warm (or, cooling, this cold), °C.
    #[schema(minimum = -5, maximum = 125)]
    pub core_c: Option<f64>,
    /// When it is tender enough; must be `true`.
    pub tender: Option<bool>,
}

impl Until {
    /// After so many minutes.
    pub fn after(min: f64) -> Self {
        Self { min: Some(min), ..Self::default() }
    }

    /// When it is tender enough.
    pub fn tender() -> Self {
        Self { tender: Some(true), ..Self::default() }
    }
}

/// What a cook has done to the heat by hand while it went. It is never sent: it is made of what happened.
#[derive(Debug, Clone, Copy, Default, PartialEq)]
pub struct ByHand {
    /// The stage goes on from the one before because something was changed in it, and is no stage of the plan.
    pub changed: bool,
    /// The heat is off, or the fire out.
    pub off: bool,
    /// The pieces are cut up as it begins: how far the heat then has to go, over how far it had to.
    pub thinner: Option<f64>,
}

/// One stage of a chain. What it leaves out stays as it was in the stage before.
#[skip_serializing_none]
#[derive(Debug, Clone, Default, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields, default)]
pub struct StageRequest {
    /// Way of cooking.
    pub method: Option<Method>,
    /// Its heat.
    pub heat: Option<Heat>,
    /// The pot's cover in this stage.
    pub lid: Option<Lid>,
    /// When it ends; the last may stay on.
    pub until: Option<Until>,
    /// What was done by hand as it began.
    #[serde(skip)]
    pub by_hand: ByHand,
}

impl StageRequest {
    /// A stage of a way.
    pub fn of(method: Method, heat: Heat, until: Option<Until>) -> Self {
        Self { method: Some(method), heat: Some(heat), until, ..Self::default() }
    }

    /// Whether way, heat and lid go on as they were.
    pub(crate) fn is_as_before(&self) -> bool {
        self.method.is_none() && self.heat.is_none() && self.lid.is_none()
    }
}
