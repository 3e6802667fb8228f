//! What goes in beside the meat: each thing once, in its amount, when its turn is.

use ergastic_words::Message;

/// What goes in beside the meat, by when it does.
#[derive(Debug, Clone, Default, PartialEq)]
pub struct BesideTheMeat {
    /// Fat, into the hot pan.
    pub fat: Vec<Message>,
    /// Softened in the fat, in this order.
    pub softened: Vec<Message>,
    /// Stirred into that and cooked a minute.
    pub stirred_in: Vec<Message>,
    /// Poured in to scrape up the brown.
    pub poured_first: Option<Message>,
    /// Whether that is boiled down by half.
    pub halved: bool,
    /// With the meat.
    pub with_meat: Vec<Message>,
}
