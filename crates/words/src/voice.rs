//! Putting what is to be said into the cook's language and units.

use std::borrow::{Borrow, Cow};
use std::collections::HashMap;
use std::sync::LazyLock;

use fluent_bundle::concurrent::FluentBundle;
use fluent_bundle::{FluentArgs, FluentResource, FluentValue};
use unic_langid::LanguageIdentifier;

use crate::food_code::FoodCode;
use crate::message::{Argument, Join, Message, MessageId};
use crate::places::units as say;
use crate::quantity::{Clock, Units};
use crate::written::written;

include!(concat!(env!("OUT_DIR"), "/english.rs"));

type Bundle = FluentBundle<FluentResource>;

/// A language: its files, by place.
struct Language(HashMap<&'static str, Bundle>);

/// The text of a place. While it is being developed it is read from where it lies, so that another wording needs no other build.
fn text_of(place: &str, built: &'static str) -> Cow<'static, str> {
    let read = || std::fs::read_to_string(format!("{FOLDER}/{place}.ftl")).ok();
    let sound = |text: &String| FluentResource::try_new(text.clone()).is_ok();
    match cfg!(debug_assertions).then(read).flatten().filter(sound) {
        Some(text) => Cow::Owned(text),
        None => Cow::Borrowed(built),
    }
}

static ENGLISH: LazyLock<Language> = LazyLock::new(|| {
    let bundle = |text: &str| {
        let mut bundle = Bundle::new_concurrent(vec!["en".parse::<LanguageIdentifier>().expect("a language")]);
        // The marks would stand in every exported file; no cook writes from right to left inside a figure.
        bundle.set_use_isolating(false);
        for (name, function) in FUNCTIONS {
            bundle.add_function(name, *function).expect("each function has its own name");
        }
        let resource = FluentResource::try_new(text.to_owned()).expect("the build has read it");
        bundle.add_resource(resource).expect("the build has read it");
        bundle
    };
    Language(FILES.iter().map(|(place, text)| (*place, bundle(&text_of(place, text)))).collect())
});

type Function = for<'a> fn(&[FluentValue<'a>], &FluentArgs) -> FluentValue<'a>;

/// What the texts may call.
const FUNCTIONS: &[(&str, Function)] = &[
    // A sentence may begin with a name.
    ("CAPITAL", |given, _| change(given, |text| capital(text).into_owned())),
    // a or an, by the sound of what follows.
    ("A", |given, _| change(given, with_article)),
    // Of "57 °C" the figure alone: "57 or 60 °C".
    ("BARE", |given, _| change(given, |text| text.split(' ').next().unwrap_or(text).to_owned())),
];

fn change<'a>(given: &[FluentValue<'a>], to: impl Fn(&str) -> String) -> FluentValue<'a> {
    match given.first() {
        Some(FluentValue::String(text)) => FluentValue::String(to(text).into()),
        Some(FluentValue::Number(number)) => FluentValue::String(to(&number.as_string()).into()),
        _ => FluentValue::Error,
    }
}

/// The text with its first letter large.
fn capital(text: &str) -> Cow<'_, str> {
    match text.chars().next() {
        Some(first) if first.is_lowercase() => {
            Cow::Owned(first.to_uppercase().chain(text.chars().skip(1)).collect::<String>())
        }
        _ => Cow::Borrowed(text),
    }
}

/// "a 150 °C oven", "an 80 °C oven", "an oven".
fn with_article(text: &str) -> String {
    let word = text.split([' ', '-']).next().unwrap_or_default();
    let digits: String = word.chars().take_while(char::is_ascii_digit).collect();
    let vowel = if digits.is_empty() {
        // A "u" that is spoken "you" takes an a: a used pan.
        word.starts_with(['a', 'e', 'i', 'o', 'u', 'A', 'E', 'I', 'O', 'U']) && !word.starts_with("us")
    } else {
        digits.starts_with('8') || digits == "11" || digits == "18"
    };
    format!("{} {text}", if vowel { "an" } else { "a" })
}

/// A language, the cook's units, and whose figures are named where food codes differ.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Default)]
pub struct Voice {
    units: Units,
    food_code: FoodCode,
    /// None is the one that goes with the units.
    clock: Option<Clock>,
}

impl Voice {
    /// English in these units.
    pub fn new(units: Units) -> Self {
        Self { units, food_code: FoodCode::Usual, clock: None }
    }

    /// The same under a food code.
    #[must_use]
    pub fn under(self, food_code: FoodCode) -> Self {
        Self { food_code, ..self }
    }

    /// The same by a clock; none is the one that goes with the units.
    #[must_use]
    pub fn by(self, clock: Option<Clock>) -> Self {
        Self { clock, ..self }
    }

    /// Whose figures it names.
    pub fn food_code(self) -> FoodCode {
        self.food_code
    }

    /// The cook's units.
    pub fn units(self) -> Units {
        self.units
    }

    /// Puts it into words.
    pub fn render(self, message: impl Borrow<Message>) -> String {
        match message.borrow() {
            Message::Text(text) => text.clone().into_owned(),
            Message::Quantity(argument) => match self.value(argument) {
                FluentValue::String(text) => text.into_owned(),
                FluentValue::Number(number) => number.as_string().into_owned(),
                _ => String::new(),
            },
            Message::List(items, join) => self.list(items, *join),
            Message::One { id, arguments } => self.message(id, arguments),
        }
    }

    fn message(self, message: &MessageId, arguments: &[(&'static str, Argument)]) -> String {
        let MessageId { place, id, attribute } = *message;
        let bundle = &ENGLISH.0[place];
        let message = bundle.get_message(id).expect("the build has read it");
        let pattern = match attribute {
            None => message.value().expect("the build has read it"),
            Some(name) => message.get_attribute(name).expect("the build has read it").value(),
        };
        let mut given = FluentArgs::with_capacity(arguments.len() + 1);
        given.set("units", if self.units == Units::Us { "us" } else { "metric" });
        for (name, argument) in arguments {
            given.set(*name, self.value(argument));
        }
        let mut faults = Vec::new();
        let text = bundle.format_pattern(pattern, Some(&given), &mut faults).into_owned();
        debug_assert!(faults.is_empty(), "{place}/{id}: {faults:?}");
        text
    }

    fn list(self, items: &[Message], join: Join) -> String {
        let said: Vec<String> = items.iter().map(|item| self.render(item)).filter(|text| !text.is_empty()).collect();
        match join {
            Join::Commas => said.join(", "),
            Join::Semicolons => said.join("; "),
            Join::Space => said.join(" "),
            Join::Sentences => said.iter().map(|text| capital(text)).collect::<Vec<_>>().join(". "),
            Join::And | Join::Or | Join::Then => {
                let Some((last, before)) = said.split_last() else { return String::new() };
                if before.is_empty() {
                    return last.clone();
                }
                let text = |text: &str| Message::text(text.to_owned());
                self.render(match join {
                    Join::Or => say::either(text(&before.join(", ")), text(last)),
                    Join::Then => say::after_each_other(text(&before.join(", ")), text(last)),
                    _ => say::both(text(&before.join(", ")), text(last)),
                })
            }
        }
    }

    /// What a message is given for an argument.
    fn value(self, argument: &Argument) -> FluentValue<'static> {
        match argument {
            Argument::Count(count) => FluentValue::from(f64::from(*count)),
            Argument::Key(key) => FluentValue::from(*key),
            Argument::Text(text) => FluentValue::String(text.clone()),
            Argument::Message(said) => FluentValue::String(self.render(said).into()),
            quantity => {
                FluentValue::String(written(quantity, self.units, self.clock.unwrap_or(self.units.clock())).into())
            }
        }
    }
}
