//! Who computes when: off the async threads, on two lanes with threads of their own, so that the cook at work never waits
//! behind what is only being considered. Each lane has so many places to wait in, and then says no.

use std::sync::Arc;
use std::sync::atomic::{AtomicUsize, Ordering};

use ergastic_core::stop::Stop;
use ergastic_words::service as say;
use rayon::{ThreadPool, ThreadPoolBuilder};
use tokio::sync::Semaphore;

use crate::error::{ApiError, ApiResult};

/// Computations of a lane that go on at once.
const AT_ONCE: usize = 2;
/// Computations of a lane that wait for their turn.
const WAITING: usize = 24;

/// Whose computation it is.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum Lane {
    /// A cook under way: someone stands at the stove.
    Cook,
    /// Everything that is being considered.
    Bench,
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
    turns: Arc<Semaphore>,
    waiting: AtomicUsize,
}

/// Gives the sign to stop when nobody waits for the answer any more.
struct StopWhenDropped(Stop);

impl Drop for StopWhenDropped {
    fn drop(&mut self) {
        self.0.stop();
    }
}

/// A place among those that wait, given back when dropped.
struct Place<'a>(&'a AtomicUsize);

impl Drop for Place<'_> {
    fn drop(&mut self) {
        self.0.fetch_sub(1, Ordering::Relaxed);
    }
}

impl Track {
    fn new(name: &'static str) -> anyhow::Result<Arc<Self>> {
        let threads = ThreadPoolBuilder::new().thread_name(move |i| format!("{name}-{i}")).build()?;
        Ok(Arc::new(Self { threads, turns: Arc::new(Semaphore::new(AT_ONCE)), waiting: AtomicUsize::new(0) }))
    }

    /// A place to wait in, if one is left.
    fn place(&self) -> Option<Place<'_>> {
        let before = self.waiting.fetch_add(1, Ordering::Relaxed);
        let place = Place(&self.waiting);
        (before < WAITING + AT_ONCE).then_some(place)
    }
}

impl Queue {
    /// Lanes over every core of the machine.
    ///
    /// # Errors
    /// When threads can't be started.
    pub fn new() -> anyhow::Result<Self> {
        Ok(Self { cook: Track::new("cook")?, bench: Track::new("bench")? })
    }

    /// Computes when its turn comes. Dropped, it gives up its place, or stops what goes on.
    ///
    /// # Errors
    /// What the work says; 503 when too many wait already.
    pub async fn run<T: Send + 'static>(
        &self,
        lane: Lane,
        work: impl FnOnce() -> ergastic_core::Result<T> + Send + 'static,
    ) -> ApiResult<T> {
        let track = match lane {
            Lane::Cook => self.cook.clone(),
            Lane::Bench => self.bench.clone(),
        };
        let place = track.place().ok_or(ApiError::Later(say::too_much()))?;
        let turn = track.turns.clone().acquire_owned().await.map_err(|error| ApiError::Internal(error.to_string()))?;
        let stop = Stop::default();
        let waits = StopWhenDropped(stop.clone());
        let working = track.clone();
        let done = tokio::task::spawn_blocking(move || {
            // The turn ends with the work, not with the request: one that was given up still holds a core until it stops.
            let _turn = turn;
            working.threads.install(|| stop.over(work))
        })
        .await;
        drop((waits, place));
        Ok(done.map_err(|error| ApiError::Internal(error.to_string()))??)
    }
}

#[cfg(test)]
mod tests {
    use std::sync::atomic::AtomicBool;
    use std::sync::mpsc::channel;
    use std::time::Duration;

    use ergastic_core::stop::stopped;

    use super::*;

    #[tokio::test(flavor = "multi_thread")]
    async fn what_nobody_waits_for_any_more_is_stopped_and_gives_up_its_turn() {
        let queue = Queue::new().unwrap();
        let ended = Arc::new(AtomicBool::new(false));
        let (began, begins) = channel();
        let mark = ended.clone();
        let work = queue.run(Lane::Bench, move || {
            began.send(()).unwrap();
            while !stopped() {
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
        assert_eq!(queue.bench.waiting.load(Ordering::SeqCst), 0);
    }

    #[tokio::test(flavor = "multi_thread")]
    async fn a_full_lane_says_no_and_the_cook_at_work_has_its_own() {
        let queue = Queue::new().unwrap();
        let (let_go, held) = channel::<()>();
        let held = Arc::new(std::sync::Mutex::new(held));
        let waiting: Vec<_> = (0..AT_ONCE + WAITING)
            .map(|_| {
                let (queue, held) = (queue.clone(), held.clone());
                tokio::spawn(async move {
                    queue
                        .run(Lane::Bench, move || {
                            let _ = held.lock().unwrap().recv();
                            Ok(1)
                        })
                        .await
                })
            })
            .collect();
        while queue.bench.waiting.load(Ordering::SeqCst) < AT_ONCE + WAITING {
            tokio::time::sleep(Duration::from_millis(1)).await;
        }
        assert!(matches!(queue.run(Lane::Bench, || Ok(2)).await, Err(ApiError::Later(_))));
        assert_eq!(queue.run(Lane::Cook, || Ok(3)).await.unwrap(), 3);
        drop(let_go);
        for one in waiting {
            assert_eq!(one.await.unwrap().unwrap(), 1);
        }
        assert_eq!(queue.run(Lane::Bench, || Ok(4)).await.unwrap(), 4, "and then there is room again");
    }
}
