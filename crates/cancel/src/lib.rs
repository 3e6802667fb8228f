//! Giving up a computation that nobody waits for any more.
//!
//! A [`Stop`] is laid over the work; the ensembles look at it between their groups of cooks. What a stopped computation
//! answers means nothing and must be thrown away: this is the one thing in here that can change an answer from outside.

use std::cell::RefCell;
use std::sync::Arc;
use std::sync::atomic::{AtomicBool, Ordering};

thread_local! {
    static LAID_OVER: RefCell<Option<Stop>> = const { RefCell::new(None) };
}

/// A sign to stop, shared by who waits and who works.
#[derive(Debug, Clone, Default)]
pub struct Stop(Arc<AtomicBool>);

impl Stop {
    /// Gives the sign; there is no taking it back.
    pub fn stop(&self) {
        self.0.store(true, Ordering::Relaxed);
    }

    /// Whether the sign was given.
    pub fn is_stopped(&self) -> bool {
        self.0.load(Ordering::Relaxed)
    }

    /// Does work under this sign.
    pub fn over<T>(&self, work: impl FnOnce() -> T) -> T {
        under(&Some(self.clone()), work)
    }
}

/// The sign that this thread works under, to be carried to threads that share the work.
pub fn laid_over() -> Option<Stop> {
    LAID_OVER.with_borrow(Clone::clone)
}

/// Does a share of the work under a sign that was carried here.
pub fn under<T>(stop: &Option<Stop>, work: impl FnOnce() -> T) -> T {
    /// Puts back what was there, also when the work panics.
    struct Back(Option<Stop>);
    impl Drop for Back {
        fn drop(&mut self) {
            LAID_OVER.set(self.0.take());
        }
    }
    let _back = Back(LAID_OVER.replace(stop.clone()));
    work()
}

/// Whether the work that goes on here was given up.
pub fn stopped() -> bool {
    LAID_OVER.with_borrow(|stop| stop.as_ref().is_some_and(Stop::is_stopped))
}
