//! What had to be supposed of a recipe's words, and what they would be if it were otherwise.

use std::ops::Range;

use ergastic_words::Message;

/// Something supposed, with where it stands and what could stand there.
#[derive(Debug, Clone, PartialEq)]
pub(super) struct Guess {
    pub said: Message,
    /// The letters that say it; empty where nothing does.
    pub at: Range<usize>,
    /// What could be written in its place.
    pub instead: Vec<Message>,
}

impl Guess {
    pub fn replacing<const N: usize>(said: Message, at: Range<usize>, instead: [Message; N]) -> Self {
        Self { said, at, instead: instead.to_vec() }
    }

    /// The whole recipe, changed so.
    pub fn rewritten(&self, text: &[char], instead: &str) -> String {
        let (before, after) = (&text[..self.at.start], &text[self.at.end..]);
        let gap = |yes: bool| if yes { " " } else { "" };
        let before: String = before.iter().collect();
        let after: String = after.iter().collect();
        let apart = gap(!before.is_empty() && !before.ends_with(' '));
        let then = gap(after.starts_with(char::is_alphanumeric));
        // A figure brings its unit along: the one that stood there goes.
        let bare = after.trim_start();
        let units = ["hours", "hour", "hrs", "hr", "h", "minutes", "minute", "mins", "min", "m"];
        let brings_unit = instead.ends_with(" h") || instead.ends_with(" min");
        let unit = units.iter().find(|unit| {
            let rest = bare.strip_prefix(**unit);
            brings_unit && rest.is_some_and(|rest| !rest.starts_with(char::is_alphabetic))
        });
        match unit {
            Some(unit) => format!("{before}{apart}{instead}{}", &bare[unit.len()..]),
            None => format!("{before}{apart}{instead}{then}{after}"),
        }
    }
}
