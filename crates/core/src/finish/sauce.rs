//! The path from the liquid in the pot to the sauce on the plate, with grams and minutes.

use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::choices::{SauceRequest, Skim, Target, Taste, Thickener};
use super::cooling::{Cooled, cooling};
use crate::error::{Result, in_range};
use crate::heat::pot::Lid;
use crate::heat::steam::LATENT_HEAT;
use crate::juices::FAT_KG_PER_L;
use crate::safety::Caution;
use crate::units::round_to;

/// Salt at which reducing stops, g/kg: the top of what a sauce bears. Working value, from practice.
pub(crate) const SALT_STOP: f64 = 13.0;
/// Salt above which a sauce is too salty to serve, g/kg.
pub(crate) const SALT_TOO_MUCH: f64 = 14.0;
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

/// Works out the path.
///
/// # Errors
/// Names the field that can't be used.
pub fn sauce(request: &SauceRequest) -> Result<Sauce> {
    let liquid_l = in_range("liquid_l", request.liquid_l.unwrap_or(1.0), 0.02, 60.0, "L")?;
    let pot = request.vessel.clone().unwrap_or_default().resolve(Lid::None).map_err(|error| error.within("vessel"))?;
    let fat_l = match request.fat_mm {
        Some(depth) => in_range("fat_mm", depth, 0.0, 100.0, "mm")? * pot.floor_m2,
        None => in_range("fat_l", request.fat_l.unwrap_or(0.0), 0.0, 20.0, "L")?,
    };
    let salt_g = in_range("salt_g", request.salt_g.unwrap_or(liquid_l * 8.0), 0.0, 2000.0, "g")?;
    let gelatin_g = in_range("gelatin_g", request.gelatin_g.unwrap_or(0.0), 0.0, 2000.0, "g")?;
    let hob_w = in_range("hob_w", request.hob_w.unwrap_or(1800.0), 200.0, 20_000.0, "W")?;
    let share = in_range("share", request.share.unwrap_or(1.0), 0.0, 1.0, "")?;
    let meat_kg = in_range("meat_kg", request.meat_kg.unwrap_or(0.0), 0.0, 60.0, "kg")?;
    let mut steps = Vec::new();
    let mut warnings = Vec::new();

    let (taken, skim_min) = if fat_l > 0.0 { request.skim.takes() } else { (0.0, 0.0) };
    let fat_left_l = fat_l * (1.0 - taken);
    if fat_l > 0.0 && request.skim != Skim::None {
        let (what, why) = request.skim.words();
        steps.push(SauceStep { what: what.into(), min: skim_min, why: why.into() });
    }
    if fat_left_l * FAT_KG_PER_L > 0.06 * liquid_l {
        warnings.push(Caution::new(
            "greasy",
            format!(
                "{:.0} mL of fat stay in: it will look and feel greasy. Skim again, or chill it and lift the fat.",
                fat_left_l * 1000.0
            ),
        ));
    }
    steps.push(SauceStep {
        what: "Taste, with a clean spoon".into(),
        min: 1.0,
        why: "weak: reduce; right but thin: thicken; salty, bitter or sour: don't reduce".into(),
    });

    let final_l = reduced_volume(request, liquid_l, salt_g, gelatin_g, &mut warnings);
    let rate_kg_s = f64::min(BURNER_SHARE * hob_w / LATENT_HEAT, SURFACE_LIMIT * pot.floor_m2);
    let reduce_min = (liquid_l - final_l).max(0.0) / rate_kg_s / 60.0;
    if reduce_min > 0.5 {
        steps.push(SauceStep {
            what: format!("Boil it down, uncovered, from {liquid_l:.2} L to {final_l:.2} L"),
            min: reduce_min,
            why: "salt, gelatin and taste all strengthen together; meat out, so it does not go on cooking".into(),
        });
    }
    for (taste, what, why) in [
        (
            Taste::Salty,
            "Let it down with unsalted stock or water, or serve less of it",
            "reducing would only make it saltier",
        ),
        (
            Taste::Bitter,
            "Balance it with a little sugar, butter or cooked onion",
            "reducing would only make it more bitter",
        ),
        (Taste::Sour, "Balance it with a little sugar or cream", "reducing would only make it sharper"),
        (Taste::Rich, "Add vinegar, mustard or sharp pickles at the plate", "acid and crunch balance richness"),
    ] {
        if request.taste == taste {
            steps.push(SauceStep { what: what.into(), min: 2.0, why: why.into() });
        }
    }

    let gelatin_pct = |volume: f64| gelatin_g / (volume * 1000.0) * 100.0;
    let (thickener_g, water_g) = thickening(request, final_l * share, gelatin_pct(final_l));
    if thickener_g > 0.0 {
        let (name, min, why) = request.thickener.words();
        let only = if share < 1.0 {
            format!(" into {:.2} L, tonight's share; keep the rest as stock", final_l * share)
        } else {
            String::new()
        };
        steps.push(SauceStep {
            what: format!("Thicken with {thickener_g:.0} g of {name}, a third at a time{only}"),
            min: 3.0 + min,
            why: why.into(),
        });
        if fat_left_l > 0.3 * fat_l && fat_l > 0.05 {
            warnings.push(Caution::new("skim_first", "Skim before thickening: starch holds the fat in."));
        }
    }
    let final_salt = salt_g / final_l;
    if final_salt > SALT_TOO_MUCH {
        warnings.push(Caution::new("salty", format!("At {final_salt:.0} g/kg it is too salty for a sauce (10–13 is usual): add unsalted liquid, don't reduce.")));
    }
    if request.target == Target::Glaze {
        steps.push(SauceStep {
            what: "Turn the meat in it until it shines".into(),
            min: 4.0,
            why: "the glaze sticks while it is hot".into(),
        });
    }
    let third = round_to(thickener_g / 3.0, 0.1);
    Ok(Sauce {
        steps,
        fat_mm: fat_l / pot.floor_m2,
        fat_left_l,
        reduce_min,
        final_l,
        final_salt_g_per_kg: final_salt,
        final_gelatin_pct: gelatin_pct(final_l),
        thickener_g,
        water_g,
        thirds: [third, third, thickener_g - 2.0 * third],
        warnings,
        cooling: cooling(&pot, final_l, meat_kg),
    })
}

/// How far to reduce: as far as the target asks, and no further than taste and salt allow.
fn reduced_volume(
    request: &SauceRequest,
    liquid_l: f64,
    salt_g: f64,
    gelatin_g: f64,
    warnings: &mut Vec<Caution>,
) -> f64 {
    if matches!(request.taste, Taste::Salty | Taste::Bitter | Taste::Sour | Taste::Rich) {
        return liquid_l;
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
    if stopped > wanted + 0.01 {
        warnings.push(Caution::new(
            "salt_stop",
            format!("Stop at {stopped:.2} L: below that it passes {SALT_STOP:.0} g of salt a kilo."),
        ));
    }
    stopped
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
