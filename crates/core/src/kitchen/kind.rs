//! The one list of things that can stand in a kitchen: what each is called in files, the list it stands in, how many may be said to be
//! there, where on the timetable a dish is while it takes it, and its picture.

use ergastic_words::{Message, kitchen as say};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// The list of places where something is done.
macro_rules! lanes {
    ($($(#[$doc:meta])* $lane:ident $key:tt,)+) => {
        /// Where a task takes place.
        #[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
        pub enum Lane {
            $($(#[$doc])* #[serde(rename = $key)] $lane,)+
        }

        impl Lane {
            /// All of them.
            pub const ALL: [Self; [$($key),+].len()] = [$(Self::$lane),+];

            /// Its name in JSON, and in a sentence's choices.
            pub fn key(self) -> &'static str {
                match self {
                    $(Self::$lane => $key,)+
                }
            }
        }
    };
}

lanes! {
    /// In the cook's hands.
    Hands "hands",
    /// On the hob.
    Hob "hob",
    /// Over coals or an open fire.
    Fire "fire",
    /// In the oven.
    Oven "oven",
    /// In the pressure pot.
    PressurePot "pressure_pot",
    /// In the slow cooker.
    Crock "crock",
    /// In the pit.
    Pit "pit",
    /// In the bath.
    Bath "bath",
    /// In the steam oven.
    SteamOven "steam_oven",
    /// In the fridge.
    Cold "cold",
    /// At the board.
    Board "board",
}

/// Hands its list of all things on to a macro: each with its kind, its list in a kitchen, its measures, and its facts.
macro_rules! each_thing {
    ($then:ident! { $($before:tt)* }) => { $then! { $($before)* {
        /// Who works here.
        Hands: hands (min_items = 1, max_items = 24) Unmeasured { key: "hands", counted: (hands 1 "Pairs of hands."), picture: Hands, shelf: Hung, lane: None, room: 1, heats: false, one_setting: false }
        /// Ovens.
        Oven: ovens (max_items = 24) Oven { key: "oven", counted: (ovens 0 "Ovens."), picture: Oven, shelf: Fires, lane: Some(Lane::Oven), room: 2, heats: true, one_setting: true }
        /// Burners of the hob, or a place over the fire instead.
        Burner: burners (max_items = 24) BurnerMeasures { key: "hob", counted: (hobs 0 "Burners of the hob."), picture: Burner, shelf: Fires, lane: None, room: 1, heats: true, one_setting: false }
        /// Pots and dishes; a plan starts from the first that is free.
        Pot: pots (max_items = 24) PotMeasures { key: "pot", counted: (pots 0 "Pots and dishes."), picture: Pot, shelf: Vessels, lane: None, room: 1, heats: false, one_setting: false }
        /// Frying pans.
        Pan: pans (max_items = 24) PanMeasures { key: "pan", counted: (pans 0 "Frying pans."), picture: Pan, shelf: Hung, lane: None, room: 1, heats: false, one_setting: false }
        /// Pressure pots: one sears, cooks and reduces, and is one booking.
        PressurePot: pressure_pots (max_items = 24) PressurePot { key: "pressure_pot", counted: (pressure_pots 0 "Pressure pots."), picture: PressurePot, shelf: Vessels, lane: Some(Lane::PressurePot), room: 1, heats: true, one_setting: false }
        /// Slow cookers.
        SlowCooker: slow_cookers (max_items = 24) SlowCooker { key: "slow_cooker", counted: (slow_cookers 0 "Slow cookers."), picture: SlowCooker, shelf: Vessels, lane: Some(Lane::Crock), room: 1, heats: true, one_setting: false }
        /// Pits.
        Pit: pits (max_items = 24) PitMeasures { key: "pit", counted: (pits 0 "Pits."), picture: Pit, shelf: Fires, lane: Some(Lane::Pit), room: 2, heats: true, one_setting: true }
        /// Water baths.
        Bath: baths (max_items = 24) Bath { key: "water_bath", counted: (baths 0 "Water baths."), picture: Bath, shelf: Vessels, lane: Some(Lane::Bath), room: 3, heats: true, one_setting: true }
        /// Steam ovens.
        SteamOven: steam_ovens (max_items = 24) Unmeasured { key: "steam_oven", counted: (steam_ovens 0 "Steam ovens."), picture: Oven, shelf: Fires, lane: Some(Lane::SteamOven), room: 2, heats: true, one_setting: true }
        /// Places for coals.
        Coals: coals (max_items = 24) Unmeasured { key: "coals", counted: (coals 0 "Places for coals."), picture: Coals, shelf: Fires, lane: Some(Lane::Fire), room: 1, heats: true, one_setting: false }
        /// Thermometers.
        Probe: probes (max_items = 24) Probe { key: "probe", counted: (), picture: Probe, shelf: Hung, lane: None, room: 1, heats: false, one_setting: false }
    } } };
}
pub(crate) use each_thing;

/// Where a thing stands in the picture of the kitchen: like with like.
#[derive(Debug, Clone, Copy, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum KitchenShelf {
    /// With the fires.
    Fires,
    /// With the pots.
    Vessels,
    /// On the hooks.
    Hung,
}

/// How a thing is drawn.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum ThingPicture {
    /// A cook's cap.
    Hands,
    /// A box with a door.
    Oven,
    /// A ring of flames.
    Burner,
    /// A pot with its lid, or a tin.
    Pot,
    /// A pan from the side.
    Pan,
    /// A pot with a lid that is locked.
    PressurePot,
    /// A crock.
    SlowCooker,
    /// A pit on its feet.
    Pit,
    /// A tub of water.
    Bath,
    /// Coals on the ground.
    Coals,
    /// A thermometer.
    Probe,
}

/// What is known of a kind of thing.
struct KindFacts {
    key: &'static str,
    picture: ThingPicture,
    shelf: KitchenShelf,
    /// Where a dish is while it takes it, if that is a place of its own.
    lane: Option<Lane>,
    /// Uses that one of it bears at one setting. Working values: two pots on two shelves, three bags under water.
    room: usize,
    /// It can be cooked on or in.
    heats: bool,
    /// All that stands in it has to bear one setting.
    one_setting: bool,
}

macro_rules! kinds {
    ({ $($(#[$doc:meta])* $kind:ident: $list:ident ($($schema:tt)*) $measures:ty {
        key: $key:tt, counted: ($($counted:tt)*), picture: $picture:ident, shelf: $shelf:ident, lane: $lane:expr, room: $room:literal, heats: $heats:literal, one_setting: $one:literal
    })+ }) => {
        /// A kind of thing that can stand in a kitchen.
        #[derive(Debug, Clone, Copy, PartialEq, Eq, Hash, PartialOrd, Ord, Serialize, Deserialize, ToSchema)]
        pub enum ThingKind {
            $($(#[$doc])* #[serde(rename = $key)] $kind,)+
        }

        impl ThingKind {
            /// All of them.
            pub const ALL: [Self; [$($key),+].len()] = [$(Self::$kind),+];

            fn about(self) -> KindFacts {
                match self {
                    $(Self::$kind => KindFacts { key: $key, picture: ThingPicture::$picture, shelf: KitchenShelf::$shelf, lane: $lane, room: $room, heats: $heats, one_setting: $one },)+
                }
            }

            /// The list it stands in.
            pub fn list(self) -> &'static str {
                match self {
                    $(Self::$kind => stringify!($list),)+
                }
            }
        }
    };
}

each_thing!(kinds! {});

impl ThingKind {
    /// Its name in JSON, and in a sentence's choices.
    pub fn key(self) -> &'static str {
        self.about().key
    }

    /// How it is drawn.
    pub fn picture(self) -> ThingPicture {
        self.about().picture
    }

    /// Where it stands in the picture.
    pub fn shelf(self) -> KitchenShelf {
        self.about().shelf
    }

    /// Its name on a form, and one more of it.
    pub fn word(self) -> Message {
        say::thing_word(self.key())
    }

    /// Its name in a sentence, where it can be cooked on or in.
    pub fn name(self) -> Message {
        say::kit(self.key())
    }

    /// Where a dish is while it takes it, if that is a place of its own.
    pub fn lane(self) -> Option<Lane> {
        self.about().lane
    }

    /// What something takes that goes on by itself in a lane; none where that is no thing.
    pub fn of_lane(lane: Lane) -> Option<Self> {
        if lane == Lane::Hob {
            return Some(Self::Burner);
        }
        Self::ALL.into_iter().find(|thing| thing.lane() == Some(lane))
    }

    /// Uses that one of it bears at one setting.
    pub fn room(self) -> usize {
        self.about().room
    }

    /// Those that can be cooked on or in.
    pub fn heaters() -> impl Iterator<Item = Self> {
        Self::ALL.into_iter().filter(|kind| kind.heats())
    }

    /// Whether it can be cooked on or in.
    pub fn heats(self) -> bool {
        self.about().heats
    }

    /// Whether all that stands in it has to bear one setting.
    pub fn has_one_setting(self) -> bool {
        self.about().one_setting
    }
}

/// The things that can be cooked on or in, as the API describes them.
pub enum Kit {}

impl utoipa::PartialSchema for Kit {
    fn schema() -> utoipa::openapi::RefOr<utoipa::openapi::schema::Schema> {
        let heaters = ThingKind::heaters().map(ThingKind::key);
        utoipa::openapi::schema::ObjectBuilder::new()
            .schema_type(utoipa::openapi::schema::Type::String)
            .description(Some("What can be cooked on or in."))
            .enum_values(Some(heaters))
            .into()
    }
}

impl ToSchema for Kit {}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn what_goes_on_in_a_lane_takes_the_thing_of_that_lane() {
        for kind in ThingKind::ALL {
            if let Some(lane) = kind.lane() {
                assert_eq!(ThingKind::of_lane(lane), Some(kind));
            }
            let read: ThingKind = serde_json::from_value(serde_json::json!(kind.key())).unwrap();
            assert_eq!(read, kind);
        }
        assert_eq!(ThingKind::of_lane(Lane::Hob), Some(ThingKind::Burner));
        assert_eq!(ThingKind::of_lane(Lane::Board), None);
    }
}
