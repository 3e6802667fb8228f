//! A recipe's words as stages, with each thing that had to be supposed.

use std::ops::Range;

use ergastic_words::{Message, errors, matching as say};

use super::figures::{Figures, Time, figures};
use super::guess::Guess;
use super::heat::{NamedWay, Words};
use super::tokens::{PlacedToken, is_word, tokens};
use crate::error::{Error, Result, WhatIsWrong};
use crate::forecast::{StageRequest, Until};
use crate::heat::pot::Lid;

/// The longest text that is read.
const MAX_LETTERS: usize = 300;

/// A recipe as stages, with what had to be supposed.
#[derive(Debug, Clone, PartialEq)]
pub(super) struct Read {
    pub stages: Vec<StageRequest>,
    pub guesses: Vec<Guess>,
    /// The text by letters, in which the guesses stand.
    pub letters: Vec<char>,
}

/// Reads a recipe's words, for so much meat, kg.
///
/// # Errors
/// Names the recipe and says what it lacks.
pub(super) fn read(text: &str, meat_kg: f64) -> Result<Read> {
    let refuse = |kind: WhatIsWrong, allowed: Message| {
        let shown: String = text.chars().take(60).collect();
        Error::new(kind, "recipe", format!("{shown:?}"), allowed)
    };
    if text.chars().count() > MAX_LETTERS {
        return Err(refuse(WhatIsWrong::OutOfRange, errors::recipe_too_long()));
    }
    let letters: Vec<char> = text.chars().collect();
    // Letter for letter, so that what is found stands where it stood.
    let lower: Vec<char> = letters.iter().map(|letter| letter.to_lowercase().next().unwrap_or(*letter)).collect();
    let all = tokens(&lower);
    let mut read = Read { stages: Vec::new(), guesses: Vec::new(), letters };
    for step in steps(&all) {
        let end = step.last().map_or(0, |placed| placed.at.end);
        let words = Words { tokens: step, end };
        let in_pit = words.has(&["smok", "pit", "barbecue"]);
        let mut said = figures(step, meat_kg, in_pit);
        if before_the_heat(&words) {
            continue;
        }
        said.times.retain(|time| !of_the_release(step, time));
        if said.times.is_empty() {
            return Err(refuse(WhatIsWrong::Unknown, errors::recipe_how_long()));
        }
        let before = read.stages.iter().rev().find_map(|stage: &StageRequest| stage.method);
        if words.low_on_what(&said, before) {
            return Err(refuse(WhatIsWrong::Unknown, errors::recipe_low_on_what()));
        }
        let way = words.way(&said, before);
        let (mut stages, guess) = stages(&words, &said, &way);
        let minutes = stages.iter().filter_map(|stage| stage.until.as_ref()?.min);
        if !minutes.clone().all(|minutes| (1.0..=4320.0).contains(&minutes)) || minutes.sum::<f64>() > 4320.0 {
            return Err(refuse(WhatIsWrong::OutOfRange, errors::recipe_time()));
        }
        read.guesses.extend(said.guesses.into_iter().chain(way.guess).chain(guess));
        read.stages.append(&mut stages);
    }
    if read.stages.is_empty() {
        return Err(refuse(WhatIsWrong::Unknown, errors::recipe_how()));
    }
    Ok(read)
}

/// One step after another: by line, semicolon, arrow, and "then".
fn steps(all: &[PlacedToken]) -> Vec<&[PlacedToken]> {
    let parts = |placed: &PlacedToken| {
        super::tokens::is_sign(Some(placed), &[';', '→', '>']) || is_word(Some(placed), &["then", "afterwards"])
    };
    all.split(parts).filter(|step| !step.is_empty()).collect()
}

/// Browning and resting are no part of the hours.
fn before_the_heat(words: &Words) -> bool {
    let other = ["braise", "stew", "simmer", "cook", "oven", "pressure", "slow", "smok", "hob"];
    words.has(&["brown", "sear", "fry", "saut", "rest", "marinat"]) && !words.has(&other)
}

/// Letting the pressure go takes its own time, which is reckoned.
fn of_the_release(step: &[PlacedToken], time: &Time) -> bool {
    let near = time.tokens.start.saturating_sub(3)..usize::min(step.len(), time.tokens.end + 3);
    let clause = within_commas(step, near, &time.tokens);
    step[clause].iter().any(|placed| is_word(Some(placed), &["release", "released", "natural", "naturally"]))
}

/// As much of some tokens as no comma parts from the time.
fn within_commas(step: &[PlacedToken], near: Range<usize>, time: &Range<usize>) -> Range<usize> {
    let comma = |at: &usize| super::tokens::is_sign(step.get(*at), &[',']);
    let start = (near.start..time.start).rev().find(comma).map_or(near.start, |at| at + 1);
    let end = (time.end..near.end).find(comma).unwrap_or(near.end);
    start..end
}

/// The stages of one step: one, or two where it is uncovered for a part of its time.
fn stages(words: &Words, said: &Figures, way: &NamedWay) -> (Vec<StageRequest>, Option<Guess>) {
    let stage = |lid: Option<Lid>, minutes: f64| StageRequest {
        method: (!way.goes_on).then_some(way.method),
        heat: (!way.goes_on).then(|| way.heat.clone()),
        lid,
        until: Some(Until { min: Some(minutes), ..Until::default() }),
        ..StageRequest::default()
    };
    let all: f64 = said.times.iter().map(|time| time.minutes).sum();
    if let (Some(lid), Some(part)) = (way.lid.filter(|lid| *lid != Lid::Tight), uncovered_part(words, said)) {
        let rest = all - part.minutes;
        let of_the_whole = ["end", "last", "final", "lastly"];
        let clause = words.tokens[part.tokens.start.saturating_sub(8)..].iter();
        let within = clause.take(16).any(|placed| is_word(Some(placed), &of_the_whole)) && rest > part.minutes;
        let covered = if within { rest - part.minutes } else { rest };
        let guess = within.then(|| {
            let end = words.end..words.end;
            Guess::replacing(say::uncovered_within(), end, [])
        });
        return (vec![stage(None, covered), stage(Some(lid), part.minutes)], guess);
    }
    (vec![stage(way.lid, all)], None)
}

/// The time for which it is uncovered, where another is given too.
fn uncovered_part<'a>(words: &Words, said: &'a Figures) -> Option<&'a Time> {
    let [_, .., _] = &said.times[..] else { return None };
    let uncovers = |placed: &PlacedToken| is_word(Some(placed), &["uncovered", "uncover", "lid", "open", "ajar"]);
    let at = words.tokens.iter().position(uncovers)?;
    let clause = within_commas(words.tokens, 0..words.tokens.len(), &(at..at + 1));
    let mut beside = said.times.iter().filter(|time| clause.contains(&time.tokens.start));
    let after = beside.clone().find(|time| time.tokens.start > at);
    after.or(beside.next_back()).or_else(|| said.times.iter().find(|time| time.tokens.start > at)).or(said.times.last())
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::forecast::Heat;
    use crate::heat::pit::WrapMaterial;
    use crate::heat::pot::Simmer;
    use crate::ways::{HeatSource, Method, Release, Settings};
    use ergastic_words::Voice;

    fn understood(text: &str) -> Vec<(Method, Heat, Option<Lid>, f64)> {
        let read = read(text, 1.5).unwrap_or_else(|error| panic!("{text}: {error:?}"));
        let each = |stage: StageRequest| {
            let method = stage.method.unwrap_or(Method::Braise);
            (method, stage.heat.unwrap_or_default(), stage.lid, stage.until.unwrap().min.unwrap().round())
        };
        read.stages.into_iter().map(each).collect()
    }

    fn one(text: &str) -> (f64, Method, Heat) {
        let (method, heat, _, minutes) = understood(text).swap_remove(0);
        (minutes, method, heat)
    }

    #[test]
    fn times_are_read_as_cooks_write_them() {
        for (text, minutes) in [
            ("35 min at high pressure", 35.0),
            ("2½ h at 160 °C", 150.0),
            ("2 1/2 hours at 325F", 150.0),
            ("2.5 hrs, 160C", 150.0),
            ("1 h 30 at 150", 90.0),
            ("1h30 in a 150 degree oven", 90.0),
            ("two and a half hours", 150.0),
            ("an hour and a half at a simmer", 90.0),
            ("half an hour under pressure", 30.0),
            ("three quarters of an hour under pressure", 45.0),
            ("2-3 hours at 150 °C", 150.0),
            ("8 to 10 hours in the slow cooker", 540.0),
            ("overnight at 95 °C in the oven", 600.0),
            ("1 hour 20 minutes, gas mark 3", 80.0),
            ("40 min a pound at 150 °C", 130.0),
            ("25 minutes per 500 g in the oven at 160 °C", 75.0),
            ("an hour a kilo, gas mark 2", 90.0),
            ("35 min at pressure, natural release 15 min", 35.0),
            ("brown for 10 min, then braise 3 h", 180.0),
        ] {
            assert_eq!(one(text).0, minutes, "{text}");
        }
    }

    #[test]
    fn the_heat_is_read_too() {
        let (_, method, heat) = one("35 min at low pressure, quick release");
        assert_eq!((method, heat.level, heat.release), (Method::Pressure, Some(Settings::Low), Some(Release::Quick)));
        assert_eq!(one("3 h at 325 °F").2.set_c.unwrap().round(), 163.0);
        assert_eq!(one("45 min at 220 °C").2.set_c, Some(220.0));
        assert_eq!(one("3 h, gas mark 3").2.set_c, Some(170.0));
        assert_eq!(one("three hours in a low oven").2.set_c, Some(140.0));
        let (_, method, heat) = one("12 hours at 225, smoked, wrapped in foil");
        assert_eq!((method, heat.pit_c.unwrap().round()), (Method::Smoke, 107.0));
        assert_eq!(heat.wrap.unwrap().material, WrapMaterial::Foil);
        assert_eq!(one("24 h at 75 °C").1, Method::WaterBath);
        assert_eq!(one("8 hours on low in the slow cooker").2.setting, Some(Settings::Low));
        assert_eq!(one("4 h under fat at 90 °C").2.fat_c, Some(90.0));
        assert_eq!(one("3 hours at a lazy simmer").2.simmer, Some(Simmer::Lazy));
        let (minutes, _, heat) = one("on the hob over a low flame, covered, 2 h");
        assert_eq!((minutes, heat.source, heat.simmer), (120.0, Some(HeatSource::Hob), Some(Simmer::Gentle)));
        let (_, _, heat) = one("3 h, ten coals beneath, fourteen on top");
        assert_eq!((heat.source, heat.under, heat.over), (Some(HeatSource::Coals), Some(10), Some(14)));
        let (_, _, heat) = one("3 h with 12 briquettes under the pot and 8 on the lid");
        assert_eq!((heat.under, heat.over), (Some(12), Some(8)));
    }

    #[test]
    fn a_chain_is_read_as_one() {
        let of =
            |text: &str| -> Vec<_> { understood(text).into_iter().map(|(m, _, lid, min)| (m, lid, min)).collect() };
        assert_eq!(
            of("4 h smoked at 110 °C then 12 h in a bath at 80 °C"),
            [(Method::Smoke, None, 240.0), (Method::WaterBath, None, 720.0)]
        );
        let open_end = [(Method::Braise, None, 120.0), (Method::Braise, Some(Lid::None), 30.0)];
        assert_eq!(of("2 to 3 h, uncovered at the end for half an hour"), open_end);
        assert_eq!(of("2½ h at 150 °C, lid off for the last 30 min"), open_end);
        assert_eq!(of("2 h in the oven at 150 °C, then uncovered for 30 min"), open_end);
        // What is uncovered goes on at the heat it had.
        let on_the_hob = read("2 h at a gentle simmer, then 30 min uncovered", 1.5).unwrap();
        assert_eq!((on_the_hob.stages[1].method, on_the_hob.stages[1].lid), (None, Some(Lid::None)));
        let turned = understood("6 h on low in the slow cooker, then 1 h on high");
        assert_eq!(turned[1].1.setting, Some(Settings::High));
        assert_eq!(one("cook slowly for 3 hours").1, Method::Braise);
        assert_eq!(
            of("45 min under pressure, then on keep-warm for 20 min"),
            [(Method::Pressure, None, 45.0), (Method::KeepWarm, None, 20.0)]
        );
    }

    #[test]
    fn every_guess_is_marked_and_each_way_out_of_it_is_read_without_it() {
        let voice = Voice::default();
        for text in [
            "3 hours",
            "2-3 h at 150 °C",
            "1 h 30 at 150",
            "overnight in the oven at 95 °C",
            "three hours in a low oven",
            "3 h in the oven",
            "on the hob over a low flame, covered, 2 h",
            "2 h on the stove",
            "6 hours in the slow cooker",
            "40 min a pound at 150 °C",
            "12 h smoked",
            "20 h in a bath",
            "5 h under fat",
            "24 h at 75 °C",
        ] {
            let first = read(text, 1.5).unwrap();
            assert!(!first.guesses.is_empty(), "{text}");
            for guess in &first.guesses {
                for instead in &guess.instead {
                    let changed = guess.rewritten(&first.letters, &voice.render(instead.clone()));
                    let again = read(&changed, 1.5).unwrap_or_else(|error| panic!("{text} → {changed}: {error:?}"));
                    assert_ne!(again.stages, first.stages, "{text} → {changed}");
                    assert!(again.guesses.len() < first.guesses.len(), "{text} → {changed}: {:?}", again.guesses);
                }
            }
        }
        assert!(read("2½ h at 160 °C", 1.5).unwrap().guesses.is_empty());
    }

    #[test]
    fn what_can_not_be_read_is_named_and_what_can_be_two_things_is_asked() {
        for text in
            ["", "until tender", "at 160 °C", "0 min at 160", "900 h at 80 °C", "8 hours on low", &"x".repeat(400)]
        {
            assert_eq!(read(text, 1.5).unwrap_err().field, "recipe", "{text}");
        }
    }

    proptest::proptest! {
        #[test]
        fn any_text_is_read_or_refused(text in ".{0,80}") {
            if let Ok(read) = read(&text, 1.5) {
                proptest::prop_assert!(!read.stages.is_empty());
            }
        }

        #[test]
        fn so_is_any_heap_of_a_recipes_words(words in proptest::collection::vec("half|an|hour|2|3 h|min|coals|on|top|under|a|pound|uncovered|last|low|oven|at|150|°|then|to|-|and|½|overnight|release|gas|mark", 0..14)) {
            if let Ok(read) = read(&words.join(" "), 1.5) {
                for guess in &read.guesses {
                    proptest::prop_assert!(guess.at.end <= read.letters.len());
                }
            }
        }
    }
}
