//! Reading a recipe's words: how long, at what heat, in what.

use ergastic_words::{Dial, Said, Temperature, errors, matching as say};

use crate::error::{Error, Kind, Result};
use crate::forecast::{Heat, StageRequest, Until, Wrap};
use crate::heat::pit::WrapMaterial;
use crate::heat::pot::{Lid, Simmer};
use crate::ways::{
    HeatSource, Method, NIGHT_MIN, Release, Settings, USUAL_BATH_C, USUAL_FAT_C, USUAL_OVEN_C, USUAL_PIT_C,
    USUAL_WRAP_C,
};

/// The longest text that is read.
const MOST_LETTERS: usize = 300;
/// Above this a bare figure is taken for °F: no pot or pit of this job runs so hot in °C.
const FAHRENHEIT_FROM: f64 = 200.0;
/// Below this a figure without a word for its heat is a water bath's, °C.
const BATH_BELOW_C: f64 = 88.0;

/// A recipe as stages, with what had to be supposed.
#[derive(Debug, Clone, PartialEq)]
pub struct Read {
    pub stages: Vec<StageRequest>,
    pub supposed: Vec<Said>,
}

#[derive(Debug, Clone, PartialEq)]
enum Token {
    Number(f64),
    Word(String),
    Sign(char),
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

fn number_word(word: &str) -> Option<f64> {
    let words = ["one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten", "eleven", "twelve"];
    words.iter().position(|known| *known == word).map(|at| at as f64 + 1.0).or(match word {
        "half" => Some(0.5),
        "quarter" | "quarters" => Some(0.25),
        _ => None,
    })
}

/// Numbers (with fractions and decimal commas), words and signs.
fn tokens(text: &str) -> Vec<Token> {
    let letters: Vec<char> = text.to_lowercase().chars().collect();
    let mut found: Vec<Token> = Vec::new();
    let mut at = 0;
    while at < letters.len() {
        let letter = letters[at];
        if let Some(part) = fraction(letter) {
            match found.last_mut() {
                Some(Number(whole)) => *whole += part,
                _ => found.push(Number(part)),
            }
            at += 1;
        } else if letter.is_ascii_digit() {
            let from = at;
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
                if let Some(Number(whole)) = found.last_mut() {
                    *whole += value;
                    continue;
                }
            }
            found.push(Number(value));
        } else if letter.is_alphabetic() {
            let from = at;
            while letters.get(at).is_some_and(|letter| letter.is_alphabetic()) {
                at += 1;
            }
            let word: String = letters[from..at].iter().collect();
            match (number_word(&word), found.last_mut()) {
                // Three quarters.
                (Some(part), Some(Number(count))) if word == "quarters" => *count *= part,
                (Some(value), _) => found.push(Number(value)),
                (None, _) => found.push(Word(word)),
            }
        } else {
            if !letter.is_whitespace() {
                found.push(Sign(letter));
            }
            at += 1;
        }
    }
    found
}

fn is_word(token: Option<&Token>, words: &[&str]) -> bool {
    matches!(token, Some(Word(word)) if words.contains(&word.as_str()))
}

const HOURS: [&str; 5] = ["h", "hr", "hrs", "hour", "hours"];
const MINUTES: [&str; 5] = ["min", "mins", "minute", "minutes", "m"];

/// What one step says.
#[derive(Debug, Default)]
struct Step {
    minutes: Option<f64>,
    celsius: Option<f64>,
    supposed: Vec<Said>,
}

/// Times and temperatures of a step.
fn figures(tokens: &[Token]) -> Step {
    let mut step = Step::default();
    let mut at = 0;
    while at < tokens.len() {
        match &tokens[at] {
            Word(word) if word == "overnight" => {
                step.minutes = Some(step.minutes.unwrap_or(0.0) + NIGHT_MIN);
                step.supposed.push(say::overnight_is());
                at += 1;
            }
            // An hour, an hour and a half.
            Word(word) if (word == "an" || word == "a") && is_word(tokens.get(at + 1), &HOURS) => {
                at = add_time(tokens, at + 1, 1.0, &mut step);
            }
            Word(word) if word == "gas" => {
                let mark = if is_word(tokens.get(at + 1), &["mark"]) { at + 2 } else { at + 1 };
                if let Some(Number(mark)) = tokens.get(mark) {
                    // Mark 1 is 140 °C, and each mark about 14 K more.
                    step.celsius = Some(((126.0 + 14.0 * mark) / 10.0).round() * 10.0);
                }
                at = mark + 1;
            }
            Number(value) => at = figure(tokens, at, *value, &mut step),
            _ => at += 1,
        }
    }
    step
}

/// A figure and what follows it: a range, a unit of time, or degrees. Returns where to go on.
fn figure(tokens: &[Token], at: usize, value: f64, step: &mut Step) -> usize {
    let mut value = value;
    let mut next = at + 1;
    let ranges = matches!(tokens.get(next), Some(Sign('-' | '–' | '—'))) || is_word(tokens.get(next), &["to", "or"]);
    if let (true, Some(Number(upper))) = (ranges, tokens.get(next + 1)) {
        step.supposed.push(say::middle_of(value, *upper));
        value = 0.5 * (value + upper);
        next += 2;
    }
    // Two and a half hours.
    let and_a = is_word(tokens.get(next), &["and"]) && is_word(tokens.get(next + 1), &["a"]);
    if let (true, Some(Number(part))) = (and_a, tokens.get(next + 2))
        && *part < 1.0
    {
        value += part;
        next += 3;
    }
    // Half an hour, three quarters of an hour.
    while is_word(tokens.get(next), &["a", "an", "of"]) {
        next += 1;
    }
    if is_word(tokens.get(next), &HOURS) || is_word(tokens.get(next), &MINUTES) {
        return add_time(tokens, next, value, step);
    }
    let sign = matches!(tokens.get(next), Some(Sign('°' | 'º')));
    let unit = if sign || is_word(tokens.get(next), &["degrees", "deg"]) { next + 1 } else { next };
    let celsius = is_word(tokens.get(unit), &["c", "celsius"]);
    let fahrenheit = is_word(tokens.get(unit), &["f", "fahrenheit"]);
    let bare = is_word(at.checked_sub(1).and_then(|before| tokens.get(before)), &["at", "in"]) && value >= 50.0;
    if celsius || fahrenheit || unit > next || bare {
        let guessed = !celsius && !fahrenheit;
        let in_fahrenheit = fahrenheit || guessed && value > FAHRENHEIT_FROM;
        if guessed {
            let taken = if in_fahrenheit { say::taken_for_fahrenheit } else { say::taken_for_celsius };
            step.supposed.push(taken(value));
        }
        step.celsius = Some(if in_fahrenheit { (value - 32.0) / 1.8 } else { value });
        return if guessed { unit } else { unit + 1 };
    }
    next
}

/// A time whose unit stands at `unit`; takes "and a half" and the minutes of "1 h 30" with it.
fn add_time(tokens: &[Token], unit: usize, value: f64, step: &mut Step) -> usize {
    let in_hours = is_word(tokens.get(unit), &HOURS);
    let scale = if in_hours { 60.0 } else { 1.0 };
    let mut minutes = value * scale;
    let mut next = unit + 1;
    let mut after = next;
    while is_word(tokens.get(after), &["and", "a"]) {
        after += 1;
    }
    if let Some(Number(more)) = tokens.get(after) {
        let timed = is_word(tokens.get(after + 1), &MINUTES);
        let degrees =
            matches!(tokens.get(after + 1), Some(Sign('°' | 'º'))) || is_word(tokens.get(after + 1), &["c", "f"]);
        if in_hours && *more < 1.0 {
            minutes += more * 60.0;
            next = after + 1;
        } else if in_hours && (timed || !degrees && *more < 60.0 && after == unit + 1) {
            minutes += more;
            next = after + 1 + usize::from(timed);
        }
    }
    step.minutes = Some(step.minutes.unwrap_or(0.0) + minutes);
    next
}

/// The way a step's words name, with what of its heat they say.
struct Way {
    method: Method,
    heat: Heat,
    lid: Option<Lid>,
    /// What had to be supposed of it.
    supposed: Option<Said>,
}

impl Way {
    fn of(method: Method, heat: Heat) -> Self {
        Self { method, heat, lid: None, supposed: None }
    }

    /// What its dial is turned to: as the words say, or as is usual.
    fn dial(&mut self, said: Option<f64>, usual_c: f64, supposed: Said) -> f64 {
        self.supposed = said.is_none().then_some(supposed);
        said.unwrap_or(usual_c)
    }
}

/// The words of a step.
struct Words<'a>(&'a [Token]);

impl Words<'_> {
    /// Whether a word begins with one of these.
    fn has(&self, words: &[&str]) -> bool {
        let begins = |word: &str| words.iter().any(|known| word.starts_with(known));
        self.0.iter().any(|token| matches!(token, Word(word) if begins(word)))
    }

    /// Whether a word is one of these.
    fn exactly(&self, words: &[&str]) -> bool {
        self.0.iter().any(|token| is_word(Some(token), words))
    }

    /// The way they name; `before` is the one of the step before.
    fn way(&self, celsius: Option<f64>, before: Option<Method>) -> Way {
        None.or_else(|| self.under_pressure())
            .or_else(|| self.in_the_crock(celsius))
            .or_else(|| self.in_the_pit(celsius))
            .or_else(|| self.in_a_bath(celsius))
            .or_else(|| self.under_fat(celsius))
            .unwrap_or_else(|| Way { lid: self.lid(), ..self.in_a_pot(celsius, before) })
    }

    fn lid(&self) -> Option<Lid> {
        if self.has(&["uncovered"]) || self.exactly(&["open"]) {
            return Some(Lid::None);
        }
        self.has(&["ajar"]).then_some(Lid::Ajar)
    }

    fn under_pressure(&self) -> Option<Way> {
        let level = if self.exactly(&["low"]) { Settings::Low } else { Settings::High };
        let release = self.has(&["quick"]).then_some(Release::Quick);
        let heat = Heat { level: Some(level), release, ..Heat::default() };
        self.has(&["pressure"]).then(|| Way::of(Method::Pressure, heat))
    }

    fn in_the_crock(&self, celsius: Option<f64>) -> Option<Way> {
        let set = self.exactly(&["low", "high"]);
        if !(self.has(&["slow", "crock"]) && !self.has(&["oven"]) || set && celsius.is_none()) {
            return None;
        }
        let setting = if self.exactly(&["high"]) { Settings::High } else { Settings::Low };
        let way = Way::of(Method::SlowCooker, Heat { setting: Some(setting), ..Heat::default() });
        Some(Way { supposed: (!set).then(say::on_low), ..way })
    }

    fn in_the_pit(&self, celsius: Option<f64>) -> Option<Way> {
        let mut way = (self.has(&["smok", "barbecue", "grill"]) || self.exactly(&["pit"]))
            .then(|| Way::of(Method::Smoke, Heat::default()))?;
        let material = match () {
            () if self.has(&["foil"]) => Some(WrapMaterial::Foil),
            () if self.has(&["paper", "wrap"]) => Some(WrapMaterial::Paper),
            () => None,
        };
        way.heat.wrap = material.map(|material| Wrap { material, at_core_c: Some(USUAL_WRAP_C) });
        way.heat.pit_c = Some(way.dial(celsius, USUAL_PIT_C, say::a_pit(Dial(USUAL_PIT_C))));
        Some(way)
    }

    fn in_a_bath(&self, celsius: Option<f64>) -> Option<Way> {
        let mut way =
            self.has(&["bath", "bag", "vide", "circulator"]).then(|| Way::of(Method::WaterBath, Heat::default()))?;
        way.heat.bath_c = Some(way.dial(celsius, USUAL_BATH_C, say::a_bath(Temperature(USUAL_BATH_C))));
        Some(way)
    }

    fn under_fat(&self, celsius: Option<f64>) -> Option<Way> {
        let mut way = (self.has(&["confit"]) || self.exactly(&["fat", "oil", "dripping"]))
            .then(|| Way::of(Method::Confit, Heat::default()))?;
        way.heat.fat_c = Some(way.dial(celsius, USUAL_FAT_C, say::some_fat(Temperature(USUAL_FAT_C))));
        Some(way)
    }

    fn in_a_pot(&self, celsius: Option<f64>, before: Option<Method>) -> Way {
        if self.has(&["coal", "ember", "campfire"]) {
            return Way::of(Method::Braise, Heat { source: Some(HeatSource::Coals), ..Heat::default() });
        }
        if celsius.is_none() && self.has(&["simmer", "hob", "stove", "boil", "bubbl"]) {
            let heat = Heat { source: Some(HeatSource::Hob), simmer: Some(self.simmer()), ..Heat::default() };
            return Way::of(Method::Braise, heat);
        }
        if let Some(cool) = celsius.filter(|celsius| *celsius < BATH_BELOW_C && !self.has(&["oven"])) {
            let way = Way::of(Method::WaterBath, Heat { bath_c: Some(cool), ..Heat::default() });
            return Way { supposed: Some(say::cool_is_a_bath()), ..way };
        }
        let mut way = Way::of(Method::Braise, Heat { source: Some(HeatSource::Oven), ..Heat::default() });
        way.heat.fan = (celsius.is_some() && self.exactly(&["fan", "convection"])).then_some(true);
        way.heat.set_c = Some(way.dial(celsius, USUAL_OVEN_C, say::a_lidded_pot(Dial(USUAL_OVEN_C))));
        // A step that goes on in the same pot supposes nothing new.
        if before == Some(Method::Braise) && (self.has(&["braise"]) || self.exactly(&["lid", "uncovered"])) {
            way.supposed = None;
        }
        way
    }

    fn simmer(&self) -> Simmer {
        match () {
            () if self.has(&["lazy", "bare", "barely"]) => Simmer::Lazy,
            () if self.has(&["brisk", "fast"]) => Simmer::Brisk,
            () if self.has(&["boil"]) => Simmer::Boil,
            () => Simmer::Gentle,
        }
    }
}

/// Reads a recipe's words.
///
/// # Errors
/// Names the recipe and says what it lacks.
pub fn read(text: &str) -> Result<Read> {
    let refuse = |kind: Kind, allowed: Said| {
        let shown: String = text.chars().take(60).collect();
        Error::new(kind, "recipe", format!("{shown:?}"), allowed)
    };
    if text.chars().count() > MOST_LETTERS {
        return Err(refuse(Kind::OutOfRange, errors::recipe_too_long()));
    }
    let lower = text.to_lowercase();
    let steps: Vec<&str> = lower.split(&[';', '\n', '→'][..]).flat_map(|part| part.split(" then ")).collect();
    let mut read = Read { stages: Vec::new(), supposed: Vec::new() };
    for words in steps.iter().map(|step| step.trim()).filter(|step| !step.is_empty()) {
        let tokens = tokens(words);
        let mut step = figures(&tokens);
        let before = read.stages.last().and_then(|stage| stage.method);
        let Way { method, heat, lid, supposed } = Words(&tokens).way(step.celsius, before);
        step.supposed.extend(supposed);
        let Some(minutes) = step.minutes else {
            return Err(refuse(Kind::Unknown, errors::recipe_how_long()));
        };
        if !(1.0..=4320.0).contains(&minutes) {
            return Err(refuse(Kind::OutOfRange, errors::recipe_time()));
        }
        read.supposed.append(&mut step.supposed);
        let until = Some(Until { min: Some(minutes), ..Until::default() });
        read.stages.push(StageRequest { method: Some(method), heat: Some(heat), lid, until });
    }
    if read.stages.is_empty() {
        return Err(refuse(Kind::Unknown, errors::recipe_how()));
    }
    Ok(read)
}

#[cfg(test)]
mod tests {
    use super::*;

    fn one(text: &str) -> (f64, Method, Heat) {
        let read = read(text).unwrap();
        let stage = &read.stages[0];
        (stage.until.as_ref().unwrap().min.unwrap(), stage.method.unwrap(), stage.heat.clone().unwrap())
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
            ("8 to 10 hours on low", 540.0),
            ("overnight at 95 °C in the oven", 600.0),
            ("1 hour 20 minutes, gas mark 3", 80.0),
        ] {
            assert_eq!(one(text).0, minutes, "{text}");
        }
    }

    #[test]
    fn the_heat_is_read_too_and_what_was_supposed_is_said() {
        let (_, method, heat) = one("35 min at low pressure, quick release");
        assert_eq!((method, heat.level, heat.release), (Method::Pressure, Some(Settings::Low), Some(Release::Quick)));
        assert_eq!(one("3 h at 325 °F").2.set_c.unwrap().round(), 163.0);
        assert_eq!(one("3 h, gas mark 3").2.set_c, Some(170.0));
        let (_, method, heat) = one("12 hours at 225, smoked, wrapped in foil");
        assert_eq!((method, heat.pit_c.unwrap().round()), (Method::Smoke, 107.0));
        assert_eq!(heat.wrap.unwrap().material, WrapMaterial::Foil);
        assert_eq!(one("24 h at 75 °C").1, Method::WaterBath);
        assert_eq!(one("8 hours on low").2.setting, Some(Settings::Low));
        assert_eq!(one("4 h under fat at 90 °C").2.fat_c, Some(90.0));
        assert_eq!(one("3 hours at a lazy simmer").2.simmer, Some(Simmer::Lazy));
        assert_eq!(read("3 hours").unwrap().supposed[0], say::a_lidded_pot(Dial(150.0)));
        assert!(read("2-3 h at 150").unwrap().supposed.contains(&say::taken_for_celsius(150.0)));
        let chained = read("4 h smoked at 110 °C then 12 h in a bath at 80 °C").unwrap();
        assert_eq!(chained.stages.len(), 2);
        assert_eq!(chained.stages[1].method, Some(Method::WaterBath));
    }

    #[test]
    fn what_can_not_be_read_is_named() {
        for text in ["", "until tender", "at 160 °C", "0 min at 160", "900 h at 80 °C", &"x".repeat(400)] {
            assert_eq!(read(text).unwrap_err().field, "recipe", "{text}");
        }
    }

    proptest::proptest! {
        #[test]
        fn any_text_is_read_or_refused(text in ".{0,80}") {
            if let Ok(read) = read(&text) {
                proptest::prop_assert!(!read.stages.is_empty());
            }
        }
    }
}
