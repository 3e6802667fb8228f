//! The liquid in the pot, and what is wanted of it.

use ergastic_words::{FoodCode, Units};
use serde::{Deserialize, Serialize};
use serde_with::skip_serializing_none;
use utoipa::ToSchema;

use super::choices::{Skim, Target, Taste, Thickener};
use super::moves::{Move, check_moves};
use crate::error::{Result, Unit, in_range};
use crate::heat::hob::HobKind;
use crate::heat::pot::PotMeasures;

/// The liquid in the pot, and what is wanted of it.
#[skip_serializing_none]
#[derive(Debug, Clone, Default, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields, default)]
pub struct SauceRequest {
    /// Liquid without its fat, L.
    #[schema(minimum = 0.02, maximum = 60)]
    pub liquid_l: Option<f64>,
    /// Fat on it, L.
    #[schema(minimum = 0, maximum = 20)]
    pub fat_l: Option<f64>,
    /// Measured depth of the fat, mm; overrides `fat_l`.
    #[schema(minimum = 0, maximum = 100)]
    pub fat_mm: Option<f64>,
    /// Salt in the liquid, g.
    #[schema(minimum = 0, maximum = 2000)]
    pub salt_g: Option<f64>,
    /// Gelatin in the liquid, g.
    #[schema(minimum = 0, maximum = 2000)]
    pub gelatin_g: Option<f64>,
    /// The pot.
    pub vessel: Option<PotMeasures>,
    /// The burner, W.
    #[schema(minimum = 200, maximum = 20000)]
    pub hob_w: Option<f64>,
    /// What heats it; between a flame and induction where not given.
    pub hob_kind: Option<HobKind>,
    /// How the fat comes off.
    pub skim: Skim,
    /// How it tastes.
    pub taste: Taste,
    /// What it becomes.
    pub target: Target,
    /// What thickens it.
    pub thickener: Thickener,
    /// Share of it that is thickened tonight, 0–1.
    #[schema(minimum = 0, maximum = 1)]
    pub share: Option<f64>,
    /// What the answer's sentences are said in; the kitchen's own where not given.
    pub units: Option<Units>,
    /// Whose figures its cautions name; the kitchen's own where not given.
    pub food_code: Option<FoodCode>,
    /// The cooked meat, kg: what is eaten with it, and cooled with what is left.
    #[schema(minimum = 0, maximum = 60)]
    pub meat_kg: Option<f64>,
    /// Salt in that meat, g: with it the plate is judged and not the sauce alone.
    #[schema(minimum = 0, maximum = 2000)]
    pub meat_salt_g: Option<f64>,
    /// Flour that came in on the meat, g.
    #[schema(minimum = 0, maximum = 2000)]
    pub dredged_flour_g: Option<f64>,
    /// Sugar in the liquid, g.
    #[schema(minimum = 0, maximum = 5000)]
    pub sugar_g: Option<f64>,
    /// Acid in it, reckoned as acetic, g.
    #[schema(minimum = 0, maximum = 1000)]
    pub acid_g: Option<f64>,
    /// Whether something in it grows bitter when it is boiled down.
    pub bitter: bool,
    /// Vegetables that cooked in it and come out, kg.
    #[schema(minimum = 0, maximum = 60)]
    pub vegetables_kg: Option<f64>,
    /// What was done to it already, in this order; the liquid above is how it stood before that.
    #[schema(max_items = 200)]
    pub done: Vec<Move>,
    /// What is still to be done, as the cook bent it; the usual path where not given.
    #[schema(max_items = 200)]
    pub moves: Option<Vec<Move>>,
}

/// What a cook has chosen of the way to the sauce; what is not said is as the plan wants it.
#[skip_serializing_none]
#[derive(Debug, Clone, Default, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields, default)]
pub struct SauceChoices {
    /// How the fat comes off.
    pub skim: Option<Skim>,
    /// How it tastes.
    pub taste: Option<Taste>,
    /// What it becomes.
    pub target: Option<Target>,
    /// What thickens it.
    pub thickener: Option<Thickener>,
    /// Share of it that is thickened tonight, 0–1.
    #[schema(minimum = 0, maximum = 1)]
    pub share: Option<f64>,
    /// What is still to be done, as the cook bent it.
    #[schema(max_items = 200)]
    pub moves: Option<Vec<Move>>,
}

impl SauceChoices {
    /// Checks what was sent.
    ///
    /// # Errors
    /// Names the field that can't be used.
    pub fn check(&self) -> Result<()> {
        self.share.map_or(Ok(()), |share| in_range("share", share, 0.0, 1.0, Unit::None).map(drop))?;
        check_moves("moves", self.moves.as_deref().unwrap_or_default())
    }
}
