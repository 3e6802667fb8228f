//! Salt where it is tasted: on the plate, where meat and sauce are eaten together.

/// On the plate, g/kg of meat and sauce eaten together: below this it is flat. Practice.
pub(crate) const FLAT_G_PER_KG: f64 = 5.0;
/// Above this the plate is too salty. Practice.
pub(crate) const SALTY_G_PER_KG: f64 = 14.0;
/// A plate that is right, in the middle of 7 to 11, g/kg. Practice.
pub(super) const RIGHT_PLATE: f64 = 9.0;
/// A sauce that is seasoned for serving, g/kg. Practice.
pub(super) const SAUCE_USUAL: [f64; 2] = [10.0, 14.0];
/// A sauce by itself bears so much, a glaze of which little is eaten more. Practice.
const SAUCE_BEARS: f64 = 16.0;
const GLAZE_BEARS: f64 = 25.0;
/// Sauce that is eaten with a kilo of meat, kg. Working value: 80 g to a plate.
const SAUCE_TO_MEAT: f64 = 0.5;

/// The meat as it is eaten.
#[derive(Debug, Clone, Copy, PartialEq)]
pub(crate) struct MeatOnPlate {
    /// Salt in it, g.
    pub salt_g: f64,
    /// Cooked, kg.
    pub kg: f64,
}

/// What a sauce by itself bears, g/kg.
pub(crate) fn bears_g_per_kg(glaze: bool) -> f64 {
    if glaze { GLAZE_BEARS } else { SAUCE_BEARS }
}

impl MeatOnPlate {
    /// Of so much sauce, what is eaten with it, L; of a soup all.
    pub(crate) fn eats_l(&self, sauce_l: f64, soup: bool) -> f64 {
        if soup { sauce_l } else { f64::min(sauce_l, SAUCE_TO_MEAT * self.kg) }
    }

    /// Strength of the meat alone, g/kg.
    pub(crate) fn g_per_kg(&self) -> f64 {
        self.salt_g / self.kg
    }

    /// Both together, g/kg.
    pub(crate) fn with(&self, sauce_g_per_kg: f64, eaten_l: f64) -> f64 {
        (self.salt_g + sauce_g_per_kg * eaten_l) / (self.kg + eaten_l)
    }

    /// The litres at which so much salt in the sauce makes the plate too salty.
    pub(crate) fn stop_l(&self, sauce_g: f64, eaten_l: f64) -> f64 {
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
        let meat = MeatOnPlate { salt_g: 6.0, kg: 1.0 };
        assert!((meat.with(12.0, 0.5) - 8.0).abs() < 1e-12);
        for sauce_g in [4.0, 12.0, 20.0] {
            let stop_l = meat.stop_l(sauce_g, 0.5);
            let eaten_l = f64::min(stop_l, 0.5);
            let plate = if stop_l > 0.0 { meat.with(sauce_g / stop_l, eaten_l) } else { (6.0 + sauce_g) / 1.0 };
            assert!(
                plate <= SALTY_G_PER_KG + 1e-9 && (stop_l == 0.0 || plate > SALTY_G_PER_KG - 1e-9),
                "{sauce_g}: {plate}"
            );
        }
    }
}
