//! The rules cooks go by.

use ergastic_words::{Message, forecast as say};

use super::asked::Heat;
use super::method::Method;
use crate::error::Result;

/// The meat as a rule of thumb sees it.
pub struct MeatFigures<'a> {
    /// In bites.
    pub small: bool,
    /// A piece, lb.
    pub pounds: f64,
    /// Minutes until the same meat is tender another way, if it becomes so.
    pub another_way: &'a dyn Fn(Method, Heat) -> Result<Option<f64>>,
}

/// A rule with the minutes it gives and why it is wrong here, if it is.
pub struct ThumbRule {
    /// The rule.
    pub rule: Message,
    /// What it comes to, min.
    pub minutes: f64,
    /// Why it is wrong here, if it is.
    pub because: Message,
}

impl ThumbRule {
    /// A rule with its minutes.
    pub fn new(rule: Message, minutes: f64, because: Message) -> Self {
        Self { rule, minutes, because }
    }
}

/// What is said of any pot.
pub(super) fn in_the_pot(meat: &MeatFigures) -> Result<Vec<ThumbRule>> {
    let mut rules = if meat.small {
        vec![ThumbRule::new(say::thumb_pieces(), 120.0, say::blind_to_size())]
    } else {
        vec![
            ThumbRule::new(say::thumb_pound(), 60.0 * meat.pounds, say::by_weight()),
            ThumbRule::new(say::thumb_joint(), 180.0, say::blind_to_size()),
        ]
    };
    rules.extend((meat.another_way)(Method::Pressure, Heat::default())?.map(|pressed| {
        ThumbRule::new(say::thumb_thrice_pressure(), 3.0 * pressed, say::thumb_thrice_pressure_because())
    }));
    Ok(rules)
}
