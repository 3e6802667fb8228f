//! What a way is set against.

use ergastic_physics::medium::Cooling;

use crate::heat::pot::Pot;

/// What a way is set against.
pub(crate) struct Site<'a> {
    /// The pot, as far as its size goes.
    pub pot: &'a Pot,
    /// Whether the pot may stand on a hob.
    pub stands_on_a_hob: bool,
    /// Across a round pot, or as wide as a square one is, m.
    pub across_m: f64,
    /// The air's pressure, Pa.
    pub pressure_pa: f64,
    /// Local boil, °C.
    pub boil_c: f64,
    /// How what the stage before cooked is cooled, if there is one.
    pub cooled: Option<Cooling>,
}
