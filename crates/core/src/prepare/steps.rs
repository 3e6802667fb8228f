//! The order at the bench, from the board to the lid.

use ergastic_words::{Dial, Join, Length, Mass, Minutes, Said, Temperature, Volume, prepare as say};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::burner::Burner;
use super::laid::Laid;
use super::pot::{PotAnswer, deglazes};
use super::salt::salting;
use crate::bench::{Ingredient, Larder, Prepare, SearFat, Surface, Trim, Wine};
use crate::heat::pot::Lid;
use crate::safety::{self, Caution};
use crate::ways::Medium;

/// One thing to do at the bench.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct BenchStep {
    /// A stable name.
    pub id: String,
    /// What.
    pub what: String,
    /// Why, and the sign.
    pub why: String,
    /// Minutes at it, or waiting for it.
    pub min: f64,
    /// Cautions at this step.
    pub cautions: Vec<Caution>,
}

/// Aromatics soften in this order: what needs longest first, what burns soonest last.
const AROMATICS: [Larder; 11] = [
    Larder::Bacon,
    Larder::Onion,
    Larder::Carrot,
    Larder::Celery,
    Larder::SweetPepper,
    Larder::Mushroom,
    Larder::TomatoPaste,
    Larder::WholeSpice,
    Larder::Chilli,
    Larder::Ginger,
    Larder::Garlic,
];

/// A step before it is put into words.
struct Step {
    id: &'static str,
    what: Said,
    why: Said,
    min: f64,
    cautions: Vec<Caution>,
}

fn step(id: &'static str, what: Said, why: Said, min: f64) -> Step {
    Step { id, what, why, min, cautions: Vec::new() }
}

impl Step {
    /// With a caution, where it binds.
    fn minding(mut self, caution: Option<Caution>) -> Self {
        self.cautions.extend(caution);
        self
    }
}

/// The aromatics of a bench, in their order.
pub(super) fn aromatics(bench: &Prepare) -> Vec<Larder> {
    let is_in = |what: &Larder| bench.ingredients.iter().any(|thing| thing.what == *what);
    AROMATICS.into_iter().filter(is_in).collect()
}

/// Minutes of boiling down what deglazes, in the pan.
pub(super) fn boiling_down_min(bench: &Prepare, burner: Burner, pan_m2: f64) -> f64 {
    let litres = deglazes(bench).map_or(0.0, |thing| thing.millilitres() / 1000.0);
    burner.boils_off_min((1.0 - bench.wine.stays()) * litres, pan_m2)
}

impl Laid<'_> {
    fn has(&self, what: Larder) -> Option<&Ingredient> {
        self.bench.ingredients.iter().find(|thing| thing.what == what)
    }

    /// In order.
    pub fn steps(&self) -> Vec<BenchStep> {
        let voice = self.case.voice;
        let mut steps = self.on_the_board();
        if self.sear.happens() {
            steps.extend(self.in_the_pan());
        }
        steps.extend(self.filling());
        if let Some(pot) = self.pot.filter(|_| self.case.first().medium.is_pot()) {
            steps.extend(self.in_the_pot(pot));
        }
        let told = |step: Step| BenchStep {
            id: step.id.into(),
            what: voice.say(step.what),
            why: voice.say(step.why),
            min: step.min,
            cautions: step.cautions,
        };
        steps.into_iter().map(told).collect()
    }

    /// Trim, tie, salt, soak, marinade, and what waits overnight.
    fn on_the_board(&self) -> Vec<Step> {
        let Self { case, bench, trimmed, salt, sear, .. } = *self;
        let voice = case.voice;
        let mut steps = Vec::new();
        if bench.trim != Trim::None && trimmed.raw_kg > trimmed.trimmed_kg + 0.005 {
            let off = Mass(trimmed.raw_kg - trimmed.trimmed_kg);
            let what = if bench.sinew_in_pot { say::trim_keep_sinew(off) } else { say::trim(off) };
            steps.push(step("trim", what, say::trim_why(), 10.0).minding(Some(safety::raw_meat(voice))));
        }
        if bench.strings > 0 {
            steps.push(step("tie", say::tie(bench.strings), say::tie_why(), 5.0));
        }
        let (_, salting) = salting(case, bench);
        if salt.brine.is_some() {
            steps.push(step("brine", salting, say::brine_why(), 10.0));
        } else if salt.g > 0.5 {
            let why = if bench.salt_h > 0.0 { say::salt_why() } else { say::salt_at_the_pan_why() };
            steps.push(step("salt", salting, why, 5.0));
        }
        if let Some(soak) = bench.soak {
            let what = say::soak(soak.changes, Volume(soak.water_l), Minutes(soak.hours_each * 60.0));
            steps.push(step("soak", what, say::soak_why(), 5.0));
        }
        if let Some(marinade) = bench.marinade {
            let (how_much, time) = (Volume(marinade.ml / 1000.0), Minutes(marinade.hours * 60.0));
            let what = if marinade.kept { say::marinade_kept } else { say::marinade };
            let why = if sear.happens() { say::marinade_why() } else { say::marinade_unseared_why() };
            let caution = marinade.kept.then(|| safety::marinade(voice));
            steps.push(step("marinade", what(how_much, time), why, 10.0).minding(caution));
        }
        if bench.clear {
            steps.push(step("blanch", say::blanch(), say::blanch_why(), 90.0));
        }
        if bench.day_before {
            let what = if sear.happens() { say::overnight() } else { say::overnight_unseared() };
            let caution = Some(safety::part_cooked(voice));
            steps.push(step("overnight", what, say::overnight_why(), 10.0).minding(caution));
        }
        steps
    }

    /// Patted, dredged, and through the pan.
    fn in_the_pan(&self) -> Vec<Step> {
        let Self { case, bench, sear, .. } = *self;
        let mut steps = Vec::new();
        if bench.surface == Surface::Patted {
            steps.push(step("pat", say::pat(), say::pat_why(), 3.0));
        }
        if bench.flour {
            steps.push(step("flour", say::flour(), say::flour_why(), 3.0));
        }
        let fat = match sear.fat {
            SearFat::Own => say::fat_own(),
            SearFat::Oil => say::fat_oil(),
            SearFat::Bacon => say::fat_bacon(),
        };
        let why = if bench.sugared { say::heat_pan_gentle_why() } else { say::heat_pan_why() };
        let heat = step("heat_pan", say::heat_pan(Temperature(sear.start_c), fat), why, sear.heat_pan_min.ceil());
        steps.push(heat.minding(Some(safety::hot_fat(case.voice))));
        let side = Minutes(sear.side_min);
        let what = match sear.batches {
            1 => say::sear_at_once(side, sear.sides),
            batches => say::sear_in_batches(batches, sear.per_batch, side, sear.sides),
        };
        steps.push(step("sear", what, say::sear_why(), sear.min.ceil()));
        steps
    }

    /// Where nothing is poured the first heat has its own way in.
    fn filling(&self) -> Vec<Step> {
        let Self { case, bench, .. } = *self;
        match &case.first().medium {
            Medium::Pit { pit, .. } => {
                let salted = self.salt.g > 0.5;
                let why = match (self.has(Larder::SaltedRub), salted) {
                    (Some(_), _) => say::rub_salted_why(),
                    (None, true) => say::rub_why(),
                    (None, false) => say::rub_unsalted_why(),
                };
                let light = say::pit(Dial(pit.set_c), bench.wood.words());
                vec![step("rub", say::rub(), why, 5.0), step("pit", light, say::pit_why(), 45.0)]
            }
            Medium::Bath { bath_c } => {
                let why = if self.bones() { say::bag_bones_why() } else { say::bag_why() };
                vec![step("bag", say::bag(Temperature(*bath_c)), why, 15.0)]
            }
            Medium::Fat { fat_c } => {
                let melted = Volume(f64::max(0.1, case.packing.litres_for(1.05)));
                let why = if self.salt.g > 0.5 { say::fat_salted_why() } else { say::fat_why() };
                let lay = step("fat", say::fat(melted, Temperature(*fat_c)), why, 20.0);
                vec![lay.minding(Some(safety::under_fat(case.voice)))]
            }
            _ => Vec::new(),
        }
    }

    fn bones(&self) -> bool {
        self.case.parts.iter().any(|part| part.bone_pct > 0.0)
    }

    /// Aromatics, what deglazes, and the liquid.
    fn in_the_pot(&self, pot: &PotAnswer) -> Vec<Step> {
        let Self { case, bench, sear, burner, pan_m2, .. } = *self;
        let voice = case.voice;
        let seared = sear.happens();
        let mut steps = Vec::new();
        let aromatics = aromatics(bench);
        if !aromatics.is_empty() {
            let things = Said::list(aromatics.iter().map(|what| say::aromatic(what.key())), Join::Commas);
            let what = if seared { say::aromatics(things) } else { say::aromatics_unseared(things) };
            let caution = aromatics.contains(&Larder::Chilli).then(|| safety::chilli(voice));
            steps.push(step("aromatics", what, say::aromatics_why(), 10.0).minding(caution));
        }
        let deglazed = deglazes(bench);
        if let Some(thing) = deglazed {
            let litres = thing.millilitres() / 1000.0;
            let min = boiling_down_min(bench, burner, pan_m2);
            let (pours, left) = (Volume(litres), Volume(litres * bench.wine.stays()));
            let (what, why) = match (bench.wine, seared) {
                (Wine::Whole, true) => (say::deglaze_whole(pours, thing.what.name()), say::deglaze_whole_why()),
                (Wine::Whole, false) => (say::wine_in(pours, thing.what.name()), say::deglaze_whole_why()),
                (Wine::Halved, true) => (say::deglaze(pours, thing.what.name(), left), say::deglaze_why()),
                (Wine::Halved, false) => {
                    (say::deglaze_unseared(pours, thing.what.name(), left), say::deglaze_unseared_why())
                }
            };
            let caution = thing.what.flares().then(|| safety::wine_flames(voice));
            steps.push(step("deglaze", what, why, f64::max(2.0, min.ceil())).minding(caution));
        } else if seared {
            // With what is poured anyway, or water where nothing is.
            let with = pot.poured.first().map_or(Larder::Water, |poured| poured.what);
            steps.push(step("deglaze", say::deglaze_with(with.name()), say::deglaze_with_why(), 3.0));
        }
        let deglazed_l = deglazed.map_or(0.0, |thing| thing.millilitres() / 1000.0);
        let rest_l = pot.poured.iter().map(|thing| thing.l).sum::<f64>() - deglazed_l;
        let (rest, level) = (Volume(rest_l), Length(pot.level_mm));
        let (what, why) = match (rest_l > 0.005, seared) {
            (true, true) => (say::pour_seared(rest, level), say::pour_why()),
            (true, false) => (say::pour(rest, level), say::pour_why()),
            (false, true) => (say::no_pour_seared(), say::no_pour_why()),
            (false, false) => (say::no_pour(), say::no_pour_why()),
        };
        let caution = (pot.lid != Lid::None).then(|| safety::lid_steam(voice));
        steps.push(step("pour", what, why, 5.0).minding(caution));
        steps
    }
}
