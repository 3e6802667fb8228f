//! The whole voice: every text in both units with ordinary and extreme facts, and as prose to be read.

use ergastic_words::catalogue::{CATALOGUE, Entry};
use ergastic_words::{
    Argument, Dial, Difference, Elevation, Grams, Guide, Instant, Length, Mass, Message, Minutes, Percent, Power,
    Price, RoughMinutes, Share, Size, Spoons, Strength, Temperature, Units, Voice, Volume,
};

/// How large the facts of a text are.
#[derive(Debug, Clone, Copy, PartialEq)]
enum Sample {
    Ordinary,
    Zero,
    One,
    Large,
}

const SAMPLES: [Sample; 4] = [Sample::Ordinary, Sample::Zero, Sample::One, Sample::Large];

/// A fact of a kind, `number` of those that the text has: no two are alike.
fn fact(name: &str, kind: &str, keys: &'static [&'static str], sample: Sample, number: usize, key: usize) -> Argument {
    let size = |ordinary: f64, one: f64, large: f64| {
        let scale = 1.0 + 0.25 * number as f64;
        match sample {
            Sample::Ordinary => ordinary * scale,
            Sample::Zero => 0.0,
            Sample::One => one,
            Sample::Large => large * scale,
        }
    };
    match kind {
        "Mass" => Mass(size(1.4, 1.0, 24.0)).into(),
        "Grams" => Grams(size(35.0, 1.0, 900.0)).into(),
        "Spoons" => Spoons { grams: size(18.0, 1.0, 400.0), teaspoon_g: 6.0 }.into(),
        "Volume" => Volume(size(0.85, 1.0, 18.0)).into(),
        "Length" => Length(size(40.0, 1.0, 600.0)).into(),
        "Elevation" => Elevation(size(300.0, 1.0, 4000.0)).into(),
        "Size" => Size([70.0, 120.0, 160.0].map(|side| size(side, 10.0, 400.0))).into(),
        "Temperature" => Temperature(size(82.0, 1.0, 230.0)).into(),
        "Guide" if sample == Sample::Ordinary => Guide(guidance(name)).into(),
        "Guide" => Guide(size(60.0, 1.0, 75.0)).into(),
        "Dial" => Dial(size(150.0, 100.0, 230.0)).into(),
        "Difference" => Difference(size(7.0, 1.0, 40.0)).into(),
        "RoughMinutes" => RoughMinutes(size(100.0, 1.0, 3600.0)).into(),
        "Minutes" => Minutes(size(35.0, 1.0, 2880.0)).into(),
        "Instant" => {
            Instant { at: "2027-02-05T17:00:00Z".parse().unwrap(), zone: jiff::tz::TimeZone::UTC, read_at: None }.into()
        }
        "Power" => Power(size(800.0, 1.0, 5500.0)).into(),
        "Share" => Share(size(0.6, 0.01, 0.8)).into(),
        "Percent" => Percent(size(0.12, 0.01, 0.8)).into(),
        "Strength" => Strength(size(10.0, 1.0, 60.0)).into(),
        "Price" => Price(size(14.0, 1.0, 120.0)).into(),
        "Number" => size(2.5, 1.0, 120.0).into(),
        "Count" => {
            let many = [3, 4, 6, 8][number % 4];
            (if sample == Sample::Ordinary { many } else { size(0.0, 1.0, 500.0) as u32 }).into()
        }
        "Text" => "x.y".into(),
        "Key" => Argument::Key(keys.get(key % keys.len().max(1)).copied().unwrap_or("braise")),
        "Message" => Message::text(spoken(name)).into(),
        other => panic!("{other} has no sample"),
    }
}

/// What stands in the place of something said, so that the whole can be read.
fn spoken(name: &str) -> &'static str {
    match name {
        "cut" => "chuck",
        "name" => "shin",
        "lid" => "lid on loosely",
        "sign" => "a fork slides in and out easily",
        "done" => "fork-tender",
        "what" => "potatoes",
        "things" => "onion and garlic",
        "wood" => "a split of oak",
        "crystal" => "fine salt",
        "out" => "bones, 4 strings",
        "fat" => "Then a film of oil.",
        "cooks" => "It cooks at a gentle simmer: bubbles breaking in one or two places.",
        "because" => "it counts weight, but thickness and sinew rule the time",
        "bubbles" => "bubbles breaking in one or two places",
        "simmer" => "a gentle simmer",
        "oven" => "a hot oven",
        "coals" => "12 coals under and 6 over",
        "crock" => "a slow cooker on low",
        "pit" => "a hot pit, bare",
        "medium" => "a gentle simmer",
        "ways" => "a hot pit, then a bag in a bath",
        "wants" => "its coals seen to every quarter of an hour",
        "kit" => "pressure pot",
        "way" => "Braise on the hob",
        "cutting" => "halved",
        "why" => "It is salt all through.",
        "body" => "full-bodied",
        "instead" => "celery",
        "changes" => "less sweet",
        "brings" => "celery",
        "figure" | "low" => "80",
        "high" => "260 °C",
        "first" => "cheek",
        "last" => "shin",
        "to" => "a bag in a bath",
        _ => "…",
    }
}

/// The figures that guidance gives, °C.
fn guidance(name: &str) -> f64 {
    match name {
        "warm" | "low" => 57.0,
        "cool" => 21.0,
        "cold" => 5.0,
        "hold" => 63.0,
        "past" => 54.0,
        "safe" => 75.0,
        _ => 60.0,
    }
}

fn said(entry: &'static Entry, sample: Sample, key: usize) -> Message {
    let arguments = entry.arguments.iter().enumerate();
    let arguments = arguments.map(|(i, (name, kind, keys))| (*name, fact(name, kind, keys, sample, i, key))).collect();
    Message::One { id: &entry.message, arguments }
}

/// How many texts a message has: one for each key that it chooses by.
fn ways(entry: &Entry) -> usize {
    entry.arguments.iter().map(|(_, kind, keys)| if *kind == "Key" { keys.len().max(1) } else { 1 }).max().unwrap_or(1)
}

/// What a text must not carry. A unit of the other kitchen, a slot that was not filled, nothing said as a figure.
fn fault(text: &str, units: Units, place: &str) -> Option<&'static str> {
    let words: Vec<&str> = text.split([' ', ',', ';', '.', ':', '(', ')', '?']).collect();
    let has = |unit: &str| words.windows(2).any(|pair| pair[1] == unit && pair[0].ends_with(|c: char| c.is_numeric()));
    if text.contains('{') && place != "keeping" || text.contains("\u{2068}") || text.contains("NaN") {
        return Some("an empty slot");
    }
    if text.trim().is_empty() || text.contains("  ") || text.contains(" ,") || text.contains(" .") {
        return Some("a hole");
    }
    if text.contains("0.0") || text.contains("-0 ") {
        return Some("nothing, as a figure");
    }
    // The fields of a request are in the units that their names say; a recipe is read in any.
    if place == "errors" || text.contains("is taken for") {
        return None;
    }
    let (own, foreign): (&str, &[&str]) = match units {
        Units::Metric => ("metric", &["°F", "lb", "oz", "qt", "cup", "cups", "in", "tbsp"]),
        Units::Us => ("us", &["°C", "kg", "L", "mL", "mm", "cm"]),
    };
    let spoons_beside_grams = |unit: &str| own == "metric" && unit == "tbsp" && has("g");
    let wrong = |unit: &&&str| has(unit) && !spoons_beside_grams(unit) && (**unit != "in" || text.contains("½ in"));
    foreign.iter().find(wrong).map(|_| "the other kitchen's units")
}

#[test]
fn every_text_reads_whole_in_both_units_with_any_facts() {
    for units in [Units::Metric, Units::Us] {
        let voice = Voice::new(units);
        for entry in CATALOGUE {
            for (sample, key) in SAMPLES.iter().flat_map(|sample| (0..ways(entry)).map(move |key| (*sample, key))) {
                let text = voice.render(said(entry, sample, key));
                let fault = fault(&text, units, entry.message.place);
                assert_eq!(fault, None, "{}/{} with {sample:?} facts: {text}", entry.message.place, entry.function);
            }
        }
    }
}

/// Every text of a place, as it is said with ordinary facts: to be read from end to end.
#[test]
fn the_voice_reads_as_prose() {
    let places: std::collections::BTreeSet<_> = CATALOGUE.iter().map(|entry| entry.message.place).collect();
    for place in places {
        let mut prose = String::new();
        for entry in CATALOGUE.iter().filter(|entry| entry.message.place == place) {
            for key in 0..ways(entry) {
                let [metric, us] = [Units::Metric, Units::Us]
                    .map(|units| Voice::new(units).render(said(entry, Sample::Ordinary, key)).replace('\n', " "));
                prose.push_str(&metric);
                if us != metric {
                    prose.push_str(&format!("\n    US: {us}"));
                }
                prose.push('\n');
            }
        }
        insta::with_settings!({ omit_expression => true, prepend_module_to_snapshot => false }, {
            insta::assert_snapshot!(place, prose);
        });
    }
}

/// Every text is said somewhere: the functions of the voice are looked for in the other crates.
#[test]
fn nothing_is_kept_that_nobody_says() {
    let crates = std::path::Path::new(env!("CARGO_MANIFEST_DIR")).parent().unwrap();
    let mut code = String::new();
    let mut folders: Vec<_> = ["core/src", "store/src", "server/src", "words/src"].map(|f| crates.join(f)).into();
    while let Some(folder) = folders.pop() {
        for entry in std::fs::read_dir(folder).unwrap() {
            let path = entry.unwrap().path();
            if path.is_dir() {
                folders.push(path);
            } else {
                code.push_str(&std::fs::read_to_string(path).unwrap());
            }
        }
    }
    let called: std::collections::HashSet<&str> = code
        .split("::")
        .skip(1)
        .map(|rest| rest.split(|c: char| !c.is_ascii_alphanumeric() && c != '_').next().unwrap_or_default())
        .collect();
    let idle: Vec<_> = CATALOGUE.iter().filter(|entry| !called.contains(entry.function)).collect();
    let idle: Vec<_> = idle.iter().map(|entry| format!("{}/{}", entry.message.place, entry.function)).collect();
    assert!(idle.is_empty(), "{idle:#?}");
}
