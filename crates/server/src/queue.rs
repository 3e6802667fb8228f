//! Who computes when: off the async threads, on two lanes with threads of their own, so that the cook at work never waits
//! behind what is only being considered. On each lane the turns go round by visitor, and each visitor has so many places to wait
//! in; who has none left is told to ask again.

use std::collections::VecDeque;
use std::hash::{DefaultHasher, Hash, Hasher};
use std::sync::{Arc, Mutex, MutexGuard, PoisonError};

use ergastic_cancel::Cancel;
use ergastic_words::service as say;
use rayon::{ThreadPool, ThreadPoolBuilder};
use tokio::sync::oneshot;

use crate::access::Visitor;
use crate::error::{ApiError, ApiResult};

/// Computations of a lane that go on at once.
const AT_ONCE: usize = 2;
/// Computations of a lane that wait for their turn, of one visitor.
const WAITING: usize = 24;
/// And of all together.
const WAITING_OF_ALL: usize = 512;
/// What is only being considered yields the processor to the cook at work by so much (as `nice`).
const YIELDS: i32 = 10;

/// Whose computation it is.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum WorkLane {
    /// A cook under way: someone stands at the stove.
    Cook,
    /// Everything that is being considered.
    Bench,
}

/// Who asks, as far as turns go.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub struct Asker(u64);

impl Asker {
    /// The kitchen itself, behind nobody's request.
    pub const KITCHEN: Self = Self(0);

    /// A visitor: a device, this machine, or an address.
    pub fn of(visitor: &Visitor) -> Self {
        let mut hasher = DefaultHasher::new();
        match visitor {
            Visitor::Machine => 1.hash(&mut hasher),
            Visitor::Probe => 2.hash(&mut hasher),
            Visitor::Device(device) => (3, device.id).hash(&mut hasher),
            Visitor::Stranger(peer) => (4, peer).hash(&mut hasher),
        }
        Self(hasher.finish().max(1))
    }
}

tokio::task_local! {
    /// Whose request is being answered: said by the door.
    pub static ASKER: Asker;
}

/// The lanes.
#[derive(Debug, Clone)]
pub struct Queue {
    cook: Arc<Track>,
    bench: Arc<Track>,
}

#[derive(Debug)]
struct Track {
    threads: ThreadPool,
    turns: Mutex<TurnsTaken>,
}

#[derive(Debug, Default)]
struct TurnsTaken {
    running: usize,
    /// Those who wait, by visitor; the first visitor is next.
    waiting: VecDeque<(Asker, VecDeque<oneshot::Sender<Turn>>)>,
}

impl TurnsTaken {
    /// Forgets those that were given up.
    fn tidy(&mut self) {
        for (_, own) in &mut self.waiting {
            own.retain(|one| !one.is_closed());
        }
        self.waiting.retain(|(_, own)| !own.is_empty());
    }

    /// Who is next; their visitor goes behind all others.
    fn next(&mut self) -> Option<oneshot::Sender<Turn>> {
        let (asker, mut own) = self.waiting.pop_front()?;
        let next = own.pop_front();
        if !own.is_empty() {
            self.waiting.push_back((asker, own));
        }
        next
    }
}

/// The right to compute now, handed on when dropped.
#[derive(Debug)]
struct Turn(Option<Arc<Track>>);

impl Drop for Turn {
    fn drop(&mut self) {
        if let Some(track) = self.0.take() {
            track.hand_on();
        }
    }
}

/// Gives the sign to give up when nobody waits for the answer any more.
struct CancelWhenDropped(Cancel);

impl Drop for CancelWhenDropped {
    fn drop(&mut self) {
        self.0.cancel();
    }
}

impl Track {
    fn new(name: &'static str, yields: i32) -> anyhow::Result<Arc<Self>> {
        let threads = ThreadPoolBuilder::new()
            .thread_name(move |i| format!("{name}-{i}"))
            .start_handler(move |_| {
                // Of the calling thread alone; where it is not allowed, all are alike.
                let _ = rustix::process::setpriority_process(None, yields);
            })
            .build()?;
        Ok(Arc::new(Self { threads, turns: Mutex::default() }))
    }

    fn turns(&self) -> MutexGuard<'_, TurnsTaken> {
        self.turns.lock().unwrap_or_else(PoisonError::into_inner)
    }

    /// A turn at once, or a place to wait for one in; `None` where this visitor has none left.
    fn asked(self: &Arc<Self>, asker: Asker) -> Option<oneshot::Receiver<Turn>> {
        let (send, turn) = oneshot::channel();
        let mut turns = self.turns();
        if turns.running < AT_ONCE {
            turns.running += 1;
            let _ = send.send(Turn(Some(self.clone())));
            return Some(turn);
        }
        turns.tidy();
        let all: usize = turns.waiting.iter().map(|(_, own)| own.len()).sum();
        let own = turns.waiting.iter().position(|(other, _)| *other == asker);
        let length = own.map_or(0, |at| turns.waiting[at].1.len());
        if all >= WAITING_OF_ALL || length >= WAITING {
            return None;
        }
        match own {
            Some(at) => turns.waiting[at].1.push_back(send),
            None => turns.waiting.push_back((asker, VecDeque::from([send]))),
        }
        Some(turn)
    }

    /// Hands a turn on to who is next, or lets it go.
    fn hand_on(self: &Arc<Self>) {
        loop {
            let mut turns = self.turns();
            let Some(next) = turns.next() else {
                turns.running -= 1;
                return;
            };
            drop(turns);
            match next.send(Turn(Some(self.clone()))) {
                Ok(()) => return,
                // Given up meanwhile: the turn is still here.
                Err(mut back) => back.0 = None,
            }
        }
    }
}

impl Queue {
    /// Lanes over every core of the machine.
    ///
    /// # Errors
    /// When threads can't be started.
    pub fn new() -> anyhow::Result<Self> {
        Ok(Self { cook: Track::new("cook", 0)?, bench: Track::new("bench", YIELDS)? })
    }

    /// Computes when its turn comes. Dropped, it gives up its place, or stops what goes on.
    ///
    /// # Errors
    /// What the work says; 503 when too many of this visitor wait already.
    pub async fn run<T: Send + 'static>(
        &self,
        lane: WorkLane,
        work: impl FnOnce(Cancel) -> ergastic_core::Result<T> + Send + 'static,
    ) -> ApiResult<T> {
        let track = match lane {
            WorkLane::Cook => self.cook.clone(),
            WorkLane::Bench => self.bench.clone(),
        };
        let asker = ASKER.try_with(|asker| *asker).unwrap_or(Asker::KITCHEN);
        let turn = track.asked(asker).ok_or(ApiError::Later(say::too_much()))?;
        let turn = turn.await.map_err(|error| ApiError::Internal(error.to_string()))?;
        let cancel = Cancel::default();
        let waits = CancelWhenDropped(cancel.clone());
        let done = tokio::task::spawn_blocking(move || {
            // The turn ends with the work, not with the request: one that was given up still holds a core until it stops.
            let _turn = turn;
            track.threads.install(|| work(cancel))
        })
        .await;
        drop(waits);
        Ok(done.map_err(|error| ApiError::Internal(error.to_string()))??)
    }
}

#[cfg(test)]
mod tests {
    use std::sync::atomic::{AtomicBool, Ordering};
    use std::sync::mpsc::channel;
    use std::time::Duration;

    use tokio::task::JoinHandle;

    use super::*;

    #[tokio::test(flavor = "multi_thread")]
    async fn what_nobody_waits_for_any_more_is_stopped_and_gives_up_its_turn() {
        let queue = Queue::new().unwrap();
        let ended = Arc::new(AtomicBool::new(false));
        let (began, begins) = channel();
        let mark = ended.clone();
        let work = queue.run(WorkLane::Bench, move |cancel| {
            began.send(()).unwrap();
            while !cancel.is_cancelled() {
                std::thread::sleep(Duration::from_millis(1));
            }
            mark.store(true, Ordering::SeqCst);
            Ok(())
        });
        // A request that is dropped: the time-out of whoever asked.
        assert!(tokio::time::timeout(Duration::from_millis(50), work).await.is_err());
        begins.recv_timeout(Duration::from_secs(10)).unwrap();
        for _ in 0..10_000 {
            if ended.load(Ordering::SeqCst) {
                break;
            }
            tokio::time::sleep(Duration::from_millis(1)).await;
        }
        assert!(ended.load(Ordering::SeqCst));
        while queue.bench.turns().running > 0 {
            tokio::time::sleep(Duration::from_millis(1)).await;
        }
    }

    /// Work that is let go of one by one, and whose it was that has begun.
    struct Gate {
        passes: Mutex<std::sync::mpsc::Receiver<()>>,
        begun: Mutex<Vec<u64>>,
    }

    fn gate() -> (std::sync::mpsc::Sender<()>, Arc<Gate>) {
        let (let_go, passes) = channel();
        (let_go, Arc::new(Gate { passes: Mutex::new(passes), begun: Mutex::default() }))
    }

    /// Work that lasts until it is let go.
    fn held(queue: &Queue, asker: u64, gate: &Arc<Gate>) -> JoinHandle<ApiResult<u64>> {
        let (queue, gate) = (queue.clone(), gate.clone());
        tokio::spawn(ASKER.scope(Asker(asker), async move {
            queue
                .run(WorkLane::Bench, move |_| {
                    gate.begun.lock().unwrap().push(asker);
                    let _ = gate.passes.lock().unwrap().recv();
                    Ok(asker)
                })
                .await
        }))
    }

    async fn until_begun(gate: &Gate, many: usize) {
        while gate.begun.lock().unwrap().len() < many {
            tokio::time::sleep(Duration::from_millis(1)).await;
        }
    }

    async fn until_waiting(queue: &Queue, many: usize) {
        while queue.bench.turns().waiting.iter().map(|(_, own)| own.len()).sum::<usize>() < many {
            tokio::time::sleep(Duration::from_millis(1)).await;
        }
    }

    #[tokio::test(flavor = "multi_thread")]
    async fn who_asks_too_much_is_told_no_and_takes_nobody_elses_turn() {
        let queue = Queue::new().unwrap();
        let (let_go, gate) = gate();
        let greedy: Vec<_> = (0..AT_ONCE + WAITING).map(|_| held(&queue, 1, &gate)).collect();
        until_waiting(&queue, WAITING).await;
        let one_more = held(&queue, 1, &gate).await.unwrap();
        assert!(matches!(one_more, Err(ApiError::Later(_))));
        let other = held(&queue, 2, &gate);
        until_waiting(&queue, WAITING + 1).await;
        assert_eq!(queue.run(WorkLane::Cook, |_| Ok(3)).await.unwrap(), 3, "the cook at work has a lane of its own");
        // Of those that wait the other visitor's is the second, however many the first has.
        until_begun(&gate, AT_ONCE).await;
        for passed in 1..=2 {
            let_go.send(()).unwrap();
            until_begun(&gate, AT_ONCE + passed).await;
        }
        assert_eq!(gate.begun.lock().unwrap()[AT_ONCE..], [1, 2]);
        drop(let_go);
        assert_eq!(other.await.unwrap().unwrap(), 2);
        for one in greedy {
            assert_eq!(one.await.unwrap().unwrap(), 1);
        }
        assert_eq!(queue.run(WorkLane::Bench, |_| Ok(4)).await.unwrap(), 4, "and then there is room again");
    }

    #[tokio::test(flavor = "multi_thread")]
    async fn those_that_are_given_up_while_they_wait_leave_no_turn_behind() {
        let queue = Queue::new().unwrap();
        for _ in 0..50 {
            let (let_go, gate) = gate();
            let many: Vec<_> = (0..20).map(|i| held(&queue, i % 3 + 1, &gate)).collect();
            many.iter().skip(1).step_by(2).for_each(JoinHandle::abort);
            drop(let_go);
            for one in many {
                let _ = one.await;
            }
            assert_eq!(queue.run(WorkLane::Bench, |_| Ok(5)).await.unwrap(), 5);
        }
        while queue.bench.turns().running > 0 {
            tokio::time::sleep(Duration::from_millis(1)).await;
        }
    }
}
