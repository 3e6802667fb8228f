//! The kitchen's clock: this machine's, or one that runs faster, to see a whole cook in minutes.

use std::time::Instant;

use jiff::{SignedDuration, Timestamp};

/// A clock that runs some times as fast as this machine's from the moment it was started.
#[derive(Debug, Clone, Copy)]
pub struct ServerClock {
    from: Timestamp,
    since: Instant,
    speed: f64,
}

impl Default for ServerClock {
    fn default() -> Self {
        Self::at_speed(1.0)
    }
}

impl ServerClock {
    /// Starting now.
    pub fn at_speed(speed: f64) -> Self {
        Self { from: Timestamp::now(), since: Instant::now(), speed }
    }

    /// The same, set to an instant.
    #[must_use]
    pub fn set_to(self, from: Timestamp) -> Self {
        Self { from, since: Instant::now(), ..self }
    }

    /// What it shows.
    pub fn now(&self) -> Timestamp {
        if self.speed == 1.0 {
            return Timestamp::now();
        }
        let passed = SignedDuration::from_secs_f64(self.since.elapsed().as_secs_f64() * self.speed);
        self.from.saturating_add(passed).unwrap_or(self.from)
    }

    /// How many times as fast as this machine's it runs.
    pub fn speed(&self) -> f64 {
        self.speed
    }
}
