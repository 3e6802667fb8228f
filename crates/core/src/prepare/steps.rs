//! The order at the bench, from the board to the lid.

use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::bench::{Ingredient, Prepare, SearFat, Surface, Trim};
use super::larder::Larder;
use super::pot::{DEGLAZED_TO, PotAnswer, deglazes};
use super::salt::SaltAnswer;
use super::sear::SearPlan;
use super::trim::Trimmed;
use crate::finish::BURNER_SHARE;
use crate::forecast::{Case, Medium};
use crate::heat::steam::LATENT_HEAT;
use crate::safety::{self, Caution};

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

/// What the steps are told from.
pub(super) struct Told<'a> {
    pub case: &'a Case,
    pub bench: &'a Prepare,
    pub trimmed: &'a Trimmed,
    pub salt: &'a SaltAnswer,
    pub sear: &'a SearPlan,
    pub pot: Option<&'a PotAnswer>,
    pub hob_w: f64,
}

/// Aromatics soften in this order: what needs longest first, what burns soonest last.
const AROMATICS: [(Larder, &str); 9] = [
    (Larder::Bacon, "bacon"),
    (Larder::Onion, "onion"),
    (Larder::Carrot, "carrot"),
    (Larder::Celery, "celery"),
    (Larder::Mushroom, "mushrooms"),
    (Larder::TomatoPaste, "tomato paste until it darkens"),
    (Larder::WholeSpice, "whole spices until they smell"),
    (Larder::Chilli, "chilli"),
    (Larder::Garlic, "garlic, half a minute and last"),
];

impl Told<'_> {
    fn has(&self, what: Larder) -> Option<&Ingredient> {
        self.bench.ingredients.iter().find(|thing| thing.what == what)
    }

    /// In order.
    pub fn steps(&self) -> Vec<BenchStep> {
        let Self { case, bench, trimmed, salt, sear, pot, hob_w } = *self;
        let mut steps: Vec<BenchStep> = Vec::new();
        let mut add = |id: &str, what: String, why: &str, min: f64, cautions: Vec<Caution>| {
            steps.push(BenchStep { id: id.into(), what, why: why.into(), min, cautions });
        };
        if bench.trim != Trim::None && trimmed.raw_kg > trimmed.trimmed_kg + 0.005 {
            let keep = if bench.sinew_in_pot { "; keep the sinew for the pot" } else { "" };
            add(
                "trim",
                format!(
                    "Trim it: about {:.0} g of heavy fat and silver skin off{keep}",
                    1000.0 * (trimmed.raw_kg - trimmed.trimmed_kg)
                ),
                "silver skin never softens; fat beyond a film only has to be skimmed",
                10.0,
                vec![safety::raw_meat()],
            );
        }
        if bench.strings > 0 {
            add("tie", format!("Tie it: {} strings", bench.strings), "count them: they come out again", 5.0, vec![]);
        }
        if let Some(brine) = salt.brine {
            add(
                "brine",
                format!(
                    "Stir {:.0} g of salt into the brine, {:.1} % strong, and lay the meat under it, cold",
                    salt.g, brine.strength_pct
                ),
                "in the end brine and meat are of one strength: it can't be over-salted by waiting",
                10.0,
                vec![],
            );
        } else if salt.g > 0.5 {
            add(
                "salt",
                format!(
                    "Salt it all round: {:.0} g, {:.1} level teaspoons of {}",
                    salt.g,
                    salt.tsp,
                    bench.crystal.word()
                ),
                "the surface grows wet, takes it up, and dries again in the cold",
                5.0,
                vec![],
            );
        }
        if let Some(soak) = bench.soak {
            add(
                "soak",
                format!(
                    "Soak it: {} times in {:.1} L of cold water, {:.1} h each",
                    soak.changes, soak.water_l, soak.hours_each
                ),
                "each fresh water divides the salt once more",
                5.0,
                vec![],
            );
        }
        if let Some(marinade) = bench.marinade {
            let kept = if marinade.kept { "keep it, rinse its bowl into the pot and boil it" } else { "pour it away" };
            add(
                "marinade",
                format!("Lay it in {:.0} mL of marinade for {:.0} h; {kept}", marinade.ml, marinade.hours),
                "it works on the outer millimetres; picked clean and patted dry before the pan, or its bits burn",
                10.0,
                if marinade.kept { vec![safety::marinade()] } else { vec![] },
            );
        }
        if bench.clear {
            add(
                "blanch",
                "Soak an hour in two waters; cover with cold water, bring to the boil, 5 min; pour off, rinse meat and pot".into(),
                "what would cloud the broth has come out; start fresh with cold water",
                90.0,
                vec![],
            );
        }
        if bench.day_before {
            add(
                "overnight",
                "After the pan: cool it shallow, cover it with its cold liquid, into the fridge overnight".into(),
                "tomorrow straight to the boil",
                10.0,
                vec![safety::part_cooked()],
            );
        }
        if sear.happens() {
            if bench.surface == Surface::Patted {
                add("pat", "Pat every side dry".into(), "water boils before meat browns", 3.0, vec![]);
            }
            if bench.flour {
                add("flour", "Turn it in flour, shake it off hard".into(), "loose flour burns in the pan", 3.0, vec![]);
            }
            let fat = match sear.fat {
                SearFat::Own => "fat side down first: it brings its own",
                SearFat::Oil => "a film of oil",
                SearFat::Bacon => "bacon rendered crisp first and lifted out; its fat browns the meat, its salt counts",
            };
            let ready = if bench.sugared {
                "sugar scorches: keep it gentler and paler"
            } else {
                "oil ripples, a drop of water dances; no sizzle: take it out and wait"
            };
            add(
                "heat_pan",
                format!("Get the pan hot, {:.0} °C; {fat}", sear.start_c),
                ready,
                sear.heat_pan_min.ceil(),
                vec![safety::hot_fat()],
            );
            let batches = match sear.batches {
                1 => "all at once".to_owned(),
                n => format!("{n} batches, {} at most in each", sear.per_batch),
            };
            add(
                "sear",
                format!("Sear {batches}, some {:.1} min a side, {} sides", sear.side_min, sear.sides),
                "it lets go of the pan when it is brown; juices of the resting plate go back in",
                sear.min.ceil(),
                vec![],
            );
        }
        // Where nothing is poured the first heat has its own way in.
        let medium = &case.first().medium;
        match medium {
            Medium::Pit { pit, .. } => {
                add(
                    "rub",
                    "Rub it; a probe in the thickest part".into(),
                    "if the meat is salted, a rub without salt",
                    5.0,
                    vec![],
                );
                let words = bench.wood.words();
                add(
                    "pit",
                    format!("Light the pit and bring it to {:.0} °C; {words}", pit.set_c),
                    "meat goes in when the smoke runs thin and blue; white smoke is bitter",
                    45.0,
                    vec![],
                );
            }
            Medium::Bath { bath_c } => add(
                "bag",
                format!("Bag it flat, air out, sealed twice; the bath at {bath_c:.0} °C"),
                "bones pierce bags: pad them; a bag that floats is weighed down",
                15.0,
                vec![],
            ),
            Medium::Fat { fat_c } => add(
                "fat",
                format!(
                    "Melt {:.1} L of fat to {fat_c:.0} °C and lay the meat under it",
                    f64::max(0.1, case.packing.litres_for(1.05))
                ),
                "wipe the salt off first; what sticks out dries",
                20.0,
                vec![safety::under_fat()],
            ),
            _ => {}
        }
        let Some(pot) = pot.filter(|_| medium.is_pot()) else { return steps };
        let aromatics: Vec<_> =
            AROMATICS.iter().filter(|(what, _)| self.has(*what).is_some()).map(|(_, words)| *words).collect();
        if !aromatics.is_empty() {
            add(
                "aromatics",
                format!("Soften in that fat, in this order: {}", aromatics.join(", ")),
                "what needs longest first, what burns soonest last",
                10.0,
                if self.has(Larder::Chilli).is_some() { vec![safety::chilli()] } else { vec![] },
            );
        }
        let deglazed = deglazes(bench);
        if let Some(thing) = deglazed {
            let (name, litres) = (thing.what.facts().name, thing.millilitres() / 1000.0);
            let min = (1.0 - DEGLAZED_TO) * litres / (BURNER_SHARE * hob_w / LATENT_HEAT) / 60.0;
            add(
                "deglaze",
                format!(
                    "Pour in {:.0} mL of {name}, scrape up the brown, boil it down to {:.0} mL",
                    litres * 1000.0,
                    litres * 1000.0 * DEGLAZED_TO
                ),
                "its raw edge and much of its alcohol go; what stuck to the pan is the sauce",
                f64::max(2.0, min.ceil()),
                vec![safety::wine_flames()],
            );
        } else if sear.happens() {
            add(
                "deglaze",
                "Pour a ladle of stock in, scrape up the brown".into(),
                "what stuck to the pan is the sauce",
                3.0,
                vec![],
            );
        }
        let rest: f64 = pot
            .poured
            .iter()
            .filter(|poured| deglazed.is_none_or(|thing| poured.what != thing.what))
            .map(|thing| thing.l)
            .sum();
        let juices = if sear.happens() { " with its resting juices" } else { "" };
        let what = if rest > 0.005 {
            format!("Meat in{juices}; {rest:.2} L of hot liquid over it, up to {:.0} mm on the dipstick", pot.level_mm)
        } else {
            format!("Meat in{juices}; no liquid, lid tight, lowest heat")
        };
        add(
            "pour",
            what,
            "hot liquid into a hot pot: cold liquid costs minutes; skim the first foam, then the lid",
            5.0,
            vec![safety::lid_steam()],
        );
        steps
    }
}
