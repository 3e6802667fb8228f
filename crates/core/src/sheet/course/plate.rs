//! From the lifting to the plates: juice and fat that the meat has given, what comes out, the sauce.

use super::Course;
use crate::bench::Larder;
use crate::finish::Thickener;
use crate::ledger::{Place, Substance};
use crate::prepare::ComesOut;
use crate::ways::WayId;
use ergastic_physics::juices::FAT_KG_PER_L;

impl Course<'_> {
    pub(super) fn lift(&mut self) {
        self.juices();
        self.meat_to(Place::Tray);
        let fat_kept = self.worked.case.last().medium.id() == WayId::Fat;
        if fat_kept {
            self.book.carry_all(Substance::Fat, Place::Vessel, Place::Jar);
        }
        for (meat, part) in self.meat().into_iter().zip(&self.worked.case.parts) {
            let bone_g = part.mass_kg * part.bone_pct * 10.0;
            self.book.turn(meat, bone_g, Place::Tray, Substance::Bone);
        }
        self.book.carry_all(Substance::Bone, Place::Tray, Place::Bin);
        self.book.carry_all(Substance::Sinew, Place::Vessel, Place::Bin);
        self.out(ComesOut::WithTheMeat);
    }

    pub(super) fn remove(&mut self, number: u32) {
        self.out(if number == 1 { ComesOut::BeforeTheBoil } else { ComesOut::BeforeItClouds });
    }

    /// What comes out of the pot then is thrown away; the water of vegetables stays.
    fn out(&mut self, when: ComesOut) {
        let (bench, case) = (&self.worked.bench, &self.worked.case);
        for larder in bench.coming_out(case, when) {
            let what = Substance::Larder(larder);
            if when == ComesOut::BeforeItClouds {
                let water_g = self.book.at(what, Place::Vessel) * larder.facts().water_pct / 100.0;
                self.book.turn(what, water_g, Place::Vessel, Substance::Liquid);
            }
            self.book.carry_all(what, Place::Vessel, Place::Bin);
        }
    }

    /// What the meat has given since it met the heat, and what has left as steam.
    fn juices(&mut self) {
        let worked = self.worked;
        let (case, durations) = (&worked.case, &worked.durations);
        let bone_g = |at: usize| case.parts[at].mass_kg * case.parts[at].bone_pct * 10.0;
        let meats = self.meat();
        let there: Vec<f64> = meats.iter().map(|meat| self.book.at(*meat, Place::Vessel)).collect();
        let boneless_g: f64 = there.iter().enumerate().map(|(at, g)| g - bone_g(at)).sum();
        let lost_g = f64::max(0.0, boneless_g - durations.yield_kg * 1000.0);
        let fat_there_g = self.book.at(Substance::Fat, Place::Vessel);
        let fat_g = f64::max(0.0, durations.fat_l * FAT_KG_PER_L * 1000.0 - fat_there_g).min(lost_g);
        let in_the_pit = case.last().medium.id() == WayId::Pit;
        for (at, meat) in meats.iter().enumerate() {
            let share = if boneless_g > 0.0 { (there[at] - bone_g(at)) / boneless_g } else { 0.0 };
            if in_the_pit {
                // What drips is lost, as what dries off.
                self.book.carry(*meat, share * lost_g, Place::Vessel, Place::Air);
                continue;
            }
            self.book.turn(*meat, share * fat_g, Place::Vessel, Substance::Fat);
            self.book.turn(*meat, share * (lost_g - fat_g), Place::Vessel, Substance::Liquid);
        }
        for (what, g) in self.book.everything_at(Place::Vessel) {
            if let Substance::Larder(larder) = what {
                self.book.turn(what, g * larder.facts().water_pct / 100.0, Place::Vessel, Substance::Liquid);
            }
        }
        let liquid_g = self.book.at(Substance::Liquid, Place::Vessel);
        let steam_g = f64::max(0.0, liquid_g - durations.liquid_left_l * 1000.0);
        self.book.carry(Substance::Liquid, steam_g, Place::Vessel, Place::Air);
    }

    pub(super) fn skim(&mut self) {
        let there_g = self.book.at(Substance::Fat, Place::Vessel);
        let skimmed_g = self.worked.durations.sauce.skimmed_l * FAT_KG_PER_L * 1000.0;
        self.book.carry(Substance::Fat, f64::min(skimmed_g, there_g), Place::Vessel, Place::Jar);
    }

    pub(super) fn sauce(&mut self) {
        let worked = self.worked;
        let sauce = &worked.durations.sauce;
        let aside_g = f64::min(sauce.aside_l * 1000.0, self.book.at(Substance::Liquid, Place::Vessel));
        self.book.carry(Substance::Liquid, aside_g, Place::Vessel, Place::Jar);
        if let Some((thickener, dry_g, with_g)) = sauce.thickened {
            // What is pressed into it is in the pot already.
            if thickener != Thickener::Puree {
                let with = if thickener == Thickener::ButterPaste { Larder::Butter } else { Larder::Water };
                let parts = [(Substance::Thickener(thickener), dry_g), (Substance::Larder(with), with_g)];
                for (what, g) in parts {
                    self.book.buy(what, g, Place::Vessel);
                    self.book.turn_all(what, Place::Vessel, Substance::Liquid);
                }
            }
        }
        let steam_g = f64::max(0.0, self.book.at(Substance::Liquid, Place::Vessel) - sauce.final_l * 1000.0);
        self.book.carry(Substance::Liquid, steam_g, Place::Vessel, Place::Air);
    }

    pub(super) fn serve(&mut self) {
        // What is fresh goes over it.
        for thing in self.worked.bench.later.iter().filter(|thing| thing.what.is_fresh()) {
            self.book.buy(Substance::Later(thing.what), thing.g, Place::Plate);
        }
        for from in [Place::Board, Place::Vessel] {
            self.book.empty(from, Place::Plate);
        }
    }
}
