//! The stateless request: one dish on the bench, flat.

use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use ergastic_words::Units;

use crate::bench::{Crystal, Hob, Ingredient, Level, Pan, Prepare, Sear, Surface};
use crate::cuts::Cut;
use crate::cuts::EatenAs;
use crate::forecast::{ForecastRequest, Heat, Method, PartRequest};
use crate::heat::pot::Vessel;
use crate::tender::Age;

/// A dish on the bench. Only `cut` and `mass_kg` must be given.
#[derive(Debug, Clone, Default, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields, default)]
pub struct PrepareRequest {
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
    /// A mixed pot, in place of the four above.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(min_items = 1, max_items = 8)]
    pub parts: Option<Vec<PartRequest>>,
    /// The meat as it goes in, °C.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = -40, maximum = 40)]
    pub start_c: Option<f64>,
    /// How old the animal was.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub age: Option<Age>,
    /// What "done" means.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub eaten_as: Option<EatenAs>,
    /// The way of cooking; a braise where not given.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub method: Option<Method>,
    /// How it is heated.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub heat: Option<Heat>,
    /// The vessel.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub vessel: Option<Vessel>,
    /// Liquid poured in, L; in place of `level`.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 0, maximum = 60)]
    pub liquid_l: Option<f64>,
    /// Above the sea, m.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = -430, maximum = 6000)]
    pub altitude_m: Option<f64>,
    /// How many eat.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 1, maximum = 200)]
    pub people: Option<u32>,
    /// What the butcher asks, a kilo.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 0, maximum = 10000)]
    pub price_per_kg: Option<f64>,
    /// How dry it goes into the pan.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub surface: Option<Surface>,
    /// How hard it is browned.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub sear: Option<Sear>,
    /// The pan.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub pan: Option<Pan>,
    /// The burner.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub hob: Option<Hob>,
    /// How far the liquid comes up the meat.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub level: Option<Level>,
    /// Hours over the heat; until tender where not given.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 0.1, maximum = 72)]
    pub hours: Option<f64>,
    /// Salt, % of the trimmed raw mass.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 0, maximum = 5)]
    pub salt_pct: Option<f64>,
    /// Salted this long ahead, h.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(minimum = 0, maximum = 168)]
    pub salt_h: Option<f64>,
    /// What the salt is like.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub crystal: Option<Crystal>,
    /// What goes in with the meat.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(min_items = 0, max_items = 40)]
    pub ingredients: Option<Vec<Ingredient>>,
    /// What the answer's sentences are said in; the kitchen's own where not given.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub units: Option<Units>,
    /// Everything else at the bench, as a plan keeps it; the fields above win.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub bench: Option<Prepare>,
}

impl PrepareRequest {
    /// The meat and its way.
    pub(super) fn forecast(&self) -> ForecastRequest {
        ForecastRequest {
            cut: self.cut,
            mass_kg: self.mass_kg,
            pieces: self.pieces,
            size_mm: self.size_mm,
            parts: self.parts.clone(),
            start_c: self.start_c,
            age: self.age,
            eaten_as: self.eaten_as,
            method: Some(self.method.unwrap_or(Method::Braise)),
            heat: self.heat.clone(),
            vessel: self.vessel.clone(),
            liquid_l: self.liquid_l,
            altitude_m: self.altitude_m,
            units: self.units,
            ..ForecastRequest::default()
        }
    }

    /// What is done at the bench.
    pub(super) fn bench(&self) -> Prepare {
        let bench = self.bench.clone().unwrap_or_default();
        Prepare {
            surface: self.surface.unwrap_or(bench.surface),
            sear: self.sear.unwrap_or(bench.sear),
            pan: self.pan.or(bench.pan),
            hob: self.hob.or(bench.hob),
            level: self.level.or(bench.level),
            hours: self.hours.or(bench.hours),
            salt_pct: self.salt_pct.unwrap_or(bench.salt_pct),
            salt_h: self.salt_h.unwrap_or(bench.salt_h),
            crystal: self.crystal.unwrap_or(bench.crystal),
            ingredients: self.ingredients.clone().unwrap_or(bench.ingredients),
            ..bench
        }
    }
}
