//! The stateless request: one dish on the bench, flat.

use serde::{Deserialize, Serialize};
use serde_with::skip_serializing_none;
use utoipa::ToSchema;

use ergastic_words::Units;

use crate::bench::{BurnerAsked, Crystal, Ingredient, Level, Pan, Prepare, Sear, Surface};
use crate::finish::Target;
use crate::forecast::{ForecastRequest, Heat, Meat, with_meat};
use crate::heat::pot::PotMeasures;
use crate::ways::Method;

with_meat! {
    /// A dish on the bench. Only `cut` and `mass_kg` must be given.
    #[skip_serializing_none]
    #[derive(Debug, Clone, Default, PartialEq, Serialize, Deserialize, ToSchema)]
    #[serde(deny_unknown_fields, default)]
    pub struct PrepareRequest {
        /// A mixed pot, in place of `cut`, `mass_kg`, `pieces` and the size.
        #[schema(min_items = 1, max_items = 8)]
        pub parts: Option<Vec<Meat>>,
        /// The meat as it goes in, °C.
        #[schema(minimum = -40, maximum = 40)]
        pub start_c: Option<f64>,
        /// The way of cooking; a braise where not given.
        pub method: Option<Method>,
        /// How it is heated.
        pub heat: Option<Heat>,
        /// The vessel.
        pub vessel: Option<PotMeasures>,
        /// Liquid poured in, L; in place of `level`.
        #[schema(minimum = 0, maximum = 60)]
        pub liquid_l: Option<f64>,
        /// Above the sea, m.
        #[schema(minimum = -430, maximum = 6000)]
        pub altitude_m: Option<f64>,
        /// How many eat.
        #[schema(minimum = 1, maximum = 200)]
        pub people: Option<u32>,
        /// What the butcher asks, a kilo.
        #[schema(minimum = 0, maximum = 10000)]
        pub price_per_kg: Option<f64>,
        /// How dry it goes into the pan.
        pub surface: Option<Surface>,
        /// How hard it is browned.
        pub sear: Option<Sear>,
        /// The pan.
        pub pan: Option<Pan>,
        /// The burner.
        pub hob: Option<BurnerAsked>,
        /// How far the liquid comes up the meat.
        pub level: Option<Level>,
        /// Hours over the heat; until tender where not given.
        #[schema(minimum = 0.1, maximum = 72)]
        pub hours: Option<f64>,
        /// Salt, % of the trimmed raw mass.
        #[schema(minimum = 0, maximum = 5)]
        pub salt_pct: Option<f64>,
        /// Salted this long ahead, h.
        #[schema(minimum = 0, maximum = 168)]
        pub salt_h: Option<f64>,
        /// What the salt is like.
        pub crystal: Option<Crystal>,
        /// What goes in with the meat.
        #[schema(min_items = 0, max_items = 40)]
        pub ingredients: Option<Vec<Ingredient>>,
        /// What the liquid becomes: a glaze bears more salt.
        pub target: Option<Target>,
        /// What the answer's sentences are said in; the kitchen's own where not given.
        pub units: Option<Units>,
        /// Everything else at the bench, as a plan keeps it; the fields above win.
        pub bench: Option<Prepare>,
    }
}

impl PrepareRequest {
    /// The meat and its way.
    pub(super) fn forecast(&self) -> ForecastRequest {
        ForecastRequest {
            parts: self.parts.clone(),
            start_c: self.start_c,
            method: Some(self.method.unwrap_or(Method::Braise)),
            heat: self.heat.clone(),
            vessel: self.vessel.clone(),
            liquid_l: self.liquid_l,
            altitude_m: self.altitude_m,
            units: self.units,
            ..ForecastRequest::default()
        }
        .with_meat(self.meat())
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
