//! The kitchen: the things that stand in it, and how its cook likes figures shown.

mod kept;
mod kind;
mod kit;
mod lane;
mod things;

use std::collections::BTreeMap;

use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use crate::bench::OnTheShelf;
use crate::clock::Hours;
use crate::cuts::Cut;
use ergastic_words::{Voice, errors};

use crate::error::{Error, Result, Unit, in_range};
use crate::heat::pot::{Material, Vessel};
use ergastic_physics::How;
use ergastic_physics::places::ROOM_C;
use things::{check_all, free};

pub use ergastic_words::{Clock, FoodCode, Units};
pub use kept::Kept;
pub use kind::ThingKind;
pub use kit::Kit;
pub use lane::Lane;
pub use things::{
    Bath, BurnerMeasures, Oven, PanMeasures, PitMeasures, PressurePot, Probe, SlowCooker, Thing, USUAL_INSERT_W,
    Unmeasured,
};

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
    /// Who works here.
    #[schema(min_items = 1, max_items = 24)]
    pub hands: Vec<Thing<Unmeasured>>,
    /// Ovens.
    #[schema(max_items = 24)]
    pub ovens: Vec<Thing<Oven>>,
    /// Burners of the hob.
    #[schema(max_items = 24)]
    pub burners: Vec<Thing<BurnerMeasures>>,
    /// Pots and dishes; a plan starts from the first that is free.
    #[schema(max_items = 24)]
    pub pots: Vec<Thing<Vessel>>,
    /// Frying pans.
    #[schema(max_items = 24)]
    pub pans: Vec<Thing<PanMeasures>>,
    /// Pressure pots.
    #[schema(max_items = 24)]
    pub pressure_pots: Vec<Thing<PressurePot>>,
    /// Slow cookers.
    #[schema(max_items = 24)]
    pub slow_cookers: Vec<Thing<SlowCooker>>,
    /// Pits.
    #[schema(max_items = 24)]
    pub pits: Vec<Thing<PitMeasures>>,
    /// Water baths.
    #[schema(max_items = 24)]
    pub baths: Vec<Thing<Bath>>,
    /// Places for coals.
    #[schema(max_items = 24)]
    pub coals: Vec<Thing<Unmeasured>>,
    /// Thermometers.
    #[schema(max_items = 24)]
    pub probes: Vec<Thing<Probe>>,
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

impl Default for Kitchen {
    fn default() -> Self {
        let pot = Vessel {
            diameter_cm: Some(26.0),
            height_cm: Some(13.0),
            material: Some(Material::Iron),
            ..Vessel::default()
        };
        let deep =
            Vessel { diameter_cm: Some(24.0), height_cm: Some(18.0), material: Some(Material::Steel), ..pot.clone() };
        let wide = Vessel { diameter_cm: Some(30.0), height_cm: Some(14.0), ..pot.clone() };
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
            probes: Vec::new(),
            asleep: Vec::new(),
            prices: BTreeMap::new(),
            kept: Vec::new(),
            how: How::default(),
        }
    }
}

impl Kitchen {
    /// Whether something of a kind is free.
    pub fn has(&self, kit: Kit) -> bool {
        match kit {
            Kit::Oven => free(&self.ovens).next().is_some(),
            Kit::Hob => free(&self.burners).next().is_some(),
            Kit::PressurePot => free(&self.pressure_pots).next().is_some(),
            Kit::SlowCooker => free(&self.slow_cookers).next().is_some(),
            Kit::Pit => free(&self.pits).next().is_some(),
            Kit::WaterBath => free(&self.baths).next().is_some(),
            Kit::Coals => free(&self.coals).next().is_some(),
        }
    }

    /// What there is to cook on and in, and free.
    pub fn kit(&self) -> Vec<Kit> {
        Kit::ALL.into_iter().filter(|kit| self.has(*kit)).collect()
    }

    /// The same with only this kit: what is not named counts as lent out, what is named and not here as usual ones of it.
    #[must_use]
    pub fn with_only(&self, kit: &[Kit]) -> Self {
        fn only<T>(things: &[Thing<T>], named: bool, usual: Vec<Thing<T>>) -> Vec<Thing<T>>
        where
            T: Clone,
        {
            match (named, free(things).next().is_some()) {
                (true, true) => things.to_vec(),
                (true, false) => usual,
                (false, _) => things.iter().map(|thing| Thing { lent: true, ..thing.clone() }).collect(),
            }
        }
        let usual = Self::default();
        let named = |wanted| kit.contains(&wanted);
        Self {
            ovens: only(&self.ovens, named(Kit::Oven), usual.ovens),
            burners: only(&self.burners, named(Kit::Hob), usual.burners),
            pressure_pots: only(&self.pressure_pots, named(Kit::PressurePot), usual.pressure_pots),
            slow_cookers: only(&self.slow_cookers, named(Kit::SlowCooker), usual.slow_cookers),
            pits: only(&self.pits, named(Kit::Pit), usual.pits),
            baths: only(&self.baths, named(Kit::WaterBath), usual.baths),
            coals: only(&self.coals, named(Kit::Coals), usual.coals),
            ..self.clone()
        }
    }

    /// The pot a plan starts from: the first that is free, else the first there is, else a usual one.
    pub fn pot(&self) -> Vessel {
        first(&self.pots).unwrap_or_else(|| Vessel {
            diameter_cm: Some(26.0),
            height_cm: Some(13.0),
            ..Vessel::default()
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
        [Kit::Hob, Kit::Coals, Kit::Pit].into_iter().any(|kit| self.has(kit))
    }

    /// Frying pans that are free.
    pub fn free_pans(&self) -> usize {
        free(&self.pans).count()
    }

    /// Burners that are free.
    pub fn free_burners(&self) -> usize {
        free(&self.burners).count()
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
        let mut taken = Vec::new();
        check_all("hands", &self.hands, &mut taken)?;
        check_all("ovens", &self.ovens, &mut taken)?;
        check_all("burners", &self.burners, &mut taken)?;
        check_all("pots", &self.pots, &mut taken)?;
        check_all("pans", &self.pans, &mut taken)?;
        check_all("pressure_pots", &self.pressure_pots, &mut taken)?;
        check_all("slow_cookers", &self.slow_cookers, &mut taken)?;
        check_all("pits", &self.pits, &mut taken)?;
        check_all("baths", &self.baths, &mut taken)?;
        check_all("coals", &self.coals, &mut taken)?;
        check_all("probes", &self.probes, &mut taken)?;
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
