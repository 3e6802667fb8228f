//! What goes in beside the meat: each thing once, in its amount, when its turn is.

use ergastic_words::Message;

use crate::bench::Larder;

/// Where something that goes in has been until then.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum ComesFrom {
    /// It comes for this.
    Shop,
    /// The bowl that the meat has lain in.
    Marinade,
    /// It was lifted out of the pan.
    Tray,
}

/// Something that goes in.
#[derive(Debug, Clone, PartialEq)]
pub struct ThingIn {
    /// What.
    pub what: Larder,
    /// How much, g.
    pub g: f64,
    /// From where.
    pub from: ComesFrom,
    /// Its amount and name.
    pub said: Message,
}

/// What goes in beside the meat, by when it does.
#[derive(Debug, Clone, Default, PartialEq)]
pub struct BesideTheMeat {
    /// Fat, into the hot pan.
    pub fat: Vec<ThingIn>,
    /// Softened in the fat, in this order.
    pub softened: Vec<ThingIn>,
    /// Stirred into that and cooked a minute.
    pub stirred_in: Vec<ThingIn>,
    /// Poured in to scrape up the brown.
    pub poured_first: Option<ThingIn>,
    /// Whether that is boiled down by half.
    pub halved: bool,
    /// With the meat.
    pub with_meat: Vec<ThingIn>,
}

/// Their amounts and names.
pub fn said(things: &[ThingIn]) -> Vec<Message> {
    things.iter().map(|thing| thing.said.clone()).collect()
}
