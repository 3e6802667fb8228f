//! At the board: out of the fridge, trimmed, salted, soaked, marinated, boiled up once.

use super::{Course, Told};
use crate::bench::Larder;
use crate::ledger::{Place, Substance};
use crate::prepare::SINEW_SHARE;
use crate::sheet::tasks::TaskId;
use ergastic_words::sheet as say;

/// Water that covers meat in a bowl, kg a kilo of it. Working value.
const COVERED_BY: f64 = 1.2;

impl Course<'_> {
    pub(super) fn at_the_board(&mut self, id: TaskId, waits_min: f64) -> Told {
        self.meat_to(Place::Board);
        match id {
            TaskId::Trim => self.trim(),
            TaskId::Salt if self.worked.bench.brine.is_some() => {
                self.brine();
                return Told::AsItIs;
            }
            TaskId::Salt => {
                let salt_g = self.worked.durations.salt_g;
                self.book.buy(Substance::Salt, salt_g, Place::Board);
                self.add_to_the_meat(Substance::Salt, salt_g, Place::Board);
                return self.back(waits_min, true);
            }
            _ => {}
        }
        self.back(waits_min, false)
    }

    fn trim(&mut self) {
        let into_pot = self.worked.bench.sinew_in_pot;
        for (meat, part) in self.meat().into_iter().zip(&self.worked.case.parts) {
            let off_g = (part.mass_kg - part.trimmed_kg()) * 1000.0;
            let sinew_g = SINEW_SHARE * off_g;
            self.book.turn(meat, off_g - sinew_g, Place::Board, Substance::Fat);
            self.book.turn(meat, sinew_g, Place::Board, Substance::Sinew);
        }
        self.book.carry_all(Substance::Fat, Place::Board, Place::Bin);
        if into_pot {
            self.book.carry_all(Substance::Sinew, Place::Board, Place::Vessel);
        } else {
            self.book.carry_all(Substance::Sinew, Place::Board, Place::Bin);
        }
    }

    fn brine(&mut self) {
        let Some(brine) = self.worked.bench.brine else { return };
        self.book.buy(Substance::Larder(Larder::Water), brine.water_l * 1000.0, Place::Bowl);
        self.book.buy(Substance::Salt, self.worked.durations.salt_g, Place::Bowl);
        self.meat_to(Place::Bowl);
    }

    /// Out of a brine or a soak, whose water goes.
    pub(super) fn out_of_the_bowl(&mut self, id: TaskId, waits_min: f64) -> Told {
        if id == TaskId::BrineOut {
            let taken_g = f64::min(self.worked.case.salt_g, self.book.at(Substance::Salt, Place::Bowl));
            self.add_to_the_meat(Substance::Salt, taken_g, Place::Bowl);
        }
        self.meat_to(Place::Board);
        self.book.empty(Place::Bowl, Place::Bin);
        self.back(waits_min, false)
    }

    pub(super) fn fresh_water(&mut self, id: TaskId) {
        let litres = match self.worked.bench.soak {
            Some(soak) if matches!(id, TaskId::Soak(_)) => soak.water_l,
            _ => COVERED_BY * self.worked.case.mass_kg,
        };
        self.book.carry_all(Substance::Larder(Larder::Water), Place::Bowl, Place::Bin);
        self.book.buy(Substance::Larder(Larder::Water), litres * 1000.0, Place::Bowl);
        self.meat_to(Place::Bowl);
    }

    pub(super) fn marinate(&mut self) {
        let Some(marinade) = self.worked.bench.marinade else { return };
        let strong = marinade.made_of();
        self.book.buy(Substance::Larder(strong.what), strong.grams(), Place::Bowl);
        self.book.buy(Substance::Larder(Larder::Water), marinade.ml - strong.millilitres(), Place::Bowl);
        self.meat_to(Place::Bowl);
    }

    pub(super) fn out_of_the_marinade(&mut self) {
        self.meat_to(Place::Board);
        if !self.worked.bench.keeps_the_marinade(&self.worked.case) {
            self.book.empty(Place::Bowl, Place::Bin);
        }
    }

    pub(super) fn blanch(&mut self) {
        self.meat_to(Place::Vessel);
        self.book.empty(Place::Bowl, Place::Bin);
        let litres = COVERED_BY * self.worked.case.mass_kg;
        self.book.buy(Substance::Larder(Larder::Water), litres * 1000.0, Place::Vessel);
    }

    pub(super) fn rinse_the_pot(&mut self) {
        self.meat_to(Place::Board);
        self.book.carry_all(Substance::Larder(Larder::Water), Place::Vessel, Place::Bin);
    }

    /// Out of the fridge; what stands out already is only dried, or left to stand.
    pub(super) fn take_out(&mut self) -> Told {
        let was_out = self.meat_is() == Some(Place::Board);
        self.meat_to(Place::Board);
        match (was_out, self.worked.durations.sear.is_some()) {
            (false, _) => Told::AsItIs,
            (true, true) => Told::Instead(say::pat_dry()),
            (true, false) => Told::Instead(say::stays_out()),
        }
    }
}
