//! One kitchen: what stands in it, what is taken of it, and what is free.

use std::collections::BTreeMap;

use ergastic_physics::How;
use ergastic_physics::places::ROOM_C;
use ergastic_words::{Clock, FoodCode, Units, Voice, errors};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::field::{FieldValue, ThingField, values_of};
use super::kept::{self, Kept};
use super::kind::{ThingKind, each_thing};
use super::things::{
    Bath, BurnerMeasures, Measures, Oven, PanMeasures, PitMeasures, PressurePot, Probe, SlowCooker, Thing, Unmeasured,
    Used, check_all, free, only, so_many,
};
use crate::bench::OnTheShelf;
use crate::clock::Hours;
use crate::cuts::Cut;
use crate::error::{Error, Result, Unit, in_range};
use crate::heat::pot::{Material, PotMeasures};

/// A kitchen: what stands in it, pasted in from the one list, between what is known of the place and of its cook.
macro_rules! kitchen {
    ({ $($(#[$doc:meta])* $kind:ident: $list:ident ($($schema:tt)*) $measures:ident { $($about:tt)* })+ }) => {
        /// One kitchen.
        #[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
        #[serde(deny_unknown_fields, default)]
        pub struct Kitchen {
            /// Its name.
            #[schema(min_length = 1, max_length = 80)]
            pub name: String,
            /// IANA time zone.
            #[schema(min_length = 1, max_length = 80)]
            pub zone: String,
            /// Above the sea, m.
            #[schema(minimum = -430, maximum = 6000)]
            pub altitude_m: f64,
            /// How warm the room is where food stands, °C.
            #[schema(minimum = 5, maximum = 45)]
            pub room_c: f64,
            /// How quantities and hours are shown.
            pub units: Units,
            /// How hours are shown; none goes with the units.
            #[serde(skip_serializing_if = "Option::is_none")]
            pub clock: Option<Clock>,
            /// Nobody has looked round yet: zone, units and clock are guesses, which the first device that comes may put right.
            pub as_it_came: bool,
            /// Whose figures are named where food codes differ; a local code comes first.
            pub food_code: FoodCode,
            /// The chance of being ready that a plan is made for, 0.5–0.99.
            #[schema(minimum = 0.5, maximum = 0.99)]
            pub certainty: f64,
            $($(#[$doc])* #[schema($($schema)*)] pub $list: Vec<Thing<$measures>>,)+
            /// Hours of the day when nobody is up.
            #[schema(min_items = 0, max_items = 24)]
            pub asleep: Vec<Hours>,
            /// What the butcher asks for a cut, a kilo.
            pub prices: BTreeMap<Cut, f64>,
            /// What is kept from earlier cooks for the next dish.
            #[schema(max_items = 60)]
            pub kept: Vec<Kept>,
            /// How runs are made for it: whoever asks says it.
            #[serde(skip)]
            pub how: How,
        }

        impl Kitchen {
            /// One in which nothing stands.
            fn bare() -> Self {
                Self {
                    name: "My kitchen".into(),
                    zone: "UTC".into(),
                    altitude_m: 0.0,
                    room_c: ROOM_C,
                    units: Units::Metric,
                    clock: None,
                    as_it_came: false,
                    food_code: FoodCode::Usual,
                    certainty: 0.9,
                    $($list: Vec::new(),)+
                    asleep: Vec::new(),
                    prices: BTreeMap::new(),
                    kept: Vec::new(),
                    how: How::default(),
                }
            }

            /// One with a thing of each kind at least.
            fn usual() -> Self {
                let mut usual = Self::default();
                $(if usual.$list.is_empty() {
                    usual.$list.push(Thing::borrowed(stringify!($list), ThingKind::$kind.word(), <$measures>::default()));
                })+
                usual
            }

            /// Every thing of a kind, by its id and name.
            pub fn things(&self, kind: ThingKind) -> Vec<Used<'_>> {
                match kind {
                    $(ThingKind::$kind => self.$list.iter().map(Used::from).collect(),)+
                }
            }

            /// The same with so many of a kind: those that are free, the rest like the last of them.
            pub(crate) fn with_so_many(&mut self, kind: ThingKind, count: u32) {
                let usual = Self::usual();
                match kind {
                    $(ThingKind::$kind => so_many(&mut self.$list, &usual.$list, count),)+
                }
            }

            /// The same with only this kit: what is not named counts as lent out, what is named and not here as usual ones of it.
            #[must_use]
            pub fn with_only(&self, kit: &[ThingKind]) -> Self {
                let usual = Self::usual();
                let mut with = self.clone();
                $(if ThingKind::$kind.heats() {
                    only(&mut with.$list, kit.contains(&ThingKind::$kind), usual.$list);
                })+
                with
            }

            fn check_things(&self) -> Result<()> {
                let mut taken = Vec::new();
                $(check_all(stringify!($list), &self.$list, &mut taken)?;)+
                Ok(())
            }
        }

        /// What is asked of a thing of each kind.
        pub(super) fn fields_of(kind: ThingKind, voice: Voice) -> Vec<ThingField> {
            match kind {
                $(ThingKind::$kind => <$measures>::fields(voice),)+
            }
        }

        /// A usual one of each kind, as its measures are written.
        pub(super) fn usual_of(kind: ThingKind) -> BTreeMap<String, FieldValue> {
            let usual = Kitchen::usual();
            match kind {
                $(ThingKind::$kind => usual.$list.first().map(|thing| values_of(&thing.measures)),)+
            }
            .unwrap_or_default()
        }
    };
}

each_thing!(kitchen! {});

impl Default for Kitchen {
    fn default() -> Self {
        let pot = PotMeasures {
            diameter_cm: Some(26.0),
            height_cm: Some(13.0),
            material: Some(Material::Iron),
            ..PotMeasures::default()
        };
        let deep = PotMeasures {
            diameter_cm: Some(24.0),
            height_cm: Some(18.0),
            material: Some(Material::Steel),
            ..pot.clone()
        };
        let wide = PotMeasures { diameter_cm: Some(30.0), height_cm: Some(14.0), ..pot.clone() };
        Self {
            hands: vec![Thing::first("hands", Unmeasured {})],
            ovens: vec![Thing::first("oven", Oven::default())],
            burners: vec![Thing::first("burner", BurnerMeasures::default())],
            pots: vec![Thing::first("pot", pot), Thing::another("pot", 2, deep), Thing::another("pot", 3, wide)],
            pans: vec![Thing::first("pan", PanMeasures::default())],
            pressure_pots: vec![Thing::first("pressure_pot", PressurePot::default())],
            slow_cookers: vec![Thing::first("slow_cooker", SlowCooker::default())],
            pits: vec![Thing::first("pit", PitMeasures::default())],
            baths: vec![Thing::first("bath", Bath::default())],
            coals: vec![Thing::first("coals", Unmeasured {})],
            ..Self::bare()
        }
    }
}

impl Kitchen {
    /// So many of a kind are free.
    pub fn count(&self, kind: ThingKind) -> usize {
        self.things(kind).iter().filter(|thing| !thing.lent).count()
    }

    /// Whether something of a kind is free.
    pub fn has(&self, kind: ThingKind) -> bool {
        self.count(kind) > 0
    }

    /// What there is to cook on and in, and free.
    pub fn kit(&self) -> Vec<ThingKind> {
        ThingKind::heaters().filter(|kind| self.has(*kind)).collect()
    }

    /// The pot a plan starts from: the first that is free, else the first there is, else a usual one.
    pub fn pot(&self) -> PotMeasures {
        first(&self.pots).unwrap_or_else(|| PotMeasures {
            diameter_cm: Some(26.0),
            height_cm: Some(13.0),
            ..PotMeasures::default()
        })
    }

    /// The frying pan.
    pub fn pan(&self) -> PanMeasures {
        first(&self.pans).unwrap_or_default()
    }

    /// The strongest burner that is free; a usual one where there is none.
    pub fn burner(&self) -> BurnerMeasures {
        let strongest = free(&self.burners).max_by(|a, b| a.measures.watts.total_cmp(&b.measures.watts));
        strongest.map(|burner| burner.measures).unwrap_or_default()
    }

    /// The pressure pot.
    pub fn pressure_pot(&self) -> PressurePot {
        first(&self.pressure_pots).unwrap_or_default()
    }

    /// The slow cooker.
    pub fn slow_cooker(&self) -> SlowCooker {
        first(&self.slow_cookers).unwrap_or_default()
    }

    /// Whether the pit holds its heat without anyone.
    pub fn pit_holds_itself(&self) -> bool {
        first(&self.pits).unwrap_or_default().holds_itself
    }

    /// Whether a pan or a pot can stand over a flame.
    pub(crate) fn has_flame(&self) -> bool {
        [ThingKind::Burner, ThingKind::Coals, ThingKind::Pit].into_iter().any(|kind| self.has(kind))
    }

    /// What there is to put in with the meat: what is kept from earlier cooks, and everything else.
    pub fn larder(&self) -> Vec<OnTheShelf> {
        kept::larder(&self.kept, self.voice())
    }

    /// The voice that this kitchen's cook reads.
    pub fn voice(&self) -> Voice {
        Voice::new(self.units).under(self.food_code).by(self.clock)
    }

    /// Checks every field.
    ///
    /// # Errors
    /// Names the field that can't be used.
    pub fn check(&self) -> Result<()> {
        crate::text::check_name("name", &self.name, 80)?;
        crate::clock::zone("zone", &self.zone)?;
        in_range("altitude_m", self.altitude_m, -430.0, 6000.0, Unit::Metres)?;
        in_range("room_c", self.room_c, 5.0, 45.0, Unit::Celsius)?;
        in_range("certainty", self.certainty, 0.5, 0.99, Unit::None)?;
        self.check_things()?;
        crate::clock::check_hours("asleep", &self.asleep)?;
        for (cut, price) in &self.prices {
            in_range(&format!("prices.{}", cut.key()), *price, 0.0, 10_000.0, Unit::AKilo)?;
        }
        kept::check(&self.kept)?;
        if self.kit().is_empty() {
            return Err(Error::missing("ovens", errors::something_to_cook_on()));
        }
        Ok(())
    }
}

/// The measures of the first that is free, else of the first there is.
fn first<T: Clone>(things: &[Thing<T>]) -> Option<T> {
    free(things).next().or(things.first()).map(|thing| thing.measures.clone())
}
