//! What is to be placed.

use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// Minutes from the bell; before it is negative.
pub type Minute = i32;

/// From a minute up to another.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct Span {
    /// The first.
    pub from: Minute,
    /// The one after the last.
    pub to: Minute,
}

impl Span {
    /// Moved by some minutes.
    #[must_use]
    pub fn moved(self, by: Minute) -> Self {
        Self { from: self.from + by, to: self.to + by }
    }

    /// Minutes that both have in common.
    pub fn common(self, other: Self) -> Minute {
        (self.to.min(other.to) - self.from.max(other.from)).max(0)
    }
}

/// A kind of thing: how many there are, and how many uses one of them bears at one setting.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct Kind {
    /// How many.
    pub count: usize,
    /// Uses of one of them at a time, all at one setting.
    pub room: usize,
}

/// The kind that hands are, in every problem.
pub const HANDS: usize = 0;

/// The group of what something else takes already: nothing is said of it but where there are too few.
pub const OTHERS: Option<usize> = None;

/// A thing that a job takes while it is done, minutes from its start.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct Take {
    /// The kind.
    pub kind: usize,
    /// What it is set to.
    pub setting: i32,
    /// From when to when.
    pub span: Span,
}

/// A moment within a job.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct Edge {
    /// The job.
    pub job: usize,
    /// Minutes from its start.
    pub at: Minute,
}

/// How a job waits for one that follows: a least, an ideal and a most, and what a minute off the ideal costs.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Gap {
    /// The moment of this job that counts, minutes from its start.
    pub at: Minute,
    /// What follows.
    pub then: Edge,
    /// Minutes between, at the least: a shorter wait is impossible.
    pub least: Minute,
    /// Minutes between, at best.
    pub ideal: Minute,
    /// Minutes between, at the most: beyond them a minute costs `beyond`.
    pub most: Minute,
    /// What a minute under the ideal costs.
    pub under: f64,
    /// What a minute over the ideal costs, up to the most.
    pub over: f64,
    /// What a minute beyond the most costs.
    pub beyond: f64,
    /// What it costs besides that it is longer than its most at all.
    #[serde(default)]
    pub broken: f64,
    /// Whether the cook is told where it is shorter than its ideal or longer than its most.
    pub said: bool,
}

impl Gap {
    /// What a wait of so many minutes costs.
    #[must_use]
    pub fn price(&self, wait: Minute) -> f64 {
        let minutes = |minutes: Minute| f64::from(minutes.max(0));
        self.under * minutes(self.ideal - wait)
            + self.over * minutes(wait.min(self.most) - self.ideal)
            + self.beyond * minutes(wait - self.most)
            + if wait > self.most { self.broken } else { 0.0 }
    }
}

/// Where a job belongs.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Slot {
    /// It ends at the bell.
    ServeAt {
        /// What a minute before it costs.
        price: f64,
        /// So many minutes at the most; beyond them a minute costs `beyond`, and the cook is told.
        most: Minute,
        /// What a minute beyond the most costs.
        beyond: f64,
    },
    /// As late as what follows allows.
    Before(Vec<Gap>),
    /// As near as can be to a moment of another job.
    Near {
        /// Where it would best start.
        to: Edge,
        /// So much earlier is borne.
        earlier: Minute,
        /// So much later is borne.
        later: Minute,
        /// What a minute off costs.
        price: f64,
    },
}

/// What becomes of a job for which there is no time.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Give {
    /// The meal comes late rather.
    Never,
    /// It is done in no time of its own and without hands, for this price; its waits then count from its start.
    Squeezed(f64),
    /// It is left out, for this price.
    Dropped(f64),
}

/// Something to do, rigid in itself.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Job {
    /// Jobs that hang together, such as those of a dish; none for what something else takes already.
    pub group: Option<usize>,
    /// Minutes.
    pub len: Minute,
    /// Hands and things it takes.
    pub takes: Vec<Take>,
    /// When somebody has to be up and there beside that, minutes from its start.
    pub there: Vec<Span>,
    /// Where it belongs.
    pub place: Slot,
    /// This moment of it falls on a whole five minutes of the clock.
    pub grid: Option<Minute>,
    /// What becomes of it where there is no time.
    pub give: Give,
    /// What it costs where any of it falls into a night, if that is minded.
    pub by_day: Option<f64>,
    /// The cook has said when it starts.
    pub pinned: Option<Minute>,
}

/// A thing taken from a moment of one job to a moment of another.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Booking {
    /// The kind; none where only somebody has to be there.
    pub kind: Option<usize>,
    /// What it is set to.
    pub setting: i32,
    /// From.
    pub from: Edge,
    /// To: the job that is placed first.
    pub to: Edge,
    /// It lasts so long at the least, min.
    pub least: Minute,
    /// What a minute costs in which nobody is there; none where it runs by itself.
    pub watched: Option<f64>,
}

/// All that is to be placed, and what there is to place it on.
#[derive(Debug, Clone, PartialEq, Default, Serialize, Deserialize, ToSchema)]
#[schema(as = PlacingOf)]
pub struct Problem {
    /// What is to be done.
    pub jobs: Vec<Job>,
    /// Hands first ([`HANDS`]), then the other things.
    pub kinds: Vec<Kind>,
    /// Things taken across jobs.
    pub bookings: Vec<Booking>,
    /// When nobody is up and there, in time order.
    pub shut: Vec<Span>,
    /// Nights, for what keeps away from them by choice.
    pub nights: Vec<Span>,
    /// Nothing can start before this.
    pub now: Minute,
    /// The minute of the clock at the bell.
    pub clock: Minute,
    /// What a minute after the bell costs; none where plates are at the bell whatever that breaks.
    pub late_price: Option<f64>,
}

#[cfg(test)]
mod tests {
    use proptest::prelude::*;

    use super::*;
    use crate::testing::{span, wait};

    proptest! {
        #[test]
        fn a_wait_costs_nothing_at_its_ideal_and_the_more_the_further_off_it_is(
            ideal in 0..200, longer in 0..200, under in 0.0..5.0, over in 0.0..5.0, dearer in 0.0..5.0, broken in 0.0..50.0
        ) {
            let gap = Gap { ideal, most: ideal + longer, under, over, beyond: over + dearer, broken, ..wait(0, 0, 0) };
            prop_assert_eq!(gap.price(ideal), 0.0);
            let prices: Vec<f64> = (0..600).map(|minutes| gap.price(minutes)).collect();
            let (sooner, later) = prices.split_at(ideal as usize);
            prop_assert!(sooner.is_sorted_by(|a, b| a >= b), "{sooner:?}");
            prop_assert!(later.is_sorted(), "{later:?}");
            let most = gap.most;
            prop_assert!(gap.price(most + 1) - gap.price(most) >= broken);
        }

        #[test]
        fn what_two_spans_share_is_what_each_minute_says(a in -50..50, long in 0..60, b in -50..50, other in 0..60) {
            let (one, two) = (span(a, a + long), span(b, b + other));
            let counted = (a..a + long).filter(|minute| (b..b + other).contains(minute)).count() as Minute;
            prop_assert_eq!(one.common(two), counted);
            prop_assert_eq!(two.common(one), counted);
            prop_assert_eq!(one.moved(7).common(two.moved(7)), counted);
        }
    }
}
