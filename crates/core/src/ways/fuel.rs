//! What each way burns.

use super::medium::Medium;
use crate::heat::pot::Simmer;

/// Charcoal or wood that lights a pit, kg.
const LIGHTS_PIT_KG: f64 = 1.0;
/// Mass of a briquette, kg.
const BRIQUETTE_KG: f64 = 0.025;

/// What is burned.
#[derive(Debug, Clone, Copy, PartialEq, Default)]
pub struct Burned {
    /// From the wall or as gas, kWh.
    pub kwh: f64,
    /// Charcoal or wood, kg.
    pub solid_kg: f64,
}

impl Medium {
    /// What it burns in some hours. Working values: ovens, hobs and pits differ by half.
    pub fn burns(&self, hours: f64) -> Burned {
        let (kwh, solid_kg) = self.kwh_and_solid_kg(hours);
        Burned { kwh, solid_kg }
    }

    fn kwh_and_solid_kg(&self, hours: f64) -> (f64, f64) {
        match self {
            Self::Oven { set_c, .. } | Self::Fat { fat_c: set_c } => {
                (0.35 * set_c / 150.0 + 0.5 * (set_c - 20.0) / 130.0 * hours, 0.0)
            }
            Self::Hob { simmer } => {
                let kilowatts = match simmer {
                    Simmer::Lazy => 0.2,
                    Simmer::Gentle => 0.3,
                    Simmer::Brisk => 0.6,
                    Simmer::Boil => 1.0,
                };
                (0.35 + kilowatts * hours, 0.0)
            }
            Self::Reheat { .. } => (0.35 + 0.3 * hours, 0.0),
            Self::Pressure { .. } => (0.35 + 0.15 * hours, 0.0),
            Self::SlowCooker { .. } => (0.05 + 0.12 * hours, 0.0),
            Self::KeepWarm { .. } => (0.05 * hours, 0.0),
            Self::Bath { .. } => (0.8 + 0.12 * hours, 0.0),
            Self::Chill { .. } => (0.1, 0.0),
            Self::Coals(coals) => {
                let lots = (hours * 3600.0 / coals.fresh_every_s).ceil().max(1.0);
                (0.0, f64::from(coals.under + coals.over) * BRIQUETTE_KG * lots)
            }
            Self::Pit { pit, .. } => (0.0, LIGHTS_PIT_KG + 0.4 * hours * (pit.set_c - 20.0) / 90.0),
        }
    }
}
