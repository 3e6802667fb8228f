//! How a way is named and set, as a request says it.

use ergastic_physics::medium::{FirstHeat, SlowCookerSwitch};
use ergastic_physics::pressure::KEPT_WARM_C;
use serde::{Deserialize, Serialize};
use strum::IntoStaticStr;
use utoipa::ToSchema;

use super::id::WayId;

/// What an oven is set to where nothing is said, °C.
pub const USUAL_OVEN_C: f64 = 150.0;
/// A pit, °C.
pub const USUAL_PIT_C: f64 = 110.0;
/// Fat, °C.
pub const USUAL_FAT_C: f64 = 90.0;
/// A bath, °C.
pub const USUAL_BATH_C: f64 = 82.0;
/// A pot kept warm, °C: 70 to 75, as keep-warm holds it. Practice.
pub const USUAL_KEEP_WARM_C: f64 = KEPT_WARM_C;
/// In the middle when it is warmed again, °C. Published guidance.
pub const USUAL_REHEAT_C: f64 = 74.0;
/// A bag that finishes what was smoked, °C. Practice.
pub const AFTER_SMOKE_BATH_C: f64 = 85.0;
/// In the middle when a piece in the pit is wrapped, °C: the stall, with a bark on it.
pub const USUAL_WRAP_C: f64 = 70.0;

/// From one heat to the next, min. Working value.
pub const MOVE_MIN: f64 = 10.0;
/// A night in the cold: long enough that fat sets and lifts off whole, min. Practice.
pub const NIGHT_MIN: f64 = 600.0;

macro_rules! methods {
    (
        compared { $($(#[$doc:meta])* $name:ident: $key:tt $usual:ident of [$($way:ident),+],)+ }
        others { $($(#[$other_doc:meta])* $other:ident: $other_key:tt $other_usual:ident of [$($other_way:ident),+],)+ }
    ) => {
        /// A way of cooking.
        #[derive(Debug, Clone, Copy, PartialEq, Eq, Hash, Serialize, Deserialize, ToSchema)]
        pub enum Method {
            $($(#[$doc])* #[serde(rename = $key)] $name,)+
            $($(#[$other_doc])* #[serde(rename = $other_key)] $other,)+
        }

        impl Method {
            /// The methods that are compared, in the order in which a cook thinks of them.
            pub const COMPARED: [Self; [$($key),+].len()] = [$(Self::$name),+];

            /// Its name in JSON.
            pub fn key(self) -> &'static str {
                match self {
                    $(Self::$name => $key,)+
                    $(Self::$other => $other_key,)+
                }
            }

            /// The ways it can be gone.
            pub fn ways(self) -> &'static [WayId] {
                match self {
                    $(Self::$name => &[$(WayId::$way),+],)+
                    $(Self::$other => &[$(WayId::$other_way),+],)+
                }
            }

            /// The usual one of them.
            pub fn usual(self) -> WayId {
                match self {
                    $(Self::$name => WayId::$usual,)+
                    $(Self::$other => WayId::$other_usual,)+
                }
            }
        }
    };
}

each_method!(methods!);

/// What a pot stands on or in.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema, IntoStaticStr)]
#[serde(rename_all = "snake_case")]
#[strum(serialize_all = "snake_case")]
pub enum HeatSource {
    /// In the oven.
    Oven,
    /// On the hob.
    Hob,
    /// Over and under coals.
    Coals,
}

/// How pressure is let go.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema, IntoStaticStr)]
#[serde(rename_all = "snake_case")]
#[strum(serialize_all = "snake_case")]
pub enum Release {
    /// It falls by itself.
    Natural,
    /// It is let off at once.
    Quick,
}

/// What a slow cooker or pressure pot is set to.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema, IntoStaticStr)]
#[serde(rename_all = "snake_case")]
#[strum(serialize_all = "snake_case")]
pub enum Settings {
    /// The gentler switch.
    Low,
    /// The stronger one.
    High,
}

impl HeatSource {
    /// Its name in JSON.
    pub fn key(self) -> &'static str {
        self.into()
    }
}

impl Release {
    /// Its name in JSON.
    pub fn key(self) -> &'static str {
        self.into()
    }
}

impl Settings {
    /// What a slow cooker does at it.
    pub fn cooker(self) -> SlowCookerSwitch {
        match self {
            Self::Low => SlowCookerSwitch::Low,
            Self::High => SlowCookerSwitch::High,
        }
    }

    /// Its name in JSON.
    pub fn key(self) -> &'static str {
        self.into()
    }
}

/// Where a pot for the oven gets its first heat.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Start {
    /// Brought to a simmer on the hob first.
    Hob,
    /// Straight into the hot oven.
    Oven,
    /// Into an oven that warms up with it.
    ColdOven,
}

impl Start {
    /// The same to the physics.
    pub fn first_heat(self) -> FirstHeat {
        match self {
            Self::Hob => FirstHeat::Hob,
            Self::Oven => FirstHeat::Oven,
            Self::ColdOven => FirstHeat::ColdOven,
        }
    }
}
