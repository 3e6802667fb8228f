//! What is asked of a meal's sheet.

use ergastic_words::{Units, errors};
use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use serde_with::skip_serializing_none;
use utoipa::ToSchema;

use super::marinate::AskedBench;
use crate::clock::Hours;
use crate::error::{Error, Result, Unit, WhatIsWrong, in_range};
use crate::finish::{Target, Thickener};
use crate::forecast::ForecastRequest;
use crate::kitchen::{Kitchen, ThingKind, each_thing};
use crate::plan::{Plan, Side, Uses, check_sides};
use crate::text::check_name;

/// So many dishes make a meal.
pub const MAX_DISHES: usize = 12;

/// How many there are, a field a kind of thing that is counted, pasted in from the one list.
macro_rules! counts {
    ({ $($(#[$doc:meta])* $kind:ident: $list:ident ($($schema:tt)*) $measures:ident {
        key: $key:tt, counted: ($($counted:ident $least:tt $says:tt)?), $($about:tt)*
    })+ }) => {
        /// How many of each thing there is to work with, in place of the kitchen's own.
        #[skip_serializing_none]
        #[derive(Debug, Clone, Default, PartialEq, Serialize, Deserialize, ToSchema)]
        #[serde(deny_unknown_fields, default)]
        pub struct Counts {
            $($(#[doc = $says] #[schema(minimum = $least, maximum = 24)] pub $counted: Option<u32>,)?)+
            /// Whether a pit holds its heat without anyone.
            pub pit_holds_itself: Option<bool>,
            /// Across a pan's floor, cm.
            #[schema(minimum = 12, maximum = 80)]
            pub pan_cm: Option<f64>,
            /// A burner's power, W.
            #[schema(minimum = 200, maximum = 20000)]
            pub hob_w: Option<f64>,
        }

        impl Counts {
            /// The kitchen with so many of what is counted.
            fn with_so_many(&self, kitchen: &Kitchen) -> Result<Kitchen> {
                let mut with = kitchen.clone();
                $($(if let Some(count) = self.$counted {
                    in_range(stringify!($counted), f64::from(count), f64::from($least), 24.0, Unit::None)?;
                    with.with_so_many(ThingKind::$kind, count);
                })?)+
                Ok(with)
            }
        }
    };
}

each_thing!(counts! {});

/// Burners where neither the request nor a kitchen says.
const USUAL_BURNERS: u32 = 4;

impl Counts {
    /// A kitchen with so many things.
    ///
    /// # Errors
    /// Names the field that can't be used.
    pub fn onto(&self, kitchen: &Kitchen) -> Result<Kitchen> {
        let mut with = self.with_so_many(kitchen)?;
        if let Some(holds) = self.pit_holds_itself {
            with.pits.iter_mut().for_each(|pit| pit.measures.holds_itself = holds);
        }
        if let Some(watts) = self.hob_w {
            in_range("hob_w", watts, 200.0, 20_000.0, Unit::Watts)?;
            with.burners.iter_mut().for_each(|burner| burner.measures.watts = watts);
        }
        if let Some(across) = self.pan_cm {
            in_range("pan_cm", across, 12.0, 80.0, Unit::Centimetres)?;
            with.pans.iter_mut().for_each(|pan| pan.measures.diameter_cm = across);
        }
        if with.kit().is_empty() {
            return Err(Error::missing("ovens", errors::something_to_cook_on()));
        }
        Ok(with)
    }

    /// As a kitchen that has said nothing is taken to be.
    #[must_use]
    pub fn or_usual(&self) -> Self {
        Self { hobs: self.hobs.or(Some(USUAL_BURNERS)), ..self.clone() }
    }
}

/// One dish.
#[skip_serializing_none]
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct AskedDish {
    /// What it is called.
    #[serde(default)]
    #[schema(min_length = 1, max_length = 80)]
    pub name: Option<String>,
    /// How many eat of it.
    #[serde(default)]
    #[schema(minimum = 1, maximum = 200)]
    pub people: Option<u32>,
    /// The chance of being ready that it is made for; the meal's where not given.
    #[serde(default)]
    #[schema(minimum = 0.5, maximum = 0.99)]
    pub certainty: Option<f64>,
    /// The meat and its way.
    pub forecast: ForecastRequest,
    /// What is done before the heat.
    #[serde(default)]
    pub prepare: Option<AskedBench>,
    /// What is served beside it.
    #[serde(default)]
    #[schema(min_items = 0, max_items = 12)]
    pub sides: Vec<Side>,
    /// What the liquid becomes.
    #[serde(default)]
    pub target: Target,
    /// What thickens it.
    #[serde(default)]
    pub thickener: Thickener,
}

impl AskedDish {
    /// As a plan for a bell.
    ///
    /// # Errors
    /// Names the field that can't be used.
    pub fn plan(&self, number: usize, serve_at: Timestamp, voice: ergastic_words::Voice) -> Result<Plan> {
        let name = self.name.clone().unwrap_or_else(|| voice.render(ergastic_words::meal::dish(number as u32)));
        check_name("name", &name, 80)?;
        let people = self.people.unwrap_or(4);
        in_range("people", f64::from(people), 1.0, 200.0, Unit::None)?;
        in_range("certainty", self.certainty.unwrap_or(0.9), 0.5, 0.99, Unit::None)?;
        check_sides(&self.sides)?;
        let prepare = self.prepare.clone().unwrap_or_default().meant().map_err(|error| error.within("prepare"))?;
        Ok(Plan {
            name,
            people,
            serve_at,
            certainty: self.certainty,
            forecast: self.forecast.clone(),
            prepare,
            uses: Uses::default(),
            target: self.target,
            thickener: self.thickener,
            sides: self.sides.clone(),
            meal: None,
            pins: Vec::new(),
            laid: Vec::new(),
            notes: String::new(),
        })
    }
}

/// What waiting is worth to this cook, in place of a certainty.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct Regret {
    /// A minute that guests wait.
    #[schema(minimum = 0.001, maximum = 1000000)]
    pub guests_wait_a_min: f64,
    /// An hour that a finished dish waits hot.
    #[schema(minimum = 0.001, maximum = 1000000)]
    pub hold_an_hour: f64,
}

impl Regret {
    /// The chance of being ready at which a minute sooner costs as much as it saves: guests wait with the chance that it is not
    /// ready, the dish waits with the chance that it is. As of a newspaper seller who orders for the morning.
    ///
    /// # Errors
    /// Names the field that can't be used.
    pub fn certainty(&self) -> Result<f64> {
        let wait = in_range("guests_wait_a_min", self.guests_wait_a_min, 0.001, 1e6, Unit::None)?;
        let hold = in_range("hold_an_hour", self.hold_an_hour, 0.001, 1e6, Unit::None)? / 60.0;
        Ok((wait / (wait + hold)).clamp(0.5, 0.99))
    }
}

/// What the cook has said of a task: when it starts, how long it takes, or both.
#[skip_serializing_none]
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct Pin {
    /// Its id in the meal's sheet.
    #[schema(min_length = 3, max_length = 40)]
    pub task: String,
    /// It starts then; a local time is read in `zone`.
    #[serde(default)]
    #[schema(min_length = 1, max_length = 80)]
    pub at: Option<String>,
    /// It takes so long, min.
    #[serde(default)]
    #[schema(minimum = 1, maximum = 1440)]
    pub min: Option<f64>,
}

/// A meal: its dishes, its bell, and what there is to work with.
#[skip_serializing_none]
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct SheetRequest {
    /// IANA zone; the kitchen's where not given.
    #[serde(default)]
    #[schema(min_length = 1, max_length = 80)]
    pub zone: Option<String>,
    /// Plates on the table; a local time is read in `zone`.
    #[schema(min_length = 1, max_length = 80)]
    pub serve_at: String,
    /// Now.
    #[serde(default)]
    #[schema(min_length = 1, max_length = 80)]
    pub now: Option<String>,
    /// The chance of being ready that it is made for.
    #[serde(default)]
    #[schema(minimum = 0.5, maximum = 0.99)]
    pub certainty: Option<f64>,
    /// In place of a certainty: what waiting is worth.
    #[serde(default)]
    pub regret: Option<Regret>,
    /// What there is to work with; the kitchen's where not given.
    #[serde(default)]
    pub kitchen: Option<Counts>,
    /// When nobody is up; the kitchen's where not given.
    #[serde(default)]
    #[schema(min_items = 0, max_items = 24)]
    pub asleep: Option<Vec<Hours>>,
    /// When nobody is there.
    #[serde(default)]
    #[schema(min_items = 0, max_items = 24)]
    pub away: Option<Vec<Hours>>,
    /// The dishes.
    #[schema(min_items = 1, max_items = 12)]
    pub dishes: Vec<AskedDish>,
    /// Tasks that the cook has put at an hour.
    #[serde(default)]
    #[schema(min_items = 0, max_items = 200)]
    pub pins: Option<Vec<Pin>>,
    /// What the answer's sentences are said in; the kitchen's own where not given.
    #[serde(default)]
    pub units: Option<Units>,
    /// The placing of the work is answered too, as a problem that any solver can be asked for.
    #[serde(default)]
    pub problem: Option<bool>,
}

/// Tasks of a meal that may be held where the cook put them.
const MAX_PINS: usize = 200;

impl SheetRequest {
    /// Checks how many there are of each.
    ///
    /// # Errors
    /// Names the field.
    pub fn check(&self) -> Result<()> {
        let at_most = |field: &str, count: usize, most: usize| {
            if count <= most {
                return Ok(());
            }
            Err(Error::new(WhatIsWrong::OutOfRange, field, count, errors::at_most(most as u32)))
        };
        if self.dishes.is_empty() {
            return Err(Error::missing("dishes", errors::at_least_one_dish()));
        }
        at_most("dishes", self.dishes.len(), MAX_DISHES)?;
        at_most("pins", self.pins.as_ref().map_or(0, Vec::len), MAX_PINS)
    }
}
