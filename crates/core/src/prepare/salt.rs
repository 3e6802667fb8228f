//! Salt: grams and spoons, how deep it gets, brine and soak, and what all of it comes to in the sauce.

use ergastic_words::{Grams, Message, Percent, Spoons, Volume, larder, prepare as say};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use crate::bench::{Brine, Crystal, Larder, Prepare, SALT_TEASPOON_G, Soak};
use crate::cuts::Cut;
use crate::forecast::{CORNED_SALT, Forecast, ResolvedDish};
use ergastic_physics::body::DENSITY;
use ergastic_physics::parameters::Parameters;
use ergastic_physics::units::HOUR_S;

/// Bacon to render for each kilo of meat, g. Practice.
pub(super) const BACON_G_PER_KG: f64 = 60.0;
/// Diffusion of salt into cold meat, m²/s: published values scatter this widely.
const DIFFUSION: [f64; 2] = [2e-10, 5e-10];
/// As salt as the meat's water grows under dry salt, g/kg. Working value: a fifth of a saturated brine.
const STRONGEST_G_PER_KG: f64 = 60.0;

impl Crystal {
    /// Grams in a level teaspoon.
    pub fn spoon_g(self) -> f64 {
        match self {
            Self::Fine => SALT_TEASPOON_G,
            Self::Coarse => 4.8,
            Self::Flake => 2.8,
        }
    }

    /// Its name in JSON.
    pub fn key(self) -> &'static str {
        match self {
            Self::Fine => "fine",
            Self::Coarse => "coarse",
            Self::Flake => "flake",
        }
    }

    /// As it stands on the pack.
    pub fn name(self) -> Message {
        larder::salt(self.key())
    }

    /// So much of it, by the spoon.
    pub fn spoons(self, grams: f64) -> Spoons {
        Spoons { grams, teaspoon_g: self.spoon_g() }
    }
}

/// Where salt comes from.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct SaltSource {
    /// What.
    pub name: String,
    /// The ingredient, if it is one.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub what: Option<Larder>,
    /// Grams of salt from it.
    pub g: f64,
}

/// Salt as strength of the brine, or as what a soak leaves.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct BrineAnswer {
    /// Salt for the water, g.
    pub salt_g: f64,
    /// Its strength, %.
    pub strength_pct: f64,
    /// Share of the way to one strength by the time it comes out.
    pub evened: f64,
}

/// Salt in grams, spoons, depth, and in the sauce.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct SaltAnswer {
    /// Salt that is weighed out for the meat, g.
    pub g: f64,
    /// The same in level teaspoons.
    pub tsp: f64,
    /// How deep it reaches by the pan, mm, at the least and at the most.
    #[schema(min_items = 2, max_items = 2)]
    pub depth_mm: [f64; 2],
    /// From the surface to the middle, mm.
    pub to_middle_mm: f64,
    /// Salt from everything but the meat's own salting, g.
    pub from_ingredients_g: f64,
    /// Salt in the meat as it meets the heat, g.
    pub in_meat_g: f64,
    /// Everything that brings salt.
    pub sources: Vec<SaltSource>,
    /// The liquid when the meat is done, g of salt a kilo.
    pub liquid_g_per_kg: Option<f64>,
    /// The same once it is reduced by half.
    pub halved_g_per_kg: Option<f64>,
    /// The brine, if there is one.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub brine: Option<BrineAnswer>,
    /// Share of the meat's own salt that a soak leaves in it.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub soak_leaves: Option<f64>,
}

/// How deep salt gets in some hours in the cold, mm: `2 √(D t)` for the least and the most `D`.
pub fn depth_mm(hours: f64) -> [f64; 2] {
    DIFFUSION.map(|d| 2.0 * (d * hours * HOUR_S).sqrt() * 1000.0)
}

/// Share of the way to one strength after some hours, for meat so thick: 5 h at 4 cm, growing with its square.
fn evened(thickness_m: f64, hours: f64) -> f64 {
    let time_constant_h = Parameters::USUAL.salt.evens_s / HOUR_S * (thickness_m / 0.04).powi(2);
    1.0 - (-hours / time_constant_h).exp()
}

/// A brine that brings the meat to `salt_pct` of its mass: `strength = salt / (water + 0.7 meat)`.
fn brine(brine: Brine, meat_kg: f64, salt_pct: f64, thickness_m: f64) -> BrineAnswer {
    let in_water = salt_pct / 100.0 / Parameters::USUAL.salt.water;
    let salt_g = in_water * (brine.water_l + Parameters::USUAL.salt.water * meat_kg) * 1000.0;
    BrineAnswer { salt_g, strength_pct: salt_g / brine.water_l / 10.0, evened: evened(thickness_m, brine.hours) }
}

/// Share of the salt that stays in the meat after fresh waters, each drawn towards one strength.
fn soak_leaves(soak: Soak, meat_kg: f64, thickness_m: f64) -> f64 {
    let water = Parameters::USUAL.salt.water * meat_kg;
    let at_rest = water / (water + soak.water_l);
    let one = 1.0 - evened(thickness_m, soak.hours_each) * (1.0 - at_rest);
    one.powi(soak.changes as i32)
}

/// Salt in the meat as it meets the heat, g, and what had to be weighed out.
pub(super) struct MeatSalt {
    /// In the meat.
    pub in_meat_g: f64,
    /// Weighed out for it.
    pub weighed_g: f64,
    /// Of what is in the meat, brought by the butcher's cure.
    pub own_g: f64,
    pub brine: Option<BrineAnswer>,
    pub soak_leaves: Option<f64>,
}

/// Works out the meat's salt from how it was salted, brined and soaked.
pub(super) fn meat_salt(case: &ResolvedDish, bench: &Prepare) -> MeatSalt {
    let trimmed_kg: f64 = case.parts.iter().map(|part| part.trimmed_kg()).sum();
    let corned_kg: f64 =
        case.parts.iter().filter(|part| part.facts.cut == Cut::CornedBrisket).map(|part| part.trimmed_kg()).sum();
    let thickness_m = case.main().sides_m[0];
    let left = bench.soak.map(|soak| soak_leaves(soak, trimmed_kg, thickness_m));
    let own_g = corned_kg * CORNED_SALT * 1000.0 * left.unwrap_or(1.0);
    // Corned meat has had its salt: only what is not corned is salted.
    let to_salt_kg = trimmed_kg - corned_kg;
    let brined = bench.brine.map(|wanted| brine(wanted, to_salt_kg, bench.salt_pct, thickness_m));
    let dry_g = to_salt_kg * bench.salt_pct * 10.0;
    let (weighed_g, taken_g) = match brined {
        Some(answer) => (answer.salt_g, dry_g * answer.evened),
        None => (dry_g, dry_g),
    };
    MeatSalt { in_meat_g: own_g + taken_g, weighed_g, own_g, brine: brined, soak_leaves: left }
}

/// Of the salt in and on the meat, what still lies on its surface when it meets the liquid, g: the meat's water down to the depth of
/// [`depth_mm`] takes up so much and no more. Cured and brined meat has it inside.
pub(super) fn on_the_surface_g(case: &ResolvedDish, bench: &Prepare, meat: &MeatSalt) -> f64 {
    if bench.brine.is_some() {
        return 0.0;
    }
    let [least, most] = depth_mm(bench.salt_h);
    let depth_m = (least * most).sqrt() / 1000.0;
    let area_m2: f64 = case.parts.iter().map(|part| part.shape.surface_m2(part.boneless_kg() / DENSITY)).sum();
    let takes_up_g = area_m2 * depth_m * DENSITY * Parameters::USUAL.salt.water * STRONGEST_G_PER_KG;
    f64::max(0.0, meat.in_meat_g - meat.own_g - takes_up_g)
}

/// Salt to weigh out for the meat, g, and what is done with it.
pub fn salting(case: &ResolvedDish, bench: &Prepare) -> (f64, Message) {
    let meat = meat_salt(case, bench);
    let grams = meat.weighed_g;
    let words = match (bench.brine, meat.brine) {
        (Some(Brine { water_l, .. }), Some(answer)) => {
            say::brine(Grams(grams), Volume(water_l), Percent(answer.strength_pct / 100.0))
        }
        _ => say::salt(bench.crystal.spoons(grams), bench.crystal.name()),
    };
    (grams, words)
}

/// Salt of everything put in with the meat, g.
pub(super) fn of_ingredients(case: &ResolvedDish, bench: &Prepare, base_l: f64) -> Vec<SaltSource> {
    let thing = |what: Larder, grams: f64, salt_pct: f64| SaltSource {
        name: case.voice.render(what.name()),
        what: Some(what),
        g: grams * salt_pct / 100.0,
    };
    let usual = |what: Larder, grams: f64| thing(what, grams, what.facts().salt_pct);
    let base = usual(bench.base, base_l * 1000.0 * bench.base.facts().density);
    let all = bench.things();
    let things = all.iter().map(|ingredient| thing(ingredient.what, ingredient.grams(), ingredient.salt_pct()));
    // Bacon that is only rendered for its fat salts the pot as well.
    let rendered = bench.renders_bacon().then(|| usual(Larder::Bacon, BACON_G_PER_KG * case.mass_kg));
    std::iter::once(base).chain(things).chain(rendered).filter(|source| source.g > 0.0).collect()
}

/// How sure the salt is, as a standard deviation over all of it: stock, rub and bacon by how far brands differ, a cure by the
/// butcher's; what the cook weighs out is known but for the scales.
pub(crate) fn doubt_share(case: &ResolvedDish, bench: &Prepare) -> f64 {
    /// Of a cure, and of salt that was weighed out.
    const CURE: f64 = 0.15;
    const WEIGHED: f64 = 0.03;
    let meat = meat_salt(case, bench);
    let base_l = super::pot::base_l(bench, case.liquid_l);
    let things = of_ingredients(case, bench, base_l);
    let things_g: f64 = things.iter().map(|thing| thing.g).sum();
    let off = |g: f64, doubt: f64| (g * doubt).powi(2);
    let things_off: f64 =
        things.iter().map(|thing| off(thing.g, thing.what.map_or(WEIGHED, |what| what.facts().salt_doubt))).sum();
    let all_off = things_off + off(meat.own_g, CURE) + off(meat.in_meat_g - meat.own_g, WEIGHED);
    all_off.sqrt() / f64::max(0.1, things_g + meat.in_meat_g)
}

/// The whole balance.
pub(super) fn salt(case: &ResolvedDish, bench: &Prepare, forecast: &Forecast, hours: f64, base_l: f64) -> SaltAnswer {
    let meat = meat_salt(case, bench);
    let mut sources = of_ingredients(case, bench, base_l);
    let from_ingredients_g: f64 = sources.iter().map(|source| source.g).sum();
    let name = if meat.own_g > 0.0 { say::cure() } else { say::salt_on_the_meat() };
    sources.insert(0, SaltSource { name: case.voice.render(name), what: None, g: meat.in_meat_g });
    let at = forecast.curve.iter().rev().find(|point| point.min <= hours * 60.0 + 1e-9);
    let strength = at.filter(|point| point.liquid_l > 0.03).map(|point| point.salt_g / point.liquid_l);
    let to_middle_mm = case.main().sides_m[0] * 500.0;
    SaltAnswer {
        g: meat.weighed_g,
        tsp: meat.weighed_g / bench.crystal.spoon_g(),
        depth_mm: depth_mm(bench.brine.map_or(bench.salt_h, |brine| brine.hours)).map(|mm| f64::min(mm, to_middle_mm)),
        to_middle_mm,
        from_ingredients_g,
        in_meat_g: meat.in_meat_g,
        sources,
        liquid_g_per_kg: strength,
        halved_g_per_kg: strength.map(|strength| 2.0 * strength),
        brine: meat.brine,
        soak_leaves: meat.soak_leaves,
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use proptest::prelude::*;

    #[test]
    fn depth_follows_the_square_root_of_the_hours() {
        let [low, high] = depth_mm(12.0);
        assert!((low - 5.88).abs() < 0.01 && (high - 9.30).abs() < 0.01, "{low} {high}");
        assert!((depth_mm(48.0)[0] - 2.0 * low).abs() < 1e-9);
    }

    #[test]
    fn a_brine_ends_at_the_strength_asked_for_and_a_soak_divides() {
        let answer = brine(Brine { water_l: 2.0, hours: 48.0 }, 2.0, 1.4, 0.05);
        // Two per cent through water and meat's water: 3.4 kg of it.
        assert!((answer.salt_g - 68.0).abs() < 1e-9 && (answer.strength_pct - 3.4).abs() < 1e-9);
        let long = Soak { changes: 1, water_l: 1.4, hours_each: 48.0 };
        assert!((soak_leaves(long, 2.0, 0.02) - 0.5).abs() < 1e-6, "as much water as the meat holds takes half");
        let twice = soak_leaves(Soak { changes: 2, ..long }, 2.0, 0.02);
        assert!((twice - 0.25).abs() < 1e-6);
    }

    proptest! {
        #[test]
        fn a_soak_never_adds_salt(changes in 1u32..8, water in 0.2..20.0f64, hours in 0.1..40.0f64, kg in 0.3..8.0f64, thick in 0.02..0.12f64) {
            let left = soak_leaves(Soak { changes, water_l: water, hours_each: hours }, kg, thick);
            prop_assert!((0.0..=1.0).contains(&left));
            let more = soak_leaves(Soak { changes: changes + 1, water_l: water, hours_each: hours }, kg, thick);
            prop_assert!(more <= left);
        }
    }
}
