//! The figures of a step: how long, how hot, how many coals.

use std::ops::Range;

use ergastic_words::{Mass, Message, RoughMinutes, matching as say};

use super::guess::Guess;
use super::tokens::{PlacedToken, Token, is_sign, is_word, number};
use crate::ways::NIGHT_MIN;

/// Above this a bare figure is taken for °F: no pot of this job runs so hot in °C. A pit says its own.
const FAHRENHEIT_FROM: f64 = 235.0;
const PIT_FAHRENHEIT_FROM: f64 = 180.0;
/// The hottest oven and pit, °C, and the coolest pot that cooks by °F.
const MAX_OVEN_C: f64 = 260.0;
const MAX_PIT_C: f64 = 200.0;
const MIN_F: f64 = 190.0;
const POUND_KG: f64 = 0.4536;

const HOURS: [&str; 5] = ["h", "hr", "hrs", "hour", "hours"];
const MINUTES: [&str; 5] = ["min", "mins", "minute", "minutes", "m"];
const COALS: [&str; 6] = ["coal", "coals", "briquette", "briquettes", "ember", "embers"];
const BENEATH: [&str; 6] = ["beneath", "under", "underneath", "below", "bottom", "base"];
const ABOVE: [&str; 5] = ["top", "over", "above", "lid", "on"];

/// A time, and where it stands among the tokens.
#[derive(Debug, Clone, PartialEq)]
pub(super) struct Time {
    pub minutes: f64,
    pub tokens: Range<usize>,
}

/// What one step says in figures.
#[derive(Debug, Default)]
pub(super) struct Figures {
    pub times: Vec<Time>,
    pub celsius: Option<f64>,
    pub under: Option<u32>,
    pub over: Option<u32>,
    pub guesses: Vec<Guess>,
}

/// Reads them one after the other.
struct FigureReader<'a> {
    tokens: &'a [PlacedToken],
    meat_kg: f64,
    in_pit: bool,
    coals: bool,
    found: Figures,
}

/// Times, temperatures and coals of a step, for so much meat.
pub(super) fn figures(tokens: &[PlacedToken], meat_kg: f64, in_pit: bool) -> Figures {
    let coals = tokens.iter().any(|token| is_word(Some(token), &COALS));
    let mut reader = FigureReader { tokens, meat_kg, in_pit, coals, found: Figures::default() };
    let mut at = 0;
    while at < tokens.len() {
        at = reader.one(at);
    }
    reader.found
}

impl FigureReader<'_> {
    fn word(&self, at: usize, words: &[&str]) -> bool {
        is_word(self.tokens.get(at), words)
    }

    /// The letters of some tokens.
    fn place(&self, tokens: Range<usize>) -> Range<usize> {
        self.tokens[tokens.start].at.start..self.tokens[tokens.end - 1].at.end
    }

    /// Takes what stands at a token; returns where to go on.
    fn one(&mut self, at: usize) -> usize {
        match &self.tokens[at].token {
            Token::Word(word) if word == "overnight" => {
                // A night beside its hours says when, not how long.
                if self.tokens.iter().any(|token| is_word(Some(token), &HOURS)) {
                    return at + 1;
                }
                let instead = [8.0, 12.0].map(|hours| Message::text(format!("{hours} h")));
                self.found.guesses.push(Guess::replacing(say::overnight_is(), self.place(at..at + 1), instead));
                self.found.times.push(Time { minutes: NIGHT_MIN, tokens: at..at + 1 });
                at + 1
            }
            // An hour, an hour and a half.
            Token::Word(word) if (word == "an" || word == "a") && self.word(at + 1, &HOURS) => {
                self.time(at, at + 1, 1.0)
            }
            Token::Word(word)
                if word == "gas" && (self.word(at + 1, &["mark"]) || number(self.tokens.get(at + 1)).is_some()) =>
            {
                let mark = if self.word(at + 1, &["mark"]) { at + 2 } else { at + 1 };
                if let Some(mark) = number(self.tokens.get(mark)) {
                    // Mark 1 is 140 °C, and each mark about 14 K more.
                    self.found.celsius = Some(((126.0 + 14.0 * mark) / 10.0).round() * 10.0);
                }
                mark + 1
            }
            Token::Number(value) => self.figure(at, *value),
            _ => at + 1,
        }
    }

    /// A figure and what follows it: a range, a unit of time, degrees, or coals.
    fn figure(&mut self, at: usize, first: f64) -> usize {
        let (mut value, mut next) = (first, at + 1);
        let ranges = is_sign(self.tokens.get(next), &['-', '–', '—']) || self.word(next, &["to", "or"]);
        let upper = if ranges { number(self.tokens.get(next + 1)) } else { None };
        if upper.is_some() {
            next += 2;
        }
        let figures_end = next;
        // Two and a half hours.
        let and_a = self.word(next, &["and"]) && self.word(next + 1, &["a"]);
        if let Some(part) = number(self.tokens.get(next + 2)).filter(|part| and_a && *part < 1.0) {
            value += part;
            next += 3;
        }
        // Half an hour, three quarters of an hour.
        let mut unit = next;
        while self.word(unit, &["a", "an", "of"]) {
            unit += 1;
        }
        if self.word(unit, &HOURS) || self.word(unit, &MINUTES) {
            if let Some(upper) = upper {
                let place = self.place(at..figures_end);
                let instead = [value, upper].map(|end| Message::text(self.with_unit(end, unit)));
                self.found.guesses.push(Guess::replacing(say::middle_of(value, upper), place, instead));
                value = 0.5 * (value + upper);
            }
            return self.time(at, unit, value);
        }
        if let Some(end) = self.coals(at, next, upper.map_or(value, |upper| 0.5 * (value + upper))) {
            return end;
        }
        self.degrees(at, next, upper.map_or(value, |upper| 0.5 * (value + upper)))
    }

    fn with_unit(&self, value: f64, unit: usize) -> String {
        let unit = if self.word(unit, &HOURS) { "h" } else { "min" };
        format!("{value} {unit}")
    }

    /// Ten coals beneath, fourteen on top.
    fn coals(&mut self, at: usize, next: usize, value: f64) -> Option<usize> {
        if !self.coals || value.fract() != 0.0 || value > 80.0 {
            return None;
        }
        let after = if self.word(next, &COALS) { next + 1 } else { next };
        let mut place = after;
        while self.word(place, &["go", "the", "at", "in", "a", "on"]) && !self.word(place + 1, &["h"]) {
            place += 1;
        }
        let beneath = self.word(place, &BENEATH);
        let above = self.word(place, &ABOVE) || place > after && self.word(place - 1, &["on"]) && !beneath;
        if !beneath && !above {
            return (after > next).then_some(after);
        }
        let slot = if beneath { &mut self.found.under } else { &mut self.found.over };
        *slot = Some(value as u32);
        Some(usize::max(place + usize::from(place < self.tokens.len()), at + 1))
    }

    fn degrees(&mut self, at: usize, next: usize, value: f64) -> usize {
        let sign = is_sign(self.tokens.get(next), &['°', 'º']);
        let unit = if sign || self.word(next, &["degrees", "deg", "degree"]) { next + 1 } else { next };
        let celsius = self.word(unit, &["c", "celsius"]);
        let fahrenheit = self.word(unit, &["f", "fahrenheit"]);
        let before = at.checked_sub(1).and_then(|before| self.tokens.get(before));
        let bare = is_word(before, &["at", "in", "a", "an"]) && value >= 50.0;
        if !(celsius || fahrenheit || unit > next || bare) {
            return next;
        }
        let guessed = !celsius && !fahrenheit;
        let from = if self.in_pit { PIT_FAHRENHEIT_FROM } else { FAHRENHEIT_FROM };
        let in_fahrenheit = fahrenheit || guessed && value > from;
        if guessed {
            let taken = if in_fahrenheit { say::taken_for_fahrenheit } else { say::taken_for_celsius };
            let place = self.place(at..unit);
            // The other scale is offered where something could be cooked at it.
            let most_c = if self.in_pit { MAX_PIT_C } else { MAX_OVEN_C };
            let guess = match in_fahrenheit {
                true if value <= most_c => {
                    Guess::replacing(taken(value), place, [Message::text(format!("{value} °C"))])
                }
                false if value > MIN_F => Guess::replacing(taken(value), place, [Message::text(format!("{value} °F"))]),
                _ => Guess::replacing(taken(value), place, []),
            };
            self.found.guesses.push(guess);
        }
        self.found.celsius = Some(if in_fahrenheit { (value - 32.0) / 1.8 } else { value });
        if guessed { unit } else { unit + 1 }
    }

    /// A time whose unit stands at `unit`; takes "and a half", the minutes of "1 h 30" and "a pound" with it.
    fn time(&mut self, at: usize, unit: usize, value: f64) -> usize {
        let in_hours = self.word(unit, &HOURS);
        let mut minutes = value * if in_hours { 60.0 } else { 1.0 };
        let mut next = unit + 1;
        let mut after = next;
        while self.word(after, &["and", "a"]) {
            after += 1;
        }
        if let Some(more) = number(self.tokens.get(after)) {
            let timed = self.word(after + 1, &MINUTES);
            let degrees = is_sign(self.tokens.get(after + 1), &['°', 'º']) || self.word(after + 1, &["c", "f"]);
            if in_hours && more < 1.0 {
                minutes += more * 60.0;
                next = after + 1;
            } else if in_hours && (timed || !degrees && more < 60.0 && after == unit + 1) {
                minutes += more;
                next = after + 1 + usize::from(timed);
            }
        }
        if let Some((each_kg, end)) = self.for_each(next) {
            let all = (minutes * self.meat_kg / each_kg / 5.0).round().max(1.0) * 5.0;
            let instead = [0.8, 1.25].map(|by| {
                let whole = (all * by / 5.0).round() * 5.0;
                Message::text(format!("{whole} min"))
            });
            let guess =
                Guess::replacing(say::by_weight(RoughMinutes(all), Mass(self.meat_kg)), self.place(at..end), instead);
            self.found.guesses.push(guess);
            (minutes, next) = (all, end);
        }
        self.found.times.push(Time { minutes, tokens: at..next });
        next
    }

    /// "a pound", "per kilo", "/lb", "each 500 g": for how much meat, kg, and where that ends.
    fn for_each(&self, at: usize) -> Option<(f64, usize)> {
        let each = self.word(at, &["a", "per", "each", "the", "to", "for"]) || is_sign(self.tokens.get(at), &['/']);
        let mut unit = if each { at + 1 } else { return None };
        if self.word(unit, &["each", "every", "the"]) {
            unit += 1;
        }
        let count = number(self.tokens.get(unit));
        if count.is_some() {
            unit += 1;
        }
        let each_kg = match () {
            () if self.word(unit, &["pound", "pounds", "lb", "lbs"]) => POUND_KG,
            () if self.word(unit, &["kilo", "kilos", "kg", "kilogram"]) => 1.0,
            () if count.is_some() && self.word(unit, &["g", "grams", "gram"]) => 0.001,
            () => return None,
        };
        Some((each_kg * count.unwrap_or(1.0), unit + 1)).filter(|(kg, _)| *kg > 0.0)
    }
}
