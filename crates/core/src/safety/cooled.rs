//! How fast what is cooked is cooled, under the kitchen's food code.

use ergastic_words::{Guide, Message, Minutes, Voice, safety as say};

/// Both steps, for the middle of a sentence.
pub fn cooled_by(voice: Voice) -> Message {
    let rule = voice.food_code().cooling();
    let [warm, cool, cold] = [rule.warm_c, rule.cool_c, rule.cold_c].map(Guide);
    let within = Minutes(rule.cool_within_min);
    match rule.cold_within_min {
        Some(then) => say::cooled_by(warm, cool, within, cold, Minutes(then)),
        None => say::cooled_by_fridge(warm, cool, within, cold),
    }
}

/// The first step: from hot to cool.
pub fn cooled_first(voice: Voice) -> Message {
    let rule = voice.food_code().cooling();
    say::cooled_first(Guide(rule.warm_c), Guide(rule.cool_c), Minutes(rule.cool_within_min))
}

/// The second: from cool to cold.
pub fn cooled_then(voice: Voice) -> Message {
    let rule = voice.food_code().cooling();
    match rule.cold_within_min {
        Some(then) => say::cooled_then(Guide(rule.cool_c), Guide(rule.cold_c), Minutes(then)),
        None => say::cooled_then_fridge(Guide(rule.cold_c)),
    }
}
