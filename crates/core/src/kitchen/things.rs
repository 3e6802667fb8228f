//! Things that stand in a kitchen: each has a name, its measures, and may be lent out.

use ergastic_words::{Message, Voice, errors, kitchen as say};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::field::{FieldUnit, ThingField, Unlabelled};
use crate::error::{Error, Result, Unit, WhatIsWrong, in_range};
use crate::heat::hob::HobKind;
use crate::heat::pot::{HEIGHT_CM, Lid, Material, PotMeasures, SIDE_CM};
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

    /// One that is not the kitchen's own.
    pub(super) fn borrowed(list: &'static str, name: Message, measures: T) -> Self {
        Self { id: format!("{list}_1"), name: Voice::default().render(name), lent: false, measures }
    }

    /// A further one of its kind.
    pub(super) fn another(kind: &'static str, number: u32, measures: T) -> Self {
        let name = format!("{} {number}", Voice::default().render(say::thing(kind)));
        Self { id: format!("{kind}_{number}"), name, lent: false, measures }
    }
}

/// Measures that are described, and so can be checked and asked for.
pub(super) trait Measures {
    /// # Errors
    /// Names the field that can't be used.
    fn check(&self) -> Result<()>;

    /// What is asked of one.
    fn fields(voice: Voice) -> Vec<ThingField>;
}

/// How a kind of measure is checked, and told: one row a measure makes the struct, its description in the API, its usual one,
/// its bounds and its form.
macro_rules! measures {
    (@check $self:ident $name:ident figure [$($low:tt)+] to [$($high:tt)+], $unit:ident) => {
        in_range(stringify!($name), $self.$name, $($low)+ as f64, $($high)+ as f64, Unit::$unit).map(drop)?
    };
    (@check $self:ident $name:ident yes_or_no) => {};
    (@check $self:ident $name:ident one_of ($($word:literal),+)) => {};
    (@told $told:expr, figure [$($low:tt)+] to [$($high:tt)+], $unit:ident) => {
        $told.figure(FieldUnit::$unit, $($low)+ as f64, $($high)+ as f64)
    };
    (@told $told:expr, yes_or_no) => { $told.yes_or_no() };
    (@told $told:expr, one_of ($($word:literal),+)) => { $told.one_of([$($word),+]) };
    ($($(#[$doc:meta])* $of:literal $kind:ident {
        $($(#[$field_doc:meta])* $name:ident: $type:ty = $usual:expr, $how:ident $([$($low:tt)+] to [$($high:tt)+], $unit:ident)? $(($($word:literal),+))?;)*
    })+) => {
        $(
            $(#[$doc])*
            #[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize, ToSchema)]
            #[serde(deny_unknown_fields, default)]
            pub struct $kind {
                $($(#[$field_doc])* $(#[schema(minimum = $($low)+, maximum = $($high)+)])? pub $name: $type,)*
            }

            impl Default for $kind {
                fn default() -> Self {
                    Self { $($name: $usual),* }
                }
            }

            impl Measures for $kind {
                fn check(&self) -> Result<()> {
                    $(measures!(@check self $name $how $([$($low)+] to [$($high)+], $unit)? $(($($word),+))?);)*
                    Ok(())
                }

                fn fields(voice: Voice) -> Vec<ThingField> {
                    vec![$({
                        let told = Unlabelled { key: concat!($of, "_", stringify!($name)), name: stringify!($name), voice };
                        measures!(@told told, $how $([$($low)+] to [$($high)+], $unit)? $(($($word),+))?)
                    }),*]
                }
            }
        )+
    };
}

measures! {
    /// An oven.
    "oven" Oven {
        /// Its shelf, cm across.
        width_cm: f64 = 45.0, figure [20] to [120], Centimetres;
        /// Whether its fan runs.
        fan: bool = false, yes_or_no;
    }
    /// A burner of the hob.
    "burner" BurnerMeasures {
        /// Its power, W.
        watts: f64 = 1800.0, figure [200] to [20000], Watts;
        /// What heats it.
        kind: HobKind = HobKind::Gas, one_of ("gas", "ceramic", "induction");
    }
    /// A frying pan.
    "pan" PanMeasures {
        /// Across its floor, cm.
        diameter_cm: f64 = 28.0, figure [12] to [80], Centimetres;
        /// What it is made of.
        material: Material = Material::Iron, one_of ("iron", "steel", "aluminium", "ceramic");
    }
    /// A pressure pot.
    "pressure_pot" PressurePot {
        /// Across its insert, cm.
        diameter_cm: f64 = 22.0, figure [8] to [120], Centimetres;
        /// High inside, cm.
        height_cm: f64 = 16.0, figure [2] to [80], Centimetres;
        /// The element under it, W.
        watts: f64 = USUAL_INSERT_W, figure [200] to [5000], Watts;
    }
    /// A slow cooker.
    "slow_cooker" SlowCooker {
        /// Across its crock, cm.
        diameter_cm: f64 = 24.0, figure [8] to [120], Centimetres;
        /// High inside, cm.
        height_cm: f64 = 13.0, figure [2] to [80], Centimetres;
    }
    /// A pit.
    "pit" PitMeasures {
        /// Its grate, cm across.
        width_cm: f64 = 55.0, figure [20] to [200], Centimetres;
        /// Whether it holds its heat without anyone.
        holds_itself: bool = true, yes_or_no;
    }
    /// A water bath.
    "bath" Bath {
        /// Water in it, L.
        litres: f64 = 12.0, figure [2] to [200], Litres;
    }
}

/// A pair of hands, or something that has no measures.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Default, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct Unmeasured {}

impl Measures for Unmeasured {
    fn check(&self) -> Result<()> {
        Ok(())
    }

    fn fields(_voice: Voice) -> Vec<ThingField> {
        Vec::new()
    }
}

/// A thermometer.
#[derive(Debug, Clone, Default, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct Probe {
    /// The name it sends its readings under.
    #[schema(min_length = 1, max_length = 80)]
    pub probe: String,
}

impl Measures for Probe {
    fn check(&self) -> Result<()> {
        check_name("probe", &self.probe, 80)
    }

    fn fields(voice: Voice) -> Vec<ThingField> {
        vec![Unlabelled { key: "probe_probe", name: "probe", voice }.text()]
    }
}

impl Measures for PotMeasures {
    fn check(&self) -> Result<()> {
        self.resolve(Lid::Tight).map(drop)
    }

    fn fields(voice: Voice) -> Vec<ThingField> {
        let told = |key, name| Unlabelled { key, name, voice };
        let side = |key, name| told(key, name).figure(FieldUnit::Centimetres, SIDE_CM[0], SIDE_CM[1]);
        vec![
            side("pot_diameter_cm", "diameter_cm"),
            side("pot_width_cm", "width_cm"),
            side("pot_length_cm", "length_cm"),
            told("pot_height_cm", "height_cm").figure(FieldUnit::Centimetres, HEIGHT_CM[0], HEIGHT_CM[1]),
            told("pot_material", "material").one_of(["iron", "steel", "aluminium", "ceramic", "glass"]),
        ]
    }
}

impl PressurePot {
    /// Its insert as a vessel.
    pub fn vessel(&self) -> PotMeasures {
        round(self.diameter_cm, self.height_cm, Material::Steel)
    }
}

impl SlowCooker {
    /// Its crock as a vessel.
    pub fn vessel(&self) -> PotMeasures {
        round(self.diameter_cm, self.height_cm, Material::Ceramic)
    }
}

fn round(diameter_cm: f64, height_cm: f64, material: Material) -> PotMeasures {
    PotMeasures {
        diameter_cm: Some(diameter_cm),
        height_cm: Some(height_cm),
        material: Some(material),
        ..PotMeasures::default()
    }
}

/// Checks all things of a kind; `taken` are the ids of those before them.
///
/// # Errors
/// Names the field that can't be used.
pub(super) fn check_all<T: Measures>(kind: &str, things: &[Thing<T>], taken: &mut Vec<String>) -> Result<()> {
    if things.len() > MAX {
        return Err(Error::new(WhatIsWrong::OutOfRange, kind, things.len(), errors::at_most(MAX as u32)));
    }
    for (i, thing) in things.iter().enumerate() {
        let here = format!("{kind}[{i}]");
        check_name(&format!("{here}.id"), &thing.id, 40)?;
        check_name(&format!("{here}.name"), &thing.name, 60)?;
        thing.measures.check().map_err(|error| error.within("measures").within(&here))?;
        if taken.contains(&thing.id) {
            let given = Message::text(thing.id.clone());
            return Err(Error::said(WhatIsWrong::Clash, format!("{here}.id"), given, say::id_taken()));
        }
        taken.push(thing.id.clone());
    }
    Ok(())
}

/// Those that are free.
pub(super) fn free<T>(things: &[Thing<T>]) -> impl Iterator<Item = &Thing<T>> {
    things.iter().filter(|thing| !thing.lent)
}

/// Only those, where the kind is named: usual ones where none is free, none where it is not named.
pub(super) fn only<T>(things: &mut Vec<Thing<T>>, named: bool, usual: Vec<Thing<T>>) {
    let any_free = free(things).next().is_some();
    match (named, any_free) {
        (true, true) => {}
        (true, false) => *things = usual,
        (false, _) => things.iter_mut().for_each(|thing| thing.lent = true),
    }
}

/// So many of a thing: those that are free, the rest like the last of them.
pub(super) fn so_many<T: Clone>(things: &mut Vec<Thing<T>>, usual: &[Thing<T>], count: u32) {
    things.retain(|thing| !thing.lent);
    things.truncate(count as usize);
    let Some(like) = things.last().or(usual.first()).cloned() else { return };
    for number in things.len() + 1..=count as usize {
        let id = format!("{}_{number}", like.id);
        things.push(Thing { id, name: format!("{} {number}", like.name), ..like.clone() });
    }
}

/// A thing that a dish uses, for those who ask what it is.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub struct Used<'a> {
    /// What plans know it by.
    pub id: &'a str,
    /// What its cook calls it.
    pub name: &'a str,
    /// It stands here and is not free.
    pub lent: bool,
}

impl<'a, T> From<&'a Thing<T>> for Used<'a> {
    fn from(thing: &'a Thing<T>) -> Self {
        Self { id: &thing.id, name: &thing.name, lent: thing.lent }
    }
}
