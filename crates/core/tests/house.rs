//! The house keeps its directions: no file takes from one that takes from it, and each room only from those below it.

use std::collections::{BTreeMap, BTreeSet};
use std::path::{Path, PathBuf};

/// The rooms of the core from the ground up: each may take from those before it, and from itself.
const CORE: [&str; 21] = [
    "error",
    "json",
    "text",
    "clock",
    "heat",
    "cuts",
    "tender",
    "safety",
    "bench",
    "kitchen",
    "ways",
    "finish",
    "forecast",
    "learn",
    "plan",
    "prepare",
    "sheet",
    "meal",
    "matching",
    "afterwards",
    "cook",
];

/// The rooms of the server from the ground up.
const SERVER: [&str; 31] = [
    "error",
    "extract",
    "changes",
    "clock",
    "access",
    "queue",
    "asked",
    "app",
    "units",
    "guard",
    "web",
    "checks",
    "compute",
    "summaries",
    "traces",
    "folded",
    "sheet_files",
    "logger_file",
    "recipe_file",
    "kitchen_file",
    "bringing",
    "upkeep",
    "demo",
    "document",
    "complete",
    "routes",
    "router",
    "patient",
    "serve",
    "opened",
    "cli",
];

/// A file of a crate by its module path, and the files it takes from.
type Takes = BTreeMap<Vec<String>, BTreeSet<Vec<String>>>;

fn sources(folder: &Path, found: &mut Vec<PathBuf>) {
    for entry in std::fs::read_dir(folder).unwrap() {
        let path = entry.unwrap().path();
        if path.is_dir() {
            sources(&path, found);
        } else if path.extension().is_some_and(|extension| extension == "rs") {
            found.push(path);
        }
    }
}

fn module(root: &Path, file: &Path) -> Vec<String> {
    let path = file.strip_prefix(root).unwrap().with_extension("");
    let mut names: Vec<String> = path.iter().map(|name| name.to_str().unwrap().to_owned()).collect();
    if names.last().is_some_and(|last| last == "mod" || last == "lib") {
        names.pop();
    }
    names
}

/// `a::{b, c::{d}}` as `a::b`, `a::c::d`.
fn spread(tree: &str) -> Vec<String> {
    let Some(open) = tree.find('{') else { return vec![tree.trim().to_owned()] };
    let (before, inside) = (&tree[..open], &tree[open + 1..tree.rfind('}').unwrap()]);
    let (mut items, mut depth, mut item) = (Vec::new(), 0, String::new());
    for letter in inside.chars() {
        match letter {
            ',' if depth == 0 => items.push(std::mem::take(&mut item)),
            _ => {
                depth += i32::from(letter == '{') - i32::from(letter == '}');
                item.push(letter);
            }
        }
    }
    items.push(item);
    let items = items.iter().filter(|item| !item.trim().is_empty());
    items.flat_map(|item| spread(&format!("{before}{}", item.trim()))).collect()
}

/// The paths that a file's `use` lines name, its tests left out.
fn used(text: &str) -> Vec<String> {
    let code = text.split("#[cfg(test)]").next().unwrap();
    let (mut paths, mut tree) = (Vec::new(), None::<String>);
    for line in code.lines().map(str::trim) {
        let visible =
            line.trim_start_matches("pub(crate) ").trim_start_matches("pub(super) ").trim_start_matches("pub ");
        let begun = tree.take().map(|before| before + " " + line);
        let Some(whole) = begun.or_else(|| visible.strip_prefix("use ").map(str::to_owned)) else { continue };
        match whole.split_once(';') {
            Some((path, _)) => paths.extend(spread(path)),
            None => tree = Some(whole),
        }
    }
    paths
}

fn takes(root: &Path) -> Takes {
    let mut files = Vec::new();
    sources(root, &mut files);
    let modules: BTreeSet<Vec<String>> = files.iter().map(|file| module(root, file)).collect();
    let mut found = Takes::new();
    for file in &files {
        let here = module(root, file);
        let mut from = BTreeSet::new();
        for path in used(&std::fs::read_to_string(file).unwrap()) {
            let mut names: Vec<&str> = path.split("::").map(str::trim).collect();
            let mut at = match names[0] {
                "crate" => {
                    names.remove(0);
                    Vec::new()
                }
                "super" => {
                    let mut at = here.clone();
                    while names.first() == Some(&"super") {
                        at.pop();
                        names.remove(0);
                    }
                    at
                }
                child if modules.contains(&[here.as_slice(), &[child.to_owned()]].concat()) => here.clone(),
                _ => continue,
            };
            for name in names {
                let deeper = [at.as_slice(), &[name.to_owned()]].concat();
                if !modules.contains(&deeper) {
                    break;
                }
                at = deeper;
            }
            if at != here {
                from.insert(at);
            }
        }
        found.insert(here, from);
    }
    found
}

/// A way from a file back to itself, if there is one.
fn circle(takes: &Takes) -> Option<Vec<Vec<String>>> {
    fn walk(at: &Vec<String>, takes: &Takes, trail: &mut Vec<Vec<String>>, done: &mut BTreeSet<Vec<String>>) -> bool {
        if let Some(begin) = trail.iter().position(|before| before == at) {
            trail.drain(..begin);
            return true;
        }
        if !done.insert(at.clone()) {
            return false;
        }
        trail.push(at.clone());
        let round = takes.get(at).is_some_and(|from| from.iter().any(|next| walk(next, takes, trail, done)));
        if !round {
            trail.pop();
        }
        round
    }
    let mut done = BTreeSet::new();
    takes.keys().find_map(|file| {
        let mut trail = Vec::new();
        walk(file, takes, &mut trail, &mut done).then_some(trail)
    })
}

fn crate_source(name: &str) -> PathBuf {
    Path::new(env!("CARGO_MANIFEST_DIR")).parent().unwrap().join(name).join("src")
}

#[test]
fn no_file_takes_from_one_that_takes_from_it() {
    for name in ["physics", "schedule", "core", "server", "words", "standins", "fit"] {
        assert_eq!(circle(&takes(&crate_source(name))), None, "in crates/{name}");
    }
}

/// Each arrow between two rooms goes down.
fn goes_down(name: &str, rooms: &[&str]) {
    let floor = |room: &str| rooms.iter().position(|known| *known == room);
    for (file, from) in takes(&crate_source(name)) {
        let Some(own) = file.first().filter(|own| *own != "main") else { continue };
        let own_floor = floor(own).unwrap_or_else(|| panic!("the room {own} of crates/{name} has no floor yet"));
        for other in from {
            let Some(room) = other.first().filter(|room| *room != own) else { continue };
            let below = floor(room).unwrap_or_else(|| panic!("the room {room} of crates/{name} has no floor yet"));
            assert!(below < own_floor, "{} takes from {}, which stands above it", file.join("::"), other.join("::"));
        }
    }
}

#[test]
fn the_rooms_of_the_core_stand_on_each_other() {
    goes_down("core", &CORE);
}

#[test]
fn the_rooms_of_the_server_stand_on_each_other() {
    goes_down("server", &SERVER);
}

/// The texts between quotes in a line, those that only a programmer reads left out.
fn texts(line: &str) -> Vec<&str> {
    let for_programmers = ["expect(", "panic!(", "custom(", "write_str(", "description(", "assert", "reason ="];
    if line.starts_with("//") || for_programmers.iter().any(|call| line.contains(call)) {
        return Vec::new();
    }
    line.split('"').skip(1).step_by(2).collect()
}

#[test]
fn the_core_says_nothing_of_its_own() {
    let mut files = Vec::new();
    ["physics", "schedule", "core"].iter().for_each(|name| sources(&crate_source(name), &mut files));
    for file in files {
        let text = std::fs::read_to_string(&file).unwrap();
        let code = text.split("#[cfg(test)]").next().unwrap();
        for said in code.lines().map(str::trim).flat_map(texts) {
            let words = said.split(' ').filter(|word| word.len() > 1 && word.chars().all(char::is_lowercase));
            assert!(words.count() < 3, "{} says: {said}", file.display());
        }
    }
}

/// The API's document has one place for all names: of two types with one name it would describe one and mean the other.
#[test]
fn no_two_types_of_the_document_have_one_name() {
    let mut named: BTreeMap<String, Vec<PathBuf>> = BTreeMap::new();
    for name in ["core", "server"] {
        let mut files = Vec::new();
        sources(&crate_source(name), &mut files);
        for file in files {
            let text = std::fs::read_to_string(&file).unwrap();
            let (mut described, mut instead) = (false, None);
            for line in text.lines().map(str::trim) {
                described |= line.starts_with("#[derive(") && line.contains("ToSchema");
                if let Some((_, rest)) = line.split_once("#[schema(as = ") {
                    instead = Some(rest.trim_end_matches([')', ']']).to_owned());
                }
                let words: Vec<&str> = line.split([' ', '<', '(', '{', ';']).collect();
                if let Some(at) = words.iter().position(|word| ["struct", "enum"].contains(word))
                    && !line.starts_with("//")
                {
                    let name = instead.take().unwrap_or_else(|| words[at + 1].to_owned());
                    if std::mem::take(&mut described) {
                        named.entry(name).or_default().push(file.clone());
                    }
                }
            }
        }
    }
    named.retain(|_, files| files.len() > 1);
    assert!(named.is_empty(), "{named:?}");
}
