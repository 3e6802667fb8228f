//! What a dish asks for, before any of it has its hour: blocks of steps, what waits between them, and the things they take.

use ergastic_words::Message;

use crate::kitchen::Lane;
use crate::kitchen::ThingKind;
use crate::safety::Caution;
use crate::sheet::tasks::{TaskId, TaskKind};
use ergastic_schedule::{Give, Minute};

/// One thing to do.
#[derive(Debug, Clone)]
pub(crate) struct Step {
    pub id: TaskId,
    pub kind: TaskKind,
    pub lane: Lane,
    pub what: Message,
    pub why: Message,
    /// What is said in place of these where no other of its kind comes before it.
    pub if_first: Option<(Message, Message)>,
    /// Minutes from the beginning of its block.
    pub at: Minute,
    /// Minutes.
    pub len: Minute,
    /// All of it needs a pair of hands.
    pub hands: bool,
    /// Somebody has to be up and there.
    pub there: bool,
    /// Minutes by which it may be earlier and later.
    pub window: Option<(Minute, Minute)>,
    /// What comes before it; the step before it in its block where nothing is said. What is not on the sheet is passed over.
    pub after: Option<Vec<TaskId>>,
    pub cautions: Vec<Caution>,
    /// Liquid that is poured in with it, L.
    pub pours_l: f64,
}

impl Step {
    /// Hands-on, at the beginning of its block.
    pub fn new(id: TaskId, kind: TaskKind, lane: Lane, said: (Message, Message), len: Minute) -> Self {
        Self {
            id,
            kind,
            lane,
            what: said.0,
            why: said.1,
            if_first: None,
            at: 0,
            len,
            hands: len > 0,
            there: false,
            window: None,
            after: None,
            cautions: Vec::new(),
            pours_l: 0.0,
        }
    }

    /// So many minutes into its block.
    #[must_use]
    pub fn at(mut self, at: Minute) -> Self {
        self.at = at;
        self
    }

    /// It goes on by itself.
    #[must_use]
    pub fn alone(mut self) -> Self {
        self.hands = false;
        self
    }

    /// It wants an eye on it, not both hands.
    #[must_use]
    pub fn watched(mut self) -> Self {
        (self.hands, self.there) = (false, true);
        self
    }

    #[must_use]
    pub fn after(mut self, after: impl IntoIterator<Item = TaskId>) -> Self {
        self.after = Some(after.into_iter().collect());
        self
    }

    #[must_use]
    pub fn minding(mut self, caution: impl IntoIterator<Item = Caution>) -> Self {
        self.cautions.extend(caution);
        self
    }

    #[must_use]
    pub fn within(mut self, earlier: Minute, later: Minute) -> Self {
        self.window = Some((earlier, later));
        self
    }
}

/// How a block waits for another one's step: a least, an ideal and a most, min, and what a minute off the ideal costs.
#[derive(Debug, Clone)]
pub(crate) struct Wait {
    /// From the beginning of this step of its own, or from the end of the block.
    pub from: Option<TaskId>,
    /// To the beginning of this one.
    pub then: TaskId,
    pub least: Minute,
    pub ideal: Minute,
    pub most: Minute,
    /// What a minute under the ideal costs, one over it, and one beyond the most.
    pub under: f64,
    pub over: f64,
    pub beyond: f64,
    /// Whether it is said where it waits shorter or longer than it should.
    pub said: bool,
}

/// A minute beyond the most costs so many times as much as one before it. Working value.
const DEARER: f64 = 4.0;

impl Wait {
    /// Until this begins, straight on; it costs little to wait for it for so many minutes.
    pub fn until(then: TaskId, over: f64, most: Minute) -> Self {
        Self { from: None, then, least: 0, ideal: 0, most, under: 0.0, over, beyond: DEARER * over, said: false }
    }

    /// At least so long, and so much longer is borne.
    #[must_use]
    pub fn at_least(self, least: Minute) -> Self {
        Self { least, ideal: least, most: self.most + least, ..self }
    }

    /// So long at best, never shorter than `least`; a missing minute costs `under`.
    #[must_use]
    pub fn at_best(self, ideal: Minute, least: Minute, under: f64) -> Self {
        Self { least: least.min(ideal), ideal, most: self.most + ideal, under, ..self }
    }

    /// It is said where it waits shorter or longer than it should.
    #[must_use]
    pub fn said(self) -> Self {
        Self { said: true, ..self }
    }
}

/// Where a block belongs.
#[derive(Debug, Clone)]
pub(crate) enum Where {
    /// It ends at the bell.
    ServeAt,
    /// As late as what follows allows.
    Before(Vec<Wait>),
    /// Near a moment: so many minutes from the beginning of a step, so much earlier or later.
    Near { step: TaskId, at: Minute, earlier: Minute, later: Minute, price: f64 },
}

/// Steps that follow each other without a choice.
#[derive(Debug, Clone)]
pub(crate) struct Block {
    pub steps: Vec<Step>,
    pub place: Where,
    pub give: Give,
    /// This step begins on a whole five minutes.
    pub grid: Option<TaskId>,
    /// What it costs where it falls into the night, even where the cook is up for the rest.
    pub by_day: Option<f64>,
    /// Things taken from the beginning of a step to the end of another.
    pub takes: Vec<(ThingKind, i32, TaskId, TaskId)>,
    /// Without sense from the beginning of this step on, where the wait before it is short: left out then.
    pub only_before: Option<TaskId>,
}

impl Block {
    pub fn new(steps: Vec<Step>, place: Where) -> Self {
        Self { steps, place, give: Give::Never, grid: None, by_day: None, takes: Vec::new(), only_before: None }
    }

    pub fn len(&self) -> Minute {
        self.steps.iter().map(|step| step.at + step.len).max().unwrap_or(0)
    }

    pub fn first(&self) -> Option<TaskId> {
        self.steps.first().map(|step| step.id)
    }

    /// The step of that name.
    pub fn step(&self, id: TaskId) -> Option<&Step> {
        self.steps.iter().find(|step| step.id == id)
    }
}

/// A moment of a step or a stretch.
#[derive(Debug, Clone, Copy)]
pub(crate) enum StepMoment {
    Start(TaskId, Minute),
    End(TaskId),
}

/// What goes on by itself from one moment to another; nothing where they are closer than `least`.
#[derive(Debug, Clone)]
pub(crate) struct Unattended {
    pub id: TaskId,
    pub kind: TaskKind,
    pub lane: Lane,
    pub what: Message,
    pub why: Message,
    pub from: StepMoment,
    pub to: StepMoment,
    /// It is over when this begins, whatever is said.
    pub until: Option<TaskId>,
    pub least: Minute,
    pub after: Vec<TaskId>,
    /// When it may be over, minutes from the beginning of a step.
    pub over: Option<(TaskId, f64, f64)>,
    pub cautions: Vec<Caution>,
}

/// A thing taken from the beginning of a step to the end of another; only looked after where there is none.
#[derive(Debug, Clone, Copy)]
pub(crate) struct Booked {
    pub thing: Option<ThingKind>,
    pub setting: i32,
    pub from: TaskId,
    pub to: TaskId,
    /// Minutes at the least.
    pub least: Minute,
    /// Nobody may be away from it.
    pub watched: bool,
}

/// All of one dish.
#[derive(Debug, Clone, Default)]
pub(crate) struct Steps {
    pub blocks: Vec<Block>,
    pub stretches: Vec<Unattended>,
    pub booked: Vec<Booked>,
}

impl Steps {
    /// Every step.
    pub fn all(&self) -> impl Iterator<Item = &Step> {
        self.blocks.iter().flat_map(|block| &block.steps)
    }

    /// Minutes that need a pair of hands.
    pub fn hands_on_min(&self) -> f64 {
        self.all().filter(|step| step.hands).map(|step| f64::from(step.len)).sum()
    }

    /// A step takes so long, whatever is usual; the rest of its block follows.
    pub fn takes_min(&mut self, id: TaskId, len: Minute) {
        let Some(block) = self.blocks.iter_mut().find(|block| block.step(id).is_some()) else { return };
        let Some((ended, longer)) = block.step(id).map(|step| (step.at + step.len, len - step.len)) else { return };
        for step in &mut block.steps {
            if step.id == id {
                step.len = len;
            } else if step.at >= ended {
                step.at += longer;
            }
        }
    }

    /// The first step of the finishing.
    pub fn lifted(&self) -> TaskId {
        let finishing = self.blocks.iter().find(|block| block.step(TaskId::Lift).is_some());
        finishing.and_then(Block::first).unwrap_or(TaskId::Lift)
    }
}

/// Whole minutes that hold so many.
pub(crate) fn whole(minutes: f64) -> Minute {
    (minutes - 1e-6).ceil().clamp(0.0, 20_000.0) as Minute
}
