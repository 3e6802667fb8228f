//! A pan on a burner as a lump of metal: what laying meat in it does to its heat, and when the meat browns.

use crate::heat::pot::Material;
use ergastic_physics::places::ROOM_C;
use ergastic_physics::steam::LATENT_HEAT;

/// From the pan to wet meat, W/(m² K). Working value.
const WET_CONTACT: f64 = 600.0;
/// Below this nothing browns, °C. Practice.
pub const BROWNS_FROM_C: f64 = 150.0;
/// Heat that meat draws once its film is gone, W √s/m²: conduction into it, `k ΔT/√(π α)`, from its boiling surface …
const CONDUCTION: f64 = 71_600.0;
/// … and its own juice boiling off as the warm layer grows. Working value.
const JUICE: f64 = 30_000.0;
/// A pan gives this to the air for each m² of floor, W/(m² K). Working value.
const TO_AIR: f64 = 15.0;
/// Browning goes at its middling pace here, °C, …
const BROWN_AT_C: f64 = 190.0;
/// … and e-fold faster for so many kelvin more. Working value.
const BROWN_E_FOLD_K: f64 = 60.0;
/// Step, s.
const STEP_S: f64 = 0.5;
/// Nobody waits longer for a side to brown, s.
const PATIENCE_S: f64 = 2400.0;

/// Mass of a pan for each m² of its floor, kg/m²: a 28 cm iron pan weighs some 2.8 kg. Working value.
pub fn usual_kg_per_m2(material: Material) -> f64 {
    match material {
        Material::Iron => 45.0,
        Material::Steel => 26.0,
        Material::Aluminium => 20.0,
        Material::Ceramic | Material::Glass => 30.0,
    }
}

/// A pan on its burner.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct HotPan {
    /// Its floor, m².
    pub floor_m2: f64,
    /// Its heat capacity, J/K.
    pub capacity: f64,
    /// Heat that reaches it, W.
    pub power_w: f64,
}

/// What is laid in it.
#[derive(Debug, Clone, PartialEq)]
pub struct InPan {
    /// Area against the pan for each side in turn, m².
    pub sides_m2: Vec<f64>,
    /// Water on each side as it is laid, kg/m².
    pub film: f64,
    /// Browning wanted on each, s at the middling pace.
    pub brown_s: f64,
    /// Of the steam, what condenses on the cold sides of the neighbours and runs back under them: none where they have room.
    pub falls_back: f64,
}

/// Share of the floor from which pieces stand in each other's steam, and the most of it that runs back. Working values, from
/// practice: thirty cubes that fill a small insert stew.
const ROOMY: f64 = 0.6;
const SHOULDER_TO_SHOULDER: f64 = 0.9;
const MAX_FALLS_BACK: f64 = 0.6;

/// How much of its steam falls back on several pieces that cover such a share of the floor.
pub fn falls_back(cover: f64, pieces: u32) -> f64 {
    if pieces < 2 {
        return 0.0;
    }
    MAX_FALLS_BACK * ((cover - ROOMY) / (SHOULDER_TO_SHOULDER - ROOMY)).clamp(0.0, 1.0)
}

/// How a batch went.
#[derive(Debug, Clone, PartialEq, Default)]
pub struct Batch {
    /// Seconds each side took.
    pub side_s: Vec<f64>,
    /// The coolest the pan became, °C.
    pub low_c: f64,
    /// The pan at its end, °C.
    pub end_c: f64,
    /// It fell below browning before a side was brown: the meat boils grey in its juice.
    pub stews: bool,
    /// Seconds until the first side is brown after all; `None` if the burner never gets there.
    pub first_brown_s: Option<f64>,
    /// The pan over time, `(s, °C)`, every ten seconds.
    pub trace: Vec<(f64, f64)>,
}

impl HotPan {
    fn loss_w(&self, celsius: f64) -> f64 {
        TO_AIR * self.floor_m2 * (celsius - ROOM_C)
    }

    /// The hottest it gets with nothing in it, °C.
    pub fn most_c(&self) -> f64 {
        ROOM_C + self.power_w / (TO_AIR * self.floor_m2)
    }

    /// Seconds from one temperature to a higher one, empty; `None` if the burner does not get it there.
    pub fn warms_s(&self, from_c: f64, to_c: f64) -> Option<f64> {
        if to_c <= from_c {
            return Some(0.0);
        }
        let (most, conductance) = (self.most_c(), TO_AIR * self.floor_m2);
        (to_c < most).then(|| self.capacity / conductance * ((most - from_c) / (most - to_c)).ln())
    }

    /// Where it comes to from a temperature in some seconds, empty, °C.
    pub fn warmed_c(&self, from_c: f64, seconds: f64) -> f64 {
        let (most, conductance) = (self.most_c(), TO_AIR * self.floor_m2);
        most - (most - from_c) * (-seconds * conductance / self.capacity).exp()
    }

    /// Lays a batch in the pan at a temperature and turns it, side by side, each as soon as it is brown.
    pub fn sear(&self, start_c: f64, laid: &InPan) -> Batch {
        let mut batch = Batch { low_c: start_c, trace: vec![(0.0, start_c)], ..Batch::default() };
        let (mut celsius, mut clock_s) = (start_c, 0.0);
        for (side, &area) in laid.sides_m2.iter().enumerate() {
            let (mut film, mut brown_s, mut since_s) = (laid.film, 0.0, 0.0);
            while brown_s < laid.brown_s && since_s < PATIENCE_S {
                let root = f64::max(since_s, 1.0).sqrt();
                let contact = WET_CONTACT * f64::max(0.0, celsius - 100.0);
                let (conducted, juice) = (CONDUCTION / root, JUICE / root);
                // While it is wet the contact draws all it can; dry, only what the meat takes in.
                let wet = film > 0.0 || contact < conducted + juice;
                let drawn = if wet { contact } else { conducted + juice };
                // What the contact gives beyond warming the meat boils water off; what it falls short of stays as juice.
                let boiled = if wet { f64::max(0.0, drawn - conducted) } else { juice };
                // Once it is dry there is too little steam to run back.
                let away = if wet { boiled * (1.0 - laid.falls_back) } else { boiled };
                film = f64::max(0.0, film + STEP_S * (juice - away) / LATENT_HEAT);
                celsius += STEP_S * (self.power_w - self.loss_w(celsius) - area * drawn) / self.capacity;
                if film == 0.0 && celsius >= BROWNS_FROM_C {
                    brown_s += STEP_S * ((celsius - BROWN_AT_C) / BROWN_E_FOLD_K).exp();
                }
                batch.low_c = f64::min(batch.low_c, celsius);
                batch.stews |= celsius < BROWNS_FROM_C;
                since_s += STEP_S;
                clock_s += STEP_S;
                if clock_s % 10.0 < STEP_S {
                    batch.trace.push((clock_s, celsius));
                }
            }
            let done = brown_s >= laid.brown_s;
            if side == 0 {
                batch.first_brown_s = done.then_some(since_s);
            }
            batch.side_s.push(since_s);
            if !done {
                break;
            }
        }
        batch.end_c = celsius;
        batch
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use proptest::prelude::*;

    fn iron(diameter_m: f64, watts: f64) -> HotPan {
        let floor_m2 = std::f64::consts::PI * diameter_m * diameter_m / 4.0;
        HotPan { floor_m2, capacity: floor_m2 * 45.0 * 460.0, power_w: watts }
    }

    fn laid(area: f64, film: f64) -> InPan {
        InPan { sides_m2: vec![area; 2], film, brown_s: 220.0, falls_back: 0.0 }
    }

    #[test]
    fn six_dry_ribs_brown_in_two_to_three_minutes_a_side() {
        let batch = iron(0.28, 720.0).sear(230.0, &laid(0.036, 0.03));
        assert!(!batch.stews && batch.low_c > BROWNS_FROM_C, "{batch:?}");
        assert!(batch.side_s.iter().all(|s| (60.0..210.0).contains(s)), "{:?}", batch.side_s);
    }

    #[test]
    fn a_crowded_light_wet_pan_stews_and_browns_after_all_if_one_waits() {
        let thin = HotPan { floor_m2: 0.05, capacity: 1000.0 * 0.9, power_w: 600.0 };
        let crowded = thin.sear(230.0, &laid(0.048, 0.2));
        assert!(crowded.stews && crowded.low_c < 140.0, "{crowded:?}");
        let waits = crowded.first_brown_s.expect("the burner wins in the end");
        assert!((240.0..1500.0).contains(&waits), "{waits}");
        assert!(!thin.sear(230.0, &laid(0.008, 0.03)).stews);
    }

    #[test]
    fn a_pan_warms_to_what_its_burner_can_hold() {
        let pan = iron(0.28, 720.0);
        let minutes = pan.warms_s(20.0, 230.0).unwrap() / 60.0;
        assert!((4.0..12.0).contains(&minutes), "{minutes}");
        assert_eq!(pan.warms_s(200.0, 150.0), Some(0.0));
        assert!((pan.warmed_c(20.0, 60.0 * minutes) - 230.0).abs() < 1e-6, "the one is the other turned round");
        assert_eq!(iron(0.28, 150.0).warms_s(20.0, 230.0), None);
    }

    proptest! {
        #[test]
        fn more_meat_or_water_is_never_hotter_and_more_heat_or_iron_never_cooler(
            area in 0.004..0.05f64, film in 0.02..0.25f64, watts in 300.0..3000.0f64, more in 1.05..1.6f64,
        ) {
            let pan = iron(0.28, watts);
            let low = |pan: HotPan, area: f64, film: f64| pan.sear(230.0, &laid(area, film)).low_c;
            let here = low(pan, area, film);
            prop_assert!(low(pan, area * more, film) <= here + 0.5);
            prop_assert!(low(pan, area, film * more) <= here + 0.5);
            let hotter = low(HotPan { power_w: watts * more, ..pan }, area, film);
            prop_assert!(hotter >= here - 0.5);
        }
    }
}
