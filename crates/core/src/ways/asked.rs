//! What a way is asked for: every field of a heat, with the way it belongs to and what it may be.

use serde::{Deserialize, Serialize};
use serde_with::skip_serializing_none;
use strum::IntoStaticStr;
use utoipa::ToSchema;

use super::id::WayId;
use super::method::{HeatSource, Release, Settings, Start};
use crate::error::{Result, Unit, in_range};
use crate::heat::coals::Wind;
use crate::heat::pit::WrapMaterial;
use crate::heat::pot::Simmer;

/// What a field may be.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Bounds {
    /// The field, with its path.
    pub field: &'static str,
    /// At least.
    pub low: f64,
    /// At most.
    pub high: f64,
    /// In.
    pub unit: Unit,
}

impl Bounds {
    /// # Errors
    /// Out of range.
    pub fn check(&self, value: f64) -> Result<f64> {
        in_range(self.field, value, self.low, self.high, self.unit)
    }
}

/// A wrap put on in the pit.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct Wrap {
    /// What it is wrapped in.
    #[serde(rename = "in")]
    pub material: WrapMaterial,
    /// Wrapped when the middle reaches this, °C; 70 where not given, 0 wraps at once.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 0, maximum = 100)]
    pub at_core_c: Option<f64>,
}

/// Coats of mop or spritz in the pit.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct Mopping {
    /// Minutes between coats.
    #[schema(minimum = 5, maximum = 4320)]
    pub every_min: f64,
    /// The first, minutes after the meat went in; one interval where not given.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 0, maximum = 4320)]
    pub from_min: Option<f64>,
}

/// How full the steam of a steam oven is.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema, IntoStaticStr)]
#[serde(rename_all = "snake_case")]
#[strum(serialize_all = "snake_case")]
pub enum Steam {
    /// As much as the air bears.
    Full,
    /// Half of that, the rest dry air.
    Half,
}

impl Steam {
    /// Its name in JSON, and in a sentence's choices.
    pub fn key(self) -> &'static str {
        self.into()
    }

    /// Its vapour over that of saturated air.
    pub(super) fn fullness(self) -> f64 {
        match self {
            Self::Full => 1.0,
            Self::Half => 0.5,
        }
    }
}

/// One list of fields makes the request, its description in the API, its bounds and the way each belongs to.
macro_rules! asked {
    (
        turned: $($turned:ident),+;
        $($(#[$doc:meta])* $way:ident.$name:ident: $type:ty $(= [$($low:tt)+] to [$($high:tt)+], $unit:ident)?;)+
    ) => {
        /// How it is heated; which fields apply depends on the method.
        #[skip_serializing_none]
        #[derive(Debug, Clone, Default, PartialEq, Serialize, Deserialize, ToSchema)]
        #[serde(deny_unknown_fields, default)]
        pub struct Heat {
            /// What the pot stands on or in.
            pub source: Option<HeatSource>,
            $($(#[$doc])* $(#[schema(minimum = $($low)+, maximum = $($high)+)])? pub $name: Option<$type>,)+
        }

        /// What each field may be.
        #[expect(non_upper_case_globals, reason = "named like the field")]
        pub(crate) mod bounds {
            use super::{Bounds, Unit};
            $($(pub const $name: Bounds = Bounds {
                field: concat!("heat.", stringify!($name)), low: $($low)+ as f64, high: $($high)+ as f64, unit: Unit::$unit,
            };)?)+
        }

        impl Heat {
            /// The fields that are given, with the way each belongs to.
            pub(super) fn given(&self) -> impl Iterator<Item = (&'static str, WayId)> {
                let all = [$((stringify!($name), WayId::$way, self.$name.is_some())),+];
                all.into_iter().filter(|(.., given)| *given).map(|(name, way, _)| (name, way))
            }

            /// A change laid over what was before; another source takes nothing of the last one's settings along.
            #[must_use]
            pub fn over(&self, before: &Self) -> Self {
                if self.source.is_some() && self.source != before.source {
                    return self.clone();
                }
                Self {
                    source: self.source.or(before.source),
                    $($name: self.$name.clone().or_else(|| before.$name.clone()),)+
                }
            }

            /// Whether the dial stands at the same place.
            pub fn same_dial(&self, other: &Self) -> bool {
                $(self.$turned == other.$turned)&&+
            }
        }
    };
}

asked! {
    turned: set_c, simmer, under, level, pit_c, fat_c, setting, steam_c, steam, bath_c;
    /// Oven, °C.
    Oven.set_c: f64 = [80] to [260], Celsius;
    /// The oven's fan.
    Oven.fan: bool;
    /// The simmer on the hob.
    Hob.simmer: Simmer;
    /// Coals under the pot.
    Coals.under: u32 = [0] to [80], Coals;
    /// Coals on its lid.
    Coals.over: u32 = [0] to [80], Coals;
    /// Pressure by its switch.
    Pressure.level: Settings;
    /// Pressure above the air's, kPa.
    Pressure.gauge_kpa: f64 = [10] to [150], Kilopascals;
    /// Time at pressure, min; solved for where not given.
    Pressure.at_pressure_min: f64 = [0] to [600], Minutes;
    /// How pressure is let go.
    Pressure.release: Release;
    /// Pit air, °C.
    Pit.pit_c: f64 = [65] to [200], Celsius;
    /// The wrap; bare where not given.
    Pit.wrap: Wrap;
    /// Fat, °C.
    Fat.fat_c: f64 = [60] to [130], Celsius;
    /// The slow cooker's switch.
    SlowCooker.setting: Settings;
    /// Steam oven, °C.
    SteamOven.steam_c: f64 = [65] to [100], Celsius;
    /// How full its steam is.
    SteamOven.steam: Steam;
    /// Water bath, °C.
    Bath.bath_c: f64 = [54.4] to [99], Celsius;
    /// Keep-warm, °C.
    KeepWarm.at_c: f64 = [50] to [90], Celsius;
    /// Reheated to, °C.
    Reheat.to_c: f64 = [55] to [90], Celsius;
    /// First heat of a pot for the oven.
    Oven.start: Start;
    /// Fresh coals this often, min.
    Coals.fresh_every_min: f64 = [10] to [4320], Minutes;
    /// Wind about the coals.
    Coals.wind: Wind;
    /// Air about the coals, °C.
    Coals.air_c: f64 = [-40] to [45], Celsius;
    /// Heat into a pressure pot, W.
    Pressure.power_w: f64 = [200] to [6000], Watts;
    /// Air of the pit as the meat goes in, °C; the set point where not given.
    Pit.pit_start_c: f64 = [-40] to [200], Celsius;
    /// Coats of mop.
    Pit.mop: Mopping;
    /// The pit's lid is opened this often, min.
    Pit.open_every_min: f64 = [10] to [4320], Minutes;
    /// A pit that does not hold itself: its fuel is seen to this often, min.
    Pit.tend_every_min: f64 = [10] to [4320], Minutes;
}

impl Heat {
    /// A pot on the hob at a simmer.
    pub fn hob(simmer: Simmer) -> Self {
        Self { source: Some(HeatSource::Hob), simmer: Some(simmer), ..Self::default() }
    }

    /// A pot in an oven set to so many °C.
    pub fn oven(set_c: f64) -> Self {
        Self { source: Some(HeatSource::Oven), set_c: Some(set_c), ..Self::default() }
    }
}
