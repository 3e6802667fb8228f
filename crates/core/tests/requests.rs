//! What a request says wins; what it leaves out is filled in and said; what can't be is refused by name.

use ergastic_core::cuts::{Cut, EatenAs};
use ergastic_core::forecast::{Forecast, ForecastRequest, Heat, ResolvedDish, forecast};
use ergastic_core::heat::pot::{Lid, PotMeasures, Simmer};
use ergastic_core::tender::Age;
use ergastic_core::ways::hob::Hob;
use ergastic_core::ways::{HeatSource, Method, Set};

fn braise(cut: Cut) -> ForecastRequest {
    ForecastRequest { cut: Some(cut), method: Some(Method::Braise), ..Default::default() }
}

fn resolve(request: &ForecastRequest) -> ResolvedDish {
    request.resolve().unwrap()
}

fn one(request: ForecastRequest) -> Forecast {
    forecast(&ForecastRequest { members: Some(1), ..request }).unwrap()
}

fn ready(request: ForecastRequest) -> f64 {
    one(request).ready_min.p50.unwrap()
}

#[test]
fn what_is_left_out_is_filled_in_and_said() {
    let case = resolve(&braise(Cut::Cheek));
    let assumed: Vec<_> = case.assumed.iter().map(|assumed| assumed.field.as_str()).collect();
    for field in [
        "mass_kg",
        "pieces",
        "size_mm",
        "start_c",
        "altitude_m",
        "heat.source",
        "heat.set_c",
        "vessel",
        "liquid_l",
        "eaten_as",
        "age",
    ] {
        assert!(assumed.contains(&field), "{field} is not said: {assumed:?}");
    }
    assert_eq!((case.main().eaten_as, case.pot().lid), (EatenAs::Spoon, Lid::Tight));
    let said = resolve(&ForecastRequest {
        mass_kg: Some(1.8),
        pieces: Some(4),
        size_mm: Some([50.0, 80.0, 105.0]),
        start_c: Some(12.0),
        altitude_m: Some(300.0),
        heat: Some(Heat { source: Some(HeatSource::Hob), simmer: Some(Simmer::Lazy), ..Heat::default() }),
        vessel: Some(PotMeasures { diameter_cm: Some(24.0), lid: Some(Lid::Ajar), ..PotMeasures::default() }),
        liquid_l: Some(1.1),
        liquid_start_c: Some(20.0),
        eaten_as: Some(EatenAs::Fork),
        age: Some(Age::Mature),
        salt_pct: Some(1.0),
        ..braise(Cut::Cheek)
    });
    assert!(said.assumed.is_empty(), "{:?}", said.assumed);
    assert_eq!(
        (said.first().medium, said.pot().lid, said.liquid_l),
        (Set::Hob(Hob { simmer: Simmer::Lazy }), Lid::Ajar, 1.1)
    );
}

#[test]
fn size_rules_the_time_and_mass_the_amounts() {
    let sized = ForecastRequest { size_mm: Some([60.0, 100.0, 140.0]), pieces: Some(1), ..braise(Cut::Chuck) };
    let light = one(ForecastRequest { mass_kg: Some(0.9), ..sized.clone() });
    let heavy = one(ForecastRequest { mass_kg: Some(2.7), ..sized.clone() });
    assert!(heavy.notes.iter().any(|note| note.contains("disagree")), "{:?}", heavy.notes);
    assert!(light.notes.is_empty(), "{:?}", light.notes);
    assert!(heavy.yield_kg.unwrap() > 2.5 * light.yield_kg.unwrap());
    let (thin, thick) = (
        one(ForecastRequest { thickness_mm: Some(40.0), ..braise(Cut::Chuck) }),
        one(ForecastRequest { thickness_mm: Some(90.0), ..braise(Cut::Chuck) }),
    );
    assert!(thin.ready_min.p50 < thick.ready_min.p50 && (thin.mass_kg - thick.mass_kg).abs() < 1e-9);
}

#[test]
fn a_stew_is_cut_small_and_covered_and_a_round_pot_can_be_a_tin() {
    let stew = resolve(&ForecastRequest { method: Some(Method::Stew), mass_kg: Some(1.3), ..braise(Cut::Chuck) });
    assert_eq!((stew.pieces, stew.first().medium), (20, Set::Hob(Hob { simmer: Simmer::Gentle })));
    assert!(stew.packing.submerged(stew.liquid_l) > 0.9);
    let tin = PotMeasures {
        width_cm: Some(20.0),
        length_cm: Some(30.0),
        height_cm: Some(8.0),
        lid: Some(Lid::Foil),
        ..PotMeasures::default()
    };
    let tin = resolve(&ForecastRequest { vessel: Some(tin), ..braise(Cut::Chuck) });
    assert!((tin.pot().floor_m2 - 0.06).abs() < 1e-12 && tin.pot().lid == Lid::Foil);
}

#[test]
fn every_condition_moves_the_time_the_way_a_cook_expects() {
    let hob = |simmer| Some(Heat { source: Some(HeatSource::Hob), simmer: Some(simmer), ..Heat::default() });
    let base = || ForecastRequest { heat: hob(Simmer::Gentle), ..braise(Cut::Chuck) };
    let time = ready(base());
    assert!(ready(ForecastRequest { age: Some(Age::Mature), ..base() }) > time + 15.0);
    assert!(ready(ForecastRequest { grass_fed: Some(true), ..base() }) > time);
    assert!(ready(ForecastRequest { altitude_m: Some(2200.0), ..base() }) > time + 20.0);
    assert!(ready(ForecastRequest { liquid_start_c: Some(10.0), ..base() }) > time);
    assert!(ready(ForecastRequest { start_c: Some(18.0), ..base() }) < time);
    let simmers = [Simmer::Boil, Simmer::Brisk, Simmer::Gentle, Simmer::Lazy]
        .map(|simmer| ready(ForecastRequest { heat: hob(simmer), ..base() }));
    assert!(simmers.windows(2).all(|pair| pair[0] < pair[1]), "{simmers:?}");
    let cuts = [Cut::Skirt, Cut::Shin, Cut::Tendon]
        .map(|cut| one(ForecastRequest { cut: Some(cut), ..base() }).enough_softening_h);
    assert!(cuts.windows(2).all(|pair| pair[0] < pair[1]), "{cuts:?}");
}

#[test]
fn a_boil_is_sooner_but_leaves_less_room() {
    let hob = |simmer| Some(Heat { source: Some(HeatSource::Hob), simmer: Some(simmer), ..Heat::default() });
    let gentle = one(ForecastRequest { heat: hob(Simmer::Gentle), ..braise(Cut::Chuck) });
    let boiled = one(ForecastRequest { heat: hob(Simmer::Boil), ..braise(Cut::Chuck) });
    let room = |answer: &Forecast| answer.overcooked_min.p50.unwrap() - answer.ready_min.p50.unwrap();
    assert!(boiled.ready_min.p50 < gentle.ready_min.p50 && room(&boiled) < 0.6 * room(&gentle));
    assert!(boiled.liquid_left_l < gentle.liquid_left_l && boiled.why.contains("breaks pieces up"));
}

#[test]
fn a_deadline_is_answered_with_two_chances() {
    let with = |deadline_min| {
        forecast(&ForecastRequest { deadline_min: Some(deadline_min), members: Some(400), ..braise(Cut::Chuck) })
            .unwrap()
    };
    let answer = with(180.0);
    assert_eq!((with(1.0).chance_ready, with(1.0).chance_in_window), (Some(0.0), Some(0.0)));
    let late = with(2000.0);
    assert_eq!(late.chance_ready, Some(1.0));
    assert!(late.chance_in_window.unwrap() < 0.05, "by then it has gone too far if the heat stays on");
    assert!(answer.chance_in_window <= answer.chance_ready);
}

#[test]
fn what_never_comes_is_null_with_its_reason() {
    let cool = Heat { source: Some(HeatSource::Oven), set_c: Some(80.0), ..Heat::default() };
    let open = PotMeasures { lid: Some(Lid::None), ..PotMeasures::default() };
    let answer =
        one(ForecastRequest { heat: Some(cool), vessel: Some(open), liquid_l: Some(2.0), ..braise(Cut::Tendon) });
    assert_eq!(answer.ready_min.p50, None);
    assert!(answer.notes.iter().any(|note| note.contains("72 h")) && answer.yield_kg.is_none());
    assert!(answer.why.contains("does not grow tender"));
}

#[test]
fn the_inside_is_answered_when_asked_for() {
    let inside = one(ForecastRequest { inside: Some(true), ..braise(Cut::Chuck) }).inside.unwrap();
    assert_eq!((inside.radius.len(), inside.radius[23]), (24, 1.0));
    for frame in &inside.frames {
        assert!(frame.celsius[0] <= frame.celsius[23] + 0.11, "the middle trails the surface: {frame:?}");
        assert!(frame.tenderness[0] <= frame.tenderness[23] + 1e-6);
    }
    assert!(one(braise(Cut::Chuck)).inside.is_none());
}

#[test]
fn the_band_holds_eight_in_ten_of_other_cooks() {
    let band =
        forecast(&ForecastRequest { members: Some(2000), seed: Some(11), ..braise(Cut::Shin) }).unwrap().ready_min;
    let chance = |deadline| {
        let request =
            ForecastRequest { members: Some(2000), seed: Some(97), deadline_min: deadline, ..braise(Cut::Shin) };
        forecast(&request).unwrap().chance_ready.unwrap()
    };
    let inside = chance(band.p90) - chance(band.p10);
    assert!((0.76..=0.84).contains(&inside), "{inside}");
}

#[test]
fn thumbs_are_worked_out_for_this_piece() {
    let answer = one(ForecastRequest {
        mass_kg: Some(2.2),
        pieces: Some(1),
        vessel: Some(PotMeasures { diameter_cm: Some(30.0), ..PotMeasures::default() }),
        ..braise(Cut::Chuck)
    });
    assert_eq!(answer.thumb[0].min, 290.0);
    assert!(answer.thumb.iter().all(|thumb| !thumb.why.is_empty()));
}
