//! A kitchen file read piece by piece as it comes, each part checked as the API would check it, and handed on.
//! However large the file, little of it is held at once.

use std::cell::Cell;
use std::fmt;
use std::io::Read;
use std::rc::Rc;

use ergastic_core::Error;
use ergastic_core::cook::{Event, Happened};
use ergastic_core::error::WhatIsWrong;
use ergastic_core::json::{not_json, read_object, read_value};
use ergastic_core::kitchen::Kitchen;
use ergastic_core::plan::Plan;
use ergastic_core::text::check_name;
use ergastic_store::{
    CookFile, FILE_VERSION, MAX_EVENTS, PlanFile, Reading, ReadingFile, Staged, as_document, brought_up,
    in_spoken_names,
};
use ergastic_words::{Message, Voice, errors, keeping as say};
use jiff::Timestamp;
use serde::Deserializer;
use serde::de::{DeserializeSeed, IgnoredAny, MapAccess, SeqAccess, Visitor};
use serde_json::value::RawValue;

use crate::checks;
use crate::error::{ApiError, ApiResult};
use crate::summaries;

/// The whole of a file, where a field is named.
const THE_FILE: &str = "the file";
/// One plan or cook may be this long, bytes.
const MAX_ITEM: u64 = 8 << 20;
/// Readings handed on at a time: large enough that a page of the database is written a few times and not for each of them,
/// small enough that another writer waits a second or two.
const READINGS: usize = 250_000;
/// Plans and cooks handed on at a time.
const ITEMS: usize = 64;

/// Where the parts of a file go.
pub trait Sink {
    /// Plans, cooks and the kitchen, checked.
    ///
    /// # Errors
    /// When they can't be taken.
    fn items(&mut self, items: Vec<Staged>) -> ApiResult<()>;

    /// Readings of a probe, checked.
    ///
    /// # Errors
    /// When they can't be taken.
    fn readings(&mut self, probe: &str, readings: Vec<Reading>) -> ApiResult<()>;
}

/// A reader that stops inside a part that is longer than any can be.
struct Bounded<R> {
    inner: R,
    left: Rc<Cell<u64>>,
}

impl<R: Read> Read for Bounded<R> {
    fn read(&mut self, into: &mut [u8]) -> std::io::Result<usize> {
        if self.left.get() == 0 {
            return Err(std::io::Error::other(Voice::default().render(say::part_too_long(MAX_ITEM as u32))));
        }
        let length = self.inner.read(into)?;
        self.left.set(self.left.get().saturating_sub(length as u64));
        Ok(length)
    }
}

/// Reads a kitchen file from its first byte to its last. `kitchen` is the one that plans are checked in unless the file
/// brings its own before them.
///
/// # Errors
/// Names the field that can't be used; or what the sink says.
pub fn read_file(reader: impl Read, kitchen: Kitchen, now: Timestamp, sink: &mut impl Sink) -> ApiResult<()> {
    let left = Rc::new(Cell::new(MAX_ITEM));
    let mut buffered = std::io::BufReader::with_capacity(1 << 16, reader);
    let fault = |error: std::io::Error| {
        let why = Message::text(error.to_string());
        ApiError::from(Error::said(WhatIsWrong::Unknown, THE_FILE, say::what_came(), why))
    };
    skip_mark(&mut buffered).map_err(fault)?;
    let mut json = serde_json::Deserializer::from_reader(Bounded { inner: buffered, left: left.clone() });
    let mut file = File {
        sink,
        kitchen,
        now,
        left,
        place: String::new(),
        items: Vec::new(),
        fault: None,
        version: None,
        damaged: false,
    };
    let read = (&mut json).deserialize_map(&mut file).and_then(|()| json.end());
    if let Some(fault) = file.fault.take() {
        return Err(fault);
    }
    read.map_err(|error| {
        let place = if file.place.is_empty() { THE_FILE } else { &file.place };
        ApiError::from(not_json(&error).within(place))
    })?;
    if file.version.is_none() {
        return Err(Error::missing("ergastic", say::says_its_layout(FILE_VERSION)).into());
    }
    file.hand_on(0)
}

/// Goes past a byte order mark.
fn skip_mark(reader: &mut impl std::io::BufRead) -> std::io::Result<()> {
    if reader.fill_buf()?.starts_with(b"\xef\xbb\xbf") {
        reader.consume(3);
    }
    Ok(())
}

struct File<'a, S> {
    sink: &'a mut S,
    kitchen: Kitchen,
    now: Timestamp,
    left: Rc<Cell<u64>>,
    /// Where in the file the reader is, for errors.
    place: String,
    items: Vec<Staged>,
    /// What went wrong besides the JSON: the reader can only carry words.
    fault: Option<ApiError>,
    version: Option<u32>,
    /// The kitchen of the file could not be read when it was written.
    damaged: bool,
}

impl<S: Sink> File<'_, S> {
    /// Ends the reading with a fault.
    fn ends<T, E: serde::de::Error>(&mut self, outcome: ApiResult<T>) -> Result<T, E> {
        outcome.map_err(|fault| {
            self.fault = Some(fault);
            E::custom("given up")
        })
    }

    fn take(&mut self, item: Staged) -> ApiResult<()> {
        self.items.push(item);
        self.hand_on(ITEMS)
    }

    /// Hands on what has gathered, once there is so much of it.
    fn hand_on(&mut self, least: usize) -> ApiResult<()> {
        if self.items.len() > least { self.sink.items(std::mem::take(&mut self.items)) } else { Ok(()) }
    }

    fn kitchen(&mut self, raw: &RawValue) -> ApiResult<Staged> {
        if self.damaged {
            let value = serde_json::from_str(raw.get()).map_err(|error| ApiError::Internal(error.to_string()))?;
            return Ok(Staged::Kitchen { document: as_document(&value), damaged: true, saved_at: self.now });
        }
        let document = brought_up(raw.get());
        let kitchen: Kitchen = read_object(document.as_bytes()).map_err(|error| error.within("kitchen"))?;
        kitchen.check().map_err(|error| error.within("kitchen"))?;
        self.kitchen = kitchen;
        Ok(Staged::Kitchen { document, damaged: false, saved_at: self.now })
    }

    fn plan(&self, raw: &RawValue) -> Result<Staged, Error> {
        let PlanFile { id, version, saved_at, mut plan, deleted_at, damaged } = read_object(raw.get().as_bytes())?;
        checks::has_been("saved_at", saved_at, self.now)?;
        if version.is_some_and(|version| version < 1) {
            return Err(Error::new(WhatIsWrong::OutOfRange, "version", version.unwrap_or(0), say::one_or_more()));
        }
        let document = if damaged.is_some() {
            as_document(&plan)
        } else {
            in_spoken_names(&mut plan);
            let plan: Plan = read_value(plan).map_err(|error| error.within("plan"))?;
            plan.check_kept().map_err(|error| error.within("plan"))?;
            plan.resolve(&self.kitchen).map_err(|error| error.within("plan"))?;
            text(&plan)?
        };
        Ok(Staged::Plan { id, version, saved_at, document, deleted_at })
    }

    fn cook(&self, raw: &RawValue) -> Result<Staged, Error> {
        let CookFile { id, plan_id, opened_at, mut plan, mut events, deleted_at, damaged } =
            read_object(raw.get().as_bytes())?;
        checks::has_been("opened_at", opened_at, self.now)?;
        if events.len() > MAX_EVENTS {
            return Err(Error::new(
                WhatIsWrong::OutOfRange,
                "events",
                events.len(),
                errors::at_most(MAX_EVENTS as u32),
            ));
        }
        if let Some(why) = damaged {
            let summary = summaries::broken(id, plan_id, "", opened_at, why);
            let events = events
                .into_iter()
                .map(|event| (event.id, event.at, as_document(&event.happened), event.device))
                .collect();
            let document = as_document(&plan);
            return Ok(Staged::Cook { id, plan_id, opened_at, document, events, deleted_at, summary });
        }
        // A file does not say of which format its documents are.
        in_spoken_names(&mut plan);
        events.iter_mut().for_each(|event| in_spoken_names(&mut event.happened));
        let plan: Plan = read_value(plan).map_err(|error| error.within("plan"))?;
        plan.resolve(&self.kitchen).map_err(|error| error.within("plan"))?;
        let happened: Vec<Event> = (events.iter().enumerate())
            .map(|(i, event)| {
                let happened: Happened = read_value(event.happened.clone())
                    .map_err(|error| error.within(&format!("events[{i}].happened")))?;
                Ok(Event { id: event.id, at: event.at, happened, device: event.device.clone() })
            })
            .collect::<Result<_, Error>>()?;
        checks::events(&happened, self.now)
            .map_err(|error| Error { field: format!("events{}", error.field), ..error })?;
        let facts = summaries::facts(id, plan_id, &plan, opened_at, &happened);
        Ok(Staged::Cook {
            id,
            plan_id,
            opened_at,
            document: text(&plan)?,
            events: happened
                .iter()
                .map(|event| Ok((event.id, event.at, text(&event.happened)?, event.device.clone())))
                .collect::<Result<_, Error>>()?,
            deleted_at,
            summary: facts,
        })
    }
}

fn text(value: &impl serde::Serialize) -> Result<String, Error> {
    serde_json::to_string(value).map_err(|error| {
        Error::said(WhatIsWrong::Unknown, THE_FILE, say::a_part_of_it(), Message::text(error.to_string()))
    })
}

impl<'de, S: Sink> Visitor<'de> for &mut File<'_, S> {
    type Value = ();

    fn expecting(&self, formatter: &mut fmt::Formatter) -> fmt::Result {
        formatter.write_str("one JSON object: a kitchen file")
    }

    fn visit_map<A: MapAccess<'de>>(self, mut fields: A) -> Result<(), A::Error> {
        while let Some(name) = fields.next_key::<String>()? {
            self.left.set(MAX_ITEM);
            self.place.clone_from(&name);
            match name.as_str() {
                "ergastic" => {
                    let version: u32 = fields.next_value()?;
                    let known = (version == FILE_VERSION).then_some(version).ok_or_else(|| {
                        Error::new(WhatIsWrong::OutOfRange, "ergastic", version, say::reads_layout(FILE_VERSION))
                    });
                    self.version = Some(self.ends(known.map_err(ApiError::from))?);
                }
                "kitchen_damaged" => self.damaged = fields.next_value::<Option<String>>()?.is_some(),
                "kitchen" => {
                    let raw: Box<RawValue> = fields.next_value()?;
                    let kitchen = self.kitchen(&raw);
                    let kitchen = self.ends(kitchen)?;
                    let taken = self.take(kitchen);
                    self.ends(taken)?;
                }
                "plans" => fields.next_value_seed(ItemsSeed { file: self, name: "plans" })?,
                "cooks" => fields.next_value_seed(ItemsSeed { file: self, name: "cooks" })?,
                "probes" => fields.next_value_seed(Probes { file: self })?,
                _ => {
                    fields.next_value::<IgnoredAny>()?;
                    let unknown =
                        Error::said(WhatIsWrong::Unknown, &*name, errors::this_field(), say::fields_of_a_file());
                    self.ends(Err::<(), _>(unknown.into()))?;
                }
            }
        }
        Ok(())
    }
}

/// The list of plans or cooks.
struct ItemsSeed<'a, 'b, S> {
    file: &'a mut File<'b, S>,
    name: &'static str,
}

impl<'de, S: Sink> DeserializeSeed<'de> for ItemsSeed<'_, '_, S> {
    type Value = ();
    fn deserialize<D: Deserializer<'de>>(self, deserializer: D) -> Result<(), D::Error> {
        deserializer.deserialize_seq(self)
    }
}

impl<'de, S: Sink> Visitor<'de> for ItemsSeed<'_, '_, S> {
    type Value = ();

    fn expecting(&self, formatter: &mut fmt::Formatter) -> fmt::Result {
        write!(formatter, "the list of {}", self.name)
    }

    fn visit_seq<A: SeqAccess<'de>>(self, mut items: A) -> Result<(), A::Error> {
        let Self { file, name } = self;
        for i in 0.. {
            file.place = format!("{name}[{i}]");
            file.left.set(MAX_ITEM);
            let Some(raw) = items.next_element::<Box<RawValue>>()? else { break };
            let item = if name == "plans" { file.plan(&raw) } else { file.cook(&raw) };
            let item = item.map_err(|error| ApiError::from(error.within(&file.place)));
            let item = file.ends(item)?;
            let taken = file.take(item);
            file.ends(taken)?;
        }
        Ok(())
    }
}

/// The list of probes.
struct Probes<'a, 'b, S> {
    file: &'a mut File<'b, S>,
}

impl<'de, S: Sink> DeserializeSeed<'de> for Probes<'_, '_, S> {
    type Value = ();
    fn deserialize<D: Deserializer<'de>>(self, deserializer: D) -> Result<(), D::Error> {
        deserializer.deserialize_seq(self)
    }
}

impl<'de, S: Sink> Visitor<'de> for Probes<'_, '_, S> {
    type Value = ();

    fn expecting(&self, formatter: &mut fmt::Formatter) -> fmt::Result {
        formatter.write_str("the list of probes")
    }

    fn visit_seq<A: SeqAccess<'de>>(self, mut probes: A) -> Result<(), A::Error> {
        let file = self.file;
        for i in 0.. {
            file.place = format!("probes[{i}]");
            file.left.set(MAX_ITEM);
            if probes.next_element_seed(ProbeSeed { file, index: i })?.is_none() {
                break;
            }
        }
        Ok(())
    }
}

/// One probe.
struct ProbeSeed<'a, 'b, S> {
    file: &'a mut File<'b, S>,
    index: usize,
}

impl<'de, S: Sink> DeserializeSeed<'de> for ProbeSeed<'_, '_, S> {
    type Value = ();
    fn deserialize<D: Deserializer<'de>>(self, deserializer: D) -> Result<(), D::Error> {
        deserializer.deserialize_map(self)
    }
}

impl<'de, S: Sink> Visitor<'de> for ProbeSeed<'_, '_, S> {
    type Value = ();

    fn expecting(&self, formatter: &mut fmt::Formatter) -> fmt::Result {
        formatter.write_str("a probe with its readings")
    }

    fn visit_map<A: MapAccess<'de>>(self, mut fields: A) -> Result<(), A::Error> {
        let Self { file, index } = self;
        let place = format!("probes[{index}]");
        let mut probe = None;
        while let Some(name) = fields.next_key::<String>()? {
            file.place = format!("{place}.{name}");
            match (name.as_str(), &probe) {
                ("probe", None) => {
                    let name: String = fields.next_value()?;
                    let checked = check_name("probe", &name, 80).map_err(|error| error.within(&place).into());
                    file.ends(checked)?;
                    probe = Some(name);
                }
                ("readings", Some(probe)) => {
                    fields.next_value_seed(Readings { file, probe, place: format!("{place}.readings") })?;
                }
                _ => {
                    let why = say::fields_of_a_probe();
                    let error = Error::said(WhatIsWrong::Unknown, &*file.place, errors::this_field(), why);
                    file.ends(Err::<(), _>(error.into()))?;
                }
            }
        }
        Ok(())
    }
}

/// A probe's readings, `[id, at, celsius]` each.
struct Readings<'a, 'b, S> {
    file: &'a mut File<'b, S>,
    probe: &'a str,
    place: String,
}

impl<'de, S: Sink> DeserializeSeed<'de> for Readings<'_, '_, S> {
    type Value = ();
    fn deserialize<D: Deserializer<'de>>(self, deserializer: D) -> Result<(), D::Error> {
        deserializer.deserialize_seq(self)
    }
}

impl<'de, S: Sink> Visitor<'de> for Readings<'_, '_, S> {
    type Value = ();

    fn expecting(&self, formatter: &mut fmt::Formatter) -> fmt::Result {
        formatter.write_str("a list of readings, [id, at, celsius] each")
    }

    fn visit_seq<A: SeqAccess<'de>>(self, mut readings: A) -> Result<(), A::Error> {
        let Self { file, probe, place } = self;
        let mut gathered: Vec<Reading> = Vec::new();
        for i in 0.. {
            file.left.set(MAX_ITEM);
            let next = readings.next_element::<ReadingFile>();
            if next.is_err() {
                file.place = format!("{place}[{i}]");
            }
            let Some((id, at, celsius)) = next? else { break };
            if let Err(error) = checks::reading(at, celsius, file.now) {
                file.ends(Err::<(), _>(error.within(&format!("{place}[{i}]")).into()))?;
            }
            gathered.push(Reading { id, at, celsius });
            if gathered.len() == READINGS {
                let taken = file.sink.readings(probe, std::mem::take(&mut gathered));
                file.ends(taken)?;
            }
        }
        let taken = file.sink.readings(probe, gathered);
        file.ends(taken)
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[derive(Default)]
    struct Tally {
        items: usize,
        readings: Vec<(String, usize)>,
    }

    impl Sink for Tally {
        fn items(&mut self, items: Vec<Staged>) -> ApiResult<()> {
            self.items += items.len();
            Ok(())
        }

        fn readings(&mut self, probe: &str, readings: Vec<Reading>) -> ApiResult<()> {
            self.readings.push((probe.to_owned(), readings.len()));
            Ok(())
        }
    }

    fn read(text: &str) -> Result<Tally, String> {
        let mut counted = Tally::default();
        let now = "2027-02-05T12:00:00Z".parse().unwrap();
        match read_file(text.as_bytes(), Kitchen::default(), now, &mut counted) {
            Ok(()) => Ok(counted),
            Err(ApiError::Input(error)) => Err(error.field),
            Err(other) => Err(other.to_string()),
        }
    }

    #[test]
    fn parts_come_in_any_order_and_each_fault_is_named() {
        let plan = r#"{"id": "00000000-0000-4000-8000-000000000001", "saved_at": "2027-02-01T12:00:00Z",
            "plan": {"name": "One", "serve_at": "2027-02-06T16:30:00Z", "forecast": {"cut": "shin", "method": "braise"}}}"#;
        let reading = r#"["00000000-0000-4000-8000-000000000002", "2027-02-01T12:00:00Z", 61.5]"#;
        let whole = format!(
            "\u{feff}{{\"probes\": [{{\"probe\": \"stove\", \"readings\": [{reading}]}}], \"plans\": [{plan}], \"ergastic\": 1, \"kitchen\": {{}}}}"
        );
        let counted = read(&whole).unwrap();
        assert_eq!((counted.items, counted.readings), (2, vec![("stove".to_owned(), 1)]));
        let fault = |text: &str| read(text).err().unwrap_or_default();
        assert_eq!(fault("{}"), "ergastic");
        assert_eq!(fault("[1]"), "the file");
        assert_eq!(fault(r#"{"ergastic": 2}"#), "ergastic");
        assert_eq!(fault(r#"{"ergastic": 1, "more": 1}"#), "more");
        assert_eq!(fault(&whole[..whole.len() - 3]), "kitchen");
        assert_eq!(fault(&whole.replace("\"shin\"", "\"fillet\"")), "plans[0].plan.forecast.cut");
        assert_eq!(fault(&whole.replace("One", "O\u{202e}ne")), "plans[0].plan.name");
        assert_eq!(
            fault(&whole.replace("{\"cut\": \"shin\", \"method\": \"braise\"}", "[]")),
            "plans[0].plan.forecast"
        );
        assert_eq!(fault(&whole.replace("61.5", "900")), "probes[0].readings[0].celsius");
        assert_eq!(fault(&whole.replace("61.5", "\"hot\"")), "probes[0].readings[0]");
        assert_eq!(fault(&whole.replace("12:00:00Z\", 61.5", "12:00:00Z\", 61.5, 4")), "probes[0].readings[0]");
        assert_eq!(
            fault(&whole.replace("\"2027-02-01T12:00:00Z\", 61.5", "\"1970-01-01T00:00:00Z\", 61.5")),
            "probes[0].readings[0].at"
        );
        assert_eq!(fault(&whole.replace("{\"probe\": \"stove\", ", "{")), "probes[0].readings");
    }

    #[test]
    fn a_part_without_end_is_not_held() {
        let endless = format!("{{\"plans\": [\"{}", "x".repeat(9 << 20));
        let mut counted = Tally::default();
        let read = read_file(endless.as_bytes(), Kitchen::default(), Timestamp::UNIX_EPOCH, &mut counted);
        assert!(read.unwrap_err().to_string().contains("longer than"), "8 MiB is the most");
    }
}
