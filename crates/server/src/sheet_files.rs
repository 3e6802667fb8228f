//! A meal's sheet in open formats: iCalendar, CSV, Markdown.

use std::fmt::Write as _;

use ergastic_core::clock::zone;
use ergastic_core::meal::{MealSheet, MealTask};
use ergastic_store::ToldTask;
use ergastic_words::{Voice, meal as say};
use icalendar::{Alarm, Calendar, Component, Event, EventLike, EventStatus};
use jiff::Timestamp;
use jiff::tz::TimeZone;
use serde::Deserialize;
use utoipa::ToSchema;

/// A hands-on task rings so long before it begins, min.
const RINGS_AHEAD_MIN: i64 = 5;

/// What a sheet is written as.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum FileKind {
    /// iCalendar.
    Calendar,
    /// CSV.
    Table,
    /// Markdown.
    Text,
}

impl FileKind {
    /// How such a file's name ends.
    pub fn extension(self) -> &'static str {
        match self {
            Self::Calendar => "ics",
            Self::Table => "csv",
            Self::Text => "md",
        }
    }
}

/// A sheet as a file: its media type and its text. `gone` is what an earlier calendar told of and is no longer to be done.
pub fn written(
    kind: FileKind,
    id: &str,
    name: &str,
    sheet: &MealSheet,
    gone: &[ToldTask],
    voice: Voice,
) -> (&'static str, String) {
    match kind {
        FileKind::Calendar => ("text/calendar; charset=utf-8", calendar(id, name, sheet, gone)),
        FileKind::Table => ("text/csv; charset=utf-8", table(sheet)),
        FileKind::Text => ("text/markdown; charset=utf-8", text(name, sheet, voice)),
    }
}

/// An instant for the calendar's own library.
fn moment(at: Timestamp) -> chrono::DateTime<chrono::Utc> {
    chrono::DateTime::from_timestamp(at.as_second(), 0).unwrap_or_default()
}

/// What a calendar tells of a task.
pub fn told(task: &MealTask) -> ToldTask {
    let what = format!("{}: {}", task.dish, task.what);
    ToldTask { task: task.id.clone(), what, begins: task.start, ends: task.end }
}

/// Every task is an event that keeps its name, so that a calendar that takes the file again moves what has moved and
/// strikes out what is gone.
fn calendar(id: &str, name: &str, sheet: &MealSheet, gone: &[ToldTask]) -> String {
    let mut calendar = Calendar::empty();
    for property in [("VERSION", "2.0"), ("PRODID", "-//Ergastic//Sheet//EN"), ("CALSCALE", "GREGORIAN")] {
        calendar.append_property(property);
    }
    calendar.name(name);
    let event = |ToldTask { task, what, begins, ends }: &ToldTask| {
        let mut event = Event::new();
        event
            .uid(&format!("{id}-{task}@ergastic"))
            .summary(what)
            .starts(moment(*begins))
            .ends(moment(*ends))
            .timestamp(moment(sheet.now))
            // What is made later is newer: a calendar keeps the newer.
            .sequence(u32::try_from(sheet.now.as_second() / 60 % 100_000_000).unwrap_or(0));
        event
    };
    for task in gone {
        calendar.push(event(task).status(EventStatus::Cancelled).done());
    }
    for task in &sheet.tasks {
        let mut event = event(&told(task));
        event.description(&task.why);
        if task.hands_on {
            event.alarm(Alarm::display(&task.what, chrono::Duration::minutes(-RINGS_AHEAD_MIN)));
        } else {
            event.add_property("TRANSP", "TRANSPARENT");
        }
        calendar.push(event.done());
    }
    folded(&calendar.to_string())
}

/// Octets of a line at the most, its end apart (RFC 5545, 3.1).
const LINE: usize = 75;

/// The same with every line folded to what the format allows: the library's own last piece of a line may be an octet too long.
fn folded(text: &str) -> String {
    let mut out = String::with_capacity(text.len() + text.len() / 20);
    for line in text.replace("\r\n ", "").split_inclusive("\r\n") {
        let (mut length, line) = (0, line.trim_end_matches("\r\n"));
        for letter in line.chars() {
            if length + letter.len_utf8() > LINE {
                out.push_str("\r\n ");
                length = 1;
            }
            out.push(letter);
            length += letter.len_utf8();
        }
        out.push_str("\r\n");
    }
    out
}

/// A text that a spreadsheet would take for a formula is marked as a text.
fn harmless(text: &str) -> String {
    match text.chars().next() {
        Some('=' | '+' | '-' | '@' | '\t' | '\r') => format!("'{text}"),
        _ => text.to_owned(),
    }
}

fn local(at: Timestamp, zone: &TimeZone, pattern: &str) -> String {
    at.to_zoned_datetime(zone.clone()).strftime(pattern).to_string()
}

fn in_zone(sheet: &MealSheet) -> TimeZone {
    zone("zone", &sheet.zone).unwrap_or(TimeZone::UTC)
}

fn table(sheet: &MealSheet) -> String {
    let zone = in_zone(sheet);
    let mut rows = csv::Writer::from_writer(Vec::new());
    let head = ["id", "start", "end", "minutes", "hands_on", "lane", "dish", "what", "why"];
    let row = |task: &MealTask| {
        let lane = serde_json::to_value(task.lane).ok().and_then(|lane| lane.as_str().map(str::to_owned));
        let minutes = (task.end.as_second() - task.start.as_second()) / 60;
        [
            task.id.clone(),
            local(task.start, &zone, "%Y-%m-%dT%H:%M%:z"),
            local(task.end, &zone, "%Y-%m-%dT%H:%M%:z"),
            minutes.to_string(),
            task.hands_on.to_string(),
            lane.unwrap_or_default(),
            harmless(&task.dish),
            harmless(&task.what),
            harmless(&task.why),
        ]
    };
    // Writing to memory does not fail.
    let _ = rows.write_record(head);
    for task in &sheet.tasks {
        let _ = rows.write_record(row(task));
    }
    String::from_utf8(rows.into_inner().unwrap_or_default()).unwrap_or_default()
}

/// A text that Markdown takes as it stands.
fn plain(text: &str) -> String {
    text.replace('\\', "\\\\").replace(['*', '_', '#', '<', '>', '|', '`', '[', ']'], " ").trim().to_owned()
}

fn text(name: &str, sheet: &MealSheet, voice: Voice) -> String {
    let zone = in_zone(sheet);
    let mut text = format!("# {}\n\n{}\n", plain(name), sheet.why);
    for said in sheet.clock_changes.iter().map(|change| &change.text).chain(sheet.conflicts.iter().map(|c| &c.text)) {
        let _ = write!(text, "\n> {}\n", plain(said));
    }
    let mut day = String::new();
    for task in &sheet.tasks {
        let today = local(task.start, &zone, "%A %-d %B");
        if today != day {
            let _ = write!(text, "\n## {today}\n\n");
            day = today;
        }
        let again = if task.second_time { voice.render(say::second_time()) } else { String::new() };
        let hands = if task.hands_on { "[ ] " } else { "" };
        let at = local(task.start, &zone, "%H:%M");
        let _ = writeln!(text, "- {hands}**{at}**{again} {}: {}", plain(&task.dish), plain(&task.what));
    }
    text
}
