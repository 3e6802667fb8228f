//! Giving up a computation that nobody waits for any more.
//!
//! Whoever waits keeps a [`Cancel`] and gives its sign; whoever works is handed the same one and [checks](Cancel::check) it now
//! and then. Work that was given up has no answer: it ends in [`Cancelled`], which can't be taken for one.

use std::sync::Arc;
use std::sync::atomic::{AtomicU64, Ordering};

/// So many checks are left before the sign counts as given; all of them where nobody has given it.
const NEVER: u64 = u64::MAX;

/// The computation was given up.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub struct Cancelled;

impl std::fmt::Display for Cancelled {
    fn fmt(&self, f: &mut std::fmt::Formatter<'_>) -> std::fmt::Result {
        f.write_str("given up")
    }
}

impl std::error::Error for Cancelled {}

/// A sign to give up, shared by who waits and who works.
///
/// ```
/// use ergastic_cancel::{Cancel, Cancelled};
/// let cancel = Cancel::default();
/// let works = cancel.clone();
/// assert_eq!(works.check(), Ok(()));
/// cancel.cancel();
/// assert_eq!(works.check(), Err(Cancelled));
/// ```
#[derive(Debug, Clone)]
pub struct Cancel(Arc<AtomicU64>);

impl Default for Cancel {
    fn default() -> Self {
        Self(Arc::new(AtomicU64::new(NEVER)))
    }
}

impl Cancel {
    /// A sign that gives itself at the check after so many, for tests of what is left behind.
    pub fn after(checks: u64) -> Self {
        Self(Arc::new(AtomicU64::new(checks)))
    }

    /// Gives the sign; there is no taking it back.
    pub fn cancel(&self) {
        self.0.store(0, Ordering::Relaxed);
    }

    /// Whether the sign was given.
    pub fn is_cancelled(&self) -> bool {
        let counted = self.0.try_update(Ordering::Relaxed, Ordering::Relaxed, |left| match left {
            0 | NEVER => None,
            left => Some(left - 1),
        });
        counted == Err(0)
    }

    /// To be asked wherever work can end early.
    ///
    /// # Errors
    /// The sign was given.
    pub fn check(&self) -> Result<(), Cancelled> {
        if self.is_cancelled() { Err(Cancelled) } else { Ok(()) }
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn the_sign_is_given_once_and_seen_by_all() {
        let cancel = Cancel::default();
        let works = cancel.clone();
        assert!((0..100).all(|_| works.check().is_ok()));
        cancel.cancel();
        assert_eq!((works.check(), cancel.check()), (Err(Cancelled), Err(Cancelled)));
    }

    #[test]
    fn one_that_counts_gives_itself_and_stays_given() {
        let cancel = Cancel::after(3);
        let found: Vec<bool> = (0..6).map(|_| cancel.is_cancelled()).collect();
        assert_eq!(found, [false, false, false, true, true, true]);
    }
}
