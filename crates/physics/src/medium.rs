//! What surrounds the meat, with nothing left open.

use crate::coals::CoalFire;
use crate::parameters::Parameters;
use crate::pit::{Pit, Wrapping};
use crate::places::FRIDGE_C;
use crate::steam::SteamOven;
use crate::vessel::SimmerLevel;

/// What surrounds the meat.
#[derive(Debug, Clone, Copy, PartialEq)]
pub enum Medium {
    /// On the hob at a simmer.
    Hob {
        /// How far below the boil.
        simmer: SimmerLevel,
    },
    /// In the oven.
    Oven {
        /// Set point, °C.
        set_c: f64,
        /// Fan on.
        fan: bool,
        /// First heat.
        start: FirstHeat,
    },
    /// Coals under and over.
    Coals(CoalFire),
    /// Under pressure.
    Pressure {
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
    SlowCooker(SlowCookerSwitch),
    /// Kept warm.
    KeepWarm {
        /// At, °C.
        at_c: f64,
    },
    /// In a steam oven: steam about an open pan, or about the cover of one.
    Steam(SteamOven),
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
        wrap: Option<(Wrapping, f64)>,
    },
    /// Cooled.
    Chill {
        /// How.
        cooling: Cooling,
    },
    /// Warmed through again.
    Reheat,
}

/// How a slow cooker's switch is set.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum SlowCookerSwitch {
    /// The gentler.
    Low,
    /// The stronger.
    High,
}

impl SlowCookerSwitch {
    /// Where it ends, °C.
    pub fn end_c(self, p: &Parameters) -> f64 {
        p.slow_cooker[self as usize].end_c
    }
}

/// Where a pot for the oven gets its first heat.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum FirstHeat {
    /// Brought to a simmer on the hob first.
    Hob,
    /// Straight into the hot oven.
    Oven,
    /// Into an oven that warms up with it.
    ColdOven,
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
        match self {
            Self::Hob { .. }
            | Self::Oven { .. }
            | Self::Coals(_)
            | Self::Pressure { .. }
            | Self::SlowCooker(_)
            | Self::Steam(_)
            | Self::KeepWarm { .. }
            | Self::Reheat => true,
            Self::Bath { .. } | Self::Fat { .. } | Self::Pit { .. } | Self::Chill { .. } => false,
        }
    }

    /// Whether the meat's own surface meets the air, to dry in it or to be rained on by its steam.
    pub(crate) fn is_air(&self) -> bool {
        matches!(self, Self::Pit { .. } | Self::Steam(_))
    }

    /// Whether the clock of the heat source goes on from one stage into the next.
    pub(crate) fn same_kind(&self, other: &Self) -> bool {
        std::mem::discriminant(self) == std::mem::discriminant(other)
    }

    /// Its temperature as the meat goes in, °C, liquid and fat being as warm as said.
    pub fn start_c(&self, liquid_start_c: f64) -> f64 {
        match self {
            Self::Bath { bath_c } => *bath_c,
            Self::Pit { pit, .. } => pit.start_c,
            Self::Chill { cooling: Cooling::OnTray | Cooling::InBag } => FRIDGE_C,
            Self::Chill { cooling: Cooling::InLiquid | Cooling::InAir }
            | Self::Hob { .. }
            | Self::Oven { .. }
            | Self::Coals(_)
            | Self::Pressure { .. }
            | Self::SlowCooker(_)
            | Self::Steam(_)
            | Self::KeepWarm { .. }
            | Self::Fat { .. }
            | Self::Reheat => liquid_start_c,
        }
    }

    /// The air that a thermometer hangs in before it, °C, where that is not what surrounds the meat.
    pub(crate) fn air_c(&self) -> Option<f64> {
        match self {
            Self::Oven { set_c, .. } => Some(*set_c),
            Self::Steam(oven) => Some(oven.set_c),
            _ => None,
        }
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn each_begins_as_warm_as_what_the_meat_is_put_into() {
        let start = |medium: Medium| medium.start_c(60.0);
        assert_eq!(start(Medium::Bath { bath_c: 82.0 }), 82.0);
        assert_eq!(start(Medium::Chill { cooling: Cooling::OnTray }), FRIDGE_C);
        assert_eq!(start(Medium::Chill { cooling: Cooling::InLiquid }), 60.0);
        assert_eq!(start(Medium::Oven { set_c: 150.0, fan: false, start: FirstHeat::Oven }), 60.0);
        assert_eq!(Medium::Oven { set_c: 150.0, fan: false, start: FirstHeat::Oven }.air_c(), Some(150.0));
    }

    #[test]
    fn a_fire_goes_on_from_one_stage_of_a_kind_into_the_next_however_it_is_set() {
        let hob = |simmer| Medium::Hob { simmer };
        assert!(hob(SimmerLevel::Gentle).same_kind(&hob(SimmerLevel::Brisk)));
        assert!(!hob(SimmerLevel::Gentle).same_kind(&Medium::Reheat));
        assert!(Medium::Reheat.is_pot() && !Medium::Fat { fat_c: 90.0 }.is_pot());
    }
}
