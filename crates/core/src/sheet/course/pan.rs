//! The pan, and what goes into the pot: fat, batches, aromatics, wine, the liquid that is still missing, the meat.

use super::Course;
use crate::bench::{Addition, Larder, SearFat, SearIn};
use crate::ledger::{Place, Substance};
use crate::prepare::{FATS, OIL_ML, covering_fat_l, rendered_bacon_g};
use crate::ways::{Buys, ComesFrom, ThingIn};
use ergastic_physics::juices::FAT_KG_PER_L;

/// What is still itself when the meat is tender: everything else has become one with the liquid.
const STAYS_ITSELF: [Larder; 16] = [
    Larder::Bacon,
    Larder::Olives,
    Larder::Onion,
    Larder::Carrot,
    Larder::Celery,
    Larder::Garlic,
    Larder::Mushroom,
    Larder::Chilli,
    Larder::DriedMushroom,
    Larder::BayLeaf,
    Larder::Thyme,
    Larder::WholeSpice,
    Larder::Ginger,
    Larder::SweetPepper,
    Larder::FreshTomato,
    Larder::Seaweed,
];

impl Course<'_> {
    /// Where the meat is browned: in a pan, or in the pot it cooks in.
    fn browned_in(&self) -> Place {
        match self.worked.bench.sear_in {
            _ if self.worked.durations.sear.is_none() => Place::Vessel,
            SearIn::Pot | SearIn::PotAndLid => Place::Vessel,
            SearIn::Pan | SearIn::TwoPans | SearIn::Lid => Place::Pan,
        }
    }

    pub(super) fn flour(&mut self) {
        let flour = Substance::Larder(Larder::Flour);
        let clings_g = self.worked.durations.dredged_flour_g;
        let on_the_bench = self.worked.bench.ingredients.iter().find(|thing| thing.what == Larder::Flour);
        let bought_g = on_the_bench.map_or(clings_g, |thing| thing.grams());
        self.meat_to(Place::Board);
        self.book.buy(flour, bought_g, Place::Board);
        self.add_to_the_meat(flour, f64::min(clings_g, bought_g), Place::Board);
        self.book.carry_all(flour, Place::Board, Place::Bin);
    }

    pub(super) fn fat_into_the_pan(&mut self) {
        let Some(sear) = &self.worked.durations.sear else { return };
        let pan = self.browned_in();
        match sear.fat {
            SearFat::Own => {}
            SearFat::Oil => {
                let grams = OIL_ML * f64::from(sear.batches) * Larder::Oil.facts().density;
                self.book.buy(Substance::Larder(Larder::Oil), grams, pan);
            }
            SearFat::Bacon => {
                let bacon = Substance::Larder(Larder::Bacon);
                let grams = rendered_bacon_g(&self.worked.bench, &self.worked.case);
                let fat_g = grams * Larder::Bacon.facts().fat_pct / 100.0;
                self.book.buy(bacon, grams, pan);
                self.book.turn(bacon, fat_g, pan, Substance::Fat);
                self.book.carry_all(bacon, pan, Place::Tray);
            }
        }
    }

    /// A batch through the pan and onto the tray.
    pub(super) fn sear(&mut self, batch: u32) {
        let batches = self.worked.durations.sear.as_ref().map_or(1, |sear| sear.batches);
        let pan = self.browned_in();
        let from = Place::Board;
        if batch == 1 {
            self.meat_to(from);
        }
        let left = f64::from((batches + 1).saturating_sub(batch).max(1));
        for meat in self.meat() {
            let grams = self.book.at(meat, from) / left;
            self.book.carry(meat, grams, from, pan);
            self.book.carry_all(meat, pan, Place::Tray);
        }
    }

    /// Fat to cook under is bought for it and melted.
    pub(super) fn melt_the_fat(&mut self) {
        let case = &self.worked.case;
        let covers = case.first().medium.facts().buys == Buys::Fat;
        if covers && self.book.at(Substance::Fat, Place::Vessel) == 0.0 {
            self.book.buy(Substance::Fat, covering_fat_l(case) * FAT_KG_PER_L * 1000.0, Place::Vessel);
        }
    }

    /// The step before the heat: into the pan and scraped into the pot, rubbed in, or bagged.
    pub(super) fn scrape_or_rub(&mut self) {
        let goes_in = &self.worked.durations.goes_in;
        if !self.worked.case.first().medium.is_pot() {
            self.meat_to(Place::Board);
            for thing in &goes_in.with_meat {
                self.put(thing, Place::Board);
            }
            return;
        }
        let pan = self.browned_in();
        for thing in goes_in.fat.iter().chain(&goes_in.softened).chain(&goes_in.stirred_in) {
            self.put(thing, pan);
        }
        if let Some(thing) = &goes_in.poured_first {
            self.put(thing, pan);
            if goes_in.halved {
                let away = 1.0 - self.worked.bench.stays();
                for (what, g) in self.book.everything_at(pan) {
                    if matches!(what, Substance::Larder(larder) if larder.facts().liquid) {
                        self.book.carry(what, away * g, pan, Place::Air);
                    }
                }
            }
        }
        if pan != Place::Vessel {
            self.book.empty(pan, Place::Vessel);
        }
        self.become_one();
    }

    /// Something goes where it belongs, from where it is.
    fn put(&mut self, thing: &ThingIn, to: Place) {
        match thing.from {
            ComesFrom::Shop => self.book.buy(Substance::Larder(thing.what), thing.g, to),
            ComesFrom::Marinade => self.book.empty(Place::Bowl, to),
            ComesFrom::Tray => self.book.carry_all(Substance::Larder(thing.what), Place::Tray, to),
        }
    }

    /// What dissolves in the pot is the cooking liquid now, and what melts its fat.
    fn become_one(&mut self) {
        for (what, _) in self.book.everything_at(Place::Vessel) {
            let Substance::Larder(larder) = what else { continue };
            if FATS.contains(&larder) {
                self.book.turn_all(what, Place::Vessel, Substance::Fat);
            } else if !STAYS_ITSELF.contains(&larder) {
                self.book.turn_all(what, Place::Vessel, Substance::Liquid);
            }
        }
    }

    pub(super) fn meet_the_heat(&mut self) {
        if self.worked.case.first().medium.is_pot() {
            for thing in &self.worked.durations.goes_in.with_meat {
                self.put(thing, Place::Vessel);
            }
        } else {
            self.clings();
        }
        self.meat_to(Place::Vessel);
        for from in [Place::Board, Place::Tray] {
            self.book.empty(from, Place::Vessel);
        }
        self.become_one();
    }

    /// What is dry and rubbed in is part of the meat from then on.
    fn clings(&mut self) {
        self.meat_to(Place::Board);
        for (what, g) in self.book.everything_at(Place::Board) {
            let Substance::Larder(larder) = what else { continue };
            if !larder.facts().liquid && !FATS.contains(&larder) && !STAYS_ITSELF.contains(&larder) {
                self.add_to_the_meat(what, g, Place::Board);
            }
        }
    }

    pub(super) fn top_up(&mut self, litres: f64) {
        let base = Substance::Larder(self.worked.bench.base);
        self.book.buy(base, litres * 1000.0 * self.worked.bench.base.facts().density, Place::Vessel);
        self.become_one();
    }

    /// What goes in later: the things of the task of this number.
    pub(super) fn add(&mut self, number: u32) {
        for what in self.added(number) {
            let given = self.worked.bench.later.iter().filter(|thing| thing.what == what);
            let grams: f64 = given.map(|thing| thing.g).sum();
            self.book.buy(Substance::Later(what), grams, Place::Vessel);
        }
    }

    fn added(&self, number: u32) -> Vec<Addition> {
        let durations = &self.worked.durations;
        let at = (number as usize).saturating_sub(1);
        if let Some(opened) = &durations.opened {
            return opened.goes().nth(at).map_or(Vec::new(), |(things, ..)| things.to_vec());
        }
        let timed = durations.additions.get(at).or(durations.dumplings.as_ref());
        timed.map(|(what, _)| *what).into_iter().collect()
    }
}
