//! What is burned.

/// What is burned.
#[derive(Debug, Clone, Copy, PartialEq, Default)]
pub struct Burned {
    /// From the wall or as gas, kWh.
    pub kwh: f64,
    /// Charcoal or wood, kg.
    pub solid_kg: f64,
}

impl Burned {
    /// From the wall or as gas.
    pub fn kwh(kwh: f64) -> Self {
        Self { kwh, solid_kg: 0.0 }
    }

    /// Charcoal or wood.
    pub fn solid_kg(solid_kg: f64) -> Self {
        Self { kwh: 0.0, solid_kg }
    }

    /// An oven set to so many °C.
    pub fn oven(set_c: f64, hours: f64) -> Self {
        Self::kwh(0.35 * set_c / 150.0 + 0.5 * (set_c - 20.0) / 130.0 * hours)
    }
}
