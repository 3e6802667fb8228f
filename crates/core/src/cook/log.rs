//! What happened, line by line, as a cook reads it.

use ergastic_words::{
    Dial, Grams, Instant, Join, Length, Mass, Message, Minutes, Temperature, Voice, Volume, cook as say, ways as words,
};
use jiff::Timestamp;
use jiff::tz::TimeZone;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use uuid::Uuid;

use super::event::{Event, Happened};
use super::kinds::By;
use super::standing::Standing;
use super::task::CookTask;
use crate::finish::Move;
use crate::forecast::Heat;
use crate::heat::pot::Lid;
use crate::ways::Method;

/// A line of what happened. What takes a line back or corrects its time has no line of its own.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct LogLine {
    /// The event as it was logged.
    pub event: Event,
    /// When it was: as logged, or as corrected since.
    pub at: Timestamp,
    /// Whether that was corrected.
    pub corrected: bool,
    /// Taken back.
    pub undone: bool,
    /// The event that took it back: taking that back puts it back.
    pub undone_by: Option<Uuid>,
    /// What happened.
    pub words: String,
    /// What it is called when it is taken back.
    pub name: String,
}

/// Something that can be taken back, or put back.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct TakeBack {
    /// The event to take back: the line itself, or what took it back.
    pub event: Uuid,
    /// What it is called.
    pub name: String,
}

/// Every line, latest last.
pub(super) fn lines(
    events: &[Event],
    standing: &Standing,
    tasks: &[CookTask],
    zone: &TimeZone,
    voice: Voice,
) -> Vec<LogLine> {
    let own = |event: &&Event| !matches!(event.happened, Happened::Undone { .. } | Happened::Retimed { .. });
    let line = |event: &Event| {
        let corrected = standing.corrected(event.id);
        let at = corrected.unwrap_or(event.at);
        let undone_by = standing.undone_by(event.id);
        LogLine {
            at,
            corrected: corrected.is_some(),
            undone: undone_by.is_some(),
            undone_by,
            words: voice.render(words(&event.happened, at, tasks, zone)),
            name: voice.render(name(&event.happened, tasks)),
            event: event.clone(),
        }
    };
    events.iter().filter(own).map(line).collect()
}

/// The latest line that can be taken back, or put back.
pub(super) fn last(lines: &[LogLine], undone: bool) -> Option<TakeBack> {
    let line = lines.iter().rev().find(|line| line.undone == undone)?;
    Some(TakeBack { event: line.undone_by.unwrap_or(line.event.id), name: line.name.clone() })
}

/// A task as its sheet calls it; as it was sent where no sheet knows it.
fn task_name(id: &str, tasks: &[CookTask]) -> Message {
    let known = tasks.iter().find(|found| found.task.id.to_string() == id);
    Message::text(known.map_or_else(|| id.replace('_', " "), |found| found.task.what.clone()))
}

/// What an alarm was about.
fn alarm_name(alarm: &str, tasks: &[CookTask]) -> Message {
    match alarm.split_once(':') {
        Some(("task", id)) => task_name(id, tasks),
        Some(("probe", rest)) => Message::text(rest.split(':').next().unwrap_or_default().to_owned()),
        _ => say::the_pot(),
    }
}

/// What was changed of the heat, the lid and the pieces.
fn changed(method: Option<Method>, heat: Option<&Heat>, lid: Option<Lid>, halved: bool) -> Message {
    let to = |what: Option<Message>| what.into_iter();
    let heat = heat.cloned().unwrap_or_default();
    let parts = to(method.map(|method| words::changed_way(method.key())))
        .chain(to(heat.set_c.map(|c| say::changed_oven(Dial(c)))))
        .chain(to(heat.pit_c.map(|c| say::changed_pit(Dial(c)))))
        .chain(to(heat.simmer.map(|simmer| say::changed_simmer(simmer.key()))))
        .chain(to(heat.fat_c.or(heat.bath_c).or(heat.at_c).map(|c| say::changed_to(Temperature(c)))))
        .chain(to(heat.setting.map(|setting| say::changed_setting(setting.key()))))
        .chain(to(heat.wrap.map(|wrap| say::changed_wrap(wrap.material.key()))))
        .chain(to(lid.map(|lid| say::changed_lid(lid.words()))))
        .chain(to(halved.then(say::changed_halved)));
    let parts: Vec<Message> = parts.collect();
    if parts.is_empty() { say::changed_something() } else { Message::list(parts, Join::Commas) }
}

/// What was done on the way to the sauce.
fn did_to_the_sauce(did: &Move) -> Message {
    match *did {
        Move::Skim { with } => say::did_skim(with.key()),
        Move::Strain { .. } => say::did_strain(),
        Move::Reduce { to_l, .. } => say::did_reduce(Volume(to_l)),
        Move::SetAside { litres } => say::did_set_aside(Volume(litres)),
        Move::Thicken { with, .. } => say::did_thicken(with.key()),
        Move::PourIn { what, grams } => say::did_pour_in(Grams(grams), what.name()),
        Move::Salt { grams } => say::did_salt(Grams(grams)),
        Move::Measured { .. } => say::did_measure(),
    }
}

fn words(happened: &Happened, at: Timestamp, tasks: &[CookTask], zone: &TimeZone) -> Message {
    match happened {
        Happened::OnTheHeat {} => say::on_the_heat(),
        Happened::TaskDone { task } => say::task_done(task_name(task, tasks)),
        Happened::TaskTaken { task, hands } => say::task_taken(Message::text(hands.clone()), task_name(task, tasks)),
        Happened::CoreReading { celsius } => say::core_reading(Temperature(*celsius)),
        Happened::Check { found, by } => say::checked(by.unwrap_or(By::Fork).key(), found.key()),
        Happened::Tasted { salt } => say::tasted(salt.key()),
        Happened::Changed { method, heat, lid, halved } => changed(*method, heat.as_deref(), *lid, *halved),
        Happened::HeatOff {} => say::heat_off(),
        Happened::HeatOn {} => say::heat_on(),
        Happened::Opened { min } => say::opened(Minutes(*min)),
        Happened::ServeAtMoved { serve_at } => {
            say::serve_at_moved(Instant { at: *serve_at, zone: zone.clone(), read_at: Some(at) })
        }
        Happened::FatMeasured { mm } => say::fat_measured(Length(*mm)),
        Happened::ProbePut { probe, into } => say::probe_put(Message::text(probe.clone()), into.key()),
        Happened::Heard { alarm } => say::heard_alarm(alarm_name(alarm, tasks)),
        Happened::Later { alarm, min } => say::later_alarm(alarm_name(alarm, tasks), Minutes(*min)),
        Happened::LiquidAdded { litres, .. } => say::liquid_added(Volume(*litres)),
        Happened::SauceChosen { .. } => say::sauce_chosen(),
        Happened::SauceDone { did, .. } => did_to_the_sauce(did),
        Happened::TakenOut { what } => say::taken_out(Message::text(what.clone())),
        Happened::Dipped { litres } => say::dipped(Volume(*litres)),
        Happened::MeatWeighed { kg } => say::meat_weighed(Mass(*kg)),
        Happened::Weighed { lost_kg } => say::weighed(Mass(*lost_kg)),
        Happened::Note { text } => Message::text(text.clone()),
        Happened::Closed { .. } => say::closed(),
        Happened::Undone { .. } | Happened::Retimed { .. } => Message::nothing(),
    }
}

fn name(happened: &Happened, tasks: &[CookTask]) -> Message {
    match happened {
        Happened::OnTheHeat {} => say::on_the_heat_name(),
        Happened::TaskDone { task } => say::task_done_name(task_name(task, tasks)),
        Happened::TaskTaken { task, .. } => say::task_taken_name(task_name(task, tasks)),
        Happened::CoreReading { .. } => say::core_reading_name(),
        Happened::Check { found, .. } => say::checked_name(found.key()),
        Happened::Changed { .. } => say::changed_name(),
        Happened::HeatOff {} => say::heat_off_name(),
        Happened::HeatOn {} => say::heat_on_name(),
        Happened::Opened { .. } => say::opened_name(),
        Happened::ServeAtMoved { .. } => say::serve_at_moved_name(),
        Happened::FatMeasured { .. } => say::fat_measured_name(),
        Happened::ProbePut { .. } => say::probe_put_name(),
        Happened::Heard { .. } => say::heard_alarm_name(),
        Happened::Later { .. } => say::later_alarm_name(),
        Happened::Tasted { .. } => say::tasted_name(),
        Happened::LiquidAdded { .. } => say::liquid_added_name(),
        Happened::SauceChosen { .. } => say::sauce_chosen_name(),
        Happened::SauceDone { .. } => say::sauce_done_name(),
        Happened::TakenOut { .. } => say::taken_out_name(),
        Happened::Dipped { .. } => say::dipped_name(),
        Happened::MeatWeighed { .. } => say::meat_weighed_name(),
        Happened::Weighed { .. } => say::weighed_name(),
        Happened::Note { .. } => say::note_name(),
        Happened::Closed { .. } => say::closed_name(),
        Happened::Undone { .. } | Happened::Retimed { .. } => Message::nothing(),
    }
}
