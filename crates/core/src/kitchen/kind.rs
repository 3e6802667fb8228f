//! What of a kitchen a dish takes, and where it then is.

use super::lane::Lane;

/// Something of the kitchen that is taken.
#[derive(Debug, Clone, Copy, PartialEq, Eq, PartialOrd, Ord)]
pub enum ThingKind {
    /// A pair of hands.
    Hands,
    /// A burner, or a place over the fire instead.
    Burner,
    /// A frying pan.
    Pan,
    /// An oven.
    Oven,
    /// A pit.
    Pit,
    /// A bath.
    Bath,
    /// A pressure pot: it sears, cooks and reduces, and is one booking.
    PressurePot,
    /// A slow cooker.
    SlowCooker,
    /// A place for coals.
    Coals,
}

impl ThingKind {
    /// All, in the order of a problem's kinds.
    pub const ALL: [Self; 9] = [
        Self::Hands,
        Self::Burner,
        Self::Pan,
        Self::Oven,
        Self::Pit,
        Self::Bath,
        Self::PressurePot,
        Self::SlowCooker,
        Self::Coals,
    ];

    /// Its name in a sentence's choices.
    pub fn key(self) -> &'static str {
        match self {
            Self::Hands => "hands",
            Self::Burner => "burner",
            Self::Pan => "pan",
            Self::Oven => "oven",
            Self::Pit => "pit",
            Self::Bath => "bath",
            Self::PressurePot => "pressure_pot",
            Self::SlowCooker => "slow_cooker",
            Self::Coals => "coals",
        }
    }

    /// Where a dish is while it takes it, if that is a place of its own.
    pub fn lane(self) -> Option<Lane> {
        match self {
            Self::Oven => Some(Lane::Oven),
            Self::Pit => Some(Lane::Pit),
            Self::Bath => Some(Lane::Bath),
            Self::PressurePot => Some(Lane::PressurePot),
            Self::SlowCooker => Some(Lane::Crock),
            Self::Coals => Some(Lane::Fire),
            Self::Hands | Self::Burner | Self::Pan => None,
        }
    }

    /// What something takes that goes on by itself in a lane; none where that is no thing.
    pub fn of_lane(lane: Lane) -> Option<Self> {
        if lane == Lane::Hob {
            return Some(Self::Burner);
        }
        Self::ALL.into_iter().find(|thing| thing.lane() == Some(lane))
    }

    /// Uses that one of it bears at one setting. Working values: two pots on two shelves, three bags under water.
    pub fn room(self) -> usize {
        match self {
            Self::Oven | Self::Pit => 2,
            Self::Bath => 3,
            _ => 1,
        }
    }

    /// Whether all that stands in it has to bear one setting.
    pub fn has_one_setting(self) -> bool {
        matches!(self, Self::Oven | Self::Pit | Self::Bath)
    }
}
