//! A recipe's letters as numbers, words and signs, each with where it stands.

use std::ops::Range;

/// What stands there.
#[derive(Debug, Clone, PartialEq)]
pub(super) enum Token {
    Number(f64),
    Word(String),
    Sign(char),
}

/// A token, and the letters it was made of.
#[derive(Debug, Clone, PartialEq)]
pub(super) struct PlacedToken {
    pub token: Token,
    pub at: Range<usize>,
}

use Token::{Number, Sign, Word};

fn fraction(letter: char) -> Option<f64> {
    Some(match letter {
        '½' => 0.5,
        '¼' => 0.25,
        '¾' => 0.75,
        '⅓' => 1.0 / 3.0,
        '⅔' => 2.0 / 3.0,
        _ => return None,
    })
}

const COUNTED: [&str; 20] = [
    "one",
    "two",
    "three",
    "four",
    "five",
    "six",
    "seven",
    "eight",
    "nine",
    "ten",
    "eleven",
    "twelve",
    "thirteen",
    "fourteen",
    "fifteen",
    "sixteen",
    "seventeen",
    "eighteen",
    "nineteen",
    "twenty",
];

fn number_word(word: &str) -> Option<f64> {
    COUNTED.iter().position(|known| *known == word).map(|at| at as f64 + 1.0).or(match word {
        "half" => Some(0.5),
        "quarter" | "quarters" => Some(0.25),
        "thirty" => Some(30.0),
        "forty" => Some(40.0),
        "fifty" => Some(50.0),
        "sixty" => Some(60.0),
        "ninety" => Some(90.0),
        _ => None,
    })
}

/// Numbers (with fractions and decimal commas), words and signs of some lowercase letters.
pub(super) fn tokens(letters: &[char]) -> Vec<PlacedToken> {
    let mut found: Vec<PlacedToken> = Vec::new();
    let mut at = 0;
    while at < letters.len() {
        let from = at;
        let letter = letters[at];
        let mut token = None;
        if let Some(part) = fraction(letter) {
            at += 1;
            match found.last_mut() {
                Some(PlacedToken { token: Number(whole), at: place }) => {
                    *whole += part;
                    place.end = at;
                }
                _ => token = Some(Number(part)),
            }
        } else if letter.is_ascii_digit() {
            let digit = |at: usize| letters.get(at).is_some_and(char::is_ascii_digit);
            while digit(at) || matches!(letters.get(at), Some('.' | ',')) && digit(at + 1) {
                at += 1;
            }
            let digits: String = letters[from..at].iter().collect();
            let mut value: f64 = digits.replace(',', ".").parse().unwrap_or(0.0);
            // 2 1/2
            if letters.get(at) == Some(&'/') && digit(at + 1) {
                let below = letters[at + 1].to_digit(10).unwrap_or(1).max(1);
                value /= f64::from(below);
                at += 2;
                if let Some(PlacedToken { token: Number(whole), at: place }) = found.last_mut() {
                    *whole += value;
                    place.end = at;
                    continue;
                }
            }
            token = Some(Number(value));
        } else if letter.is_alphabetic() {
            while letters.get(at).is_some_and(|letter| letter.is_alphabetic()) {
                at += 1;
            }
            let word: String = letters[from..at].iter().collect();
            token = match (number_word(&word), found.last_mut()) {
                // Three quarters.
                (Some(part), Some(PlacedToken { token: Number(count), at: place })) if word == "quarters" => {
                    *count *= part;
                    place.end = at;
                    None
                }
                (Some(value), _) => Some(Number(value)),
                (None, _) => Some(Word(word)),
            };
        } else {
            at += 1;
            token = (!letter.is_whitespace()).then_some(Sign(letter));
        }
        found.extend(token.map(|token| PlacedToken { token, at: from..at }));
    }
    found
}

/// Whether a token is one of these words.
pub(super) fn is_word(placed: Option<&PlacedToken>, words: &[&str]) -> bool {
    matches!(placed, Some(PlacedToken { token: Word(word), .. }) if words.contains(&word.as_str()))
}

/// The number that stands there.
pub(super) fn number(placed: Option<&PlacedToken>) -> Option<f64> {
    match placed {
        Some(PlacedToken { token: Number(value), .. }) => Some(*value),
        _ => None,
    }
}

/// Whether a token is one of these signs.
pub(super) fn is_sign(placed: Option<&PlacedToken>, signs: &[char]) -> bool {
    matches!(placed, Some(PlacedToken { token: Sign(sign), .. }) if signs.contains(sign))
}
