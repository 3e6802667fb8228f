//! What is to be placed.

/// Minutes from the bell; before it is negative.
pub type Minute = i32;

/// From a minute up to another.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
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
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub struct Kind {
    /// How many.
    pub count: usize,
    /// Uses of one of them at a time, all at one setting.
    pub room: usize,
}

/// The kind that hands are, in every problem.
pub const HANDS: usize = 0;

/// The group of what something else takes already: nothing is said of it but where there are too few.
pub const OTHERS: usize = usize::MAX;

/// A thing that a job takes while it is done, minutes from its start.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub struct Take {
    /// The kind.
    pub kind: usize,
    /// What it is set to.
    pub setting: i32,
    /// From when to when.
    pub span: Span,
}

/// A moment within a job.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub struct Edge {
    /// The job.
    pub job: usize,
    /// Minutes from its start.
    pub at: Minute,
}

/// A wait that may be cut short where time is.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Short {
    /// It can't be shorter than this.
    pub least: Minute,
    /// What a missing minute costs.
    pub price: f64,
}

/// How a job waits for one that follows.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Gap {
    /// The moment of this job that counts, minutes from its start.
    pub at: Minute,
    /// What follows.
    pub then: Edge,
    /// Minutes between, at the least.
    pub least: Minute,
    /// Whether it may be cut short.
    pub short: Option<Short>,
    /// What a minute more costs.
    pub price: f64,
    /// So many minutes more are borne; beyond them a minute costs `dear`, and it is said.
    pub borne: Minute,
    /// What a minute costs that is not borne.
    pub dear: f64,
    /// Whether it is said where it waits longer than is borne.
    pub said: bool,
}

/// Where a job belongs.
#[derive(Debug, Clone, PartialEq)]
pub enum Place {
    /// It ends at the bell.
    Bell {
        /// What a minute before it costs.
        price: f64,
        /// So many minutes are borne; beyond them a minute costs `dear`, and it is said.
        borne: Minute,
        /// What a minute costs that is not borne.
        dear: f64,
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
#[derive(Debug, Clone, Copy, PartialEq)]
pub enum Give {
    /// The meal comes late rather.
    Never,
    /// It is done in no time of its own, for this price.
    Squeezed(f64),
    /// It is left out, for this price.
    Dropped(f64),
}

/// Something to do, rigid in itself.
#[derive(Debug, Clone, PartialEq)]
pub struct Job {
    /// Jobs that hang together, such as those of a dish.
    pub group: usize,
    /// Minutes.
    pub len: Minute,
    /// Hands and things it takes.
    pub takes: Vec<Take>,
    /// When somebody has to be up and there beside that, minutes from its start.
    pub there: Vec<Span>,
    /// Where it belongs.
    pub place: Place,
    /// This moment of it falls on a whole five minutes of the clock.
    pub grid: Option<Minute>,
    /// What becomes of it where there is no time.
    pub give: Give,
    /// It keeps away from the night where that costs nothing.
    pub by_day: bool,
    /// The cook has said when it starts.
    pub pinned: Option<Minute>,
}

/// A thing taken from a moment of one job to a moment of another.
#[derive(Debug, Clone, Copy, PartialEq)]
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
#[derive(Debug, Clone, PartialEq, Default)]
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
