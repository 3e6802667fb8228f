//! What is remembered at the door while the kitchen runs: wrong passphrases, open invitations, where it is found.

use std::collections::HashMap;
use std::net::IpAddr;
use std::sync::{Arc, Mutex, OnceLock, PoisonError};
use std::time::{Duration, Instant};

use ergastic_store::{Role, Store};
use rayon::{ThreadPool, ThreadPoolBuilder};
use tokio::sync::{broadcast, oneshot};
use uuid::Uuid;

use super::addresses::Addresses;
use super::attempts::Attempts;
use super::certificates::Certificates;
use super::invitations::Invitations;
use super::passphrase;
use super::secret::Secret;

/// It is looked so often whether a screen that listens is still signed in, where nobody says that it is not.
const STILL_IN: Duration = Duration::from_secs(15);

/// The way in from beyond this machine.
#[derive(Debug)]
pub struct Beyond {
    /// Where it is.
    pub addresses: Arc<Addresses>,
    /// What it shows.
    pub certificates: Arc<Certificates>,
}

/// What came of a passphrase.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum Shown {
    /// It is the one.
    Right,
    /// It is not, or none is set.
    Wrong,
    /// It was not looked at: so long must be waited first.
    Wait(Duration),
}

/// The desk at the door.
#[derive(Debug)]
pub struct Desk {
    attempts: Mutex<Attempts>,
    invitations: Mutex<Invitations>,
    /// One passphrase is looked at at a time, on a thread of its own: each takes memory, and each thread would keep its share.
    /// Another thread looks at those of senders who have sent wrong ones: they wait for each other, and nobody for them.
    looking: [Mutex<Option<Arc<ThreadPool>>>; 2],
    turns: [tokio::sync::Mutex<()>; 2],
    /// One at a time of each sender: guesses that come at once are told apart from one another.
    senders: Mutex<HashMap<IpAddr, Arc<tokio::sync::Mutex<()>>>>,
    gone: broadcast::Sender<()>,
    beyond: OnceLock<Beyond>,
}

impl Default for Desk {
    fn default() -> Self {
        let (gone, _) = broadcast::channel(1);
        Self {
            attempts: Mutex::default(),
            invitations: Mutex::default(),
            looking: Default::default(),
            turns: Default::default(),
            senders: Mutex::default(),
            gone,
            beyond: OnceLock::new(),
        }
    }
}

impl Desk {
    /// Opens the way in from beyond this machine.
    pub fn open(&self, beyond: Beyond) {
        let _ = self.beyond.set(beyond);
    }

    /// The way in from beyond this machine, where it is open.
    pub fn beyond(&self) -> Option<&Beyond> {
        self.beyond.get()
    }

    /// Looks at a passphrase that somebody shows.
    ///
    /// # Errors
    /// When the database can't be read.
    pub async fn look_at(&self, store: &Store, peer: IpAddr, shown: String) -> ergastic_store::Result<Shown> {
        let own = self.turn_of(peer);
        let _own = own.lock().await;
        let lane = usize::from(!self.attempts().is_clean(peer));
        let _turn = self.turns[lane].lock().await;
        let wait = self.attempts().wait(peer, Instant::now());
        if !wait.is_zero() {
            return Ok(Shown::Wait(wait));
        }
        let hash = store.passphrase_hash().await?;
        let right = match hash {
            Some(hash) => self.apart(lane, move || passphrase::is(&shown, &hash)).await.unwrap_or(false),
            None => false,
        };
        let mut attempts = self.attempts();
        if right {
            attempts.right(peer);
            return Ok(Shown::Right);
        }
        attempts.wrong(peer, Instant::now());
        Ok(Shown::Wrong)
    }

    /// The hash of a new passphrase.
    ///
    /// # Errors
    /// When the machine has no memory or no randomness for it.
    pub async fn hash(&self, passphrase: String) -> anyhow::Result<String> {
        self.apart(0, move || passphrase::hashed(&passphrase)).await?
    }

    /// The turn of a sender.
    fn turn_of(&self, peer: IpAddr) -> Arc<tokio::sync::Mutex<()>> {
        let mut senders = self.senders.lock().unwrap_or_else(PoisonError::into_inner);
        senders.retain(|_, turn| Arc::strong_count(turn) > 1);
        senders.entry(Attempts::sender(peer)).or_default().clone()
    }

    async fn apart<T: Send + 'static>(
        &self,
        lane: usize,
        work: impl FnOnce() -> T + Send + 'static,
    ) -> anyhow::Result<T> {
        let thread = {
            let mut looking = self.looking[lane].lock().unwrap_or_else(PoisonError::into_inner);
            match looking.as_ref() {
                Some(thread) => thread.clone(),
                None => {
                    let one = ThreadPoolBuilder::new().num_threads(1).thread_name(|_| "passphrase".into()).build()?;
                    looking.insert(Arc::new(one)).clone()
                }
            }
        };
        let (send, done) = oneshot::channel();
        thread.spawn(move || {
            // Who asked may have gone.
            let _ = send.send(work());
        });
        Ok(done.await?)
    }

    /// Takes an invitation; a wrong one counts as a wrong passphrase.
    pub fn take(&self, peer: IpAddr, code: &str) -> Result<Role, Shown> {
        let now = Instant::now();
        // It can't be guessed: a right one never waits.
        if let Some(role) = self.invitations.lock().unwrap_or_else(PoisonError::into_inner).take(code, now) {
            return Ok(role);
        }
        let wait = self.attempts().wait(peer, now);
        if !wait.is_zero() {
            return Err(Shown::Wait(wait));
        }
        self.attempts().wrong(peer, now);
        Err(Shown::Wrong)
    }

    /// Another invitation.
    pub fn invite(&self, role: Role) -> Secret {
        self.invitations.lock().unwrap_or_else(PoisonError::into_inner).invite(role, Instant::now())
    }

    /// How long an invitation holds.
    pub fn invitation_holds() -> Duration {
        super::invitations::HOLDS
    }

    /// Tells those who listen that somebody was signed out.
    pub fn signed_out(&self) {
        let _ = self.gone.send(());
    }

    /// Until a screen is no longer signed in.
    pub async fn until_gone(self: Arc<Self>, store: Store, device: Uuid) {
        let mut gone = self.gone.subscribe();
        loop {
            // A database that can't be read just now signs nobody out.
            if let Ok(false) = store.is_signed_in(device).await {
                return;
            }
            let _ = tokio::time::timeout(STILL_IN, gone.recv()).await;
        }
    }

    fn attempts(&self) -> std::sync::MutexGuard<'_, Attempts> {
        self.attempts.lock().unwrap_or_else(PoisonError::into_inner)
    }
}
