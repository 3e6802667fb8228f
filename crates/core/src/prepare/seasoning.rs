//! Salt as it is eaten: in the meat, in the sauce, and on the plate where both meet.

use ergastic_words::{Strength, Volume, prepare as say};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::pot::along;
use crate::bench::{Level, Prepare};
use crate::forecast::{Case, Forecast};

/// On the plate, g/kg of meat and sauce eaten together: below this it is flat. Practice.
const FLAT_G_PER_KG: f64 = 5.0;
/// Above this the plate is too salty. Practice.
pub(super) const SALTY_G_PER_KG: f64 = 14.0;
/// A sauce by itself bears so much. Practice.
const SAUCE_G_PER_KG: f64 = 16.0;
/// Sauce that is eaten with a kilo of meat, kg; of a soup all of it. Working value: 80 g to a plate.
const SAUCE_TO_MEAT: f64 = 0.5;
/// Less liquid than this is no sauce, L.
const NO_SAUCE_L: f64 = 0.03;

/// How the plate tastes.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Seasoned {
    /// Wants salt.
    Flat,
    /// Well salted.
    Right,
    /// Too salty.
    Salty,
}

impl Seasoned {
    /// Its name in JSON.
    fn key(self) -> &'static str {
        match self {
            Self::Flat => "flat",
            Self::Right => "right",
            Self::Salty => "salty",
        }
    }
}

/// Salt at the end of the cook, nothing reduced yet.
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
    /// How that tastes.
    pub verdict: Seasoned,
    /// Reduced below this the plate, or the sauce by itself, grows too salty, L.
    pub stop_at_l: f64,
    /// The plate in a sentence.
    pub text: String,
}

impl Seasoning {
    /// At the end of the cook; none where there is no liquid.
    pub(super) fn of(case: &Case, bench: &Prepare, forecast: &Forecast, hours: f64) -> Option<Self> {
        let at_end = |of: &dyn Fn(&crate::forecast::CurvePoint) -> f64| along(&forecast.curve, hours * 60.0, of);
        let liquid_l = at_end(&|point| point.liquid_l);
        let pot = case.stages.iter().any(|stage| stage.medium.is_pot());
        if !pot || liquid_l < NO_SAUCE_L {
            return None;
        }
        let sauce_g = at_end(&|point| point.salt_g);
        let meat =
            Meat { salt_g: f64::max(0.0, case.salt_g - sauce_g), kg: f64::max(0.01, at_end(&|point| point.yield_kg)) };
        let eaten_l =
            if bench.level == Some(Level::Soup) { liquid_l } else { f64::min(liquid_l, SAUCE_TO_MEAT * meat.kg) };
        let (sauce_g_per_kg, plate_g_per_kg) = (sauce_g / liquid_l, meat.plate(sauce_g / liquid_l, eaten_l));
        let verdict = match plate_g_per_kg {
            plate if plate > SALTY_G_PER_KG => Seasoned::Salty,
            plate if plate < FLAT_G_PER_KG => Seasoned::Flat,
            _ => Seasoned::Right,
        };
        let stop_at_l = f64::max(sauce_g / SAUCE_G_PER_KG, meat.stop_l(sauce_g, eaten_l));
        let text = case.voice.say(say::seasoned(Strength(plate_g_per_kg), verdict.key(), Volume(stop_at_l)));
        Some(Self {
            text,
            sauce_g,
            sauce_g_per_kg,
            meat_g_per_kg: meat.salt_g / meat.kg,
            plate_g_per_kg,
            verdict,
            stop_at_l,
        })
    }
}

/// The meat as it is eaten.
struct Meat {
    salt_g: f64,
    kg: f64,
}

impl Meat {
    /// Both together, g/kg.
    fn plate(&self, sauce_g_per_kg: f64, eaten_l: f64) -> f64 {
        (self.salt_g + sauce_g_per_kg * eaten_l) / (self.kg + eaten_l)
    }

    /// The litres at which so much salt in the sauce makes the plate too salty.
    fn stop_l(&self, sauce_g: f64, eaten_l: f64) -> f64 {
        let bears_g = SALTY_G_PER_KG * (self.kg + eaten_l) - self.salt_g;
        // Reduced below what is eaten of it, all of it is eaten.
        let all_l = (self.salt_g + sauce_g) / SALTY_G_PER_KG - self.kg;
        if bears_g > 0.0 && sauce_g * eaten_l / bears_g >= eaten_l {
            sauce_g * eaten_l / bears_g
        } else {
            f64::max(0.0, all_l)
        }
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn the_plate_is_what_is_eaten_together_and_the_stop_is_where_it_grows_too_salty() {
        let meat = Meat { salt_g: 6.0, kg: 1.0 };
        assert!((meat.plate(12.0, 0.5) - 8.0).abs() < 1e-12);
        for sauce_g in [4.0, 12.0, 20.0] {
            let stop_l = meat.stop_l(sauce_g, 0.5);
            let eaten_l = f64::min(stop_l, 0.5);
            let plate = if stop_l > 0.0 { meat.plate(sauce_g / stop_l, eaten_l) } else { (6.0 + sauce_g) / 1.0 };
            assert!(
                plate <= SALTY_G_PER_KG + 1e-9 && (stop_l == 0.0 || plate > SALTY_G_PER_KG - 1e-9),
                "{sauce_g}: {plate}"
            );
        }
    }
}
