//! The path from the liquid in the pot to the sauce on the plate, with grams and minutes.

use ergastic_words::{Said, Spoons, Strength, Voice, Volume, finish as say};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::choices::{SauceRequest, Target, Taste, Thickener};
use super::cooling::{Cooled, cooling};
use crate::error::{Result, Unit, in_range};
use crate::heat::pot::{Lid, Pot};
use crate::heat::steam::LATENT_HEAT;
use crate::juices::FAT_KG_PER_L;
use crate::safety::Caution;
use crate::units::round_to;

/// Salt at which reducing stops, g/kg: the top of what a sauce bears. Working value, from practice.
const SALT_STOP: f64 = 13.0;
/// Salt of a sauce that is seasoned gently, g/kg.
const SALT_USUAL: f64 = 10.0;
/// Salt above which a sauce is too salty to serve, g/kg.
const SALT_TOO_MUCH: f64 = 14.0;
/// Gelatin that lightly coats a spoon, %.
const GELATIN_COAT: f64 = 8.0;
/// Gelatin of a glaze, %.
const GELATIN_GLAZE: f64 = 15.0;
/// From here gelatin takes a third off the starch, %.
const GELATIN_HELPS: f64 = 5.0;
/// Share of a burner's power that ends as steam from an open pot. Working value between gas and induction.
pub(crate) const BURNER_SHARE: f64 = 0.5;
/// The most an open surface gives off at a full boil, kg/(m² s). Working value.
const SURFACE_LIMIT: f64 = 45.0 / 3600.0;

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
    pub thirds: [f64; 3],
    /// What to mind.
    pub warnings: Vec<Caution>,
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
    hob_w: f64,
    share: f64,
    meat_kg: f64,
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
        Ok(Self {
            salt_g: in_range("salt_g", request.salt_g.unwrap_or(liquid_l * 8.0), 0.0, 2000.0, Unit::Grams)?,
            gelatin_g: in_range("gelatin_g", request.gelatin_g.unwrap_or(0.0), 0.0, 2000.0, Unit::Grams)?,
            hob_w: in_range("hob_w", request.hob_w.unwrap_or(1800.0), 200.0, 20_000.0, Unit::Watts)?,
            share: in_range("share", request.share.unwrap_or(1.0), 0.0, 1.0, Unit::None)?,
            meat_kg: in_range("meat_kg", request.meat_kg.unwrap_or(0.0), 0.0, 60.0, Unit::Kilograms)?,
            pot,
            liquid_l,
            fat_l,
        })
    }

    fn gelatin_pct(&self, volume_l: f64) -> f64 {
        self.gelatin_g / (volume_l * 1000.0) * 100.0
    }
}

/// The path in figures and in what is to be said of it.
pub(crate) struct Path {
    pub steps: Vec<Step>,
    warnings: Vec<(&'static str, Said)>,
    fat_left_l: f64,
    reduce_min: f64,
    final_l: f64,
    thickener_g: f64,
    water_g: f64,
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
    let third = round_to(path.thickener_g / 3.0, 0.1);
    Ok(Sauce {
        steps: path.steps.into_iter().map(told).collect(),
        fat_mm: liquid.fat_l / liquid.pot.floor_m2,
        fat_left_l: path.fat_left_l,
        reduce_min: path.reduce_min,
        final_l: path.final_l,
        final_salt_g_per_kg: liquid.salt_g / path.final_l,
        final_gelatin_pct: liquid.gelatin_pct(path.final_l),
        thickener_g: path.thickener_g,
        water_g: path.water_g,
        thirds: [third, third, path.thickener_g - 2.0 * third],
        warnings: path.warnings.into_iter().map(|(id, said)| Caution::new(id, said, voice)).collect(),
        cooling: cooling(&liquid.pot, path.final_l, liquid.meat_kg),
    })
}

/// The path before it is put into words.
pub(crate) fn path(request: &SauceRequest) -> Result<Path> {
    Ok(follow(request, &Liquid::of(request)?))
}

fn follow(request: &SauceRequest, liquid: &Liquid) -> Path {
    let Liquid { pot, liquid_l, fat_l, salt_g, .. } = liquid;
    let mut steps = Vec::new();
    let mut warnings = Vec::new();

    let (taken, skim_min) = if *fat_l > 0.0 { request.skim.takes() } else { (0.0, 0.0) };
    let fat_left_l = fat_l * (1.0 - taken);
    if let Some((what, why)) = request.skim.step().filter(|_| *fat_l > 0.0) {
        steps.push(step(what, skim_min, why));
    }
    if fat_left_l * FAT_KG_PER_L > 0.06 * liquid_l {
        warnings.push(("greasy", say::greasy(Volume(fat_left_l))));
    }
    steps.push(step(say::taste(), 1.0, say::taste_why()));

    let (final_l, stopped) = reduced_volume(request, liquid);
    warnings.extend(stopped.map(|said| ("salt_stop", said)));
    let rate_kg_s = f64::min(BURNER_SHARE * liquid.hob_w / LATENT_HEAT, SURFACE_LIMIT * pot.floor_m2);
    let reduce_min = (liquid_l - final_l).max(0.0) / rate_kg_s / 60.0;
    if reduce_min > 0.5 {
        steps.push(step(say::reduce(Volume(*liquid_l), Volume(final_l)), reduce_min, say::reduce_why()));
    }
    if let Some((what, why)) = against(request.taste) {
        steps.push(step(what, 2.0, why));
    }

    let tonight_l = final_l * liquid.share;
    let (thickener_g, water_g) = thickening(request, tonight_l, liquid.gelatin_pct(final_l));
    if thickener_g > 0.0 {
        let (key, name) = (request.thickener.key(), say::thickener(request.thickener.key()));
        let spoons = Spoons { grams: thickener_g, teaspoon_g: request.thickener.teaspoon_g() };
        let what = if liquid.share < 1.0 {
            say::thicken_tonight(spoons, name, Volume(tonight_l))
        } else {
            say::thicken(spoons, name)
        };
        steps.push(step(what, 3.0 + request.thickener.cook_min(), say::thickener_why(key)));
        if fat_left_l > 0.3 * fat_l && *fat_l > 0.05 {
            warnings.push(("skim_first", say::skim_first()));
        }
    }
    let final_salt = salt_g / final_l;
    if final_salt > SALT_TOO_MUCH {
        warnings.push(("salty", say::salty(Strength(final_salt), Strength(SALT_USUAL), Strength(SALT_STOP))));
    }
    if request.target == Target::Glaze {
        steps.push(step(say::glaze(), 4.0, say::glaze_why()));
    }
    Path { steps, warnings, fat_left_l, reduce_min, final_l, thickener_g, water_g }
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

/// How far to reduce, and what is to be said of it: as far as the target asks, and no further than taste and salt allow.
fn reduced_volume(request: &SauceRequest, liquid: &Liquid) -> (f64, Option<Said>) {
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
    let salt_floor = salt_g / SALT_STOP;
    let stopped = f64::max(wanted, salt_floor).min(liquid_l);
    let said = (stopped > wanted + 0.01).then(|| say::salt_stop(Volume(stopped), Strength(SALT_STOP)));
    (stopped, said)
}

/// Grams of thickener, and of water for its slurry (or butter for its paste).
fn thickening(request: &SauceRequest, volume_l: f64, gelatin_pct: f64) -> (f64, f64) {
    let Some((coat, gravy)) = request.thickener.grams_per_litre() else { return (0.0, 0.0) };
    let per_litre = match request.target {
        Target::Broth | Target::Glaze => return (0.0, 0.0),
        Target::Coat if gelatin_pct >= GELATIN_COAT => return (0.0, 0.0),
        Target::Coat => coat,
        Target::Gravy => gravy,
    };
    let helped = if gelatin_pct >= GELATIN_HELPS { 2.0 / 3.0 } else { 1.0 };
    let grams = per_litre * volume_l * helped;
    let with = if request.thickener == Thickener::ButterPaste { 1.0 } else { 1.9 };
    (grams, grams * with)
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
        assert!((weak.final_l - 11.0 / 13.0).abs() < 1e-6);
        assert!(weak.warnings.iter().any(|warning| warning.id == "salt_stop"));
        // 0.35 L at 900 W of steam is about a quarter of an hour.
        assert!((12.0..18.0).contains(&weak.reduce_min), "{}", weak.reduce_min);
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
