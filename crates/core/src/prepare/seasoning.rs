//! Salt as it is eaten: in the meat, in the sauce, and on the plate where both meet.

use ergastic_words::{Strength, Volume, prepare as say};
use serde::{Deserialize, Serialize};
use serde_with::skip_serializing_none;
use utoipa::ToSchema;

use super::pot::{along, poured_on_the_way};
use super::salt::doubt_share;
use crate::bench::{Level, Prepare};
use crate::finish::{FLAT_G_PER_KG, MeatOnPlate, SALTY_G_PER_KG, Seasoned, bears_g_per_kg};
use crate::forecast::{Forecast, ResolvedDish};

/// Less liquid than this is no sauce, L.
pub(crate) const NO_SAUCE_L: f64 = 0.05;

/// P10 and P90 of a normal belief, standard deviations.
const P10_SIGMAS: f64 = 1.28;

/// How such a plate tastes, g/kg.
fn tastes(plate_g_per_kg: f64) -> Seasoned {
    match plate_g_per_kg {
        plate if plate > SALTY_G_PER_KG => Seasoned::Salty,
        plate if plate < FLAT_G_PER_KG => Seasoned::Flat,
        _ => Seasoned::Right,
    }
}

/// Salt at the end of the cook, nothing reduced yet.
#[skip_serializing_none]
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Seasoning {
    /// In the liquid, g.
    pub sauce_g: f64,
    /// Its strength.
    pub sauce_g_per_kg: f64,
    /// Strength of the meat as it is eaten.
    pub meat_g_per_kg: f64,
    /// Strength of both on a plate.
    pub plate_g_per_kg: f64,
    /// The same where stock, rub and cure are as weak or as strong as one in ten of them.
    #[schema(min_items = 2, max_items = 2)]
    pub range_g_per_kg: [f64; 2],
    /// What a taste would tell, where that range tastes of two things.
    pub ask: Option<String>,
    /// How that tastes.
    pub verdict: Seasoned,
    /// Reduced below this the plate, or the sauce by itself, grows too salty, L.
    pub stop_at_l: f64,
    /// The plate in a sentence.
    pub text: String,
}

impl Seasoning {
    /// At the end of the cook; none where there is no liquid.
    pub(super) fn of(
        case: &ResolvedDish,
        bench: &Prepare,
        forecast: &Forecast,
        hours: f64,
        glaze: bool,
    ) -> Option<Self> {
        let at_end = |of: &dyn Fn(&crate::forecast::CurvePoint) -> f64| along(&forecast.curve, hours * 60.0, of);
        // As it is topped up at the looks.
        let poured: f64 = poured_on_the_way(case, &forecast.curve, hours * 60.0).iter().map(|pour| pour.l).sum();
        let liquid_l = at_end(&|point| point.liquid_l) + poured;
        let pot = case.stages.iter().any(|stage| stage.medium.is_pot());
        if !pot || liquid_l < NO_SAUCE_L {
            return None;
        }
        let sauce_g = at_end(&|point| point.salt_g);
        let meat = MeatOnPlate {
            salt_g: f64::max(0.0, case.salt_g - sauce_g),
            kg: f64::max(0.01, at_end(&|point| point.yield_kg)),
        };
        let eaten_l = meat.eats_l(liquid_l, bench.level == Some(Level::Soup));
        let (sauce_g_per_kg, plate_g_per_kg) = (sauce_g / liquid_l, meat.with(sauce_g / liquid_l, eaten_l));
        let verdict = tastes(plate_g_per_kg);
        // The same with the stock and the rub as weak and as strong as one in ten of them.
        let doubt = doubt_share(case, bench);
        let range = [-P10_SIGMAS, P10_SIGMAS].map(|sigmas| {
            let share = f64::max(0.0, 1.0 + sigmas * doubt);
            MeatOnPlate { salt_g: meat.salt_g * share, ..meat }.with(sauce_g / liquid_l * share, eaten_l)
        });
        let unsure = range.map(tastes).iter().any(|end| *end != verdict);
        let ask = unsure.then(|| case.voice.render(say::taste_now(Strength(range[0]), Strength(range[1]))));
        let stop_at_l = f64::max(sauce_g / bears_g_per_kg(glaze), meat.stop_l(sauce_g, eaten_l));
        let text = case.voice.render(say::seasoned(Strength(plate_g_per_kg), verdict.key(), Volume(stop_at_l)));
        Some(Self {
            text,
            sauce_g,
            sauce_g_per_kg,
            meat_g_per_kg: meat.g_per_kg(),
            plate_g_per_kg,
            range_g_per_kg: range,
            ask,
            verdict,
            stop_at_l,
        })
    }
}
