//! The names of the ways.

/// A way, whatever it is set to.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum WayId {
    /// In the oven.
    Oven,
    /// On the hob at a simmer.
    Hob,
    /// Coals under and over.
    Coals,
    /// Under pressure.
    Pressure,
    /// A slow cooker.
    SlowCooker,
    /// In the pit.
    Pit,
    /// Under fat.
    Fat,
    /// Bagged in a bath.
    Bath,
    /// Kept warm.
    KeepWarm,
    /// Cooled.
    Chill,
    /// Warmed through again.
    Reheat,
}

impl WayId {
    /// All of them.
    pub const ALL: [Self; 11] = [
        Self::Oven,
        Self::Hob,
        Self::Coals,
        Self::Pressure,
        Self::SlowCooker,
        Self::Pit,
        Self::Fat,
        Self::Bath,
        Self::KeepWarm,
        Self::Chill,
        Self::Reheat,
    ];
}
