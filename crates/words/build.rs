//! Makes a typed function of every message in `en/*.ftl`: an argument that is missing, or of another kind, does not compile.
//!
//! The comment over a message names its arguments and their kinds, `# $left (Volume)`; each function takes those that its
//! text uses. An attribute is a function of its own: `.why` of `trim` is `trim_why`.

use std::collections::BTreeMap;
use std::fmt::Write as _;
use std::path::Path;
use std::{env, fs};

use fluent_syntax::ast::{
    Attribute, Entry, Expression, InlineExpression, Message, Pattern, PatternElement, VariantKey,
};
use fluent_syntax::parser;

/// Kinds an argument can have: the types of `quantity`, and what a message is made of besides.
const KINDS: [&str; 24] = [
    "Mass",
    "Grams",
    "Spoons",
    "Volume",
    "Length",
    "Elevation",
    "Size",
    "Temperature",
    "Guide",
    "Dial",
    "Difference",
    "RoughMinutes",
    "Minutes",
    "Instant",
    "Power",
    "Share",
    "Percent",
    "Strength",
    "Price",
    "Number",
    "Count",
    "Text",
    "Key",
    "Message",
];

fn main() {
    println!("cargo::rerun-if-changed=en");
    let mut files: Vec<_> =
        fs::read_dir("en").expect("the voice lies in en/").map(|file| file.unwrap().path()).collect();
    files.retain(|file| file.extension().is_some_and(|extension| extension == "ftl"));
    files.sort();
    let (mut code, mut catalogue, mut sources) = (String::new(), String::new(), String::new());
    for file in &files {
        let place = file.file_stem().unwrap().to_str().unwrap().to_owned();
        let text = fs::read_to_string(file).unwrap();
        let resource =
            parser::parse(text.as_str()).unwrap_or_else(|(_, errors)| panic!("{}: {:?}", file.display(), errors));
        let about = resource.body.iter().find_map(|entry| match entry {
            Entry::ResourceComment(comment) => Some(comment.content.join(" ")),
            _ => None,
        });
        let about =
            about.unwrap_or_else(|| panic!("{}: begin it with a comment ### that says what it holds", file.display()));
        writeln!(code, "/// {about}\npub mod {place} {{\n    #![allow(clippy::doc_lazy_continuation)]\n    #[allow(unused_imports)] // a place may say nothing with a quantity in it\n    use crate::quantity::*;\n    use crate::message::{{Message, MessageId}};").unwrap();
        for entry in &resource.body {
            if let Entry::Message(message) = entry {
                say(&place, message, &mut code, &mut catalogue);
            }
        }
        code.push_str("}\n\n");
        let path = fs::canonicalize(file).unwrap();
        writeln!(sources, "    (\"{place}\", include_str!({path:?})),").unwrap();
    }
    let out = env::var("OUT_DIR").unwrap();
    let out = Path::new(&out);
    fs::write(out.join("places.rs"), code).unwrap();
    // Only a build for development looks there.
    let folder = if env::var("PROFILE").is_ok_and(|profile| profile == "release") {
        "".into()
    } else {
        fs::canonicalize("en").unwrap()
    };
    let english = format!(
        "/// The Fluent files, by place.\npub const FILES: &[(&str, &str)] = &[\n{sources}];\n/// Where they lie.\nconst FOLDER: &str = {folder:?};\n"
    );
    fs::write(out.join("english.rs"), english).unwrap();
    let catalogue =
        format!("/// Every text with the arguments it takes.\npub const CATALOGUE: &[Entry] = &[\n{catalogue}];\n");
    fs::write(out.join("catalogue.rs"), catalogue).unwrap();
}

/// The functions of a message: one for its value, one for each attribute.
fn say(place: &str, message: &Message<&str>, code: &mut String, catalogue: &mut String) {
    let id = message.id.name;
    let mut kinds: Vec<(String, String)> = Vec::new();
    for line in message.comment.iter().flat_map(|comment| &comment.content) {
        for part in line.split('$').skip(1) {
            let Some((name, rest)) = part.split_once(" (") else { continue };
            let kind = rest.split(')').next().unwrap_or_default();
            assert!(KINDS.contains(&kind), "{place}/{id}: ${name} is a {kind:?}; the kinds are {KINDS:?}");
            kinds.push((name.trim().to_owned(), kind.to_owned()));
        }
    }
    let mut used_at_all = Vec::new();
    let attributes = message.attributes.iter().map(|Attribute { id, value }| (Some(id.name), value));
    for (attribute, pattern) in message.value.iter().map(|value| (None, value)).chain(attributes) {
        let mut text = String::new();
        let mut used = BTreeMap::new();
        walk(pattern, &mut text, &mut used);
        let full = attribute.map_or(id.to_owned(), |attribute| format!("{id}.{attribute}"));
        let name = full.replace(['-', '.'], "_");
        let (mut takes, mut gives, mut listed) = (String::new(), String::new(), String::new());
        for variable in used.keys() {
            assert!(
                kinds.iter().any(|(name, _)| name == variable),
                "{place}/{full}: no comment says what ${variable} is"
            );
        }
        for (variable, kind) in kinds.iter().filter(|(name, _)| used.contains_key(name)) {
            let keys = &used[variable];
            let rust = match kind.as_str() {
                "Count" => "u32",
                "Number" => "f64",
                "Text" => "&str",
                "Key" => "&'static str",
                other => other,
            };
            let value = match kind.as_str() {
                "Key" => format!("crate::message::Argument::Key({})", snake(variable)),
                _ => format!("{}.into()", snake(variable)),
            };
            write!(takes, "{}: {rust}, ", snake(variable)).unwrap();
            write!(gives, "({variable:?}, {value}), ").unwrap();
            write!(listed, "({variable:?}, {kind:?}, &{keys:?}), ").unwrap();
            used_at_all.push(variable.clone());
        }
        let doc = text.replace('\n', " ").replace('[', "(").replace(']', ")");
        writeln!(code, "\n    /// “{doc}”\n    pub fn {name}({}) -> Message {{\n        Message::new(&MessageId {{ place: {place:?}, id: {id:?}, attribute: {attribute:?} }}, vec![{}])\n    }}",
            takes.trim_end_matches(", "), gives.trim_end_matches(", ")).unwrap();
        writeln!(catalogue, "    Entry {{ message: MessageId {{ place: {place:?}, id: {id:?}, attribute: {attribute:?} }}, function: {name:?}, arguments: &[{listed}] }},").unwrap();
    }
    for (name, _) in &kinds {
        assert!(used_at_all.contains(name), "{place}/{id}: ${name} stands in its comment and nowhere else");
    }
}

fn snake(name: &str) -> String {
    let name = name.replace('-', "_");
    if matches!(name.as_str(), "in" | "of" | "for" | "as" | "type" | "where") { format!("r#{name}") } else { name }
}

/// Writes a pattern's text down and notes its variables, with the keys that a selection on one names.
fn walk(pattern: &Pattern<&str>, text: &mut String, used: &mut BTreeMap<String, Vec<String>>) {
    for element in &pattern.elements {
        match element {
            PatternElement::TextElement { value } => text.push_str(value),
            PatternElement::Placeable { expression } => expression_of(expression, text, used),
        }
    }
}

fn expression_of(expression: &Expression<&str>, text: &mut String, used: &mut BTreeMap<String, Vec<String>>) {
    match expression {
        Expression::Inline(inline) => inline_of(inline, text, used),
        Expression::Select { selector, variants } => {
            inline_of(selector, &mut String::new(), used);
            if let InlineExpression::VariableReference { id } = selector
                && id.name != "units"
            {
                let keys = used.entry(id.name.to_owned()).or_default();
                for variant in variants {
                    let key = match &variant.key {
                        VariantKey::Identifier { name } => *name,
                        VariantKey::NumberLiteral { value } => *value,
                    };
                    if !keys.iter().any(|known| known == key) {
                        keys.push(key.to_owned());
                    }
                }
            }
            let mut ways = Vec::new();
            for variant in variants {
                let mut way = String::new();
                walk(&variant.value, &mut way, used);
                ways.push(way);
            }
            // A long choice is told by its last, the default.
            text.push_str(&if ways.len() > 3 { format!("{}…", ways[ways.len() - 1]) } else { ways.join("|") });
        }
    }
}

fn inline_of(inline: &InlineExpression<&str>, text: &mut String, used: &mut BTreeMap<String, Vec<String>>) {
    match inline {
        // The voice itself gives the units.
        InlineExpression::VariableReference { id } if id.name == "units" => {}
        InlineExpression::VariableReference { id } => {
            used.entry(id.name.to_owned()).or_default();
            write!(text, "‹{}›", id.name).unwrap();
        }
        InlineExpression::FunctionReference { arguments, .. } => {
            arguments.positional.iter().for_each(|argument| inline_of(argument, text, used));
        }
        InlineExpression::Placeable { expression } => expression_of(expression, text, used),
        InlineExpression::StringLiteral { value } | InlineExpression::NumberLiteral { value } => text.push_str(value),
        // What a message says by another is an argument of its own kind: a reference would hide what it needs.
        InlineExpression::MessageReference { id, .. } | InlineExpression::TermReference { id, .. } => {
            panic!("{}: pass it as an argument of the kind Message", id.name)
        }
    }
}
