//! Things that stand in a kitchen: each has a name, its measures, and may be lent out.

use ergastic_words::{Message, Voice, errors, kitchen as say};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use crate::error::{Error, Kind, Result, Unit, in_range};
use crate::heat::hob::HobKind;
use crate::heat::pot::{Lid, Material, Vessel};
use crate::text::check_name;

/// The element of a usual pressure pot, W.
pub const USUAL_INSERT_W: f64 = 1000.0;
/// So many of a kind stand in one kitchen.
const MAX: usize = 24;

/// A thing with a name of its own.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct Thing<T> {
    /// What plans know it by; it stays when it gets another name.
    #[schema(min_length = 1, max_length = 40)]
    pub id: String,
    /// What its cook calls it.
    #[schema(min_length = 1, max_length = 60)]
    pub name: String,
    /// Lent out, or broken: it stands here and is not free.
    #[serde(default)]
    pub lent: bool,
    /// Its measures.
    pub measures: T,
}

impl<T> Thing<T> {
    /// The first of its kind, named by what it is.
    pub(super) fn first(kind: &'static str, measures: T) -> Self {
        Self { id: format!("{kind}_1"), name: Voice::default().render(say::thing(kind)), lent: false, measures }
    }

    /// A further one of its kind.
    pub(super) fn another(kind: &'static str, number: u32, measures: T) -> Self {
        let name = format!("{} {number}", Voice::default().render(say::thing(kind)));
        Self { id: format!("{kind}_{number}"), name, lent: false, measures }
    }
}

/// A pair of hands, or something that has no measures.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Default, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct Unmeasured {}

/// An oven.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields, default)]
pub struct Oven {
    /// Its shelf, cm across.
    #[schema(minimum = 20, maximum = 120)]
    pub width_cm: f64,
    /// Whether its fan runs.
    pub fan: bool,
}

impl Default for Oven {
    fn default() -> Self {
        Self { width_cm: 45.0, fan: false }
    }
}

/// A burner of the hob.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields, default)]
pub struct BurnerMeasures {
    /// Its power, W.
    #[schema(minimum = 200, maximum = 20000)]
    pub watts: f64,
    /// What heats it.
    pub kind: HobKind,
}

impl Default for BurnerMeasures {
    fn default() -> Self {
        Self { watts: 1800.0, kind: HobKind::Gas }
    }
}

/// A frying pan.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields, default)]
pub struct PanMeasures {
    /// Across its floor, cm.
    #[schema(minimum = 12, maximum = 80)]
    pub diameter_cm: f64,
    /// What it is made of.
    pub material: Material,
}

impl Default for PanMeasures {
    fn default() -> Self {
        Self { diameter_cm: 28.0, material: Material::Iron }
    }
}

/// A pressure pot.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields, default)]
pub struct PressurePot {
    /// Across its insert, cm.
    #[schema(minimum = 8, maximum = 120)]
    pub diameter_cm: f64,
    /// High inside, cm.
    #[schema(minimum = 2, maximum = 80)]
    pub height_cm: f64,
    /// The element under it, W.
    #[schema(minimum = 200, maximum = 5000)]
    pub watts: f64,
}

impl Default for PressurePot {
    fn default() -> Self {
        Self { diameter_cm: 22.0, height_cm: 16.0, watts: USUAL_INSERT_W }
    }
}

/// A slow cooker.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields, default)]
pub struct SlowCooker {
    /// Across its crock, cm.
    #[schema(minimum = 8, maximum = 120)]
    pub diameter_cm: f64,
    /// High inside, cm.
    #[schema(minimum = 2, maximum = 80)]
    pub height_cm: f64,
}

impl Default for SlowCooker {
    fn default() -> Self {
        Self { diameter_cm: 24.0, height_cm: 13.0 }
    }
}

/// A pit.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields, default)]
pub struct PitMeasures {
    /// Its grate, cm across.
    #[schema(minimum = 20, maximum = 200)]
    pub width_cm: f64,
    /// Whether it holds its heat without anyone.
    pub holds_itself: bool,
}

impl Default for PitMeasures {
    fn default() -> Self {
        Self { width_cm: 55.0, holds_itself: true }
    }
}

/// A water bath.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields, default)]
pub struct Bath {
    /// Water in it, L.
    #[schema(minimum = 2, maximum = 200)]
    pub litres: f64,
}

impl Default for Bath {
    fn default() -> Self {
        Self { litres: 12.0 }
    }
}

/// A thermometer.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct Probe {
    /// The name it sends its readings under.
    #[schema(min_length = 1, max_length = 80)]
    pub probe: String,
}

/// Measures that can be checked.
pub(super) trait Measures {
    /// # Errors
    /// Names the field that can't be used.
    fn check(&self) -> Result<()>;
}

impl Measures for Unmeasured {
    fn check(&self) -> Result<()> {
        Ok(())
    }
}

impl Measures for Oven {
    fn check(&self) -> Result<()> {
        in_range("width_cm", self.width_cm, 20.0, 120.0, Unit::Centimetres).map(drop)
    }
}

impl Measures for BurnerMeasures {
    fn check(&self) -> Result<()> {
        in_range("watts", self.watts, 200.0, 20_000.0, Unit::Watts).map(drop)
    }
}

impl Measures for PanMeasures {
    fn check(&self) -> Result<()> {
        in_range("diameter_cm", self.diameter_cm, 12.0, 80.0, Unit::Centimetres).map(drop)
    }
}

impl Measures for Vessel {
    fn check(&self) -> Result<()> {
        self.resolve(Lid::Tight).map(drop)
    }
}

impl Measures for PressurePot {
    fn check(&self) -> Result<()> {
        in_range("watts", self.watts, 200.0, 5000.0, Unit::Watts)?;
        self.vessel().check()
    }
}

impl Measures for SlowCooker {
    fn check(&self) -> Result<()> {
        self.vessel().check()
    }
}

impl Measures for PitMeasures {
    fn check(&self) -> Result<()> {
        in_range("width_cm", self.width_cm, 20.0, 200.0, Unit::Centimetres).map(drop)
    }
}

impl Measures for Bath {
    fn check(&self) -> Result<()> {
        in_range("litres", self.litres, 2.0, 200.0, Unit::Litres).map(drop)
    }
}

impl Measures for Probe {
    fn check(&self) -> Result<()> {
        check_name("probe", &self.probe, 80)
    }
}

impl PressurePot {
    /// Its insert as a vessel.
    pub fn vessel(&self) -> Vessel {
        round(self.diameter_cm, self.height_cm, Material::Steel)
    }
}

impl SlowCooker {
    /// Its crock as a vessel.
    pub fn vessel(&self) -> Vessel {
        round(self.diameter_cm, self.height_cm, Material::Ceramic)
    }
}

fn round(diameter_cm: f64, height_cm: f64, material: Material) -> Vessel {
    Vessel { diameter_cm: Some(diameter_cm), height_cm: Some(height_cm), material: Some(material), ..Vessel::default() }
}

/// Checks all things of a kind; `taken` are the ids of those before them.
///
/// # Errors
/// Names the field that can't be used.
pub(super) fn check_all<T: Measures>(kind: &str, things: &[Thing<T>], taken: &mut Vec<String>) -> Result<()> {
    if things.len() > MAX {
        return Err(Error::new(Kind::OutOfRange, kind, things.len(), errors::at_most(MAX as u32)));
    }
    for (i, thing) in things.iter().enumerate() {
        let here = format!("{kind}[{i}]");
        check_name(&format!("{here}.id"), &thing.id, 40)?;
        check_name(&format!("{here}.name"), &thing.name, 60)?;
        thing.measures.check().map_err(|error| error.within("measures").within(&here))?;
        if taken.contains(&thing.id) {
            let given = Message::text(thing.id.clone());
            return Err(Error::said(Kind::Clash, format!("{here}.id"), given, say::id_taken()));
        }
        taken.push(thing.id.clone());
    }
    Ok(())
}

/// Those that are free.
pub(super) fn free<T>(things: &[Thing<T>]) -> impl Iterator<Item = &Thing<T>> {
    things.iter().filter(|thing| !thing.lent)
}
