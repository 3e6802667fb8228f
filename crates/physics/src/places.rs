//! How warm the places of a kitchen are where nothing is said.

/// A kitchen of which nothing else is said, °C.
pub const ROOM_C: f64 = 20.0;
/// The air beside a burner that is lit, °C.
pub const BY_THE_STOVE_C: f64 = 22.0;
/// The air of a fridge, °C.
pub const FRIDGE_C: f64 = 4.0;
/// The same while it works against something warm, °C.
pub const FRIDGE_AT_WORK_C: f64 = 3.0;
/// Meat that comes out of it, °C.
pub const FROM_THE_FRIDGE_C: f64 = 5.0;
/// A freezer, °C.
pub const FREEZER_C: f64 = -18.0;
/// Ice water, °C.
pub const ICE_WATER_C: f64 = 1.0;
