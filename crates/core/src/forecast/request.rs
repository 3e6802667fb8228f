//! A forecast's request, as it is sent.

use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use ergastic_words::Units;

use super::known::Known;
use crate::cuts::Cut;
use crate::cuts::EatenAs;
use crate::heat::coals::Wind;
use crate::heat::pit::WrapMaterial;
use crate::heat::pot::{Lid, Simmer, Vessel};
use crate::tender::Age;

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

impl HeatSource {
    /// Its name in JSON.
    pub fn key(self) -> &'static str {
        match self {
            Self::Oven => "oven",
            Self::Hob => "hob",
            Self::Coals => "coals",
        }
    }
}

impl Release {
    /// Its name in JSON.
    pub fn key(self) -> &'static str {
        match self {
            Self::Natural => "natural",
            Self::Quick => "quick",
        }
    }
}

impl Settings {
    /// Its name in JSON.
    pub fn key(self) -> &'static str {
        match self {
            Self::Low => "low",
            Self::High => "high",
        }
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

/// How it is heated; which fields apply depends on the method.
#[derive(Debug, Clone, Default, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields, default)]
#[allow(missing_docs)] // the names are those of the published request
pub struct Heat {
    #[serde(skip_serializing_if = "Option::is_none")]
    pub source: Option<HeatSource>,
    /// Oven, °C.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 80, maximum = 260)]
    pub set_c: Option<f64>,
    #[serde(skip_serializing_if = "Option::is_none")]
    pub fan: Option<bool>,
    #[serde(skip_serializing_if = "Option::is_none")]
    pub simmer: Option<Simmer>,
    /// Coals under the pot.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 0, maximum = 80)]
    pub under: Option<u32>,
    /// Coals on its lid.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 0, maximum = 80)]
    pub over: Option<u32>,
    #[serde(skip_serializing_if = "Option::is_none")]
    pub level: Option<Settings>,
    /// Pressure above the air's, kPa.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 10, maximum = 150)]
    pub gauge_kpa: Option<f64>,
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 0, maximum = 600)]
    pub at_pressure_min: Option<f64>,
    #[serde(skip_serializing_if = "Option::is_none")]
    pub release: Option<Release>,
    /// Pit air, °C.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 65, maximum = 200)]
    pub pit_c: Option<f64>,
    #[serde(skip_serializing_if = "Option::is_none")]
    pub wrap: Option<Wrap>,
    /// Fat, °C.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 60, maximum = 130)]
    pub fat_c: Option<f64>,
    #[serde(skip_serializing_if = "Option::is_none")]
    pub setting: Option<Settings>,
    /// Water bath, °C.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 54.4, maximum = 100)]
    pub bath_c: Option<f64>,
    /// Keep-warm, °C.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 50, maximum = 90)]
    pub at_c: Option<f64>,
    /// Reheated to, °C.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 55, maximum = 90)]
    pub to_c: Option<f64>,
    /// First heat of a pot for the oven.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub start: Option<Start>,
    /// Fresh coals this often, min.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 10, maximum = 4320)]
    pub fresh_every_min: Option<f64>,
    /// Wind about the coals.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub wind: Option<Wind>,
    /// Air about the coals, °C.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = -40, maximum = 45)]
    pub air_c: Option<f64>,
    /// Heat into a pressure pot, W.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 200, maximum = 6000)]
    pub power_w: Option<f64>,
    /// Air of the pit as the meat goes in, °C; the set point where not given.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = -40, maximum = 200)]
    pub pit_start_c: Option<f64>,
    #[serde(skip_serializing_if = "Option::is_none")]
    pub mop: Option<Mopping>,
    /// The pit's lid is opened this often, min.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 5, maximum = 4320)]
    pub open_every_min: Option<f64>,
    /// A pit that does not hold itself: its fuel is seen to this often, min.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 5, maximum = 4320)]
    pub tend_every_min: Option<f64>,
}

/// When a stage ends; exactly one is given.
#[derive(Debug, Clone, Default, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields, default)]
pub struct Until {
    /// After so many minutes of this stage.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 0, maximum = 4320)]
    pub min: Option<f64>,
    /// When the middle is this warm (or, cooling, this cold), °C.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = -5, maximum = 125)]
    pub core_c: Option<f64>,
    /// When it is tender enough; must be `true`.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub tender: Option<bool>,
}

/// One stage of a chain. What it leaves out stays as it was in the stage before.
#[derive(Debug, Clone, Default, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields, default)]
pub struct StageRequest {
    /// Way of cooking.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub method: Option<Method>,
    /// Its heat.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub heat: Option<Heat>,
    /// The pot's cover in this stage.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub lid: Option<Lid>,
    /// When it ends; the last may stay on.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub until: Option<Until>,
}

/// Three sides in mm, in the API's document: a list's items take no bounds of their own from an attribute.
pub fn size_mm_schema() -> utoipa::openapi::schema::Array {
    use utoipa::openapi::schema::{ArrayBuilder, ObjectBuilder, SchemaType, Type};
    let side = ObjectBuilder::new().schema_type(Type::Number).minimum(Some(5.0)).maximum(Some(1200.0));
    ArrayBuilder::new()
        .schema_type(SchemaType::from_iter([Type::Array, Type::Null]))
        .description(Some("The sides of the largest piece, mm."))
        .items(side)
        .min_items(Some(3))
        .max_items(Some(3))
        .build()
}

/// One cut or size in a mixed pot.
#[derive(Debug, Clone, Default, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields, default)]
pub struct PartRequest {
    /// Which cut.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub cut: Option<Cut>,
    /// Raw, bone in, kg.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 0.05, maximum = 40)]
    pub mass_kg: Option<f64>,
    /// How many pieces.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 1, maximum = 500)]
    pub pieces: Option<u32>,
    /// The sides of the largest piece, mm.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(schema_with = crate::forecast::size_mm_schema)]
    pub size_mm: Option<[f64; 3]>,
    /// Thickness of the largest piece alone, mm.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 5, maximum = 300)]
    pub thickness_mm: Option<f64>,
    /// Bone, % of the raw mass, where it is not what this cut usually has.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 0, maximum = 80)]
    pub bone_pct: Option<f64>,
    /// Trimmed off, % of the raw mass, where it is not what this cut usually loses.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 0, maximum = 40)]
    pub trim_pct: Option<f64>,
    /// How old the animal was.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub age: Option<Age>,
    /// Fed on grass.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub grass_fed: Option<bool>,
    /// What "done" means for this part.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub eaten_as: Option<EatenAs>,
}

/// Something put in the pot for body.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum BodyFrom {
    /// Sinew and silver skin trimmed off.
    Sinew,
    /// Calf's or cow's foot.
    Foot,
    /// Beef tendon.
    Tendon,
    /// Pork rind.
    Rind,
}

/// How much of it.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct ForBody {
    /// What.
    pub what: BodyFrom,
    /// How much, kg.
    #[schema(minimum = 0, maximum = 20)]
    pub mass_kg: f64,
}

/// Liquid poured in later.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct Added {
    /// Minutes from the meat meeting the heat.
    #[schema(minimum = 0, maximum = 4320)]
    pub at_min: f64,
    /// How much, L.
    #[schema(minimum = 0, maximum = 20)]
    pub liquid_l: f64,
    /// How warm, °C.
    #[schema(minimum = 0, maximum = 100)]
    pub celsius: f64,
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
    #[schema(minimum = 0.05, maximum = 40)]
    pub mass_kg: Option<f64>,
    /// How many pieces.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 1, maximum = 500)]
    pub pieces: Option<u32>,
    /// The sides of the largest piece, mm.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(schema_with = crate::forecast::size_mm_schema)]
    pub size_mm: Option<[f64; 3]>,
    /// Thickness of the largest piece alone, mm; the other sides follow from the mass.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 5, maximum = 300)]
    pub thickness_mm: Option<f64>,
    /// The meat as it goes in, °C.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = -40, maximum = 40)]
    pub start_c: Option<f64>,
    /// Bone, % of the raw mass, where it is not what this cut usually has.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 0, maximum = 80)]
    pub bone_pct: Option<f64>,
    /// Trimmed off, % of the raw mass, where it is not what this cut usually loses.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 0, maximum = 40)]
    pub trim_pct: Option<f64>,
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
    #[schema(minimum = 0, maximum = 60)]
    pub liquid_l: Option<f64>,
    /// The liquid as the meat goes in, °C.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 0, maximum = 100)]
    pub liquid_start_c: Option<f64>,
    /// Above the sea, m.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = -430, maximum = 6000)]
    pub altitude_m: Option<f64>,
    /// When it has to be tender, minutes from the start.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 0, maximum = 14400)]
    pub deadline_min: Option<f64>,
    /// Simulated cooks; 1 is the deterministic run at every median.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 1, maximum = 20000)]
    pub members: Option<u32>,
    /// Seed of the spreads.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub seed: Option<u64>,
    /// Also answer the inside of the piece over time.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub inside: Option<bool>,
    /// Answer what lies behind each figure: bands along the curve, and what one more fact would narrow.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub explain: Option<bool>,
    /// What earlier cooks have taught.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub known: Option<Known>,
    /// Salt, % of the trimmed raw mass.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 0, maximum = 5)]
    pub salt_pct: Option<f64>,
    /// Salt in the meat as it meets the heat, g, where it is known; in place of `salt_pct`.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 0, maximum = 5000)]
    pub salt_g: Option<f64>,
    /// Salt that the liquid and what is put in it bring, g.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 0, maximum = 2000)]
    pub liquid_salt_g: Option<f64>,
    /// Gelatin already in the liquid, %: 1 to 3 for a good stock.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 0, maximum = 15)]
    pub stock_gelatin_pct: Option<f64>,
    /// Put in for body.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(min_items = 0, max_items = 12)]
    pub for_body: Option<Vec<ForBody>>,
    /// Liquid poured in later.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(min_items = 0, max_items = 100)]
    pub added: Option<Vec<Added>>,
    /// A mixed pot, in place of `cut`, `mass_kg`, `pieces` and the size.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(min_items = 1, max_items = 8)]
    pub parts: Option<Vec<PartRequest>>,
    /// What the answer's sentences are said in; its fields stay in the units that their names say.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub units: Option<Units>,
    /// A chain of ways, in place of `method` and `heat`.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(min_items = 1, max_items = 12)]
    pub stages: Option<Vec<StageRequest>>,
}

impl Method {
    /// Its name in JSON.
    pub fn key(self) -> &'static str {
        match self {
            Self::Braise => "braise",
            Self::Stew => "stew",
            Self::Pressure => "pressure",
            Self::Smoke => "smoke",
            Self::Confit => "confit",
            Self::SlowCooker => "slow_cooker",
            Self::WaterBath => "water_bath",
            Self::KeepWarm => "keep_warm",
            Self::Chill => "chill",
            Self::Reheat => "reheat",
        }
    }
}
