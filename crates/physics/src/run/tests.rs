//! Each medium tried by itself: where it brings a pot or a piece, what is sooner than what, and what leaves as steam.

use super::*;
use crate::case::{Case, End, Pour, Stage};
use crate::coals::{CoalFire, FRESH_EVERY_MIN};
use crate::how::How;
use crate::medium::{Cooling, FirstHeat, Medium, SlowCookerSwitch};
use crate::model::Model;
use crate::parameters::Parameters;
use crate::pit::{Mop, Pit, Wrapping, psychrometric};
use crate::record::{Record, recorded};
use crate::steam::SteamOven;
use crate::testing::{SIMMERS, case, stage};
use crate::units::{HOUR_S, MINUTE_S};
use crate::vessel::{Cover, SimmerLevel, Vessel};

const SEA_PA: f64 = 101_325.0;

/// A piece 6 cm thick, in one medium for as long as it stays on.
fn in_one(medium: Medium) -> Case {
    case(0.06, vec![stage(medium, End::Stays)])
}

/// The same under a cover.
fn under(cover: Cover, medium: Medium) -> Case {
    let covered = Stage { vessel: Vessel::usual(cover), ..stage(medium, End::Stays) };
    case(0.06, vec![covered])
}

fn written(case: &Case) -> Record {
    recorded(case, 600.0, 75.0, &How::default()).unwrap()
}

fn ready_h(case: &Case) -> f64 {
    median_times(case, &How::default()).unwrap().ready_s / HOUR_S
}

/// What surrounds the meat after so many hours, °C.
fn medium_c(case: &Case, hours: f64) -> f64 {
    written(case).at(hours * HOUR_S).medium_c
}

fn oven(set_c: f64, start: FirstHeat) -> Medium {
    Medium::Oven { set_c, fan: false, start }
}

fn pit(set_c: f64) -> Pit {
    Pit {
        set_c,
        start_c: set_c,
        mop: None,
        open_every_s: None,
        tend_every_s: None,
        psychrometric: psychrometric(SEA_PA),
    }
}

fn smoked(pit: Pit, wrap: Option<(Wrapping, f64)>) -> Case {
    Case { liquid_l: 0.0, ..in_one(Medium::Pit { pit, wrap }) }
}

fn steamed(set_c: f64, fullness: f64) -> Medium {
    Medium::Steam(SteamOven { set_c, fullness, pressure_pa: SEA_PA })
}

#[test]
fn a_pot_on_the_hob_stands_where_its_word_says_and_the_hotter_the_sooner() {
    let words = [SimmerLevel::Lazy, SimmerLevel::Gentle, SimmerLevel::Brisk, SimmerLevel::Boil];
    let pots = words.map(|simmer| in_one(Medium::Hob { simmer }));
    for (simmer, pot) in words.iter().zip(&pots) {
        assert!((medium_c(pot, 1.5) - (100.0 - simmer.below_boil_k(&Parameters::USUAL))).abs() < 0.1, "{simmer:?}");
    }
    assert!(pots.map(|pot| ready_h(&pot)).windows(2).all(|pair| pair[0] > pair[1]));
}

#[test]
fn a_pot_in_a_hot_oven_boils_and_loses_the_more_the_less_covers_it() {
    let covers = [Cover::Tight, Cover::Loose, Cover::Ajar, Cover::None];
    let pots = covers.map(|cover| under(cover, oven(150.0, FirstHeat::Hob)));
    assert!((medium_c(&pots[0], 2.0) - 100.0).abs() < 0.1, "{}", medium_c(&pots[0], 2.0));
    let steam = covers.map(|cover| written(&under(cover, oven(110.0, FirstHeat::Hob))).at(2.0 * HOUR_S).steam_kg);
    assert!(steam.windows(2).all(|pair| pair[0] < pair[1]), "{steam:?}");
    // Without a lid evaporation holds it under the boil.
    assert!(medium_c(&under(Cover::None, oven(110.0, FirstHeat::Hob)), 2.0) < 95.0);
}

#[test]
fn a_cold_oven_costs_time_and_the_hob_first_saves_it() {
    let [hob, hot, cold] =
        [FirstHeat::Hob, FirstHeat::Oven, FirstHeat::ColdOven].map(|start| ready_h(&in_one(oven(150.0, start))));
    assert!(hob < hot && hot < cold, "{hob} {hot} {cold}");
    assert!(come_up_s(&in_one(oven(150.0, FirstHeat::Hob))) > 5.0 * MINUTE_S);
    assert_eq!(come_up_s(&in_one(oven(150.0, FirstHeat::Oven))), 0.0);
}

#[test]
fn coals_burn_down_unless_fresh_ones_go_on_and_the_wind_takes_of_them() {
    let fire = |fresh_every_s: f64, wind_takes: f64| {
        in_one(Medium::Coals(CoalFire {
            under: 10,
            over: 14,
            diameter_m: 0.26,
            height_m: 0.13,
            fresh_every_s,
            wind_takes,
            air_c: 20.0,
        }))
    };
    let air = |case: &Case, hours: f64| written(case).at(hours * HOUR_S).air_c;
    let tended = fire(FRESH_EVERY_MIN * MINUTE_S, 0.0);
    let left = fire(f64::INFINITY, 0.0);
    assert!(air(&tended, 3.0) > 130.0 && air(&left, 3.0) < 60.0, "{} {}", air(&tended, 3.0), air(&left, 3.0));
    assert!(air(&fire(FRESH_EVERY_MIN * MINUTE_S, 0.3), 1.0) < air(&tended, 1.0) - 10.0);
}

#[test]
fn time_at_pressure_is_solved_for_the_lid_that_opens_on_tender_meat() {
    let pressed = |hold_s, quick| {
        case(0.06, vec![stage(Medium::Pressure { target_c: 115.4, hold_s, quick, power_w: 1100.0 }, End::Opened)])
    };
    let solved = median_times(&pressed(None, false), &How::default()).unwrap();
    assert!((20.0..90.0).contains(&(solved.hold_s / MINUTE_S)), "{} min", solved.hold_s / MINUTE_S);
    let short = median_times(&pressed(Some(solved.hold_s - 300.0), false), &How::default()).unwrap();
    let given = median_times(&pressed(Some(solved.hold_s + 30.0), false), &How::default()).unwrap();
    assert!(short.ready_s.is_infinite() && given.ready_s.is_finite());
    // Let go at once there is less after-heat: more minutes at pressure.
    let quick = median_times(&pressed(None, true), &How::default()).unwrap();
    assert!(quick.hold_s > solved.hold_s && quick.ready_s < solved.ready_s + HOUR_S);
    assert!(solved.came_up_s > 5.0 * MINUTE_S && solved.came_up_s.is_finite());
}

#[test]
fn a_slow_cooker_takes_hours_to_get_there_and_never_boils() {
    let [low, high] = [SlowCookerSwitch::Low, SlowCookerSwitch::High].map(|set| in_one(Medium::SlowCooker(set)));
    assert!(medium_c(&low, 1.0) < 80.0 && (medium_c(&low, 10.0) - 92.0).abs() < 1.0);
    assert!(medium_c(&high, 10.0) < 98.0 && ready_h(&high) < ready_h(&low));
    let kept = in_one(Medium::KeepWarm { at_c: 70.0 });
    assert!((medium_c(&kept, 10.0) - 70.0).abs() < 1.0);
}

#[test]
fn a_bath_is_at_its_own_heat_from_the_first_and_fat_comes_to_it() {
    assert!((medium_c(&in_one(Medium::Bath { bath_c: 82.0 }), 0.2) - 82.0).abs() < 1e-9);
    let fat = in_one(Medium::Fat { fat_c: 90.0 });
    assert!(medium_c(&fat, 0.0) < 70.0 && (medium_c(&fat, 2.0) - 90.0).abs() < 0.5);
    assert!(ready_h(&in_one(Medium::Bath { bath_c: 90.0 })) < ready_h(&in_one(Medium::Bath { bath_c: 80.0 })));
}

#[test]
fn a_bare_piece_in_the_pit_stalls_and_a_wrap_shortens_that() {
    let stall_h = |case: &Case| {
        let record = written(case);
        let at = |to_c: f64| {
            record.frames.iter().find(|frame| frame.celsius[0] >= to_c).map_or(f64::INFINITY, |frame| frame.time_s)
        };
        (at(78.0) - at(62.0)) / HOUR_S
    };
    let bare = smoked(pit(120.0), None);
    let [paper, foil] = [Wrapping::Paper, Wrapping::Foil].map(|wrap| smoked(pit(120.0), Some((wrap, 62.0))));
    let [bare_h, paper_h, foil_h] = [&bare, &paper, &foil].map(stall_h);
    assert!(bare_h > paper_h && paper_h > foil_h, "{bare_h} {paper_h} {foil_h}");
    let mopped = Pit { mop: Some(Mop { from_s: HOUR_S, every_s: 0.75 * HOUR_S }), ..pit(120.0) };
    assert!(ready_h(&smoked(mopped, None)) > ready_h(&bare), "each coat has to dry again");
    let untended = Pit { tend_every_s: Some(2.0 * HOUR_S), open_every_s: Some(HOUR_S), ..pit(120.0) };
    assert!(ready_h(&smoked(untended, None)) > ready_h(&bare));
}

#[test]
fn full_steam_is_sooner_than_half_and_brings_water_and_a_cover_makes_them_alike() {
    let open = |fullness| under(Cover::None, steamed(95.0, fullness));
    let (full, half) = (ready_h(&open(1.0)), ready_h(&open(0.5)));
    assert!(1.5 * full < half, "{full} {half}");
    let end = |case: &Case| written(case).at(2.0 * HOUR_S).liquid_l;
    assert!(end(&open(1.0)) > end(&under(Cover::Tight, steamed(95.0, 1.0))));
    let covered = [1.0, 0.5].map(|fullness| ready_h(&under(Cover::Tight, steamed(95.0, fullness))));
    assert!(
        (covered[0] - covered[1]).abs() < 1e-9
            && (medium_c(&under(Cover::Tight, steamed(95.0, 1.0)), 2.0) - 95.0).abs() < 0.5
    );
    // High up steam is no hotter than the boil there.
    let high = Case { boil_c: 92.0, ..under(Cover::Tight, steamed(100.0, 1.0)) };
    assert!(medium_c(&high, 3.0) <= 92.0);
}

#[test]
fn what_is_cooled_gets_cold_the_slower_the_more_lies_around_it() {
    let then = |cooling: Cooling, hours: f64| {
        let stages = vec![stage(SIMMERS, End::After(HOUR_S)), stage(Medium::Chill { cooling }, End::Stays)];
        written(&case(0.06, stages)).at((1.0 + hours) * HOUR_S).celsius[0]
    };
    let [bag, liquid, tray, air] =
        [Cooling::InBag, Cooling::InLiquid, Cooling::OnTray, Cooling::InAir].map(|cooling| then(cooling, 3.0));
    assert!(bag < liquid && liquid < tray && tray < air, "{bag} {liquid} {tray} {air}");
    assert!(then(Cooling::InLiquid, 12.0) < 6.0);
}

#[test]
fn frozen_meat_high_places_and_cold_water_poured_in_all_cost_time_and_halving_saves_it() {
    let usual = in_one(SIMMERS);
    let time = ready_h(&usual);
    assert!(ready_h(&Case { start_c: -18.0, ..usual.clone() }) > time + 0.3);
    assert!(ready_h(&Case { boil_c: 95.0, ..usual.clone() }) > time + 0.3);
    let pour = Pour { at_s: HOUR_S, litres: 1.0, celsius: 10.0 };
    assert!(ready_h(&Case { added: vec![pour], ..usual.clone() }) > time + 0.1);
    let thinner = Stage { thinner: Some(0.5), ..stage(SIMMERS, End::Stays) };
    let halved = case(0.06, vec![stage(SIMMERS, End::After(0.25 * HOUR_S)), thinner]);
    assert!(ready_h(&halved) < time - 0.05, "{} {time}", ready_h(&halved));
}

#[test]
fn a_run_goes_by_the_model_of_its_case() {
    let usual = in_one(SIMMERS);
    let mut parameters = Parameters::USUAL;
    parameters.surface.liquid = 200.0;
    let poorer = Case { model: Model::of(parameters).into(), ..usual.clone() };
    assert!(ready_h(&poorer) > ready_h(&usual));
}
