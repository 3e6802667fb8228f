//! Cooling what is left: how long each way takes through the temperatures at which it spoils.

use serde::{Deserialize, Serialize};
use serde_with::skip_serializing_none;
use utoipa::ToSchema;

use crate::heat::body::DENSITY;
use crate::heat::places::{FRIDGE_AT_WORK_C, ICE_WATER_C, ROOM_C};
use crate::heat::pot::{Pot, WATER_SPECIFIC_HEAT};
use crate::safety::COOLING_C;

/// Where it is cooled.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum CoolIn {
    /// Left in its pot on the counter, then the fridge.
    Pot,
    /// In its pot straight in the fridge.
    Fridge,
    /// In open trays, 4 cm deep at most, in the fridge.
    Trays,
    /// The pot in ice water, stirred now and then.
    IceBath,
    /// In open trays in a blast chiller, where there is one.
    Blast,
}

/// How long one way takes.
#[skip_serializing_none]
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Cooled {
    /// Where.
    pub cool_in: CoolIn,
    /// From the boil to 21 °C, min.
    pub to_21_min: f64,
    /// From the boil to 5 °C, min.
    pub to_5_min: f64,
    /// Within the published guidance: from 57 to 21 °C in 2 h, and to 5 °C in 4 h more.
    pub in_time: bool,
    /// Trays it takes, where it goes in trays.
    pub trays: Option<u32>,
    /// How deep it stands, mm.
    pub depth_mm: f64,
}

/// It comes off the heat at, °C.
const START_C: f64 = 95.0;
/// The guidance counts from here; to be reached first, and in the end, °C.
const WARM_C: f64 = COOLING_C[0];
const COOL_C: f64 = COOLING_C[1];
const COLD_C: f64 = COOLING_C[2];
/// From warm to cool at most, min. Published guidance.
const TO_COOL_MIN: f64 = 120.0;
/// From cool to cold at most, min. Published guidance.
const TO_COLD_MIN: f64 = 240.0;
/// Still air to a pot or tray, radiation and some evaporation included, W/(m² K). Working value.
const AIR_COEFFICIENT: f64 = 11.0;
/// A fridge's moved air to an open dish, the steam off it included, W/(m² K). Working value.
const FRIDGE_COEFFICIENT: f64 = 20.0;
/// A blast chiller's air, °C, and what it gives to open trays, W/(m² K). Working values.
const BLAST_C: f64 = -8.0;
const BLAST_COEFFICIENT: f64 = 45.0;
/// Stirred ice water through a pot's wall, W/(m² K). Working value.
const ICE_COEFFICIENT: f64 = 170.0;
/// Conductivity of a stew that stirs itself a little as it cools, W/(m K). Working value: twice water's.
const STEW_CONDUCTIVITY: f64 = 1.2;
/// As deep as a tray is filled, m; its floor, m²: 30 by 20 cm. Practice.
const TRAY_M: f64 = 0.04;
const TRAY_M2: f64 = 0.06;
/// As deep as a stew is that is stirred now and then, m. Working value.
const STIRRED_M: f64 = 0.025;

/// Time constant of a mass that loses heat from an area through a depth of its own stew, s.
fn time_constant(mass_kg: f64, area_m2: f64, coefficient: f64, depth_m: f64) -> f64 {
    let resistance = 1.0 / coefficient + 0.5 * depth_m / STEW_CONDUCTIVITY;
    mass_kg * WATER_SPECIFIC_HEAT * resistance / area_m2
}

/// Minutes from one temperature to another in surroundings of a third.
fn minutes(time_s: f64, from_c: f64, to_c: f64, around_c: f64) -> f64 {
    if to_c <= around_c + 0.2 {
        return f64::INFINITY;
    }
    time_s / 60.0 * ((from_c - around_c) / (to_c - around_c)).max(1.0).ln()
}

/// Every way, for so much liquid and meat in a pot: litres and kg.
pub fn cooling(pot: &Pot, liquid_l: f64, meat_kg: f64) -> Vec<Cooled> {
    let mass_kg = liquid_l + meat_kg;
    let depth_m = (mass_kg / DENSITY / pot.floor_m2).max(0.005);
    // What the pot's wall touches, and the open top.
    let wetted_m2 = pot.floor_m2 + (pot.outside_m2 - 2.0 * pot.floor_m2) * (depth_m / pot.height_m).min(1.0);
    let pot_s = |coefficient: f64, area_m2: f64, deep_m: f64| time_constant(mass_kg, area_m2, coefficient, deep_m);
    let in_fridge_s = pot_s(FRIDGE_COEFFICIENT, wetted_m2 + pot.floor_m2, depth_m);
    // More trays for more; a little runs out thin over one.
    let trays = (mass_kg / DENSITY / (TRAY_M * TRAY_M2)).ceil().max(1.0);
    let tray_m = f64::max(0.005, mass_kg / DENSITY / (trays * TRAY_M2));
    let tray_s = time_constant(mass_kg, 2.0 * trays * TRAY_M2, FRIDGE_COEFFICIENT, tray_m);
    let blast_s = time_constant(mass_kg, 2.0 * trays * TRAY_M2, BLAST_COEFFICIENT, tray_m);
    let of = |cool_in: CoolIn, first: (f64, f64), then: (f64, f64)| {
        let (first_s, around_c) = first;
        // The counter never gets it below its own warmth: then the fridge takes over a few degrees above.
        let turn_c = f64::max(COOL_C, around_c + 4.0);
        let past = |from_c: f64, to_c: f64| {
            let there = to_c.max(turn_c).min(from_c);
            minutes(first_s, from_c, there, around_c) + minutes(then.0, there, to_c.min(there), then.1)
        };
        let (to_21_min, to_5_min) = (past(START_C, COOL_C), past(START_C, COLD_C));
        let (warm_to_cool, cool_to_cold) = (past(WARM_C, COOL_C), to_5_min - to_21_min);
        // A pot on the counter is never the way, however little is in it: nobody knows how warm the kitchen is, or when it is moved.
        let within = warm_to_cool <= TO_COOL_MIN && cool_to_cold <= TO_COLD_MIN;
        let in_time = within && cool_in != CoolIn::Pot;
        let in_trays = matches!(cool_in, CoolIn::Trays | CoolIn::Blast);
        let stands_m = if in_trays { tray_m } else { depth_m };
        Cooled {
            cool_in,
            to_21_min,
            to_5_min,
            in_time,
            trays: in_trays.then_some(trays as u32),
            depth_mm: stands_m * 1000.0,
        }
    };
    let fridge = (in_fridge_s, FRIDGE_AT_WORK_C);
    let ice = (pot_s(ICE_COEFFICIENT, wetted_m2, STIRRED_M), ICE_WATER_C);
    vec![
        of(CoolIn::IceBath, ice, ice),
        of(CoolIn::Trays, (tray_s, FRIDGE_AT_WORK_C), (tray_s, FRIDGE_AT_WORK_C)),
        of(CoolIn::Fridge, fridge, fridge),
        of(CoolIn::Pot, (pot_s(AIR_COEFFICIENT, wetted_m2 + pot.floor_m2, depth_m), ROOM_C), fridge),
        of(CoolIn::Blast, (blast_s, BLAST_C), (blast_s, BLAST_C)),
    ]
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::heat::pot::{Lid, Vessel};
    use proptest::prelude::*;

    #[test]
    fn ice_water_and_trays_are_quick_and_a_big_pot_is_not() {
        let pot = Vessel::default().resolve(Lid::Loose).unwrap();
        let big = cooling(&pot, 3.0, 2.0);
        let [ice, trays, fridge, counter, blast] = big[..] else { panic!("five ways") };
        assert!(
            blast.to_5_min < trays.to_5_min && blast.in_time && (30.0..150.0).contains(&blast.to_5_min),
            "{blast:?}"
        );
        assert!(ice.to_21_min < trays.to_21_min && trays.to_21_min < fridge.to_21_min);
        assert!(fridge.to_21_min < counter.to_21_min, "{fridge:?} {counter:?}");
        assert!(ice.in_time && trays.in_time && !fridge.in_time && !counter.in_time, "{big:?}");
        assert!(big.iter().all(|way| way.to_5_min.is_finite() && way.to_5_min > way.to_21_min));
        let little = cooling(&pot, 0.3, 0.2);
        assert!(little[2].in_time && !little[3].in_time, "{little:?}");
        assert!(little.iter().zip(&big).all(|(little, big)| little.to_5_min <= big.to_5_min));
    }

    proptest! {
        #[test]
        fn trays_are_filled_by_depth_and_never_beaten_by_a_pot(litres in 0.4..20.0f64, kilos in 0.0..10.0f64, across in 16.0..32.0f64) {
            let vessel = Vessel { diameter_cm: Some(across), height_cm: Some(40.0), ..Vessel::default() };
            let [_, trays, fridge, counter, _] = cooling(&vessel.resolve(Lid::Loose).unwrap(), litres, kilos)[..] else {
                panic!("five ways")
            };
            prop_assert!(trays.depth_mm <= 40.0 + 1e-9 && trays.in_time, "{trays:?}");
            prop_assert!(trays.to_21_min <= counter.to_21_min && trays.to_5_min <= counter.to_5_min, "{trays:?} {counter:?}");
            prop_assert!(f64::from(trays.trays.unwrap()) >= (litres + kilos) / 1.06 / 2.4 - 1.0);
            prop_assert!(fridge.to_5_min <= counter.to_5_min);
        }
    }
}
