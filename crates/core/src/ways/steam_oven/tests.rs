use super::super::id::WayId;
use super::super::testing::{dish, said, set, set_at};
use super::*;

fn oven(steam_c: f64, steam: Steam) -> crate::ways::Set {
    set(WayId::SteamOven, at(steam_c, steam))
}

#[test]
fn what_is_left_out_is_full_steam_at_what_cooks_use() {
    let asked = set(WayId::SteamOven, Heat::default()).way().asked(Heat::default());
    assert_eq!(asked, at(95.0, Steam::Full));
    for wrong in [64.9, 100.1] {
        assert_eq!(set_at(WayId::SteamOven, &at(wrong, Steam::Full), 100.0).unwrap_err().field, "heat.steam_c");
    }
}

#[test]
fn air_in_the_steam_keeps_wet_meat_cooler_and_a_cover_brings_it_to_the_dial() {
    let numbers = |steam, lid| said(oven(95.0, steam).way().how_it_heats(lid, 100.0).numbers);
    assert!(numbers(Steam::Full, Lid::None).contains("95 °C"), "{}", numbers(Steam::Full, Lid::None));
    assert!(numbers(Steam::Half, Lid::None).contains("78 °C"), "{}", numbers(Steam::Half, Lid::None));
    assert!(numbers(Steam::Half, Lid::None).contains("58 %"), "{}", numbers(Steam::Half, Lid::None));
    assert!(numbers(Steam::Half, Lid::Foil).contains("stands at 95 °C"), "{}", numbers(Steam::Half, Lid::Foil));
    // High up nothing wet is hotter than the boil of the place.
    let high = set_at(WayId::SteamOven, &at(100.0, Steam::Full), 93.0).unwrap();
    assert!(said(high.way().how_it_heats(Lid::None, 93.0).numbers).contains("92 °C"));
}

#[test]
fn it_is_turned_by_steps_held_at_65_and_opened_with_care() {
    let full = oven(95.0, Steam::Full);
    let turned = |up| full.way().turned(up).map(|(_, heat)| heat.steam_c.unwrap());
    assert_eq!((turned(true), turned(false)), (Some(100.0), Some(90.0)));
    assert!(oven(100.0, Steam::Full).way().turned(true).is_none());
    assert_eq!(full.way().held().map(|(at_c, _)| at_c), Some(65.0));
    assert!(oven(65.0, Steam::Full).way().held().is_none());
    let (what, why) = full.way().lift(false);
    assert!(said(what).starts_with("Open the door") && said(why).contains("scalds"));
    let [(_, change)] = &full.way().could()[..] else { panic!("one change") };
    assert_eq!(change.heat.steam, Some(Steam::Half));
}

#[test]
fn each_step_tells_what_is_in_the_pan_and_where_it_stands() {
    let full = oven(95.0, Steam::Full);
    let (lane, what, _) = full.way().meets_the_heat(Lid::None, &dish());
    assert_eq!(lane, Lane::SteamOven);
    assert!(said(what.clone()).contains("Meat into the pan with its resting juices"), "{}", said(what));
    let alone = DishFacts { liquid_l: 0.0, seared: false, ..dish() };
    assert!(!said(full.way().meets_the_heat(Lid::None, &alone).1).contains("with"));
    assert!(said(full.way().preheat(&dish()).unwrap().1).contains("95 °C"));
    assert!(said(oven(95.0, Steam::Half).way().leave_it(Lid::None)).contains("half steam at 95 °C"));
}

#[test]
fn on_either_dial_it_is_offered_hot_overnight_and_with_half_its_steam() {
    for (units, celsius) in [(Units::Metric, [95, 85, 95]), (Units::Us, [93, 85, 93])] {
        let presets = InSteam::presets(units);
        let at: Vec<i32> = presets.iter().map(|preset| preset.heat.steam_c.unwrap().round() as i32).collect();
        assert_eq!(at, celsius);
        assert_eq!(presets.iter().filter(|preset| preset.usual).count(), 1);
    }
    let steps: Vec<f64> = InSteam::settings(&Heat::default(), Units::Metric).iter().filter_map(|s| s.celsius).collect();
    assert_eq!(steps, [85.0, 90.0, 95.0, 100.0]);
}
