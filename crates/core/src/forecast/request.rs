//! A forecast's request, as it is sent.

use serde::de::IgnoredAny;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use crate::cuts::Cut;
use crate::heat::pot::{Simmer, Vessel};
use crate::tender::{Age, EatenAs};

/// A way of cooking.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Hash, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
#[allow(missing_docs)]
pub enum Method {
    Braise,
    Stew,
    Pressure,
    Smoke,
    Confit,
    SlowCooker,
    WaterBath,
    KeepWarm,
    Chill,
    Reheat,
}

/// What a pot stands on or in.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
#[allow(missing_docs)]
pub enum HeatSource {
    Oven,
    Hob,
    Coals,
}

/// How pressure is let go.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
#[allow(missing_docs)]
pub enum Release {
    Natural,
    Quick,
}

/// What a slow cooker or pressure pot is set to.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
#[allow(missing_docs)]
pub enum Settings {
    Low,
    High,
}

/// A wrap put on in the pit.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct Wrap {
    /// `paper` or `foil`.
    #[serde(rename = "in")]
    pub material: String,
    /// Wrapped when the middle reaches this, °C.
    pub at_core_c: f64,
}

/// How it is heated; which fields apply depends on the method.
#[derive(Debug, Clone, Default, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields, default)]
#[allow(missing_docs)] // the names are those of the published request
pub struct Heat {
    #[serde(skip_serializing_if = "Option::is_none")]
    pub source: Option<HeatSource>,
    /// Oven, °C.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub set_c: Option<f64>,
    #[serde(skip_serializing_if = "Option::is_none")]
    pub fan: Option<bool>,
    #[serde(skip_serializing_if = "Option::is_none")]
    pub simmer: Option<Simmer>,
    /// Coals under the pot.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub under: Option<u32>,
    /// Coals on its lid.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub over: Option<u32>,
    #[serde(skip_serializing_if = "Option::is_none")]
    pub level: Option<Settings>,
    /// Pressure above the air's, kPa.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub gauge_kpa: Option<f64>,
    #[serde(skip_serializing_if = "Option::is_none")]
    pub at_pressure_min: Option<f64>,
    #[serde(skip_serializing_if = "Option::is_none")]
    pub release: Option<Release>,
    /// Pit air, °C.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub pit_c: Option<f64>,
    #[serde(skip_serializing_if = "Option::is_none")]
    pub wrap: Option<Wrap>,
    /// Fat, °C.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub fat_c: Option<f64>,
    #[serde(skip_serializing_if = "Option::is_none")]
    pub setting: Option<Settings>,
    /// Water bath, °C.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub bath_c: Option<f64>,
    /// Keep-warm, °C.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub at_c: Option<f64>,
    /// Reheated to, °C.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub to_c: Option<f64>,
}

/// A forecast's request. Only `cut` and `method` must be given.
#[derive(Debug, Clone, Default, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields, default)]
pub struct ForecastRequest {
    /// Which cut.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub cut: Option<Cut>,
    /// All pieces together, raw, bone in, kg.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub mass_kg: Option<f64>,
    /// How many pieces.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub pieces: Option<u32>,
    /// The sides of the largest piece, mm.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub size_mm: Option<[f64; 3]>,
    /// Thickness of the largest piece alone, mm; the other sides follow from the mass.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub thickness_mm: Option<f64>,
    /// The meat as it goes in, °C.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub start_c: Option<f64>,
    /// How old the animal was.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub age: Option<Age>,
    /// Fed on grass.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub grass_fed: Option<bool>,
    /// What "done" means.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub eaten_as: Option<EatenAs>,
    /// The way of cooking.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub method: Option<Method>,
    /// How it is heated.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub heat: Option<Heat>,
    /// The pot.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub vessel: Option<Vessel>,
    /// Liquid poured in, L.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub liquid_l: Option<f64>,
    /// The liquid as the meat goes in, °C.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub liquid_start_c: Option<f64>,
    /// Above the sea, m.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub altitude_m: Option<f64>,
    /// When it has to be tender, minutes from the start.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub deadline_min: Option<f64>,
    /// Simulated cooks; 1 is the deterministic run at every median.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub members: Option<u32>,
    /// Seed of the spreads.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub seed: Option<u64>,
    /// Also answer the inside of the piece over time.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub inside: Option<bool>,
    /// A mixed pot.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(value_type = Option<Vec<Object>>)]
    pub parts: Option<Unread>,
    /// A chain of ways.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(value_type = Option<Vec<Object>>)]
    pub stages: Option<Unread>,
}

/// A field of the published request that is recognised and answered with a clear "not yet".
#[derive(Debug, Clone, PartialEq)]
pub struct Unread;

impl Serialize for Unread {
    fn serialize<S: serde::Serializer>(&self, serializer: S) -> std::result::Result<S::Ok, S::Error> {
        serializer.serialize_none()
    }
}

impl<'de> Deserialize<'de> for Unread {
    fn deserialize<D: serde::Deserializer<'de>>(deserializer: D) -> std::result::Result<Self, D::Error> {
        IgnoredAny::deserialize(deserializer).map(|_| Self)
    }
}
