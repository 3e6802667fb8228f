//! The book that is kept of a dish: what lies where, and each move of it.

use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::place::Place;
use super::substance::Substance;

/// Less than this is not told, g.
const LEAST_G: f64 = 0.05;

/// One thing that a task moves. What becomes something else in its place leaves and arrives there: two lines from and to it.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct LedgerLine {
    /// What: `meat` (or `meat:` and a part's number), `bone`, `sinew`, `fat`, `liquid`, `salt`, or a larder key.
    pub what: String,
    /// How much, g.
    pub g: f64,
    /// From there.
    pub from: Place,
    /// To there.
    pub to: Place,
}

/// What lies where. Nothing is made and nothing is lost: what is moved is what is there.
#[derive(Debug, Clone, Default)]
pub(crate) struct Ledger {
    held: Vec<(Substance, Place, f64)>,
    lines: Vec<LedgerLine>,
}

impl Ledger {
    /// How much of something is at a place, g.
    pub fn at(&self, what: Substance, place: Place) -> f64 {
        self.held.iter().find(|(held, at, _)| *held == what && *at == place).map_or(0.0, |(.., g)| *g)
    }

    /// Where something is, if it is in the kitchen and not done with.
    pub fn place_of(&self, what: Substance) -> Option<Place> {
        self.held.iter().find(|(held, at, g)| *held == what && *g > LEAST_G && !at.is_an_end()).map(|(_, at, _)| *at)
    }

    /// Everything at a place, with how much of it, g.
    pub fn everything_at(&self, place: Place) -> Vec<(Substance, f64)> {
        self.held.iter().filter(|(_, at, g)| *at == place && *g > LEAST_G).map(|(what, _, g)| (*what, *g)).collect()
    }

    fn add(&mut self, what: Substance, place: Place, g: f64) {
        match self.held.iter_mut().find(|(held, at, _)| *held == what && *at == place) {
            Some((.., there)) => *there += g,
            None => self.held.push((what, place, g)),
        }
    }

    fn tell(&mut self, what: Substance, g: f64, from: Place, to: Place) {
        let g = (g * 10.0).round() / 10.0;
        self.lines.push(LedgerLine { what: what.to_string(), g, from, to });
    }

    /// Comes from the shop.
    pub fn buy(&mut self, what: Substance, g: f64, to: Place) {
        if g > LEAST_G {
            self.add(what, to, g);
            self.tell(what, g, Place::Shop, to);
        }
    }

    /// What can be taken of something at a place: no more than is there.
    fn taken(&mut self, what: Substance, g: f64, at: Place) -> f64 {
        let g = f64::min(g, self.at(what, at));
        self.add(what, at, -g);
        g
    }

    /// So much of it goes from one place to another.
    pub fn carry(&mut self, what: Substance, g: f64, from: Place, to: Place) {
        let g = self.taken(what, g, from);
        if g > LEAST_G {
            self.add(what, to, g);
            self.tell(what, g, from, to);
        }
    }

    /// All of it goes from one place to another.
    pub fn carry_all(&mut self, what: Substance, from: Place, to: Place) {
        self.carry(what, self.at(what, from), from, to);
    }

    /// Everything goes from one place to another.
    pub fn empty(&mut self, from: Place, to: Place) {
        for (what, g) in self.everything_at(from) {
            self.carry(what, g, from, to);
        }
    }

    /// So much of it becomes something else where it is.
    pub fn turn(&mut self, what: Substance, g: f64, at: Place, other: Substance) {
        let g = self.taken(what, g, at);
        if g > LEAST_G {
            self.add(other, at, g);
            self.tell(what, g, at, at);
            self.tell(other, g, at, at);
        }
    }

    /// All of it becomes something else where it is.
    pub fn turn_all(&mut self, what: Substance, at: Place, other: Substance) {
        self.turn(what, self.at(what, at), at, other);
    }

    /// The lines since the last time.
    pub fn lines(&mut self) -> Vec<LedgerLine> {
        std::mem::take(&mut self.lines)
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::bench::Larder;

    const WINE: Substance = Substance::Larder(Larder::RedWine);

    #[test]
    fn what_is_bought_is_carried_and_becomes_something_else_and_nothing_is_lost() {
        let mut book = Ledger::default();
        book.buy(WINE, 500.0, Place::Pan);
        book.carry(WINE, 250.0, Place::Pan, Place::Air);
        book.carry_all(WINE, Place::Pan, Place::Vessel);
        book.turn_all(WINE, Place::Vessel, Substance::Liquid);
        assert_eq!((book.at(WINE, Place::Vessel), book.at(Substance::Liquid, Place::Vessel)), (0.0, 250.0));
        assert_eq!(book.place_of(Substance::Liquid), Some(Place::Vessel));
        assert_eq!(book.lines().len(), 5, "what becomes something else is two lines");
        book.empty(Place::Vessel, Place::Plate);
        assert!(book.everything_at(Place::Vessel).is_empty() && book.place_of(Substance::Liquid).is_none());
    }

    #[test]
    fn no_more_is_taken_than_is_there() {
        let mut book = Ledger::default();
        book.buy(WINE, 100.0, Place::Pan);
        book.carry(WINE, 50.0, Place::Bowl, Place::Vessel);
        book.carry(WINE, 200.0, Place::Pan, Place::Vessel);
        assert_eq!(book.at(WINE, Place::Vessel), 100.0);
        assert_eq!(book.lines().len(), 2);
    }
}
