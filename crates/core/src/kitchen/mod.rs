//! The kitchen: the things that stand in it, and how its cook likes figures shown.

mod field;
mod fields;
mod kept;
mod kind;
mod things;
mod whole;

pub use ergastic_words::{Clock, FoodCode, Units};
pub use field::{FieldChoice, FieldFigure, FieldUnit, FieldValue, ThingField};
pub use fields::{ThingFields, thing_fields};
pub use kept::Kept;
pub(crate) use kind::each_thing;
pub use kind::{Kit, KitchenShelf, Lane, ThingKind, ThingPicture};
pub use things::{
    Bath, BurnerMeasures, Oven, PanMeasures, PitMeasures, PressurePot, Probe, SlowCooker, Thing, USUAL_INSERT_W,
    Unmeasured, Used,
};
pub use whole::Kitchen;
