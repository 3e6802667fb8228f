//! A dish followed through its tasks: what each moves, written beside it. It adds no task of its own.

mod board;
mod pan;
mod plate;

use ergastic_words::{Join, Message, sheet as say};

use super::tasks::{Task, TaskId};
use super::worked::Settled;
use crate::clock::minutes_between;
use crate::ledger::{Ledger, Place, Substance};

/// Meat that waits longer goes back into the fridge, min.
const BACK_FROM_MIN: f64 = 30.0;

/// A dish under way.
struct Course<'a> {
    worked: &'a Settled,
    book: Ledger,
}

/// Follows a dish through its tasks and writes beside each what it moves; where meat goes back into the fridge, or is out already, the
/// task says so.
pub(crate) fn follow(worked: &Settled, tasks: &mut [Task]) {
    let mut course = Course { worked, book: Ledger::default() };
    let mut order: Vec<usize> = (0..tasks.len()).collect();
    order.sort_by_key(|at| (tasks[*at].start, tasks[*at].end, *at));
    for (turn, at) in order.iter().enumerate() {
        let next = order[turn + 1..].iter().map(|at| &tasks[*at]).find(|task| takes_the_meat(task.id));
        let waits_min = next.map_or(0.0, |next| minutes_between(tasks[*at].end, next.start));
        let task = &tasks[*at];
        let said = course.step(task, waits_min);
        let more = match said {
            Told::AsItIs => None,
            Told::AndThen(more) => Some(Message::list([Message::text(task.what.clone()), more], Join::Sentences)),
            Told::Instead(what) => Some(what),
        };
        let task = &mut tasks[*at];
        if let Some(what) = more {
            task.what = worked.case.voice.render(what);
        }
        task.ledger = course.book.lines();
    }
}

/// What a task says once it is known where the meat is.
enum Told {
    AsItIs,
    AndThen(Message),
    Instead(Message),
}

/// Whether a task takes the meat in hand before the heat.
fn takes_the_meat(id: TaskId) -> bool {
    matches!(
        id,
        TaskId::Trim
            | TaskId::Pierce
            | TaskId::Tie
            | TaskId::Salt
            | TaskId::Soak(_)
            | TaskId::SoakOut
            | TaskId::BrineOut
            | TaskId::Marinate
            | TaskId::MarinateOut
            | TaskId::Rinse
            | TaskId::ClearSoak
            | TaskId::Blanch
            | TaskId::TakeOut
            | TaskId::Flour
            | TaskId::Sear(_)
            | TaskId::Deglaze
            | TaskId::Simmer
    )
}

impl Course<'_> {
    fn step(&mut self, task: &Task, waits_min: f64) -> Told {
        match task.id {
            TaskId::Trim | TaskId::Pierce | TaskId::Tie | TaskId::Salt | TaskId::Rinse => {
                return self.at_the_board(task.id, waits_min);
            }
            TaskId::BrineOut | TaskId::SoakOut => return self.out_of_the_bowl(task.id, waits_min),
            TaskId::TakeOut => return self.take_out(),
            TaskId::Soak(_) | TaskId::ClearSoak | TaskId::ClearWater => self.fresh_water(task.id),
            TaskId::Marinate => self.marinate(),
            TaskId::MarinateOut => self.out_of_the_marinade(),
            TaskId::Blanch => self.blanch(),
            TaskId::BlanchRinse => self.rinse_the_pot(),
            TaskId::Flour => self.flour(),
            TaskId::HeatPan => self.fat_into_the_pan(),
            TaskId::Sear(batch) => self.sear(batch),
            TaskId::Light | TaskId::Preheat => self.melt_the_fat(),
            TaskId::Deglaze => self.scrape_or_rub(),
            TaskId::Cool => self.meat_to(Place::Vessel),
            TaskId::IntoCold => self.book.empty(Place::Vessel, Place::Fridge),
            TaskId::FromCold => self.book.empty(Place::Fridge, Place::Vessel),
            TaskId::Simmer => self.meet_the_heat(),
            TaskId::TopUp(_) | TaskId::Check(_) => self.top_up(task.pours_l),
            TaskId::Add(number) => self.add(number),
            TaskId::Remove(number) => self.remove(number),
            TaskId::Lift => self.lift(),
            TaskId::Skim => self.skim(),
            TaskId::Sauce => self.sauce(),
            TaskId::Slice => self.meat_to(Place::Board),
            TaskId::Serve => self.serve(),
            TaskId::MarinateTurn
            | TaskId::Night
            | TaskId::Braise
            | TaskId::Wrap
            | TaskId::Release
            | TaskId::Hold
            | TaskId::Dumplings
            | TaskId::Rest
            | TaskId::Warm(_)
            | TaskId::Stage(_)
            | TaskId::Move(_)
            | TaskId::Tend(_)
            | TaskId::Mop(_)
            | TaskId::Side(_)
            | TaskId::SideCook(_)
            | TaskId::SideOff(_) => {}
        }
        Told::AsItIs
    }

    /// The meat of each part.
    fn meat(&self) -> Vec<Substance> {
        match self.worked.case.parts.len() {
            1 => vec![Substance::Meat],
            parts => (1..=parts).map(Substance::MeatOf).collect(),
        }
    }

    /// Where the meat is; not bought yet where nothing is said.
    fn meat_is(&self) -> Option<Place> {
        self.meat().into_iter().find_map(|meat| self.book.place_of(meat))
    }

    /// All the meat comes to a place, from the shop the first time.
    fn meat_to(&mut self, to: Place) {
        for (meat, part) in self.meat().into_iter().zip(&self.worked.case.parts) {
            match self.book.place_of(meat) {
                None => self.book.buy(meat, part.mass_kg * 1000.0, to),
                Some(from) if from != to => self.book.carry_all(meat, from, to),
                Some(_) => {}
            }
        }
    }

    /// Something that is spread over all the meat becomes part of it.
    fn add_to_the_meat(&mut self, what: Substance, g: f64, at: Place) {
        let all: f64 = self.worked.case.parts.iter().map(|part| part.mass_kg).sum();
        for (meat, part) in self.meat().into_iter().zip(&self.worked.case.parts) {
            self.book.turn(what, g * part.mass_kg / all, at, meat);
        }
    }

    /// Straight on the board until the next step, or back into the fridge where that takes a while.
    fn back(&mut self, waits_min: f64, bare: bool) -> Told {
        if waits_min <= BACK_FROM_MIN {
            return Told::AsItIs;
        }
        self.meat_to(Place::Fridge);
        Told::AndThen(if bare { say::back_bare() } else { say::back_covered() })
    }
}
