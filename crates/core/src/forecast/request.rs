//! A forecast's request, as it is sent.

use serde::{Deserialize, Serialize};
use serde_with::skip_serializing_none;
use utoipa::ToSchema;

use ergastic_words::{FoodCode, Units};

use super::known::Known;
use super::meat::{Meat, with_meat};
use crate::heat::pot::PotMeasures;
use crate::ways::{Heat, HeatSource, Method, StageRequest, Start};
use ergastic_physics::How;

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

with_meat! {
    /// A forecast's request. Only `cut` and `method` must be given.
    #[skip_serializing_none]
    #[derive(Debug, Clone, Default, PartialEq, Serialize, Deserialize, ToSchema)]
    #[serde(deny_unknown_fields, default)]
    pub struct ForecastRequest {
        /// The meat as it goes in, °C.
        #[schema(minimum = -40, maximum = 40)]
        pub start_c: Option<f64>,
        /// The way of cooking.
        pub method: Option<Method>,
        /// How it is heated.
        pub heat: Option<Heat>,
        /// The pot.
        pub vessel: Option<PotMeasures>,
        /// Liquid poured in, L.
        #[schema(minimum = 0, maximum = 60)]
        pub liquid_l: Option<f64>,
        /// The liquid as the meat goes in, °C.
        #[schema(minimum = 0, maximum = 100)]
        pub liquid_start_c: Option<f64>,
        /// Above the sea, m.
        #[schema(minimum = -430, maximum = 6000)]
        pub altitude_m: Option<f64>,
        /// When it has to be tender, minutes from the start.
        #[schema(minimum = 0, maximum = 14400)]
        pub deadline_min: Option<f64>,
        /// The chance of being tender that is called sure: a plan and its kitchen say it, nobody else.
        #[serde(skip)]
        pub certainty: Option<f64>,
        /// How its runs are made: its kitchen says it.
        #[serde(skip)]
        pub how: How,
        /// Simulated cooks; 1 is the deterministic run at every median.
        #[schema(minimum = 1, maximum = 20000)]
        pub members: Option<u32>,
        /// Seed of the spreads.
        pub seed: Option<u64>,
        /// Also answer the inside of the piece over time.
        pub inside: Option<bool>,
        /// Answer what lies behind each figure: bands along the curve, and what one more fact would narrow.
        pub explain: Option<bool>,
        /// What earlier cooks have taught.
        pub known: Option<Known>,
        /// Salt, % of the trimmed raw mass.
        #[schema(minimum = 0, maximum = 5)]
        pub salt_pct: Option<f64>,
        /// Salt in the meat as it meets the heat, g, where it is known; in place of `salt_pct`.
        #[schema(minimum = 0, maximum = 5000)]
        pub salt_g: Option<f64>,
        /// Salt that the liquid and what is put in it bring, g.
        #[schema(minimum = 0, maximum = 2000)]
        pub liquid_salt_g: Option<f64>,
        /// Fat that what is put in with it gives, L: bacon, butter, oil.
        #[schema(minimum = 0, maximum = 20)]
        pub larder_fat_l: Option<f64>,
        /// Water that what is put in with it gives, L: onions, mushrooms, tomatoes shrink.
        #[schema(minimum = 0, maximum = 60)]
        pub larder_water_l: Option<f64>,
        /// Gelatin already in the liquid, %: 1 to 3 for a good stock.
        #[schema(minimum = 0, maximum = 15)]
        pub stock_gelatin_pct: Option<f64>,
        /// Put in for body.
        #[schema(min_items = 0, max_items = 12)]
        pub for_body: Option<Vec<ForBody>>,
        /// Liquid poured in later.
        #[schema(min_items = 0, max_items = 100)]
        pub added: Option<Vec<Added>>,
        /// A mixed pot, in place of `cut`, `mass_kg`, `pieces` and the size.
        #[schema(min_items = 1, max_items = 8)]
        pub parts: Option<Vec<Meat>>,
        /// What the answer's sentences are said in; its fields stay in the units that their names say.
        pub units: Option<Units>,
        /// Whose figures its cautions name; the kitchen's own where not given.
        pub food_code: Option<FoodCode>,
        /// A chain of ways, in place of `method` and `heat`.
        #[schema(min_items = 1, max_items = 12)]
        pub stages: Option<Vec<StageRequest>>,
    }
}

impl ForecastRequest {
    /// A pot for the oven gets all its heat there: there is no flame to bring it to a simmer on.
    pub(crate) fn heats_in_the_oven_alone(&mut self) {
        let heat = match &mut self.stages {
            Some(stages) => stages.first_mut().and_then(|stage| stage.heat.as_mut()),
            None => self.heat.as_mut(),
        };
        if let Some(heat) = heat.filter(|heat| heat.source == Some(HeatSource::Oven)) {
            heat.start.get_or_insert(Start::Oven);
        }
    }
}
