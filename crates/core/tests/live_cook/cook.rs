//! A dish on the heat, and what has happened to it so far.

use ergastic_core::clock::{minutes_between, plus_minutes};
use ergastic_core::cook::{CookView, Event, Happened, ProbeIn, Trace, view};
use ergastic_core::kitchen::Kitchen;
use ergastic_core::plan::Plan;
use jiff::Timestamp;
use serde_json::{Value, json};
use uuid::Uuid;

#[derive(Clone)]
pub struct Cook {
    pub plan: Plan,
    /// The cook was opened.
    pub opened: Timestamp,
    /// What every minute is counted from: the meat meets the heat, or the opening of a cook that has not begun.
    pub from: Timestamp,
    pub events: Vec<Event>,
    pub traces: Vec<Trace>,
}

impl Cook {
    /// On the heat from the first minute on, two hours after it was opened.
    pub fn of(forecast: &Value) -> Self {
        let mut cook = Self::opened(forecast);
        cook.opened = plus_minutes(cook.opened, 120.0);
        cook.from = plus_minutes(cook.opened, 120.0);
        cook.happened(0.0, Happened::OnTheHeat {});
        cook
    }

    /// Opened at eight in the morning, and nothing has happened.
    pub fn opened(forecast: &Value) -> Self {
        let plan =
            json!({"name": "Ice-road chuck", "people": 6, "serve_at": "2027-02-06T17:00:00Z", "forecast": forecast});
        let opened = "2027-02-06T08:00:00Z".parse().unwrap();
        Self {
            plan: serde_json::from_value(plan).unwrap(),
            opened,
            from: opened,
            events: Vec::new(),
            traces: Vec::new(),
        }
    }

    pub fn at(&self, minute: f64) -> Timestamp {
        plus_minutes(self.from, minute)
    }

    pub fn happened(&mut self, minute: f64, happened: Happened) -> Uuid {
        let id = Uuid::from_u128(self.events.len() as u128 + 1);
        self.events.push(Event { id, at: self.at(minute), happened, device: None });
        id
    }

    pub fn with(mut self, minute: f64, happened: Happened) -> Self {
        self.happened(minute, happened);
        self
    }

    pub fn view(&self, minute: f64) -> CookView {
        view(&self.plan, &Kitchen::default(), self.opened, &self.events, &self.traces, self.at(minute)).unwrap()
    }

    /// What the probe read, each at its minute, and where it is from the first minute on.
    pub fn probe(&mut self, into: ProbeIn, readings: impl Iterator<Item = (f64, f64)>) {
        let readings = readings.map(|(minute, celsius)| (self.at(minute), celsius)).collect();
        self.traces = vec![Trace { probe: "galley".into(), readings }];
        self.happened(0.0, Happened::ProbePut { probe: "galley".into(), into });
    }

    /// The same cook when no more had been read than up to a minute.
    pub fn until(&self, minute: f64) -> Self {
        let mut until = self.clone();
        until.traces.iter_mut().for_each(|trace| trace.readings.retain(|(at, _)| *at <= self.at(minute)));
        until
    }

    /// P10, P50 and P90 of tender in minutes.
    pub fn band(&self, minute: f64) -> [f64; 3] {
        let ready = self.view(minute).band.ready;
        [ready.p10, ready.p50, ready.p90].map(|at| minutes_between(self.from, at.unwrap()))
    }
}
