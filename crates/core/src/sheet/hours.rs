//! From what dishes ask for to what can be placed, and back to tasks with their hours.

use std::collections::BTreeMap;

use ergastic_words::Voice;
use jiff::Timestamp;

use super::course::follow;
use super::steps::{Block, Step, StepMoment, Steps, Where};
use super::stock::Stock;
use super::tasks::{Task, TaskId, Window};
use super::worked::Settled;
use crate::clock::{Stretch, minutes_between, plus_minutes};
use crate::kitchen::ThingKind;
use ergastic_schedule::{
    Booking, Edge, Gap, Give, HANDS, Job, Minute, OTHERS, Placed, Placing, Problem, Slot, Span, Take,
};

/// What a minute costs that a plate waits for the table, minutes at the most, and what one costs beyond them. The nearer to the plate
/// the dearer: so everything is best as late as can be. Working values.
const PLATE_WAITS: (f64, Minute, f64) = (3.0, 40, 12.0);
/// What a minute costs that the table waits for the plates: more than a minute of every wait of a dish together, so that all of
/// them give before anybody waits. Working value.
pub(crate) const TABLE_WAITS: f64 = 1000.0;
/// What it costs besides that a wait is so long that the cook is told. Working value.
const TOLD: f64 = 30.0;
/// What a minute costs in which nobody is with what must not be left alone. Working value.
const LEFT_ALONE: f64 = 1.0;

/// When and where all of it is to be placed.
pub(crate) struct PlacingFrame {
    /// Plates on the table.
    pub serve_at: Timestamp,
    /// Nothing can start before this, if anything.
    pub now: Option<Timestamp>,
    /// What there is to work with.
    pub stock: Stock,
    /// When nobody is up and there.
    pub shut: Vec<Stretch>,
    /// Nights that are kept away from where that costs nothing.
    pub nights: Vec<Stretch>,
    /// What a minute after the bell costs; none where the bell is what it is.
    pub late_price: Option<f64>,
    /// Steps whose beginning is known: dish, step, when.
    pub fixed: Vec<(usize, TaskId, Timestamp)>,
    /// What something else takes already.
    pub taken: Vec<TakenSpan>,
}

/// A kind of thing at a setting that is taken for some time.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub(crate) struct TakenSpan {
    kind: usize,
    setting: i32,
    span: Stretch,
}

impl TakenSpan {
    /// A thing from one moment to another, at a setting where it has one, °C.
    pub fn new(thing: ThingKind, set_c: Option<f64>, begin: Timestamp, end: Timestamp) -> Self {
        let setting = set_c.map_or(0, |celsius| (celsius * 10.0).round() as i32);
        Self { kind: thing as usize, setting, span: Stretch { begin, end } }
    }
}

impl PlacingFrame {
    /// Minutes from the bell.
    fn minute(&self, at: Timestamp) -> Minute {
        minutes_between(self.serve_at, at).round().clamp(-1e8, 1e8) as Minute
    }

    fn spans(&self, stretches: &[Stretch]) -> Vec<Span> {
        let of = |at, round: fn(f64) -> f64| round(minutes_between(self.serve_at, at)).clamp(-1e8, 1e8) as Minute;
        stretches.iter().map(|s| Span { from: of(s.begin, f64::floor), to: of(s.end, f64::ceil) }).collect()
    }
}

/// Where each step of each dish is found among the jobs.
pub(crate) struct Index(BTreeMap<(usize, TaskId), (usize, Edge)>);

impl Index {
    fn of(dishes: &[&Steps]) -> Self {
        let mut found = BTreeMap::new();
        let mut job = 0;
        for (dish, steps) in dishes.iter().enumerate() {
            for block in &steps.blocks {
                for step in &block.steps {
                    found.insert((dish, step.id), (job, Edge { job, at: step.at }));
                }
                job += 1;
            }
        }
        Self(found)
    }

    fn edge(&self, dish: usize, id: TaskId) -> Option<Edge> {
        self.0.get(&(dish, id)).map(|(_, edge)| *edge)
    }
}

/// Everything that several dishes ask for, as one problem.
pub(crate) fn problem(dishes: &[&Steps], frame: &PlacingFrame) -> Problem {
    let index = Index::of(dishes);
    let mut problem = Problem {
        kinds: frame.stock.kinds(),
        shut: frame.spans(&frame.shut),
        nights: frame.spans(&frame.nights),
        now: frame
            .now
            .map_or(Minute::MIN / 4, |now| minutes_between(frame.serve_at, now).ceil().clamp(-1e8, 1e8) as Minute),
        clock: frame.serve_at.as_second().div_euclid(60).rem_euclid(60) as Minute,
        late_price: frame.late_price,
        ..Problem::default()
    };
    for (dish, steps) in dishes.iter().enumerate() {
        for block in &steps.blocks {
            let pinned = frame.fixed.iter().find_map(|(of, id, at)| {
                let step = block.step(*id).filter(|_| *of == dish)?;
                Some(frame.minute(*at) - step.at)
            });
            problem.jobs.push(Job { pinned, ..job(block, &index, dish) });
        }
        for booked in &steps.booked {
            let ends = index.edge(dish, booked.from).zip(index.edge(dish, booked.to));
            let Some((from, mut to)) = ends else { continue };
            to.at += steps.all().find(|step| step.id == booked.to).map_or(0, |step| step.len);
            problem.bookings.push(Booking {
                kind: booked.thing.map(|thing| thing as usize),
                setting: booked.setting,
                from,
                to,
                least: booked.least,
                watched: booked.watched.then_some(LEFT_ALONE),
            });
        }
    }
    for taken in &frame.taken {
        let (from, to) = (frame.minute(taken.span.begin), frame.minute(taken.span.end));
        let span = Span { from: 0, to: to - from };
        problem.jobs.push(Job {
            group: OTHERS,
            len: span.to,
            takes: vec![Take { kind: taken.kind, setting: taken.setting, span }],
            there: Vec::new(),
            place: Slot::Before(Vec::new()),
            grid: None,
            give: Give::Never,
            by_day: None,
            pinned: Some(from),
        });
    }
    problem
}

/// Everything that a placing takes, for what is placed after it.
pub(crate) fn taken_spans(problem: &Problem, placing: &Placing, frame: &PlacingFrame) -> Vec<TakenSpan> {
    let at = |minute: Minute| plus_minutes(frame.serve_at, f64::from(minute));
    let of = |kind, setting, from: Minute, to: Minute| TakenSpan {
        kind,
        setting,
        span: Stretch { begin: at(from), end: at(to) },
    };
    let mut found = Vec::new();
    for (job, placed) in problem.jobs.iter().zip(&placing.jobs) {
        let Placed::At(start) = *placed else { continue };
        found.extend(job.takes.iter().map(|take| {
            let span = take.span.moved(start);
            of(take.kind, take.setting, span.from, span.to)
        }));
    }
    let edge = |edge: Edge| placing.jobs[edge.job].start().map(|start| start + edge.at);
    for booking in &problem.bookings {
        let Some(kind) = booking.kind else { continue };
        let Some((from, to)) = edge(booking.from).zip(edge(booking.to)) else { continue };
        found.push(of(kind, booking.setting, from, to));
    }
    found
}

fn job(block: &Block, index: &Index, dish: usize) -> Job {
    let span = |step: &Step| Span { from: step.at, to: step.at + step.len };
    let hands = block.steps.iter().filter(|step| step.hands && step.len > 0);
    let mut takes: Vec<Take> = hands.map(|step| Take { kind: HANDS, setting: 0, span: span(step) }).collect();
    for (thing, setting, from, to) in &block.takes {
        let Some((from, to)) = block.step(*from).zip(block.step(*to)) else { continue };
        let span = Span { from: from.at, to: to.at + to.len };
        takes.push(Take { kind: *thing as usize, setting: *setting, span });
    }
    let place = match &block.place {
        Where::ServeAt => Slot::ServeAt { price: PLATE_WAITS.0, most: PLATE_WAITS.1, beyond: PLATE_WAITS.2 },
        Where::Near { step, at, earlier, later, price } => match index.edge(dish, *step) {
            Some(edge) => {
                let to = Edge { at: edge.at + at, ..edge };
                Slot::Near { to, earlier: *earlier, later: *later, price: *price }
            }
            None => Slot::Before(Vec::new()),
        },
        Where::Before(waits) => Slot::Before(
            waits
                .iter()
                .filter_map(|wait| {
                    let own = wait.from.and_then(|id| block.step(id)).map(|step| step.at);
                    Some(Gap {
                        at: own.unwrap_or(block.len()),
                        then: index.edge(dish, wait.then)?,
                        least: wait.least,
                        ideal: wait.ideal,
                        most: wait.most,
                        under: wait.under,
                        over: wait.over,
                        beyond: wait.beyond,
                        broken: if wait.said { TOLD } else { 0.0 },
                        said: wait.said,
                    })
                })
                .collect(),
        ),
    };
    Job {
        group: Some(dish),
        len: block.len(),
        takes,
        there: block.steps.iter().filter(|step| step.there && step.len > 0).map(span).collect(),
        place,
        grid: block.grid.and_then(|id| block.step(id)).map(|step| step.at),
        give: block.give,
        by_day: block.by_day,
        pinned: None,
    }
}

/// A dish's tasks with their hours, in time order; its blocks are the jobs from `first` on.
pub(crate) fn tasks(
    steps: &Steps,
    dish: (&str, usize),
    first: usize,
    placing: &Placing,
    frame: &PlacingFrame,
    worked: &Settled,
) -> Vec<Task> {
    let mut told = Telling { dish: dish.0, voice: worked.case.voice, tasks: Vec::new() };
    for (number, block) in steps.blocks.iter().enumerate() {
        let (start, squeezed) = match placing.jobs[first + number] {
            Placed::At(at) => (at, false),
            Placed::Squeezed(at) => (at, true),
            Placed::Dropped => continue,
        };
        // What is known to the second keeps its seconds.
        let exact = frame.fixed.iter().find_map(|(of, id, at)| {
            let step = block.step(*id).filter(|_| *of == dish.1)?;
            Some(plus_minutes(*at, -f64::from(step.at)))
        });
        let begins = exact.unwrap_or_else(|| plus_minutes(frame.serve_at, f64::from(start)));
        let mut before = None;
        for step in &block.steps {
            told.step(step, begins, squeezed, before);
            before = Some(step.id);
        }
    }
    for block in &steps.blocks {
        let Some((ends, _)) = block.only_before.and_then(|before| told.of(before)) else { continue };
        told.tasks.retain(|task| block.step(task.id).is_none() || task.end <= ends);
    }
    for stretch in &steps.stretches {
        told.stretch(stretch);
    }
    let there: Vec<TaskId> = told.tasks.iter().map(|task| task.id).collect();
    for task in &mut told.tasks {
        task.after.retain(|id| there.contains(id));
    }
    told.tasks.sort_by_key(|task| (task.start, task.kind, task.id));
    follow(worked, &mut told.tasks);
    told.tasks
}

struct Telling<'a> {
    dish: &'a str,
    voice: Voice,
    tasks: Vec<Task>,
}

impl Telling<'_> {
    fn step(&mut self, step: &Step, begins: Timestamp, squeezed: bool, before: Option<TaskId>) {
        let start = plus_minutes(begins, f64::from(step.at));
        let end = plus_minutes(start, if squeezed { 0.0 } else { f64::from(step.len) });
        let window = step.window.map(|(earlier, later)| Window {
            from: plus_minutes(start, -f64::from(earlier)),
            to: plus_minutes(start, f64::from(later)),
        });
        let (what, why) = match &step.if_first {
            Some(first) if !self.tasks.iter().any(|task| task.kind == step.kind) => first.clone(),
            _ => (step.what.clone(), step.why.clone()),
        };
        self.tasks.push(Task {
            id: step.id,
            dish: self.dish.to_owned(),
            what: self.voice.render(what),
            why: self.voice.render(why),
            kind: step.kind,
            lane: step.lane,
            start,
            end,
            hands_on: step.hands && !squeezed,
            after: step.after.clone().unwrap_or_else(|| before.into_iter().collect()),
            window,
            cautions: step.cautions.clone(),
            pours_l: step.pours_l,
            ledger: Vec::new(),
        });
    }

    fn of(&self, id: TaskId) -> Option<(Timestamp, Timestamp)> {
        self.tasks.iter().find(|task| task.id == id).map(|task| (task.start, task.end))
    }

    fn moment(&self, moment: StepMoment) -> Option<Timestamp> {
        match moment {
            StepMoment::Start(id, minutes) => self.of(id).map(|(start, _)| plus_minutes(start, f64::from(minutes))),
            StepMoment::End(id) => self.of(id).map(|(_, end)| end),
        }
    }

    fn stretch(&mut self, stretch: &super::steps::Unattended) {
        let Some((from, to)) = self.moment(stretch.from).zip(self.moment(stretch.to)) else { return };
        let until = stretch.until.and_then(|id| self.of(id)).map_or(to, |(start, _)| start);
        // What it leads to may begin before it is surely over.
        let from = from.min(until);
        let to = to.max(from).min(until.max(from));
        if minutes_between(from, to) < f64::from(stretch.least) - 0.5 {
            return;
        }
        let window = stretch.over.and_then(|(id, quick, slow)| {
            let (start, _) = self.of(id)?;
            Some(Window { from: plus_minutes(start, quick), to: plus_minutes(start, slow) })
        });
        self.tasks.push(Task {
            id: stretch.id,
            dish: self.dish.to_owned(),
            what: self.voice.render(stretch.what.clone()),
            why: self.voice.render(stretch.why.clone()),
            kind: stretch.kind,
            lane: stretch.lane,
            start: from,
            end: to,
            hands_on: false,
            after: stretch.after.clone(),
            window,
            cautions: stretch.cautions.clone(),
            pours_l: 0.0,
            ledger: Vec::new(),
        });
    }
}
