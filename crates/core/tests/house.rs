//! The house keeps its directions, its rooms' order and its sizes: read from the code itself, inline paths too.
//!
//! Between crates the compiler keeps it.

use std::collections::{BTreeMap, BTreeSet};
use std::path::{Path, PathBuf};

use proc_macro2::Span;
use syn::spanned::Spanned;
use syn::visit::{self, Visit};

/// The rooms of the core from the ground up: each may take from those before it, and from itself.
const CORE: [&str; 22] = [
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
    "ledger",
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

const CRATES: [&str; 9] = ["cancel", "physics", "schedule", "words", "core", "store", "server", "standins", "fit"];

/// A function is no longer, lines.
const MAX_FUNCTION: usize = 60;
/// Outside the ways and the physics no more files look at which way it is.
const MAX_LOOK_AT_THE_WAY: usize = 8;
/// What tells one way from another.
const WHICH_WAY: [&str; 3] = ["Set", "WayId", "Medium"];

/// A file of a crate, read.
struct Source {
    path: PathBuf,
    module: Vec<String>,
    text: String,
    file: syn::File,
}

fn crate_source(name: &str) -> PathBuf {
    Path::new(env!("CARGO_MANIFEST_DIR")).parent().unwrap().join(name).join("src")
}

fn module(root: &Path, file: &Path) -> Vec<String> {
    let path = file.strip_prefix(root).unwrap().with_extension("");
    let mut names: Vec<String> = path.iter().map(|name| name.to_str().unwrap().to_owned()).collect();
    if names.last().is_some_and(|last| last == "mod" || last == "lib") {
        names.pop();
    }
    names
}

fn is_test(attributes: &[syn::Attribute]) -> bool {
    attributes.iter().any(|attribute| {
        let list = attribute.meta.require_list();
        attribute.path().is_ident("test")
            || attribute.path().is_ident("cfg") && list.is_ok_and(|list| list.tokens.to_string() == "test")
    })
}

fn files(folder: &Path, found: &mut Vec<PathBuf>) {
    for entry in std::fs::read_dir(folder).unwrap() {
        let path = entry.unwrap().path();
        if path.is_dir() {
            files(&path, found);
        } else if path.extension().is_some_and(|extension| extension == "rs") {
            found.push(path);
        }
    }
}

/// The files of a crate, those that only tests are made of left out.
fn sources(name: &str) -> Vec<Source> {
    let root = crate_source(name);
    let mut paths = Vec::new();
    files(&root, &mut paths);
    let read = |path: PathBuf| {
        let text = std::fs::read_to_string(&path).unwrap();
        let file = syn::parse_file(&text).unwrap_or_else(|error| panic!("{}: {error}", path.display()));
        Source { module: module(&root, &path), path, text, file }
    };
    let mut all: Vec<Source> = paths.into_iter().map(read).collect();
    let tests: Vec<Vec<String>> = (all.iter())
        .flat_map(|source| {
            source.file.items.iter().filter_map(|item| match item {
                syn::Item::Mod(child) if is_test(&child.attrs) => {
                    Some([source.module.as_slice(), &[child.ident.to_string()]].concat())
                }
                _ => None,
            })
        })
        .collect();
    all.retain(|source| !tests.iter().any(|test| source.module.starts_with(test)));
    all
}

/// The modules that a file names, in `use` lines and inline; its tests left out.
struct Named<'a> {
    here: &'a [String],
    modules: &'a BTreeSet<Vec<String>>,
    found: BTreeSet<Vec<String>>,
}

impl Named<'_> {
    fn path(&mut self, names: &[String]) {
        let mut names = names.iter().map(String::as_str).peekable();
        let mut at = match names.peek() {
            Some(&"crate") => {
                names.next();
                Vec::new()
            }
            Some(&"super") => {
                let mut at = self.here.to_vec();
                while names.next_if_eq(&"super").is_some() {
                    at.pop();
                }
                at
            }
            Some(&"self") => {
                names.next();
                self.here.to_vec()
            }
            Some(child) if self.modules.contains(&[self.here, &[(*child).to_owned()]].concat()) => self.here.to_vec(),
            _ => return,
        };
        for name in names {
            let deeper = [at.as_slice(), &[name.to_owned()]].concat();
            if !self.modules.contains(&deeper) {
                break;
            }
            at = deeper;
        }
        if at != self.here {
            self.found.insert(at);
        }
    }

    fn tree(&mut self, before: &[String], tree: &syn::UseTree) {
        let with = |name: &syn::Ident| [before, &[name.to_string()]].concat();
        match tree {
            syn::UseTree::Path(path) => self.tree(&with(&path.ident), &path.tree),
            syn::UseTree::Name(name) => self.path(&with(&name.ident)),
            syn::UseTree::Rename(name) => self.path(&with(&name.ident)),
            syn::UseTree::Glob(_) => self.path(before),
            syn::UseTree::Group(group) => group.items.iter().for_each(|tree| self.tree(before, tree)),
        }
    }
}

impl<'ast> Visit<'ast> for Named<'_> {
    fn visit_item_use(&mut self, item: &'ast syn::ItemUse) {
        if !is_test(&item.attrs) {
            self.tree(&[], &item.tree);
        }
    }

    fn visit_path(&mut self, path: &'ast syn::Path) {
        let names: Vec<String> = path.segments.iter().map(|segment| segment.ident.to_string()).collect();
        if names.len() > 1 {
            self.path(&names);
        }
        visit::visit_path(self, path);
    }

    fn visit_item_mod(&mut self, item: &'ast syn::ItemMod) {
        if !is_test(&item.attrs) {
            visit::visit_item_mod(self, item);
        }
    }
}

/// A file of a crate by its module path, and the files it takes from.
type Takes = BTreeMap<Vec<String>, BTreeSet<Vec<String>>>;

fn takes(sources: &[Source]) -> Takes {
    let modules: BTreeSet<Vec<String>> = sources.iter().map(|source| source.module.clone()).collect();
    let of = |source: &Source| {
        let mut named = Named { here: &source.module, modules: &modules, found: BTreeSet::new() };
        named.visit_file(&source.file);
        (source.module.clone(), named.found)
    };
    sources.iter().map(of).collect()
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

#[test]
fn no_file_takes_from_one_that_takes_from_it() {
    for name in CRATES {
        assert_eq!(circle(&takes(&sources(name))), None, "in crates/{name}");
    }
}

/// Each arrow between two rooms goes down.
fn goes_down(name: &str, rooms: &[&str]) {
    let floor = |room: &str| rooms.iter().position(|known| *known == room);
    for (file, from) in takes(&sources(name)) {
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

/// Physics and placing know nothing of words, files and meat; the words nothing of the core.
#[test]
fn what_computes_depends_on_nothing_that_speaks() {
    let depends = |name: &str| {
        let manifest = std::fs::read_to_string(crate_source(name).parent().unwrap().join("Cargo.toml")).unwrap();
        let section = manifest.split("[dependencies]").nth(1).unwrap_or("").split("\n[").next().unwrap().to_owned();
        let name = |line: &str| line.split(['.', ' ', '=']).next().unwrap_or("").to_owned();
        section.lines().map(name).filter(|name| !name.is_empty()).collect::<Vec<_>>()
    };
    for (name, not) in [
        ("physics", &["serde", "serde_json", "utoipa", "ergastic-words", "ergastic-core", "jiff"][..]),
        ("schedule", &["ergastic-words", "ergastic-core", "ergastic-physics", "jiff"]),
        ("core", &["tokio", "sqlx", "axum", "ergastic-store"]),
        ("store", &["axum"]),
    ] {
        let found: Vec<String> = depends(name).into_iter().filter(|found| not.contains(&found.as_str())).collect();
        assert!(found.is_empty(), "crates/{name} depends on {found:?}");
    }
}

/// Matches that ask which way it is.
#[derive(Default)]
struct Ways {
    matched: bool,
    wild: Vec<usize>,
}

fn tells_ways(pattern: &syn::Pat) -> bool {
    struct Found(bool);
    impl<'ast> Visit<'ast> for Found {
        fn visit_path(&mut self, path: &'ast syn::Path) {
            let mut names = path.segments.iter().rev().skip(1).map(|segment| segment.ident.to_string());
            self.0 |= names.next().is_some_and(|owner| WHICH_WAY.contains(&owner.as_str()));
        }
    }
    let mut found = Found(false);
    found.visit_pat(pattern);
    found.0
}

impl<'ast> Visit<'ast> for Ways {
    fn visit_expr_match(&mut self, found: &'ast syn::ExprMatch) {
        if found.arms.iter().any(|arm| tells_ways(&arm.pat)) {
            self.matched = true;
            let wild = |arm: &&syn::Arm| matches!(arm.pat, syn::Pat::Wild(_) | syn::Pat::Ident(_));
            self.wild.extend(found.arms.iter().filter(wild).map(|arm| arm.span().start().line));
        }
        visit::visit_expr_match(self, found);
    }

    fn visit_item_mod(&mut self, item: &'ast syn::ItemMod) {
        if !is_test(&item.attrs) {
            visit::visit_item_mod(self, item);
        }
    }
}

#[test]
fn who_asks_which_way_it_is_answers_for_every_way() {
    let mut looking = BTreeSet::new();
    for source in ["core", "server", "store", "fit"].iter().flat_map(|name| sources(name)) {
        let mut ways = Ways::default();
        ways.visit_file(&source.file);
        let at_home = source.module.first().is_some_and(|room| room == "ways");
        assert!(at_home || ways.wild.is_empty(), "{} leaves ways out at {:?}", source.path.display(), ways.wild);
        if ways.matched && !at_home {
            looking.insert(source.path);
        }
    }
    assert!(looking.len() <= MAX_LOOK_AT_THE_WAY, "{looking:#?}");
}

/// Functions and how long they are, lines.
struct Lengths {
    found: Vec<(String, usize)>,
}

impl Lengths {
    fn note(&mut self, name: &syn::Ident, whole: Span) {
        self.found.push((name.to_string(), whole.end().line - whole.start().line + 1));
    }
}

impl<'ast> Visit<'ast> for Lengths {
    fn visit_item_fn(&mut self, item: &'ast syn::ItemFn) {
        self.note(&item.sig.ident, item.sig.span().join(item.block.span()).unwrap_or_else(|| item.block.span()));
        visit::visit_item_fn(self, item);
    }

    fn visit_impl_item_fn(&mut self, item: &'ast syn::ImplItemFn) {
        self.note(&item.sig.ident, item.block.span());
        visit::visit_impl_item_fn(self, item);
    }

    fn visit_item_mod(&mut self, item: &'ast syn::ItemMod) {
        if !is_test(&item.attrs) {
            visit::visit_item_mod(self, item);
        }
    }
}

#[test]
fn every_function_is_seen_at_one_glance() {
    let mut long = Vec::new();
    for source in CRATES.iter().flat_map(|name| sources(name)) {
        let mut lengths = Lengths { found: Vec::new() };
        lengths.visit_file(&source.file);
        let longer = lengths.found.into_iter().filter(|(_, lines)| *lines > MAX_FUNCTION);
        long.extend(longer.map(|(name, lines)| format!("{lines} {name} in {}", source.path.display())));
    }
    long.sort();
    assert!(long.is_empty(), "{long:#?}");
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
    for source in ["physics", "schedule", "core"].iter().flat_map(|name| sources(name)) {
        let code = source.text.split("#[cfg(test)]\nmod tests {").next().unwrap();
        for said in code.lines().map(str::trim).flat_map(texts) {
            let words = said.split(' ').filter(|word| word.len() > 1 && word.chars().all(char::is_lowercase));
            assert!(words.count() < 3, "{} says: {said}", source.path.display());
        }
    }
}

/// The types that a file makes, tests apart.
#[derive(Default)]
struct Types(Vec<String>);

impl<'ast> Visit<'ast> for Types {
    fn visit_item_struct(&mut self, item: &'ast syn::ItemStruct) {
        self.0.push(item.ident.to_string());
    }

    fn visit_item_enum(&mut self, item: &'ast syn::ItemEnum) {
        self.0.push(item.ident.to_string());
    }

    fn visit_item_trait(&mut self, item: &'ast syn::ItemTrait) {
        self.0.push(item.ident.to_string());
    }

    fn visit_item_type(&mut self, item: &'ast syn::ItemType) {
        self.0.push(item.ident.to_string());
    }

    fn visit_item_mod(&mut self, item: &'ast syn::ItemMod) {
        if !is_test(&item.attrs) {
            visit::visit_item_mod(self, item);
        }
    }
}

/// Who reads a name knows what it is, whichever crate it is in. Each crate has its own error.
#[test]
fn one_type_has_one_name() {
    let mut named: BTreeMap<String, Vec<PathBuf>> = BTreeMap::new();
    let crates = ["cancel", "physics", "schedule", "words", "core", "store", "server", "fit", "standins"];
    for source in crates.iter().flat_map(|name| sources(name)) {
        let mut types = Types::default();
        types.visit_file(&source.file);
        for name in types.0.into_iter().filter(|name| name != "Error" && name != "Result") {
            named.entry(name).or_default().push(source.path.clone());
        }
    }
    assert!(named.len() > 300, "the types are read");
    named.retain(|_, files| files.len() > 1);
    assert!(named.is_empty(), "{named:#?}");
}
