//! Text that somebody typed: names on one line, notes on more.

use ergastic_words::{Message, errors as say};

use crate::error::{Error, Result, WhatIsWrong};

/// Characters that show nothing, turn what stands beside them round, or end a text where none is seen to end: with them one
/// name can look like another.
fn is_hidden(letter: char) -> bool {
    matches!(letter,
        '\u{ad}' | '\u{61c}' | '\u{180e}' | '\u{200b}'..='\u{200f}' | '\u{2028}'..='\u{202e}'
        | '\u{2060}'..='\u{206f}' | '\u{feff}' | '\u{fff9}'..='\u{fffb}' | '\u{e0000}'..='\u{e007f}')
}

/// A name on one line: not empty, not endless, nothing hidden in it.
///
/// # Errors
/// Names the field and what is allowed.
pub fn check_name(field: &str, text: &str, most: usize) -> Result<()> {
    if let Some(letter) = text.chars().find(|letter| letter.is_control() || is_hidden(*letter)) {
        return Err(Error::said(WhatIsWrong::Unknown, field, code(letter), say::one_line()));
    }
    check_length(field, text, most)
}

/// Text that a cook typed, on one line or more: not empty, not endless, nothing hidden in it.
///
/// # Errors
/// Names the field and what is allowed.
pub fn check_text(field: &str, text: &str, most: usize) -> Result<()> {
    let is_odd = |letter: char| letter.is_control() && !matches!(letter, '\n' | '\r' | '\t') || is_hidden(letter);
    if let Some(letter) = text.chars().find(|letter| is_odd(*letter)) {
        return Err(Error::said(WhatIsWrong::Unknown, field, code(letter), say::visible()));
    }
    check_length(field, text, most)
}

fn code(letter: char) -> Message {
    say::character(&format!("U+{:04X}", u32::from(letter)))
}

fn check_length(field: &str, text: &str, most: usize) -> Result<()> {
    let length = text.chars().count();
    if text.trim().is_empty() || length > most {
        let given = if length > 40 { say::characters(length as u32) } else { Message::text(format!("{text:?}")) };
        return Err(Error::said(WhatIsWrong::OutOfRange, field, given, say::length(most as u32)));
    }
    Ok(())
}
