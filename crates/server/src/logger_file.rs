//! The file of any temperature logger: a table whose columns are told apart, and its rows as readings.

use ergastic_core::error::WhatIsWrong;
use ergastic_core::{Error, Result};
use ergastic_words::{Units, service as say};
use jiff::civil::DateTime;
use jiff::tz::TimeZone;
use jiff::{SignedDuration, Timestamp};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// Rows of one file.
pub const MAX_ROWS: usize = 500_000;
/// Rows that are looked at to tell the columns apart, and that are shown.
const LOOKED_AT: usize = 200;
const SHOWN: usize = 3;
/// Not more columns than these are told.
const MAX_COLUMNS: usize = 64;
/// What a logger separates its columns by.
const SEPARATORS: [u8; 4] = [b',', b';', b'\t', b'|'];
/// From this on a bare figure in a column of times is so many s, or ms, since 1970 and not since the start.
const SECONDS_FROM: f64 = 9.0e8;
const MILLISECONDS_FROM: f64 = 9.0e11;
/// How loggers write a date with its time.
const METRIC: [&str; 9] = [
    "%Y-%m-%d %H:%M:%S%.f",
    "%Y-%m-%dT%H:%M:%S%.f",
    "%Y-%m-%d %H:%M",
    "%Y/%m/%d %H:%M:%S",
    "%d.%m.%Y %H:%M:%S",
    "%d.%m.%Y %H:%M",
    "%d/%m/%Y %H:%M:%S",
    "%d/%m/%Y %H:%M",
    "%d-%m-%Y %H:%M:%S",
];
const AMERICAN: [&str; 4] = ["%m/%d/%Y %H:%M:%S", "%m/%d/%Y %H:%M", "%m/%d/%Y %I:%M:%S %p", "%m/%d/%Y %I:%M %p"];

/// What a column holds.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Holds {
    /// Dates with their times.
    Time,
    /// How long since the start, s.
    Seconds,
    /// How long since the start, min.
    Minutes,
    /// Temperatures, °C.
    Celsius,
    /// Temperatures, °F.
    Fahrenheit,
    /// Something else.
    Other,
}

/// A column of the file.
#[derive(Debug, Clone, PartialEq, Serialize, ToSchema)]
pub struct Column {
    /// What its heading says.
    pub name: String,
    /// What it seems to hold.
    pub holds: Holds,
    /// Its first entries.
    pub shows: Vec<String>,
}

/// A file with its columns told apart.
#[derive(Debug, Clone, PartialEq, Serialize, ToSchema)]
pub struct LoggerFile {
    /// Its columns, in order.
    pub columns: Vec<Column>,
    /// Its rows, the headings apart.
    pub rows: usize,
    /// Its first and last moment, where it says them itself.
    pub from: Option<Timestamp>,
    /// The last.
    pub to: Option<Timestamp>,
}

/// The table of a file.
struct Table {
    headings: Vec<String>,
    rows: Vec<Vec<String>>,
}

fn table(text: &str) -> Result<Table> {
    let none = || Error::said(WhatIsWrong::Unknown, "text", say::no_columns(), say::two_columns());
    let text = text.trim_start_matches('\u{feff}');
    // The separator that makes the most columns, of the first line that has any: loggers write a preamble.
    let columns = |line: &str, by: u8| line.split(char::from(by)).count();
    let best =
        |line: &str| SEPARATORS.into_iter().max_by_key(|by| columns(line, *by)).filter(|by| columns(line, *by) > 1);
    let lines: Vec<&str> = text.lines().collect();
    let likely = lines.iter().take(LOOKED_AT).filter_map(|line| best(line)).next_back().ok_or_else(none)?;
    let most = lines.iter().take(LOOKED_AT).map(|line| columns(line, likely)).max().unwrap_or(0);
    let begins = lines.iter().position(|line| columns(line, likely) == most).ok_or_else(none)?;
    let body = lines[begins..].join("\n");
    let mut reader =
        csv::ReaderBuilder::new().delimiter(likely).flexible(true).trim(csv::Trim::All).from_reader(body.as_bytes());
    let headings: Vec<String> =
        reader.headers().map_err(|_| none())?.iter().take(MAX_COLUMNS).map(str::to_owned).collect();
    if headings.len() < 2 {
        return Err(none());
    }
    let mut rows = Vec::new();
    for record in reader.records() {
        let record = record.map_err(|error| {
            Error::said(
                WhatIsWrong::Unknown,
                format!("[{}]", rows.len()),
                say::this_row(),
                say::because(&error.to_string()),
            )
        })?;
        if rows.len() == MAX_ROWS {
            return Err(Error::said(
                WhatIsWrong::OutOfRange,
                "text",
                say::more_rows(),
                say::so_many_rows(MAX_ROWS as u32),
            ));
        }
        if record.iter().any(|field| !field.is_empty()) {
            rows.push(record.iter().map(str::to_owned).collect());
        }
    }
    Ok(Table { headings, rows })
}

/// A figure, with a comma for its point where there is no other.
fn figure(text: &str) -> Option<f64> {
    let text = text.trim_end_matches(['°', 'C', 'F', 'K', ' ']);
    text.parse().ok().or_else(|| text.replacen(',', ".", 1).parse().ok()).filter(|value: &f64| value.is_finite())
}

/// `h:mm`, `h:mm:ss`: how long since the start, s.
fn clock(text: &str) -> Option<f64> {
    let parts: Option<Vec<f64>> = text.split(':').map(|part| part.parse().ok()).collect();
    match parts?.as_slice() {
        [hours, minutes] => Some(hours * 3600.0 + minutes * 60.0),
        [hours, minutes, seconds] => Some(hours * 3600.0 + minutes * 60.0 + seconds),
        _ => None,
    }
}

/// A date with its time: with an offset, or as the kitchen's clock shows it.
fn moment(text: &str, zone: &TimeZone, units: Units) -> Option<Timestamp> {
    if let Ok(instant) = text.parse::<Timestamp>() {
        return Some(instant);
    }
    if let Some(since) = figure(text) {
        let ms = if since >= MILLISECONDS_FROM { since } else { since * 1000.0 };
        return (since >= SECONDS_FROM).then(|| Timestamp::from_millisecond(ms as i64).ok()).flatten();
    }
    let [first, second]: [&[&str]; 2] = match units {
        Units::Metric => [&METRIC, &AMERICAN],
        Units::Us => [&AMERICAN, &METRIC],
    };
    let local = first.iter().chain(second).find_map(|format| DateTime::strptime(format, text).ok())?;
    zone.to_ambiguous_timestamp(local).compatible().ok()
}

fn holds(name: &str, entries: &[&str], zone: &TimeZone, units: Units) -> Holds {
    let filled: Vec<&&str> = entries.iter().filter(|entry| !entry.is_empty()).collect();
    let most = |fits: &dyn Fn(&str) -> bool| {
        !filled.is_empty() && filled.iter().filter(|entry| fits(entry)).count() * 10 >= filled.len() * 9
    };
    let named = name.to_lowercase();
    let says = |words: &[&str]| words.iter().any(|word| named.contains(word));
    if most(&|entry| moment(entry, zone, units).is_some()) {
        return Holds::Time;
    }
    let elapsed = says(&["time", "elapsed", "since", "sec", "min", "dur"]);
    if most(&|entry| clock(entry).is_some() && figure(entry).is_none()) {
        return Holds::Seconds;
    }
    if elapsed && most(&|entry| figure(entry).is_some()) {
        return if says(&["min"]) { Holds::Minutes } else { Holds::Seconds };
    }
    if !most(&|entry| figure(entry).is_some_and(|value| (-60.0..=760.0).contains(&value)))
        || says(&["hum", "bat", "rssi", "index"])
    {
        return Holds::Other;
    }
    let fahrenheit = says(&["°f", "(f)", "_f", "fahrenheit"]) || filled.iter().any(|entry| entry.ends_with('F'));
    let celsius = says(&["°c", "(c)", "_c", "celsius"]) || filled.iter().any(|entry| entry.ends_with('C'));
    match (fahrenheit, celsius, units) {
        (true, false, _) | (false, false, Units::Us) => Holds::Fahrenheit,
        _ => Holds::Celsius,
    }
}

/// Tells the columns of a file apart.
///
/// # Errors
/// When it is no table.
pub fn told_apart(text: &str, zone: &TimeZone, units: Units) -> Result<LoggerFile> {
    let Table { headings, rows } = table(text)?;
    let columns: Vec<Column> = headings
        .iter()
        .enumerate()
        .map(|(at, name)| {
            let entries: Vec<&str> =
                rows.iter().take(LOOKED_AT).map(|row| row.get(at).map_or("", String::as_str)).collect();
            let shows = entries.iter().filter(|entry| !entry.is_empty()).take(SHOWN).map(|entry| (*entry).to_owned());
            Column { name: name.clone(), holds: holds(name, &entries, zone, units), shows: shows.collect() }
        })
        .collect();
    let at = columns.iter().position(|column| column.holds == Holds::Time);
    let when = |row: Option<&Vec<String>>| moment(row?.get(at?)?, zone, units);
    let (from, to) = (when(rows.first()), when(rows.last()));
    Ok(LoggerFile { columns, rows: rows.len(), from, to })
}

/// The column of times, and when the file began where it counts from there.
pub struct LoggerTimes {
    /// Which column.
    pub column: usize,
    /// What it holds.
    pub holds: Holds,
    /// When the file began.
    pub began: Option<Timestamp>,
}

/// One column's readings: when, °C. Entries that hold nothing are passed over.
///
/// # Errors
/// Names the row that can't be read.
pub fn readings(
    text: &str,
    times: &LoggerTimes,
    (column, holds): (usize, Holds),
    zone: &TimeZone,
    units: Units,
) -> Result<Vec<(Timestamp, f64)>> {
    let Table { headings, rows } = table(text)?;
    for (field, at) in [("time.column", times.column), ("probes.column", column)] {
        if at >= headings.len() {
            return Err(Error::new(WhatIsWrong::OutOfRange, field, at, say::a_column()));
        }
    }
    let mut found = Vec::with_capacity(rows.len());
    for (number, row) in rows.iter().enumerate() {
        let entry = |at: usize| row.get(at).map_or("", String::as_str);
        let Some(value) = figure(entry(column)) else { continue };
        let text = entry(times.column);
        let wrong =
            || Error::new(WhatIsWrong::Unknown, format!("[{number}].time"), format!("{text:?}"), say::no_time(text));
        let at = match times.holds {
            Holds::Seconds | Holds::Minutes => {
                let began = times.began.ok_or_else(|| Error::missing("time.began", say::when_it_began()))?;
                let a_unit = if times.holds == Holds::Minutes { 60.0 } else { 1.0 };
                let passed = figure(text).map(|value| value * a_unit).or_else(|| clock(text)).ok_or_else(wrong)?;
                began.checked_add(SignedDuration::from_millis((passed * 1000.0) as i64)).map_err(|_| wrong())?
            }
            _ => moment(text, zone, units).ok_or_else(wrong)?,
        };
        let celsius = if holds == Holds::Fahrenheit { (value - 32.0) / 1.8 } else { value };
        found.push((at, celsius));
    }
    Ok(found)
}

#[cfg(test)]
mod tests {
    use super::*;

    fn zone() -> TimeZone {
        TimeZone::get("Europe/Helsinki").unwrap()
    }

    #[test]
    fn columns_of_many_loggers_are_told_apart() {
        let holds = |text: &str, units| {
            let file = told_apart(text, &zone(), units).unwrap();
            file.columns.iter().map(|column| column.holds).collect::<Vec<_>>()
        };
        use Holds::{Celsius, Fahrenheit, Minutes, Other, Seconds, Time};
        let european = "Logger 7\n\nNo;Date;Meat (°C);Pit (°C);Battery\n1;05.02.2027 14:00:00;4,5;110,2;99\n2;05.02.2027 14:01:00;4,9;111;99\n";
        assert_eq!(holds(european, Units::Metric), [Celsius, Time, Celsius, Celsius, Other]);
        let american = "Time,Probe 1,Probe 2\n02/05/2027 02:00 PM,40.1,225\n02/05/2027 02:01 PM,41,226\n";
        assert_eq!(holds(american, Units::Us), [Time, Fahrenheit, Fahrenheit]);
        assert_eq!(holds("elapsed min\tcore\n0\t5\n1\t5.5\n", Units::Metric), [Minutes, Celsius]);
        assert_eq!(holds("t|core\n0:00:00|5\n0:01:00|5.5\n", Units::Metric), [Seconds, Celsius]);
        assert!(
            told_apart("hello", &zone(), Units::Metric).is_err() && told_apart("", &zone(), Units::Metric).is_err()
        );
    }

    #[test]
    fn readings_are_in_celsius_at_their_instants() {
        let text = "Date;Meat (°F)\n05.02.2027 14:00:00;41\n05.02.2027 14:01;\n05.02.2027 14:02:00;212 F\n";
        let times = LoggerTimes { column: 0, holds: Holds::Time, began: None };
        let read = readings(text, &times, (1, Holds::Fahrenheit), &zone(), Units::Metric).unwrap();
        let at = |text: &str| text.parse::<Timestamp>().unwrap();
        assert_eq!(read, [(at("2027-02-05T12:00:00Z"), 5.0), (at("2027-02-05T12:02:00Z"), 100.0)]);
        let began = Some(at("2027-02-05T12:00:00Z"));
        let since = LoggerTimes { column: 0, holds: Holds::Minutes, began };
        let read = readings("min,c\n0,5\n1.5,6\n", &since, (1, Holds::Celsius), &zone(), Units::Metric).unwrap();
        assert_eq!(read[1].0, at("2027-02-05T12:01:30Z"));
        let wrong = readings("min,c\nsoon,5\n", &since, (1, Holds::Celsius), &zone(), Units::Metric).unwrap_err();
        assert_eq!(wrong.field, "[0].time");
        assert!(readings("a,b\n1,2\n", &since, (7, Holds::Celsius), &zone(), Units::Metric).is_err());
    }
}
