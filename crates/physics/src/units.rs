//! Unit conversions used inside the core. What a cook reads is formatted by the interface.

/// Seconds in a minute.
pub const MINUTE_S: f64 = 60.0;
/// Seconds in an hour.
pub const HOUR_S: f64 = 3600.0;
/// 0 °C in kelvin.
pub const ZERO_CELSIUS_K: f64 = 273.15;

/// °C to K.
pub fn kelvin(celsius: f64) -> f64 {
    celsius + ZERO_CELSIUS_K
}

/// `value` rounded to `step`, as in `round_to(183.0, 5.0) == 185.0`.
pub fn round_to(value: f64, step: f64) -> f64 {
    (value / step).round() * step
}
