//! What surrounds the meat, with nothing left open: a combination that can't be has no place in it.

use super::settings::{Settings, Start};
use crate::heat::coals::Coals;
use crate::heat::pit::{Pit, WrapMaterial};
use crate::heat::places::FRIDGE_C;
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

/// How a dish is cooled.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum Cooling {
    /// In its liquid, shallow, in ice water and then the fridge.
    InLiquid,
    /// In its bag, in ice water and then the fridge.
    InBag,
    /// On a tray in the fridge.
    OnTray,
    /// Where it stands, covered, in the kitchen's air: the heat is off.
    InAir,
}

impl Medium {
    /// Whether the meat lies in a pot of water, stock or wine.
    pub fn is_pot(&self) -> bool {
        matches!(
            self,
            Self::Hob { .. }
                | Self::Oven { .. }
                | Self::Coals(_)
                | Self::Pressure { .. }
                | Self::SlowCooker { .. }
                | Self::KeepWarm { .. }
                | Self::Reheat { .. }
        )
    }

    /// Whether the clock of the heat source goes on from one stage into the next.
    pub fn same_kind(&self, other: &Self) -> bool {
        std::mem::discriminant(self) == std::mem::discriminant(other)
    }

    /// Its temperature as the meat goes in, °C, liquid and fat being as warm as said.
    pub fn start_c(&self, liquid_start_c: f64) -> f64 {
        match self {
            Self::Bath { bath_c } => *bath_c,
            Self::Pit { pit, .. } => pit.start_c,
            Self::Chill { cooling: Cooling::OnTray | Cooling::InBag } => FRIDGE_C,
            _ => liquid_start_c,
        }
    }

    /// The air that a thermometer hangs in before it, °C, where that is not what surrounds the meat.
    pub fn air_c(&self) -> Option<f64> {
        match self {
            Self::Oven { set_c, .. } => Some(*set_c),
            _ => None,
        }
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
