//! The path from the liquid in the pot to the sauce on the plate, with grams and minutes.

use ergastic_words::{Grams, Join, Percent, Said, Strength, Voice, Volume, finish as say};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::choices::{FILM_MM, SauceRequest, Target, Taste, Thickener};
use super::cooling::{Cooled, cooling};
use super::plate::{FLAT_G_PER_KG, MeatOnPlate, SALTY_G_PER_KG, bears_g_per_kg};
use super::thicken::{GELATIN_COAT, Thickening, Thin};
use crate::error::{Result, Unit, in_range};
use crate::heat::hob::HobKind;
use crate::heat::pot::{Lid, Pot};
use crate::heat::steam::LATENT_HEAT;
use crate::juices::FAT_KG_PER_L;
use crate::safety::Caution;
use crate::units::round_to;

/// A sauce that is seasoned for serving, g/kg. Practice.
const SAUCE_USUAL: [f64; 2] = [10.0, 14.0];
/// Under this a sauce is mild, g/kg.
const MILD_G_PER_KG: f64 = 8.0;
/// Gelatin of a glaze, %.
const GELATIN_GLAZE: f64 = 15.0;
/// Share of a burner's power that ends as steam where nobody says what heats it: between a flame and induction.
const BURNER_SHARE: f64 = 0.5;
/// The most an open surface gives off at a full boil, kg/(m² s). Working value.
const SURFACE_LIMIT: f64 = 45.0 / 3600.0;

/// Less starch than this is not worth a spoon, g.
const LITTLE_STARCH_G: f64 = 0.5;

/// Water that leaves an open pot at a full boil, kg/s: what the burner boils off, as far as the surface lets it go.
pub(crate) fn boils_off_kg_s(hob_w: f64, kind: Option<HobKind>, floor_m2: f64) -> f64 {
    f64::min(kind.map_or(BURNER_SHARE, HobKind::share) * hob_w / LATENT_HEAT, SURFACE_LIMIT * floor_m2)
}

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

/// The path and where it ends.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Sauce {
    /// In order.
    pub steps: Vec<SauceStep>,
    /// Depth of the fat before skimming, mm.
    pub fat_mm: f64,
    /// Fat left after skimming, L.
    pub fat_left_l: f64,
    /// Minutes of reducing.
    pub reduce_min: f64,
    /// Liquid at the end, L.
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
    /// How long what is left takes to cool, each way.
    pub cooling: Vec<Cooled>,
}

/// A step before it is put into words.
#[derive(Debug, Clone)]
pub(crate) struct Step {
    pub what: Said,
    pub min: f64,
    pub why: Said,
}

fn step(what: Said, min: f64, why: Said) -> Step {
    Step { what, min, why }
}

/// The liquid as it stands in the pot, with everything checked.
struct Liquid {
    pot: Pot,
    liquid_l: f64,
    fat_l: f64,
    salt_g: f64,
    gelatin_g: f64,
    boils_off_kg_s: f64,
    share: f64,
    meat_kg: f64,
    /// The meat it is eaten with, where its salt is known.
    meat: Option<MeatOnPlate>,
    dredged_g: f64,
}

impl Liquid {
    fn of(request: &SauceRequest) -> Result<Self> {
        let liquid_l = in_range("liquid_l", request.liquid_l.unwrap_or(1.0), 0.02, 60.0, Unit::Litres)?;
        let vessel = request.vessel.clone().unwrap_or_default();
        let pot = vessel.resolve(Lid::None).map_err(|error| error.within("vessel"))?;
        let fat_l = match request.fat_mm {
            Some(depth) => in_range("fat_mm", depth, 0.0, 100.0, Unit::Millimetres)? * pot.floor_m2,
            None => in_range("fat_l", request.fat_l.unwrap_or(0.0), 0.0, 20.0, Unit::Litres)?,
        };
        let hob_w = in_range("hob_w", request.hob_w.unwrap_or(1800.0), 200.0, 20_000.0, Unit::Watts)?;
        let meat_kg = in_range("meat_kg", request.meat_kg.unwrap_or(0.0), 0.0, 60.0, Unit::Kilograms)?;
        let meat_salt_g =
            (request.meat_salt_g).map(|grams| in_range("meat_salt_g", grams, 0.0, 2000.0, Unit::Grams)).transpose()?;
        Ok(Self {
            salt_g: in_range("salt_g", request.salt_g.unwrap_or(liquid_l * 8.0), 0.0, 2000.0, Unit::Grams)?,
            gelatin_g: in_range("gelatin_g", request.gelatin_g.unwrap_or(0.0), 0.0, 2000.0, Unit::Grams)?,
            boils_off_kg_s: boils_off_kg_s(hob_w, request.hob_kind, pot.floor_m2),
            share: in_range("share", request.share.unwrap_or(1.0), 0.0, 1.0, Unit::None)?,
            meat: meat_salt_g.filter(|_| meat_kg > 0.0).map(|salt_g| MeatOnPlate { salt_g, kg: meat_kg }),
            meat_kg,
            dredged_g: in_range("dredged_flour_g", request.dredged_flour_g.unwrap_or(0.0), 0.0, 2000.0, Unit::Grams)?,
            pot,
            liquid_l,
            fat_l,
        })
    }

    fn gelatin_pct(&self, volume_l: f64) -> f64 {
        self.gelatin_g / (volume_l * 1000.0) * 100.0
    }

    fn fat_mm(&self) -> f64 {
        self.fat_l / self.pot.floor_m2
    }

    /// Below this the plate, or the sauce by itself, grows too salty, L.
    fn stop_l(&self, target: Target) -> f64 {
        let alone_l = self.salt_g / bears_g_per_kg(target == Target::Glaze);
        let on_plate_l = self.meat.map_or(0.0, |meat| meat.stop_l(self.salt_g, meat.eats_l(f64::INFINITY, false)));
        f64::max(alone_l, on_plate_l)
    }

    /// Meat and sauce eaten together once the sauce is so little, g/kg.
    fn plate_g_per_kg(&self, volume_l: f64, target: Target) -> Option<f64> {
        let meat = self.meat?;
        Some(meat.with(self.salt_g / volume_l, meat.eats_l(volume_l, target == Target::Broth)))
    }
}

/// The path in figures and in what is to be said of it.
pub(crate) struct Path {
    pub steps: Vec<Step>,
    /// Minutes of skimming; none where there is only a film.
    pub skim_min: f64,
    warnings: Vec<(&'static str, Said)>,
    fat_left_l: f64,
    reduce_min: f64,
    final_l: f64,
    thickening: Thickening,
}

/// Works out the path.
///
/// # Errors
/// Names the field that can't be used.
pub fn sauce(request: &SauceRequest) -> Result<Sauce> {
    let liquid = Liquid::of(request)?;
    let path = follow(request, &liquid);
    let voice = Voice::new(request.units.unwrap_or_default());
    let told = |step: Step| SauceStep { what: voice.say(step.what), min: step.min, why: voice.say(step.why) };
    let starch_g = path.thickening.starch_g;
    let third = round_to(starch_g / 3.0, 0.1);
    let final_l = path.final_l;
    let plate_g_per_kg = liquid.plate_g_per_kg(final_l, request.target);
    Ok(Sauce {
        because: voice.say(ends(&liquid, final_l, plate_g_per_kg, request.target)),
        rule: voice.say(rule(&liquid, request.target)),
        steps: path.steps.into_iter().map(told).collect(),
        fat_mm: liquid.fat_mm(),
        fat_left_l: path.fat_left_l,
        reduce_min: path.reduce_min,
        final_l,
        final_salt_g_per_kg: liquid.salt_g / final_l,
        final_gelatin_pct: liquid.gelatin_pct(final_l),
        thickener_g: starch_g,
        water_g: path.thickening.with_g,
        thirds: [third, third, starch_g - 2.0 * third],
        warnings: path.warnings.into_iter().map(|(id, said)| Caution::new(id, said, voice)).collect(),
        plate_g_per_kg,
        cooling: cooling(&liquid.pot, final_l, liquid.meat_kg),
    })
}

/// Where it ends: salt, body, and how that tastes.
fn ends(liquid: &Liquid, final_l: f64, plate_g_per_kg: Option<f64>, target: Target) -> Said {
    let salt = liquid.salt_g / final_l;
    let body = Percent(liquid.gelatin_pct(final_l) / 100.0);
    let tastes = |value: f64, [low, high]: [f64; 2]| match value {
        value if value < low => "mild",
        value if value <= high => "right",
        _ => "salty",
    };
    match plate_g_per_kg {
        Some(plate) => say::ends_on_the_plate(
            Strength(salt),
            body,
            Strength(plate),
            tastes(plate, [FLAT_G_PER_KG, SALTY_G_PER_KG]),
        ),
        None => {
            // Little is eaten of a glaze.
            let most = if target == Target::Glaze { bears_g_per_kg(true) } else { SAUCE_USUAL[1] };
            say::ends(Strength(salt), body, tastes(salt, [MILD_G_PER_KG, most]))
        }
    }
}

fn rule(liquid: &Liquid, target: Target) -> Said {
    let [low, high] = SAUCE_USUAL.map(Strength);
    let bears = Strength(bears_g_per_kg(target == Target::Glaze));
    let [sets, body, coats] = [1.0, 3.0, GELATIN_COAT].map(|percent| Percent(percent / 100.0));
    let rules = [
        say::salt_rule(low, high, bears, Strength(SALTY_G_PER_KG)),
        say::body_rule(sets, body, coats),
        say::both_stay(Grams(liquid.salt_g), Grams(liquid.gelatin_g)),
    ];
    Said::list(rules, Join::Space)
}

/// The path before it is put into words.
pub(crate) fn path(request: &SauceRequest) -> Result<Path> {
    Ok(follow(request, &Liquid::of(request)?))
}

fn follow(request: &SauceRequest, liquid: &Liquid) -> Path {
    let Liquid { liquid_l, fat_l, .. } = liquid;
    let mut steps = Vec::new();
    let mut warnings = Vec::new();

    let fat_mm = liquid.fat_mm();
    let (taken, skim_min) = if *fat_l > 0.0 { request.skim.takes(fat_mm) } else { (0.0, 0.0) };
    let fat_left_l = fat_l * (1.0 - taken);
    if let Some((what, why)) = request.skim.step(fat_mm).filter(|_| *fat_l > 0.0) {
        steps.push(step(what, skim_min, why));
    }
    if fat_left_l * FAT_KG_PER_L > 0.06 * liquid_l {
        warnings.push(("greasy", say::greasy(Volume(fat_left_l))));
    }
    steps.push(step(say::taste(), 1.0, say::taste_why()));

    let (final_l, stopped) = reduced_volume(request, liquid);
    let reduce_min = (liquid_l - final_l).max(0.0) / liquid.boils_off_kg_s / 60.0;
    if reduce_min > 0.5 {
        steps.push(step(say::reduce(Volume(*liquid_l), Volume(final_l)), reduce_min, say::reduce_why()));
    }
    if let Some((what, why)) = against(request.taste) {
        steps.push(step(what, 2.0, why));
    }

    let tonight_l = final_l * liquid.share;
    let glazes = request.target == Target::Glaze;
    let clings_by_starch = glazes && request.thickener != Thickener::None;
    // By salt, or by a taste that reducing would only make worse.
    let glaze_stopped = glazes && (stopped.is_some() || against(request.taste).is_some());
    if let Some(Stopped { at_l, strength }) = stopped {
        let said = match clings_by_starch {
            true => say::glaze_stop(Volume(at_l), Strength(strength)),
            false if reduce_min <= 0.5 => say::salt_stop_here(Strength(strength)),
            false => say::salt_stop(Volume(at_l), Strength(strength)),
        };
        warnings.push(("salt_stop", said));
    }
    let thin = Thin {
        litres: tonight_l,
        gelatin_pct: liquid.gelatin_pct(final_l),
        dredged_g: liquid.dredged_g * liquid.share,
        glaze_stopped,
    };
    let thickening = request.thickener.needed(request.target, thin);
    if thickening.starch_g > LITTLE_STARCH_G {
        let amounts = request.thickener.amounts(thickening);
        let what = match liquid.share < 1.0 {
            true => say::thicken_tonight(amounts, Volume(tonight_l)),
            false => say::thicken(amounts),
        };
        steps.push(step(what, 3.0 + request.thickener.cook_min(), say::thickener_why(request.thickener.key())));
        if fat_left_l > 0.3 * fat_l && fat_mm > FILM_MM {
            warnings.push(("skim_first", say::skim_first()));
        }
    }
    warnings.extend(too_salty(request, liquid, final_l).map(|said| ("salty", said)));
    if request.target == Target::Glaze {
        steps.push(step(say::glaze(), 4.0, say::glaze_why()));
    }
    Path { steps, skim_min, warnings, fat_left_l, reduce_min, final_l, thickening }
}

/// Too salty to serve: on the plate where the meat's salt is known, else the sauce by itself.
fn too_salty(request: &SauceRequest, liquid: &Liquid, final_l: f64) -> Option<Said> {
    if let Some(plate) = liquid.plate_g_per_kg(final_l, request.target) {
        return (plate > SALTY_G_PER_KG + 0.05).then(|| say::salty_plate(Strength(plate), Strength(SALTY_G_PER_KG)));
    }
    let salt = liquid.salt_g / final_l;
    let [low, high] = SAUCE_USUAL;
    let most = if request.target == Target::Glaze { bears_g_per_kg(true) + 0.05 } else { high };
    (salt > most).then(|| say::salty(Strength(salt), Strength(low), Strength(high)))
}

/// What helps against a taste, and why.
fn against(taste: Taste) -> Option<(Said, Said)> {
    Some(match taste {
        Taste::Salty => (say::salty_taste(), say::salty_taste_why()),
        Taste::Bitter => (say::bitter_taste(), say::bitter_taste_why()),
        Taste::Sour => (say::sour_taste(), say::sour_taste_why()),
        Taste::Rich => (say::rich_taste(), say::rich_taste_why()),
        Taste::Weak | Taste::Right => return None,
    })
}

/// Where salt keeps it from coming down further.
struct Stopped {
    at_l: f64,
    strength: f64,
}

/// How far to reduce, and what is to be said of it: as far as the target asks, and no further than taste and salt allow.
fn reduced_volume(request: &SauceRequest, liquid: &Liquid) -> (f64, Option<Stopped>) {
    let Liquid { liquid_l, salt_g, gelatin_g, .. } = *liquid;
    if matches!(request.taste, Taste::Salty | Taste::Bitter | Taste::Sour | Taste::Rich) {
        return (liquid_l, None);
    }
    let weak = request.taste == Taste::Weak;
    let for_gelatin = |percent: f64| gelatin_g / (percent * 10.0);
    let wanted = match request.target {
        Target::Broth => liquid_l * if weak { 0.7 } else { 1.0 },
        Target::Coat | Target::Gravy if !weak => liquid_l,
        // A weak sauce comes down to half at most, less if its gelatin coats by itself before.
        Target::Coat | Target::Gravy => f64::max(0.5 * liquid_l, for_gelatin(GELATIN_COAT)),
        Target::Glaze => f64::max(0.15 * liquid_l, for_gelatin(GELATIN_GLAZE)),
    };
    let at_l = f64::max(wanted, liquid.stop_l(request.target)).min(liquid_l);
    (at_l, (at_l > wanted + 0.01).then(|| Stopped { at_l, strength: salt_g / at_l }))
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
                prop_assert!(answer.final_l <= litres + 1e-9 && answer.final_l > 0.0);
                prop_assert!((answer.thirds.iter().sum::<f64>() - answer.thickener_g).abs() < 1e-9);
            }
        }
    }
}
