//! The path from the liquid in the pot to the sauce on the plate, with grams and minutes.

use ergastic_words::{Grams, Join, Message, Percent, Strength, Voice, Volume, finish as say};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::advice::{TasteAdvice, Tasted};
use super::body::{GELATIN_COAT, GRAVY};
use super::choices::{Target, Taste, Thickener};
use super::cooking_liquid::CookingLiquid;
use super::cooling::{Cooled, ToCool, cooling};
use super::legs::{SauceLeg, Stand, StoveStep};
use super::moves::Move;
use super::offered::{MoreChoice, SkimChoice, SpoonTest, ThickenerChoice, spoon_tests};
use super::plate::{FLAT_G_PER_KG, SALTY_G_PER_KG, SAUCE_USUAL, bears_g_per_kg};
use super::proposed::{NO_REDUCTION_MIN, proposed};
use super::request::SauceRequest;
use super::stove::Stove;
use super::walk::{MoveDone, Stopped, Walk, is_film};
use crate::error::Result;
use crate::safety::Caution;
use ergastic_physics::juices::FAT_KG_PER_L;
use ergastic_physics::places::ROOM_C;
use ergastic_physics::units::round_to;

/// So much short of the body it should have, a sauce is said to be thin. Working value.
const THIN_BY: f64 = 0.1;

/// Under this a sauce is mild, g/kg.
const MILD_G_PER_KG: f64 = 8.0;
/// More fat than this share of the liquid makes it greasy.
const GREASY: f64 = 0.06;
/// More of its fat than this left in before it is thickened is said.
const LEFT_IN: f64 = 0.3;

/// One thing to do.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct SauceStep {
    /// What to do.
    #[serde(rename = "do")]
    pub what: String,
    /// Minutes it takes.
    pub min: f64,
    /// Why, and what to look for.
    pub why: String,
}

/// The body a target is known by.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct TargetBody {
    /// Which.
    pub target: Target,
    /// 1 coats a spoon, 2 is a gravy, 3 a glaze.
    pub body: f64,
}

/// The path and where it ends.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Sauce {
    /// What is still to be done, in order.
    pub steps: Vec<SauceStep>,
    /// Depth of the fat before skimming, mm.
    pub fat_mm: f64,
    /// Fat left after skimming, L.
    pub fat_left_l: f64,
    /// Minutes of reducing.
    pub reduce_min: f64,
    /// Liquid at the end with what was set aside, L.
    pub final_l: f64,
    /// Its salt, g/kg.
    pub final_salt_g_per_kg: f64,
    /// Its gelatin, %.
    pub final_gelatin_pct: f64,
    /// Thickener, g.
    pub thickener_g: f64,
    /// Cold water to stir it in, or butter to work it into, g.
    pub water_g: f64,
    /// The thickener in the three parts it goes in.
    #[schema(min_items = 3, max_items = 3)]
    pub thirds: [f64; 3],
    /// What to mind.
    pub warnings: Vec<Caution>,
    /// Salt of meat and sauce eaten together, g/kg, where the meat's is known.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub plate_g_per_kg: Option<f64>,
    /// Where it ends, in a sentence or two.
    pub because: String,
    /// The rule behind it.
    pub rule: String,
    /// How the liquid stood before anything was done to it.
    pub from: Stand,
    /// The whole path, what was done first.
    pub path: Vec<SauceLeg>,
    /// What is still to be done, with its figures as they came out: sent back as `moves` it is this path again.
    pub moves: Vec<Move>,
    /// Minutes of what is still to be done.
    pub left_min: f64,
    /// Where each target stands.
    pub targets: Vec<TargetBody>,
    /// Every way of skimming.
    pub skims: Vec<SkimChoice>,
    /// All that thickens.
    pub thickeners: Vec<ThickenerChoice>,
    /// What else may be done at its end.
    pub more: Vec<MoreChoice>,
    /// What a spoon shows from thin to thick.
    pub spoons: Vec<SpoonTest>,
    /// What helps against each taste, and what makes it worse.
    pub tastes: Vec<TasteAdvice>,
    /// How long what is left takes to cool, each way.
    pub cooling: Vec<Cooled>,
}

/// The path in figures and in what is to be said of it.
pub(crate) struct Path {
    /// What there is to do, as it is told on the sheet: minutes, and the sentence.
    pub steps: Vec<(f64, Message)>,
    /// Minutes of skimming; none where there is only a film.
    pub skim_min: f64,
    /// What becomes of the liquid.
    pub made: SauceMade,
}

/// What becomes of the liquid on its path.
#[derive(Debug, Clone, Copy, PartialEq, Default)]
pub struct SauceMade {
    /// Fat that is taken off, L.
    pub skimmed_l: f64,
    /// Taken out, thin, and kept, L.
    pub aside_l: f64,
    /// What thickens the rest, the dry of it, g, and what that is stirred into, g.
    pub thickened: Option<(Thickener, f64, f64)>,
    /// The sauce, L.
    pub final_l: f64,
}

/// A path that was walked.
struct Walked {
    stove: Stove,
    start: CookingLiquid,
    walk: Walk,
    /// What was done, then what is to be done.
    went: Vec<(MoveDone, Walk)>,
    /// So many of them were done.
    done: usize,
}

impl Walked {
    fn made(&self) -> SauceMade {
        let thickened = self.to_do().find_map(|went| match went.did {
            Move::Thicken { with, .. } => Some((with, went.starch_g, with.with_g(went.starch_g))),
            _ => None,
        });
        let Walk { skimmed_l, aside, pot, .. } = &self.walk;
        SauceMade { skimmed_l: *skimmed_l, aside_l: aside.liquid_l, thickened, final_l: pot.liquid_l }
    }

    fn of(request: &SauceRequest) -> Result<Self> {
        let (stove, start) = Stove::of(request)?;
        let mut walk = Walk::from(start);
        let mut went = Vec::new();
        let mut go = |walk: &mut Walk, next: Move, done: bool| {
            let mut after = walk.clone();
            let one = after.go(&stove, next, done);
            // What there is too little for is left out.
            if done || one.did.check().is_ok() {
                *walk = after.clone();
                went.push((one, after));
            }
        };
        for next in &request.done {
            go(&mut walk, *next, true);
        }
        let to_do = match &request.moves {
            Some(moves) => moves.clone(),
            None => proposed(&stove, walk.pot, &request.done),
        };
        for next in to_do {
            go(&mut walk, next, false);
        }
        Ok(Self { done: request.done.len(), stove, start, walk, went })
    }

    fn to_do(&self) -> impl Iterator<Item = &MoveDone> {
        self.went.iter().skip(self.done).map(|(went, _)| went)
    }

    /// The pot before the first move that is such.
    fn before(&self, is: impl Fn(&Move) -> bool) -> Option<CookingLiquid> {
        self.went.iter().find(|(went, _)| is(&went.did)).map(|(went, _)| went.before)
    }

    /// The steps as they are told: between the skimming and the rest it is tasted.
    fn steps(&self) -> Vec<StoveStep> {
        let told = |went: &MoveDone, walk: &Walk| self.stove.step(went, walk.aside.liquid_l > 0.0);
        let to_do = &self.went[self.done..];
        let clears = |(went, _): &&(MoveDone, Walk)| matches!(went.did, Move::Skim { .. } | Move::Strain { .. });
        let first = to_do.iter().take_while(clears).count();
        let (clearing, making) = to_do.split_at(first);
        let taste = StoveStep { what: say::taste(), min: 1.0, why: say::taste_why() };
        let against = against(self.stove.taste).map(|(what, why)| StoveStep { what, min: 2.0, why });
        let glaze = (self.stove.target == Target::Glaze).then(|| StoveStep {
            what: say::glaze(),
            min: 4.0,
            why: say::glaze_why(),
        });
        let tell =
            |legs: &[(MoveDone, Walk)]| legs.iter().filter_map(|(went, walk)| told(went, walk)).collect::<Vec<_>>();
        tell(clearing).into_iter().chain([taste]).chain(against).chain(tell(making)).chain(glaze).collect()
    }

    /// Everything that was the liquid, with what was set aside of it.
    fn all(&self) -> CookingLiquid {
        self.walk.pot.plus(&self.walk.aside)
    }

    fn reduce_min(&self) -> f64 {
        let minutes: f64 =
            self.to_do().filter(|went| matches!(went.did, Move::Reduce { .. })).map(|went| went.min).sum();
        if minutes > NO_REDUCTION_MIN { minutes } else { 0.0 }
    }

    fn stopped(&self) -> Option<Stopped> {
        if let Some(stopped) = self.to_do().find_map(|went| went.stopped) {
            return Some(stopped);
        }
        // It was to come down, and can't at all.
        let (pot, stove) = (self.went.last().map_or(self.start, |(went, _)| went.before), &self.stove);
        let wants = matches!((stove.taste, stove.target), (Taste::Weak, _) | (_, Target::Glaze));
        let reduces = self.went.iter().any(|(went, _)| matches!(went.did, Move::Reduce { .. }));
        let salted = stove.stop_l(pot.salt_g) >= pot.liquid_l - 0.01;
        (wants && !reduces && salted && !stove.taste.forbids_reducing())
            .then(|| Stopped { at_l: pot.liquid_l, strength: pot.salt_g_per_kg() })
    }

    fn warnings(&self) -> Vec<(&'static str, Message)> {
        let (stove, pot) = (&self.stove, &self.walk.pot);
        let mut warnings = Vec::new();
        if pot.fat_l * FAT_KG_PER_L > GREASY * self.all().liquid_l {
            warnings.push(("greasy", say::greasy(Volume(pot.fat_l))));
        }
        if let Some(Stopped { at_l, strength }) = self.stopped() {
            let clings_by_starch = stove.target == Target::Glaze && self.to_do().any(|went| went.starch_g > 0.0);
            let said = match clings_by_starch {
                true => say::glaze_stop(Volume(at_l), Strength(strength)),
                false if self.reduce_min() <= NO_REDUCTION_MIN => say::salt_stop_here(Strength(strength)),
                false => say::salt_stop(Volume(at_l), Strength(strength)),
            };
            warnings.push(("salt_stop", said));
        }
        let thickens = self.to_do().find(|went| went.starch_g > 0.0);
        let unskimmed =
            |went: &MoveDone| went.before.fat_l > LEFT_IN * self.start.fat_l && !is_film(stove, self.start.fat_l);
        if thickens.is_some_and(unskimmed) {
            warnings.push(("skim_first", say::skim_first()));
        }
        let after_starch =
            |went: &MoveDone| matches!(went.did, Move::Reduce { .. }) && went.before.holds_fat() && went.min > 2.0;
        if self.to_do().any(after_starch) {
            warnings.push(("catches", say::catches()));
        }
        if stove.spits() && self.to_do().any(|went| matches!(went.did, Move::Reduce { .. })) {
            warnings.push(("spits", say::spits()));
        }
        let (wanted, short) = (stove.target.body(), pot.body() < stove.target.body() - THIN_BY);
        match stove.thickener {
            Thickener::Gelatin if short => warnings.push(("gelatin_short", say::gelatin_short())),
            Thickener::None if short && wanted <= GRAVY => warnings.push(("stays_thin", say::stays_thin())),
            _ => {}
        }
        warnings.extend(self.too_salty().map(|said| ("salty", said)));
        warnings
    }

    /// Too salty to serve: on the plate where the meat's salt is known, else the sauce by itself.
    fn too_salty(&self) -> Option<Message> {
        let (stove, pot) = (&self.stove, &self.walk.pot);
        if let Some(plate) = stove.plate_g_per_kg(pot) {
            return (plate > SALTY_G_PER_KG + 0.05)
                .then(|| say::salty_plate(Strength(plate), Strength(SALTY_G_PER_KG)));
        }
        let [low, high] = SAUCE_USUAL;
        let salt = pot.salt_g_per_kg();
        (salt > bears_g_per_kg(stove.target == Target::Glaze) + 0.05)
            .then(|| say::salty(Strength(salt), Strength(low), Strength(high)))
    }

    /// Where it ends: salt, body, and how that tastes.
    fn ends(&self) -> Message {
        let (stove, pot) = (&self.stove, &self.walk.pot);
        let salt = pot.salt_g_per_kg();
        let body = Percent(pot.gelatin_pct() / 100.0);
        let tastes = |value: f64, [low, high]: [f64; 2]| match value {
            value if value < low => "mild",
            value if value <= high => "right",
            _ => "salty",
        };
        match stove.plate_g_per_kg(pot) {
            Some(plate) => {
                let tastes = tastes(plate, [FLAT_G_PER_KG, SALTY_G_PER_KG]);
                say::ends_on_the_plate(Strength(salt), body, Strength(plate), tastes)
            }
            None => {
                // Little is eaten of a glaze.
                let most = if stove.target == Target::Glaze { bears_g_per_kg(true) } else { SAUCE_USUAL[1] };
                say::ends(Strength(salt), body, tastes(salt, [MILD_G_PER_KG, most]))
            }
        }
    }

    fn rule(&self) -> Message {
        let [low, high] = SAUCE_USUAL.map(Strength);
        let bears = Strength(bears_g_per_kg(self.stove.target == Target::Glaze));
        let [sets, body, coats] = [1.0, 3.0, GELATIN_COAT].map(|percent| Percent(percent / 100.0));
        let all = self.all();
        let rules = [
            say::salt_rule(low, high, bears, Strength(SALTY_G_PER_KG)),
            say::body_rule(sets, body, coats),
            say::both_stay(Grams(all.salt_g), Grams(all.gelatin_g)),
        ];
        Message::list(rules, Join::Space)
    }

    /// All legs with their words, and the minutes of those still to do.
    fn legs(&self, voice: Voice) -> (Vec<SauceLeg>, f64) {
        let mut at_min = 0.0;
        let mut legs = Vec::new();
        for (i, (went, walk)) in self.went.iter().enumerate() {
            let done = i < self.done;
            if !done {
                at_min += went.min;
            }
            legs.push(self.stove.leg(went, walk, at_min, done, voice));
        }
        (legs, at_min)
    }
}

/// Works out the path.
///
/// # Errors
/// Names the field that can't be used.
pub fn sauce(request: &SauceRequest) -> Result<Sauce> {
    let walked = Walked::of(request)?;
    let voice = Voice::new(request.units.unwrap_or_default()).under(request.food_code.unwrap_or_default());
    let told =
        |step: StoveStep| SauceStep { what: voice.render(step.what), min: step.min, why: voice.render(step.why) };
    let (stove, pot) = (&walked.stove, walked.walk.pot);
    let starch_g: f64 = walked.to_do().map(|went| went.starch_g).sum();
    let with_g: f64 = walked
        .to_do()
        .map(|went| match went.did {
            Move::Thicken { with, .. } => with.with_g(went.starch_g),
            _ => 0.0,
        })
        .sum();
    let third = round_to(starch_g / 3.0, 0.1);
    let all = walked.all();
    let now = walked.went.get(walked.done).map_or(pot, |(went, _)| went.before);
    let skimmed_from = walked.before(|one| matches!(one, Move::Skim { .. })).unwrap_or(now);
    let thickened_from = walked.before(|one| matches!(one, Move::Thicken { .. })).unwrap_or(pot);
    let to_body = stove.target.body().clamp(1.0, GRAVY);
    let (path, left_min) = walked.legs(voice);
    let to_cool = ToCool { pot: &stove.pot, liquid_l: all.liquid_l, meat_kg: stove.meat_kg, room_c: ROOM_C };
    Ok(Sauce {
        because: voice.render(walked.ends()),
        rule: voice.render(walked.rule()),
        steps: walked.steps().into_iter().map(told).collect(),
        fat_mm: stove.depth_mm(now.fat_l),
        fat_left_l: pot.fat_l,
        reduce_min: walked.reduce_min(),
        final_l: all.liquid_l,
        final_salt_g_per_kg: pot.salt_g_per_kg(),
        final_gelatin_pct: pot.gelatin_pct(),
        thickener_g: starch_g,
        water_g: with_g,
        thirds: [third, third, starch_g - 2.0 * third],
        warnings: walked.warnings().into_iter().map(|(id, said)| Caution::new(id, said, voice)).collect(),
        plate_g_per_kg: stove.plate_g_per_kg(&pot),
        from: stove.stand(&walked.start, 0.0, 0.0),
        moves: path.iter().filter(|leg| !leg.done).map(|leg| leg.what).collect(),
        path,
        left_min,
        targets: [Target::Broth, Target::Coat, Target::Gravy, Target::Glaze]
            .map(|target| TargetBody { target, body: target.body() })
            .into(),
        skims: stove.skims(&skimmed_from, voice),
        thickeners: stove.thickeners(&thickened_from, to_body, voice),
        more: stove.more(&pot, voice),
        spoons: spoon_tests(voice),
        tastes: Tasted { stove, pot: now, voice }.advice(),
        cooling: cooling(&to_cool, voice),
    })
}

/// Where everything is at the end of the path.
pub(super) fn ends(request: &SauceRequest) -> Result<Walk> {
    Walked::of(request).map(|walked| walked.walk)
}

/// The path before it is put into words.
pub(crate) fn path(request: &SauceRequest) -> Result<Path> {
    let walked = Walked::of(request)?;
    let skimmed = walked.to_do().find(|went| matches!(went.did, Move::Skim { .. }));
    Ok(Path {
        skim_min: skimmed.map_or(0.0, |went| went.min),
        steps: walked.steps().into_iter().map(|step| (step.min, step.what)).collect(),
        made: walked.made(),
    })
}

/// What helps against a taste, and why.
fn against(taste: Taste) -> Option<(Message, Message)> {
    Some(match taste {
        Taste::Salty => (say::salty_taste(), say::salty_taste_why()),
        Taste::Bitter => (say::bitter_taste(), say::bitter_taste_why()),
        Taste::Sour => (say::sour_taste(), say::sour_taste_why()),
        Taste::Rich => (say::rich_taste(), say::rich_taste_why()),
        Taste::Sweet => (say::sweet_taste(), say::sweet_taste_why()),
        Taste::Flat => (say::flat_taste(), say::flat_taste_why()),
        Taste::Weak | Taste::Thin | Taste::Right => return None,
    })
}
#[cfg(test)]
mod tests {
    use super::*;
    use proptest::prelude::*;

    fn request() -> SauceRequest {
        SauceRequest {
            liquid_l: Some(1.2),
            fat_l: Some(0.15),
            salt_g: Some(11.0),
            gelatin_g: Some(18.0),
            ..Default::default()
        }
    }

    #[test]
    fn right_but_thin_is_thickened_not_reduced() {
        let sauce = sauce(&request()).unwrap();
        assert_eq!(sauce.reduce_min, 0.0);
        assert!((sauce.thickener_g - 24.0).abs() < 1e-9 && (sauce.water_g - 45.6).abs() < 1e-9);
        assert!((sauce.fat_left_l - 0.03).abs() < 1e-9);
    }

    #[test]
    fn weak_is_reduced_until_salt_stops_it() {
        let weak = sauce(&SauceRequest { taste: Taste::Weak, ..request() }).unwrap();
        assert!((weak.final_l - 11.0 / 16.0).abs() < 1e-6);
        assert!(weak.warnings.iter().any(|warning| warning.id == "salt_stop"));
        // A kilowatt of steam is a litre and a half an hour: half a litre at 900 W of it a good twenty minutes.
        assert!((20.0..24.0).contains(&weak.reduce_min), "{}", weak.reduce_min);
    }

    #[test]
    fn a_measured_cap_overrides_the_forecast_of_the_fat() {
        let measured = sauce(&SauceRequest { fat_mm: Some(10.0), ..request() }).unwrap();
        assert!((measured.fat_left_l - 0.53 * 0.2).abs() < 0.01, "{}", measured.fat_left_l);
        assert_eq!(sauce(&SauceRequest { fat_mm: Some(-1.0), ..request() }).unwrap_err().field, "fat_mm");
    }

    proptest! {
        #[test]
        fn salt_and_gelatin_are_conserved(litres in 0.1..5.0f64, salt in 0.0..60.0f64, gelatin in 0.0..200.0f64) {
            for taste in [Taste::Weak, Taste::Right, Taste::Salty] {
                let answer = sauce(&SauceRequest { liquid_l: Some(litres), salt_g: Some(salt), gelatin_g: Some(gelatin), taste, ..Default::default() }).unwrap();
                prop_assert!((answer.final_salt_g_per_kg * answer.final_l - salt).abs() < 1e-6);
                prop_assert!((answer.final_gelatin_pct * 10.0 * answer.final_l - gelatin).abs() < 1e-6);
                // What a weak burner does not drive out of the slurry stays.
                prop_assert!(answer.final_l <= litres + answer.water_g / 1000.0 + 1e-9 && answer.final_l > 0.0);
                prop_assert!((answer.thirds.iter().sum::<f64>() - answer.thickener_g).abs() < 1e-9);
            }
        }
    }
}
