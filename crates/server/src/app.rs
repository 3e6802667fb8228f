//! What every handler shares.

use ergastic_core::How;
use ergastic_core::kitchen::Kitchen;
use std::collections::HashMap;
use std::sync::{Arc, Mutex, PoisonError};
use std::time::Instant;

use ergastic_core::cook::CookView;
use ergastic_store::{State, Store};
use ergastic_words::{Voice, service as say};
use jiff::Timestamp;
use moka::sync::Cache;
use tokio::sync::Notify;
use uuid::Uuid;

use crate::access::{Desk, Visitor};
use crate::asked::{AskedOnce, MadeFrom};
use crate::changes::{Change, Changes};
use crate::clock::ServerClock;
use crate::error::ApiResult;
use crate::queue::{Queue, WorkLane};

/// Views that no longer change with the clock, kept.
const VIEWS: u64 = 64;
/// What was found of the disk counts for so long, ms: long enough for all who ask at once.
const STATE_COUNTS_MS: i64 = 100;

/// A view of a cook at work counts for so long, s of the kitchen's time: long enough for every screen that asks at once.
const LIVE_COUNTS_S: f64 = 5.0;
/// For so long, s of the kitchen's time, it is still shown while it is made anew: no screen waits for a dish to which nothing
/// happened.
const LIVE_IS_SHOWN_S: f64 = 15.0;
/// And at least for so long of the machine's own time, s, however fast the kitchen's clock runs: no older than what came over a
/// slow network.
const MIN_LIVE_COUNTS_S: f64 = 1.0;
/// Readings of one probe are told to the pages this often at the most, ms of the machine's own time.
const READINGS_EVERY_MS: u64 = 1000;

/// A view of a cook at work, and since when it has been known.
struct Live {
    made_from: MadeFrom,
    since: Instant,
    view: CookView,
}

/// What every handler shares.
#[derive(Clone)]
pub struct App {
    /// The kitchen.
    pub store: Store,
    /// Tells open pages what has changed.
    pub changes: Changes,
    /// What time it is in the kitchen.
    pub clock: ServerClock,
    /// Who may enter from beyond this machine.
    pub desk: Arc<Desk>,
    /// Wakes what is worked out in the background.
    pub upkeep: Arc<Notify>,
    /// What several ask for at once.
    pub asked: AskedOnce,
    settled: Cache<Uuid, (MadeFrom, Arc<CookView>)>,
    live: Arc<Mutex<HashMap<Uuid, Live>>>,
    turns: Arc<Mutex<HashMap<Uuid, Arc<tokio::sync::Mutex<()>>>>>,
    heard: Arc<Mutex<HashMap<String, (Instant, Timestamp)>>>,
    state: Arc<tokio::sync::Mutex<Option<(Timestamp, State)>>>,
    queue: Queue,
}

impl App {
    /// The application over a store.
    ///
    /// # Errors
    /// When threads can't be started.
    pub fn new(store: Store) -> anyhow::Result<Self> {
        Self::with_clock(store, ServerClock::default())
    }

    /// The same by another clock.
    ///
    /// # Errors
    /// When threads can't be started.
    pub fn with_clock(store: Store, clock: ServerClock) -> anyhow::Result<Self> {
        let run = format!("{:x}", Uuid::new_v4().as_u64_pair().0);
        Ok(Self {
            store,
            changes: Changes::new(&run),
            desk: Arc::default(),
            upkeep: Arc::default(),
            asked: AskedOnce::new(clock.speed()),
            clock,
            settled: Cache::new(VIEWS),
            live: Arc::default(),
            turns: Arc::default(),
            heard: Arc::default(),
            state: Arc::default(),
            queue: Queue::new()?,
        })
    }

    /// Runs a computation for a kitchen off the async threads; a request that has gone away is not computed any further.
    ///
    /// # Errors
    /// What the work says; 503 when too much is asked for at once.
    pub async fn compute<T: Send + 'static>(
        &self,
        lane: WorkLane,
        kitchen: Kitchen,
        work: impl FnOnce(&Kitchen) -> ergastic_core::Result<T> + Send + 'static,
    ) -> ApiResult<T> {
        self.queue.run(lane, move |cancel| work(&Kitchen { how: How { cancel, ..How::default() }, ..kitchen })).await
    }

    /// On whose screen something is tapped; none while there is but one place to tap on.
    pub fn device_name(&self, visitor: &Visitor) -> Option<String> {
        match visitor {
            Visitor::Device(device) => Some(device.name.clone()),
            Visitor::Machine => self.desk.beyond().map(|_| Voice::default().render(say::own_machine())),
            Visitor::Probe | Visitor::Stranger(_) => None,
        }
    }

    /// Tells open pages of a change; nobody listening is fine.
    pub fn changed(&self, change: Change) {
        if matches!(change, Change::Kitchen) {
            self.upkeep.notify_one();
        }
        self.changes.tell(change);
    }

    /// The view of a cook that no longer changes with the clock, if it was made from the same.
    pub fn settled_view(&self, id: Uuid, made_from: MadeFrom) -> Option<CookView> {
        self.settled.get(&id).filter(|(known, _)| *known == made_from).map(|(_, view)| CookView::clone(&view))
    }

    /// Keeps the view of a cook that no longer changes with the clock.
    pub fn keep_settled_view(&self, id: Uuid, made_from: MadeFrom, view: &CookView) {
        self.settled.insert(id, (made_from, Arc::new(view.clone())));
    }

    /// The view of a cook at work, if it was made from the same not long ago, and whether it still counts or is only to be shown
    /// until it is made anew.
    pub fn live_view(&self, id: Uuid, made_from: MadeFrom) -> Option<(CookView, bool)> {
        let live = self.live.lock().unwrap_or_else(PoisonError::into_inner);
        let known = live.get(&id).filter(|known| known.made_from == made_from && self.is_shown(known))?;
        Some((known.view.clone(), self.counts(known)))
    }

    fn counts(&self, known: &Live) -> bool {
        known.since.elapsed().as_secs_f64() < (LIVE_COUNTS_S / self.clock.speed()).max(MIN_LIVE_COUNTS_S)
    }

    fn is_shown(&self, known: &Live) -> bool {
        self.counts(known) || known.since.elapsed().as_secs_f64() < LIVE_IS_SHOWN_S / self.clock.speed()
    }

    /// The turn to work out a cook that many ask for at once: the first works it out, the others find it done.
    pub fn turn_of(&self, id: Uuid) -> Arc<tokio::sync::Mutex<()>> {
        let mut turns = self.turns.lock().unwrap_or_else(PoisonError::into_inner);
        turns.retain(|_, turn| Arc::strong_count(turn) > 1);
        turns.entry(id).or_default().clone()
    }

    /// Keeps the view of a cook at work for a moment.
    pub fn keep_live_view(&self, id: Uuid, made_from: MadeFrom, view: &CookView) {
        let mut live = self.live.lock().unwrap_or_else(PoisonError::into_inner);
        live.retain(|_, known| self.is_shown(known));
        live.insert(id, Live { made_from, since: Instant::now(), view: view.clone() });
    }

    /// Tells the pages what a probe read last: not of each of many readings.
    pub fn read(&self, probe: &str, at: Timestamp, celsius: f64) {
        let mut heard = self.heard.lock().unwrap_or_else(PoisonError::into_inner);
        let now = Instant::now();
        let told = heard.entry(probe.to_owned()).or_insert((now, Timestamp::MIN));
        let fresh = told.1 == Timestamp::MIN || now.duration_since(told.0).as_millis() as u64 >= READINGS_EVERY_MS;
        if fresh && at > told.1 {
            *told = (now, at);
            drop(heard);
            self.changes.tell(Change::Reading { probe: probe.to_owned(), at, celsius });
        }
    }

    /// Whether anything can be kept, as found just now.
    pub async fn state(&self, now: Timestamp) -> State {
        let mut known = self.state.lock().await;
        if let Some((at, state)) = known.as_ref()
            && now.duration_since(*at).abs().as_millis() < i128::from(STATE_COUNTS_MS)
        {
            return state.clone();
        }
        let state = self.store.state(now).await;
        *known = Some((now, state.clone()));
        state
    }
}
