//! What has changed, told to every open page; one that was away for a while is told what it missed.

use std::collections::{HashMap, VecDeque};
use std::sync::{Arc, Mutex, PoisonError};

use jiff::Timestamp;
use serde::Serialize;
use tokio::sync::{OwnedSemaphorePermit, Semaphore, broadcast};
use utoipa::ToSchema;
use uuid::Uuid;

/// Changes that are remembered for who comes back.
const REMEMBERED: usize = 256;
/// Streams that may be open at once from beyond this machine: a browser has one, however many pages it shows.
const STREAMS: usize = 64;
/// Of these so many of one device.
const OF_ONE_DEVICE: usize = 4;
/// The kitchen's own machine has places of its own.
const OF_THIS_MACHINE: usize = 16;

/// What has changed.
#[derive(Debug, Clone, PartialEq, Serialize, ToSchema)]
#[serde(tag = "what", rename_all = "snake_case")]
pub enum Change {
    /// Nothing: the stream begins here.
    Hello,
    /// The kitchen, or everything.
    Kitchen,
    /// A plan.
    Plan {
        /// Which.
        id: Uuid,
    },
    /// A cook.
    Cook {
        /// Which.
        id: Uuid,
    },
    /// A file that goes out or comes in has got so far; not remembered.
    Progress {
        /// Which way.
        task: Traffic,
        /// Plans, cooks and readings so far.
        done: u64,
        /// Of so many, where that is known.
        #[serde(skip_serializing_if = "Option::is_none")]
        of: Option<u64>,
    },
    /// A probe has read something; not remembered, and not told of each of many readings.
    Reading {
        /// Which.
        probe: String,
        /// When.
        at: Timestamp,
        /// °C.
        celsius: f64,
    },
    /// This page missed some changes: all must be read again.
    Missed,
}

/// Something that takes a while.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Traffic {
    /// The whole kitchen goes out.
    Export,
    /// A file comes in.
    Import,
}

/// A change with its place in the order of all of this run of the server.
pub type Numbered = (u64, Change);

/// The one place that changes are told from.
#[derive(Debug, Clone)]
pub struct Changes {
    told: Arc<Mutex<Announced>>,
    /// `None` ends every stream.
    send: broadcast::Sender<Option<Numbered>>,
    streams: Arc<Semaphore>,
    own: Arc<Semaphore>,
    devices: Arc<Mutex<HashMap<Uuid, Arc<Semaphore>>>>,
    /// Sets the numbers of this run of the server apart from those of another.
    run: Arc<str>,
}

#[derive(Debug, Default)]
struct Announced {
    last: u64,
    remembered: VecDeque<Numbered>,
}

/// A page that listens.
pub struct Listening {
    /// What it is told at once.
    pub first: Vec<Numbered>,
    /// What it is told then.
    pub then: broadcast::Receiver<Option<Numbered>>,
    /// Its places among the streams.
    pub permits: Vec<OwnedSemaphorePermit>,
}

impl Changes {
    /// Nothing told yet, in a run of the server with a name of its own.
    pub fn new(run: &str) -> Self {
        let (send, _) = broadcast::channel(REMEMBERED);
        Self {
            told: Arc::default(),
            send,
            streams: Arc::new(Semaphore::new(STREAMS)),
            own: Arc::new(Semaphore::new(OF_THIS_MACHINE)),
            devices: Arc::default(),
            run: run.into(),
        }
    }

    /// Tells of a change; nobody listening is fine.
    pub fn tell(&self, change: Change) {
        let mut told = self.told.lock().unwrap_or_else(PoisonError::into_inner);
        let passing = matches!(change, Change::Progress { .. } | Change::Reading { .. });
        if !passing {
            told.last += 1;
            let numbered = (told.last, change.clone());
            told.remembered.push_back(numbered);
            if told.remembered.len() > REMEMBERED {
                told.remembered.pop_front();
            }
        }
        // Under the lock, so that the order is that of the numbers.
        let _ = self.send.send(Some((told.last, change)));
    }

    /// Places for a stream of a device, of this machine where none is named; `None` where none is left.
    fn places(&self, device: Option<Uuid>) -> Option<Vec<OwnedSemaphorePermit>> {
        let Some(device) = device else { return Some(vec![self.own.clone().try_acquire_owned().ok()?]) };
        let mut devices = self.devices.lock().unwrap_or_else(PoisonError::into_inner);
        devices.retain(|_, own| own.available_permits() < OF_ONE_DEVICE);
        let of_device = devices.entry(device).or_insert_with(|| Arc::new(Semaphore::new(OF_ONE_DEVICE))).clone();
        let of_device = of_device.try_acquire_owned().ok()?;
        Some(vec![self.streams.clone().try_acquire_owned().ok()?, of_device])
    }

    /// Listens from now on, or from after the change of an id; `None` when too many do.
    pub fn listen(&self, device: Option<Uuid>, after: Option<&str>) -> Option<Listening> {
        let permits = self.places(device)?;
        let told = self.told.lock().unwrap_or_else(PoisonError::into_inner);
        let first = match after {
            None => vec![(told.last, Change::Hello)],
            Some(id) => self.missed(&told, id).unwrap_or_else(|| vec![(told.last, Change::Missed)]),
        };
        Some(Listening { first, then: self.send.subscribe(), permits })
    }

    /// What came after an id, if all of it is remembered.
    fn missed(&self, told: &Announced, id: &str) -> Option<Vec<Numbered>> {
        let after: u64 = id.strip_prefix(&*self.run)?.strip_prefix('-')?.parse().ok()?;
        let oldest = told.remembered.front().map_or(told.last + 1, |(number, _)| *number);
        if after > told.last || after + 1 < oldest {
            return None;
        }
        let mut first = vec![(after, Change::Hello)];
        first.extend(told.remembered.iter().filter(|(number, _)| *number > after).cloned());
        Some(first)
    }

    /// The id of a change on the wire.
    pub fn id(&self, number: u64) -> String {
        format!("{}-{number}", self.run)
    }

    /// Ends every stream, and every one that begins after.
    pub fn end(&self) {
        self.streams.close();
        self.own.close();
        let _ = self.send.send(None);
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    fn cook(id: u128) -> Change {
        Change::Cook { id: Uuid::from_u128(id) }
    }

    #[test]
    fn who_comes_back_is_told_what_it_missed_or_to_read_all_again() {
        let changes = Changes::new("a");
        let told = |after: &str| -> Vec<Change> {
            changes.listen(None, Some(after)).unwrap().first.into_iter().map(|(_, change)| change).collect()
        };
        for id in 1..=3 {
            changes.tell(cook(id));
        }
        changes.tell(Change::Progress { task: Traffic::Import, done: 1, of: None });
        assert_eq!(told("a-1"), [Change::Hello, cook(2), cook(3)]);
        assert_eq!(told("a-3"), [Change::Hello]);
        for strange in ["b-1", "a-9", "a-x", ""] {
            assert_eq!(told(strange), [Change::Missed], "{strange}");
        }
        for id in 0..300 {
            changes.tell(cook(id));
        }
        assert_eq!(told("a-3"), [Change::Missed], "that is too long ago");
    }

    #[test]
    fn streams_have_a_most_and_an_end() {
        let changes = Changes::new("a");
        let of = |device: usize| changes.listen(Some(Uuid::from_u128(device as u128)), None);
        let open: Vec<_> = (0..STREAMS).map(|i| of(i / OF_ONE_DEVICE).unwrap()).collect();
        assert!(of(0).is_none() && of(99).is_none());
        drop(open);
        let greedy: Vec<_> = (0..20).map_while(|_| of(1)).collect();
        assert_eq!(greedy.len(), OF_ONE_DEVICE);
        assert!(of(2).is_some(), "another device has its own");
        let own: Vec<_> = (0..20).map_while(|_| changes.listen(None, None)).collect();
        assert_eq!(own.len(), OF_THIS_MACHINE);
        drop(own);
        let mut one = changes.listen(None, None).unwrap();
        changes.end();
        assert_eq!(one.then.try_recv().unwrap(), None);
        assert!(changes.listen(None, None).is_none() && of(3).is_none(), "nothing begins when all is ending");
    }
}
