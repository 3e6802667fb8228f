//! A way as it is set, and what is asked of whichever it is.

use std::any::Any;

use ergastic_physics::medium::Cooling;
use ergastic_words::{Message, Units, errors, forecast, ways as words};

use super::asked::Heat;
use super::facts::{Facts, LevelFacts, STEWED};
use super::fill::Fill;
use super::id::WayId;
use super::method::{HeatSource, Method};
use super::preset::Preset;
use super::site::Site;
use super::way::{Offered, Setting, Way};
use super::{chill, coals, hob};
use crate::cuts::{Cut, EatenAs};
use crate::error::{Error, Result, WhatIsWrong};
use crate::heat::pot::Simmer;

/// What is asked of one way or another.
macro_rules! ways {
    ($($(#[$doc:meta])* $name:ident: $room:ident::$way:ident),+ $(,)?) => {
        /// A way as it is set.
        #[derive(Debug, Clone, Copy, PartialEq)]
        pub enum Set {
            $($(#[$doc])* $name(super::$room::$way),)+
        }

        impl Set {
            /// The way, to be asked.
            pub fn way(&self) -> &dyn Way {
                match self {
                    $(Self::$name(way) => way,)+
                }
            }

            /// The same with the heat off: most cool where they stand.
            pub(crate) fn went_out(&self) -> Self {
                let out = match self {
                    $(Self::$name(way) => way.went_out().map(Self::$name),)+
                };
                out.unwrap_or(Self::Chill(chill::Chill { cooling: Cooling::InAir }))
            }

            /// Which it is.
            pub fn id(&self) -> WayId {
                match self {
                    $(Self::$name(_) => WayId::$name,)+
                }
            }
        }

        impl WayId {
            /// What is known of it.
            pub fn facts(self) -> Facts {
                match self {
                    $(Self::$name => super::$room::$way::FACTS,)+
                }
            }

            /// As it is asked for, in a place.
            ///
            /// # Errors
            /// Names the field that is out of range.
            pub(super) fn set(self, asked: &Heat, place: &Site, fill: &mut Fill) -> Result<Set> {
                match self {
                    $(Self::$name => super::$room::$way::set(asked, place, fill).map(Set::$name),)+
                }
            }

            /// The settings of its dial around a heat.
            pub(crate) fn settings(self, asked: &Heat, units: Units) -> Vec<Setting> {
                match self {
                    $(Self::$name => super::$room::$way::settings(asked, units),)+
                }
            }

            /// What is worth offering of it.
            pub fn presets(self, units: Units) -> Vec<Preset> {
                match self {
                    $(Self::$name => super::$room::$way::presets(units),)+
                }
            }

            /// What is said of a field of it that is given for another.
            fn only(self) -> Message {
                match self {
                    $(Self::$name => super::$room::$way::only(),)+
                }
            }

            /// Why a cut does not go this way, if it does not.
            pub fn against(self, cut: Cut, eaten_as: EatenAs) -> Option<Message> {
                match self {
                    $(Self::$name => super::$room::$way::against(cut, eaten_as),)+
                }
            }

            /// The heat of one that is hot already.
            pub(crate) fn warm(self, asked: Heat) -> Heat {
                match self {
                    $(Self::$name => super::$room::$way::warm(asked),)+
                }
            }

            /// The heat as it comes back after it was off for some minutes.
            pub(crate) fn lit_again(self, asked: Heat, off_min: f64) -> Heat {
                match self {
                    $(Self::$name => super::$room::$way::lit_again(asked, off_min),)+
                }
            }
        }
    };
}

each_way!(ways!);

impl Set {
    /// What is known of it.
    pub fn facts(&self) -> Facts {
        self.way().facts()
    }

    /// The very way, for what only it has.
    pub fn get<W: Way>(&self) -> Option<&W> {
        let way: &dyn Any = self.way();
        way.downcast_ref()
    }

    /// Whether the clock of the heat source goes on from one stage into the next.
    pub fn same_kind(&self, other: &Self) -> bool {
        self.id() == other.id()
    }

    /// Whether the meat lies in a pot of water, stock or wine.
    pub fn is_pot(&self) -> bool {
        self.facts().is_pot
    }

    /// Whether it is a rolling boil.
    pub fn rolls(&self) -> bool {
        self.get::<hob::Hob>().is_some_and(|hob| hob.simmer == Simmer::Boil)
    }

    /// The simmer of a pot over a flame.
    pub fn simmer(&self) -> Option<Simmer> {
        let over_coals = self.get::<coals::OverCoals>().map(|_| Simmer::Gentle);
        self.get::<hob::Hob>().map(|hob| hob.simmer).or(over_coals)
    }
}

impl Method {
    /// How far up its liquid stands.
    pub fn level(self) -> LevelFacts {
        match self {
            Self::Stew => STEWED,
            other => other.usual().facts().level,
        }
    }
}

impl Heat {
    /// Which way a method with this heat is.
    ///
    /// # Errors
    /// Names the field that belongs to another.
    pub(crate) fn way(&self, method: Method) -> Result<WayId> {
        let ways = method.ways();
        if let Some(name) = self.first_foreign(ways) {
            let takes = if ways.len() > 1 { "pots" } else { method.key() };
            return Err(clash(name, words::foreign_heat(method.key(), takes)));
        }
        let chosen = match self.source {
            Some(source) => ways.iter().copied().find(|way| way.facts().source == Some(source)),
            None => self.given().next().map(|(_, way)| way),
        };
        let chosen = chosen.unwrap_or_else(|| method.usual());
        match self.given().find(|(_, way)| *way != chosen) {
            Some((name, owner)) => Err(clash(name, owner.only())),
            None => Ok(chosen),
        }
    }

    /// A method with this heat, as it is set in a place.
    ///
    /// # Errors
    /// Names the field that belongs to another, or is out of range.
    pub(crate) fn set(&self, method: Method, place: &Site, fill: &mut Fill) -> Result<Set> {
        let way = self.way(method)?;
        if let Some(source) = way.facts().source {
            let word = |source: HeatSource| forecast::source(source.key());
            fill.or("heat.source", self.source, source, forecast::usual_source, word);
        }
        way.set(self, place, fill)
    }

    fn first_foreign(&self, ways: &[WayId]) -> Option<&'static str> {
        let source = self.source.filter(|source| !ways.iter().any(|way| way.facts().source == Some(*source)));
        let elsewhere = self.given().find(|(_, way)| !ways.contains(way)).map(|(name, _)| name);
        source.map(|_| "source").or(elsewhere)
    }
}

fn clash(name: &str, allowed: Message) -> Error {
    Error::said(WhatIsWrong::Clash, format!("heat.{name}"), errors::a_value(), allowed)
}

/// All presets: of the methods in the order in which they are compared, each from the gentlest.
pub fn presets(units: Units) -> Vec<Preset> {
    let mut all: Vec<Preset> = WayId::ALL.iter().flat_map(|way| way.presets(units)).collect();
    all.sort_by_key(|preset| Method::COMPARED.iter().position(|method| *method == preset.method));
    all
}

/// The usual heat of a method.
pub fn usual(method: Method, units: Units) -> Heat {
    let usual = presets(units).into_iter().find(|preset| preset.usual && preset.method == method);
    usual.map(|preset| preset.heat).unwrap_or_default()
}
