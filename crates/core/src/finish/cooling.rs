//! Cooling what is left: how long each way takes through the temperatures at which it spoils.

use ergastic_words::{Guide, Length, Message, RoughMinutes, Temperature, Voice, afterwards as say};
use serde::{Deserialize, Serialize};
use serde_with::skip_serializing_none;
use utoipa::ToSchema;

use crate::heat::pot::Pot;
use crate::safety::DANGER_C;
use ergastic_physics::body::DENSITY;
use ergastic_physics::parameters::{AfterFigures, Parameters};
use ergastic_physics::places::{FRIDGE_AT_WORK_C, ICE_WATER_C};
use ergastic_physics::vessel::WATER_SPECIFIC_HEAT;

/// Where it is cooled.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum CoolIn {
    /// Left in its pot on the counter, then the fridge.
    Pot,
    /// In its pot straight in the fridge.
    Fridge,
    /// In open trays in the fridge, as shallow as the food code's time asks, 4 cm deep at most.
    Trays,
    /// The pot in ice water, stirred now and then.
    IceBath,
    /// In open trays in a blast chiller, where there is one.
    Blast,
}

impl CoolIn {
    fn key(self) -> &'static str {
        match self {
            Self::Pot => "pot",
            Self::Fridge => "fridge",
            Self::Trays => "trays",
            Self::IceBath => "ice_bath",
            Self::Blast => "blast",
        }
    }
}

/// How long one way takes.
#[skip_serializing_none]
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Cooled {
    /// Where.
    pub cool_in: CoolIn,
    /// The same in words.
    pub name: String,
    /// How long it takes, and whether that is safe.
    pub words: String,
    /// The same in a word or two: how long to cold, too slow, or never.
    pub ends: String,
    /// From the heat to what the food code calls cool, min.
    pub to_cool_min: f64,
    /// From the heat to cold, min.
    pub to_cold_min: f64,
    /// Of it between 60 °C and cold, min.
    pub danger_min: f64,
    /// As quickly as the food code asks; never on the counter.
    pub in_time: bool,
    /// Trays it takes, where it goes in trays.
    pub trays: Option<u32>,
    /// How deep it stands, mm.
    pub depth_mm: f64,
}

/// What is to be cooled, and where it stands.
#[derive(Debug, Clone, Copy)]
pub struct ToCool<'a> {
    /// What it was cooked in.
    pub pot: &'a Pot,
    /// Liquid, L.
    pub liquid_l: f64,
    /// Meat, kg.
    pub meat_kg: f64,
    /// How warm the room is, °C.
    pub room_c: f64,
}

/// It comes off the heat at, °C.
const START_C: f64 = 95.0;
/// What a code gives no time for is held to the other codes' time from cool to cold, min. Published guidance.
const TO_COLD_MIN: f64 = 240.0;
/// It goes from the counter to the fridge so much warmer than the room, K. Working value.
const LUKEWARM_K: f64 = 4.0;
/// A blast chiller's air, °C. Working value.
const BLAST_C: f64 = -8.0;
/// What takes the heat off.
const OFF: AfterFigures = Parameters::USUAL.after;
/// As deep as a tray is filled at most, and in the shallower steps that a shorter time asks for, m; its floor, m²: 30 by 20 cm.
/// Practice.
const TRAY_M: [f64; 4] = [0.04, 0.03, 0.025, 0.02];
const TRAY_M2: f64 = 0.06;
/// Nobody fills a tray shallower, m. Practice.
const MIN_TRAY_M: f64 = 0.02;
/// As deep as a stew is that is stirred now and then, m. Working value.
const STIRRED_M: f64 = 0.025;

/// A stretch of cooling: its time constant, s, and how warm it is around, °C.
type CoolingStretch = (f64, f64);

/// Minutes from one temperature to another.
fn minutes((time_s, around_c): CoolingStretch, from_c: f64, to_c: f64) -> f64 {
    if to_c >= from_c {
        return 0.0;
    }
    if to_c <= around_c + 0.2 {
        return f64::INFINITY;
    }
    time_s / 60.0 * ((from_c - around_c) / (to_c - around_c)).ln()
}

/// First in one place, then from a temperature on in another.
#[derive(Clone, Copy)]
struct Cools {
    first: CoolingStretch,
    until_c: f64,
    then: CoolingStretch,
}

impl Cools {
    fn in_one(place: CoolingStretch) -> Self {
        Self { first: place, until_c: f64::NEG_INFINITY, then: place }
    }

    fn minutes(&self, from_c: f64, to_c: f64) -> f64 {
        let there = to_c.max(self.until_c).min(from_c);
        minutes(self.first, from_c, there) + minutes(self.then, there, to_c)
    }
}

impl ToCool<'_> {
    fn kg(&self) -> f64 {
        self.liquid_l + self.meat_kg
    }

    fn depth_m(&self) -> f64 {
        (self.kg() / DENSITY / self.pot.floor_m2).max(0.005)
    }

    /// What the pot's wall touches of it, its floor with it, m².
    fn wetted_m2(&self) -> f64 {
        let pot = self.pot;
        pot.floor_m2 + (pot.outside_m2 - 2.0 * pot.floor_m2) * (self.depth_m() / pot.height_m).min(1.0)
    }

    /// In its pot, which has to cool with it: what goes off through an area, and through a depth of its own.
    fn in_its_pot_s(&self, coefficient: f64, area_m2: f64, deep_m: f64) -> f64 {
        let heat = self.kg() * WATER_SPECIFIC_HEAT + self.pot.lump().heat_capacity(&Parameters::USUAL);
        heat * (1.0 / coefficient + 0.5 * deep_m / OFF.stew_conductivity) / area_m2
    }

    /// On the counter until it is lukewarm, then in the fridge.
    fn on_the_counter(&self, cool_c: f64) -> Cools {
        let open_m2 = self.wetted_m2() + self.pot.floor_m2;
        Cools {
            first: (self.in_its_pot_s(OFF.room_air, open_m2, self.depth_m()), self.room_c),
            until_c: f64::max(cool_c, self.room_c + LUKEWARM_K),
            then: self.in_the_fridge(),
        }
    }

    fn in_the_fridge(&self) -> CoolingStretch {
        let open_m2 = self.wetted_m2() + self.pot.floor_m2;
        (self.in_its_pot_s(OFF.fridge_air, open_m2, self.depth_m()), FRIDGE_AT_WORK_C)
    }

    fn in_ice_water(&self) -> CoolingStretch {
        (self.in_its_pot_s(OFF.ice_water, self.wetted_m2(), STIRRED_M), ICE_WATER_C)
    }

    /// Trays filled so deep at most, how deep they really are, m, and how they cool in air that takes so much off.
    fn in_trays(&self, deepest_m: f64, (coefficient, around_c): (f64, f64)) -> (f64, f64, CoolingStretch) {
        // No deeper than it stands in a wide pot.
        let deepest_m = deepest_m.min(self.depth_m().max(MIN_TRAY_M));
        let trays = (self.kg() / DENSITY / (deepest_m * TRAY_M2)).ceil().max(1.0);
        let depth_m = f64::max(0.005, self.kg() / DENSITY / (trays * TRAY_M2));
        let resistance = 1.0 / coefficient + 0.5 * depth_m / OFF.stew_conductivity;
        (trays, depth_m, (self.kg() * WATER_SPECIFIC_HEAT * resistance / (2.0 * trays * TRAY_M2), around_c))
    }
}

/// Minutes that what was left on the counter has been between 60 °C and cold, so long after it came off the heat.
pub fn stood_min(food: &ToCool, off_min: f64, voice: Voice) -> f64 {
    let cools = food.on_the_counter(voice.food_code().cooling().cool_c);
    (off_min - cools.minutes(START_C, DANGER_C[1])).max(0.0)
}

/// Every way of cooling it, against what the kitchen's food code asks.
pub fn cooling(food: &ToCool, voice: Voice) -> Vec<Cooled> {
    let rule = voice.food_code().cooling();
    let in_time = |cools: &Cools| {
        cools.minutes(rule.warm_c, rule.cool_c) <= rule.cool_within_min
            && cools.minutes(rule.cool_c, rule.cold_c) <= rule.cold_within_min.unwrap_or(TO_COLD_MIN)
    };
    let of = |cool_in: CoolIn, cools: Cools, trays: Option<(f64, f64)>| {
        let [to_cool_min, to_cold_min] = [rule.cool_c, rule.cold_c].map(|c| cools.minutes(START_C, c));
        let danger_min = cools.minutes(DANGER_C[1], rule.cold_c);
        // A pot on the counter is never the way, however little is in it: it is forgotten there.
        let in_time = in_time(&cools) && cool_in != CoolIn::Pot;
        let [cool, cold, hot] = [rule.cool_c, rule.cold_c, DANGER_C[1]].map(Guide);
        let [first, all] = [to_cool_min, to_cold_min].map(RoughMinutes);
        let depth_m = trays.map_or(food.depth_m(), |(_, depth_m)| depth_m);
        let said = match (cool_in, trays) {
            (CoolIn::Pot, _) => say::cool_never(RoughMinutes(danger_min), hot, cold, Temperature(food.room_c)),
            (_, Some((trays, _))) => say::cool_in_trays(trays as u32, Length(depth_m * 1000.0), first, cool, all, cold),
            _ if in_time => say::cool_takes(first, cool, all, cold),
            _ => say::cool_slow(first, cool, all, cold),
        };
        let ends = match (cool_in, in_time) {
            (CoolIn::Pot, _) => say::cool_ends_never(),
            (_, true) => Message::quantity(all),
            (_, false) => say::cool_ends_slow(),
        };
        Cooled {
            cool_in,
            ends: voice.render(ends),
            name: voice.render(say::cool_name(cool_in.key())),
            words: voice.render(said),
            to_cool_min,
            to_cold_min,
            danger_min,
            in_time,
            trays: trays.map(|(trays, _)| trays as u32),
            depth_mm: depth_m * 1000.0,
        }
    };
    let in_trays = |cool_in: CoolIn, air: (f64, f64)| {
        let filled = TRAY_M.map(|deepest_m| food.in_trays(deepest_m, air));
        let quick = filled.iter().find(|(.., place)| in_time(&Cools::in_one(*place)));
        let &(trays, depth_m, place) = quick.unwrap_or(&filled[TRAY_M.len() - 1]);
        of(cool_in, Cools::in_one(place), Some((trays, depth_m)))
    };
    vec![
        of(CoolIn::IceBath, Cools::in_one(food.in_ice_water()), None),
        in_trays(CoolIn::Trays, (OFF.fridge_air, FRIDGE_AT_WORK_C)),
        of(CoolIn::Fridge, Cools::in_one(food.in_the_fridge()), None),
        of(CoolIn::Pot, food.on_the_counter(rule.cool_c), None),
        in_trays(CoolIn::Blast, (OFF.blast_air, BLAST_C)),
    ]
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::heat::pot::{Lid, PotMeasures};
    use ergastic_words::FoodCode;
    use proptest::prelude::*;

    fn under(code: FoodCode) -> Voice {
        Voice::default().under(code)
    }

    fn usual(pot: &Pot, liquid_l: f64, meat_kg: f64) -> Vec<Cooled> {
        cooling(&ToCool { pot, liquid_l, meat_kg, room_c: 20.0 }, under(FoodCode::Usual))
    }

    #[test]
    fn ice_water_and_trays_are_quick_and_a_big_pot_is_not() {
        let pot = PotMeasures::default().resolve(Lid::Loose).unwrap();
        let big = usual(&pot, 3.0, 2.0);
        let [ice, trays, fridge, counter, blast] = &big[..] else { panic!("five ways") };
        assert!(blast.to_cold_min < trays.to_cold_min && (30.0..150.0).contains(&blast.to_cold_min), "{blast:?}");
        assert!(ice.to_cool_min < trays.to_cool_min && trays.to_cool_min < fridge.to_cool_min);
        assert!(fridge.to_cool_min < counter.to_cool_min, "{fridge:?} {counter:?}");
        assert!(ice.in_time && trays.in_time && blast.in_time && !fridge.in_time && !counter.in_time, "{big:?}");
        assert!(counter.words.starts_with("Never safe: ") && counter.words.contains("20 °C"), "{counter:?}");
        assert!(big.iter().all(|way| way.to_cold_min.is_finite() && way.to_cold_min > way.to_cool_min));
        let little = usual(&pot, 0.3, 0.2);
        assert!(little[2].in_time && !little[3].in_time, "{little:?}");
        assert!(little.iter().zip(&big).all(|(little, big)| little.to_cold_min <= big.to_cold_min));
    }

    #[test]
    fn what_was_left_on_the_counter_has_stood_since_it_fell_under_sixty_and_longer_in_a_warm_room() {
        let pot = PotMeasures::default().resolve(Lid::Loose).unwrap();
        let stood = |room_c: f64, min: f64| {
            stood_min(&ToCool { pot: &pot, liquid_l: 1.0, meat_kg: 1.0, room_c }, min, Voice::default())
        };
        assert_eq!(stood(20.0, 10.0), 0.0, "still hot");
        let [first, second] = [300.0, 420.0].map(|min| stood(20.0, min));
        assert!((second - first - 120.0).abs() < 1e-9 && (150.0..300.0).contains(&first), "{first} {second}");
        // It goes into the fridge once it is lukewarm, which in a warm room is sooner and warmer: what is slower is the way there.
        let to_forty = |room_c: f64| {
            let food = ToCool { pot: &pot, liquid_l: 1.0, meat_kg: 1.0, room_c };
            food.on_the_counter(21.0).minutes(60.0, 40.0)
        };
        assert!(to_forty(30.0) > 1.5 * to_forty(20.0), "{} {}", to_forty(20.0), to_forty(30.0));
        let danger = |room_c: f64| {
            cooling(&ToCool { pot: &pot, liquid_l: 1.0, meat_kg: 1.0, room_c }, Voice::default())[3].danger_min
        };
        assert!([10.0, 20.0, 30.0].into_iter().all(|room_c| danger(room_c) > 240.0), "never in time");
    }

    proptest! {
        #[test]
        fn trays_are_quicker_than_any_pot_and_in_time_under_every_code(
            litres in 0.4..20.0f64, kilos in 0.0..10.0f64, across in 16.0..45.0f64, room_c in 10.0..35.0f64, code in 0usize..6
        ) {
            let vessel = PotMeasures { diameter_cm: Some(across), height_cm: Some(60.0), ..PotMeasures::default() };
            let pot = vessel.resolve(Lid::Loose).unwrap();
            let food = ToCool { pot: &pot, liquid_l: litres, meat_kg: kilos, room_c };
            let all = cooling(&food, under(FoodCode::ALL[code]));
            let [ice, trays, fridge, counter, blast] = &all[..] else { panic!("five ways") };
            prop_assert!(trays.depth_mm <= 40.0 + 1e-9 && trays.in_time && blast.in_time, "{trays:?}");
            for pot in [fridge, counter] {
                prop_assert!(trays.to_cool_min <= pot.to_cool_min && trays.to_cold_min <= pot.to_cold_min, "{trays:?} {pot:?}");
                prop_assert!(trays.danger_min <= pot.danger_min, "{trays:?} {pot:?}");
            }
            prop_assert!(f64::from(trays.trays.unwrap()) >= (litres + kilos) / 1.06 / 2.4 - 1.0);
            prop_assert!(ice.danger_min > 0.0 && !counter.in_time);
        }
    }
}
