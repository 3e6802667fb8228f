//! What surrounds the meat, with nothing left open: a combination that can't be has no place in it.

use ergastic_physics::medium::{Cooling, Medium as Physics};
use ergastic_physics::pit::Pit;

use super::settings::{Settings, Start};
use crate::heat::coals::Coals;
use crate::heat::pit::WrapMaterial;
use crate::heat::pot::{Lid, Simmer};

/// What surrounds the meat, resolved.
#[derive(Debug, Clone, Copy, PartialEq)]
pub enum Medium {
    /// On the hob at a simmer.
    Hob {
        /// The cook's word for it.
        simmer: Simmer,
    },
    /// In the oven.
    Oven {
        /// Set point, °C.
        set_c: f64,
        /// Fan on.
        fan: bool,
        /// First heat.
        start: Start,
    },
    /// Coals under and over.
    Coals(Coals),
    /// Under pressure.
    Pressure {
        /// Gauge, kPa.
        gauge_kpa: f64,
        /// Saturation temperature under it, °C.
        target_c: f64,
        /// Time at pressure, s; none is solved for.
        hold_s: Option<f64>,
        /// Let go at once.
        quick: bool,
        /// Heat in, W.
        power_w: f64,
    },
    /// A slow cooker.
    SlowCooker {
        /// Its switch.
        setting: Settings,
    },
    /// Kept warm.
    KeepWarm {
        /// At, °C.
        at_c: f64,
    },
    /// Bagged in a bath.
    Bath {
        /// At, °C.
        bath_c: f64,
    },
    /// Under fat.
    Fat {
        /// At, °C.
        fat_c: f64,
    },
    /// In the pit.
    Pit {
        /// How it is run.
        pit: Pit,
        /// Wrapped in this when the middle is so warm, °C.
        wrap: Option<(WrapMaterial, f64)>,
    },
    /// Cooled.
    Chill {
        /// How.
        cooling: Cooling,
    },
    /// Warmed through again.
    Reheat {
        /// To, °C.
        to_c: f64,
    },
}

impl Medium {
    /// What it is to the physics.
    pub fn physics(&self) -> Physics {
        match *self {
            Self::Hob { simmer } => Physics::Hob { simmer: simmer.held() },
            Self::Oven { set_c, fan, start } => Physics::Oven { set_c, fan, start: start.first_heat() },
            Self::Coals(coals) => Physics::Coals(*coals),
            Self::Pressure { target_c, hold_s, quick, power_w, .. } => {
                Physics::Pressure { target_c, hold_s, quick, power_w }
            }
            Self::SlowCooker { setting } => Physics::SlowCooker(setting.cooker()),
            Self::KeepWarm { at_c } => Physics::KeepWarm { at_c },
            Self::Bath { bath_c } => Physics::Bath { bath_c },
            Self::Fat { fat_c } => Physics::Fat { fat_c },
            Self::Pit { pit, wrap } => {
                Physics::Pit { pit, wrap: wrap.map(|(material, at_core_c)| (material.wrap(), at_core_c)) }
            }
            Self::Chill { cooling } => Physics::Chill { cooling },
            Self::Reheat { .. } => Physics::Reheat,
        }
    }

    /// Whether the clock of the heat source goes on from one stage into the next.
    pub fn same_kind(&self, other: &Self) -> bool {
        std::mem::discriminant(self) == std::mem::discriminant(other)
    }

    /// Whether the meat lies in a pot of water, stock or wine.
    pub fn is_pot(&self) -> bool {
        self.physics().is_pot()
    }

    /// The cover that is usual for it.
    pub fn usual_lid(&self) -> Lid {
        match self {
            Self::Hob { .. } | Self::SlowCooker { .. } | Self::Reheat { .. } => Lid::Loose,
            _ => Lid::Tight,
        }
    }

    /// Whether it is a rolling boil.
    pub fn rolls(&self) -> bool {
        matches!(self, Self::Hob { simmer: Simmer::Boil })
    }
}
